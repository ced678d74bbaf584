using Dittany.Core.Geometry;
using Dittany.Core.Jobs;
using Dittany.Core.Motifs;
using Dittany.Core.Planning;
using Dittany.Core.Words;

namespace Dittany.Core.Tests.Planning;

/// <summary>What goes round something has its middle where that has its own, and leaves it the room inside.</summary>
[Trait("Lane", "long")]
public class SurroundingTests
{
    private static readonly DateOnly Monday = new(2027, 3, 1);

    private static Plan Make(string form, TextElement words, params MotifElement[] motifs) =>
        Planner.Make(new Job(form, [words, .. motifs], Monday), Workshop.Default, Library.Ours);

    private static Pt[] Points(PlannedElement element) => element.Parts.SelectMany(p => p.LineMm).ToArray();

    private static Pt Middle(PlannedElement element) => new(element.BoxMm.X + (element.BoxMm.Width / 2),
        element.BoxMm.Y + (element.BoxMm.Height / 2));

    [Theory]
    [InlineData("tote", "ring", 8)]
    [InlineData("tea-towel", "ring", 5)]
    [InlineData("cushion-cover", "ring", 12)]
    [InlineData("cushion-cover", "border", null)]
    [InlineData("hoop-picture", "ring", 9)]
    [InlineData("napkin", "border", 12)]
    public void Words_stand_inside_what_goes_round_them(string form, string arrangement, int? count)
    {
        var plan = Make(form, new TextElement("name", "Zoë"), new MotifElement("round", "daisy", Arrangement: arrangement, Count: count));
        var (words, round) = (plan.Elements[0], plan.Elements[1]);
        Assert.Equal(0, words.OverflowsMm);
        Assert.Equal(0, round.OverflowsMm);
        Assert.Equal("inside", plan.Decisions.First(d => d.Id == "space.place").ChoiceId);
        Assert.StartsWith($"In the middle of the {arrangement} of daisies", plan.Decisions.First(d => d.Id == "space.place").Choice.ToString(),
            StringComparison.Ordinal);

        // Nothing of the words comes near what goes round them, and both have one middle.
        var away = Points(words).Min(p => Points(round).Min(q => q.To(p)));
        Assert.True(away >= 3.9, $"{away} mm apart");
        if (arrangement == "ring")
        {
            // All points of an evenly turned ring balance about its middle.
            var ring = new Pt(Points(round).Average(p => p.X), Points(round).Average(p => p.Y));
            Assert.InRange(ring.To(words.CentreMm), 0, 0.6);
        }
        else
        {
            Assert.InRange(Middle(round).To(words.CentreMm), 0, 0.6);
        }
    }

    /// <summary>Words that have a place of hers keep it: the ring comes to them.</summary>
    [Fact]
    public void A_ring_stands_about_words_that_have_their_place()
    {
        var at = new Pt(150, 200);
        var plan = Make("tote", new TextElement("name", "Zoë", CentreMm: at, CapHeightMm: 10),
            new MotifElement("round", "daisy", Arrangement: "ring", Count: 8, WidthMm: 110));
        Assert.Equal(0, plan.Elements[0].OverflowsMm);
        Assert.InRange(plan.Elements[1].CentreMm.To(at), 0, 0.01);
        Assert.Equal("inside", plan.Decisions.First(d => d.Id == "space.place:round").ChoiceId);
    }

    /// <summary>A ring that is too small for its words says so at the words.</summary>
    [Fact]
    public void Words_too_large_for_their_ring_are_told()
    {
        var plan = Make("tote", new TextElement("name", "Alexandra", CapHeightMm: 20),
            new MotifElement("round", "daisy", Arrangement: "ring", Count: 8, WidthMm: 70));
        Assert.Contains(plan.Elements[0].Concerns, c => c.What == "overflows");
    }

    /// <summary>A ring that has a middle of its own, and a ring alone, share the room like anything else.</summary>
    [Fact]
    public void A_ring_with_a_middle_goes_round_nothing()
    {
        var plan = Make("tote", new TextElement("name", "Zoë"),
            new MotifElement("round", "daisy", Arrangement: "ring", Count: 8, Middle: true));
        Assert.NotEqual("inside", plan.Decisions.First(d => d.Id == "space.place").ChoiceId);
    }

    /// <summary>A border runs along the edge of the room, on every side, at corners too.</summary>
    [Theory]
    [InlineData("cushion-cover")]
    [InlineData("napkin")]
    [InlineData("tea-towel")]
    [InlineData("baby-blanket")]
    public void A_border_follows_the_edge_of_the_field(string form)
    {
        var plan = Planner.Make(new Job(form, [new MotifElement("m", "heart", Arrangement: "border")], Monday),
            Workshop.Default, Library.Ours);
        var element = plan.Elements[0];
        Assert.Equal(0, element.OverflowsMm);
        Assert.Equal("border of hearts", element.Text);
        var field = plan.Space.FieldMm.SelectMany(r => r).ToArray();
        var (wide, high) = (field.Max(p => p.X) - field.Min(p => p.X), field.Max(p => p.Y) - field.Min(p => p.Y));
        Assert.InRange(element.BoxMm.Width / wide, 0.85, 1);
        Assert.InRange(element.BoxMm.Height / high, 0.85, 1);
        var copies = element.Parts.GroupBy(p => p.Copy).Select(g => g.SelectMany(p => p.LineMm).ToArray()).ToArray();
        Assert.Equal(0, copies.Length % 2);
        foreach (var (x, y) in new[] { (-1, -1), (1, -1), (1, 1), (-1, 1) })
        {
            var corner = Middle(element) + new Pt(x * element.BoxMm.Width / 2, y * element.BoxMm.Height / 2);
            Assert.InRange(copies.Min(c => c.Min(p => p.To(corner))), 0, element.BoxMm.Width / 8);
        }
    }

    /// <summary>Plurals as dictionaries give them.</summary>
    [Theory]
    [InlineData("daisy", "daisies")]
    [InlineData("single leaf", "single leaves")]
    [InlineData("ear of wheat", "ears of wheat")]
    [InlineData("flower on its stem", "flowers on their stems")]
    [InlineData("pair of cherries", "pairs of cherries")]
    [InlineData("fish", "fish")]
    [InlineData("fox", "foxes")]
    [InlineData("heart", "hearts")]
    [InlineData("olive branch", "olive branches")]
    public void Many_of_a_thing(string one, string many) => Assert.Equal(many, Core.Measures.Say.Many(one));
}
