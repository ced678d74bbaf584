using System.Globalization;
using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Operations;
using Dittany.Core.Planning;
using Dittany.Core.Time;
using Dittany.Core.Words;

namespace Dittany.Core.Advising;

/// <summary>A piece as it lies on the calendar with the others.</summary>
public sealed record OpenPiece(int Id, Job Job, Plan Plan)
{
    public Demand Demand => Demand.Of(Id, Plan.Work, Plan.Time.Progress, Job.DueOn);
}

/// <summary>
/// A way to make a late piece fit, tried out before it is told: taking it, the piece is in time and none that was in time becomes late. It
/// changes one member of the piece's job, or of the workshop.
/// </summary>
public sealed record FitWay(string Kind, string Text, bool OfWorkshop, IReadOnlyList<(string Member, string Value)> Changes);

/// <summary>Ways out for a piece that would be late.</summary>
public static class MakeItFit
{
    /// <summary>So many ways are told.</summary>
    public const int Told = 3;

    /// <summary>Pieces laid over the workshop's evenings, in the order given.</summary>
    public static IReadOnlyList<Lain> Lay(IReadOnlyList<OpenPiece> pieces, Evenings evenings, DateOnly today) =>
        Diary.Lay(pieces.Select(p => p.Demand).ToArray(), evenings, today);

    /// <summary>At most <see cref="Told"/> ways, what costs her least first; a later day is always among them. Empty where the piece is not
    /// late. Plans are asked of
    /// <paramref name="planner"/>, which may know them already; null from it is a plan that is not to be had now, and so no way.</summary>
    public static IReadOnlyList<FitWay> Ways(IReadOnlyList<OpenPiece> pieces, int late, Workshop workshop, DateOnly today, Library library,
        Func<Job, Workshop, Plan?>? planner = null)
    {
        var plans = planner ?? ((job, with) => Planner.Make(job, with, library));
        (Job Job, Plan? Plan)? last = null;

        // A way that does is asked for its plan twice: whether it does, and what it saves.
        Plan? Made(Job job, Workshop with)
        {
            if (last is not { } made || !ReferenceEquals(made.Job, job))
            {
                last = made = (job, plans(job, with));
            }

            return made.Plan;
        }

        var evenings = new Evenings(workshop.EveningsPerWeek, workshop.MinutesPerEvening);
        var now = Lay(pieces, evenings, today);
        var piece = pieces.First(p => p.Id == late);
        if (!now.First(l => l.Id == late).Late)
        {
            return [];
        }

        var inTime = now.Where(l => !l.Late).Select(l => l.Id).Append(late).ToHashSet();
        bool Does(IReadOnlyList<Demand> demands, Evenings with) =>
            Diary.Lay(demands, with, today).All(l => !inTime.Contains(l.Id) || !l.Late);
        bool Evening(Evenings with) => Does(pieces.Select(p => p.Demand).ToArray(), with);
        bool Planned(Job job) => Made(job, workshop) is { } plan
            && Does(pieces.Select(p => p.Id == late ? (p with { Job = job, Plan = plan }).Demand : p.Demand).ToArray(), evenings);

        var ways = new List<FitWay>();

        // Each is tried only when it is asked for: no plan is made for a way that is not told.
        ways.AddRange(OfJob(piece, workshop, library, Planned, Made).Concat(OfEvenings(evenings, Evening)).Take(Told - 1));

        var ready = now.First(l => l.Id == late).ReadyOn;
        if (ready is { } day)
        {
            ways.Add(new FitWay("later", $"Give it later: on {Say.Day(day)}.", false,
                [("dueOn", day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture))]));
        }

        return ways;
    }

    /// <summary>
    /// Ways that change the piece: quicker, without a wait, fewer letters. At most one of each. What is stitched already is not asked to
    /// change.
    /// </summary>
    private static IEnumerable<FitWay> OfJob(OpenPiece piece, Workshop workshop, Library library, Func<Job, bool> does, Func<Job, Workshop,
        Plan?> make)
    {
        if (piece.Job.Done is { Runs: > 0 } or { RinsedOn: not null })
        {
            yield break;
        }

        var text = piece.Plan.Elements[0].Text;
        var words = text.Split([' ', '\n'], StringSplitOptions.RemoveEmptyEntries);
        var dry = piece.Plan.Transfer.Ranking.Where(m => m.Verdict == "possible").Select(m => m.Method);
        Candidate[] candidates =
        [
            new("quicker", p => $"Stitch it in backstitch: {Saved(p)} less at the needle.", [("overrules/stitch.outline", "backstitch")]),
            .. piece.Job.Wordings.Count == 0 ? Outlined() : Smaller(),
            .. dry.Select(m => new Candidate(
                "no-wait", p =>
                    $"{p.Transfer.Method.Name}: "
                        + $"{(p.Time.WaitMinutes < piece.Plan.Time.WaitMinutes ? $"{Say.Minutes(piece.Plan.Time.WaitMinutes - p.Time.WaitMinutes)} less to wait" : $"{Saved(p)} less work")}.", [("overrules/transfer.method", m)])),
            .. piece.Job.Wordings.Count == 0 ? Array.Empty<Candidate>() : Fewer(),
        ];
        if (piece.Plan.Time.Progress.Stage == Stage.Planned && piece.Plan.Work.Any(o => o.Kind == OpKind.Wash))
        {
            // The drying of the first wash alone can be too long: every way is tried with the wash behind it too.
            candidates =
            [
                new("washed", _ => "If it was washed before, say so: the first wash and its drying fall away.", [Washed]),
                .. candidates,
                .. candidates.Select(c => new Candidate($"washed-{c.Kind}", p => $"If it was washed before, say so. {c.Text(p)}",
                    [Washed, .. c.Changes])),
            ];
        }

        var found = new HashSet<string>(StringComparer.Ordinal);
        foreach (var (kind, told, changes) in candidates)
        {
            if (!found.Contains(kind) && Changed(piece.Job, changes, workshop, library) is { } job && does(job)
                && make(job, workshop) is { } plan)
            {
                found.Add(kind);
                yield return new FitWay(kind, Say.Upper(told(plan)), false, changes);
            }
        }

        Candidate[] Smaller() =>
        [
            new("quicker", p => $"Make the letters as small as still reads: {Saved(p)} less at the needle.",
                [("overrules/words.size", "smallest")]),
            new("quicker", p => $"Backstitch, and the letters as small as still reads: {Saved(p)} less at the needle.",
                [("overrules/stitch.outline", "backstitch"), ("overrules/words.size", "smallest")]),
        ];

        Candidate[] Outlined() =>
        [
            new("quicker", p => $"Fill nothing, and work the outlines alone: {Saved(p)} less at the needle.",
                [("overrules/stitch.fill", FillWays.None)]),
        ];

        Candidate[] Fewer() =>
        [
            .. words.Length > 1 ? [new Candidate("fewer-letters", p => $"Stitch only “{words[0]}”: {Saved(p)} less at the needle.",
                [("text", words[0])])] : Array.Empty<Candidate>(),
            new("fewer-letters", p => $"Stitch only the initial, “{Initial(text)}”: {Saved(p)} less at the needle.",
                [("text", Initial(text))]),
        ];

        string Saved(Plan plan) => Say.Minutes(Math.Max(0, piece.Plan.Time.HandsOnMinutes - plan.Time.HandsOnMinutes));
    }

    private static readonly (string Member, string Value) Washed = ("fabric.prewashed", "true");

    /// <summary>A change of the piece that may make it fit, and how it is told by its plan.</summary>
    private sealed record Candidate(string Kind, Func<Plan, string> Text, (string Member, string Value)[] Changes);

    private static IEnumerable<FitWay> OfEvenings(Evenings evenings, Func<Evenings, bool> does)
    {
        if (Timing.LeastEvening(evenings, does) is { } minutes)
        {
            yield return new FitWay("longer-evenings", $"Evenings of {Say.Minutes(minutes)}.", true,
                [("minutesPerEvening", Written(minutes))]);
        }

        for (var more = evenings.PerWeek + 1; more <= 7; more++)
        {
            if (does(evenings with { PerWeek = more }))
            {
                yield return new FitWay("more-evenings", $"{Say.Count(more, "evening")} a week.", true,
                    [("eveningsPerWeek", Written(more))]);
                yield break;
            }
        }

        if (Timing.LeastEvening(evenings with { PerWeek = 7 }, does) is { } both)
        {
            yield return new FitWay("every-evening", $"Every evening of the week, {Say.Minutes(both)} each.", true,
                [("eveningsPerWeek", "7"), ("minutesPerEvening", Written(both))]);
        }
    }

    private static Job? Changed(Job job, IEnumerable<(string Member, string Value)> changes, Workshop workshop, Library library)
    {
        foreach (var (member, value) in changes)
        {
            if (Changes.Apply(job, new Change(member, value, string.Empty)).Job is not { } changed
                || JobCheck.Faults(changed, workshop, library).Count > 0)
            {
                return null;
            }

            job = changed;
        }

        return job;
    }

    private static string Initial(string text) => System.Globalization.StringInfo.GetNextTextElement(text);

    private static string Written(double number) => number.ToString("R", CultureInfo.InvariantCulture);
}
