using System.Text.RegularExpressions;
using Dittany.Core.Items;
using Dittany.Core.Measures;

namespace Dittany.Core.Sayings;

/// <summary>Sizes and parts of a form by what people call them.</summary>
internal static partial class FormFinding
{
    private static readonly string[] Empty = ["the", "of", "a", "an", "its", "in", "on", "at", "to", "and", "her", "his", "my", "one", "along", "across", "onto", "by", "part", "half", "as", "it", "hangs", "cloth", "name", "year", "for"];

    /// <summary>The size of a form that was said; null where it has none such.</summary>
    public static string? SizeOf(Form form, string said, bool lined)
    {
        var key = said.Trim().ToLowerInvariant().Replace('×', 'x');
        var digits = Digits().Matches(key).Select(m => m.Value).ToArray();
        var fits = form.Sizes.Where(s => s.Lined == lined).ToArray();
        if (key.Length == 0)
        {
            return fits.Length == form.Sizes.Count ? null : fits.Select(s => s.Id).FirstOrDefault();
        }

        if (digits.Length > 0 && !key.StartsWith('a'))
        {
            return fits.Where(s => digits.SequenceEqual(Digits().Matches(s.Id).Select(m => m.Value), StringComparer.Ordinal)
                && (!key.Contains("stuffed", StringComparison.Ordinal) || s.Id.Contains("stuffed", StringComparison.Ordinal))).Select(s => s.Id).FirstOrDefault();
        }

        return fits.FirstOrDefault(s => s.Id == key)?.Id
            ?? (key is "small" or "large" && form.Sizes.Any(s => s.Id == key[..1]) ? key[..1] : null)
            ?? key switch
            {
                "small" => fits.MinBy(s => s.WidthMm * s.HeightMm)?.Id,
                "large" => fits.MaxBy(s => s.WidthMm * s.HeightMm)?.Id,
                _ => fits.Where(s => s.Id.Split('-').Contains(key, StringComparer.Ordinal)).OrderByDescending(s =>
                    s.Id.Split('-')[0] == form.UsualSize.Split('-')[0]).Select(s => s.Id).FirstOrDefault(),
            };
    }

    /// <summary>
    /// The part of a form that shares most words with what was said; null where it shares none. Of several that share as many the one with
    /// the fewest other words is meant, or the first of the form.
    /// </summary>
    public static string? ZoneOf(Form form, string part)
    {
        var said = Content(part);
        if (said.Length == 0)
        {
            said = Content(part, all: true);
        }

        var meant = said.Concat(ZoneNames.Same.Where(s => Content(s.Said, all: true).All(w => said.Contains(w, StringComparer.Ordinal)))
            .SelectMany(s => Content(s.Means))).Distinct(StringComparer.Ordinal).ToArray();
        return form.Zones.Select((z, i) => (z.Id, i, All: Content($"{z.Id.Replace('-', ' ')} {z.Name}")))
            .Select(z => (z.Id, z.i, Own: z.All.Intersect(said, StringComparer.Ordinal).Count(), Shared: z.All.Intersect(meant,
                StringComparer.Ordinal).Count(), z.All.Length, Missing: said.Except(z.All, StringComparer.Ordinal).Count()))
            .Where(z => z.Shared > 0 && (z.Own > 0 || said.Length == 1 || meant.Length > said.Length))
            .OrderByDescending(z => z.Own).ThenByDescending(z => z.Shared).ThenByDescending(z => said.Contains(z.Id,
                StringComparer.Ordinal)).ThenBy(z => z.Length).ThenBy(z => z.i).Select(z => z.Id).FirstOrDefault();
    }

    private static string[] Content(string words, bool all = false) => Words().Matches(words).Select(m => m.Value.ToLowerInvariant())
        .Where(w => all || !Empty.Contains(w, StringComparer.Ordinal))
        .Distinct(StringComparer.Ordinal).ToArray();

    [GeneratedRegex(@"[\p{L}]+", RegexOptions.ExplicitCapture, Patterns.LongestMs)]
    private static partial Regex Words();

    [GeneratedRegex(@"\d+", RegexOptions.ExplicitCapture, Patterns.LongestMs)]
    private static partial Regex Digits();
}
