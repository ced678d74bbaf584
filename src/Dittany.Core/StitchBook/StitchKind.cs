namespace Dittany.Core.StitchBook;

public enum StitchClass
{
    Outline,
    Fill,
    Attached,
}

/// <summary>
/// One stitch as the book knows it. Lengths in mm; <paramref name="WidthFactor"/> is the stitched line over the width of the bundle;
/// <paramref name="LeastCapsMm"/> and <paramref name="ComfortableCapsMm"/> by strands (1, 2, 3, 4, 6) for mixed case.
/// </summary>
public sealed record StitchKind(
    string Id,
    string Name,
    StitchClass Class,
    double WidthFactor,
    double UsualLengthMm,
    double SecondsEach,
    IReadOnlyDictionary<int, double> LeastCapsMm,
    IReadOnlyDictionary<int, double> ComfortableCapsMm,
    string Source)
{
    /// <summary>Width of the stitched line in mm.</summary>
    public double LineWidthMm(int strands) => Math.Round(WidthFactor * Materials.Bundle.WidthMm(strands), 3, MidpointRounding.AwayFromZero);

    /// <summary>Shortest workable stitch: 1 mm, 2 mm with five strands or six (from memory).</summary>
    public double ShortestMm(int strands) => strands >= 5 ? 2.0 : 1.0;

    /// <summary>Least capital height that writes cleanly, mixed case; nine line widths where the table has no row.</summary>
    public double LeastCapMm(int strands) => LeastCapsMm.TryGetValue(strands, out var cap) ? cap : UpToHalf(9 * LineWidthMm(strands));

    /// <summary>Comfortable capital height, mixed case; twelve line widths where the table has no row.</summary>
    public double ComfortableCapMm(int strands) => ComfortableCapsMm.TryGetValue(strands, out var cap) ? cap : UpToHalf(12 * LineWidthMm(strands));

    private static double UpToHalf(double value) => Math.Ceiling(value * 2) / 2;
}

/// <summary>The stitch book: what each stitch is, needs and looks like, before any job.</summary>
public static class Book
{
    /// <summary>Capitals alone are legible at this share of the mixed-case height (from memory): no x-height to shut.</summary>
    public const double CapitalsAlone = 0.8;

    /// <summary>Lettering ratios of ISO 3098: line = 1/10 of the capital (type B), 1/14 (type A). Thread can go a little heavier: 1/9.</summary>
    public const double Iso3098TypeB = 10;

    public static StitchKind Backstitch { get; } = new(
        "backstitch",
        "backstitch",
        StitchClass.Outline,
        1.0,
        2.5,
        7,
        new Dictionary<int, double> { [1] = 4, [2] = 5.5, [3] = 7, [4] = 8, [6] = 11 },
        new Dictionary<int, double> { [1] = 5, [2] = 7, [3] = 9, [4] = 11, [6] = 14 },
        "from memory");

    public static IReadOnlyList<StitchKind> All { get; } = [Backstitch];

    /// <summary>Stitches whose names are settled and that cannot be drawn yet: a job that names one is told so.</summary>
    public static IReadOnlyList<string> NotYetDrawn { get; } =
    [
        "running", "whipped-backstitch", "whipped-running", "laced-running", "stem", "outline", "split", "chain", "whipped-chain", "interlaced-chain",
        "heavy-chain", "linked-chain", "couching", "coral", "knotted-stem", "rope", "blanket", "double-blanket", "cross", "straight", "satin",
        "turning-satin", "bordered-satin", "padded-satin", "brick", "long-and-short", "directional-straight", "seed", "french-knot", "colonial-knot",
        "chain-rows", "fishbone", "fly", "detached-chain", "eyelet", "weaving", "lattice", "couched-rows", "bead",
    ];

    public static StitchKind? Find(string id) => All.FirstOrDefault(s => string.Equals(s.Id, id, StringComparison.Ordinal));
}
