using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Space;
using Dittany.Core.Tests.Planning;
using FsCheck;
using FsCheck.Fluent;

namespace Dittany.Core.Tests.Items;

/// <summary>
/// Items measured by hand, and own forms: what they come to, what cannot be, and what always holds of a field on any shape.
/// </summary>
[Trait("Lane", "long")]
public class OwnFormTests
{
    /// <summary>
    /// Areas by hand: a rectangle w × h, a round π r², a trapezoid half the sum of its sides times its height, a triangle half base times
    /// height.
    /// </summary>
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
        Assert.Equal(1, Region.AreaOf(form!.First.OutlineMm) / area, 2);
        Assert.Empty(OwnForms.Faults(form));
    }

    /// <summary>
    /// A hem keeps stitches 8 mm from its stitching (from memory): on a cloth of 300 × 200 with hems of 10 the field is 264 × 164.
    /// </summary>
    [Fact]
    public void A_hem_is_kept_clear_of()
    {
        var own = HandMeasured.Measure("own-a", "mine", "rectangle", Numbers("width=300;height=200;hem=10")).Form!;
        var drawn = OwnForms.AsForm(own).At("own");
        var (least, greatest) = Field.Of(drawn, drawn.Zones[0] with { EdgeAllowanceMm = 0 }).Box;
        Assert.Equal((264, 164), (greatest.X - least.X, greatest.Y - least.Y));
        Assert.Equal(4, own.First.Obstacles.Count);
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

    /// <summary>
    /// Outlines that cross themselves, lie in a line, reach beyond anything; zones outside; obstacles nowhere; two of one name: each is
    /// told.
    /// </summary>
    [Fact]
    public void Forms_that_cannot_be_are_told()
    {
        var good = HandMeasured.Measure("own-a", "mine", "rectangle", Numbers("width=300;height=200")).Form!;
        var front = good.First;
        OwnForm On(OwnFace face) => good.With(face);
        OwnForm And(OwnFace face) => good with { Faces = [front, face] };
        (OwnForm Form, string Member)[] bad =
        [
            (On(front with { OutlineMm = [new(0, 0), new(100, 100), new(100, 0), new(0, 100)] }), "outlineMm"),
            (On(front with { OutlineMm = [new(0, 0), new(100, 0), new(200, 0)] }), "outlineMm"),
            (On(front with { OutlineMm = [new(0, 0), new(100, 0)] }), "outlineMm"),
            (On(front with { OutlineMm = [new(0, 0), new(9, 0), new(9, 9), new(0, 9)] }), "outlineMm"),
            (On(front with { OutlineMm = [new(0, 0), new(double.PositiveInfinity, 0), new(9, 9)] }), "outlineMm"),
            (On(front with { Zones = [] }), "zones"),
            (On(front with { Zones = [new OwnZone("a", "a", [new(250, 10), new(340, 10), new(340, 90)])] }), "zones/0/ringMm"),
            (On(front with { Zones = [front.Zones[0], front.Zones[0]] }), "zones"),
            (On(front with { Zones = [front.Zones[0] with { EdgeAllowanceMm = -1 }] }), "zones/0/edgeMm"),
            (On(front with { Obstacles = [new OwnObstacle("b", "button", ObstacleKind.ButtonEdge,
                [new(900, 10), new(910, 10), new(910, 20)])] }), "obstacles/0/ringMm"),
            (On(front with { OpeningMm = 2 }), "openingMm"),
            (good with { Name = " " }, "name"),
            (good with { Cloth = "paper" }, "cloth"),
            (good with { Colour = "red" }, "colour"),
            (good with { Wearer = "dog" }, "wearer"),
            (good with { Faces = [] }, "faces"),
            (good with { Faces = [.. Enumerable.Range(0, 9).Select(n => front.Behind($"s{n}", $"s{n}"))] }, "faces"),
            (And(front.Behind("front", "back")), "faces"),
            (And(front.Behind("back", "back") with { Zones = front.Zones }), "zones"),
            (And(front.Behind("back", "back") with { OutlineMm = [new(0, 0), new(100, 0), new(200, 0)] }), "faces/0/outlineMm"),
            (And(front.Behind("back", " ")), "faces/0/name"),
            (good with { Like = new OwnLike("tote", "38x42", -1, 20) }, "like"),
            (good with { Like = new OwnLike("hammock", "38x42", 380, 420) }, "like/form"),
        ];
        Assert.All(bad, b => Assert.Contains(OwnForms.Faults(b.Form), f => f.Member == b.Member && f.Try.Length > 0));
    }

    /// <summary>
    /// A copy of any form at any size, with all its faces, is an own form without fault, and a piece on it is planned as on the form
    /// itself: the same place found by the same folds and landmarks, the same letters, hoops and sheets, folded over where the form is.
    /// </summary>
    [Theory]
    [MemberData(nameof(FormTests.Everywhere), MemberType = typeof(FormTests))]
    public void Every_copy_plans_as_its_form_does(string formId, string size, string zone)
    {
        var form = Catalogue.Find(formId)!;
        var copy = OwnForm.CopyOf(form, form.Sizes.First(s => s.Id == size), "own-copy", form.Name);
        Assert.Empty(OwnForms.Faults(copy));
        Assert.Equal(form.Zones.Select(z => z.Id), OwnForms.AsForm(copy).Zones.Select(z => z.Id));
        var job = Samples.On(formId, "Io") with { Size = size, Zone = zone };
        var (was, now) = (Samples.Plan(job), Samples.Plan(job with { Form = "own-copy", Size = null, Own = copy }));
        Assert.Equal(was.Space.FindIt, now.Space.FindIt);
        Assert.Equal(was.Space.FieldMm.Select(r => r.ToArray()), now.Space.FieldMm.Select(r => r.ToArray()));
        Assert.Equal(was.Elements.Select(e => (e.CentreMm, e.CapHeightMm, e.LargestCapHeightMm)),
            now.Elements.Select(e => (e.CentreMm, e.CapHeightMm, e.LargestCapHeightMm)));
        static object Of(Face face) => (face.Id, face.Name, face.Datum, face.Fold?.AsWorn, face.Fold?.Flat, face.Fold?.From, face.Fold?.To);
        Assert.Equal(Of(was.Space.Face), Of(now.Space.Face));
        Assert.Equal((was.Transfer.Method, was.Transfer.PrintMirrored), (now.Transfer.Method, now.Transfer.PrintMirrored));
        Assert.Equal(was.Hooping.Hoops.Select(h => h.CentreMm), now.Hooping.Hoops.Select(h => h.CentreMm));
        string[] ofTheItem = ["item.size"];
        Assert.Equal(
            was.Decisions.Where(d => !ofTheItem.Contains(d.Id)).SelectMany(d => d.Because.Prepend(d.Choice)),
                now.Decisions.Where(d => !ofTheItem.Contains(d.Id)).SelectMany(d => d.Because.Prepend(d.Choice)));
    }

    /// <summary>What is pulled into another shape is found by its own edges; what was not touched keeps what it had.</summary>
    [Fact]
    public void A_changed_copy_keeps_what_was_not_changed()
    {
        var form = Catalogue.Find("tote")!;
        var size = form.Sizes.First(s => s.Id == form.UsualSize);
        var copy = OwnForm.CopyOf(form, size, "own-copy", "tote");
        var front = copy.First;
        var wide = copy.With(front with { OutlineMm = front.OutlineMm.Select(p => new Pt(p.X * 1.1, p.Y)).ToArray() });
        var (was, now) = (OwnForms.AsForm(copy).At("own"), OwnForms.AsForm(wide).At("own"));
        Assert.DoesNotContain(was.Landmarks, l => l.Id == "left-edge");
        Assert.Contains(now.Landmarks, l => l.Id == "left-edge");
        Assert.Equal(was.Zones[0].Lettering, now.Zones[0].Lettering);
        Assert.All(now.Zones.Where(z => z.Usual.From is not null), z => Assert.Contains(now.Landmarks, l => l.Id == z.Usual.From));
        Assert.Null(copy.Scaled(1.2).Like);

        // A place pulled away from its usual anchor has another.
        var zone = front.Zones[0];
        var (x, y) = (zone.RingMm.Min(p => p.X), zone.RingMm.Min(p => p.Y));
        var moved = OwnForms.AsForm(copy.With(front with
        {
            Zones = [zone
            with { RingMm = [new(x, y), new(x + 30, y), new(x + 30, y + 20), new(x, y + 20)] }]
        })).At("own").Zones[0];
        Assert.True(Region.Of(moved.Ring).OutsideBy(moved.Usual.AnchorMm) <= 0);
    }

    /// <summary>
    /// Her tape scales a photographed side alone, and all sides drawn to the same numbers together; one more side has a name no other has.
    /// </summary>
    [Fact]
    public void Sides_follow_her_tape_and_have_their_names()
    {
        var cloth = HandMeasured.Measure("own-a", "a", "rectangle", Numbers("width=200;height=100")).Form!;
        var photographed = cloth.First.Behind("inside", "inside") with { Picture = new Picture(new string('a', 64), 0, 0, 200, 100) };
        var all = cloth with { Faces = [cloth.First, cloth.First.Behind("back", "back"), photographed] };
        Assert.Equal([220, 220, 200], all.ToTape("front", 220).Faces.Select(f => Math.Round(f.WidthMm, 9)));
        var alone = all.ToTape("inside", 180);
        Assert.Equal([200, 200, 180], alone.Faces.Select(f => Math.Round(f.WidthMm, 9)));
        Assert.Equal((180, 90), (alone.Face("inside").Picture!.WidthMm, alone.Face("inside").Picture!.HeightMm));
        var grown = cloth;
        for (var i = 0; i < 7; i++)
        {
            var (id, name) = grown.NextSide();
            Assert.DoesNotContain(grown.Faces, f => f.Id == id || f.Name == name);
            grown = grown with { Faces = [.. grown.Faces, grown.First.Behind(id, name)] };
        }

        Assert.Empty(OwnForms.Faults(grown));
        Assert.Equal(["front", "back", "inside", "left-side", "right-side", "side-6", "side-7", "side-8"], grown.Faces.Select(f => f.Id));
    }

    /// <summary>
    /// A side that is folded over is stitched on the cloth's other side, unmirrored and the right way up, at the top and as a turn-up
    /// alike.
    /// </summary>
    [Theory]
    [InlineData(FoldSide.Top, "fold at the top", "Its top goes towards the fold.")]
    [InlineData(FoldSide.Bottom, "fold at the lower edge", "Its lower edge goes towards the fold.")]
    public void A_side_of_hers_can_be_folded_over(FoldSide at, string seen, string towards)
    {
        var cuff = HandMeasured.Measure("own-cuff", "trouser cuff", "rectangle", Numbers("width=200;height=90")).Form!;
        var folded = cuff.With(cuff.First with { Folded = at });
        var plan = Samples.Plan(Samples.On("own-cuff", "Ola") with { Own = folded });
        var decision = plan.Decision("space.fold")!;
        Assert.Contains(decision.Because, b => b.Contains(seen, StringComparison.Ordinal));
        Assert.Contains(decision.Because, b => b.Contains("right way up, and is not mirrored", StringComparison.Ordinal));
        var fold = plan.Space.Face.Fold!;
        Assert.Equal(towards, fold.Towards);
        Assert.Equal(at == FoldSide.Top ? 0 : 90, fold.From.Y);

        // 60 mm of the cloth that lies behind when worn are seen beyond the fold.
        Assert.Equal((200, 150), (fold.FlatOutline.Max(p => p.X) - fold.FlatOutline.Min(p => p.X),
            fold.FlatOutline.Max(p => p.Y) - fold.FlatOutline.Min(p => p.Y)));
        Assert.Null(Samples.Plan(Samples.On("own-cuff", "Ola") with { Own = cuff }).Space.Face.Fold);
    }

    /// <summary>
    /// The side behind is seen from behind: what was left is right, hems go round, a pocket does not; twice behind is in front.
    /// </summary>
    [Fact]
    public void The_side_behind_is_seen_from_behind()
    {
        Pt[] outline = [new(0, 0), new(100, 0), new(100, 80), new(30, 120), new(0, 80)];
        var front = OwnFace.Front(outline, [new OwnZone("all", "all", outline)], [
            new("hem", "hem", ObstacleKind.TopstitchedHem, [new(0, 0), new(40, 0), new(40, 10), new(0, 10)]),
                new("pocket", "pocket", ObstacleKind.PocketEdge, [new(50, 40), new(90, 40), new(90, 44), new(50, 44)])]);
        var back = front.Behind("back", "back");
        Assert.Contains(new Pt(70, 120), back.OutlineMm);
        Assert.Equal(["hem"], back.Obstacles.Select(o => o.Id));
        Assert.Equal((60, 100), (back.Obstacles[0].RingMm.Min(p => p.X), back.Obstacles[0].RingMm.Max(p => p.X)));
        Assert.Equal(outline.ToHashSet(), back.Behind("x", "x").OutlineMm.ToHashSet());
        var both = new OwnForm("own-both", "both", "polygon", new Dictionary<string, double>(StringComparer.Ordinal), [front, back]);
        Assert.Empty(OwnForms.Faults(both));
        Assert.Equal("back", Samples.Plan(Samples.On("own-both", "Io") with { Own = both, Zone = "back-all" }).Space.Face.Id);
    }

    /// <summary>
    /// An own form goes through the whole plan, with the words inside its field, and the steps that find it are hers to follow.
    /// </summary>
    [Fact]
    public void A_piece_on_an_own_form_is_planned()
    {
        var own = HandMeasured.Measure("own-pennant", "pennant", "polygon", Numbers("hem=8"),
            [new(0, 0), new(320, 0), new(160, 420)]).Form!;
        var plan = Samples.Plan(Samples.On("own-pennant", "Mia") with { Own = own });
        Assert.Equal(0, plan.Elements[0].OverflowsMm);
        Assert.Equal("pennant", plan.Item.FormName);
        Assert.Contains(plan.Space.FindIt, s => s.Contains("mark a dot", StringComparison.Ordinal));
        Assert.Contains("measured by the maker", plan.Decision("item.size")!.Because[0], StringComparison.Ordinal);
    }

    /// <summary>
    /// On any simple polygon with any obstacles: the field lies in the zone, keeps every clearance, and loses no more than zone and
    /// obstacles take; what is put outside is told by how many millimetres, which is how far it really is.
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
        var plan = Samples.Plan(Samples.On(form.Id, "om", w => w
            with
        { CapHeightMm = 6, CentreMm = new Pt(form.First.OutlineMm.Min(p => p.X) - 40, 0) }) with
        { Own = form });
        var told = plan.Elements[0].Concerns.SingleOrDefault(c => c.What == "overflows");
        var rooms = plan.Elements[0].Parts.Select(p => p.LineWidthMm).Distinct().ToDictionary(w => w, w => field.Offset(-w / 2));
        var really = plan.Elements[0].Parts.SelectMany(p =>
            p.Stitches.SelectMany(s => new[] { s.FromMm, s.ToMm }).Select(rooms[p.LineWidthMm].OutsideBy)).Max();
        return (inside && clear && lost >= -1e-6 && lost <= taken + 1e-6 && told is not null
            && (double.IsInfinity(really) || Math.Abs(told.ByMm!.Value - really) < 0.6))
            .Label($"inside {inside} clear {clear} lost {lost} of {taken} told {told?.ByMm} really {really}");
    });

    /// <summary>Stars: corners in order of their angle at random distances never cross. Obstacles anywhere on them.</summary>
    private static Arbitrary<OwnForm> Shapes() => Arb.From(
        from corners in Gen.Choose(70, 260).ArrayOf(9)
        from buttons in Gen.Choose(-150, 150).ArrayOf(6)
        from kinds in Gen.Elements(ObstacleKind.ButtonEdge, ObstacleKind.FlatSeam, ObstacleKind.ZipTeeth, ObstacleKind.Print).ArrayOf(3)
        let ring = corners.Select((r, i) => new Pt(300 + (r * Math.Cos(2 * Math.PI * i / 9)), 300
            + (r * Math.Sin(2 * Math.PI * i / 9)))).ToArray()
        let all = Enumerable.Range(0, 3).Select(i => new OwnObstacle($"o{i}", $"o{i}", kinds[i],
            Dot(new Pt(300 + (buttons[2 * i] * 0.3), 300 + (buttons[(2 * i) + 1] * 0.3)), 6 + i))).ToArray()
        select new OwnForm("own-star", "star", "polygon", new Dictionary<string, double>(StringComparer.Ordinal),
            [OwnFace.Front(ring, [new OwnZone("all", "all", ring, 4)], all)]));

    private static Pt[] Dot(Pt at, double radius) => Enumerable.Range(0, 12).Select(i => at
        + new Pt(radius * Math.Cos(Math.PI * i / 6), radius * Math.Sin(Math.PI * i / 6))).ToArray();

    private static Dictionary<string, double> Numbers(string text) =>
        text.Split(';', StringSplitOptions.RemoveEmptyEntries).Select(p => p.Split('=')).ToDictionary(p => p[0], p =>
        double.Parse(p[1], System.Globalization.CultureInfo.InvariantCulture), StringComparer.Ordinal);
}
