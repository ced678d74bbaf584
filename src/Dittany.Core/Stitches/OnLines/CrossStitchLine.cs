using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Stitches.OnLines;

/// <summary>Crosses side by side along the line: all first halves out, all second halves back over them.</summary>
public sealed class CrossStitchLine : LineStitch, IStitch
{
    public override Heading Heading => Heading.LeftToRight;

    public override StitchInfo Info { get; } = new(
        "cross", "cross stitch", StitchClass.Outline, 1, 2.5, _ => 1.25, StitchInfo.ByWidth,
            StitchInfo.ByWidth, [(double.PositiveInfinity, 2)], "borders and straight letters", "tight bends: crosses are upright things",
            StitchInfo.Memory)
    { Trait = new(Feel.Open, false, true, 1) };

    /// <summary>A cross is as wide as it is long.</summary>
    private const double WideMm = 2.5;

    public bool KeepsOneLength => true;

    public double LineWidthMm(ThreadSize size) => Math.Round(WideMm + size.WidthMm, 3);

    /// <summary>Behind lies the width of a cross.</summary>
    public double LongestMm(double mostBehindMm) => mostBehindMm;

    public string Manner(StitchSchools schools) => "The upper threads of all crosses lie the same way.";

    public bool Beside => true;

    public string Says(Needle.Stitch stitch) => "It is half of a cross.";

    public override void Sew(Sewn.Sewing sewing, IReadOnlyList<Holes> stretches, StitchSpec spec)
    {
        foreach (var holes in stretches)
        {
            var way = WayOfHoles.Of([holes]);
            Pt Side(int i, int side) => (way.AtMm[i] + (way.Right(i) * (side * WideMm / 2))).OnGrid();
            for (var i = 1; i < way.AtMm.Count; i++)
            {
                sewing.Straight(Side(i - 1, 1), Side(i, -1));
            }

            for (var i = way.AtMm.Count - 1; i >= 1; i--)
            {
                sewing.Straight(Side(i, 1), Side(i - 1, -1));
            }
        }
    }
}
