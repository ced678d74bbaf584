
namespace Dittany.Core.Stitches.OnLines;

/// <summary>Each stitch comes up through the middle of the one before and parts its strands.</summary>
public sealed class SplitStitch : Overlapping, IStitch
{
    public override StitchInfo Info { get; } = new(
        "split", "split stitch", StitchClass.Outline, 1.25, 4, _ => Shortest, StitchInfo.Caps(5, 7, 9, 10, 13),
            StitchInfo.Caps(6, 9, 12, 14, 18), StitchInfo.ByHeight,
        "round letters, and cloth that stretches", "jagged where it is long on a bend", StitchInfo.Memory)
    { Trait = new(Feel.Flat, true, true, 1) };

    protected override bool Parts => true;

    /// <summary>An even number, so that the needle parts them in halves, or any: practitioners differ (common practice).</summary>
    public IReadOnlyList<(double UpToMm, int Strands)> StrandsUpTo(StitchFacts facts) =>
        facts.SplitSchool == "even" ? [(9.999, 2), (25, 4), (double.PositiveInfinity, 6)] : Info.StrandsUpTo;
}
