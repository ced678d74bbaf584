using Dittany.Core.Geometry;

namespace Dittany.Core.Words;

/// <summary>
/// How large a wording can be at its anchor. Exact, not searched: as the wording grows about the anchor each piece of it meets each edge of
/// the field over one interval of sizes; between the blocked intervals it lies wholly inside or wholly outside, stroke by stroke. The
/// highest free interval that is inside gives the answer, so a hole in the field (a button) that makes fitting come and go with size is no
/// trap.
/// </summary>
public static class Fit
{
    /// <summary>Capitals a job may have.</summary>
    public const double MostCapMm = 300;

    /// <summary>Blocked intervals nearer than this leave no size a person could name between them.</summary>
    private const double Slit = 1e-6;

    /// <summary>
    /// The largest capital height in mm at which every line, already narrowed to its centre, lies in <paramref name="room"/>: the field
    /// eroded by half the stitched width.
    /// <paramref name="lines"/> are for capitals 1 mm high about the anchor. 0 where no size fits; at most <see cref="MostCapMm"/>.
    /// <paramref name="hull"/> gives the corners of the hull round all lines where they are known already: in a room without bays nothing
    /// else has to be looked at.
    /// </summary>
    public static double LargestCapMm(Region room, Pt anchor, IEnumerable<IReadOnlyList<Pt>> lines, Func<IReadOnlyList<Pt>>? hull = null)
    {
        var all = lines.ToArray();
        if (room.IsEmpty || all.Length == 0)
        {
            return 0;
        }

        if (room.IsConvex)
        {
            return LargestInConvex(room.Rings[0], anchor, hull?.Invoke() ?? Region.HullOf(all.SelectMany(l => l).ToArray()));
        }

        if (StarFit.Of(room, anchor) is { } star)
        {
            return star.LargestCapMm(all, MostCapMm);
        }

        // No larger than in the room with its bays filled: quickly told, and often all there is to tell.
        var corners = hull?.Invoke() ?? Region.HullOf(all.SelectMany(l => l).ToArray());
        var most = LargestInConvex(Region.HullOf([.. room.Rings.SelectMany(r => r)]), anchor, corners);
        if (most <= 0)
        {
            return 0;
        }

        var blocked = Blocked(room, anchor, all, most * corners.Max(c => c.Length));
        Merge(blocked);
        var free = new List<(double From, double To)>();
        var reached = 0.0;
        foreach (var (from, to) in blocked)
        {
            if (from > reached + Slit && reached < most)
            {
                free.Add((reached, Math.Min(from, most)));
            }

            reached = Math.Max(reached, to);
        }

        if (reached < most)
        {
            free.Add((reached, most));
        }

        for (var i = free.Count - 1; i >= 0; i--)
        {
            var middle = (free[i].From + free[i].To) / 2;
            if (all.All(line => room.Holds(anchor + (line[0] * middle))))
            {
                return free[i].To;
            }
        }

        return 0;
    }

    /// <summary>
    /// What fitting so many points into a room takes: in one without bays the hull is looked at alone, else every piece meets every edge.
    /// </summary>
    internal static long Steps(Region room, int points) => room.IsEmpty ? 0 : room.IsConvex ? points
        : (long)points * room.Rings.Sum(r => r.Count);

    /// <summary>
    /// In a room without bays each corner is inside over one stretch of sizes, and so is the whole where all of these overlap.
    /// </summary>
    private static double LargestInConvex(IReadOnlyList<Pt> ring, Pt anchor, IReadOnlyList<Pt> corners)
    {
        var (from, to) = (0.0, MostCapMm);
        var side = Math.Sign(Enumerable.Range(0, ring.Count).Sum(i => Pt.Cross(ring[i], ring[(i + 1) % ring.Count])));
        for (var e = 0; e < ring.Count; e++)
        {
            var (a, d) = (ring[e], ring[(e + 1) % ring.Count] - ring[e]);
            var least = side * Pt.Cross(d, anchor - a);
            foreach (var q in corners)
            {
                if (!Clip(least, side * Pt.Cross(d, q), ref from, ref to))
                {
                    return 0;
                }
            }
        }

        return to > from ? to : 0;
    }

    /// <summary>Lines are looked at this often on their way, mm: no obstacle is smaller.</summary>
    private const double LookMm = 1;

    /// <summary>Whether the lines at one size lie wholly in the room; for layouts that must be made anew at every size.</summary>
    public static bool Holds(Region room, Pt anchor, IEnumerable<IReadOnlyList<Pt>> lines, double capMm) => !room.IsEmpty
        && lines.All(line =>
    {
        for (var i = 0; i < line.Count; i++)
        {
            var p = anchor + (line[i] * capMm);
            if (!room.Holds(p))
            {
                return false;
            }

            if (i > 0 && !room.IsConvex)
            {
                var from = anchor + (line[i - 1] * capMm);
                var pieces = (int)Math.Ceiling(from.To(p) / LookMm);
                for (var k = 1; k < pieces; k++)
                {
                    if (!room.Holds(Pt.Lerp(from, p, (double)k / pieces)))
                    {
                        return false;
                    }
                }
            }
        }

        return true;
    });

    /// <summary>
    /// The largest height in mm at which something that is laid out anew at every height still fits: looked for from
    /// <paramref name="mostMm"/> downwards by a twentieth at a time (or another <paramref name="step"/>), then halved to a quarter of a
    /// percent. 0 where none does.
    /// </summary>
    public static double LargestBySearch(Func<double, bool> fits, double leastMm, double mostMm, double step = 0.95) =>
        Down(fits, leastMm, mostMm, mostMm, step);

    /// <summary>
    /// The same where more is known: that it lies below <paramref name="mostMm"/>, about where (<paramref name="expectedMm"/>), and a
    /// height that something larger has come to (<paramref name="likelyMm"/>, or 0): those are tried first, then further and further from
    /// them.
    /// </summary>
    public static double LargestNear(Func<double, bool> fits, double leastMm, double mostMm, double expectedMm, double likelyMm,
        double step)
    {
        var bad = mostMm;
        foreach (var guess in new[] { expectedMm / Math.Sqrt(Near), likelyMm })
        {
            if (guess < leastMm || guess >= bad)
            {
                continue;
            }

            if (!fits(guess))
            {
                bad = guess;
                continue;
            }

            var (good, further) = (guess, Near);
            while (good * further < bad && fits(good * further))
            {
                (good, further) = (good * further, further * further);
            }

            return Halved(fits, good, Math.Min(bad, good * further));
        }

        return Down(fits, leastMm, bad < mostMm ? bad * step : bad, bad, step);
    }

    /// <summary>Sizes are told apart to a quarter of a percent.</summary>
    private const double Near = 1.0025;

    private static double Down(Func<double, bool> fits, double leastMm, double fromMm, double bad, double step)
    {
        for (var cap = fromMm; cap >= leastMm; cap *= step)
        {
            if (fits(cap))
            {
                return Halved(fits, cap, bad);
            }

            bad = cap;
        }

        return bad > leastMm && fits(leastMm) ? Halved(fits, leastMm, bad) : 0;
    }

    private static double Halved(Func<double, bool> fits, double good, double bad)
    {
        while (good > 0 && bad > good && bad / good > Near)
        {
            var middle = (good + bad) / 2;
            if (fits(middle))
            {
                good = middle;
            }
            else
            {
                bad = middle;
            }
        }

        return good;
    }

    /// <summary>
    /// How far the lines at this size lie outside the room, in mm; 0 when they fit. Where there is no room at all they are outside as far
    /// as they reach from their anchor.
    /// </summary>
    public static double OverflowMm(Region room, Pt anchor, IEnumerable<IReadOnlyList<Pt>> lines, double capMm) =>
        room.IsEmpty ? lines.SelectMany(line => line).Select(p => p.Length * capMm).DefaultIfEmpty(0).Max()
            : room.FurthestOutside(lines.SelectMany(line => line).Select(p => anchor + (p * capMm)));

    /// <summary>
    /// So many intervals are kept apart before they are merged: a drawing of ten thousand pieces in a ragged room meets its edges millions
    /// of times.
    /// </summary>
    private const int MostApart = 1 << 16;

    /// <summary>Intervals in order, those that meet as one.</summary>
    private static void Merge(List<(double From, double To)> blocked)
    {
        blocked.Sort((a, b) => a.From != b.From ? a.From.CompareTo(b.From) : a.To.CompareTo(b.To));
        var kept = 0;
        for (var i = 1; i < blocked.Count; i++)
        {
            if (blocked[i].From <= blocked[kept].To)
            {
                blocked[kept] = (blocked[kept].From, Math.Max(blocked[kept].To, blocked[i].To));
            }
            else
            {
                blocked[++kept] = blocked[i];
            }
        }

        if (blocked.Count > 0)
        {
            blocked.RemoveRange(kept + 1, blocked.Count - kept - 1);
        }
    }

    /// <summary>
    /// Sizes at which some piece meets some edge; edges further from the anchor than <paramref name="reachMm"/> are never met by a size
    /// that fits.
    /// </summary>
    private static List<(double From, double To)> Blocked(Region room, Pt anchor, IReadOnlyList<IReadOnlyList<Pt>> lines, double reachMm)
    {
        var blocked = new List<(double, double)>();
        var mostNow = MostApart;
        var wedges = lines.Select(Wedge.Round).ToArray();
        foreach (var ring in room.Rings)
        {
            for (var e = 0; e < ring.Count; e++)
            {
                var (e0, e1) = (ring[e] - anchor, ring[(e + 1) % ring.Count] - anchor);
                if (Polyline.ToSegment(default, e0, e1) > reachMm)
                {
                    continue;
                }

                for (var l = 0; l < lines.Count; l++)
                {
                    if (wedges[l].Misses(e0, e1))
                    {
                        continue;
                    }

                    var line = lines[l];
                    for (var k = 1; k < line.Count; k++)
                    {
                        Meet(line[k - 1], line[k], e0, e1, blocked);
                    }

                    if (blocked.Count > mostNow)
                    {
                        Merge(blocked);
                        mostNow = Math.Max(MostApart, 2 * blocked.Count);
                    }
                }
            }
        }

        return blocked;
    }

    /// <summary>
    /// The directions a line lies in as it is seen from the anchor: it stays within them however large it grows. None where it lies round
    /// the anchor.
    /// </summary>
    private readonly record struct Wedge(Pt From, Pt To)
    {
        /// <summary>A side is clear by so much, mm².</summary>
        private const double Clear = 1e-9;

        public static Wedge Round(IReadOnlyList<Pt> line)
        {
            var middle = new Pt(line.Sum(p => p.X), line.Sum(p => p.Y));
            var (from, to) = (line[0], line[0]);
            foreach (var p in line)
            {
                if (Pt.Dot(middle, p) <= 0)
                {
                    return default;
                }

                (from, to) = (Pt.Cross(from, p) < 0 ? p : from, Pt.Cross(to, p) > 0 ? p : to);
            }

            return new Wedge(from, to);
        }

        /// <summary>Whether an edge lies wholly beside it.</summary>
        public bool Misses(Pt e0, Pt e1) => (Pt.Cross(From, e0) < -Clear && Pt.Cross(From, e1) < -Clear)
            || (Pt.Cross(To, e0) > Clear && Pt.Cross(To, e1) > Clear);
    }

    /// <summary>
    /// The sizes s at which s·[q0, q1] meets the edge. In the frame of q0 and d = q1 − q0 the grown piece is { s·q0 + u·d, 0 ≤ u ≤ s }: a
    /// wedge, in which the edge cuts one stretch, and its s-values are the interval.
    /// </summary>
    private static void Meet(Pt q0, Pt q1, Pt e0, Pt e1, List<(double, double)> blocked)
    {
        var d = q1 - q0;
        var turn = Pt.Cross(q0, d);
        if (Math.Abs(turn) < 1e-12)
        {
            MeetOnRay(q0, q1, e0, e1, blocked);
            return;
        }

        // Where the ends of the edge stand in (s, u).
        var (s0, u0) = (Pt.Cross(e0, d) / turn, Pt.Cross(q0, e0) / turn);
        var (s1, u1) = (Pt.Cross(e1, d) / turn, Pt.Cross(q0, e1) / turn);
        var (from, to) = (0.0, 1.0);
        if (!Clip(u0, u1 - u0, ref from, ref to) || !Clip(s0 - u0, s1 - u1 - (s0 - u0), ref from, ref to))
        {
            return;
        }

        var (a, b) = (s0 + ((s1 - s0) * from), s0 + ((s1 - s0) * to));
        Add(Math.Min(a, b), Math.Max(a, b), blocked);
    }

    /// <summary>A piece that points straight at the anchor slides along a ray: it meets the edge where the ray does.</summary>
    private static void MeetOnRay(Pt q0, Pt q1, Pt e0, Pt e1, List<(double, double)> blocked)
    {
        var way = q1.Length > q0.Length ? q1 : q0;
        if (way.Length == 0)
        {
            return;
        }

        var unit = way * (1 / way.Length);
        var (n0, n1) = (Pt.Dot(q0, unit), Pt.Dot(q1, unit));
        var (side0, side1) = (Pt.Cross(unit, e0), Pt.Cross(unit, e1));
        if (side0 * side1 > 0)
        {
            return;
        }

        var at = side0 == side1
            ? new[] { Pt.Dot(e0, unit), Pt.Dot(e1, unit) }
            : [Pt.Dot(Pt.Lerp(e0, e1, side0 / (side0 - side1)), unit)];
        var sizes = at.SelectMany(r => new[] { n0, n1 }.Select(n => n == 0 ? double.PositiveInfinity : r / n)).ToArray();
        var spansAnchor = n0 * n1 <= 0;
        if (spansAnchor)
        {
            // Both halves grow outwards: from the first touch on the edge stays covered.
            var touch = sizes.Where(s => s > 0).DefaultIfEmpty(double.PositiveInfinity).Min();
            Add(touch, double.PositiveInfinity, blocked);
        }
        else if (sizes.Max() > 0)
        {
            Add(Math.Max(0, sizes.Min()), sizes.Max(), blocked);
        }
    }

    private static void Add(double from, double to, List<(double, double)> blocked)
    {
        if (to >= 0 && from <= MostCapMm)
        {
            blocked.Add((Math.Max(0, from), to));
        }
    }

    /// <summary>Narrows [from, to] to where a + b·t ≥ 0.</summary>
    private static bool Clip(double a, double b, ref double from, ref double to)
    {
        if (b == 0)
        {
            return a >= 0;
        }

        var t = -a / b;
        if (b > 0)
        {
            from = Math.Max(from, t);
        }
        else
        {
            to = Math.Min(to, t);
        }

        return from <= to;
    }
}
