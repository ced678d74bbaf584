using Dittany.Core.Designs;
using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Stitches.InAreas;

/// <summary>
/// Satin that turns with a stroke: every stitch lies across the line down its middle. On a bend the inner ends fan from shared holes, at
/// most two threads a hole, and then comes a short one that is tucked between (common practice).
/// </summary>
public sealed class TurningSatin : AreaStitch
{
    /// <summary>Places looked at along the middle line stand so far apart, in threads.</summary>
    private const double LookThreads = 0.2;

    /// <summary>Inner ends nearer than this, in threads, share a hole.</summary>
    private const double SharedThreads = 0.5;

    /// <summary>
    /// So many threads go into one hole at the most (common practice); the next is shortened by this share (from memory).
    /// </summary>
    private const int MostInAHole = 2;

    private const double TuckedBy = 0.25;

    /// <summary>A stitch reaches no further than so many half widths from the middle: beyond that another stroke begins.</summary>
    private const double Reach = 1.5;

    /// <summary>A stroke is at least so many of its widths long.</summary>
    private const double LeastWidths = 1.5;

    public override StitchInfo Info { get; } = new(
        "turning-satin", "satin stitch that turns with the stroke", StitchClass.Fill, 1, 0, _ => LeastWidthMm,
            StitchInfo.Caps(20, 20, 22, 26, 32), StitchInfo.Caps(26, 26, 28, 32, 38), [(double.PositiveInfinity, 2)],
        "thick letters and stems that bend", "shapes without strokes; sharp bends in thick thread", StitchInfo.Memory)
    { Trait = new(Feel.Raised, false, false, 3) };

    public override string Because => "Satin that turns with the stroke writes thick letters as a broad pen would.";

    public override bool Directed => false;

    protected override Judgement Fills(AreaGround ground, SewingBy by)
    {
        var strokes = ground.Limbs.Select(l => l.Stroke).ToArray();
        if (strokes.Length == 0 || strokes.Sum(s => Polyline.Length(s.Points)) < LeastWidths * strokes.Max(s => s.MeanWidth))
        {
            return new Judgement(false, "It has no strokes that satin could turn with: it is about as wide as long.",
                "Take satin stitch in one direction, or brick stitch.");
        }

        var widest = 2 * strokes.Max(s => s.HalfWidths.Max());
        return widest <= by.MostFreeMm ? Judgement.Yes : new Judgement(false,
            $"Its strokes are up to {Say.Length(Math.Round(widest, 1))} wide, and here nothing longer than {Say.Length(by.MostFreeMm)} may "
                + $"float on the face.", "Take brick stitch, or rows of chain stitch.");
    }

    protected override void Sew(Sewn.Sewing sewing, AreaGround ground, SewingBy by)
    {
        var frame = new OwnFrame(ground.Covers.Rings);
        var filled = new Filled(frame, by.Spec.BundleMm, by.MostFreeMm);
        Budget.Current.SpendOnce(filled, StepsAPlace * (long)(ground.Limbs.Sum(l => Polyline.Length(l.Stroke.Points))
            / (LookThreads * filled.ThreadMm)));
        foreach (var stroke in Known.Of(filled, Across))
        {
            sewing.Break();
            foreach (var (left, right) in stroke)
            {
                sewing.BreakBefore(left + frame.Origin, Math.Max(MostHopMm, 1.5 * by.MostFreeMm));
                sewing.Straight((left + frame.Origin).OnGrid(), (right + frame.Origin).OnGrid());
            }
        }
    }

    /// <summary>A shape in its own frame as it is filled with thread of one width, mm, that may lie free so far, mm.</summary>
    private sealed record Filled(OwnFrame Shape, double ThreadMm, double MostFreeMm);

    /// <summary>Steps for each place that is looked at (measured: about five thousandths of a millisecond).</summary>
    private const long StepsAPlace = 100;

    /// <summary>So many shapes are kept as they are filled: the letters of a few names.</summary>
    private const int MostKept = 200;

    /// <summary>A letter comes again and again, and looking for its edges at every place is dear.</summary>
    private static readonly Kept<Filled, IReadOnlyList<IReadOnlyList<(Pt Left, Pt Right)>>> Known = new(MostKept);

    /// <summary>The stitches across each stroke of a shape, in its own frame.</summary>
    private static IReadOnlyList<IReadOnlyList<(Pt Left, Pt Right)>> Across(Filled filled)
    {
        var covers = new Area([.. filled.Shape.Rings().Select(Stroke.Ring)]).Covers();
        var limbs = MedialBranch.InFrame(filled.Shape);
        return limbs.Select((l, i) => (IReadOnlyList<(Pt, Pt)>)Across(covers, filled, l, limbs.Take(i).ToArray()).ToArray()).ToArray();
    }

    private static IEnumerable<(Pt Left, Pt Right)> Across(Region covers, Filled filled, MedialBranch limb,
        IReadOnlyList<MedialBranch> before)
    {
        var thread = filled.ThreadMm;
        (Pt Left, Pt Right)? last = null;
        var (shared, leftInside) = (0, false);
        foreach (var found in Rungs(covers, limb, before, LookThreads * thread))
        {
            var rung = found;
            if (rung.Left.To(rung.Right) > filled.MostFreeMm * 1.4)
            {
                continue;
            }

            if (last is { } previous)
            {
                var (left, right) = (rung.Left.To(previous.Left), rung.Right.To(previous.Right));
                if (Math.Max(left, right) < thread)
                {
                    continue;
                }

                var inside = left < right;
                if (Math.Min(left, right) >= SharedThreads * thread || inside != leftInside)
                {
                    (shared, leftInside) = (1, inside);
                }
                else if (++shared <= MostInAHole)
                {
                    rung = inside ? (previous.Left, rung.Right) : (rung.Left, previous.Right);
                }
                else
                {
                    // Tucked between: the hole is full, so this one ends before it, and the next begins a new one.
                    shared = 0;
                    rung = inside ? (Pt.Lerp(rung.Left, rung.Right, TuckedBy), rung.Right)
                        : (rung.Left, Pt.Lerp(rung.Right, rung.Left, TuckedBy));
                }
            }

            yield return rung;
            last = rung;
        }
    }

    /// <summary>Ways across a stroke, so far apart along its middle, mm; those that another stroke before it covers are left out.</summary>
    internal static IEnumerable<(Pt Left, Pt Right)> Rungs(Region covers, MedialBranch limb, IReadOnlyList<MedialBranch> before,
        double apartMm)
    {
        foreach (var (at, way, half) in Along(covers, limb, before, apartMm))
        {
            if (!before.Any(b => Covers(b, at)) && Rung(covers, at, way, half) is { } rung)
            {
                yield return rung;
            }
        }
    }

    /// <summary>
    /// Places along the middle line with the way it goes there and half the width, from where the area begins to where it ends: an open end
    /// goes straight on to the edge, unless another stroke is there already.
    /// </summary>
    private static IEnumerable<(Pt At, Pt Way, double Half)> Along(Region covers, MedialBranch limb,
        IReadOnlyList<MedialBranch> before, double stepMm)
    {
        var stroke = limb.Stroke;
        var line = stroke.Curved().Flatten(0.01).ToList();
        if (stroke.Closed)
        {
            line.Add(line[0]);
        }
        else
        {
            if (!limb.StartButts)
            {
                line.InsertRange(0, OutOf(line[0], line[0] - line[1], stroke.HalfWidths[0]));
            }

            if (!limb.EndButts)
            {
                line.AddRange(OutOf(line[^1], line[^1] - line[^2], stroke.HalfWidths[^1]));
            }
        }

        var along = 0.0;
        for (var i = 1; i < line.Count; i++)
        {
            var (a, b) = (line[i - 1], line[i]);
            var length = a.To(b);
            for (; along < length; along += stepMm)
            {
                var at = Pt.Lerp(a, b, along / length);
                yield return (at, Way(line, i, along / length, stroke.Closed), MedialBranch.HalfAt(stroke, at));
            }

            along -= length;
        }

        IEnumerable<Pt> OutOf(Pt end, Pt way, double half)
        {
            if (way.Length < 1e-9 || before.Any(b => Covers(b, end)))
            {
                return [];
            }

            var step = way * (0.1 * half / way.Length);
            return Enumerable.Range(1, 22).Select(k => end + (step * k)).TakeWhile(covers.Holds).TakeLast(1);
        }
    }

    /// <summary>The way a line goes at a place of one of its pieces, evened between the corners of the piece.</summary>
    private static Pt Way(IReadOnlyList<Pt> line, int piece, double share, bool closed)
    {
        var own = Unit(line[piece] - line[piece - 1]);
        var before = piece > 1 ? Unit(line[piece - 1] - line[piece - 2]) : closed ? Unit(line[^1] - line[^2]) : own;
        var after = piece + 1 < line.Count ? Unit(line[piece + 1] - line[piece]) : closed ? Unit(line[1] - line[0]) : own;
        return Unit(Pt.Lerp(own + before, own + after, share));
    }

    private static Pt Unit(Pt d) => d.Length < 1e-12 ? d : d * (1 / d.Length);

    /// <summary>Whether a place lies on a stroke, and so is stitched with it.</summary>
    private static bool Covers(MedialBranch limb, Pt at) => limb.Within(at, Covered);

    /// <summary>So near the middle of a stroke, in half widths, a place is stitched with it.</summary>
    private const double Covered = 0.75;

    /// <summary>The way across the area at a place, square to the line there; null where the place lies outside.</summary>
    private static (Pt Left, Pt Right)? Rung(Region covers, Pt at, Pt way, double half)
    {
        var aside = new Pt(-way.Y, way.X);
        if (!covers.Holds(at))
        {
            return null;
        }

        var (left, right) = (Edge(-1), Edge(1));
        return left.To(right) > LeastMm ? (left, right) : null;

        // Where the area goes on beyond reach, another stroke begins: this one is as wide as it is elsewhere.
        Pt Edge(int side)
        {
            var reach = aside * (side * Reach * half);
            return (covers.Holds(at + reach) ? null : covers.FirstEdge(at, reach)) ?? at + (aside * (side * half));
        }
    }

    /// <summary>Shorter than this a stitch is a prick, mm (from memory).</summary>
    private const double LeastMm = 0.5;
}
