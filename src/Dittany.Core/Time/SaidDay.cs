using System.Globalization;
using System.Text.RegularExpressions;
using Dittany.Core.Measures;

namespace Dittany.Core.Time;

/// <summary>
/// A day as people say it: tomorrow, Sunday, Sunday week, in three weeks, 14 March, the 14th, Christmas, or written 2027-03-14. Always a
/// day from today on where the saying names no year. Not a guess: what is not one of the ways below is no day, and null comes back.
/// </summary>
public static partial class SaidDay
{
    private static readonly string[] Months = ["january", "february", "march", "april", "may", "june", "july", "august", "september",
        "october", "november", "december"];
    private static readonly string[] Numbers = ["zero", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten",
        "eleven", "twelve"];

    /// <summary>Ways of saying, tried in order.</summary>
    private static readonly (string Name, Func<string, DateOnly, DateOnly?> Read)[] Ways =
    [
        ("near days", Near),
        ("a weekday, and a week or two on", Weekday),
        ("so long from now", Span),
        ("written in full", Written),
        ("day and month", DayAndMonth),
        ("the day of this month or the next", DayOfMonth),
        ("feasts with a day of their own", Feast),
    ];

    /// <summary>The day said, or null. Case, a leading “on”, “by”, “for” or “until” and a final full stop do not matter.</summary>
    public static DateOnly? Read(string said, DateOnly today)
    {
        var words = Lead().Replace(Spaces().Replace(Digits.Plain(said).Trim().ToLowerInvariant().TrimEnd('.', '!', ','), " "),
            string.Empty);
        return words.Length == 0 ? null : Ways.Select(way => way.Read(words, today)).FirstOrDefault(day => day is not null);
    }

    private static DateOnly? Near(string words, DateOnly today) => words switch
    {
        "today" or "tonight" or "this evening" => today,
        "tomorrow" or "tomorrow evening" => today.AddDays(1),
        "the day after tomorrow" or "day after tomorrow" => today.AddDays(2),
        "today week" or "a week today" or "a week from today" => today.AddDays(7),
        "tomorrow week" or "a week tomorrow" or "a week from tomorrow" => today.AddDays(8),
        "the weekend" or "this weekend" or "weekend" => Coming(DayOfWeek.Saturday, today),
        "the end of the month" or "end of the month" => new DateOnly(today.Year, today.Month,
            DateTime.DaysInMonth(today.Year, today.Month)),
        _ => null,
    };

    /// <summary>
    /// “Sunday” is the next one after today; “Sunday week” a week later, as the saying goes; “next Sunday” is the Sunday of the week after
    /// this one, weeks beginning on Monday (ISO 8601).
    /// </summary>
    private static DateOnly? Weekday(string words, DateOnly today)
    {
        var found = WeekdayWords().Match(words);
        if (!found.Success)
        {
            return null;
        }

        var day = Enum.GetValues<DayOfWeek>().First(d => d.ToString().StartsWith(found.Groups["day"].Value[..3],
            StringComparison.OrdinalIgnoreCase));
        if (found.Groups["which"].Value == "next")
        {
            var monday = today.AddDays(-(((int)today.DayOfWeek + 6) % 7));
            return monday.AddDays(7 + (((int)day + 6) % 7));
        }

        return Coming(day, today).AddDays(found.Groups["on"].Value switch
        {
            "week" => 7,
            "fortnight" => 14,
            _ =>
            found.Groups["before"].Value switch { "a week on" => 7, "a fortnight on" => 14, _ => 0 }
        });
    }

    private static DateOnly? Span(string words, DateOnly today)
    {
        if (words is "a fortnight" or "in a fortnight" or "a fortnight today")
        {
            return today.AddDays(14);
        }

        var found = SpanWords().Match(words);
        if (!found.Success)
        {
            return null;
        }

        var said = found.Groups["n"].Value;
        var n = said is "a" or "an" ? 1 : Array.IndexOf(Numbers, said) is >= 0 and var word ? word
            : int.Parse(said, CultureInfo.InvariantCulture);
        return found.Groups["unit"].Value switch { "day" => today.AddDays(n), "week" => today.AddDays(7 * n), _ => today.AddMonths(n) };
    }

    private static DateOnly? Written(string words, DateOnly today)
    {
        if (DateOnly.TryParseExact(words, ["yyyy-MM-dd", "d.M.yyyy", "d/M/yyyy"], CultureInfo.InvariantCulture, DateTimeStyles.None,
            out var day))
        {
            return day;
        }

        var found = ShortWords().Match(words);
        return found.Success ? Next(Whole(found, "day"), Whole(found, "month"), today) : null;
    }

    private static DateOnly? DayAndMonth(string words, DateOnly today)
    {
        var found = DayMonthWords().Match(words) is { Success: true } a ? a : MonthDayWords().Match(words);
        if (!found.Success)
        {
            return null;
        }

        var name = found.Groups["month"].Value;
        var month = Array.FindIndex(Months, m => m == name || (name.Length >= 3 && m.StartsWith(name, StringComparison.Ordinal))) + 1;
        if (month == 0)
        {
            return null;
        }

        return found.Groups["year"].Success ? Make(Whole(found, "year"), month, Whole(found, "day"))
            : Next(Whole(found, "day"), month, today);
    }

    private static DateOnly? DayOfMonth(string words, DateOnly today)
    {
        var found = OrdinalWords().Match(words);
        if (!found.Success)
        {
            return null;
        }

        return Enumerable.Range(0, 3)
            .Select(ahead => today.AddMonths(ahead))
            .Select(month => Make(month.Year, month.Month, Whole(found, "day")))
            .FirstOrDefault(day => day >= today);
    }

    private static DateOnly? Feast(string words, DateOnly today)
    {
        Func<int, DateOnly>? of = words switch
        {
            "christmas" or "christmas day" => year => new DateOnly(year, 12, 25),
            "christmas eve" => year => new DateOnly(year, 12, 24),
            "new year" or "new year's day" or "new years day" => year => new DateOnly(year, 1, 1),
            "new year's eve" or "new years eve" => year => new DateOnly(year, 12, 31),
            "easter" or "easter sunday" => Easter,
            "advent" or "the first of advent" => year => Coming(DayOfWeek.Sunday, new DateOnly(year, 11, 26)),
            _ => null,
        };
        return of is null ? null : of(today.Year) >= today ? of(today.Year) : of(today.Year + 1);
    }

    /// <summary>Easter Sunday in the Gregorian calendar (the anonymous algorithm printed in Nature, 20 April 1876).</summary>
    public static DateOnly Easter(int year)
    {
        var (a, b, c) = (year % 19, year / 100, year % 100);
        var (d, e, f) = (b / 4, b % 4, (b + 8) / 25);
        var h = ((19 * a) + b - d - ((b - f + 1) / 3) + 15) % 30;
        var l = (32 + (2 * e) + (2 * (c / 4)) - h - (c % 4)) % 7;
        var m = (a + (11 * h) + (22 * l)) / 451;
        var sum = h + l - (7 * m) + 114;
        return new DateOnly(year, sum / 31, (sum % 31) + 1);
    }

    private static DateOnly Coming(DayOfWeek day, DateOnly today) => today.AddDays((((int)day - (int)today.DayOfWeek + 6) % 7) + 1);

    private static DateOnly? Next(int day, int month, DateOnly today) =>
        Enumerable.Range(today.Year, 9).Select(year => Make(year, month, day)).FirstOrDefault(d => d >= today);

    private static DateOnly? Make(int year, int month, int day) =>
        year is >= 1 and <= 9999 && month is >= 1 and <= 12 && day >= 1 && day <= DateTime.DaysInMonth(year, month)
            ? new DateOnly(year, month, day) : null;

    private static int Whole(Match found, string group) => int.Parse(found.Groups[group].Value, CultureInfo.InvariantCulture);

    private const RegexOptions Plain = RegexOptions.ExplicitCapture;

    [GeneratedRegex(@"\s+", Plain, Patterns.LongestMs)]
    private static partial Regex Spaces();

    [GeneratedRegex(@"^(?:(?:due|wanted|needed|ready|given)\s+)?(?:(?:on|by|for|until|till|before)\s+)?(?=\S)", Plain, Patterns.LongestMs)]
    private static partial Regex Lead();

    [GeneratedRegex(
        @"^(?:(?<before>a week on|a fortnight on) )?(?:(?<which>this|next|the coming|coming) )?(?<day>sun|sunday|mon|monday|tue|tues|tuesday|wed|weds|wednesday|thu|thur|thurs|thursday|fri|friday|sat|saturday)(?: (?<on>week|fortnight))?$", Plain, Patterns.LongestMs)]
    private static partial Regex WeekdayWords();

    [GeneratedRegex(
        @"^(?:in )?(?<n>an?|\d{1,3}|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve) (?<unit>day|week|month)s?(?:'s|')?(?: time| from now| from today)?$", Plain, Patterns.LongestMs)]
    private static partial Regex SpanWords();

    [GeneratedRegex(@"^(?<day>\d{1,2})(?:\.|/)(?<month>\d{1,2})\.?$", Plain, Patterns.LongestMs)]
    private static partial Regex ShortWords();

    [GeneratedRegex(@"^(?:the )?(?<day>\d{1,2})(?:st|nd|rd|th)?\.?(?: of)? (?<month>[a-z]{3,9})\.?,?(?: (?<year>\d{4}))?$", Plain, Patterns.LongestMs)]
    private static partial Regex DayMonthWords();

    [GeneratedRegex(@"^(?<month>[a-z]{3,9})\.? (?:the )?(?<day>\d{1,2})(?:st|nd|rd|th)?,?(?: (?<year>\d{4}))?$", Plain, Patterns.LongestMs)]
    private static partial Regex MonthDayWords();

    [GeneratedRegex(@"^(?:the )?(?<day>\d{1,2})(?:st|nd|rd|th)$", Plain, Patterns.LongestMs)]
    private static partial Regex OrdinalWords();
}
