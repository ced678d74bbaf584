using System.Collections.Concurrent;
using System.Globalization;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Formats.Pictures;
using Dittany.Store;

namespace Dittany.Web.Setup;

/// <summary>How a straightening stands: what is being done and how much of it, and what went wrong if it did.</summary>
public sealed record StraighteningState(StraighteningProgress Progress, bool Done, string? Trouble = null);

/// <summary>Straightens photographs beside the request, so that the page can tell how far it is. One at a time for each photograph; what is done is in the store.</summary>
public sealed class Straightening(IServiceScopeFactory scopes, PictureDesk pictures, ILogger<Straightening> log)
{
    private readonly ConcurrentDictionary<int, StraighteningState> _states = new();

    /// <summary>How far a photograph is; null where nothing was begun since the program started.</summary>
    public StraighteningState? Of(int photograph) => _states.GetValueOrDefault(photograph);

    /// <summary>Begins, and comes back at once.</summary>
    public void Begin(int photograph, byte[] picture, Straightened view)
    {
        _states[photograph] = new StraighteningState(new StraighteningProgress("Reading the picture", 0), false);
        _ = Task.Run(async () =>
        {
            try
            {
                var drawn = await pictures.At(() => Rectifier.Draw(picture, view, p => _states[photograph] = new StraighteningState(p, false)), CancellationToken.None);
                await using var scope = scopes.CreateAsyncScope();
                var store = scope.ServiceProvider.GetRequiredService<CupboardStore>();
                var id = await store.Keep(drawn);
                await store.Remember(photograph, row => row.ViewId = id);
                _states[photograph] = new StraighteningState(new StraighteningProgress("Done", 1), true);
            }
            catch (Exception e) when (e is ArgumentException or InvalidOperationException or OutOfMemoryException or BusyException or System.Data.Common.DbException or Microsoft.EntityFrameworkCore.DbUpdateException)
            {
                log.LogError(e, "Straightening photograph {Photograph} failed", photograph);
                _states[photograph] = new StraighteningState(new StraighteningProgress("Stopped", 1), true, "The picture could not be straightened. It is still here: point at the corners once more, or take another.");
            }
        });
    }

    /// <summary>How roughly corners are pointed at in a picture of this many px shown this wide, px of the picture.</summary>
    public static double RoughPx(int widthPx) => Photographed.PointedShownPx * Math.Max(1, (double)widthPx / ShownPx);

    /// <summary>How wide a picture is shown to be pointed at, px.</summary>
    public const int ShownPx = 900;

    /// <summary>The view of a photograph by its stored corners, with whether the card's edges were found; null where it has none yet.</summary>
    public static (Straightened View, bool Found)? ViewOf(PhotographRow row, PictureRow picture)
    {
        var corners = Read(row.Corners);
        if (corners.Count != 4 || Photographed.References.FirstOrDefault(r => r.Id == row.Reference) is not { } reference)
        {
            return null;
        }

        var rough = RoughPx(picture.WidthPx);
        var found = CornerFinder.Find(picture.Bytes, corners, rough);
        var view = Photographed.Straighten(reference, corners, picture.WidthPx, picture.HeightPx, found.Found ? found.WithinPx : rough, turnDegrees: row.TurnDegrees).View;
        return view is null ? null : (view, found.Found);
    }

    /// <summary>Corners as they are stored: x,y pairs divided by blanks.</summary>
    public static string Write(IEnumerable<Pt> corners) => string.Join(' ', corners.Select(c => string.Create(CultureInfo.InvariantCulture, $"{Math.Round(c.X, 2):0.##},{Math.Round(c.Y, 2):0.##}")));

    /// <summary>Corners as they were stored.</summary>
    public static IReadOnlyList<Pt> Read(string? corners) => (corners ?? string.Empty).Split(' ', StringSplitOptions.RemoveEmptyEntries)
        .Select(c => c.Split(',')).Where(c => c.Length == 2)
        .Select(c => new Pt(double.Parse(c[0], CultureInfo.InvariantCulture), double.Parse(c[1], CultureInfo.InvariantCulture))).ToArray();
}
