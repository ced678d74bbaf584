using Dittany.Core.Materials;
using SkiaSharp;

namespace Dittany.Formats.Pictures;

/// <summary>What a picture of cloth shows: its colour on the whole, how dark and light its print is, and whether that is busy.</summary>
public sealed record ClothSeen(Colour Colour, double DarkL, double LightL, bool Busy, double HighMm);

/// <summary>Reads cloth from a picture of it that lies square and holds nothing else.</summary>
public static class ClothFinder
{
    /// <summary>
    /// Threads and weave are evened out over so much, mm: what is left is the print (from memory: two strands lie so wide).
    /// </summary>
    private const double CellMm = 1.5;

    /// <summary>More cells across than this tell nothing more.</summary>
    private const int MostCells = 240;

    /// <summary>A print is busy from so much between its darkest and its lightest, specks aside, lightness L* (from memory).</summary>
    public const double BusyFromL = 18;

    /// <summary>What is less than this share of a print is a speck: words read over it (from memory).</summary>
    private const double Speck = 0.04;

    /// <summary>What is seen of a picture whose width shows so many mm of cloth; null where it cannot be read.</summary>
    public static ClothSeen? Of(byte[] bytes, double wideMm)
    {
        using var data = SKData.CreateCopy(bytes);
        using var codec = SKCodec.Create(data);
        using var whole = codec is null ? null : SKBitmap.Decode(codec);
        if (whole is null || whole.Width == 0)
        {
            return null;
        }

        var highMm = wideMm * whole.Height / whole.Width;
        var cells = new SKImageInfo(Cells(wideMm), Cells(highMm), SKColorType.Rgba8888, SKAlphaType.Opaque);
        using var even = whole.Resize(cells, new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear));
        if (even is null)
        {
            return null;
        }

        // Light adds up as light does, not as its numbers: the mean is taken of what is linear (sRGB, IEC 61966-2-1).
        var (r, g, b, lights) = (0.0, 0.0, 0.0, new List<double>(cells.Width * cells.Height));
        foreach (var pixel in even.Pixels)
        {
            (r, g, b) = (r + Linear(pixel.Red), g + Linear(pixel.Green), b + Linear(pixel.Blue));
            lights.Add(new Colour(pixel.Red, pixel.Green, pixel.Blue).ToLab().L);
        }

        lights.Sort();
        var (dark, light) = (lights[(int)(Speck * (lights.Count - 1))], lights[(int)((1 - Speck) * (lights.Count - 1))]);
        return new ClothSeen(new Colour(Coded(r / lights.Count), Coded(g / lights.Count), Coded(b / lights.Count)),
            Math.Round(dark, 1), Math.Round(light, 1), light - dark >= BusyFromL, Math.Round(highMm, 1));
    }

    private static int Cells(double mm) => Math.Clamp((int)Math.Round(mm / CellMm), 8, MostCells);

    private static double Linear(byte value) => value / 255.0 is var v && v <= 0.04045 ? v / 12.92 : Math.Pow((v + 0.055) / 1.055, 2.4);

    private static byte Coded(double value) => (byte)Math.Round(255 * (value <= 0.0031308 ? 12.92 * value
        : (1.055 * Math.Pow(value, 1 / 2.4)) - 0.055));
}
