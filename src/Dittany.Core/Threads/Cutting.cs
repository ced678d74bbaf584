using System.Globalization;
using Dittany.Core.Decisions;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Measures;

namespace Dittany.Core.Threads;

/// <summary>How a thread is begun or ended, with the length that takes. <paramref name="Lump"/>: it leaves a knot behind.</summary>
public sealed record Ending(string ChoiceId, Told Name, double TailMm, double Minutes, Told Because, string Source, bool Lump = false);

/// <summary>
/// What the cutting of thread hinges on. Habits are choice ids; hers are overrules or null. <paramref name="Threads"/> are those of the
/// piece.
/// </summary>
public sealed record CuttingQuestion(
    string HabitCut, string HabitStart, string HabitFinish, string HabitUse, string HabitStrip, IReadOnlyCollection<ThreadSize> Threads,
        Worn Worn, double? HersCutMm, string? HersStart, string? HersFinish,
    bool Coated = false, bool Stuffed = false, double TakeUp = Cutting.TakeUp)
{
    /// <summary>Numbers of strands, of what has strands that part.</summary>
    public IReadOnlyCollection<int> Strands => Threads.Where(t => t.ByStrands).Select(t => t.Ply).ToHashSet();
}

/// <summary>
/// How threads are cut, begun and ended, and what a run can stitch. <paramref name="CutMm"/> is the length as cut; folded double, half of
/// it is worked with, by half the strands. <paramref name="Start"/> is how a length begins where nothing is stitched yet,
/// <paramref name="Later"/> how one begins that stitches behind can hold.
/// </summary>
public sealed record Cutting(double CutMm, bool Doubled, Ending Start, Ending Later, Ending Finish, double StripMinutes,
    IReadOnlyList<Decision> Decisions, IReadOnlyList<Caution> Cautions)
{
    /// <summary>Take-up and unpicking (from memory).</summary>
    public const double TakeUp = 1.10;

    /// <summary>Working length of one run.</summary>
    public double WorkingMm => Doubled ? CutMm / 2 : CutMm;

    /// <summary>What stitching takes over what geometry says: hers once it is measured.</summary>
    public double TakenUp { get; init; } = TakeUp;

    /// <summary>How this very thread is cut: no longer than it bears, and strands are only parted where there are any.</summary>
    public Cutting For(Materials.ThreadKind kind)
    {
        var cut = kind.LongestMm is { } most ? Math.Min(WorkingMm, most) : WorkingMm;
        return kind.Parts && cut.Equals(WorkingMm) ? this : this with
        {
            CutMm = kind.Parts && Doubled ? 2 * cut : cut,
            Doubled = kind.Parts && Doubled,
            StripMinutes = kind.Parts ? StripMinutes : 0,
        };
    }

    /// <summary>What a run can stitch that begins under stitches; never under 50 mm, or no line could be begun.</summary>
    public double RunMm => Stitched(Later);

    /// <summary>What a run can stitch that begins where nothing holds it yet.</summary>
    public double FreshRunMm => Stitched(Start);

    /// <summary>
    /// Of the minutes a start takes, those for cutting a thread and threading the needle (from memory): what is left on the needle saves
    /// them.
    /// </summary>
    private const double ThreadingMinutes = 0.7;

    /// <summary>What it takes to end a thread and to begin again with the rest of it, mm.</summary>
    public double EndsMm => Finish.TailMm + Later.TailMm;

    /// <summary>
    /// Minutes that so many starts and ends take besides the stitches, <paramref name="fresh"/> of them where nothing holds them yet, with
    /// so many threads cut.
    /// </summary>
    public double Minutes(int runs, int fresh, int cuts) =>
        (cuts * StripMinutes) + (runs * Finish.Minutes) + (fresh * Start.Minutes)
            + ((runs - fresh) * Later.Minutes) - ((runs - cuts) * ThreadingMinutes);

    /// <summary>Thread that goes into the ends of so many threads, in mm.</summary>
    public double TailsMm(int runs, int fresh) => (runs * Finish.TailMm) + (fresh * Start.TailMm) + ((runs - fresh) * Later.TailMm);

    private double Stitched(Ending start) => Math.Max(50, WorkingMm - start.TailMm - Finish.TailMm);
}

/// <summary>Schools of cutting, beginning and ending a thread.</summary>
public static class CuttingRoom
{
    /// <summary>Lengths a maker may cut, in mm.</summary>
    public const double LeastCutMm = 250;

    public const double MostCutMm = 1000;

    /// <summary>From fingertip to elbow and back, mm (common practice: 80 to 95 cm).</summary>
    private const double TwiceForearmMm = 860;

    public static IReadOnlyList<Ending> Starts { get; } =
    [
        new("away-knot", $"Away-knot, {Say.Cm(12)} off", 120, 2.5, "No knot stays in the work: the tail is cut free and woven in.",
            "common practice"),
        new("trapped-tail", "Tail held and trapped", 60, 1.5, "The first stitches cross the tail and hold it: no knot, no tail to weave.",
            "common practice"),
        new("loop", "Caught in its own loop", 15, 1.5,
            "The strand is folded and the first stitch caught in the fold: nothing to knot, nothing to weave.", "common practice"),
        new("knot", "Knot at the end", 15, 1.5, "Quickest; a knot can bulge and can pull through. Wrap it as often as there are strands.",
            "common practice", Lump: true),
    ];

    /// <summary>How every length begins that stitches behind can hold: no tail is left to weave.</summary>
    public static Ending Under { get; } = new(
        "under-stitches", "Under stitches behind", 30, 1.5,
            "Skimmed under two or three stitches behind, without piercing the cloth: no knot, and no tail to weave.", "common practice");

    public static IReadOnlyList<Ending> Finishes { get; } =
    [
        new("weave", "Woven in, no knot", 30, 1.0, "Under three stitches, turn, two more: flat, and it holds in the wash.",
            "common practice"),
        new("knot-and-weave", "Knotted and woven in", 30, 1.5, "A knot, then under two stitches: the safest, a little thicker.",
            "common practice", Lump: true),
        new("knot", "Knotted", 30, 1.0, "Quick; a small tail must be left for the knot to survive the wash.", "common practice",
            Lump: true),
        new("bow", "Strands parted and tied", 50, 1.0, "Enough for what hangs on a wall and is never washed.", "common practice",
            Lump: true),
    ];

    /// <summary>Usual cut lengths, mm.</summary>
    public static IReadOnlyList<Choice> Cuts { get; } =
        [new("300", $"Cut {Say.Cm(30)}"), new("450", $"Cut {Say.Cm(45)}"), new("600", $"Cut {Say.Cm(60)}"),
            new("forearm", "Cut twice your forearm, and fold it double")];

    public static IReadOnlyList<Choice> Uses { get; } = [new("single", "Single"), new("doubled", "Folded double")];

    public static IReadOnlyList<Choice> Strips { get; } = [new("one-by-one", "One strand at a time, smoothed and laid together"),
        new("halves", "Parted in halves")];

    /// <summary>
    /// How strands come off the skein, by habit and number: three are half of six; one, or two, are drawn out; six are used as they come.
    /// </summary>
    private static readonly (string Name, Func<CuttingQuestion, bool> When, string Do, string Source)[] Stripping =
    [
        ("several by one", q => q.HabitStrip == "one-by-one" && q.Strands.Any(s => s > 1),
            "Pull one strand at a time straight up and out and lay them together again: they lie flatter.", "common practice"),
        ("halves", q => q.HabitStrip != "one-by-one" && q.Strands.Contains(3),
            "Part the end into three and three between the fingers, and slide a finger down while it untwists.", "common practice"),
        ("drawn out", q => q.HabitStrip != "one-by-one" && q.Strands.Any(s => s is 2 or 4 or 5),
            "Draw the strands out of the six one at a time, straight up, and smooth them together.", "common practice"),
        ("one alone", q => q.Strands.Contains(1),
            "Draw the single strand straight up and out: the others bunch up behind it and fall back straight.", "common practice"),
    ];

    public static Cutting Settle(CuttingQuestion q)
    {
        var even = q.Strands.Count > 0 && q.Strands.All(s => s % 2 == 0);
        var folds = q.HabitUse == "doubled" || q.HabitCut == "forearm";
        var doubled = folds && even;
        var working = q.HabitCut == "forearm" ? TwiceForearmMm / 2 : double.Parse(q.HabitCut, CultureInfo.InvariantCulture);
        var only = q.Threads.Select(t => t.Kind).Distinct().ToArray() is [var one] ? one : null;
        working = Math.Min(working, only?.LongestMm ?? working);
        var habitCut = doubled ? 2 * working : working;
        var cut = q.HersCutMm ?? habitCut;
        var cautions = new List<Caution>();
        var (start, startDecision) = Ended("thread.start", "How a thread begins", Starts, q.HabitStart, q.HersStart, doubled, q, cautions);
        var (finish, finishDecision) = Ended("thread.finish", "How a thread ends", Finishes, q.HabitFinish, q.HersFinish, doubled, q,
            cautions);
        var later = start.TailMm > Under.TailMm || start.Lump ? Under : start;
        var cutting = new Cutting(cut, doubled, start, later, finish, q.HabitStrip == "one-by-one" ? 0.3 : 0, [], cautions) { TakenUp = q.TakeUp };
        var told = only is null ? cutting : cutting.For(only);
        var because = new List<Told>
        {
            $"Of {Say.Length(told.WorkingMm)}{(doubled ? " in use" : string.Empty)}, {Say.Length(later.TailMm)} go to the start and "
                + $"{Say.Length(finish.TailMm)} to the finish: {Say.Length(told.RunMm)} are stitched, "
                + $"{Say.Number((q.TakeUp - 1) * 100, 0)} % of it reckoned for take-up and unpicking.",
            told.WorkingMm > 500 ? "A long thread tangles and goes fuzzy, and has fewer ends to weave in."
                : "Longer thread tangles and goes fuzzy; shorter has more ends to weave in.",
        };
        if (doubled)
        {
            because.Add($"Folded double, {Say.List(q.Strands.Order().Select(s => Say.Count(s / 2, "strand")).ToArray())} of "
                + $"{Say.Length(cut)} work as "
                + $"{Say.List(q.Strands.Order().Select(s => s.ToString(CultureInfo.InvariantCulture)).ToArray())}.");
        }

        if (later != start)
        {
            because.Add($"Where nothing is stitched yet, {Say.Length(start.TailMm)} go to the start.");
        }

        if (!doubled && q.Strands.Where(Bundle.Folded).Order().ToArray() is { Length: > 0 } thick)
        {
            because.Add($"{Say.Upper(Say.List(thick.Select(s => Say.Count(s, "strand")).ToArray()))} are half as many folded double, so "
                + $"they are cut twice as long.");
        }

        var shorter = q.Threads.Select(t => t.Kind).DistinctBy(k => k.Id, StringComparer.Ordinal)
            .Where(k => k.LongestMm < cutting.WorkingMm || k == only).Where(k => k.LongestMm is not null).ToArray();
        because.AddRange(q.Threads.Where(t => !t.ByStrands && t.Kind.Folded(t.Ply)).Select(t =>
            (Told)$"{Say.Upper(t.Said)}, is one length folded, so it is cut twice as long as it is worked."));
        because.AddRange(shorter.Select(k => (Told)($"{Say.Upper(k.Name)} is worked no longer than {Say.Cm(k.LongestMm.Sure() / 10)}: "
            + $"{(k.Frays ? "it frays at the eye, and more with every stitch." : "drawn through cloth it wears thin.")}")));
        because.AddRange(q.Strands.Count == 0 ? [] : Stripping.Where(s => s.When(q)).Select(s => (Told)s.Do));
        var decision = Deciding.Make(
            "thread.cut-length", Station.Thread, "How long to cut", Cut(habitCut), q.HersCutMm is null ? null : Cut(cut), because,
            ["The habit of how you cut your thread."],
            new[] { 300.0, 450, 600 }.Where(mm => mm <= (only?.LongestMm ?? mm)).Select(mm => doubled ? 2 * mm : mm)
                .Where(mm => mm <= MostCutMm).Select(Cut).ToArray()) with
        {
            NotFollowed = folds && !doubled && q.Strands.Count > 0 ? [Unfolded(q.Strands)]
                : q.HersCutMm is { } hers && shorter.Any(k => k.LongestMm < hers)
                    ? [.. shorter.Where(k => k.LongestMm < hers).Select(k => (Told)($"{Say.Cm(hers / 10)} of {k.Name}, your wish, are not followed: {(k.Frays ? "it frays at the eye" : "it wears thin")}, "
                        + $"so it is worked {Say.Cm(k.LongestMm.Sure() / 10)} long."))]
                : null,
            UnfollowedWish = q.HersCutMm is not null,
        };
        if (only is not null && q.Strands.Count == 0 && q.Threads.All(t => !t.ByStrands && t.Kind.Folded(t.Ply)))
        {
            decision = decision with { Choice = $"Cut {Say.Cm(told.WorkingMm / 5)}, and work it folded, {Say.Cm(told.WorkingMm / 10)} long" };
        }

        return cutting with { Decisions = [decision, startDecision, finishDecision] };

        static Choice Cut(double mm) => new(mm.ToString(CultureInfo.InvariantCulture), $"Cut {Say.Cm(mm / 10)}");
    }

    /// <summary>Why a habit of folding is not followed, and with how many strands it would be.</summary>
    private static Told Unfolded(IReadOnlyCollection<int> strands)
    {
        var odd = strands.Where(s => s % 2 == 1).Order().ToArray();
        return $"Thread folded double, your habit, is not followed: folding doubles the strands, and "
            + $"{Say.List(odd.Select(s => Say.Count(s, "strand")).ToArray())} cannot be had so. "
            + $"Take {Say.List(odd.Select(s => s == 1 ? "2" : $"{s - 1} or {s + 1}").Distinct().ToArray())} instead, and it can be folded.";
    }

    /// <summary>
    /// The habit, unless it leaves a lump on skin or asks for a fold there is none of; then the first that does not. What she overrules is
    /// done, with a caution.
    /// </summary>
    private static (Ending Taken, Decision Decision) Ended(
        string id, string subject, IReadOnlyList<Ending> all, string habit, string? hers, bool doubled, CuttingQuestion q,
            List<Caution> cautions)
    {
        var worn = q.Worn;
        Told? Against(Ending e) => e.Lump && worn.OnSkin ? "It leaves a lump, and it would lie on skin."
            : e.ChoiceId == "bow" && worn.Washed != "never" ? "It opens in the wash."
            : e.ChoiceId == "knot" && id == "thread.finish" && worn.Firm ? $"A knot alone works loose, and {worn.FirmBecause}."
            : e.ChoiceId == "away-knot" && q.Coated ? "Coated cloth keeps every needle hole, and the hole of its knot would stay."
            : e.ChoiceId == "away-knot" && q.Stuffed ? "Its tail lies inside what is stuffed, and nothing gets there to weave it in."
            : e.ChoiceId == "loop" && !doubled ? "It wants a folded strand, and this thread is cut single."
            : null;
        var usual = all.First(e => e.ChoiceId == habit);
        var own = Against(usual) is null ? usual : all.First(e => Against(e) is null);
        var taken = hers is null ? own : all.First(e => e.ChoiceId == hers);
        if (hers is not null && Against(taken) is { } harm)
        {
            cautions.Add(new Caution(id, worn.OnSkin && taken.Lump ? CautionKind.Person : CautionKind.Item, worn.OnSkin && taken.Lump
                ? Severity.Stop : Severity.Caution, $"{taken.Name}: {harm}"));
        }

        var because = new List<Told> { taken.Because };
        if (all == Starts && (taken.TailMm > Under.TailMm || taken.Lump))
        {
            because.Add($"Only where nothing is stitched yet: every later length begins under two or three stitches behind, with "
                + $"{Say.Length(Under.TailMm)}.");
        }
        else
        {
            because.Add($"It takes {Say.Length(taken.TailMm)} of each thread.");
        }

        return (taken, Deciding.Make(
            id, Station.Thread, subject, new Choice(own.ChoiceId, own.Name), hers is null ? null : new Choice(taken.ChoiceId, taken.Name),
                because,
            ["Your habit of beginning and ending threads, or skin behind the work."],
            all.Where(e => Against(e) is null).Select(e => new Choice(e.ChoiceId, e.Name)).ToArray(),
            all.Where(e => Against(e) is not null).Select(e => new RuledOut(e.ChoiceId, e.Name, [Against(e).Sure()])).ToArray()) with
        {
            NotFollowed = hers is null && own != usual ? [$"{usual.Name}, your habit, is not followed: {Say.Lower(Against(usual).Sure())}"]
                    : null,
        });
    }
}
