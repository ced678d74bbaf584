using Dittany.Core.Geometry;
using Dittany.Formats.Drawings;

namespace Dittany.Formats.Template;

/// <summary>
/// Writes a template as one SVG at 1:1: its units are millimetres, its size is stated in them. No script, no outside reference.
/// </summary>
public static class TemplateSvg
{
    /// <summary>Room under the design for the words and the check line, in mm.</summary>
    private const double FootMm = 30;

    /// <summary>The SVG as text.</summary>
    public static string Write(TemplateSheet sheet)
    {
        var width = Math.Max(sheet.WidthMm, TemplateSheet.CheckLineMm + 20);
        var height = sheet.HeightMm + FootMm;
        var shift = (width - sheet.WidthMm) / 2;
        using var svg = new Svg(decimals: 3, lines: true);
        svg.Open("svg", ("width", $"{svg.Number(width)}mm"), ("height", $"{svg.Number(height)}mm"),
            ("viewBox", $"0 0 {svg.Number(width)} {svg.Number(height)}"));
        svg.Open("title").Text(sheet.Title).Close();
        Line(svg, "centre-line", shift + sheet.CentreXMm, 0, shift + sheet.CentreXMm, sheet.HeightMm, dashed: true);
        foreach (var baseline in sheet.BaselinesMm)
        {
            Line(svg, "base-line", 0, baseline, width, baseline, dashed: true);
        }

        foreach (var line in sheet.Lines)
        {
            svg.Empty("path", ("class", "mark"), ("d", svg.Line(line.PointsMm.Select(p => p + new Pt(shift, 0)), line.Closed)),
                ("fill", "none"), ("stroke", "#000"), ("stroke-width", "0.35"));
        }

        Words(svg, 10, sheet.HeightMm + 8, 5, Short(sheet.Title, width));
        Words(svg, 10, sheet.HeightMm + 14, 3.2, sheet.MirrorWords);
        Line(svg, "check-line", 10, sheet.HeightMm + 20, 10 + TemplateSheet.CheckLineMm, sheet.HeightMm + 20, dashed: false);
        Words(svg, 10, sheet.HeightMm + 25, 2.4, TemplateSheet.CheckWords);
        return svg.Close().ToString();
    }

    /// <summary>As much of a title as goes into the width; a letter is about half its size wide.</summary>
    private static string Short(string title, double widthMm)
    {
        var most = (int)((widthMm - 20) / 2.6);
        return title.Length <= most ? title : title[..(most - 1)].TrimEnd() + "…";
    }

    private static void Line(Svg svg, string name, double x1, double y1, double x2, double y2, bool dashed)
    {
        (string, object)[] dashes = dashed ? [("stroke-dasharray", "2 1.5")] : [];
        svg.Empty("line", [("class", name), ("x1", x1), ("y1", y1), ("x2", x2), ("y2", y2), ("stroke", dashed ? "#6e6e6e" : "#000"),
            ("stroke-width", dashed ? "0.2" : "0.35"), .. dashes]);
    }

    private static void Words(Svg svg, double x, double y, double sizeMm, string words) =>
        svg.Label(words, ("x", x), ("y", y), ("font-size", sizeMm), ("font-family", "sans-serif"));
}
