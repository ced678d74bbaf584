using Dittany.Core.Geometry;
using Dittany.Core.Words;

namespace Dittany.Core.Planning;

/// <summary>
/// Letters that are one line of thread: a separate letter alone, joined ones together. The running line comes first, then what a pen comes
/// back for: dots, bars and accents, letter by letter. <paramref name="Index"/> is that of its first letter.
/// </summary>
public sealed record LetterGroup(string Letter, int Index, IReadOnlyList<Stroke> Strokes)
{
    /// <summary>What it is called in a sentence: a letter by itself, joined ones as they are written.</summary>
    public string Named => Rows.Letters(Letter).Count == 1 ? $"the {Letter}" : $"“{Letter}”";

    public static IReadOnlyList<LetterGroup> Of(IReadOnlyList<SetLetter> letters)
    {
        var groups = new List<LetterGroup>();
        for (var from = 0; from < letters.Count;)
        {
            var to = from + 1;
            while (to < letters.Count && letters[to].Joins)
            {
                to++;
            }

            groups.Add(to == from + 1 ? new LetterGroup(letters[from].Letter, from, letters[from].Strokes) : Joined(letters, from, to));
            from = to;
        }

        return groups;
    }

    private static LetterGroup Joined(IReadOnlyList<SetLetter> letters, int from, int to)
    {
        // The first letter runs on from whichever of its strokes ends where the next begins.
        var first = letters[from].Strokes;
        var start = letters[from + 1].Strokes[0].Start;
        var runs = Enumerable.Range(0, first.Count).MinBy(i => first[i].End.To(start));
        var running = new List<Curve>(first[runs].Curves);
        var after = first.Skip(runs + 1).ToList();
        for (var i = from + 1; i < to; i++)
        {
            var curves = letters[i].Strokes[0].Curves;
            running.Add(curves[0] with { P0 = running[^1].P3 });
            running.AddRange(curves.Skip(1));
            after.AddRange(letters[i].Strokes.Skip(1));
        }

        return new LetterGroup(string.Concat(letters.Skip(from).Take(to - from).Select(l => l.Letter)), from,
            [.. first.Take(runs), new Stroke(running, false), .. after]);
    }
}
