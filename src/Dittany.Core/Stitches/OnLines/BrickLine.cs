using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Stitches.OnLines;

/// <summary>
/// Two rows of backstitch side by side, the second set by half against the first and worked on the way back: a broad, flat line, and a
/// firm edge round thick letters.
/// </summary>
public sealed class BrickLine : LineStitch, IStitch
{
    public override Heading Heading => Heading.EitherWay;

    /// <summary>From the middle of one row to the middle of the other, in threads: they touch (common practice).</summary>
    private const double ApartThreads = 1.05;

    public override StitchInfo Info { get; } = new(
        "brick-line", "brick line", StitchClass.Outline, 2.2, 3, size => size.InStrands >= 5 ? 2 : 1.5, StitchInfo.ByWidth, StitchInfo.ByWidth,
            [(25, 2), (double.PositiveInfinity, 3)], "a broad, flat line; two rows round the edge of thick letters",
            "small letters, and bends tighter than two rows follow", StitchInfo.Memory)
    { Trait = new(Feel.Flat, false, true, 2) };

    public bool Beside => true;

    /// <summary>Behind lie two stitches, on the outside of a bend a little more (from memory).</summary>
    public double LongestMm(double mostBehindMm) => mostBehindMm / 2.5;

    public string Manner(StitchSchools schools) => "Two rows lie side by side; each stitch of the second begins and ends beside the middle of "
        + "one of the first.";

    public override void Sew(Sewn.Sewing sewing, IReadOnlyList<Holes> stretches, StitchSpec spec)
    {
        var way = WayOfHoles.Of(stretches);
        var aside = ApartThreads * sewing.BundleMm / 2;
        Row(sewing, [.. Enumerable.Range(0, way.AtMm.Count).Select(i => (way.AtMm[i] - (way.Right(i) * aside)).OnGrid())]);

        // Set by half: of a closed line the middles alone, of an open one its ends too; a corner is an end in both rows.
        var middles = new List<Pt>();
        for (var i = 1; i < way.AtMm.Count; i++)
        {
            middles.Add((Pt.Lerp(way.AtMm[i - 1], way.AtMm[i], 0.5) + (Square(way.AtMm[i] - way.AtMm[i - 1]) * aside)).OnGrid());
            if (way.Corner[i])
            {
                middles.Add((way.AtMm[i] + (way.Right(i) * aside)).OnGrid());
            }
        }

        var first = (way.AtMm[0] + (way.Right(0) * aside)).OnGrid();
        var last = (way.AtMm[^1] + (way.Right(way.AtMm.Count - 1) * aside)).OnGrid();
        Row(sewing, way.Closed ? [middles[^1], .. middles] : [last, .. Enumerable.Reverse(middles), first]);
    }

    private static Pt Square(Pt way) => new Pt(-way.Y, way.X) * (1 / Math.Max(1e-9, way.Length));

    private static void Row(Sewn.Sewing sewing, IReadOnlyList<Pt> at)
    {
        for (var i = 1; i < at.Count; i++)
        {
            sewing.Straight(at[i], at[i - 1]);
        }
    }
}

/// <summary>Two rows set by half, and a second thread round both: a thick cord, twisted once.</summary>
public sealed class WhippedBrick() : TwiceOver(new BrickLine(), laced: false)
{
    protected override bool EndsAtStart => true;

    public override StitchInfo Info { get; } = new(
        "whipped-brick", "whipped brick line", StitchClass.Outline, 2.6, 3, size => size.InStrands >= 5 ? 2 : 1.5, StitchInfo.ByWidth,
            StitchInfo.ByWidth, [(30, 2), (double.PositiveInfinity, 3)], "a thick cord for large initials", "small letters and tight bends",
            StitchInfo.Memory)
    { Trait = new(Feel.Raised, false, true, 2) };
}

/// <summary>Two rows set by half, and a second thread to and fro under both.</summary>
public sealed class LacedBrick() : TwiceOver(new BrickLine(), laced: true)
{
    protected override bool EndsAtStart => true;

    public override StitchInfo Info { get; } = new(
        "laced-brick", "laced brick line", StitchClass.Outline, 4.4, 3, size => size.InStrands >= 5 ? 2 : 1.5, StitchInfo.ByWidth,
            StitchInfo.ByWidth, [(double.PositiveInfinity, 2)], "broad borders in two colours", "small letters, and what is handled much",
            StitchInfo.Memory)
    { Trait = new(Feel.Open, false, false, 3) };
}
