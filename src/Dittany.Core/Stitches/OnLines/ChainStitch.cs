using Dittany.Core.Materials;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Stitches.OnLines;

/// <summary>
/// Links through each other: up, a loop laid out to its tip and held there by the next link, down again where it came up. The last link of
/// a stretch is tied down.
/// </summary>
public sealed class ChainStitch : LineStitch, IStitch
{
    public override Heading Heading => Heading.RightToLeft;

    private const double Width = 2.5;

    public override StitchInfo Info { get; } = new(
        "chain", "chain stitch", StitchClass.Outline, Width, 3, size => Math.Max(1.5, Width * size.WidthMm),
        StitchInfo.Caps(9, 14, 17, 21, 26), StitchInfo.Caps(12, 18, 23, 28, 35), [(25, 2), (30, 3), (double.PositiveInfinity, 4)],
        "bold letters, and cloth that stretches", "too wide for small letters; a link out of measure shows", StitchInfo.Memory)
    { Trait = new(Feel.Raised, true, true, 1) };

    public bool KeepsOneLength => true;

    public string Manner(StitchSchools schools) => "A link out of measure shows at once, so one length is kept over the whole word.";

    /// <summary>
    /// Four strands in general and six where cloth is dark and busy, or two and three: practitioners differ (common practice).
    /// </summary>
    public IReadOnlyList<(double UpToMm, int Strands)> StrandsUpTo(StitchFacts facts) => facts.ChainSchool != "four" ? Info.StrandsUpTo
        : facts.DarkAndBusy ? [(20.999, 3), (25.999, 4), (double.PositiveInfinity, 6)]
        : [(20.999, 3), (double.PositiveInfinity, 4)];

    /// <summary>
    /// How long the tie is that holds the last link of a stretch: just past its tip, about the width of the thread (from memory). None
    /// round a closed line, none on a stretch too short for a link.
    /// </summary>
    public double KeptFreeMm(StitchSpec spec, double stretchMm, bool loop) => !loop && stretchMm - spec.BundleMm >= spec.ShortestMm
        ? spec.BundleMm : 0;

    public override void Sew(Sewn.Sewing sewing, IReadOnlyList<Holes> stretches, StitchSpec spec)
    {
        foreach (var holes in stretches)
        {
            var at = holes.AtMm;
            if (!holes.Loop && at[^1].To(holes.EndMm) < 0.01)
            {
                // Too short for a link and its tie: one straight stitch.
                sewing.Straight(at[0], holes.EndMm);
                continue;
            }

            for (var i = 1; i < at.Count; i++)
            {
                sewing.Stitch(new Move(MoveKind.UpAt, at[i - 1]), new Move(MoveKind.HoldAt, at[i]), new Move(MoveKind.DownAt, at[i - 1]));
            }

            if (!holes.Loop)
            {
                sewing.Straight(at[^1], holes.EndMm);
            }
        }
    }
}
