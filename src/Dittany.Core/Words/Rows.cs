using System.Globalization;
using System.Text;

namespace Dittany.Core.Words;

/// <summary>Text as letters and rows.</summary>
public static class Rows
{
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
    public static bool IsSpace(string letter) => letter is " " or "\u00a0" or "\u2009" or "\u202f";

    /// <summary>
    /// Rows of a text: forced breaks first; else <paramref name="wanted"/> rows broken at spaces so that the longest is as short as can be. Null where there are too
    /// few words for so many rows, or where forced breaks give another number.
    /// </summary>
    public static IReadOnlyList<string>? Break(string text, int? wanted)
    {
        var forced = text.Normalize(NormalizationForm.FormC).Split('\n').Select(r => r.Trim()).Where(r => r.Length > 0).ToArray();
        if (wanted is null || forced.Length == wanted)
        {
            return forced;
        }

        var words = forced.Length == 1 ? forced[0].Split(' ', StringSplitOptions.RemoveEmptyEntries) : [];
        if (forced.Length != 1 || words.Length < wanted)
        {
            return null;
        }

        // Few words and few rows: every way to break is tried, the first of the best is kept.
        string[]? best = null;
        foreach (var cuts in Cuts(words.Length, wanted.Value - 1, 1))
        {
            var edges = cuts.Prepend(0).Append(words.Length).ToArray();
            var rows = edges.Zip(edges.Skip(1), (a, b) => string.Join(' ', words[a..b])).ToArray();
            if (best is null || rows.Max(r => r.Length) < best.Max(r => r.Length))
            {
                best = rows;
            }
        }

        return best;
    }

    private static IEnumerable<int[]> Cuts(int words, int cuts, int from)
    {
        if (cuts == 0)
        {
            yield return [];
            yield break;
        }

        for (var at = from; at <= words - cuts; at++)
        {
            foreach (var rest in Cuts(words, cuts - 1, at + 1))
            {
                yield return [at, .. rest];
            }
        }
    }
}
