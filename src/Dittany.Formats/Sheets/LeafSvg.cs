using Dittany.Formats.Drawings;

namespace Dittany.Formats.Sheets;

/// <summary>
/// A leaf as SVG, for looking at before it is printed: the same marks as the PDF. No script, no outside reference; words are text.
/// </summary>
public static class LeafSvg
{
    /// <summary>The SVG as text, its units mm; <paramref name="id"/> keeps names apart where several stand on one page.</summary>
    public static string Write(Leaf leaf, string id)
    {
        using var svg = new Svg(decimals: 3);
        svg.Open("svg", ("class", "leaf"), ("role", "img"), ("aria-labelledby", $"{id}-title"),
            ("viewBox", $"0 0 {svg.Number(leaf.Paper.WidthMm)} {svg.Number(leaf.Paper.HeightMm)}"));
        svg.Open("title", ("id", $"{id}-title")).Text(leaf.Title).Close();
        Draw(svg, leaf.Marks, id);
        return svg.Close().ToString();
    }

    private static void Draw(Svg svg, IReadOnlyList<Mark> marks, string id)
    {
        foreach (var mark in marks)
        {
            switch (mark)
            {
                case ClipMark clip:
                    var name = $"{id}-clip-{svg.Count() - 1}";
                    svg.Open("clipPath", ("id", name)).Empty("rect", ("x", clip.XMm), ("y", clip.YMm), ("width", clip.WidthMm),
                        ("height", clip.HeightMm)).Close();
                    svg.Open("g", ("clip-path", $"url(#{name})"));
                    Draw(svg, clip.Marks, id);
                    svg.Close();
                    break;
                case LineMark line:
                    (string, object)[] dashes = line.Dashed ? [("stroke-dasharray", "2 1.5")] : [];
                    svg.Empty("path",
                    [
                        ("d", svg.Line(line.PointsMm, line.Closed)), ("fill", line.Fill ?? "none"),
                            ("stroke", line.WidthMm > 0 ? line.Colour : "none"), ("stroke-width", line.WidthMm),
                            ("stroke-linejoin", "round"), .. dashes,
                    ]);
                    break;
                case DotMark dot:
                    svg.Empty("circle", ("cx", dot.CentreMm.X), ("cy", dot.CentreMm.Y), ("r", dot.RadiusMm), ("fill", dot.Fill ?? "none"),
                        ("stroke", dot.Colour), ("stroke-width", dot.WidthMm));
                    break;
                case TextMark words:
                    svg.Label(
                        words.Text, ("x", words.AtMm.X), ("y", words.AtMm.Y), ("font-size", words.SizeMm),
                            ("font-family", words.Heading ? "Heading, serif" : "Reading, sans-serif"), ("fill", words.Colour),
                        ("text-anchor", words.Align switch { Align.Middle => "middle", Align.Right => "end", _ => "start" }));
                    break;
            }
        }
    }
}
