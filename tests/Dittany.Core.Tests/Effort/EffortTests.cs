using Dittany.Core.Designs;
using Dittany.Core.Effort;
using Dittany.Core.Geometry;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Stitches.AtPoints;
using Dittany.Core.Stitches.Needle;
using Dittany.Core.Tests.Materials;

namespace Dittany.Core.Tests.Effort;

/// <summary>Minutes at the needle, worked by hand from the trade's table (from memory).</summary>
public class EffortTests
{
    /// <summary>
    /// 350 split stitches at 8 s are 47 minutes for a skilled hand on woven cloth; seven threads at 3.5 min are 25; a knit hooped and moved
    /// once is 8.
    /// </summary>
    [Fact]
    public void The_worked_example()
    {
        var woven = new Pace(ThreadAndHoopTests.ClothOf("linen"), Skill.Expert, false);
        Assert.Equal(46.7, EffortRoom.StitchingMinutes(350 * 8, woven), 1);
        var knit = EffortRoom.Stitching(350 * 8, 7 * 3.5, ["Hoop.", "Move the hoop."], woven
            with
        { Cloth = ThreadAndHoopTests.ClothOf("baby-interlock") });
        Assert.Equal([8, 56, 24.5], knit.Work.SelectMany(o => o.By).Select(s => Math.Round(s.Minutes, 1)));
    }

    /// <summary>
    /// A hobbyist takes half as long again and a beginner two and a half times; jersey and dark cloth 1.2, canvas 1.3, the slower counts.
    /// </summary>
    [Theory]
    [InlineData(Skill.Expert, "linen", "#ffffff", 1.0)]
    [InlineData(Skill.Practised, "linen", "#ffffff", 1.5)]
    [InlineData(Skill.Learner, "linen", "#ffffff", 2.5)]
    [InlineData(Skill.Expert, "cotton-jersey", "#ffffff", 1.2)]
    [InlineData(Skill.Expert, "linen", "#20242c", 1.2)]
    [InlineData(Skill.Expert, "canvas", "#20242c", 1.3)]
    [InlineData(Skill.Practised, "canvas", "#ffffff", 1.95)]
    public void Skill_and_cloth_set_the_pace(Skill skill, string cloth, string colour, double times) =>
        Assert.Equal(10 * times, EffortRoom.StitchingMinutes(600, new Pace(ThreadAndHoopTests.ClothOf(cloth, colour), skill, false)), 6);

    /// <summary>
    /// Seconds a stitch for a skilled hand in a hoop: running 4, backstitch, stem and outline 7, split 8, chain 9 (from memory); each from
    /// the needle's moves in the middle of a line.
    /// </summary>
    [Theory]
    [InlineData("running", 4)]
    [InlineData("backstitch", 7)]
    [InlineData("stem", 7)]
    [InlineData("outline", 7)]
    [InlineData("split", 8)]
    [InlineData("chain", 9)]
    public void Seconds_by_stitch(string stitch, double seconds) => Assert.Equal(seconds, Of(stitch)[3].Seconds);

    /// <summary>A knot of two wraps takes 18 seconds (from memory).</summary>
    [Fact]
    public void Seconds_of_a_knot()
    {
        var spec = StitchSpec.For(new Pair(Book.Find("backstitch")!, 2), new StitchSchools(Wraps: 2));
        Assert.Equal(18, Dots.Knot.Sew(new Shape("dot", Point: new Pt(3, 4)), new SewingBy(spec))!.Stitches[0].Seconds);
    }

    /// <summary>Each wrap of a whipped line takes 3 seconds beside its stitches, and a chain's tie 6 (from memory).</summary>
    [Fact]
    public void Wraps_and_ties_have_their_own_pace()
    {
        Assert.Equal([(7.0, 10), (3.0, 11)], Of("whipped-backstitch").GroupBy(s => s.Seconds).Select(g => (g.Key, g.Count())));
        Assert.Equal(6, Of("chain")[^1].Seconds);
    }

    private static Sewn Of(string stitch) => Stitches.Strokes.Sewn(Stitches.Strokes.Line(25),
        StitchSpec.For(new Pair(Book.Find(stitch)!, 2), new StitchSchools()))!.Stitches;

    [Fact]
    public void Skimming_is_faster()
    {
        var stab = new Pace(ThreadAndHoopTests.ClothOf("linen"), Skill.Expert, false);
        Assert.True(EffortRoom.StitchingMinutes(700, stab with { Skims = true }) < EffortRoom.StitchingMinutes(700, stab));
    }
}
