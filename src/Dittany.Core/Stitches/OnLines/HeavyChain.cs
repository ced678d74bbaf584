using Dittany.Core.Materials;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Stitches.OnLines;

/// <summary>
/// Links that each go back under the two before them: thick as a cord. Up ahead, back under the foot of the last link but one, and
/// down where it came up.
/// </summary>
public sealed class HeavyChain : LineStitch, IStitch
{
    public override Heading Heading => Heading.RightToLeft;

    public override StitchInfo Info { get; } = new(
        "heavy-chain", "heavy chain stitch", StitchClass.Outline, 3, 2.6, size => Math.Max(1.6, 1.6 * size.WidthMm),
            StitchInfo.ByWidth, StitchInfo.ByWidth, [(30, 2), (double.PositiveInfinity, 3)], "initials and bold, raised lines",
            "small letters; thin cloth", StitchInfo.Memory)
    { Trait = new(Feel.Raised, true, true, 2) };

    public bool KeepsOneLength => true;

    public bool Blunt => true;

    public string Manner(StitchSchools schools) => "Each link goes back under the two before it, so that it lies double.";

    public string? Says(Needle.Stitch stitch) => stitch.Shape == StitchShape.Loop
        ? "It goes back under the two links before it, and not through the cloth there." : "It gives the first link something to go under.";

    public override void Sew(Sewn.Sewing sewing, IReadOnlyList<Holes> stretches, StitchSpec spec)
    {
        foreach (var holes in stretches)
        {
            var at = holes.AtMm;
            sewing.Straight(at[0], at[1]);
            for (var i = 2; i < at.Count; i++)
            {
                sewing.Stitch(new Move(MoveKind.UpAt, at[i]), new Move(MoveKind.SlideUnder, at[i - 2], 1),
                    new Move(MoveKind.DownAt, at[i]));
            }
        }
    }
}
