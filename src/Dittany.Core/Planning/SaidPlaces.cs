using System.Text.RegularExpressions;

namespace Dittany.Core.Planning;

/// <summary>Something more that is said to go elsewhere on the item: words, or so many of a motif, at a zone.</summary>
public sealed record SaidAt(string? Zone, string? Words, string? Motif, int? MotifCount, string? Arrangement);

/// <summary>
/// Several places in one saying: “Mia on the chest and a daisy on the sleeve”. What is said of a part that the item does not have stays
/// where it was.
/// </summary>
internal static partial class SaidPlaces
{
    /// <summary>
    /// What goes to each part that is named, in order; what comes behind the last of them goes to <paramref name="last"/>. Null where
    /// fewer than two places are said. <paramref name="zoneOf"/> finds the zone of a part, or null.
    /// </summary>
    public static IReadOnlyList<(string What, string? Zone)>? Of(string words, Func<string, string?> zoneOf, string? last)
    {
        var said = new List<(string What, string? Zone)>();
        var from = 0;
        foreach (Match clause in Clause().Matches(words))
        {
            if (zoneOf(clause.Groups["part"].Value) is not { } zone)
            {
                continue;
            }

            said.Add((words[from..clause.Index].Trim().Trim(','), zone));
            from = clause.Index + clause.Length;
        }

        var rest = words[from..].Trim().Trim(',').Trim();
        if (rest.Length > 0)
        {
            said.Add((rest, last));
        }

        return said.Count > 1 && said.Select(s => s.Zone).Distinct(StringComparer.Ordinal).Count() > 1 ? said : null;
    }

    [GeneratedRegex(
        @"(?:^|\s)(?:on|onto|at|inside|along|across|above|below|under|round)\s+(?:the|its|his|her|one)\s+(?<part>[\p{L}-]+(?:\s+[\p{L}-]+){0,2}?)\s*(?:,\s*(?:and\s+)?|\s+and\s+|\s*&\s*|$)",
        RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture, 1000)]
    private static partial Regex Clause();
}
