using Dittany.Core.Materials;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Stitches.OnLines;

/// <summary>Up a stitch ahead, down where the last one came up: end to end on the front, twice the way behind.</summary>
public class Backstitch : LineStitch, IStitch
{
    public override Heading Heading => Heading.RightToLeft;

    public override StitchInfo Info { get; } = new(
        "backstitch", "backstitch", StitchClass.Outline, 1.0, 2.5, Shortest, StitchInfo.Caps(4, 5.5, 7, 8, 11),
            StitchInfo.Caps(5, 7, 9, 11, 14), StitchInfo.ByHeight,
        "small and clear letters", "visible joints; angular when it is long on a bend", StitchInfo.Memory)
    { Trait = new(Feel.Flat, false, true, 1) };

    public virtual bool Reverses => true;

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

    /// <summary>Five strands and six make a short stitch a bead (from memory).</summary>
    protected static double Shortest(ThreadSize size) => size.InStrands >= 5 ? 2.0 : 1.0;
}
