using Dittany.Core.Effort;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Tests.Materials;

namespace Dittany.Core.Tests.Effort;

/// <summary>Minutes at the needle, worked by hand from the trade's table (from memory).</summary>
public class EffortTests
{
    /// <summary>350 split stitches at 8 s are 47 minutes for a skilled hand on woven cloth; seven threads at 3.5 min are 25; a knit hooped and moved once is 8.</summary>
    [Fact]
    public void The_worked_example()
    {
        var woven = new Pace(ThreadAndHoopTests.ClothOf("linen"), Skill.Expert, false);
        Assert.Equal(46.7, EffortRoom.StitchingMinutes([(350, Book.Split.SecondsEach)], woven), 1);
        var knit = EffortRoom.Stitching([(350, 8)], 7, 3.5, ["Hoop.", "Move the hoop."], woven with { Cloth = ThreadAndHoopTests.ClothOf("baby-interlock") });
        Assert.Equal([8, 56, 24.5], knit.Work.SelectMany(o => o.By).Select(s => Math.Round(s.Minutes, 1)));
    }

    /// <summary>A hobbyist takes half as long again and a beginner two and a half times; jersey and dark cloth 1.2, canvas 1.3, the slower counts.</summary>
    [Theory]
    [InlineData(Skill.Expert, "linen", "#ffffff", 1.0)]
    [InlineData(Skill.Practised, "linen", "#ffffff", 1.5)]
    [InlineData(Skill.Learner, "linen", "#ffffff", 2.5)]
    [InlineData(Skill.Expert, "cotton-jersey", "#ffffff", 1.2)]
    [InlineData(Skill.Expert, "linen", "#20242c", 1.2)]
    [InlineData(Skill.Expert, "canvas", "#20242c", 1.3)]
    [InlineData(Skill.Practised, "canvas", "#ffffff", 1.95)]
    public void Skill_and_cloth_set_the_pace(Skill skill, string cloth, string colour, double times) =>
        Assert.Equal(10 * times, EffortRoom.StitchingMinutes([(60, 10)], new Pace(ThreadAndHoopTests.ClothOf(cloth, colour), skill, false)), 6);

    /// <summary>Seconds a stitch for a skilled hand in a hoop: backstitch, stem and outline 7, split 8, chain 9, a knot 18; a wrap 3.</summary>
    [Theory]
    [InlineData("backstitch", 7)]
    [InlineData("stem", 7)]
    [InlineData("outline", 7)]
    [InlineData("split", 8)]
    [InlineData("chain", 9)]
    [InlineData("french-knot", 18)]
    public void Seconds_by_stitch(string stitch, double seconds) => Assert.Equal(seconds, Book.Find(stitch)!.SecondsEach);

    /// <summary>A whipped line is counted by its stitches and its wraps, each at its own pace; a chain's tie at the pace of a tie.</summary>
    [Fact]
    public void Wraps_and_ties_have_their_own_pace()
    {
        PlacedLine Of(string stitch) => LinePlacing.Place(Stitches.Strokes.Line(25), StitchSpec.For(new Pair(Book.Find(stitch)!, 2), new StitchSchools()))!;
        var whipped = StitchCounts.Of([(Book.WhippedBackstitch, Of("whipped-backstitch").Stitches)]);
        Assert.Equal([(11, 3.0), (10, 7.0)], whipped);
        var chain = StitchCounts.Of([(Book.Chain, Of("chain").Stitches)]);
        Assert.Equal((1, 6.0), chain[0]);
    }

    [Fact]
    public void Skimming_is_faster()
    {
        var stab = new Pace(ThreadAndHoopTests.ClothOf("linen"), Skill.Expert, false);
        Assert.True(EffortRoom.StitchingMinutes([(100, 7)], stab with { Skims = true }) < EffortRoom.StitchingMinutes([(100, 7)], stab));
    }
}
