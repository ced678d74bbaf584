using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using Dittany.Core.Stitches.Needle;
using Dittany.Core.Stitches.OnLines;

namespace Dittany.Core.Stitches;

/// <summary>
/// One smooth stretch of a line with the places of its holes, by distance along the line: first and last are the stretch's own ends.
/// </summary>
internal sealed record Stretch(IReadOnlyList<double> Holes, bool Loop, double BeyondMm, bool OverTurned);

/// <summary>
/// Places stitches along a stroke. Corners and both ends are stitch ends. Between them holes split the integral of ds over the allowed
/// advance into equal parts, so lengths grade smoothly, none is a stub, and both ends land exactly. Overlapping stitches span two advances
/// and are judged by their own length. What comes out is measured against the curve; where it leaves it too far the count is raised.
/// </summary>
public static class LinePlacing
{
    /// <summary>
    /// Lengths of neighbours differ by at most this much per mm of line, so that no long stitch stands beside a short one.
    /// </summary>
    private const double MostSlope = 0.35;

    /// <summary>Room above the shortest when holes are set by arc: a chord over 60° is 0.955 of its arc.</summary>
    private const double ChordRoom = 1.05;

    /// <summary>A stitch up to this much over the shortest counts as the shortest when turns are judged.</summary>
    private const double NearShortest = 1.1;

    /// <summary>How often the count may be raised when the measured line is not good enough.</summary>
    private const int MostRaises = 12;

    /// <summary>Halvings of the scale that makes a count come out: to a ten-millionth, far under the grid.</summary>
    private const int Halvings = 24;

    /// <summary>Steps that measuring and splitting a line take for each place it is looked at (measured against the other rooms).</summary>
    private const long MeasuringSteps = 6;

    private const long SplittingSteps = 5;

    /// <summary>Steps that each stitch takes in the rooms after this one: hoop, route, thread, and being told.</summary>
    private const long StitchSteps = 300;

    /// <summary>What rounding points to the grid can add to a deviation.</summary>
    private const double GridSlackMm = 0.0015;

    /// <summary>
    /// Stitches the part of <paramref name="stroke"/> (mm) that <paramref name="by"/> leaves of it, in the way of a stitch; null where that
    /// is shorter than what can be stitched.
    /// </summary>
    internal static Placed? Place(Stroke stroke, LineStitch stitch, SewingBy by)
    {
        IStitch manner = stitch;
        var (spec, budget) = (by.Spec, by.Budget);
        var track = new Track(stroke);
        budget?.Spend(MeasuringSteps * track.Count);
        var (from, to) = (by.TrimStartMm, track.Length - by.TrimEndMm);
        if (to - from < Tolerance.DroppedBelowMm)
        {
            return null;
        }

        var stops = track.Corners.Where(c => c > from + 1e-6 && c < to - 1e-6).Prepend(from).Append(to).ToArray();
        var closed = stroke.Closed && by.TrimStartMm == 0 && by.TrimEndMm == 0;
        var loop = closed && stops.Length == 2 && !track.CornerAtStart;
        var stretches = new List<Stretch>();
        for (var i = 1; i < stops.Length; i++)
        {
            var free = manner.KeptFreeMm(spec, stops[i] - stops[i - 1], loop);
            stretches.Add(Along(track, stops[i - 1], stops[i] - free, spec, new Rhythm(manner.GapShare, loop), budget));
        }

        var line = new List<Pt>();
        for (var i = 1; i < stops.Length; i++)
        {
            line.AddRange(track.Points(stops[i - 1], stops[i], 2).Select(p => p.OnGrid()).Skip(i == 1 ? 0 : 1));
        }

        if (closed)
        {
            line.RemoveAt(line.Count - 1);
        }

        var holes = HolesOf(track, stretches, stops, closed);
        if (holes.Sum(h => h.AtMm.Count - 1) < 1)
        {
            // A needle that comes up and never goes down stitches nothing, whatever the stitch.
            return null;
        }

        var sewing = new Sewn.Sewing(spec.Pair.Size);
        stitch.Sew(sewing, holes, spec);
        var stitches = sewing.Done();
        budget?.Spend(StitchSteps * stitches.Count);
        var beyond = stretches.Max(s => s.BeyondMm);
        return new Placed(line, closed, stitches, beyond > 0 ? beyond + spec.SagittaMm : 0, stitch, spec.LineWidthMm);
    }

    /// <summary>
    /// The length that every stitch of these strokes (mm) can have: what their tightest bend allows. For stitches that keep one length.
    /// </summary>
    internal static double OneLengthMm(IEnumerable<Stroke> strokes, StitchSpec spec, Budget? budget)
    {
        var tightest = 0.0;
        foreach (var stroke in strokes)
        {
            var track = new Track(stroke);
            budget?.Spend(MeasuringSteps * track.Count);
            tightest = Math.Max(tightest, track.Samples(0, track.Length).Max(s => s.Curvature));
        }

        return spec.AllowedMm(tightest < 1e-9 ? double.PositiveInfinity : 1 / tightest);
    }

    /// <summary>
    /// The holes on the grid. A closed line ends in the very hole it began with, unless room was kept before it or cloth is left bare
    /// there.
    /// </summary>
    private static Holes[] HolesOf(Track track, IReadOnlyList<Stretch> stretches, double[] stops, bool closed)
    {
        var first = track.At(stretches[0].Holes[0]).OnGrid();
        return stretches.Select((s, i) =>
        {
            var at = s.Holes.Select(h => track.At(h).OnGrid()).ToArray();
            var (last, end) = (closed && i == stretches.Count - 1, track.At(stops[i + 1]).OnGrid());
            if (last && s.Holes[^1] >= stops[i + 1])
            {
                at[^1] = first;
            }

            return new Holes(at, s.Loop, last ? first : end);
        }).ToArray();
    }

    /// <summary>
    /// How stitches follow each other over a stretch: end to end or by half over each other, every hole one advance from the next; or
    /// apart, each followed by bare cloth of <paramref name="Gap"/> times its length, so that a stretch ends with a stitch and a closed one
    /// with the gap.
    /// </summary>
    private readonly record struct Rhythm(double Gap, bool Loop)
    {
        /// <summary>What so many of them take up, in advances.</summary>
        public double Advances(int count) => Gap == 0 ? count : (count * (1 + Gap)) - (Loop ? 0 : Gap);

        /// <summary>The fewest that so many advances take.</summary>
        public double Fewest(double advances) => Gap == 0 ? advances : (advances + (Loop ? 0 : Gap)) / (1 + Gap);

        /// <summary>Where the holes of so many stand, in advances.</summary>
        public double[] Marks(int count)
        {
            var gap = Gap;
            return gap == 0 ? Enumerable.Range(0, count + 1).Select(i => (double)i).ToArray()
                : Enumerable.Range(0, count).SelectMany(i => new[] { i * (1 + gap), (i * (1 + gap)) + 1 }).ToArray();
        }

        /// <summary>Which holes each joins.</summary>
        public IReadOnlyList<(int From, int To)> Spans(int holes, int span) => Gap == 0 ? LinePlacing.Spans(holes, span, Loop)
            : Enumerable.Range(0, holes / 2).Select(i => (2 * i, (2 * i) + 1)).ToArray();
    }

    private static Stretch Along(Track track, double from, double to, StitchSpec spec, Rhythm rhythm, Budget? budget)
    {
        var length = to - from;
        var samples = track.Samples(from, to).ToArray();
        var at = samples.Select(p => p.S).ToArray();
        var allowed = Allowed(samples, at, spec);
        var floor = spec.ShortestMm * ChordRoom / spec.Span;
        var straight = samples.All(p => p.Curvature == 0);

        // Advances: as many as stitches, and one more where they overlap and the line is open.
        var least = spec.Span == 2 ? 2 : 1;
        var most = Math.Max(least, (int)Math.Floor(rhythm.Fewest(length / (straight ? spec.ShortestMm / spec.Span : floor)) + 1e-9));
        var count = Math.Clamp((int)Math.Ceiling(rhythm.Fewest(Sum(at, allowed, 1, 0)) - 1e-6), least, most);
        if (straight && spec.Span * length / rhythm.Advances(count) > spec.MostMm && count < most)
        {
            count++;
        }

        // What may lie behind on skin outweighs the room left for chords: a hair over one longest link is two.
        if (spec.Strict && spec.Span * length / rhythm.Advances(count) > spec.MostMm + GridSlackMm)
        {
            count = (int)Math.Ceiling(rhythm.Fewest(spec.Span * length / spec.MostMm));
        }

        Stretch? best = null;
        for (var raise = 0; raise <= MostRaises && count + raise <= Math.Max(most, count); raise++)
        {
            budget?.Spend(SplittingSteps * at.Length);
            var holes = Split(at, allowed, rhythm.Marks(count + raise), rhythm.Advances(count + raise), floor, straight);
            var (beyond, turned) = Judge(track, holes, length, spec, rhythm);
            if (best is null || (beyond, turned ? 1 : 0).CompareTo((best.BeyondMm, best.OverTurned ? 1 : 0)) < 0)
            {
                best = new Stretch(holes, rhythm.Loop, beyond, turned);
            }

            if (beyond == 0 && !turned)
            {
                break;
            }
        }

        return best.Sure();
    }

    /// <summary>
    /// Allowed advance at each sample, never rising or falling faster than a stitcher's eye accepts; one length for all where one length is
    /// kept.
    /// </summary>
    private static double[] Allowed((double S, double Curvature)[] samples, double[] at, StitchSpec spec)
    {
        var allowed = samples.Select(p => spec.AllowedMm(p.Curvature < 1e-9 ? double.PositiveInfinity
            : 1 / p.Curvature) / spec.Span).ToArray();
        if (spec.OneLength)
        {
            Array.Fill(allowed, allowed.Min());
            return allowed;
        }

        for (var i = 1; i < allowed.Length; i++)
        {
            allowed[i] = Math.Min(allowed[i], allowed[i - 1] + (MostSlope * (at[i] - at[i - 1])));
        }

        for (var i = allowed.Length - 2; i >= 0; i--)
        {
            allowed[i] = Math.Min(allowed[i], allowed[i + 1] + (MostSlope * (at[i + 1] - at[i])));
        }

        return allowed;
    }

    /// <summary>Integral of ds over the allowed advance, scaled and never under the floor.</summary>
    private static double Sum(ReadOnlySpan<double> at, ReadOnlySpan<double> allowed, double scale, double floor)
    {
        var sum = 0.0;
        for (var i = 1; i < at.Length; i++)
        {
            sum += (at[i] - at[i - 1]) / Math.Max(floor, scale * (allowed[i] + allowed[i - 1]) / 2);
        }

        return sum;
    }

    /// <summary>
    /// The least scale, in parts of two, with which no more than <paramref name="count"/> advances come out. Found from above in a few
    /// steps: where the floor holds nothing the sum is one over the scale, and what the floor holds only grows less.
    /// </summary>
    private static double Scale(double[] at, double[] allowed, double count, double least)
    {
        const int Parts = 1 << Halvings;
        const double Part = 2.0 / Parts;
        var scale = 2.0;
        for (var step = 0; step < Halvings; step++)
        {
            var (free, held) = (0.0, 0.0);
            for (var i = 1; i < at.Length; i++)
            {
                var (length, mean) = (at[i] - at[i - 1], (allowed[i] + allowed[i - 1]) / 2);
                if (scale * mean > least)
                {
                    free += length / mean;
                }
                else
                {
                    held += length;
                }
            }

            var next = free <= 0 ? scale : free / Math.Max(1e-9, count - (held / least));
            if (next >= scale || held / least >= count)
            {
                break;
            }

            scale = next;
        }

        bool comes(int parts) => Sum(at, allowed, parts * Part, least) <= count;
        var near = Math.Clamp((int)Math.Ceiling(scale / Part), 1, Parts);
        var (low, high) = (comes(near) || near == Parts) switch
        {
            true when near == 1 || !comes(near - 1) => (near - 1, near),
            true => (0, near - 1),
            false => (near, Parts),
        };
        while (high - low > 1)
        {
            var middle = (low + high) / 2;
            (low, high) = comes(middle) ? (low, middle) : (middle, high);
        }

        return high * Part;
    }

    /// <summary>
    /// Holes at <paramref name="marks"/> of so many advances: the allowed ones are scaled down until the count comes out, those at the
    /// floor stay.
    /// </summary>
    private static double[] Split(double[] at, double[] allowed, double[] marks, double advances, double floor, bool straight)
    {
        var (from, to) = (at[0], at[^1]);
        if (marks.Length == 2 || straight)
        {
            return marks.Select(m => m >= advances ? to : from + ((to - from) * m / advances)).ToArray();
        }

        var least = Math.Min(floor, (to - from) / advances);
        var high = Scale(at, allowed, advances, least);
        var total = Sum(at, allowed, high, least);
        var holes = new double[marks.Length];
        (holes[0], holes[^1]) = (from, to);
        var upTo = marks[^1] >= advances ? marks.Length - 1 : marks.Length;
        var (sum, next) = (0.0, 1);
        for (var i = 1; i < at.Length && next < upTo; i++)
        {
            var part = (at[i] - at[i - 1]) / Math.Max(least, high * (allowed[i] + allowed[i - 1]) / 2);
            while (next < upTo && sum + part >= total * marks[next] / advances)
            {
                holes[next] = at[i - 1] + ((at[i] - at[i - 1]) * (((total * marks[next] / advances) - sum) / part));
                next++;
            }

            sum += part;
        }

        return holes;
    }

    /// <summary>Measures what was placed against the curve itself.</summary>
    private static (double BeyondMm, bool OverTurned) Judge(Track track, IReadOnlyList<double> holes, double length, StitchSpec spec,
        Rhythm rhythm)
    {
        var points = holes.Select(track.At).ToArray();
        var spans = rhythm.Spans(points.Length, spec.Span);
        var beyond = 0.0;
        var turned = false;
        for (var i = 0; i < spans.Count; i++)
        {
            var (a, b) = spans[i];
            beyond = Math.Max(beyond, Off(a, b));

            // Where the bend leaves no other way a chord can come out under the shortest; that is told like a sharp turn.
            turned |= spans.Count > 1 && points[a].To(points[b]) < spec.ShortestMm - GridSlackMm;
            var next = i + 1 < spans.Count ? i + 1 : rhythm.Loop ? 0 : -1;
            if (next >= 0 && rhythm.Gap > 0)
            {
                // The eye goes on over the bare cloth.
                beyond = Math.Max(beyond, Off(b, spans[next].From));
            }

            if (next >= 0 && spans.Count > 1)
            {
                var (one, two) = (points[b] - points[a], points[spans[next].To] - points[spans[next].From]);
                var shortest = Math.Min(one.Length, two.Length) <= spec.ShortestMm * NearShortest;
                turned |= Pt.TurnRadians(one, two) > (shortest ? Tolerance.MostTurnShortestRadians : Tolerance.MostTurnRadians) + 1e-3;
            }
        }

        return (beyond <= GridSlackMm ? 0 : beyond, turned);

        // How far the line leaves the way from one hole to another, beyond what it may; round a closed line the last way goes over the
        // start.
        double Off(int from, int to)
        {
            var (start, end, off) = (holes[from], to < from ? holes[to] + length : holes[to], 0.0);
            for (var k = 1; k < 16; k++)
            {
                var s = start + ((end - start) * k / 16);
                off = Math.Max(off, Polyline.ToSegment(track.At(s > holes[0] + length ? s - length : s), points[from],
                    points[to]) - spec.SagittaMm);
            }

            return off;
        }
    }

    /// <summary>
    /// Which holes each stitch joins: neighbours, or every second where stitches overlap; round a closed line the last goes over the start.
    /// </summary>
    internal static IReadOnlyList<(int From, int To)> Spans(int holes, int span, bool loop)
    {
        var advances = holes - 1;
        if (span == 1 || advances < 2)
        {
            return Enumerable.Range(0, advances).Select(i => (i, i + 1)).ToArray();
        }

        var open = Enumerable.Range(0, advances - 1).Select(i => (i, i + 2));
        return loop && advances > 2 ? [.. open, (advances - 1, 1)] : open.ToArray();
    }
}
