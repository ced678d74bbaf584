using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Planning;
using Dittany.Core.Space;
using Dittany.Core.Tests.Planning;
using NetTopologySuite.Geometries;

namespace Dittany.Core.Tests.Items;

/// <summary>The four forms: sound shapes, fields with room, usual places, and the way to find them again.</summary>
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

    /// <summary>The oracle is the geometry library: outlines and obstacles are simple rings, the zone lies on the item, and the field is in one piece with room for words.</summary>
    [Theory]
    [MemberData(nameof(Everywhere))]
    public void Shapes_are_sound(string formId, string size, string zoneId)
    {
        var form = Catalogue.Find(formId)!;
        var drawn = form.At(size);
        Assert.True(Polygon(drawn.Outline).IsValid, "the outline crosses itself");
        Assert.All(drawn.Obstacles, o => Assert.True(Polygon(o.Ring).IsValid, $"{o.Id} crosses itself"));
        var zone = drawn.Zones.Single(z => z.Id == zoneId);
        Assert.True(Polygon(drawn.Outline).Buffer(0.5).Contains(Polygon(zone.Ring)), "the zone leaves the item");
        var field = Field.Of(drawn, zone);
        Assert.Single(field.Rings);
        var (least, greatest) = field.Box;
        Assert.True(greatest.X - least.X >= zone.Lettering.MostWidthMm * 0.9 || form.Id == "napkin", $"the field is only {greatest.X - least.X} wide");
        Assert.True(field.Holds(zone.Usual.AnchorMm), "the usual place lies outside the field");
        Assert.True(zone.Lettering.LeastCapMm < zone.Lettering.MostCapMm);
        Assert.NotNull(drawn.Landmark(zone.Finding.CentreId));
        Assert.NotNull(drawn.Landmark(zone.Finding.LevelId));
    }

    /// <summary>Stitches keep from each kind of obstacle what the table says (from memory): measured at the field, not at the table.</summary>
    [Theory]
    [InlineData("baby-bodysuit", "62", "chest", "neck-rib", 15)]
    [InlineData("baby-bodysuit", "80", "chest", "neck-rib", 15)]
    [InlineData("tea-towel", "50x70", "lower", "band", 5)]
    [InlineData("tote", "38x42", "panel", "left-side", 15)]
    public void Fields_keep_their_clearance(string form, string size, string zoneId, string obstacleId, double clearance)
    {
        var drawn = Catalogue.Find(form)!.At(size);
        var field = Field.Of(drawn, drawn.Zones.Single(z => z.Id == zoneId));
        var obstacle = drawn.Obstacles.Single(o => o.Id == obstacleId);
        var apart = field.Rings.SelectMany(r => r).Min(p => Region.Of(obstacle.Ring).OutsideBy(p));
        Assert.True(apart >= clearance - 0.05, $"{apart}");
    }

    /// <summary>Usual places (from memory): a bodysuit's words 30 or 40 mm below the neck seam, a napkin's 65 mm from both edges, a tote's 70 below the hem and 90 above the base, a towel's 70 above its hem.</summary>
    [Fact]
    public void Usual_places()
    {
        double TopOf(string size) => Jobs.Plan(Jobs.On("baby-bodysuit", "HE") with { Size = size }).Elements[0] is var e ? e.BoxMm.Y + (e.LineWidthMm / 2) : 0;
        Assert.Equal(30, TopOf("56"), 1);
        Assert.Equal(40, TopOf("62"), 1);
        Assert.Equal(new Pt(450 - 65, 450 - 65), Jobs.Plan(Jobs.On("napkin", "on")).Elements[0].CentreMm);
        var tote = Jobs.Plan(Jobs.On("tote", "Wilhelmina", w => w with { CapHeightMm = 35 })).Elements[0].BoxMm;
        Assert.True(tote.Y >= 30 + 70 && tote.Y + tote.Height <= 420 - 90);
        Assert.Equal(700 - 10 - 70, Jobs.Plan(Jobs.On("tea-towel", "Zoë")).Elements[0].BaselineMm.Y);
    }

    /// <summary>Usual heights (from memory): bodysuit 9 to 12 or 11 to 16, napkin 8 to 12 and 18 to 25 for a monogram, tote 20 to 35, towel 15 to 25.</summary>
    [Theory]
    [InlineData("baby-bodysuit", "56", "Zoë", 9, 12)]
    [InlineData("baby-bodysuit", "74", "Zoë", 11, 16)]
    [InlineData("napkin", "45x45", "Odal", 8, 12)]
    [InlineData("napkin", "45x45", "MB", 18, 25)]
    [InlineData("tote", "38x42", "Salt", 20, 35)]
    [InlineData("tea-towel", "50x70", "Zoë", 15, 25)]
    public void Usual_heights(string form, string size, string words, double least, double most) =>
        Assert.InRange(Jobs.Plan(Jobs.On(form, words) with { Size = size }).Elements[0].CapHeightMm, least, most);

    /// <summary>On a baby's chest words take at most 60 % of the way between the armholes (from memory).</summary>
    [Theory]
    [InlineData("50")]
    [InlineData("62")]
    [InlineData("80")]
    public void Words_keep_within_the_chest(string size)
    {
        var plan = Jobs.Plan(Jobs.On("baby-bodysuit", "Wilhelmina Rosalind") with { Size = size });
        var seams = plan.Space.Obstacles.Where(o => o.Id.EndsWith("armhole", StringComparison.Ordinal)).SelectMany(o => o.SeenAs!).ToArray();
        var between = seams.Where(p => p.X > 0).Min(p => p.X) - seams.Where(p => p.X < 0).Max(p => p.X);
        Assert.True(plan.Elements[0].BoxMm.Width <= (0.6 * between) + 1, $"{plan.Elements[0].BoxMm.Width} of {between}");
    }

    /// <summary>Following the steps on the simulated item ends where the plan is, within half a millimetre each way, on every item.</summary>
    [Theory]
    [MemberData(nameof(Everywhere))]
    public void Following_the_steps_finds_the_place(string form, string size, string zone)
    {
        var plan = Jobs.Plan(Jobs.On(form, "Zoë") with { Size = size, Zone = zone });
        var (centre, level) = (plan.Space.CentreLine.From.X, plan.Space.LevelLine.From.Y);
        var steps = plan.Space.FindIt;
        var mark = steps.Single(s => s.Contains("mark a dot", StringComparison.Ordinal));
        var numbers = System.Text.RegularExpressions.Regex.Matches(mark, @"(?<mm>\d+) mm (?<way>in|up|down)", System.Text.RegularExpressions.RegexOptions.ExplicitCapture, TimeSpan.FromSeconds(1)).Select(m => (Mm: double.Parse(m.Groups["mm"].Value, System.Globalization.CultureInfo.InvariantCulture), Way: m.Groups["way"].Value)).ToArray();
        var y = level + numbers.Where(n => n.Way != "in").Sum(n => n.Way == "up" ? -n.Mm : n.Mm);
        var x = centre - numbers.Where(n => n.Way == "in").Sum(n => n.Mm);
        Assert.InRange(x - plan.Elements[0].BaselineMm.X, -0.5, 0.5);
        Assert.InRange(y - plan.Elements[0].BaselineMm.Y, -0.5, 0.5);
    }

    /// <summary>Facts of the cloth can each be overruled and each does something: light by colour and lining, opacity, pile, stretch.</summary>
    [Fact]
    public void Facts_of_the_cloth_are_settled_and_overruled()
    {
        Core.Materials.Cloth Of(StatedFabric stated, string size = "38x42") => Jobs.Plan(Jobs.On("tote") with { Fabric = stated, Size = size }).Item.Cloth;
        Assert.Equal("canvas", Of(new StatedFabric()).Kind.Id);
        Assert.False(Of(new StatedFabric()).Lined);
        Assert.True(Of(new StatedFabric(), "38x42-lined").Lined);
        Assert.False(Of(new StatedFabric(Lined: false), "38x42-lined").Lined);
        Assert.True(Of(new StatedFabric("linen", Lined: true)).LightPercent < Of(new StatedFabric("linen")).LightPercent);
        Assert.True(Of(new StatedFabric("linen", "#202020")).LightPercent < Of(new StatedFabric("linen", "#ffffff")).LightPercent);
        Assert.Equal(Core.Materials.Opacity.Sheer, Of(new StatedFabric(Opacity: Core.Materials.Opacity.Sheer)).Opacity);
        Assert.True(Of(new StatedFabric(StretchPercent: 30)).Stretchy);
        Assert.Equal(Core.Materials.Pile.Deep, Of(new StatedFabric(Pile: Core.Materials.Pile.Deep)).Pile);
    }

    private static Polygon Polygon(IReadOnlyList<Pt> ring) => new GeometryFactory().CreatePolygon(ring.Append(ring[0]).Select(p => new Coordinate(p.X, p.Y)).ToArray());
}
