namespace Dittany.Core.Stitches.OnLines;

/// <summary>As stem, with the thread kept on the left of travel: it lies narrower.</summary>
public sealed class OutlineStitch : Overlapping
{
    public override StitchInfo Info { get; } = new(
        "outline", "outline stitch", StitchClass.Outline, 1.15, 4, _ => Shortest, StitchInfo.Caps(4, 6, 8, 10, 12),
            StitchInfo.Caps(6, 8, 11, 13, 16), StitchInfo.ByHeight,
        "a narrow, clean line on curves", "wavers on tight bends", StitchInfo.Memory)
    { Trait = new(Feel.Flat, true, true, 1) };

    protected override int SideOn(Holes holes, StitchSchools schools) => -1;
}
