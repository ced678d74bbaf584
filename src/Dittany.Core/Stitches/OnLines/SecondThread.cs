using Dittany.Core.Geometry;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Stitches.OnLines;

/// <summary>
/// A second journey over a line that is stitched already, from its far end back to its start, under the stitches and never through the
/// cloth.
/// </summary>
internal static class SecondThread
{
    /// <summary>A laced thread swings so far from the line, in threads (from memory).</summary>
    private const double Swing = 1.6;

    /// <summary>Where between two stitches its bend begins, as a share of the way (from memory).</summary>
    private const double Bend = 0.34;

    /// <summary>
    /// Round every stitch from the same side: from the middle of one to the middle of the next like the thread of a screw; the first
    /// wrap and the last go half round.
    /// </summary>
    public static void Whip(Sewn.Sewing sewing, IReadOnlyList<Pt> at, IReadOnlyList<Pt> middles, sbyte side)
    {
        for (var k = middles.Count - 1; k >= 0; k--)
        {
            if (k == middles.Count - 1)
            {
                sewing.Stitch(new Move(MoveKind.UpAt, at[^1]), new Move(MoveKind.SlideUnder, middles[k].OnGrid(), 0.5f, side));
            }
            else
            {
                sewing.Stitch(new Move(MoveKind.SlideUnder, middles[k].OnGrid(), 1, side));
            }
        }

        sewing.Stitch(new Move(MoveKind.SlideUnder, at[0], 0.5f, side), new Move(MoveKind.DownAt, at[0], Side: side));
    }

    /// <summary>
    /// To and fro: under one stitch from the left, under the next from the right, so that it lies as a wave. <paramref name="first"/>
    /// is the side it begins on.
    /// </summary>
    public static void Lace(Sewn.Sewing sewing, IReadOnlyList<Pt> at, IReadOnlyList<Pt> middles, sbyte first)
    {
        var side = first;
        for (var k = middles.Count - 1; k >= 1; k--)
        {
            var way = middles[k - 1] - middles[k];
            var aside = new Pt(-way.Y, way.X) * (side * Swing * sewing.BundleMm / Math.Max(1e-9, way.Length));
            Move under = new(MoveKind.SlideUnder, (Pt.Lerp(middles[k], middles[k - 1], Bend) + aside).OnGrid(), 0.5f);
            Move on = new(MoveKind.Lay, (Pt.Lerp(middles[k], middles[k - 1], 1 - Bend) + aside).OnGrid());
            sewing.Stitch(k == middles.Count - 1 ? [new Move(MoveKind.UpAt, at[^1]), under, on] : [under, on]);

            side = (sbyte)-side;
        }

        if (middles.Count == 1)
        {
            sewing.Stitch(new Move(MoveKind.UpAt, at[^1]), new Move(MoveKind.SlideUnder, middles[0].OnGrid(), 0.5f));
        }

        sewing.Stitch(new Move(MoveKind.SlideUnder, at[0], 0.5f), new Move(MoveKind.DownAt, at[0]));
    }

    /// <summary>Middles of stitches that lie end to end.</summary>
    public static IReadOnlyList<Pt> EndToEnd(IReadOnlyList<Pt> at) =>
        Enumerable.Range(1, at.Count - 1).Select(k => Pt.Lerp(at[k], at[k - 1], 0.5)).ToArray();

    /// <summary>Middles of stitches with bare cloth between them.</summary>
    public static IReadOnlyList<Pt> Apart(IReadOnlyList<Pt> at) =>
        Enumerable.Range(0, at.Count / 2).Select(k => Pt.Lerp(at[2 * k], at[(2 * k) + 1], 0.5)).ToArray();
}

/// <summary>A line in a stitch of its own, and then a second thread round it or through it: a raised cord, or a braid.</summary>
public abstract class TwiceOver(LineStitch first, bool laced) : LineStitch, IStitch
{
    public override Heading Heading => first.Heading;

    private readonly IStitch _manner = first;

    /// <summary>The stitch of the first journey.</summary>
    public LineStitch First => first;

    public bool Laced => laced;

    public int Span => _manner.Span;

    public double GapShare => _manner.GapShare;

    public bool KeepsOneLength => _manner.KeepsOneLength;

    public bool Blunt => true;

    public bool Beside => laced || _manner.Beside;

    public double LongestMm(double mostBehindMm) => _manner.LongestMm(mostBehindMm);

    public double KeptFreeMm(StitchSpec spec, double stretchMm, bool loop) => _manner.KeptFreeMm(spec, stretchMm, loop);

    public virtual string Manner(StitchSchools schools) => laced
        ? "The second thread goes to and fro under the stitches and never through the cloth; keep it loose, or it pulls straight."
        : schools.Whip == SideSchool.OneSide ? "Every stitch is whipped from the same side."
        : "On rounds the hoop is turned, so that the wraps go outward.";

    public string? Says(Needle.Stitch stitch) => stitch.Shape != StitchShape.Whip ? _manner.Says(stitch)
        : laced ? "It swings from one side to the other under the stitches, and never goes through the cloth."
        : "It goes under the stitch below and never through the cloth.";

    public override void Sew(Sewn.Sewing sewing, IReadOnlyList<Holes> stretches, StitchSpec spec)
    {
        first.Sew(sewing, stretches, spec);
        foreach (var holes in EndsAtStart ? stretches.Select(s => s with { AtMm = [.. s.AtMm.Reverse()] }) : stretches.Reverse())
        {
            Second(sewing, holes, spec);
        }
    }

    /// <summary>Whether the first journey comes back to where it began, so that the second goes on from there.</summary>
    protected virtual bool EndsAtStart => false;

    /// <summary>Where the second thread passes under, for the holes of a stretch.</summary>
    protected virtual IReadOnlyList<Pt> Under(IReadOnlyList<Pt> at) =>
        _manner.GapShare > 0 ? SecondThread.Apart(at) : SecondThread.EndToEnd(at);

    protected virtual void Second(Sewn.Sewing sewing, Holes holes, StitchSpec spec)
    {
        var (turn, middles) = (holes.Turn(), Under(holes.AtMm));
        if (laced)
        {
            SecondThread.Lace(sewing, holes.AtMm, middles, 1);
            return;
        }

        SecondThread.Whip(sewing, holes.AtMm, middles,
            (sbyte)(spec.Schools.Whip == SideSchool.OutsideOfBend && Math.Abs(turn) > Math.PI ? -Math.Sign(turn) : 1));
    }
}

/// <summary>Running stitch with a second thread round it: a twisted cord that shows cloth between its turns.</summary>
public sealed class WhippedRunning() : TwiceOver(new RunningStitch(), laced: false)
{
    public override StitchInfo Info { get; } = new(
        "whipped-running", "whipped running stitch", StitchClass.Outline, 1.4, 3, _ => 1.5, StitchInfo.ByWidth, StitchInfo.ByWidth,
            StitchInfo.ByHeight, "a quick, light cord; borders", "letters that must read at a glance: cloth shows between its turns",
            StitchInfo.Memory)
    { Trait = new(Feel.Raised, false, true, 1) };
}

/// <summary>Running stitch with a second thread to and fro through it: a wave on a dotted line.</summary>
public sealed class LacedRunning() : TwiceOver(new RunningStitch(), laced: true)
{
    public override StitchInfo Info { get; } = new(
        "laced-running", "laced running stitch", StitchClass.Outline, 4.2, 3, _ => 1.5, StitchInfo.ByWidth, StitchInfo.ByWidth,
            [(double.PositiveInfinity, 2)], "light borders in two colours", "letters: it is an ornament and no line", StitchInfo.Memory)
    { Trait = new(Feel.Open, false, false, 1) };
}

/// <summary>Backstitch with a second thread to and fro through it: a close braid.</summary>
public sealed class LacedBackstitch() : TwiceOver(new Backstitch(), laced: true)
{
    public override StitchInfo Info { get; } = new(
        "laced-backstitch", "laced backstitch", StitchClass.Outline, 4.2, 2.5, strands => strands.InStrands >= 5 ? 2 : 1.5, StitchInfo.ByWidth,
            StitchInfo.ByWidth, [(double.PositiveInfinity, 2)], "bold letters and borders in two colours", "small letters, and what is handled much",
            StitchInfo.Memory)
    { Trait = new(Feel.Open, false, false, 2) };
}

/// <summary>Stem stitch whipped: round and firm.</summary>
public sealed class WhippedStem() : TwiceOver(new StemStitch(), laced: false)
{
    public override StitchInfo Info { get; } = new(
        "whipped-stem", "whipped stem stitch", StitchClass.Outline, 1.8, 4, _ => 1.6, StitchInfo.ByWidth, StitchInfo.ByWidth,
            [(25, 2), (double.PositiveInfinity, 3)], "a round, firm cord", "tight bends, and small letters", StitchInfo.Memory)
    { Trait = new(Feel.Raised, true, true, 2) };
}

/// <summary>Split stitch whipped: the split is hidden under the wraps.</summary>
public sealed class WhippedSplit() : TwiceOver(new SplitStitch(), laced: false)
{
    public override StitchInfo Info { get; } = new(
        "whipped-split", "whipped split stitch", StitchClass.Outline, 1.7, 4, _ => 1.6, StitchInfo.ByWidth, StitchInfo.ByWidth,
            [(25, 2), (double.PositiveInfinity, 3)], "a round cord that follows bends", "small letters", StitchInfo.Memory)
    { Trait = new(Feel.Raised, true, true, 2) };
}

/// <summary>Stem stitch with a second thread to and fro through it.</summary>
public sealed class LacedStem() : TwiceOver(new StemStitch(), laced: true)
{
    public override StitchInfo Info { get; } = new(
        "laced-stem", "laced stem stitch", StitchClass.Outline, 4.2, 4, _ => 1.6, StitchInfo.ByWidth, StitchInfo.ByWidth,
            [(double.PositiveInfinity, 2)], "stalks and borders in two colours", "small letters, and what is handled much", StitchInfo.Memory)
    { Trait = new(Feel.Open, true, false, 2) };
}

/// <summary>Split stitch with a second thread to and fro through it.</summary>
public sealed class LacedSplit() : TwiceOver(new SplitStitch(), laced: true)
{
    public override StitchInfo Info { get; } = new(
        "laced-split", "laced split stitch", StitchClass.Outline, 4.2, 4, _ => 1.6, StitchInfo.ByWidth, StitchInfo.ByWidth,
            [(double.PositiveInfinity, 2)], "round borders in two colours", "small letters, and what is handled much", StitchInfo.Memory)
    { Trait = new(Feel.Open, true, false, 2) };
}

/// <summary>Chain stitch whipped over its joints.</summary>
public sealed class WhippedChain() : TwiceOver(new ChainStitch(), laced: false)
{
    public override StitchInfo Info { get; } = new(
        "whipped-chain", "whipped chain stitch", StitchClass.Outline, 2.6, 3, size => Math.Max(1.5, 2.5 * size.WidthMm),
            StitchInfo.ByWidth, StitchInfo.ByWidth, [(30, 2), (double.PositiveInfinity, 3)], "bold letters with a raised edge",
            "small letters; a link out of measure shows", StitchInfo.Memory)
    { Trait = new(Feel.Raised, true, true, 2) };
}

/// <summary>Chain stitch with a second thread laced along one side and back along the other.</summary>
public sealed class InterlacedChain() : TwiceOver(new ChainStitch(), laced: true)
{
    public override StitchInfo Info { get; } = new(
        "interlaced-chain", "interlaced chain stitch", StitchClass.Outline, 4.2, 3,
            size => Math.Max(1.5, 2.5 * size.WidthMm), StitchInfo.ByWidth, StitchInfo.ByWidth,
            [(double.PositiveInfinity, 2)], "initials and borders in two colours", "anything small, or handled much", StitchInfo.Memory)
    { Trait = new(Feel.Open, true, false, 3) };

    /// <summary>Out along one side and back along the other: the thread ends where the chain did.</summary>
    public override void Sew(Sewn.Sewing sewing, IReadOnlyList<Holes> stretches, StitchSpec spec)
    {
        base.Sew(sewing, stretches, spec);
        foreach (var at in stretches.Select(s => s.AtMm))
        {
            SecondThread.Lace(sewing, [.. at.Reverse()], [.. Under(at).Reverse()], 1);
        }
    }
}
