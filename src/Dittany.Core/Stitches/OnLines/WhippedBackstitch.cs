using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Stitches.OnLines;

/// <summary>
/// Backstitch, then wraps from the far end back to the start: up at the last hole, under every stitch from the same side without piercing
/// the cloth, down at the first. At a corner the thread goes down and comes up again, so that it stays sharp.
/// </summary>
public sealed class WhippedBackstitch() : TwiceOver(new Backstitch(), laced: false)
{
    public override StitchInfo Info { get; } = new(
        "whipped-backstitch", "whipped backstitch", StitchClass.Outline, 1.5, 2.5, strands => strands.InStrands >= 5 ? 2.0 : 1.0,
            StitchInfo.Caps(6, 8, 10, 12, 16), StitchInfo.Caps(7, 11, 14, 17, 21),
        [(10.999, 1), (25, 2), (double.PositiveInfinity, 3)],
        "a raised cord that hides the joints", "rounds off corners unless the thread goes down there; takes more thread",
            StitchInfo.Memory)
    { Trait = new(Feel.Raised, false, true, 1) };
}
