using Dittany.Formats.Pictures;
using Dittany.Store;

namespace Dittany.Web.Setup;

/// <summary>
/// Where pictures are unpacked: one at a time for the whole program, for one of 60 million px is a quarter of a gigabyte while it is read.
/// One more than may wait is told so; who leaves gives up his turn. Safe to be shared between threads.
/// </summary>
public sealed class PictureDesk : IDisposable
{
    /// <summary>Pictures that may wait: each takes up to three seconds.</summary>
    private const int MostWaiting = 4;

    private readonly ConcurrencyLimiter _one = new(1, MostWaiting);

    /// <summary>
    /// Takes in a picture that was sent: the picture, or what is wrong and what would do. Null stands for none that was chosen.
    /// </summary>
    public Task<(TakenPicture? Picture, string? Detail, string? Try)> Take(IFormFile? sent, CancellationToken cancel) => At(
        async () =>
        {
            using var bytes = new MemoryStream((int)Math.Min(sent?.Length ?? 0, PictureFile.MostBytes + 1L));
            if (sent is not null)
            {
                await sent.CopyToAsync(bytes, cancel);
            }

            return PictureFile.Take(bytes.GetBuffer().AsMemory(0, (int)bytes.Length));
        },
        cancel);

    /// <summary>Does something that unpacks a picture, when its turn comes.</summary>
    public async Task<T> At<T>(Func<Task<T>> what, CancellationToken cancel)
    {
        using var turn = await _one.Take(cancel);
        return await what();
    }

    /// <summary>Does something beside the requests, for which nobody stands and waits, when its turn comes.</summary>
    public async Task<T> Beside<T>(Func<T> what, CancellationToken cancel)
    {
        using var turn = await _one.TakeBeside(cancel);
        return what();
    }

    public Task<T> At<T>(Func<T> what, CancellationToken cancel) => At(() => Task.FromResult(what()), cancel);

    public void Dispose() => _one.Dispose();
}
