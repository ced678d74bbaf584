using Dittany.Core.Materials;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Stitches.OnLines;

/// <summary>Blanket stitch from both sides of one ridge, the teeth of one side between those of the other.</summary>
public sealed class DoubleBlanket : BlanketStitch
{
    public override StitchInfo Info { get; } = new(
        "double-blanket", "double blanket stitch", StitchClass.Outline, 1, 3.2, size => Math.Max(1.6, 2 * size.WidthMm),
            StitchInfo.ByWidth, StitchInfo.ByWidth, [(double.PositiveInfinity, 2)], "broad borders, and large open letters", "anything small",
            StitchInfo.Memory)
    { Trait = new(Feel.Open, true, true, 1) };

    protected override bool BothSides => true;
}
