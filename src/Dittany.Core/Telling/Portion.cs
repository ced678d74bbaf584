using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Time;

namespace Dittany.Core.Telling;

/// <summary>
/// What fits into tonight's minutes: up to which step (the place behind it), told, with what the marks on the cloth bear until then.
/// </summary>
public sealed record Portion(int To, Told Text, Told? Marks)
{
    /// <summary>Tonight's portion from a step on.</summary>
    public static Portion Of(Plan plan, IReadOnlyList<NeedleStep> steps, int from, Evenings evenings)
    {
        var to = NeedleSteps.Tonight(steps, from, evenings.Minutes);
        var text = from >= steps.Count ? (Told)"All is done."
            : to >= steps.Count ? (Told)$"Tonight all that is left, {Say.Minutes(plan.Time.Progress.LeftMinutes)}."
            : to == from + 1 ? (Told)$"Tonight this alone: {Say.Minutes(steps[from].Minutes)}."
            : $"Tonight as far as “{steps[to - 1].Title}”: {Say.Minutes(steps.Skip(from).Take(to - from).Sum(s => s.Minutes))}.";
        return new Portion(to, text, MarksTold(plan, steps, from, to, evenings));
    }

    /// <summary>Whether the lines outlast the evenings they are still wanted for; null where they do, or where none are drawn.</summary>
    private static Told? MarksTold(Plan plan, IReadOnlyList<NeedleStep> steps, int from, int to, Evenings evenings)
    {
        var ink = plan.Transfer.Marker;
        var left = steps.Skip(from).Where(s => s.Length is not null).Sum(s => s.Minutes);
        if (!double.IsFinite(ink.LastsHours) || !Transfer.MarkerRules.OnCloth(plan.Transfer.Method) || left <= 0
            || evenings is not { PerWeek: > 0, Minutes: > 0 })
        {
            return null;
        }

        // From tonight to the last evening days pass that none is worked on.
        var nights = Math.Ceiling(left / evenings.Minutes);
        var hours = (nights - 1) * 24 * 7 / evenings.PerWeek;
        return hours + (evenings.Minutes / 60) <= ink.LastsHours ? null
            : (Told)($"{Say.Upper(ink.Name)} lasts about {Say.Number(ink.LastsHours, 0)} h, and what is left takes {Say.Count((int)nights, "evening")}: "
                + $"draw only what you stitch tonight{(to < steps.Count && steps.Skip(from).Take(to - from).LastOrDefault(s => s.Length is not null) is { } last ? $", to “{last.Title}”" : string.Empty)}, and draw the rest when you come to it.");
    }
}
