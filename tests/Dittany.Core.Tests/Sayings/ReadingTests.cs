using System.Text;
using Dittany.Core.Sayings;

namespace Dittany.Core.Tests.Sayings;

/// <summary>What holds of any saying, odd ones too, and what a maker settles of a word.</summary>
public class ReadingTests
{
    private static readonly DateOnly Monday = new(2027, 3, 1);

    public static TheoryData<string> Odd() =>
    [
        string.Empty, " ", "\n\n", "\t", new string('a', 5000), string.Concat(Enumerable.Repeat("on a for on the ", 320)), string.Concat(Enumerable.Repeat("in red wool ", 420)), string.Concat(Enumerable.Repeat("\"", 999)), string.Concat(Enumerable.Repeat("a heart and ", 420)),
        string.Concat(Enumerable.Repeat("two ", 1200)), string.Concat(Enumerable.Repeat("12 cm ", 900)), string.Concat(Enumerable.Repeat("🐝", 900)), "🐝 on a tote 🧵", "<script>alert(1)</script> on a tote", "'; DROP TABLE pieces; -- on a tote", "\\u0000 on a tote", "家族 on a tote", "עמה על תיק", "Ἰθάκη", "a\u0301 on a tote", "\u202Eetot a no ammE", "…", "---", "()", "1/0 cm", "999999999999999999999 daisies on a tote",
        "size size size", "for for for", "of of of", "“”", "‘’ on a tote", "½", "in", "a", "&", "& & &", "x x x", "0 hearts on a tote", "-3 hearts on a tote", "a 0 cm heart on a tote", "Emma 0 mm high on a tote", "Emma 99999 cm wide on a tote", "Emma in 0 strands on a tote", "Emma in 77 lines on a tote", "A.B.C.D.E.F.G. monogram on a tote", "a heart in a 99 inch hoop on a tote",
    ];

    /// <summary>Whatever comes in is read; what comes out makes sense, and each letter of it is in a span or is asked about.</summary>
    [Theory]
    [MemberData(nameof(Odd))]
    public void Whatever_is_said_is_read(string said)
    {
        var heard = SayingParser.Read(said, Monday);
        Assert.Equal(said.Normalize(NormalizationForm.FormC).ReplaceLineEndings("\n"), heard.Said);
        if (SayingParser.MostTokens > heard.Said.Split(' ').Length)
        {
            HandSayingsTests.Whole(said, heard);
        }

        Assert.All(heard.Elements, e => Assert.True(e.Text is not null || e.Motif is not null));
    }

    /// <summary>A saying longer than any is read up to where it is one; the rest is asked about as a whole.</summary>
    [Fact]
    public void What_is_too_long_is_asked_about()
    {
        var heard = SayingParser.Read(string.Concat(Enumerable.Repeat("Emma and ", 600)), Monday);
        Assert.Contains(heard.Asked, a => a.To == heard.Said.Length && a.Asks.Contains("more than one saying holds", StringComparison.Ordinal));
    }

    /// <summary>A word is what she says it is, for as long as it is said; its neighbours keep their meaning.</summary>
    [Theory]
    [InlineData("daisy on a tote for Friday", "words:0:daisy", "day=2027-03-05 | form=tote | words=daisy")]
    [InlineData("daisy on a tote for Friday", "motif:0:daisy", "day=2027-03-05 | form=tote | motif=daisy")]
    [InlineData("Rose on a tote", "motif:0:Rose", "form=tote | motif=rosebud")]
    [InlineData("a heart in rose on a tote", "small:0:in rose", "form=tote | motif=heart")]
    [InlineData("rose on a rose tote in rose", "words:0:rose", "colour=#e6c9c4 | form=tote | thread=rose | words=rose")]
    [InlineData("a sparkly heart on a tote", "small:0:sparkly", "form=tote | motif=heart")]
    public void A_word_is_what_she_settled(string said, string pin, string meant)
    {
        var heard = SayingParser.Read(said, Monday, pins: [Pin.Read(pin) ?? throw new InvalidOperationException(pin)]);
        Assert.Equal(meant, Told.Of(heard, null));
    }

    [Theory]
    [InlineData("motif:0:rose")]
    [InlineData("words:2:Tea for two: three")]
    public void What_is_settled_is_written_and_read_back(string pin) => Assert.Equal(pin, Pin.Read(pin)?.ToString());

    [Theory]
    [InlineData("")]
    [InlineData("motif")]
    [InlineData("motif:0:")]
    [InlineData("motif:x:rose")]
    [InlineData("3:0:rose")]
    [InlineData("dragon:0:rose")]
    public void What_settles_nothing_is_nothing(string pin) => Assert.Null(Pin.Read(pin));

    /// <summary>
    /// The first answer to each question, put in its place, leaves that question no more, or is the words in quotation marks.
    /// </summary>
    [Theory]
    [InlineData("daisy on a tote")]
    [InlineData("a tiny heart on a cap")]
    [InlineData("Zoë on a sparkly bodysuit")]
    [InlineData("Emma on a hoodie")]
    [InlineData("Lou on the sleeve of a tote")]
    [InlineData("Zoë on a bodysuit size 99")]
    [InlineData("Emma in seven strands on a tote")]
    [InlineData("HOME in satin stitch on a tote")]
    [InlineData("Emma 4 inch on a tote")]
    [InlineData("a badge for Ella")]
    public void An_answer_settles_its_question(string said)
    {
        var heard = SayingParser.Read(said, Monday);
        var question = heard.Asked[0];
        foreach (var answer in question.Answers)
        {
            var then = $"{said[..question.From]}{answer.Said}{said[question.To..]}".Replace("  ", " ", StringComparison.Ordinal).Trim();
            Assert.DoesNotContain(SayingParser.Read(then, Monday).Asked, a => a.Asks == question.Asks);
        }
    }

    /// <summary>The item picked beside the saying counts where none is said: its parts and sizes are known then.</summary>
    [Fact]
    public void A_picked_item_gives_parts_and_sizes_their_meaning()
    {
        Assert.Equal("form=apron | words=Otto | zone=pocket", Told.Of(SayingParser.Read("Otto on the pocket", Monday, "apron"), null));
        Assert.Equal("form=tote | words=Otto", Told.Of(SayingParser.Read("Otto on a tote", Monday, "apron"), null));
    }

    /// <summary>What is given beside the saying stands in the place of what was said, and the rest of it stays.</summary>
    [Fact]
    public void Answers_beside_the_saying_take_the_place_of_what_was_said()
    {
        var heard = SayingParser.Read("Ida and two bees on a tote in rust for Friday", Monday);
        var other = heard.With("Ada", "bee").Job(Monday);
        Assert.NotNull(other);
        Assert.Equal(("Ada", "#a4472a", "bee", 2), (other.Wordings[0].Text, other.Wordings[0].Colour, other.Motifs[0].Motif, other.Motifs[0].Count));
        Assert.Equal("Ida and two bees, on a tote", heard.Title);
        Assert.Empty(heard.With(null, "owl").Job(Monday)?.Wordings ?? []);
        Assert.Equal("owl", heard.With(null, "owl").Job(Monday)?.Motifs[0].Motif);
        Assert.Equal(("Emma", "heart"), (SayingParser.Read("a heart on a tote", Monday).With("Emma", "heart").Job(Monday)?.Wordings[0] is { } e ? (e.Text, e.Motif) : default));
        Assert.Null(heard.With(null, null).On("apron").Job(Monday)?.Zone);
    }

    /// <summary>Every item, motif, thread and stitch is known by the name it is told by.</summary>
    [Fact]
    public void Everything_is_known_by_its_own_name()
    {
        Assert.All(Core.Items.Catalogue.Forms, f => Assert.Equal(f.Id, SayingParser.Read($"Mimi on a {f.Name}", Monday).Form));
        Assert.All(Core.Motifs.MotifLibrary.All, m => Assert.Equal(m.Id, SayingParser.Read($"{Core.Measures.Say.A(m.Name)} on a tote", Monday).Motif));
        Assert.All(Core.Materials.Palette.Colours, c => Assert.Equal(("Ida", c.Hex), SayingParser.Read($"Ida in {c.Name} on a tote", Monday).Elements[0] is { } e ? (e.Text, e.Colour) : default));
        Assert.All(Core.StitchBook.Book.Lines, s => Assert.Equal(s.Id, SayingParser.Read($"Ida in {s.Name} on a tote", Monday).Elements[0].Stitch));
        Assert.All(Core.StitchBook.Book.Fills, s => Assert.Equal(s.Info.Id, SayingParser.Read($"a heart in {s.Info.Name} on a tote", Monday).Elements[0].Fill));
        Assert.All(Core.Materials.ThreadKinds.All, k => Assert.Equal(k.Id, SayingParser.Read($"Ida in {k.Name} on a tote", Monday).Elements[0].Thread));
        Assert.All(Core.Items.Catalogue.Forms.SelectMany(f => f.Sizes.Where(s => !s.Lined).Select(s => (f, s))).Where(p => p.f.ByPattern || p.s.Id.All(c => char.IsAsciiLetterOrDigit(c))), p => Assert.Equal(p.s.Id, SayingParser.Read($"Mimi on a {p.f.Name}, size {p.s.Id}", Monday).Size));
    }
}
