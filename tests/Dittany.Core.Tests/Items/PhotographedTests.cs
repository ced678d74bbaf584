using Dittany.Core.Geometry;
using Dittany.Core.Items;

namespace Dittany.Core.Tests.Items;

/// <summary>
/// Pictures straightened by a card whose size is published (ISO/IEC 7810 ID-1: 85.60 × 53.98 mm) or by a sheet (ISO 216: A4 is 210 × 297
/// mm).
/// </summary>
public class PhotographedTests
{
    private static readonly Reference Card = Photographed.References.Single(r => r.Id == "id-1");

    [Fact]
    public void References_are_as_published()
    {
        Assert.Equal((85.60, 53.98), (Card.WidthMm, Card.HeightMm));
        var sheet = Photographed.References.Single(r => r.Id == "a4");
        Assert.Equal((297, 210), (sheet.WidthMm, sheet.HeightMm));
    }

    /// <summary>
    /// Seen square on at 10 px per mm, a length of 300 mm is 300 mm, whichever corner was pointed at first, and whichever way the card
    /// lies.
    /// </summary>
    [Theory]
    [InlineData("0123", false)]
    [InlineData("2310", false)]
    [InlineData("3021", false)]
    [InlineData("0123", true)]
    public void A_plain_view_keeps_its_lengths(string order, bool upright)
    {
        var (w, h) = upright ? (539.8, 856.0) : (856.0, 539.8);
        Pt[] corners = [new(100, 100), new(100 + w, 100), new(100 + w, 100 + h), new(100, 100 + h)];
        var view = Photographed.Straighten(Card, order.Select(c => corners[c - '0']).ToArray(), 4000, 3000, 1).View!;
        Assert.Equal(upright, view.Upright);
        Assert.Equal(300, view.ToMm.Map(new Pt(500, 1000)).To(view.ToMm.Map(new Pt(3500, 1000))), 6);
        Assert.Equal(400, view.WidthMm, 3);
        Assert.Equal(300, view.HeightMm, 3);
        Assert.Equal(10, view.PxPerMm, 3);
        Assert.Equal(0, view.TiltRadians, 4);
    }

    /// <summary>
    /// The expected error is the one that really comes about: two standard deviations of a length when every corner is off at random (2000
    /// draws from a fixed seed).
    /// </summary>
    [Theory]
    [InlineData(1.0)]
    [InlineData(4.0)]
    public void The_expected_error_is_true(double off)
    {
        Pt[] corners = [new(2600, 900), new(3250, 940), new(3230, 1340), new(2590, 1310)];
        var view = Photographed.Straighten(Card, corners, 4000, 3000, off).View!;
        Pt[] inPicture = [new(400, 400), new(2200, 2600)];
        var ends = inPicture.Select(view.ToMm.Map).ToArray();
        Pt[] outline = [ends[0], new(ends[1].X, ends[0].Y), ends[1], new(ends[0].X, ends[1].Y)];
        var box = outline.Select(view.ToMm.Inverse().Map).ToArray();
        var random = new Random(7);
        double Off() => off * Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
        var draws = Enumerable.Range(0, 2000)
            .Select(_ => Photographed.Straighten(Card, corners.Select(c => c + new Pt(Off(), Off())).ToArray(), 4000, 3000, off).View!.ToMm)
            .Select(map => new[] { (0, 1), (1, 2), (2, 3), (3, 0), (0, 2), (1, 3) }.Select(l =>
                map.Map(box[l.Item1]).To(map.Map(box[l.Item2]))).ToArray())
            .ToArray();
        var worst = Enumerable.Range(0, 6).Max(i => 2 * Math.Sqrt(draws.Average(d => d[i] * d[i]) - Math.Pow(draws.Average(d => d[i]), 2)));
        Assert.InRange(Photographed.WithinMm(view, outline) / worst, 0.85, 1.15);
    }

    /// <summary>Four points in a line, twice the same, too few, or out of the picture: told, not guessed.</summary>
    [Fact]
    public void Corners_that_make_no_card_are_told()
    {
        Pt[][] bad =
        [
            [new(0, 0), new(100, 0), new(200, 0), new(300, 0)], [new(0, 0), new(100, 0), new(50, 1), new(100, 100)],
                [new(0, 0), new(0, 0), new(100, 100), new(0, 100)], [new(0, 0), new(100, 0), new(100, 100)],
            [new(0, 0), new(100, 0), new(100, 100), new(0, 9e9)], [new(0, 0), new(100, 0), new(double.NaN, 100), new(0, 100)],
        ];
        Assert.All(bad, corners =>
        {
            var (view, fault) = Photographed.Straighten(Card, corners, 1000, 1000, 1);
            Assert.Null(view);
            Assert.Equal("corners", fault!.Member);
            Assert.NotEmpty(fault.Try);
        });
    }

    /// <summary>A tape that does not agree, and corners that are not square, say that card and item did not lie alike.</summary>
    [Fact]
    public void What_the_corners_cannot_show_is_asked_for()
    {
        var view = Photographed.Straighten(Card, [new(100, 100), new(956, 100), new(956, 639.8), new(100, 639.8)], 4000, 3000, 0.5).View!;
        Pt[] square = [new(10, 80), new(110, 80), new(110, 180), new(10, 180)];
        Assert.Empty(Photographed.Warnings(view, square, (100.5, 100)));
        Assert.Contains("higher than the item", Assert.Single(Photographed.Warnings(view, square, (110, 100))), StringComparison.Ordinal);
        Assert.Contains("from square", Assert.Single(Photographed.Warnings(view,
            [new(10, 80), new(110, 80), new(116, 180), new(10, 180)])), StringComparison.Ordinal);
    }
}
