using System.Globalization;
using System.Text.RegularExpressions;
using Dittany.Core.Measures;
using Dittany.Core.Stitches;
using Dittany.Core.Stitches.AtPoints;
using Dittany.Core.Stitches.InAreas;

namespace Dittany.Core.StitchBook;

/// <summary>What a stitch makes.</summary>
public enum Makes
{
    Line,
    Area,
    Point,
}

/// <summary>What she looks for in the book; null members are open. A height is that of capitals, mm.</summary>
public sealed record Wanted(string? Words = null, Makes? What = null, Feel? Feel = null, bool Knit = false, bool Wears = false,
    double? CapMm = null, int? Learning = null);

/// <summary>Finds stitches by what is needed: by filters, or by a plain sentence.</summary>
public static partial class Finding
{
    /// <summary>What plain words in a search mean; each is taken out of what is left to look for.</summary>
    private static readonly (string Words, Func<Wanted, Wanted> Means)[] Plain =
    [
        ("lines?|outlines?|letters?", w => w with { What = Makes.Line }),
        ("areas?|fills?|fillings?|shapes?|surfaces?", w => w with { What = Makes.Area }),
        ("points?|dots?|knots?", w => w with { What = Makes.Point }),
        ("jersey|knits?|knitted|stretch(?:y|es)?|t-?shirts?|bodysuits?|fleece", w => w with { Knit = true }),
        ("soft|flat|smooth", w => w with { Feel = Stitches.Feel.Flat }),
        ("raised|bold|thick|rounded", w => w with { Feel = Stitches.Feel.Raised }),
        ("open|light|lacy|airy", w => w with { Feel = Stitches.Feel.Open }),
        ("washed|washable|handled|hard-?wearing|wears? well", w => w with { Wears = true }),
        ("easy|simple|beginners?|first|quick to learn", w => w with { Learning = 1 }),
    ];

    public static Makes What(IStitch stitch) =>
        stitch is AreaStitch ? Makes.Area : stitch.Info.Id == Dots.Knot.Id ? Makes.Point : Makes.Line;

    /// <summary>
    /// A sentence as what is wanted: “a line on jersey under 12 mm that is soft”. What no word is known for is looked for as it is.
    /// </summary>
    public static Wanted Read(string said, Wanted? beside = null)
    {
        var wanted = beside ?? new Wanted();
        var left = $" {said.ToLowerInvariant()} ";
        if (Height().Match(left) is { Success: true } high && Tape.Read($"{high.Groups["n"].Value} {high.Groups["unit"].Value}") is { } mm)
        {
            wanted = wanted with { CapMm = mm };
            left = left.Remove(high.Index, high.Length).Insert(high.Index, " ");
        }

        foreach (var (words, means) in Plain)
        {
            var found = Regex.Match(left, $@"(?<=[\s,])(?:{words})(?=[\s,.])", RegexOptions.CultureInvariant, TimeSpan.FromSeconds(1));

            // The name of a stitch is a name: “stem”, “cross” and “straight” are not split into wishes.
            if (found.Success)
            {
                wanted = means(wanted);
                left = left.Remove(found.Index, found.Length);
            }
        }

        var rest = string.Join(' ', Small().Replace(left, " ").Split(' ', StringSplitOptions.RemoveEmptyEntries));
        return wanted with { Words = rest.Length == 0 ? null : rest };
    }

    /// <summary>
    /// The stitches that are so, in the order of the book. A stitch suits a height when capitals of it can be written with some of its
    /// threads, and a knit when it gives with it.
    /// </summary>
    public static IReadOnlyList<IStitch> In(Wanted wanted)
    {
        var words = (wanted.Words ?? string.Empty).ToLower(CultureInfo.InvariantCulture).Split(' ', StringSplitOptions.RemoveEmptyEntries);
        return Book.All.Where(stitch =>
        {
            var trait = stitch.Info.Trait;
            var told = $"{stitch.Id} {stitch.Name} {stitch.Info.GoodFor} {stitch.Info.FailsOn}".ToLowerInvariant();
            return (wanted.What is null || What(stitch) == wanted.What)
                && (wanted.Feel is null || trait.Feel == wanted.Feel)
                && (!wanted.Knit || trait.Gives)
                && (!wanted.Wears || trait.Wears)
                && (wanted.Learning is null || trait.Learning <= wanted.Learning)
                && (wanted.CapMm is not { } cap || What(stitch) != Makes.Line || LeastMm(stitch) <= cap)
                && words.All(w => told.Contains(w, StringComparison.Ordinal));
        }).ToArray();
    }

    /// <summary>The least height of capitals it can write, with its thinnest thread, mm.</summary>
    public static double LeastMm(IStitch stitch) => stitch.Info.StrandsUpTo.Min(r => stitch.LeastCapMm(r.Strands));

    [GeneratedRegex(@"(?:under|below|up to|at|of|for)?\s*(?<n>\d{1,3}(?:[.,]\d{1,2})?)\s*(?<unit>mm|cm|in|inch|inches)(?:\s+(?:high|tall|letters|capitals))?", RegexOptions.ExplicitCapture | RegexOptions.CultureInvariant, Patterns.LongestMs)]
    private static partial Regex Height();

    [GeneratedRegex(@"(?<=\s)(?:an?|the|that|which|is|are|on|for|of|with|and|to|in|stitch(?:es)?)(?=\s)|[,.]", RegexOptions.CultureInvariant, Patterns.LongestMs)]
    private static partial Regex Small();
}
