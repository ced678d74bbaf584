using Dittany.Core.Decisions;
using Dittany.Core.Jobs;
using Dittany.Core.Words;

namespace Dittany.Core.Tests.Planning;

/// <summary>The one list of decisions against plans, against the members that changes know, and against what a job may state.</summary>
public class DecisionBookTests
{
    public static TheoryData<string> Stated() => [.. DecisionRegistry.All.SelectMany(r =>
        r.Stated.Select(s => s.Member)).Distinct(StringComparer.Ordinal)];

    /// <summary>Every member that states a decision can be changed by its name, or nobody could take it back.</summary>
    [Theory]
    [MemberData(nameof(Stated))]
    public void What_states_a_decision_can_be_changed(string member) => Assert.Contains(member, Changes.Members);

    /// <summary>
    /// Stating a member lets go of the overrule that settles the same, and an overrule of the member: both at once would be refused.
    /// </summary>
    [Theory]
    [InlineData("capHeightMm", "21", "words.size", "18")]
    [InlineData("strands", "2", "thread.strands", "3")]
    [InlineData("wearer", "baby", "item.wearer", "adult")]
    public void Two_ways_to_settle_one_thing_never_stand_together(string member, string value, string decision, string hers)
    {
        var workshop = Workshop.Default;
        var overruled = Changes.Apply(Samples.Towel(), new Change($"overrules/{decision}", hers, "x")).Job!;
        var stated = Changes.Apply(overruled, new Change(member, value, "x")).Job!;
        Assert.Null(Changes.Read(stated, $"overrules/{decision}"));
        Assert.Empty(JobCheck.Faults(stated, workshop, Library.Ours));
        var back = Changes.Apply(stated, new Change($"overrules/{decision}", hers, "x")).Job!;
        Assert.Null(Changes.Read(back, member));
        Assert.Empty(JobCheck.Faults(back, workshop, Library.Ours));
    }

    /// <summary>A width of a motif settles its size like a height does.</summary>
    [Fact]
    public void A_width_lets_go_of_an_overruled_size()
    {
        var job = new Job("tea-towel", [new MotifElement("sprig", "leaf-sprig")], Samples.Monday, Overrides: OverrideSet.Of(("motif.size", "40")));
        var wide = Changes.Apply(job, new Change("widthMm", "35", "x")).Job!;
        Assert.Empty(JobCheck.Faults(wide, Workshop.Default, Library.Ours));
        Assert.Equal("#/elements/0/widthMm", DecisionRegistry.Pointer(wide, "motif.size", null));
    }

    [Fact]
    public void Ids_stand_once_and_what_is_unknown_is_refused_by_name()
    {
        Assert.Equal(DecisionRegistry.All.Count, DecisionRegistry.All.Select(r => r.Id).Distinct(StringComparer.Ordinal).Count());
        Assert.Contains("no decision 'words.weight'", DecisionRegistry.Check("words.weight", "1", Library.Ours)!.Value.Detail,
            StringComparison.Ordinal);
        Assert.Null(DecisionRegistry.Find("time.ready")!.Check);
        Assert.Equal("words.size", DecisionRegistry.Find("words.size:second")!.Id);
    }
}
