using Dittany.Core.Geometry;
using FsCheck;
using FsCheck.Fluent;

namespace Dittany.Core.Tests.Geometry;

/// <summary>Curves, strokes, lines and circles against what analysis says of them.</summary>
public class CurveTests
{
    /// <summary>
    /// The handle that makes a cubic of a quarter circle, 4/3·(√2 − 1), leaves it by 2.7 parts in ten thousand at the most (a known bound).
    /// </summary>
    private static readonly Curve Quarter = new(new(1, 0), new(1, 4.0 / 3 * (Math.Sqrt(2) - 1)), new(4.0 / 3 * (Math.Sqrt(2) - 1), 1),
        new(0, 1));

    [Fact]
    public void A_quarter_circle_is_as_round_as_it_can_be()
    {
        for (var t = 0.0; t <= 1; t += 0.01)
        {
            Assert.InRange(Quarter.At(t).Length, 0.99999, 1.00028);
            Assert.Equal(1, Quarter.CurvatureAt(t), 0.03);
        }

        Assert.Equal(-Quarter.CurvatureAt(0.3), Quarter.Reversed().CurvatureAt(0.7), 9);

        // Twice as large it bends half as much.
        Assert.Equal(Quarter.CurvatureAt(0.4) / 2, Quarter.Map(p => p * 2).CurvatureAt(0.4), 9);
    }

    /// <summary>
    /// The velocity is the limit of steps, what is left after a parameter is the same curve, and run back it passes the same points.
    /// </summary>
    [ManyTimes(100)]
    public Property Curves_are_what_they_say() => Prop.ForAll(Curves(), Gen.Choose(1, 99).ToArbitrary(), (curve, percent) =>
    {
        var t = percent / 100.0;
        var step = (curve.At(t + 1e-5) - curve.At(t - 1e-5)) * 5e4;
        var rest = curve.After(t);
        var same = Enumerable.Range(0, 11).All(k => rest.At(k / 10.0).To(curve.At(t + ((1 - t) * k / 10))) < 1e-9);
        return (step.To(curve.Velocity(t)) < 1e-3 && same
            && curve.Reversed().At(1 - t).To(curve.At(t)) < 1e-9).Label($"{step} {curve.Velocity(t)}");
    });

    /// <summary>Flattened, no chord leaves the curve by more than it may; both ends and every joint are there.</summary>
    [ManyTimes(80)]
    public Property Flattened_strokes_stay_within() => Prop.ForAll(Curves(), Curves(), (a, b) =>
    {
        var joined = b with { P0 = a.P3 };
        var stroke = new Stroke([a, joined], false);
        var flat = stroke.Flatten(0.05);
        var off = Enumerable.Range(0, 401).SelectMany(k => new[] { a.At(k / 400.0), joined.At(k / 400.0) }).Max(p =>
            Polyline.ToLine(p, flat));
        return (off <= 0.0501 && flat[0] == a.P0 && flat[^1] == joined.P3 && flat.Contains(a.P3)).Label($"{off}");
    });

    /// <summary>A straight is a straight however it is turned, and is flattened to its ends.</summary>
    [Fact]
    public void A_straight_stays_straight()
    {
        var line = Curve.Line(new(3, 4), new(30, -7));
        Assert.True(line.IsStraight);
        Assert.Equal(0, line.CurvatureAt(0.5), 9);
        Assert.Equal(2, new Stroke([line], false).Flatten(0.001).Count);
        Assert.False(Quarter.IsStraight);
        Assert.Equal(29.15, Polyline.Length([line.P0, line.P3]), 0.01);
    }

    /// <summary>The distance from a point to a piece is the least over the piece, found by trying.</summary>
    [ManyTimes(100)]
    public Property The_nearest_point_of_a_piece() => Prop.ForAll(Places(), Places(), Places(), (p, a, b) =>
    {
        var tried = Enumerable.Range(0, 2001).Min(k => Pt.Lerp(a, b, k / 2000.0).To(p));
        return Math.Abs(Polyline.ToSegment(p, a, b) - tried) <= (a.To(b) / 2000) + 1e-9;
    });

    /// <summary>How near two lines come is the least over both, and nothing where they cross.</summary>
    [ManyTimes(80)]
    public Property How_near_two_lines_come() => Prop.ForAll(Places().Generator.ArrayOf(4).ToArbitrary(),
        Places().Generator.ArrayOf(4).ToArbitrary(), (a, b) =>
    {
        IEnumerable<Pt> Along(Pt[] line) => Enumerable.Range(1, 3).SelectMany(i =>
            Enumerable.Range(0, 101).Select(k => Pt.Lerp(line[i - 1], line[i], k / 100.0)));
        var tried = Along(a).Min(p => Polyline.ToLine(p, b));
        var between = Polyline.Between(a, b);
        return (between <= tried + 1e-9 && tried - between < 4
            && Math.Abs(between - Polyline.Between(b, a)) < 1e-9).Label($"{between} {tried}");
    });

    /// <summary>Thinned out, a line keeps its ends and stays as near as it must.</summary>
    [ManyTimes(60)]
    public Property Thinned_lines_stay_near() => Prop.ForAll(Places().Generator.ArrayOf(30).ToArbitrary(), line =>
    {
        var thin = Polyline.Simplified(line, 12);
        return thin[0] == line[0] && thin[^1] == line[^1] && line.All(p => Polyline.ToLine(p, thin) <= 12 + 1e-9)
            && thin.All(line.Contains);
    });

    /// <summary>
    /// The smallest circle round some points: all inside; fixed by two or three of them, so no circle through two or three that holds all
    /// is smaller. Jung (1901): its radius is between half the greatest distance and that over √3.
    /// </summary>
    [ManyTimes(60)]
    public Property The_smallest_circle_is_the_smallest() => Prop.ForAll(Places().Generator.ArrayOf(9).ToArbitrary(), points =>
    {
        var circle = Circle.Round(points);
        var apart = points.Max(a => points.Max(b => a.To(b)));
        var least = double.PositiveInfinity;
        for (var i = 0; i < 9; i++)
        {
            for (var j = i + 1; j < 9; j++)
            {
                least = Math.Min(least, Try([points[i], points[j]]));
                for (var k = j + 1; k < 9; k++)
                {
                    least = Math.Min(least, Try([points[i], points[j], points[k]]));
                }
            }
        }

        return (points.All(circle.Holds) && circle.RadiusMm <= least + 1e-6 && circle.RadiusMm >= (apart / 2) - 1e-9
            && circle.RadiusMm <= (apart / Math.Sqrt(3)) + 1e-9).Label($"{circle.RadiusMm} {least} {apart}");

        double Try(Pt[] few) => Circle.Round(few) is var c && points.All(p => c.Centre.To(p) <= c.RadiusMm + 1e-7) ? c.RadiusMm
            : double.PositiveInfinity;
    });

    /// <summary>
    /// Round an equilateral triangle the radius is its side over √3; round two points half their distance; round one nothing.
    /// </summary>
    [Fact]
    public void Circles_of_known_size()
    {
        Assert.Equal(10 / Math.Sqrt(3), Circle.Round([new(0, 0), new(10, 0), new(5, 5 * Math.Sqrt(3))]).RadiusMm, 9);
        Assert.Equal(5, Circle.Round([new(0, 0), new(6, 8)]).RadiusMm, 9);
        Assert.Equal(0, Circle.Round([new(6, 8)]).RadiusMm);
        Assert.Throws<ArgumentException>(() => Circle.Round([]));

        // Three in a line, and the same point over and over.
        Assert.Equal(20, Circle.Round([new(0, 0), new(10, 0), new(40, 0)]).RadiusMm, 9);
        Assert.Equal(0, Circle.Round([new(1, 1), new(1, 1), new(1, 1)]).RadiusMm);
    }

    /// <summary>
    /// A smooth line passes every point; through points of a circle, unevenly apart, it stays within a hundredth of the radius.
    /// </summary>
    [ManyTimes(40)]
    public Property A_smooth_line_passes_every_point(int seed)
    {
        var random = new Random(seed);
        var angles = new List<double> { 0 };
        while (angles[^1] < Math.Tau - 0.5)
        {
            angles.Add(angles[^1] + 0.2 + (random.NextDouble() * 0.25));
        }

        var points = angles.Where(a => a < Math.Tau - 0.15).Select(a => new Pt(50 * Math.Cos(a), 50 * Math.Sin(a))).ToArray();
        var stroke = SmoothLine.Through(points, closed: true, new HashSet<int>());
        var passes = points.Select((p, i) => stroke.Curves[i].P0.To(p)).Max();
        var off = stroke.Flatten(0.01).Max(p => Math.Abs(p.Length - 50));
        return (passes == 0 && stroke.Curves[^1].P3 == points[0] && off < 0.5).Label($"{off}");
    }

    /// <summary>At a corner the line breaks, elsewhere it does not.</summary>
    [Fact]
    public void A_smooth_line_breaks_at_corners_only()
    {
        Pt[] points = [new(0, 0), new(10, 2), new(20, 0), new(30, 18), new(40, 20)];
        var stroke = SmoothLine.Through(points, closed: false, new HashSet<int> { 2 });
        var turns = Enumerable.Range(1, 3).Select(i => Pt.TurnRadians(stroke.Curves[i - 1].Velocity(1),
            stroke.Curves[i].Velocity(0))).ToArray();
        Assert.Equal(0, turns[0], 6);
        Assert.True(turns[1] > 0.5);
        Assert.Equal(0, turns[2], 6);
        Assert.Throws<ArgumentException>(() => SmoothLine.Through([new(0, 0)], false, new HashSet<int>()));
    }

    /// <summary>Turned by a quarter clockwise on a page, right is down; within a box a drawing keeps its proportions.</summary>
    [Fact]
    public void Drawings_turn_and_fit()
    {
        var stroke = new Stroke([Curve.Line(new(0, 0), new(40, 10))], false);
        var figure = new Figure([new FigurePart("stem", FigureKind.Line, stroke)]);
        var turned = figure.Turned(Math.PI / 2).Parts[0].Stroke.End;
        Assert.Equal((-10, 40), (Math.Round(turned.X, 9), Math.Round(turned.Y, 9)));
        var fitted = figure.Within(20, 20);
        Assert.Equal((20, 5), (Math.Round(fitted.Width, 9), Math.Round(fitted.Height, 9)));
        Assert.Equal(0, Pt.Lerp(fitted.Box.Least, fitted.Box.Greatest, 0.5).Length, 9);
        Assert.Equal(figure.Parts.Count + 1, figure.With(new Figure([FigurePart.Dot("dot", new(1, 2))])).Parts.Count);
        Assert.Equal(new Pt(1, 2), FigurePart.Dot("dot", new(1, 2)).Middle);
        Assert.Equal((default(Pt), default(Pt)), Figure.Empty.Box);
        Assert.Empty(Figure.Empty.Within(10, 10).Parts);
    }

    private static Arbitrary<Pt> Places() => (from x in Gen.Choose(-1000, 1000)
                                              from y in Gen.Choose(-1000, 1000)
                                              select new Pt(x / 10.0,
        y / 10.0)).ToArbitrary();

    private static Arbitrary<Curve> Curves() => (from p in Places().Generator.ArrayOf(4)
                                                 select new Curve(p[0], p[1], p[2],
        p[3])).ToArbitrary();
}
