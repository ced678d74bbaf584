using Dittany.Core.Geometry;

namespace Dittany.Core.Stitches;

/// <summary>
/// Places backstitch along a stroke. Corners and both ends are stitch ends. Between them the ends split the integral of ds over the allowed length into equal parts, so
/// lengths grade smoothly, none is a stub, and both ends land exactly. What comes out is measured against the curve; where it leaves it too far the count is raised.
/// </summary>
public static class Backstitching
{
    /// <summary>Lengths of neighbours differ by at most this much per mm of line, so that no long stitch stands beside a short one.</summary>
    private const double MostSlope = 0.35;

    /// <summary>Room above the shortest when ends are set by arc: a chord over 60° is 0.955 of its arc.</summary>
    private const double ChordRoom = 1.05;

    /// <summary>A stitch up to this much over the shortest counts as the shortest when turns are judged.</summary>
    private const double NearShortest = 1.1;

    /// <summary>How often the count may be raised when the measured line is not good enough.</summary>
    private const int MostRaises = 12;

    /// <summary>What rounding points to the grid can add to a deviation.</summary>
    private const double GridSlackMm = 0.0015;

    /// <summary>
    /// Stitches the part of <paramref name="stroke"/> (mm) between two distances along it; null where that is shorter than what can be stitched.
    /// </summary>
    public static PlacedLine? Place(Stroke stroke, StitchSpec spec, double trimStartMm = 0, double trimEndMm = 0)
    {
        var track = new Track(stroke);
        var (from, to) = (trimStartMm, track.Length - trimEndMm);
        if (to - from < StitchSpec.DroppedBelowMm)
        {
            return null;
        }

        var stops = track.Corners.Where(c => c > from + 1e-6 && c < to - 1e-6).Prepend(from).Append(to).ToArray();
        var ends = new List<double> { from };
        var (beyond, turned) = (0.0, false);
        var closed = stroke.Closed && trimStartMm == 0 && trimEndMm == 0;
        for (var i = 1; i < stops.Length; i++)
        {
            var smoothLoop = closed && stops.Length == 2 && !track.CornerAtStart;
            var stretch = Stretch(track, stops[i - 1], stops[i], spec, smoothLoop);
            ends.AddRange(stretch.Ends.Skip(1));
            beyond = Math.Max(beyond, stretch.BeyondMm);
            turned |= stretch.OverTurned;
        }

        var points = ends.Select(s => track.At(s).OnGrid()).ToArray();
        if (closed)
        {
            points[^1] = points[0];
        }

        var stitches = points.Zip(points.Skip(1), (a, b) => new Stitch(b, a)).ToArray();
        var line = new List<Pt>();
        for (var i = 1; i < stops.Length; i++)
        {
            line.AddRange(track.Points(stops[i - 1], stops[i], 2).Select(p => p.OnGrid()).Skip(i == 1 ? 0 : 1));
        }

        if (closed)
        {
            line.RemoveAt(line.Count - 1);
        }

        return new PlacedLine(line, closed, stitches, beyond, turned);
    }

    private static (IReadOnlyList<double> Ends, double BeyondMm, bool OverTurned) Stretch(Track track, double from, double to, StitchSpec spec, bool loop)
    {
        var length = to - from;
        var samples = track.Samples(from, to).ToArray();
        var at = samples.Select(p => p.S).ToArray();
        var allowed = Allowed(samples, at, spec);
        var floor = spec.ShortestMm * ChordRoom;
        var most = Math.Max(1, (int)Math.Floor((length / floor) + 1e-9));
        var straight = samples.All(p => p.Curvature == 0);
        if (straight)
        {
            most = Math.Max(1, (int)Math.Floor((length / spec.ShortestMm) + 1e-9));
        }

        var count = Math.Clamp((int)Math.Ceiling(Sum(at, allowed, 1, 0) - 1e-6), 1, most);
        if (straight && length / count > 1.05 * spec.WishedMm && count < most)
        {
            count++;
        }

        (IReadOnlyList<double> Ends, double BeyondMm, bool OverTurned)? best = null;
        for (var raise = 0; raise <= MostRaises && count + raise <= Math.Max(most, count); raise++)
        {
            var ends = Split(at, allowed, count + raise, floor, straight);
            var (beyond, turned) = Judge(track, ends, spec, loop);
            if (best is null || (beyond, turned ? 1 : 0).CompareTo((best.Value.BeyondMm, best.Value.OverTurned ? 1 : 0)) < 0)
            {
                best = (ends, beyond, turned);
            }

            if (beyond == 0 && !turned)
            {
                break;
            }
        }

        return best!.Value;
    }

    /// <summary>Allowed length at each sample, never rising or falling faster than a stitcher's eye accepts; one length for all in the uniform school.</summary>
    private static double[] Allowed((double S, double Curvature)[] samples, double[] at, StitchSpec spec)
    {
        var allowed = samples.Select(p => spec.AllowedMm(p.Curvature < 1e-9 ? double.PositiveInfinity : 1 / p.Curvature)).ToArray();
        if (spec.School == LengthSchool.Uniform)
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

    /// <summary>Integral of ds over the allowed length, scaled and never under the floor.</summary>
    private static double Sum(double[] at, double[] allowed, double scale, double floor)
    {
        var sum = 0.0;
        for (var i = 1; i < at.Length; i++)
        {
            sum += (at[i] - at[i - 1]) / Math.Max(floor, scale * (allowed[i] + allowed[i - 1]) / 2);
        }

        return sum;
    }

    /// <summary>Ends of <paramref name="count"/> stitches: the allowed lengths are scaled down until the count comes out, those at the floor stay.</summary>
    private static double[] Split(double[] at, double[] allowed, int count, double floor, bool straight)
    {
        var (from, to) = (at[0], at[^1]);
        if (count == 1 || straight)
        {
            return Enumerable.Range(0, count + 1).Select(i => i == count ? to : from + ((to - from) * i / count)).ToArray();
        }

        var least = Math.Min(floor, (to - from) / count);
        var (low, high) = (0.0, 2.0);
        for (var i = 0; i < 40; i++)
        {
            var middle = (low + high) / 2;
            if (Sum(at, allowed, middle, least) > count)
            {
                low = middle;
            }
            else
            {
                high = middle;
            }
        }

        var total = Sum(at, allowed, high, least);
        var ends = new double[count + 1];
        (ends[0], ends[count]) = (from, to);
        var (sum, next) = (0.0, 1);
        for (var i = 1; i < at.Length && next < count; i++)
        {
            var part = (at[i] - at[i - 1]) / Math.Max(least, high * (allowed[i] + allowed[i - 1]) / 2);
            while (next < count && sum + part >= total * next / count)
            {
                ends[next] = at[i - 1] + ((at[i] - at[i - 1]) * (((total * next / count) - sum) / part));
                next++;
            }

            sum += part;
        }

        return ends;
    }

    /// <summary>Measures what was placed against the curve itself.</summary>
    private static (double BeyondMm, bool OverTurned) Judge(Track track, IReadOnlyList<double> ends, StitchSpec spec, bool loop)
    {
        var points = ends.Select(track.At).ToArray();
        var beyond = 0.0;
        var turned = false;
        for (var i = 1; i < points.Length; i++)
        {
            for (var k = 1; k < 16; k++)
            {
                var p = track.At(ends[i - 1] + ((ends[i] - ends[i - 1]) * k / 16));
                beyond = Math.Max(beyond, Polyline.ToSegment(p, points[i - 1], points[i]) - spec.SagittaMm);
            }

            // Where the bend leaves no other way a chord can come out under the shortest; that is told like a sharp turn.
            turned |= points.Length > 2 && points[i].To(points[i - 1]) < spec.ShortestMm - GridSlackMm;
            var next = i + 1 < points.Length ? i + 1 : loop ? 1 : -1;
            if (next > 0 && points.Length > 2)
            {
                var (a, b) = (points[i] - points[i - 1], points[next] - points[i]);
                var shortest = Math.Min(a.Length, b.Length) <= spec.ShortestMm * NearShortest;
                turned |= Pt.TurnRadians(a, b) > (shortest ? StitchSpec.MostTurnShortestRadians : StitchSpec.MostTurnRadians) + 1e-3;
            }
        }

        return (beyond <= GridSlackMm ? 0 : beyond, turned);
    }
}
