using Dittany.Core.Geometry;
using Dittany.Core.Motifs;
using Dittany.Formats.Drawings;
using Dittany.Formats.Pictures;

namespace Dittany.Web.Drawings;

/// <summary>
/// What is traced by now over its picture: the picture pale, the lines in the colours of thread they will usually have. Its units are mm on
/// the picture.
/// </summary>
public static class TracingDrawing
{
    /// <summary>Pixels the longer side is shown at, for widths of lines that stay what they are on the screen.</summary>
    private const double ShownPx = 720;

    public static string Draw(Tracing tracing)
    {
        var (w, h) = (tracing.PictureWidthMm, tracing.PictureHeightMm);
        var px = Math.Max(w, h) / ShownPx;
        var figure = tracing.Draw();
        using var svg = new Svg();
        svg.Open("svg", ("class", "face-drawing sketching"), ("role", "group"), ("aria-label", Told(tracing)),
            ("viewBox", $"0 0 {Svg.N(w)} {Svg.N(h)}"));
        svg.Empty("image", ("href", $"/pictures/{tracing.PictureId}"), ("x", 0.0), ("y", 0.0), ("width", w), ("height", h),
            ("preserveAspectRatio", "none"), ("opacity", 0.6));

        // A pale edge keeps a line in sight on a dark picture too; all edges lie under all lines.
        foreach (var part in figure.Parts.Where(p => p.Kind != FigureKind.Dot))
        {
            svg.Empty("path", ("d", SvgDrawing.PathOf(part.Stroke)),
                ("fill", part.Kind == FigureKind.Shape ? LetterDrawing.ThreadOf(part.Role) : "none"), ("fill-opacity", 0.08),
                ("stroke", "#fffdf6"), ("stroke-width", 5 * px), ("stroke-linecap", "round"), ("stroke-linejoin", "round"));
        }

        foreach (var part in figure.Parts)
        {
            var colour = LetterDrawing.ThreadOf(part.Role);
            if (part.Kind == FigureKind.Dot)
            {
                svg.Empty("circle", ("cx", part.Middle.X), ("cy", part.Middle.Y), ("r", 4 * px), ("fill", colour), ("stroke", "#fffdf6"),
                    ("stroke-width", px));
            }
            else
            {
                svg.Empty("path", ("d", SvgDrawing.PathOf(part.Stroke)), ("fill", "none"), ("stroke", colour), ("stroke-width", 2.6 * px),
                    ("stroke-linecap", "round"), ("stroke-linejoin", "round"));
            }
        }

        return svg.Close().ToString();
    }

    /// <summary>How it goes, in three pictures: a sketch in pencil, its lines drawn over it, and stitched on cloth.</summary>
    public static string How()
    {
        const double Apart = 14;
        const double Edge = 4;
        var (w, h) = (MadeUpSketch.WidthMm, MadeUpSketch.HeightMm);
        var parts = MadeUpSketch.Lines.Parts;
        using var svg = new Svg();
        svg.Open("svg", ("class", "how-traced"), ("role", "img"),
            ("aria-label", "A sketch in pencil; its lines drawn over it in thread; the same lines on cloth"),
            ("viewBox", $"{Svg.N(-Edge)} {Svg.N(-Edge)} {Svg.N((3 * w) + (2 * Apart) + (2 * Edge))} {Svg.N(h + (2 * Edge))}"));
        for (var panel = 0; panel < 3; panel++)
        {
            svg.Open("g", ("transform", $"translate({Svg.N(panel * (w + Apart))} 0)"));
            svg.Empty("rect", ("width", w), ("height", h), ("rx", 1.5), ("fill", panel == 2 ? "#b9ccd4" : "#fbf8ef"),
                ("stroke", "#c9c2ae"), ("stroke-width", 0.8));
            for (var i = 0; i < parts.Count; i++)
            {
                var traced = panel == 2 || (panel == 1 && i < (parts.Count + 1) / 2);
                if (panel < 2)
                {
                    Line(parts[i], "#6d7074", 0.9);
                }

                if (traced)
                {
                    Line(parts[i], LetterDrawing.ThreadOf(parts[i].Role), panel == 2 ? 1.6 : 1.9);
                }
            }

            svg.Close();
        }

        return svg.Close().ToString();

        void Line(FigurePart part, string colour, double width)
        {
            if (part.Kind == FigureKind.Dot)
            {
                svg.Empty("circle", ("cx", part.Middle.X), ("cy", part.Middle.Y), ("r", width), ("fill", colour));
            }
            else
            {
                svg.Empty("path", ("d", SvgDrawing.PathOf(part.Stroke)), ("fill", "none"), ("stroke", colour), ("stroke-width", width),
                    ("stroke-linecap", "round"), ("stroke-linejoin", "round"));
            }
        }
    }

    private static string Told(Tracing tracing)
    {
        var roles = tracing.Lines.Where(l => l.Points.Count > 0).GroupBy(l => l.Role).Select(g => $"{g.Count()} {g.Key}").ToArray();
        return roles.Length == 0 ? "The picture, with nothing traced on it yet"
            : $"The picture with what is traced on it: {string.Join(", ", roles)}";
    }
}
