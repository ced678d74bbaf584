using System.Text;
using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.Planning;

namespace Dittany.Web.Drawings;

/// <summary>Backstitches as thread: thickness, a shadow where they lie on the cloth, sheen along the top, and the twist of the strands.</summary>
internal static class ThreadDrawing
{
    public static void Stitched(Svg svg, PlannedElement element, double px)
    {
        foreach (var colour in element.Parts.GroupBy(p => (p.Colour, p.LineWidthMm)))
        {
            var thread = Colour.Parse(colour.Key.Colour);
            var width = colour.Key.LineWidthMm;
            var (bodies, twists) = (new StringBuilder(), new StringBuilder());
            foreach (var stitch in colour.SelectMany(p => p.Stitches))
            {
                var (a, b) = Inset(stitch.ToMm, stitch.FromMm, width * 0.3);
                Segment(bodies, a, b);
                Twist(twists, a, b, width);
            }

            var sheen = thread.ToLab().L > 80 ? ItemDrawing.Shade(thread, 0.86) : ItemDrawing.Shade(thread, 1.4);
            svg.Empty("path", ("d", bodies), ("stroke", "#12100d"), ("stroke-width", width + (0.9 * px)), ("stroke-linecap", "round"), ("opacity", 0.28));
            svg.Empty("path", ("class", "thread"), ("d", bodies), ("stroke", thread), ("stroke-width", width), ("stroke-linecap", "round"), ("fill", "none"));
            if (px < 0.6)
            {
                svg.Empty("path", ("d", twists), ("stroke", ItemDrawing.Shade(thread, 0.7)), ("stroke-width", width * 0.14), ("stroke-linecap", "round"), ("opacity", 0.75));
            }

            svg.Empty("path", ("d", bodies), ("stroke", sheen), ("stroke-width", width * 0.22), ("stroke-linecap", "round"), ("opacity", 0.55), ("transform", $"translate({Svg.N(-width * 0.12)} {Svg.N(-width * 0.16)})"));
        }
    }

    /// <summary>The lines that are transferred, in a colour that shows on this cloth.</summary>
    public static void Marks(Svg svg, Plan plan, PlannedElement element, double px)
    {
        var ink = plan.Item.Cloth.Dark ? "#f4f1e6" : "#23628f";
        foreach (var part in element.Parts)
        {
            svg.Empty("path", ("class", "mark"), ("d", part.Closed ? Svg.Ring(part.LineMm) : Svg.Path(part.LineMm)), ("stroke", ink), ("stroke-width", Math.Max(0.35, 1.1 * px)), ("fill", "none"), ("stroke-linecap", "round"));
        }
    }

    private static (Pt A, Pt B) Inset(Pt a, Pt b, double by)
    {
        var length = a.To(b);
        if (length <= 2.4 * by)
        {
            by = length * 0.2;
        }

        return length == 0 ? (a, b) : (Pt.Lerp(a, b, by / length), Pt.Lerp(b, a, by / length));
    }

    private static void Segment(StringBuilder d, Pt a, Pt b) =>
        d.Append('M').Append(Svg.N(a.X)).Append(' ').Append(Svg.N(a.Y)).Append('L').Append(Svg.N(b.X)).Append(' ').Append(Svg.N(b.Y));

    private static void Twist(StringBuilder d, Pt a, Pt b, double width)
    {
        var length = a.To(b);
        if (length == 0)
        {
            return;
        }

        var along = (b - a) * (1 / length);
        var across = new Pt(-along.Y, along.X);
        for (var at = width * 0.45; at < length; at += width * 0.8)
        {
            var middle = a + (along * at);
            Segment(d, middle - (across * (width * 0.36)) - (along * (width * 0.22)), middle + (across * (width * 0.36)) + (along * (width * 0.22)));
        }
    }
}
