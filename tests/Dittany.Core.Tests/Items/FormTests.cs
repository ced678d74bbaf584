using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Planning;
using Dittany.Core.Space;
using Dittany.Core.Tests.Planning;
using NetTopologySuite.Geometries;

namespace Dittany.Core.Tests.Items;

/// <summary>All forms: sound shapes, fields with room, usual places, and the way to find them again.</summary>
public class FormTests
{
    public static TheoryData<string, string, string> Everywhere()
    {
        var data = new TheoryData<string, string, string>();
        foreach (var form in Catalogue.Forms)
        {
            foreach (var size in form.Sizes)
            {
                foreach (var (zone, _) in form.Zones)
                {
                    data.Add(form.Id, size.Id, zone);
                }
            }
        }

        return data;
    }

    /// <summary>A usual name there, planned once for all who look at it.</summary>
    public static Plan Everywhere(string form, string size, string zone) =>
        Planned.GetOrAdd((form, size, zone), _ => Samples.Plan(Samples.On(form, "Zoë") with { Size = size, Zone = zone }));

    private static readonly System.Collections.Concurrent.ConcurrentDictionary<(string, string, string), Plan> Planned = new();

    /// <summary>
    /// The oracle is the geometry library: outlines and obstacles are simple rings, the zone lies on the item, and the field has room where
    /// words usually go.
    /// </summary>
    [Theory]
    [MemberData(nameof(Everywhere))]
    public void Shapes_are_sound(string formId, string size, string zoneId)
    {
        var form = Catalogue.Find(formId)!;
        var drawn = form.At(size, zoneId);
        Assert.True(Polygon(drawn.Outline).IsValid, "the outline crosses itself");
        Assert.All(drawn.Obstacles, o => Assert.True(Polygon(o.Ring).IsValid, $"{o.Id} crosses itself"));
        Assert.All(drawn.Over ?? [], o => Assert.True(Polygon(o).IsValid, "a piece on top crosses itself"));
        Assert.All(drawn.Face.Fold is { } fold ? [fold.FlatOutline] : Array.Empty<IReadOnlyList<Pt>>(), o =>
            Assert.True(Polygon(o).IsValid, "laid flat it crosses itself"));
        var zone = drawn.Zones.Single(z => z.Id == zoneId);
        Assert.True(Polygon(zone.Ring).IsValid, "the zone crosses itself");
        Assert.True(Polygon(drawn.Outline).Buffer(0.5).Contains(Polygon(zone.Ring)), "the zone leaves the item");
        var field = Field.Of(drawn, zone);
        Assert.True(field.Holds(zone.Usual.AnchorMm), "the usual place lies outside the field");
        var (least, greatest) = field.Box;
        Assert.True(greatest.X - least.X >= zone.Lettering.MostWidthMm * 0.75,
            $"the field is only {greatest.X - least.X} wide for {zone.Lettering.MostWidthMm}");
        Assert.True(zone.Lettering.LeastCapMm < zone.Lettering.MostCapMm);
        Assert.All(drawn.Landmarks.Where(l => l.Folding is { OneId.Length: > 0 }), l => Assert.NotNull(drawn.Landmark(l.Folding!.OneId)));
        Assert.Distinct(drawn.Obstacles.Select(o => o.Id));
        Assert.Distinct(drawn.Landmarks.Select(l => l.Id));
    }

    /// <summary>Usual words go on every form at every size in every zone: they fit, at a height that is usual there.</summary>
    [Theory]
    [MemberData(nameof(Everywhere))]
    public void Usual_words_fit(string form, string size, string zone)
    {
        var e = Everywhere(form, size, zone).Elements[0];
        Assert.Equal(0, e.OverflowsMm);
        Assert.True(e.CapHeightMm >= Catalogue.Find(form)!.At(size, zone).Zones.Single(z => z.Id == zone).Lettering.LeastCapMm * 0.8,
            $"only {e.CapHeightMm} mm high");
    }

    /// <summary>
    /// Stitches keep from each kind of obstacle what the table says (from memory): measured at the field, not at the table.
    /// </summary>
    [Theory]
    [InlineData("baby-bodysuit", "62", "chest", "neck-rib", 15)]
    [InlineData("baby-bodysuit", "80", "chest", "neck-rib", 15)]
    [InlineData("tea-towel", "50x70", "lower", "band", 5)]
    [InlineData("tote", "38x42", "panel", "left-side", 15)]
    public void Fields_keep_their_clearance(string form, string size, string zoneId, string obstacleId, double clearance)
    {
        var drawn = Catalogue.Find(form)!.At(size, zoneId);
        var field = Field.Of(drawn, drawn.Zones.Single(z => z.Id == zoneId));
        var obstacle = drawn.Obstacles.Single(o => o.Id == obstacleId);
        var apart = field.Rings.SelectMany(r => r).Min(p => Region.Of(obstacle.Ring).OutsideBy(p));
        Assert.True(apart >= clearance - 0.05, $"{apart}");
    }

    /// <summary>
    /// Usual places (from memory): a bodysuit's words 30 or 40 mm below the neck seam, a napkin's 65 mm from both edges, a tote's 70 below
    /// the hem and 90 above the base, a towel's 70 above its hem.
    /// </summary>
    [Fact]
    public void Usual_places()
    {
        double TopOf(string size) => Samples.Plan(Samples.On("baby-bodysuit", "HE") with { Size = size }).Elements[0] is var e ? e.BoxMm.Y
            + (e.LineWidthMm / 2) : 0;
        Assert.Equal(30, TopOf("56"), 1);
        Assert.Equal(40, TopOf("62"), 1);
        Assert.Equal(new Pt(450 - 65, 450 - 65), Samples.Plan(Samples.On("napkin", "on")).Elements[0].CentreMm);
        var tote = Samples.Plan(Samples.On("tote", "Wilhelmina", w => w with { CapHeightMm = 35 })).Elements[0].BoxMm;
        Assert.True(tote.Y >= 30 + 70 && tote.Y + tote.Height <= 420 - 90);
        Assert.Equal(700 - 10 - 70, Samples.Plan(Samples.On("tea-towel", "Zoë")).Elements[0].BaselineMm.Y);
    }

    /// <summary>
    /// Usual heights (from memory): bodysuit 9 to 12 or 11 to 16, napkin 8 to 12 and 18 to 25 for a monogram, tote 20 to 35, towel 15 to
    /// 25.
    /// </summary>
    [Theory]
    [InlineData("baby-bodysuit", "56", "Zoë", 9, 12)]
    [InlineData("baby-bodysuit", "74", "Zoë", 11, 16)]
    [InlineData("napkin", "45x45", "Odal", 8, 12)]
    [InlineData("napkin", "45x45", "MB", 18, 25)]
    [InlineData("tote", "38x42", "Salt", 20, 35)]
    [InlineData("tea-towel", "50x70", "Zoë", 15, 25)]
    public void Usual_heights(string form, string size, string words, double least, double most) =>
        Assert.InRange(Samples.Plan(Samples.On(form, words) with { Size = size }).Elements[0].CapHeightMm, least, most);

    /// <summary>On a baby's chest words take at most 60 % of the way between the armholes (from memory).</summary>
    [Theory]
    [InlineData("50")]
    [InlineData("62")]
    [InlineData("80")]
    public void Words_keep_within_the_chest(string size)
    {
        var plan = Samples.Plan(Samples.On("baby-bodysuit", "Wilhelmina Rosalind") with { Size = size });
        var seams = plan.Space.Obstacles.Where(o => o.Id.EndsWith("armhole", StringComparison.Ordinal)).SelectMany(o =>
            o.SeenAs!).ToArray();
        var between = seams.Where(p => p.X > 0).Min(p => p.X) - seams.Where(p => p.X < 0).Max(p => p.X);
        Assert.True(plan.Elements[0].BoxMm.Width <= (0.6 * between) + 1, $"{plan.Elements[0].BoxMm.Width} of {between}");
    }

    /// <summary>
    /// Facts of the cloth can each be overruled and each does something: light by colour and lining, opacity, pile, stretch.
    /// </summary>
    [Fact]
    public void Facts_of_the_cloth_are_settled_and_overruled()
    {
        Core.Materials.Cloth Of(FabricOverrides stated, string size = "38x42") =>
            Samples.Plan(Samples.On("tote") with { Fabric = stated, Size = size }).Item.Cloth;
        Assert.Equal("canvas", Of(new FabricOverrides()).Kind.Id);
        Assert.False(Of(new FabricOverrides()).Lined);
        Assert.True(Of(new FabricOverrides(), "38x42-lined").Lined);
        Assert.False(Of(new FabricOverrides(Lined: false), "38x42-lined").Lined);
        Assert.True(Of(new FabricOverrides("linen", Lined: true)).LightPercent < Of(new FabricOverrides("linen")).LightPercent);
        Assert.True(Of(new FabricOverrides("linen", "#202020")).LightPercent < Of(new FabricOverrides("linen", "#ffffff")).LightPercent);
        Assert.Equal(Core.Materials.Opacity.Sheer, Of(new FabricOverrides(Opacity: Core.Materials.Opacity.Sheer)).Opacity);
        Assert.True(Of(new FabricOverrides(StretchPercent: 30)).Stretchy);
        Assert.Equal(Core.Materials.Pile.Deep, Of(new FabricOverrides(Pile: Core.Materials.Pile.Deep)).Pile);
    }

    /// <summary>A copy of a form that is drawn otherwise names the zones it has, also where the first's were asked for before.</summary>
    [Fact]
    public void A_copy_names_its_own_zones()
    {
        var (tote, shirt) = (Catalogue.Find("tote")!, Catalogue.Find("t-shirt-adult")!);
        Assert.NotEqual(tote.Zones, shirt.Zones);
        var copy = tote with { Build = shirt.Build, Sizes = shirt.Sizes, UsualSize = shirt.UsualSize };
        Assert.Equal(shirt.Zones, copy.Zones);
        Assert.Equal(tote.Zones, (copy with { Build = tote.Build, Sizes = tote.Sizes, UsualSize = tote.UsualSize }).Zones);
        Assert.Same(tote.Zones, tote.Zones);
    }

    /// <summary>So with a drawing: of another figure another drawing follows, and two of the same name and figure are the same.</summary>
    [Fact]
    public void A_copied_drawing_is_drawn_anew()
    {
        var (daisy, leaf) = (Core.Motifs.MotifLibrary.Find("daisy")!.Build(5), Core.Motifs.MotifLibrary.Find("leaf-sprig")!.Build(5));
        var first = new Core.Jobs.OwnDrawing("mine", daisy);
        var parts = first.Drawn.Figure.Parts.Count;
        var second = first with { Figure = leaf };
        Assert.Equal(new Core.Jobs.OwnDrawing("mine", leaf).Drawn.Figure.Parts.Count, second.Drawn.Figure.Parts.Count);
        Assert.NotEqual(parts, second.Drawn.Figure.Parts.Count);
        Assert.Equal(new Core.Jobs.OwnDrawing("mine", daisy), first);
    }

    private static Polygon Polygon(IReadOnlyList<Pt> ring) =>
        new GeometryFactory().CreatePolygon(ring.Append(ring[0]).Select(p => new Coordinate(p.X, p.Y)).ToArray());
}
