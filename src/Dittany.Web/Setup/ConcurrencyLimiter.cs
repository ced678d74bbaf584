using Dittany.Store;

namespace Dittany.Web.Setup;

/// <summary>
/// A few places at which something heavy is done: what finds none waits its turn, first come first served. Whether one may wait depends on
/// how many do already, never on a clock: the same crowd fares alike on a slow machine and on a fast one. Whoever leaves frees his place or
/// his turn at once. Safe to be shared between threads.
/// </summary>
public sealed class ConcurrencyLimiter(int places, int mostWaiting) : IDisposable
{
    private readonly SemaphoreSlim _free = new(places);
    private int _waiting;

    /// <summary>
    /// Waits for a place and takes it until it is disposed. Throws <see cref="BusyException"/> where as many wait already as may, and
    /// <see cref="OperationCanceledException"/> where whoever asked has left.
    /// </summary>
    public Task<IDisposable> Take(CancellationToken stop) => Take(mostWaiting, stop);

    /// <summary>The same for what nobody stands and waits for: it waits whoever else does.</summary>
    public Task<IDisposable> TakeBeside(CancellationToken stop) => Take(int.MaxValue, stop);

    private async Task<IDisposable> Take(int most, CancellationToken stop)
    {
        stop.ThrowIfCancellationRequested();
        if (_free.Wait(0, CancellationToken.None))
        {
            return new Taken(_free);
        }

        if (Interlocked.Increment(ref _waiting) > most)
        {
            Interlocked.Decrement(ref _waiting);
            throw new BusyException();
        }

        try
        {
            await _free.WaitAsync(stop);
            return new Taken(_free);
        }
        finally
        {
            Interlocked.Decrement(ref _waiting);
        }
    }

    public void Dispose() => _free.Dispose();

    private sealed class Taken(SemaphoreSlim free) : IDisposable
    {
        private SemaphoreSlim? _held = free;

        public void Dispose() => Interlocked.Exchange(ref _held, null)?.Release();
    }
}
