using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Space;
using Dittany.Formats.Drawings;

namespace Dittany.Web.Drawings;

/// <summary>
/// The item itself: cloth with a hint of its weave, what is seen beside the face, and each seam, hem, rib, popper and band with its
/// clearance told on pointing.
/// </summary>
internal static class ItemDrawing
{
    /// <summary>What the drawing needs of an item: so that a bare form can be drawn before there is a plan.</summary>
    public sealed record Look(
        IReadOnlyList<Pt> Outline, IReadOnlyList<IReadOnlyList<Pt>> Behind, IReadOnlyList<IReadOnlyList<Pt>> Over,
            IReadOnlyList<Obstacle> Obstacles, Colour Colour, bool Dark, Structure Structure, Picture? Picture);

    public static Look Of(Plan plan) => new(
        plan.Item.OutlineMm, plan.Space.BehindMm, plan.Space.OverMm, plan.Space.Obstacles, plan.Item.Cloth.Colour, plan.Item.Cloth.Dark,
            plan.Item.Cloth.Kind.Structure, plan.Space.Picture);

    public static Look Of(Form form, Drawn drawn)
    {
        var colour = Colour.Parse(form.UsualColour);
        return new Look(drawn.Outline, drawn.Behind, drawn.Over ?? [], drawn.Obstacles, colour, colour.ToLab().L < Cloth.DarkBelowL,
            Cloths.Find(form.UsualCloth)!.Structure, drawn.Picture);
    }

    /// <summary>
    /// Draws into <paramref name="svg"/> in mm of the face. <paramref name="id"/> keeps pattern names apart where several items stand on
    /// one page; with units given each obstacle tells its clearance and shows it on pointing.
    /// </summary>
    public static void Draw(Svg svg, Look look, string id, double px, Units? explained = null)
    {
        var (darker, lighter) = (Shade(look.Colour, look.Dark ? 0.68 : 0.8), Shade(look.Colour, look.Dark ? 1.2 : 1.6));
        var edge = Shade(look.Colour, look.Dark ? 0.5 : 0.62);
        Weave(svg, look, id, darker, lighter, px);
        foreach (var piece in look.Behind)
        {
            svg.Empty("path", ("d", Svg.Ring(piece)), ("fill", darker), ("stroke", edge), ("stroke-width", 1.1 * px));
        }

        svg.Empty("path", ("d", Svg.Ring(look.Outline)), ("transform", $"translate({Svg.N(3 * px)} {Svg.N(4 * px)})"), ("fill", "#1f2a24"),
            ("opacity", 0.2));
        svg.Empty("path", ("class", "cloth"), ("d", Svg.Ring(look.Outline)), ("fill", $"url(#weave-{id})"), ("stroke", edge),
            ("stroke-width", 1.3 * px), ("stroke-linejoin", "round"));
        if (look.Picture is { } picture)
        {
            // Her own item is seen as it was photographed, within the outline she traced.
            svg.Open("clipPath", ("id", $"outline-{id}")).Empty("path", ("d", Svg.Ring(look.Outline))).Close();
            svg.Empty("image", ("href", $"/pictures/{picture.Id}"), ("x", picture.XMm), ("y", picture.YMm), ("width", picture.WidthMm),
                ("height", picture.HeightMm), ("preserveAspectRatio", "none"), ("clip-path", $"url(#outline-{id})"));
        }

        foreach (var piece in look.Over)
        {
            svg.Empty("path", ("d", Svg.Ring(piece)), ("fill", $"url(#weave-{id})"), ("stroke", edge), ("stroke-width", 1.1 * px),
                ("stroke-linejoin", "round"));
        }

        foreach (var obstacle in look.Obstacles)
        {
            svg.Open("g", ("class", "obstacle"));
            if (explained is { } units)
            {
                svg.Open("title").Text(Clearances.Tell(obstacle).In(units)).Close();
                svg.Empty("path", ("class", "clear"), ("d", string.Concat(Field.ClearanceOf(obstacle).Select(Svg.Ring))),
                    ("fill-rule", "evenodd"), ("stroke-width", 1.2 * px), ("stroke-dasharray", $"{Svg.N(4 * px)} {Svg.N(3 * px)}"));
            }

            Obstacle(svg, obstacle, look, darker, lighter, edge, px);
            svg.Close();
        }
    }

    /// <summary>A colour lighter (over 1) or darker (under 1).</summary>
    public static string Shade(Colour colour, double by)
    {
        byte Of(byte channel) => (byte)Math.Clamp(by <= 1 ? channel * by : channel + ((255 - channel) * (by - 1)), 0, 255);
        return new Colour(Of(colour.R), Of(colour.G), Of(colour.B)).ToString();
    }

    /// <summary>
    /// Each structure by its own marks: plain weave crosses, twill slants, canvas is coarse, waffle stands in squares, terry loops, jersey
    /// vees, rib columns, fleece and felt flecks, velvet a sheen, satin floats.
    /// </summary>
    private static void Weave(Svg svg, Look look, string id, string darker, string lighter, double px)
    {
        var coarse = look.Structure switch
        {
            Structure.Canvas => 1.35,
            Structure.Waffle => 2.4,
            Structure.Rib => 1.4,
            Structure.Satin =>
            1.2,
            _ => 1.0
        };
        var size = Math.Max(1.6, 3 * px) * coarse;
        var (q, h) = (size / 4, size / 2);
        svg.Open("defs")
            .Open("pattern", ("id", $"weave-{id}"), ("width", size), ("height", size), ("patternUnits", "userSpaceOnUse"))
            .Empty("rect", ("width", size), ("height", size), ("fill", look.Colour));
        void Line(string d, string stroke, double width, double opacity) =>
            svg.Empty("path", ("d", d), ("stroke", stroke), ("stroke-width", width), ("fill", "none"), ("stroke-linecap", "round"),
                ("opacity", opacity));
        switch (look.Structure)
        {
            case Structure.Terry:
                Line($"M{Svg.N(q)} {Svg.N(q)}q{Svg.N(q)} {Svg.N(-q)} {Svg.N(q)} {Svg.N(q)}M{Svg.N(2.4 * q)} {Svg.N(3 * q)}q{Svg.N(q)} "
                    + $"{Svg.N(-q)} {Svg.N(q)} {Svg.N(q)}", darker, size / 8, 0.55);
                Line($"M{Svg.N(0.4 * q)} {Svg.N(2.6 * q)}q{Svg.N(q)} {Svg.N(-q)} {Svg.N(q)} {Svg.N(q)}", lighter, size / 8, 0.7);
                break;
            case Structure.Fleece:
            case Structure.Felt:
                Line($"M{Svg.N(q)} {Svg.N(q)}l{Svg.N(q / 2)} {Svg.N(q)}M{Svg.N(3 * q)} {Svg.N(h)}l{Svg.N(-q / 2)} "
                    + $"{Svg.N(q)}M{Svg.N(1.6 * q)} {Svg.N(3.2 * q)}l{Svg.N(q)} {Svg.N(q / 3)}", darker, size / 9, look.Structure == Structure.Felt ? 0.35 : 0.5);
                break;
            case Structure.Velvet:
                Line($"M{Svg.N(q)} 0v{Svg.N(q)}M{Svg.N(3 * q)} {Svg.N(h)}v{Svg.N(q)}", darker, size / 6, 0.5);
                Line($"M{Svg.N(h)} {Svg.N(q)}v{Svg.N(q)}", lighter, size / 7, 0.5);
                break;
            case Structure.Jersey:
                Line($"M{Svg.N(q * 0.4)} 0L{Svg.N(h)} {Svg.N(h)}L{Svg.N(size - (q * 0.4))} 0M{Svg.N(q * 0.4)} {Svg.N(h)}L{Svg.N(h)} "
                    + $"{Svg.N(size)}L{Svg.N(size - (q * 0.4))} {Svg.N(h)}", darker, size / 9, 0.35);
                break;
            case Structure.Rib:
                Line($"M{Svg.N(q)} 0V{Svg.N(size)}", darker, size / 5, 0.35);
                Line($"M{Svg.N(3 * q)} 0V{Svg.N(size)}", lighter, size / 5, 0.6);
                break;
            case Structure.Twill:
                Line($"M0 {Svg.N(size)}L{Svg.N(size)} 0M{Svg.N(-q)} {Svg.N(q)}L{Svg.N(q)} {Svg.N(-q)}M{Svg.N(3 * q)} "
                    + $"{Svg.N(5 * q)}L{Svg.N(5 * q)} {Svg.N(3 * q)}", darker, size / 6, 0.4);
                Line($"M{Svg.N(h)} {Svg.N(size)}L{Svg.N(size)} {Svg.N(h)}M0 {Svg.N(h)}L{Svg.N(h)} 0", lighter, size / 9, 0.5);
                break;
            case Structure.Waffle:
                svg.Empty("rect", ("x", q * 0.7), ("y", q * 0.7), ("width", size - (1.4 * q)), ("height", size - (1.4 * q)),
                    ("fill", darker), ("opacity", 0.28));
                Line($"M0 0H{Svg.N(size)}M0 0V{Svg.N(size)}", lighter, size / 9, 0.8);
                break;
            case Structure.Satin:
                Line($"M0 {Svg.N(q)}H{Svg.N(3 * q)}M{Svg.N(h)} {Svg.N(3 * q)}H{Svg.N(size)}", lighter, size / 9, 0.7);
                break;
            default:
                Line($"M0 {Svg.N(q)}H{Svg.N(h)}M{Svg.N(h)} {Svg.N(3 * q)}H{Svg.N(size)}", darker, size / 8, 0.4);
                Line($"M{Svg.N(3 * q)} 0V{Svg.N(h)}M{Svg.N(q)} {Svg.N(h)}V{Svg.N(size)}", lighter, size / 8, 0.6);
                break;
        }

        svg.Close().Close();
    }

    private static void Obstacle(Svg svg, Obstacle obstacle, Look look, string darker, string lighter, string edge, double px)
    {
        var thin = Math.Max(0.4, 0.9 * px);
        switch (obstacle.Kind)
        {
            case ObstacleKind.Stitched or ObstacleKind.Knotted:
                svg.Empty("path", ("d", Svg.Ring(obstacle.Ring)), ("fill", lighter), ("opacity", 0.12));
                return;
            case ObstacleKind.Print when obstacle.Id.StartsWith("band", StringComparison.Ordinal):
                Band(svg, obstacle, look.Structure == Structure.Terry ? edge : "#7d9a86");
                return;
            case ObstacleKind.Print:
                svg.Empty("path", ("d", Svg.Ring(obstacle.Ring)), ("fill", edge), ("opacity", 0.5));
                return;
            case ObstacleKind.ButtonEdge:
                Button(svg, obstacle, thin);
                return;
            case ObstacleKind.ZipTeeth when obstacle.SeenAs is { } teeth:
                svg.Empty("path", ("d", Svg.Path(teeth)), ("stroke", edge), ("stroke-width", 9), ("fill", "none"), ("opacity", 0.5));
                svg.Empty("path", ("d", Svg.Path(teeth)), ("stroke", "#cfc9b8"), ("stroke-width", 4), ("stroke-dasharray", "1.6 1.2"),
                    ("fill", "none"));
                return;
            case ObstacleKind.Drawcord:
                svg.Empty("path", ("d", Svg.Ring(obstacle.Ring)), ("fill", darker), ("opacity", 0.45));
                Gathers(svg, obstacle, edge, thin);
                break;
            case ObstacleKind.Popper:
                svg.Empty("path", ("d", Svg.Ring(obstacle.Ring)), ("fill", "#e7e4da"), ("stroke", "#7c7767"), ("stroke-width", thin));
                var middle = new Pt(obstacle.Ring.Average(p => p.X), obstacle.Ring.Average(p => p.Y));
                svg.Empty("circle", ("cx", middle.X), ("cy", middle.Y), ("r", 2), ("fill", "none"), ("stroke", "#7c7767"),
                    ("stroke-width", thin));
                return;
            case ObstacleKind.NeckRib:
                svg.Empty("path", ("d", Svg.Ring(obstacle.Ring)), ("fill", lighter), ("stroke", edge), ("stroke-width", thin));
                Ribs(svg, obstacle, edge, thin);
                break;
            case ObstacleKind.StrapEnd:
                svg.Empty("path", ("d", Svg.Ring(obstacle.Ring)), ("fill", darker), ("stroke", edge), ("stroke-width", thin));
                Box(svg, obstacle, look.Dark ? lighter : edge, thin);
                return;
            case ObstacleKind.FlatSeam:
                break;
            default:
                svg.Empty("path", ("d", Svg.Ring(obstacle.Ring)), ("fill", darker), ("opacity", 0.35));
                break;
        }

        if (obstacle.SeenAs is { } seen)
        {
            var seam = obstacle.Kind is ObstacleKind.FlatSeam or ObstacleKind.NeckRib or ObstacleKind.BagSide;
            svg.Empty("path", ("d", Svg.Path(seen)), ("stroke", seam ? edge : look.Dark ? lighter : darker), ("stroke-width", thin),
                ("stroke-dasharray", seam ? "none" : "2.5 1.5"), ("fill", "none"));
        }
    }

    /// <summary>Ribs run from the seam to the edge.</summary>
    private static void Ribs(Svg svg, Obstacle rib, string edge, double thin)
    {
        var n = rib.Ring.Count / 2;
        var d = string.Concat(Enumerable.Range(0, n).Select(i =>
            $"M{Svg.N(rib.Ring[i].X)} {Svg.N(rib.Ring[i].Y)}L{Svg.N(rib.Ring[^(i + 1)].X)} {Svg.N(rib.Ring[^(i + 1)].Y)}"));
        svg.Empty("path", ("d", d), ("stroke", edge), ("stroke-width", thin * 0.7), ("opacity", 0.5));
    }

    /// <summary>The box with a cross that a strap is sewn down with.</summary>
    private static void Box(Svg svg, Obstacle strap, string stroke, double thin)
    {
        var (x0, x1, y1) = (strap.Ring.Min(p => p.X) + 3, strap.Ring.Max(p => p.X) - 3, strap.Ring.Max(p => p.Y) - 3);
        var y0 = y1 - (x1 - x0);
        svg.Empty("path", ("d",
            $"M{Svg.N(x0)} {Svg.N(y0)}H{Svg.N(x1)}V{Svg.N(y1)}H{Svg.N(x0)}ZL{Svg.N(x1)} {Svg.N(y1)}M{Svg.N(x1)} {Svg.N(y0)}L{Svg.N(x0)} "
                + $"{Svg.N(y1)}"), ("stroke", stroke), ("stroke-width", thin), ("stroke-dasharray", "2.5 1.5"), ("fill", "none"));
    }

    /// <summary>A button with its four holes; a buttonhole as a bar.</summary>
    private static void Button(Svg svg, Obstacle button, double thin)
    {
        var middle = new Pt(button.Ring.Average(p => p.X), button.Ring.Average(p => p.Y));
        var round = button.Ring.Count > 8;
        svg.Empty("path", ("d", Svg.Ring(button.Ring)), ("fill", round ? "#efe9d9" : "none"), ("stroke", "#7c7767"),
            ("stroke-width", thin));
        foreach (var (x, y) in round ? new[] { (1.3, 1.3), (-1.3, 1.3), (1.3, -1.3), (-1.3, -1.3) } : [])
        {
            svg.Empty("circle", ("cx", middle.X + x), ("cy", middle.Y + y), ("r", 0.7), ("fill", "#7c7767"));
        }
    }

    /// <summary>Small folds that a cord draws.</summary>
    private static void Gathers(Svg svg, Obstacle channel, string stroke, double thin)
    {
        var (x0, x1, y0, y1) = (channel.Ring.Min(p => p.X), channel.Ring.Max(p => p.X), channel.Ring.Min(p => p.Y),
            channel.Ring.Max(p => p.Y));
        var d = string.Concat(Enumerable.Range(1, (int)((x1 - x0) / 9)).Select(i =>
            $"M{Svg.N(x0 + (i * 9))} {Svg.N(y0)}l{Svg.N(i % 2 == 0 ? 1.5 : -1.5)} {Svg.N(y1 - y0)}"));
        svg.Empty("path", ("d", d), ("stroke", stroke), ("stroke-width", thin * 0.8), ("opacity", 0.5));
    }

    private static void Band(Svg svg, Obstacle band, string fill)
    {
        var (x, y) = (band.Ring.Min(p => p.X), band.Ring.Min(p => p.Y));
        var (w, h) = (band.Ring.Max(p => p.X) - x, band.Ring.Max(p => p.Y) - y);
        svg.Empty("rect", ("x", x), ("y", y), ("width", w), ("height", h * 0.38), ("fill", fill), ("opacity", 0.85));
        svg.Empty("rect", ("x", x), ("y", y + (h * 0.52)), ("width", w), ("height", h * 0.14), ("fill", fill), ("opacity", 0.85));
        svg.Empty("rect", ("x", x), ("y", y + (h * 0.8)), ("width", w), ("height", h * 0.2), ("fill", fill), ("opacity", 0.85));
    }
}
