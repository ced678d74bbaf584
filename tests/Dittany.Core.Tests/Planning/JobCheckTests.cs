using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Planning;

namespace Dittany.Core.Tests.Planning;

public class JobCheckTests
{
    public static TheoryData<string, Job> Senseless() => new()
    {
        { "#/item/form", Jobs.Towel() with { Form = "hammock" } },
        { "#/item/size", Jobs.Towel() with { Size = "62" } },
        { "#/zone", Jobs.Towel() with { Zone = "cuff" } },
        { "#/item/wearer", Jobs.Towel() with { Wearer = "dog" } },
        { "#/item/fabric/kind", Jobs.Towel() with { Fabric = new StatedFabric("paper") } },
        { "#/item/fabric/colour", Jobs.Towel() with { Fabric = new StatedFabric(Colour: "red") } },
        { "#/item/fabric/thicknessMm", Jobs.Towel() with { Fabric = new StatedFabric(ThicknessMm: 400) } },
        { "#/item/fabric/washC", Jobs.Towel() with { Fabric = new StatedFabric(WashC: 5) } },
        { "#/item/washed", Jobs.Towel() with { Use = new StatedUse(Washed: "daily") } },
        { "#/item/lasts", Jobs.Towel() with { Use = new StatedUse(Lasts: "forever") } },
        { "#/overrules/item.washing", Jobs.Towel(overrules: ("item.washing", "often")) with { Use = new StatedUse(Washed: "never") } },
        { "#/item/measuredMm/chest", Jobs.Towel() with { MeasuredMm = Measured(("chest", 300)) } },
        { "#/item/measuredMm/chest", Jobs.On("t-shirt-adult") with { MeasuredMm = Measured(("chest", 3000)) } },
        { "#/item/measuredMm/chest", Jobs.On("t-shirt-adult") with { MeasuredMm = Measured(("chest", double.NaN)) } },
        { "#/item/measuredMm/length", Jobs.On("t-shirt-adult") with { MeasuredMm = Measured(("chest", 700), ("length", 300)) } },
        { "#/item/own/zones/0/ringMm", Jobs.On("mine") with { Own = new OwnForm("mine", "cloth", "rectangle", Measured(),
            [OwnFace.Front([new(0, 0), new(200, 0), new(200, 200), new(0, 200)],
            [new("all", "all", [new(0, 0), new(240, 0), new(240, 100)])], [])]) } },
        { "#/item/form", Jobs.Towel() with { Own = new OwnForm("mine", "cloth", "rectangle", Measured(),
            [OwnFace.Front([new(0, 0), new(200, 0), new(200, 200), new(0, 200)],
            [new("all", "all", [new(0, 0), new(100, 0), new(100, 100)])], [])]) } },
        { "#/elements", Jobs.Towel() with { Elements = [] } },
        { "#/elements/0/text", Jobs.Towel(" \n ") },
        { "#/elements/0/text", Jobs.Towel("日本") },
        { "#/elements/0/text", Jobs.Towel("a\tb") },
        { "#/elements/0/text", Jobs.Towel("a\u202eb") },
        { "#/elements/0/text", Jobs.Towel("a\ud800b") },
        { "#/elements/0/text", Jobs.Towel(new string('a', 201)) },
        { "#/elements/0/text", Jobs.Towel("a\nb\nc\nd\ne\nf\ng") },
        { "#/elements/0/rows", Jobs.Towel("Mimi", w => w with { Rows = 2 }) },
        { "#/elements/0/rows", Jobs.Towel("a\nb", w => w with { Rows = 3 }) },
        { "#/elements/0/capHeightMm", Jobs.Towel("Mimi", w => w with { CapHeightMm = 1.9 }) },
        { "#/elements/0/capHeightMm", Jobs.Towel("Mimi", w => w with { CapHeightMm = double.NaN }) },
        { "#/elements/0/strands", Jobs.Towel("Mimi", w => w with { Strands = 7 }) },
        { "#/elements/0/stitch", Jobs.Towel("Mimi", w => w with { Stitch = "satin" }) },
        { "#/elements/0/alphabet", Jobs.Towel("Mimi", w => w with { Alphabet = "gothic" }) },
        { "#/elements/0/arrangement", Jobs.Towel("Mimi", w => w with { Arrangement = "loop" }) },
        { "#/elements/0/colour", Jobs.Towel("Mimi", w => w with { Colour = "#12" }) },
        { "#/elements/0/centreMm", Jobs.Towel("Mimi", w => w with { CentreMm = new Pt(double.PositiveInfinity, 0) }) },
        { "#/overrules/hoop.colour", Jobs.Towel(overrules: ("hoop.colour", "red")) },
        { "#/overrules/transfer.method", Jobs.Towel(overrules: ("transfer.method", "magic")) },
        { "#/overrules/thread.strands", Jobs.Towel("Mimi", w => w with { Strands = 2 }, ("thread.strands", "3")) },
        { "#/overrules/words.size", Jobs.Towel("Mimi", w => w with { CapHeightMm = 14 }, ("words.size", "largest")) },
        { "#/overrules/space.place", Jobs.Towel("Mimi", w => w with { CentreMm = new Pt(250, 600) }, ("space.place", "optical-centre")) },
        { "#/overrules/fabric.kind", Jobs.Towel(overrules: ("fabric.kind", "linen")) with { Fabric = new StatedFabric("lawn") } },
    };

    private static Dictionary<string, double> Measured(params (string Id, double Mm)[] numbers) =>
        numbers.ToDictionary(n => n.Id, n => n.Mm, StringComparer.Ordinal);

    [Theory]
    [MemberData(nameof(Senseless))]
    public void What_makes_no_sense_is_told_at_its_place(string pointer, Job job)
    {
        var faults = Jobs.Faults(job, Workshop.Default);
        var fault = Assert.Single(faults, f => f.Pointer == pointer);
        Assert.NotEmpty(fault.Detail);
        Assert.NotEmpty(fault.Try);
        Assert.Throws<ArgumentException>(() => Jobs.Make(job, Workshop.Default));
    }

    [Fact]
    public void All_faults_are_told_at_once()
    {
        var job = Jobs.Towel("日", w => w with { Strands = 9, CapHeightMm = 900 }) with { Size = "x", Zone = "y" };
        Assert.Equal(
            ["#/item/size", "#/zone", "#/elements/0/text", "#/elements/0/strands", "#/elements/0/capHeightMm"],
            Jobs.Faults(job, Workshop.Default).Select(f => f.Pointer));
    }

    [Fact]
    public void A_letter_the_hand_lacks_is_named() =>
        Assert.Contains("'ж'", Jobs.Faults(Jobs.Towel("Haжa"), Workshop.Default)[0].Detail, StringComparison.Ordinal);

    [Fact]
    public void Too_many_stitches_are_refused()
    {
        var many = Enumerable.Range(0, 60).Select(i => new TextElement($"w{i}", new string('m', 200))).ToArray();
        Assert.Contains(Jobs.Faults(Jobs.Towel() with { Elements = many }, Workshop.Default), f => f.Pointer == "#/elements");
    }

    [Fact]
    public void Changing_a_member_lets_go_of_the_overrule_of_the_same_thing()
    {
        var job = Jobs.Towel(overrules: ("words.size", "largest"));
        var (changed, _) = Changes.Apply(job, new Change("capHeightMm", "14", "higher"));
        Assert.Equal(14, changed!.Wordings[0].CapHeightMm);
        Assert.Empty(changed.Overrides);
        var (back, _) = Changes.Apply(changed, new Change("overrules/words.size", "smallest", "least"));
        Assert.Null(back!.Wordings[0].CapHeightMm);
        Assert.Equal("smallest", Changes.Read(back, "overrules/words.size"));
    }
}
