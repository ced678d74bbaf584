namespace Dittany.Core.Stitches.AtPoints;

/// <summary>Dots of letters and points of drawings.</summary>
public static class Dots
{
    /// <summary>A straight stroke up to this share of the capitals is a dot.</summary>
    public const double Share = 0.125;

    /// <summary>What they are made with where there is room.</summary>
    public static IStitch Knot { get; } = new FrenchKnot();
}
