using Dittany.Core.Geometry;
using FsCheck;
using FsCheck.Fluent;

namespace Dittany.Core.Tests.Geometry;

/// <summary>
/// The map between two views of a plane, against the closed form for a square (Heckbert, Fundamentals of Texture Mapping and Image Warping,
/// 1989) and against its own back.
/// </summary>
public class HomographyTests
{
    private static readonly Pt[] Square = [new(0, 0), new(1, 0), new(1, 1), new(0, 1)];

    [ManyTimes(200)]
    public Property Four_corners_agree_with_the_closed_form() => Prop.ForAll(Quads(), quad =>
    {
        var map = Homography.Of(Square.Zip(quad).ToArray())!;
        var far = from x in new[] { 0, 0.25, 0.5, 1 } from y in new[] { 0, 0.4, 1 } select map.Map(new Pt(x, y)).To(Heckbert(quad, x, y));
        var back = from x in new[] { 0.1, 0.9 }
                   from y in new[] { 0.2,
            0.7 }
                   select map.Inverse().Map(map.Map(new Pt(x, y))).To(new Pt(x, y));
        return (far.Max() < 1e-6 && back.Max() < 1e-9).Label($"{far.Max()} {back.Max()}");
    });

    /// <summary>Ten pairs of one exact map give the same map; the scale at a point is what a small step really grows by.</summary>
    [Fact]
    public void More_pairs_and_the_scale_at_a_point()
    {
        var map = Homography.Of(Square.Zip([new Pt(10, 20), new Pt(420, 60), new Pt(380, 300), new Pt(40, 340)]).ToArray())!;
        var points = Enumerable.Range(0, 10).Select(i => new Pt(i % 4 * 0.3, i * 0.1)).ToArray();
        var again = Homography.Of(points.Select(p => (p, map.Map(p))).ToArray())!;
        Assert.All(points, p => Assert.Equal(0, again.Map(p + new Pt(0.05, 0.02)).To(map.Map(p + new Pt(0.05, 0.02))), 6));

        var (most, least) = map.ScaleAt(new Pt(0.4, 0.6));
        var grown = Enumerable.Range(0, 360).Select(d => new Pt(Math.Cos(d * Math.PI / 180), Math.Sin(d * Math.PI / 180)) * 1e-6).Select(
            s => map.Map(new Pt(0.4, 0.6) + s).To(map.Map(new Pt(0.4, 0.6))) / 1e-6).ToArray();
        Assert.Equal(grown.Max(), most, 1);
        Assert.Equal(grown.Min(), least, 1);
    }

    [Fact]
    public void Points_that_settle_nothing_give_none()
    {
        Assert.Null(Homography.Of(Square.Take(3).Zip(Square).ToArray()));
        Assert.Null(Homography.Of(new[] { new Pt(0, 0), new Pt(1, 0), new Pt(2, 0), new Pt(0, 1) }.Zip(Square).ToArray()));
        Assert.Null(Homography.Of(new[] { new Pt(0, 0), new Pt(0, 0), new Pt(0, 0), new Pt(0, 0) }.Zip(Square).ToArray()));
        Assert.Null(Homography.Of(new[] { new Pt(0, 0), new Pt(1, 0), new Pt(1, double.NaN), new Pt(0, 1) }.Zip(Square).ToArray()));
    }

    private static Pt Heckbert(Pt[] q, double u, double v)
    {
        var (d1, d2, s) = (q[1] - q[2], q[3] - q[2], q[0] - q[1] + q[2] - q[3]);
        var det = (d1.X * d2.Y) - (d2.X * d1.Y);
        var (g, h) = (((s.X * d2.Y) - (d2.X * s.Y)) / det, ((d1.X * s.Y) - (s.X * d1.Y)) / det);
        var (a, b, d, e) = (q[1].X - q[0].X + (g * q[1].X), q[3].X - q[0].X + (h * q[3].X), q[1].Y - q[0].Y + (g * q[1].Y), q[3].Y - q[0].Y
            + (h * q[3].Y));
        var w = (g * u) + (h * v) + 1;
        return new Pt(((a * u) + (b * v) + q[0].X) / w, ((d * u) + (e * v) + q[0].Y) / w);
    }

    /// <summary>Quadrilaterals that bulge nowhere inwards: a square with each corner moved by up to a third.</summary>
    private static Arbitrary<Pt[]> Quads() => Arb.From(
        from moves in Gen.Choose(-300, 300).ArrayOf(8)
        from scale in Gen.Choose(20, 3000)
        select Square.Select((p, i) => (p + (new Pt(moves[2 * i], moves[(2 * i) + 1]) * 0.001)) * scale).ToArray());
}
