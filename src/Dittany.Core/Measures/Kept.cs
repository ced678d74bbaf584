using Microsoft.Extensions.Caching.Memory;

namespace Dittany.Core.Measures;

/// <summary>
/// What was reckoned once and is kept, up to a number of things; what was longest not asked for goes first. Reckoned once though many ask at once. What throws is not kept. Never what a plan hangs on: a thing made
/// anew is the same thing. Safe to be shared between threads.
/// </summary>
[System.Diagnostics.CodeAnalysis.SuppressMessage("Design", "CA1001:Types that own disposable fields should be disposable", Justification = "The cache holds memory and nothing else, and lives as long as what it is kept for.")]
public sealed class Kept<TKey, TValue>(int most)
    where TKey : notnull
{
    /// <summary>So much goes at once when it is full.</summary>
    private const double GoesShare = 0.2;

    private readonly MemoryCache _kept = new(new MemoryCacheOptions { SizeLimit = most, CompactionPercentage = GoesShare });
    private readonly Lock _entering = new();

    /// <summary>How many things are kept.</summary>
    public int Count => _kept.Count;

    /// <summary>The thing under a key, made by <paramref name="make"/> where it is not kept.</summary>
    public TValue Of(TKey key, Func<TKey, TValue> make)
    {
        var made = _kept.TryGetValue(key, out Lazy<TValue>? known) ? known! : Entered(key, make);
        try
        {
            return made.Value;
        }
        catch
        {
            _kept.Remove(key);
            throw;
        }
    }

    private Lazy<TValue> Entered(TKey key, Func<TKey, TValue> make)
    {
        lock (_entering)
        {
            if (_kept.TryGetValue(key, out Lazy<TValue>? known))
            {
                return known!;
            }

            var made = new Lazy<TValue>(() => make(key));
            _kept.Set(key, made, new MemoryCacheEntryOptions { Size = 1 });
            return made;
        }
    }
}
