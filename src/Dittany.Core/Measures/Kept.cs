using System.Collections.Concurrent;
using Microsoft.Extensions.Caching.Memory;

namespace Dittany.Core.Measures;

/// <summary>
/// What was reckoned once and is kept, up to a number of things, or up to so much of what they weigh; what was longest not asked for goes
/// first. Reckoned once though many ask at once, and counted to nobody's budget. What throws is not kept; where whoever began it is no
/// longer wanted, the next who waits makes it. Never what a plan hangs on: a thing made anew is the same thing.
/// Safe to be shared between threads.
/// </summary>
[System.Diagnostics.CodeAnalysis.SuppressMessage("Design", "CA1001:Types that own disposable fields should be disposable",
    Justification = "The cache holds memory and nothing else, and lives as long as what it is kept for.")]
public sealed class Kept<TKey, TValue>(int most, Func<TValue, int>? weight = null)
    where TKey : notnull
{
    /// <summary>So much goes at once when it is full.</summary>
    private const double GoesShare = 0.2;

    private sealed record Held(TValue Value);

    private readonly MemoryCache _kept = new(new MemoryCacheOptions { SizeLimit = most, CompactionPercentage = GoesShare });
    private readonly ConcurrentDictionary<TKey, Lazy<TValue>> _making = new();

    /// <summary>How many things are kept.</summary>
    public int Count => _kept.Count;

    /// <summary>The thing under a key, made by <paramref name="make"/> where it is not kept.</summary>
    public TValue Of(TKey key, Func<TKey, TValue> make)
    {
        while (true)
        {
            if (_kept.TryGetValue(key, out Held? kept) && kept is not null)
            {
                return kept.Value;
            }

            var making = _making.GetOrAdd(key, _ => new Lazy<TValue>(() => Made(key, make)));
            try
            {
                return making.Value;
            }
            catch (OperationCanceledException) when (!Budget.Current.Stopped)
            {
                // Another plan had begun it and is no longer wanted; this one is.
            }
            finally
            {
                _making.TryRemove(new KeyValuePair<TKey, Lazy<TValue>>(key, making));
            }
        }
    }

    /// <summary>Made and put among what is kept; where another was quicker in between, that one.</summary>
    private TValue Made(TKey key, Func<TKey, TValue> make)
    {
        if (_kept.TryGetValue(key, out Held? kept) && kept is not null)
        {
            return kept.Value;
        }

        var made = Budget.Uncounted(() => make(key));
        _kept.Set(key, new Held(made), new MemoryCacheEntryOptions { Size = Math.Max(1, weight?.Invoke(made) ?? 1) });
        return made;
    }
}
