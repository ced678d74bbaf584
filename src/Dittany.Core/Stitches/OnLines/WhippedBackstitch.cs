using Dittany.Core.Geometry;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Stitches.OnLines;

/// <summary>
/// Backstitch, then wraps from the far end back to the start: up at the last hole, under every stitch from the same side without piercing
/// the cloth, down at the first. At a corner the thread goes down and comes up again, so that it stays sharp.
/// </summary>
public sealed class WhippedBackstitch : Backstitch, IStitch
{
    public override StitchInfo Info { get; } = new(
        "whipped-backstitch", "whipped backstitch", StitchClass.Outline, 1.5, 2.5, Shortest, StitchInfo.Caps(6, 8, 10, 12, 16),
            StitchInfo.Caps(7, 11, 14, 17, 21),
        [(10.999, 1), (25, 2), (double.PositiveInfinity, 3)],
        "a raised cord that hides the joints", "rounds off corners unless the thread goes down there; takes more thread",
            StitchInfo.Memory);

    public override bool Reverses => false;

    public bool Blunt => true;

    public string Manner(StitchSchools schools) =>
        schools.Whip == SideSchool.OneSide ? "Every stitch is whipped from the same side."
            : "On rounds the hoop is turned, so that the wraps go outward.";

    public override void Sew(Sewn.Sewing sewing, IReadOnlyList<Holes> stretches, StitchSpec spec)
    {
        base.Sew(sewing, stretches, spec);
        foreach (var holes in stretches.Reverse())
        {
            Whip(sewing, holes, spec);
        }
    }

    /// <summary>
    /// Each wrap runs from the middle of one stitch to the middle of the next, round the thread like that of a screw, entering on its side;
    /// the first and the last go half round.
    /// </summary>
    private static void Whip(Sewn.Sewing sewing, Holes holes, StitchSpec spec)
    {
        var (turn, at) = (holes.Turn(), holes.AtMm);
        var side = (sbyte)(spec.Schools.Whip == SideSchool.OutsideOfBend && Math.Abs(turn) > Math.PI ? -Math.Sign(turn) : 1);
        for (var k = at.Count - 1; k >= 1; k--)
        {
            var middle = Pt.Lerp(at[k], at[k - 1], 0.5).OnGrid();
            if (k == at.Count - 1)
            {
                sewing.Stitch(new Move(MoveKind.UpAt, at[^1]), new Move(MoveKind.SlideUnder, middle, 0.5f, side));
            }
            else
            {
                sewing.Stitch(new Move(MoveKind.SlideUnder, middle, 1, side));
            }
        }

        sewing.Stitch(new Move(MoveKind.SlideUnder, at[0], 0.5f, side), new Move(MoveKind.DownAt, at[0], Side: side));
    }
}
