using System.Globalization;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Telling;

namespace Dittany.Core.Threads;

/// <summary>How a thread is begun or ended, with the length that takes. <paramref name="Lump"/>: it leaves a knot behind.</summary>
public sealed record Ending(string ChoiceId, string Name, double TailMm, double Minutes, string Because, string Source, bool Lump = false);

/// <summary>What the cutting of thread hinges on. Habits are choice ids; hers are overrules or null. <paramref name="Strands"/> are the bundles of the piece.</summary>
public sealed record CuttingQuestion(
    string HabitCut, string HabitStart, string HabitFinish, string HabitUse, string HabitStrip, IReadOnlyCollection<int> Strands, Worn Worn, double? HersCutMm, string? HersStart, string? HersFinish);

/// <summary>
/// How threads are cut, begun and ended, and what a run can stitch. <paramref name="CutMm"/> is the length as cut; folded double, half of it is worked with, by half the
/// strands.
/// </summary>
public sealed record Cutting(double CutMm, bool Doubled, Ending Start, Ending Finish, double StripMinutes, IReadOnlyList<Decision> Decisions, IReadOnlyList<Caution> Cautions)
{
    /// <summary>Take-up and unpicking (from memory).</summary>
    public const double TakeUp = 1.10;

    /// <summary>Working length of one run.</summary>
    public double WorkingMm => Doubled ? CutMm / 2 : CutMm;

    /// <summary>What one run can stitch; never under 50 mm, or no line could be begun.</summary>
    public double RunMm => Math.Max(50, WorkingMm - Start.TailMm - Finish.TailMm);

    /// <summary>Minutes one thread takes besides its stitches.</summary>
    public double MinutesEach => StripMinutes + Start.Minutes + Finish.Minutes;
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
        new("away-knot", "Away-knot, 12 cm off", 120, 2.5, "No knot stays in the work: the tail is cut free and woven in.", "common practice"),
        new("trapped-tail", "Tail held and trapped", 60, 1.5, "The first stitches cross the tail and hold it: no knot, no tail to weave.", "common practice"),
        new("loop", "Caught in its own loop", 15, 1.5, "The strand is folded and the first stitch caught in the fold: nothing to knot, nothing to weave.", "common practice"),
        new("knot", "Knot at the end", 15, 1.5, "Quickest; a knot can bulge and can pull through. Wrap it as often as there are strands.", "common practice", Lump: true),
    ];

    public static IReadOnlyList<Ending> Finishes { get; } =
    [
        new("weave", "Woven in, no knot", 80, 1.0, "Under three stitches, turn, two more: flat, and it holds in the wash.", "common practice"),
        new("knot-and-weave", "Knotted and woven in", 80, 1.5, "A knot, then under two stitches: the safest, a little thicker.", "common practice", Lump: true),
        new("knot", "Knotted", 50, 1.0, "Quick; a small tail must be left for the knot to survive the wash.", "common practice", Lump: true),
        new("bow", "Strands parted and tied", 50, 1.0, "Enough for what hangs on a wall and is never washed.", "common practice", Lump: true),
    ];

    /// <summary>Usual cut lengths, mm.</summary>
    public static IReadOnlyList<Choice> Cuts { get; } =
        [new("300", "Cut 30 cm"), new("450", "Cut 45 cm"), new("600", "Cut 60 cm"), new("forearm", "Cut twice your forearm, and fold it double")];

    public static IReadOnlyList<Choice> Uses { get; } = [new("single", "Single"), new("doubled", "Folded double")];

    public static IReadOnlyList<Choice> Strips { get; } = [new("one-by-one", "One strand at a time, smoothed and laid together"), new("halves", "Parted in halves")];

    public static Cutting Settle(CuttingQuestion q)
    {
        var even = q.Strands.All(s => s % 2 == 0);
        var folds = q.HabitUse == "doubled" || q.HabitCut == "forearm";
        var doubled = folds && even;
        var working = q.HabitCut == "forearm" ? TwiceForearmMm / 2 : double.Parse(q.HabitCut, CultureInfo.InvariantCulture);
        var habitCut = doubled ? 2 * working : working;
        var cut = q.HersCutMm ?? habitCut;
        var cautions = new List<Caution>();
        var (start, startDecision) = Ended("thread.start", "How a thread begins", Starts, q.HabitStart, q.HersStart, doubled, q.Worn, cautions);
        var (finish, finishDecision) = Ended("thread.finish", "How a thread ends", Finishes, q.HabitFinish, q.HersFinish, doubled, q.Worn, cautions);
        var cutting = new Cutting(cut, doubled, start, finish, q.HabitStrip == "one-by-one" ? 0.3 : 0, [], cautions);
        var because = new List<string>
        {
            $"Of {Say.Length(cutting.WorkingMm)}{(doubled ? " in use" : string.Empty)}, {Say.Length(start.TailMm)} go to the start and {Say.Length(finish.TailMm)} to the finish: {Say.Length(cutting.RunMm)} are stitched, {Say.Number((Cutting.TakeUp - 1) * 100, 0)} % of it reckoned for take-up and unpicking.",
            cutting.WorkingMm > 500 ? "A long thread tangles and goes fuzzy, and has fewer ends to weave in." : "Longer thread tangles and goes fuzzy; shorter has more ends to weave in.",
        };
        if (doubled)
        {
            because.Add($"Folded double, {Say.List(q.Strands.Order().Select(s => Say.Count(s / 2, "strand")).ToArray())} of {Say.Length(cut)} work as {Say.List(q.Strands.Order().Select(s => s.ToString(CultureInfo.InvariantCulture)).ToArray())}.");
        }
        else if (folds)
        {
            because.Add("An odd number of strands cannot be folded, so it is cut single.");
        }

        if (!doubled && q.Strands.Where(Bundle.Folded).Order().ToArray() is { Length: > 0 } thick)
        {
            because.Add($"{Say.Upper(Say.List(thick.Select(s => Say.Count(s, "strand")).ToArray()))} are half as many folded double, so they are cut twice as long.");
        }

        because.Add(q.HabitStrip == "one-by-one"
            ? "Pull one strand at a time straight up and out and lay them together again: they lie flatter."
            : "Part the end between the fingers and slide a finger down while it untwists.");
        var decision = Deciding.Make(
            "thread.cut-length", Station.Thread, "How long to cut", Cut(habitCut), q.HersCutMm is null ? null : Cut(cut), because, ["The habit of how you cut your thread."],
            new[] { 300.0, 450, 600 }.Select(mm => Cut(doubled ? 2 * mm : mm)).Where(c => double.Parse(c.ChoiceId, CultureInfo.InvariantCulture) <= MostCutMm).ToArray());
        return cutting with { Decisions = [decision, startDecision, finishDecision] };

        static Choice Cut(double mm) => new(mm.ToString(CultureInfo.InvariantCulture), $"Cut {Say.Number(mm / 10)} cm");
    }

    /// <summary>
    /// The habit, unless it leaves a lump on skin or asks for a fold there is none of; then the first that does not. What she overrules is done, with a caution.
    /// </summary>
    private static (Ending Taken, Decision Decision) Ended(
        string id, string subject, IReadOnlyList<Ending> all, string habit, string? hers, bool doubled, Worn worn, List<Caution> cautions)
    {
        string? Against(Ending e) => e.Lump && worn.OnSkin ? "It leaves a lump, and it would lie on skin."
            : e.ChoiceId == "bow" && worn.Washed != "never" ? "It opens in the wash."
            : e.ChoiceId == "knot" && id == "thread.finish" && worn.Firm ? $"A knot alone works loose, and {worn.FirmBecause}."
            : e.ChoiceId == "loop" && !doubled ? "It wants a folded strand, and this thread is cut single."
            : null;
        var usual = all.First(e => e.ChoiceId == habit);
        var own = Against(usual) is null ? usual : all.First(e => Against(e) is null);
        var taken = hers is null ? own : all.First(e => e.ChoiceId == hers);
        if (hers is not null && Against(taken) is { } harm)
        {
            cautions.Add(new Caution(id, worn.OnSkin && taken.Lump ? CautionKind.Person : CautionKind.Item, worn.OnSkin && taken.Lump ? Severity.Stop : Severity.Caution, $"{taken.Name}: {harm}"));
        }

        var because = new List<string> { taken.Because, $"It takes {Say.Length(taken.TailMm)} of each thread." };
        if (own != usual)
        {
            because.Add($"Not your habit, {char.ToLowerInvariant(usual.Name[0])}{usual.Name[1..]}: {Against(usual)}");
        }

        return (taken, Deciding.Make(
            id, Station.Thread, subject, new Choice(own.ChoiceId, own.Name), hers is null ? null : new Choice(taken.ChoiceId, taken.Name), because,
            ["Your habit of beginning and ending threads, or skin behind the work."],
            all.Where(e => Against(e) is null).Select(e => new Choice(e.ChoiceId, e.Name)).ToArray(),
            all.Where(e => Against(e) is not null).Select(e => new RuledOut(e.ChoiceId, e.Name, [Against(e)!])).ToArray()));
    }
}
