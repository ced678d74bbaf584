using Dittany.Core.Jobs;
using Dittany.Core.Motifs;

namespace Dittany.Core.Sayings;

/// <summary>
/// One thing that is said to be put on: words or a motif, with what was said of it. Null members were not said; lengths in mm. Words may
/// have a motif tied to them, which grows with them: <see cref="Beside"/> at <see cref="BesidePlace"/>.
/// </summary>
public sealed record SaidElement(string? Text, string? Motif)
{
    public string? Beside { get; init; }

    /// <summary>Where the motif stands to the words, as a job names it; null leaves it to the plan.</summary>
    public string? BesidePlace { get; init; }

    public int? Count { get; init; }

    public string? Arrangement { get; init; }

    public string? Stitch { get; init; }

    public string? Fill { get; init; }

    public int? Strands { get; init; }

    public string? Colour { get; init; }

    public string? Thread { get; init; }

    public string? Style { get; init; }

    public double? HeightMm { get; init; }

    public double? WidthMm { get; init; }

    public int? Rows { get; init; }

    public string? Craft { get; init; }

    public string? Zone { get; init; }

    public double? TurnDegrees { get; init; }

    public int? PartCount { get; init; }

    public bool Growing { get; init; }

    /// <summary>Said of several without a number.</summary>
    public bool Several { get; init; }

    public IReadOnlyList<PartAsked> Parts { get; init; } = [];

    public bool IsText => Text is not null;

    /// <summary>Whether nothing but what it is was said of it: then it can be tied to words.</summary>
    internal bool Plain => this == new SaidElement(Text, Motif) { Zone = Zone, Parts = Parts } && Parts.Count == 0;

    /// <summary>As it is called: the words, or so many of a motif.</summary>
    public string Called
    {
        get
        {
            if (Text is { } text)
            {
                return text.ReplaceLineEndings(" ") + (Beside is { } beside && MotifLibrary.Find(beside) is { } with ? $" with {Measures.Say.A(with.Name)}" : string.Empty);
            }

            var name = MotifLibrary.Find(Motif ?? string.Empty)?.Name ?? Motif ?? string.Empty;
            return Count is { } n and > 1 ? $"{Numbers.Said(n)} {Measures.Say.Many(name)}" : Several || Arrangement is not null ? Measures.Say.Many(name) : Measures.Say.A(name);
        }
    }

    /// <summary>The wording of a job.</summary>
    internal TextElement Wording(string id) => new(id, Text ?? string.Empty, Alphabet: Style, Stitch: Stitch, Strands: Strands,
        Colour: Colour, Arrangement: Arrangement,
        CapHeightMm: WidthMm is null ? HeightMm : null, Rows: Rows, TurnDegrees: TurnDegrees, Motif: Beside, MotifPlace: BesidePlace,
            WidthMm: WidthMm)
    {
        Craft = Craft,
        Thread = Thread,
        ByPart = Parts,
    };

    /// <summary>Two of these look at each other.</summary>
    private static readonly string[] Paired = ["eye", "cheek"];

    /// <summary>How far what is said to stand as it grows sways and differs, percent of one (from memory: a little).</summary>
    private const double Sways = 8;

    private const double Differs = 12;

    /// <summary>The motif of a job; several stand in a row where nothing else was said.</summary>
    internal MotifElement MotifOf(string id)
    {
        var paired = Paired.Contains(Motif, StringComparer.Ordinal) && Count is null or 2;
        var way = Arrangement ?? (Several || Count is > 1 || Growing ? paired ? "pair" : "row" : null);
        return new MotifElement(id, Motif ?? string.Empty, WidthMm, HeightMm, way, way == "pair" ? null : Count is 1 ? null : Count, TurnDegrees, Stitch: Stitch, Strands: Strands, Colour: Colour, Parts: PartCount)
        {
            ByPart = Parts,
            Craft = Craft,
            Thread = Thread,
            Loosely = Growing ? new Loosely(Sways, Differs) : null,
        };
    }
}
