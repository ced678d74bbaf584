using Dittany.Core.Decisions;
using Dittany.Core.Finishing;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Operations;
using Dittany.Core.Planning;
using Dittany.Core.Tests.Planning;

namespace Dittany.Core.Tests.Finishing;

/// <summary>
/// How work is finished, over every ink, method, stabiliser and cloth: the order that ruins nothing (common practice), and what no cloth
/// must be put through.
/// </summary>
public class FinishTests
{
    private static readonly string[] Stabilisers = ["none", "film-on-top", "stick-on-sheet", "tear-away-behind", "cut-away-behind",
        "fusible-knit-behind+film-on-top", "wadding-behind"];

    private static readonly string[] Methods = ["light-trace", "film-traced", "carbon", "tissue", "tacked-from-back", "freehand"];

    /// <summary>All questions there are of these: cloths by ink by method by stabiliser, both habits of film, skin and none.</summary>
    private static IEnumerable<FinishQuestion> All() =>
        from cloth in Made
        from ink in Inks.All
        from method in Methods
        from stabiliser in Stabilisers
        from skin in new[] { false, true }
        select new FinishQuestion(
            cloth, ink, method, stabiliser, Tacked: method == "film-traced",
                MarksCloth: stabiliser is "none" or "tear-away-behind" or "cut-away-behind" or "wadding-behind", Hooped: skin,
                ThreadMayBleed: false,
            skin, "often", Iron: true, skin ? "away-knot" : "knot", skin ? "machine" : "by-hand", null, skin ? "close" : "leave-a-little",
                "face-down-steam", null);

    private static readonly Cloth[] Made = Cloths.All.Select(c =>
        Samples.Plan(Samples.On("tote", "o") with { Fabric = new FabricOverrides(c.Id) }).Item.Cloth).ToArray();

    private static List<string> Removal(Finished finished) =>
        finished.Work.Where(o => o.Kind == OpKind.Remove).SelectMany(o => o.Steps).Select(s => s.ToString()).ToList();

    private static List<string> Steps(Finished finished) =>
        finished.Work.Where(o => o.Kind != OpKind.Remove).SelectMany(o => o.Steps).Select(s => s.ToString()).ToList();

    private static int Place(Finished finished, string words) =>
        Removal(finished).FindIndex(r => r.Contains(words, StringComparison.OrdinalIgnoreCase));

    /// <summary>
    /// Threads come out before anything is wet; cold water before warm; heat last of all: soap, heat and sun can set what cold water takes
    /// (common practice).
    /// </summary>
    [Fact]
    public void What_comes_out_comes_out_in_the_order_that_works()
    {
        string[] order = ["away-knots", "tacking out", "tear the backing", "Trim the spare film", "plain cold water", "daylight", "30 °C",
            "35 to 40 °C", "The iron takes"];
        var seen = new HashSet<string>(StringComparer.Ordinal);
        foreach (var q in All())
        {
            var finished = FinishRoom.Settle(q);
            var places = order.Select(o => (o, At: Place(finished, o))).Where(p => p.At >= 0).ToArray();
            seen.UnionWith(places.Select(p => p.o));
            Assert.Equal(places.Select(p => p.At).Order(), places.Select(p => p.At));
        }

        Assert.Equal(order.Order(StringComparer.Ordinal), seen.Order(StringComparer.Ordinal));
    }

    /// <summary>Every ink that marks the cloth is taken out by what takes it, and a line that stays is told to stay.</summary>
    [Fact]
    public void Each_ink_goes_by_what_takes_it()
    {
        foreach (var q in All().Where(q => q.MarksCloth && q.MethodId == "light-trace"))
        {
            var removal = string.Join(' ', Removal(FinishRoom.Settle(q)));
            Assert.Equal(q.Marker.GoesBy is GoesBy.ColdWater or GoesBy.AirOrWater,
                removal.Contains("plain cold water", StringComparison.Ordinal));
            Assert.Equal(q.Marker.GoesBy == GoesBy.Heat, removal.Contains("iron takes the pen line out", StringComparison.Ordinal));
            Assert.Equal(q.Marker.GoesBy == GoesBy.Brushing, removal.Contains("Brush the chalk", StringComparison.Ordinal));
        }
    }

    /// <summary>Stick-on sheets are washed more than once, and dry stiff where they were not (common practice).</summary>
    [Fact]
    public void A_sheet_that_dries_stiff_is_washed_again() => Assert.All(
        All().Where(q => q.Has("stick-on-sheet") && !q.Cloth.Coated), q => Assert.Contains(Removal(FinishRoom.Settle(q)), r =>
            (r.Contains("twice", StringComparison.Ordinal) || r.Contains("three times", StringComparison.Ordinal)) && r.Contains("stiff", StringComparison.Ordinal)));

    /// <summary>What must not be washed is stopped where anything is taken out with water, and nowhere else.</summary>
    [Fact]
    public void Nothing_wet_on_what_must_not_be_washed() => Assert.All(
        All(), q => Assert.Equal(q.Wet && !q.Cloth.Washable,
            FinishRoom.Settle(q).Cautions.Any(c => c.Severity == Severity.Stop
            && c.Text.Contains("must not be washed", StringComparison.Ordinal))));

    /// <summary>
    /// Wet work dries before it is pressed; the ring of the hoop goes with the press and not before; what takes no iron, and deep pile, is
    /// not pressed.
    /// </summary>
    [Fact]
    public void It_is_dried_then_pressed_then_the_ring_is_out()
    {
        foreach (var q in All())
        {
            var finished = FinishRoom.Settle(q);
            var steps = Steps(finished);
            var (dry, press, ring) = (steps.FindIndex(s => s.Contains("dry it flat", StringComparison.Ordinal)
                || s.StartsWith("Let it dry hanging", StringComparison.Ordinal)),
                steps.FindIndex(s => s.StartsWith("Press", StringComparison.Ordinal)
                || s.StartsWith("Do not press", StringComparison.Ordinal)),
                steps.FindIndex(s => s.Contains("ring of the hoop", StringComparison.Ordinal)));
            Assert.Equal(q.Wet, dry >= 0);
            Assert.True(press > dry);
            var soft = q.Cloth.MaxIron == IronLimit.None || q.Cloth.Pile == Pile.Deep;
            Assert.Equal(q.Hooped && !soft, ring > press);
            Assert.Equal(soft, steps[press].StartsWith("Do not press", StringComparison.Ordinal));
            Assert.Equal(soft, CareTelling.Tell(finished.Care).Any(c => c == "Do not iron."));
            Assert.Equal(soft, finished.Care.IronC == 0);

            // Wet work waits as long as its cloth dries: terry and fleece a day, jersey ten hours, woven six (from memory).
            Assert.Equal(!q.Wet ? 0 : (q.Cloth.Pile != Pile.None ? 24 : q.Cloth.Kind.Knit ? 10 : 6) * 60,
                finished.Work.Sum(o => o.Wait?.Minutes ?? 0));
            Assert.Equal(q.Wet, finished.Work.Any(o => o.By.Any(b => b.Step == "rinsing out")));
        }
    }

    /// <summary>Heat stays under what the cloth bears, by the dots of ISO 3758: one 110, two 150, three 200 °C.</summary>
    [Fact]
    public void The_iron_is_no_hotter_than_the_dots()
    {
        foreach (var q in All().DistinctBy(q => q.Cloth.Kind.Id))
        {
            var told = string.Join(' ', Steps(FinishRoom.Settle(q)).Concat(CareTelling.Tell(FinishRoom.Settle(q).Care).Select(c =>
                c.ToString())));
            var most = q.Cloth.MaxIron switch { IronLimit.ThreeDots => 200, IronLimit.TwoDots => 150, IronLimit.OneDot => 110, _ => 0 };
            Assert.All(new[] { 110, 150, 200 }.Where(c => c > most), c => Assert.DoesNotContain($"{c} °C", told, StringComparison.Ordinal));
        }
    }

    /// <summary>On the skin nothing rubs: a cover goes on behind, fused only where the cloth bears it, and takes its minutes.</summary>
    [Fact]
    public void On_the_skin_the_back_is_covered()
    {
        foreach (var q in All())
        {
            var finished = FinishRoom.Settle(q);
            Assert.Equal(q.OnSkin, Steps(finished).Exists(f => f.Contains("soft cover", StringComparison.Ordinal)));
            Assert.Equal(q.OnSkin, finished.Work.Any(o => o.By.Any(b => b.Step == "covering the back")));
            Assert.False(q.Cloth.MaxIron is IronLimit.None or IronLimit.OneDot
                && Steps(finished).Exists(f => f.StartsWith("Fuse", StringComparison.Ordinal)));
        }
    }

    /// <summary>Her own way of pressing stands, and is stopped where the cloth takes no iron at all.</summary>
    [Fact]
    public void Pressing_against_the_cloth_is_stopped_and_told()
    {
        var bare = All().First(q => q.Cloth.MaxIron == IronLimit.None) with { HersPress = "face-down-dry" };
        var finished = FinishRoom.Settle(bare);
        Assert.Contains(finished.Cautions, c => c.Severity == Severity.Stop && c.Text.Contains("no iron at all", StringComparison.Ordinal));
        var decision = finished.Decisions.Single(d => d.Id == "finish.press");
        Assert.Equal(("face-down-dry", true, "no-press"), (decision.ChoiceId, decision.Overruled, decision.WouldHaveBeen));
        Assert.DoesNotContain(FinishRoom.Settle(bare with { HersPress = null }).Cautions, c =>
            c.Text.Contains("no iron", StringComparison.Ordinal));
    }

    /// <summary>
    /// Metallic thread is a film of metal: it is washed by hand and bears no steam, and it has no dye that could run (common practice).
    /// How the piece is washed and pressed says so where it is chosen, wished or not; with cotton nothing gives way.
    /// </summary>
    [Fact]
    public void What_the_thread_does_not_bear_gives_way_where_it_was_chosen()
    {
        Job On(string? thread) => new("tea-towel", [new TextElement("w", "Oda") { Thread = thread, Colour = "#9c1f2e" }], Samples.Monday,
            Fabric: new FabricOverrides("linen"));
        string Choice(Plan plan, string id) => Assert.Single(plan.Decisions, d => d.Id == id).ChoiceId;

        var cotton = Samples.Plan(On(null));
        Assert.Equal(("often", "face-down-steam"), (Choice(cotton, "item.washing"), Choice(cotton, "finish.press")));
        Assert.Contains(cotton.Cautions, c => c.Id == "bleeding");
        Assert.Contains(cotton.Cautions, c => c.Id == "iron" && c.Text.ToString().StartsWith("Hot iron and steam:", StringComparison.Ordinal));

        var metallic = Samples.Plan(On("metallic"));
        Assert.Equal(("by-hand", "face-down-dry"), (Choice(metallic, "item.washing"), Choice(metallic, "finish.press")));
        Assert.DoesNotContain(metallic.Cautions, c => c.Id == "bleeding");
        Assert.Contains(metallic.Cautions, c => c.Id == "iron" && c.Text.ToString().StartsWith("Hot iron:", StringComparison.Ordinal));
        Assert.Empty(metallic.SetAside);

        var wished = Samples.Plan(On("metallic") with
        {
            Use = new StatedUse(Washed: "often"),
            Overrides = OverrideSet.Of(("finish.press", "face-down-steam")),
        });
        Assert.Equal(("by-hand", "face-down-dry"), (Choice(wished, "item.washing"), Choice(wished, "finish.press")));
        Assert.All(wished.Decisions.Where(d => d.Id is "item.washing" or "finish.press"), d =>
            Assert.True(d is { UnfollowedWish: true, NotFollowed.Count: 1, Overruled: false }));
        Assert.Contains(wished.SetAside, s => s.Contains("metallic thread is washed by hand only", StringComparison.Ordinal));
        Assert.Contains(wished.SetAside, s => s.Contains("Steam is not followed: metallic thread melts and dulls", StringComparison.Ordinal));
    }
}
