using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.Operations;
using Dittany.Core.Planning;

namespace Dittany.Formats.Sheets;

/// <summary>
/// How the layers lie at each operation, seen from the side: a solid edge is the side that looks right, a broken one the wrong side, little
/// teeth the side that sticks or shines.
/// </summary>
internal static class LayersSheet
{
    private const double BarMm = 6;
    private const double GapMm = 1.6;
    private const double WideMm = 70;
    private const double ToolMm = 8;

    public static IReadOnlyList<Leaf> Of(Plan plan, Paper paper, string note)
    {
        var flow = new Flow(paper, $"How the layers lie: {plan.Title}", note).Heading(plan.Title).Text(
            "Seen from the side, top to bottom. A thick edge is the right side of the cloth, a broken one its wrong side; teeth are where "
                + "something sticks or shines.");
        foreach (var view in plan.SideViews)
        {
            flow.Heading(view.Called, 5).Drawing(HighMm(view), top => Drawn(view, Flow.MarginMm, top));
        }

        return flow.Done();
    }

    private static double HighMm(SideView view) => (view.Layers.Count * (BarMm + GapMm)) + (view.Above is null ? 0 : ToolMm)
        + (view.Below is null ? 0 : ToolMm);

    private static IEnumerable<Mark> Drawn(SideView view, double left, double top)
    {
        var y = top;
        if (view.Above is { } above)
        {
            foreach (var mark in Arrow(left, y, down: true, above))
            {
                yield return mark;
            }

            y += ToolMm;
        }

        foreach (var layer in view.Layers)
        {
            foreach (var mark in Layer(layer, left, y))
            {
                yield return mark;
            }

            y += BarMm + GapMm;
        }

        if (view.Below is { } below)
        {
            foreach (var mark in Arrow(left, y, down: false, below))
            {
                yield return mark;
            }
        }
    }

    private static IEnumerable<Mark> Layer(SideLayer layer, double left, double y)
    {
        var right = left + WideMm;
        yield return new LineMark(CareCard.Box(left, y, WideMm, BarMm), 0.2, "#55605a", Closed: true,
            Fill: layer.TheCloth ? "#e7e0cf" : "#f6f4ee");
        if (layer.Up is Up.Right or Up.Wrong)
        {
            var (up, down) = layer.Up == Up.Right ? (y, y + BarMm) : (y + BarMm, y);
            yield return new LineMark([new Pt(left, up), new Pt(right, up)], 1.1);
            yield return new LineMark([new Pt(left, down), new Pt(right, down)], 0.5, Dashed: true);
        }
        else if (layer.Up is Up.Sticky or Up.StickyDown)
        {
            var (edge, way) = layer.Up == Up.Sticky ? (y, -1) : (y + BarMm, 1);
            for (var x = left + 3; x < right - 1; x += 5)
            {
                yield return new LineMark([new Pt(x, edge), new Pt(x + 1, edge + way), new Pt(x + 2, edge)], 0.3);
            }
        }

        yield return new TextMark(new Pt(right + 5, y + (BarMm / 2) + 1.2), SideViews.Told(layer), Flow.BodyMm);
    }

    private static IEnumerable<Mark> Arrow(double left, double y, bool down, string what)
    {
        var (x, from, to) = (left + (WideMm / 2), down ? y : y + ToolMm - 2, down ? y + ToolMm - 2 : y);
        var back = down ? -1.6 : 1.6;
        yield return new LineMark([new Pt(x, from), new Pt(x, to)], 0.4);
        yield return new LineMark([new Pt(x - 1.2, to + back), new Pt(x, to), new Pt(x + 1.2, to + back)], 0.4);
        yield return new TextMark(new Pt(left + WideMm + 5, y + (ToolMm / 2)), what, Flow.BodyMm, Colour: "#55605a");
    }
}
