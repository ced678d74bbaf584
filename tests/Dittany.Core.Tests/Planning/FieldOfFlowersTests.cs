using Dittany.Core.Geometry;
using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Operations;
using Dittany.Core.Planning;
using Dittany.Core.Telling;
using Dittany.Core.Time;

namespace Dittany.Core.Tests.Planning;

/// <summary>
/// A field of flowers over a shirt's back: thirteen plants, thirty-four centimetres, eighteen colours. What a skilled hand makes of it is
/// the measure: four placings with whole plants, about thirty-six threadings of another colour (common practice).
/// </summary>
public sealed class FieldOfFlowersTests
{
    private static readonly Lazy<(Job Job, Plan Plan)> Field = new(() =>
    {
        var job = Make();
        return (job, Samples.Make(job, Workshop.Default));
    });

    /// <summary>Plants beside each other with heights that differ, petals in colours of their own.</summary>
    internal static Job Make()
    {
        (string Motif, double HighMm, string? Petal)[] plants =
        [
            ("ox-eye-stalk", 96, null), ("cornflower-stalk", 84, null), ("lavender", 70, "lavender"), ("buttercup-stalk", 88, null), ("poppy", 60, null),
            ("umbel-stalk", 100, null), ("flower-stem", 80, "rose"), ("ox-eye-stalk", 90, "blush"), ("bell-spike", 74, "lilac"), ("cornflower-stalk", 92, "sea"),
            ("buttercup-stalk", 78, "orange"), ("lavender", 66, "mulberry"), ("umbel-stalk", 104, "chalk"),
        ];
        return new Job("shirt", [.. plants.Select((p, i) => new MotifElement($"plant-{i + 1}", p.Motif, HeightMm: p.HighMm,
            CentreMm: new Pt(-156 + (i * 26), 360 - (p.HighMm / 2)))
        {
            ByPart = p.Petal is { } colour ? [new PartAsked(p.Motif == "umbel-stalk" ? "blossom" : "petal", Colour: Core.Materials.Palette.HexOf(colour))] : [],
        }).ToArray()], Samples.Monday, Zone: "back", Size: "m");
    }

    /// <summary>Four placings at the most, proven, and no plant is parted between two of them.</summary>
    [Fact]
    public void Whole_plants_go_into_four_placings()
    {
        var plan = Field.Value.Plan;
        Assert.InRange(plan.Hooping.Hoops.Count, 2, 4);
        Assert.Equal(plan.Hooping.LowerBound, plan.Hooping.Hoops.Count);
        Assert.All(plan.Route.GroupBy(r => r.Element), plant => Assert.Single(plant.Select(r => r.Hoop).Distinct()));
        Assert.Equal(13, plan.Route.Select(r => r.Element).Distinct(StringComparer.Ordinal).Count());
    }

    /// <summary>
    /// Another colour is threaded forty times at the most, never fewer than each placing has colours; nothing that lies under comes after
    /// what lies over it in its plant.
    /// </summary>
    [Fact]
    public void Colours_are_grouped_inside_each_placing()
    {
        var plan = Field.Value.Plan;
        var parts = plan.Elements.ToDictionary(e => e.Id, e => e.Parts, StringComparer.Ordinal);
        var threads = plan.Route.Select(r => (r.Hoop, parts[r.Element][r.Part].Thread.Id)).ToArray();
        var setUps = 1 + Enumerable.Range(1, threads.Length - 1).Count(i => threads[i].Id != threads[i - 1].Id);
        var least = threads.Distinct().Count() - (plan.Hooping.Hoops.Count - 1);
        Assert.InRange(threads.Select(t => t.Id).Distinct(StringComparer.Ordinal).Count(), 15, 22);
        Assert.InRange(setUps, least, 40);
        Assert.Contains(plan.Decision("order.parts")!.Because, b => b.ToString().Contains("threaded with another thread", StringComparison.Ordinal));
        foreach (var plant in plan.Route.GroupBy(r => r.Element))
        {
            Assert.Equal(plant.Select(r => parts[plant.Key][r.Part].Layer).Order(), plant.Select(r => parts[plant.Key][r.Part].Layer));
        }
    }

    /// <summary>
    /// Thread ends lie within a fifth of what no route can be under: no thread may lie free from plant to plant, and a line is not broken
    /// that a needleful holds. So in each placing every colour of a plant takes as many needlefuls as all its stitches with the ways behind
    /// them want, and one for each line that takes more than half of one (the bound of Martello and Toth 1990 for bins).
    /// </summary>
    [Fact]
    public void Thread_ends_are_few()
    {
        var plan = Field.Value.Plan;
        var parts = plan.Elements.ToDictionary(e => e.Id, e => e.Parts, StringComparer.Ordinal);
        var worked = plan.Threads.ToDictionary(t => t.Thread, t => t.WorkedMm);

        // What each stitch takes with its way behind, by where the needleful is before it and before the next.
        var takes = plan.Route.Select((r, i) => i + 1 < plan.Route.Count && plan.Route[i + 1].AtMm > r.AtMm
            && plan.Route[i + 1].Run == r.Run
            ? plan.Route[i + 1].AtMm - r.AtMm : parts[r.Element][r.Part].Stitches[r.Stitch].ThreadMm).ToArray();
        var bound = plan.Route.Select((r, i) => (Row: r, Takes: takes[i])).GroupBy(r => (r.Row.Hoop, r.Row.Element,
            parts[r.Row.Element][r.Row.Part].Thread)).Sum(g =>
            {
                var holds = worked[g.Key.Thread];
                var lines = g.GroupBy(r => r.Row.Part).Select(l => l.Sum(r => r.Takes)).ToArray();
                return Math.Max((int)Math.Ceiling(lines.Sum() / holds), lines.Where(l => l > holds / 2)
                    .Sum(l => (int)Math.Ceiling(l / holds)));
            });
        Assert.InRange(plan.Threads.Sum(t => t.Runs), bound * 0.9, bound * 1.2);
    }

    /// <summary>It is told in evenings, and going on with the next evening's portion ends it in as many.</summary>
    [Fact]
    public void It_is_told_in_evenings()
    {
        var (job, plan) = Field.Value;
        Assert.True(plan.Time.ReadyOn > job.Today.AddDays(7));
        var steps = NeedleSteps.Of(plan, job.Today);
        var evenings = 0;
        for (var at = 0; at < steps.Count; evenings++)
        {
            at = NeedleSteps.Tonight(steps, at, 60);
        }

        Assert.InRange(evenings, plan.Time.HandsOnMinutes / 60, (plan.Time.HandsOnMinutes / 60 * 1.6) + 3);
        Assert.Contains(plan.Work, o => o.Kind == OpKind.Hoop);
    }

    /// <summary>
    /// Finished knots come under no later ring where an order of placings keeps them out, and where none does it is said.
    /// </summary>
    [Fact]
    public void No_ring_lies_on_knots_unsaid()
    {
        var plan = Field.Value.Plan;
        var parts = plan.Elements.ToDictionary(e => e.Id, e => e.Parts, StringComparer.Ordinal);
        var knots = plan.Route.Where(r => parts[r.Element][r.Part].Stitches[r.Stitch].Shape == Core.Stitches.Needle.StitchShape.Knot)
            .ToArray();
        var pressed = plan.Hooping.Hoops.Where(h => knots.Any(k => k.Hoop < h.Order
            && parts[k.Element][k.Part].Stitches[k.Stitch].FromMm.To(h.CentreMm) is var off
            && off > h.UsableRadiusMm + Core.Materials.Hoops.RimMm && off < Core.Materials.Hoops.RingRadiusMm(h.HoopMm))).ToArray();
        Assert.True(pressed.Length == 0 || plan.Cautions.Any(c => c.Text.ToString().Contains("comes to lie on knots", StringComparison.Ordinal)));
    }
}
