using Dittany.Core.Decisions;
using Dittany.Core.Hooping;
using Dittany.Core.Items;
using Dittany.Core.Operations;
using Dittany.Core.Planning;

namespace Dittany.Core.Tests.Planning;

/// <summary>
/// Cloth that is cut and made up afterwards, things that are stuffed, cloth that keeps every hole and cloth that holds no crease (all
/// common practice).
/// </summary>
public class LooseAndStuffedTests
{
    public static TheoryData<string> Loose() => [.. Catalogue.Forms.Where(f => f.Loose is not null).Select(f => f.Id)];

    private static Plan Of(string form, string? size = null) => Samples.Plan(Samples.On(form, "o") with { Size = size });

    private static string[] Steps(Plan plan, string operation) =>
        plan.Work.Single(o => o.Id == operation).Steps.Select(s => s.ToString()).ToArray();

    /// <summary>
    /// It is washed, if it ever is, before it is cut; cut and drawn before anything is measured; made up last, with its minutes. The cut
    /// size stands among the steps, which go onto the sheets.
    /// </summary>
    [Theory]
    [MemberData(nameof(Loose))]
    public void Loose_cloth_is_cut_and_drawn_first_and_made_up_last(string form)
    {
        var plan = Of(form);
        var kinds = plan.Work.Select(o => o.Id).ToArray();
        Assert.Equal("cut", kinds.First(k => k != "wash"));
        Assert.Equal("make-up", kinds[^1]);
        Assert.True(plan.Work[^1].LikelyMinutes >= 5);
        var size = Catalogue.Find(form)!.Sizes.First(s => s.Id == plan.Item.Size);
        var (w, h) = ClothAllowance.Cut(Catalogue.Find(form)!.Loose!.Value, size.WidthMm, size.HeightMm);
        Assert.Contains($"{w:0.#}", Steps(plan, "cut")[0], StringComparison.Ordinal);
        Assert.Contains($"{h:0.#}", Steps(plan, "cut")[0], StringComparison.Ordinal);
        Assert.Contains("Draw the shape", Steps(plan, "cut")[1], StringComparison.Ordinal);
    }

    /// <summary>What is not there yet is not measured from, nor hooped clear of: no edge in the steps, no word of a hem.</summary>
    [Theory]
    [MemberData(nameof(Loose))]
    public void Nothing_is_measured_from_an_edge_that_is_not_cut_yet(string form)
    {
        foreach (var zone in Catalogue.Find(form)!.Zones)
        {
            var plan = Samples.Plan(Samples.On(form, "o") with { Zone = zone.Id });
            Assert.All(plan.Space.FindIt, s => Assert.DoesNotContain("edge", s.ToString(), StringComparison.Ordinal));
            Assert.DoesNotContain(plan.Cautions, c => c.Id == "hoop.hem");
        }
    }

    /// <summary>A picture in its hoop is worked in that very hoop, in one placing, whatever hoops are at hand.</summary>
    [Theory]
    [InlineData("4in", 102)]
    [InlineData("6in", 152)]
    [InlineData("8in", 203)]
    public void A_hoop_picture_is_worked_in_its_own_hoop(string size, double hoop)
    {
        var plan = Of("hoop-picture", size);
        var placing = Assert.Single(plan.Hooping.Hoops);
        Assert.Equal((School.Hoop, hoop), (plan.Hooping.School, placing.HoopMm));
        Assert.True(placing.CentreMm.Length < 0.01);
    }

    /// <summary>
    /// A badge is washed as the garment it sits on; what hangs on a wall or is stuffed into wood never is, and is not ironed then.
    /// </summary>
    [Theory]
    [InlineData("badge", "often")]
    [InlineData("hoop-picture", "never")]
    [InlineData("framed-sampler", "never")]
    [InlineData("pin-cushion-round", "never")]
    [InlineData("felt-ornament", "never")]
    [InlineData("quilt-block", "often")]
    public void How_made_up_things_are_washed(string form, string washed)
    {
        var plan = Of(form);
        Assert.Equal(washed, plan.Decision("item.washing")!.ChoiceId);
        Assert.Equal(washed != "never", plan.CareTold.Any(c => c.ToString().StartsWith("Iron", StringComparison.Ordinal)));
    }

    /// <summary>
    /// A stuffed head: no hoop, no backing, no soaking, no pressing; a mark drawn by eye, scooped stitches, ends run inside.
    /// </summary>
    [Theory]
    [InlineData("12-stuffed")]
    [InlineData("16-stuffed")]
    public void A_stuffed_head(string size)
    {
        var plan = Of("toy-face", size);
        Assert.Equal(School.InHand, plan.Hooping.School);
        Assert.Equal("none", plan.Transfer.Stabiliser);
        Assert.DoesNotContain(plan.Work, o => o.Place is Place.Sink or Place.Iron || o.Kind is OpKind.Back or OpKind.Dry);
        Assert.Equal("skim", plan.Decision("stitch.action")!.ChoiceId);
        Assert.NotEqual("away-knot", plan.Decision("thread.start")!.ChoiceId);
        Assert.Contains("inside", Steps(plan, "ends")[0], StringComparison.Ordinal);
        Assert.DoesNotContain(plan.Transfer.Method.Id, new[] { "light-trace", "film-traced", "stick-on-sheet", "hot-iron", "tissue" });
    }

    /// <summary>Coated cloth keeps every needle hole and is not soaked: nothing is pinned or tacked to it.</summary>
    [Fact]
    public void Nothing_is_pinned_to_a_coating()
    {
        var plan = Of("backpack");
        Assert.True(plan.Item.Cloth.Coated);
        Assert.Equal("stick-on-sheet", plan.Transfer.Method.Id);
        Assert.StartsWith("Sponged off", plan.Decision("finish.removal")!.Choice.ToString(), StringComparison.Ordinal);
        var said = plan.Work.SelectMany(o => o.Steps).Concat(plan.Space.FindIt).Select(s => s.ToString()).ToArray();
        Assert.All(said, s => Assert.DoesNotMatch(@"\b([Pp]in|[Tt]ack|[Ss]oak|crease)\b", s));
        Assert.DoesNotContain(plan.Work, o => o.Uses?.Any(u => u.What.Contains("tacking", StringComparison.Ordinal)) == true);
    }

    /// <summary>Felt holds no crease, so its folds are kept by pins; linen is creased.</summary>
    [Theory]
    [InlineData("wool-felt", false)]
    [InlineData("linen", true)]
    public void Folds_are_kept_as_the_cloth_lets_them(string cloth, bool creased)
    {
        var steps = Samples.Plan(Samples.On("felt-ornament", "o") with { Fabric = new FabricOverrides(cloth) }).Space.FindIt;
        Assert.Contains(steps, s => s.ToString().Contains(creased ? "crease" : "set a pin", StringComparison.Ordinal));
        Assert.Equal(creased, steps.Any(s => s.ToString().Contains("crease", StringComparison.Ordinal)));
    }

    /// <summary>What is kept for good takes no ink that the cold brings back.</summary>
    [Fact]
    public void A_keepsake_takes_no_heat_ink()
    {
        var asked = Samples.On("framed-sampler", "o") with
        {
            Overrides = OverrideSet.Of(("transfer.marker", "heat-erasable")),
        };
        Assert.Contains(Samples.Plan(asked).Cautions, c => c.Id == "transfer.marker"
            && c.Text.ToString().Contains("come back in the cold", StringComparison.Ordinal));
    }
}
