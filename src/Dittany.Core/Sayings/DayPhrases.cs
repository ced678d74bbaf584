using Dittany.Core.Time;

namespace Dittany.Core.Sayings;

/// <summary>The day it is given: for Sunday week, by 20 March, tomorrow.</summary>
internal static class DayPhrases
{
    private static readonly string[] Leads = ["for", "by", "on", "until", "till", "before", "due", "wanted", "needed", "in", "this", "next", "the", "a", "at", "from", "ready"];

    private static readonly string[] Weekdays = ["monday", "tuesday", "wednesday", "thursday", "friday", "saturday", "sunday"];

    private static readonly string[] Months = ["january", "february", "march", "april", "may", "june", "july", "august", "september", "october", "november", "december"];

    private static readonly string[] Other = ["today", "tomorrow", "tonight", "christmas", "easter", "advent", "weekend", "fortnight", "week", "weeks", "days", "month", "months", "mon", "tue", "tues", "wed", "thu", "thurs", "fri", "sat", "sun"];

    public static IEnumerable<string> Words => [.. Weekdays, .. Months, .. Other];

    private const int MostWords = 8;

    public static IEnumerable<Candidate> At(Reading r, int at)
    {
        var token = r.Tokens[at];
        var lead = Leads.Contains(token.Key, StringComparer.Ordinal) && r.Plain(at);
        if (token.Kind is TokenKind.Mark or TokenKind.Quoted || (!lead && token.Kind != TokenKind.Number && !Likely(r, at).Any(k =>
            k is not null) && !char.IsDigit(token.Text[0])))
        {
            yield break;
        }

        for (var to = Math.Min(r.Count, at + MostWords); to > at; to--)
        {
            if (r.Tokens.Skip(at).Take(to - at).Any(t => t.Kind == TokenKind.Quoted || t.IsMark(',')) || !HasDay(r, at, to))
            {
                continue;
            }

            var text = Written(r, at, to, out var guessed);
            if (SaidDay.Read(text, r.Today) is not { } day)
            {
                continue;
            }

            var name = Measures.Say.Day(day);
            var bit = new Bit(Meaning.Day, at, to, day.ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture), name);
            var bare = to - at == 1 && token.Kind == TokenKind.Number;
            yield return new Candidate(Phrase.Day, at, to, [bit], (lead ? 0.2 : bare ? 1.2 : 0.7) + (guessed ? 0.4 : 0));
            yield break;
        }
    }

    /// <summary>Only what holds a word or a number of a day is read as one: reading costs.</summary>
    private static bool HasDay(Reading r, int at, int to) => Enumerable.Range(at, to - at).Any(k => r.Tokens[k].Kind == TokenKind.Number
        || char.IsDigit(r.Tokens[k].Text[0]) || Likely(r, k).Any(w => w is not null) || r.Is(k, "year", "year's", "years"));

    /// <summary>The words as they are read: one wrong letter in the name of a day or a month is put right.</summary>
    private static string Written(Reading r, int at, int to, out bool guessed)
    {
        var (text, wrong) = (r.Text(at, to), false);
        for (var k = at; k < to; k++)
        {
            if (r.Tokens[k].Kind == TokenKind.Word && !Lexicon.Shared.Knows(r.Key(k)) && Likely(r, k).FirstOrDefault(w =>
                w is not null) is { } right)
            {
                (text, wrong) = (text.Replace(r.Tokens[k].Text, right, StringComparison.Ordinal), true);
            }
        }

        guessed = wrong;
        return text;
    }

    /// <summary>Whether a word is one of a day, or one letter from it.</summary>
    public static bool Meant(Reading r, int at) => Likely(r, at).Any(w => w is not null);

    private static IEnumerable<string?> Likely(Reading r, int at) => r.Tokens[at].Kind != TokenKind.Word ? []
        : Lexicon.Shared.Likely(r.Tokens[at]).Select(l => l.Key).Where(k => Weekdays.Contains(k, StringComparer.Ordinal)
            || Months.Contains(k, StringComparer.Ordinal) || Other.Contains(k, StringComparer.Ordinal));
}
