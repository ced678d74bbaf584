using System.Globalization;

namespace Dittany.Core.Materials;

/// <summary>A colour as CIE L*a*b* under D65: lightness 0 to 100, and two axes of hue.</summary>
public readonly record struct Lab(double L, double A, double B);

/// <summary>An sRGB colour, eight bits a channel. Written <c>#rrggbb</c>.</summary>
public readonly record struct Colour(byte R, byte G, byte B)
{
    /// <summary>Reads <c>#rrggbb</c> in either case; anything else is refused.</summary>
    public static bool TryParse(string? text, out Colour colour)
    {
        colour = default;
        if (text is not { Length: 7 } || text[0] != '#' ||
            !int.TryParse(text.AsSpan(1), NumberStyles.AllowHexSpecifier, CultureInfo.InvariantCulture, out var rgb))
        {
            return false;
        }

        colour = new Colour((byte)(rgb >> 16), (byte)(rgb >> 8), (byte)rgb);
        return true;
    }

    public static Colour Parse(string text) =>
        TryParse(text, out var colour) ? colour : throw new FormatException($"'{text}' is not a colour such as #5a7a5c.");

    public override string ToString() => string.Create(CultureInfo.InvariantCulture, $"#{R:x2}{G:x2}{B:x2}");

    /// <summary>The colour in CIE L*a*b*, white point D65 (IEC 61966-2-1 for the transfer curve and the primaries).</summary>
    public Lab ToLab()
    {
        var (r, g, b) = (Linear(R), Linear(G), Linear(B));
        var x = ((0.4124564 * r) + (0.3575761 * g) + (0.1804375 * b)) / 0.95047;
        var y = (0.2126729 * r) + (0.7151522 * g) + (0.0721750 * b);
        var z = ((0.0193339 * r) + (0.1191920 * g) + (0.9503041 * b)) / 1.08883;
        return new Lab((116 * F(y)) - 16, 500 * (F(x) - F(y)), 200 * (F(y) - F(z)));

        static double F(double t) => t > 216.0 / 24389 ? Math.Cbrt(t) : ((24389.0 / 27 * t) + 16) / 116;
    }

    /// <summary>The colour so much nearer to white, 0 to 1, in even steps to the eye: as a paler bath dyes it, its hue kept.</summary>
    public Colour Paled(double share)
    {
        return new Colour(Nearer(R), Nearer(G), Nearer(B));

        byte Nearer(byte channel) => (byte)Math.Round(channel + ((255 - channel) * share));
    }

    /// <summary>A channel in linear light, 0 to 1 (IEC 61966-2-1).</summary>
    internal static double Linear(byte channel)
    {
        var c = channel / 255.0;
        return c <= 0.04045 ? c / 12.92 : Math.Pow((c + 0.055) / 1.055, 2.4);
    }
}
