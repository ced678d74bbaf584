using Dittany.Core.Geometry;
using Dittany.Core.Measures;

namespace Dittany.Core.Stitches.InAreas;

/// <summary>
/// Ways through an area that follow a field of directions from edge to edge and keep about one distance from each other: where they run
/// together some end early, where they part new ones begin between them (evenly spaced streamlines: Jobard and Lefer 1997).
/// </summary>
internal static class Streamlines
{
    /// <summary>A way that runs towards another ends this near to it, in pitches: a third of it lies under its neighbour.</summary>
    private const double NearestShare = 0.6;

    /// <summary>
    /// Ways are begun so far apart, in pitches: a little nearer than threads lie, as between two that part there is a gap until another one
    /// fits.
    /// </summary>
    private const double ApartShare = 0.86;

    /// <summary>Steps of a way, in pitches.</summary>
    private const double StepShare = 0.5;

    private const double LeastStepMm = 0.15;

    /// <summary>Shorter ones are left out, in pitches.</summary>
    private const double LeastShare = 2;

    private const int MostSteps = 4000;

    /// <summary>The ways, neighbours near each other in order, each from the same side as its neighbour; mm.</summary>
    public static IReadOnlyList<IReadOnlyList<Pt>> Over(Region covers, DirectionField field, double pitchMm, Budget? budget = null)
    {
        if (covers.IsEmpty || pitchMm <= 0)
        {
            return [];
        }

        pitchMm *= ApartShare;
        var (laid, near) = (new List<IReadOnlyList<Pt>>(), new Near(pitchMm));
        var rungs = AreaGround.Rungs(covers, field.Main + (Math.PI / 2), pitchMm).OrderByDescending(r => r.LengthMm).ToArray();
        foreach (var rung in rungs)
        {
            // The middle of the longest way across first; later whatever was not reached from there.
            foreach (var share in Shares(rung.LengthMm / pitchMm))
            {
                Grow(Pt.Lerp(rung.From, rung.To, share));
            }
        }

        return Ordered(laid);

        void Grow(Pt seed)
        {
            var waiting = new Queue<(Pt At, Pt Way)>();
            waiting.Enqueue((seed, new Pt(Math.Cos(field.Main), Math.Sin(field.Main))));
            while (waiting.TryDequeue(out var next))
            {
                if (!covers.Holds(next.At) || near.Nearest(next.At) < 0.95 * pitchMm)
                {
                    continue;
                }

                var line = Through(next.At, next.Way, covers, field, pitchMm, near);
                budget?.Spend(line.Length);
                if (Polyline.Length(line) < LeastShare * pitchMm)
                {
                    near.Add([next.At]);
                    continue;
                }

                near.Add(line);
                laid.Add(line);
                for (var i = 1; i < line.Length; i++)
                {
                    var way = (line[i] - line[i - 1]) * (1 / Math.Max(1e-9, line[i - 1].To(line[i])));
                    var (at, aside) = (Pt.Lerp(line[i - 1], line[i], 0.5), new Pt(-way.Y, way.X) * pitchMm);
                    waiting.Enqueue((at + aside, way));
                    waiting.Enqueue((at - aside, way));
                }
            }
        }
    }

    private static IEnumerable<double> Shares(double pitches)
    {
        var count = Math.Max(1, (int)pitches);
        return Enumerable.Range(0, count).Select(i => (i + 0.5) / count).OrderBy(s => Math.Abs(s - 0.5));
    }

    /// <summary>Both ways from a place to the edge, or to where another is too near; in the direction of <paramref name="way"/>.</summary>
    private static Pt[] Through(Pt seed, Pt way, Region covers, DirectionField field, double pitchMm, Near near)
    {
        var step = Math.Max(LeastStepMm, StepShare * pitchMm);
        var own = Agreeing(field.At(seed), way);
        var (on, back) = (Half(own), Half(own * -1));
        return [.. back.AsEnumerable().Reverse(), seed, .. on];

        List<Pt> Half(Pt first)
        {
            var (line, at, going) = (new List<Pt>(), seed, first);
            for (var i = 0; i < MostSteps; i++)
            {
                // Midpoint rule: the direction half a step on.
                var mid = Agreeing(field.At(at + (going * (step / 2))), going);
                var next = at + (mid * step);
                if (!covers.Holds(next))
                {
                    line.Add(Edge(covers, at, next));
                    break;
                }

                if (near.Nearest(next) < NearestShare * pitchMm || (i > 8 && next.To(seed) < step))
                {
                    break;
                }

                line.Add(next);
                (at, going) = (next, Agreeing(field.At(next), mid));
            }

            return line;
        }
    }

    /// <summary>The last place inside on the way out.</summary>
    private static Pt Edge(Region covers, Pt inside, Pt outside)
    {
        for (var i = 0; i < 12; i++)
        {
            var middle = Pt.Lerp(inside, outside, 0.5);
            (inside, outside) = covers.Holds(middle) ? (middle, outside) : (inside, middle);
        }

        return inside;
    }

    private static Pt Agreeing(double radians, Pt way)
    {
        var at = new Pt(Math.Cos(radians), Math.Sin(radians));
        return Pt.Dot(at, way) < 0 ? at * -1 : at;
    }

    /// <summary>From one outermost on, always the one whose middle is nearest.</summary>
    private static List<IReadOnlyList<Pt>> Ordered(List<IReadOnlyList<Pt>> ways)
    {
        if (ways.Count < 3)
        {
            return ways;
        }

        var left = ways.Select(w => (Way: w, Middle: Polyline.At(w, Polyline.Length(w) / 2))).ToList();
        var middle = left.Aggregate(default(Pt), (sum, w) => sum + (w.Middle * (1.0 / left.Count)));
        var at = left.MaxBy(w => Math.Round(w.Middle.To(middle), 6)).Middle;
        var ordered = new List<IReadOnlyList<Pt>>(ways.Count);
        while (left.Count > 0)
        {
            var nearest = 0;
            for (var i = 1; i < left.Count; i++)
            {
                nearest = left[i].Middle.To(at) < left[nearest].Middle.To(at) - 1e-9 ? i : nearest;
            }

            at = left[nearest].Middle;
            ordered.Add(left[nearest].Way);
            left.RemoveAt(nearest);
        }

        return ordered;
    }

    /// <summary>Places laid so far, by squares, for the question which is nearest; farther than two squares counts as far.</summary>
    private sealed class Near(double squareMm)
    {
        private readonly Dictionary<(int X, int Y), List<Pt>> _squares = [];

        public void Add(IReadOnlyList<Pt> line)
        {
            foreach (var p in line)
            {
                var key = Key(p);
                if (!_squares.TryGetValue(key, out var here))
                {
                    _squares[key] = here = [];
                }

                here.Add(p);
            }
        }

        /// <summary>How far the nearest place lies, mm; infinite where none is near.</summary>
        public double Nearest(Pt at)
        {
            var (x, y) = Key(at);
            var least = double.PositiveInfinity;
            for (var dx = -1; dx <= 1; dx++)
            {
                for (var dy = -1; dy <= 1; dy++)
                {
                    foreach (var p in _squares.GetValueOrDefault((x + dx, y + dy)) ?? [])
                    {
                        least = Math.Min(least, p.To(at));
                    }
                }
            }

            return least;
        }

        private (int X, int Y) Key(Pt p) => ((int)Math.Floor(p.X / squareMm), (int)Math.Floor(p.Y / squareMm));
    }
}
