using Dittany.Core.Measures;

namespace Dittany.Core.Route;

/// <summary>
/// What is stitched in one go between two threadings of the needle: of one element, one layer and one thread. <paramref name="Rank"/> says
/// how early it is liked; <paramref name="After"/> are the places of those that come before it.
/// </summary>
public sealed record SetUpNode(string Thread, double Rank, IReadOnlyList<int> After);

/// <summary>
/// In which order threads are taken up so that the needle is threaded anew as seldom as can be, what lies under before what lies over it:
/// all that can be stitched with a thread is stitched with it, and which thread comes next is searched, deeper one at a time.
/// </summary>
public static class ThreadChangeOrder
{
    /// <summary>More are not searched but taken as they are liked.</summary>
    private const int MostNodes = 120;

    /// <summary>So many states are looked at before the first way found is taken.</summary>
    private const int MostStates = 40_000;

    /// <summary>
    /// The nodes in the order of work, how often the needle is threaded for them, and how often it must be at the least;
    /// <paramref name="threaded"/> is on the needle already. No node may come after itself.
    /// </summary>
    public static (IReadOnlyList<int> Order, int Count, int Bound) Fewest(IReadOnlyList<SetUpNode> nodes, string? threaded,
        Budget? budget = null)
    {
        if (nodes.Count == 0)
        {
            return ([], 0, 0);
        }

        var least = nodes.Select(n => n.Thread).Distinct(StringComparer.Ordinal).Count(t => t != threaded);
        if (nodes.Count > MostNodes)
        {
            var liked = Greedy(nodes, threaded);
            return (liked, Count(liked, nodes, threaded), least);
        }

        var search = new Search(nodes, budget);
        var first = Greedy(nodes, threaded);
        var most = Count(first, nodes, threaded);
        for (var depth = least; depth < most; depth++)
        {
            if (search.Go(threaded, depth) is { } found)
            {
                return (found, depth, search.GaveUp ? least : depth);
            }

            if (search.GaveUp)
            {
                return (first, most, depth);
            }
        }

        return (first, most, most);
    }

    /// <summary>How often the needle is threaded in this order.</summary>
    public static int Count(IReadOnlyList<int> order, IReadOnlyList<SetUpNode> nodes, string? threaded)
    {
        var (count, on) = (0, threaded);
        foreach (var i in order)
        {
            count += nodes[i].Thread == on ? 0 : 1;
            on = nodes[i].Thread;
        }

        return count;
    }

    /// <summary>The thread that is liked first of those that can be used; all that can be stitched with it at once.</summary>
    private static List<int> Greedy(IReadOnlyList<SetUpNode> nodes, string? threaded)
    {
        var (order, done, on) = (new List<int>(), new HashSet<int>(), threaded);
        while (order.Count < nodes.Count)
        {
            var free = Enumerable.Range(0, nodes.Count).Where(i => !done.Contains(i) && nodes[i].After.All(done.Contains)).ToArray();
            var next = Array.Find(free, i => nodes[i].Thread == on) is var same && free.Contains(same) && nodes[same].Thread == on ? same
                : free.OrderBy(i => nodes[i].Rank).ThenBy(i => i).First();
            (on, _) = (nodes[next].Thread, done.Add(next));
            order.Add(next);
        }

        return order;
    }

    private sealed class Search(IReadOnlyList<SetUpNode> nodes, Budget? budget)
    {
        private readonly UInt128[] _after = [.. nodes.Select(n => n.After.Aggregate(UInt128.Zero, (a, i) => a | (UInt128.One << i)))];
        private readonly UInt128 _all = (UInt128.One << nodes.Count) - 1;
        private readonly string[] _threads = [.. nodes.Select((n, i) => (n.Thread, n.Rank, i))
            .GroupBy(n => n.Thread, StringComparer.Ordinal)
            .OrderBy(g => g.Min(n => n.Rank)).ThenBy(g => g.Min(n => n.i)).Select(g => g.Key)];

        private int _states;

        public bool GaveUp => _states > MostStates;

        /// <summary>An order with no more set-ups than this; null where there is none, or where it gave up.</summary>
        public IReadOnlyList<int>? Go(string? threaded, int depth)
        {
            var (taken, dead) = (new List<int>(), new HashSet<(UInt128, int)>());
            var done = Take(UInt128.Zero, threaded, taken);
            return Deeper(done, depth, threaded, taken, dead) ? taken : null;
        }

        private bool Deeper(UInt128 done, int left, string? on, List<int> taken, HashSet<(UInt128, int)> dead)
        {
            if (done == _all)
            {
                return true;
            }

            budget?.Spend(nodes.Count);
            var wanted = _threads.Count(t => t != on && Enumerable.Range(0, nodes.Count)
                .Any(i => nodes[i].Thread == t && (done >> i & 1) == 0));
            if (++_states > MostStates || Math.Max(1, wanted) > left || dead.Contains((done, left)))
            {
                return false;
            }

            foreach (var thread in _threads.Where(t => t != on))
            {
                var before = taken.Count;
                var then = Take(done, thread, taken);
                if (then != done && Deeper(then, left - 1, thread, taken, dead))
                {
                    return true;
                }

                taken.RemoveRange(before, taken.Count - before);
            }

            dead.Add((done, left));
            return false;
        }

        /// <summary>All that can be stitched with a thread now, and with what that makes free.</summary>
        private UInt128 Take(UInt128 done, string? thread, List<int> taken)
        {
            for (var more = thread is not null; more;)
            {
                more = false;
                for (var i = 0; i < nodes.Count; i++)
                {
                    if ((done >> i & 1) == 0 && nodes[i].Thread == thread && (_after[i] & ~done) == 0)
                    {
                        done |= UInt128.One << i;
                        taken.Add(i);
                        more = true;
                    }
                }
            }

            return done;
        }
    }
}
