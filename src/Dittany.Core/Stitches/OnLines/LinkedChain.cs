using Dittany.Core.Materials;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Stitches.OnLines;

/// <summary>Links with a short straight bar from each to the next, as in a fine chain.</summary>
public sealed class LinkedChain : LineStitch, IStitch
{
    public override Heading Heading => Heading.RightToLeft;

    public override StitchInfo Info { get; } = new(
        "linked-chain-line", "linked chain line", StitchClass.Outline, 2.5, 3, size => Math.Max(1.5, 2.5 * size.WidthMm),
            StitchInfo.ByWidth, StitchInfo.ByWidth, [(30, 2), (double.PositiveInfinity, 3)], "light, open letters and borders",
            "letters too small for the pattern to be seen", StitchInfo.Memory)
    { Trait = new(Feel.Open, true, true, 2) };

    public double GapShare => 0.45;

    public bool KeepsOneLength => true;

    public string Manner(StitchSchools schools) => "A bar goes from each link to the next: about half as long as a link.";

    public string? Says(Needle.Stitch stitch) => stitch.Shape == StitchShape.Loop ? null : "It is the bar from one link to the next.";

    public override void Sew(Sewn.Sewing sewing, IReadOnlyList<Holes> stretches, StitchSpec spec)
    {
        foreach (var holes in stretches)
        {
            var at = holes.AtMm;
            for (var i = 0; i + 1 < at.Count; i += 2)
            {
                sewing.Stitch(new Move(MoveKind.UpAt, at[i]), new Move(MoveKind.HoldAt, at[i + 1]), new Move(MoveKind.DownAt, at[i]));
                var next = i + 2 < at.Count ? at[i + 2] : holes.Loop ? at[0]
                    : at[i + 1] + ((at[i + 1] - at[i]) * (sewing.BundleMm / Math.Max(1e-9, at[i].To(at[i + 1]))));
                sewing.Straight(at[i + 1], next.OnGrid());
            }
        }
    }
}
