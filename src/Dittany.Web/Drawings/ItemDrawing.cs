using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Planning;

namespace Dittany.Web.Drawings;

/// <summary>The item itself: cloth with a hint of its weave, hems with their stitching, the band.</summary>
internal static class ItemDrawing
{
    /// <summary>Draws into <paramref name="svg"/> in mm of the face. <paramref name="id"/> keeps pattern names apart where several items stand on one page.</summary>
    public static void Draw(Svg svg, Plan plan, string id, double px)
    {
        var cloth = plan.Item.Cloth.Colour;
        var (darker, lighter) = (Shade(cloth, plan.Item.Cloth.Dark ? 0.68 : 0.8), Shade(cloth, plan.Item.Cloth.Dark ? 1.2 : 1.6));
        var weave = Math.Max(1.6, 3 * px);
        svg.Open("defs")
            .Open("pattern", ("id", $"weave-{id}"), ("width", weave), ("height", weave), ("patternUnits", "userSpaceOnUse"))
            .Empty("rect", ("width", weave), ("height", weave), ("fill", cloth))
            .Empty("path", ("d", $"M0 {Svg.N(weave / 4)}H{Svg.N(weave / 2)}M{Svg.N(weave / 2)} {Svg.N(weave * 3 / 4)}H{Svg.N(weave)}"), ("stroke", darker), ("stroke-width", weave / 8), ("opacity", 0.4))
            .Empty("path", ("d", $"M{Svg.N(weave * 3 / 4)} 0V{Svg.N(weave / 2)}M{Svg.N(weave / 4)} {Svg.N(weave / 2)}V{Svg.N(weave)}"), ("stroke", lighter), ("stroke-width", weave / 8), ("opacity", 0.6))
            .Close().Close();

        var (w, h) = (plan.Item.OutlineMm.Max(p => p.X), plan.Item.OutlineMm.Max(p => p.Y));

        // A loop to hang it by, and a soft shadow under the cloth.
        svg.Empty("path", ("d", $"M{Svg.N((w / 2) - 9)} 4C{Svg.N((w / 2) - 9)} -26 {Svg.N((w / 2) + 9)} -26 {Svg.N((w / 2) + 9)} 4"), ("fill", "none"), ("stroke", darker), ("stroke-width", 4));
        svg.Empty("rect", ("x", 3 * px), ("y", 4 * px), ("width", w), ("height", h), ("fill", "#1f2a24"), ("opacity", 0.2), ("rx", 2));
        svg.Empty("path", ("class", "cloth"), ("d", Svg.Ring(plan.Item.OutlineMm)), ("fill", $"url(#weave-{id})"), ("stroke", Shade(cloth, plan.Item.Cloth.Dark ? 0.5 : 0.62)), ("stroke-width", 1.3 * px));
        foreach (var obstacle in plan.Space.Obstacles)
        {
            if (obstacle.Kind == ObstacleKind.Print)
            {
                Band(svg, obstacle);
            }
            else
            {
                Hem(svg, obstacle, darker, px);
            }
        }
    }

    /// <summary>A colour lighter (over 1) or darker (under 1).</summary>
    public static string Shade(Colour colour, double by)
    {
        byte Of(byte channel) => (byte)Math.Clamp(by <= 1 ? channel * by : channel + ((255 - channel) * (by - 1)), 0, 255);
        return new Colour(Of(colour.R), Of(colour.G), Of(colour.B)).ToString();
    }

    private static void Band(Svg svg, Obstacle band)
    {
        var (x, y) = (band.Ring.Min(p => p.X), band.Ring.Min(p => p.Y));
        var (w, h) = (band.Ring.Max(p => p.X) - x, band.Ring.Max(p => p.Y) - y);
        svg.Open("g", ("class", "obstacle")).Open("title").Text($"{band.Name}: stitches keep 5 mm clear of it").Close();
        svg.Empty("rect", ("x", x), ("y", y), ("width", w), ("height", h * 0.38), ("fill", "#7d9a86"), ("opacity", 0.85));
        svg.Empty("rect", ("x", x), ("y", y + (h * 0.52)), ("width", w), ("height", h * 0.14), ("fill", "#7d9a86"), ("opacity", 0.85));
        svg.Empty("rect", ("x", x), ("y", y + (h * 0.8)), ("width", w), ("height", h * 0.2), ("fill", "#7d9a86"), ("opacity", 0.85));
        svg.Close();
    }

    private static void Hem(Svg svg, Obstacle hem, string darker, double px)
    {
        var (x1, y1, x2, y2) = (hem.Ring.Min(p => p.X), hem.Ring.Min(p => p.Y), hem.Ring.Max(p => p.X), hem.Ring.Max(p => p.Y));
        svg.Open("g", ("class", "obstacle")).Open("title").Text($"{hem.Name}: stitches keep 8 mm clear of its stitching").Close();
        svg.Empty("rect", ("x", x1), ("y", y1), ("width", x2 - x1), ("height", y2 - y1), ("fill", darker), ("opacity", 0.35));
        var line = hem.Id switch
        {
            "bottom-hem" => new[] { new Pt(x1, y1), new Pt(x2, y1) },
            "top-hem" => [new Pt(x1, y2), new Pt(x2, y2)],
            "left-hem" => [new Pt(x2, y1), new Pt(x2, y2)],
            _ => [new Pt(x1, y1), new Pt(x1, y2)],
        };
        svg.Empty("path", ("d", Svg.Path(line)), ("stroke", darker), ("stroke-width", Math.Max(0.5, 0.9 * px)), ("stroke-dasharray", "2.5 1.5"), ("fill", "none")).Close();
    }
}
