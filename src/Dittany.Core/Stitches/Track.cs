using Dittany.Core.Geometry;

namespace Dittany.Core.Stitches;

/// <summary>
/// A stroke measured along its length, in mm, by one placing at a time: point, curvature and corners by distance from its start. Curvature
/// comes from the curves, not from points on them.
/// </summary>
internal sealed class Track
{
    /// <summary>Samples stand about this far apart: a twentieth of the shortest stitch.</summary>
    private const double StepMm = 0.05;

    private readonly List<(double S, int Curve, double T, double Curvature)> _samples;
    private readonly Stroke _stroke;

    /// <summary>Where it was last asked: the next place asked for is nearly always close by.</summary>
    private int _last;

    public Track(Stroke stroke)
    {
        _stroke = stroke;
        var measured = 1;
        foreach (var curve in stroke.Curves)
        {
            measured += Pieces(curve);
        }

        _samples = new(measured);
        var s = 0.0;
        for (var c = 0; c < stroke.Curves.Count; c++)
        {
            var curve = stroke.Curves[c];
            var pieces = Pieces(curve);
            var straight = curve.IsStraight;
            var last = curve.P0;
            for (var i = c == 0 ? 0 : 1; i <= pieces; i++)
            {
                var t = (double)i / pieces;
                var p = curve.At(t);
                s += last.To(p);
                last = p;
                _samples.Add((s, c, t, straight ? 0 : Math.Abs(curve.CurvatureAt(t))));
            }

            if (c + 1 < stroke.Curves.Count && IsCorner(curve, stroke.Curves[c + 1]))
            {
                Corners.Add(s);
            }
        }

        Length = s;
    }

    private static int Pieces(Curve curve) =>
        Math.Clamp((int)Math.Ceiling((curve.P0.To(curve.P1) + curve.P1.To(curve.P2) + curve.P2.To(curve.P3)) / StepMm), 8, 1200);

    public double Length { get; }

    /// <summary>At how many places it is measured.</summary>
    public int Count => _samples.Count;

    /// <summary>Distances at which the line turns sharply, both ends not counted.</summary>
    public List<double> Corners { get; } = [];

    /// <summary>Whether a closed line turns sharply where it begins.</summary>
    public bool CornerAtStart => _stroke.Closed && IsCorner(_stroke.Curves[^1], _stroke.Curves[0]);

    public IEnumerable<(double S, double Curvature)> Samples(double from, double to)
    {
        var first = IndexAt(from);
        yield return (from, _samples[Math.Min(first + 1, _samples.Count - 1)].Curvature);
        for (var i = first + 1; i < _samples.Count && _samples[i].S < to; i++)
        {
            if (_samples[i].S > from)
            {
                yield return (_samples[i].S, _samples[i].Curvature);
            }
        }

        yield return (to, _samples[IndexAt(to)].Curvature);
    }

    public Pt At(double s)
    {
        var i = IndexAt(s);
        if (i + 1 >= _samples.Count)
        {
            return _stroke.Curves[^1].At(1);
        }

        var (a, b) = (_samples[i], _samples[i + 1]);
        var t0 = b.Curve == a.Curve ? a.T : 0;
        var share = b.S > a.S ? Math.Clamp((s - a.S) / (b.S - a.S), 0, 1) : 0;
        return _stroke.Curves[b.Curve].At(t0 + ((b.T - t0) * share));
    }

    /// <summary>Points from one distance to another, both included, fine enough that the line never shows a false corner.</summary>
    public IReadOnlyList<Pt> Points(double from, double to, int every)
    {
        var points = new List<Pt> { At(from) };
        var first = IndexAt(from) + 1;
        for (var i = first; i < _samples.Count && _samples[i].S < to; i++)
        {
            var joint = i + 1 < _samples.Count && _samples[i + 1].Curve != _samples[i].Curve;
            var bent = _samples[i].Curvature > 0;
            if (_samples[i].S > from + 1e-6 && _samples[i].S < to - 1e-6 && (joint || (bent && (i - first) % every == 0)))
            {
                points.Add(_stroke.Curves[_samples[i].Curve].At(_samples[i].T));
            }
        }

        points.Add(At(to));
        return points;
    }

    private static bool IsCorner(Curve before, Curve after) =>
        Pt.TurnRadians(Leaving(before.P3, before.P2, before.P1, before.P0) * -1,
            Leaving(after.P0, after.P1, after.P2, after.P3)) > Tolerance.CornerRadians;

    /// <summary>Direction away from an end; a handle that stands on its end is passed over.</summary>
    private static Pt Leaving(Pt end, params ReadOnlySpan<Pt> next)
    {
        foreach (var p in next)
        {
            if (end.To(p) > 1e-9)
            {
                return p - end;
            }
        }

        return default;
    }

    /// <summary>The last place measured at or before a distance.</summary>
    private int IndexAt(double s)
    {
        const int Close = 32;
        var at = _last;
        for (var steps = 0; steps < Close; steps++)
        {
            if (at + 1 < _samples.Count && _samples[at + 1].S <= s)
            {
                at++;
            }
            else if (at > 0 && _samples[at].S > s)
            {
                at--;
            }
            else
            {
                return _last = at;
            }
        }

        var (low, high) = (0, _samples.Count - 1);
        while (low < high)
        {
            var middle = (low + high + 1) / 2;
            if (_samples[middle].S <= s)
            {
                low = middle;
            }
            else
            {
                high = middle - 1;
            }
        }

        return _last = low;
    }
}
