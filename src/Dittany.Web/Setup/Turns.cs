using Dittany.Store;

namespace Dittany.Web.Setup;

/// <summary>
/// A few places at which something heavy is done: what finds none waits its turn, and gives up with a sentence after a while. Whoever
/// leaves frees his place or his turn at once. Safe to be shared between threads.
/// </summary>
public sealed class Turns(int places, TimeSpan patience) : IDisposable
{
    private readonly SemaphoreSlim _free = new(places);

    /// <summary>
    /// Waits for a place and takes it until it is disposed. Throws <see cref="BusyException"/> where none comes free in time, and
    /// <see cref="OperationCanceledException"/> where whoever asked has left.
    /// </summary>
    public Task<IDisposable> Take(CancellationToken stop) => Take(patience, stop);

    /// <summary>The same with a patience of its own.</summary>
    public async Task<IDisposable> Take(TimeSpan waits, CancellationToken stop) =>
        await _free.WaitAsync(waits, stop) ? new Taken(_free) : throw new BusyException();

    public void Dispose() => _free.Dispose();

    private sealed class Taken(SemaphoreSlim free) : IDisposable
    {
        private SemaphoreSlim? _held = free;

        public void Dispose() => Interlocked.Exchange(ref _held, null)?.Release();
    }
}
