using Dittany.Core.Effort;
using Dittany.Core.Items;
using Dittany.Core.Measures;
using Dittany.Core.Planning;

namespace Dittany.Core.Tests.Planning;

/// <summary>What a log teaches, against simulated makers whose pace is known.</summary>
public class LearningTests
{
    /// <summary>A maker with a pace of her own and pieces that scatter about it, log-normally (Box and Muller 1958).</summary>
    private static IEnumerable<Observed> Pieces(Chance chance, int count, double pace, double spread) => Enumerable.Range(0, count)
        .Select(i =>
    {
        var planned = chance.Between(40, 200);
        return new Observed(i, planned, planned * pace * Math.Exp(spread * Normal(chance)));
    });

    private static double Normal(Chance chance) =>
        Math.Sqrt(-2 * Math.Log(1 - chance.Next())) * Math.Cos(2 * Math.PI * chance.Next());

    /// <summary>
    /// Of simulated makers eighty in a hundred of the next pieces fall into the eighty-percent interval, with few pieces behind it and with
    /// many (the bounds are what 2000 trials scatter, and what few pieces are kept wide by).
    /// </summary>
    [Theory]
    [InlineData(2, 0.76, 0.95)]
    [InlineData(5, 0.76, 0.9)]
    [InlineData(12, 0.76, 0.86)]
    [InlineData(40, 0.77, 0.84)]
    public void Four_in_five_pieces_fall_into_the_interval(int count, double least, double most)
    {
        var inside = 0;
        const int Makers = 2000;
        for (var seed = 1; seed <= Makers; seed++)
        {
            var chance = new Chance(seed * 7919);
            var (pace, spread) = (Math.Exp(0.2 * Normal(chance)), 0.2);
            var learned = Learning.Of(Pieces(chance, count, pace, spread))!;
            var next = pace * Math.Exp(spread * Normal(chance)) / learned.Factor;
            inside += next >= learned.LowShare && next <= learned.HighShare ? 1 : 0;
        }

        Assert.InRange((double)inside / Makers, least, most);
    }

    /// <summary>
    /// One slow piece moves the pace a little, twenty of them nearly all the way: shrunk towards the default while there is little.
    /// </summary>
    [Fact]
    public void Little_is_shrunk_and_much_is_believed()
    {
        double After(int count) => Learning.Of(Enumerable.Range(0, count).Select(i => new Observed(i, 60, 90)))!.Factor;
        Assert.Equal(Math.Pow(1.5, 0.25), After(1), 6);
        Assert.InRange(After(20), 1.4, 1.5);
        Assert.True(After(1) < After(3) && After(3) < After(9));
        Assert.Null(Learning.Of([]));
        Assert.Null(Learning.Of([new Observed(1, 0, 30)]));
    }

    /// <summary>One piece far off is named and hardly moves the pace; minutes of one piece count together.</summary>
    [Fact]
    public void An_outlier_is_named_and_counts_less()
    {
        Observed[] usual = [.. Enumerable.Range(1, 8).Select(i => new Observed(i, 60, 60 + (i % 3)))];
        var learned = Learning.Of([.. usual, new Observed(9, 60, 500), new Observed(9, 60, 400)])!;
        Assert.Equal(9, Assert.Single(learned.Outliers).Piece);
        Assert.Equal(9, learned.Pieces);
        Assert.InRange(learned.Factor, 1, 1.12);
    }

    /// <summary>
    /// A learnt pace makes the plan's minutes longer by it, tells from how many pieces, and widens or narrows its interval.
    /// </summary>
    [Fact]
    public void A_plan_goes_by_what_was_learnt()
    {
        var plain = Jobs.Make(Jobs.Towel(), Workshop.Default);
        Logged[] log = [.. Enumerable.Range(1, 9).Select(i => new Logged(i, "length-1", NeedleStep.Stitching, 60, 90))];
        var workshop = Workshop.Default with { Paces = LearningFromLog.Paces(log) };
        var plan = Jobs.Make(Jobs.Towel(), workshop);
        var (before, after) = (plain.Work.Single(o => o.Id == "stitch"), plan.Work.Single(o => o.Id == "stitch"));
        var factor = Math.Exp(9.0 / 12 * Math.Log(1.5));
        Assert.Equal(before.LikelyMinutes * factor, after.LikelyMinutes, 0);
        Assert.Equal(plain.Work.Where(o => o.Id != "stitch").Sum(o => o.LikelyMinutes), plan.Work.Where(o => o.Id != "stitch").Sum(o => o.LikelyMinutes), 3);
        Assert.Contains(plan.Decision("time.ready")!.Because, b => b.ToString().StartsWith("From nine pieces of yours: you take 1.4 times", StringComparison.Ordinal)
            || b.ToString().StartsWith("From 9 pieces of yours: you take 1.4 times", StringComparison.Ordinal));
        Assert.True(plan.Time.LowMinutes < plan.Time.HandsOnMinutes && plan.Time.HandsOnMinutes < plan.Time.HighMinutes);

        // What was planned at her own pace is read back as the usual.
        var step = NeedleSteps.Of(plan, Jobs.Monday).First(s => s.Length is not null);
        Assert.Equal(NeedleSteps.Of(plain, Jobs.Monday).First(s => s.Length is not null).Minutes, LearningFromLog.Usual(step, workshop), 0);
    }

    /// <summary>What is hard to believe is asked about: a clock turned back, 900 minutes, a step left open.</summary>
    [Theory]
    [InlineData(-4, 10, "turned back")]
    [InlineData(900, 10, "15 h in one step")]
    [InlineData(200, 5, "left open")]
    [InlineData(12, 10, null)]
    [InlineData(0, 10, null)]
    public void What_is_hard_to_believe_is_asked_about(double minutes, double planned, string? says)
    {
        var doubt = LearningFromLog.Doubt(minutes, planned);
        Assert.Equal(says is null, doubt is null);
        Assert.Contains(says ?? string.Empty, doubt ?? string.Empty, StringComparison.Ordinal);
    }
}
