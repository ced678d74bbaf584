using Dittany.Core.Designs;
using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Thread = Dittany.Core.Materials.Thread;

namespace Dittany.Core.Stitches;

public enum StitchClass
{
    Outline,
    Fill,
    Attached,
}

/// <summary>
/// What the book knows of a stitch before any job: facts only. Lengths in mm; <paramref name="WidthFactor"/> is the stitched line over the
/// width of the thread; <paramref name="LeastCapsMm"/> and
/// <paramref name="ComfortableCapsMm"/> by strands (1, 2, 3, 4, 6) for mixed case; <paramref name="StrandsUpTo"/> which bundle up to which
/// height.
/// </summary>
public sealed record StitchInfo(
    string Id,
    string Name,
    StitchClass Class,
    double WidthFactor,
    double UsualLengthMm,
    Func<ThreadSize, double> Shortest,
    IReadOnlyDictionary<int, double> LeastCapsMm,
    IReadOnlyDictionary<int, double> ComfortableCapsMm,
    IReadOnlyList<(double UpToMm, int Strands)> StrandsUpTo,
    string GoodFor,
    string FailsOn,
    string Source)
{
    /// <summary>How it feels, gives and wears, and how long a hand takes to learn it (from memory).</summary>
    public required Trait Trait { get; init; }

    /// <summary>The source of most of what is known of stitches.</summary>
    internal const string Memory = "from memory";

    /// <summary>Strands of a fine line by the height of capitals (from memory).</summary>
    internal static readonly IReadOnlyList<(double UpToMm, int Strands)> ByHeight = [(5.999, 1), (9.999, 2), (25, 3),
        (double.PositiveInfinity, 4)];

    /// <summary>No table of its own: heights follow from how wide the line is.</summary>
    internal static readonly IReadOnlyDictionary<int, double> ByWidth = new Dictionary<int, double>();

    internal static IReadOnlyDictionary<int, double> Caps(double one, double two, double three, double four, double six) =>
        new Dictionary<int, double> { [1] = one, [2] = two, [3] = three, [4] = four, [6] = six };
}

/// <summary>Whether a stitch can make a shape with a thread; where it cannot, why, and what would cure it.</summary>
public sealed record Judgement(bool Fits, Measures.Told? Why = null, string? Cure = null)
{
    public static Judgement Yes { get; } = new(true);
}

/// <summary>
/// One way to make what is to be seen: one file a stitch, and nothing else knows its id. What it is (<see cref="Info"/>), what it takes,
/// and the needle's way when it sews. Stitches hold nothing that changes and are shared between threads.
/// </summary>
public interface IStitch
{
    StitchInfo Info { get; }

    string Id => Info.Id;

    string Name => Info.Name;

    /// <summary>Advances of the line that one stitch lies over: two where stitches overlap by half.</summary>
    int Span => 1;

    /// <summary>Cloth left bare after each stitch, over the stitch's length: none where a line is solid.</summary>
    double GapShare => 0;

    /// <summary>It may be worked from either end and looks the same.</summary>
    bool Reverses => false;

    /// <summary>A stitch out of measure shows, so one length is kept over a stretch.</summary>
    bool KeepsOneLength => false;

    /// <summary>Its thread stands beside the line as well, within the line's width: what counts for room is the line itself.</summary>
    bool Beside => false;

    /// <summary>A second journey slides under the first and is best done with a blunt needle.</summary>
    bool Blunt => false;

    /// <summary>The longest stitch with which no more than this lies behind, mm.</summary>
    double LongestMm(double mostBehindMm) => mostBehindMm;

    /// <summary>What the end of a stretch of this length (mm) is kept free for; 0 for nothing.</summary>
    double KeptFreeMm(StitchSpec spec, double stretchMm, bool loop) => 0;

    /// <summary>Which bundle up to which height of capitals, by the habits of the workshop and the cloth.</summary>
    IReadOnlyList<(double UpToMm, int Strands)> StrandsUpTo(StitchFacts facts) => Info.StrandsUpTo;

    /// <summary>What is told of how it lies, beside its lengths; null for nothing.</summary>
    string? Manner(StitchSchools schools) => null;

    /// <summary>What one of its stitches is there for, where its length alone does not tell; null where it does.</summary>
    string? Says(Needle.Stitch stitch) => null;

    Judgement Takes(Shape shape, Thread thread);

    /// <summary>The shape with its stitches in working order; null where nothing of it can be stitched.</summary>
    Placed? Sew(Shape shape, SewingBy by);

    /// <summary>Width of what is stitched, mm: of a line, or of a knot.</summary>
    double LineWidthMm(ThreadSize size) => Math.Round(Info.WidthFactor * size.WidthMm, 3, MidpointRounding.AwayFromZero);

    /// <summary>Shortest workable stitch, mm.</summary>
    double ShortestMm(ThreadSize size) => Info.Shortest(size);

    /// <summary>Least capital height that writes cleanly, mixed case; nine line widths where the table has no row.</summary>
    double LeastCapMm(ThreadSize size) => CapMm(Info.LeastCapsMm, 9, size);

    /// <summary>Comfortable capital height, mixed case; twelve line widths where the table has no row.</summary>
    double ComfortableCapMm(ThreadSize size) => CapMm(Info.ComfortableCapsMm, 12, size);

    /// <summary>
    /// By the table where it has a row for so many strands, larger as hers lie wider; else so many line widths, in halves of a mm.
    /// </summary>
    private double CapMm(IReadOnlyDictionary<int, double> table, int widths, ThreadSize size) =>
        size.ByStrands && table.TryGetValue(size.Ply, out var cap)
            ? size.Kind.Scale is 1 ? cap : Math.Ceiling(cap * size.Kind.Scale * 2) / 2
            : Math.Ceiling(widths * LineWidthMm(size) * 2) / 2;
}

/// <summary>
/// By what a shape is sewn: lengths and habits, what is taken off its ends (mm) so that it butts against its neighbours, and the budget of
/// work.
/// </summary>
public sealed record SewingBy(StitchSpec Spec, double TrimStartMm = 0, double TrimEndMm = 0, Measures.Budget? Budget = null)
{
    /// <summary>The longest thread that may lie free on the face, mm.</summary>
    public double MostFreeMm { get; init; } = 12;

    /// <summary>How stitches of an area lie; null leaves it to the stitch.</summary>
    public Direction? Direction { get; init; }

    /// <summary>Whether an area stands upright whatever its shape, as letters do: its own direction is up and down.</summary>
    public bool Upright { get; init; }

    /// <summary>What uneven lengths and places come from.</summary>
    public int Seed { get; init; }
}
