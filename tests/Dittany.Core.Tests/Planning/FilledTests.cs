using Dittany.Core.Decisions;
using Dittany.Core.Geometry;
using Dittany.Core.Hooping;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Motifs;
using Dittany.Core.Planning;
using Dittany.Core.Route;
using Dittany.Core.StitchBook;
using Dittany.Core.Words;
using FsCheck.Fluent;

namespace Dittany.Core.Tests.Planning;

/// <summary>Plans whose areas are filled: what always holds of them, and that a wish that is not followed says so.</summary>
public class FilledTests
{
    private static readonly DateOnly Monday = new(2027, 3, 1);

    private static Plan Make(string form, string? fill, MotifElement motif) => Planner.Make(new Job(form, [motif], Monday,
        Overrides: fill is null ? null : OverrideSet.Of(("stitch.fill", fill))),
        Workshop.Default, Library.Ours);

    /// <summary>
    /// Over motifs, items and fills: each stitch stands in the route once, threads are the sum of it, hoopings hold every stitch, nothing
    /// lies out of the field unsaid, what is filled keeps free threads short, and each area is filled or says why not.
    /// </summary>
    [ManyTimes(18)]
    public FsCheck.Property Filled_plans_hold() => Prop.ForAll(
        FsCheck.Fluent.Arb.From(
            from motif in Gen.Elements(MotifLibrary.Ids.ToArray())
            from form in Gen.Elements("tote", "hoop-picture", "cushion-cover", "baby-bodysuit", "napkin", "t-shirt-adult", "tea-towel")
            from fill in Gen.Elements(Book.Fills.Select(f => f.Info.Id).Append("by-part").ToArray())
            from strands in Gen.Elements<int?>(null, 1, 2, 6)
            from high in Gen.Choose(15, 70)
            select (motif, form, fill, strands, high)),
        input =>
        {
            var plan = Make(input.form, input.fill, new MotifElement("m", input.motif, HeightMm: input.high, Strands: input.strands));
            var element = plan.Elements[0];
            var name = input.ToString();
            Assert.Equal(element.Parts.Sum(p => p.Stitches.Count), plan.Route.Select(r => (r.Part, r.Stitch)).Distinct().Count());
            Assert.Equal(plan.Route.Count, plan.Route.Select(r => (r.Part, r.Stitch)).Distinct().Count());
            var hoops = plan.Hooping.Hoops.ToDictionary(h => h.Order);
            Assert.All(plan.Route.Where(r => r.Hoop > 0 && hoops[r.Hoop].Round), row =>
            {
                var stitch = element.Parts[row.Part].Stitches[row.Stitch];
                Assert.True(stitch.FromMm.To(hoops[row.Hoop].CentreMm) <= hoops[row.Hoop].UsableRadiusMm + 0.01, name);
            });
            Assert.All(plan.Route.Where(r => r.FloatKind == FloatKind.Straight), r =>
                Assert.True(r.FloatMm <= FloatRules.UsualMm + 1e-6, name));
            var most = FreeThread.MostMm(Wearing.Settle(Catalogue.Find(input.form)!, new StatedUse(), true, false, _ => null));
            foreach (var part in element.Parts.Where(p => p.Filling is not null && !Book.Fill(p.Stitch)!.HeldDown))
            {
                Assert.All(part.Stitches, s => Assert.True(s.LengthMm <= (most * 1.42) + 0.01, $"{name}: {part.Stitch} {s.LengthMm}"));
            }

            var areas = element.Design!.Visible().Shapes.Where(s => s.Area is not null).ToArray();
            var filled = element.Parts.Where(p => p.Filling is not null).Select(p => p.Shape).ToHashSet(StringComparer.Ordinal);
            var told = plan.Decision("stitch.fill")!;
            Assert.True(areas.All(a => filled.Contains(a.Id)) || told.NotFollowed is { Count: > 0 }
                || told.Because.Any(b => b.ToString().Contains("along its edge", StringComparison.Ordinal)), name);
            Assert.True(areas.Length > 0 || plan.SetAside.Contains("stitch.fill"), name);
            Assert.All(told.NotFollowed ?? [], n => Assert.Contains(n.ToString(), plan.SetAside));
        });

    [Fact]
    public void Parts_are_made_as_wished()
    {
        var plan = Make("hoop-picture", "by-part", new MotifElement("m", "sunflower", HeightMm: 40)
        {
            ByPart = [new PartAsked("petal", null, "satin", 3, "#d9a531", 30), new PartAsked("petal", 0, null, 6)],
        });
        var petals = plan.Elements[0].Parts.Where(p => p.Role == "petal").ToArray();
        Assert.NotEmpty(petals);

        // The later wish stands before the earlier: it is for the only copy there is.
        Assert.All(petals, p => Assert.Equal(6, p.Strands));
        plan = Make("hoop-picture", "by-part", new MotifElement("m", "sunflower", HeightMm: 40)
        {
            ByPart = [new PartAsked("petal", null, "satin", 3, "#d9a531", 30), new PartAsked("centre", null, "backstitch")],
        });
        petals = plan.Elements[0].Parts.Where(p => p.Role == "petal").ToArray();
        Assert.All(petals, p => Assert.Equal(("satin", 3, "#d9a531", 30.0), (p.Stitch, p.Strands, p.Colour, p.Filling!.DirectionDegrees)));
        Assert.All(petals.SelectMany(p => p.Stitches.Where(s => s.LengthMm > 1)), s =>
            Assert.Equal(Math.Tan(30 * Math.PI / 180), (s.ToMm.Y - s.FromMm.Y) / (s.ToMm.X - s.FromMm.X), 2));
        Assert.All(plan.Elements[0].Parts.Where(p => p.Role == "centre"), p => Assert.Null(p.Filling));
    }

    /// <summary>A colour may be named by its id in the palette, for the whole, for a part and in a row.</summary>
    [Fact]
    public void Colours_are_named()
    {
        var plan = Make("hoop-picture", "by-part", new MotifElement("m", "sunflower", HeightMm: 40)
        {
            ByPart = [new PartAsked("petal", Colour: "orange"), new PartAsked("centre", Stitch: "brick") { Colours = ["hazel", "peat"] }],
        });
        Assert.All(plan.Elements[0].Parts.Where(p => p.Role == "petal"), p => Assert.Equal("#d9772f", p.Colour));
        Assert.Equal(["#8a6242", "#4a3526"], plan.Elements[0].Parts.Where(p => p.Role == "centre").Select(p => p.Colour).Distinct());
        Assert.Contains("petals in orange", plan.Decision("thread.colour")!.Because[0].ToString(), StringComparison.OrdinalIgnoreCase);
    }

    /// <summary>What was wished and does not go says so where it was wished, with what would do.</summary>
    [Fact]
    public void A_fill_that_will_not_do_says_so()
    {
        var plan = Make("baby-bodysuit", "satin", new MotifElement("m", "heart", HeightMm: 40));
        var told = plan.Decision("stitch.fill")!;
        Assert.All(plan.Elements[0].Parts, p => Assert.Null(p.Filling));
        Assert.Contains(told.NotFollowed!, n => n.ToString().Contains("4 mm", StringComparison.Ordinal)
            && n.ToString().Contains("brick", StringComparison.Ordinal));
        Assert.Contains(told.NotFollowed![0].ToString(), plan.SetAside);
    }

    /// <summary>A colour wished for a part that does not show says which, and offers no colour of the whole against it.</summary>
    [Fact]
    public void A_part_in_a_faint_colour_says_so()
    {
        var plan = Make("hoop-picture", "by-part", new MotifElement("m", "sunflower", HeightMm: 60)
        {
            ByPart = [new PartAsked("petal", Colour: "#f7f4ec"), new PartAsked("centre", Colour: "#4a3526"),
                new PartAsked("dot", Colour: "#4a3526")],
        });
        var concern = Assert.Single(plan.Elements[0].Concerns);
        Assert.Equal("does-not-show", concern.What);
        Assert.StartsWith("Chalk white, in the petal, is", concern.Text.ToString(), StringComparison.Ordinal);
        Assert.Empty(concern.Remedies);
        Assert.Equal("Chalk white and peat brown", plan.Decision("thread.colour")!.Choice.ToString());
    }

    /// <summary>Filled petals have nothing inside that must stay open.</summary>
    [Fact]
    public void What_is_filled_does_not_close_up()
    {
        var outlined = Enumerable.Range(5, 14).Select(n => 2 * n).Select(mm => new MotifElement("m", "daisy", HeightMm: mm, Strands: 12)).Last(m =>
            Make("hoop-picture", null, m).Elements[0].Concerns.Any(c => c.What == "closes-up"));
        var filled = Make("hoop-picture", "satin", outlined).Elements[0];
        Assert.All(filled.Parts, p => Assert.NotNull(p.Filling));
        Assert.DoesNotContain(filled.Concerns, c => c.What == "closes-up");
    }

    /// <summary>A satin that bends is no satin on a knit: it puckers, so advice takes another.</summary>
    [Fact]
    public void Advice_takes_no_satin_on_a_knit()
    {
        var plan = Make("t-shirt-adult", "by-part", new MotifElement("m", "daisy", HeightMm: 24));
        Assert.Contains(plan.Elements[0].Parts, p => p.Filling is not null);
        Assert.All(plan.Elements[0].Parts, p => Assert.DoesNotContain("satin", p.Stitch, StringComparison.Ordinal));
    }

    /// <summary>A wish for a part that is not there, or for letters that are lines, has nothing to act on and says so.</summary>
    [Fact]
    public void A_wish_for_what_is_not_there_says_so()
    {
        var plan = Make("tote", null, new MotifElement("m", "heart") { ByPart = [new PartAsked("wing", Strands: 1)] });
        Assert.Contains("wing", Assert.Single(plan.Decision("stitch.fill")!.NotFollowed!).ToString(), StringComparison.Ordinal);
        plan = Planner.Make(new Job("tote", [new TextElement("w", "Ida") { ByPart = [new PartAsked("letter", Stitch: "satin")] }], Monday),
            Workshop.Default, Library.Ours);
        Assert.Contains("letters with weight", Assert.Single(plan.Decision("stitch.fill")!.NotFollowed!).ToString(), StringComparison.Ordinal);
    }

    /// <summary>Large fills are held by moving the ring, in whole stitches, as any large shape.</summary>
    [Fact]
    public void A_large_fill_is_hooped_by_moving_the_ring()
    {
        var plan = Make("cushion-cover", "brick", new MotifElement("m", "heart", HeightMm: 190));
        Assert.Equal(School.Hoop, plan.Hooping.School);
        Assert.InRange(plan.Hooping.Hoops.Count, 2, 12);
    }

    /// <summary>A fill that lets cloth through does not draw the shape: its edge is worked too.</summary>
    [Fact]
    public void Open_fills_have_their_edge_worked_too()
    {
        var plan = Make("cushion-cover", "seed", new MotifElement("m", "heart", HeightMm: 60));
        Assert.Contains(plan.Elements[0].Parts, p => p.Filling is not null);
        Assert.Contains(plan.Elements[0].Parts, p => p.Filling is null && p.Closed);
        Assert.All(Make("cushion-cover", "brick", new MotifElement("m", "heart", HeightMm: 60)).Elements[0].Parts, p => Assert.NotNull(p.Filling));
    }
}
