using Dittany.Core.Crafts;
using Dittany.Core.Crafts.Beading;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Operations;
using Dittany.Core.Planning;
using Dittany.Core.Tests.Planning;

namespace Dittany.Core.Tests.Crafts;

/// <summary>Beads and sequins: counted, spaced, spared, and kept from children and irons.</summary>
public class BeadTests
{
    private static Plan Motif(string motif, double high, string form = "cushion-cover", string craft = "beads", string? wearer = null) =>
        Samples.Make(new Job(form, [new MotifElement("m", motif, HeightMm: high) { Craft = craft }], Samples.Monday, Wearer: wearer), Workshop.Default);

    private static CraftGround Ground() => new(Motif("star", 60).Item.Cloth, Catalogue.Find("cushion-cover")!,
        Wearing.Settle(Catalogue.Find("cushion-cover")!, new StatedUse(), true, false, _ => null), false, true, true);

    /// <summary>No two beads lie on each other, and along a lone line they touch or nearly so: 1.0 to 1.3 of a bead apart.</summary>
    [Theory]
    [InlineData("snowflake", 90)]
    [InlineData("star", 60)]
    [InlineData("songbird", 120)]
    public void Beads_lie_side_by_side(string motif, double high)
    {
        var plan = Motif(motif, high);
        var bead = Bead.For(high);
        var at = plan.CraftParts.Where(p => p.Amount.What.Contains("beads", StringComparison.Ordinal)).SelectMany(p => p.ShapeMm.Rings)
            .Select(r => new Pt(r.Take(12).Average(p => p.X), r.Take(12).Average(p => p.Y))).ToArray();
        Assert.NotEmpty(at);
        var nearest = at.Select((a, i) => at.Where((_, k) => k != i).Min(b => a.To(b))).ToArray();
        Assert.All(nearest, d => Assert.True(d >= bead.AcrossMm - 0.02, $"{d}"));
        Assert.InRange(nearest.Order().ElementAt(nearest.Length / 2), bead.AcrossMm, bead.AcrossMm * 1.3);
        Assert.All(plan.CraftParts, p => Assert.Equal(p.Amount.Amount, p.ShapeMm.Rings.Count));
    }

    /// <summary>A tenth more than are sewn on, rounded up (from memory), of each colour and kind; thread by closed form.</summary>
    [Fact]
    public void Beads_are_counted_with_their_spares()
    {
        var plan = Motif("heart", 100);
        var (beads, sequins) = (Sum(plan, "beads"), Sum(plan, "sequins"));
        Assert.True(sequins > 10);
        var sew = plan.Work.Single(o => o.Id == "m/beads");
        Assert.Equal(Math.Ceiling(beads * 1.1), sew.Uses!.Single(u => u.What.StartsWith("middling beads", StringComparison.Ordinal)).Amount);
        Assert.Equal(Math.Ceiling(sequins * 1.1), sew.Uses!.Single(u => u.What.StartsWith("small beads", StringComparison.Ordinal)).Amount);
        Assert.Equal(Math.Ceiling(sequins * 1.1), sew.Uses!.Single(u => u.What.StartsWith("sequins", StringComparison.Ordinal)).Amount);
        var sewn = (beads * (3 + 3.36 + 3)) + (sequins * (4 + 6 + 3));
        Assert.Equal(sewn + (Math.Ceiling(sewn / 450) * 120), sew.Uses!.Single(u => u.Unit == "mm").Amount, 0);

        static double Sum(Plan plan, string what) => plan.CraftParts.Where(p => p.Amount.What.Contains(what, StringComparison.Ordinal))
            .Sum(p => p.Amount.Amount);
    }

    /// <summary>
    /// Sequins lie hexagonally inside the row of beads: their number is that of the room they have over the room of one, within what
    /// the edge takes (closed form, 6² × √3/2 for one).
    /// </summary>
    [Fact]
    public void Sequins_fill_a_round_by_its_area()
    {
        var round = new CraftPiece("r", "round", Region.Along([[default]], 60), "#b3475d", false);
        var made = new SewnBeads().Make(new CraftQuestion("m", "round", true, 120, [round], Ground()));
        var room = Math.PI * Math.Pow(60 - 3 - 2.5, 2);
        Assert.InRange(made.Parts.Single(p => p.Amount.What.Contains("sequins", StringComparison.Ordinal)).Amount.Amount,
            0.95 * room / (36 * Math.Sqrt(0.75)), 1.05 * room / (36 * Math.Sqrt(0.75)));

        // Round the edge: as many as 2π times the row's radius holds of them.
        Assert.Equal(Math.Floor(2 * Math.PI * 58.5 / 3.36), made.Parts.Single(p => p.Amount.What.Contains("beads", StringComparison.Ordinal))
            .Amount.Amount, 1.0);
    }

    /// <summary>
    /// None under three (16 CFR 1501), none on a toy's face, none that the machine washes often; each says why and what would do.
    /// </summary>
    [Theory]
    [InlineData("baby-bodysuit", "under three")]
    [InlineData("toy-face", "toy")]
    [InlineData("t-shirt-child", "machine")]
    public void Beads_are_refused_where_they_hurt(string form, string rule)
    {
        var plan = Motif("star", 40, form);
        Assert.Null(plan.Elements[0].Craft);
        Assert.Contains(plan.Decision("craft")!.NotFollowed!, t => t.ToString().StartsWith("Beads and sequins sewn on, your wish, is not followed",
            StringComparison.Ordinal));
        Assert.Contains(new SewnBeads().Against, r => r.Name == rule);
    }

    /// <summary>Beads come after pressing and hoop (common practice), and the care card keeps the iron away.</summary>
    [Fact]
    public void Beads_come_last()
    {
        var plan = Samples.Make(new Job("cushion-cover", [new TextElement("w", "Oda", CapHeightMm: 30, CentreMm: new Pt(0, -100)), new MotifElement("m", "snowflake", HeightMm: 90, CentreMm: new Pt(0, 60)) { Craft = "beads" }], Samples.Monday), Workshop.Default);
        Assert.Equal("m/beads", plan.Work[^1].Id);
        Assert.Contains(plan.Work, o => o.Id == "press");
        Assert.Contains(plan.CareTold, c => c.ToString().Contains("Never iron over the beads", StringComparison.Ordinal));
        Assert.Single(plan.CareTold, c => c.ToString().StartsWith("Wash", StringComparison.Ordinal));
        Assert.Contains(plan.Cautions, c => c.Id == "beads-are-small-parts");
    }

    /// <summary>Lines nearer than a bead is wide: told, and larger it is gone.</summary>
    [Fact]
    public void Crowded_lines_are_told()
    {
        var concern = Assert.Single(Motif("snowflake", 18).Elements[0].Concerns, c => c.What == "beads-crowd");
        Assert.DoesNotContain(Motif("snowflake", concern.Remedies[0].HeightMm!.Value).Elements[0].Concerns, c => c.What == "beads-crowd");
    }

    /// <summary>
    /// Two eyes stand mirrored about the middle of a face, the room of a third between them (common practice of drawn faces).
    /// </summary>
    [Fact]
    public void A_toys_eyes_are_mirrored()
    {
        var plan = Samples.Make(new Job("toy-face", [new MotifElement("m", "eye", Arrangement: "pair", HeightMm: 14)], Samples.Monday),
            Workshop.Default);
        var shapes = plan.Elements[0].Design!.Shapes.Where(s => s.Area is not null && s.Role == "iris").ToArray();
        Assert.Equal(2, shapes.Length);
        var middle = plan.Elements[0].CentreMm.X;
        var (left, right) = (shapes[0].Area!.Covers().Box, shapes[1].Area!.Covers().Box);
        Assert.Equal(middle - left.Least.X, right.Greatest.X - middle, 2);
        Assert.Equal(middle - left.Greatest.X, right.Least.X - middle, 2);
        Assert.Equal("#/elements/0/count", Assert.Single(Samples.Faults(new Job("toy-face", [new MotifElement("m", "eye", Arrangement: "pair", Count: 5)], Samples.Monday), Workshop.Default)).Pointer);
    }

    private static Plan Part(string motif, string role, double high, string form = "cushion-cover") => Samples.Make(new Job(form, [new MotifElement("m", motif, HeightMm: high) { ByPart = [new PartAsked(role, null, "bead")] }],
        Samples.Monday), Workshop.Default);

    /// <summary>
    /// Six equal rounds stand about one (the kissing number of the plane): a round of 1.6 beads' radius holds six and one in the middle.
    /// </summary>
    [Fact]
    public void Six_beads_stand_round_one()
    {
        var round = new CraftPiece("r", "centre", Region.Along([[default]], 1.6 * 3), "#b3475d", false);
        var made = new SewnBeads().Make(new CraftQuestion("m", "round", true, 120, [round], Ground()) { Part = true });
        Assert.Equal(7, Assert.Single(made.Parts).Amount.Amount);
    }

    /// <summary>
    /// A part in beads among stitches: they lie on its shape and on no stitched line, come after pressing, with spares, and the rest of
    /// the motif is stitched as it would be.
    /// </summary>
    [Theory]
    [InlineData("daisy", "centre", 60)]
    [InlineData("daisy", "petal", 90)]
    [InlineData("sunflower", "centre", 120)]
    public void A_part_is_sewn_with_beads_while_the_rest_is_stitched(string motif, string role, double high)
    {
        var plan = Part(motif, role, high);
        var plain = Samples.Make(new Job("cushion-cover", [new MotifElement("m", motif, HeightMm: high)], Samples.Monday),
            Workshop.Default);
        var element = plan.Elements[0];
        Assert.True(element.Sewn);
        Assert.DoesNotContain(element.Parts, p => p.Role == role);
        Assert.Equal(plain.Elements[0].Parts.Count(p => p.Role != role), element.Parts.Count);
        Assert.All(plan.CraftParts, p => Assert.Equal(role, p.Role));
        Assert.Equal("m/beads", plan.Work[^1].Id);
        Assert.Contains(plan.Work.Single(o => o.Id == "m/beads").Uses!, u => u.Unit == "pieces"
            && u.Amount == SewnBeads.WithSpares((int)plan.CraftParts.Sum(p => p.Amount.Amount)));
        Assert.Contains(plan.Decision("craft")!.Because, b => b.ToString().Contains("in beads", StringComparison.Ordinal));

        foreach (var ring in plan.CraftParts.SelectMany(p => p.ShapeMm.Rings))
        {
            var at = new Pt(ring.Average(p => p.X), ring.Average(p => p.Y));
            var wide = 2 * ring.Max(p => p.To(at));
            Assert.All(element.Parts.Where(p => p.LineMm.Count > 1), p =>
                Assert.True(2 * (Polyline.ToLine(at, p.LineMm) - (p.LineWidthMm / 2)) >= wide - 0.6, p.Id));
        }
    }

    /// <summary>
    /// A bead larger than its gap: a smaller one is taken, and where the smallest will not go in, that is told with its gap.
    /// </summary>
    [Fact]
    public void A_bead_larger_than_its_gap_is_told()
    {
        var concern = Assert.Single(Part("leaf-sprig", "leaf", 60).Elements[0].Concerns, c => c.What == "beads-crowd");
        Assert.Contains("a bead is 2 mm wide", concern.Text.ToString(), StringComparison.Ordinal);
    }

    /// <summary>Where beads hurt, the part is stitched and the wish is answered (16 CFR 1501 for small parts).</summary>
    [Fact]
    public void A_part_is_not_beaded_under_three()
    {
        var plan = Part("daisy", "centre", 40, "baby-bodysuit");
        Assert.Contains(plan.Elements[0].Parts, p => p.Role == "centre");
        Assert.Empty(plan.CraftParts);
        Assert.Contains(plan.Decision("stitch.fill")!.NotFollowed!, t => t.ToString().StartsWith(
            "Beads for the centre, your wish, are not followed: a bead is a small part", StringComparison.Ordinal));
    }

    /// <summary>A wish for beads where there are none to be had is a fault that names its place.</summary>
    [Fact]
    public void Beads_are_no_stitch_of_words()
    {
        var faults = Samples.Faults(new Job("cushion-cover", [new TextElement("w", "Oda", Stitch: "bead")
        {
            ByPart = [new PartAsked("letter", null, "bead")],
        }], Samples.Monday), Workshop.Default);
        Assert.Equal(["#/elements/0/stitch", "#/elements/0/parts/0/stitch"], faults.Select(f => f.Pointer).Order(StringComparer.Ordinal).Reverse());
        Assert.All(faults, f => Assert.Contains("craft 'beads'", f.Try, StringComparison.Ordinal));
    }
}
