namespace Dittany.Core.Stitches.OnLines;

/// <summary>
/// Overlapping stitches with the thread kept on the right of travel, or on the outside of each bend where that is the habit: they lie like
/// a rope.
/// </summary>
public sealed class StemStitch : Overlapping, IStitch
{
    public override StitchInfo Info { get; } = new(
        "stem", "stem stitch", StitchClass.Outline, 1.4, 4, _ => Shortest, StitchInfo.Caps(5, 8, 10, 12, 15),
            StitchInfo.Caps(7, 10, 13, 15, 20), StitchInfo.ByHeight,
        "a plush, visible line", "wavers on tight bends", StitchInfo.Memory)
    { Trait = new(Feel.Raised, true, true, 1) };

    public string Manner(StitchSchools schools) => schools.Stem == SideSchool.OneSide
        ? "The thread stays on the right of travel throughout."
        : "The thread lies on the outside of each bend and changes sides only where a stroke ends.";

    protected override int SideOn(Holes holes, StitchSchools schools) =>
        schools.Stem == SideSchool.OutsideOfBend && holes.Turn() is not 0 and var turn ? -Math.Sign(turn) : 1;
}
