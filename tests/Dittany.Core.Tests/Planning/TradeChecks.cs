using Dittany.Core.Decisions;
using Dittany.Core.Effort;
using Dittany.Core.Hooping;
using Dittany.Core.Items;
using Dittany.Core.Jobs;

namespace Dittany.Core.Tests.Planning;

/// <summary>Whole plans against what the trade knows of whole jobs.</summary>
public class TradeChecks
{
    /// <summary>
    /// A two-line name 12 cm wide on a baby bodysuit, split stitch, three strands, 60 cm lengths, film, everything included, takes a
    /// skilled hand a little under two hours (common practice): 95 to 120 minutes.
    /// </summary>
    [Fact]
    public void A_two_line_name_takes_a_little_under_two_hours()
    {
        var workshop = Samples.With(("cut-length", "600")) with { Skill = Skill.Expert };
        Job Of(double cap) => new(
            "baby-bodysuit", [new TextElement("name", "Welcome home\nZoë", Stitch: "split", Strands: 3, CapHeightMm: cap)], Samples.Monday,
                Size: "80",
            Overrides: OverrideSet.Of(("transfer.method", "film-traced")));
        var plan = Samples.Make(Of(AsWideAs(120, Of, workshop)), workshop);
        Assert.InRange(plan.Elements[0].BoxMm.Width, 119, 121);
        Assert.Equal(("split", 3, 600), (plan.Elements[0].Parts[0].Stitch, plan.Threads[0].Strands, plan.Threads[0].CutMm));
        Assert.InRange(plan.Time.HandsOnMinutes, 95, 120);
    }

    /// <summary>
    /// Usual hoops on a bodysuit (from memory): five inches up to size 56 for words up to 85 mm wide, six from 62 for up to 105 mm, put in
    /// by the crotch. With its ring clear of the rib such a hoop takes the widest words in two placings at the most.
    /// </summary>
    [Theory]
    [InlineData("50", 84, 127)]
    [InlineData("56", 84, 127)]
    [InlineData("62", 99, 152)]
    [InlineData("80", 104, 152)]
    public void The_usual_hoop_takes_the_usual_words_on_a_bodysuit(string size, double width, double hoop)
    {
        Job Of(double cap) => Samples.On("baby-bodysuit", "Wilhelmine", w => w with { CapHeightMm = cap, Rows = 1, Stitch = "backstitch" },
            ("hoop.size", $"{hoop}")) with
        { Size = size };
        var plan = Samples.Plan(Of(AsWideAs(width, Of, Workshop.Default)));
        Assert.Equal(School.Hoop, plan.Hooping.School);
        Assert.InRange(plan.Hooping.Hoops.Count, 1, 2);
        var rib = plan.Space.Obstacles.Single(o => o.Id == "neck-rib").Ring;
        Assert.All(plan.Hooping.Hoops, h => Assert.True(rib.Min(p => p.To(h.CentreMm)) >= Core.Materials.Hoops.RingRadiusMm(hoop)
            + 5 - 0.6, "the ring lies on the rib"));
        Assert.DoesNotContain(plan.Cautions, c => c.Severity == Severity.Stop || c.Id == "hoop.hem");
        Assert.Contains("open crotch", string.Join(' ', plan.Decision("hoop.size")!.Because), StringComparison.Ordinal);
    }

    /// <summary>
    /// Up to size 56 five inches is the most (common practice), and a ring wider than the tube less 30 mm does not go in (from memory).
    /// </summary>
    [Fact]
    public void A_hoop_too_large_for_a_baby_is_ruled_out_and_told()
    {
        var small = Samples.Plan(Samples.On("baby-bodysuit") with { Size = "50" }).Decision("hoop.size")!;
        Assert.Contains(small.RuledOut, r => r.ChoiceId == "152" && r.Because[0].Contains("five inches", StringComparison.Ordinal));
        var larger = Samples.Plan(Samples.On("baby-bodysuit") with { Size = "62" }).Decision("hoop.size")!;
        Assert.Contains(larger.RuledOut, r => r.ChoiceId == "178" && r.Because[0].Contains("does not go in", StringComparison.Ordinal));
        var stopped = Samples.Plan(Samples.On("baby-bodysuit", overrules: ("hoop.size", "178")) with { Size = "50" });
        Assert.Equal(178, stopped.Hooping.Hoops[0].HoopMm);
        Assert.Contains(stopped.Cautions, c => c.Severity == Severity.Stop && c.Text.Contains("five inches", StringComparison.Ordinal));
    }

    /// <summary>Never ring velvet or deep pile (common practice); the reason is told at the slip.</summary>
    [Theory]
    [InlineData("velvet")]
    [InlineData("terry")]
    public void What_a_ring_would_crush_is_worked_in_the_hand(string cloth)
    {
        var plan = Samples.Plan(Samples.On("tea-towel") with { Fabric = new FabricOverrides(cloth) });
        Assert.Equal(School.InHand, plan.Hooping.School);
        Assert.Contains("crushes", string.Join(' ', plan.Decision("hoop.school")!.Because), StringComparison.Ordinal);
    }

    /// <summary>
    /// A napkin's corner is worked in a four-inch hoop, and with scrap tacked on where its ring would reach over the hem (from memory).
    /// </summary>
    [Theory]
    [InlineData(null, false)]
    [InlineData(402.0, true)]
    public void A_napkin_corner_takes_a_small_hoop_with_scrap_near_the_edge(double? at, bool scrap)
    {
        var plan = Samples.Plan(Samples.On("napkin", "Odalys", w => w with { CentreMm = at is { } x ? new Core.Geometry.Pt(x, x) : null }));
        Assert.Equal(102, Assert.Single(plan.Hooping.Hoops).HoopMm);
        Assert.Equal(scrap, plan.Cautions.Any(c => c.Id == "hoop.hem"));
    }

    /// <summary>A stash that holds nothing useful: in the hand, with the reason, never a crash.</summary>
    [Theory]
    [InlineData("")]
    [InlineData("50")]
    [InlineData("50,400")]
    public void A_stash_that_holds_nothing_useful(string hoops)
    {
        var workshop = Workshop.Default with
        {
            HoopsMm = hoops.Split(',', StringSplitOptions.RemoveEmptyEntries).Select(h =>
            double.Parse(h, System.Globalization.CultureInfo.InvariantCulture)).ToArray()
        };
        var plan = Samples.Make(Samples.On("baby-bodysuit", "Wilhelmine"), workshop);
        Assert.Equal(School.InHand, plan.Hooping.School);
        Assert.Contains("in the hand", string.Join(' ', plan.Decision("hoop.school")!.Because), StringComparison.Ordinal);
    }

    /// <summary>More rows than fit, a sheer lined canvas, jersey that does not stretch: concerns and sentences, never a crash.</summary>
    [Fact]
    public void Contradictions_and_crowds_are_told()
    {
        var crowded = Samples.Plan(Samples.On("napkin", "a\nb\nc\nd\ne\nf", w => w with { CapHeightMm = 20 }));
        Assert.Contains(crowded.Elements[0].Concerns, c => c.What == "overflows" && c.Remedies.Count > 0);
        var sheer = Samples.Plan(Samples.On("tote") with
        {
            Fabric = new FabricOverrides("canvas", Opacity: Core.Materials.Opacity.Sheer,
            Lined: true)
        });
        Assert.Contains(sheer.Cautions, c => c.Text.Contains("sheer and lined", StringComparison.Ordinal));
        var stiff = Samples.Plan(Samples.On("baby-bodysuit") with { Fabric = new FabricOverrides("cotton-jersey", StretchPercent: 0) });
        Assert.Contains(stiff.Cautions, c => c.Text.Contains("does not stretch", StringComparison.Ordinal));
    }

    /// <summary>A child's full name outside a bag is a caution; a first name is none, nor is it on a towel (common practice).</summary>
    [Theory]
    [InlineData("tote", "Wilhelmine Alder", "child", true)]
    [InlineData("tote", "Wilhelmine", "child", false)]
    [InlineData("tote", "Bread and Salt", "child", false)]
    [InlineData("tote", "Wilhelmine Alder", "adult", false)]
    [InlineData("tea-towel", "Wilhelmine Alder", "child", false)]
    public void A_childs_full_name_outside(string form, string words, string wearer, bool told) =>
        Assert.Equal(told, Samples.Plan(Samples.On(form, words) with { Wearer = wearer }).Cautions.Any(c =>
            c.Text.Contains("full name", StringComparison.Ordinal)));

    /// <summary>
    /// For a baby: no small parts (16 CFR 1501, EN 71-1 for what is meant for them), a cover behind, and a look at the back in the care
    /// card.
    /// </summary>
    [Fact]
    public void A_baby_has_its_cautions_and_cover()
    {
        var plan = Samples.Plan(Samples.On("baby-bodysuit"));
        Assert.Contains(plan.Cautions, c => c.Kind == CautionKind.Person && c.Text.Contains("swallowed", StringComparison.Ordinal));
        Assert.Contains(plan.Finish, f => f.Contains("soft cover", StringComparison.Ordinal));
        Assert.Contains(plan.CareTold, f => f.Contains("back", StringComparison.Ordinal));
        Assert.DoesNotContain(Samples.Plan(Samples.On("baby-bodysuit") with { Wearer = "nobody" }).Finish, f =>
            f.Contains("soft cover", StringComparison.Ordinal));
    }

    /// <summary>
    /// The care card follows the weakest: an unwashable cloth is not washed, thread that may run goes cool, what takes no iron is not
    /// ironed.
    /// </summary>
    [Fact]
    public void Care_follows_the_weakest()
    {
        Assert.Contains("Do not wash", Samples.Plan(Samples.On("tote") with { Fabric = new FabricOverrides("wool-felt") }).CareTold[0],
            StringComparison.Ordinal);
        Assert.Contains("30 °C", Samples.Plan(Samples.On("tea-towel", with: w => w with { Colour = "indigo" })).CareTold[0],
            StringComparison.Ordinal);
        Assert.Contains("40 °C", Samples.Plan(Samples.On("tea-towel", with: w => w with { Colour = "leaf" })).CareTold[0], StringComparison.Ordinal);
        Assert.Contains(Samples.Plan(Samples.On("tote") with { Fabric = new FabricOverrides("velvet") }).CareTold, c => c == "Do not iron.");
    }

    /// <summary>The height at which words come out this wide: widths grow as heights do, the thread's own apart.</summary>
    private static double AsWideAs(double width, Func<double, Job> job, Workshop workshop)
    {
        var cap = 16.0;
        for (var i = 0; i < 4; i++)
        {
            cap = Math.Round(cap * width / Samples.Make(job(cap), workshop).Elements[0].BoxMm.Width, 2);
        }

        return cap;
    }
}
