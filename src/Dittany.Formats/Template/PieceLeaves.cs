using Dittany.Core.Crafts.Appliqueing;
using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Transfer;
using Dittany.Formats.Sheets;

namespace Dittany.Formats.Template;

/// <summary>
/// Pieces to be cut out and sewn on, at 1:1 and mirrored, nested on as few leaves as they go. Every leaf has its check line.
/// </summary>
public static class PieceLeaves
{
    private const double NameMm = 3;

    private const double LeastNameMm = 1.4;

    private const string HowTo = "MIRRORED on purpose: traced onto the paper of a fusible web, ironed to the back, cut on the line.";

    public static IReadOnlyList<Leaf> Of(Plan plan, Paper paper, string? note)
    {
        var pieces = FeltShapes.Mirrored(plan.CraftParts.Where(p => p.Craft == "applique"));
        var (width, height) = (paper.WidthMm - (2 * Sheet.MarginMm), paper.HeightMm - (2 * Sheet.MarginMm) - Sheet.FootMm);
        var (leaves, tooLarge) = PaperNest.Lay(pieces, width, height);
        var title = $"Pieces: {plan.Title}";
        return
        [
            .. leaves.Select((shapes, i) => new Leaf(paper, title, ToScale: true,
                [.. shapes.SelectMany(Marks), .. TemplateLeaves.Foot(paper, title, HowTo, note, leaves.Count == 1 ? "One sheet." : $"Sheet {Say.Number(i + 1, 0)} of {leaves.Count}.")])),
            .. tooLarge.SelectMany(shape => TemplateLeaves.Of(Alone(title, shape, paper), note)),
        ];
    }

    private static IEnumerable<Mark> Marks(NestedShape nested)
    {
        var shift = new Pt(Sheet.MarginMm + nested.XMm, Sheet.MarginMm + nested.YMm) - nested.Shape.Box.Least;
        foreach (var ring in nested.Shape.LinesMm.Prepend(nested.Shape.OutlineMm))
        {
            yield return new LineMark(ring.Select(p => p + shift).ToArray(), 0.3, Closed: true);
        }

        var size = Math.Min(NameMm, NameMm * 0.8 * nested.Shape.WidthMm / Math.Max(0.1, Typesetting.WidthMm(nested.Shape.Name, NameMm)));
        if (size >= LeastNameMm)
        {
            yield return new TextMark(nested.Shape.MiddleMm + shift + new Pt(0, size / 2), nested.Shape.Name, size, Align: Align.Middle);
        }
    }

    private static TemplateSheet Alone(string title, PaperShape shape, Paper paper)
    {
        const double Margin = TransferRoom.CutMarginMm;
        var shift = new Pt(Margin, Margin) - shape.Box.Least;
        var (width, height) = (shape.WidthMm + (2 * Margin), shape.HeightMm + (2 * Margin));
        var tiled = Sheet.Tiles(width, height, paper);
        return new TemplateSheet($"{shape.Name}: {title}", HowTo, true, tiled.Paper, width, height,
            shape.LinesMm.Prepend(shape.OutlineMm).Select(l => new TemplateLine(l.Select(p => p + shift).ToArray(), true)).ToArray(),
            shape.MiddleMm.X + shift.X, "its middle", [], tiled.Tiles, []);
    }
}
