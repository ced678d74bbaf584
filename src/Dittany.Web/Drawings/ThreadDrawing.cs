using System.Text;
using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.Planning;
using Dittany.Core.Stitches.Needle;
using Dittany.Formats.Drawings;

namespace Dittany.Web.Drawings;

/// <summary>
/// Stitches as thread: thickness, a shadow where they lie on the cloth, sheen along the top, and the twist of the strands. Each kind as it
/// lies.
/// </summary>
internal static class ThreadDrawing
{
    /// <summary>
    /// Draws the stitches of an element; <paramref name="name"/> keeps names apart where several drawings stand on one page.
    /// </summary>
    public static void Stitched(Svg svg, PlannedElement element, double px, string name)
    {
        // What lies over comes after what lies under it, whatever their colours.
        foreach (var group in Runs(element.Parts))
        {
            var width = group[0].Thread.Size.WidthMm;
            foreach (var tone in group.SelectMany(Toned).GroupBy(t => t.Tone, StringComparer.Ordinal))
            {
                var thread = Colour.Parse(tone.Key);
                foreach (var (stitches, shine) in Shining(tone.Select(t => (t.Part, t.Stitch)).ToArray()))
                {
                    Layer(svg, stitches.Where(s => s.Shape is not (StitchShape.Whip or StitchShape.Knot)), thread, width, px, name, shine);
                    Layer(svg, stitches.Where(s => s.Shape == StitchShape.Whip), thread, width, px, name, shine);
                }

                foreach (var (_, part, knot) in tone.Where(t => t.Stitch.Shape == StitchShape.Knot))
                {
                    Knot(svg, knot.FromMm, part.LineWidthMm / 2, thread, width, px);
                }
            }
        }
    }

    /// <summary>Stitches with the colour each has: that of their thread, or the tone it has there.</summary>
    private static IEnumerable<(string Tone, Part Part, Stitch Stitch)> Toned(Part part) =>
        part.Stitches.Select((s, i) => (part.Tones.Count > 0 ? part.Tones[i] : part.Colour, part, s));

    private static List<List<Part>> Runs(IReadOnlyList<Part> parts)
    {
        var runs = new List<List<Part>>();
        foreach (var part in parts)
        {
            if (runs.Count > 0 && runs[^1][0] is var first
                && (first.Thread, first.Layer) == (part.Thread, part.Layer))
            {
                runs[^1].Add(part);
            }
            else
            {
                runs.Add([part]);
            }
        }

        return runs;
    }

    /// <summary>From strand to strand of a twist, in widths of the thread.</summary>
    private const double TwistPitch = 0.8;

    /// <summary>A thread narrower than this on the screen shows no twist, and so many are drawn one by one at the most.</summary>
    private const double TwistFromPx = 2.8;

    private const int MostTwists = 3000;

    /// <summary>Directions that threads side by side are told apart by, in half a turn.</summary>
    private const int Directions = 8;

    /// <summary>How much lighter or darker than its colour a surface of threads looks by how it lies to the light (from memory).</summary>
    private const double Shine = 0.12;

    /// <summary>The light comes from the upper left: threads that lie across its way shine most.</summary>
    private const double LightRadians = -Math.PI / 4;

    /// <summary>
    /// Stitches that shine alike: those of lines as they are; where threads lie side by side each direction by itself, as satin looks
    /// lighter or darker with the way it lies.
    /// </summary>
    private static IEnumerable<(IReadOnlyList<Stitch> Stitches, double Shine)> Shining(IReadOnlyList<(Part Part, Stitch Stitch)> lain)
    {
        if (lain.Where(l => l.Part.Filling is null).Select(l => l.Stitch).ToArray() is { Length: > 0 } lines)
        {
            yield return (lines, 1);
        }

        foreach (var way in lain.Where(l => l.Part.Filling is not null).Select(l => l.Stitch).GroupBy(Direction).OrderBy(g => g.Key))
        {
            yield return (way.ToArray(), 1 + (Shine * Math.Cos(2 * ((way.Key * Math.PI / Directions) - LightRadians))));
        }

        static int Direction(Stitch stitch)
        {
            var way = stitch.ToMm - stitch.FromMm;
            return ((int)Math.Round(Math.Atan2(way.Y, way.X) / Math.PI * Directions) + Directions) % Directions;
        }
    }

    /// <summary>Points nearer to the line than this are not drawn: a tenth of a mark's width.</summary>
    private const double DrawnWithinMm = 0.03;

    /// <summary>Or by less than this of what a screen can show.</summary>
    private const double DrawnWithinPx = 0.2;

    /// <summary>The lines that are transferred, in a colour that shows on this cloth.</summary>
    public static void Marks(Svg svg, Plan plan, PlannedElement element, double px)
    {
        var ink = plan.Item.Cloth.Dark ? "#f4f1e6" : "#23628f";
        foreach (var part in element.Parts)
        {
            if (part.LineMm.Count == 1)
            {
                svg.Empty("circle", ("class", "mark"), ("cx", part.LineMm[0].X), ("cy", part.LineMm[0].Y), ("r", Math.Max(0.5, 1.8 * px)),
                    ("fill", ink));
                continue;
            }

            var line = Polyline.Simplified(part.Closed ? [.. part.LineMm, part.LineMm[0]] : part.LineMm,
                Math.Max(DrawnWithinMm, DrawnWithinPx * px));
            svg.Empty("path", ("class", "mark"), ("d", Svg.Steps(line, px)), ("stroke", ink),
                ("stroke-width", Math.Max(0.35, 1.1 * px)), ("fill", "none"), ("stroke-linecap", "round"));
        }
    }

    private static void Layer(Svg svg, IEnumerable<Stitch> stitches, Colour thread, double width, double px, string name,
        double shine)
    {
        var (bodies, twists) = (new StringBuilder(), new StringBuilder());
        var lain = stitches.Select(s => Lies(s, width)).ToArray();
        var near = width >= TwistFromPx * px;
        var drawn = near && lain.Sum(l => Polyline.Length(l)) / (width * TwistPitch) <= MostTwists;
        foreach (var line in lain)
        {
            bodies.Append(Svg.Steps(line, px));
            if (drawn)
            {
                for (var i = 1; i < line.Count; i++)
                {
                    Twist(twists, line[i - 1], line[i], width);
                }
            }
        }

        if (bodies.Length == 0)
        {
            return;
        }

        thread = shine == 1 ? thread : Colour.Parse(ItemDrawing.Shade(thread, shine));

        var sheen = thread.ToLab().L > 80 ? ItemDrawing.Shade(thread, 0.86) : ItemDrawing.Shade(thread, 1.4);
        // The lines are written once and drawn three times: as shadow, thread and sheen.
        var id = $"{name}-{svg.Count()}";
        svg.Open("defs").Empty("path", ("id", id), ("d", bodies), ("stroke-linecap", "round"), ("stroke-linejoin", "round"),
            ("fill", "none")).Close();
        svg.Empty("use", ("href", $"#{id}"), ("stroke", "#12100d"), ("stroke-width", width + (0.9 * px)), ("opacity", 0.28));
        svg.Empty("use", ("class", "thread"), ("href", $"#{id}"), ("stroke", thread), ("stroke-width", width));
        if (near && !drawn)
        {
            // Too many to draw one by one: the same pitch as dashes of the lines themselves.
            svg.Empty("use", ("href", $"#{id}"), ("stroke", ItemDrawing.Shade(thread, 0.7)), ("stroke-width", width * 0.8),
                ("stroke-dasharray", $"{Svg.N(width * 0.12)} {Svg.N(width * (TwistPitch - 0.12))}"), ("opacity", 0.3));
        }

        if (twists.Length > 0)
        {
            svg.Empty("path", ("d", twists), ("stroke", ItemDrawing.Shade(thread, 0.7)), ("stroke-width", width * 0.14),
                ("stroke-linecap", "round"), ("opacity", 0.75));
        }

        svg.Empty("use", ("href", $"#{id}"), ("stroke", sheen), ("stroke-width", width * 0.22), ("opacity", 0.55),
            ("transform", $"translate({Svg.N(-width * 0.12)} {Svg.N(-width * 0.16)})"));
    }

    /// <summary>Where the thread of a stitch lies on the face: a loop round, a rope-like one aslant, all else straight.</summary>
    public static IReadOnlyList<Pt> Lies(Stitch stitch, double width)
    {
        if (stitch.PathMm is { } path)
        {
            return path;
        }

        if (stitch.Side != 0 && stitch.LengthMm > 0)
        {
            var way = stitch.ToMm - stitch.FromMm;
            var slant = stitch.Shape == StitchShape.Whip ? 0.42 : 0.28;
            var aside = new Pt(-way.Y, way.X) * (stitch.Side * width * slant / way.Length);
            var (from, to) = Inset(stitch.FromMm - aside, stitch.ToMm + aside, stitch.Shape == StitchShape.Whip ? 0 : width * 0.2);
            return [from, to];
        }

        var (a, b) = Inset(stitch.ToMm, stitch.FromMm, width * 0.3);
        return [a, b];
    }

    private static void Knot(Svg svg, Pt at, double radius, Colour thread, double width, double px)
    {
        svg.Empty("circle", ("cx", at.X), ("cy", at.Y), ("r", radius + (0.45 * px)), ("fill", "#12100d"), ("opacity", 0.28));
        svg.Empty("circle", ("class", "thread"), ("cx", at.X), ("cy", at.Y), ("r", radius), ("fill", thread));
        svg.Empty("path", ("d",
            $"M{Svg.N(at.X - (radius * 0.6))} {Svg.N(at.Y)}A{Svg.N(radius * 0.6)} {Svg.N(radius * 0.6)} 0 1 1 {Svg.N(at.X)} "
                + $"{Svg.N(at.Y + (radius * 0.6))}"), ("stroke", ItemDrawing.Shade(thread, 0.7)), ("stroke-width", width * 0.16), ("fill", "none"));
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
        for (var at = width * 0.45; at < length; at += width * TwistPitch)
        {
            var middle = a + (along * at);
            Segment(d, middle - (across * (width * 0.36)) - (along * (width * 0.22)), middle + (across * (width * 0.36))
                + (along * (width * 0.22)));
        }
    }
}
