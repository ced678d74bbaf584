using System.Globalization;
using System.Text;
using System.Text.RegularExpressions;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Time;

namespace Dittany.Core.Planning;

/// <summary>Three answers as understood from one saying. Null members were not said; <paramref name="NotUnderstood"/> holds the words that were taken for nothing.</summary>
public sealed record Understood(string? Words, string? Form, string? Size, string? Colour, string? Cloth, DateOnly? DueOn, string? NotUnderstood);

/// <summary>
/// Reads a saying such as “Zoë on a bodysuit for Sunday week”: the words, the item with its size, colour and cloth, and the day. Words in quotation marks are taken as
/// they stand. Not a guess: what is left over is told, never dropped silently.
/// </summary>
public static partial class Asking
{
    /// <summary>What people call the forms, the longest names first.</summary>
    private static readonly (string Word, string Form)[] Called = Catalogue.Forms
        .SelectMany(f => f.AlsoCalled.Append(f.Name).Select(word => (Word: word, f.Id)))
        .DistinctBy(n => n.Word, StringComparer.OrdinalIgnoreCase)
        .OrderByDescending(n => n.Word.Length)
        .ThenBy(n => n.Word, StringComparer.Ordinal)
        .ToArray();

    private static readonly string AnyItem = string.Join('|', Called.Select(c => Regex.Escape(c.Word)));

    private const string How = @"(?<how>(?:(?!(?:on|onto)\s)[\p{L}-]+\s+){0,4}?)";

    private const string Size = @"(?:,? ?(?:in |of )?(?:size )?(?<size>\d{2,3}(?: ?[x×] ?\d{2,3})?(?: ?cm)?))?";

    private const RegexOptions Loosely = RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture | RegexOptions.Singleline | RegexOptions.CultureInvariant;

    private static readonly Regex ItemWords = new(
        $@"(?:^|(?<=[\s,]))(?:on|onto)\s+(?:(?:an?|the|my|her|his|our|their|this)\s+)?{How}(?<item>{AnyItem})s?(?!\w){Size}", Loosely, TimeSpan.FromSeconds(1));

    private static readonly Regex ItemFirst = new(
        $@"^(?:an?|the|my|her|his|our)?\s*{How}(?<item>{AnyItem})(?!\w){Size}\s*(?:,|:|with|saying|that says|reading)\s+(?<rest>.+)$", Loosely, TimeSpan.FromSeconds(1));

    /// <summary>Understands a saying on a day.</summary>
    public static Understood Of(string said, DateOnly today)
    {
        var text = said.Normalize(NormalizationForm.FormC).ReplaceLineEndings("\n").Trim();
        if (text.Length == 0)
        {
            return new Understood(null, null, null, null, null, null, null);
        }

        // What is quoted is the wording, whatever it says.
        string? quoted = null;
        if (Quoted().Match(text) is { Success: true } marks)
        {
            quoted = marks.Groups["words"].Value.Trim();
            text = string.Concat(text.AsSpan(0, marks.Index), " ", text.AsSpan(marks.Index + marks.Length)).Trim();
        }

        var item = ItemWords.Matches(text).LastOrDefault();
        if (item is null && ItemFirst.Match(text) is { Success: true } first)
        {
            var (wording, day, _) = SplitDay(first.Groups["rest"].Value, today);
            return Told(quoted ?? wording, first, day, null);
        }

        if (item is null)
        {
            var (wording, day, _) = SplitDay(text, today);
            return new Understood(NullIfEmpty(quoted ?? wording), null, null, null, null, day, quoted is null ? null : NullIfEmpty(wording));
        }

        var words = text[..item.Index].Trim().TrimEnd(',');
        var after = text[(item.Index + item.Length)..].Trim().TrimStart(',').Trim();
        var (left, due, _) = SplitDay(after, today);
        if (quoted is null && words.Length == 0)
        {
            // “On a bodysuit, Zoë, for Sunday”: the words come after.
            return Told(left, item, due, null);
        }

        return Told(quoted ?? words, item, due, quoted is null ? left : $"{words} {left}".Trim());
    }

    private static Understood Told(string? words, Match item, DateOnly? due, string? left)
    {
        var form = Catalogue.Find(Called.First(c => string.Equals(c.Word, item.Groups["item"].Value, StringComparison.OrdinalIgnoreCase)).Form)!;
        var adjectives = item.Groups["how"].Value.Trim().ToLowerInvariant();
        var colour = Take(ref adjectives, ClothColours.Words) is { } said ? ClothColours.Find(said)!.Hex : null;
        var cloth = Take(ref adjectives, Cloths.All.Select(c => c.Name).OrderByDescending(n => n.Length).ToArray()) is { } name ? Cloths.All.First(c => c.Name == name).Id : null;
        var lined = Take(ref adjectives, ["lined"]) is not null;
        var size = SizeOf(form, item.Groups["size"].Value, lined);
        var odd = string.Join(' ', new[] { adjectives, item.Groups["size"].Success && size is null ? item.Groups["size"].Value : string.Empty, left ?? string.Empty }.Where(w => w.Length > 0));
        return new Understood(NullIfEmpty(words), form.Id, size, colour, cloth == form.UsualCloth ? null : cloth, due, NullIfEmpty(odd));
    }

    private static string? SizeOf(Form form, string said, bool lined)
    {
        var digits = Digits().Matches(said).Select(m => m.Value).ToArray();
        if (digits.Length == 0 && !lined)
        {
            return null;
        }

        return form.Sizes
            .Where(s => s.Lined == lined && (digits.Length == 0 || digits.SequenceEqual(Digits().Matches(s.Id).Select(m => m.Value), StringComparer.Ordinal)))
            .Select(s => s.Id)
            .FirstOrDefault();
    }

    /// <summary>The longest end of the words that says a day, and what stands before it. A day is introduced by a word such as “for”, or written out.</summary>
    private static (string Words, DateOnly? Day, string? Said) SplitDay(string text, DateOnly today)
    {
        foreach (Match lead in DayLead().Matches(text))
        {
            if (SaidDay.Read(text[lead.Index..], today) is { } day)
            {
                return (text[..lead.Index].Trim().TrimEnd(','), day, text[lead.Index..]);
            }
        }

        return (text, null, null);
    }

    private static string? Take(ref string from, IReadOnlyList<string> words)
    {
        foreach (var word in words)
        {
            var found = Regex.Match(from, $@"(?<!\w){Regex.Escape(word)}(?!\w)", RegexOptions.IgnoreCase, TimeSpan.FromSeconds(1));
            if (found.Success)
            {
                from = from.Remove(found.Index, found.Length).Replace("  ", " ", StringComparison.Ordinal).Trim();
                return word;
            }
        }

        return null;
    }

    private static string? NullIfEmpty(string? words) => string.IsNullOrWhiteSpace(words) ? null : words;

    [GeneratedRegex("[“\"„](?<words>[^“”\"„]+)[”\"“]", RegexOptions.ExplicitCapture, 1000)]
    private static partial Regex Quoted();

    [GeneratedRegex(@"(?:^|(?<=[\s,]))(?:for|by|until|till|on|before|due|wanted|needed|in|tomorrow|today|tonight)(?=\s|$)", RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture, 1000)]
    private static partial Regex DayLead();

    [GeneratedRegex(@"\d+", RegexOptions.ExplicitCapture, 1000)]
    private static partial Regex Digits();
}
