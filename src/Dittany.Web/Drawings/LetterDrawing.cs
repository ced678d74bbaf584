using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Planning;
using Dittany.Core.Words;
using Dittany.Formats.Drawings;

namespace Dittany.Web.Drawings;

/// <summary>Words in an alphabet and motifs as pictures of their own, in thread on cloth.</summary>
public static class LetterDrawing
{
    private const string Thread = "#8f3a67";

    private const string Leaf = "#4f7358";

    /// <summary>
    /// Words written in an alphabet, capitals 100 high, with a line of a comfortable twelfth of them (thinner round outlines).
    /// </summary>
    public static string Words(IAlphabet alphabet, string text)
    {
        var setting = Setting.Lay(alphabet, [text], Stands.OnBaseline);
        var points = setting.Lines.SelectMany(l => l).ToArray();
        var (least, greatest) = (new Pt(points.Min(p => p.X), Math.Min(points.Min(p => p.Y), -1)),
            new Pt(points.Max(p => p.X), Math.Max(points.Max(p => p.Y), 0.3)));
        const double K = 60;
        const double Pad = 8;
        using var svg = new Svg();
        svg.Open("svg", ("viewBox",
            $"{Svg.N((least.X * K) - Pad)} {Svg.N((least.Y * K) - Pad)} {Svg.N(((greatest.X - least.X) * K) + (2 * Pad))} "
                + $"{Svg.N(((greatest.Y - least.Y) * K) + (2 * Pad))}"));
        svg.Open("g", ("fill", "none"), ("stroke", Thread), ("stroke-width", alphabet.Kind == AlphabetKind.Weighted ? 1.6 : 4.4),
            ("stroke-linecap", "round"), ("stroke-linejoin", "round"));
        foreach (var stroke in setting.Letters.SelectMany(l => l.Strokes))
        {
            svg.Empty("path", ("d", SvgDrawing.PathOf(stroke.Map(p => p * K))));
        }

        return svg.Close().Close().ToString();
    }

    /// <summary>A millimetre is drawn this wide, px: a screen's own, so that sizes beside each other can be judged.</summary>
    private const double TruePx = 96 / 25.4;

    /// <summary>Cloth shown round the words, mm.</summary>
    private const double RoundMm = 5;

    /// <summary>The words of a plan as they would be stitched, on their cloth, about as large as they are.</summary>
    public static string Stitched(PlannedElement element, Cloth cloth, string name = "thread")
    {
        var box = element.BoxMm;
        var (x, y, w, h) = (box.X - RoundMm, box.Y - RoundMm, box.Width + (2 * RoundMm), box.Height + (2 * RoundMm));
        using var svg = new Svg();
        svg.Open("svg", ("width", w * TruePx), ("height", h * TruePx), ("viewBox", $"{Svg.N(x)} {Svg.N(y)} {Svg.N(w)} {Svg.N(h)}"));

        // Cloth all over, also where the picture is shown wider or higher than the words are.
        svg.Empty("rect", ("x", x - (20 * w)), ("y", y - (20 * h)), ("width", 41 * w), ("height", 41 * h), ("fill", cloth.Colour));
        ThreadDrawing.Stitched(svg, element, 1 / TruePx, name);
        return svg.Close().ToString();
    }

    /// <summary>A room is drawn this wide.</summary>
    private const double RoomPx = 230;

    /// <summary>
    /// Words in the room they have, capitals as high as in any other picture made here. The room is given in capital heights, the line's
    /// width too.
    /// </summary>
    public static string InRoom(IAlphabet alphabet, string text, double roomWide, double roomHigh, double lineWide)
    {
        var setting = Setting.Lay(alphabet, [text], Stands.OnMiddle);
        var k = RoomPx / Math.Max(0.1, roomWide);
        using var svg = new Svg();
        var (width, height) = ((Math.Max(roomWide, setting.Width) * k) + 8, (Math.Max(roomHigh, 1.9) * k) + 8);
        svg.Open("svg", ("class", "one-scale"), ("width", width), ("height", height),
            ("viewBox", $"{Svg.N(-width / 2)} {Svg.N(-height / 2)} {Svg.N(width)} {Svg.N(height)}"), ("aria-hidden", "true"));
        svg.Empty("rect", ("x", -roomWide * k / 2), ("y", -roomHigh * k / 2), ("width", roomWide * k), ("height", roomHigh * k),
            ("fill", "#fffdf6"), ("stroke", "#8f3a67"), ("stroke-width", 1), ("stroke-dasharray", "5 4"));
        svg.Open("g", ("fill", "none"), ("stroke", Thread), ("stroke-width", lineWide * k), ("stroke-linecap", "round"),
            ("stroke-linejoin", "round"));
        foreach (var stroke in setting.Letters.SelectMany(l => l.Strokes))
        {
            svg.Empty("path", ("d", SvgDrawing.PathOf(stroke.Map(p => p * k))));
        }

        return svg.Close().Close().ToString();
    }

    /// <summary>The colour of thread a part of a drawing is shown in.</summary>
    public static string ThreadOf(string role) => role is "stem" or "leaf" ? Leaf : role == "vein" ? "#8a9a8c" : Thread;

    /// <summary>Parts are told from the paper they are shown on from this difference of lightness on.</summary>
    private const double ShowsFrom = 18;

    private static readonly Colour Paper = Colour.Parse("#f6efe4");

    /// <summary>
    /// A figure fitted into a square of 120, as it lies: parts in the colours of thread its motif wears, filled where it is drawn to be.
    /// </summary>
    public static string Motif(Figure figure, bool small = true, Core.Motifs.Motif? motif = null)
    {
        var size = small ? 112.0 : 300;
        var drawn = figure.Within(size, size);
        var half = (size / 2) + 6;
        using var svg = new Svg();
        svg.Open("svg", ("viewBox", $"{Svg.N(-half)} {Svg.N(-half)} {Svg.N(2 * half)} {Svg.N(2 * half)}"));
        svg.Open("g", ("fill", "none"), ("stroke-width", small ? 2 : 2.4), ("stroke-linecap", "round"), ("stroke-linejoin", "round"));
        foreach (var part in drawn.Parts.OrderBy(p => p.Layer))
        {
            var filled = motif?.Rich == true && part.Kind == FigureKind.Shape;
            var colour = Worn(motif, part.Role, filled || (motif?.Rich == true && drawn.Parts.Any(p =>
                p.Kind == FigureKind.Shape && p.Layer < part.Layer && p.Covers().Holds(part.Middle))));
            if (part.Kind == FigureKind.Dot)
            {
                svg.Empty("circle", ("cx", part.Middle.X), ("cy", part.Middle.Y), ("r", small ? 2.4 : 3.4), ("fill", colour),
                    ("stroke", "none"));
            }
            else
            {
                // What lies over something hides it, filled or not.
                svg.Empty("path", ("d", SvgDrawing.PathOf(part)), ("fill-rule", "evenodd"),
                    ("stroke", filled ? ItemDrawing.Shade(Colour.Parse(colour), 0.8) : colour), ("stroke-width", filled ? 0.8 : small ? 2 : 2.4),
                    ("fill", filled ? colour : part.Kind == FigureKind.Shape && part.Layer > 0 ? Paper.ToString() : "none"));
            }
        }

        return svg.Close().Close().ToString();
    }

    /// <summary>The first colour a role wears by nature that shows on paper; any at all where it lies on another part.</summary>
    private static string Worn(Core.Motifs.Motif? motif, string role, bool onAnother) =>
        motif?.Wears.GetValueOrDefault(role) is { } ids
            && ids.Split(' ').Select(id => Palette.HexOf(id)).FirstOrDefault(hex => onAnother
                || ColourDifference.Lightness(Colour.Parse(hex), Paper) >= ShowsFrom) is { } worn ? worn
            : ThreadOf(Core.Designs.Roles.Kind(role));
}
