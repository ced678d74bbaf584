using System.Text.RegularExpressions;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Motifs;

namespace Dittany.Core.Tests.Planning;

/// <summary>
/// Every sentence plans can say, read as a maker would hear it: no ids, no numbers of colours, no double words or units, no number more
/// exact than a tape or a clock.
/// </summary>
[Trait("Lane", "long")]
public partial class ProseTests
{
    private static readonly (string What, Regex Found)[] NeverSaid =
    [
        ("a colour by its number", HexColour()), ("an id of the program", Id()), ("two units for one number", TwoUnits()),
            ("a word twice", Twice()), ("decimals nobody measures", Decimals()),
        ("a hole in the sentence", Hole()), ("one of many", OneOfMany()), ("what was not said in words", Code()),
    ];

    public static TheoryData<string> Forms() => [.. Catalogue.Forms.Select(f => f.Id)];

    /// <summary>Every form in every zone, with words of many kinds, and each with another motif.</summary>
    [Theory]
    [MemberData(nameof(Forms))]
    public void Nothing_is_said_that_no_maker_would_say(string form)
    {
        var wrong = new SortedSet<string>(StringComparer.Ordinal);
        foreach (var job in JobsOn(Catalogue.Find(form)!))
        {
            foreach (var sentence in Sentences.Of(Samples.Make(job, Workshop.Default)))
            {
                foreach (var (what, found) in NeverSaid)
                {
                    if (found.Match(Quoted().Replace(sentence, "“…”")) is { Success: true } match)
                    {
                        wrong.Add($"{what} ({match.Value}): {sentence}");
                    }
                }
            }
        }

        Assert.True(wrong.Count == 0, string.Join('\n', wrong));
    }

    /// <summary>A piece of motifs alone never says letters, words, capitals, base line or proof.</summary>
    [Theory]
    [MemberData(nameof(Forms))]
    public void A_motif_is_not_words(string form)
    {
        var wrong = new SortedSet<string>(StringComparer.Ordinal);
        foreach (var job in JobsOn(Catalogue.Find(form)!).Where(j => j.Elements.Count == 0))
        {
            var plan = Samples.Make(job, Workshop.Default);
            Assert.Empty(plan.Proof);
            wrong.UnionWith(Sentences.Of(plan).Where(s => OfWords().IsMatch(s)));
        }

        Assert.True(wrong.Count == 0, string.Join('\n', wrong));
    }

    private static IEnumerable<Job> JobsOn(Form form)
    {
        var number = 0;
        foreach (var (zone, _) in form.Zones)
        {
            number++;
            yield return Samples.On(form.Id, number % 2 == 0 ? "Ida" : "Welcome\nHenrietta")
                with
            { Zone = zone, DueOn = Samples.Monday.AddDays(number * 3) };
            yield return new Job(form.Id, [new MotifElement("motif", MotifLibrary.All[number * 7 % MotifLibrary.All.Count].Id, Count: number % 3 == 0 ? 3
                : null, Arrangement: number % 3 == 0 ? "row" : null)], Samples.Monday, Zone: zone);
        }

        yield return Samples.On(form.Id, "Mo", w => w with { Colour = "#d1477a", Strands = 1, CapHeightMm = 21 });
        yield return Samples.On(form.Id, "WILHELMINE", w => w with { CapHeightMm = 45, Stitch = "chain", Strands = 6, Motif = "leaf-sprig" });
    }

    [GeneratedRegex(@"#[0-9a-fA-F]{3,8}\b", RegexOptions.None, 1000)]
    private static partial Regex HexColour();

    [GeneratedRegex(
        @"\b[a-z]+\.[a-z]+-?[a-z]*\b(?<!e\.g)|\b(?:film-on-top|cut-away-behind|fusible-knit-behind|tear-away-behind|as-given|by-height|writing-order|in-hand|[a-z]+-[a-z]+-[a-z]+-[a-z]+)\b", RegexOptions.None, 1000)]
    private static partial Regex Id();

    [GeneratedRegex(@"\b(?:mm|cm|m|in) (?:mm|cm|in)\b(?! the)", RegexOptions.None, 1000)]
    private static partial Regex TwoUnits();

    [GeneratedRegex(@"\b(?<word>\p{L}{2,}) \k<word>\b", RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture, 1000)]
    private static partial Regex Twice();

    [GeneratedRegex(@"\d\.\d{3,}|\d{3,}\.[1-46-9]", RegexOptions.None, 1000)]
    private static partial Regex Decimals();

    [GeneratedRegex(@"  | [,.;:](?!\d)|\.\.|,,|\(\)|: *$| $|^ ", RegexOptions.None, 1000)]
    private static partial Regex Hole();

    [GeneratedRegex(@"(?<![\d.,/])1 (?:strands|letters|stitches|threads|placings|sheets|lengths|parts|rows|days|strokes|lines)\b",
        RegexOptions.None, 1000)]
    private static partial Regex OneOfMany();

    [GeneratedRegex(@"[{}\[\]_<>]|\bnull\b|\bNaN\b|∞|Infinity", RegexOptions.None, 1000)]
    private static partial Regex Code();

    [GeneratedRegex("“[^”]*”", RegexOptions.None, 1000)]
    private static partial Regex Quoted();

    [GeneratedRegex(@"\b(?:letters?|capitals?|words?|wordings?|base line|lettering|proofs?)\b", RegexOptions.IgnoreCase, 1000)]
    private static partial Regex OfWords();
}
