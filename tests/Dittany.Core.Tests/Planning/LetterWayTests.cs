using Dittany.Core.Decisions;
using Dittany.Core.Jobs;
using Dittany.Core.Planning;
using Dittany.Core.StitchBook;

namespace Dittany.Core.Tests.Planning;

/// <summary>Words letter by letter: wishes for single ones, and textures that vary.</summary>
public class LetterWayTests
{
    private static Plan Make(TextElement asked, string? letters = null) => Samples.Make(new Job("tote", [asked], Samples.Monday,
        Overrides: letters is null ? null : OverrideSet.Of(("stitch.letters", letters))),
        Workshop.Default);

    private static TextElement Words(string text, double cap, params LetterAsked[] letters) =>
        new("w", text, CapHeightMm: cap) { Letters = letters };

    private static Part[] Of(Plan plan, string letter) => plan.Elements[0].Parts.Where(p => p.Letter == letter && p.Role == "letter").ToArray();

    /// <summary>An index counts blanks; what is not wished for is as in the whole word, and the later wish stands.</summary>
    [Fact]
    public void A_letter_is_made_as_wished()
    {
        var plan = Make(Words("My Ola", 20, new LetterAsked(3, "split", 1), new LetterAsked(3, "chain", 3, "rose")));
        Assert.All(Of(plan, "O"), p => Assert.Equal(("chain", 3, "#d4657f"), (p.Stitch, p.Strands, p.Colour)));
        Assert.All(Of(plan, "M").Concat(Of(plan, "y")), p => Assert.NotEqual("chain", p.Stitch));
        Assert.Equal("Single letters as you wished", plan.Decision("stitch.letters")!.Choice.ToString());
        Assert.Contains(plan.Decision("stitch.letters")!.Because, b => b.ToString() == "O in chain stitch, 3 strands, rose.");
        Assert.Contains(plan.Threads, t => t.Colour == "#d4657f");
    }

    /// <summary>Heavy letters are told of where they are wished, with the height that would do.</summary>
    [Fact]
    public void A_letter_too_heavy_for_its_height_says_so()
    {
        var plan = Make(Words("Ola", 9, new LetterAsked(0, "chain", 6)));
        var concern = Assert.Single(plan.Elements[0].Concerns, c => c is { What: "too-heavy", Letter: "O" });
        Assert.Equal(Math.Ceiling(Book.Find("chain")!.LeastCapMm(6)), Assert.Single(concern.Remedies).CapHeightMm);
    }

    /// <summary>What fills areas has nothing to fill in a hand of lines, and joined letters are one line: both say so.</summary>
    [Fact]
    public void What_does_not_go_says_so()
    {
        Assert.Contains(Make(Words("Ola", 20, new LetterAsked(0, "satin"))).SetAside, s =>
            s.Contains("Satin stitch for the O", StringComparison.Ordinal) && s.Contains("letters with weight", StringComparison.Ordinal));
        var joined = Make(Words("Ola", 20, new LetterAsked(1, "split")) with { Alphabet = "joined-hand" });
        Assert.Contains(joined.SetAside, s => s.Contains("is one line", StringComparison.Ordinal));
        Assert.Single(joined.Elements[0].Parts.Where(p => p.Role == "letter").Select(p => p.Stitch).Distinct());
    }

    /// <summary>Varied, neighbours differ, every one reads at its height, and none is much bolder than the word's own line.</summary>
    [Theory]
    [InlineData("Marlene", 22)]
    [InlineData("Otto", 30)]
    [InlineData("WILHELM", 14)]
    public void A_word_varied_still_reads(string text, double cap)
    {
        var own = Make(Words(text, cap)).Elements[0].LineWidthMm;
        var plan = Make(Words(text, cap), "varied");
        var letters = plan.Elements[0].Parts.Where(p => p.Role == "letter").GroupBy(p => p.LetterIndex).Select(g => g.First()).ToArray();
        Assert.True(letters.Select(p => p.Stitch).Distinct(StringComparer.Ordinal).Count() >= Math.Min(3, text.Length / 2));
        Assert.All(letters.Zip(letters.Skip(1)), p => Assert.NotEqual(p.First.Stitch, p.Second.Stitch));
        Assert.All(letters, p => Assert.InRange(p.LineWidthMm, 0.6 * own - 1e-9, 1.45 * own + 1e-9));
        Assert.All(letters, p => Assert.True(Book.Find(p.Stitch)!.LeastCapMm(p.Strands) <= cap));
        Assert.DoesNotContain(plan.Elements[0].Concerns, c => c.What == "too-heavy");
        Assert.Equal(plan.Elements[0].Parts.Sum(p => p.Stitches.Count), plan.Route.Count);
    }

    [Fact]
    public void A_word_too_small_to_vary_says_so() => Assert.Contains(Make(Words("ola", 3), "varied").SetAside, s =>
        s.Contains("Make the words larger", StringComparison.Ordinal));

    [Theory]
    [InlineData(9, "There is no letter 9")]
    [InlineData(-1, "There is no letter -1")]
    [InlineData(2, "there is a blank")]
    public void A_letter_that_is_not_there_is_a_fault(int index, string told)
    {
        var fault = Assert.Single(Samples.Faults(new Job("tote", [Words("My Ola", 20, new LetterAsked(index))], Samples.Monday), Workshop.Default));
        Assert.Equal("#/elements/0/letters/0/index", fault.Pointer);
        Assert.Contains(told, fault.Detail, StringComparison.Ordinal);
    }
}
