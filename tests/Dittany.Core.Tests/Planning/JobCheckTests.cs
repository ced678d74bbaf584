using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Jobs;

namespace Dittany.Core.Tests.Planning;

public class JobCheckTests
{
    public static TheoryData<string, Job> Senseless() => new()
    {
        { "#/item/form", Samples.Towel() with { Form = "hammock" } },
        { "#/item/size", Samples.Towel() with { Size = "62" } },
        { "#/zone", Samples.Towel() with { Zone = "cuff" } },
        { "#/item/wearer", Samples.Towel() with { Wearer = "dog" } },
        { "#/item/fabric/kind", Samples.Towel() with { Fabric = new FabricOverrides("paper") } },
        { "#/item/fabric/colour", Samples.Towel() with { Fabric = new FabricOverrides(Colour: "red") } },
        { "#/item/fabric/thicknessMm", Samples.Towel() with { Fabric = new FabricOverrides(ThicknessMm: 400) } },
        { "#/item/fabric/washC", Samples.Towel() with { Fabric = new FabricOverrides(WashC: 5) } },
        { "#/item/washed", Samples.Towel() with { Use = new StatedUse(Washed: "daily") } },
        { "#/item/lasts", Samples.Towel() with { Use = new StatedUse(Lasts: "forever") } },
        { "#/overrules/item.washing", Samples.Towel(overrules: ("item.washing", "often")) with { Use = new StatedUse(Washed: "never") } },
        { "#/item/measuredMm/chest", Samples.Towel() with { MeasuredMm = Measured(("chest", 300)) } },
        { "#/item/measuredMm/chest", Samples.On("t-shirt-adult") with { MeasuredMm = Measured(("chest", 3000)) } },
        { "#/item/measuredMm/chest", Samples.On("t-shirt-adult") with { MeasuredMm = Measured(("chest", double.NaN)) } },
        { "#/item/measuredMm/length", Samples.On("t-shirt-adult") with { MeasuredMm = Measured(("chest", 700), ("length", 300)) } },
        { "#/item/own/zones/0/ringMm", Samples.On("mine") with { Own = new OwnForm("mine", "cloth", "rectangle", Measured(),
            [OwnFace.Front([new(0, 0), new(200, 0), new(200, 200), new(0, 200)],
            [new("all", "all", [new(0, 0), new(240, 0), new(240, 100)])], [])]) } },
        { "#/item/form", Samples.Towel() with { Own = new OwnForm("mine", "cloth", "rectangle", Measured(),
            [OwnFace.Front([new(0, 0), new(200, 0), new(200, 200), new(0, 200)],
            [new("all", "all", [new(0, 0), new(100, 0), new(100, 100)])], [])]) } },
        { "#/today", Samples.Towel() with { Today = DateOnly.MaxValue } },
        { "#/dueOn", Samples.Towel() with { DueOn = DateOnly.MinValue } },
        { "#/done/rinsedOn", Samples.Towel() with { Done = new(true, 1, DateOnly.MaxValue) } },
        { "#/done/washedOn", Samples.Towel() with { Done = new() { WashedOn = DateOnly.MaxValue } } },
        { "#/elements", Samples.Towel() with { Elements = [] } },
        { "#/elements/0/text", Samples.Towel(" \n ") },
        { "#/elements/0/text", Samples.Towel("日本") },
        { "#/elements/0/text", Samples.Towel("a\tb") },
        { "#/elements/0/text", Samples.Towel("a\u202eb") },
        { "#/elements/0/text", Samples.Towel("a\ud800b") },
        { "#/elements/0/text", Samples.Towel(new string('a', 201)) },
        { "#/elements/0/text", Samples.Towel("a\nb\nc\nd\ne\nf\ng") },
        { "#/elements/0/rows", Samples.Towel("Mimi", w => w with { Rows = 2 }) },
        { "#/elements/0/rows", Samples.Towel("a\nb", w => w with { Rows = 3 }) },
        { "#/elements/0/capHeightMm", Samples.Towel("Mimi", w => w with { CapHeightMm = 1.9 }) },
        { "#/elements/0/capHeightMm", Samples.Towel("Mimi", w => w with { CapHeightMm = double.NaN }) },
        { "#/elements/0/strands", Samples.Towel("Mimi", w => w with { Strands = 7 }) },
        { "#/elements/0/stitch", Samples.Towel("Mimi", w => w with { Stitch = "satin" }) },
        { "#/elements/0/alphabet", Samples.Towel("Mimi", w => w with { Alphabet = "gothic" }) },
        { "#/elements/0/arrangement", Samples.Towel("Mimi", w => w with { Arrangement = "loop" }) },
        { "#/elements/0/colour", Samples.Towel("Mimi", w => w with { Colour = "#12" }) },
        { "#/elements/0/centreMm", Samples.Towel("Mimi", w => w with { CentreMm = new Pt(double.PositiveInfinity, 0) }) },
        { "#/overrules/hoop.colour", Samples.Towel(overrules: ("hoop.colour", "red")) },
        { "#/overrules/transfer.method", Samples.Towel(overrules: ("transfer.method", "magic")) },
        { "#/overrules/thread.strands", Samples.Towel("Mimi", w => w with { Strands = 2 }, ("thread.strands", "3")) },
        { "#/overrules/words.size", Samples.Towel("Mimi", w => w with { CapHeightMm = 14 }, ("words.size", "largest")) },
        { "#/overrules/space.place", Samples.Towel("Mimi", w => w with { CentreMm = new Pt(250, 600) }, ("space.place", "optical-centre")) },
        { "#/overrules/fabric.kind", Samples.Towel(overrules: ("fabric.kind", "linen")) with { Fabric = new FabricOverrides("lawn") } },
    };

    private static Dictionary<string, double> Measured(params (string Id, double Mm)[] numbers) =>
        numbers.ToDictionary(n => n.Id, n => n.Mm, StringComparer.Ordinal);

    [Theory]
    [MemberData(nameof(Senseless))]
    public void What_makes_no_sense_is_told_at_its_place(string pointer, Job job)
    {
        var faults = Samples.Faults(job, Workshop.Default);
        var fault = Assert.Single(faults, f => f.Pointer == pointer);
        Assert.NotEmpty(fault.Detail);
        Assert.NotEmpty(fault.Try);
        Assert.Throws<ArgumentException>(() => Samples.Make(job, Workshop.Default));
    }

    [Fact]
    public void All_faults_are_told_at_once()
    {
        var job = Samples.Towel("日", w => w with { Strands = 9, CapHeightMm = 900 }) with { Size = "x", Zone = "y" };
        Assert.Equal(
            ["#/item/size", "#/zone", "#/elements/0/text", "#/elements/0/strands", "#/elements/0/capHeightMm"],
            Samples.Faults(job, Workshop.Default).Select(f => f.Pointer));
    }

    [Fact]
    public void A_letter_the_hand_lacks_is_named() =>
        Assert.Contains("'ж'", Samples.Faults(Samples.Towel("Haжa"), Workshop.Default)[0].Detail, StringComparison.Ordinal);

    [Fact]
    public void Too_many_stitches_are_refused()
    {
        var many = Enumerable.Range(0, 60).Select(i => new TextElement($"w{i}", new string('m', 200))).ToArray();
        Assert.Contains(Samples.Faults(Samples.Towel() with { Elements = many }, Workshop.Default), f => f.Pointer == "#/elements");
    }

    [Fact]
    public void Changing_a_member_lets_go_of_the_overrule_of_the_same_thing()
    {
        var job = Samples.Towel(overrules: ("words.size", "largest"));
        var (changed, _) = Changes.Apply(job, new Change("capHeightMm", "14", "higher"));
        Assert.Equal(14, changed!.Wordings[0].CapHeightMm);
        Assert.Empty(changed.Overrides);
        var (back, _) = Changes.Apply(changed, new Change("overrules/words.size", "smallest", "least"));
        Assert.Null(back!.Wordings[0].CapHeightMm);
        Assert.Equal("smallest", Changes.Read(back, "overrules/words.size"));
    }

    /// <summary>On the first and the last day that may be said a plan comes all the same, whatever is due and done then.</summary>
    [Theory]
    [InlineData("1900-01-01")]
    [InlineData("2299-12-31")]
    public void Days_at_the_ends_are_days(string day)
    {
        var at = DateOnly.ParseExact(day, "yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture);
        foreach (var done in new Core.Time.Done?[] { null, new(true, 1), new(true, JobLimits.MostRuns, at) { WashedOn = at } })
        {
            var job = Samples.Towel() with { Today = at, DueOn = at, Done = done };
            Assert.Empty(Samples.Faults(job, Workshop.Default));
            Assert.NotEmpty(Samples.Plan(job).Decisions);
        }
    }
}
