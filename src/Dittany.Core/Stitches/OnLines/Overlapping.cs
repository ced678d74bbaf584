using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Stitches.OnLines;

/// <summary>Stitches that lie over each other by half: down two advances ahead, up one advance back.</summary>
public abstract class Overlapping : LineStitch, IStitch
{
    public override Heading Heading => Heading.LeftToRight;

    /// <summary>
    /// The shortest of split, stem and outline, mm: they go forward by half of it, so that a bend of 1.4 mm radius can be followed (common
    /// practice).
    /// </summary>
    protected const double Shortest = 1.6;

    public int Span => 2;

    /// <summary>Behind lies half a stitch.</summary>
    public double LongestMm(double mostBehindMm) => mostBehindMm * 2;

    /// <summary>On which side of travel the thread is kept: 1 right, −1 left, 0 where it makes no difference.</summary>
    protected virtual int SideOn(Holes holes, StitchSchools schools) => 0;

    /// <summary>Whether the needle comes up through the stitch before.</summary>
    protected virtual bool Parts => false;

    public override void Sew(Sewn.Sewing sewing, IReadOnlyList<Holes> stretches, StitchSpec spec)
    {
        foreach (var holes in stretches)
        {
            var side = SideOn(holes, spec.Schools);
            var first = true;
            foreach (var (from, to) in LinePlacing.Spans(holes.AtMm.Count, Span, holes.Loop))
            {
                sewing.Straight(holes.AtMm[from], holes.AtMm[to], side, Parts && !first);
                first = false;
            }
        }
    }
}
