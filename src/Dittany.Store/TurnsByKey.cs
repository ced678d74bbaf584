namespace Dittany.Store;

/// <summary>
/// Whoever changes the same thing waits for those before; different things never wait for each other. What nobody waits for is not kept.
/// Safe for use from several threads.
/// </summary>
/// <param name="most">So many may have or wait for one turn; one more is refused.</param>
public sealed class TurnsByKey<TKey>(int most)
    where TKey : notnull
{
    private readonly Dictionary<TKey, Waiting> _waiting = [];
    private readonly Lock _gate = new();

    /// <summary>How many things somebody has or waits for.</summary>
    public int Count
    {
        get
        {
            lock (_gate)
            {
                return _waiting.Count;
            }
        }
    }

    /// <summary>Waits for the turn; it ends when what is given back is disposed of. Throws <see cref="BusyException"/> where too many wait.</summary>
    public async Task<IDisposable> Take(TKey key, CancellationToken cancel = default)
    {
        Waiting waiting;
        lock (_gate)
        {
            if (!_waiting.TryGetValue(key, out waiting!))
            {
                _waiting[key] = waiting = new Waiting();
            }
            else if (waiting.Count >= most)
            {
                throw new BusyException();
            }

            waiting.Count++;
        }

        try
        {
            await waiting.Free.WaitAsync(cancel);
        }
        catch
        {
            Leave(key, waiting);
            throw;
        }

        return new Turn(this, key, waiting);
    }

    private void Leave(TKey key, Waiting waiting)
    {
        lock (_gate)
        {
            waiting.Count--;
            if (waiting.Count == 0)
            {
                _waiting.Remove(key);
                waiting.Free.Dispose();
            }
        }
    }

    private sealed class Waiting
    {
        public SemaphoreSlim Free { get; } = new(1);

        public int Count { get; set; }
    }

    private sealed class Turn(TurnsByKey<TKey> turns, TKey key, Waiting waiting) : IDisposable
    {
        private bool _over;

        public void Dispose()
        {
            if (!_over)
            {
                _over = true;
                waiting.Free.Release();
                turns.Leave(key, waiting);
            }
        }
    }
}
