using Dittany.Core.Geometry;
using Dittany.Core.Motifs;
using Dittany.Formats.Drawings;

namespace Dittany.Web.Drawings;

/// <summary>What is traced by now over its picture: the picture pale, the lines in the colours of thread they will usually have. Its units are mm on the picture.</summary>
public static class TracingDrawing
{
    /// <summary>Pixels the longer side is shown at, for widths of lines that stay what they are on the screen.</summary>
    private const double ShownPx = 720;

    public static string Draw(Tracing tracing)
    {
        var (w, h) = (tracing.PictureWidthMm, tracing.PictureHeightMm);
        var px = Math.Max(w, h) / ShownPx;
        var figure = tracing.Draw();
        var svg = new Svg();
        svg.Open("svg", ("xmlns", "http://www.w3.org/2000/svg"), ("class", "face-drawing sketching"), ("role", "group"), ("aria-label", Told(tracing)), ("viewBox", $"0 0 {Svg.N(w)} {Svg.N(h)}"));
        svg.Empty("image", ("href", $"/pictures/{tracing.PictureId}"), ("x", 0.0), ("y", 0.0), ("width", w), ("height", h), ("preserveAspectRatio", "none"), ("opacity", 0.6));

        // A pale edge keeps a line in sight on a dark picture too; all edges lie under all lines.
        foreach (var part in figure.Parts.Where(p => p.Kind != FigureKind.Dot))
        {
            svg.Empty("path", ("d", SvgDrawing.PathOf(part.Stroke)), ("fill", part.Kind == FigureKind.Shape ? LetterDrawing.ThreadOf(part.Role) : "none"), ("fill-opacity", 0.08), ("stroke", "#fffdf6"), ("stroke-width", 5 * px), ("stroke-linecap", "round"), ("stroke-linejoin", "round"));
        }

        foreach (var part in figure.Parts)
        {
            var colour = LetterDrawing.ThreadOf(part.Role);
            if (part.Kind == FigureKind.Dot)
            {
                svg.Empty("circle", ("cx", part.Middle.X), ("cy", part.Middle.Y), ("r", 4 * px), ("fill", colour), ("stroke", "#fffdf6"), ("stroke-width", px));
            }
            else
            {
                svg.Empty("path", ("d", SvgDrawing.PathOf(part.Stroke)), ("fill", "none"), ("stroke", colour), ("stroke-width", 2.6 * px), ("stroke-linecap", "round"), ("stroke-linejoin", "round"));
            }
        }

        return svg.Close().ToString();
    }

    private static string Told(Tracing tracing)
    {
        var roles = tracing.Lines.Where(l => l.Points.Count > 0).GroupBy(l => l.Role).Select(g => $"{g.Count()} {g.Key}").ToArray();
        return roles.Length == 0 ? "The picture, with nothing traced on it yet" : $"The picture with what is traced on it: {string.Join(", ", roles)}";
    }
}
