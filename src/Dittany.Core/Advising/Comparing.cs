using System.Globalization;
using Dittany.Core.Decisions;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Planning;

namespace Dittany.Core.Advising;

/// <summary>
/// One line of two plans laid beside each other: what it is about, how each does, and which does better by it: -1 the one, 1 the other, 0
/// neither, or a matter of taste.
/// </summary>
public sealed record Compared(string What, Told One, Told Other, int Better);

/// <summary>Two whole plans of one piece beside each other: work, days, thread, money, risks, and what can be undone.</summary>
public static class Comparing
{
    /// <summary>Minutes that are the same to the hand (from memory).</summary>
    private const double SameMinutes = 2;

    /// <summary>
    /// The lines, those in which they are alike too; <paramref name="rate"/> is what an hour is worth, 0 for nothing said.
    /// </summary>
    public static IReadOnlyList<Compared> Of(Plan one, Plan other, double rate = 0)
    {
        var lines = new List<Compared>
        {
            Less("Work", p => p.Time.HandsOnMinutes, m => Say.Minutes(m), SameMinutes),
            Less("Waiting", p => p.Time.WaitMinutes, m => m <= 0 ? "none" : Say.Minutes(m), SameMinutes),
            Less("Ready", p => p.Time.ReadyOn?.DayNumber ?? double.MaxValue, n => n > DateOnly.MaxValue.DayNumber ? "no evening to work on"
                : Say.Day(DateOnly.FromDayNumber((int)n)), 0.5),
        };
        if (rate > 0)
        {
            lines.Add(Less("Worth of the hours", p => Math.Round(rate * p.Time.HandsOnMinutes / 60, 2), m => Say.Number(m, 2), 0.01));
        }

        if (one.Sewn || other.Sewn)
        {
            lines.Add(Less("Hoop positions", p => p.Hooping.Hoops.Count, n => n == 0 ? "in the hand" : Say.Count((int)n, "hoop position"), 0.5));
            lines.Add(Less("Threads begun", p => p.Threads.Sum(t => t.Runs), n => Say.Count((int)n, "time"), 0.5));
            lines.Add(Less("Thread", p => p.Threads.Sum(t => t.LengthMm), _ => string.Empty, 50) with { One = Thread(one), Other = Thread(other) });
        }

        var uses = one.Work.Concat(other.Work).SelectMany(o => o.Uses ?? []).Where(u => u.Unit is not ("mm" or "skeins")).Select(u => (u.What, u.Unit)).Distinct().ToArray();
        lines.AddRange(uses.Select(u => Less($"{Say.Upper(u.What)}", p => p.Work.SelectMany(o => o.Uses ?? []).Where(x => x.What == u.What && x.Unit == u.Unit)
            .Sum(x => x.Amount), n => n <= 0 ? "none" : u.Unit == "sheets" ? Say.Count((int)n, "sheet")
                : $"{Say.Number(n, u.Unit == "m²" ? 2 : 0)} {(u.Unit == "pieces" ? string.Empty : u.Unit)}".TrimEnd(), 1e-6)));
        lines.Add(Risks(one, other));
        lines.Add(new Compared("Marks", Undone(one), Undone(other), Stays(one).CompareTo(Stays(other))));
        lines.Add(Less("Does it read", p => p.Elements.Sum(e => e.Concerns.Count), n => n == 0 ? "nothing speaks against it" : Say.Count((int)n, "concern"), 0.5));
        return lines;

        Compared Less(string what, Func<Plan, double> of, Func<double, Told> told, double same)
        {
            var (a, b) = (of(one), of(other));
            return new Compared(what, told(a), told(b), Math.Abs(a - b) < same ? 0 : a.CompareTo(b));
        }
    }

    private static Told Thread(Plan plan) => (Told)($"{Say.Length(Math.Round(plan.Threads.Sum(t => t.LengthMm) / 100) * 100)} in "
        + $"{Say.Count(plan.Threads.Select(t => t.Colour).Distinct(StringComparer.Ordinal).Count(), "colour")}");

    /// <summary>What is to be heeded in the one alone and in the other alone; what harms counts before what is only to be minded.</summary>
    private static Compared Risks(Plan one, Plan other)
    {
        var (a, b) = (Own(one, other), Own(other, one));
        var (first, second) = (Weight(a), Weight(b));
        return new Compared("To be heeded here alone", Told(a), Told(b), first.CompareTo(second));

        static Caution[] Own(Plan of, Plan than) => [.. of.Cautions.Where(c =>
            than.Cautions.All(t => t.Text.ToString() != c.Text.ToString()))];
        static int Weight(Caution[] cautions) => cautions.Sum(c => c.Severity == Severity.Stop ? 100 : 1);
        static Told Told(Caution[] cautions) => cautions.Length == 0 ? "nothing of its own" : string.Join(' ', cautions.Select(c => c.Text.ToString()));
    }

    private static Told Undone(Plan plan) => !plan.Sewn ? "none on the cloth" : string.Join(' ', plan.Removal.Take(2).Select(r => r.ToString()));

    /// <summary>Whether its marks stay in the cloth for good.</summary>
    private static int Stays(Plan plan) => plan.Sewn && plan.Transfer.Marker.GoesBy == GoesBy.Never ? 1 : 0;
}
