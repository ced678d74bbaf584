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
    /// <summary>
    /// What stitching takes over what is reckoned lies between these; else something was measured wrongly (from memory).
    /// </summary>
    public const double LeastTakeUp = 0.9;

    public const double MostTakeUp = 1.8;

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
    public string Habit(string id) => Habits.TryGetValue(id, out var choice) ? choice : Jobs.Habits.Find(id).Sure().Default;

    /// <summary>How wide threads of hers lie, mm, by the id of their kind, one of each: measured by her. None where she has not.</summary>
    public IReadOnlyDictionary<string, double> ThreadWidthsMm { get; init; } = new Dictionary<string, double>(StringComparer.Ordinal);

    /// <summary>What her stitching takes over what geometry says: measured by her, or null for the usual.</summary>
    public double? MeasuredTakeUp { get; init; }

    /// <summary>
    /// What stitching takes over what geometry says: measured by her, or learnt from what was left on her needles, else the usual.
    /// </summary>
    internal double TakeUp => MeasuredTakeUp
        ?? (PaceOf(PaceNames.ThreadUse) is { } use
            ? Math.Clamp(Cutting.TakeUp * use.Factor, LeastTakeUp, MostTakeUp) : Cutting.TakeUp);

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
    internal double StitchLengthShare => PaceOf(PaceNames.StitchLength) is { } length
        && Math.Abs(length.Factor - 1) >= PaceNames.LeastTold ? Math.Clamp(length.Factor, LeastLengthShare, MostLengthShare) : 1;

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
