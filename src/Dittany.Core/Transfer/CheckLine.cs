using Dittany.Core.Measures;

namespace Dittany.Core.Transfer;

/// <summary>
/// What a measured check line says of its sheet and its printer. <paramref name="PrinterScale"/> is what the printer does to a length: 0.97
/// makes 97 mm of 100.
/// </summary>
public sealed record CheckedLine(bool True, double PrinterScale, string Text);

/// <summary>The check line of a 1:1 sheet, and what to make of it when it measures otherwise.</summary>
public static class CheckLine
{
    /// <summary>Printed true it measures this.</summary>
    public const double LengthMm = 100;

    /// <summary>Within this it is true: no tape shows less (from memory).</summary>
    public const double TrueWithinMm = 0.5;

    /// <summary>Further off than this something else was measured, or another sheet (from memory).</summary>
    public const double LeastMm = 70;

    public const double MostMm = 140;

    /// <summary>From this share on it is seldom the printer and mostly a page made to fit (from memory).</summary>
    private const double SeldomThePrinter = 0.02;

    /// <summary>Whether a measure can be that of a check line at all.</summary>
    public static bool CanBe(double measuredMm) => measuredMm is >= LeastMm and <= MostMm;

    /// <summary>
    /// Judges a measure of a sheet that was enlarged by <paramref name="enlarged"/> against its printer's error; 1 where it was not. The
    /// measure must be one that can be.
    /// </summary>
    public static CheckedLine Judge(double measuredMm, double enlarged)
    {
        if (!CanBe(measuredMm))
        {
            throw new ArgumentOutOfRangeException(nameof(measuredMm), measuredMm, "No check line measures that.");
        }

        var off = measuredMm - LengthMm;
        var scale = measuredMm / LengthMm / enlarged;
        if (Math.Abs(off) <= TrueWithinMm)
        {
            return new CheckedLine(true, scale, $"Its check line measures {Say.Length(measuredMm)}: the sheet is true.");
        }

        var percent = Say.Number(Math.Abs(off) / LengthMm * 100);
        var fitted = Math.Abs(off) / LengthMm >= SeldomThePrinter
            ? " So much is mostly a page made to fit the paper: look whether the printing is set to 100 %, and if it was not, set it so "
                + "and forget this correction." : string.Empty;
        return new CheckedLine(
            false, scale,
            $"Its check line measures {Say.Length(measuredMm)} instead of {Say.Length(LengthMm)}: everything on it is {percent} % too "
                + $"{(off < 0 ? "small" : "large")}. The sheet is void; do not use it. The next one for this printer makes up for "
                + $"it.{fitted}");
    }
}
