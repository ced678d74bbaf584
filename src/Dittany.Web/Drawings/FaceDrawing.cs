using Dittany.Core.Geometry;
using Dittany.Core.Hooping;
using Dittany.Core.Materials;
using Dittany.Core.Planning;
using Dittany.Core.Route;
using Dittany.Core.Stitches.Needle;
using Dittany.Formats.Drawings;

namespace Dittany.Web.Drawings;

/// <summary>
/// The faces beside the stitched one: rings and what they reach, the back of the work, and the stitches one by one in the order of work.
/// </summary>
internal static class FaceDrawing
{
    /// <summary>Numbered rings with their usable area, one after the other.</summary>
    public static void Hoops(Svg svg, Plan plan, double px)
    {
        var pale = plan.Item.Cloth.Dark ? "#f3e3b0" : "#8a5a1c";
        foreach (var placing in plan.Hooping.Hoops)
        {
            var name = placing.Round ? $"{Core.Materials.Hoops.Inches(placing.HoopMm)} in hoop" : "snap frame";
            svg.Open("g", ("class", "hooping")).Open("title").Text(
                $"Hoop position {placing.Order} of {plan.Hooping.Hoops.Count}, {name}: stitches go to "
                    + $"{Core.Measures.Say.Length(Math.Round(placing.UsableRadiusMm))} from its middle, inside the dashes.").Close();
            var (c, r) = (placing.CentreMm, placing.HoopMm / 2);
            if (placing.Round)
            {
                svg.Empty("circle", ("cx", c.X), ("cy", c.Y), ("r", r + 4), ("fill", "none"), ("stroke", "#c79a5b"), ("stroke-width", 7));
                svg.Empty("circle", ("cx", c.X), ("cy", c.Y), ("r", r + 7.5), ("fill", "none"), ("stroke", "#7d5524"),
                    ("stroke-width", 1.2 * px));
                svg.Empty("circle", ("cx", c.X), ("cy", c.Y), ("r", r + 0.5), ("fill", "none"), ("stroke", "#7d5524"),
                    ("stroke-width", 1.2 * px));

                // The screw, at the top, turned aside from the one before so that overlapping rings stay apart to the eye.
                svg.Empty("rect", ("x", c.X - 5), ("y", c.Y - r - 16), ("width", 10), ("height", 9), ("rx", 1.5), ("fill", "#b9b2a2"),
                    ("stroke", "#5b564b"), ("stroke-width", px));
            }
            else
            {
                svg.Empty("rect", ("x", c.X - r), ("y", c.Y - r), ("width", 2 * r), ("height", 2 * r), ("rx", 6), ("fill", "none"),
                    ("stroke", "#c79a5b"), ("stroke-width", 8));
            }

            svg.Empty("path", ("d", Svg.Ring(placing.UsableMm)), ("fill", "#e6bd4f"), ("fill-opacity", 0.12), ("stroke", pale),
                ("stroke-width", 1.4 * px), ("stroke-dasharray", $"{Svg.N(5 * px)} {Svg.N(4 * px)}"));
            var at = placing.UsableMm.OrderBy(p => p.Y).First() + new Pt(0, 16 * px);
            svg.Empty("circle", ("cx", at.X), ("cy", at.Y), ("r", 10 * px), ("fill", "#fffdf7"), ("stroke", "#7d5524"),
                ("stroke-width", 1.2 * px));
            svg.Label($"{placing.Order}", ("x", at.X), ("y", at.Y + (4.6 * px)), ("font-size", 13 * px), ("text-anchor", "middle"),
                ("fill", "#3d3206"), ("class", "drawn-words"));
            svg.Close();
        }

        if (plan.Hooping.School == School.InHand)
        {
            var box = plan.Elements[0].BoxMm;
            svg.Label("In the hand: no ring.", ("x", box.X + (box.Width / 2)), ("y", box.Y - (14 * px)), ("font-size", 14 * px),
                ("text-anchor", "middle"), ("fill", plan.Item.Cloth.Dark ? "#f3e3b0" : "#5f3d0e"), ("class", "drawn-words"));
        }
    }

    /// <summary>What lies behind: between stitches, jumps, ways under stitches, and where each length begins and ends.</summary>
    public static void Back(Svg svg, Plan plan, double px)
    {
        var parts = plan.Elements.ToDictionary(e => e.Id, e => e.Parts, StringComparer.Ordinal);
        var (thread, jumps, carried) = (new System.Text.StringBuilder(), new System.Text.StringBuilder(), new System.Text.StringBuilder());
        var ends = new List<(Pt At, bool Start, int Run)>();
        Pt? down = null;
        for (var i = 0; i < plan.Route.Count; i++)
        {
            var row = plan.Route[i];
            var stitch = parts[row.Element][row.Part].Stitches[row.Stitch];
            if (down is not { } from || row.FloatKind == FloatKind.NewThread)
            {
                if (down is { } last)
                {
                    ends.Add((last, false, plan.Route[i - 1].Run));
                }

                ends.Add((stitch.FromMm, true, row.Run));
            }
            else if (stitch.Shape != StitchShape.Whip)
            {
                (row.FloatKind switch { FloatKind.Straight => jumps, FloatKind.Carried => carried, _ => thread }).Append(
                    Svg.Steps([from, stitch.FromMm], px));
            }

            down = stitch.DownMm;
        }

        if (down is { } end)
        {
            ends.Add((end, false, plan.Route[^1].Run));
        }

        var (colour, width) = (Colour.Parse(plan.Threads.Count > 0 ? plan.Threads[0].Colour : "#333333"),
            (plan.Threads.Count > 0 ? plan.Threads[0].Thread.Size : 2).WidthMm);
        Line(thread, "lies between stitches", colour.ToString(), width);
        Thin(carried);
        Line(jumps, "jumps straight from one line to the next", "#d0561f", width);
        foreach (var (at, start, run) in ends)
        {
            svg.Open("g", ("class", "thread-end")).Open("title").Text($"Length {run} {(start ? "begins" : "ends")} here.").Close();
            svg.Empty("circle", ("cx", at.X), ("cy", at.Y), ("r", Math.Max(0.9, 3.2 * px)), ("fill", start ? "#3f7d52" : "#fffdf7"),
                ("stroke", start ? "#fffdf7" : "#9a3d17"), ("stroke-width", 1.3 * px));
            svg.Close();
        }

        // The way under the stitches is not told by the route, only from where to where: thin and broken, so that nobody takes it for
        // thread lying free.
        void Thin(System.Text.StringBuilder d)
        {
            if (d.Length > 0)
            {
                svg.Open("g").Open("title").Text("The thread goes on from here to there, carried under stitches already there.").Close();
                svg.Empty("path", ("d", d), ("stroke", plan.Item.Cloth.Dark ? "#a8d3b4" : "#2c6b40"), ("stroke-width", 1.3 * px),
                    ("fill", "none"), ("stroke-dasharray", $"{Svg.N(4 * px)} {Svg.N(4 * px)}"));
                svg.Close();
            }
        }

        void Line(System.Text.StringBuilder d, string told, string stroke, double wide)
        {
            if (d.Length == 0)
            {
                return;
            }

            svg.Open("g").Open("title").Text($"Thread that {told}.").Close();
            // Written once, drawn twice: its shadow and itself.
            var id = $"behind-{svg.Count()}";
            svg.Open("defs").Empty("path", ("id", id), ("d", d), ("stroke-linecap", "round"), ("fill", "none")).Close();
            svg.Empty("use", ("href", $"#{id}"), ("stroke", "#12100d"), ("stroke-width", wide + (0.9 * px)), ("opacity", 0.3));
            svg.Empty("use", ("class", "behind"), ("href", $"#{id}"), ("stroke", stroke), ("stroke-width", wide));
            svg.Close();
        }
    }

    private static string ToneOf(Part part, int stitch) => part.Tones.Count > 0 ? part.Tones[stitch] : part.Colour;

    /// <summary>
    /// Every stitch by itself, numbered in working order; what each tells stands beside the drawing. The first <paramref name="at"/> of
    /// them are worked. <paramref name="done"/> lengths are in the cloth already.
    /// </summary>
    public static void Stitches(Svg svg, Plan plan, int at, double px)
    {
        var parts = plan.Elements.ToDictionary(e => e.Id, e => e.Parts, StringComparer.Ordinal);
        foreach (var (group, index) in plan.Route.Select((row, i) => (row, i)).GroupBy(r =>
            (Colour: ToneOf(parts[r.row.Element][r.row.Part], r.row.Stitch),
                parts[r.row.Element][r.row.Part].Thread.Size)).Select((g, i) => (g, i)))
        {
            var width = group.Key.Size.WidthMm;
            svg.Open("g", ("class", "one-by-one"), ("stroke", group.Key.Colour), ("stroke-width", width), ("stroke-linecap", "round"),
                ("stroke-linejoin", "round"), ("fill", "none"));
            foreach (var (row, i) in group)
            {
                var stitch = parts[row.Element][row.Part].Stitches[row.Stitch];
                var line = ThreadDrawing.Lies(stitch, width);
                var d = stitch.Shape == StitchShape.Knot || line.All(p => p == line[0]) ? $"{Svg.Path([stitch.FromMm])}h0.01"
                    : Svg.Steps(line, px);
                (string, object)[] one = [("class", i < at ? "st" : "st yet"), ("d", d), ("data-i", i)];
                svg.Empty("path", stitch.Shape == StitchShape.Knot
                    ? [.. one, ("stroke-width", parts[row.Element][row.Part].LineWidthMm)] : one);
            }

            svg.Close();
        }
    }

    /// <summary>
    /// The stitches worked up to one in full and the others faint, a path for each colour: where there are too many to be drawn one by one.
    /// With scripts they are painted over in working order, from <see cref="Lines"/>.
    /// </summary>
    public static void WorkedUpTo(Svg svg, Plan plan, int at, double px)
    {
        var parts = plan.Elements.ToDictionary(e => e.Id, e => e.Parts, StringComparer.Ordinal);
        foreach (var group in plan.Route.Select((row, i) => (row, i))
            .GroupBy(r => (Yet: r.i >= at, Colour: ToneOf(parts[r.row.Element][r.row.Part],
            r.row.Stitch), parts[r.row.Element][r.row.Part].Thread.Size.WidthMm)))
        {
            svg.Empty("path", ("class", "static"), ("d", string.Concat(group.Select(r => StitchLine(parts, r.row, group.Key.WidthMm, px)))),
                ("stroke", group.Key.Colour), ("stroke-width", group.Key.WidthMm), ("stroke-linecap", "round"), ("fill", "none"),
                ("stroke-opacity", group.Key.Yet ? 0.16 : 1));
        }
    }

    private static string StitchLine(Dictionary<string, IReadOnlyList<Part>> parts, RouteRow row, double width, double px)
    {
        var stitch = parts[row.Element][row.Part].Stitches[row.Stitch];
        var line = ThreadDrawing.Lies(stitch, width);
        return stitch.Shape == StitchShape.Knot || line.All(p => p == line[0]) ? $"{Svg.Path([stitch.FromMm])}h0.01" : Svg.Steps(line, px);
    }

    /// <summary>
    /// All stitches in working order as a canvas paints them: a line for each, its colour and width in mm where they change, then its
    /// places
    /// in hundredths of a millimetre, each counted from the one before it.
    /// </summary>
    public static string Lines(Plan plan)
    {
        var parts = plan.Elements.ToDictionary(e => e.Id, e => e.Parts, StringComparer.Ordinal);
        var text = new System.Text.StringBuilder();
        var (thread, x, y) = ((string.Empty, 0.0), 0, 0);
        foreach (var row in plan.Route)
        {
            var part = parts[row.Element][row.Part];
            var stitch = part.Stitches[row.Stitch];
            var knot = stitch.Shape == StitchShape.Knot;
            var now = (ToneOf(part, row.Stitch), knot ? part.LineWidthMm : part.Thread.Size.WidthMm);
            if (now != thread)
            {
                thread = now;
                text.Append(System.Globalization.CultureInfo.InvariantCulture, $"{now.Item1} {Svg.N(now.Item2)} ");
            }

            foreach (var p in knot ? [stitch.FromMm] : ThreadDrawing.Lies(stitch, part.Thread.Size.WidthMm))
            {
                var (px, py) = ((int)Math.Round(p.X * 100), (int)Math.Round(p.Y * 100));
                text.Append(System.Globalization.CultureInfo.InvariantCulture, $"{px - x} {py - y} ");
                (x, y) = (px, py);
            }

            text[^1] = '\n';
        }

        return text.ToString();
    }

    /// <summary>A needle where the lengths that are done end.</summary>
    public static void SoFar(Svg svg, Plan plan, int done, double px)
    {
        var parts = plan.Elements.ToDictionary(e => e.Id, e => e.Parts, StringComparer.Ordinal);
        if (done > 0)
        {
            var last = plan.Route.Where(r => r.Run <= done).Select(r => parts[r.Element][r.Part].Stitches[r.Stitch].DownMm).LastOrDefault();
            svg.Open("g", ("class", "so-far")).Open("title").Text(
                $"{Core.Measures.Say.Upper(Core.Measures.Say.Count(done, "length"))} stitched up to here.").Close();
            svg.Empty("path", ("d", $"M{Svg.N(last.X)} {Svg.N(last.Y)}l{Svg.N(16 * px)} {Svg.N(-26 * px)}"), ("stroke", "#8f3a67"),
                ("stroke-width", 3 * px), ("stroke-linecap", "round"));
            svg.Empty("circle", ("cx", last.X + (15 * px)), ("cy", last.Y - (24.5 * px)), ("r", 1.2 * px), ("fill", "#fffdf7"));
            svg.Close();
        }
    }
}
