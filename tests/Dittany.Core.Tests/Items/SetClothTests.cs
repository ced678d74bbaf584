using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Operations;
using Dittany.Core.Planning;
using Dittany.Core.Tests.Planning;

namespace Dittany.Core.Tests.Items;

/// <summary>Cloth for a set, edges frayed by counted threads, and what is a small part.</summary>
public class SetClothTests
{
    /// <summary>
    /// Rounds cannot be laid closer than π/√12 of their room (Thue 1910); a set comes within 15 % of that where there are many of them.
    /// </summary>
    [Theory]
    [InlineData(24)]
    [InlineData(37)]
    [InlineData(60)]
    [InlineData(100)]
    public void Badges_lie_nearly_as_close_as_rounds_can(int count)
    {
        var cloth = SetCloth.Of(count, 60, 60, 8, 0, round: true);
        var bound = Math.PI / Math.Sqrt(12);
        Assert.InRange(cloth.UsedShare, bound * 0.85, bound);
        Assert.True(cloth.Staggered);
        Assert.InRange(cloth.WidthMm, 1, 1400);
    }

    /// <summary>A single one takes its seam, the way between, and what the ring grips on both sides; squares take straight rows.</summary>
    [Fact]
    public void One_badge_takes_its_own_cloth()
    {
        var one = SetCloth.Of(1, 75, 75, 8, 40, round: true);
        Assert.Equal((1, 1, false), (one.Rows, one.InRow, one.Staggered));
        Assert.Equal(180, one.WidthMm);
        var square = SetCloth.Of(12, 50, 50, 8, 0, round: false);
        Assert.Equal(1, square.UsedShare, 2);
        Assert.False(square.Staggered);
    }

    /// <summary>Every one of them has a place: rows times what is in a row.</summary>
    [Fact]
    public void Every_badge_has_its_place() => Assert.All(Enumerable.Range(1, 120), n =>
        Assert.True(SetCloth.Of(n, 60, 60, 8, 40, round: true) is var c && c.Rows * c.InRow >= n && (c.Rows - 1) * c.InRow < n));

    /// <summary>
    /// The cylinder of 16 CFR 1501.4: 31.7 mm across, 25.4 to 57.1 mm deep. A bead goes in, a ball of 40 mm does not, nor a rod of 60 mm.
    /// </summary>
    [Fact]
    public void Small_parts_go_into_the_cylinder()
    {
        Assert.All(Bead.Sizes.Append(Bead.Sequin), b => Assert.True(SmallParts.Is(b.AcrossMm, b.AcrossMm, b.AcrossMm)));
        Assert.True(SmallParts.Is(22, 22, 57));
        Assert.False(SmallParts.Is(40, 40, 40));
        Assert.False(SmallParts.Is(5, 5, 60));
        Assert.False(SmallParts.Is(31, 31, 10));
    }

    private static Plan Frayed(string form, double? mm = 10, FabricOverrides? fabric = null) => Samples.Make(new Job(form,
        [new TextElement("w", "Oda")], Samples.Monday, Fabric: fabric)
    { MakeUp = new MakeUp("frayed") { FringeMm = mm } }, Workshop.Default);

    /// <summary>
    /// Counted in threads before anything else is done: linen has about fourteen a centimetre (from memory; hers is counted).
    /// </summary>
    [Fact]
    public void A_frayed_edge_is_counted_in_threads()
    {
        var plan = Frayed("napkin", 20, new FabricOverrides("linen"));
        var fringe = plan.Work.Single(o => o.Id == "fringe");
        Assert.Contains(fringe.Steps, s => s.ToString().Contains("28 threads outside", StringComparison.Ordinal));
        Assert.True(plan.Work.ToList().IndexOf(fringe) < plan.Work.ToList().FindIndex(o => o.Kind == OpKind.Stitch));
        Assert.DoesNotContain(plan.Cautions, c => c.Id == "edge-does-not-fray");
        Assert.All(FrayedEdge.Counts, c => Assert.Contains(Cloths.All, k => k.Id == c.Kind));
        Assert.Contains(Frayed("scarf", 10, new FabricOverrides("fleece")).Cautions, c => c.Id == "edge-does-not-fray");
    }

    [Theory]
    [InlineData("tote", 10, "#/makeUp/as")]
    [InlineData("napkin", 200, "#/makeUp/fringeMm")]
    public void What_cannot_be_frayed_is_refused(string form, double mm, string pointer) =>
        Assert.Equal(pointer, Assert.Single(Samples.Faults(new Job(form, [new TextElement("w", "Oda")], Samples.Monday)
        {
            MakeUp = new MakeUp("frayed") { FringeMm = mm },
        }, Workshop.Default)).Pointer);

    /// <summary>A bowl, a frame and a frayed edge are understood where they are said, and the item that goes with them.</summary>
    [Theory]
    [InlineData("a daisy for a bowl of 8 cm", "pin-cushion-round", "gathered-round", 80.0, null)]
    [InlineData("a daisy on a pin cushion in a wooden bowl 3 1/2 inch wide", "pin-cushion-round", "gathered-round", 88.9, null)]
    [InlineData("Oda in a frame of 20 x 30 cm", "framed-sampler", "framed", null, 300.0)]
    [InlineData("Oda on a napkin with a frayed edge", "napkin", "frayed", null, null)]
    public void Bowls_frames_and_frayed_edges_are_understood(string said, string form, string made, double? bowl, double? high)
    {
        var heard = Core.Sayings.SayingParser.Read(said, Samples.Monday);
        Assert.Equal((form, made, bowl, high), (heard.Form, heard.MakeUp?.As, heard.MakeUp?.BowlMm, heard.MakeUp?.OpeningHighMm));
        Assert.Empty(heard.Asked);
    }
}
