using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Telling;
using Dittany.Core.Tests.Planning;

namespace Dittany.Core.Tests.Items;

/// <summary>Wearer, use and facts of the cloth, and what each really changes in the plan.</summary>
public class UseTests
{
    /// <summary>
    /// 16 CFR 1501 and EN 71-1: the small-parts cylinder is 31.7 mm across; under three years nothing that could come off.
    /// </summary>
    [Fact]
    public void Nothing_small_under_three()
    {
        Assert.Equal(31.7, SmallParts.AcrossMm);
        Assert.Equal(57.1, SmallParts.DeepMm);
        var baby = Samples.Plan(Samples.On("baby-blanket"));
        Assert.Equal("nothing", baby.Decision("item.small-parts")!.ChoiceId);
        Assert.Contains("31.7", baby.Decision("item.small-parts")!.Because[0], StringComparison.Ordinal);
        Assert.Equal("firmly", Samples.Plan(Samples.On("backpack")).Decision("item.small-parts")!.ChoiceId);
        Assert.Contains(baby.Cautions, c => c.Kind == Decisions.CautionKind.Person && c.Text.Contains("swallowed", StringComparison.Ordinal));
    }

    /// <summary>On skin nothing behind is longer than 5 mm (common practice; the figure from memory); not on skin it may be.</summary>
    [Fact]
    public void Skin_shortens_what_lies_behind()
    {
        double Jump(bool skin) => Samples.Plan(Samples.On("t-shirt-adult", "Wilhelmina", w => w with { CapHeightMm = 24 })
            with
        { Zone = "centre-chest", Use = new StatedUse(NextToSkin: skin) })
            .Route.Where(r => r.FloatKind == Core.Route.FloatKind.Straight).Select(r => r.FloatMm).DefaultIfEmpty(0).Max();
        Assert.InRange(Jump(true), 0, 5);
        Assert.InRange(Jump(false), 5.01, 10);
        Assert.Contains("soft cover", string.Join(' ', Samples.Plan(Samples.On("t-shirt-adult")).Finish), StringComparison.Ordinal);
        Assert.DoesNotContain("soft cover", string.Join(' ',
            Samples.Plan(Samples.On("t-shirt-adult") with { Use = new StatedUse(NextToSkin: false) }).Finish), StringComparison.Ordinal);
    }

    /// <summary>Ends hold what is washed or pulled at: a bow is for what is never washed, a knot alone for what need not be firm.</summary>
    [Fact]
    public void Washing_settles_how_threads_end()
    {
        string Finish(string habit, StatedUse? use, string form = "scarf") =>
            Samples.Make(Samples.On(form) with { Use = (use ?? new StatedUse()) with { NextToSkin = false } },
            Samples.With(("finish", habit))).Decision("thread.finish")!.ChoiceId;
        Assert.Equal("bow", Finish("bow", new StatedUse(Washed: "never")));
        Assert.Equal("weave", Finish("bow", new StatedUse(Washed: "sometimes")));
        Assert.Equal("knot", Finish("knot", new StatedUse(Washed: "by-hand", Lasts: "day")));
        Assert.Equal("weave", Finish("knot", new StatedUse(Washed: "often")));
        Assert.Equal("weave", Finish("knot", new StatedUse(Washed: "by-hand", Lasts: "keepsake")));
    }

    /// <summary>The care card follows how it is washed, and the hottest wash its cloth bears.</summary>
    [Fact]
    public void Care_follows_the_wash()
    {
        string Care(StatedUse? use, string? cloth = null) =>
            Samples.Plan(Samples.On("tote", "M", w => w with { Colour = "#4f7358" })
            with
            { Use = use, Fabric = cloth is null ? null : new FabricOverrides(cloth) }).CareTold[0];
        Assert.Contains("40 °C", Care(null, "linen"), StringComparison.Ordinal);
        Assert.Contains("30 °C", Care(null, "satin"), StringComparison.Ordinal);
        Assert.Contains("by hand", Care(new StatedUse(Washed: "by-hand")), StringComparison.Ordinal);
        Assert.Contains("Not meant to be washed", Care(new StatedUse(Washed: "never")), StringComparison.Ordinal);
        Assert.Contains("Do not wash", Care(null, "velvet"), StringComparison.Ordinal);
    }

    /// <summary>ISO 3758: one, two and three dots are 110, 150 and 200 °C.</summary>
    [Fact]
    public void Dots_are_those_of_the_standard()
    {
        Assert.Equal([0, 110, 150, 200], new[] { IronLimit.None, IronLimit.OneDot, IronLimit.TwoDots,
            IronLimit.ThreeDots }.Select(Cloths.IronC));
        Assert.Contains("150 °C", Cloths.NameOf(IronLimit.TwoDots), StringComparison.Ordinal);
    }

    /// <summary>Every structure asked for has a cloth, and a washed cloth shrinks no more.</summary>
    [Fact]
    public void Structures_and_shrinking()
    {
        Assert.Equal(Enum.GetValues<Structure>(), Cloths.All.Select(c => c.Structure).Distinct().Order());
        Assert.Equal(0, Samples.Plan(Samples.Towel() with { Fabric = new FabricOverrides(Prewashed: true) }).Item.Cloth.ShrinkPercent);
        Assert.Contains(Samples.Plan(Samples.Towel()).Cautions, c => c.Text.Contains("shrinks", StringComparison.Ordinal));
        Assert.DoesNotContain(Samples.Plan(Samples.Towel() with { Fabric = new FabricOverrides(Prewashed: true) }).Cautions, c =>
            c.Text.Contains("shrinks", StringComparison.Ordinal));
    }

    /// <summary>
    /// Coated cloth, stuffed things, collars, pockets and caps take no ring (common practice); each says why, and is worked in the hand.
    /// </summary>
    [Theory]
    [InlineData("backpack", "30x40", "panel")]
    [InlineData("toy-face", "12-stuffed", "forehead")]
    [InlineData("shirt", "m", "pocket")]
    [InlineData("shirt", "m", "collar-point")]
    [InlineData("cap", "five-panel", "front")]
    public void Where_no_ring_goes(string form, string size, string zone)
    {
        var plan = Samples.Plan(Samples.On(form, "Mo") with { Size = size, Zone = zone });
        Assert.Equal(Core.Hooping.School.InHand, plan.Hooping.School);
        Assert.NotEmpty(plan.Decision("hoop.school")!.Because);
    }

    /// <summary>
    /// Each question's answers part the cloths, and a cloth answers to its own facts: what is asked of it leads back to it.
    /// </summary>
    [Fact]
    public void What_is_it_finds_it()
    {
        foreach (var cloth in Cloths.All)
        {
            var answers = WhatIsIt.Questions
                .Select(q => (q.Id, Answer: q.Answers.FirstOrDefault(a => a.Agrees(cloth))))
                .Where(a => a.Answer is not null)
                .ToDictionary(a => a.Id, a => a.Answer!.Id, StringComparer.Ordinal);
            Assert.True(answers.Count >= 5, cloth.Id);
            var guesses = WhatIsIt.Guess(answers).TakeWhile(g => g.Against.Count == 0).Select(g => g.Cloth.Id).ToArray();
            Assert.Contains(cloth.Id, guesses);
            Assert.True(guesses.Length <= 4, $"{cloth.Id} is one of {guesses.Length}");
        }

        Assert.All(WhatIsIt.Questions, q => Assert.All(q.Answers, a => Assert.Contains(Cloths.All, c => a.Agrees(c))));
        Assert.Equal("coated-canvas", WhatIsIt.Guess(new Dictionary<string,
            string>(StringComparer.Ordinal)
        { ["water"] = "bead" })[0].Cloth.Id);
        Assert.NotEmpty(WhatIsIt.Guess(new Dictionary<string,
            string>(StringComparer.Ordinal)
        { ["stretch"] = "much", ["surface"] = "gloss" })[0].Against);
    }

    /// <summary>
    /// Each fact of the cloth says what it steers, and stating it by its member changes the cloth and nothing else of it.
    /// </summary>
    [Fact]
    public void Facts_can_be_stated_one_by_one()
    {
        var job = Samples.On("tote");
        foreach (var fact in FactTelling.Of(Samples.Plan(job), job))
        {
            Assert.NotEmpty(fact.Steers);
            Assert.False(fact.Stated);
            foreach (var (value, _) in fact.Choices)
            {
                var (changed, fault) = Changes.Apply(job, new Change(fact.Member, value, "x"));
                Assert.Null(fault);
                Assert.Empty(Samples.Faults(changed!, Workshop.Default));
                Assert.True(FactTelling.Of(Samples.Plan(changed!), changed!).Single(f => f.Member == fact.Member).Stated);
                Assert.Equal(value, Changes.Read(changed!, fact.Member));
            }

            Assert.NotNull(Changes.Apply(job, new Change(fact.Member, "nonsense", "x")).Fault);
        }
    }
}
