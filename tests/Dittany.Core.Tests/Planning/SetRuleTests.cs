using Dittany.Core.Advising;
using Dittany.Core.Jobs;
using Dittany.Core.Words;

namespace Dittany.Core.Tests.Planning;

public class SetRuleTests
{
    private static readonly string[] Family = ["Ida", "Maximilian", "Zoë", "Theo", "Jo"];

    private static Job Stocking(string text = "x") => new("christmas-stocking", [new TextElement("name", text)], Samples.Monday);

    /// <summary>One size for all, and it is what the name that governs would take alone; every name fits and reads at it.</summary>
    [Fact]
    public void The_longest_name_governs()
    {
        var set = SetRule.Of(Stocking(), Family, Workshop.Default, Library.Ours);
        Assert.Equal("Maximilian", set.Governing);
        Assert.Equal(Samples.Plan(Stocking("Maximilian")).Elements[0].CapHeightMm, set.CapMm);
        Assert.All(set.Names, n =>
        {
            Assert.Equal(0, n.OverflowMm);
            Assert.Empty(n.Wrong);
            Assert.True(n.AloneCapMm >= set.CapMm);
        });
    }

    /// <summary>Each piece at the set's size is a plan of that very size, without a concern.</summary>
    [Fact]
    public void Pieces_of_the_set_come_out_at_its_size()
    {
        var set = SetRule.Of(Stocking(), Family, Workshop.Default, Library.Ours);
        foreach (var name in Family)
        {
            var element = Samples.Plan(Stocking() with
            {
                Elements = [new TextElement("name", name, CapHeightMm: set.CapMm,
                Stitch: set.Pair.Stitch.Id, Strands: set.Pair.Strands)]
            }).Elements[0];
            Assert.Equal(set.CapMm, element.CapHeightMm);
            Assert.DoesNotContain(element.Concerns, c => c.What is "overflows" or "closes-up" or "touches" or "too-heavy");
        }
    }

    /// <summary>What dropping the governing name is said to gain is what the set without it comes to.</summary>
    [Fact]
    public void The_gain_is_true()
    {
        var set = SetRule.Of(Stocking(), Family, Workshop.Default, Library.Ours);
        var without = SetRule.Of(Stocking(), Family.Where(n => n != set.Governing).ToArray(), Workshop.Default, Library.Ours);
        Assert.Equal(without.CapMm, set.WithoutCapMm);
        Assert.Equal(without.Governing, set.NextGoverning);
        Assert.Contains(Core.Measures.Say.Length(without.CapMm - set.CapMm), set.Gain, StringComparison.Ordinal);
    }

    [Fact]
    public void A_name_alone_gains_nothing_by_dropping_it() =>
        Assert.Null(SetRule.Of(Stocking(), ["Ida"], Workshop.Default, Library.Ours).WithoutCapMm);

    [Fact]
    public void No_names_are_no_set() => Assert.Throws<ArgumentException>(() => SetRule.Of(Stocking(), [], Workshop.Default, Library.Ours));
}
