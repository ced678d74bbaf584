namespace Dittany.Web.Setup;

/// <summary>The program has more to reckon than it can: what was asked waited in vain, and is asked again in a moment.</summary>
public sealed class BusyException() : Exception("Too many plans are being made at once: try again in a moment.");

/// <summary>
/// The few places at which the program reckons, for pages and door alike: what finds none waits its turn, and gives up with a sentence after a while. A large job takes several places, so that what
/// runs at once stays within the memory. Whoever leaves frees his place or his turn at once. Safe to be shared between threads.
/// </summary>
public sealed class Places(int places, TimeSpan patience) : IDisposable
{
    private readonly SemaphoreSlim _free = new(places);
    private readonly SemaphoreSlim _first = new(1);

    /// <summary>Waits for so many places (at most all there are) and takes them. Throws <see cref="BusyException"/> where none come free in time, and <see cref="OperationCanceledException"/> where whoever asked has left.</summary>
    public async Task<IDisposable> Take(int wanted, CancellationToken stop)
    {
        var (weight, taken) = (Math.Clamp(wanted, 1, places), 0);
        using var limit = CancellationTokenSource.CreateLinkedTokenSource(stop);
        limit.CancelAfter(patience);
        try
        {
            // One at a time gathers its places, or two large ones could each hold half and wait for ever.
            await _first.WaitAsync(limit.Token);
            try
            {
                for (; taken < weight; taken++)
                {
                    await _free.WaitAsync(limit.Token);
                }
            }
            finally
            {
                _first.Release();
            }

            return new Taken(_free, weight);
        }
        catch (OperationCanceledException)
        {
            if (taken > 0)
            {
                _free.Release(taken);
            }

            stop.ThrowIfCancellationRequested();
            throw new BusyException();
        }
    }

    public void Dispose()
    {
        _free.Dispose();
        _first.Dispose();
    }

    private sealed class Taken(SemaphoreSlim free, int weight) : IDisposable
    {
        private int _left = weight;

        public void Dispose()
        {
            var held = Interlocked.Exchange(ref _left, 0);
            if (held > 0)
            {
                free.Release(held);
            }
        }
    }
}
