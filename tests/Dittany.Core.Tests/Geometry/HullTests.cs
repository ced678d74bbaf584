using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using NetTopologySuite.Geometries;

namespace Dittany.Core.Tests.Geometry;

/// <summary>Hulls and circles round many points, against the geometry library over all of them.</summary>
public class HullTests
{
    /// <summary>
    /// Heaps of points, on lines and grids too: corner by corner the hull the library finds over all of them (NetTopologySuite), and the
    /// circle it finds.
    /// </summary>
    [Fact]
    public void As_the_library_finds_them_over_all_points()
    {
        for (var seed = 1; seed <= 120; seed++)
        {
            var chance = new SeededRandom(seed * 3571);
            var count = 3 + (int)(chance.Next() * 200);
            var grid = seed % 3;
            Pt Point() => (chance.Next() * 200, chance.Next() * 90) is var (x, y) && grid == 0 ? new Pt(x, y)
                : grid == 1 ? new Pt(Math.Round(x / 20) * 20, Math.Round(y / 20) * 20) : new Pt(x, (x * 0.4) + Math.Round(y / 45));
            var points = Enumerable.Range(0, count).Select(_ => Point()).ToArray();
            var all = new GeometryFactory().CreateMultiPointFromCoords(points.Select(p => new Coordinate(p.X, p.Y)).ToArray());
            var (hull, theirs) = (Region.HullOf(points), all.ConvexHull());
            if (grid < 2)
            {
                Assert.Equal(theirs.Coordinates.Select(c => new Pt(c.X, c.Y)).Distinct(), hull);
            }

            // Where many all but lie on a line the library may lose some; here all lie in it, and it is no smaller than theirs.
            Assert.True(Region.AreaOf(hull) >= theirs.Area - 1e-6);
            Assert.All(points, p => Assert.True(Region.Of(hull).OutsideBy(p) < 1e-6));
            var circle = Circle.Round(points);
            Assert.All(points, p => Assert.True(circle.Holds(p)));
            Assert.Equal(new NetTopologySuite.Algorithm.MinimumBoundingCircle(all).GetRadius(), circle.RadiusMm, 6);
        }
    }
}
