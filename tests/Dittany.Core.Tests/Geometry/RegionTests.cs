using Dittany.Core.Geometry;
using FsCheck;
using FsCheck.Fluent;

namespace Dittany.Core.Tests.Geometry;

/// <summary>
/// Areas against formulas: Steiner's for parallel bodies, the shoelace, inclusion and exclusion; and against point-by-point looking.
/// </summary>
public class RegionTests
{
    /// <summary>
    /// Steiner (1840): the parallel body of a convex one at distance d has the area A + L·d + π·d². Round corners are cut into chords, so a
    /// hair less.
    /// </summary>
    [Theory]
    [InlineData(3)]
    [InlineData(4)]
    [InlineData(7)]
    [InlineData(60)]
    public void A_convex_area_grows_as_Steiner_says(int corners)
    {
        var ring = Regular(corners, 50);
        var around = Enumerable.Range(0, corners).Sum(i => ring[i].To(ring[(i + 1) % corners]));
        foreach (var d in new[] { 0.4, 3, 25.0 })
        {
            var wanted = Region.AreaOf(ring) + (around * d) + (Math.PI * d * d);
            Assert.Equal(1, Region.Of(ring).Offset(d).AreaMm2 / wanted, 0.0005);
            Assert.Equal(1, Region.Of(ring).OffsetCoarsely(d).AreaMm2 / wanted, 0.005);
        }
    }

    /// <summary>
    /// A regular polygon eroded by d is the same polygon with its inscribed circle smaller by d; at the inscribed circle nothing is left.
    /// </summary>
    [Theory]
    [InlineData(3)]
    [InlineData(4)]
    [InlineData(9)]
    [InlineData(72)]
    public void A_regular_polygon_shrinks_by_its_inscribed_circle(int corners)
    {
        var ring = Regular(corners, 40);
        var inscribed = 40 * Math.Cos(Math.PI / corners);
        var smaller = Region.Of(ring).Offset(-inscribed / 4);
        Assert.Equal(Region.AreaOf(ring) * 9 / 16, smaller.AreaMm2, 0.01);
        Assert.True(smaller.IsConvex);
        foreach (var beyond in new[] { 0.02, 0.1, 0.5, 1, 3 })
        {
            Assert.True(Region.Of(ring).Offset(-inscribed - beyond).IsEmpty, $"{beyond} beyond");
            Assert.True(Region.Of(ring).OffsetCoarsely(-inscribed - (beyond * 10)).IsEmpty, $"{beyond * 10} beyond, coarsely");
        }

        Assert.False(Region.Of(ring).Offset(-inscribed + 0.1).IsEmpty);
    }

    /// <summary>An area that is narrow in the middle comes apart when it is eroded; one with a hole keeps it, larger.</summary>
    [Fact]
    public void Necks_part_and_holes_widen()
    {
        var dumbbell = Region.Rectangle(0, 0, 30, 30).With(Region.Rectangle(30, 13, 20, 4)).With(Region.Rectangle(50, 0, 30, 30));
        Assert.Equal((30 * 30 * 2) + (20 * 4), dumbbell.AreaMm2, 6);
        var apart = dumbbell.Offset(-3);
        Assert.Equal(2, apart.Rings.Count);

        // Each square less 3 mm, and the bulge towards the mouth of its neck, between arcs about the mouth's corners: ∫ (3 − √(9 − v²)) dv
        // over its 4 mm.
        Assert.Equal((2 * 24 * 24) + (4 * (6 - (Math.Sqrt(5) + (4.5 * Math.Asin(2.0 / 3))))), apart.AreaMm2, 0.01);
        var holed = Region.Rectangle(0, 0, 60, 40).Without(Region.Rectangle(20, 15, 10, 10));
        Assert.Equal(2, holed.Rings.Count);
        Assert.False(holed.IsConvex);
        Assert.Equal((60 - 4) * (40 - 4) - (100 + (4 * 10 * 2) + (Math.PI * 4)), holed.Offset(-2).AreaMm2, 0.1);
        Assert.Equal(2400, holed.Filled().AreaMm2, 9);
        Assert.Equal(5, holed.OutsideBy(new Pt(25, 20)), 9);
        Assert.Equal(0, holed.OutsideBy(new Pt(20, 20)), 9);
    }

    /// <summary>What two areas share is counted twice by their sum, and taken away by their difference.</summary>
    [ManyTimes(80)]
    public Property Overlays_add_up() => Prop.ForAll(Stars(), Stars(), (a, b) =>
    {
        var (one, other) = (Region.Of(a), Region.Of(b).Within(Region.Rectangle(-300, -300, 600, 600)));
        var (both, either) = (one.Within(other), one.With(other));
        return (Math.Abs(either.AreaMm2 + both.AreaMm2 - one.AreaMm2 - other.AreaMm2) < 1e-6
            && Math.Abs(one.Without(other).AreaMm2 + both.AreaMm2 - one.AreaMm2) < 1e-6
            && Math.Abs(one.Without([other, both]).AreaMm2 - one.Without(other).AreaMm2) < 1e-6)
            .Label($"{one.AreaMm2} {other.AreaMm2} {both.AreaMm2} {either.AreaMm2}");
    });

    /// <summary>
    /// What is left of an area eroded by d lies as far as d from its edge, all of it, and what it has grown to by d nowhere further,
    /// whatever was cut from it or laid to it before.
    /// </summary>
    [ManyTimes(60)]
    public Property Offsets_keep_their_distance() => Prop.ForAll(Stars(), Stars(), Gen.Choose(1, 60).ToArbitrary(), (a, b, tenths) =>
    {
        var d = tenths / 4.0;
        var area = tenths % 2 == 0 ? Region.Of(a).Without(Region.Of(b)) : Region.Of(a).With(Region.Of(b));
        if (area.IsEmpty)
        {
            return true.Label("nothing");
        }

        var (less, more) = (area.Offset(-d), area.Offset(d));
        double ToEdge(Pt p) => area.Rings.Min(r => Polyline.ToLine(p, [.. r, r[0]]));
        var near = less.Rings.SelectMany(r => r).Select(ToEdge).DefaultIfEmpty(d).Min();
        var far = more.Rings.SelectMany(r => r).Max(ToEdge);
        return (near >= d * 0.999 - 1e-6 && far <= d * 1.001 + 1e-6 && less.AreaMm2 <= area.AreaMm2 && more.AreaMm2 >= area.AreaMm2
            && less.Without(area).AreaMm2 < 1e-6 && area.Without(more).AreaMm2 < 1e-6
                && less.Rings.SelectMany(r => r).All(p => area.OutsideBy(p) < 1e-9))
            .Label($"by {d}: {near}, {far}");
    });

    /// <summary>
    /// Inside is where a ray crosses the edge an odd number of times; how far outside is the distance to the nearest point of the edge.
    /// </summary>
    [ManyTimes(60)]
    public Property Points_are_inside_or_so_far_out() => Prop.ForAll(Stars(), Places(), (ring, at) =>
    {
        var area = Region.Of(ring);
        var crossings = Enumerable.Range(0, ring.Length).Count(i =>
        {
            var (a, b) = (ring[i], ring[(i + 1) % ring.Length]);
            return a.Y > at.Y != b.Y > at.Y && at.X < a.X + ((at.Y - a.Y) * (b.X - a.X) / (b.Y - a.Y));
        });
        var nearest = Enumerable.Range(0, ring.Length).SelectMany(i =>
            Enumerable.Range(0, 401).Select(k => Pt.Lerp(ring[i], ring[(i + 1) % ring.Length], k / 400.0))).Min(p => p.To(at));
        var inside = crossings % 2 == 1;
        var out_ = area.OutsideBy(at);
        return (nearest < 1e-6 || (area.Holds(at) == inside
            && (inside ? out_ == 0 && area.Nearest(at) == at : Math.Abs(out_ - nearest) < 1
            && Math.Abs(area.Nearest(at).To(at) - out_) < 1e-9)))
            .Label($"inside {inside}, {area.Holds(at)}; out {out_}, {nearest}");
    });

    /// <summary>
    /// The way from a place inside goes on inside up to the first edge it meets, and just beyond it lies outside; where it meets none,
    /// its end is inside too.
    /// </summary>
    [ManyTimes(80)]
    public Property A_way_out_goes_to_the_first_edge() => Prop.ForAll(Stars(), Stars(), TwoPlaces(), (one, other, two) =>
    {
        var (from, way) = (two.Item1 * 0.2, two.Item2);
        var area = Region.Of(one).Without(Region.Of(other).Offset(-20));
        if (!area.Holds(from) || area.Rings.Min(r => Polyline.ToLine(from, [.. r, r[0]])) < 1e-6)
        {
            return true.Label("not inside");
        }

        var met = area.FirstEdge(from, way);
        var end = met ?? from + way;
        var inside = Enumerable.Range(0, 500).All(k => area.OutsideBy(Pt.Lerp(from, end, k / 500.0)) < 1e-9);
        var onEdge = met is not { } at || area.Rings.Min(r => Polyline.ToLine(at, [.. r, r[0]])) < 1e-6;
        return (inside && onEdge && (met is not null || area.OutsideBy(from + way) < 1e-9)).Label($"{from} by {way}: {met}");
    });

    /// <summary>A hull has no bays, holds every point, and has only corners of theirs.</summary>
    [ManyTimes(80)]
    public Property Hulls_hold_all_and_nothing_of_their_own() => Prop.ForAll(Places().Generator.ArrayOf(20).ToArbitrary(), points =>
    {
        var hull = Region.HullOf(points);
        return hull.Count < 3 || (Region.Of(hull).IsConvex && points.All(p => Region.Of(hull).OutsideBy(p) < 1e-9)
            && hull.All(points.Contains));
    });

    /// <summary>A ring crosses itself where two sides that are no neighbours meet; stars about a point never do.</summary>
    [ManyTimes(120)]
    public Property Rings_that_cross_themselves_are_told() => Prop.ForAll(Places().Generator.ArrayOf(6).ToArbitrary(), ring =>
    {
        var crosses = Enumerable.Range(0, 6).Any(i => Enumerable.Range(i + 2, 4).Where(j => j < 6 && (i > 0 || j < 5)).Any(j =>
            Polyline.Cross(ring[i], ring[(i + 1) % 6], ring[j], ring[(j + 1) % 6])));
        return (!crosses || Region.CrossingOf(ring) is { } at && ring.Min(p => p.To(at)) < 1e9).Label($"{crosses}");
    });

    [ManyTimes(60)]
    public Property Stars_do_not_cross_themselves() => Prop.ForAll(Stars(), ring => Region.CrossingOf(ring) is null);

    /// <summary>Everything within a distance of a line is a strip with round ends: 2·d·l + π·d².</summary>
    [Fact]
    public void A_strip_along_a_line()
    {
        Assert.Equal(1, Region.Along([[new(0, 0), new(80, 0)]], 5).AreaMm2 / ((2 * 5 * 80) + (Math.PI * 25)), 0.005);
        Assert.Equal(1, Region.Along([[new(3, 4)]], 5).AreaMm2 / (Math.PI * 25), 0.01);
        Assert.True(Region.Along([], 5).IsEmpty);
    }

    /// <summary>A wall that is nearly straight loses its points and hardly any of its area.</summary>
    [Fact]
    public void A_rough_ring_stays_near_the_true_one()
    {
        var ring = Regular(360, 100);
        var rough = Region.Roughly(ring, 0.5);
        Assert.True(rough.Rings[0].Count < 60);
        Assert.All(rough.Rings[0], p => Assert.Equal(100, p.Length, 6));
        Assert.InRange(rough.AreaMm2 / Region.AreaOf(ring), 0.985, 1);
    }

    /// <summary>Nothing is outside everything, and its box is no box.</summary>
    [Fact]
    public void Nothing_is_told_as_nothing()
    {
        Assert.Equal(double.PositiveInfinity, Region.Empty.OutsideBy(default));
        Assert.Equal((default(Pt), default(Pt)), Region.Empty.Box);
        Assert.False(Region.Empty.Holds(default));
        Assert.False(Region.Empty.IsConvex);
        Assert.False(Region.Empty.Near([new(0, 0), new(1, 0), new(0, 1)], 1e6));
    }

    private static Pt[] Regular(int corners, double radius) =>
        Enumerable.Range(0, corners).Select(i => new Pt(radius * Math.Cos(Math.Tau * i / corners),
        radius * Math.Sin(Math.Tau * i / corners))).ToArray();

    private static Arbitrary<(Pt, Pt)> TwoPlaces() => Places().Generator.Two().Select(two => (two.Item1, two.Item2)).ToArbitrary();

    private static Arbitrary<Pt[]> Stars() => (
        from corners in Gen.Choose(5, 12)
        from radii in Gen.Choose(20, 120).ArrayOf(12)
        from x in Gen.Choose(-40, 40)
        from y in Gen.Choose(-40, 40)
        select Enumerable.Range(0, corners).Select(i => new Pt(x + (radii[i] * Math.Cos(Math.Tau * i / corners)), y
            + (radii[i] * Math.Sin(Math.Tau * i / corners)))).ToArray()).ToArbitrary();

    private static Arbitrary<Pt> Places() => (from x in Gen.Choose(-1500, 1500)
                                              from y in Gen.Choose(-1500, 1500)
                                              select new Pt(x / 10.0,
        y / 10.0)).ToArbitrary();

    /// <summary>
    /// Areas that cross themselves, as a hand may trace them, are overlaid all the same; what comes out is no larger than what went in.
    /// </summary>
    [Fact]
    public void Overlays_of_areas_that_cross_themselves_never_give_up()
    {
        var random = new Random(5);
        for (var n = 0; n < 200; n++)
        {
            Region Star() => Region.Of(Enumerable.Range(0, random.Next(4, 12)).Select(_ =>
                new Pt(random.Next(0, 12), random.Next(0, 12))).ToArray());
            var (one, other, third) = (Star(), Star(), Star());
            var box = Region.Rectangle(-1, -1, 14, 14);
            Assert.InRange(one.Without(other).AreaMm2, 0, 144.001);
            Assert.InRange(box.Within(one).AreaMm2, 0, 144.001);
            Assert.InRange(box.Without([one, other, third]).AreaMm2, 14 * 14 - 144.001, (14 * 14) + 0.001);
            Assert.InRange(one.With(other).AreaMm2, 0, 144.001);
        }
    }

    /// <summary>
    /// Point for point what the library's own search finds (NetTopologySuite's SimplePointInAreaLocator), on rings of random corners that
    /// do not cross, rings on a grid with holes, at corners, on edges, level with corners and far away.
    /// </summary>
    [Fact]
    public void A_point_lies_inside_where_the_library_finds_it()
    {
        var (inside, outside) = (0, 0);
        for (var seed = 1; seed <= 60; seed++)
        {
            var chance = new Dittany.Core.Measures.SeededRandom(seed * 7919);
            var corners = 3 + (int)(chance.Next() * 90);
            var onGrid = seed % 2 == 0;
            var outer = Enumerable.Range(0, corners).Select(i => Corner(i, corners, 20 + (chance.Next() * 60), onGrid)).Distinct()
                .ToArray();
            var area = Region.Sound(outer).Without(Region.Rectangle(-6, -6, 12, 12));
            var theirs = new NetTopologySuite.Geometries.GeometryFactory().BuildGeometry(area.Pieces().Select(piece =>
                (NetTopologySuite.Geometries.Geometry)new NetTopologySuite.Geometries.Polygon(Ring(piece.Rings[0]), piece.Rings.Skip(1)
                    .Select(Ring).ToArray())).ToArray());
            var asked = area.Rings.SelectMany(r => r).SelectMany((p, i) => new[] { p, new Pt(p.X + 1, p.Y), new Pt(p.X - 1e-7, p.Y),
                Pt.Lerp(p, area.Rings[0][(i + 1) % area.Rings[0].Count], 0.5) }).Concat(Enumerable.Range(0, 200).Select(_ =>
                new Pt((chance.Next() * 180) - 90, (chance.Next() * 180) - 90))).ToArray();
            foreach (var p in asked)
            {
                var held = NetTopologySuite.Algorithm.Locate.SimplePointInAreaLocator.IsContained(
                    new NetTopologySuite.Geometries.Coordinate(p.X, p.Y), theirs);
                Assert.True(held == area.Holds(p), $"seed {seed}: {p} lies {(held ? "inside" : "outside")}");
                (inside, outside) = (inside + (held ? 1 : 0), outside + (held ? 0 : 1));
            }

            Assert.Equal(asked.Max(area.OutsideBy), area.FurthestOutside(asked));
            Assert.Equal(0, area.FurthestOutside(asked.Where(area.Holds)));
        }

        Assert.True(inside > 1000 && outside > 1000);

        static NetTopologySuite.Geometries.LinearRing Ring(IReadOnlyList<Pt> ring) => new(ring.Append(ring[0]).Select(p =>
            new NetTopologySuite.Geometries.Coordinate(p.X, p.Y)).ToArray());

        static Pt Corner(int i, int of, double away, bool onGrid)
        {
            var p = new Pt(Math.Cos(2 * Math.PI * i / of) * away, Math.Sin(2 * Math.PI * i / of) * away);
            return onGrid ? new Pt(Math.Round(p.X / 5) * 5, Math.Round(p.Y / 5) * 5) : p;
        }
    }
}
