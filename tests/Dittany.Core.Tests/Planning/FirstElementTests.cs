using Dittany.Core.Decisions;
using Dittany.Core.Jobs;

namespace Dittany.Core.Tests.Planning;

/// <summary>What was chosen for one element stays with it, whichever comes to stand first, and goes when it goes.</summary>
public class FirstElementTests
{
    private static Job Two(params (string Decision, string Choice)[] chosen) => new("tea-towel", [new MotifElement("a", "heart"), new MotifElement("b", "star")], Samples.Monday,
        Overrides: OverrideSet.Of(chosen.Select(c => ((DecisionKey)c.Decision, c.Choice))));

    private static Job Changed(Job job, Change change)
    {
        var (changed, fault) = Changes.Apply(job, change);
        Assert.Null(fault);
        Assert.Empty(Samples.Faults(changed!, Workshop.Default));
        return changed!;
    }

    private static IEnumerable<string> Chosen(Job job) => job.Overrides
        .Select(o => $"{o.Key}={o.Choice}").Order(StringComparer.Ordinal);

    /// <summary>The first is taken away: its height and colour are not the next one's, and that one's own are not lost.</summary>
    [Fact]
    public void Taking_the_first_away_hands_nothing_on()
    {
        var job = Two(("motif.size", "40"), ("thread.colour", "#8c2f39"), ("thread.colour:b", "#4f7358"), ("hoop.size", "127"));
        var left = Changed(job, new Change("motifs", "b", "Took the heart away"));
        Assert.Equal(["hoop.size=127", "thread.colour=#4f7358"], Chosen(left));
        var plan = Samples.Plan(left);
        Assert.Equal("#4f7358", plan.Decision("thread.colour")!.ChoiceId);
        Assert.False(plan.Decision("motif.size")!.Overruled);
        Assert.Empty(plan.Idle);
    }

    /// <summary>Words put before motifs do not take what was chosen for the motif that stood first.</summary>
    [Fact]
    public void What_is_put_first_takes_nothing()
    {
        var job = Two(("thread.colour", "#8c2f39"), ("thread.colour:b", "#4f7358"));
        var written = Changed(job, new Change("text", null, "Wrote Ida", j => j with { Elements = [new TextElement("w", "Ida"), .. j.Elements] }));
        Assert.Equal(["thread.colour:a=#8c2f39", "thread.colour:b=#4f7358"], Chosen(written));
        Assert.Equal("#8c2f39", Samples.Plan(written).Decision("thread.colour:a")!.ChoiceId);
        Assert.False(Samples.Plan(written).Decision("thread.colour")!.Overruled);
    }

    /// <summary>Of one that is not the first, taken away, nothing idles in the plan; the first keeps all.</summary>
    [Fact]
    public void A_further_one_takes_its_own_with_it()
    {
        var left = Changed(Two(("motif.size", "40"), ("thread.colour:b", "#4f7358")), new Change("motifs", "a", "Took the star away"));
        Assert.Equal(["motif.size=40"], Chosen(left));
        Assert.Empty(Samples.Plan(left).Idle);
    }

    /// <summary>
    /// Elements stand in the plan as they stand in the job, words behind a motif too; each keeps its own choices by its id.
    /// </summary>
    [Theory]
    [InlineData("text", "motif")]
    [InlineData("motif", "text")]
    [InlineData("motif", "text", "motif", "text")]
    public void Elements_keep_the_order_of_the_job(params string[] kinds)
    {
        var elements = kinds.Select((k, i) => k == "text" ? (JobElement)new TextElement($"e{i}", "Ida", CapHeightMm: 12)
            : new MotifElement($"e{i}", "heart", HeightMm: 20)).ToArray();
        var chosen = elements.Select((e, i) => (new DecisionKey("thread.colour", i == 0 ? null : e.Id), i % 2 == 0 ? "#8c2f39" : "#2f5f8f"));
        var plan = Samples.Plan(new Job("tablecloth", elements, Samples.Monday,
            Overrides: OverrideSet.Of(chosen)));
        Assert.Equal(elements.Select(e => e.Id), plan.Elements.Select(e => e.Id));
        Assert.Equal(kinds.Select(k => k == "motif"), plan.Elements.Select(e => e.IsMotif));
        Assert.All(plan.Elements.Select((e, i) => (e, i)), p => Assert.All(p.e.Parts, part => Assert.Equal(p.i % 2 == 0 ? "#8c2f39" : "#2f5f8f", part.Colour)));
        Assert.Empty(plan.Idle);
    }

    /// <summary>The reason for a motif's size is what bounds it: on a cushion, 323 mm high at most, what is usual of one motif.</summary>
    [Fact]
    public void A_size_names_what_bounds_it()
    {
        var size = Samples.Plan(new Job("cushion-cover", [new MotifElement("sprig", "leaf-sprig")], Samples.Monday)).Decision("motif.size")!;
        Assert.Equal("90", size.ChoiceId);
        Assert.Contains(size.Because, b => b.ToString().EndsWith("and no more than 90 mm.", StringComparison.Ordinal));
    }
}
