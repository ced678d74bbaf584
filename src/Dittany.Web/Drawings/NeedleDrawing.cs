using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Stitches.Needle;
using Dittany.Core.Telling;
using Dittany.Formats.Drawings;

namespace Dittany.Web.Drawings;

/// <summary>
/// One length of thread large on its real place: what is stitched already, its stitches, and the needle's way through the first of them.
/// </summary>
public static class NeedleDrawing
{
    /// <summary>So many stitches are shown hole by hole.</summary>
    private const int Numbered = 4;

    private const double WidePx = 640;

    private const double RimMm = 5;

    /// <summary>No smaller stretch is shown, mm: else a single stitch would fill the page.</summary>
    private const double LeastMm = 26;

    /// <summary>So wide and so high at the most is the drawing she taps on, px: no wider than a phone.</summary>
    private const double TapWidePx = 340;

    private const double TapHighPx = 420;

    /// <summary>A tap further off than this is on no stitch, px.</summary>
    private const double TapPx = 24;

    /// <summary>
    /// All of the piece that is stitched, for finding where she is: what is done, what is not, and a ring where it goes on. It is
    /// <see cref="TapSize"/> px large.
    /// </summary>
    public static string Whole(Plan plan)
    {
        var parts = Here(plan).ToDictionary(e => e.Id, e => e.Parts, StringComparer.Ordinal);
        var (x, y, px, wide, high) = TapFrame(plan);
        using var svg = new Svg();
        svg.Open("svg", ("xmlns", "http://www.w3.org/2000/svg"), ("viewBox", $"{Svg.N(x)} {Svg.N(y)} {Svg.N(wide * px)} {Svg.N(high * px)}"),
            ("width", wide), ("height", high));
        svg.Empty("rect", ("x", x), ("y", y), ("width", wide * px), ("height", high * px), ("fill", plan.Item.Cloth.Colour));
        var done = plan.Time.Progress is { Stitched: true } progress
            ? plan.Route.Count(r => r.Run <= progress.RunsDone) + progress.Stitches : 0;
        foreach (var (rows, opacity) in new[] { (plan.Route.Skip(done), 0.35), (plan.Route.Take(done), 1.0) })
        {
            foreach (var part in rows.Where(r => parts.ContainsKey(r.Element)).GroupBy(r => (r.Element, r.Part)))
            {
                var of = parts[part.Key.Element][part.Key.Part];
                Thread(svg, part.Select(r => of.Stitches[r.Stitch]), of, px, opacity);
            }
        }

        if (done < plan.Route.Count)
        {
            var at = plan.Route[done] is var next ? parts[next.Element][next.Part].Stitches[next.Stitch].FromMm : default;
            svg.Empty("circle", ("cx", at.X), ("cy", at.Y), ("r", 8 * px), ("fill", "none"), ("stroke", plan.Item.Cloth.Dark ? "#ffffff" : "#1f2a26"),
                ("stroke-width", 2 * px));
        }

        return svg.Close().ToString();
    }

    /// <summary>Width and height of the drawing she taps on, px.</summary>
    public static (int Wide, int High) TapSize(Plan plan) => TapFrame(plan) is var frame ? ((int)frame.Wide, (int)frame.High) : default;

    /// <summary>
    /// The row of the route that was tapped on: the one whose stitch is nearest; null where none is near. In px of the drawing.
    /// </summary>
    public static int? Tapped(Plan plan, double atX, double atY)
    {
        var (x, y, px, _, _) = TapFrame(plan);
        var at = new Pt(x + (atX * px), y + (atY * px));
        var parts = Here(plan).ToDictionary(e => e.Id, e => e.Parts, StringComparer.Ordinal);
        var (row, off) = plan.Route.Select((r, i) => (r, i)).Where(t => parts.ContainsKey(t.r.Element))
            .Select(t => (t.i, parts[t.r.Element][t.r.Part].Stitches[t.r.Stitch] is var s
            ? Polyline.ToSegment(at, s.FromMm, s.ToMm) : 0)).MinBy(r => r.Item2);
        return off <= TapPx * px ? row : null;
    }

    /// <summary>What lies at the place where the needle goes on; all of it where there is only one place.</summary>
    private static IReadOnlyList<PlannedElement> Here(Plan plan)
    {
        if (plan.Places.Count == 0 || plan.Route.Count == 0)
        {
            return plan.Elements;
        }

        var next = plan.Time.Progress.Stage > Core.Time.Stage.OnTheHoop ? null
            : plan.Route.FirstOrDefault(r => r.Run > plan.Time.Progress.RunsDone);
        return plan.Of((next ?? plan.Route[^1]).Element).Elements;
    }

    private static (double X, double Y, double Px, double Wide, double High) TapFrame(Plan plan)
    {
        var boxes = Here(plan).Where(e => e.Sewn).Select(e => e.BoxMm).ToArray();
        var (x, y) = (boxes.Min(b => b.X) - RimMm, boxes.Min(b => b.Y) - RimMm);
        var (w, h) = (boxes.Max(b => b.X + b.Width) + RimMm - x, boxes.Max(b => b.Y + b.Height) + RimMm - y);
        var px = Math.Max(w / TapWidePx, h / TapHighPx);
        return (x, y, px, Math.Ceiling(w / px), Math.Ceiling(h / px));
    }

    /// <summary>One length, of which so many stitches are <paramref name="begun"/> already.</summary>
    public static string Length(Plan plan, RunTold run, int begun = 0)
    {
        var here = plan.Of(plan.Route[run.FirstRow].Element).Elements;
        var parts = here.ToDictionary(e => e.Id, e => e.Parts, StringComparer.Ordinal);
        var rows = plan.Route.Skip(run.FirstRow).Take(run.LastRow - run.FirstRow + 1).ToArray();
        var stitches = rows.Select(r => parts[r.Element][r.Part].Stitches[r.Stitch]).ToArray();
        var places = stitches.SelectMany(s => new[] { s.FromMm, s.ToMm }).ToArray();
        var (x, y) = (places.Min(p => p.X) - RimMm, places.Min(p => p.Y) - RimMm);
        var (w, h) = (places.Max(p => p.X) + RimMm - x, places.Max(p => p.Y) + RimMm - y);
        (x, w) = w < LeastMm ? (x - ((LeastMm - w) / 2), LeastMm) : (x, w);
        (y, h) = h < LeastMm ? (y - ((LeastMm - h) / 2), LeastMm) : (y, h);
        (y, h) = h < w / 2.2 ? (y - (((w / 2.2) - h) / 2), w / 2.2) : (y, h);
        var px = w / WidePx;
        var dark = plan.Item.Cloth.Dark;
        using var svg = new Svg();
        svg.Open("svg", ("class", "length-drawn"), ("viewBox", $"{Svg.N(x)} {Svg.N(y)} {Svg.N(w)} {Svg.N(h)}"), ("role", "img"),
            ("aria-label", $"Length {run.Run} on its place: {run.Letters}"));
        svg.Empty("rect", ("x", x - (4 * w)), ("y", y - (4 * h)), ("width", 9 * w), ("height", 9 * h), ("fill", plan.Item.Cloth.Colour));

        // Lines still to come, then what is stitched, then this length.
        var ink = dark ? "#f4f1e6" : "#23628f";
        foreach (var part in here.SelectMany(e => e.Parts).Where(p => p.LineMm.Count > 1 && p.LineMm.Any(q =>
            q.X > x && q.X < x + w && q.Y > y && q.Y < y + h)))
        {
            svg.Empty("path", ("d", Svg.Steps(Polyline.Simplified(part.Closed ? [.. part.LineMm, part.LineMm[0]] : part.LineMm, 0.1), px)),
                ("fill", "none"), ("stroke", ink), ("stroke-opacity", 0.5), ("stroke-width", 1.4 * px));
        }

        foreach (var part in plan.Route.Take(run.FirstRow).Where(r => parts.ContainsKey(r.Element)).GroupBy(r => (r.Element, r.Part)))
        {
            var of = parts[part.Key.Element][part.Key.Part];
            Thread(svg, part.Select(r => of.Stitches[r.Stitch]).Where(s => Within(s.FromMm) || Within(s.ToMm)), of, px, 0.45);
        }

        foreach (var part in rows.GroupBy(r => (r.Element, r.Part)))
        {
            var of = parts[part.Key.Element][part.Key.Part];
            Thread(svg, part.Select(r => of.Stitches[r.Stitch]), of, px, 1);
        }

        // What is begun of it is thinned like what came before.
        foreach (var part in rows.Take(begun).GroupBy(r => (r.Element, r.Part)))
        {
            var of = parts[part.Key.Element][part.Key.Part];
            svg.Empty("path", ("d", string.Concat(part.Select(r => Svg.Path([of.Stitches[r.Stitch].FromMm, of.Stitches[r.Stitch].ToMm])))), ("fill", "none"),
                ("stroke", plan.Item.Cloth.Colour), ("stroke-width", Math.Max(of.Thread.Size.WidthMm, 2 * px)), ("stroke-opacity", 0.55));
        }

        var number = 0;
        foreach (var move in stitches.Skip(begun).Take(Numbered).SelectMany(s => s.Moves().ToArray()).Where(m => m.Pierces))
        {
            number++;
            svg.Empty("circle", ("cx", move.At.X), ("cy", move.At.Y), ("r", 5 * px), ("fill", move.ComesUp ? "#fffdf6" : "#1f2a26"),
                ("stroke", "#1f2a26"), ("stroke-width", 1.6 * px));
            var aside = number % 2 == 0 ? new Pt(11 * px, 18 * px) : new Pt(-11 * px, -9 * px);
            svg.Label(Svg.N(number), ("x", move.At.X + aside.X), ("y", move.At.Y + aside.Y), ("font-size", 21 * px),
                ("text-anchor", "middle"), ("fill", dark ? "#ffffff" : "#1f2a26"), ("class", "drawn-words"));
        }

        return svg.Close().ToString();

        bool Within(Pt p) => p.X > x && p.X < x + w && p.Y > y && p.Y < y + h;
    }

    private static void Thread(Svg svg, IEnumerable<Stitch> stitches, Part part, double px, double opacity)
    {
        var width = Math.Max(part.Thread.Size.WidthMm, 2 * px);
        var d = string.Concat(stitches.Select(s => s.Shape == StitchShape.Knot ? $"{Svg.Path([s.FromMm])}h0.01"
            : Svg.Steps(ThreadDrawing.Lies(s, width), px)));
        svg.Empty("path", ("d", d), ("fill", "none"), ("stroke", Colour.Parse(part.Colour)), ("stroke-width", width), ("stroke-linecap", "round"),
            ("stroke-linejoin", "round"), ("stroke-opacity", opacity));
    }
}
