using Dittany.Core.Planning;

namespace Dittany.Core.Tests.Planning;

public class AskingTests
{
    private static readonly DateOnly Monday = new(2027, 3, 1);

    [Theory]
    [InlineData("Zoë on a bodysuit for Sunday week", "Zoë", "baby-bodysuit", null, "2027-03-14")]
    [InlineData("Zoë on a bodysuit, size 68, for Sunday week", "Zoë", "baby-bodysuit", "68", "2027-03-14")]
    [InlineData("Bread & Salt on the lined tote bag by 20 March", "Bread & Salt", "tote", "38x42-lined", "2027-03-20")]
    [InlineData("Odalys on her napkin 50 x 50", "Odalys", "napkin", "50x50", null)]
    [InlineData("Kräuter onto a tea towel in three weeks", "Kräuter", "tea-towel", null, "2027-03-22")]
    [InlineData("Juniper for Friday", "Juniper", null, null, "2027-03-05")]
    [InlineData("Juniper", "Juniper", null, null, null)]
    [InlineData("a bodysuit with Little Pebble for tomorrow", "Little Pebble", "baby-bodysuit", null, "2027-03-02")]
    [InlineData("tea towel: Herbs", "Herbs", "tea-towel", null, null)]
    [InlineData("On a napkin, Oda, for Easter", "Oda", "napkin", null, "2027-03-28")]
    [InlineData("Hands on the table on a tea towel for Sunday", "Hands on the table", "tea-towel", null, "2027-03-07")]
    [InlineData("“For Sunday” on a tote", "For Sunday", "tote", null, null)]
    [InlineData("\"on a napkin\" on a tea towel for Sunday", "on a napkin", "tea-towel", null, "2027-03-07")]
    [InlineData("Mimi\nand Jo on a bodysuit", "Mimi\nand Jo", "baby-bodysuit", null, null)]
    public void Three_answers_are_understood_as_typed(string said, string words, string? form, string? size, string? day)
    {
        var understood = Asking.Of(said, Monday);
        Assert.Equal((words, form, size, day), (understood.Words, understood.Form, understood.Size,
            understood.DueOn?.ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture)));
        Assert.Null(understood.NotUnderstood);
    }

    [Theory]
    [InlineData("Zoë on a dark tea towel", "#27303a", null)]
    [InlineData("Zoë on a pale blue linen tea towel", "#b9ccd4", "linen")]
    [InlineData("Zoë on a linen napkin", null, null)]
    [InlineData("Zoë on a mustard cotton canvas tote", "#d8b75a", null)]
    public void Colour_and_cloth_are_heard_too(string said, string? colour, string? cloth)
    {
        var understood = Asking.Of(said, Monday);
        Assert.Equal(("Zoë", colour, cloth), (understood.Words, understood.Colour, understood.Cloth));
        Assert.Null(understood.NotUnderstood);
    }

    /// <summary>What was taken for nothing is told, so that nothing is lost silently.</summary>
    [Theory]
    [InlineData("Zoë on a sparkly bodysuit for Ada", "sparkly")]
    [InlineData("Zoë on a bodysuit size 99", "99")]
    public void What_is_not_understood_is_told(string said, string left) => Assert.Equal(left, Asking.Of(said, Monday).NotUnderstood);

    [Fact]
    public void Long_nonsense_is_read_in_no_time_and_nothing_said_is_nothing_understood()
    {
        Assert.Equal(new Understood(null, null, null, null, null, null, null), Asking.Of("  \n ", Monday));
        var long1 = string.Concat(Enumerable.Repeat("on a for on the ", 200));
        Assert.NotNull(Asking.Of(long1, Monday).Words);
    }

    /// <summary>Every form can be said by its own name.</summary>
    /// <summary>Parts of a motif are said by name behind it: colour or stitch, and strands.</summary>
    [Theory]
    [InlineData("a sunflower on a cushion cover, petals in orange, centre in brown, six strands", "sunflower", "cushion-cover",
        "petal//#d9772f/,centre//#4a3526/6")]
    [InlineData("a songbird on a tote with the body in sea blue and feathers in fishbone stitch for Sunday", "songbird", "tote",
        "body//#3f7f8c/,feather/fishbone//")]
    [InlineData("a leaf sprig, leaves in green, 3 strands, on a napkin", "leaf-sprig", "napkin", "leaf//#4f7358/3")]
    [InlineData("a great sunflower on a tote, back petals in padded satin stitch", "great-sunflower", "tote", "back-petal/padded-satin//")]
    public void Parts_are_heard(string said, string motif, string form, string parts)
    {
        var heard = Asking.Of(said, Monday);
        Assert.Equal((motif, form), (heard.Motif, heard.Form));
        Assert.Equal(parts, string.Join(',', heard.Parts.Select(p => $"{p.Role}/{p.Stitch}/{p.Colour}/{p.Strands}")));
        Assert.Equal(heard.Parts, heard.MotifAlone(motif).ByPart);
        Assert.Null(heard.NotUnderstood);
        Assert.Empty(Jobs.Faults(new Job(form, [], Monday, Motifs: [heard.MotifAlone(motif)]), Workshop.Default));
    }

    /// <summary>
    /// Without a motif a wish for parts is asked about; words that only sound so stay words; seven strands are no thread.
    /// </summary>
    [Fact]
    public void What_only_sounds_like_a_part_stays_a_wording()
    {
        Assert.Equal("Petals in autumn", Asking.Of("Petals in autumn on a tote", Monday).Words);
        Assert.Equal("Leaves in white", Asking.Of("“Leaves in white” on a tote", Monday).Words);
        Assert.Contains(Asking.Of("Ida, leaves in green, on a tote", Monday).Questions, q => q.Contains("hold for a motif", StringComparison.Ordinal));
        var seven = Asking.Of("a daisy on a tote, petals in rose, seven strands", Monday);
        Assert.Null(Assert.Single(seven.Parts).Strands);
        Assert.Contains(seven.Questions, q => q.Contains("7 strands", StringComparison.Ordinal));
    }

    /// <summary>Every thread of ours is known by its whole name.</summary>
    [Fact]
    public void Threads_are_known_by_their_names() => Assert.All(Core.Materials.Palette.Colours, c =>
    {
        var heard = Asking.Of($"Ida in {c.Name} on a tote", Monday);
        Assert.Equal(("Ida", c.Hex), (heard.Words, heard.Thread));
    });

    [Fact]
    public void Every_form_is_known_by_its_name() =>
        Assert.All(Core.Items.Catalogue.Forms, f => Assert.Equal(f.Id, Asking.Of($"Mimi on a {f.Name}", Monday).Form));
}
