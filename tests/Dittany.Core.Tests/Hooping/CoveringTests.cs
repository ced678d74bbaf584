using Dittany.Core.Geometry;
using Dittany.Core.Hooping;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Cover = Dittany.Core.Hooping.Hooping;

namespace Dittany.Core.Tests.Hooping;

/// <summary>The fewest placings, against published minima and against every way to divide the units.</summary>
public class CoveringTests
{
    private const double SideMm = 200;

    /// <summary>A hoop that reaches so far from its middle.</summary>
    private static double HoopOf(double reachMm) => (2 * (reachMm + Hoops.RimMm + 0.006)) + Hoops.OpeningLessMm;

    private static Unit[] Cells(int across, int down, double widthMm, double heightMm) => [.. Enumerable.Range(0, across * down).Select(i =>
    {
        var (w, h) = (widthMm / across, heightMm / down);
        var (x, y) = (i % across * w, i / across * h);
        return new Unit("cell", [new Pt(x, y), new Pt(x + w, y), new Pt(x + w, y + h), new Pt(x, y + h)], 0);
    })];

    private static Unit[] Points(int across, double sideMm) => [.. Enumerable.Range(0, across * across).Select(i =>
        new Unit("place", [new Pt(i % across * sideMm / (across - 1), i / across * sideMm / (across - 1))], 0))];

    /// <summary>
    /// Least radii of k equal circles that cover a unit square: 1, 2 and 4 are exact in closed form, 3 and 5 by Heppes and Melissen,
    /// "Covering a rectangle with equal circles" (1997). With circles a hair larger, a lattice of places in the square takes no more than
    /// k,
    /// and whole cells of it no fewer; with circles a little smaller, cells that fill the square take more than k.
    /// </summary>
    [Theory]
    [InlineData(1, 0.7071068)]
    [InlineData(2, 0.5590170)]
    [InlineData(3, 0.5038911)]
    [InlineData(4, 0.3535534)]
    [InlineData(5, 0.3261605)]
    public void Equal_circles_on_a_square(int circles, double radius)
    {
        var places = Points(8, SideMm);
        var (on, _) = Cover.Fewest(places, true, HoopOf((radius * SideMm) + 0.05), null);
        Assert.True(on!.Count <= circles, $"{on.Count}");
        var (under, bound) = Cover.Fewest(Cells(8, 8, SideMm, SideMm), true, HoopOf(radius * SideMm * 0.985), null);
        Assert.True(under!.Count > circles);
        Assert.True(bound <= under.Count);
        if (circles is 1 or 2 or 4)
        {
            // Here the best arrangement parts the square along the cells.
            Assert.Equal((circles, circles), Cover.Fewest(Cells(4, 4, SideMm, SideMm), true, HoopOf((radius * SideMm) + 0.05),
                null) is { Placings: { } p } f
                ? (p.Count, f.Bound) : default);
        }
    }

    /// <summary>
    /// Two circles cover a rectangle of one by two from a radius of half the diagonal of a square on (the same paper), four one of one by
    /// four; squares of a frame are counted by their sides.
    /// </summary>
    [Fact]
    public void Equal_circles_and_squares_on_a_rectangle()
    {
        Assert.Equal(2, Cover.Fewest(Cells(8, 4, 200, 100), true, HoopOf((Math.Sqrt(2) / 2 * 100) + 0.05), null).Placings!.Count);
        Assert.Equal(4, Cover.Fewest(Cells(16, 4, 400, 100), true, HoopOf((Math.Sqrt(2) / 2 * 100) + 0.05), null).Placings!.Count);
        var frame = 2 * (50.05 + Hoops.RimMm + Hoops.OpeningLessMm);
        Assert.Equal((6, 6), Cover.Fewest(Cells(12, 8, 300, 200), false, frame, null) is { Placings: { } p } f ? (p.Count, f.Bound)
            : default);
    }

    /// <summary>
    /// As few as any way to divide up to six units, on free cloth, beside a seam and on a cloth with a hole, in hoops and in frames; the
    /// bound is that number, and what is found lies within reach of its middle on cloth that can be clamped.
    /// </summary>
    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public void As_few_as_can_be(bool round)
    {
        var hole = Region.Of([new Pt(60, 60), new Pt(110, 50), new Pt(120, 95), new Pt(70, 100)]);
        Region?[] cloths = [null, Region.Of([new Pt(-20, 20), new Pt(260, 20), new Pt(260, 130), new Pt(-20, 130)]),
            Region.Of([new Pt(-20, 0), new Pt(260, 0), new Pt(260, 130), new Pt(-20, 130)]).Without(hole)];
        var better = 0;
        for (var seed = 1; seed <= 120; seed++)
        {
            var chance = new SeededRandom(seed * 6151);
            var units = Enumerable.Range(0, 3 + (int)(chance.Next() * 4)).Select(_ =>
            {
                var (x, y, w, h) = (chance.Between(0, 210), chance.Between(0, 120), chance.Between(4, 30), chance.Between(4, 30));
                return new Unit("o", [new Pt(x, y), new Pt(x + w, y), new Pt(x + (w / 2), y + h)], 0.4);
            }).ToArray();
            var centres = cloths[seed % cloths.Length];
            bool Fits(IEnumerable<int> group) => Cover.CentreFor([.. group.Select(i => units[i])], round, 102, centres) is not null;
            var (placed, bound) = Cover.Fewest(units, round, 102, centres);
            if (Enumerable.Range(0, units.Length).Any(i => !Fits([i])))
            {
                Assert.Null(placed);
                continue;
            }

            var least = Enumerable.Range(1, units.Length).First(n => HoopingTests.Divisions(units.Length, n).Any(d => d.TrueForAll(Fits)));
            Assert.Equal((seed, least, least), (seed, placed!.Count, bound));
            Assert.Equal(Enumerable.Range(0, units.Length), placed.SelectMany(p => p.Units).Order());
            Assert.All(placed, p => Assert.True(centres is null || centres.OutsideBy(p.CentreMm) < 0.002));
            better += placed.Count < Cover.Place(units, round, 102, centres)!.Count ? 1 : 0;
        }

        Assert.True(better > 0, "The search never did better than taking them as they come.");
    }

    /// <summary>Where a little would save a placing it is found by how much, and a placing fewer really does then.</summary>
    [Fact]
    public void A_little_less_would_save_a_placing()
    {
        Unit[] row = [.. Enumerable.Range(0, 2).Select(i => new Unit("o", [new Pt(i * 80, 0), new Pt((i * 80) + 6.5, 0)], 0))];
        Assert.Equal(2, Cover.Fewest(row, true, HoopOf(42), null).Placings!.Count);
        Assert.Equal(3, Cover.Saves(row, true, HoopOf(42), null, 2, 5));
        Assert.Single(Cover.Fewest(row, true, HoopOf(42 + 1.5), null).Placings!);
        Assert.Null(Cover.Saves(row, true, HoopOf(38), null, 2, 5));
    }
}
