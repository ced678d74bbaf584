using Dittany.Core.Geometry;
using Dittany.Core.Jobs;
using Dittany.Core.Planning;
using Dittany.Core.Telling;
using Dittany.Core.Tests.Planning;
using Dittany.Core.Transfer;
using FsCheck;
using FsCheck.Fluent;

namespace Dittany.Core.Tests.Transfer;

/// <summary>
/// Paper shapes: rough circles and outlines to be pushed about on the item (common practice: paper scraps about the size of the flowers).
/// </summary>
[Trait("Lane", "long")]
public class PaperShapeTests
{
    private static Plan Cushion(MotifElement motif) => Samples.Plan(new Job("cushion-cover", [motif], Samples.Monday));

    /// <summary>
    /// A regular polygon's corners lie on its circle; the paper round it is a circle larger by the spare and half the line.
    /// </summary>
    [Theory]
    [InlineData(12, 20)]
    [InlineData(24, 8)]
    public void What_is_nearly_round_is_cut_as_a_circle(int corners, double radius)
    {
        Pt[] ring = [.. Enumerable.Range(0, corners + 1).Select(i =>
            new Pt(50 + (radius * Math.Cos(Math.Tau * i / corners)), 30 + (radius * Math.Sin(Math.Tau * i / corners))))];
        var shape = PaperShape.Of("round", [ring], 1);
        Assert.True(shape.Round);
        Assert.Equal((50, 30), (Math.Round(shape.MiddleMm.X, 3), Math.Round(shape.MiddleMm.Y, 3)));
        Assert.InRange(shape.WidthMm, 2 * (radius + PaperShape.SpareMm + 0.5) - 0.01, (2 * (radius + PaperShape.SpareMm + 0.5)) + 0.12);
    }

    /// <summary>A long bar is no circle, and scissors go round it at the spare and no nearer.</summary>
    [Fact]
    public void What_is_long_is_cut_along()
    {
        var shape = PaperShape.Of("bar", [[new(0, 0), new(80, 0)]], 1);
        Assert.False(shape.Round);
        Assert.InRange(shape.HeightMm, 2 * (PaperShape.SpareMm + 0.5) - 1, 2 * (PaperShape.SpareMm + 0.5) + 1);
        Assert.InRange(shape.WidthMm, 80 + (2 * PaperShape.SpareMm), 80 + (2 * PaperShape.SpareMm) + 2);
    }

    /// <summary>As many shapes as there are copies, the middle one among them; a single knot is a small disc.</summary>
    [Fact]
    public void Every_copy_has_its_own_and_what_joins_them_has_none()
    {
        var ring = PaperShapes.Of(Cushion(new MotifElement("m", "daisy", Arrangement: "ring", Count: 7, Middle: true)));
        Assert.Equal(8, ring.Count);
        Assert.All(ring, s => Assert.True(s.Round));
        Assert.Equal(8, ring.Select(s => s.Name).Distinct(StringComparer.Ordinal).Count());

        // Evenly turned about one middle: all eight middles have the place of the ring (regular heptagon and its centre).
        var centre = ring[^1].MiddleMm;
        Assert.True(ring.SkipLast(1).Max(s => s.MiddleMm.To(centre)) - ring.SkipLast(1).Min(s => s.MiddleMm.To(centre)) < 0.1);

        var stem = PaperShapes.Of(Cushion(new MotifElement("m", "tulip", Arrangement: "zigzag", Count: 5)));
        Assert.Equal(5, stem.Count);
        Assert.All(stem, s => Assert.True(s.WidthMm < 100, "the stem that joins them is drawn in by hand"));
        Assert.Equal(2 * PaperShape.SpareMm + 1, PaperShape.Of("knot", [[new(5, 5)]], 1).WidthMm, 1);
    }

    /// <summary>
    /// Whatever it is, the paper stands for the room it wants: every stitch lies on it, and it hangs together in one piece.
    /// </summary>
    [ManyTimes(12, Arbitrary = [typeof(Motifs)])]
    public void All_stitches_lie_on_the_paper(MotifElement motif)
    {
        var plan = Cushion(motif);
        var shapes = PaperShapes.Of(plan);
        Assert.NotEmpty(shapes);
        var on = shapes.Select(s => Region.Of(s.OutlineMm)).ToArray();
        var stitches = plan.Elements.SelectMany(e => e.Parts).Where(p => p.Copy >= 0).SelectMany(p => p.Stitches).ToArray();
        Assert.All(stitches, s => Assert.Contains(on, r => r.Holds(s.FromMm) && r.Holds(s.ToMm)));
    }

    /// <summary>Shapes on leaves: each once, upright, inside the room, none on another; what is larger than the room is told.</summary>
    [ManyTimes(100)]
    public void Nested_shapes_never_lie_on_each_other(PositiveInt seed, byte count)
    {
        var random = new System.Random(seed.Get);
        var shapes = Enumerable.Range(0, count % 40).Select(i =>
            PaperShape.Of($"{i}", [[new(0, 0), new(random.Next(5, 240), random.Next(5, 300))]], 1)).ToArray();
        var (leaves, tooLarge) = PaperNest.Lay(shapes, 186, 239);
        Assert.Equal(shapes.Select(s => s.Name).Order(StringComparer.Ordinal),
            leaves.SelectMany(l => l.Select(n => n.Shape.Name)).Concat(tooLarge.Select(s => s.Name)).Order(StringComparer.Ordinal));
        Assert.All(tooLarge, s => Assert.True(s.WidthMm > 186 || s.HeightMm > 239));
        foreach (var leaf in leaves)
        {
            Assert.All(leaf, n => Assert.True(n.XMm >= 0 && n.YMm >= 0 && n.XMm + n.Shape.WidthMm <= 186.001 && n.YMm
                + n.Shape.HeightMm <= 239.001));
            foreach (var (a, b) in leaf.SelectMany((a, i) => leaf.Skip(i + 1).Select(b => (a, b))))
            {
                Assert.True(a.XMm + a.Shape.WidthMm <= b.XMm + 0.001 || b.XMm + b.Shape.WidthMm <= a.XMm + 0.001 || a.YMm
                    + a.Shape.HeightMm <= b.YMm + 0.001 || b.YMm + b.Shape.HeightMm <= a.YMm + 0.001);
            }
        }
    }

    public static class Motifs
    {
        public static Arbitrary<MotifElement> Any() => Arb.From(
            from motif in Gen.Elements<string>([.. Core.Motifs.MotifLibrary.Ids])
            from how in Gen.Elements("one", "row", "ring", "scatter", "corner")
            select new MotifElement("m", motif, Arrangement: how));
    }
}
