using Dittany.Core.Geometry;
using Dittany.Core.Jobs;
using Dittany.Core.Motifs;
using Dittany.Core.Planning;
using Dittany.Core.Tests.Planning;

namespace Dittany.Core.Tests.Motifs;

public class MotifTests
{
    public static TheoryData<string> All() => [.. MotifLibrary.Ids];

    [Fact]
    public void There_are_at_least_thirty_six_with_their_own_ids()
    {
        Assert.True(MotifLibrary.All.Count >= 36);
        Assert.Equal(MotifLibrary.All.Count, MotifLibrary.Ids.Distinct(StringComparer.Ordinal).Count());
    }

    /// <summary>Every motif at every count: sound strokes, closed shapes, known roles, inside the box it was drawn for.</summary>
    [Theory]
    [MemberData(nameof(All))]
    public void Is_drawn_soundly_at_every_count(string id)
    {
        var motif = MotifLibrary.Find(id)!;
        var counts = motif.Counted is { } c ? Enumerable.Range(c.Least, Math.Min(20, c.Most - c.Least + 1)).Append(c.Most) : [0];
        foreach (var count in counts)
        {
            var figure = motif.DrawWithin(40, 60, new MotifShape(count));
            Assert.NotEmpty(figure.Parts);
            Assert.True(figure.Width <= 40.001 && figure.Height <= 60.001 && (figure.Width > 39.9 || figure.Height > 59.9));
            Assert.All(figure.Parts, p =>
            {
                Assert.True(motif.Wears.ContainsKey(p.Role)
                    || DrawingStitching.Roles.Any(r => r.Role == Core.Designs.Roles.Kind(p.Role)), p.Role);
                Assert.Equal(p.Kind == FigureKind.Shape, p.Stroke.Closed);
                Assert.All(p.Stroke.Curves.Zip(p.Stroke.Curves.Skip(1)), pair => Assert.True(pair.First.P3.To(pair.Second.P0) < 1e-6));
                Assert.All(p.Line, q => Assert.True(double.IsFinite(q.X) && double.IsFinite(q.Y)));
            });
        }
    }

    /// <summary>What a motif wears is of our palette, and every role it names is there to wear it.</summary>
    [Theory]
    [MemberData(nameof(All))]
    public void Wears_colours_on_parts_it_has(string id)
    {
        var motif = MotifLibrary.Find(id)!;
        var roles = motif.Draw(new MotifShape(motif.Counted?.Most)).Parts.Select(p => p.Role).ToHashSet(StringComparer.Ordinal);
        Assert.All(motif.Wears, worn =>
        {
            Assert.Contains(worn.Key, roles);
            Assert.All(worn.Value.Split(' '), colour => Assert.Contains(colour, Core.Materials.Palette.Colours.Select(c => c.Id)));
        });
    }

    /// <summary>
    /// Rich motifs are areas in layers: what lies in front hides what is behind it, and they are filled where nobody said otherwise.
    /// </summary>
    [Theory]
    [MemberData(nameof(Rich))]
    public void Rich_motifs_lie_in_layers(string id)
    {
        var plan = Planning.Samples.Make(new Job("cushion-cover", [new MotifElement("m", id, HeightMm: 80)], Planning.Samples.Monday),
            Workshop.Default);
        var design = plan.Elements[0].Design!;
        Assert.NotNull(plan.Decision("order.layers"));
        Assert.Contains(plan.Elements[0].Parts, p => p.Filling is not null);
        Assert.True(design.Shapes.Count(s => s.Area is not null) >= 2 || id == "umbel-stalk");
        Assert.True(design.Shapes.Select(s => s.Layer).Distinct().Count() >= 2);
        var seen = design.Visible(0).Shapes.Where(s => s.Area is not null).ToArray();
        for (var i = 0; i < seen.Length; i++)
        {
            Assert.All(seen.Skip(i + 1).Where(s => s.Layer != seen[i].Layer), s =>
                Assert.InRange(s.Area!.Covers().Within(seen[i].Area!.Covers()).AreaMm2, 0, 0.05));
        }
    }

    public static TheoryData<string> Rich() => [.. MotifLibrary.All.Where(m => m.Rich).Select(m => m.Id)];

    /// <summary>
    /// Mirrored twice is itself; a wobble of the same seed is the same line and of another seed another; it strays no further than it says.
    /// </summary>
    [Theory]
    [MemberData(nameof(All))]
    public void Is_varied_as_asked(string id)
    {
        var motif = MotifLibrary.Find(id)!;
        var (plain, mirrored) = (motif.Draw(), motif.Draw(new MotifShape(Mirrored: true)));
        Assert.All(plain.Parts.Zip(mirrored.Parts), p => Assert.Equal(-p.First.Stroke.Start.X, p.Second.Stroke.Start.X, 6));
        var (one, same, other) = (motif.Draw(new MotifShape(Wobble: 0.03, Seed: 4)), motif.Draw(new MotifShape(Wobble: 0.03, Seed: 4)),
            motif.Draw(new MotifShape(Wobble: 0.03, Seed: 5)));
        Assert.Equal(one.Parts[0].Line, same.Parts[0].Line);
        Assert.NotEqual(one.Parts[0].Line, other.Parts[0].Line);
        var size = Math.Max(plain.Width, plain.Height);
        Assert.All(plain.Parts.Zip(one.Parts), p => Assert.True(p.First.Stroke.Start.To(p.Second.Stroke.Start) <= 0.03 * size * 3));
    }

    /// <summary>A regular n-gon: five petals are 72° apart (Euclid IV.11), six arms 60°, and so on for any number.</summary>
    [Theory]
    [InlineData("five-petal-flower", 5)]
    [InlineData("five-petal-flower", 7)]
    [InlineData("daisy", 12)]
    [InlineData("sunflower", 14)]
    [InlineData("clover", 4)]
    public void Petals_stand_evenly_round(string id, int count)
    {
        var petals = MotifLibrary.Find(id)!.Build(count).Parts.Where(p => p.Kind == FigureKind.Shape
            && p.Role is "petal" or "leaf").ToArray();
        var middles = petals.Where(p => p.Role != "centre").Select(p =>
            p.Stroke.Curves.Select(c => c.P0).Aggregate((a, b) => a + b) * (1.0 / p.Stroke.Curves.Count)).Take(count).ToArray();
        var angles = middles.Select(m => Math.Atan2(m.Y, m.X)).Order().ToArray();
        Assert.Equal(count, angles.Length);
        Assert.All(angles.Zip(angles.Skip(1)), a => Assert.Equal(360.0 / count, (a.Second - a.First) * 180 / Math.PI, 3));
        Assert.All(middles, m => Assert.Equal(middles[0].Length, m.Length, 6));
    }

    /// <summary>
    /// In a ring of n each turns by 360/n and neighbours are the same way apart: the side of a regular n-gon, 2R·sin(π/n).
    /// </summary>
    [Theory]
    [InlineData(2)]
    [InlineData(5)]
    [InlineData(12)]
    public void A_ring_is_a_regular_polygon(int count)
    {
        var places = Arranging.RingPlaces(count, 0.8, middle: true);
        var radius = places[0].At.Length;
        for (var i = 0; i < count; i++)
        {
            Assert.Equal(2 * radius * Math.Sin(Math.PI / count), places[i].At.To(places[(i + 1) % count].At), 9);
            Assert.Equal(Math.Tau * i / count, places[i].Radians, 9);
        }
    }

    /// <summary>
    /// Even spread, by the distance measure of Clark and Evans (1954): mean nearest neighbour over that expected of chance, 0.5/√density.
    /// Chance gives 1, a hexagonal grid 2.149; an even scatter lies well above 1 and is no grid. Edges shorten neither, for they repel as
    /// half a neighbour.
    /// </summary>
    [Theory]
    [InlineData(9, 1)]
    [InlineData(25, 7)]
    [InlineData(60, 123)]
    public void A_scatter_is_even_and_no_grid(int count, int seed)
    {
        var places = Arranging.ScatterPlaces(count, 30, 20, seed);
        var nearest = places.Average(p => places.Where(q => q != p).Min(q => q.To(p)));
        var ratio = nearest / (0.5 / Math.Sqrt(count / 600.0));
        Assert.InRange(ratio, 1.3, 2.1);
        Assert.Equal(places, Arranging.ScatterPlaces(count, 30, 20, seed));
        Assert.NotEqual(places, Arranging.ScatterPlaces(count, 30, 20, seed + 1));
    }

    /// <summary>A border closes on itself: along it the way from the last to the first is the way between all others.</summary>
    [Theory]
    [InlineData(8, 1.0)]
    [InlineData(16, 1.6)]
    [InlineData(23, 0.5)]
    public void A_border_closes_on_itself(int count, double aspect)
    {
        var dot = new Figure([FigurePart.Dot("dot", new Pt(0, 0), 1)]);
        var whole = Arranging.Lay(dot, new Repeat("border", count, Aspect: aspect));
        var at = whole.Parts.Select(p => p.Middle).ToArray();
        var steps = Enumerable.Range(0, count).Select(i => at[i].To(at[(i + 1) % count])).ToArray();
        Assert.Equal(count, at.Length);

        // Straight between neighbours is at most the way along the edge, and at a corner not much less.
        Assert.True(steps.Min() > steps.Max() * 0.7, $"{steps.Min()} against {steps.Max()}");
        Assert.InRange(steps[^1], steps.Min(), steps.Max());
        if (count % 2 == 0)
        {
            // An even number turns the corners: four of them stand in the corners of the box of places.
            var (x, y) = (at.Max(p => p.X), at.Max(p => p.Y));
            Assert.Equal(4, at.Count(p => Math.Abs(Math.Abs(p.X) - x) < 1e-9 && Math.Abs(Math.Abs(p.Y) - y) < 1e-9));
            Assert.InRange(x / y, aspect * 0.8, aspect * 1.45);
        }
    }

    /// <summary>Whatever the motif is like and however many there are, no two of a border come near each other.</summary>
    [Theory]
    [InlineData("daisy", 16)]
    [InlineData("heart", 8)]
    [InlineData("single-leaf", 24)]
    [InlineData("leaf-sprig", 12)]
    [InlineData("daisy", 4)]
    [InlineData("daisy", 6)]
    public void Those_of_a_border_keep_apart(string id, int count)
    {
        var whole = Arranging.Lay(MotifLibrary.Find(id)!.Draw(new MotifShape()), new Repeat("border", count, Aspect: 1.4));
        var copies = whole.Parts.GroupBy(p => p.Copy).Select(g => Region.Sound(Region.HullOf(g.SelectMany(p => p.Line).ToArray())))
            .ToArray();
        Assert.Equal(count, copies.Length);
        for (var i = 0; i < copies.Length; i++)
        {
            Assert.All(copies.Skip(i + 1), other => Assert.True(copies[i].Within(other).IsEmpty));
        }
    }

    /// <summary>Every fifth, from all shelves: each plan places every stitch of its motif three times.</summary>
    public static TheoryData<string> Some() => [.. MotifLibrary.Ids.Where((_, i) => i % 5 == 0)];

    /// <summary>Everything a motif is planned to: inside the field with its thread, largest exact, every part stitched.</summary>
    [Theory]
    [MemberData(nameof(Some))]
    public void A_motif_is_planned_whole(string id)
    {
        Job With(double? high) => new("tote", [new MotifElement("m", id, HeightMm: high)], Samples.Monday);
        var plan = Samples.Plan(With(null));
        var element = Assert.Single(plan.Elements);
        Assert.True(element.IsMotif);
        Assert.Equal(0, element.OverflowsMm);
        Assert.NotEmpty(element.Parts);
        Assert.Equal(element.Parts.Sum(p => p.Stitches.Count), plan.Route.Count);
        Assert.Equal(0, Samples.Plan(With(element.LargestCapHeightMm * 0.98)).Elements[0].OverflowsMm);
        Assert.True(Samples.Plan(With(element.LargestCapHeightMm * 1.03)).Elements[0].OverflowsMm > 0);
    }

    [Theory]
    [InlineData("row")]
    [InlineData("zigzag")]
    [InlineData("ring")]
    [InlineData("border")]
    [InlineData("scatter")]
    [InlineData("corner")]
    [InlineData("pair")]
    public void Every_arrangement_is_planned(string arrangement)
    {
        var plan = Samples.Plan(new Job("tablecloth", [new MotifElement("m", "daisy", Arrangement: arrangement, Parts: 8)], Samples.Monday));
        Assert.Equal(0, plan.Elements[0].OverflowsMm);
        var flowers = plan.Elements[0].Parts.Count(p => p.Role == "centre");
        var (wide, high) = (plan.Elements[0].BoxMm.Width, plan.Elements[0].BoxMm.Height);
        if (arrangement == "border")
        {
            // How many go round follows from the room; every corner has one, so their number is even.
            Assert.Equal(0, flowers % 2);
            Assert.InRange(flowers, 8, (wide + high) * 2 / 10);
            return;
        }

        Assert.Equal(Arranging.UsualCount(arrangement), flowers);
    }

    /// <summary>
    /// What a needle does for each part: stems in stem stitch on woven cloth, veins a strand thinner, dots as knots, and dots last of all.
    /// </summary>
    [Fact]
    public void Parts_are_stitched_as_what_they_are()
    {
        var parts = Samples.Plan(new Job("tote", [new MotifElement("m", "cherries", HeightMm: 70),
            new MotifElement("s", "strawberry", HeightMm: 60, CentreMm: new Pt(190, 320))], Samples.Monday)).Elements.SelectMany(e => e.Parts).ToArray();
        Assert.All(parts.Where(p => p.Role == "stem"), p => Assert.Equal("stem", p.Stitch));
        Assert.All(parts.Where(p => p.Role == "vein"), p => Assert.Equal(2, p.Strands));
        Assert.All(parts.Where(p => p.Role == "dot"), p => Assert.Equal("french-knot", p.Stitch));
        Assert.Equal("dot", parts[^1].Role);
    }
}
