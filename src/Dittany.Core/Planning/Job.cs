using Dittany.Core.Effort;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Telling;
using Dittany.Core.Threads;

namespace Dittany.Core.Planning;

/// <summary>A drawing of her own: its name and its parts, in any unit, y down.</summary>
public sealed record OwnDrawing(string Name, Figure Figure)
{
    /// <summary>What of it matters at the size of stitches: this is what is planned.</summary>
    public Motifs.OwnFigure Drawn => _drawn.Value;

    private readonly Lazy<Motifs.OwnFigure> _drawn = new(() => Motifs.OwnFigure.Of(Figure));
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
    StatedFabric? Fabric = null,
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
    public Job With(Func<JobElement, JobElement?> changed) => this with { Elements = Elements.Select(changed).OfType<JobElement>()
        .ToArray() };

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

/// <summary>What the maker has and how she works. The shipped default is <see cref="Default"/>.</summary>
public sealed record Workshop(
    IReadOnlyList<string> Equipment,
    Skill Skill,
    int EveningsPerWeek,
    double MinutesPerEvening,
    double HourlyRate,
    string Paper,
    IReadOnlyList<double> HoopsMm,
    IReadOnlyDictionary<string, string> Habits,
    Measures.Units Units = Measures.Units.Centimetres)
{
    public static Workshop Default { get; } = new(
        ["window", "ink-jet", "iron"],
        Skill.Practised,
        5,
        60,
        0,
        "a4",
        Hoops.UsualMm,
        new Dictionary<string, string>(StringComparer.Ordinal));

    /// <summary>Her choice for a habit, or the usual one.</summary>
    public string Habit(string id) => Habits.TryGetValue(id, out var choice) ? choice : Planning.Habits.Find(id).Sure().Default;

    /// <summary>How wide threads of hers lie, mm, by the id of their kind, one of each: measured by her. None where she has not.</summary>
    public IReadOnlyDictionary<string, double> ThreadWidthsMm { get; init; } = new Dictionary<string, double>(StringComparer.Ordinal);

    /// <summary>What her stitching takes over what geometry says: measured by her, or null for the usual.</summary>
    public double? MeasuredTakeUp { get; init; }

    /// <summary>
    /// What stitching takes over what geometry says: measured by her, or learnt from what was left on her needles, else the usual.
    /// </summary>
    internal double TakeUp => MeasuredTakeUp
        ?? (PaceOf(LearningFromLog.ThreadUse) is { } use
            ? Math.Clamp(Cutting.TakeUp * use.Factor, WorkshopCheck.LeastTakeUp, WorkshopCheck.MostTakeUp) : Cutting.TakeUp);

    /// <summary>
    /// What her trials have shown, by the kind of cloth: how much of the usual opening must stay. None where she has not tried.
    /// </summary>
    public IReadOnlyDictionary<string, double> Trials { get; init; } = new Dictionary<string, double>(StringComparer.Ordinal);

    /// <summary>
    /// What her log has taught of her pace, by the kind of work: how many times as long as planned (<c>stitching</c>), its spread
    /// (<c>stitching.low</c>, <c>stitching.high</c>) and from how many pieces (<c>stitching.pieces</c>); what takes longer than the rest of
    /// it (<c>stitching.stitch.stem</c>, <c>hoop.item.cap</c>); thread used and stitch lengths. None where nothing is learnt.
    /// </summary>
    public IReadOnlyDictionary<string, double> Paces { get; init; } = new Dictionary<string, double>(StringComparer.Ordinal);

    /// <summary>What was learnt of a kind of work; null where nothing was.</summary>
    public Learned? PaceOf(string kind) => Paces.TryGetValue(kind, out var factor) ? new Learned(factor,
        Paces.GetValueOrDefault($"{kind}.low", Operations.Minutes.LowShare), Paces.GetValueOrDefault($"{kind}.high", Operations.Minutes.HighShare),
        (int)Paces.GetValueOrDefault($"{kind}.pieces", 1), []) : null;

    /// <summary>Stitches are planned no further from the usual length than these shares, whatever a picture says (from memory).</summary>
    private const double LeastLengthShare = 0.8;

    private const double MostLengthShare = 1.25;

    /// <summary>How long her stitches come out, as a share of the usual.</summary>
    internal double StitchLengthShare => PaceOf(LearningFromLog.StitchLength) is { } length
        && Math.Abs(length.Factor - 1) >= LearningFromLog.LeastTold ? Math.Clamp(length.Factor, LeastLengthShare, MostLengthShare) : 1;

    /// <summary>The threads she has, by name, colour and kind; none where she has not said.</summary>
    public IReadOnlyList<OwnThread> Threads { get; init; } = [];

    /// <summary>A kind of thread as it is here: as wide as she measured it.</summary>
    public ThreadKind Thread(ThreadKind kind) =>
        ThreadWidthsMm.TryGetValue(kind.Id, out var width) ? kind with { Scale = width / kind.WidthMm } : kind;

    /// <summary>
    /// How this workshop places stitches; a school of lengths and of dots may be taken for one wording instead of its own. Lengths of the
    /// schools: an eighth of an inch, 5 mm and 1 cm (common practice).
    /// </summary>
    internal StitchSchools StitchSchoolsWith(string? length, string? dots) => new(
        (length ?? Habit("stitch-length")) == "uniform" ? LengthSchool.Uniform : LengthSchool.Graded,
        Habit("stitch-size") switch { "eighth-inch" => 3.2, "five" => 5, "ten" => 10, _ => null },
        Habit("stem-side") == "outside-of-bend" ? SideSchool.OutsideOfBend : SideSchool.OneSide,
        Habit("whip-side") == "outward" ? SideSchool.OutsideOfBend : SideSchool.OneSide,
        (dots ?? Habit("dots")) switch { "straight" => DotSchool.Straight, "knot" => DotSchool.Knot, _ => DotSchool.ByHeight },
        int.Parse(Habit("knot-wraps"), System.Globalization.CultureInfo.InvariantCulture))
    {
        LengthShare = StitchLengthShare,
    };

    /// <summary>What the recommender of stitches goes by here.</summary>
    internal StitchFacts StitchFacts(Cloth cloth) => Stitches.StitchFacts.Of(cloth, Habit("letter-stitch"), Habit("split-strands"),
        Habit("chain-strands"));
}
