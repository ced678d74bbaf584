using System.Globalization;
using Dittany.Core.Decisions;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Planning;

namespace Dittany.Core.Tests.Planning;

public class DecisionTests
{
    private static readonly string[] AtTheLeast =
    [
        "fabric.kind", "space.place", "words.alphabet", "words.size", "stitch.outline", "stitch.fill", "thread.strands", "thread.colour",
            "thread.cut-length", "thread.start",
        "thread.finish", "needle.size", "transfer.method", "transfer.marker", "transfer.stabiliser", "hoop.school", "hoop.size",
            "order.parts", "finish.press",
    ];

    [Fact]
    public void Every_decision_of_the_contract_is_taken()
    {
        var ids = Samples.Plan().Decisions.Select(d => d.Id).ToHashSet(StringComparer.Ordinal);
        Assert.All(AtTheLeast, id => Assert.Contains(id, ids));
    }

    [Theory]
    [InlineData("fabric.kind", "linen")]
    [InlineData("space.place", "optical-centre")]
    [InlineData("words.alphabet", "upright-hand")]
    [InlineData("words.size", "17")]
    [InlineData("stitch.outline", "stem")]
    [InlineData("thread.strands", "2")]
    [InlineData("thread.colour", "#2f3f6b")]
    [InlineData("thread.cut-length", "600")]
    [InlineData("thread.start", "knot")]
    [InlineData("thread.finish", "knot-and-weave")]
    [InlineData("needle.size", "crewel-9")]
    [InlineData("transfer.method", "hot-iron")]
    [InlineData("transfer.marker", "chalk")]
    [InlineData("transfer.stabiliser", "tear-away-behind")]
    [InlineData("hoop.school", "in-hand")]
    [InlineData("hoop.size", "152")]
    [InlineData("order.parts", "last-letter-first")]
    [InlineData("finish.press", "no-press")]
    [InlineData("item.size", "45x65")]
    [InlineData("space.zone", "middle")]
    [InlineData("item.wearer", "child")]
    [InlineData("words.rows", "1")]
    [InlineData("stitch.length", "uniform")]
    [InlineData("stitch.dots", "straight")]
    [InlineData("stitch.action", "stab")]
    [InlineData("hoop.tension", "slack")]
    [InlineData("finish.removal", "machine")]
    public void An_overrule_stands_and_says_what_would_have_been(string id, string choice)
    {
        var free = Samples.Plan().Decision(id)!;
        var plan = Samples.Plan(overrules: (id, choice));
        var decision = plan.Decision(id)!;
        Assert.True(decision.Overruled);
        Assert.Equal(choice, decision.ChoiceId);
        Assert.Equal(free.ChoiceId, decision.WouldHaveBeen);
        Assert.Contains("Your choice", decision.Because[0], StringComparison.Ordinal);
        Assert.DoesNotContain(decision.Alternatives, a => a.ChoiceId == choice);
        Assert.DoesNotContain(decision.RuledOut, r => r.ChoiceId == choice);
        Assert.Empty(plan.SetAside);
    }

    [Fact]
    public void An_overrule_moves_what_follows_from_it()
    {
        Assert.Equal(2, Samples.Plan(overrules: ("thread.strands", "2")).Threads[0].Strands);
        Assert.True(Samples.Plan(overrules: ("transfer.method", "hot-iron")).Transfer.PrintMirrored);
        Assert.Empty(Samples.Plan(overrules: ("hoop.school", "in-hand")).Hooping.Hoops);
        Assert.Equal(600, Samples.Plan(overrules: ("thread.cut-length", "600")).Threads[0].CutMm);
        Assert.True(Samples.Plan("SS", null, ("thread.cut-length", "600")).Threads[0].Runs < Samples.Plan("SS", null,
            ("thread.cut-length", "300")).Threads[0].Runs);
        Assert.Equal("Juniper".Length - 1, Samples.Plan(overrules: ("order.parts",
            "last-letter-first")).Elements[0].Parts[Samples.Plan(overrules: ("order.parts", "last-letter-first")).Route[0].Part].LetterIndex);
    }

    /// <summary>Harm is told, not refused: a hot iron on a cloth that bears only one dot (ISO 3758).</summary>
    [Fact]
    public void A_harmful_overrule_is_carried_out_with_a_stop()
    {
        var job = Samples.Towel(overrules: ("transfer.method", "hot-iron")) with { Fabric = new FabricOverrides("satin") };
        var plan = Samples.Plan(job);
        Assert.Equal("hot-iron", plan.Transfer.Method.Id);
        Assert.Contains(plan.Cautions, c => c.Severity == Severity.Stop && c.Text.Contains("three dots", StringComparison.Ordinal));
    }

    [Fact]
    public void An_overrule_without_a_subject_is_set_aside()
    {
        Assert.Equal(["stitch.fill"], Samples.Plan(overrules: ("stitch.fill", "satin")).SetAside);
        Assert.Equal(["hoop.size"], Samples.Plan(overrules: [("hoop.size", "127"), ("hoop.school", "in-hand")]).SetAside);
        Assert.Equal(["stitch.dots"], Samples.Plan("HAT", null, ("stitch.dots", "knot")).SetAside);
        Assert.Equal(["hoop.layers"], Samples.Plan(overrules: ("hoop.layers", "through-both")).SetAside);
        Assert.Equal(["finish.removal"], Samples.Plan(overrules: [("transfer.method", "hot-iron"), ("finish.removal", "machine")]).SetAside);
        Assert.Equal(["words.size:other"], Samples.Plan(overrules: ("words.size:other", "12")).SetAside);
    }

    /// <summary>Each number a reason tells is the plan's own.</summary>
    [Fact]
    public void Numbers_in_reasons_are_the_plans_own()
    {
        var plan = Samples.Plan();
        var element = plan.Elements[0];
        var size = string.Join(' ', plan.Decision("words.size")!.Because);
        Assert.Contains($"{Core.Measures.Say.AtMost(element.LargestCapHeightMm)}", size, StringComparison.Ordinal);
        Assert.Contains(Core.Measures.Say.Length(element.LineWidthMm), size, StringComparison.Ordinal);
        Assert.Contains(Core.Measures.Say.Length(plan.Hooping.Hoops[0].UsableRadiusMm),
            string.Join(' ', plan.Decision("hoop.size")!.Because), StringComparison.Ordinal);
        Assert.Contains(Core.Measures.Say.Minutes(plan.Time.HandsOnMinutes), plan.Decision("time.ready")!.Because[0],
            StringComparison.Ordinal);
        Assert.Contains($"{plan.Threads[0].Cuts} threads, begun {plan.Threads[0].Runs} times",
            string.Join(' ', plan.Decision("order.parts")!.Because), StringComparison.Ordinal);
    }

    [Fact]
    public void A_late_piece_says_so_and_what_would_do()
    {
        var plan = Samples.Plan(Samples.Towel("Fridolin Mooshammer") with { DueOn = Samples.Monday.AddDays(1) });
        var ready = plan.Decision("time.ready")!;
        Assert.Equal("late", ready.ChoiceId);
        Assert.True(plan.Time.ReadyOn > plan.Today.AddDays(1));
        Assert.Contains(plan.Cautions, c => c.Text.Contains("will be late", StringComparison.Ordinal));
        Assert.Contains("would do", ready.WouldChange[0], StringComparison.Ordinal);
    }

    [Fact]
    public void A_start_by_day_is_the_last_that_is_in_time()
    {
        var due = Samples.Monday.AddDays(13);
        var plan = Samples.Plan(Samples.Towel() with { DueOn = due });
        Assert.True(plan.Time.ReadyOn <= due);
        Assert.True(Samples.Plan(Samples.Towel() with { DueOn = due, Today = plan.Time.StartBy!.Value }).Time.ReadyOn <= due);
        Assert.True(Samples.Plan(Samples.Towel() with { DueOn = due, Today = plan.Time.StartBy!.Value.AddDays(1) }).Time.ReadyOn > due);
    }

    [Theory]
    [InlineData("tr-TR")]
    [InlineData("de-DE")]
    [InlineData("ar-SA")]
    public void The_same_plan_in_every_culture(string culture)
    {
        var here = string.Join('|', Samples.Plan().Decisions.SelectMany(d => d.Because));
        var before = CultureInfo.CurrentCulture;
        try
        {
            CultureInfo.CurrentCulture = CultureInfo.CurrentUICulture = new CultureInfo(culture);
            Assert.Equal(here, string.Join('|', Samples.Plan().Decisions.SelectMany(d => d.Because)));
        }
        finally
        {
            CultureInfo.CurrentCulture = before;
        }
    }

    /// <summary>Contradictory facts and impossible wishes are told, never a crash.</summary>
    [Theory]
    [InlineData("canvas", Core.Materials.Opacity.Sheer, true, 1)]
    [InlineData("cotton-jersey", Core.Materials.Opacity.Opaque, false, 0)]
    public void Odd_facts_are_doubted_and_planned_with(string kind, Core.Materials.Opacity opacity, bool lined, double stretch)
    {
        var plan = Samples.Plan(Samples.Towel() with
        {
            Fabric = new FabricOverrides(kind, Opacity: opacity, Lined: lined,
            StretchPercent: stretch)
        });
        Assert.Contains(plan.Cautions, c => c.Text.StartsWith("You say", StringComparison.Ordinal));
    }

    [Fact]
    public void What_cannot_fit_is_a_concern()
    {
        var plan = Samples.Plan("Bartholomäus Wetterstein-Hohenlinden", w => w with { CapHeightMm = 60 });
        var concern = Assert.Single(plan.Elements[0].Concerns, c => c.What == "overflows");
        Assert.True(concern.ByMm > 100);
        Assert.NotEmpty(concern.Remedies);
    }

    /// <summary>A needle's choice is for a thread by what it is: which element comes first changes nothing of its meaning.</summary>
    [Fact]
    public void A_needle_is_named_by_its_thread_and_not_by_its_place()
    {
        TextElement one = new("one", "Mimi and Ida", Colour: "#8f3a67", CapHeightMm: 14, CentreMm: new Pt(250, 560)),
            two = new("two", "Bo", Colour: "#4f7358", CapHeightMm: 14, CentreMm: new Pt(250, 610));
        var hers = OverrideSet.Of(("needle.size:leaf-green-3", "crewel-5"));
        foreach (var elements in new[] { new[] { one, two }, [two, one] })
        {
            var plan = Samples.Plan(Samples.Towel() with
            {
                Elements = elements.Select(e => e with { Strands = 3 }).ToArray(),
                Overrides = hers
            });
            Assert.Equal("crewel-5", plan.Threads.Single(t => t.Thread.Id == "leaf-green-3").Needle);
            Assert.NotEqual("crewel-5", plan.Threads.Single(t => t.Thread.Id == "mulberry-3").Needle);
            Assert.Empty(plan.SetAside);
            Assert.Contains(plan.Decisions, d => d.Id == "needle.size");
            Assert.Contains("leaf green", plan.Decision("needle.size:leaf-green-3")!.Subject, StringComparison.Ordinal);
        }
    }

    /// <summary>Parts keep their names when another element comes or goes: what is overruled, logged or done can name them.</summary>
    [Fact]
    public void Parts_keep_their_names_when_another_element_comes()
    {
        TextElement one = new("one", "Mimi", CapHeightMm: 14, CentreMm: new Pt(250, 560)),
            two = new("two", "Bo", CapHeightMm: 14, CentreMm: new Pt(250, 610));
        var motif = new MotifElement("sprig", "leaf-sprig", HeightMm: 40, CentreMm: new Pt(120, 560));
        var alone = Samples.Plan(Samples.Towel() with { Elements = [one, motif] });
        var both = Samples.Plan(Samples.Towel() with { Elements = [two, one, motif] });
        IEnumerable<(string, string)> Of(Plan plan, string element) =>
            plan.Elements.Single(e => e.Id == element).Parts.Select(p => (p.Id, p.Role));
        Assert.Equal(Of(alone, "one"), Of(both, "one"));
        Assert.Equal(Of(alone, "sprig"), Of(both, "sprig"));
        var all = both.Elements.SelectMany(e => e.Parts).Select(p => p.Id).ToArray();
        Assert.Equal(all.Length, all.Distinct(StringComparer.Ordinal).Count());
    }
}
