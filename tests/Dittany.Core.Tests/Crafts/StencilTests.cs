using Dittany.Core.Crafts.Painting;
using Dittany.Core.Geometry;
using FsCheck.Fluent;

namespace Dittany.Core.Tests.Crafts;

/// <summary>A stencil stays in one piece: facts of letters, and what holds of any openings.</summary>
public class StencilTests
{
    private static Region Disc(double x, double y, double r) => Region.Of(Enumerable.Range(0, 64).Select(i => Math.Tau * i / 64)
        .Select(a => new Pt(x + (r * Math.Cos(a)), y + (r * Math.Sin(a)))).ToArray());

    private static Region Ring(double x, double y, double outer, double inner) => Disc(x, y, outer).Without(Disc(x, y, inner));

    private static int FilmPieces(Region cut)
    {
        var (least, most) = cut.Box;
        return Region.Rectangle(least.X - 5, least.Y - 5, most.X - least.X + 10, most.Y - least.Y + 10).Without(cut).Pieces().Count;
    }

    /// <summary>The counter of an o falls out unless it is held (common knowledge of stencils): two bridges, across each other.</summary>
    [Fact]
    public void The_inside_of_an_o_is_held_on_two_sides()
    {
        var stencil = Stencil.Of(Ring(20, 20, 10, 6));
        Assert.Equal(1, stencil.Islands);
        Assert.Equal(2, stencil.Bridges.Count);
        Assert.Equal(1, FilmPieces(stencil.Cut));
        Assert.Equal(2, stencil.Cut.Pieces().Count);

        // Each bridge is as wide as a web and as long as the stroke: 4 mm by 1.5 mm.
        Assert.All(stencil.Bridges, b => Assert.Equal(6, b.AreaMm2, 0.25));
        var middles = stencil.Bridges.Select(b => Pt.Lerp(b.Box.Least, b.Box.Greatest, 0.5) - new Pt(20, 20)).ToArray();
        Assert.True(Pt.Dot(middles[0], middles[1]) < 0);
        Assert.Equal(stencil.Openings.AreaMm2 - stencil.Bridges.Sum(b => b.AreaMm2), stencil.Cut.AreaMm2, 0.05);
    }

    /// <summary>An 8 has two islands, an i none; a ring in a ring hangs together through both.</summary>
    [Fact]
    public void Islands_are_counted_as_they_fall_out()
    {
        Assert.Equal(2, Stencil.Of(Ring(20, 20, 10, 5).With(Ring(20, 36, 10, 5))).Islands);
        var i = Stencil.Of(Region.Rectangle(0, 5, 4, 20).With(Disc(2, 0, 2.5)));
        Assert.Equal((0, 0), (i.Islands, i.Bridges.Count));
        var nested = Stencil.Of(Ring(30, 30, 24, 18).With(Ring(30, 30, 12, 6)));
        Assert.Equal(2, nested.Islands);
        Assert.Equal(1, FilmPieces(nested.Cut));
    }

    /// <summary>Webs and openings are measured: two bars 0.8 mm apart, and a bar 0.6 mm wide.</summary>
    [Fact]
    public void Narrow_film_and_narrow_openings_are_measured()
    {
        var bars = Stencil.Of(Region.Rectangle(0, 0, 5, 20).With(Region.Rectangle(5.8, 0, 5, 20)));
        Assert.InRange(bars.NarrowestWebMm()!.Value, 0.75, 0.85);
        Assert.Null(bars.NarrowestOpeningMm());
        var (apart, lost) = Stencil.HeldApart(bars.Openings);
        Assert.Null(Stencil.Of(apart).NarrowestWebMm());
        Assert.InRange(lost, 0.7 * 20 * 0.8, 0.7 * 20 * 1.6);
        var thin = Stencil.Of(Region.Rectangle(0, 0, 0.6, 20));
        Assert.InRange(thin.NarrowestOpeningMm()!.Value, 0.55, 0.65);
        Assert.Null(Stencil.Of(Region.Rectangle(0, 0, 5, 20).With(Region.Rectangle(7, 0, 5, 20))).NarrowestWebMm());
    }

    /// <summary>On random rings over each other: the film is in one piece, bridges lie in the openings, nothing else is lost.</summary>
    [ManyTimes(40)]
    public FsCheck.Property Any_stencil_is_in_one_piece() => Prop.ForAll(
        FsCheck.Fluent.Arb.From(
            from count in Gen.Choose(1, 6)
            from places in Gen.ArrayOf(Gen.Choose(0, 60), count * 2)
            from sizes in Gen.ArrayOf(Gen.Choose(4, 20), count)
            from inner in Gen.ArrayOf(Gen.Choose(20, 90), count)
            select (places, sizes, inner)),
        input =>
        {
            var openings = Enumerable.Range(0, input.sizes.Length).Aggregate(Region.Empty, (all, i) => all.With(Ring(
                input.places[2 * i], input.places[(2 * i) + 1], input.sizes[i], input.sizes[i] * input.inner[i] / 100.0)));
            var stencil = Stencil.Of(openings);
            var name = $"[{string.Join(' ', input.places)}] [{string.Join(' ', input.sizes)}] [{string.Join(' ', input.inner)}]";
            Assert.True(FilmPieces(stencil.Cut) == 1, name);
            Assert.True(stencil.Islands == 0 || stencil.Bridges.Count > 0, name);
            Assert.All(stencil.Bridges, b => Assert.True(b.Without(openings.Offset(1e-6)).AreaMm2 < 0.01, name));
            var standing = stencil.Bridges.Aggregate(Region.Empty, (a, b) => a.With(b));
            Assert.Equal(openings.AreaMm2, stencil.Cut.AreaMm2 + standing.AreaMm2, 0.05);
        });
}
