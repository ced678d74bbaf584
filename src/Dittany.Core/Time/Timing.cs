using Dittany.Core.Decisions;
using Dittany.Core.Measures;
using Dittany.Core.Operations;

namespace Dittany.Core.Time;

/// <summary>
/// Hands-on minutes of the whole piece, waits and days. Low and high say how sure the figure is; what is left hangs on how far the piece
/// is.
/// </summary>
public sealed record Timed(
    double HandsOnMinutes,
    double LowMinutes,
    double HighMinutes,
    double WaitMinutes,
    IReadOnlyList<StepMinutes> ByStep,
    DateOnly? ReadyOn,
    DateOnly? StartBy,
    Progress Progress,
    IReadOnlyList<Decision> Decisions,
    IReadOnlyList<Caution> Cautions);

/// <summary>The evenings a workshop has.</summary>
public sealed record Evenings(int PerWeek, double Minutes);

/// <summary>Adds up and lays the work over evenings.</summary>
public static class Timing
{
    /// <summary>Days of the week that are worked, by how many (a workshop's own days may differ).</summary>
    private static readonly DayOfWeek[][] Days =
    [
        [],
        [DayOfWeek.Saturday],
        [DayOfWeek.Tuesday, DayOfWeek.Saturday],
        [DayOfWeek.Monday, DayOfWeek.Wednesday, DayOfWeek.Saturday],
        [DayOfWeek.Monday, DayOfWeek.Tuesday, DayOfWeek.Thursday, DayOfWeek.Saturday],
        [DayOfWeek.Monday, DayOfWeek.Tuesday, DayOfWeek.Wednesday, DayOfWeek.Thursday, DayOfWeek.Friday],
        [DayOfWeek.Monday, DayOfWeek.Tuesday, DayOfWeek.Wednesday, DayOfWeek.Thursday, DayOfWeek.Friday, DayOfWeek.Saturday],
        [DayOfWeek.Sunday, DayOfWeek.Monday, DayOfWeek.Tuesday, DayOfWeek.Wednesday, DayOfWeek.Thursday, DayOfWeek.Friday,
            DayOfWeek.Saturday],
    ];

    /// <summary>
    /// Sums the operations of a piece and lays what is left of them over evenings from <paramref name="today"/>, the piece having all of
    /// them to itself. Work that waits goes on the next evening worked. No day is told where no evening is worked.
    /// </summary>
    public static Timed Settle(IReadOnlyList<Operation> work, Progress progress, Evenings evenings, DateOnly today, DateOnly? dueOn,
        Told? learnt = null)
    {
        var all = work.SelectMany(o => o.By).Select(s => s with { Minutes = Minutes.Rounded(s.Minutes) }).ToArray();
        var minutes = Work.LikelyMinutes(work);
        var waits = Work.WaitMinutes(work);
        var demand = Demand.Of(0, work, progress, dueOn);
        var ready = progress.Stage == Stage.Finished ? today : evenings.PerWeek <= 0 || evenings.Minutes <= 0 ? (DateOnly?)null
            : Diary.Alone(demand, evenings, today).ReadyOn;
        DateOnly? start = null;
        if (dueOn is { } due && ready is not null)
        {
            // The latest day whose evenings still finish in time; a year back is further than any piece needs.
            start = Enumerable.Range(0, 366).Select(back => due.AddDays(-back))
                .Where(day => Worked(day, evenings))
                .Select(day => (DateOnly?)day)
                .FirstOrDefault(day => !Diary.Alone(demand, evenings, day.Sure()).Late);
        }

        var cautions = new List<Caution>();
        var because = new List<Told>
        {
            $"{Say.Minutes(minutes)} of hands-on work{(waits > 0 ? $" and {Say.Minutes(waits)} of waiting ({WaitedFor(work)})" : string.Empty)}, at "
                + $"{Say.Number(evenings.Minutes, 0)} min an evening, {Say.Number(evenings.PerWeek, 0)} evenings a week.",
        };
        if (learnt is not null)
        {
            because.Add(learnt);
        }

        if (progress.Stage != Stage.Planned)
        {
            because.Add($"How far it is: {progress.Told}.");
        }

        var wouldChange = new List<Told> { "More evenings, longer ones, or less to stitch." };
        var choice = progress.Stage == Stage.Finished ? new Choice("finished", "Finished")
            : new Choice("as-planned", ready is { } day ? $"Ready on {Say.Day(day)}" : "No evening to work on");
        if (dueOn is { } wanted && ready is { } done && progress.Stage != Stage.Finished)
        {
            if (done <= wanted)
            {
                because.Add($"It is wanted on {Say.Day(wanted)}; "
                    + $"{(start is { } last ? $"the last evening to begin is {Say.Day(last)}" : "nothing has to be begun before")}.");
            }
            else
            {
                var remedy = WhatWouldDo(demand, evenings, today);
                because.Add($"It is wanted on {Say.Day(wanted)} and cannot be done by then. {remedy}");
                wouldChange.Insert(0, remedy);
                cautions.Add(new Caution("time.ready", CautionKind.Item, Severity.Caution,
                    $"Ready on {Say.Day(done)}, wanted on {Say.Day(wanted)}: it will be late. {remedy}"));
                choice = new Choice("late", $"Ready on {Say.Day(done)}: late");
            }
        }

        var decision = Deciding.Make("time.ready", Station.Time, "When it can be ready", choice, null, because, wouldChange);
        var spread = work.Any(o => o.Shares is not null);
        return new Timed(minutes, spread ? Minutes.Rounded(work.Sum(o => o.Hands.Low)) : Math.Round(minutes * Minutes.LowShare, 1),
            spread ? Minutes.Rounded(work.Sum(o => o.Hands.High)) : Math.Round(minutes * Minutes.HighShare, 1), waits, all, ready,
            start, progress, [decision], cautions);
    }

    /// <summary>What a wait is for, as it is told.</summary>
    private static string Called(WaitKind kind) => kind switch
    {
        WaitKind.Drying => "drying",
        WaitKind.Cooling => "cooling",
        WaitKind.Setting => "setting",
        _ => "soaking",
    };

    /// <summary>What a piece waits for, and how often, in the order in which it first does.</summary>
    private static string WaitedFor(IReadOnlyList<Operation> work) => Say.List(work.Select(o => o.Wait).OfType<Wait>()
        .Where(w => w.Minutes > 0).GroupBy(w => w.Kind).Select(k => (Called(k.Key), k.Count()) switch
        {
            (var called, 1) => called,
            (var called, 2) => $"{called} twice",
            var (called, times) => $"{called} {Say.Number(times)} times",
        }).ToArray());

    /// <summary>Whether this day has an evening that is worked.</summary>
    public static bool Worked(DateOnly day, Evenings evenings) => Days[Math.Clamp(evenings.PerWeek, 0, 7)].Contains(day.DayOfWeek);

    /// <summary>Longest evening that is offered as a way out, and the steps it is told in, minutes (from memory).</summary>
    public const double LongestEvening = 240;

    public const double EveningStep = 15;

    /// <summary>
    /// The least evening, in steps of a quarter hour, with which every one of these is in time that <paramref name="inTime"/> asks for;
    /// null where none will do.
    /// </summary>
    public static double? LeastEvening(Evenings evenings, Func<Evenings, bool> inTime)
    {
        for (var minutes = Math.Ceiling(evenings.Minutes / EveningStep) * EveningStep; minutes <= LongestEvening; minutes += EveningStep)
        {
            if (inTime(evenings with { Minutes = minutes }))
            {
                return minutes;
            }
        }

        return null;
    }

    private static string WhatWouldDo(Demand demand, Evenings evenings, DateOnly today)
    {
        bool InTime(Evenings with) => !Diary.Alone(demand, with, today).Late;
        return LeastEvening(evenings, InTime) is { } minutes ? $"Evenings of {Say.Minutes(minutes)} would do."
            : InTime(new Evenings(7, LongestEvening)) ? "Every evening of the week, up to 4 h, would do."
            : "Not even every evening would do: a later day, or less to stitch.";
    }
}
