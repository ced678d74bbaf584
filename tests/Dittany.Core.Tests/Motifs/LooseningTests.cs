using Dittany.Core.Geometry;
using Dittany.Core.Jobs;
using Dittany.Core.Motifs;
using Dittany.Core.Telling;
using Dittany.Core.Tests.Planning;

namespace Dittany.Core.Tests.Motifs;

/// <summary>Copies set out by eye, measured: by how much they sway, differ and are pushed, and what follows for the others.</summary>
public class LooseningTests
{
    private static readonly Figure One = MotifLibrary.Find("flower-stem")!.Draw(new MotifShape(null, 0, false, 0, 0));

    private static (int Copy, Pt Least, Pt Greatest)[] Copies(Figure figure) => figure.Parts.Where(p => p.Copy >= 0).GroupBy(p => p.Copy)
        .OrderBy(g => g.Key).Select(g => (g.Key, new Figure(g.ToArray()).Box.Least, new Figure(g.ToArray()).Box.Greatest)).ToArray();

    private static Figure Row(int count, Loosely how, int seed = 0) =>
        Loosening.Of(Arranging.Lay(One, new Repeat("row", count)), how, "row", seed);

    /// <summary>Heights lie between the highest and so much less, each its own; alike they only differ in height.</summary>
    [Theory]
    [InlineData(3)]
    [InlineData(8)]
    [InlineData(25)]
    public void Heights_differ_and_no_two_are_alike(int count)
    {
        var even = Copies(Row(count, new Loosely(Alike: true)));
        var high = even[0].Greatest.Y - even[0].Least.Y;
        for (var seed = 0; seed < 6; seed++)
        {
            var heights = Copies(Row(count, new Loosely(UnevenPercent: 30, Alike: true), seed))
                .Select(c => (c.Greatest.Y - c.Least.Y) / high).ToArray();
            Assert.Equal(1, heights.Max(), 3);
            Assert.Equal(0.7, heights.Min(), 3);
            Assert.Equal(count, heights.Select(h => Math.Round(h, 4)).Distinct().Count());

            // They stand on one line, and none comes nearer to the next than in step.
            var loose = Copies(Row(count, new Loosely(UnevenPercent: 30), seed));
            Assert.Equal(loose.Select(c => c.Copy), loose.OrderBy(c => c.Least.X).Select(c => c.Copy));
            Assert.All(loose.Zip(loose.Skip(1)), pair => Assert.True(pair.Second.Least.X > pair.First.Greatest.X - 1e-6, $"seed {seed}"));
        }

        var again = Row(count, new Loosely(10, 20), 4).Parts.SelectMany(p => p.Line);
        Assert.Equal(again, Row(count, new Loosely(10, 20), 4).Parts.SelectMany(p => p.Line));
        Assert.NotEqual(again, Row(count, new Loosely(10, 20), 5).Parts.SelectMany(p => p.Line));
    }

    /// <summary>Feet sway by no more than is asked, to both sides; without sway they stand level.</summary>
    [Fact]
    public void The_line_sways_by_so_much()
    {
        double[] Feet(double sway, int seed) => Copies(Row(12, new Loosely(sway, Alike: true), seed)).Select(c => c.Greatest.Y).ToArray();
        for (var seed = 0; seed < 8; seed++)
        {
            var (level, feet) = (Feet(0, seed), Feet(20, seed));
            Assert.True(level.Max() - level.Min() < 1e-9);
            Assert.InRange(feet.Max() - level[0], 0.12, 0.2 + 1e-9);
            Assert.InRange(level[0] - feet.Min(), 0.12, 0.2 + 1e-9);
        }
    }

    /// <summary>
    /// A pushed copy goes by what it was pushed, those between it and the ends are as far apart as each other, and ends stay.
    /// </summary>
    [Fact]
    public void A_pushed_one_has_the_others_spaced_anew()
    {
        var before = Copies(Row(7, new Loosely(Alike: true)));
        var after = Copies(Row(7, new Loosely(Alike: true) { Pushed = [new Pushed(2, new Pt(0.4, -0.1))] }));
        double Middle((int, Pt Least, Pt Greatest) c) => (c.Least.X + c.Greatest.X) / 2;
        Assert.Equal(0.4, Middle(after[2]) - Middle(before[2]), 6);
        Assert.Equal(-0.1, after[2].Greatest.Y - before[2].Greatest.Y, 6);
        Assert.Equal(Middle(before[0]), Middle(after[0]), 6);
        Assert.Equal(Middle(before[6]), Middle(after[6]), 6);
        var steps = after.Zip(after.Skip(1), (a, b) => Middle(b) - Middle(a)).ToArray();
        Assert.Equal(steps[0], steps[1], 6);
        Assert.All(steps[2..], s => Assert.Equal(steps[2], s, 6));
        Assert.True(steps[0] > steps[2]);
    }

    /// <summary>An interrupted line keeps its steps on both sides of the gap, which is as much wider as is asked.</summary>
    [Fact]
    public void A_line_is_interrupted()
    {
        var even = Copies(Row(6, new Loosely(Alike: true)));
        var gap = Copies(Row(6, new Loosely(Alike: true, GapAfter: 2, GapPercent: 150)));
        var pitch = even[1].Least.X - even[0].Least.X;
        var steps = gap.Zip(gap.Skip(1), (a, b) => b.Least.X - a.Least.X).ToArray();
        Assert.Equal(pitch + 1.5, steps[1], 6);
        Assert.All(steps.Where((_, i) => i != 1), s => Assert.Equal(pitch, s, 6));
    }

    /// <summary>
    /// Pushed by millimetres on the item, turned or not, it goes by those millimetres, twice adds up, and put back all stand evenly; copies
    /// that run into each other are told of.
    /// </summary>
    [Theory]
    [InlineData(0)]
    [InlineData(30)]
    public void A_push_in_millimetres_is_one(double turned)
    {
        var job = new Job("tea-towel", [new MotifElement("row", "daisy", HeightMm: 90, Arrangement: "row", Count: 4, TurnDegrees: turned,
            CentreMm: new Pt(250, 520))], Samples.Monday, Zone: "middle");
        Pt Middle(Job j, int copy)
        {
            var points = Samples.Plan(j).Elements[0].Parts.Where(p => p.Copy == copy).SelectMany(p => p.LineMm).ToArray();
            return new Pt((points.Min(p => p.X) + points.Max(p => p.X)) / 2, (points.Min(p => p.Y) + points.Max(p => p.Y)) / 2);
        }

        var plan = Samples.Plan(job);
        var pushed = SettingOut.Push(job, plan, "row", 1, new Pt(0, 6));
        pushed = SettingOut.Push(pushed, Samples.Plan(pushed), "row", 1, new Pt(0, -2));
        Assert.Empty(Samples.Faults(pushed, Workshop.Default));
        Assert.Single(pushed.Motifs[0].Loosely!.Pushed);

        // The whole may be set a little smaller to stay as high as is wished; what is measured is against its neighbour's place.
        var scale = Samples.Plan(pushed).Elements[0].CopyMm / plan.Elements[0].CopyMm;
        var moved = (Middle(pushed, 1) - Middle(pushed, 0)) - ((Middle(job, 1) - Middle(job, 0)) * scale);
        if (turned == 0)
        {
            Assert.Equal(4 * scale, moved.Y, 0.35);
        }

        Assert.InRange(moved.Length, 2.4, 5.2);
        Assert.Equal(Middle(job, 2), Middle(SettingOut.Even(pushed, "row"), 2));

        var onto = SettingOut.Push(job, plan, "row", 1, (Middle(job, 2) - Middle(job, 1)) * 1.9);
        Assert.Contains(Samples.Plan(onto).Elements[0].Concerns, c => c.What == "runs-into" && c.Text.Contains("run into each other", StringComparison.Ordinal));
        Assert.Contains(Samples.Plan(pushed).Decision("motif.arrangement")!.Because, b => b.Contains("pushed by hand", StringComparison.Ordinal));
    }

    /// <summary>What is out of reach of a hand is named.</summary>
    [Fact]
    public void Out_of_reach_is_told()
    {
        var job = new Job("tea-towel", [new MotifElement("row", "daisy", Arrangement: "row", Count: 4)
        {
            Loosely = new Loosely(80, 70, false, 0, -3) { Pushed = [new Pushed(-1, new Pt(90, 0))] },
        }], Samples.Monday);
        var at = Samples.Faults(job, Workshop.Default).Select(f => f.Pointer["#/elements/0/loosely/".Length..]).Order(StringComparer.Ordinal);
        Assert.Equal(["gapAfter", "gapPercent", "pushed/0/by/0", "pushed/0/copy", "swayPercent", "unevenPercent"], at);
    }
}
