using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Measures;
using Dittany.Core.Space;
using Dittany.Formats.Drawings;

namespace Dittany.Web.Drawings;

/// <summary>A face of a form on its own: the item with its zones named, the field of each, and how large it is.</summary>
public static class FormDrawing
{
    /// <summary>About how wide a large drawing is shown, px.</summary>
    private const double ShownPx = 620;

    /// <summary>
    /// The face as SVG. With <paramref name="trueSize"/> it is written in mm, so that a screen that knows its own size shows it at 1:1.
    /// <paramref name="trace"/> draws what is behind an outline still being traced.
    /// </summary>
    public static string Draw(Form form, Drawn drawn, Units units, bool trueSize = false, bool trace = false)
    {
        var (x0, y0, x1, y1) = Around(drawn);
        var margin = Math.Max(x1 - x0, y1 - y0) * 0.05;
        var (left, top, width, height) = (x0 - margin, y0 - margin, x1 - x0 + (2 * margin), y1 - y0 + (2 * margin));
        var px = trueSize ? 25.4 / 96 : Math.Max(width, height) / ShownPx;
        using var svg = new Svg();
        var box = $"{Svg.N(left)} {Svg.N(top)} {Svg.N(width)} {Svg.N(height)}";
        (string, object)[] size = trueSize ? [("width", $"{Svg.N(width)}mm"), ("height", $"{Svg.N(height)}mm")] : [];
        svg.Open(
            "svg",
            [("class", "face-drawing"), ("role", trace ? "group" : "img"), ("aria-label", Told(form, drawn, units)), ("viewBox", box),
                .. size]);
        if (trace && drawn.Picture is { } picture)
        {
            svg.Empty("image", ("href", $"/pictures/{picture.Id}"), ("x", picture.XMm), ("y", picture.YMm), ("width", picture.WidthMm),
                ("height", picture.HeightMm), ("preserveAspectRatio", "none"), ("opacity", 0.55));
        }

        ItemDrawing.Draw(svg, ItemDrawing.Of(form, drawn), "face", px, units);
        foreach (var zone in drawn.Zones)
        {
            Zone(svg, drawn, zone, units, px, Core.Materials.Colour.Parse(form.UsualColour).ToLab().L < Core.Materials.Cloth.DarkBelowL);
        }

        foreach (var fold in drawn.Landmarks.Where(l => l.Found == Found.Fold && l.Folding!.Folds == 1))
        {
            svg.Empty("line", ("x1", fold.From.X), ("y1", fold.From.Y), ("x2", fold.To.X), ("y2", fold.To.Y), ("stroke", "#33473c"),
                ("stroke-width", 0.8 * px), ("stroke-dasharray", $"{Svg.N(9 * px)} {Svg.N(5 * px)} {Svg.N(2 * px)} {Svg.N(5 * px)}"),
                ("opacity", 0.55));
        }

        Sizes(svg, drawn, units, px);
        return svg.Close().ToString();
    }

    /// <summary>What is said of the drawing to who cannot see it.</summary>
    private static string Told(Form form, Drawn drawn, Units units)
    {
        var (w, h) = (drawn.Outline.Max(p => p.X) - drawn.Outline.Min(p => p.X), drawn.Outline.Max(p => p.Y) - drawn.Outline.Min(p => p.Y));
        return $"{Say.Upper(form.Name)}, {drawn.Face.Name}, {Tape.Length(Math.Round(w), units)} by {Tape.Length(Math.Round(h), units)}. "
            + $"Places for words: {Say.List(drawn.Zones.Select(z => z.Name).ToArray())}.";
    }

    private static void Zone(Svg svg, Drawn drawn, Zone zone, Units units, double px, bool dark)
    {
        var field = Field.Of(drawn, zone);
        svg.Open("g", ("class", "zone"));
        svg.Open("title").Text(
            $"{Say.Upper(zone.Name)}. {zone.Usual.Text.In(units)}: {string.Join(' ', zone.Usual.Because.Select(b => b.In(units)))} "
                + $"{zone.EdgeReason.In(units)}").Close();
        foreach (var ring in field.Rings)
        {
            svg.Empty("path", ("d", Svg.Ring(ring)), ("fill", "#fffdf6"), ("fill-opacity", dark ? 0.12 : 0.3),
                ("stroke", dark ? "#f0b7d5" : "#8f3a67"), ("stroke-width", 1.2 * px),
                ("stroke-dasharray", $"{Svg.N(5 * px)} {Svg.N(4 * px)}"));
        }

        if (field.Rings.Count > 0)
        {
            var (least, greatest) = field.Box;
            var room = greatest.X - least.X;
            var size = Math.Min(13 * px, Math.Max(8 * px, room / Math.Max(6, zone.Name.Length) * 1.7));
            svg.Label(zone.Name, ("x", (least.X + greatest.X) / 2), ("y", zone.Usual.AnchorMm.Y + (4 * px)), ("text-anchor", "middle"),
                ("font-size", size), ("fill", "#6d2b4e"), ("stroke", "#fffdf6"), ("stroke-width", 3 * px), ("paint-order", "stroke"),
                ("class", "drawn-words"));
        }

        svg.Close();
    }

    /// <summary>How wide and high it is, on a tape along its foot and side.</summary>
    private static void Sizes(Svg svg, Drawn drawn, Units units, double px)
    {
        var (x0, y0, x1, y1) = (drawn.Outline.Min(p => p.X), drawn.Outline.Min(p => p.Y), drawn.Outline.Max(p => p.X),
            drawn.Outline.Max(p => p.Y));
        var y = y1 + (12 * px);
        svg.Empty("path", ("d",
            $"M{Svg.N(x0)} {Svg.N(y)}H{Svg.N(x1)}M{Svg.N(x0)} {Svg.N(y - (5 * px))}v{Svg.N(10 * px)}M{Svg.N(x1)} "
                + $"{Svg.N(y - (5 * px))}v{Svg.N(10 * px)}"), ("stroke", "#b98d1d"), ("stroke-width", 1.4 * px), ("fill", "none"));
        Tag(svg, new Pt((x0 + x1) / 2, y), Tape.Length(Math.Round(x1 - x0), units), px);
        var x = x0 - (12 * px);
        svg.Empty("path", ("d",
            $"M{Svg.N(x)} {Svg.N(y0)}V{Svg.N(y1)}M{Svg.N(x - (5 * px))} {Svg.N(y0)}h{Svg.N(10 * px)}M{Svg.N(x - (5 * px))} "
                + $"{Svg.N(y1)}h{Svg.N(10 * px)}"), ("stroke", "#b98d1d"), ("stroke-width", 1.4 * px), ("fill", "none"));
        Tag(svg, new Pt(x + (10 * px), (y0 + y1) / 2), Tape.Length(Math.Round(y1 - y0), units), px);
    }

    private static void Tag(Svg svg, Pt at, string words, double px)
    {
        var width = (words.Length * 7.4 * px) + (12 * px);
        svg.Empty("rect", ("x", at.X - (width / 2)), ("y", at.Y - (10 * px)), ("width", width), ("height", 20 * px), ("rx", 2 * px),
            ("fill", "#e6bd4f"));
        svg.Label(words, ("x", at.X), ("y", at.Y + (4.6 * px)), ("font-size", 13 * px), ("text-anchor", "middle"), ("fill", "#3d3206"),
            ("class", "drawn-words"));
    }

    private static (double X0, double Y0, double X1, double Y1) Around(Drawn drawn)
    {
        var all = drawn.Outline.Concat(drawn.Behind.SelectMany(b => b)).Concat(drawn.Picture is { } p
            ? [new Pt(p.XMm, p.YMm), new Pt(p.XMm + p.WidthMm, p.YMm + p.HeightMm)] : Array.Empty<Pt>()).ToArray();
        return (all.Min(p => p.X), all.Min(p => p.Y), all.Max(p => p.X), all.Max(p => p.Y));
    }
}
