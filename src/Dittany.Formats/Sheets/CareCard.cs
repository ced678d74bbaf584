using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.Planning;

namespace Dittany.Formats.Sheets;

/// <summary>
/// How it is looked after, for whoever gets it: two cards to cut out, one to give and one to keep. In words; care symbols belong to their
/// owners.
/// </summary>
internal static class CareCard
{
    private const double WidthMm = 110;
    private const double PadMm = 8;
    private const double LeastHighMm = 74;

    public static IReadOnlyList<Leaf> Of(Plan plan, Paper paper)
    {
        var left = (paper.WidthMm - WidthMm) / 2;
        var inside = WidthMm - (2 * PadMm);
        var lines = new List<(string Text, double Size, bool Heading, double Gap)>();
        lines.AddRange(Typesetting.Wrap(string.Join(" ", plan.Elements.SelectMany(e => e.Rows)), 7, inside, heading: true).Select(l =>
            (l, 7.0, true, 8.5)));
        lines.Add(($"{(plan.Sewn ? "Stitched" : "Made")} by hand on {plan.Item.Cloth.Kind.Name}.", 3.6, false, 6));
        foreach (var care in plan.CareTold)
        {
            lines.AddRange(Typesetting.Wrap(care, 3.8, inside).Select((l, i) => (l, 3.8, false, i == 0 ? 6.8 : 5.0)));
        }

        var high = Math.Max(LeastHighMm, (2 * PadMm) + lines.Sum(l => l.Gap) + 4);
        var marks = new List<Mark>();
        foreach (var top in new[] { 20, 20 + high + 12 }.Where(t => t + high < paper.HeightMm - 15))
        {
            marks.Add(new LineMark(Box(left, top, WidthMm, high), 0.2, "#6e6e6e", Closed: true, Dashed: true));
            var y = top + PadMm;
            foreach (var (text, size, heading, gap) in lines)
            {
                y += gap;
                marks.Add(new TextMark(new Pt(paper.WidthMm / 2, y), text, size, heading, Align.Middle));
            }
        }

        marks.Add(new TextMark(new Pt(paper.WidthMm / 2, paper.HeightMm - 15), "Cut along the dashes: one to give, one to keep.", 3.2,
            Align: Align.Middle, Colour: "#55605a"));
        return [new Leaf(paper, $"Care card: {plan.Title}", ToScale: false, marks)];
    }

    internal static IReadOnlyList<Pt> Box(double x, double y, double w, double h) =>
        [new Pt(x, y), new Pt(x + w, y), new Pt(x + w, y + h), new Pt(x, y + h)];
}
