using Dittany.Core.Materials;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Tests.Materials;
using Dittany.Core.Tests.Planning;

namespace Dittany.Core.Tests.StitchBook;

public class RecommenderTests
{
    /// <summary>
    /// By height of capitals on woven cloth (from memory): under 6 backstitch 1, to 10 backstitch 2, to 16 backstitch 3, to 25 whipped 2,
    /// above chain 3 and 4.
    /// </summary>
    [Theory]
    [InlineData(5, "backstitch", 1)]
    [InlineData(8, "backstitch", 2)]
    [InlineData(10, "backstitch", 3)]
    [InlineData(16, "backstitch", 3)]
    [InlineData(20, "whipped-backstitch", 2)]
    [InlineData(25, "whipped-backstitch", 2)]
    [InlineData(29, "chain", 3)]
    [InlineData(40, "chain", 4)]
    public void Stitch_and_strands_by_height(double cap, string stitch, int strands)
    {
        var part = Samples.Plan(Samples.Towel("HE", w => w with { CapHeightMm = cap })).Elements[0].Parts[0];
        Assert.Equal((stitch, strands), (part.Stitch, part.Strands));
    }

    /// <summary>
    /// Knits prefer chain and split (from memory); where a split line would shut the letters a narrower stitch is taken and it says why.
    /// </summary>
    [Theory]
    [InlineData("HE", 12, "split")]
    [InlineData("HE", 24, "chain")]
    [InlineData("HE", 5, "backstitch")]
    public void Knits_prefer_what_gives(string words, double cap, string stitch) =>
        Assert.Equal(stitch, Samples.Plan(Samples.On("baby-bodysuit", words, w => w with { CapHeightMm = cap })).Elements[0].Parts[0].Stitch);

    [Fact]
    public void Why_the_first_choice_was_not_taken_is_told()
    {
        var decision = Samples.Plan(Samples.On("baby-bodysuit", "Little", w => w with { CapHeightMm = 12 })).Decision("stitch.outline")!;
        Assert.NotEqual("split", decision.ChoiceId);
        Assert.Contains("But here", decision.Because[0], StringComparison.Ordinal);
        Assert.Contains(decision.RuledOut, r => r.ChoiceId == "chain" && r.Because[0].Contains("wants at least", StringComparison.Ordinal));
    }

    /// <summary>
    /// Least and comfortable capitals are nine and twelve lines high, to the half millimetre and a little grace (from memory; ISO 3098 has
    /// ten).
    /// </summary>
    [Fact]
    public void Least_and_comfortable_heights_follow_the_line()
    {
        foreach (var stitch in Book.Lines)
        {
            foreach (var strands in new[] { 1, 2, 3, 4, 6 })
            {
                Assert.InRange(stitch.LeastCapMm(strands) / stitch.LineWidthMm(strands), 8.2, 10.5);
                Assert.InRange(stitch.ComfortableCapMm(strands) / stitch.LineWidthMm(strands), 11, 15.1);
                Assert.True(stitch.LeastCapMm(strands) < stitch.ComfortableCapMm(strands));
            }
        }
    }

    /// <summary>Whatever the stitch, the strands and the height: why so many strands is said in finite numbers.</summary>
    [Fact]
    public void Strands_are_told_in_finite_numbers()
    {
        foreach (var stitch in Book.Lines)
        {
            foreach (var (cap, strands) in new[] { (3.0, 1), (12, 2), (30, 3), (90, 6) })
            {
                var told = Recommender.BecauseStrands(new Pair(stitch, strands), cap, StitchFacts.Of(Samples.Plan(Samples.On("tote", "Oda")).Item.Cloth));
                Assert.DoesNotContain("∞", told.ToString(), StringComparison.Ordinal);
                Assert.DoesNotContain("∞", told.In(Core.Measures.Units.Inches).ToString(), StringComparison.Ordinal);
            }
        }
    }

    /// <summary>Line widths over the bundle (from memory): outline 1.15, split 1.25, stem 1.4, whipped 1.5, chain 2.5.</summary>
    [Theory]
    [InlineData("backstitch", 0.77)]
    [InlineData("outline", 0.886)]
    [InlineData("split", 0.963)]
    [InlineData("stem", 1.078)]
    [InlineData("whipped-backstitch", 1.155)]
    [InlineData("chain", 1.925)]
    public void Line_widths(string stitch, double width) => Assert.Equal(width, Book.Find(stitch)!.LineWidthMm(3), 3);

    /// <summary>Never more than a dozen pairs are tried, and a stated stitch or number of strands is kept to.</summary>
    [Fact]
    public void A_dozen_pairs_at_the_most()
    {
        foreach (var cloth in Cloths.All)
        {
            foreach (var school in new[] { "by-height", "stem", "chain" })
            {
                var facts = StitchFacts.Of(ThreadAndHoopTests.ClothOf(cloth.Id), school);
                Assert.InRange(Recommender.InOrder(null, null, facts).Count, 3, Recommender.MostPairs);
                Assert.All(Recommender.InOrder(Book.Find("stem")!, null, facts), p => Assert.Equal(Book.Find("stem")!, p.Stitch));
                Assert.All(Recommender.InOrder(null, 2, facts), p => Assert.Equal(2, p.Strands));
            }
        }
    }

    /// <summary>
    /// Sagitta and turn in closed form: at its shortest stitch of 1 mm and 60° a joint, backstitch follows a bend of 0.955 mm; split and
    /// stem at 1.6 mm one of 1.4 mm.
    /// </summary>
    [Theory]
    [InlineData("backstitch", 0.9549)]
    [InlineData("stem", 1.405)]
    [InlineData("split", 1.405)]
    public void The_tightest_bend(string stitch, double radius) =>
        Assert.Equal(radius, Tolerance.LeastRadiusMm(new Pair(Book.Find(stitch)!, 3)), 0.005);
}
