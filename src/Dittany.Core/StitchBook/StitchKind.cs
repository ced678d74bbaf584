using Dittany.Core.Materials;

namespace Dittany.Core.StitchBook;

public enum StitchClass
{
    Outline,
    Fill,
    Attached,
}

/// <summary>
/// How stitches lie along a line: end to end; over each other by half, so that the line advances by half a stitch; as links through each other; or apart, as knots.
/// </summary>
public enum Laying
{
    Abutting,
    Overlapping,
    Linked,
    Single,
}

/// <summary>
/// One stitch as the book knows it. Lengths in mm; <paramref name="WidthFactor"/> is the stitched line over the width of the bundle; <paramref name="LeastCapsMm"/> and
/// <paramref name="ComfortableCapsMm"/> by strands (1, 2, 3, 4, 6) for mixed case; <paramref name="StrandsUpTo"/> which bundle up to which height.
/// <paramref name="Reverses"/>: it may be worked from either end and looks the same. <paramref name="KeepsOneLength"/>: a link out of measure shows.
/// <paramref name="Whipped"/>: a second thread wraps the line without piercing the cloth.
/// </summary>
public sealed record StitchKind(
    string Id,
    string Name,
    StitchClass Class,
    Laying Laying,
    double WidthFactor,
    double UsualLengthMm,
    double SecondsEach,
    Func<int, double> Shortest,
    IReadOnlyDictionary<int, double> LeastCapsMm,
    IReadOnlyDictionary<int, double> ComfortableCapsMm,
    IReadOnlyList<(double UpToMm, int Strands)> StrandsUpTo,
    string GoodFor,
    string FailsOn,
    string Source,
    bool Reverses = false,
    bool KeepsOneLength = false,
    bool Whipped = false)
{
    /// <summary>Stitches that cover one place of the line: two where they overlap by half.</summary>
    public int Span => Laying == Laying.Overlapping ? 2 : 1;

    /// <summary>Width of the stitched line in mm.</summary>
    public double LineWidthMm(int strands) => Math.Round(WidthFactor * Bundle.WidthMm(strands), 3, MidpointRounding.AwayFromZero);

    /// <summary>Shortest workable stitch, mm.</summary>
    public double ShortestMm(int strands) => Shortest(strands);

    /// <summary>Least capital height that writes cleanly, mixed case; nine line widths where the table has no row.</summary>
    public double LeastCapMm(int strands) => LeastCapsMm.TryGetValue(strands, out var cap) ? cap : UpToHalf(9 * LineWidthMm(strands));

    /// <summary>Comfortable capital height, mixed case; twelve line widths where the table has no row.</summary>
    public double ComfortableCapMm(int strands) => ComfortableCapsMm.TryGetValue(strands, out var cap) ? cap : UpToHalf(12 * LineWidthMm(strands));

    private static double UpToHalf(double value) => Math.Ceiling(value * 2) / 2;
}

/// <summary>The stitch book: what each stitch is, needs and looks like, before any job. Values from memory where no source stands beside them.</summary>
public static class Book
{
    /// <summary>Capitals alone are legible at this share of the mixed-case height (from memory): no x-height to shut.</summary>
    public const double CapitalsAlone = 0.8;

    /// <summary>Lettering ratios of ISO 3098: line = 1/10 of the capital (type B), 1/14 (type A). Thread can go a little heavier: 1/9.</summary>
    public const double Iso3098TypeB = 10;

    /// <summary>Seconds for a wrap of whipping, a tie, a tiny straight and a knot, by a skilled hand in a hoop (from memory).</summary>
    public const double WhipSeconds = 3;

    public const double TieSeconds = 6;

    private const string Memory = "from memory";
    private static readonly (double, int)[] ByHeight = [(5.999, 1), (9.999, 2), (25, 3), (double.PositiveInfinity, 4)];

    public static StitchKind Backstitch { get; } = new(
        "backstitch", "backstitch", StitchClass.Outline, Laying.Abutting, 1.0, 2.5, 7, strands => strands >= 5 ? 2.0 : 1.0,
        Caps(4, 5.5, 7, 8, 11), Caps(5, 7, 9, 11, 14), ByHeight,
        "small and clear letters", "visible joints; angular when it is long on a bend", Memory, Reverses: true);

    public static StitchKind WhippedBackstitch { get; } = new(
        "whipped-backstitch", "whipped backstitch", StitchClass.Outline, Laying.Abutting, 1.5, 2.5, 7, strands => strands >= 5 ? 2.0 : 1.0,
        Caps(6, 8, 10, 12, 16), Caps(7, 11, 14, 17, 21), [(10.999, 1), (25, 2), (double.PositiveInfinity, 3)],
        "a raised cord that hides the joints", "rounds off corners unless the thread goes down there; takes more thread", Memory, Whipped: true);

    public static StitchKind Split { get; } = new(
        "split", "split stitch", StitchClass.Outline, Laying.Overlapping, 1.25, 4, 8, _ => 2.0,
        Caps(5, 7, 9, 10, 13), Caps(6, 9, 12, 14, 18), ByHeight,
        "round letters, and cloth that stretches", "jagged where it is long on a bend", Memory);

    public static StitchKind Stem { get; } = new(
        "stem", "stem stitch", StitchClass.Outline, Laying.Overlapping, 1.4, 4, 7, _ => 2.0,
        Caps(5, 8, 10, 12, 15), Caps(7, 10, 13, 15, 20), ByHeight,
        "a plush, visible line", "wavers on tight bends", Memory);

    public static StitchKind OutlineStitch { get; } = new(
        "outline", "outline stitch", StitchClass.Outline, Laying.Overlapping, 1.15, 4, 7, _ => 2.0,
        Caps(4, 6, 8, 10, 12), Caps(6, 8, 11, 13, 16), ByHeight,
        "a narrow, clean line on curves", "wavers on tight bends", Memory);

    public static StitchKind Chain { get; } = new(
        "chain", "chain stitch", StitchClass.Outline, Laying.Linked, 2.5, 3, 9, strands => Math.Max(1.5, 2.5 * Bundle.WidthMm(strands)),
        Caps(9, 14, 17, 21, 26), Caps(12, 18, 23, 28, 35), [(25, 2), (30, 3), (double.PositiveInfinity, 4)],
        "bold letters, and cloth that stretches", "too wide for small letters; a link out of measure shows", Memory, KeepsOneLength: true);

    public static StitchKind FrenchKnot { get; } = new(
        "french-knot", "French knot", StitchClass.Fill, Laying.Single, 2.6, 0, 18, _ => 0,
        Caps(12, 12, 12, 16, 20), Caps(12, 12, 12, 16, 20), [(double.PositiveInfinity, 3)],
        "dots", "slips through when it goes down in its own hole", Memory);

    public static IReadOnlyList<StitchKind> All { get; } = [Backstitch, WhippedBackstitch, Split, Stem, OutlineStitch, Chain, FrenchKnot];

    /// <summary>Stitches that write lines.</summary>
    public static IReadOnlyList<StitchKind> Lines { get; } = All.Where(s => s.Class == StitchClass.Outline).ToArray();

    /// <summary>Stitches whose names are settled and that cannot be drawn yet: a job that names one is told so.</summary>
    public static IReadOnlyList<string> NotYetDrawn { get; } =
    [
        "running", "whipped-running", "laced-running", "whipped-chain", "interlaced-chain", "heavy-chain", "linked-chain", "couching", "coral", "knotted-stem", "rope",
        "blanket", "double-blanket", "cross", "straight", "satin", "turning-satin", "bordered-satin", "padded-satin", "brick", "long-and-short", "directional-straight",
        "seed", "colonial-knot", "chain-rows", "fishbone", "fly", "detached-chain", "eyelet", "weaving", "lattice", "couched-rows", "bead",
    ];

    public static StitchKind? Find(string id) => All.FirstOrDefault(s => string.Equals(s.Id, id, StringComparison.Ordinal));

    private static Dictionary<int, double> Caps(double one, double two, double three, double four, double six) =>
        new() { [1] = one, [2] = two, [3] = three, [4] = four, [6] = six };
}
