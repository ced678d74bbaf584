using NetTopologySuite.Geometries;
using NetTopologySuite.Operation.Buffer;

namespace Dittany.Core.Geometry;

/// <summary>
/// An area of cloth: rings under the even-odd rule, points not repeated at the end, in millimetres. It may have holes and several pieces,
/// or be empty. Offsetting and overlay are done by the geometry library, which cannot be stopped: each call is spent from the current
/// <see cref="Measures.Budget"/> before it is made (<see cref="RegionCost"/>).
/// </summary>
public sealed class Region
{
    /// <summary>
    /// Pieces a quarter circle is cut into where an offset goes round a corner: leaves the arc by under 0.02 % of its radius.
    /// </summary>
    private const int QuadrantSegments = 32;

    private const int CoarseSegments = 8;

    /// <summary>
    /// Overlays that fall back on snapping where rounding would leave lines that do not meet: the older ones give up there.
    /// </summary>
    internal static readonly GeometryFactory Factory = new NetTopologySuite.NtsGeometryServices(GeometryOverlay.NG).CreateGeometryFactory();
    private readonly NetTopologySuite.Geometries.Geometry _area;
    private readonly Lazy<EdgeStrips> _edges;

    private Region(NetTopologySuite.Geometries.Geometry area)
    {
        _area = area;
        Rings = ReadRings(area);
        _edges = new Lazy<EdgeStrips>(() => new EdgeStrips(Rings), LazyThreadSafetyMode.PublicationOnly);
        Cost = RegionCost.Of(Rings);
    }

    /// <summary>How dear it is to reckon with.</summary>
    private RegionCost Cost { get; }

    public static Region Empty { get; } = new(Factory.CreatePolygon());

    /// <summary>All rings, outer and inner, in a stable order.</summary>
    public IReadOnlyList<IReadOnlyList<Pt>> Rings { get; }

    public double AreaMm2 => _area.Area;

    public bool IsEmpty => _area.IsEmpty;

    /// <summary>Least and greatest corner of the box round the area; both zero when empty.</summary>
    public (Pt Least, Pt Greatest) Box
    {
        get
        {
            var e = _area.EnvelopeInternal;
            return e.IsNull ? (default, default) : (new Pt(e.MinX, e.MinY), new Pt(e.MaxX, e.MaxY));
        }
    }

    public static Region Of(IReadOnlyList<Pt> ring) => new(Factory.CreatePolygon(Close(ring)));

    /// <summary>Many rings that lie apart from each other.</summary>
    public static Region Apart(IEnumerable<IReadOnlyList<Pt>> rings) =>
        new(Factory.CreateMultiPolygon(rings.Select(r => Factory.CreatePolygon(Close(r))).ToArray()));

    /// <summary>The area of a ring that may cross itself, put in order where it does.</summary>
    public static Region Sound(IReadOnlyList<Pt> ring) => Crossing(ring) ?? Of(ring);

    /// <summary>
    /// The area of a ring that crosses itself, put in order; null for one that does not. The repair is the dearest there is: it takes
    /// steps by the crossings, which are counted first.
    /// </summary>
    public static Region? Crossing(IReadOnlyList<Pt> ring)
    {
        RegionCost.Of([ring]).Check();
        var polygon = Factory.CreatePolygon(Close(ring));
        if (polygon.IsValid)
        {
            return null;
        }

        RegionCost.Of([ring]).Repair(SelfCrossings.Count(ring, true, RegionCost.MostCounted));
        return new(NetTopologySuite.Geometries.Utilities.GeometryFixer.Fix(polygon));
    }

    /// <summary>The same area elsewhere, turned, or larger; null where a map that is no such thing spoils it.</summary>
    public Region? Mapped(Func<Pt, Pt> map)
    {
        Cost.Check();
        LinearRing Ring(LineString ring) => Factory.CreateLinearRing(ring.Coordinates.Select(c => map(new Pt(c.X, c.Y))).Select(p =>
            new Coordinate(p.X, p.Y)).ToArray());
        var mapped = Factory.BuildGeometry(Enumerable.Range(0, _area.NumGeometries).Select(_area.GetGeometryN).OfType<Polygon>()
            .Where(p => !p.IsEmpty).Select(p => Factory.CreatePolygon(Ring(p.ExteriorRing), p.InteriorRings.Select(Ring).ToArray()))
                .ToArray());
        return mapped.IsValid ? new(mapped) : null;
    }

    /// <summary>A ring with points left out that stand less than this from the line without them.</summary>
    public static Region Roughly(IReadOnlyList<Pt> ring, double withinMm)
    {
        RegionCost.Of([ring]).Simplify();
        return new(NetTopologySuite.Simplify.TopologyPreservingSimplifier.Simplify(Factory.CreatePolygon(Close(ring)), withinMm));
    }

    /// <summary>The same area with points left out that stand less than this from its edges without them; it keeps its rings.</summary>
    public Region Coarser(double withinMm)
    {
        Cost.Simplify();
        return new(NetTopologySuite.Simplify.TopologyPreservingSimplifier.Simplify(_area, withinMm));
    }

    /// <summary>
    /// Everything within a distance of some lines; a line of one point is that point. A ring is given with its first point repeated, or it
    /// is open.
    /// </summary>
    public static Region Along(IReadOnlyList<IReadOnlyList<Pt>> lines, double withinMm)
    {
        RegionCost.Of(lines).Widen();
        return new(NetTopologySuite.Operation.Union.UnaryUnionOp.Union(lines.Where(l => l.Count > 0)
        .Select(l => (l.Count == 1 ? (NetTopologySuite.Geometries.Geometry)Factory.CreatePoint(new Coordinate(l[0].X, l[0].Y))
            : Factory.CreateLineString(l.Select(p => new Coordinate(p.X, p.Y)).ToArray())).Buffer(withinMm,
            new BufferParameters(CoarseSegments)))
        .ToArray()) ?? Factory.CreatePolygon());
    }

    /// <summary>A region with its holes filled, piece by piece.</summary>
    public Region Filled()
    {
        Cost.Union();
        return new(NetTopologySuite.Operation.Union.UnaryUnionOp.Union(
        Enumerable.Range(0, _area.NumGeometries).Select(i => _area.GetGeometryN(i)).OfType<Polygon>().Where(p => !p.IsEmpty)
        .Select(p => (NetTopologySuite.Geometries.Geometry)Factory.CreatePolygon(p.Shell)).ToArray()) ?? Factory.CreatePolygon());
    }

    /// <summary>An area turned over from left to right about the middle of its box.</summary>
    public static Region Mirrored(Region area)
    {
        var (least, most) = area.Box;
        return area.IsEmpty ? area : new(NetTopologySuite.Geometries.Utilities.AffineTransformation.ReflectionInstance(
            (least.X + most.X) / 2, 0, (least.X + most.X) / 2, 1).Transform(area._area));
    }

    /// <summary>How far it is round all its edges, holes and all, mm.</summary>
    public double AroundMm => _area.Length;

    /// <summary>Its pieces, each in one, with the holes that are its own.</summary>
    public IReadOnlyList<Region> Pieces() => Enumerable.Range(0, _area.NumGeometries).Select(_area.GetGeometryN).OfType<Polygon>()
        .Where(p => !p.IsEmpty).Select(p => new Region(p)).ToArray();

    /// <summary>How far apart two areas lie, mm; 0 where they touch.</summary>
    public double To(Region other)
    {
        Cost.Distance(other.Cost);
        return _area.Distance(other._area);
    }

    /// <summary>The places of both at which they come nearest to each other. Both must hold something.</summary>
    public (Pt Here, Pt There) NearestTo(Region other)
    {
        Cost.Distance(other.Cost);
        var near = NetTopologySuite.Operation.Distance.DistanceOp.NearestPoints(_area, other._area);
        return (new Pt(near[0].X, near[0].Y), new Pt(near[1].X, near[1].Y));
    }

    /// <summary>A strip of this width along a straight, mm, its ends square.</summary>
    public static Region Strip(Pt from, Pt to, double widthMm)
    {
        var aside = from.To(to) < 1e-9 ? new Pt(widthMm / 2, 0)
            : new Pt(from.Y - to.Y, to.X - from.X) * (widthMm / 2 / from.To(to));
        return Of([from + aside, to + aside, to - aside, from - aside]);
    }

    /// <summary>Areas that lie apart from each other as one, without any overlay.</summary>
    public static Region Together(IEnumerable<Region> apart) => new(Factory.CreateMultiPolygon(apart.SelectMany(r =>
        Enumerable.Range(0, r._area.NumGeometries).Select(r._area.GetGeometryN).OfType<Polygon>()).ToArray()));

    public static Region Rectangle(double x, double y, double width, double height) =>
        Of([new Pt(x, y), new Pt(x + width, y), new Pt(x + width, y + height), new Pt(x, y + height)]);

    /// <summary>Grown by <paramref name="byMm"/> with round corners, or eroded where it is negative.</summary>
    public Region Offset(double byMm) => byMm == 0 ? this : new(Parallel(byMm, QuadrantSegments));

    /// <summary>
    /// Grown or eroded with corners cut into fewer pieces: leaves the arc by under half a percent of its radius. For what a tenth of a
    /// millimetre does not matter to.
    /// </summary>
    public Region OffsetCoarsely(double byMm) => new(Parallel(byMm, CoarseSegments));

    private NetTopologySuite.Geometries.Geometry Parallel(double byMm, int segments)
    {
        Cost.Offset();
        var parallel = _area.Buffer(byMm, new BufferParameters(segments));
        if (byMm >= 0 || parallel.IsEmpty)
        {
            return parallel;
        }

        // Eroded by a little more than it is wide an area can come back turned inside out: what is left must lie as far from the edge as it
        // was eroded, but for the chords of round corners.
        var edge = _area.Boundary;
        var least = -byMm * Math.Cos(Math.PI / (4 * segments)) * (1 - 1e-9);
        var pieces = Enumerable.Range(0, parallel.NumGeometries).Select(parallel.GetGeometryN).ToArray();
        var left = Array.FindAll(pieces, p => edge.Distance(p.InteriorPoint) >= least);
        return left.Length == pieces.Length ? parallel : Factory.BuildGeometry(left);
    }

    public Region Without(Region other)
    {
        Cost.Overlay(other.Cost);
        return new(Overlaid(_area, other._area, (a, b) => a.Difference(b)));
    }

    /// <summary>This region less all the others, in one overlay.</summary>
    public Region Without(IReadOnlyCollection<Region> others)
    {
        if (others.Count < 2)
        {
            return others.Count == 0 ? this : Without(others.First());
        }

        Cost.Overlay(others.Select(o => o.Cost).Aggregate((a, b) => a + b));
        return new(Overlaid(_area, Factory.CreateGeometryCollection(others.Select(o => o._area).ToArray()), (a, b) =>
            a.Difference(NetTopologySuite.Operation.Union.UnaryUnionOp.Union(b))));
    }

    /// <summary>
    /// An overlay that never gives up: areas that cross themselves, or lie on each other to the last digit, are put in order first where
    /// the library finds no way through.
    /// </summary>
    private static NetTopologySuite.Geometries.Geometry Overlaid(
        NetTopologySuite.Geometries.Geometry one, NetTopologySuite.Geometries.Geometry other, Func<NetTopologySuite.Geometries.Geometry,
            NetTopologySuite.Geometries.Geometry, NetTopologySuite.Geometries.Geometry> overlay)
    {
        try
        {
            return overlay(one, other);
        }
        catch (TopologyException)
        {
            return overlay(Ordered(one), Ordered(other));
        }

        static NetTopologySuite.Geometries.Geometry Ordered(NetTopologySuite.Geometries.Geometry area) =>
            NetTopologySuite.Geometries.Utilities.GeometryFixer.Fix(NetTopologySuite.Precision.GeometryPrecisionReducer.ReducePointwise(
                area, Millionths));
    }

    /// <summary>Places are told apart to a millionth of a millimetre where an overlay finds no way through.</summary>
    private static readonly PrecisionModel Millionths = new(1e6);

    /// <summary>This region and another together.</summary>
    public Region With(Region other)
    {
        if (IsEmpty || other.IsEmpty)
        {
            return IsEmpty ? other : this;
        }

        Cost.Overlay(other.Cost);
        return new(Overlaid(_area, other._area, (a, b) => a.Union(b)));
    }

    /// <summary>Many regions as one, in one overlay that joins what lies near each other first; empty for none.</summary>
    public static Region All(IEnumerable<Region> regions)
    {
        var some = regions.Where(r => !r.IsEmpty).ToArray();
        if (some.Length < 2)
        {
            return some.Length == 0 ? Empty : some[0];
        }

        some.Select(r => r.Cost).Aggregate((a, b) => a + b).Union();
        return new(Overlaid(Factory.CreateGeometryCollection(some.Select(r => r._area).ToArray()), Factory.CreatePolygon(),
            (a, _) => NetTopologySuite.Operation.Union.UnaryUnionOp.Union(a)));
    }

    public Region Within(Region other)
    {
        Cost.Overlay(other.Cost);
        return new(Overlaid(_area, other._area, (a, b) => a.Intersection(b)));
    }

    /// <summary>Whether the boxes round both meet: what lies further apart has nothing in common.</summary>
    public bool BoxMeets(Region other) => _area.EnvelopeInternal.Intersects(other._area.EnvelopeInternal);

    /// <summary>Whether it is one piece without a hole or a bay: then a line lies in it as soon as both its ends do.</summary>
    public bool IsConvex => _convex ??= Rings is [var ring] && Bends(ring) is (true, false) or (false, true);

    private bool? _convex;

    /// <summary>Less of a turn is rounding: an offset leaves points that stand in a line by all but the last digits.</summary>
    private const double StraightRadians = 1e-9;

    /// <summary>Two points nearer than this are one: an offset repeats its corners so.</summary>
    private const double SamePlaceMm = 1e-9;

    /// <summary>Whether a ring anywhere turns left, and right.</summary>
    private static (bool Left, bool Right) Bends(IReadOnlyList<Pt> ring)
    {
        var (left, right) = (false, false);
        var corners = ring.Where((p, i) => p.To(ring[(i + 1) % ring.Count]) > SamePlaceMm).ToArray();
        for (var i = 0; i < corners.Length; i++)
        {
            var (a, b, c) = (corners[i], corners[(i + 1) % corners.Length], corners[(i + 2) % corners.Length]);
            var turn = Pt.Cross(b - a, c - b);
            var straight = StraightRadians * a.To(b) * b.To(c);
            left |= turn > straight;
            right |= turn < -straight;
        }

        return (left, right);
    }

    /// <summary>
    /// Whether the box round a ring, grown by this much, reaches the box round this region: what does not can be left out of an overlay.
    /// </summary>
    public bool Near(IReadOnlyList<Pt> ring, double byMm)
    {
        var e = _area.EnvelopeInternal;
        return !e.IsNull && ring.Min(p => p.X) - byMm <= e.MaxX && ring.Max(p => p.X) + byMm >= e.MinX
            && ring.Min(p => p.Y) - byMm <= e.MaxY && ring.Max(p => p.Y) + byMm >= e.MinY;
    }

    /// <summary>Whether the point lies inside or on the edge.</summary>
    public bool Holds(Pt p) => !IsEmpty && _edges.Value.Hold(p);

    /// <summary>
    /// Where a way from a place inside first meets an edge; null where it meets none within its length.
    /// </summary>
    public Pt? FirstEdge(Pt from, Pt way) => IsEmpty ? null : _edges.Value.FirstEdge(from, way) is { } at ? from + (way * at) : null;

    /// <summary>How far a point lies outside: 0 inside, infinity for an empty region.</summary>
    public double OutsideBy(Pt p) =>
        IsEmpty ? double.PositiveInfinity : Holds(p) ? 0 : Away(p);

    /// <summary>
    /// The furthest that any of these points lies outside: 0 where all lie inside or there is none, infinity for an empty region. A point
    /// is left as soon as an edge is nearer to it than the furthest so far; the next one lies near it mostly, so the same edge comes first.
    /// </summary>
    public double FurthestOutside(IEnumerable<Pt> points)
    {
        var (furthest, nearRing, nearEdge) = (0.0, 0, 0);
        foreach (var p in points)
        {
            if (IsEmpty)
            {
                return double.PositiveInfinity;
            }

            if (furthest == 0 && Holds(p))
            {
                continue;
            }

            Cost.Look();
            var least = double.PositiveInfinity;
            for (var r = 0; r < Rings.Count && least > furthest; r++)
            {
                var ring = Rings[(nearRing + r) % Rings.Count];
                for (int i = 0, e = r == 0 ? nearEdge % ring.Count : 0; i < ring.Count; i++, e = e + 1 == ring.Count ? 0 : e + 1)
                {
                    least = Math.Min(least, Polyline.ToSegment(p, ring[e], ring[e + 1 == ring.Count ? 0 : e + 1]));
                    if (least <= furthest)
                    {
                        (nearRing, nearEdge) = ((nearRing + r) % Rings.Count, e);
                        break;
                    }
                }
            }

            furthest = least > furthest && (furthest == 0 || !Holds(p)) ? least : furthest;
        }

        return furthest;
    }

    private double Away(Pt p)
    {
        Cost.Look();
        var best = double.PositiveInfinity;
        foreach (var ring in Rings)
        {
            best = Math.Min(best, ToRing(p, ring));
        }

        return best;
    }

    /// <summary>The nearest point inside; the point itself when it already is.</summary>
    public Pt Nearest(Pt p)
    {
        if (IsEmpty || Holds(p))
        {
            return p;
        }

        Cost.Look();
        var near = NetTopologySuite.Operation.Distance.DistanceOp.NearestPoints(_area, Factory.CreatePoint(new Coordinate(p.X, p.Y)))[0];
        return new Pt(near.X, near.Y);
    }

    /// <summary>
    /// The middle of the largest ellipse that fits in, so many times as wide as high, to half a millimetre; null where it is empty.
    /// </summary>
    public Pt? Roomiest(double wide)
    {
        if (IsEmpty)
        {
            return null;
        }

        Cost.Roomiest();
        var narrow = NetTopologySuite.Geometries.Utilities.AffineTransformation.ScaleInstance(1 / wide, 1).Transform(_area);
        var middle = NetTopologySuite.Algorithm.Construct.MaximumInscribedCircle.GetCenter(narrow, RoomMm);
        return new Pt(middle.X * wide, middle.Y);
    }

    private const double RoomMm = 0.5;

    /// <summary>Corners of the convex hull of some points; fewer than three points are their own hull.</summary>
    public static IReadOnlyList<Pt> HullOf(IReadOnlyList<Pt> points) => OuterPoints.Corners(points);

    /// <summary>Area inside a simple ring (the shoelace formula); 0 for fewer than three points.</summary>
    public static double AreaOf(IReadOnlyList<Pt> ring) =>
        Math.Abs(Enumerable.Range(0, ring.Count).Sum(i => Pt.Cross(ring[i], ring[(i + 1) % ring.Count]))) / 2;

    /// <summary>Where a ring crosses or touches itself; null for a simple one.</summary>
    public static Pt? CrossingOf(IReadOnlyList<Pt> ring)
    {
        RegionCost.Of([ring]).Check();
        var check = new NetTopologySuite.Operation.Valid.IsValidOp(Factory.CreatePolygon(Close(ring)));
        return check.IsValid ? null : check.ValidationError.Coordinate is { } at ? new Pt(at.X, at.Y) : ring[0];
    }

    private static double ToRing(Pt p, IReadOnlyList<Pt> ring)
    {
        var best = double.PositiveInfinity;
        for (var i = 0; i < ring.Count; i++)
        {
            best = Math.Min(best, Polyline.ToSegment(p, ring[i], ring[(i + 1) % ring.Count]));
        }

        return best;
    }

    private static Coordinate[] Close(IReadOnlyList<Pt> ring) =>
        ring.Append(ring[0]).Select(p => new Coordinate(p.X, p.Y)).ToArray();

    private static IReadOnlyList<IReadOnlyList<Pt>> ReadRings(NetTopologySuite.Geometries.Geometry area)
    {
        var rings = new List<IReadOnlyList<Pt>>();
        for (var i = 0; i < area.NumGeometries; i++)
        {
            if (area.GetGeometryN(i) is Polygon { IsEmpty: false } polygon)
            {
                rings.Add(Read(polygon.ExteriorRing));
                rings.AddRange(polygon.InteriorRings.Select(Read));
            }
        }

        return rings;

        static IReadOnlyList<Pt> Read(LineString ring) =>
            ring.Coordinates.Take(ring.NumPoints - 1).Select(c => new Pt(c.X, c.Y)).ToArray();
    }
}
