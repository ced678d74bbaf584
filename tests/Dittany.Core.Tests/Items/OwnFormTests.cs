using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Planning;
using Dittany.Core.Space;
using Dittany.Core.Tests.Planning;
using FsCheck;
using FsCheck.Fluent;

namespace Dittany.Core.Tests.Items;

/// <summary>Items measured by hand, and own forms: what they come to, what cannot be, and what always holds of a field on any shape.</summary>
public class OwnFormTests
{
    /// <summary>Areas by hand: a rectangle w × h, a round π r², a trapezoid half the sum of its sides times its height, a triangle half base times height.</summary>
    [Theory]
    [InlineData("rectangle", "width=300;height=200", 60_000)]
    [InlineData("tube", "width=120;height=180;body=400", 21_600)]
    [InlineData("circle", "across=200", 31_415.9)]
    [InlineData("trapezoid", "top=100;bottom=300;height=200", 40_000)]
    [InlineData("polygon", "", 30_000)]
    public void Numbers_make_the_shape(string shape, string numbers, double area)
    {
        var (form, faults) = HandMeasured.Measure("own-a", "mine", shape, Numbers(numbers), [new(0, 0), new(300, 0), new(150, 200)]);
        Assert.Empty(faults);
        Assert.Equal(1, Region.AreaOf(form!.OutlineMm) / area, 2);
        Assert.Empty(OwnForms.Faults(form));
    }

    /// <summary>A hem keeps stitches 8 mm from its stitching (from memory): on a cloth of 300 × 200 with hems of 10 the field is 264 × 164.</summary>
    [Fact]
    public void A_hem_is_kept_clear_of()
    {
        var own = HandMeasured.Measure("own-a", "mine", "rectangle", Numbers("width=300;height=200;hem=10")).Form!;
        var drawn = OwnForms.AsForm(own).At("own");
        var (least, greatest) = Field.Of(drawn, drawn.Zones[0] with { EdgeAllowanceMm = 0 }).Box;
        Assert.Equal((264, 164), (greatest.X - least.X, greatest.Y - least.Y));
        Assert.Equal(4, own.Obstacles.Count);
        var round = HandMeasured.Measure("own-a", "mine", "circle", Numbers("across=300;hem=12")).Form!;
        Assert.Empty(OwnForms.Faults(round));
        var field = Field.Of(OwnForms.AsForm(round).At("own"), OwnForms.AsForm(round).At("own").Zones[0] with { EdgeAllowanceMm = 0 });
        Assert.Equal(2 * (150 - 12 - 8), field.Box.Greatest.X - field.Box.Least.X, 0);
    }

    /// <summary>What cannot be is told at its number: nothing is guessed.</summary>
    [Theory]
    [InlineData("rectangle", "width=300", "height")]
    [InlineData("rectangle", "width=300;height=9000", "height")]
    [InlineData("rectangle", "width=-3;height=90", "width")]
    [InlineData("rectangle", "width=NaN;height=90", "width")]
    [InlineData("rectangle", "width=300;height=200;hem=99", "hem")]
    [InlineData("rectangle", "width=300;height=200;sleeve=10", "sleeve")]
    [InlineData("tube", "width=420;height=200;body=400", "width")]
    [InlineData("circle", "across=60;hem=29", "hem")]
    [InlineData("hexagon", "width=300", "shape")]
    public void What_cannot_be_is_told(string shape, string numbers, string member)
    {
        var (form, faults) = HandMeasured.Measure("own-a", "mine", shape, Numbers(numbers));
        Assert.Null(form);
        Assert.All(faults, f => Assert.NotEmpty(f.Detail));
        Assert.Contains(faults, f => f.Member == member);
    }

    /// <summary>Outlines that cross themselves, lie in a line, reach beyond anything; zones outside; obstacles nowhere; two of one name: each is told.</summary>
    [Fact]
    public void Forms_that_cannot_be_are_told()
    {
        var good = HandMeasured.Measure("own-a", "mine", "rectangle", Numbers("width=300;height=200")).Form!;
        (OwnForm Form, string Member)[] bad =
        [
            (good with { OutlineMm = [new(0, 0), new(100, 100), new(100, 0), new(0, 100)] }, "outlineMm"),
            (good with { OutlineMm = [new(0, 0), new(100, 0), new(200, 0)] }, "outlineMm"),
            (good with { OutlineMm = [new(0, 0), new(100, 0)] }, "outlineMm"),
            (good with { OutlineMm = [new(0, 0), new(9, 0), new(9, 9), new(0, 9)] }, "outlineMm"),
            (good with { OutlineMm = [new(0, 0), new(double.PositiveInfinity, 0), new(9, 9)] }, "outlineMm"),
            (good with { Zones = [] }, "zones"),
            (good with { Zones = [new OwnZone("a", "a", [new(250, 10), new(340, 10), new(340, 90)])] }, "zones/0/ringMm"),
            (good with { Zones = [good.Zones[0], good.Zones[0]] }, "zones"),
            (good with { Zones = [good.Zones[0] with { EdgeAllowanceMm = -1 }] }, "zones/0/edgeMm"),
            (good with { Obstacles = [new OwnObstacle("b", "button", ObstacleKind.ButtonEdge, [new(900, 10), new(910, 10), new(910, 20)])] }, "obstacles/0/ringMm"),
            (good with { Name = " " }, "name"),
            (good with { Cloth = "paper" }, "cloth"),
            (good with { Colour = "red" }, "colour"),
            (good with { Wearer = "dog" }, "wearer"),
            (good with { OpeningMm = 2 }, "openingMm"),
        ];
        Assert.All(bad, b => Assert.Contains(OwnForms.Faults(b.Form), f => f.Member == b.Member && f.Try.Length > 0));
    }

    /// <summary>A copy of any form at any size is an own form without fault, and plans like it: the words go to a field of the same size.</summary>
    [Theory]
    [MemberData(nameof(FormTests.Everywhere), MemberType = typeof(FormTests))]
    public void Every_form_can_be_copied(string formId, string size, string zone)
    {
        var form = Catalogue.Find(formId)!;
        var drawn = form.At(size, zone);
        var copy = OwnForm.CopyOf(form, form.Sizes.First(s => s.Id == size), drawn, "own-copy", "copy");
        Assert.Empty(OwnForms.Faults(copy));
        var again = OwnForms.AsForm(copy).At("own", zone);
        var (was, now) = (Field.Of(drawn, drawn.Zones.Single(z => z.Id == zone) with { Ignores = null }), Field.Of(again, again.Zones.Single(z => z.Id == zone)));
        Assert.Equal(was.AreaMm2, now.AreaMm2, 3);
    }

    /// <summary>An own form goes through the whole plan, with the words inside its field, and the steps that find it are hers to follow.</summary>
    [Fact]
    public void A_piece_on_an_own_form_is_planned()
    {
        var own = HandMeasured.Measure("own-pennant", "pennant", "polygon", Numbers("hem=8"), [new(0, 0), new(320, 0), new(160, 420)]).Form!;
        var plan = Jobs.Plan(Jobs.On("own-pennant", "Mia") with { Own = own });
        Assert.Equal(0, plan.Elements[0].OverflowsMm);
        Assert.Equal("pennant", plan.Item.FormName);
        Assert.Contains(plan.Space.FindIt, s => s.Contains("mark a dot", StringComparison.Ordinal));
        Assert.Contains("measured by the maker", plan.Decision("item.size")!.Because[0], StringComparison.Ordinal);
    }

    /// <summary>
    /// On any simple polygon with any obstacles: the field lies in the zone, keeps every clearance, and loses no more than zone and obstacles take; what is put outside is told
    /// by how many millimetres, which is how far it really is.
    /// </summary>
    [ManyTimes(20)]
    public Property Fields_of_any_shape() => Prop.ForAll(Shapes(), form =>
    {
        var drawn = OwnForms.AsForm(form).At("own");
        var zone = drawn.Zones[0];
        var field = Field.Of(drawn, zone);
        var ring = Region.Of(zone.Ring);
        var points = field.Rings.SelectMany(r => r).ToArray();
        var inside = points.All(p => ring.OutsideBy(p) < 1e-6);
        var clear = drawn.Obstacles.All(o => points.All(p => Region.Of(o.Ring).OutsideBy(p) > Clearances.For(o.Kind) - 0.05));
        var taken = drawn.Obstacles.Sum(o => Region.Of(o.Ring).Offset(Clearances.For(o.Kind)).AreaMm2);
        var lost = ring.Offset(-zone.EdgeAllowanceMm).AreaMm2 - field.AreaMm2;
        var plan = Jobs.Plan(Jobs.On(form.Id, "om", w => w with { CapHeightMm = 6, CentreMm = new Pt(form.OutlineMm.Min(p => p.X) - 40, 0) }) with { Own = form });
        var told = plan.Elements[0].Concerns.SingleOrDefault(c => c.What == "overflows");
        var rooms = plan.Elements[0].Parts.Select(p => p.LineWidthMm).Distinct().ToDictionary(w => w, w => field.Offset(-w / 2));
        var really = plan.Elements[0].Parts.SelectMany(p => p.Stitches.SelectMany(s => new[] { s.FromMm, s.ToMm }).Select(rooms[p.LineWidthMm].OutsideBy)).Max();
        return (inside && clear && lost >= -1e-6 && lost <= taken + 1e-6 && told is not null && (double.IsInfinity(really) || Math.Abs(told.ByMm!.Value - really) < 0.6))
            .Label($"inside {inside} clear {clear} lost {lost} of {taken} told {told?.ByMm} really {really}");
    });

    /// <summary>Stars: corners in order of their angle at random distances never cross. Obstacles anywhere on them.</summary>
    private static Arbitrary<OwnForm> Shapes() => Arb.From(
        from corners in Gen.Choose(70, 260).ArrayOf(9)
        from buttons in Gen.Choose(-150, 150).ArrayOf(6)
        from kinds in Gen.Elements(ObstacleKind.ButtonEdge, ObstacleKind.FlatSeam, ObstacleKind.ZipTeeth, ObstacleKind.Print).ArrayOf(3)
        let ring = corners.Select((r, i) => new Pt(300 + (r * Math.Cos(2 * Math.PI * i / 9)), 300 + (r * Math.Sin(2 * Math.PI * i / 9)))).ToArray()
        let all = Enumerable.Range(0, 3).Select(i => new OwnObstacle($"o{i}", $"o{i}", kinds[i], Dot(new Pt(300 + (buttons[2 * i] * 0.3), 300 + (buttons[(2 * i) + 1] * 0.3)), 6 + i))).ToArray()
        select new OwnForm("own-star", "star", "polygon", new Dictionary<string, double>(StringComparer.Ordinal), ring, [new OwnZone("all", "all", ring, 4)], all));

    private static Pt[] Dot(Pt at, double radius) => Enumerable.Range(0, 12).Select(i => at + new Pt(radius * Math.Cos(Math.PI * i / 6), radius * Math.Sin(Math.PI * i / 6))).ToArray();

    private static Dictionary<string, double> Numbers(string text) => text.Split(';', StringSplitOptions.RemoveEmptyEntries).Select(p => p.Split('=')).ToDictionary(p => p[0], p => double.Parse(p[1], System.Globalization.CultureInfo.InvariantCulture), StringComparer.Ordinal);
}
