using Dittany.Core.Advising;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Planning;
using Dittany.Core.Words;

namespace Dittany.Core.Tests.Planning;

/// <summary>The five-minute trial of the worst letter: proposed on the edge, and what came of it holds on such cloth.</summary>
public class TrialTests
{
    private static readonly double[] Heights = [5, 5.5, 6, 6.5, 7, 7.5, 8, 9, 10, 11, 12, 14];

    /// <summary>
    /// Over heights that cross the edge: whatever she finds, the next plan of the same job says of this letter what she saw, asks no more
    /// on this cloth, and leaves every other cloth as it was.
    /// </summary>
    [Fact]
    public void What_she_saw_is_what_is_planned()
    {
        var found = 0;
        foreach (var cap in Heights)
        {
            var job = Samples.Towel("Beatrice", w => w with { CapHeightMm = cap, Stitch = "backstitch", Strands = 2 });
            var plan = Samples.Plan(job);
            if (Trial.Of(plan) is not { } trial)
            {
                continue;
            }

            found++;
            var worst = plan.Elements[0].Letters!.Where(l => l.OpenMm is not null).Min(l => l.OpenMm / l.WantedMm);
            Assert.Equal(worst, trial.OpenMm / trial.WantedMm);
            Assert.InRange(trial.OpenMm / trial.WantedMm, Trial.EdgeFrom, Trial.EdgeTo);
            foreach (var open in new[] { true, false })
            {
                var after = trial.After(open, 1);
                Assert.InRange(after, TrialShares.LeastShare, TrialShares.MostShare);
                var hers = Workshop.Default with { Trials = new Dictionary<string, double> { [trial.Cloth] = after } };
                var then = Samples.Make(job, hers);
                Assert.Equal(open, then.Elements[0].Letters!.Single(l => l.Letter == trial.Letter).Reads);
                Assert.Equal(open, then.Elements[0].Concerns.All(c => c.What != "closes-up" || c.Letter != trial.Letter));
                Assert.Null(Trial.Of(then));
                var elsewhere = job with { Form = "t-shirt-adult" };
                Assert.Equal(Samples.Plan(elsewhere).Elements[0].Letters, Samples.Make(elsewhere, hers).Elements[0].Letters);
            }
        }

        Assert.True(found >= 2, $"{found} heights were on the edge");
    }

    /// <summary>Large letters are not on the edge, and what is begun is not tried any more.</summary>
    [Fact]
    public void It_is_proposed_only_where_it_helps()
    {
        Assert.Null(Trial.Of(Samples.Plan(Samples.Towel("Beatrice", w => w with { CapHeightMm = 40 }))));
        var job = Heights.Select(cap => Samples.Towel("Beatrice", w => w with { CapHeightMm = cap, Stitch = "backstitch", Strands = 2 })).First(j =>
            Trial.Of(Samples.Plan(j)) is not null);
        Assert.Contains(Next.Of(Samples.Plan(job), false, false), w => w.Kind == "trial");
        Assert.Null(Trial.Of(Samples.Plan(job with { Done = new(true, 1) })));
    }
}
