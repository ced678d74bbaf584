using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Stitches.OnLines;

/// <summary>In and out along the line: 3 mm of thread, 2 mm of cloth, and on.</summary>
public sealed class RunningStitch : LineStitch, IStitch
{
    public override Heading Heading => Heading.RightToLeft;

    public override StitchInfo Info { get; } = new(
        "running", "running stitch", StitchClass.Outline, 1.0, 3, _ => 1.5, StitchInfo.Caps(4, 5.5, 7, 8, 11),
            StitchInfo.Caps(5, 7, 9, 11, 14), StitchInfo.ByHeight,
        "light, quick lines: the outline of a tint, a vein, a line to be whipped or laced",
            "letters that must read at a glance, for it is no solid line", StitchInfo.Memory)
    { Trait = new(Feel.Open, false, true, 1) };

    public double GapShare => 2 / 3.0;

    public bool Reverses => true;

    /// <summary>Behind lies the gap.</summary>
    public double LongestMm(double mostBehindMm) => mostBehindMm / GapShare;

    public string Manner(StitchSchools schools) =>
        "After each stitch two thirds of its length stay bare, so that the line is lightly dotted and ends with a stitch.";

    public override void Sew(Sewn.Sewing sewing, IReadOnlyList<Holes> stretches, StitchSpec spec)
    {
        foreach (var holes in stretches)
        {
            for (var i = 1; i < holes.AtMm.Count; i += 2)
            {
                sewing.Straight(holes.AtMm[i - 1], holes.AtMm[i]);
            }
        }
    }
}
