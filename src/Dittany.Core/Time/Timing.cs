using Dittany.Core.Effort;
using Dittany.Core.Measures;
using Dittany.Core.Telling;

namespace Dittany.Core.Time;

/// <summary>Hands-on minutes, waits and days. Low and high say how sure the figure is.</summary>
public sealed record Timed(
    double HandsOnMinutes,
    double LowMinutes,
    double HighMinutes,
    double WaitMinutes,
    IReadOnlyList<StepMinutes> ByStep,
    DateOnly? ReadyOn,
    DateOnly? StartBy,
    IReadOnlyList<Decision> Decisions,
    IReadOnlyList<Caution> Cautions);

/// <summary>The evenings a workshop has.</summary>
public sealed record Evenings(int PerWeek, double Minutes);

/// <summary>Adds up and lays the work over evenings.</summary>
public static class Timing
{
    /// <summary>Spread of an estimate with no log behind it yet (from memory): 15 % under, 25 % over.</summary>
    public const double Low = 0.85;

    public const double High = 1.25;

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
        [DayOfWeek.Sunday, DayOfWeek.Monday, DayOfWeek.Tuesday, DayOfWeek.Wednesday, DayOfWeek.Thursday, DayOfWeek.Friday, DayOfWeek.Saturday],
    ];

    /// <summary>
    /// Sums steps before and after the drying wait and lays them over evenings from <paramref name="today"/>. Work that waits goes on the next evening worked. No day is
    /// told where no evening is worked.
    /// </summary>
    public static Timed Settle(IReadOnlyList<StepMinutes> before, IReadOnlyList<StepMinutes> after, double waitMinutes, Evenings evenings, DateOnly today, DateOnly? dueOn)
    {
        var all = before.Concat(after).Select(s => s with { Minutes = Math.Round(s.Minutes, 1, MidpointRounding.AwayFromZero) }).ToArray();
        var minutes = Math.Round(all.Sum(s => s.Minutes), 1);
        var first = Needed(before, evenings);
        var second = Needed(after, evenings);
        DateOnly? ready = first is null ? null : Finish(today, first.Value, second!.Value, waitMinutes, evenings);
        DateOnly? start = null;
        if (dueOn is { } due && first is not null)
        {
            // The latest day whose evenings still finish in time; a year back is further than any piece needs.
            start = Enumerable.Range(0, 366).Select(back => due.AddDays(-back))
                .Where(day => Worked(day, evenings))
                .Select(day => (DateOnly?)day)
                .FirstOrDefault(day => Finish(day!.Value, first.Value, second!.Value, waitMinutes, evenings) <= due);
        }

        var cautions = new List<Caution>();
        var because = new List<string>
        {
            $"{Say.Minutes(minutes)} of hands-on work{(waitMinutes > 0 ? $" and {Say.Minutes(waitMinutes)} of waiting" : string.Empty)}, at {Say.Number(evenings.Minutes, 0)} min an evening, {Say.Number(evenings.PerWeek, 0)} evenings a week.",
        };
        var wouldChange = new List<string> { "More evenings, longer ones, or fewer and smaller letters." };
        var choice = new Choice("as-planned", ready is { } day ? $"Ready on {Say.Day(day)}" : "No evening to work on");
        if (dueOn is { } wanted && ready is { } done)
        {
            if (done <= wanted)
            {
                because.Add($"It is wanted on {Say.Day(wanted)}; the last evening to begin is {Say.Day(start!.Value)}.");
            }
            else
            {
                var remedy = WhatWouldDo(before, after, waitMinutes, evenings, today, wanted);
                because.Add($"It is wanted on {Say.Day(wanted)} and cannot be done by then. {remedy}");
                wouldChange.Insert(0, remedy);
                cautions.Add(new Caution(CautionKind.Item, Severity.Caution, $"Ready on {Say.Day(done)}, wanted on {Say.Day(wanted)}: it will be late. {remedy}"));
                choice = new Choice("late", $"Ready on {Say.Day(done)}: late");
            }
        }

        var decision = Deciding.Make("time.ready", Station.Time, "When it can be ready", choice, null, because, wouldChange);
        return new Timed(minutes, Math.Round(minutes * Low, 1), Math.Round(minutes * High, 1), waitMinutes, all, ready, start, [decision], cautions);
    }

    /// <summary>Whether this day has an evening that is worked.</summary>
    public static bool Worked(DateOnly day, Evenings evenings) => Days[Math.Clamp(evenings.PerWeek, 0, 7)].Contains(day.DayOfWeek);

    private static int? Needed(IReadOnlyList<StepMinutes> steps, Evenings evenings) =>
        evenings.PerWeek <= 0 || evenings.Minutes <= 0 ? null : (int)Math.Ceiling((steps.Sum(s => s.Minutes) / evenings.Minutes) - 1e-9);

    private static DateOnly Finish(DateOnly from, int first, int second, double waitMinutes, Evenings evenings)
    {
        var day = from;
        var last = from;
        for (var left = first; left > 0; day = day.AddDays(1))
        {
            if (Worked(day, evenings))
            {
                left--;
                last = day;
            }
        }

        if (waitMinutes > 0)
        {
            // What is hung up in the evening is dry the next day, or later for a long wait.
            day = last.AddDays(Math.Max(1, (int)Math.Ceiling(waitMinutes / (24 * 60))));
            last = second == 0 ? day : last;
        }

        for (var left = second; left > 0; day = day.AddDays(1))
        {
            if (Worked(day, evenings))
            {
                left--;
                last = day;
            }
        }

        return last;
    }

    private static string WhatWouldDo(IReadOnlyList<StepMinutes> before, IReadOnlyList<StepMinutes> after, double waitMinutes, Evenings evenings, DateOnly today, DateOnly due)
    {
        for (var minutes = Math.Ceiling(evenings.Minutes / 15) * 15; minutes <= 240; minutes += 15)
        {
            var longer = evenings with { Minutes = minutes };
            if (Finish(today, Needed(before, longer)!.Value, Needed(after, longer)!.Value, waitMinutes, longer) <= due)
            {
                return $"Evenings of {Say.Minutes(minutes)} would do.";
            }
        }

        var daily = evenings with { PerWeek = 7, Minutes = 240 };
        return Finish(today, Needed(before, daily)!.Value, Needed(after, daily)!.Value, waitMinutes, daily) <= due
            ? "Every evening of the week, up to 4 h, would do."
            : "Not even every evening would do: a later day, or fewer letters.";
    }
}
