using Dittany.Core.Materials;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Stitches.OnLines;

/// <summary>
/// The thread is laid along the line and knotted to the cloth every few millimetres: close, never touching, and one in every corner.
/// </summary>
public sealed class CoralStitch : LineStitch, IStitch
{
    public override Heading Heading => Heading.RightToLeft;

    public override StitchInfo Info { get; } = new(
        "coral", "coral stitch", StitchClass.Outline, 2, 4, size => 3 * size.WidthMm, StitchInfo.ByWidth, StitchInfo.ByWidth,
            [(25, 2), (double.PositiveInfinity, 3)], "textured letters, stems with buds", "smooth, small letters", StitchInfo.Memory)
    { Trait = new(Feel.Raised, false, true, 2) };

    public bool KeepsOneLength => true;

    public string Manner(StitchSchools schools) => "Its knots stand all the same way apart, close and never touching.";

    public bool Beside => true;

    public string Says(Needle.Stitch stitch) => stitch.Shape == StitchShape.Knot ? "It knots the laid thread to the cloth."
        : "It is laid from one knot to the next.";

    public override void Sew(Sewn.Sewing sewing, IReadOnlyList<Holes> stretches, StitchSpec spec)
    {
        var way = WayOfHoles.Of(stretches);
        var half = 0.3 * sewing.BundleMm;
        for (var i = 1; i < way.AtMm.Count; i++)
        {
            // Laid to its place and held; then a small stitch across under it, the thread caught round the needle.
            var (aside, at) = (way.Right(i) * half, way.AtMm[i]);
            sewing.Stitch(i == 1 ? [new Move(MoveKind.UpAt, way.AtMm[0]), new Move(MoveKind.Lay, at)] : [new Move(MoveKind.Lay, at)]);
            var (down, up) = ((at - aside).OnGrid(), (at + aside).OnGrid());
            Move knot = new(MoveKind.Wrap, at, 1);
            sewing.Stitch(i == way.AtMm.Count - 1 ? [knot, new Move(MoveKind.DownAt, at)]
                : [knot, new Move(MoveKind.DownAt, down), new Move(MoveKind.UpAt, up), new Move(MoveKind.Lay, at)]);
        }
    }
}
