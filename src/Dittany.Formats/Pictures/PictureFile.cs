using SkiaSharp;

namespace Dittany.Formats.Pictures;

/// <summary>A picture as taken in: the right way up, as JPEG or PNG bytes, with its size in px.</summary>
public sealed record TakenPicture(byte[] Bytes, int WidthPx, int HeightPx, string ContentType);

/// <summary>
/// Takes pictures in: PNG and JPEG only, by what they are and not by what they are called, under limits, turned as the camera held them
/// (EXIF). Keeps no other data of theirs.
/// </summary>
public static class PictureFile
{
    public const int MostBytes = 25 * 1024 * 1024;

    public const int LeastSidePx = 200;

    public const int MostSidePx = 12_000;

    public const long MostPx = 60_000_000;

    /// <summary>
    /// Larger pictures are kept at this many px, a little more than a telephone's usual 4032 × 3024: more shows nothing more of a weave.
    /// </summary>
    public const long KeptPx = 12_500_000;

    private const int Quality = 90;

    /// <summary>The picture, or why it is not taken: what is wrong, and what would do.</summary>
    public static (TakenPicture? Picture, string? Detail, string? Try) Take(ReadOnlyMemory<byte> bytes)
    {
        if (bytes.Length == 0)
        {
            return (null, "No picture was chosen.", "Choose a photograph, PNG or JPEG.");
        }

        if (bytes.Length > MostBytes)
        {
            return (null, $"The picture is {bytes.Length / 1024 / 1024} MB, and 25 MB is the most.",
                "Take it at a smaller size, or cut it down.");
        }

        using var data = SKData.CreateCopy(bytes.Span);
        using var codec = SKCodec.Create(data);
        if (codec is null || codec.EncodedFormat is not (SKEncodedImageFormat.Jpeg or SKEncodedImageFormat.Png))
        {
            return (null, "This is no picture we can read.", "Choose a PNG or a JPEG.");
        }

        var (w, h) = (codec.Info.Width, codec.Info.Height);
        if (Math.Max(w, h) > MostSidePx || (long)w * h > MostPx)
        {
            return (null, $"The picture is {w} × {h} px, and {MostSidePx} px a side or 60 million in all are the most.",
                "Take it at a smaller size.");
        }

        if (Math.Min(w, h) < LeastSidePx)
        {
            return (null, $"The picture is only {w} × {h} px.", $"Take one with at least {LeastSidePx} px a side.");
        }

        using var raw = Decoded(codec, data);
        if (raw is null)
        {
            return (null, "The picture is damaged: it breaks off in the middle.", "Save or send it once more.");
        }

        if (codec.EncodedOrigin == SKEncodedOrigin.TopLeft
            && (codec.EncodedFormat == SKEncodedImageFormat.Jpeg || raw.AlphaType == SKAlphaType.Opaque
            || codec.Info.AlphaType == SKAlphaType.Opaque) && (long)raw.Width * raw.Height <= KeptPx)
        {
            // It stands as it is to be kept: drawing it once more would only cost time and memory.
            using var asItIs = raw.PeekPixels()?.Encode(SKEncodedImageFormat.Jpeg, Quality)
                ?? throw new InvalidOperationException("The picture has no pixels.");
            return (new TakenPicture(asItIs.ToArray(), raw.Width, raw.Height, "image/jpeg"), null, null);
        }

        using var upright = Upright(raw, codec.EncodedOrigin);
        var encoded = upright.Encode(SKEncodedImageFormat.Jpeg, Quality).ToArray();
        return (new TakenPicture(encoded, upright.Width, upright.Height, "image/jpeg"), null, null);
    }

    /// <summary>
    /// The picture's pixels, a large one already made smaller while it is read: what is not kept need never lie in the memory. A JPEG can
    /// be read at some eighths of its size; a PNG is read band by band. Null where it breaks off.
    /// </summary>
    private static SKBitmap? Decoded(SKCodec codec, SKData data)
    {
        var (w, h) = (codec.Info.Width, codec.Info.Height);
        var wanted = Math.Min(1, Math.Sqrt((double)KeptPx / ((long)w * h)));
        var by = (int)Math.Ceiling(1 / wanted);
        if (by > 1 && codec.EncodedFormat == SKEncodedImageFormat.Png)
        {
            return ByBands(data, w, h, by);
        }

        var size = codec.EncodedFormat == SKEncodedImageFormat.Jpeg ? Eighths(codec) : codec.Info.Size;
        var whole = new SKBitmap(Rgba(size.Width, size.Height));
        if (codec.GetPixels(whole.Info, whole.GetPixels()) == SKCodecResult.Success)
        {
            return whole;
        }

        whole.Dispose();
        return null;
    }

    /// <summary>The largest size a JPEG can be read at that is no larger than what is kept.</summary>
    private static SKSizeI Eighths(SKCodec codec) => Enumerable.Range(1, 8).Reverse()
        .Select(eighths => codec.GetScaledDimensions(eighths / 8f))
        .First(size => (long)size.Width * size.Height <= KeptPx);

    private static SKImageInfo Rgba(int width, int height) => new(width, height, SKColorType.Rgba8888, SKAlphaType.Premul);

    /// <summary>
    /// Each pixel the mean of so many by so many, on white; read in bands of rows, of which one at a time lies in the memory.
    /// </summary>
    private static SKBitmap? ByBands(SKData data, int width, int height, int by)
    {
        const int Bands = 6;
        var small = new SKBitmap(new SKImageInfo(width / by, height / by, SKColorType.Rgba8888, SKAlphaType.Opaque));
        var rows = (int)Math.Ceiling((double)small.Height / Bands) * by;
        using var band = new SKBitmap(Rgba(width, rows));
        for (var top = 0; top < small.Height * by; top += rows)
        {
            var here = Math.Min(rows, (small.Height * by) - top);
            using var codec = SKCodec.Create(data);
            if (codec.StartIncrementalDecode(Rgba(width, height), band.GetPixels(), band.RowBytes,
                new SKCodecOptions(new SKRectI(0, top, width, top + here))) != SKCodecResult.Success
                || codec.IncrementalDecode(out _) != SKCodecResult.Success)
            {
                small.Dispose();
                return null;
            }

            for (var y = 0; y < here; y += by)
            {
                Mean(band.GetPixelSpan()[(y * band.RowBytes)..], small.GetPixelSpan()[((top + y) / by * small.RowBytes)..], small.Width,
                    by, band.RowBytes);
            }
        }

        return small;
    }

    private static void Mean(ReadOnlySpan<byte> rows, Span<byte> into, int width, int by, int rowBytes)
    {
        const int Channels = 4;
        for (var x = 0; x < width * Channels; x++)
        {
            var (from, sum) = ((x / Channels * by * Channels) + (x % Channels), 0);
            for (var dy = 0; dy < by; dy++)
            {
                for (var dx = 0; dx < by; dx++)
                {
                    sum += rows[from + (dy * rowBytes) + (dx * Channels)];
                }
            }

            into[x] = (byte)(sum / (by * by));
        }

        for (var x = 0; x < width * Channels; x += Channels)
        {
            // Colours are given times what they cover: what is left shows white.
            var white = 255 - into[x + 3];
            (into[x], into[x + 1], into[x + 2], into[x + 3]) = ((byte)Math.Min(255, into[x] + white),
                (byte)Math.Min(255, into[x + 1] + white), (byte)Math.Min(255, into[x + 2] + white), 255);
        }
    }

    /// <summary>Turned as EXIF says, on white, no larger than is kept.</summary>
    private static SKImage Upright(SKBitmap raw, SKEncodedOrigin origin)
    {
        var turned = origin
            is SKEncodedOrigin.LeftTop or SKEncodedOrigin.RightTop or SKEncodedOrigin.RightBottom or SKEncodedOrigin.LeftBottom;
        var shrink = Math.Min(1, Math.Sqrt((double)KeptPx / ((long)raw.Width * raw.Height)));
        var (w, h) = ((int)Math.Round(raw.Width * shrink), (int)Math.Round(raw.Height * shrink));
        using var surface = SKSurface.Create(new SKImageInfo(turned ? h : w, turned ? w : h, SKColorType.Rgba8888, SKAlphaType.Opaque));
        var canvas = surface.Canvas;
        canvas.Clear(SKColors.White);
        canvas.Concat(origin switch
        {
            SKEncodedOrigin.TopRight => new SKMatrix(-1, 0, w, 0, 1, 0, 0, 0, 1),
            SKEncodedOrigin.BottomRight => new SKMatrix(-1, 0, w, 0, -1, h, 0, 0, 1),
            SKEncodedOrigin.BottomLeft => new SKMatrix(1, 0, 0, 0, -1, h, 0, 0, 1),
            SKEncodedOrigin.LeftTop => new SKMatrix(0, 1, 0, 1, 0, 0, 0, 0, 1),
            SKEncodedOrigin.RightTop => new SKMatrix(0, -1, h, 1, 0, 0, 0, 0, 1),
            SKEncodedOrigin.RightBottom => new SKMatrix(0, -1, h, -1, 0, w, 0, 0, 1),
            SKEncodedOrigin.LeftBottom => new SKMatrix(0, 1, 0, -1, 0, w, 0, 0, 1),
            _ => SKMatrix.Identity,
        });
        raw.SetImmutable();
        using var image = SKImage.FromBitmap(raw);
        canvas.DrawImage(image, new SKRect(0, 0, w, h), shrink < 1 ? new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear)
            : SKSamplingOptions.Default);
        return surface.Snapshot();
    }
}
