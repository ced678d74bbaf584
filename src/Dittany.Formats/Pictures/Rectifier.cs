using Dittany.Core.Items;
using SkiaSharp;

namespace Dittany.Formats.Pictures;

/// <summary>How far a picture is straightened: what is being done, and how much of it is done, 0 to 1.</summary>
public sealed record StraighteningProgress(string Doing, double Share);

/// <summary>Draws the straightened view of a photograph: square on, at an even number of px per mm.</summary>
public static class Rectifier
{
    /// <summary>No view is drawn larger.</summary>
    public const double MostPx = 9_000_000;

    /// <summary>Finer than this shows nothing more, px per mm.</summary>
    public const double MostPxPerMm = 8;

    private const int Quality = 88;

    /// <summary>Rows drawn at a time, between two tellings of progress.</summary>
    private const int BandPx = 256;

    /// <summary>Px per mm the view is drawn at: as fine as the picture, no more.</summary>
    public static double PxPerMm(Straightened view) =>
        Math.Min(Math.Min(view.PxPerMm, MostPxPerMm), Math.Sqrt(MostPx / (view.WidthMm * view.HeightMm)));

    /// <summary>The straightened view as JPEG. Throws <see cref="ArgumentException"/> where the bytes are no picture.</summary>
    public static TakenPicture Draw(ReadOnlyMemory<byte> photograph, Straightened view, Action<StraighteningProgress>? tell = null)
    {
        tell?.Invoke(new StraighteningProgress("Reading the picture", 0));
        using var image = SKImage.FromEncodedData(photograph.Span)
            ?? throw new ArgumentException("This is no picture.", nameof(photograph));
        using var raster = image.ToRasterImage(ensurePixelData: true);
        var scale = PxPerMm(view);
        var (w, h) = (Math.Max(1, (int)Math.Round(view.WidthMm * scale)), Math.Max(1, (int)Math.Round(view.HeightMm * scale)));
        var v = view.ToMm.Values;
        var matrix = new SKMatrix(
            (float)(v[0] * scale), (float)(v[1] * scale), (float)(v[2] * scale), (float)(v[3] * scale), (float)(v[4] * scale),
                (float)(v[5] * scale), (float)v[6], (float)v[7], (float)v[8]);
        using var surface = SKSurface.Create(new SKImageInfo(w, h, SKColorType.Rgba8888, SKAlphaType.Opaque));
        var canvas = surface.Canvas;
        canvas.Clear(new SKColor(0xe8, 0xe2, 0xd2));
        for (var y = 0; y < h; y += BandPx)
        {
            tell?.Invoke(new StraighteningProgress("Straightening it", 0.2 + (0.6 * y / h)));
            canvas.Save();
            canvas.ClipRect(new SKRect(0, y, w, Math.Min(h, y + BandPx)));
            canvas.Concat(matrix);
            canvas.DrawImage(raster, 0, 0, new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear));
            canvas.Restore();
        }

        tell?.Invoke(new StraighteningProgress("Keeping it", 0.85));
        using var drawn = surface.Snapshot();
        return new TakenPicture(drawn.Encode(SKEncodedImageFormat.Jpeg, Quality).ToArray(), w, h, "image/jpeg");
    }
}
