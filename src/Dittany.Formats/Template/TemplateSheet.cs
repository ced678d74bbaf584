using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.Planning;
using Dittany.Core.Transfer;

namespace Dittany.Formats.Template;

/// <summary>
/// A 1:1 template of a plan, before any paper: lines to be marked, fold and base lines, all in mm from the design's own top left corner, already mirrored where the mirror
/// proof says so. PDF and SVG are drawn from this alone.
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
    IReadOnlyList<string> FindIt)
{
    /// <summary>The check line on every page: printed true, it measures this.</summary>
    public const double CheckLineMm = CheckLine.LengthMm;

    /// <summary>Words beside the check line.</summary>
    public const string CheckWords = "Check line: 100 mm. If it measures anything else, do not use this sheet; print at 100 %, no fitting to the page.";

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
        var lines = plan.Elements.SelectMany(e => e.Parts).Select(p => new TemplateLine(Drawn(p.LineMm).Select(OnSheet).ToArray(), p.Closed)).ToArray();
        var words = mirrored
            ? "MIRRORED on purpose: it reads right once it is on the cloth."
            : plan.Transfer.PrintMirrored is null ? "Not mirrored: a guide for drawing freehand." : "Not mirrored: it reads as it will on the cloth.";
        return new TemplateSheet(
            plan.Title,
            words,
            mirrored,
            paper,
            width,
            height,
            lines,
            OnSheet(new Pt(centre, 0)).X,
            onCrease ? plan.Space.CentreLine.Name : "the middle of the words",
            plan.Elements.Select(e => e.BaselineMm.Y - top).ToArray(),
            Sheet.Tiles(width, height, paper),
            plan.Space.FindIt);
    }

    /// <summary>A knot's single point is drawn as a short stroke, so that it prints.</summary>
    private static IEnumerable<Pt> Drawn(IReadOnlyList<Pt> line) => line.Count == 1 ? [line[0] - new Pt(0, 0.4), line[0] + new Pt(0, 0.4)] : line;
}

/// <summary>One line to be marked, in mm on the sheet.</summary>
public sealed record TemplateLine(IReadOnlyList<Pt> PointsMm, bool Closed);
