using Dittany.Core.Advising;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Words;

namespace Dittany.Core.Tests.Planning;

/// <summary>Two plans beside each other, and what would let in what is ruled out.</summary>
[Trait("Lane", "long")]
public class ComparingTests
{
    private static readonly Workshop Here = Workshop.Default;

    private static Job With(Job job, string decision, string choice) => Changes.Apply(job, new Change($"overrules/{decision}", choice, "on")).Job!;

    /// <summary>
    /// A plan beside itself differs in nothing; beside a slower one it is better by its minutes, and the other way round.
    /// </summary>
    [Fact]
    public void A_plan_is_laid_beside_another()
    {
        var job = Samples.Towel();
        var one = Samples.Make(job, Here);
        Assert.All(Comparing.Of(one, one, 12), l => Assert.Equal((l.What, l.One.ToString(), 0), (l.What, l.Other.ToString(), l.Better)));

        var other = Samples.Make(With(job, "hoop.school", "in-hand"), Here);
        var lines = Comparing.Of(one, other, 12);
        Assert.Equal(lines.Select(l => l.What).Distinct(StringComparer.Ordinal).Count(), lines.Count);
        var back = Comparing.Of(other, one, 12);
        Assert.All(lines.Zip(back), pair => Assert.Equal((pair.First.Better, pair.First.One.ToString()),
            (-pair.Second.Better, pair.Second.Other.ToString())));
        var work = lines.Single(l => l.What == "Work");
        Assert.Equal(Math.Abs(one.Time.HandsOnMinutes - other.Time.HandsOnMinutes) < 2 ? 0
            : one.Time.HandsOnMinutes.CompareTo(other.Time.HandsOnMinutes), work.Better);
        Assert.Equal("in the hand", lines.Single(l => l.What == "Hoop positions").Other.ToString());
        Assert.Contains(lines, l => l.What == "Worth of the hours");
        Assert.DoesNotContain(Comparing.Of(one, other), l => l.What == "Worth of the hours");
    }

    /// <summary>A caution that the one way alone has counts against it.</summary>
    [Fact]
    public void What_harms_counts_against_it()
    {
        var job = new Job("tea-towel", [new TextElement("name", "Ida")], Samples.Monday, Fabric: new FabricOverrides("velvet"));
        var risks = Comparing.Of(Samples.Make(With(job, "hoop.school", "hoop"), Here), Samples.Make(With(job, "hoop.school", "in-hand"), Here)).Single(l => l.What == "To be heeded here alone");
        Assert.Equal(1, risks.Better);
        Assert.Contains("crushes velvet", risks.One.ToString(), StringComparison.Ordinal);
    }

    /// <summary>
    /// Every fact that is told, made so and planned anew, lets in what was ruled out; a fact that is so already is never told, and the
    /// nearest come first: what can be had before another cloth.
    /// </summary>
    [Theory]
    [InlineData("backpack", null)]
    [InlineData("tote", "velvet")]
    public void What_would_let_it_in_really_does(string form, string? cloth)
    {
        var job = new Job(form, [new TextElement("name", "Ida")], Samples.Monday, Fabric: cloth is null ? null : new FabricOverrides(cloth));
        var plan = Samples.Make(job, Here);
        var told = 0;
        foreach (var decision in plan.Decisions.Where(d => d.Id is "transfer.method" or "transfer.marker" or "hoop.school"))
        {
            foreach (var no in decision.RuledOut.Take(1))
            {
                var lets = WhyNot.Of(job, Here, decision.Id, no.ChoiceId, Library.Ours, (j, w) => Samples.Make(j, w));
                Assert.InRange(lets.Count, 0, WhyNot.Told);
                foreach (var let in lets)
                {
                    told++;
                    var with = let.OfWorkshop ? WorkshopChanges.Apply(Here, let.Member, let.Value).Workshop! : Here;
                    var then = let.OfWorkshop ? job : Changes.Apply(job, new Change(let.Member, let.Value, "so")).Job!;
                    then = let.And is { } and ? Changes.Apply(then, new Change(and.Member, and.Value, "so")).Job! : then;
                    var now = Samples.Make(then, with).Decision(decision.Id)!;
                    Assert.DoesNotContain(now.RuledOut, r => r.ChoiceId == no.ChoiceId);
                    Assert.True(now.ChoiceId == no.ChoiceId || now.Alternatives.Any(a => a.ChoiceId == no.ChoiceId), $"{decision.Id} {no.ChoiceId} by {let.Text}");
                    Assert.NotEqual(let.Value, Changes.Read(job, let.Member));
                }

                var cloths = lets.Select(l => l.Member == "fabric.kind").ToArray();
                Assert.Equal(cloths.Order(), cloths);
            }
        }

        Assert.True(told > 0, "Nothing was let in at all.");
    }

    /// <summary>
    /// Where no single fact would do, two are told that together do: both made so it is let in, and neither does it alone.
    /// </summary>
    [Theory]
    [InlineData("backpack", null, "tacked-from-back")]
    [InlineData("scarf", "velvet", "light-trace")]
    public void Two_facts_together_let_it_in(string form, string? cloth, string method)
    {
        var job = new Job(form, [new TextElement("name", "Ida")], Samples.Monday, Fabric: cloth is null ? null : new FabricOverrides(cloth));
        var one = Assert.Single(WhyNot.Of(job, Here, "transfer.method", method, Library.Ours, (j, w) => Samples.Make(j, w)));
        var other = one.And!;
        Job With(Job j, LetIn let) => Changes.Apply(j, new Change(let.Member, let.Value, "so")).Job!;
        bool In(Job j) => Samples.Make(j, Here).Decision("transfer.method") is { } now && now.RuledOut.All(r => r.ChoiceId != method);
        Assert.True(In(With(With(job, one), other)));
        Assert.False(In(With(job, one)));
        Assert.False(In(With(job, other)));
    }
}
