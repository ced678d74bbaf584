namespace Dittany.Core.Materials;

/// <summary>
/// Cloth as it was photographed, lying square: the name of its picture in the store, what of the cloth is in it, mm, and how dark and how
/// light its print is (lightness L* of CIE 1976, specks left aside).
/// </summary>
public sealed record ClothPrint(string Picture, double WideMm, double HighMm, double DarkL, double LightL)
{
    /// <summary>A picture shows so much cloth, mm: from a swatch of a few threads to a whole length.</summary>
    public const double LeastMm = 20;

    public const double MostMm = 2000;

    /// <summary>How far a thread's lightness is from all of the print: 0 where the print has parts as light as it.</summary>
    public double Apart(double threadL) => threadL < DarkL ? DarkL - threadL : threadL > LightL ? threadL - LightL : 0;
}
