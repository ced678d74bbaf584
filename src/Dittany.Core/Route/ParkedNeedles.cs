namespace Dittany.Core.Route;

/// <summary>
/// Needles kept threaded: the one in the hand and others parked beside it, each with what is left of its thread. When one more is wanted
/// than there are, the one is unthreaded whose thread is wanted again last, which is known beforehand and by which fewest are threaded anew
/// (Belady, IBM Systems Journal 5, 1966).
/// </summary>
public sealed class ParkedNeedles(IReadOnlyList<string> threads, int needles)
{
    private readonly Dictionary<string, double> _parked = new(StringComparer.Ordinal);

    /// <summary>
    /// Goes on with the thread of a place in the order of work; the one before it is parked with so much of it <paramref name="used"/>, mm,
    /// where there are needles enough. What is used of the thread taken up, where it was parked; null where it is to be threaded.
    /// </summary>
    public double? TakeUp(int at, double used)
    {
        if (needles < 2 || at == 0 || threads[at - 1] == threads[at])
        {
            return null;
        }

        _parked[threads[at - 1]] = used;
        double? taken = _parked.Remove(threads[at], out var was) ? was : null;
        while (_parked.Count > needles - 1)
        {
            _parked.Remove(_parked.Keys.OrderByDescending(t => Next(t, at)).ThenBy(t => t, StringComparer.Ordinal).First());
        }

        return taken;
    }

    /// <summary>The next place from one on where a thread is wanted; behind the last where it is not.</summary>
    private int Next(string thread, int from)
    {
        for (var i = from; i < threads.Count; i++)
        {
            if (threads[i] == thread)
            {
                return i;
            }
        }

        return threads.Count;
    }

    /// <summary>How often a needle is threaded with another thread for an order of threads.</summary>
    public static int Threaded(IReadOnlyList<string> threads, int needles)
    {
        var parked = new ParkedNeedles(threads, needles);
        return Enumerable.Range(0, threads.Count).Count(i => i == 0 || (threads[i] != threads[i - 1] && parked.TakeUp(i, 0) is null));
    }
}
