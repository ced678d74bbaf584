using Dittany.Core.Measures;

namespace Dittany.Core.StitchBook;

/// <summary>A stitch with a number of strands: one way to write a line.</summary>
public sealed record Pair(StitchKind Stitch, int Strands)
{
    public double LineWidthMm => Stitch.LineWidthMm(Strands);
}

/// <summary>Which stitch and how many strands for lettering of a height.</summary>
public static class Recommender
{
    /// <summary>Strands by capital height for backstitch (from memory): under 6 mm one, to 10 two, to 25 three, above four.</summary>
    public static IReadOnlyList<(double BelowMm, int Strands)> ByHeight { get; } =
        [(6, 1), (10, 2), (25.0001, 3), (double.PositiveInfinity, 4)];

    public static int StrandsFor(double capHeightMm) => ByHeight.First(row => capHeightMm < row.BelowMm).Strands;

    /// <summary>The pairs to try, best first: never more than a dozen. Lettering is usually three strands (common practice).</summary>
    public static IReadOnlyList<Pair> InOrder(StitchKind? stitch, int? strands) =>
        (strands is { } only ? [only] : new[] { 3, 4, 2, 1, 6 }).Select(n => new Pair(stitch ?? Book.Backstitch, n)).ToArray();

    /// <summary>Why this many strands at this height, in words.</summary>
    public static string Because(double capHeightMm) => capHeightMm switch
    {
        < 6 => $"Capitals of {Say.Length(capHeightMm)} are under 6 mm: one strand keeps them open.",
        < 10 => $"Capitals of {Say.Length(capHeightMm)} lie between 6 and 10 mm, where two strands write best.",
        <= 25 => $"Capitals of {Say.Length(capHeightMm)} lie between 10 and 25 mm, where three strands write best.",
        _ => $"Capitals of {Say.Length(capHeightMm)} are over 25 mm and can carry four strands.",
    };
}
