using Dittany.Core.Geometry;
using Dittany.Core.Words;
using FsCheck.Fluent;

namespace Dittany.Core.Tests.Words;

public class FitTests
{
    private static readonly Pt[] Square = [new(-0.5, -0.5), new(0.5, -0.5), new(0.5, 0.5), new(-0.5, 0.5), new(-0.5, -0.5)];

    /// <summary>A square about the middle of a field of 100 × 60 grows to 60, by hand.</summary>
    [Fact]
    public void A_square_grows_to_the_nearer_edge() =>
        Assert.Equal(60, Fit.LargestCapMm(Region.Rectangle(0, 0, 100, 60), new Pt(50, 30), [Square]), 6);

    /// <summary>
    /// With a button of 6 mm radius 10 mm from the anchor, a square outline first meets it, then passes round it: fitting is not monotone.
    /// </summary>
    [Fact]
    public void A_button_inside_the_letter_is_passed_by()
    {
        var button = Region.Of(Enumerable.Range(0, 64).Select(i =>
            new Pt(50 + (6 * Math.Cos(i * Math.PI / 32)), 40 + (6 * Math.Sin(i * Math.PI / 32)))).ToArray());
        var field = Region.Rectangle(0, 0, 100, 60).Without(button);
        Assert.Equal(60, Fit.LargestCapMm(field, new Pt(50, 30), [Square]), 6);

        var lines = new[] { Square, new Pt[] { new(-0.01, 0.1), new(0.01, 0.1) } };
        var largest = Fit.LargestCapMm(field, new Pt(50, 30), lines);
        Assert.True(Fit.OverflowMm(field, new Pt(50, 30), lines, largest * 0.999) == 0);
    }

    [Fact]
    public void Nothing_fits_in_nothing()
    {
        Assert.Equal(0, Fit.LargestCapMm(Region.Empty, default, [Square]));
        Assert.Equal(0, Fit.LargestCapMm(Region.Rectangle(0, 0, 10, 10), new Pt(40, 40), [Square]));
    }

    /// <summary>Against a scan by brute force: random polygons with a hole, random anchors.</summary>
    [ManyTimes(150)]
    public FsCheck.Property The_sweep_agrees_with_a_scan() => Prop.ForAll(
        FsCheck.Fluent.Arb.From(
            from corners in Gen.Choose(4, 9)
            from radii in Gen.Choose(30, 90).ListOf(9)
            from x in Gen.Choose(-15, 15)
            from y in Gen.Choose(-15, 15)
            from hole in Gen.Choose(0, 40)
            select (corners, radii, x, y, hole)),
        input =>
        {
            var ring = Enumerable.Range(0, input.corners).Select(i => new Pt(
                input.radii[i] * Math.Cos(2 * Math.PI * i / input.corners),
                    input.radii[i] * Math.Sin(2 * Math.PI * i / input.corners))).ToArray();
            var field = Region.Of(ring);
            if (input.hole > 8)
            {
                field = field.Without(Region.Rectangle(input.hole, -3, 5, 6));
            }

            var lines = UprightHand.Alphabet.Find("S")!.Lines.Select(l =>
                (IReadOnlyList<Pt>)l.Select(p => new Pt((p.X - 30) / 100, (50 - p.Y) / 100)).ToArray()).ToArray();
            var anchor = new Pt(input.x, input.y);
            if (!field.Offset(-1).Holds(anchor))
            {
                // On the very edge no size fits, however small, and there is nothing to compare.
                return;
            }

            var largest = Fit.LargestCapMm(field, anchor, lines);
            if (largest > 1)
            {
                Assert.Equal(0, Fit.OverflowMm(field, anchor, lines, largest * 0.9999), 6);
            }

            for (var cap = largest * 1.005; cap < 250; cap += 0.7)
            {
                var grown = lines[0].Select(p => anchor + (p * cap)).ToArray();
                Assert.True(grown.Any(p => !field.Holds(p)) || field.Rings.Any(r => Crosses(grown, r)),
                    $"fits at {cap}, and {largest} was said to be the largest");
            }
        });

    private static bool Crosses(Pt[] line, IReadOnlyList<Pt> ring)
    {
        for (var i = 1; i < line.Length; i++)
        {
            for (var e = 0; e < ring.Count; e++)
            {
                if (Polyline.Cross(line[i - 1], line[i], ring[e], ring[(e + 1) % ring.Count]))
                {
                    return true;
                }
            }
        }

        return false;
    }

    /// <summary>
    /// Wherever it is looked for first, the same is found: to a quarter of a percent below what fits, never above, and nothing where
    /// nothing fits.
    /// </summary>
    [ManyTimes(300)]
    public void What_is_expected_does_not_change_what_is_found(byte limit, byte expected, byte likely)
    {
        var (fits, tried) = (2.0 + (limit / 4.0), 0);
        bool Fits(double cap)
        {
            tried++;
            return cap <= fits;
        }

        var found = Fit.LargestNear(Fits, 2, 60, 2 + (expected / 4.0), likely / 4.0, 0.98);
        var wanted = Math.Min(fits, 60);
        Assert.InRange(found, wanted / 1.0026, wanted);
        Assert.InRange(tried, 1, 200);
        Assert.InRange(Fit.LargestBySearch(Fits, 2, 60), wanted / 1.0026, wanted);
        Assert.Equal(0, Fit.LargestNear(_ => false, 2, 60, 2 + (expected / 4.0), likely / 4.0, 0.98));
        Assert.Equal(0, Fit.LargestBySearch(_ => false, 2, 60));
    }

    /// <summary>What is well expected is found in three looks.</summary>
    [Fact]
    public void What_is_expected_rightly_is_found_at_once()
    {
        var tried = 0;
        Fit.LargestNear(
            cap =>
            {
                tried++;
                return cap <= 10;
            },
            2,
            12,
            10,
            0,
            0.98);
        Assert.InRange(tried, 1, 3);
    }

    /// <summary>
    /// In a room without bays only the hull is looked at, and it comes to the same as cutting the room in two and fitting into a room that
    /// has a hair of a bay.
    /// </summary>
    [ManyTimes(100)]
    public void A_room_without_bays_gives_the_same_as_one_with_a_hair(byte corners, sbyte x, sbyte y)
    {
        var n = 3 + (corners % 30);
        var ring = Enumerable.Range(0, n).Select(i => new Pt(80 * Math.Cos(Math.Tau * i / n), 50 * Math.Sin(Math.Tau * i / n))).ToList();
        var plain = Region.Of(ring);
        Assert.True(plain.IsConvex);

        // A hair in the middle of the first edge.
        var middle = Pt.Lerp(ring[0], ring[1], 0.5);
        ring.Insert(1, middle * 0.9999999);
        var hair = Region.Of(ring);
        Assert.False(hair.IsConvex);
        var lines = UprightHand.Alphabet.Find("g")!.Lines.Select(l =>
            (IReadOnlyList<Pt>)l.Select(p => new Pt((p.X - 30) / 100, (50 - p.Y) / 100)).ToArray()).ToArray();
        var anchor = new Pt(x / 5.0, y / 8.0);
        Assert.Equal(Fit.LargestCapMm(hair, anchor, lines), Fit.LargestCapMm(plain, anchor, lines), 1e-4);
    }

    /// <summary>
    /// In a room all of whose edge is seen the quick answer is the one that comes of looking at every size in fine steps.
    /// </summary>
    [Fact]
    public void A_room_seen_whole_is_fitted_exactly()
    {
        var random = new Random(11);
        var stars = 0;
        for (var n = 0; n < 200; n++)
        {
            var corners = random.Next(5, 40);
            var ring = Enumerable.Range(0, corners).Select(i => Math.Tau * i / corners).Select(a =>
                new Pt(Math.Cos(a), Math.Sin(a)) * (20 + (random.NextDouble() * 40))).ToArray();
            var room = Region.Of(ring);
            var anchor = new Pt((random.NextDouble() - 0.5) * 12, (random.NextDouble() - 0.5) * 12);
            var lines = Enumerable.Range(0, 4).Select(_ => (IReadOnlyList<Pt>)Enumerable.Range(0, random.Next(1, 6)).Select(_ =>
                new Pt((random.NextDouble() - 0.5) * 4, (random.NextDouble() - 0.5) * 4)).ToArray()).ToArray();
            var largest = Fit.LargestCapMm(room, anchor, lines);
            stars += largest > 0 ? 1 : 0;
            Assert.True(largest == 0 || Fit.Holds(room, anchor, lines, largest * 0.999));
            Assert.False(largest > 0 && largest < Fit.MostCapMm && Inside(room, anchor, lines, largest * 1.002));
        }

        Assert.InRange(stars, 150, 200);
    }

    /// <summary>Looked at every hundredth of a millimetre.</summary>
    private static bool Inside(Region room, Pt anchor, IEnumerable<IReadOnlyList<Pt>> lines, double cap) => lines.All(line =>
        Enumerable.Range(0, Math.Max(1, line.Count - 1)).All(k =>
        {
            var (a, b) = (anchor + (line[k] * cap), anchor + (line[Math.Min(k + 1, line.Count - 1)] * cap));
            var steps = 1 + (int)(a.To(b) / 0.01);
            return Enumerable.Range(0, steps + 1).All(i => room.Holds(Pt.Lerp(a, b, (double)i / steps)));
        }));
}
