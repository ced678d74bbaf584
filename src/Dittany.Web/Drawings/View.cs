using System.Globalization;

namespace Dittany.Web.Drawings;

/// <summary>What part of the item the drawing shows, in mm of its face, and about how many pixels wide it is shown.</summary>
public sealed record View(string Id, string Name, double X, double Y, double Width, double Height, double Pixels = View.UsualPixels)
{
    /// <summary>The drawing is about this wide on a screen of 1280, and on a phone.</summary>
    public const double UsualPixels = 700;

    public const double NarrowPixels = 380;

    /// <summary>Nearer than this a stitch fills the picture; further than this the largest item is a stamp. mm across.</summary>
    public const double LeastWidthMm = 8;

    public const double MostWidthMm = 3000;

    /// <summary>Millimetres a pixel covers: sizes of tape and labels follow it.</summary>
    public double Px => Math.Max(Width / Pixels, Height / (Pixels * 0.943));

    /// <summary>A view of her own, by its middle and width.</summary>
    public static View Free(double middleX, double middleY, double width, double shape)
    {
        width = Math.Clamp(width, LeastWidthMm, MostWidthMm);
        var id = string.Create(CultureInfo.InvariantCulture,
            $"at_{Math.Round(middleX, 2)}_{Math.Round(middleY, 2)}_{Math.Round(width, 2)}");
        return new View(id, "Your own view", middleX - (width / 2), middleY - (width * shape / 2), width, width * shape);
    }

    /// <summary>Reads the id of a view of her own; null where it is none.</summary>
    public static View? Read(string? id, double shape)
    {
        var parts = id?.Split('_') ?? [];
        return parts.Length == 4 && parts[0] == "at" && parts.Skip(1).All(p =>
            double.TryParse(p, NumberStyles.Float, CultureInfo.InvariantCulture, out var n) && Math.Abs(n) < 10_000)
            ? Free(Number(1), Number(2), Number(3), shape)
            : null;

        double Number(int n) => double.Parse(parts[n], CultureInfo.InvariantCulture);
    }

    /// <summary>The same middle, nearer (under 1) or further (over 1).</summary>
    public View Zoomed(double by, double shape) => Free(X + (Width / 2), Y + (Height / 2), Width * by, shape);
}
