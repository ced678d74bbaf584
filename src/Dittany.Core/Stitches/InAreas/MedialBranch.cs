using Dittany.Core.Geometry;
using Dittany.Core.Measures;

namespace Dittany.Core.Stitches.InAreas;

/// <summary>
/// A stroke of an area as it is filled: where it ends against the side of another it butts there, and the other goes through; a free end
/// goes straight on to the edge.
/// </summary>
internal sealed class MedialBranch(CentreStroke stroke, bool startButts, bool endButts)
{
    public CentreStroke Stroke { get; } = stroke;

    public bool StartButts { get; } = startButts;

    public bool EndButts { get; } = endButts;

    /// <summary>The box round its middle, mm.</summary>
    private readonly (Pt Least, Pt Most) _box = stroke.Points.Count == 0 ? default : (
        new Pt(stroke.Points.Min(p => p.X), stroke.Points.Min(p => p.Y)), new Pt(stroke.Points.Max(p => p.X), stroke.Points.Max(p => p.Y)));

    private readonly double _widest = stroke.HalfWidths.DefaultIfEmpty().Max();

    /// <summary>An end this near the middle of another stroke, in its half widths, stands against its side.</summary>
    private const double Against = 0.7;

    /// <summary>It is cut back to this far from the middle, so that its threads end just under the other's edge.</summary>
    private const double ButtsAt = 0.85;

    /// <summary>Nearer to the other's own end than this, in half widths, the two meet at a corner and neither goes through.</summary>
    private const double Corner = 1.1;

    /// <summary>
    /// At a square end the middle line runs off into a corner: a turn of more than this within the last of it is cut off, and the stroke
    /// goes straight on instead.
    /// </summary>
    private const double VeersRadians = 0.4;

    /// <summary>A corner lies no further beside the way of its stroke, in half widths, than this: what does is an arm of its own.</summary>
    private const double MostAside = 0.75;

    /// <summary>What is left of a stroke that is cut back is at least so long, in half widths.</summary>
    private const double LeastLeft = 0.8;

    /// <summary>
    /// Strokes of so many shapes are kept: a letter comes again and again, in a plan and in all that is tried out for it.
    /// </summary>
    private const int MostKept = 600;

    private static readonly Kept<OwnFrame, IReadOnlyList<MedialBranch>> Known = new(MostKept);

    /// <summary>
    /// The strokes of an area, the longest first. They are found in the shape's own frame, so that what is the same elsewhere is found
    /// once;
    /// a plan is charged for each shape once.
    /// </summary>
    public static IReadOnlyList<MedialBranch> Of(AreaGround ground)
    {
        var frame = new OwnFrame(ground.Covers.Rings);
        Budget.Current.SpendOnce(frame, CentreLine.Steps(ground.Covers));
        return [.. InFrame(frame).Select(l =>
            new MedialBranch(l.Stroke.Moved(frame.Origin), l.StartButts, l.EndButts))];
    }

    /// <summary>The strokes of a shape where it lies in its own frame, the longest first.</summary>
    public static IReadOnlyList<MedialBranch> InFrame(OwnFrame frame) => Known.Of(frame, f => Found(f.Rings()));

    private static IReadOnlyList<MedialBranch> Found(IReadOnlyList<IReadOnlyList<Pt>> rings)
    {
        var strokes = CentreLine.Of(rings, yUp: false).Where(s => s.Points.Count > 1)
            .OrderByDescending(s => Polyline.Length(s.Points)).ToArray();
        return strokes.Select((s, i) =>
        {
            var others = strokes.Where((_, k) => k != i).ToArray();
            return s.Closed ? new MedialBranch(s, false, false) : Ended(s, others);
        }).Where(l => l.Stroke.Points.Count > 1).ToArray();
    }

    private static MedialBranch Ended(CentreStroke stroke, IReadOnlyList<CentreStroke> others)
    {
        var (cut, endButts) = EndCut(stroke, others);
        var (turned, startButts) = EndCut(Reversed(cut), others);
        return new MedialBranch(Reversed(turned), startButts, endButts);
    }

    /// <summary>The stroke with its last end cut back where it stands against another or veers.</summary>
    private static (CentreStroke Stroke, bool Butts) EndCut(CentreStroke stroke, IReadOnlyList<CentreStroke> others)
    {
        var end = stroke.Points[^1];
        foreach (var other in others)
        {
            var half = HalfAt(other, end);
            var free = other.Closed ? double.PositiveInfinity : Math.Min(end.To(other.Points[0]), end.To(other.Points[^1]));
            if (ToMiddle(end, other) < Against * half && free > Corner * half)
            {
                var keep = stroke.Points.Count;
                while (keep > 1 && ToMiddle(stroke.Points[keep - 1], other) < ButtsAt * HalfAt(other, stroke.Points[keep - 1]))
                {
                    keep--;
                }

                // What would be left of a short arm is none: it stays whole, and what goes through covers its end.
                return keep > 1 && Polyline.Length(stroke.Points.Take(keep).ToArray()) > LeastLeft * stroke.HalfWidths[^1]
                    ? (Taken(stroke, keep), true) : (stroke, false);
            }
        }

        // Another end here: the two meet, and nothing veers.
        if (others.Any(o => !o.Closed && Math.Min(end.To(o.Points[0]), end.To(o.Points[^1])) < stroke.HalfWidths[^1]))
        {
            return (stroke, false);
        }

        var by = stroke.HalfWidths.Max();
        var length = Polyline.Length(stroke.Points);
        if (length < 4 * by)
        {
            return (stroke, false);
        }

        Pt Back(double mm) => Polyline.At(stroke.Points, length - mm);
        var (last, before) = (Back(0) - Back(0.6 * by), Back(1.2 * by) - Back(2.4 * by));
        var aside = before.Length > 0 ? Math.Abs(Pt.Cross(before, end - Back(1.2 * by))) / before.Length : 0;
        if (Math.Abs(Math.Atan2(Pt.Cross(before, last), Pt.Dot(before, last))) < VeersRadians || aside > MostAside * by)
        {
            // It goes on as it went, or really turns there, as a serif does.
            return (stroke, false);
        }

        var (kept, along) = (1, 0.0);
        while (kept < stroke.Points.Count && (along += stroke.Points[kept - 1].To(stroke.Points[kept])) < length - (1.1 * by))
        {
            kept++;
        }

        return (Taken(stroke, kept), false);
    }

    /// <summary>Half the width of a stroke beside a place, mm.</summary>
    public static double HalfAt(CentreStroke stroke, Pt at)
    {
        var (nearest, best) = (0, double.PositiveInfinity);
        for (var i = 0; i < stroke.Points.Count; i++)
        {
            var to = stroke.Points[i].To(at);
            if (to < best)
            {
                (nearest, best) = (i, to);
            }
        }

        return stroke.HalfWidths[nearest];
    }

    /// <summary>How far a place is from the middle of a stroke, mm.</summary>
    public static double ToMiddle(Pt at, CentreStroke stroke)
    {
        var open = Polyline.ToLine(at, stroke.Points);
        return stroke.Closed ? Math.Min(open, Polyline.ToSegment(at, stroke.Points[^1], stroke.Points[0])) : open;
    }

    /// <summary>
    /// Whether a place lies within this share of its half width from the middle of the stroke. Asked for every place of every other
    /// stroke: what lies outside the box round the widest of it is told at once.
    /// </summary>
    public bool Within(Pt at, double share)
    {
        var (least, most) = _box;
        var reach = share * _widest;
        return at.X > least.X - reach && at.X < most.X + reach && at.Y > least.Y - reach && at.Y < most.Y + reach
            && ToMiddle(at, Stroke) is var middle && middle < reach && middle < share * HalfAt(Stroke, at);
    }

    private static CentreStroke Taken(CentreStroke s, int count) => new(s.Points.Take(count).ToArray(), s.HalfWidths.Take(count).ToArray(),
        false, s.Corners.Where(c => c < count).ToHashSet());

    private static CentreStroke Reversed(CentreStroke s) => new(s.Points.Reverse().ToArray(), s.HalfWidths.Reverse().ToArray(), false,
        s.Corners.Select(c => s.Points.Count - 1 - c).ToHashSet());
}
