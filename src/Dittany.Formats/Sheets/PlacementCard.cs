using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Space;

namespace Dittany.Formats.Sheets;

/// <summary>Where the words go on the real item: the item small, its folds and distances numbered as the steps below it are. Not to scale, and says so.</summary>
internal static class PlacementCard
{
    private const double DrawnHighMm = 118;
    private const double NumberMm = 2.6;
    private const string Pale = "#8b8570";
    private const string Strong = "#8f3a67";

    public static IReadOnlyList<Leaf> Of(Plan plan, Paper paper, string note)
    {
        var flow = new Flow(paper, plan.Title, note);
        flow.Heading($"Where it goes: {plan.Title}");
        flow.Text($"{Say.Upper(plan.Item.FormName)}, {plan.Item.SizeName}, {plan.Space.ZoneName}. The drawing is not to scale; the distances are.", colour: Pale);
        flow.Drawing(DrawnHighMm + 8, top => Draw(plan, paper, top + 3));
        for (var i = 0; i < plan.Space.Finding.Count; i++)
        {
            flow.Text(plan.Space.Finding[i].Text, $"{i + 1}", sizeMm: 4.2);
        }

        return flow.Done();
    }

    private static IEnumerable<Mark> Draw(Plan plan, Paper paper, double top)
    {
        // What is drawn must hold every figure; all of the item where its words are large enough on it to be seen.
        var outline = plan.Item.OutlineMm;
        var (x0, y0, x1, y1) = (outline.Min(p => p.X), outline.Min(p => p.Y), outline.Max(p => p.X), outline.Max(p => p.Y));
        var scale = Math.Min(DrawnHighMm / (y1 - y0), (paper.WidthMm - (2 * Flow.MarginMm) - 10) / (x1 - x0));
        var aside = (paper.WidthMm - ((x1 - x0) * scale)) / 2;
        Pt On(Pt p) => new(aside + ((p.X - x0) * scale), top + ((p.Y - y0) * scale));

        yield return new LineMark(outline.Select(On).ToArray(), 0.4, Closed: true, Fill: "#fbf9f2");
        foreach (var obstacle in plan.Space.Obstacles)
        {
            yield return obstacle.SeenAs is { } seen ? new LineMark(seen.Select(On).ToArray(), 0.2, Pale, Dashed: obstacle.Kind is ObstacleKind.TopstitchedHem or ObstacleKind.RolledHem)
                : new LineMark(obstacle.Ring.Select(On).ToArray(), 0.2, Pale, Closed: true);
        }

        foreach (var part in plan.Elements.SelectMany(e => e.Parts).Where(p => p.LineMm.Count > 1))
        {
            yield return new LineMark(part.LineMm.Select(On).ToArray(), 0.3, Pale, Closed: part.Closed);
        }

        for (var i = 0; i < plan.Space.Finding.Count; i++)
        {
            foreach (var mark in plan.Space.Finding[i].Figures.SelectMany((f, n) => Figure(f, i + 1, n)))
            {
                yield return mark;
            }
        }

        IEnumerable<Mark> Figure(FindFigure figure, int step, int nth)
        {
            var (a, b) = (On(figure.From), On(figure.To));
            if (figure.Fold)
            {
                yield return new LineMark([a, b], 0.35, Strong, Dashed: true);
                foreach (var mark in Number(step, a + new Pt(0, -4.5)))
                {
                    yield return mark;
                }

                yield break;
            }

            var length = a.To(b);
            if (figure.Label.Length == 0)
            {
                // A check, not a distance: a line under the words, its number at the end.
                yield return new LineMark([a + new Pt(0, 1.2), b + new Pt(0, 1.2)], 0.3, Strong, Dashed: true);
                foreach (var mark in Number(step, b + new Pt(5, 1.2)))
                {
                    yield return mark;
                }

                yield break;
            }

            yield return new LineMark([a, b], 0.35, Strong);
            yield return new DotMark(b, 0.7, 0.2, Strong, Strong);
            if (length > 3)
            {
                var way = (b - a) * (1 / length);
                var across = new Pt(-way.Y, way.X);
                yield return new LineMark([b - (way * 2.4) + (across * 0.9), b - (way * 0.7), b - (way * 2.4) - (across * 0.9)], 0.35, Strong);
                yield return new LineMark([a + (across * 1.4), a - (across * 1.4)], 0.35, Strong);
            }

            var upright = Math.Abs(a.Y - b.Y) > Math.Abs(a.X - b.X);
            var middle = Pt.Lerp(a, b, 0.5);
            var at = upright ? middle + new Pt(6.5, 0) : middle + new Pt(0, -5.5 - (nth * 0.5));
            foreach (var mark in Number(step, at))
            {
                yield return mark;
            }

            yield return upright
                ? new TextMark(at + new Pt(3.8, 1.2), figure.Label, 3.4)
                : new TextMark(at + new Pt(b.X < a.X ? -3.8 : 3.8, 1.2), figure.Label, 3.4, Align: b.X < a.X ? Align.Right : Align.Left);
        }

        static IEnumerable<Mark> Number(int step, Pt at)
        {
            yield return new DotMark(at, NumberMm, 0.3, Strong, "#ffffff");
            yield return new TextMark(at + new Pt(0, 1.2), $"{step}", 3.4, Align: Align.Middle, Colour: Strong);
        }
    }
}
