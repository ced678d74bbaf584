using Dittany.Core.Jobs;
using Dittany.Core.Route;
using Dittany.Core.Telling;

namespace Dittany.Core.Tests.Planning;

/// <summary>What is done again on another plant is told once, and pointed back to.</summary>
public class RunsAlikeTests
{
    /// <summary>
    /// Copies of one motif and the same motif put on again: a length that repeats an earlier one has the same parts by their place in the
    /// plant, the same stitches and thread; no length points to one that points on, and the first of each kind is told in full.
    /// </summary>
    [Theory]
    [InlineData("plant-by-plant")]
    [InlineData("colour-by-colour")]
    public void A_length_that_repeats_points_back(string round)
    {
        var job = new Job("tea-towel", [new MotifElement("row", "flower-stem", HeightMm: 40, Arrangement: "row", Count: 4),
            new MotifElement("a", "daisy", HeightMm: 30, CentreMm: new(200, 600)), new MotifElement("b", "daisy", HeightMm: 30, CentreMm: new(300, 600)),], Samples.Monday);
        var plan = Samples.Make(job, Samples.With(("motif-rounds", round)));
        var parts = plan.Elements.ToDictionary(e => e.Id, e => e.Parts, StringComparer.Ordinal);
        var runs = RunTelling.Of(plan);
        Assert.Contains(runs, r => r.Like is not null);
        Assert.Null(runs[0].Like);
        foreach (var run in runs.Where(r => r.Like is not null))
        {
            var first = runs[run.Like!.Value - 1];
            Assert.Null(first.Like);
            Assert.Equal(first.Stitches, run.Stitches);
            Assert.Equal((first.Colour, first.Size, first.Stitch), (run.Colour, run.Size, run.Stitch));
            var pairs = plan.Route.Skip(run.FirstRow).Take(run.Stitches).Zip(plan.Route.Skip(first.FirstRow).Take(run.Stitches)).ToArray();
            (string, int) Done(RouteRow row) => (parts[row.Element][row.Part].Role, row.Stitch);
            (string, int) Plant(RouteRow row) => (row.Element, parts[row.Element][row.Part].Copy);
            Assert.All(pairs, p => Assert.Equal(Done(p.First), Done(p.Second)));
            Assert.DoesNotContain(pairs, p => Plant(p.First) == Plant(p.Second));
            Assert.Contains($"as length {run.Like}", run.Text, StringComparison.Ordinal);
        }

        var steps = NeedleSteps.Of(plan, Samples.Monday).Where(s => s.Length is not null).ToArray();
        Assert.All(steps, s => Assert.Equal(s.Length!.Like is not null, s.Do.Any(d => d.Contains("Stitch as in length", StringComparison.Ordinal))));
        Assert.All(steps.Where(s => s.Length!.Like is not null), s => Assert.Empty(s.Hints));
        Assert.Contains(runs, r => r.Letters.Contains("daisy 2", StringComparison.Ordinal));
    }

    /// <summary>Letters are never told so: each is read as it is written.</summary>
    [Fact]
    public void Letters_are_told_each() => Assert.All(RunTelling.Of(Samples.Plan("Otto Otto")), r => Assert.Null(r.Like));
}
