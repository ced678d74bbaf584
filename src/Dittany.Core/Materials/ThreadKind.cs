namespace Dittany.Core.Materials;

/// <summary>How a thread is sold: in what, how long that is (mm), and how many threads lie beside each other in it.</summary>
public sealed record PutUp(string Name, double LengthMm, int Beside = 1);

/// <summary>
/// A kind of thread as the shelf knows it. <paramref name="WidthMm"/> is how wide one of it lies; several lie wider by n^0.6.
/// <paramref name="Plies"/> are the numbers it is worked in, <paramref name="Usual"/> the one taken where height does not choose,
/// <paramref name="LongestMm"/> the longest worth cutting, mm, or null where habit alone says. <paramref name="Parts"/> says that it is
/// made of strands that part. Figures from memory; hers take their place once she has measured.
/// </summary>
public sealed record ThreadKind(string Id, string Name, double WidthMm, IReadOnlyList<int> Plies, int Usual, PutUp PutUp,
    bool Parts = false, double? LongestMm = null, string Source = "from memory")
{
    /// <summary>Hers over ours: 1 until she has measured how wide it lies.</summary>
    public double Scale { get; init; } = 1;

    /// <summary>Whether it changes colour along its length.</summary>
    public bool Turns { get; init; }

    /// <summary>Whether its surface frays at the eye and at every hole, so it goes through as few as can be.</summary>
    public bool Frays { get; init; }

    /// <summary>Whether its colour is a dye that may run; foil and film have none (from memory).</summary>
    public bool Dyed { get; init; } = true;

    /// <summary>Whether it is wool, or has wool in it.</summary>
    public bool Wool { get; init; }

    /// <summary>What it bears of water and heat.</summary>
    public required CareLimit Care { get; init; }

    /// <summary>How it is handled, told where it is used.</summary>
    public string? Handling { get; init; }

    /// <summary>Whether so many of it are half as many, folded.</summary>
    public bool Folded(int ply) => Parts ? Bundle.Folded(ply) : ply > 1;

    /// <summary>How wide so many of it lie, mm.</summary>
    public double Lies(int ply) => Scale * (Parts ? Bundle.WidthMm(ply) : WidthMm * Math.Pow(ply, 0.6));

    public bool Equals(ThreadKind? other) => other is not null && Id == other.Id && Scale.Equals(other.Scale);

    public override int GetHashCode() => Id.GetHashCode(StringComparison.Ordinal);
}

/// <summary>Every kind of thread there is to stitch with.</summary>
public static class ThreadKinds
{
    /// <summary>Cotton bears what cloth of cotton does; the wash is where its dyes are still fast.</summary>
    private static readonly CareLimit OfCotton = new("cotton thread", "ISO 3758", WashC: 60, Iron: IronLimit.ThreeDots);

    private static readonly CareLimit OfWool = new("wool thread", "common practice", Cleaning.ByHand, 30, IronLimit.TwoDots, Flat: true,
        NoRubbing: true, WoolSoap: true);

    /// <summary>Half of it is acrylic, which softens and goes flat.</summary>
    private static readonly CareLimit OfBlend = new("thread of wool and acrylic", "common practice", Cleaning.ByHand, 30, IronLimit.OneDot,
        NoSteam: true, Flat: true, NoRubbing: true, WoolSoap: true, IronWhy: "the acrylic in the thread goes flat");

    private static readonly CareLimit OfMetal = new("metallic thread", "common practice", Cleaning.ByHand, 30, IronLimit.OneDot, NoSteam: true,
        ThroughCloth: true, Flat: true, IronWhy: "metallic thread melts and dulls");

    /// <summary>It is spun of polyester.</summary>
    private static readonly CareLimit OfPolyester = new("sewing thread", "from memory", WashC: 60, Iron: IronLimit.TwoDots);


    /// <summary>Stranded cotton: six strands that part.</summary>
    public static ThreadKind Cotton { get; } = new("cotton", "stranded cotton", 0.40, Bundle.Plies, 3, new PutUp("skein",
        Bundle.SkeinMm, Bundle.StrandsOnSkein), Parts: true)
    { Care = OfCotton };

    public static IReadOnlyList<ThreadKind> All { get; } =
    [
        Cotton,
        new("variegated", "variegated cotton", 0.40, Bundle.Plies, 3, new PutUp("skein", Bundle.SkeinMm, Bundle.StrandsOnSkein), Parts: true)
        {
            Care = OfCotton,
            Turns = true,
            Handling = "Keep the strands lying as they came and thread every length by the same end, or its colours jump.",
        },
        new("pearl-5", "pearl cotton 5", 0.85, [1], 1, new PutUp("skein", 25_000))
        {
            Care = OfCotton,
            Handling = "Pearl cotton is one twisted cord and is not split: it is worked as it comes.",
        },
        new("pearl-8", "pearl cotton 8", 0.60, [1], 1, new PutUp("ball", 80_000))
        {
            Care = OfCotton,
            Handling = "Pearl cotton is one twisted cord and is not split: it is worked as it comes.",
        },
        new("pearl-12", "pearl cotton 12", 0.47, [1], 1, new PutUp("ball", 120_000))
        {
            Care = OfCotton,
            Handling = "Pearl cotton is one twisted cord and is not split: it is worked as it comes.",
        },
        new("wool", "crewel wool", 0.75, [1, 2], 1, new PutUp("skein", 27_000), LongestMm: 380)
        {
            Care = OfWool,
            Wool = true,
            Handling = "Stroke it both ways: it lies smooth one way. Knot the end you pulled out and thread the end nearest the skein.",
        },
        new("wool-blend", "wool blend", 0.55, [1, 2], 2, new PutUp("skein", 30_000), LongestMm: 380)
        {
            Care = OfBlend,
            Wool = true,
            Handling = "Stroke it both ways: it lies smooth one way. Knot the end you pulled out and thread the end nearest the skein.",
        },
        new("metallic", "metallic thread", 0.30, [1, 2], 2, new PutUp("reel", 20_000), LongestMm: 300)
        {
            Care = OfMetal,
            Dyed = false,
            Frays = true,
            Handling = "Push a pinched loop through the eye, not the raw end, which frays; doubled, the ends are knotted together.",
        },
        new("sewing", "sewing thread", 0.20, [1, 2], 1, new PutUp("reel", 100_000)) { Care = OfPolyester },
        new("strong", "strong thread", 0.40, [1], 1, new PutUp("reel", 30_000)) { Care = OfPolyester },
    ];

    public static ThreadKind? Find(string? id) => All.FirstOrDefault(k => string.Equals(k.Id, id, StringComparison.Ordinal));
}

/// <summary>
/// A thread as thick as it is worked: its kind, and how many of it lie together. A bare number is strands of stranded cotton.
/// </summary>
public readonly record struct ThreadSize
{
    private readonly ThreadKind? _kind;

    public ThreadSize(ThreadKind kind, int ply) => (_kind, Ply) = (kind, ply);

    public ThreadKind Kind => _kind ?? ThreadKinds.Cotton;

    public int Ply { get; }

    /// <summary>How wide it lies, mm.</summary>
    public double WidthMm => Kind.Lies(Ply);

    /// <summary>Whether tables by strands of cotton hold for it.</summary>
    public bool ByStrands => Kind.Parts;

    /// <summary>
    /// How many strands of cotton are as thick, one to twelve: the nearest. It is for tables that are kept by strands.
    /// </summary>
    public int InStrands
    {
        get
        {
            if (Kind.Parts)
            {
                return Ply;
            }

            var width = WidthMm;
            return Bundle.Plies.MinBy(n => Math.Abs(Bundle.WidthMm(n) - width));
        }
    }

    /// <summary>So many fewer of it, as it can be worked; the fewest at the least.</summary>
    public ThreadSize Fewer(int by)
    {
        var most = Ply - by;
        return With(Kind.Plies.LastOrDefault(p => p <= most, Kind.Plies[0]));
    }

    /// <summary>Another kind as near to it as can be: the same number where that can be had, else as it is usually worked.</summary>
    public ThreadSize In(ThreadKind kind) => new(kind, kind.Parts && Kind.Parts && kind.Plies.Contains(Ply) ? Ply : kind.Usual);

    /// <summary>The same kind, so many of it.</summary>
    public ThreadSize With(int ply) => new(Kind, ply);

    /// <summary>Thinner ways to work the same kind, the thickest first.</summary>
    public IEnumerable<int> Thinner
    {
        get
        {
            var most = Ply;
            return Kind.Plies.Where(p => p < most).Reverse();
        }
    }

    /// <summary>What a maker calls it: <c>3 strands</c>, <c>pearl cotton 8</c>, <c>metallic thread, doubled</c>.</summary>
    public string Said => Kind.Id == ThreadKinds.Cotton.Id ? Strands : Kind.Parts ? $"{Strands} of {Kind.Name}"
        : Ply == 1 ? Kind.Name : $"{Kind.Name}, doubled";

    private string Strands => Measures.Say.Count(Ply, "strand");

    public static implicit operator ThreadSize(int strands) => new(ThreadKinds.Cotton, strands);

    /// <summary>The same as the conversion, by name.</summary>
    public static ThreadSize FromInt32(int strands) => strands;
}
