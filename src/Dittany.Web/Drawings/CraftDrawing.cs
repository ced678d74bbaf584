using System.Text;
using Dittany.Core.Crafts;
using Dittany.Core.Crafts.Appliqueing;
using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Formats.Drawings;

namespace Dittany.Web.Drawings;

/// <summary>
/// What other crafts than thread make, as themselves: paint lies flat with a soft edge, wool is raised and has hairs, a tint is grain in
/// the weave.
/// </summary>
internal static class CraftDrawing
{
    /// <summary>How soft the edge of paint is, mm: half of what it creeps.</summary>
    private const double SoftMm = 0.18;

    /// <summary>One hair of wool on so many mm², each so long, mm; no more than so many in one part.</summary>
    private const double HairMm2 = 2.5;

    private const double HairMm = 3.2;

    private const int MostHairs = 700;

    public static void Draw(Svg svg, Plan plan, double px, string name = "made")
    {
        if (plan.CraftParts.Count == 0)
        {
            return;
        }

        svg.Open("filter", ("id", $"{name}-soft"), ("x", "-5%"), ("y", "-5%"), ("width", "110%"), ("height", "110%"))
            .Empty("feGaussianBlur", ("stdDeviation", SoftMm)).Close();
        svg.Open("pattern", ("id", $"{name}-grain"), ("width", 1.4), ("height", 1.4), ("patternUnits", "userSpaceOnUse"),
            ("patternTransform", "rotate(35)"))
            .Empty("rect", ("width", 1.4), ("height", 0.55), ("fill", "#ffffff"), ("fill-opacity", 0.35)).Close();
        foreach (var part in plan.CraftParts)
        {
            switch (part.Craft)
            {
                case "paint":
                    Area(svg, part, ("filter", $"url(#{name}-soft)"), ("fill-opacity", 0.94));
                    break;
                case "applique":
                    Sewn(svg, part, px, name);
                    break;
                case "beads":
                    Beads(svg, part, px);
                    break;
                case "felt":
                    Wool(svg, part, px, name);
                    break;
                default:
                    Area(svg, part, ("fill-opacity", 0.55));
                    svg.Empty("path", ("d", PathOf(part.ShapeMm)), ("fill", $"url(#{name}-grain)"), ("fill-rule", "evenodd"));
                    break;
            }
        }
    }

    /// <summary>What is cut, laid or drawn for it: openings with their bridges, the edges of wool and tint.</summary>
    public static void Marks(Svg svg, Plan plan, double px)
    {
        foreach (var part in plan.CraftParts)
        {
            svg.Empty("path", ("class", "cut"), ("d", PathOf(part.ShapeMm)), ("fill", part.Craft == "paint" ? part.Colour : "none"),
                ("fill-opacity", 0.18), ("fill-rule", "evenodd"), ("stroke", plan.Item.Cloth.Dark ? "#ffffff" : "#3d3d3d"),
                ("stroke-width", 1.2 * px));
            foreach (var bridge in part.BridgesMm)
            {
                svg.Open("path", ("class", "bridge"), ("d", PathOf(bridge)), ("fill", "#c2553a"), ("fill-opacity", 0.75))
                    .Open("title").Text("A bridge: film that stays standing, and holds what would fall out.").Close().Close();
            }
        }
    }

    private static void Area(Svg svg, CraftPart part, params (string, object)[] how)
    {
        svg.Open("path", [("class", $"made {part.Craft}"), ("d", PathOf(part.ShapeMm)), ("fill", part.Colour), ("fill-rule", "evenodd"), .. how])
            .Open("title").Text(Told(part)).Close().Close();
    }

    /// <summary>A piece with its shadow, and the tiny stitches that go in over its edge.</summary>
    private static void Sewn(Svg svg, CraftPart part, double px, string name)
    {
        svg.Empty("path", ("d", PathOf(part.ShapeMm)), ("fill", "none"), ("stroke", "#000000"), ("stroke-opacity", 0.22), ("stroke-width", 1.2),
            ("stroke-linejoin", "round"), ("filter", $"url(#{name}-soft)"));
        Area(svg, part);
        var ticks = new StringBuilder();
        foreach (var ring in part.ShapeMm.Rings)
        {
            IReadOnlyList<Pt> closed = [.. ring, ring[0]];
            var length = Polyline.Length(closed);
            var count = Math.Max(3, (int)Math.Round(length / FeltShapes.EdgePitchMm));
            for (var i = 0; i < count; i++)
            {
                var (at, on) = (Polyline.At(closed, length * i / count), Polyline.At(closed, Math.Min(length, (length * i / count) + 0.2)));
                var aside = at.To(on) < 1e-6 ? default : new Pt(at.Y - on.Y, on.X - at.X) * (1 / at.To(on));
                var inward = part.ShapeMm.Holds(at + (aside * 0.4)) ? aside : aside * -1;
                var (from, to) = (at - (inward * 0.3), at + (inward * (FeltShapes.EdgeStitchMm - 0.3)));
                ticks.Append(System.Globalization.CultureInfo.InvariantCulture, $"M{Svg.N(from.X)} {Svg.N(from.Y)}L{Svg.N(to.X)} {Svg.N(to.Y)}");
            }
        }

        var light = Core.Materials.Colour.Parse(part.Colour).ToLab().L < 45;
        svg.Empty("path", ("d", ticks.ToString()), ("fill", "none"), ("stroke", light ? "#ffffff" : "#000000"), ("stroke-opacity", 0.35),
            ("stroke-width", Math.Max(0.3, 0.6 * px)), ("stroke-linecap", "round"));
    }

    /// <summary>Each with its light and its bore; a sequin is flat, and has its bead in the middle.</summary>
    private static void Beads(Svg svg, CraftPart part, double px)
    {
        var flat = part.Amount.What.StartsWith("sequins", StringComparison.Ordinal);
        Area(svg, part, ("stroke", "#000000"), ("stroke-opacity", 0.4), ("stroke-width", Math.Max(0.1, 0.4 * px)));
        var (light, bore) = (new StringBuilder(), new StringBuilder());
        foreach (var ring in part.ShapeMm.Rings)
        {
            var (x, y) = (ring.Average(p => p.X), ring.Average(p => p.Y));
            var r = ring.Max(p => p.To(new Pt(x, y)));
            var (at, of) = flat ? (new Pt(x - (r * 0.45), y - (r * 0.45)), r * 0.2) : (new Pt(x - (r * 0.35), y - (r * 0.35)), r * 0.28);
            light.Append(Disc(at, of));
            bore.Append(Disc(new Pt(x, y), flat ? r * 0.36 : r * 0.16));
        }

        svg.Empty("path", ("d", bore.ToString()), ("fill", flat ? "#ffffff" : "#000000"), ("fill-opacity", flat ? 0.55 : 0.3));
        svg.Empty("path", ("d", light.ToString()), ("fill", "#ffffff"), ("fill-opacity", 0.7));
    }

    private static string Disc(Pt at, double r) => string.Create(System.Globalization.CultureInfo.InvariantCulture,
        $"M{Svg.N(at.X - r)} {Svg.N(at.Y)}a{Svg.N(r)} {Svg.N(r)} 0 1 0 {Svg.N(2 * r)} 0a{Svg.N(r)} {Svg.N(r)} 0 1 0 {Svg.N(-2 * r)} 0");

    /// <summary>Raised, with hairs that go over its edge.</summary>
    private static void Wool(Svg svg, CraftPart part, double px, string name)
    {
        var d = PathOf(part.ShapeMm);
        svg.Empty("path", ("d", d), ("fill", "none"), ("stroke", "#000000"), ("stroke-opacity", 0.16), ("stroke-width", 1.6),
            ("stroke-linejoin", "round"), ("filter", $"url(#{name}-soft)"));
        Area(svg, part);
        var (least, most) = part.ShapeMm.Box;
        var chance = new SeededRandom(part.Order);
        var hairs = (int)Math.Min(MostHairs, part.ShapeMm.AreaMm2 / HairMm2);
        var (light, dark) = (new StringBuilder(), new StringBuilder());
        for (var (drawn, tried) = (0, 0); drawn < hairs && tried < 6 * hairs; tried++)
        {
            var at = new Pt(chance.Between(least.X, most.X), chance.Between(least.Y, most.Y));
            if (!part.ShapeMm.Holds(at))
            {
                continue;
            }

            drawn++;
            var (turn, bend) = (chance.Between(0, Math.PI), chance.Between(-0.9, 0.9));
            var way = new Pt(Math.Cos(turn), Math.Sin(turn)) * (HairMm * chance.Between(0.5, 1));
            var aside = new Pt(-way.Y, way.X) * (bend / 2);
            (drawn % 2 == 0 ? light : dark).Append(System.Globalization.CultureInfo.InvariantCulture,
                $"M{Svg.N(at.X)} {Svg.N(at.Y)}q{Svg.N((way.X / 2) + aside.X)} {Svg.N((way.Y / 2) + aside.Y)} {Svg.N(way.X)} {Svg.N(way.Y)}");
        }

        foreach (var (path, ink, over) in new[] { (dark, "#000000", 0.13), (light, "#ffffff", 0.3) })
        {
            svg.Empty("path", ("d", path.ToString()), ("fill", "none"), ("stroke", ink), ("stroke-opacity", over),
                ("stroke-width", Math.Max(0.22, 0.5 * px)), ("stroke-linecap", "round"));
        }
    }

    private static string Told(CraftPart part) =>
        $"{Say.Upper(part.Role)}: {Core.Materials.Palette.NameOf(part.Colour)}, {Say.Number(part.Amount.Amount, 2)} {part.Amount.Unit}.";

    private static string PathOf(Region region)
    {
        var path = new StringBuilder();
        foreach (var ring in region.Rings)
        {
            for (var i = 0; i < ring.Count; i++)
            {
                path.Append(i == 0 ? 'M' : 'L').Append(Svg.N(ring[i].X)).Append(' ').Append(Svg.N(ring[i].Y));
            }

            path.Append('Z');
        }

        return path.ToString();
    }
}
