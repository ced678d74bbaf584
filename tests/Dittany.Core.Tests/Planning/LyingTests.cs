using Dittany.Core.Decisions;
using Dittany.Core.Designs;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Planning;
using FsCheck.Fluent;

namespace Dittany.Core.Tests.Planning;

/// <summary>What lies over what: hidden parts are not stitched, edges are tucked under, and the order of work follows.</summary>
public class LyingTests
{
    private static Plan Two(MotifElement under, MotifElement over, string? lies = null, string? fill = "satin") => Samples.Make(
        new Job("cushion-cover", [under, over], Samples.Monday, Overrides: OverrideSet.Of(
            new (DecisionKey Key, string? Choice)[] { ("order.layers", lies), ("stitch.fill:over", fill) }.Where(o => o.Choice is not null)
                .Select(o => (o.Key, o.Choice!)))), Workshop.Default);

    private static MotifElement At(string id, string motif, double x, double high = 60) =>
        new(id, motif, HeightMm: high, CentreMm: new Pt(x, 200));

    /// <summary>Where nothing meets nothing is hidden, and nothing is told of it.</summary>
    [Fact]
    public void What_does_not_meet_lies_beside()
    {
        var plan = Two(At("under", "leaf-sprig", 120), At("over", "daisy", 260));
        Assert.Null(plan.Decision("order.layers"));
    }

    /// <summary>
    /// Over random pairs of motifs: what a filled one hides of the one under it is not stitched, but for the tuck of 0.8 mm (common
    /// practice); what it leaves free is; and the one under comes first, or last where the gap is filled after.
    /// </summary>
    [ManyTimes(8)]
    public FsCheck.Property What_is_hidden_is_not_stitched() => Prop.ForAll(
        FsCheck.Fluent.Arb.From(
            from under in Gen.Elements("leaf-sprig", "single-leaf", "five-petal-flower", "songbird", "heart", "fern")
            from over in Gen.Elements("daisy", "great-sunflower", "fox-face", "moon", "apple")
            from aside in Gen.Choose(-30, 30)
            from gap in Gen.Elements(true, false)
            select (under, over, aside, gap)),
        input =>
        {
            var plan = Two(At("under", input.under, 200, 70), At("over", input.over, 200 + input.aside, 40),
                input.gap ? "gap-after" : null, "by-part");
            var (under, over) = (plan.Elements[0], plan.Elements[1]);
            var hides = over.Parts.Where(p => p.Filling is not null).SelectMany(p => p.Filling!.RingsMm).Select(r =>
                Region.Sound(r)).Aggregate(Region.Empty, (a, b) => a.With(b));
            var deep = hides.Offset(-(input.gap ? 0 : Design.TuckMm) - 1.2);
            var name = input.ToString();
            Assert.All(under.Parts.SelectMany(p => p.Stitches), s => Assert.False(deep.Holds(Pt.Lerp(s.FromMm, s.ToMm, 0.5)), name));
            var alone = Samples.Make(new Job("cushion-cover", [At("under", input.under, 200, 70)], Samples.Monday), Workshop.Default)
                .Elements[0];
            var far = hides.Offset(3);
            Assert.Equal(alone.Parts.SelectMany(p => p.Stitches).Any(s => !far.Holds(s.FromMm)), under.Parts.Any(p =>
                p.Stitches.Any(s => !far.Holds(s.FromMm))));
            if (plan.Decision("order.layers") is { } told && under.Parts.Count > 0 && told.Because.Any(b =>
                b.ToString().Contains("lies over", StringComparison.Ordinal)))
            {
                // Colour by colour within an element, but never a stitch of the one over before the last of the one under it in a placing.
                foreach (var hoop in plan.Route.GroupBy(r => r.Hoop))
                {
                    var rows = hoop.Select(r => r.Element).ToArray();
                    var (first, last) = input.gap ? ("over", "under") : ("under", "over");
                    Assert.True(Array.LastIndexOf(rows, first) < Array.IndexOf(rows, last) || !rows.Contains(first) || !rows.Contains(last),
                        name);
                }
            }
        });

    /// <summary>A layer turns round which lies over which; words of lines lie on top of a motif and hide nothing of it.</summary>
    [Fact]
    public void Layers_turn_it_round()
    {
        var plan = Two(At("under", "heart", 200) with { Layer = 2 }, At("over", "moon", 215));
        Assert.Contains(plan.Decision("order.layers")!.Because, b => b.ToString() == "The heart lies over the moon: what it hides is not "
            + "stitched.");
        var words = new TextElement("w", "Ida", CapHeightMm: 14, CentreMm: new Pt(200, 205));
        var brick = OverrideSet.Of(("stitch.fill:m", "brick"));
        var job = new Job("cushion-cover", [words, At("m", "moon", 200, 70)], Samples.Monday, Overrides: brick);
        plan = Samples.Make(job, Workshop.Default);
        Assert.Null(plan.Decision("order.layers"));
        Assert.Equal("m", plan.Route[0].Element);
        Assert.Equal("w", plan.Route[^1].Element);
        Assert.Equal(["m", "w"], plan.AsTheyLie.Select(e => e.Id));
    }

    [Fact]
    public void What_is_hidden_wholly_says_so()
    {
        var plan = Two(At("under", "star", 200, 15), At("over", "sun", 200, 90) with { Layer = 1 }, fill: "by-part");
        Assert.DoesNotContain(plan.Elements[0].Parts, p => p.Stitches.Count > 0);
        Assert.Contains(plan.Decision("order.layers")!.Because, b =>
            b.ToString().Contains("hides all of it", StringComparison.Ordinal));
    }

    /// <summary>Of two motifs of one name only the one that is hidden is said to be so.</summary>
    [Fact]
    public void Of_two_of_a_name_the_hidden_one_is_told()
    {
        MotifElement[] motifs = [At("one", "star", 120, 60), At("two", "star", 300, 15), At("over", "sun", 300, 90) with { Layer = 1 }];
        var because = Samples.Make(new Job("cushion-cover", [.. motifs], Samples.Monday), Workshop.Default).Decision("order.layers")!.Because;
        Assert.Single(because, b => b.ToString().Contains("star", StringComparison.Ordinal));
    }

    /// <summary>Long and short goes from colour to colour, from foot to tip, and every stitch has one.</summary>
    [Fact]
    public void A_petal_goes_from_colour_to_colour()
    {
        string[] colours = ["#7c2440", "#d4657f", "#eec7b6"];
        MotifElement Asked(string stitch) => new("m", "single-leaf", HeightMm: 80)
        {
            ByPart = [new PartAsked("leaf", Stitch: stitch) { Colours = colours }],
        };
        var plan = Samples.Make(new Job("cushion-cover", [Asked("long-and-short")], Samples.Monday), Workshop.Default);
        var parts = plan.Elements[0].Parts.Where(p => p.Role == "leaf").ToArray();
        Assert.Equal(colours, parts.Select(p => p.Colour));
        Assert.Equal(parts.Length, parts.Select(p => p.Id).Distinct(StringComparer.Ordinal).Count());

        // The foot of the leaf is below: each colour stands higher than the one before it, and they reach into each other.
        var middles = parts.Select(p => p.Stitches.Average(s => (s.FromMm.Y + s.ToMm.Y) / 2)).ToArray();
        Assert.Equal(middles.OrderDescending(), middles);
        Assert.All(parts.Zip(parts.Skip(1)), p =>
            Assert.True(p.First.Stitches.Min(s => s.ToMm.Y) < p.Second.Stitches.Max(s => s.FromMm.Y)));
        plan = Samples.Make(new Job("cushion-cover", [Asked("chain-rows")], Samples.Monday), Workshop.Default);
        Assert.Contains(plan.SetAside, s => s.Contains("Several colours for the leaf", StringComparison.Ordinal));
    }

    /// <summary>What a motif wears by nature, where that would be lost on the cloth, is replaced, and that is said.</summary>
    [Theory]
    [InlineData("#20242c", "ladybird", "vein", "#f7f4ec")]
    [InlineData("#fdfcf8", "ladybird", "vein", "#1d1c1a")]
    public void Colours_show_on_their_cloth(string cloth, string motif, string role, string colour)
    {
        var plan = Samples.Make(new Job("tote", [new MotifElement("m", motif)], Samples.Monday, Fabric: new FabricOverrides(Colour: cloth)),
            Workshop.Default);
        Assert.All(plan.Elements[0].Parts.Where(p => p.Role == role), p => Assert.Equal(colour, p.Colour));
        Assert.DoesNotContain(plan.Elements[0].Concerns, c => c.What == "does-not-show");
    }

    /// <summary>
    /// Knots are mixed in their colours: as many of each, every knot once, the colours nowhere apart as foot and tip are; the same again
    /// for
    /// the same job.
    /// </summary>
    [Theory]
    [InlineData("french-knot")]
    [InlineData("colonial-knot")]
    [InlineData("seed")]
    public void Single_stitches_mix_their_colours(string stitch)
    {
        string[] colours = ["#c89b3c", "#6b4a2f"];
        Job Asked(params string[] hers) => new("cushion-cover", [new MotifElement("m", "daisy", HeightMm: 140)
        {
            ByPart = [new PartAsked("centre", Stitch: stitch) { Colours = hers, Colour = hers.Length == 0 ? colours[0] : null }],
        }], Samples.Monday);
        Part[] Centre(Plan plan) => plan.Elements[0].Parts.Where(p => p.Role == "centre" && p.Stitch == stitch).ToArray();
        var (mixed, plain) = (Samples.Plan(Asked(colours)), Samples.Plan(Asked()));
        var parts = Centre(mixed);
        Assert.Equal(colours, parts.Select(p => p.Colour));
        Assert.InRange(Math.Abs(parts[0].Stitches.Count - parts[1].Stitches.Count), 0, 1);
        Assert.Equal(Centre(plain).SelectMany(p => p.Stitches).Select(s => (s.FromMm.X, s.FromMm.Y)).Order(), parts.SelectMany(p =>
            p.Stitches).Select(s => (s.FromMm.X, s.FromMm.Y)).Order());
        var (one, other) = (parts[0].Stitches.Average(s => s.FromMm.Y), parts[1].Stitches.Average(s => s.FromMm.Y));
        var high = parts.SelectMany(p => p.Stitches).Max(s => s.FromMm.Y) - parts.SelectMany(p => p.Stitches).Min(s => s.FromMm.Y);
        Assert.InRange(Math.Abs(one - other), 0, 0.25 * high);
        Assert.Equal(parts.Select(p => p.Stitches.Count), Centre(Samples.Plan(Asked(colours))).Select(p => p.Stitches.Count));
        Assert.DoesNotContain(mixed.SetAside, s => s.Contains("Several colours", StringComparison.Ordinal));
        Assert.Contains(mixed.Decision("stitch.fill")!.Because, b => b.StartsWith("The centre mixes ", StringComparison.Ordinal));
        Assert.DoesNotContain(plain.Decision("stitch.fill")!.Because, b => b.Contains("mixes", StringComparison.Ordinal));
    }
}
