using Dittany.Core.Crafts;
using Dittany.Core.Crafts.Appliqueing;
using Dittany.Core.Crafts.Felting;
using Dittany.Core.Crafts.Painting;
using Dittany.Core.Decisions;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Operations;
using Dittany.Core.Planning;
using Dittany.Core.Tests.Planning;
using Dittany.Core.Time;
using FsCheck.Fluent;

namespace Dittany.Core.Tests.Crafts;

/// <summary>Paint, wool and pencil: what each is refused for, what it takes, and in which order it is done.</summary>
[Trait("Lane", "long")]
public class CraftTests
{
    private static Plan Motif(string craft, string form = "tote", string motif = "songbird", double high = 90, FabricOverrides? fabric = null,
        Done? done = null) => Samples.Make(new Job(form, [new MotifElement("m", motif, HeightMm: high) { Craft = craft }], Samples.Monday, Fabric: fabric, Done: done), Workshop.Default);

    private static Plan Words(string text, string craft, string? alphabet = null, double cap = 50) => Samples.Make(new Job("tote",
        [new TextElement("w", text, Alphabet: alphabet, CapHeightMm: cap) { Craft = craft }], Samples.Monday), Workshop.Default);

    /// <summary>
    /// Facts of the trade: four hours until the film comes off, card between the layers, edges pressed flat, short sprays, light before
    /// dark; film 20 mm larger all round (common practice).
    /// </summary>
    [Fact]
    public void Spray_paint_goes_through_its_steps()
    {
        var plan = Motif("paint");
        Assert.False(plan.Sewn);
        Assert.Empty(plan.Route);
        Assert.Empty(plan.Threads);
        var ids = plan.Work.Select(o => o.Id).ToArray();
        Assert.Equal(["wash", "m/stencil", "m/paint", "m/paint-dry", "m/peel", "paint-set"], ids);
        var dry = plan.Work.Single(o => o.Id == "m/paint-dry");
        Assert.Equal((WaitKind.Drying, 240.0), (dry.Wait!.Kind, dry.Wait.Minutes));
        var steps = string.Join(' ', plan.Work.SelectMany(o => o.Steps));
        Assert.Contains("card between its layers", steps, StringComparison.Ordinal);
        Assert.Contains("press every edge flat", steps, StringComparison.Ordinal);
        Assert.Contains("short strokes", steps, StringComparison.Ordinal);
        var light = plan.CraftParts.Select(p => Colour.Parse(p.Colour).ToLab().L).ToArray();
        Assert.Equal(light.OrderDescending(), light);
        var film = plan.Work.Single(o => o.Id == "m/stencil").Uses!.Single();
        var (x, y) = (plan.CraftParts.Min(p => p.ShapeMm.Box.Least.X), plan.CraftParts.Min(p => p.ShapeMm.Box.Least.Y));
        var (wide, high) = (plan.CraftParts.Max(p => p.ShapeMm.Box.Greatest.X) - x, plan.CraftParts.Max(p => p.ShapeMm.Box.Greatest.Y) - y);
        Assert.Equal(plan.CraftParts.Count * (wide + 40) * (high + 40) / 1e6, film.Amount, 3);
        Assert.Contains(plan.Cautions, c => c.Id == "spray" && c.Text.Contains("mask", StringComparison.Ordinal));
        Assert.Contains(plan.CareTold, c => c.ToString().Contains("7 days", StringComparison.Ordinal));
    }

    /// <summary>Nothing that is told of a painted or felted piece speaks of stitches, strands or needles for sewing.</summary>
    [Theory]
    [InlineData("paint")]
    [InlineData("felt")]
    public void What_is_not_stitched_is_not_told_of_stitches(string craft)
    {
        foreach (var plan in new[] { Motif(craft), Words("Home", craft) })
        {
            var told = plan.Decisions.Where(d => !d.Id.StartsWith("craft", StringComparison.Ordinal)).SelectMany(d => d.Because.Prepend(d.Choice))
                .Concat(plan.Work.SelectMany(o => o.Steps)).Concat(plan.CareTold).Select(t => t.ToString())
                .Concat(plan.Cautions.Select(c => (string)c.Text)).ToArray();
            Assert.DoesNotContain(told, t => t.Contains("stitch", StringComparison.OrdinalIgnoreCase)
                || t.Contains("strand", StringComparison.OrdinalIgnoreCase) || t.Contains("hoop", StringComparison.OrdinalIgnoreCase));
        }
    }

    /// <summary>
    /// What a craft is refused for, told with a remedy, and thread taken instead: paint on a coat that bears no wash, on a backpack's
    /// coating, on terry; wool on a baby's bodysuit and in the machine; pencil on dark cloth (all common practice).
    /// </summary>
    [Theory]
    [InlineData("paint", "baby-bodysuit", null, "baby")]
    [InlineData("paint", "backpack", null, "coating")]
    [InlineData("paint", "hand-towel", null, "pile")]
    [InlineData("paint", "scarf", "wool", "bears no")]
    [InlineData("felt", "baby-bodysuit", null, "three")]
    [InlineData("felt", "tea-towel", null, "machine")]
    [InlineData("tint", "backpack", null, "coating")]
    [InlineData("tint", "t-shirt-adult", null, "stretches")]
    public void A_craft_that_cannot_be_says_why(string craft, string form, string? kind, string why)
    {
        var fabric = kind is null ? null : new FabricOverrides(kind, Washable: false);
        var plan = Motif(craft, form, "heart", 30, fabric);
        Assert.Empty(plan.CraftParts);
        Assert.True(plan.Sewn);
        var told = plan.Decision("craft")!;
        Assert.Equal("stitch", told.ChoiceId);
        Assert.Contains(told.NotFollowed!, t => t.ToString().Contains(why, StringComparison.Ordinal));
        Assert.Contains(told.RuledOut, r => r.ChoiceId == craft);
        Assert.NotEmpty(plan.Route);
    }

    [Fact]
    public void Pencil_does_not_show_on_dark_cloth() => Assert.Contains(Motif("tint", "cushion-cover", fabric: new FabricOverrides(Colour: "#1d2433"))
        .Decision("craft")!.NotFollowed!, t => t.ToString().Contains("dark cloth", StringComparison.Ordinal));

    /// <summary>
    /// A counter is one island: “O” has one, “B” two, “H” none. In one colour what is cut out is what is painted: the stroke's area within
    /// a tenth of its length by its width.
    /// </summary>
    [Theory]
    [InlineData("H", 0)]
    [InlineData("O", 1)]
    [InlineData("B", 2)]
    [InlineData("BOB", 5)]
    public void Counters_of_letters_are_islands(string text, int islands)
    {
        var part = Assert.Single(Words(text, "paint").CraftParts);
        Assert.Equal(islands, part.Islands);
        Assert.InRange(part.BridgesMm.Count, islands, 2 * islands);
    }

    /// <summary>Letters too small for a web and an opening are told, and the remedy that is offered cures it.</summary>
    [Fact]
    public void What_is_too_fine_for_a_stencil_is_told_with_its_cure()
    {
        var plan = Motif("paint", motif: "fern", high: 25);
        var concern = Assert.Single(plan.Elements[0].Concerns, c => c.What is "opening" or "web");
        Assert.False(plan.Elements[0].Reads);
        foreach (var remedy in concern.Remedies)
        {
            Assert.DoesNotContain(Motif("paint", motif: "fern", high: remedy.HeightMm!.Value).Elements[0].Concerns, c => c.What == concern.What);
        }
    }

    /// <summary>Wool by area: 0.02 g for a square centimetre of a layer, two layers (from memory); the parts add up to it.</summary>
    [Fact]
    public void Wool_goes_by_area()
    {
        var plan = Motif("felt", motif: "heart", high: 60);
        var part = Assert.Single(plan.CraftParts);
        Assert.Equal(part.ShapeMm.AreaMm2 / 100 * NeedleFelt.GramsPerCm2 * 2, part.Amount.Amount, 2);
        var felt = plan.Work.Single(o => o.Kind == OpKind.Felt);
        Assert.Equal(part.Amount.Amount, felt.Uses!.Sum(u => u.Amount), 2);
        Assert.InRange(felt.LikelyMinutes, part.ShapeMm.AreaMm2 / 100 * 100 / 90, (part.ShapeMm.AreaMm2 / 100 * 100 / 90) + 10);
        Assert.Contains(felt.Steps, s => s.ToString().Contains("sponge", StringComparison.Ordinal));
    }

    /// <summary>
    /// Tinted first, then traced and worked round in running stitch with two strands (common practice); the medium is dry before anything
    /// wet comes near.
    /// </summary>
    [Fact]
    public void A_tint_comes_before_its_line()
    {
        var plan = Motif("tint", "cushion-cover");
        Assert.True(plan.Sewn);
        var ids = plan.Work.Select(o => o.Id).ToList();
        Assert.True(ids.IndexOf("m/tint") < ids.IndexOf("m/paper-off") && ids.IndexOf("m/paper-off") < ids.IndexOf("stitch"));
        Assert.All(plan.Elements[0].Parts.Where(p => p.Role is "body" or "breast" or "wing"), p =>
        {
            Assert.Equal(("running", 2), (p.Stitch, p.Strands));
            Assert.Null(p.Filling);
        });
        Assert.Equal(plan.Elements[0].Design!.Visible().Shapes.Count(s => s.Area is not null), plan.CraftParts.Count);
        Assert.Equal("running", plan.Decision("stitch.outline")!.ChoiceId);
        Assert.False(plan.Decision("stitch.outline")!.Overruled);
    }

    /// <summary>
    /// Felt shapes: areas are pieces, cut size = shape (common practice), lines stay stitched over them; edge stitches 2 mm apart; thread
    /// by its closed form; what lies under reaches 4 mm beneath; cut mirrored, sewn before the lines.
    /// </summary>
    [Fact]
    public void Felt_shapes_are_cut_mirrored_and_sewn_on()
    {
        var plan = Motif("applique", "cushion-cover", "fox-face", 150);
        Assert.True(plan.Sewn);
        var design = plan.Elements[0].Design!;
        var seen = design.Visible(FeltShapes.UnderMm).Shapes.Where(s => s.Area is not null).ToArray();
        Assert.Equal(seen.Length, plan.CraftParts.Count);

        // What lies wholly on a piece leaves no hole in it.
        Assert.Equal(seen.Sum(s => s.Area!.Covers().Filled().AreaMm2), plan.CraftParts.Sum(p => p.ShapeMm.AreaMm2), 3);
        Assert.All(plan.CraftParts, p => Assert.Single(p.ShapeMm.Rings));
        Assert.Null(plan.Decision("stitch.fill"));
        Assert.All(plan.Elements[0].Parts, p => Assert.Null(p.Filling));
        Assert.DoesNotContain(plan.Elements[0].Parts, p => seen.Any(s => s.Id == p.Shape));
        var ids = plan.Work.Select(o => o.Id).ToList();
        Assert.True(ids.IndexOf("m/pieces") < ids.IndexOf("m/sew-on"));
        var edge = plan.CraftParts.SelectMany(p => p.ShapeMm.Rings).Sum(r => Polyline.Length([.. r, r[0]]));
        var colours = plan.CraftParts.Select(p => p.Colour).Distinct(StringComparer.Ordinal).Count();

        // A stitch of 2 mm and the slant of 2.83 mm behind for every 2 mm of edge, and 20 cm for the ends of each piece.
        Assert.Equal((edge / 2 * (2 + Math.Sqrt(8))) + (200 * plan.CraftParts.Count), plan.Work.Single(o => o.Id == "m/sew-on").Uses!.Sum(u => u.Amount),
            colours * 0.51);
        var mirrored = FeltShapes.Mirrored(plan.CraftParts);
        Assert.True(mirrored.Count >= plan.CraftParts.Count);
        var one = plan.CraftParts.MaxBy(p => p.ShapeMm.AreaMm2)!;
        var turned = Region.Mirrored(one.ShapeMm);
        Assert.Equal(one.ShapeMm.AreaMm2, turned.AreaMm2, 6);
        Assert.Equal(one.ShapeMm.AreaMm2, Region.Mirrored(turned).Within(one.ShapeMm).AreaMm2, 3);
        Assert.Contains(Motif("applique", "cushion-cover", "fox-face", 25).Elements[0].Concerns, c => c.What == "piece-too-small");
    }

    /// <summary>Wishes for stitches, strands or a hoop have nothing to act on in paint, and that is said; so is a lost colour.</summary>
    [Fact]
    public void Wishes_for_thread_are_not_dropped_without_a_word()
    {
        var plan = Samples.Make(new Job("tote", [new MotifElement("m", "heart", HeightMm: 80, Stitch: "chain", Strands: 4, Colour: "#efe6d2") { Craft = "paint" }], Samples.Monday, Overrides: OverrideSet.Of(("hoop.school", "in-hand"))),
            Workshop.Default);
        var told = string.Join(' ', plan.Decision("craft")!.NotFollowed!);
        Assert.Contains("Chain stitch, your wish", told, StringComparison.Ordinal);
        Assert.Contains("4 strands, your wish", told, StringComparison.Ordinal);
        Assert.Equal(3, plan.Decision("craft")!.NotFollowed!.Count);
        Assert.Contains(plan.NotFollowed, t => t.ToString().Contains("Chain stitch", StringComparison.Ordinal));
        Assert.Contains(plan.Elements[0].Concerns, c => c.What == "does-not-show"
            && !c.Text.ToString().Contains("stitched", StringComparison.Ordinal));
        Assert.False(plan.Elements[0].Reads);
    }

    /// <summary>What is all lines is offered no tint, and says why.</summary>
    [Fact]
    public void Lines_cannot_be_tinted()
    {
        var told = Samples.Plan("Ida").Decision("craft")!;
        Assert.Contains(told.RuledOut, r => r.ChoiceId == "tint" && r.Because[0].ToString().Contains("all lines", StringComparison.Ordinal));
        Assert.DoesNotContain(told.Alternatives, a => a.ChoiceId == "tint");
        Assert.Contains(Words("Ida", "tint").Elements[0].Concerns, c => c.What == "nothing-to-tint");
    }

    /// <summary>Painted ground and a stitched name on it: one plan and one order, the paint set before the stitches are pressed.</summary>
    [Fact]
    public void Paint_and_stitches_are_one_plan()
    {
        var plan = Samples.Make(new Job("tote", [new TextElement("w", "Ida"), new MotifElement("m", "heart", HeightMm: 100) { Craft = "paint" }], Samples.Monday), Workshop.Default);
        Assert.True(plan.Sewn);
        Assert.NotEmpty(plan.Route);
        Assert.All(plan.Route, r => Assert.Equal("w", r.Element));
        var ids = plan.Work.Select(o => o.Id).ToList();
        Assert.True(ids.IndexOf("m/peel") < ids.IndexOf("stitch"));
        Assert.True(ids.IndexOf("paint-set") < ids.IndexOf("press") || !ids.Contains("press"));
        Assert.Equal("paint", plan.Decision("craft:m")!.ChoiceId);
        Assert.Equal("stitch", plan.Decision("craft")!.ChoiceId);
    }

    /// <summary>How far a painted piece is: prepared, left to dry overnight, finished; what is left ends at nothing.</summary>
    [Fact]
    public void A_painted_piece_is_followed_to_its_end()
    {
        var today = Samples.Monday;
        Done?[] steps = [null, new Done(WashedOn: today), new Done(true), new Done(true, 0, today), new Done(true, 0, today, true)];
        var left = steps.Select(d => Motif("paint", done: d).Time.Progress).ToArray();
        Assert.Equal([Stage.Planned, Stage.Washed, Stage.Marked, Stage.Drying, Stage.Finished], left.Select(p => p.Stage));
        Assert.All(left.Zip(left.Skip(1)), p => Assert.True(p.Second.LeftMinutes < p.First.LeftMinutes + 1e-9));
        Assert.Equal(0, left[^1].LeftMinutes);
        Assert.Equal(today.AddDays(1), left[3].DryOn);
    }

    /// <summary>
    /// Over random motifs and heights: every stencil is in one piece, nothing is painted outside the item, amounts follow areas, and the
    /// same again comes out the same.
    /// </summary>
    [ManyTimes(12)]
    public FsCheck.Property Stencils_of_any_motif_hold_together() => Prop.ForAll(
        FsCheck.Fluent.Arb.From(
            from motif in Gen.Elements(Core.Motifs.MotifLibrary.Ids.Where(i => i != "frame").ToArray())
            from high in Gen.Choose(40, 140)
            select (motif, high)),
        input =>
        {
            var plan = Motif("paint", "cushion-cover", input.motif, input.high);
            var name = input.ToString();
            Assert.NotEmpty(plan.CraftParts);
            foreach (var part in plan.CraftParts)
            {
                var (least, most) = part.ShapeMm.Box;
                var film = Region.Rectangle(least.X - 5, least.Y - 5, most.X - least.X + 10, most.Y - least.Y + 10).Without(part.ShapeMm);
                Assert.True(film.Pieces().Count(p => p.AreaMm2 > 0.01) == 1, name);
                Assert.Equal(Math.Max(0.1, part.ShapeMm.AreaMm2 / 100 * SprayPaint.CoatMlPerCm2 * SprayPaint.Coats * SprayPaint.LostFactor),
                    part.Amount.Amount, 1);
            }

            var again = Motif("paint", "cushion-cover", input.motif, input.high);
            Assert.Equal(plan.CraftParts.Select(p => p.ShapeMm.AreaMm2), again.CraftParts.Select(p => p.ShapeMm.AreaMm2));
        });
}
