using Dittany.Core.Decisions;
using Dittany.Core.Effort;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Threads;

namespace Dittany.Core.Jobs;

/// <summary>A drawing of her own: its name and its parts, in any unit, y down.</summary>
public sealed record OwnDrawing(string Name, Figure Figure)
{
    /// <summary>What of it matters at the size of stitches: this is what is planned.</summary>
    public Motifs.OwnFigure Drawn => _drawn.Of(Figure, Motifs.OwnFigure.Of);

    private readonly Following<Figure, Motifs.OwnFigure> _drawn = new();
}

/// <summary>
/// How it is wished to be made up: <paramref name="As"/> is an id of <see cref="Known"/>; a bowl by its inner width, a frame by its
/// opening, mm.
/// </summary>
public sealed record MakeUp(string As, double? BowlMm = null, double? OpeningWideMm = null, double? OpeningHighMm = null)
{
    public const string None = "none";

    /// <summary>An edge frayed on purpose, on what is woven and flat.</summary>
    public const string Frayed = "frayed";

    /// <summary>How wide a frayed edge is, mm; null is as usual.</summary>
    public double? FringeMm { get; init; }

    /// <summary>Ways of making up, with the loose cloth each is for.</summary>
    public static IReadOnlyList<(string Id, LooseCloth Cloth)> Known { get; } =
    [
        ("badge", LooseCloth.Badge), ("gathered-round", LooseCloth.GatheredRound), ("framed", LooseCloth.Framed),
        ("hoop-picture", LooseCloth.Hooped), ("hanging", LooseCloth.Felt),
    ];

    /// <summary>A bowl is asked for by its inner width within this, mm.</summary>
    public const double LeastBowlMm = 40;

    public const double MostBowlMm = 200;

    /// <summary>The finished shape that follows: a round a little smaller than its bowl, a board as large as the opening.</summary>
    public IReadOnlyDictionary<string, double>? Measured => BowlMm is { } bowl
        ? new Dictionary<string, double>(StringComparer.Ordinal)
        {
            ["width"] = bowl - Operations.MakingUp.BowlOverMm,
            ["height"] = bowl - Operations.MakingUp.BowlOverMm,
        }
        : OpeningWideMm is { } wide && OpeningHighMm is { } high
            ? new Dictionary<string, double>(StringComparer.Ordinal) { ["width"] = wide, ["height"] = high } : null;
}

/// <summary>
/// What the maker asks for: words, item, day, and how far it is done. Everything else is decided. <paramref name="Today"/> is filled in at
/// the edge; the core has no clock.
/// </summary>
public sealed record Job(
    string Form,
    IReadOnlyList<JobElement> Elements,
    DateOnly Today,
    string? Title = null,
    DateOnly? DueOn = null,
    string? Size = null,
    FabricOverrides? Fabric = null,
    string? Wearer = null,
    string? Zone = null,
    OverrideSet? Overrides = null,
    Time.Done? Done = null,
    IReadOnlyDictionary<string, double>? MeasuredMm = null,
    OwnForm? Own = null,
    StatedUse? Use = null)
{
    /// <summary>Its wordings, in the order of the job.</summary>
    public IReadOnlyList<TextElement> Wordings => Elements.OfType<TextElement>().ToArray();

    /// <summary>Its motifs, in the order of the job.</summary>
    public IReadOnlyList<MotifElement> Motifs => Elements.OfType<MotifElement>().ToArray();

    /// <summary>The element of an id; null where there is none.</summary>
    public JobElement? Find(string id) => Elements.FirstOrDefault(e => e.Id == id);

    /// <summary>The job with each element as it is changed, in its place; null takes it away.</summary>
    public Job With(Func<JobElement, JobElement?> changed) => this with
    {
        Elements = Elements.Select(changed).OfType<JobElement>()
        .ToArray()
    };

    /// <summary>The job with one element changed, in its place.</summary>
    public Job With(string id, Func<JobElement, JobElement?> changed) => With(e => e.Id == id ? changed(e) : e);

    /// <summary>What she settled herself instead of a decision's.</summary>
    public OverrideSet Overrides { get; init; } = Overrides ?? OverrideSet.None;

    /// <summary>How loose cloth is to be made up; null leaves it to the form.</summary>
    public MakeUp? MakeUp { get; init; }

    /// <summary>
    /// Elements that are stitched and finished since long, by their ids, in the batches they came in: what is added later moves nothing of
    /// them and is work of its own.
    /// </summary>
    public IReadOnlyList<IReadOnlyList<string>> Standing { get; init; } = [];

    /// <summary>Measures of the item: her own, or what follows from a bowl or an opening.</summary>
    public IReadOnlyDictionary<string, double>? Measures => MakeUp?.Measured ?? MeasuredMm;

    /// <summary>The form it is put on: her own, kept in the job, or one of the catalogue; null where there is none of that name.</summary>
    public Form? FormUsed => Own is null ? Catalogue.Find(Form) : OwnForms.AsForm(Own);

    /// <summary>Wearer and use as stated.</summary>
    internal StatedUse UseStated => (Use ?? new StatedUse()) with { Wearer = Wearer };
}
