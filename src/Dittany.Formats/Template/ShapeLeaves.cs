using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Telling;
using Dittany.Core.Transfer;
using Dittany.Formats.Sheets;

namespace Dittany.Formats.Template;

/// <summary>
/// Paper shapes of a plan at 1:1, to be cut out and pushed about on the item before anything is settled: rough ones, a circle where that is
/// near enough. What is larger than a leaf goes on several, as a template does. Every leaf has its check line.
/// </summary>
public static class ShapeLeaves
{
    private const string Grey = "#6e6e6e";

    /// <summary>Lines inside a shape say what it stands for; they are not marked from.</summary>
    private const string Pale = "#9aa39d";

    private const double NameMm = 3.2;

    private const double LeastNameMm = 1.6;

    public static IReadOnlyList<Leaf> Of(Plan plan, Paper paper, string? note = null)
    {
        var (width, height) = (paper.WidthMm - (2 * Sheet.MarginMm), paper.HeightMm - (2 * Sheet.MarginMm) - Sheet.FootMm);
        var (leaves, tooLarge) = PaperNest.Lay(PaperShapes.Of(plan), width, height);
        if (leaves.Count + tooLarge.Count == 0)
        {
            return [new Leaf(paper, $"Shapes: {plan.Title}", ToScale: true,
                [.. TemplateLeaves.Foot(paper, $"Shapes: {plan.Title}", "Nothing of it is stitched, so there is nothing to cut out.", note,
                "One sheet.")])];
        }

        return
        [
            .. leaves.Select((shapes, i) => new Leaf(paper, $"Shapes: {plan.Title}", ToScale: true,
                [.. shapes.SelectMany(Marks), .. TemplateLeaves.Foot(paper, $"Shapes: {plan.Title}", HowTo, note, leaves.Count == 1
                ? "One sheet." : $"Sheet {Say.Number(i + 1, 0)} of {leaves.Count}.")])),
            .. tooLarge.SelectMany(shape => TemplateLeaves.Of(Alone(plan, shape, paper), note)),
        ];
    }

    private const string HowTo = "Cut along the grey lines, roughly, and push them about on the item until you like where they lie.";

    private static IEnumerable<Mark> Marks(NestedShape nested)
    {
        var shape = nested.Shape;
        var shift = new Pt(Sheet.MarginMm + nested.XMm, Sheet.MarginMm + nested.YMm) - shape.Box.Least;
        foreach (var line in shape.LinesMm)
        {
            yield return line.Count == 1 ? new DotMark(line[0] + shift, 0.6, 0.2, Pale, Pale)
                : new LineMark(line.Select(p => p + shift).ToArray(), 0.25, Pale);
        }

        yield return shape.Round
            ? new DotMark(shape.MiddleMm + shift, shape.MiddleMm.To(shape.OutlineMm[0]) * Math.Cos(Math.PI / shape.OutlineMm.Count), 0.3,
                Grey)
            : new LineMark(shape.OutlineMm.Select(p => p + shift).ToArray(), 0.3, Grey, Closed: true);

        // Its middle, and which way is up: a paper disc can lie any way round.
        var middle = shape.MiddleMm + shift;
        yield return new LineMark([middle - new Pt(2, 0), middle + new Pt(2, 0)], 0.2);
        yield return new LineMark([middle - new Pt(0, 2), middle + new Pt(0, 2)], 0.2);
        var top = new Pt(middle.X, shift.Y + shape.Box.Least.Y);
        yield return new LineMark([top + new Pt(-1.4, 2.6), top + new Pt(0, 1), top + new Pt(1.4, 2.6)], 0.3);

        // As large as it goes in between the sides of the shape; where nothing that can be read does, it stays unsaid.
        var size = Math.Min(NameMm, NameMm * 0.8 * shape.WidthMm / Math.Max(0.1, Typesetting.WidthMm(shape.Name, NameMm)));
        if (size >= LeastNameMm)
        {
            yield return new TextMark(middle + new Pt(0, 2.8 + size), shape.Name, size, Align: Align.Middle);
        }
    }

    private static TemplateSheet Alone(Plan plan, PaperShape shape, Paper paper)
    {
        const double Margin = TransferRoom.CutMarginMm;
        var shift = new Pt(Margin, Margin) - shape.Box.Least;
        var (width, height) = (shape.WidthMm + (2 * Margin), shape.HeightMm + (2 * Margin));
        var tiled = Sheet.Tiles(width, height, paper);
        return new TemplateSheet(
            $"{shape.Name}: {plan.Title}", HowTo, false, tiled.Paper, width, height,
                shape.LinesMm.Select(l => new TemplateLine(l.Select(p => p + shift).ToArray(), false)).ToArray(),
            shape.MiddleMm.X + shift.X, "its middle", [], tiled.Tiles, [],
                CutMm: [shape.OutlineMm.Select(p => p + shift).ToArray()]);
    }
}
