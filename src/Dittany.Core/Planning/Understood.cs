using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Motifs;
using Dittany.Core.StitchBook;

namespace Dittany.Core.Planning;

/// <summary>
/// What was understood of one saying. Null members were not said; <paramref name="NotUnderstood"/> holds the words that were taken for
/// nothing, <see cref="Questions"/> what she is asked because of them: nothing is lettered that may have been meant otherwise without being
/// asked.
/// </summary>
public sealed record Understood(string? Words, string? Form, string? Size, string? Colour, string? Cloth, DateOnly? DueOn,
    string? NotUnderstood)
{
    public string? Zone { get; init; }

    /// <summary>What is said to go to other places of the item besides.</summary>
    public IReadOnlyList<SaidAt> Elsewhere { get; init; } = [];

    public string? Stitch { get; init; }

    /// <summary>A thread colour of ours, in hexadecimal.</summary>
    public string? Thread { get; init; }

    /// <summary>The kind of thread it is to be stitched with: an id of <see cref="ThreadKinds"/>; null where that was not said.</summary>
    public string? ThreadKindId { get; init; }

    public string? Motif { get; init; }

    public int? MotifCount { get; init; }

    /// <summary>How several of the motif stand, as in a job; null where that was not said.</summary>
    public string? Arrangement { get; init; }

    public double? WidthMm { get; init; }

    public double? CapHeightMm { get; init; }

    /// <summary>Whom it is for, and from whom, as said.</summary>
    public string? For { get; init; }

    /// <summary>What areas are to be filled with, as said.</summary>
    public string? Fill { get; init; }

    /// <summary>What it is to be made in, as said: an id of <see cref="Crafts.AllCrafts"/>; null where nothing was.</summary>
    public string? Craft { get; init; }

    /// <summary>What was said of single parts of the motif: leaves in green, six strands.</summary>
    public IReadOnlyList<PartAsked> Parts { get; init; } = [];

    /// <summary>How it is to be made up, as said: for a bowl, for a frame, with a frayed edge; null where nothing was.</summary>
    public MakeUp? MakeUp { get; init; }

    /// <summary>Whether it was said that the item is not sewn together yet.</summary>
    public bool Unsewn { get; init; }

    public IReadOnlyList<string> Questions { get; init; } = [];

    /// <summary>What was said of a form that only an overrule states; null where nothing was.</summary>
    public IReadOnlyDictionary<string, string>? OverrulesFor(Form? form)
    {
        var said = new Dictionary<string, string>(StringComparer.Ordinal);
        if (Unsewn && form is { ByPattern: true })
        {
            said["item.sewn"] = "not-sewn";
        }

        if (Fill is { } fill)
        {
            said["stitch.fill"] = fill;
        }

        return said.Count == 0 ? null : said;
    }

    /// <summary>The words as they were said to be stitched, with a motif beside them or without.</summary>
    public WordingAsked Wording(string words, string? motif) =>
        new("name", words, Stitch: Stitch, Colour: Thread, CapHeightMm: CapHeightMm, Motif: motif, WidthMm: WidthMm)
        {
            Craft = Craft,
            Thread = ThreadKindId,
        };

    /// <summary>A motif alone as it was said to be stitched; several of it stand as was said, or in a row.</summary>
    public MotifAsked MotifAlone(string motif)
    {
        var one = new MotifAsked("motif", motif, WidthMm, CapHeightMm, Stitch: Stitch, Colour: Thread)
        {
            ByPart = Parts,
            Craft = Craft,
            Thread = ThreadKindId,
        };
        return Motif == motif && (MotifCount ?? (Arrangement is null ? null : 0)) is { } count
            ? one with { Arrangement = Arrangement ?? "row", Count = count == 0 ? null : count } : one;
    }

    /// <summary>A job with what was said to go to other places of it.</summary>
    public Job WithElsewhere(Job job) => Elsewhere.Aggregate(job, (j, more) => Places.Add(j, more.Zone ?? Places.UsualZone(j), more.Words,
        more.Motif is { } motif ? new MotifAsked(string.Empty, motif, Arrangement: more.MotifCount is null ? more.Arrangement : more.Arrangement ?? "row",
            Count: more.MotifCount) : null));

    /// <summary>
    /// What a piece for somebody is called by what is put on it; null where it is for nobody, and then it is called by its item.
    /// </summary>
    public string? TitleOf(string? words, string? motif) =>
        For is not { } whom || (words ?? motif) is null ? null
        : $"{(words is not null ? words.ReplaceLineEndings(" ") : Say.Upper(MotifLibrary.Find(motif.Sure())?.Name ?? motif.Sure()))}, {whom}";

    /// <summary>What was said beside words, item and day, in words; empty where nothing was.</summary>
    public IReadOnlyList<string> Besides(Form? form, Units units) => ((string?[])
    [
        Zone is { } zone && form?.Id == Form ? form?.Zones.FirstOrDefault(z => z.Id == zone).Name : null,
        .. form?.Id == Form ? Elsewhere.Select(e => $"{e.Words ?? Say.A(MotifLibrary.Find(e.Motif.Sure()).Sure().Name)} "
            + $"on the {form?.Zones.FirstOrDefault(z => z.Id == e.Zone).Name ?? form?.Zones[0].Name}") : [],
        Stitch is { } stitch ? Book.Find(stitch).Sure().Name : null,
        Fill is { } fill ? $"filled with {Book.Fill(fill).Sure().Info.Name}" : null,
        Crafts.AllCrafts.Find(Craft) is { } craft ? craft.Name.ToLowerInvariant() : null,
        .. Parts.Select(p => string.Join(", ", new[]
        {
            $"{p.Role.Replace('-', ' ')} in {(p.Stitch is { } made ? made == BeadedParts.Stitch ? "beads" : (Book.Fill(made) ?? Book.Find(made)).Sure().Name : Palette.NameOf(p.Colour.Sure()))}",
            p.Strands is { } n ? Say.Count(n, "strand") : null,
        }.OfType<string>())),
        Thread is { } thread ? $"in {Palette.NameOf(thread)}" : null,
        ThreadKinds.Find(ThreadKindId) is { } kind ? $"in {kind.Name}" : null,
        WidthMm is { } wide ? $"{Tape.Length(wide, units)} wide" : null,
        CapHeightMm is { } high ? $"{Tape.Length(high, units)} high" : null,
        MakeUp switch
        {
            { BowlMm: { } bowl } => $"for a bowl {Tape.Length(bowl, units)} wide inside",
            { OpeningWideMm: { } w, OpeningHighMm: { } h } => $"for a frame that opens {Tape.Length(w, units)} × {Tape.Length(h, units)}",
            { As: MakeUp.Frayed } => "with a frayed edge",
            _ => null,
        },
        Unsewn && form is { ByPattern: true } ? "not sewn together yet" : null,
        For,
    ]).OfType<string>().ToArray();

    /// <summary>Nothing said.</summary>
    public static Understood Nothing { get; } = new(null, null, null, null, null, null, null);
}
