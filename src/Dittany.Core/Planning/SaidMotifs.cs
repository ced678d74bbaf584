using System.Globalization;
using System.Text.RegularExpressions;
using Dittany.Core.Measures;
using Dittany.Core.Motifs;

namespace Dittany.Core.Planning;

/// <summary>
/// Motifs in what was taken for the words: a leaf, two daisies, Zoë with a heart. With an article or a number it is the motif; a bare small
/// word is asked about.
/// </summary>
internal static partial class SaidMotifs
{
    private static readonly string[] Numbers = ["a", "an", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten",
        "eleven", "twelve"];

    /// <summary>How many of a motif are said to stand together, as people say it.</summary>
    private static readonly Dictionary<string, string> Ways = new(StringComparer.OrdinalIgnoreCase)
    {
        ["ring"] = "ring",
        ["wreath"] = "ring",
        ["circle"] = "ring",
        ["row"] = "row",
        ["line"] = "row",
        ["zigzag"] = "zigzag",
        ["pair"] = "pair",
        ["border"] = "border",
        ["scatter"] = "scatter",
        ["scattering"] = "scatter",
        ["field"] = "scatter",
        ["handful"] = "scatter",
    };

    /// <summary>What motifs are called: by their names, and by the last word of a name that no other shares.</summary>
    private static readonly Dictionary<string, string> Called = MotifLibrary.All.Select(m => (Word: m.Name.ToLowerInvariant(), m.Id))
        .Concat(MotifLibrary.All.GroupBy(m => m.Name.Split(' ')[^1].ToLowerInvariant(), StringComparer.Ordinal).Where(g =>
            g.Count() == 1).Select(g => (Word: g.Key, g.First().Id)))
        .DistinctBy(m => m.Word, StringComparer.Ordinal)
        .ToDictionary(m => m.Word, m => m.Id, StringComparer.Ordinal);

    public static Understood Told(Understood heard)
    {
        if (heard.Words is not { } words)
        {
            return heard;
        }

        // A pair of cherries is one motif that is called so.
        if (Arranged().Match(words) is { Success: true } many && Find(many.Groups["motif"].Value) is { } each
            && !(Ways[many.Groups["way"].Value] == "pair" && MotifLibrary.Find(each).Sure().Name.EndsWith('s')))
        {
            var (way, count) = (Ways[many.Groups["way"].Value], CountOf(many.Groups["count"].Value));
            return heard with
            {
                Words = null,
                Motif = each,
                Arrangement = way,
                MotifCount = count is { } n ? Math.Min(n, Arranging.MostCopies) : null,
                Questions = count > Arranging.MostCopies
                    ? [.. heard.Questions, $"{Arranging.MostCopies} of a motif is the most in one element: so many are taken. Say fewer, or add "
                        + $"the motif again on the bench."] : heard.Questions,
            };
        }

        if (Alone().Match(words) is { Success: true } alone && Find(alone.Groups["motif"].Value) is { } motif)
        {
            return heard with { Words = null, Motif = motif, MotifCount = CountOf(alone.Groups["count"].Value) };
        }

        if (With().Match(words) is { Success: true } with && Find(with.Groups["motif"].Value) is { } beside)
        {
            return heard with { Words = with.Groups["words"].Value.Trim(), Motif = beside };
        }

        return heard.Form is not null && words.All(c => !char.IsUpper(c)) && Find(words) is not null
            ? heard with
            {
                Questions = [.. heard.Questions,
                $"“{words}” is taken for the word. If it is the motif, say “a {words}”, or pick it below."]
            }
            : heard;
    }

    private static string? Find(string said)
    {
        var word = said.Trim().ToLowerInvariant();
        return Called.GetValueOrDefault(word) ?? Singular(word).Select(s => Called.GetValueOrDefault(s)).FirstOrDefault(id => id
            is not null);
    }

    private static IEnumerable<string> Singular(string word)
    {
        if (word.EndsWith("ies", StringComparison.Ordinal))
        {
            yield return $"{word[..^3]}y";
        }

        if (word.EndsWith("ves", StringComparison.Ordinal))
        {
            yield return $"{word[..^3]}f";
        }

        if (word.EndsWith('s'))
        {
            yield return word[..^1];
        }
    }

    private static int? CountOf(string said) => Array.IndexOf(Numbers, said.ToLowerInvariant()) is > 2 and var at ? at - 1
        : int.TryParse(said, NumberStyles.None, CultureInfo.InvariantCulture, out var number) && number > 1 ? number : null;

    [GeneratedRegex(@"^(?:an?\s+|the\s+)?(?<way>ring|pair|wreath|circle|row|line|zigzag|border|scatter|scattering|field|handful)\s+of\s+"
        + @"(?:(?<count>two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|\d{1,3})\s+)?(?<motif>[\p{L}’' -]+)$",
        RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture, 1000)]
    private static partial Regex Arranged();

    [GeneratedRegex(@"^(?<count>an?|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|\d{1,2})\s+(?<motif>[\p{L}’' -]+)$",
        RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture, 1000)]
    private static partial Regex Alone();

    [GeneratedRegex(@"^(?<words>.+?)\s*,?\s+(?:with|and|plus)\s+an?\s+(?<motif>[\p{L}’' -]+)$",
        RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture | RegexOptions.Singleline, 1000)]
    private static partial Regex With();
}

/// <summary>How many letters two words are apart.</summary>
internal static class Slips
{
    /// <summary>Letters to be put in, left out, changed or swapped with their neighbour (Damerau 1964, by optimal alignment).</summary>
    public static int Between(string one, string other)
    {
        var cost = new int[one.Length + 1, other.Length + 1];
        for (var i = 0; i <= one.Length; i++)
        {
            for (var j = 0; j <= other.Length; j++)
            {
                cost[i, j] = i == 0 ? j : j == 0 ? i : Math.Min(Math.Min(cost[i - 1, j] + 1, cost[i, j - 1] + 1), cost[i - 1, j - 1]
                    + (one[i - 1] == other[j - 1] ? 0 : 1));
                if (i > 1 && j > 1 && one[i - 1] == other[j - 2] && one[i - 2] == other[j - 1])
                {
                    cost[i, j] = Math.Min(cost[i, j], cost[i - 2, j - 2] + 1);
                }
            }
        }

        return cost[one.Length, other.Length];
    }
}
