namespace Dittany.Core.Measures;

/// <summary>Where lengths are rounded, and how finely.</summary>
public static class Rounding
{
    /// <summary>
    /// Stitch points stand on a grid of 0.001 mm: a thousand times finer than a needle, coarse enough to read the same everywhere.
    /// </summary>
    public const double GridMm = 0.001;

    /// <summary>Rounds a length to the grid, half away from zero.</summary>
    public static double ToGrid(double valueMm) => Math.Round(valueMm, 3, MidpointRounding.AwayFromZero);
}
