using System.Globalization;
using Dittany.Core.Decisions;
using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.StitchBook;

namespace Dittany.Core.Jobs;

/// <summary>Whether single values of a job make sense, and how it is said where they do not.</summary>
internal static class ValueChecks
{
    internal static void Centre(Pt? place, string at, List<ValidationError> faults)
    {
        if (place is { } centre && (!double.IsFinite(centre.X) || !double.IsFinite(centre.Y) || Math.Abs(centre.X) > 5000
            || Math.Abs(centre.Y) > 5000))
        {
            faults.Add(new($"{at}/centreMm", "The centre lies nowhere on an item.", "Give two numbers in mm, such as [250, 600]."));
        }
    }

    /// <summary>
    /// Line breaks are the only control characters words may hold; characters that change the reading direction unseen are refused.
    /// </summary>
    internal static void Text(string at, string text, int most, List<ValidationError> faults)
    {
        for (var i = 0; i < text.Length; i++)
        {
            var c = text[i];
            if (char.IsSurrogate(c) && !(char.IsHighSurrogate(c) && i + 1 < text.Length && char.IsLowSurrogate(text[++i])))
            {
                faults.Add(new(at, $"Character {i + 1} is half a character (a lone surrogate).", "Send whole characters."));
                return;
            }

            if (char.IsControl(c) && (c != '\n' || most != int.MaxValue))
            {
                faults.Add(new(at, string.Create(CultureInfo.InvariantCulture,
                    $"Character {i + 1} is a control character (U+{(int)c:X4})."), "Take it out; a line break is \\n."));
                return;
            }

            if (c is '\u061c' or '\u200e' or '\u200f' or (>= '\u202a' and <= '\u202e') or (>= '\u2066' and <= '\u2069'))
            {
                faults.Add(new(at, string.Create(CultureInfo.InvariantCulture,
                    $"Character {i + 1} turns the reading direction unseen (U+{(int)c:X4})."), "Take it out."));
                return;
            }
        }

        if (text.Length > most)
        {
            faults.Add(new(at, $"It is {text.Length} characters long, and {most} is the most.", "Make it shorter."));
        }
    }

    internal static void Colour(string at, string? colour, bool named, List<ValidationError> faults)
    {
        if (colour is not null && !Materials.Colour.TryParse(colour, out _) && !(named && Palette.Colours.Any(c => c.Id == colour)))
        {
            faults.Add(new(at, $"'{colour}' is not a colour.", "Write it like #4f7358."));
        }
    }

    /// <summary>
    /// A thread, and what is wished of it: one that does not part has no strands, and not every stitch is worked in every thread.
    /// <paramref name="whole"/> is the thread of the element a part belongs to, or null.
    /// </summary>
    internal static void Thread(string at, string? thread, int? strands, string? stitch, string? whole, List<ValidationError> faults)
    {
        var named = thread ?? whole;
        if (thread is not null && ThreadKinds.Find(thread) is null)
        {
            faults.Add(new($"{at}/thread", $"There is no thread '{thread}'.", $"Use {Either(ThreadKinds.All.Select(k => k.Id))}, or leave it out."));
        }

        if (ThreadKinds.Find(named) is not { Parts: false } kind)
        {
            Strands($"{at}/strands", strands, faults);
        }
        else if (strands is { } n && !kind.Plies.Contains(n))
        {
            faults.Add(new($"{at}/strands", $"{Say.Upper(kind.Name)} has no strands that part, and {n} are wished.",
                kind.Plies.Count == 1 ? "It is worked as it comes: leave strands out, or take stranded cotton."
                    : "Use 1, or 2 for doubled, or take stranded cotton."));
        }

        if (stitch is not null && ThreadKinds.Find(named) is { } of && (Book.Find(stitch) ?? Book.Fill(stitch)) is { } known
            && StitchBook.ThreadRules.Against(of, known) is { } cannot)
        {
            faults.Add(new($"{at}/stitch", $"{Say.Upper(known.Name)} is not worked in {of.Name}. {cannot.Because}", cannot.Cure));
        }
    }

    internal static void Strands(string at, int? strands, List<ValidationError> faults)
    {
        if (strands is { } n && !Bundle.Is(n))
        {
            faults.Add(new(at, $"{n} strands is no thread to stitch with.",
                "Use 1 to 6 strands, or 8, 10 or 12, which are half as many folded double."));
        }
    }

    /// <summary>Days that somebody may stitch on; outside them a year was mistyped, and no calendar goes on for ever.</summary>
    private static readonly (DateOnly First, DateOnly Last) Days = (new(1900, 1, 1), new(2299, 12, 31));

    internal static void Day(string at, DateOnly? day, List<ValidationError> faults)
    {
        if (day is { } d && (d < Days.First || d > Days.Last))
        {
            faults.Add(new(at, string.Create(CultureInfo.InvariantCulture, $"{d:yyyy-MM-dd} is no day to stitch on."),
                string.Create(CultureInfo.InvariantCulture, $"Write a day from {Days.First:yyyy-MM-dd} to {Days.Last:yyyy-MM-dd}.")));
        }
    }

    internal static void Range(string at, double? value, double least, double most, string unit, List<ValidationError> faults)
    {
        if (value is { } v && !(v >= least && v <= most))
        {
            faults.Add(new(at, $"{Number(v)} {unit} is out of reach.", $"Use {Number(least)} to {Number(most)} {unit}."));
        }
    }

    /// <summary>Where a job names her choice.</summary>
    internal static string Pointer(DecisionKey key) =>
        $"#/overrules/{key.ToString().Replace("~", "~0", StringComparison.Ordinal).Replace("/", "~1", StringComparison.Ordinal)}";

    internal static string Either(IEnumerable<string> words)
    {
        var all = words.ToArray();
        return all.Length == 1 ? all[0] : $"{string.Join(", ", all[..^1])} or {all[^1]}";
    }

    internal static string Number(double value) => value.ToString("0.####", CultureInfo.InvariantCulture);
}
