using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Stitches.OnLines;

/// <summary>
/// Blanket stitch along an edge: its ridge on the line, its teeth on the inner side of its bend; a straight tooth in
/// every corner and at both ends, neighbours fanned.
/// </summary>
public class BlanketStitch : LineStitch, IStitch
{
    public override Heading Heading => Heading.LeftToRight;

    /// <summary>How long a tooth is, mm: an eighth of an inch (common practice: an eighth to a quarter).</summary>
    private const double ToothMm = 3.2;

    public override StitchInfo Info { get; } = new(
        "blanket", "blanket stitch", StitchClass.Outline, 1, 3.2, size => Math.Max(1.6, 2 * size.WidthMm), StitchInfo.ByWidth,
            StitchInfo.ByWidth, [(40, 2), (double.PositiveInfinity, 3)], "edges, hearts, and strokes that are not to be solid",
            "letters under three times its teeth", StitchInfo.Memory)
    { Trait = new(Feel.Open, true, true, 1) };

    public bool KeepsOneLength => true;

    /// <summary>Whether teeth stand on both sides of the ridge.</summary>
    protected virtual bool BothSides => false;

    /// <summary>Room for the teeth is kept on both sides: which one they stand on hangs on the way a line runs.</summary>
    public double LineWidthMm(ThreadSize size) => Math.Round((2 * ToothMm) + size.WidthMm, 3);

    public string Manner(StitchSchools schools) => "The thread lies under the needle's point; pull away from the teeth, and set one straight "
        + "into every corner.";

    public bool Beside => true;

    public string Says(Needle.Stitch stitch) => stitch.Shape == StitchShape.Loop ? "Its ridge lies on the line, its tooth beside it."
        : "It holds the end of the ridge.";

    public override void Sew(Sewn.Sewing sewing, IReadOnlyList<Holes> stretches, StitchSpec spec)
    {
        var way = WayOfHoles.Of(stretches);
        var inward = Math.Sign(Math.Round(Signed(way.AtMm), 6)) is not 0 and var bend ? bend : 1;
        Row(sewing, way, inward, 0);
        if (BothSides)
        {
            // Of an open line the second side is worked on the way back, from where the first ended.
            Row(sewing, way.Closed ? way : way.Reversed(), way.Closed ? -inward : inward, 0.5);
        }
    }

    /// <summary>Twice the area a way goes round, positive where it turns right.</summary>
    private static double Signed(IReadOnlyList<Pt> at) => Enumerable.Range(1, at.Count - 1).Sum(i => Pt.Cross(at[i - 1], at[i]));

    private static void Row(Sewn.Sewing sewing, WayOfHoles way, int side, double shift)
    {
        Pt Ridge(int i) => shift == 0 || i + 1 >= way.AtMm.Count ? way.AtMm[i] : Pt.Lerp(way.AtMm[i], way.AtMm[i + 1], shift).OnGrid();
        Pt Tooth(int i) => (Ridge(i) + (way.Right(i) * (side * ToothMm))).OnGrid();
        var last = way.AtMm.Count - 1 - (shift == 0 ? 0 : 1);
        if (!way.Closed && shift == 0)
        {
            sewing.Straight(Tooth(0), Ridge(0));
        }

        for (var i = 1; i <= last; i++)
        {
            sewing.Stitch(new Move(MoveKind.UpAt, Ridge(i - 1)), new Move(MoveKind.HoldAt, Ridge(i)), new Move(MoveKind.DownAt, Tooth(i)));
        }

        // The last corner is held down, or the ridge slips.
        if (!way.Closed && last >= 1)
        {
            sewing.Straight(Ridge(last), (Ridge(last) + (way.Along[last] * sewing.BundleMm)).OnGrid());
        }
    }
}
