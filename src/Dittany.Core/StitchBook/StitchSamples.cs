using Dittany.Core.Designs;
using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using Dittany.Core.Stitches;
using Dittany.Core.Stitches.InAreas;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.StitchBook;

/// <summary>
/// A stitch at one height, mm: of capitals where it writes lines, of a leaf where it fills. <paramref name="Sewn"/> is the leaf, null for
/// lines; <paramref name="Why"/> what is to be said of that height, null where nothing is, and <paramref name="Fails"/> whether it is no
/// height for it at all.
/// </summary>
public sealed record Sample(double HeightMm, int Strands, Lesson? Sewn, Told? Why, bool Fails);

/// <summary>Every stitch at the same four heights, so that one looks instead of guessing; and where a fill fails, drawn.</summary>
public static class StitchSamples
{
    /// <summary>Small, usual, large lettering and initials, mm (from memory).</summary>
    public static IReadOnlyList<double> HeightsMm { get; } = [8, 14, 24, 40];

    /// <summary>A leaf is so broad, by its height.</summary>
    private const double LeafShare = 0.42;

    /// <summary>Threads may lie so free on what is worn and washed, mm: the wear a fill is judged by here.</summary>
    private const double WornFreeMm = 7;

    /// <summary>The stitch at each height; a point by its strands, so it has no height.</summary>
    public static IReadOnlyList<Sample> Of(IStitch stitch) => Finding.What(stitch) switch
    {
        Makes.Line => HeightsMm.Select(h => Line(stitch, h)).ToArray(),
        Makes.Area => HeightsMm.Select(h => Fill((AreaStitch)stitch, Leaf(h), h)).ToArray(),
        _ => [],
    };

    /// <summary>
    /// A fill on a shape it is not for, with why and what would do: the first of a broad block, a band, a small round and a sliver. Null
    /// for what is no fill, and where it fails on none of them.
    /// </summary>
    public static (Sample Sample, string? Cure)? Failing(IStitch stitch)
    {
        if (stitch is not AreaStitch fill)
        {
            return null;
        }

        foreach (var (area, high) in new[] { (Block(34, 26), 26.0), (Block(30, 2.2), 2.2), (Oval(5, 5), 5.0), (Block(20, 1.1), 1.1) })
        {
            var by = By(fill, Math.Max(high, HeightsMm[^1]));
            if (fill.Fills(area, by) is { Fits: false } not)
            {
                return (Fill(fill, area, Math.Max(high, HeightsMm[^1])), not.Cure);
            }
        }

        return null;
    }

    private static int Strands(IStitch stitch, double high) => stitch.Info.StrandsUpTo.First(r => high <= r.UpToMm).Strands;

    private static Sample Line(IStitch stitch, double high)
    {
        var strands = Strands(stitch, high);
        var (least, good) = (stitch.LeastCapMm(strands), stitch.ComfortableCapMm(strands));
        return new Sample(high, strands, null, high < least ? (Told)$"It closes up: with {Say.Count(strands, "strand")} it wants {Say.Length(least)}."
            : high < good ? (Told)$"It reads, but barely: {Say.Length(good)} is comfortable." : null, high < least);
    }

    private static SewingBy By(IStitch stitch, double high) => new(StitchSpec.For(new Pair(stitch, Strands(stitch, high)),
        new StitchSchools()))
    {
        MostFreeMm = WornFreeMm,
        Seed = 7,
    };

    private static Sample Fill(AreaStitch fill, Area area, double high)
    {
        var by = By(fill, high);
        var placed = fill.Sew(new Shape("area", area), by);
        var fits = fill.Fills(area, by);
        return new Sample(high, by.Spec.Pair.Strands, new Lesson(fill, false, by.Spec.Pair.Strands, area.Edges[0].Flatten(0.05), true, true,
            placed?.Stitches ?? Sewn.Nothing, [], []), fits.Fits ? placed is null ? "Nothing of it can be stitched." : null : fits.Why,
            !fits.Fits || placed is null);
    }

    private static Area Leaf(double high)
    {
        var half = LeafShare * high / 2;
        return new Area([new Stroke([
            new Curve(new Pt(0, high / 2), new Pt(-half * 1.4, high / 6), new Pt(-half * 1.2, -high / 4), new Pt(0, -high / 2)),
            new Curve(new Pt(0, -high / 2), new Pt(half * 1.2, -high / 4), new Pt(half * 1.4, high / 6), new Pt(0, high / 2))], true)]);
    }

    private static Area Oval(double wide, double high)
    {
        const double Round = 0.5523;
        var (a, b) = (wide / 2, high / 2);
        return new Area([new Stroke([Quarter(a, 0, 0, b), Quarter(0, b, -a, 0), Quarter(-a, 0, 0, -b), Quarter(0, -b, a, 0)], true)]);

        static Curve Quarter(double x, double y, double u, double v) => new(new Pt(x, y), new Pt(x + (Round * u), y + (Round * v)),
            new Pt(u + (Round * x), v + (Round * y)), new Pt(u, v));
    }

    private static Area Block(double wide, double high)
    {
        Pt[] at = [new(0, 0), new(wide, 0), new(wide, high), new(0, high)];
        return new Area([new Stroke([.. at.Select((p, i) => Curve.Line(p, at[(i + 1) % 4]))], true)]);
    }
}
