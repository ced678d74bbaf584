using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Transfer;

namespace Dittany.Formats.Template;

/// <summary>
/// A 1:1 template of a plan, before any paper: lines to be marked, fold and base lines, all in mm from the design's own top left corner,
/// already mirrored where the mirror proof says so. PDF and SVG are drawn from this alone.
/// </summary>
public sealed record TemplateSheet(
    string Title,
    string MirrorWords,
    bool Mirrored,
    Paper Paper,
    double WidthMm,
    double HeightMm,
    IReadOnlyList<TemplateLine> Lines,
    double CentreXMm,
    string CentreWords,
    IReadOnlyList<double> BaselinesMm,
    IReadOnlyList<Tile> Tiles,
    IReadOnlyList<Told> FindIt,
    double InkMm = TemplateSheet.ThinMm,
    IReadOnlyList<IReadOnlyList<Pt>>? CutMm = null)
{
    /// <summary>A line to be traced is drawn thin.</summary>
    public const double ThinMm = 0.35;

    /// <summary>Points that lie closer to the line than this are left out of print: a sixtieth of the thinnest line.</summary>
    private const double DrawnWithinMm = 0.006;

    /// <summary>Paper left round the words of a cut-out (from memory).</summary>
    private const double CutOutMm = 6;

    /// <summary>The check line on every page: printed true, it measures this.</summary>
    public const double CheckLineMm = CheckLine.LengthMm;

    /// <summary>Words beside the check line.</summary>
    public const string CheckWords = "Check line: 100 mm. If it measures anything else, do not use this sheet; print at 100 %, no fitting "
        + "to the page.";

    /// <summary>Gathers the template of a plan on a paper.</summary>
    public static TemplateSheet Of(Plan plan, Paper paper)
    {
        const double Margin = TransferRoom.CutMarginMm;
        var boxes = plan.Elements.Select(e => e.BoxMm).ToArray();
        var (left, top) = (boxes.Min(b => b.X) - Margin, boxes.Min(b => b.Y) - Margin);
        var width = boxes.Max(b => b.X + b.Width) + Margin - left;
        var height = boxes.Max(b => b.Y + b.Height) + Margin - top;
        var mirrored = plan.Transfer.PrintMirrored == true;

        Pt OnSheet(Pt p) => mirrored ? new Pt(width - (p.X - left), p.Y - top) : new Pt(p.X - left, p.Y - top);

        // The line to lay on the crease; where the place is found from edges, the middle of the words.
        var fold = plan.Space.CentreLine.From.X;
        var onCrease = fold > left && fold < left + width;
        var centre = onCrease ? fold : plan.Elements[0].CentreMm.X;
        var lines = plan.Elements.SelectMany(e => e.Parts).Select(p =>
            new TemplateLine(Polyline.Simplified(Drawn(p.LineMm).Select(OnSheet).ToArray(), DrawnWithinMm), p.Closed))
            .Concat(plan.CraftParts.Where(p => p.Craft is "felt" or "applique" or "beads").SelectMany(p => p.ShapeMm.Rings).Select(r =>
                new TemplateLine(Polyline.Simplified([.. r, r[0]], DrawnWithinMm).Select(OnSheet).ToArray(), true))).ToArray();
        var towards = plan.Space.Face.Fold is { } over ? $" {over.Towards}" : string.Empty;
        var words = mirrored
            ? "MIRRORED on purpose: it reads right once it is on the cloth."
            : plan.Transfer.PrintMirrored is null ? "Not mirrored: a guide for drawing freehand."
                : "Not mirrored: it reads as it will on the cloth.";
        var wholes = plan.Elements.SelectMany(e => e.Parts.GroupBy(p => (p.Copy, p.LetterIndex))).Select(whole =>
        {
            var points = whole.SelectMany(p => p.LineMm).Select(OnSheet).ToArray();
            var half = whole.Max(p => p.LineWidthMm) / 2;
            return new Whole(points.Min(p => p.X) - half, points.Min(p => p.Y) - half, points.Max(p => p.X) + half,
                points.Max(p => p.Y) + half);
        }).ToArray();
        var tiled = Sheet.Tiles(width, height, paper, wholes);
        return new TemplateSheet(
            plan.Title,
            words + towards,
            mirrored,
            tiled.Paper,
            width,
            height,
            lines,
            OnSheet(new Pt(centre, 0)).X,
            onCrease ? plan.Space.CentreLine.Name : plan.Elements[0].IsMotif ? $"the middle of the {plan.Elements[0].Text}"
                : "the middle of the words",
            plan.Elements.Select(e => e.BaselineMm.Y - top).ToArray(),
            tiled.Tiles,
            plan.Space.FindIt);
    }

    /// <summary>
    /// A paper cut-out to try on the item before anything is marked: the words as wide as their thread, as they will read, with a line to
    /// cut along.
    /// </summary>
    public static TemplateSheet CutOut(Plan plan, Paper paper)
    {
        var sheet = Of(plan with { Transfer = plan.Transfer with { PrintMirrored = false } }, paper);
        var boxes = plan.Elements.Select(e => e.BoxMm).ToArray();
        var (left, top) = (boxes.Min(b => b.X) - TransferRoom.CutMarginMm, boxes.Min(b => b.Y) - TransferRoom.CutMarginMm);
        var words = plan.Elements.SelectMany(e => e.Parts.GroupBy(p => p.LetterIndex)).Select(letter =>
        {
            var points = letter.SelectMany(p => p.LineMm).ToArray();
            if (letter.All(p => p.Role is not ("letter" or "dot")) && Region.HullOf(points) is { Count: > 2 } hull)
            {
                // A motif's paper follows it roughly: scissors go round leaves, not round boxes.
                return Region.Of(hull.Select(p => new Pt(p.X - left, p.Y - top)).ToArray());
            }

            var (x0, y0, x1, y1) = (points.Min(p => p.X) - left, points.Min(p => p.Y) - top, points.Max(p => p.X) - left,
                points.Max(p => p.Y) - top);
            return Region.Rectangle(x0, y0, Math.Max(0.1, x1 - x0), Math.Max(0.1, y1 - y0));
        }).Aggregate((a, b) => a.With(b));

        // Grown far enough that the letters hang together, then drawn in again.
        var joined = words.Offset(3 * CutOutMm).Offset(-2 * CutOutMm);
        var fold = plan.Space.Face.Fold is { } over ? $" {over.Towards}" : string.Empty;
        return sheet with
        {
            Title = $"Try it on: {plan.Title}",
            MirrorWords = $"Cut along the grey line and lay it on before anything is marked: it reads as it will on the cloth.{fold}",
            InkMm = plan.Elements.Min(e => e.LineWidthMm),
            CutMm = joined.Rings,
        };
    }

    /// <summary>A knot's single point is drawn as a short stroke, so that it prints.</summary>
    private static IEnumerable<Pt> Drawn(IReadOnlyList<Pt> line) => line.Count == 1 ? [line[0] - new Pt(0, 0.4), line[0] + new Pt(0, 0.4)]
        : line;
}

/// <summary>One line to be marked, in mm on the sheet.</summary>
public sealed record TemplateLine(IReadOnlyList<Pt> PointsMm, bool Closed);
