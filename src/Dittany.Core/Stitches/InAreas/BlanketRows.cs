using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Stitches.InAreas;

/// <summary>Rows of blanket stitch over an area: a ridge along the row, and teeth that reach to the next one.</summary>
public class BlanketRows : AreaStitch
{
    /// <summary>How high a row is, mm, and how far apart its teeth stand, in threads (from memory).</summary>
    protected const double RowMm = 4;

    private const double TeethThreads = 2.2;

    /// <summary>Shorter than this a tooth is none, mm (from memory).</summary>
    private const double LeastMm = 0.8;

    public override StitchInfo Info { get; } = new(
        "blanket-rows", "rows of blanket stitch", StitchClass.Fill, 1, RowMm, _ => LeastWidthMm, StitchInfo.Caps(24, 24, 26, 30, 38),
            StitchInfo.Caps(30, 30, 32, 38, 46), [(double.PositiveInfinity, 2)],
        "strokes that are not to be solid, scales, roofs, wings", "small round shapes", StitchInfo.Memory)
    { Trait = new(Feel.Open, true, true, 2) };

    public override string Because => "Rows of blanket stitch fill a stroke without closing it.";

    /// <summary>Whether a second row comes from the other side, its teeth between those of the first.</summary>
    protected virtual bool FromBothSides => false;

    protected override Judgement Fills(AreaGround ground, SewingBy by) => Judgement.Yes;

    protected override void Sew(Sewn.Sewing sewing, AreaGround ground, SewingBy by)
    {
        var radians = Direction(ground, by);
        var aside = new Pt(-Math.Sin(radians), Math.Cos(radians));
        var high = Math.Min(RowMm, by.MostFreeMm);
        foreach (var rung in ground.Rungs(radians, high))
        {
            // The row's ridge lies half a row below the middle of its band, so that bands close up.
            Row(sewing, ground, rung, aside * (high / 2), aside * -high, 0, by);
            if (FromBothSides)
            {
                Row(sewing, ground, rung, aside * (-high / 2), aside * high, 0.5, by);
            }
        }
    }

    private static void Row(Sewn.Sewing sewing, AreaGround ground, Rung rung, Pt off, Pt tooth, double shift, SewingBy by)
    {
        var count = Math.Max(1, (int)Math.Round(rung.LengthMm / (TeethThreads * by.Spec.BundleMm)));
        var way = rung.To - rung.From;
        Pt? ridge = null;
        for (var i = 0; i <= count; i++)
        {
            var middle = rung.From + (way * Math.Clamp((i + shift) / count, 0, 1));
            var (foot, tip) = (Inside(ground, middle, off), Inside(ground, middle, off + tooth));
            if (foot.To(tip) < LeastMm)
            {
                continue;
            }

            if (ridge is { } last && last.To(foot) is > 0.2 and < RowMm && ground.Covers.Holds(Pt.Lerp(last, foot, 0.5)))
            {
                sewing.Stitch(new Move(MoveKind.UpAt, last.OnGrid()), new Move(MoveKind.HoldAt, foot.OnGrid()),
                    new Move(MoveKind.DownAt, tip.OnGrid()));
            }
            else
            {
                sewing.BreakBefore(foot, MostHopMm);
                sewing.Straight(foot.OnGrid(), tip.OnGrid());
            }

            ridge = foot;
        }

        if (ridge is { } end && sewing.Last is not null)
        {
            // The last loop is held by a short stitch over it.
            var over = Pt.Lerp(end, Inside(ground, rung.To, off), 0.9);
            over = end.To(over) > by.Spec.BundleMm ? end + ((over - end) * (by.Spec.BundleMm / end.To(over)))
                : Inside(ground, end, tooth * (-by.Spec.BundleMm / tooth.Length));
            if (end.OnGrid().To(over.OnGrid()) > 0.1)
            {
                sewing.Straight(end.OnGrid(), over.OnGrid());
            }
        }
    }

    /// <summary>As far from a place of the area as wished, or as far as the area goes in that direction.</summary>
    private static Pt Inside(AreaGround ground, Pt from, Pt off)
    {
        if (ground.Covers.Holds(from + off))
        {
            return from + off;
        }

        var (inside, outside) = (0.0, 1.0);
        for (var k = 0; k < 12; k++)
        {
            var middle = (inside + outside) / 2;
            (inside, outside) = ground.Covers.Holds(from + (off * middle)) ? (middle, outside) : (inside, middle);
        }

        return from + (off * inside);
    }
}

/// <summary>Blanket rows from both sides of each band, the teeth of one between those of the other.</summary>
public sealed class DoubleBlanketRows : BlanketRows
{
    public override StitchInfo Info { get; } = new(
        "double-blanket-rows", "double rows of blanket stitch", StitchClass.Fill, 1, RowMm, _ => LeastWidthMm,
            StitchInfo.Caps(26, 26, 28, 32, 40), StitchInfo.Caps(32, 32, 34, 40, 48), [(double.PositiveInfinity, 2)],
        "wide strokes, braid-like and firm", "narrow strokes", StitchInfo.Memory)
    { Trait = new(Feel.Open, true, true, 2) };

    public override string Because => "Double rows of blanket stitch close a wide stroke like a braid.";

    protected override bool FromBothSides => true;
}
