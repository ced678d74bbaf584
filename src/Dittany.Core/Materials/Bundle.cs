namespace Dittany.Core.Materials;

/// <summary>Six-strand cotton as it is split and worked: what n strands together measure.</summary>
public static class Bundle
{
    /// <summary>Strands in one length as it comes off the skein (common practice).</summary>
    public const int StrandsOnSkein = 6;

    /// <summary>Length of one skein (common practice).</summary>
    public const double SkeinMm = 8000;

    /// <summary>Strands that a maker may take single.</summary>
    public const int Most = 6;

    /// <summary>
    /// How thick a thread may be, in strands: up to six single, and beyond that folded double, so an even number (common practice).
    /// </summary>
    public static IReadOnlyList<int> Plies { get; } = [1, 2, 3, 4, 5, 6, 8, 10, 12];

    /// <summary>Whether so many strands are half as many, folded double.</summary>
    public static bool Folded(int strands) => strands > Most;

    /// <summary>Whether a thread can be so many strands thick.</summary>
    public static bool Is(int strands) => Plies.Contains(strands);

    /// <summary>Thinner than this many strands, the thickest first.</summary>
    public static IEnumerable<int> ThinnerThan(int strands) => Plies.Where(p => p < strands).Reverse();

    /// <summary>So many strands fewer, as a thread can be; one at the least.</summary>
    public static int Fewer(int strands, int by) => Plies.LastOrDefault(p => p <= strands - by, 1);

    /// <summary>Measured widths by strands, mm, index 0 unused (from memory; to be calibrated). Five strands by 0.40·n^0.6.</summary>
    private static readonly double[] WidthsMm = [0, 0.40, 0.60, 0.77, 0.92, 1.05, 1.17];

    /// <summary>Width the bundle lies, in mm, for 1 to 6 strands; more strands by 0.40·n^0.6.</summary>
    public static double WidthMm(int strands) =>
        strands >= 1 && strands <= Most ? WidthsMm[strands] : 0.40 * Math.Pow(strands, 0.6);

    /// <summary>
    /// Threads of this thickness that one length off the skein gives: 3 + 3 makes two, 4 + 2 makes one with two strands left. What is
    /// folded is counted by what it is cut from.
    /// </summary>
    public static int PerLength(int strands) => Math.Max(1, StrandsOnSkein / strands);
}
