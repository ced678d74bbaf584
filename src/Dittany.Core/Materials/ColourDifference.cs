namespace Dittany.Core.Materials;

/// <summary>How far apart two colours look.</summary>
public static class ColourDifference
{
    /// <summary>CIEDE2000 with all weights 1, after Sharma, Wu and Dalal (2005), whose published pairs it is checked against.</summary>
    public static double Ciede2000(Lab one, Lab two)
    {
        var meanC = (Chroma(one.A, one.B) + Chroma(two.A, two.B)) / 2;
        var g = 0.5 * (1 - Math.Sqrt(Seventh(meanC)));
        var (a1, a2) = ((1 + g) * one.A, (1 + g) * two.A);
        var (c1, c2) = (Chroma(a1, one.B), Chroma(a2, two.B));
        var (h1, h2) = (Hue(a1, one.B), Hue(a2, two.B));

        var dL = two.L - one.L;
        var dC = c2 - c1;
        var grey = c1 * c2 == 0;
        var turn = grey ? 0 : h2 - h1;
        turn = turn > 180 ? turn - 360 : turn < -180 ? turn + 360 : turn;
        var dH = 2 * Math.Sqrt(c1 * c2) * Sin(turn / 2);

        var meanL = (one.L + two.L) / 2;
        var meanC2 = (c1 + c2) / 2;
        var meanH = grey ? h1 + h2
            : Math.Abs(h1 - h2) <= 180 ? (h1 + h2) / 2
            : h1 + h2 < 360 ? (h1 + h2 + 360) / 2 : (h1 + h2 - 360) / 2;

        var t = 1 - (0.17 * Cos(meanH - 30)) + (0.24 * Cos(2 * meanH)) + (0.32 * Cos((3 * meanH) + 6)) - (0.20 * Cos((4 * meanH) - 63));
        var fifty = (meanL - 50) * (meanL - 50);
        var sL = 1 + (0.015 * fifty / Math.Sqrt(20 + fifty));
        var sC = 1 + (0.045 * meanC2);
        var sH = 1 + (0.015 * meanC2 * t);
        var blue = (meanH - 275) / 25;
        var rT = -2 * Math.Sqrt(Seventh(meanC2)) * Sin(60 * Math.Exp(-blue * blue));

        var (l, c, h) = (dL / sL, dC / sC, dH / sH);
        return Math.Sqrt((l * l) + (c * c) + (h * h) + (rT * c * h));
    }

    /// <summary>Difference in lightness alone, 0 to 100: what decides whether words read.</summary>
    public static double Lightness(Colour one, Colour two) => Math.Abs(one.ToLab().L - two.ToLab().L);

    /// <summary>How far a thread is from a cloth in lightness: from all of its print, where that was photographed.</summary>
    public static double Lightness(Colour thread, Cloth cloth) => cloth.Print is { } print ? print.Apart(thread.ToLab().L)
        : Lightness(thread, cloth.Colour);

    private static double Chroma(double a, double b) => Math.Sqrt((a * a) + (b * b));

    private static double Seventh(double c)
    {
        var c7 = Math.Pow(c, 7);
        return c7 / (c7 + 6103515625.0);
    }

    private static double Hue(double a, double b)
    {
        if (a == 0 && b == 0)
        {
            return 0;
        }

        var degrees = Math.Atan2(b, a) * 180 / Math.PI;
        return degrees < 0 ? degrees + 360 : degrees;
    }

    private static double Sin(double degrees) => Math.Sin(degrees * Math.PI / 180);

    private static double Cos(double degrees) => Math.Cos(degrees * Math.PI / 180);
}
