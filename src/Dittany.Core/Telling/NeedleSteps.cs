using System.Globalization;
using Dittany.Core.Decisions;
using Dittany.Core.Geometry;
using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Operations;
using Dittany.Core.Planning;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Stitches.InAreas;
using Dittany.Core.Stitches.OnLines;
using Dittany.Core.Time;

namespace Dittany.Core.Telling;

/// <summary>
/// One thing to do with the piece in hand: an operation, or one length of thread. <paramref name="Kind"/> is what the log knows it by;
/// <paramref name="DoneBy"/> how far the piece is when it is done, as <see cref="Changes.WriteDone"/> writes it, null where that moves
/// nothing.
/// </summary>
public sealed record NeedleStep(
    string Id, string Kind, Phase Phase, string Title, IReadOnlyList<Told> Do, double Minutes, Wait? Wait, string? DoneBy, RunTold? Length,
        IReadOnlyList<Told> Hints)
{
    /// <summary>What the log calls work on a length of thread.</summary>
    public const string Stitching = PaceNames.Stitching;

    /// <summary>Where the piece is left when tonight's minutes are up: a letter or part is whole at its end.</summary>
    public bool Whole { get; init; } = true;

    /// <summary>How many times the usual its minutes are, by what was learnt of her.</summary>
    public double Learnt { get; init; } = 1;

    /// <summary>The stitch most of a length is worked in, by its id; null for an operation.</summary>
    public string? Stitch { get; init; }

    /// <summary>Of a length: what of the thread is worked with by then and what is left on the needle, mm, as planned.</summary>
    public (double UsedMm, double LeftMm)? Thread { get; init; }

    /// <summary>Whether eyes and hands rest before it: so long was worked since they last did.</summary>
    public bool AfterBreak { get; init; }

    /// <summary>What it takes by the usual pace: its minutes without what was learnt.</summary>
    public double UsualMinutes => Math.Round(Minutes / Learnt, 1);
}

/// <summary>The work of a piece one step at a time, as it is read beside the hoop.</summary>
public static class NeedleSteps
{
    /// <summary>
    /// What a hand does at a corner and on a bend, by the kind of stitch: the first row that names it (common practice).
    /// </summary>
    private static readonly (Func<IStitch, bool> Is, string Corner, string Bend)[] Hints =
    [
        (s => s is Overlapping or TwiceOver { First: Overlapping }, "At a point end the stitch in the corner, and come up again in the stitch before for the next.",
            "On a bend push the thread to the outside with a finger, and shorten the stitches."),
        (s => s is ChainStitch or HeavyChain or LinkedChain or TwiceOver { First: ChainStitch },
            "At a corner tie the link down with a tiny stitch, and begin the next inside it.", "On a bend make every link a little shorter, never tighter."),
        (s => s is Couching, "Set a tie into every corner, and turn the laid thread sharply there.", "The tighter the bend, the closer the ties."),
        (s => s is BlanketStitch, "Set one tooth straight into the corner.", "On a bend fan the teeth; their ends share a hole where they crowd."),
        (s => s is SatinStitch or TurningSatin, "At a corner fan the stitches from one hole.", "Every stitch touches the one before; on the short side reuse holes."),
        (_ => true, "Let a stitch end exactly in the corner.", "On a bend shorten the stitches, so that it looks round."),
    ];

    /// <summary>Bends tighter than this are told of, mm (from memory).</summary>
    private const double TightMm = 6;

    /// <summary>All steps of a plan in their order; <paramref name="today"/> is the local day what is hung up dries from.</summary>
    public static IReadOnlyList<NeedleStep> Of(Plan plan, DateOnly today)
    {
        var phased = Work.ByPhase(plan.Work);
        var dries = plan.Work.Any(o => o.Kind == OpKind.Dry);
        var steps = new List<NeedleStep>();
        for (var i = 0; i < phased.Count; i++)
        {
            var (operation, phase) = phased[i];
            if (operation.Kind == OpKind.Stitch && plan.Route.Count > 0)
            {
                steps.AddRange(Lengths(plan, plan.Places.FirstOrDefault(p => PlacesWork.IdAt("stitch", p.Key, p.Main) == operation.Id)));
                continue;
            }

            var last = i == phased.Count - 1 || phased[i + 1].Phase != phase;
            steps.Add(new NeedleStep(operation.Id.ToString(), KindOf(operation.Kind), phase, Title(operation), operation.Steps,
                operation.LikelyMinutes, operation.Wait, !last ? null : DoneBy(phase, i == phased.Count - 1), null, [])
            {
                Learnt = plan.Learnt.Of(KindOf(operation.Kind)),
            });
        }

        return Rested(steps);

        string? DoneBy(Phase phase, bool end) => end ? Changes.WriteDone(new Done(true, 0, Finished: true)) : phase switch
        {
            Phase.Washing => Changes.WriteDone(new Done(WashedOn: today)),
            Phase.Marking => Changes.WriteDone(new Done(Marked: true)),
            Phase.Rinsing when dries => Changes.WriteDone(new Done(true, 0, today)),
            _ => null,
        };
    }

    /// <summary>
    /// The place of the first step that is not done: those of phases behind her are, and those that were logged
    /// (<paramref name="logged"/>, ids of steps). As many as there are steps where all is done.
    /// </summary>
    public static int At(IReadOnlyList<NeedleStep> steps, Progress progress, IReadOnlySet<string> logged)
    {
        var phase = progress.Stage switch
        {
            Stage.Planned => Phase.Washing,
            Stage.Washed => Phase.Marking,
            Stage.Marked or Stage.OnTheHoop => Phase.Stitching,
            Stage.Stitched => Phase.Rinsing,
            _ => Phase.Finishing,
        };
        for (var i = 0; i < steps.Count; i++)
        {
            var step = steps[i];
            var done = progress.Stage == Stage.Finished || step.Phase < phase
                || (step.Length is { } length ? length.Run <= progress.RunsDone
                    : logged.Contains(step.Id) || (step.Phase == Phase.Stitching
                        && Begun(steps.Skip(i).FirstOrDefault(s => s.Length is not null))));
            if (!done)
            {
                return i;
            }
        }

        return steps.Count;

        // What comes before a length at the hoop is done where that length is begun.
        bool Begun(NeedleStep? next) => next is { Length: { } length }
            && (length.Run <= progress.RunsDone || (length.Run == progress.RunsDone + 1 && progress.Stitches > 0));
    }

    /// <summary>
    /// How far tonight's minutes reach from a step on: the place behind the last step that fits and leaves a letter or part whole; at least
    /// one step is begun. Waits that last overnight end an evening.
    /// </summary>
    public static int Tonight(IReadOnlyList<NeedleStep> steps, int from, double minutes)
    {
        var (sum, end) = (0.0, from);
        for (var i = from; i < steps.Count; i++)
        {
            sum += steps[i].Minutes;
            if (sum > minutes && end > from)
            {
                break;
            }

            if (steps[i].Whole || sum > minutes)
            {
                end = i + 1;
            }

            if (steps[i].Wait is { Days: > 0 } || sum > minutes)
            {
                break;
            }
        }

        return Math.Max(end, Math.Min(from + 1, steps.Count));
    }

    /// <summary>Minutes at the needle after which eyes and hands rest (common practice).</summary>
    public const double BreakMinutes = 25;

    /// <summary>Marks each step at the needle that is begun when eyes and hands want a rest.</summary>
    private static NeedleStep[] Rested(List<NeedleStep> steps)
    {
        var (sat, rested) = (0.0, new NeedleStep[steps.Count]);
        for (var i = 0; i < steps.Count; i++)
        {
            var rest = steps[i].Length is not null && sat >= BreakMinutes;
            sat = steps[i].Length is null || rest ? 0 : sat;
            sat += steps[i].Length is null ? 0 : steps[i].Minutes;
            rested[i] = steps[i] with { AfterBreak = rest };
        }

        return rested;
    }

    private static string KindOf(OpKind kind) => kind.ToString().ToLowerInvariant();

    /// <summary>What an operation without minutes of its own is called.</summary>
    private static readonly (OpKind Kind, string Called)[] Titles = [(OpKind.Remove, "Take off what was laid on"), (OpKind.Dry, "Let it dry"),
        (OpKind.Press, "Press it"), (OpKind.Sew, "Sew it up"), (OpKind.Wash, "Wash it"), (OpKind.Cut, "Cut it"), (OpKind.Back, "Back it")];

    private static string Title(Operation operation) => operation.Id.Name == "ends" ? "Fasten and trim the ends"
        : operation.By is [var only, ..] && !string.Equals(only.Step, operation.Id.Name, StringComparison.OrdinalIgnoreCase)
            ? Say.Upper(only.Step)
        : Titles.FirstOrDefault(t => t.Kind == operation.Kind).Called ?? Say.Upper(operation.Id.Name.Replace('-', ' '));

    /// <summary>The lengths of a place, or of the whole where there is only one.</summary>
    private static IEnumerable<NeedleStep> Lengths(Plan plan, PlannedPlace? place)
    {
        var runs = RunTelling.Of(plan);
        var parts = plan.Elements.ToDictionary(e => e.Id, e => e.Parts, StringComparer.Ordinal);
        var (here, before) = (place?.Plan ?? plan, place?.HoopsBefore ?? 0);
        var hoops = here.Hooping.Hoops.Count;
        var mine = here.Elements.Select(e => e.Id).ToHashSet(StringComparer.Ordinal);
        foreach (var run in runs.Where(r => mine.Contains(plan.Route[r.FirstRow].Element)))
        {
            var rows = plan.Route.Skip(run.FirstRow).Take(run.LastRow - run.FirstRow + 1).ToArray();
            var need = plan.Threads.FirstOrDefault(t => t.Thread == parts[rows[0].Element][rows[0].Part].Thread);
            var (last, after) = (rows[^1], run.LastRow + 1 < plan.Route.Count ? plan.Route[run.LastRow + 1] : null);
            var told = new List<Told>
            {
                $"{Say.Upper(run.Colour)}, {run.Size.Said}, {run.Stitch}{(run.Needle.Length > 0 ? $", {run.Needle}" : string.Empty)}.",
            };
            if (run.Cut && need is not null)
            {
                told.Add($"Cut {Say.Length(need.CutMm)}.");
            }
            else if (run.Run > 1)
            {
                var former = plan.Route[run.FirstRow - 1];
                told.Add(parts[rows[0].Element][rows[0].Part].Thread == parts[former.Element][former.Part].Thread
                    ? "Go on with what is on the needle." : (Told)$"Take up the needle with {run.Colour} again, parked with what is left on it.");
            }

            // The first placing was hooped before: nothing is to be moved for it.
            if (run.Hoop - before > 1 && plan.Route[run.FirstRow - 1].Hoop != run.Hoop)
            {
                told.Add($"Move the ring to hoop position {run.Hoop - before} of {hoops}.");
            }

            told.Add(run.Fresh && here.Decision("thread.start") is { } start ? (Told)$"Begin: {Say.Lower(start.Choice)}."
                : "Begin under what is stitched already: slide under three or four stitches behind.");
            var begun = run.Run == plan.Time.Progress.RunsDone + 1 ? Math.Min(plan.Time.Progress.Stitches, run.Stitches - 1) : 0;
            told.Add(begun > 0 ? $"Stitch {run.Letters}: {Say.Count(begun, "stitch", "stitches")} of {run.Stitches} are done, go on at the next."
                : run.Like is { } like ? $"Stitch as in length {like}, now {run.Letters}: {Say.Count(run.Stitches, "stitch", "stitches")}."
                : $"Stitch {run.Letters}: {Say.Count(run.Stitches, "stitch", "stitches")}.");
            var used = last.AtMm + parts[last.Element][last.Part].Stitches[last.Stitch].ThreadMm;
            var left = need is null ? 0 : need.WorkedMm - used;
            if (left > 0)
            {
                told.Add(left < EndsMm ? (Told)$"The thread runs out here: it ends with about {Say.Length(Math.Round(left / 10) * 10)}, enough to fasten."
                    : (Told)$"About {Say.Length(Math.Round(left / 10) * 10)} are left on the needle.");
            }

            if ((after is null || after.Cut) && here.Decision("thread.finish") is { } finish)
            {
                told.Add($"End: {Say.Lower(finish.Choice)}.");
            }

            yield return new NeedleStep($"length-{run.Run.ToString(CultureInfo.InvariantCulture)}", NeedleStep.Stitching, Phase.Stitching,
                $"Length {run.Run} of {runs.Count}: {run.Letters}", told,
                Minutes.Rounded(run.Minutes * (run.Stitches - begun) / run.Stitches), null,
                Changes.WriteDone(new Done(true, run.Run)), run,
                run.Like is not null ? [] : HintsFor(rows.Select(r => (r.Element, r.Part)).Distinct()
                    .Select(w => parts[w.Element][w.Part])))
            {
                Whole = after is null || (after.Element, after.Part) != (last.Element, last.Part),
                Learnt = plan.Learnt.Of(NeedleStep.Stitching) * run.StitchPace,
                Stitch = rows.GroupBy(r => parts[r.Element][r.Part].Stitch, StringComparer.Ordinal)
                    .MaxBy(g => g.Sum(r => parts[r.Element][r.Part].Stitches[r.Stitch].Seconds)).Sure().Key,
                Thread = left > 0 ? (used, left) : null,
            };
        }
    }

    /// <summary>A thread shorter than this, mm, is at its end (common practice: a finger's length and a hand's).</summary>
    private const double EndsMm = 120;

    /// <summary>What the hand heeds on these parts: at corners and on tight bends, once for each kind of stitch.</summary>
    private static IReadOnlyList<Told> HintsFor(IEnumerable<Part> parts)
    {
        var found = new List<Told>();
        foreach (var group in parts.Where(p => p.LineMm.Count > 2 || p.Filling is not null).GroupBy(p => p.Stitch, StringComparer.Ordinal))
        {
            var row = Hints.First(h => h.Is((Book.Fill(group.Key) ?? Book.Find(group.Key)).Sure()));
            if (group.Any(p => p.Filling is null && Corners(p.LineMm)))
            {
                found.Add(row.Corner);
            }

            if (group.Any(p => p.Filling is not null || Bends(p.LineMm)))
            {
                found.Add(row.Bend);
            }
        }

        return found.DistinctBy(t => t.ToString(), StringComparer.Ordinal).ToArray();
    }

    private static bool Corners(IReadOnlyList<Pt> line) => Enumerable.Range(1, line.Count - 2).Any(i =>
        Pt.TurnRadians(line[i] - line[i - 1], line[i + 1] - line[i]) > Tolerance.CornerRadians);

    private static bool Bends(IReadOnlyList<Pt> line) => Enumerable.Range(1, line.Count - 2).Any(i =>
        Pt.TurnRadians(line[i] - line[i - 1], line[i + 1] - line[i]) is > 0.01 and <= Tolerance.CornerRadians and var turn
        && line[i - 1].To(line[i + 1]) / 2 / turn < TightMm);
}
