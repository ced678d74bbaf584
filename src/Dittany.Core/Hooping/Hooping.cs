using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.Measures;

namespace Dittany.Core.Hooping;

/// <summary>
/// Stitches that are worked in one placing: <paramref name="Count"/> of one part from <paramref name="First"/> on, or a
/// letter whole where no part is named. Letters and parts are counted as the plan works them.
/// </summary>
public sealed record HoopStretch(int Letter, int? Part, int First, int Count)
{
    /// <summary>All letters it is, where it is several that are never parted, such as the parts of a plant.</summary>
    public IReadOnlyList<int> Letters { get; init; } = [Letter];
}

public enum School
{
    Hoop,
    Frame,
    InHand,
}

/// <summary>
/// Something that is never broken by the edge of a hoop: a letter or a satin shape. Points are its stitched places;
/// <paramref name="HalfMm"/> half its line width. <paramref name="Of"/> says which stitches it is, where it is a stretch of something
/// larger.
/// </summary>
public sealed record Unit(string Name, IReadOnlyList<Pt> Points, double HalfMm, HoopStretch? Of = null)
{
    /// <summary>Whether it has knots or the like, that a ring must not lie on.</summary>
    public bool Raised { get; init; }

    /// <summary>
    /// What it comes apart into at its joints, where no ring at hand takes it whole; none where it must not. Asked only then.
    /// </summary>
    public IReadOnlyList<Unit> Stretches => field ??= Parting?.Invoke() ?? [];

    /// <summary>How it comes apart; null where it must not.</summary>
    internal Func<IReadOnlyList<Unit>>? Parting { get; init; }

    /// <summary>Corners of the smallest convex outline: what lies in a hoop when they do.</summary>
    public IReadOnlyList<Pt> Hull { get; } = Region.HullOf(Points);

    /// <summary>The smallest circle round it.</summary>
    public Circle Around => _around ??= Circle.Round(Hull);

    private Circle? _around;
}

/// <summary>One placing of one hoop or frame. <paramref name="Units"/> are indices of what is worked in it.</summary>
public sealed record HoopPlacing(int Order, bool Round, double HoopMm, double UsableRadiusMm, IReadOnlyList<Pt> UsableMm, Pt CentreMm,
    IReadOnlyList<int> Units);

/// <summary>
/// A cover of the work. <paramref name="OffCloth"/> says that the ring reaches beyond cloth that can be clamped, so that scrap must be
/// tacked on; <paramref name="Along"/> that it is moved along something that no placing takes whole. The units of its placings are places
/// in <paramref name="Units"/>.
/// </summary>
public sealed record Cover(IReadOnlyList<HoopPlacing> Placings, int LowerBound, bool OffCloth, IReadOnlyList<Unit> Units,
    bool Along = false);

/// <summary>Covers the stitched work with placings of one hoop. Greedy in the order of work; every unit whole in one placing.</summary>
public static class Hooping
{
    /// <summary>A ring is laid by hand: seams need be no truer than this for it.</summary>
    private const double RoughMm = 0.25;

    /// <summary>So much is kept back for rounding the centre, mm.</summary>
    private const double RoundingMm = 0.005;

    /// <summary>Steps that looking for one centre takes.</summary>
    private const long Tried = 400;

    /// <summary>Steps that the smallest circle takes (measured), by itself and a corner; thirds of an edge that are looked at.</summary>
    private const int CentreSteps = 600;

    private const int CornerSteps = 25;

    private const int EdgeTries = 32;

    /// <summary>Corners told of a round usable area: the polygon lies inside the circle.</summary>
    private const int CircleCorners = 48;

    /// <summary>Cloth a ring may lie on: the outline less what it keeps off.</summary>
    public static Region Ringable(IReadOnlyList<Pt> outline, IEnumerable<RingFree> keepOff) =>
        Region.Roughly(outline, RoughMm).Without(keepOff.Select(place =>
            Region.Roughly(place.Ring, RoughMm).OffsetCoarsely(place.ByMm)).ToArray());

    /// <summary>Where the centre of a ring of this size may stand: the whole ring lies on cloth it may lie on.</summary>
    public static Region Clampable(Region ringable, double hoopMm) => ringable.OffsetCoarsely(-Hoops.RingRadiusMm(hoopMm));

    /// <summary>
    /// Placings of this hoop that take every unit; null where a unit is too large for it or cannot be reached. <paramref name="centres"/>
    /// null lets the ring lie anywhere. <paramref name="whole"/> is <see cref="Together"/> of the same units, or null.
    /// </summary>
    public static IReadOnlyList<HoopPlacing>? Place(IReadOnlyList<Unit> units, bool round, double hoopMm, Region? centres,
        Budget? budget = null, Unit? whole = null)
    {
        if (whole is not null && CentreOf(whole, round, hoopMm, centres) is { } middle)
        {
            return [new HoopPlacing(1, round, hoopMm, ReachMm(round, hoopMm), Usable(round, hoopMm, middle.OnGrid()), middle.OnGrid(),
                Enumerable.Range(0, units.Count).ToArray())];
        }

        var left = Enumerable.Range(0, units.Count).ToList();
        var placings = new List<HoopPlacing>();
        while (left.Count > 0)
        {
            var seed = left[0];
            var hull = units[seed].Hull;
            var half = units[seed].HalfMm;
            if (CentreOf(hull, half, round, hoopMm, centres) is not { } stands)
            {
                return null;
            }

            var taken = new HashSet<int> { seed };
            var from = units[seed].Around.Centre;
            var widest = Widest(round, hoopMm);
            foreach (var next in left.Skip(1).Where(u => units[u].Around.Centre.To(from) <= widest).OrderBy(u =>
                units[u].Around.Centre.To(from)).ThenBy(u => u))
            {
                budget?.Spend((long)hull.Count * units[next].Hull.Count);
                if (units[next].HalfMm <= half && units[next].Hull.All(p => Inside(hull, p)))
                {
                    taken.Add(next);
                    continue;
                }

                if (TooFar(hull, units[next].Hull, widest))
                {
                    continue;
                }

                // Where the ring stands already it may take this one too; only where it does not is another place looked for. Only the
                // outline of what is taken decides, so it alone is carried along.
                budget?.Spend(Tried);
                var thickest = Math.Max(half, units[next].HalfMm);
                var reach = ReachMm(round, hoopMm) - thickest - RoundingMm;
                var here = Farthest(units[next].Hull, stands, round) <= reach && Farthest(hull, stands, round) <= reach;
                var widened = Region.HullOf([.. hull, .. units[next].Hull]);
                if (!here && CentreOf(widened, thickest, round, hoopMm, centres) is { } moved)
                {
                    (here, stands) = (true, moved);
                }

                if (here)
                {
                    (hull, half) = (widened, thickest);
                    taken.Add(next);
                }
            }

            left.RemoveAll(taken.Contains);
            var centre = CentreOf(hull, half, round, hoopMm, centres).Sure().OnGrid();
            placings.Add(new HoopPlacing(placings.Count + 1, round, hoopMm, ReachMm(round, hoopMm), Usable(round, hoopMm, centre), centre,
                taken.Order().ToArray()));
        }

        return placings;
    }

    /// <summary>
    /// The fewest placings: as <see cref="Place"/> finds them, or fewer by search where there may be, with the bound that is proven then.
    /// </summary>
    public static (IReadOnlyList<HoopPlacing>? Placings, int Bound) Fewest(IReadOnlyList<Unit> units, bool round, double hoopMm,
        Region? centres,
        Budget? budget = null, Unit? whole = null)
    {
        var bound = LowerBound(units, round, hoopMm, budget, whole);
        if (Place(units, round, hoopMm, centres, budget, whole) is not { } found)
        {
            return (null, bound);
        }

        if (found.Count <= Math.Max(1, bound))
        {
            return (found, bound);
        }

        var (groups, proven) = Covering.Least(units, round, hoopMm, centres, found.Count, bound, budget);
        return (groups is null ? found : groups.Select((g, i) => Placing(i + 1, units, g, round, hoopMm, centres)).ToArray(), proven);
    }

    /// <summary>
    /// By how many millimetres all of it would have to be less across inside the ring for one placing fewer to do, up to
    /// <paramref name="mostMm"/>; null where that would not be enough.
    /// </summary>
    public static double? Saves(IReadOnlyList<Unit> units, bool round, double hoopMm, Region? centres, int placings, double mostMm,
        Budget? budget = null)
    {
        bool Enough(double mm) => Covering.Least(units, round, hoopMm, centres, placings, 1, budget, mm / 2).Groups is not null;
        return !Enough(mostMm) ? null : Enumerable.Range(1, (int)mostMm).Select(mm => (double)mm).First(mm => mm >= mostMm || Enough(mm));
    }

    private static HoopPlacing Placing(int order, IReadOnlyList<Unit> units, IReadOnlyList<int> group, bool round, double hoopMm,
        Region? centres)
    {
        var centre = CentreFor([.. group.Select(i => units[i])], round, hoopMm, centres).Sure().OnGrid();
        return new HoopPlacing(order, round, hoopMm, ReachMm(round, hoopMm), Usable(round, hoopMm, centre), centre, group);
    }

    /// <summary>All units as one, by which it is soon seen whether one placing takes them; null where there are none.</summary>
    public static Unit? Together(IReadOnlyList<Unit> units) => units.Count == 0 ? null
        : new Unit(string.Empty, units.SelectMany(u => u.Hull).ToArray(), units.Max(u => u.HalfMm));

    private static Pt? CentreOf(Unit unit, bool round, double hoopMm, Region? centres) =>
        CentreOf(unit.Hull, unit.HalfMm, round, hoopMm, centres, round ? unit.Around.Centre : null);

    /// <summary>
    /// One placing of a ring that the work stays in, about a middle, up to <see cref="Hoops.RimMm"/> from the ring; null where the work
    /// reaches nearer to it.
    /// </summary>
    public static HoopPlacing? InOwnRing(IReadOnlyList<Unit> units, double hoopMm, Pt middle)
    {
        var usable = (hoopMm / 2) - Hoops.RimMm;
        return units.All(u => u.Hull.All(p => p.To(middle) + u.HalfMm <= usable + 1e-6))
            ? new HoopPlacing(1, true, hoopMm, usable, Round(usable, middle.OnGrid()), middle.OnGrid(),
                Enumerable.Range(0, units.Count).ToArray())
            : null;
    }

    /// <summary>Where one placing that takes all these units would be centred; null where none can.</summary>
    public static Pt? CentreFor(IReadOnlyList<Unit> group, bool round, double hoopMm, Region? centres) =>
        CentreOf(group.SelectMany(u => u.Hull).ToArray(), group.Max(u => u.HalfMm), round, hoopMm, centres);

    /// <summary>
    /// A centre from which all points are within reach, or null. The farthest point is nearest from the middle of the smallest circle (or
    /// box) round them; where that middle lies off the clampable cloth the best centre stands on the cloth's edge, and every edge that
    /// could hold it is searched. <paramref name="between"/> is the middle of that circle where it is known.
    /// </summary>
    internal static Pt? CentreOf(IReadOnlyList<Pt> points, double halfMm, bool round, double hoopMm, Region? centres, Pt? between = null)
    {
        Budget.Current.Spend(CentreSteps + (CornerSteps * points.Count));

        var reach = ReachMm(round, hoopMm) - halfMm - RoundingMm;
        var middle = between ?? (round ? Circle.Round(points).Centre : Middle(points));
        var least = Farthest(points, middle, round);
        if (least > reach || centres is { IsEmpty: true })
        {
            return null;
        }

        if (centres is null || centres.Holds(middle))
        {
            return middle;
        }

        var best = (Far: double.PositiveInfinity, At: default(Pt));
        foreach (var ring in centres.Rings)
        {
            for (var i = 0; i < ring.Count; i++)
            {
                var (a, b) = (ring[i], ring[(i + 1) % ring.Count]);

                // Away from the middle the farthest point is at least √(least² + distance²) off, in a circle; in a square at least as far
                // as the distance less the half box.
                var away = Polyline.ToSegment(middle, a, b);
                var bound = round ? Math.Sqrt((least * least) + (away * away)) : (away / Math.Sqrt(2)) - least;
                if (bound >= Math.Min(best.Far, reach + 1e-9))
                {
                    continue;
                }

                Budget.Current.Spend(2L * EdgeTries * points.Count);
                var at = OnEdge(points, a, b, round);
                var far = Farthest(points, at, round);
                if (far < best.Far)
                {
                    best = (far, at);
                }
            }
        }

        return best.Far <= reach ? best.At : null;
    }

    /// <summary>The place on an edge from which the farthest point is nearest: that distance is convex along the edge.</summary>
    private static Pt OnEdge(IReadOnlyList<Pt> points, Pt a, Pt b, bool round)
    {
        var (low, high) = (0.0, 1.0);
        for (var i = 0; i < EdgeTries; i++)
        {
            var (one, two) = (low + ((high - low) / 3), high - ((high - low) / 3));
            if (Farthest(points, Pt.Lerp(a, b, one), round) <= Farthest(points, Pt.Lerp(a, b, two), round))
            {
                high = two;
            }
            else
            {
                low = one;
            }
        }

        return Pt.Lerp(a, b, (low + high) / 2);
    }

    private static double Farthest(IReadOnlyList<Pt> points, Pt from, bool round)
    {
        var far = 0.0;
        foreach (var p in points)
        {
            far = Math.Max(far, round ? p.To(from) : Math.Max(Math.Abs(p.X - from.X), Math.Abs(p.Y - from.Y)));
        }

        return far;
    }

    /// <summary>
    /// No cover can have fewer placings: the larger of area over area and a set of units no two of which go into one hoop.
    /// <paramref name="whole"/> is <see cref="Together"/> of the same units, or null.
    /// </summary>
    public static int LowerBound(IReadOnlyList<Unit> units, bool round, double hoopMm, Budget? budget = null, Unit? whole = null)
    {
        if (units.Count == 0)
        {
            return 0;
        }

        var reach = ReachMm(round, hoopMm);
        var one = round ? Math.PI * reach * reach : 4 * reach * reach;
        var widest = Widest(round, hoopMm);
        var stitched = units.Sum(u => Region.AreaOf(u.Hull));
        if (whole is not null && CentreOf(whole, round, hoopMm, null) is not null)
        {
            return Math.Max(1, (int)Math.Ceiling(stitched / one));
        }

        var apart = new List<Unit>();
        foreach (var unit in units)
        {
            budget?.Spend(Tried + (long)apart.Count);
            if (apart.All(other => other.Around.Centre.To(unit.Around.Centre) > widest || (!SurelyBoth(other, unit, round, reach)
                && (TooFar(other.Hull, unit.Hull, widest) || CentreFor([other, unit], round, hoopMm, null) is null))))
            {
                apart.Add(unit);
            }
        }

        return Math.Max((int)Math.Ceiling(stitched / one), apart.Count);
    }

    /// <summary>Whether one ring takes the circles round two units, and so both: quickly told, before a circle is looked for.</summary>
    private static bool SurelyBoth(Unit one, Unit other, bool round, double reachMm) => round && Math.Max(2 * Math.Max(
        one.Around.RadiusMm, other.Around.RadiusMm), one.Around.RadiusMm
        + other.Around.RadiusMm + one.Around.Centre.To(other.Around.Centre))
        <= 2 * (reachMm - Math.Max(one.HalfMm, other.HalfMm) - (2 * RoundingMm));

    /// <summary>From corner to corner of what can be used: two places further apart never lie in one placing.</summary>
    private static double Widest(bool round, double hoopMm) => 2 * ReachMm(round, hoopMm) * (round ? 1 : Math.Sqrt(2));

    /// <summary>
    /// Whether two outlines have corners further apart than one placing reaches: quickly told, before a circle is looked for.
    /// </summary>
    private static bool TooFar(IReadOnlyList<Pt> one, IReadOnlyList<Pt> other, double widestMm)
    {
        var most = widestMm * widestMm;
        Budget.Current.Spend(1 + ((long)one.Count * other.Count / 8));
        foreach (var p in one)
        {
            foreach (var q in other)
            {
                var d = p - q;
                if (Pt.Dot(d, d) > most)
                {
                    return true;
                }
            }
        }

        return false;
    }

    /// <summary>Whether a point lies in a convex outline; in one of fewer than three corners none does.</summary>
    private static bool Inside(IReadOnlyList<Pt> hull, Pt p)
    {
        var turn = 0;
        for (var i = 0; i < hull.Count; i++)
        {
            var side = Math.Sign(Pt.Cross(hull[(i + 1) % hull.Count] - hull[i], p - hull[i]));
            if (side != 0 && turn != 0 && side != turn)
            {
                return false;
            }

            turn = side == 0 ? turn : side;
        }

        return hull.Count > 2;
    }

    /// <summary>
    /// The units as a ring of this size works them: those that go into no placing whole, apart at their joints. The same list where all
    /// go in, or where one that does not has no joints.
    /// </summary>
    public static IReadOnlyList<Unit> Apart(IReadOnlyList<Unit> units, bool round, double hoopMm)
    {
        bool Whole(Unit u) => CentreOf(u, round, hoopMm, null) is not null;
        IEnumerable<Unit> Parted(Unit u) => Whole(u) || u.Stretches.Count == 0 ? [u] : u.Stretches.SelectMany(Parted);
        return units.All(Whole) ? units : [.. units.SelectMany(Parted)];
    }

    internal static double ReachMm(bool round, double hoopMm) => round ? Hoops.UsableRadiusMm(hoopMm) : Hoops.UsableHalfSideMm(hoopMm);

    private static Pt Middle(IReadOnlyList<Pt> points) =>
        new((points.Min(p => p.X) + points.Max(p => p.X)) / 2, (points.Min(p => p.Y) + points.Max(p => p.Y)) / 2);

    private static Pt[] Round(double reach, Pt centre) => Enumerable.Range(0, CircleCorners)
        .Select(i => (centre + new Pt(reach * Math.Cos(2 * Math.PI * i / CircleCorners),
            reach * Math.Sin(2 * Math.PI * i / CircleCorners))).OnGrid())
        .ToArray();

    private static Pt[] Usable(bool round, double hoopMm, Pt centre)
    {
        var reach = ReachMm(round, hoopMm);
        return round
            ? Round(reach, centre)
            : [(centre + new Pt(-reach, -reach)).OnGrid(), (centre + new Pt(reach, -reach)).OnGrid(),
                (centre + new Pt(reach, reach)).OnGrid(), (centre + new Pt(-reach, reach)).OnGrid()];
    }
}
