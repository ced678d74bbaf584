using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Stitches.OnLines;

/// <summary>Single straight stitches end to end, long where the line is straight.</summary>
public sealed class StraightStitch : LineStitch, IStitch
{
    public override Heading Heading => Heading.EitherWay;

    public override StitchInfo Info { get; } = new(
        "straight", "straight stitch", StitchClass.Outline, 1, 6, _ => 1.5, StitchInfo.ByWidth, StitchInfo.ByWidth, StitchInfo.ByHeight,
        "rays, grass, stars, short strokes", "bends, and what is handled much: long stitches catch", StitchInfo.Memory)
    { Trait = new(Feel.Flat, false, false, 1) };

    public bool Reverses => true;

    public double LongestMm(double mostBehindMm) => mostBehindMm / 2;

    public override void Sew(Sewn.Sewing sewing, IReadOnlyList<Holes> stretches, StitchSpec spec)
    {
        foreach (var holes in stretches)
        {
            for (var i = 1; i < holes.AtMm.Count; i++)
            {
                sewing.Straight(holes.AtMm[i], holes.AtMm[i - 1]);
            }
        }
    }
}
