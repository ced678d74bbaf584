using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Route;
using Dittany.Core.Telling;
using Dittany.Core.Tests.Planning;

namespace Dittany.Core.Tests.Route;

/// <summary>Needles kept threaded, against every way of unthreading one.</summary>
public class ParkedNeedlesTests
{
    /// <summary>As few threadings as any choice of what to unthread comes to (every choice, on orders of up to nine).</summary>
    [Fact]
    public void As_few_as_any_choice()
    {
        for (var seed = 1; seed <= 200; seed++)
        {
            var chance = new SeededRandom(seed * 7919);
            var threads = Enumerable.Range(0, 2 + (int)(chance.Next() * 8)).Select(_ => $"t{(int)(chance.Next() * 5)}").ToArray();
            var needles = 1 + (int)(chance.Next() * 4);
            Assert.Equal((seed, Least(threads, needles)), (seed, ParkedNeedles.Threaded(threads, needles)));
        }
    }

    private static int Least(string[] threads, int needles)
    {
        return Go(0, []);

        int Go(int at, IReadOnlyList<string> threaded)
        {
            if (at == threads.Length)
            {
                return 0;
            }

            if (threaded.Contains(threads[at]))
            {
                return Go(at + 1, threaded);
            }

            return 1 + (threaded.Count < needles ? Go(at + 1, [.. threaded, threads[at]])
                : Enumerable.Range(0, threaded.Count).Min(out1 => Go(at + 1, [.. threaded.Where((_, i) => i != out1), threads[at]])));
        }
    }

    /// <summary>
    /// With more needles no more thread is cut and no more minutes are taken, stitches stay where they are, and what is left is that of the
    /// same thread; many colours on one needle are told of.
    /// </summary>
    [Fact]
    public void A_plan_by_how_many_needles_are_kept_threaded()
    {
        var job = new Job("tea-towel", [new MotifElement("row", "flower-stem", HeightMm: 30, Arrangement: "row", Count: 5)], Samples.Monday);
        var plans = new[] { "1", "3", "12" }.Select(n => Samples.Make(job, Samples.With(("needles-threaded", n), ("motif-rounds", "plant-by-plant")))).ToArray();
        var cuts = plans.Select(p => p.Route.Count(r => r.Cut)).ToArray();
        Assert.True(cuts[0] > cuts[1] && cuts[1] >= cuts[2], string.Join(' ', cuts));
        Assert.True(plans[0].Time.HandsOnMinutes > plans[2].Time.HandsOnMinutes);
        Assert.True(plans[0].Threads.Sum(t => t.OffMm) > plans[2].Threads.Sum(t => t.OffMm));
        Assert.All(plans, p => Assert.Equal(plans[0].Route.Select(r => (r.Element, r.Part, r.Stitch)),
            p.Route.Select(r => (r.Element, r.Part, r.Stitch))));
        Assert.All(plans, p => Assert.Equal(p.Threads.Sum(t => t.Cuts), p.Route.Count(r => r.Cut)));
        var field = Samples.Plan(FieldOfFlowersTests.Make());
        Assert.Contains(field.Decision("order.parts")!.Because, b => b.Contains("threads and one needle", StringComparison.Ordinal));
        Assert.Contains(plans[1].Decision("order.parts")!.Because, b => b.Contains("Up to 3 needles stay threaded", StringComparison.Ordinal));
        var parts = plans[1].Elements.ToDictionary(e => e.Id, e => e.Parts, StringComparer.Ordinal);
        var rest = new Dictionary<string, double>(StringComparer.Ordinal);
        foreach (var row in plans[1].Route)
        {
            var thread = parts[row.Element][row.Part].Thread.Id;
            Assert.True(row.Cut || row.AtMm >= rest.GetValueOrDefault(thread), $"length {row.Run} has more on its needle than was left");
            rest[thread] = row.AtMm;
        }

        var steps = NeedleSteps.Of(plans[1], Samples.Monday).SelectMany(s => s.Do).Select(d => d.ToString()).ToArray();
        Assert.Contains(steps, s => s.StartsWith("Take up the needle with", StringComparison.Ordinal));
    }
}
