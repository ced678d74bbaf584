using Dittany.Core.Decisions;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Operations;
using Dittany.Core.Tests.Planning;

namespace Dittany.Core.Tests.Operations;

/// <summary>
/// Heat, water and needles that would spoil what lies on the cloth: facts of the trade (an iron sets water-erasable ink for good,
/// paint runs until it is set, felted wool is neither soaked nor ironed).
/// </summary>
[Trait("Lane", "long")]
public class ConflictTests
{
    private static Operation Op(OpId id, OpKind kind, Place place) => new(id, kind, Station.Finish, place, [], []);

    private static readonly Ironing Hot = new(IronLimit.ThreeDots);

    private static readonly Operation Rinse = Op("rinse", OpKind.Remove, Place.Sink) with
    {
        Water = new Watering(20),
        Clears = [Trace.MarkForWater],
    };

    private static readonly Operation[] Needle =
    [
        Op("mark", OpKind.Mark, Place.Table) with { Leaves = [Trace.MarkForWater] }, Op("stitch", OpKind.Stitch, Place.Needle), Rinse,
        Op("press", OpKind.Press, Place.Iron) with { Iron = Hot },
    ];

    private static readonly Operation[] Paint =
    [
        Op("a/paint", OpKind.Paint, Place.Table) with { Leaves = [Trace.WetPaint, Trace.UnsetPaint] },
        Op("a/paint-dry", OpKind.Dry, Place.Table) with { Clears = [Trace.WetPaint] },
        Op("paint-set", OpKind.Press, Place.Iron) with { Iron = Hot, Clears = [Trace.UnsetPaint] },
    ];

    [Fact]
    public void An_iron_before_the_rinse_sets_the_ink() => Assert.Contains(Conflicts.In([.. Needle[..2], .. Paint, .. Needle[2..]]),
        c => c.By.Id == "paint-set" && c.Harm.Name.Contains("water", StringComparison.Ordinal));

    [Fact]
    public void Paint_is_not_rinsed_before_it_is_set() => Assert.Contains(Conflicts.In([.. Paint[..2], .. Needle, Paint[2]]),
        c => c.By.Id == "rinse" && c.Harm.Name == "unset paint");

    /// <summary>Wherever paint begins, the order found is harmless and keeps each chain in its own order.</summary>
    [Fact]
    public void The_order_found_harms_nothing()
    {
        Operation[] felt = [Op("b/felt", OpKind.Felt, Place.Table) with { Leaves = [Trace.FeltedWool] }];
        foreach (var chains in new[] { new[] { Needle, Paint, felt }, [felt, Paint, Needle], [Paint, felt, Needle] })
        {
            var order = Conflicts.Order(chains);
            Assert.Empty(Conflicts.In(order));
            Assert.Equal(chains.Sum(c => c.Length), order.Count);
            Assert.All(chains, chain => Assert.Equal(chain, order.Where(o => chain.Contains(o))));
            Assert.Equal("b/felt", order[^1].Id);
        }
    }

    /// <summary>Paint that stays wet through a rinse that must come between: there is no way, and all of it is found.</summary>
    [Fact]
    public void What_cannot_be_ordered_is_found()
    {
        var order = Conflicts.Order([[Paint[0], Rinse, .. Paint[1..]]]);
        Assert.Equal(4, order.Count);
        Assert.Equal(["wet paint", "unset paint"], Conflicts.In(order).Select(c => c.Harm.Name));
    }

    /// <summary>
    /// What lies there hangs on the order: here the one mark is rinsed out before the other is drawn, so the iron that comes after must
    /// wait
    /// for a second rinse. All orders of the chains are gone through by force beside the search.
    /// </summary>
    [Fact]
    public void An_order_is_found_where_there_is_one()
    {
        Operation Mark(string id) => Op(id, OpKind.Mark, Place.Table) with { Leaves = [Trace.MarkForWater] };
        var iron = Op("fuse", OpKind.Back, Place.Iron) with { Iron = Hot };
        var chance = new Random(7);
        for (var round = 0; round < 400; round++)
        {
            Operation Any(string id) => chance.Next(4) switch
            {
                0 => Mark(id),
                1 => Rinse with { Id = id },
                2 => iron with { Id = id },
                _ => Op(id, OpKind.Paint, Place.Table) with { Leaves = [Trace.UnsetPaint] },
            };
            var chains = Enumerable.Range(0, chance.Next(2, 4)).Select(c =>
                Enumerable.Range(0, chance.Next(1, 4)).Select(k => Any($"{(char)('a' + c)}{k}")).ToArray()).ToArray();
            var order = Conflicts.Order(chains);
            Assert.Equal(Orders(chains).Any(o => Conflicts.In(o).Count == 0), Conflicts.In(order).Count == 0);
        }

        static IEnumerable<IReadOnlyList<Operation>> Orders(IReadOnlyList<IReadOnlyList<Operation>> left) =>
            left.All(c => c.Count == 0) ? [[]] : left.SelectMany((c, i) => c.Count == 0 ? []
                : Orders(left.Select((o, k) => k == i ? o.Skip(1).ToArray() : o).ToArray()).Select(rest => (IReadOnlyList<Operation>)[c[0],
                    .. rest]));
    }

    /// <summary>What is stitched or rinsed at one place takes no mark away at another.</summary>
    [Fact]
    public void A_place_clears_its_own_marks()
    {
        var mark = Op("mark", OpKind.Mark, Place.Table) with { Leaves = [Trace.MarkForHeat] };
        var stitch = Op("stitch", OpKind.Stitch, Place.Needle) with { Clears = [Trace.MarkForHeat] };
        Operation At(Operation o, string place) => o with { Id = o.Id with { Place = place } };
        var press = Op("press", OpKind.Press, Place.Iron) with { Iron = Hot };
        Assert.Contains(Conflicts.In([At(mark, "cuff"), At(mark, "hem"), At(stitch, "hem"), press, At(stitch, "cuff")]), c => c.By == press);
        Assert.Empty(Conflicts.In([At(mark, "cuff"), At(mark, "hem"), At(stitch, "hem"), At(stitch, "cuff"), press]));
    }

    /// <summary>
    /// Every pair of crafts, with every mark that water or heat takes out, on one piece: one order, and nothing is harmed.
    /// </summary>
    [Theory]
    [InlineData("water-erasable")]
    [InlineData("heat-erasable")]
    [InlineData("chalk")]
    public void Crafts_on_one_piece_do_not_hurt_each_other(string marker)
    {
        string[] crafts = ["stitch", "paint", "felt", "tint", "applique", "beads"];
        foreach (var one in crafts)
        {
            foreach (var other in crafts.Where(c => c != one))
            {
                var plan = Samples.Make(new Job("tote", [new TextElement("w", "Oda", CapHeightMm: 25, CentreMm: new(0, -80)), new MotifElement("a", "heart", HeightMm: 40, CentreMm: new(-60, 40)) { Craft = one },
                        new MotifElement("b", "songbird", HeightMm: 60, CentreMm: new(60, 40)) { Craft = other },], Samples.Monday,
                    Overrides: OverrideSet.Of(("transfer.marker", marker), ("transfer.method", "light-trace"))), Workshop.Default);
                Assert.Empty(Conflicts.In(plan.Work));
                Assert.DoesNotContain(plan.Cautions, c => c.Id == "crafts-hurt");
                Assert.Equal(plan.Work.Count, plan.Work.Select(o => o.Id).Distinct().Count());
                Assert.NotNull(plan.Decision("order.crafts"));
                Assert.True(plan.Work.ToList().FindIndex(o => o.Kind == OpKind.Felt) is var felt
                    && (felt < 0 || plan.Work.Skip(felt).All(o => o is { Iron: null, Water: null })));
            }
        }
    }

    /// <summary>
    /// Paint is set as hot as the cloth bears, and thread that bears less is stitched after it (a metallic bears one dot, wool two: ISO
    /// 3758); thread that bears as much as the cloth may be there before.
    /// </summary>
    [Theory]
    [InlineData("metallic", true)]
    [InlineData("wool", true)]
    [InlineData("cotton", false)]
    public void No_hot_iron_meets_tender_thread(string thread, bool tender)
    {
        foreach (var marker in new[] { "heat-erasable", "chalk" })
        {
            var plan = Samples.Make(new Job("framed-sampler", [new TextElement("w", "Oda", CapHeightMm: 25) { Thread = thread == "cotton" ? null : thread },
                new MotifElement("a", "heart", HeightMm: 40) { Craft = "paint" }], Samples.Monday, Fabric: new FabricOverrides("linen"),
                Overrides: OverrideSet.Of(("transfer.marker", marker), ("transfer.method", "light-trace"))), Workshop.Default);
            var work = plan.Work.ToList();
            var (set, stitched) = (work.FindIndex(o => o.Id == "paint-set"), work.FindIndex(o => o.Kind == OpKind.Stitch));
            Assert.True(set >= 0 && stitched >= 0);
            Assert.Equal(tender, work[stitched].Leaves.Count > 0);
            Assert.True(!tender || set < stitched, $"{thread}, {marker}: {string.Join(", ", work.Select(o => o.Id))}");
            Assert.Empty(Conflicts.In(plan.Work));
        }
    }

    /// <summary>
    /// Which side looks up (common practice): paint is set and stitches are pressed from behind, coated paper sticks to the wrong side, a
    /// badge is sewn right sides together.
    /// </summary>
    [Fact]
    public void Layers_lie_with_the_right_side_where_it_belongs()
    {
        SideView View(string craft, string called) => Samples.Make(new Job("tote", [new MotifElement("m", "songbird", HeightMm: 90) { Craft = craft }], Samples.Monday), Workshop.Default)
            .SideViews.Single(v => v.Called == called);
        Assert.Equal(Up.Wrong, View("paint", "Setting the paint").Layers.Single(l => l.TheCloth).Up);
        var spraying = View("paint", "Spraying").Layers.ToList();
        Assert.Equal(["paper all round", "the stencil", "the cloth", "card", "the item's other layer", "the table"],
            spraying.Select(l => l.What));
        Assert.Equal(Up.Right, spraying[2].Up);
        var tinting = View("tint", "Tinting").Layers.ToList();
        Assert.Equal((Up.Right, Up.Sticky), (tinting[0].Up, tinting[1].Up));
        Assert.Equal("the sponge", View("felt", "Felting").Layers[2].What);
        Assert.Equal(Up.Wrong, View("stitch", "Pressing").Layers[0].Up);
        var badge = Samples.Make(new Job("badge", [new MotifElement("m", "heart")], Samples.Monday), Workshop.Default)
            .SideViews.Single(v => v.Operation == "make-up");
        Assert.Equal((Up.Wrong, Up.Right), (badge.Layers[0].Up, badge.Layers[1].Up));
    }
}
