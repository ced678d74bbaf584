using Dittany.Core.Geometry;
using Dittany.Core.Hooping;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Planning;
using Dittany.Core.Stitches.Needle;
using Dittany.Core.Words;

namespace Dittany.Core.Tests.Hooping;

/// <summary>
/// What no ring takes whole is not given to the hand: makers move the ring along a long outline (common practice), its edge between two
/// stitches, and what is small stays in one ring.
/// </summary>
public class MovedAlongTests
{
    private static readonly DateOnly Monday = new(2027, 3, 1);

    private static Plan Of(string form, MotifElement motif, string? stitch = null) => Planner.Make(
        new Job(form, [motif with { Stitch = stitch }], Monday, Zone: form == "t-shirt-adult" ? "back" : null), Workshop.Default, Library.Ours);

    public static TheoryData<string, string, double, string?> Large => new()
    {
        { "t-shirt-adult", "wreath", 240, null },
        { "tote", "wreath", 200, null },
        { "cushion-cover", "round-frame", 300, null },
        { "cushion-cover", "round-frame", 300, "chain" },
        { "cushion-cover", "oval-frame", 280, "stem" },
        { "tablecloth", "round-frame", 320, "split" },
    };

    [Theory]
    [MemberData(nameof(Large))]
    public void The_ring_is_moved_along_what_it_cannot_take_whole(string form, string motif, double wideMm, string? stitch)
    {
        var plan = Of(form, new MotifElement("m", motif, WidthMm: wideMm), stitch);
        Assert.Equal(School.Hoop, plan.Hooping.School);
        Assert.InRange(plan.Hooping.Hoops.Count, Math.Max(2, plan.Hooping.LowerBound), 12);
        Assert.Contains(plan.Decisions.First(d => d.Id == "hoop.size").Because, b =>
            b.ToString().Contains("moved along", StringComparison.Ordinal));
        var element = plan.Elements[0];
        var hoops = plan.Hooping.Hoops.ToDictionary(h => h.Order);
        Assert.Equal(element.Parts.Sum(p => p.Stitches.Count), plan.Route.Select(r => (r.Part, r.Stitch)).Distinct().Count());
        Assert.All(plan.Route, row =>
        {
            var stitch = element.Parts[row.Part].Stitches[row.Stitch];
            var (ring, half) = (hoops[row.Hoop], element.Parts[row.Part].LineWidthMm / 2);
            Assert.InRange(Math.Max(stitch.FromMm.To(ring.CentreMm), stitch.ToMm.To(ring.CentreMm)) + half, 0,
                Hoops.UsableRadiusMm(ring.HoopMm) + 0.01);
        });

        // A thread is not carried from one placing to the next, and a stretch never begins with what holds the stitch before it.
        foreach (var (before, next) in plan.Route.Zip(plan.Route.Skip(1)))
        {
            Assert.True(before.Hoop <= next.Hoop);
            Assert.True(before.Hoop == next.Hoop || before.Run != next.Run);
            Assert.True(before.Hoop == next.Hoop || element.Parts[next.Part].Stitches[next.Stitch].Begins);
        }
    }

    /// <summary>Leaves of a wreath stay whole; only its stems are met by the ring's edge.</summary>
    [Fact]
    public void Small_parts_stay_in_one_ring()
    {
        var plan = Of("t-shirt-adult", new MotifElement("m", "wreath", WidthMm: 240));
        var placings = plan.Route.GroupBy(r => r.Part).ToDictionary(g => g.Key, g => g.Select(r => r.Hoop).Distinct().Count());
        Assert.All(plan.Elements[0].Parts.Select((p, i) => (p, i)).Where(p => p.p.Role == "leaf"), p => Assert.Equal(1, placings[p.i]));
        Assert.Contains(plan.Elements[0].Parts.Select((p, i) => (p, i)), p => p.p.Role == "stem" && placings[p.i] > 1);
    }

    /// <summary>What goes in whole is not taken apart: a larger ring comes before moving a smaller one along.</summary>
    [Fact]
    public void What_a_larger_ring_takes_whole_stays_whole()
    {
        var plan = Of("cushion-cover", new MotifElement("m", "round-frame", WidthMm: 120));
        Assert.Single(plan.Hooping.Hoops);
        Assert.True(plan.Hooping.Hoops[0].HoopMm > 127);
    }

    [Fact]
    public void A_stretch_of_a_way_is_its_stitches()
    {
        var plan = Of("cushion-cover", new MotifElement("m", "round-frame", WidthMm: 90), "chain");
        var all = plan.Elements[0].Parts[0].Stitches;
        var some = all.Slice(3, 5);
        Assert.Equal(5, some.Count);
        Assert.Equal(all.Skip(3).Take(5).Select(Seen), some.Select(Seen));
        Assert.Same(all, all.Slice(0, all.Count));
        Assert.Empty(all.Slice(2, 0));

        static (Pt, Pt, double, StitchShape) Seen(Stitch s) => (s.FromMm, s.ToMm, s.ThreadMm, s.Shape);
    }
}
