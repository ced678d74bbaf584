using Dittany.Core.Decisions;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Tests.Materials;
using Dittany.Core.Tests.Planning;
using Dittany.Core.Transfer;

namespace Dittany.Core.Tests.Transfer;

/// <summary>Stabilisers, markers, and the order of what is done.</summary>
[Trait("Lane", "long")]
public class SupportTests
{
    /// <summary>
    /// Knits get a soft fusible knit or, where the iron must stay off, a soft cut-away; lettering on pile gets film on top and a backing
    /// (common practice).
    /// </summary>
    [Theory]
    [InlineData("linen", "none")]
    [InlineData("canvas", "none")]
    [InlineData("cotton-jersey", "fusible-knit-behind")]
    [InlineData("baby-interlock", "fusible-knit-behind")]
    [InlineData("rib", "fusible-knit-behind")]
    [InlineData("fleece", "film-on-top+cut-away-behind")]
    [InlineData("terry", "film-on-top+tear-away-behind")]
    [InlineData("waffle", "cut-away-behind")]
    [InlineData("velvet", "none")]
    [InlineData("wool-felt", "none")]
    public void What_supports_each_cloth(string cloth, string stabiliser) =>
        Assert.Equal(stabiliser, StabiliserRules.Settle(Facts(cloth), Methods.Find("tissue")!, null, []).Chosen);

    /// <summary>
    /// The backing of a knit is fused before marking, and lies until it is cool; film carries the drawing only (common practice).
    /// </summary>
    [Fact]
    public void A_knit_is_backed_before_it_is_marked()
    {
        var plan = Samples.Plan(Samples.On("baby-bodysuit"));
        Assert.Equal("film-on-top+fusible-knit-behind", plan.Transfer.Stabiliser);
        Assert.StartsWith("Fuse", plan.TransferSteps[0].Do, StringComparison.Ordinal);
        Assert.True(plan.TransferSteps[0].WaitMinutes > 0);
        Assert.True(plan.Time.WaitMinutes >= (10 * 60) + plan.TransferSteps[0].WaitMinutes);
        Assert.Contains(plan.Time.ByStep, s => s.Step == "fusing the backing");
    }

    [Theory]
    [InlineData("baby-bodysuit", "tear-away-behind")]
    [InlineData("baby-bodysuit", "none")]
    [InlineData("baby-bodysuit", "fusible-knit-behind")]
    public void A_stabiliser_that_harms_is_carried_out_with_a_stop(string form, string stabiliser)
    {
        var plan = Samples.Plan(Samples.On(form, overrules: ("transfer.stabiliser", stabiliser)));
        Assert.Equal(stabiliser, plan.Transfer.Stabiliser);
        Assert.Contains(plan.Cautions, c => c.Severity == Severity.Stop);
    }

    /// <summary>Conflicts of water, heat and time: each refused with its reason (common practice).</summary>
    [Theory]
    [InlineData("light-trace", "water-erasable", "wool-felt", "must be washed out")]
    [InlineData("light-trace", "heat-erasable", "velvet", "takes none")]
    [InlineData("film-traced", "water-erasable", "linen", "eats the film")]
    [InlineData("light-trace", "transfer-pencil", "linen", "mirrored")]
    [InlineData("cut-out", "heat-erasable", "dark", "dark cloth")]
    [InlineData("light-trace", "none", "linen", "drawn with something")]
    public void Markers_are_refused_with_their_reason(string method, string marker, string cloth, string reason)
    {
        var facts = cloth == "dark" ? Facts("linen", "#20242c") : Facts(cloth);
        Assert.Contains(MarkerRules.Against(Inks.Find(marker)!, Methods.Find(method)!, facts), r =>
            r.Contains(reason, StringComparison.Ordinal));
    }

    /// <summary>
    /// An air-fading mark is good for one sitting; chalk for one; graphite greys pale thread; a permanent line wants covering (common
    /// practice, figures from memory).
    /// </summary>
    [Fact]
    public void Markers_by_hours_thread_and_line()
    {
        var trace = Methods.Find("light-trace")!;
        var cut = Methods.Find("cut-out")!;
        var facts = Facts("linen");
        Assert.Empty(MarkerRules.Against(Inks.Find("air-erasable")!, trace, facts with { StitchingHours = 1 }));
        Assert.NotEmpty(MarkerRules.Against(Inks.Find("air-erasable")!, trace, facts with { StitchingHours = 2 }));
        Assert.Empty(MarkerRules.Against(Inks.Find("chalk")!, cut, facts with { StitchingHours = 3.5 }));
        Assert.NotEmpty(MarkerRules.Against(Inks.Find("chalk")!, cut, facts with { StitchingHours = 5 }));
        Assert.Empty(MarkerRules.Against(Inks.Find("pencil")!, trace, facts with { PalestThreadL = 40 }));
        Assert.NotEmpty(MarkerRules.Against(Inks.Find("pencil")!, trace, facts with { PalestThreadL = 95 }));
        Assert.Empty(MarkerRules.Against(Inks.Find("pigment-pen")!, trace, facts with { LineWidthMm = 0.77 }));
        Assert.NotEmpty(MarkerRules.Against(Inks.Find("pigment-pen")!, trace, facts with { LineWidthMm = 0.4 }));
    }

    /// <summary>
    /// What comes out, comes out in the order that works: threads, cold water, film in warm, the iron last (common practice).
    /// </summary>
    [Fact]
    public void Cold_water_comes_before_warm_and_the_iron_last()
    {
        var plan = Samples.Plan(Samples.On("napkin", overrules: [("transfer.method", "light-trace"), ("transfer.marker", "water-erasable"),
            ("transfer.stabiliser", "film-on-top")]));
        var steps = plan.Removal.Concat(plan.Finish).ToList();
        int At(string words) => steps.FindIndex(s => s.Contains(words, StringComparison.OrdinalIgnoreCase));
        Assert.True(At("away-knots") < At("cold water") && At("cold water") < At("30 °C") && At("30 °C") < At("press face down")
            && At("press face down") < At("ring of the hoop"), string.Join(" | ", steps));
        Assert.Contains(plan.Cautions, c => c.Text.Contains("No iron, steam or hot car", StringComparison.Ordinal));
    }

    /// <summary>
    /// The mirror proof holds for every method with every marker it takes: words put on paper as derived read right, the other way they do
    /// not.
    /// </summary>
    [Fact]
    public void Every_method_and_marker_reads_right_one_way_only()
    {
        foreach (var method in Methods.All.Where(m => m.Chain.Count > 0))
        {
            foreach (var marker in Inks.All)
            {
                var plan = Samples.Plan(overrules: [("transfer.method", method.Id), ("transfer.marker", marker.Id)]);
                var mirrored = plan.Transfer.PrintMirrored!.Value;
                Assert.True(MirrorProof.ReadsRight(plan.Transfer.Chain, mirrored), $"{method.Id} with {marker.Id}");
                Assert.False(MirrorProof.ReadsRight(plan.Transfer.Chain, !mirrored));
                Assert.Contains(plan.Decision("transfer.method")!.Because, b =>
                    b.Contains(mirrored ? "printed mirrored" : "as it reads", StringComparison.Ordinal));
            }
        }

        Assert.Null(Samples.Plan(overrules: ("transfer.method", "freehand")).Transfer.PrintMirrored);
    }

    /// <summary>
    /// A design wider than a sheet is laid across it, and wider still it takes two, joined with an overlap; its margin is on the paper too.
    /// </summary>
    [Fact]
    public void A_wide_design_takes_two_sheets()
    {
        Assert.Equal(1, Samples.Plan(Samples.On("tote", "Salt")).Transfer.Sheets);
        Assert.Equal(1, Samples.Plan(Samples.On("tote", "Bread & Salt")).Transfer.Sheets);
        Assert.Equal(2, Samples.Plan(Samples.On("tablecloth", "Bread & Salt", w => w with { CapHeightMm = 60 })).Transfer.Sheets);
    }

    private static TransferFacts Facts(string cloth, string colour = "#ffffff") =>
        new(ThreadAndHoopTests.ClothOf(cloth, colour), ["light-box", "window", "ink-jet", "iron"], 15, 1);

    /// <summary>
    /// On dark cloth a white pencil or chalk shows, and a white pencil stays for days (common practice; 72 h from memory); on light cloth
    /// it
    /// is lost, and what takes chalk takes it. It brushes out at the end.
    /// </summary>
    [Theory]
    [InlineData("cut-out")]
    [InlineData("freehand")]
    [InlineData("prick-and-pounce")]
    public void A_white_pencil_is_for_dark_cloth(string method)
    {
        var (white, by) = (Inks.Find("white-pencil")!, Methods.Find(method)!);
        Assert.Empty(MarkerRules.Against(white, by, Facts("linen", "#20242c") with { StitchingHours = 20 }));
        Assert.Contains(MarkerRules.Against(white, by, Facts("linen")), r => r.Contains("light cloth", StringComparison.Ordinal));
        var job = Samples.On("cushion-cover", "Wilhelmina", w => w with { CapHeightMm = 40 }, ("transfer.method", method)) with
        {
            Fabric = new FabricOverrides("linen", "#20242c"),
        };
        var plan = Samples.Plan(job with { Overrides = job.Overrides.With("transfer.marker", "white-pencil") });
        Assert.Equal("white-pencil", plan.Transfer.Marker.Id);
        Assert.Contains(plan.Removal.Concat(plan.Finish), s => s.Contains("Brush the white line out", StringComparison.Ordinal));
        Assert.DoesNotContain(plan.Removal.Concat(plan.Finish), s => s.Contains("chalk", StringComparison.OrdinalIgnoreCase));
        Assert.True(Samples.Plan(job).Transfer.Marker.ShowsOnDark);
    }
}
