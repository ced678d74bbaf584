using Dittany.Core.Geometry;
using Dittany.Core.Words;

namespace Dittany.Core.Tests.Words;

/// <summary>
/// Shapes whose medial axis is known exactly from geometry: a stadium's is its middle segment, a ring's the circle half way between its
/// edges, a rectangle's its middle line, a sector of a ring's the arc. Letters here are 20 mm high with strokes of 3 mm, so that a unit is
/// a millimetre: within 0.3 mm is what is promised.
/// </summary>
public class CentreLineTests
{
    private const double WithinMm = 0.3;

    private static Pt[] Arc(Pt c, double r, double from, double to, int n) =>
        Enumerable.Range(0, n + 1).Select(i => (from + ((to - from) * i / n)) * Math.PI / 180).Select(a => c
        + new Pt(r * Math.Cos(a), r * Math.Sin(a))).ToArray();

    [Fact]
    public void A_stadium_has_its_middle_segment()
    {
        Pt[] ring = [.. Arc(new Pt(0, 0), 1.5, 180, 360, 40), .. Arc(new Pt(0, 20), 1.5, 0, 180, 40)];
        var stroke = Assert.Single(CentreLine.Of([ring], yUp: false));
        Assert.All(stroke.Points, p => Assert.InRange(p.X, -0.05, 0.05));
        Assert.InRange(stroke.Points[0].To(new Pt(0, 0)), 0, WithinMm);
        Assert.InRange(stroke.Points[^1].To(new Pt(0, 20)), 0, WithinMm);
        Assert.Equal(3, stroke.MeanWidth, 1);
        Assert.False(stroke.Closed);
    }

    /// <summary>Round bowls stay round.</summary>
    [Fact]
    public void A_ring_has_the_circle_between_its_edges()
    {
        var stroke = Assert.Single(CentreLine.Of([Arc(new Pt(0, 0), 10, 0, 359, 180), Arc(new Pt(0, 0), 7, 0, 359, 180)], yUp: true));
        Assert.True(stroke.Closed);
        Assert.All(stroke.Points, p => Assert.InRange(p.Length, 8.5 - 0.1, 8.5 + 0.1));
        Assert.Equal(3, stroke.MeanWidth, 1);

        // Begun at the top, against the clock, as an o is written.
        Assert.InRange(stroke.Points[0].Y, 8, 9);
        Assert.True(stroke.Points[1].X < 0);
    }

    [Fact]
    public void A_sector_has_its_arc()
    {
        Pt[] ring = [.. Arc(new Pt(0, 0), 10, 40, 320, 160), .. Arc(new Pt(0, 0), 7, 320, 40, 160)];
        var stroke = Assert.Single(CentreLine.Of([ring], yUp: true));
        Assert.All(stroke.Points, p => Assert.InRange(p.Length, 8.5 - WithinMm, 8.5 + WithinMm));
        Assert.True(Polyline.Length(stroke.Points) > 8.5 * (280 * Math.PI / 180) - 3.5);
    }

    /// <summary>Corners of a bar are pruned: one straight line, not the forked ends of the bare axis.</summary>
    [Fact]
    public void A_bar_is_one_line()
    {
        var stroke = Assert.Single(CentreLine.Of([new Pt[] { new(0, 0), new(3, 0), new(3, 20), new(0, 20) }], yUp: false));
        Assert.All(stroke.Points, p => Assert.InRange(p.X, 1.5 - 0.05, 1.5 + 0.05));
        Assert.InRange(Polyline.Length(stroke.Points), 17 - WithinMm, 17 + WithinMm);
    }

    /// <summary>Serifs are pruned by their weight: an I on feet is an upright.</summary>
    [Fact]
    public void Serifs_leave_no_line()
    {
        Pt[] ring = [new(0, 0), new(7, 0), new(7, 1), new(5, 2), new(5, 18), new(7, 19), new(7, 20), new(0, 20), new(0, 19), new(2, 18),
            new(2, 2), new(0, 1)];
        var stroke = Assert.Single(CentreLine.Of([ring], yUp: false));
        Assert.All(stroke.Points.Where(p => p.Y is > 3 and < 17), p => Assert.InRange(p.X, 3.5 - WithinMm, 3.5 + WithinMm));
    }

    /// <summary>A cross is two strokes that go straight on, with one crossing; a T is two; an L is one with a corner.</summary>
    [Theory]
    [InlineData("cross", 2)]
    [InlineData("tee", 2)]
    [InlineData("ell", 1)]
    public void Junctions_are_clean(string shape, int strokes)
    {
        Pt[] ring = shape switch
        {
            "cross" => [new(8.5, 0), new(11.5, 0), new(11.5, 8.5), new(20, 8.5), new(20, 11.5), new(11.5, 11.5), new(11.5, 20),
                new(8.5, 20), new(8.5, 11.5), new(0, 11.5), new(0, 8.5), new(8.5, 8.5)],
            "tee" => [new(0, 0), new(20, 0), new(20, 3), new(11.5, 3), new(11.5, 20), new(8.5, 20), new(8.5, 3), new(0, 3)],
            _ => [new(0, 0), new(3, 0), new(3, 17), new(14, 17), new(14, 20), new(0, 20)],
        };
        var lines = CentreLine.Of([ring], yUp: false);
        Assert.Equal(strokes, lines.Count);
        if (shape == "cross")
        {
            Assert.All(lines, l => Assert.InRange(Polyline.ToLine(new Pt(10, 10), l.Points), 0, WithinMm));
            Assert.All(lines.SelectMany(l => l.Points), p => Assert.True(Math.Abs(p.X - 10) < WithinMm || Math.Abs(p.Y - 10) < WithinMm,
                $"{p}"));
        }
    }

    /// <summary>Whatever the shape, its lines lie inside it and as far from its edge as they say.</summary>
    [Fact]
    public void Lines_lie_inside_at_their_half_width()
    {
        foreach (var n in new[] { 5, 7, 12 })
        {
            // A wavy band.
            Pt[] upper = Enumerable.Range(0, 121).Select(i => new Pt(i * 0.5, (4 * Math.Sin(i * 0.5 / n)) + 1.5)).ToArray();
            Pt[] ring = [.. upper, .. upper.Reverse().Select(p => p - new Pt(0, 3))];
            var area = Region.Of(ring);
            foreach (var line in CentreLine.Of([ring], yUp: true))
            {
                Assert.All(line.Points.Zip(line.HalfWidths), p =>
                {
                    Assert.True(area.Holds(p.First));
                    Assert.InRange(Polyline.ToLine(p.First, [.. ring, ring[0]]), p.Second - 0.12, p.Second + 0.12);
                });
            }
        }
    }

    [Fact]
    public void Nothing_gives_nothing() => Assert.Empty(CentreLine.Of([[new Pt(0, 0), new Pt(0, 0), new Pt(0, 0)]], yUp: true));
}
