using Dittany.Core.Geometry;
using Dittany.Core.Route;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Tests.Route;

public class CarryTests
{
    private static readonly Stitch[] Row = [.. Sewn.Straights(3,
        Enumerable.Range(0, 8).Select(i => (new Pt((i + 1) * 2.5, 0), new Pt(i * 2.5, 0))))];

    /// <summary>Under a straight row the way is as long as the row, and hops no longer than a float.</summary>
    [Fact]
    public void The_way_goes_under_the_stitches() => Assert.Equal(20 + 3, Carry.Shortest(new Pt(0, 0), new Pt(20, 3), Row, 3, 60)!.Value,
        6);

    [Fact]
    public void No_way_where_the_gap_is_longer_than_a_float() => Assert.Null(Carry.Shortest(new Pt(0, 0), new Pt(30, 0), Row, 5, 60));

    [Fact]
    public void No_way_longer_than_allowed() => Assert.Null(Carry.Shortest(new Pt(0, 0), new Pt(20, 3), Row, 3, 22));

    /// <summary>Against every simple way through a few holes.</summary>
    [Fact]
    public void Agrees_with_trying_every_way()
    {
        var stitches = Sewn.Straights(3, [(new Pt(3, 0), new Pt(0, 0)), (new Pt(3, 6), new Pt(3, 0)), (new Pt(9, 6), new Pt(3, 6)),
            (new Pt(9, 1), new Pt(3, 0))]).ToArray();
        var (from, to) = (new Pt(0, 1), new Pt(10, 3));
        Assert.Equal(Exhaustive(from, to, stitches, 4), Carry.Shortest(from, to, stitches, 4, 60)!.Value, 9);
    }

    private static double Exhaustive(Pt from, Pt to, Stitch[] stitches, double hop)
    {
        var holes = stitches.SelectMany(s => new[] { s.FromMm, s.ToMm }).Append(to).Distinct().ToList();
        double Go(Pt at, List<Pt> left) => at == to ? 0 : left
            .Where(n => at.To(n) <= hop || stitches.Any(s => (s.FromMm == at && s.ToMm == n) || (s.ToMm == at && s.FromMm == n)))
            .Select(n => at.To(n) + Go(n, left.Where(l => l != n).ToList()))
            .DefaultIfEmpty(double.PositiveInfinity).Min();
        return Go(from, holes);
    }
}
