using System.Globalization;
using System.Text;
using Dittany.Core.Measures;

namespace Dittany.Core.Words;

/// <summary>Text as letters and rows.</summary>
public static class Rows
{
    /// <summary>Rows tried where nobody said how many.</summary>
    public const int MostTried = 4;

    /// <summary>Words that belong to the one after them: a row does not end with them (common practice of lettering).</summary>
    private static readonly HashSet<string> Leading = new(StringComparer.OrdinalIgnoreCase)
    {
        "&", "+", "and", "und", "et", "y", "e", "i", "og", "och", "en", "the", "a", "an", "of", "to", "for", "from", "with", "my", "our",
            "your", "de", "da", "di", "du", "del", "della",
        "des", "la", "le", "les", "el", "los", "las", "der", "die", "das", "von", "van", "zu", "zur", "zum", "av", "af", "st.", "mr",
            "mrs", "ms", "dr",
    };

    /// <summary>What a bad break costs, in letters of the longest row.</summary>
    private const double BadBreak = 6;

    /// <summary>
    /// Letters as a reader counts them: base and accents together, in NFC. Spaces are letters here. Line breaks are not: split rows first.
    /// </summary>
    public static IReadOnlyList<string> Letters(string row)
    {
        var letters = new List<string>();
        var elements = StringInfo.GetTextElementEnumerator(row.Normalize(NormalizationForm.FormC));
        while (elements.MoveNext())
        {
            letters.Add(elements.GetTextElement());
        }

        return letters;
    }

    /// <summary>Whether a letter is a space: it takes room and leaves no ink.</summary>
    public static bool IsSpace(string letter) => letter is [var c] && char.GetUnicodeCategory(c) == UnicodeCategory.SpaceSeparator;

    /// <summary>
    /// Rows of a text: forced breaks first; else <paramref name="wanted"/> rows broken where sense allows, so that the longest is as short
    /// as can be. A hyphen is never invented, a row never ends with a word that leads to the next. Null where there are too few words for
    /// so many rows, or where forced breaks give another number.
    /// </summary>
    public static IReadOnlyList<string>? Break(string text, int? wanted)
    {
        var forced = text.Normalize(NormalizationForm.FormC).Split('\n').Select(r => r.Trim()).Where(r => r.Length > 0).ToArray();
        if (wanted is null || forced.Length == wanted)
        {
            return forced;
        }

        var words = forced.Length == 1 ? Words(forced[0]) : [];
        return forced.Length != 1 || words.Length < wanted ? null : Best(words, wanted.Value);
    }

    /// <summary>Words as they may be parted: at spaces, but not at those that hold two together.</summary>
    private static string[] Words(string row) => row.Split([' ', '\u2002', '\u2003', '\u2004', '\u2005', '\u2006', '\u2008', '\u2009',
        '\u200a', '\u205f', '\u3000'], StringSplitOptions.RemoveEmptyEntries);

    /// <summary>The ways to break a text that may be tried: as stated or forced, else one row up to a few.</summary>
    public static IReadOnlyList<IReadOnlyList<string>> Ways(string text, int? wanted)
    {
        var own = Break(text, wanted).Sure();
        if (wanted is not null || own.Count > 1)
        {
            return [own];
        }

        var words = Words(own[0]).Length;
        return Enumerable.Range(1, Math.Min(words, MostTried)).Select(rows => Break(text, rows).Sure()).ToArray();
    }

    /// <summary>
    /// The cheapest way to break words into rows: the longest row counts, and every break after a leading word or between initials. By
    /// dynamic programming over the last row's first word, on the pair (longest, bad breaks) weighed together; ties keep the earlier break.
    /// </summary>
    private static string[] Best(string[] words, int rows)
    {
        var length = words.Select(w => Letters(w).Count).ToArray();
        double Row(int from, int to) => length[from..to].Sum() + (to - from - 1);

        // cost[r][i]: words before i in r rows. The longest row and the sum of penalties cannot be told apart from one number, so each
        // longest is tried as a limit.
        var best = (Cost: double.PositiveInfinity, Cuts: Array.Empty<int>());
        var limits = Enumerable.Range(0, words.Length).SelectMany(a =>
            Enumerable.Range(a + 1, words.Length - a).Select(b => Row(a, b))).Distinct().Order();
        foreach (var limit in limits.Where(l => l < best.Cost))
        {
            if (Within(limit) is { } found && limit + found.Penalty < best.Cost)
            {
                best = (limit + found.Penalty, found.Cuts);
            }
        }

        var edges = best.Cuts.Prepend(0).Append(words.Length).ToArray();
        return edges.Zip(edges.Skip(1), (a, b) => string.Join(' ', words[a..b])).ToArray();

        (double Penalty, int[] Cuts)? Within(double limit)
        {
            var cost = new double[rows + 1, words.Length + 1];
            var came = new int[rows + 1, words.Length + 1];
            for (var r = 0; r <= rows; r++)
            {
                for (var i = 0; i <= words.Length; i++)
                {
                    cost[r, i] = r == 0 && i == 0 ? 0 : double.PositiveInfinity;
                }
            }

            for (var r = 1; r <= rows; r++)
            {
                for (var i = r; i <= words.Length; i++)
                {
                    for (var from = i - 1; from >= r - 1 && Row(from, i) <= limit; from--)
                    {
                        var with = cost[r - 1, from] + (from == 0 ? 0 : Bad(words[from - 1], words[from]));
                        if (with <= cost[r, i] && !double.IsPositiveInfinity(with))
                        {
                            (cost[r, i], came[r, i]) = (with, from);
                        }
                    }
                }
            }

            if (double.IsPositiveInfinity(cost[rows, words.Length]))
            {
                return null;
            }

            var cuts = new int[rows - 1];
            var at = words.Length;
            for (var r = rows; r > 1; r--)
            {
                at = came[r, at];
                cuts[r - 2] = at;
            }

            return (cost[rows, words.Length], cuts);
        }
    }

    private static double Bad(string before, string after)
    {
        var initial = before.Length == 2 && before[1] == '.' && after.Length == 2 && after[1] == '.';
        return Leading.Contains(before) || initial ? BadBreak : 0;
    }
}
