using Dittany.Core.Measures;
using Dittany.Core.Telling;

namespace Dittany.Core.Planning;

/// <summary>A plan with every sentence told in the maker's own units. Numbers, ids and drawings stay as they are; the plan itself is kept in millimetres.</summary>
public static class Retold
{
    public static Plan In(Plan plan, Units units)
    {
        var quoted = Tape.Quotations(Hers(plan));
        string Told(string text) => Tape.Tell(text, units, quoted);
        IReadOnlyList<string> All(IReadOnlyList<string> texts) => texts.Select(Told).ToArray();
        Choice Chosen(Choice c) => c with { Text = Told(c.Text) };
        return plan with
        {
            Item = plan.Item with { SizeName = Told(plan.Item.SizeName) },
            Space = plan.Space with
            {
                Finding = plan.Space.Finding.Select(s => s with { Text = Told(s.Text), Figures = s.Figures.Select(f => f with { Label = Told(f.Label) }).ToArray() }).ToArray(),
            },
            Elements = plan.Elements.Select(e => e with { Concerns = e.Concerns.Select(c => c with { Text = Told(c.Text) }).ToArray() }).ToArray(),
            Work = plan.Work.Select(o => o with { Steps = All(o.Steps) }).ToArray(),
            Care = All(plan.Care),
            Decisions = plan.Decisions.Select(d => d with
            {
                Choice = Told(d.Choice),
                Because = All(d.Because),
                WouldChange = All(d.WouldChange),
                Alternatives = d.Alternatives.Select(Chosen).ToArray(),
                RuledOut = d.RuledOut.Select(r => r with { Text = Told(r.Text), Because = All(r.Because) }).ToArray(),
            }).ToArray(),
            Cautions = plan.Cautions.Select(c => c with { Text = Told(c.Text) }).ToArray(),
        };
    }

    /// <summary>Words in a plan that are the maker's or her customer's own: what is stitched, and what things of hers are called.</summary>
    private static IEnumerable<string> Hers(Plan plan) =>
    [
        plan.Title, plan.Item.FormName, plan.Space.ZoneName, plan.Space.Face.Name,
        .. plan.Space.Obstacles.Select(o => o.Name), .. plan.Space.Landmarks.Select(l => l.Name),
        .. plan.Elements.SelectMany(e => e.Rows.Append(e.Text).Append(e.Text.ReplaceLineEndings(" ")).Append(e.Text.ReplaceLineEndings(" / "))),
    ];
}
