using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.StitchBook;
using Dittany.Core.Words;

namespace Dittany.Core.Telling;

/// <summary>
/// One length of thread in the order of work: what it writes or draws, where it begins and ends among the rows of the route, its stitches,
/// and the minutes up to its end. <paramref name="Fresh"/>: it begins where nothing is stitched yet; <paramref name="Cut"/>: with a thread
/// newly cut, not with what is left on the needle.
/// </summary>
public sealed record RunTold(
    int Run, int Hoop, string Letters, int Stitches, int FirstRow, int LastRow, double Minutes, double MinutesSoFar, string Colour,
        ThreadSize Size, string Stitch, string Needle, bool Fresh, bool Cut)
{
    /// <summary>How many times as long as others its stitches take her, by what was learnt of each stitch.</summary>
    public double StitchPace { get; init; } = 1;

    /// <summary>The earlier length it repeats on another plant of its kind, stitch by stitch; null where there is none.</summary>
    public int? Like { get; init; }

    /// <summary>Said in a line.</summary>
    public string Text => Like is { } like ? $"Length {Run}: as length {like}, now {Letters} · {Say.Count(Stitches, "stitch", "stitches")} · {Say.Minutes(Math.Max(1, Minutes))}"
        : $"Length {Run}: {Letters} · {Say.Count(Stitches, "stitch", "stitches")} · {Say.Minutes(Math.Max(1, Minutes))}";

    /// <summary>The thread it is of, with its needle.</summary>
    public string Thread => $"{Say.Upper(Colour)}, {Size.Said}, {Needle}";
}

/// <summary>The order of work, length by length: for the work sheet and for the face that works the piece.</summary>
public static class RunTelling
{
    /// <summary>All lengths in order. Minutes of stitching are parted by what each stitch takes, the ends evenly by lengths.</summary>
    public static IReadOnlyList<RunTold> Of(Plan plan)
    {
        var parts = plan.Elements.ToDictionary(e => e.Id, e => e.Parts, StringComparer.Ordinal);
        var numbers = plan.Elements.ToDictionary(e => e.Id, Numbered, StringComparer.Ordinal);
        var words = plan.Elements.ToDictionary(e => e.Id, e => e.IsMotif ? [] : WordsOf(e.Text), StringComparer.Ordinal);
        var usual = plan.Route.Select(r => parts[r.Element][r.Part].Stitches[r.Stitch].Seconds).ToArray();
        var seconds = plan.Route.Select((r, i) => usual[i] * plan.Learnt.OfStitch(parts[r.Element][r.Part].Stitch)).ToArray();
        var all = Math.Max(1e-9, seconds.Sum());
        var stitching = Minutes(plan, "stitching");
        var runs = plan.Route.Select((row, i) => (row, i)).GroupBy(r => r.row.Run).ToArray();
        var eachEnd = runs.Length == 0 ? 0 : Minutes(plan, "threads begun and ended") / runs.Length;
        var told = new List<RunTold>();
        var soFar = 0.0;
        var motifs = NamesOf(plan.Elements.Where(e => e.IsMotif).ToArray());
        var alike = new RunsAlike(plan);
        if (motifs.Values.Distinct(StringComparer.Ordinal).Count() < 2)
        {
            motifs.Clear();
        }

        foreach (var run in runs)
        {
            var rows = run.ToArray();
            var minutes = (stitching * rows.Sum(r => seconds[r.i]) / all) + eachEnd;
            soFar += minutes;
            var first = parts[rows[0].row.Element][rows[0].row.Part];
            var worked = rows.Select(r => (r.row.Element, r.row.Part)).Distinct().ToArray();
            var stitches = worked.Select(w => Book.Find(parts[w.Element][w.Part].Stitch).Sure().Name).Distinct(StringComparer.Ordinal)
                .ToArray();
            var needle = plan.Threads.FirstOrDefault(t => t.Thread == first.Thread)?.Needle;
            told.Add(new RunTold(
                run.Key, rows[0].row.Hoop, What(worked, parts, numbers, words, motifs),
                    rows.Length, rows[0].i, rows[^1].i, Math.Round(minutes, 1),
                    Math.Round(soFar, 1), Palette.NameOf(first.Colour), first.Thread.Size,
                Say.List(stitches), needle is null ? string.Empty : Needles.Find(needle).Sure().Name, rows[0].row.Fresh, rows[0].row.Cut)
            {
                Like = alike.Like(rows.Select(r => r.row).ToArray()),
                StitchPace = rows.Sum(r => usual[r.i]) is var plain and > 0 ? rows.Sum(r => seconds[r.i]) / plain : 1,
            });
        }

        return told;
    }

    /// <summary>What each motif is called among the others: the fox; of several daisies, daisy 2.</summary>
    private static Dictionary<string, string> NamesOf(PlannedElement[] motifs) => motifs.GroupBy(e => e.One, StringComparer.Ordinal)
        .SelectMany(g => g.Select((e, i) => (e.Id, Name: g.Count() == 1 ? Say.The(e.One) : $"{e.One} {i + 1}")))
        .ToDictionary(n => n.Id, n => n.Name, StringComparer.Ordinal);

    /// <summary>
    /// Parts of a drawing by what they are, counted through each element: the third petal is 3. One that has no like has no number.
    /// </summary>
    private static Dictionary<int, int> Numbered(PlannedElement element)
    {
        var numbers = new Dictionary<int, int>();
        foreach (var role in element.Parts.Select((p, i) => (Part: p, Index: i)).Where(p => IsDrawn(p.Part)).GroupBy(p => p.Part.Role,
            StringComparer.Ordinal))
        {
            var shapes = role.Select(p => (p.Part.Copy, p.Part.LetterIndex)).Distinct().ToArray();
            foreach (var (part, index) in role)
            {
                numbers[index] = shapes.Length == 1 ? 0 : Array.IndexOf(shapes, (part.Copy, part.LetterIndex)) + 1;
            }
        }

        return numbers;
    }

    /// <summary>Letters as they are written, parts of a drawing by runs of equal ones: petals 1 to 6 and centre.</summary>
    private static string What(IReadOnlyList<(string Element, int Part)> worked, Dictionary<string, IReadOnlyList<Part>> parts,
        Dictionary<string, Dictionary<int, int>> numbers, Dictionary<string, int[]> words, Dictionary<string, string> motifs)
    {
        var told = new List<(string Element, string What)>();
        foreach (var (element, role, of) in Alike(worked, w =>
            (w.Element, IsDrawn(parts[w.Element][w.Part]) ? parts[w.Element][w.Part].Role : string.Empty)))
        {
            told.Add((element, role.Length == 0
                ? Letters(of.Select(w => (parts[element][w.Part].LetterIndex, parts[element][w.Part].Letter)).Distinct().ToArray(),
                    words[element])
                : Counted(role.Replace('-', ' '), of.Select(w => numbers[element][w.Part]).Distinct().ToArray())));
        }

        // Where there are several motifs, a petal is told with its flower.
        var whose = new List<string>();
        for (var from = 0; from < told.Count;)
        {
            var to = from;
            while (to < told.Count && told[to].Element == told[from].Element)
            {
                to++;
            }

            var what = Say.List(told.Skip(from).Take(to - from).Select(t => t.What).ToArray());
            whose.Add(motifs.TryGetValue(told[from].Element, out var motif) ? $"{what} of {motif}" : what);
            from = to;
        }

        return Say.List(whose);
    }

    /// <summary>Letters as they follow each other, a blank where a word ends: e swee.</summary>
    private static string Letters(IReadOnlyList<(int Index, string Letter)> letters, IReadOnlyList<int> words) =>
        string.Concat(letters.Select((l, i) => i > 0 && words.ElementAtOrDefault(l.Index) != words.ElementAtOrDefault(letters[i - 1].Index)
            ? $" {l.Letter}" : l.Letter));

    /// <summary>Which word each letter of a wording belongs to, blanks not counted.</summary>
    private static int[] WordsOf(string text)
    {
        var (word, found) = (0, new List<int>());
        foreach (var letter in Rows.Letters(text.ReplaceLineEndings(" ")))
        {
            if (Rows.IsSpace(letter))
            {
                word++;
            }
            else
            {
                found.Add(word);
            }
        }

        return [.. found];
    }

    /// <summary>What follows each other and is of one kind.</summary>
    private static IEnumerable<(string Element, string Role, IReadOnlyList<(string Element, int Part)> Of)> Alike(
        IReadOnlyList<(string Element, int Part)> worked, Func<(string Element, int Part), (string Element, string Role)> kindOf)
    {
        for (var from = 0; from < worked.Count;)
        {
            var kind = kindOf(worked[from]);
            var to = from;
            while (to < worked.Count && kindOf(worked[to]) == kind)
            {
                to++;
            }

            yield return (kind.Element, kind.Role, worked.Skip(from).Take(to - from).ToArray());
            from = to;
        }
    }

    private static string Counted(string role, int[] numbers)
    {
        if (numbers is [0])
        {
            return role;
        }

        var ranges = new List<string>();
        for (var i = 0; i < numbers.Length;)
        {
            var to = i;
            while (to + 1 < numbers.Length && numbers[to + 1] == numbers[to] + 1)
            {
                to++;
            }

            ranges.Add(to == i ? $"{numbers[i]}" : to == i + 1 ? $"{numbers[i]} and {numbers[to]}" : $"{numbers[i]} to {numbers[to]}");
            i = to + 1;
        }

        return $"{(numbers.Length == 1 ? role : Say.Many(role))} {string.Join(", ", ranges)}";
    }

    private static bool IsDrawn(Part part) => part.Letter == part.Role;

    private static double Minutes(Plan plan, string step) => plan.Time.ByStep.Where(s => s.Step == step).Sum(s => s.Minutes);
}
