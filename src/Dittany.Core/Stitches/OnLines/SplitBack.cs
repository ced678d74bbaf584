using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Stitches.OnLines;

/// <summary>
/// Split stitch worked backwards: up two steps ahead, and back down through the thread before, which it parts from above.
/// </summary>
public sealed class SplitBack : LineStitch, IStitch
{
    public override Heading Heading => Heading.RightToLeft;

    public override StitchInfo Info { get; } = new(
        "split-back", "split stitch worked backwards", StitchClass.Outline, 1.25, 4, _ => 1.6, StitchInfo.ByWidth, StitchInfo.ByWidth,
            StitchInfo.ByHeight, "round letters: where the thread is parted is seen from above", "jagged where it is long on a bend",
            StitchInfo.Memory)
    { Trait = new(Feel.Flat, true, true, 1) };

    public int Span => 2;

    public double LongestMm(double mostBehindMm) => mostBehindMm / 1.5;

    public override void Sew(Sewn.Sewing sewing, IReadOnlyList<Holes> stretches, StitchSpec spec)
    {
        foreach (var holes in stretches)
        {
            foreach (var (from, to) in LinePlacing.Spans(holes.AtMm.Count, 2, holes.Loop))
            {
                sewing.Straight(holes.AtMm[to], holes.AtMm[from]);
            }
        }
    }
}
