using Dittany.Core.Planning;

namespace Dittany.Core.Tests.Planning;

/// <summary>All that a plan says.</summary>
internal static class Sentences
{
    public static IEnumerable<string> Of(Plan plan, Core.Measures.Units? units = null) =>
        Told(plan, units).Select(t => t.ToString()).Distinct(StringComparer.Ordinal);

    public static IEnumerable<Core.Measures.Told> Told(Plan plan, Core.Measures.Units? units = null) =>
        plan.Decisions.SelectMany(d => d.Because.Append(d.Choice).Concat(d.WouldChange).Concat(d.NotFollowed
        ?? []).Append<Core.Measures.Told>(d.Subject))
        .Concat(plan.Decisions.SelectMany(d => d.Alternatives.Select(a =>
            a.Text).Concat(d.RuledOut.SelectMany(r => r.Because.Append(r.Text)))))
        .Concat(plan.Space.FindIt).Concat(plan.Cautions.Select(c => c.Text)).Concat(
            plan.Elements.SelectMany(e => e.Concerns).Select(c => c.Text))
        .Concat(plan.Elements.SelectMany(e => e.Concerns).SelectMany(c => c.Remedies).Select(r => units is { } u
            ? (Core.Measures.Told)r.Text.In(u) : r.Text))
        .Concat(plan.Work.SelectMany(o => o.Steps)).Concat(plan.CareTold);
}
