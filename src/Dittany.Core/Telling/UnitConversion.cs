using Dittany.Core.Decisions;
using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Planning;

namespace Dittany.Core.Telling;

/// <summary>
/// A plan with every sentence told in the maker's own units, and where it is wanted in another language. Numbers, ids and drawings stay as
/// they are, and so do words that are hers; the plan itself keeps its lengths as values.
/// </summary>
public static class UnitConversion
{
    public static Plan In(Plan plan, Units units, Language? language = null)
    {
        Told Shown(Told told) => language is null ? told.In(units) : told.In(units, language);
        IReadOnlyList<Told> All(IReadOnlyList<Told> told) => told.Select(Shown).ToArray();
        Choice Chosen(Choice c) => c with { Text = Shown(c.Text) };
        return plan with
        {
            Item = plan.Item with { SizeName = Shown(plan.Item.SizeName) },
            Space = plan.Space with
            {
                Finding = plan.Space.Finding.Select(s => s with
                {
                    Text = Shown(s.Text),
                    Figures = s.Figures.Select(f => f with { Label = Shown(f.Label) }).ToArray()
                }).ToArray(),
            },
            Elements = plan.Elements.Select(e => e with
            {
                Concerns = e.Concerns.Select(c => c
                with
                { Text = Shown(c.Text) }).ToArray()
            }).ToArray(),
            Work = plan.Work.Select(o => o with { Steps = All(o.Steps) }).ToArray(),
            Decisions = plan.Decisions.Select(d => d with
            {
                Subject = language?.Find(d.Subject) ?? d.Subject,
                Choice = Shown(d.Choice),
                Because = All(d.Because),
                WouldChange = All(d.WouldChange),
                NotFollowed = d.NotFollowed is { } unfollowed ? All(unfollowed) : null,
                Alternatives = d.Alternatives.Select(Chosen).ToArray(),
                RuledOut = d.RuledOut.Select(r => r with { Text = Shown(r.Text), Because = All(r.Because) }).ToArray(),
                Offers = d.Offers?.Select(o => o with { Text = Shown(o.Text) }).ToArray(),
            }).ToArray(),
            SetAside = [.. plan.Idle, .. plan.NotFollowed.Select(t => (string)Shown(t))],
            Cautions = plan.Cautions.Select(c => c with { Text = Shown(c.Text) }).ToArray(),
            Places = plan.Places.Select(p => p with { Plan = In(p.Plan, units, language) }).ToArray(),
        };
    }
}
