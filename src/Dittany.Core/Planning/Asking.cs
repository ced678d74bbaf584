using System.Text;
using System.Text.RegularExpressions;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Time;

namespace Dittany.Core.Planning;

/// <summary>
/// Reads a saying such as “Zoë on a bodysuit for Sunday week”: the words or the motif, the item with its size, part, colour and cloth,
/// stitch, thread, width, whom it is for, and the day. Words in quotation marks are taken as they stand. Not a guess: what is left over is
/// told, never dropped silently, and never lettered where it looks like something else.
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

    private const string Article = "(?:an?|the|my|her|his|our|their|this)";

    private const string How = @"(?<how>(?:(?!(?:on|onto|of)\s)[\p{L}-]+\s+){0,4}?)";

    private const string Before = @"(?:(?<before>\d{1,3}(?: ?[x×] ?\d{1,3})?)[ -]?(?:inch(?:es)?|in|cm|mm|"")?\s+)?";

    private const string Size = @"(?:,? ?(?:in |of )?(?:size )?(?<size>\d{2,3}(?: ?[x×] ?\d{2,3})?(?: ?cm)?)(?![\d.,]*\s*(?:cm|mm|in|inch|inches)?\s+(?:wide|across|high|tall)))?";

    private const string Part = @"[\p{L}-]+(?:\s+[\p{L}-]+){0,2}";

    private const RegexOptions Loosely =
        RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture | RegexOptions.Singleline | RegexOptions.CultureInvariant;

    private static readonly TimeSpan Most = TimeSpan.FromSeconds(1);

    /// <summary>The item behind “on”, or behind “of” where a part of it was named first.</summary>
    private static readonly Regex ItemWords = new(
        $@"(?:^|(?<=[\s,]))(?:(?:on|onto)\s+(?:{Article}\s+)?|(?:of|in|inside)\s+{Article}\s+){Before}{How}(?<item>{AnyItem})s?(?!\w){Size}", Loosely, Most);

    private static readonly Regex ItemFirst = new(
        $@"^(?:{Article}\s+)?{Before}{How}(?<item>{AnyItem})s?(?!\w){Size}\s*(?:,|:|with|saying|that says|reading)\s+(?<rest>.+)$",
        Loosely, Most);

    private static readonly Regex ItemAlone = new($@"^{Article}\s+{Before}{How}(?<item>{AnyItem})s?(?!\w){Size}(?<rest>.*)$", Loosely,
        Most);

    /// <summary>A part named before its item: inside the cuff of a stocking.</summary>
    private static readonly Regex PartOf = new(
        $@"(?:^|(?<=[\s,]))(?:(?:on|onto|at|along|across|round)\s+(?:the\s+)?(?<part>{Part})|(?<part>(?:inside|above|below|under)\s+(?:the\s+)?{Part})|the\s+(?<part>{Part}))\s+$", Loosely, Most);

    /// <summary>“As a badge”: what it is made up as is what it is put on.</summary>
    private static readonly Regex MadeAs = new(
        @"(?<=\s)as (?=(?:an? |my |the )?(?:badge|patch|emblem|pin ?cushion|hoop picture|wall hoop|(?:felt |tree )?ornament|framed sampler)\b)",
        RegexOptions.CultureInvariant, Most);

    /// <summary>Understands a saying on a day.</summary>
    public static Understood Of(string said, DateOnly today)
    {
        var text = said.Normalize(NormalizationForm.FormC).ReplaceLineEndings("\n").Trim();
        if (text.Length == 0)
        {
            return Understood.Nothing;
        }

        // What is quoted is the wording, whatever it says.
        string? quoted = null;
        if (Quoted().Match(text) is { Success: true } marks)
        {
            quoted = marks.Groups["words"].Value.Trim();
            text = string.Concat(text.AsSpan(0, marks.Index), " ", text.AsSpan(marks.Index + marks.Length)).Trim();
        }

        text = MadeAs.Replace(text, "on ");
        var beside = SaidBeside.Take(ref text);
        var heard = Item(text, quoted, today, beside);
        if (beside.Unsewn && heard.Form is { } form && Catalogue.Find(form) is { ByPattern: false } bought)
        {
            beside.Ask($"{Say.Upper(Say.A(bought.Name))} is planned as it is bought.");
        }

        var told = quoted is null ? SaidMotifs.Told(heard) : heard;
        if (beside.Fill is { } fill && told.Motif is null)
        {
            beside.Ask($"{Say.Upper(StitchBook.Book.Fill(fill).Sure().Info.Name)} fills areas: letters of single strokes have none, so take letters "
                + $"with weight, or they are written in what suits the height.");
        }

        if (beside.Parts.Count > 0 && told.Motif is null)
        {
            beside.Ask($"Wishes for the {Say.List(beside.Parts.Select(p => p.Role.Replace('-', ' ')).Distinct(StringComparer.Ordinal).ToArray())} "
                + $"hold for a motif: say which, or pick it below.");
        }

        var asked = told.Questions.Except(heard.Questions, StringComparer.Ordinal).ToArray();
        return beside.In(told with { Questions = [.. heard.Questions, .. asked] });
    }

    private static Understood Item(string text, string? quoted, DateOnly today, SaidBeside beside)
    {
        var item = ItemWords.Matches(text).LastOrDefault();
        if (item is null && ItemFirst.Match(text) is { Success: true } first)
        {
            var (wording, day, _) = SplitDay(first.Groups["rest"].Value, today);
            beside.Addressee(ref wording, today);
            return Told(quoted ?? wording, first, day, null, null, beside);
        }

        if (item is null && ItemAlone.Match(text) is { Success: true } alone)
        {
            var (rest, day, _) = SplitDay(alone.Groups["rest"].Value.Trim().TrimStart(',').Trim(), today);
            beside.Addressee(ref rest, today);
            return Told(quoted, alone, day, rest, null, beside);
        }

        if (item is null)
        {
            var (wording, day, _) = SplitDay(text, today);
            beside.AddresseeAfterComma(ref wording, today);
            var meant = quoted is null ? NoItem(ref wording, beside) : null;
            return new Understood(NullIfEmpty(quoted ?? wording), null, null, null, null, day, quoted is null ? meant
                : NullIfEmpty(wording));
        }

        var words = text[..item.Index].Trim().TrimEnd(',');
        string? part = null;
        if (item.Value.StartsWith("of", StringComparison.OrdinalIgnoreCase)
            || item.Value.StartsWith("in", StringComparison.OrdinalIgnoreCase))
        {
            var named = PartOf.Match($"{words} ");
            (part, words) = named.Success && item.Value.StartsWith("of", StringComparison.OrdinalIgnoreCase)
                ? (named.Groups["part"].Value, words[..Math.Min(words.Length, named.Index)].Trim().TrimEnd(','))
                : ("inside", words);
        }

        var after = text[(item.Index + item.Length)..].Trim().TrimStart(',').Trim();
        var (left, due, _) = SplitDay(after, today);
        beside.Addressee(ref left, today);
        if (quoted is null && words.Length == 0 && part is null)
        {
            // “On a bodysuit, Zoë, for Sunday”: the words come after.
            return Told(left, item, due, null, null, beside);
        }

        return Told(quoted ?? words, item, due, quoted is null ? left : $"{words} {left}".Trim(), part, beside);
    }

    private static Understood Told(string? words, Match item, DateOnly? due, string? left, string? part, SaidBeside beside)
    {
        var form = Catalogue.Find(Called.First(c => string.Equals(c.Word, item.Groups["item"].Value,
            StringComparison.OrdinalIgnoreCase)).Form).Sure();
        var adjectives = item.Groups["how"].Value.Trim().ToLowerInvariant();
        var colour = Take(ref adjectives, ClothColours.Words) is { } said ? ClothColours.Find(said).Sure().Hex : null;
        var cloth = Take(ref adjectives, Cloths.All.Select(c => c.Name).OrderByDescending(n => n.Length).ToArray()) is { } name
            ? Cloths.All.First(c => c.Name == name).Id : null;
        var lined = Take(ref adjectives, ["lined"]) is not null;
        var sized = item.Groups["before"].Success ? item.Groups["before"] : item.Groups["size"];
        var size = SizeOf(form, sized.Value, lined);
        var rest = left ?? string.Empty;
        var last = part is null ? null : ZoneOf(form, part);
        var places = SaidPlaces.Of(words ?? string.Empty, said => ZoneOf(form, said), last);
        if (places is not null && last is not null && places[^1].Zone != last && places[0].What.Length > 0)
        {
            places = null;
        }

        var zone = places is not null ? places[0].Zone : part is null ? ZoneIn(form, ref rest) : last;
        if (part is not null && zone is null)
        {
            beside.Ask($"{Say.Upper(Say.A(form.Name))} has no “{part.Trim()}”: take one of its parts on the bench.");
        }

        var odd = string.Join(' ', new[] { adjectives, sized.Success && size is null ? sized.Value : string.Empty, rest }.Where(w =>
            w.Length > 0));
        return new Understood(NullIfEmpty(places is null ? words : places[0].What), form.Id, size, colour,
            cloth == form.UsualCloth ? null : cloth, due,
            NullIfEmpty(odd))
        {
            Zone = zone,
            Elsewhere = (places ?? []).Skip(1).Select(p =>
                (p.Zone, Said: SaidMotifs.Told(Understood.Nothing with { Words = p.What, Form = form.Id })))
                .Select(p => new SaidAt(p.Zone, p.Said.Words, p.Said.Motif, p.Said.MotifCount, p.Said.Arrangement)).ToArray(),
        };
    }

    /// <summary>Where no item was found: what looks like one is asked about, and not lettered where it is only a slip of the pen.</summary>
    private static string? NoItem(ref string wording, SaidBeside beside)
    {
        var seems = OnSomething().Match(wording);
        if (!seems.Success)
        {
            return null;
        }

        var thing = seems.Groups["thing"].Value.Trim();
        var near = Called.Select(c => (c.Word, c.Form, Off: Slips.Between(c.Word.ToLowerInvariant(), thing.ToLowerInvariant()))).MinBy(c =>
            c.Off);
        if (near.Off <= Math.Max(1, near.Word.Length / 5))
        {
            beside.Ask($"“{thing}” is none of the items: did you mean {Say.A(near.Word)}? Pick it below.");
            wording = wording[..seems.Index].Trim().TrimEnd(',');
            return thing;
        }

        beside.Ask($"All of it is taken for the words. If “{thing}” is what it goes on: pick the nearest item below, or measure yours.");
        return null;
    }

    private static string? SizeOf(Form form, string said, bool lined)
    {
        var digits = Digits().Matches(said).Select(m => m.Value).ToArray();
        if (digits.Length == 0 && !lined)
        {
            return null;
        }

        return form.Sizes
            .Where(s => s.Lined == lined && (digits.Length == 0
                || digits.SequenceEqual(Digits().Matches(s.Id).Select(m => m.Value), StringComparer.Ordinal)))
            .Select(s => s.Id)
            .FirstOrDefault();
    }

    /// <summary>The part of a form that shares most words with what was said; null where it shares none.</summary>
    private static string? ZoneOf(Form form, string part)
    {
        var said = Content(part);
        return form.Zones.Select(z => (z.Id, All: Content($"{z.Id.Replace('-', ' ')} {z.Name}")))
            .Select(z => (z.Id, Shared: z.All.Intersect(said, StringComparer.OrdinalIgnoreCase).Count(), z.All.Length))
            .Where(z => z.Shared > 0).OrderByDescending(z => z.Shared).ThenByDescending(z =>
                said.Contains(z.Id, StringComparer.Ordinal)).ThenBy(z => z.Length).Select(z => z.Id).FirstOrDefault();

        static string[] Content(string words) => Words().Matches(words).Select(m => m.Value.ToLowerInvariant()).Where(w => w
            is not ("the" or "of" or "a" or "an" or "its" or "in" or "on" or "at")).Distinct(StringComparer.Ordinal).ToArray();
    }

    /// <summary>A part named after its item: on a T-shirt, on the sleeve.</summary>
    private static string? ZoneIn(Form form, ref string rest)
    {
        var named = PartAfter().Match(rest);
        if (!named.Success || ZoneOf(form, named.Groups["part"].Value) is not { } zone)
        {
            return null;
        }

        rest = rest.Remove(named.Index, named.Length).Trim().Trim(',').Trim();
        return zone;
    }

    /// <summary>
    /// The longest end of the words that says a day, and what stands before it. A day is introduced by a word such as “for”, or written
    /// out.
    /// </summary>
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
            var found = Regex.Match(from, $@"(?<!\w){Regex.Escape(word)}(?!\w)", RegexOptions.IgnoreCase, Most);
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

    [GeneratedRegex(@"(?:^|(?<=[\s,]))(?:for|by|until|till|on|before|due|wanted|needed|in|tomorrow|today|tonight)(?=\s|$)",
        RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture, 1000)]
    private static partial Regex DayLead();

    [GeneratedRegex(@"(?:^|(?<=[\s,]))(?:on|onto)\s+(?:an?|the|my|her|his|our|their|this)\s+(?<thing>[\p{L}-]+(?:\s+[\p{L}-]+){0,2})\s*$",
        RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture, 1000)]
    private static partial Regex OnSomething();

    [GeneratedRegex(
        @"(?:^|(?<=[\s,]))(?<part>(?:on|in|inside|across|along|at|above|below|under)\s+(?:the|its|her|his)\s+[\p{L}-]+(?:\s+[\p{L}-]+){0,2}?)(?=,|\s*$)", RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture, 1000)]
    private static partial Regex PartAfter();

    [GeneratedRegex(@"[\p{L}]+", RegexOptions.ExplicitCapture, 1000)]
    private static partial Regex Words();

    [GeneratedRegex(@"\d+", RegexOptions.ExplicitCapture, 1000)]
    private static partial Regex Digits();
}
