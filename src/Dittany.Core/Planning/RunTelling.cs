using Dittany.Core.Effort;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.StitchBook;

namespace Dittany.Core.Planning;

/// <summary>
/// One length of thread in the order of work: what it writes, where it begins and ends among the rows of the route, its stitches, and the minutes up to its end.
/// </summary>
public sealed record RunTold(int Run, int Hoop, string Letters, int Stitches, int FirstRow, int LastRow, double Minutes, double MinutesSoFar, string Colour, int Strands)
{
    /// <summary>Said in a line.</summary>
    public string Text => $"Length {Run}: {Letters} · {Say.Count(Stitches, "stitch", "stitches")} · {Say.Minutes(Math.Max(1, Minutes))}";
}

/// <summary>The order of work, length by length: for the work sheet and for the face that works the piece.</summary>
public static class RunTelling
{
    /// <summary>All lengths in order. Minutes of stitching are parted by what each stitch takes, the ends evenly by lengths.</summary>
    public static IReadOnlyList<RunTold> Of(Plan plan)
    {
        var parts = plan.Elements.ToDictionary(e => e.Id, e => e.Parts, StringComparer.Ordinal);
        var seconds = plan.Route.Select(r => parts[r.Element][r.Part].Stitches[r.Stitch].Seconds).ToArray();
        var all = Math.Max(1e-9, seconds.Sum());
        var stitching = Minutes(plan, "stitching");
        var runs = plan.Route.Select((row, i) => (row, i)).GroupBy(r => r.row.Run).ToArray();
        var eachEnd = runs.Length == 0 ? 0 : Minutes(plan, "threads begun and ended") / runs.Length;
        var told = new List<RunTold>();
        var soFar = 0.0;
        foreach (var run in runs)
        {
            var rows = run.ToArray();
            var minutes = (stitching * rows.Sum(r => seconds[r.i]) / all) + eachEnd;
            soFar += minutes;
            var first = parts[rows[0].row.Element][rows[0].row.Part];
            var letters = string.Concat(rows.Select(r => (r.row.Element, Part: parts[r.row.Element][r.row.Part])).Select(r => (r.Element, r.Part.LetterIndex, r.Part.Letter)).Distinct().Select(l => l.Letter));
            told.Add(new RunTold(run.Key, rows[0].row.Hoop, letters, rows.Length, rows[0].i, rows[^1].i, Math.Round(minutes, 1), Math.Round(soFar, 1), Palette.NameOf(first.Colour), first.Strands));
        }

        return told;
    }

    private static double Minutes(Plan plan, string step) => plan.Time.ByStep.Where(s => s.Step == step).Sum(s => s.Minutes);
}
