using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using Dittany.Core.Route;

namespace Dittany.Core.Tests.Route;

/// <summary>How often the needle is threaded, against every lawful order; the way from plant to plant against every way.</summary>
public class SetUpsTests
{
    /// <summary>
    /// As few threadings as any order has in which what lies under comes first (all orders of up to seven), and no fewer is told.
    /// </summary>
    [Fact]
    public void As_few_as_any_lawful_order()
    {
        for (var seed = 1; seed <= 150; seed++)
        {
            var chance = new SeededRandom(seed * 2503);
            var count = 2 + (int)(chance.Next() * 6);
            var nodes = Enumerable.Range(0, count).Select(i => new SetUpNode($"t{(int)(chance.Next() * 4)}", chance.Next(),
                [.. Enumerable.Range(0, i).Where(_ => chance.Next() < 0.25)])).ToArray();
            var threaded = chance.Next() < 0.5 ? "t1" : null;
            var (order, found, bound) = ThreadChangeOrder.Fewest(nodes, threaded);
            Assert.Equal(Enumerable.Range(0, count), order.Order());
            Assert.All(order.Select((n, at) => (n, at)), o =>
                Assert.All(nodes[o.n].After, before => Assert.Contains(before, order.Take(o.at))));
            Assert.Equal(found, ThreadChangeOrder.Count(order, nodes, threaded));
            Assert.Equal((seed, Least(nodes, threaded), found), (seed, found, bound));
        }
    }

    private static int Least(IReadOnlyList<SetUpNode> nodes, string? threaded)
    {
        return Go([], threaded, 0, int.MaxValue);

        int Go(HashSet<int> done, string? on, int count, int best)
        {
            if (done.Count == nodes.Count || count >= best)
            {
                return Math.Min(best, count);
            }

            for (var i = 0; i < nodes.Count; i++)
            {
                if (!done.Contains(i) && nodes[i].After.All(done.Contains))
                {
                    best = Go([.. done, i], nodes[i].Thread, count + (nodes[i].Thread == on ? 0 : 1), best);
                }
            }

            return best;
        }
    }

    /// <summary>
    /// The way through up to seven places is never shorter than the shortest of all, and at most a tenth longer over a hundred cases; it
    /// passes each once.
    /// </summary>
    [Fact]
    public void The_way_is_near_the_shortest()
    {
        var (all, least) = (0.0, 0.0);
        for (var seed = 1; seed <= 100; seed++)
        {
            var chance = new SeededRandom(seed * 911);
            var places = Enumerable.Range(0, 3 + (int)(chance.Next() * 5))
                .Select(_ => new Pt(chance.Between(0, 100), chance.Between(0, 100))).ToArray();
            var from = new Pt(0, 0);
            var way = ShortWay.Through(places, from);
            Assert.Equal(Enumerable.Range(0, places.Length), way.Order());
            var shortest = Ways([.. Enumerable.Range(0, places.Length)]).Min(w => ShortWay.LengthMm(places, w, from));
            Assert.True(ShortWay.LengthMm(places, way, from) >= shortest - 1e-9);
            (all, least) = (all + ShortWay.LengthMm(places, way, from), least + shortest);
        }

        Assert.InRange(all / least, 1, 1.1);
        Assert.Equal([0], ShortWay.Through([new Pt(3, 4)], null));
        Assert.Empty(ShortWay.Through([], null));
    }

    private static IEnumerable<IReadOnlyList<int>> Ways(List<int> left) => left.Count == 0 ? [[]]
        : left.SelectMany(i => Ways([.. left.Where(l => l != i)]).Select(w => (IReadOnlyList<int>)[i, .. w]));
}
