using Dittany.Core.Materials;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Stitches.OnLines;

/// <summary>
/// Stem stitch with a knot on every stitch: up halfway along the one before, twice round it, and on. Small letters want the wraps tighter.
/// </summary>
public sealed class KnottedStem : Overlapping, IStitch
{
    private const int Wraps = 2;

    public override StitchInfo Info { get; } = new(
        "knotted-stem", "knotted stem stitch", StitchClass.Outline, 2.2, 4, size => Math.Max(2.4, 4 * size.WidthMm),
            StitchInfo.ByWidth, StitchInfo.ByWidth, [(25, 2), (double.PositiveInfinity, 3)], "bold, beaded letters and stems",
            "smooth lines, and tight bends", StitchInfo.Memory)
    { Trait = new(Feel.Raised, false, true, 3) };

    public bool KeepsOneLength => true;

    public string Manner(StitchSchools schools) => "Two wraps round each stitch, halfway along it; pull them tighter on small letters.";

    public string? Says(Needle.Stitch stitch) => stitch.Shape == StitchShape.Whip
        ? "Twice round the stitch before, and never through the cloth: that is its knot." : null;

    public override void Sew(Sewn.Sewing sewing, IReadOnlyList<Holes> stretches, StitchSpec spec)
    {
        foreach (var holes in stretches)
        {
            var spans = LinePlacing.Spans(holes.AtMm.Count, 2, holes.Loop);
            for (var i = 0; i < spans.Count; i++)
            {
                var (from, to) = (holes.AtMm[spans[i].From], holes.AtMm[spans[i].To]);
                if (i == 0)
                {
                    sewing.Straight(from, to, 1);
                    continue;
                }

                sewing.Stitch(new Move(MoveKind.UpAt, from), new Move(MoveKind.SlideUnder, from, Wraps, 1));
                sewing.Stitch(new Move(MoveKind.DownAt, to, Side: 1));
            }
        }
    }
}
