using System.Globalization;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Formats.Pictures;
using Dittany.Store;
using Microsoft.Extensions.Caching.Memory;

namespace Dittany.Web.Setup;

/// <summary>How a straightening stands: what is being done and how much of it, and what went wrong if it did.</summary>
public sealed record StraighteningState(StraighteningProgress Progress, bool Done, string? Trouble = null);

/// <summary>
/// Straightens photographs beside the request, so that the page can tell how far it is. One at a time for each photograph: a later one
/// takes the place of the one before, which stops. It always comes to an end, good or bad; what is done is in the store. Safe to be shared
/// between threads.
/// </summary>
public sealed class Straightening(IServiceScopeFactory scopes, PictureDesk pictures, ILogger<Straightening> log) : IDisposable
{
    /// <summary>So many photographs are remembered to have been straightened: what is done is in the store.</summary>
    private const int MostRemembered = 200;

    private readonly MemoryCache _turns = new(new MemoryCacheOptions { SizeLimit = MostRemembered });
    private readonly CancellationTokenSource _closing = new();
    private readonly Lock _one = new();

    /// <summary>How far a photograph is; null where nothing was begun of late.</summary>
    public StraighteningState? Of(int photograph) => _turns.TryGetValue(photograph, out Turn? turn) ? turn!.State : null;

    /// <summary>Begins, and comes back at once; the task ends with the straightening and never throws.</summary>
    public Task Begin(int photograph, byte[] picture, Straightened view)
    {
        var turn = new Turn(CancellationTokenSource.CreateLinkedTokenSource(_closing.Token));
        lock (_one)
        {
            if (_turns.TryGetValue(photograph, out Turn? before))
            {
                before!.Stop.Cancel();
            }

            _turns.Set(photograph, turn, new MemoryCacheEntryOptions { Size = 1 });
        }

        // Begun even when it is to stop at once: it never throws, and says itself how it ended.
        return Task.Run(() => Straighten(photograph, picture, view, turn), CancellationToken.None);
    }

    public void Dispose()
    {
        _closing.Cancel();
        _turns.Dispose();
        _closing.Dispose();
    }

    private async Task Straighten(int photograph, byte[] picture, Straightened view, Turn turn)
    {
        var stop = turn.Stop.Token;
        try
        {
            var drawn = await pictures.Beside(
                () => Rectifier.Draw(picture, view, p =>
                {
                    stop.ThrowIfCancellationRequested();
                    turn.State = new StraighteningState(p, false);
                }),
                stop);
            await using var scope = scopes.CreateAsyncScope();
            var store = scope.ServiceProvider.GetRequiredService<CupboardStore>();
            var id = await store.Keep(drawn, stop);
            stop.ThrowIfCancellationRequested();
            await store.Remember(photograph, row => row.ViewId = id, stop);
            turn.State = new StraighteningState(new StraighteningProgress("Done", 1), true);
        }
        catch (Exception e)
        {
            // Whatever it was, the page that waits must hear of it.
            if (e is not OperationCanceledException)
            {
                log.LogError(e, "Straightening photograph {Photograph} failed", photograph);
            }

            turn.State = new StraighteningState(
                new StraighteningProgress("Stopped", 1), true,
                    "The picture could not be straightened. It is still here: point at the corners once more, or take another.");
        }
    }

    /// <summary>One straightening of a photograph: how far it is, and how it is stopped.</summary>
    private sealed class Turn(CancellationTokenSource stop)
    {
        public CancellationTokenSource Stop => stop;

        public volatile StraighteningState State = new(new StraighteningProgress("Reading the picture", 0), false);
    }

    /// <summary>How roughly corners are pointed at in a picture of this many px shown this wide, px of the picture.</summary>
    public static double RoughPx(int widthPx) => Photographed.PointedShownPx * Math.Max(1, (double)widthPx / ShownPx);

    /// <summary>How wide a picture is shown to be pointed at, px.</summary>
    public const int ShownPx = 900;

    /// <summary>
    /// The view of a photograph by its stored corners, with whether the card's edges were found; null where it has none yet.
    /// </summary>
    public static (Straightened View, bool Found)? ViewOf(PhotographRow row, PictureRow picture)
    {
        var corners = Read(row.Corners);
        if (corners.Count != 4 || Photographed.References.FirstOrDefault(r => r.Id == row.Reference) is not { } reference)
        {
            return null;
        }

        var rough = RoughPx(picture.WidthPx);
        var found = CornerFinder.Find(picture.Bytes, corners, rough);
        var view = Photographed.Straighten(reference, corners, picture.WidthPx, picture.HeightPx, found.Found ? found.WithinPx : rough,
            turnDegrees: row.TurnDegrees).View;
        return view is null ? null : (view, found.Found);
    }

    /// <summary>Corners as they are stored: x,y pairs divided by blanks.</summary>
    public static string Write(IEnumerable<Pt> corners) =>
        string.Join(' ', corners.Select(c => string.Create(CultureInfo.InvariantCulture,
        $"{Math.Round(c.X, 2):0.##},{Math.Round(c.Y, 2):0.##}")));

    /// <summary>Corners as they were stored.</summary>
    public static IReadOnlyList<Pt> Read(string? corners) => (corners ?? string.Empty).Split(' ', StringSplitOptions.RemoveEmptyEntries)
        .Select(c => c.Split(',')).Where(c => c.Length == 2)
        .Select(c => new Pt(double.Parse(c[0], CultureInfo.InvariantCulture), double.Parse(c[1], CultureInfo.InvariantCulture))).ToArray();
}
