using System.Globalization;
using Dittany.Core.Measures;
using Dittany.Core.Time;
using Dittany.Formats.Drawings;

namespace Dittany.Web.Drawings;

/// <summary>
/// The days as a tape measure with the work on it: a thread for each piece along its evenings, its wait in dots, a flag on the day it is
/// given.
/// </summary>
public static class DaysDrawing
{
    private const double WidthPx = 1200;
    private const double TapePx = 34;
    private const double RowPx = 41;

    /// <summary>
    /// The drawing as SVG text. Pieces that are finished, and those that begin after the tape's end, are left out; links go to each piece's
    /// bench.
    /// </summary>
    public static string Draw(IReadOnlyList<Laid> pieces, Evenings evenings, DateOnly today, int days)
    {
        var rows = pieces
            .Where(p => p.Progress.Stage != Stage.Finished)
            .Select(p => (Piece: p, From: Begins(p, today)))
            .Where(p => IsOn(p.Piece, today, days) || p.Piece.Lain.Late)
            .OrderBy(p => p.From).ThenBy(p => p.Piece.Lain.ReadyOn ?? DateOnly.MaxValue).ThenBy(p => p.Piece.Demand.Id)
            .ToArray();
        var (day, height) = (WidthPx / days, TapePx + (Math.Max(1, rows.Length) * RowPx) + 12);
        using var svg = new Svg();
        svg.Open(
            "svg", ("class", "days"), ("viewBox", $"0 0 {Svg.N(WidthPx)} {Svg.N(height)}"), ("role", "group"),
                ("aria-label", $"The next {days} days with the work on them"));
        for (var n = 0; n < days; n++)
        {
            var at = today.AddDays(n);
            var weekend = at.DayOfWeek is DayOfWeek.Saturday or DayOfWeek.Sunday;
            if (weekend)
            {
                svg.Empty("rect", ("x", n * day), ("y", TapePx), ("width", day), ("height", height - TapePx), ("fill", "#fffdf7"),
                    ("opacity", 0.7));
            }

            if (Timing.Worked(at, evenings))
            {
                svg.Empty("line", ("x1", (n * day) + (day * 0.06)), ("y1", TapePx + 3), ("x2", (n * day) + (day * 0.94)),
                    ("y2", TapePx + 3), ("stroke", "#47694f"), ("stroke-width", 2), ("stroke-dasharray", "7 4"));
            }
        }

        svg.Empty("rect", ("width", WidthPx), ("height", TapePx), ("fill", "#e6bd4f"));
        for (var n = 0; n < days; n++)
        {
            var at = today.AddDays(n);
            svg.Empty("path", ("d",
                $"M{Svg.N(n * day)} {Svg.N(TapePx)}v-20M{Svg.N((n + 0.25) * day)} {Svg.N(TapePx)}v-7M{Svg.N((n + 0.5) * day)} "
                    + $"{Svg.N(TapePx)}v-11M{Svg.N((n + 0.75) * day)} {Svg.N(TapePx)}v-7"), ("stroke", "#3d3206"), ("stroke-width", 1));
            svg.Label(n == 0 ? "today" : at.ToString("ddd d", CultureInfo.InvariantCulture), ("x", (n * day) + 6), ("y", 15),
                ("font-size", 13.5), ("fill", "#3d3206"), ("class", "drawn-words"));
        }

        for (var r = 0; r < rows.Length; r++)
        {
            Row(svg, rows[r].Piece, rows[r].From, today, days, day, TapePx + 10 + (r * RowPx));
        }

        svg.Empty("line", ("x1", 1), ("y1", 0), ("x2", 1), ("y2", height), ("stroke", "#1c2b23"), ("stroke-width", 2));
        return svg.Close().ToString();
    }

    /// <summary>Whether a piece is on a tape of so many days: one that is only washed on it, and not today, is not yet.</summary>
    public static bool IsOn(Laid piece, DateOnly today, int days) =>
        piece.Progress.Stage != Stage.Planned || piece.Lain.Stints.Any(s => s.Day == today
            || (s.Of != LegOf.Washing && s.Day.DayNumber - today.DayNumber < days)) || piece.Lain.Stints.Count == 0;

    private static DateOnly Begins(Laid piece, DateOnly today) =>
        piece.Lain.Stints.Select(s => s.Day).Append(piece.Progress.Stage == Stage.Drying ? today : DateOnly.MaxValue).Min() is var first
        && first == DateOnly.MaxValue ? today : first;

    private static void Row(Svg svg, Laid piece, DateOnly from, DateOnly today, int days, double day, double top)
    {
        double X(DateOnly at) => Math.Clamp(at.DayNumber - today.DayNumber, 0, days) * day;
        var line = top + 28;
        var colour = piece.Lain.Late ? "#9a3d17" : piece.Progress.Stage == Stage.Planned ? "#47694f" : "#8f3a67";
        var ready = piece.Lain.ReadyOn is { } end ? end : today.AddDays(days);
        svg.Open("a", ("href", $"/bench/{piece.Demand.Id.ToString(CultureInfo.InvariantCulture)}"));
        svg.Open("title").Text(Told(piece)).Close();

        // The thread goes on under the days between evenings, thin; where it is worked it lies thick.
        var (x0, x1) = (X(from), X(ready.AddDays(1)));
        svg.Empty("line", ("x1", x0 + 3), ("y1", line), ("x2", Math.Max(x1 - 3, x0 + 12)), ("y2", line), ("stroke", colour),
            ("stroke-width", 1.6), ("opacity", 0.55));
        foreach (var hangs in piece.Lain.Hangs)
        {
            var hung = hangs.From is { } w ? X(w) + (day * 0.5) : 0;
            svg.Empty("line", ("x1", hung + 4), ("y1", line), ("x2", X(hangs.DryOn) - 2), ("y2", line), ("stroke", "#c9a96a"),
                ("stroke-width", 6), ("stroke-linecap", "round"), ("stroke-dasharray", "0.1 10"));
        }

        foreach (var stint in piece.Lain.Stints.Where(s => s.Day.DayNumber - today.DayNumber < days))
        {
            // A worked evening is a row of stitches as long as its minutes, at most three quarters of the day.
            var (a, length) = (X(stint.Day) + 4, Math.Max(8, day * 0.72 * Math.Min(1, stint.Minutes / 60)));
            svg.Empty("line", ("x1", a + 3), ("y1", line), ("x2", a + length), ("y2", line), ("stroke", colour), ("stroke-width", 7),
                ("stroke-linecap", "round"), ("stroke-dasharray", "13 9"));
        }

        var flagAt = piece.Lain.DueOn is { } due ? due.DayNumber - today.DayNumber : -1;
        var label = $"{piece.Name}";
        var x = Math.Min(x0 + 4, WidthPx - (label.Length * 8.2) - 10);
        var pole = (flagAt * day) + (day * 0.78);
        if (flagAt >= 0 && flagAt < days && pole > x - 50 && pole < x + (label.Length * 8.6))
        {
            // The name gives way to its flag.
            x = pole + 54;
        }

        svg.Label(label, ("x", Math.Max(4, x)), ("y", top + 16), ("font-size", 16), ("fill", piece.Lain.Late ? "#9a3d17" : "#1c2b23"),
            ("class", "drawn-name"));
        if (flagAt >= 0 && flagAt < days)
        {
            var fx = (flagAt * day) + (day * 0.78);
            svg.Empty("path", ("d", $"M{Svg.N(fx)} {Svg.N(line + 7)}V{Svg.N(line - 19)}h46l-6 6.5l6 6.5h-46"), ("fill", colour),
                ("stroke", colour), ("stroke-width", 2), ("stroke-linejoin", "round"),
                ("transform", fx + 48 > WidthPx ? $"translate({Svg.N(2 * fx)} 0) scale(-1 1)" : "translate(0 0)"));
            svg.Label("given", ("x", fx + 48 > WidthPx ? fx - 23 : fx + 20), ("y", line - 8.5), ("font-size", 11.5),
                ("text-anchor", "middle"), ("fill", "#ffffff"), ("class", "drawn-words"));
        }
        else if (flagAt >= days && x1 < WidthPx - 150)
        {
            svg.Label($"given {Short(piece.Lain.DueOn!.Value)} →", ("x", WidthPx - 6), ("y", line + 4), ("font-size", 12),
                ("text-anchor", "end"), ("fill", "#55605a"), ("class", "drawn-words"));
        }

        svg.Close();
    }

    private static string Told(Laid piece) =>
        $"{piece.Name}: "
            + $"{piece.Progress.Told}{(piece.Lain.ReadyOn is { } ready ? $", ready {Say.Day(ready)}" : string.Empty)}{(piece.Lain.DueOn is { } due ? $", given {Say.Day(due)}" : string.Empty)}{(piece.Lain.Late ? ": late" : string.Empty)}.";

    private static string Short(DateOnly day) => day.ToString("d MMM", CultureInfo.InvariantCulture);
}
