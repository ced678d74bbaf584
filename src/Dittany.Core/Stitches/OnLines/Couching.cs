using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Stitches.OnLines;

/// <summary>
/// One thread laid along the whole line, and a second that ties it down: the tighter the bend the closer the ties, one of them in every
/// corner. What is laid need not go through the cloth.
/// </summary>
public sealed class Couching : LineStitch, IStitch
{
    public override Heading Heading => Heading.RightToLeft;

    /// <summary>A tie reaches over the laid thread by so much, in threads (from memory).</summary>
    private const double TieThreads = 1.5;

    public override StitchInfo Info { get; } = new(
        "couching", "couching", StitchClass.Outline, 1.6, 5, _ => 2, StitchInfo.ByWidth, StitchInfo.ByWidth,
            [(25, 3), (double.PositiveInfinity, 6)], "joined writing in one sweep, and threads too thick or stiff to sew through",
            "what is handled much: a laid thread catches", StitchInfo.Memory)
    { Trait = new(Feel.Raised, true, false, 1) };

    /// <summary>Laid thread lies on the face: behind are the ties alone.</summary>
    public double LongestMm(double mostBehindMm) => Math.Max(2.5, mostBehindMm);

    public string Manner(StitchSchools schools) => "Ties stand closer the tighter the bend, and one in every corner.";

    public bool Beside => true;

    public string Says(Needle.Stitch stitch) => stitch.Passes == 2 ? "It ties the laid thread down."
        : "It is laid along the line, and goes through the cloth at its ends only.";

    public override void Sew(Sewn.Sewing sewing, IReadOnlyList<Holes> stretches, StitchSpec spec)
    {
        var way = WayOfHoles.Of(stretches);
        var last = way.AtMm.Count - 1;
        for (var i = 1; i <= last; i++)
        {
            Move lay = new(MoveKind.Lay, way.AtMm[i]);
            if (i == 1)
            {
                sewing.Stitch(last == 1 ? [new Move(MoveKind.UpAt, way.AtMm[0]), new Move(MoveKind.DownAt, way.AtMm[1])]
                    : [new Move(MoveKind.UpAt, way.AtMm[0]), lay]);
            }
            else
            {
                sewing.Stitch(i == last ? [new Move(MoveKind.DownAt, way.AtMm[i])] : [lay]);
            }
        }

        // Back to the start, so that the needle is where the next line begins.
        for (var i = last - 1; i >= 1; i--)
        {
            // By turns from either side, so that behind no more lies than from tie to tie.
            var aside = way.Right(i) * ((i % 2 == 0 ? 1 : -1) * TieThreads * sewing.BundleMm / 2);
            sewing.Straight((way.AtMm[i] - aside).OnGrid(), (way.AtMm[i] + aside).OnGrid());
        }
    }
}
