using Dittany.Core.Geometry;
using Dittany.Core.Jobs;
using Dittany.Core.Motifs;
using Dittany.Core.Tests.Planning;

namespace Dittany.Core.Tests.Motifs;

/// <summary>Drawings of hers are cut down to what a thread can show, and refused above what a needle follows.</summary>
public sealed class OwnFigureTests
{
    private static Stroke Lines(bool closed, params Pt[] points) => new(points.Skip(1).Select((p, i) => Curve.Line(points[i], p)).Concat(
        closed ? [Curve.Line(points[^1], points[0])] : Array.Empty<Curve>()).ToArray(), closed);

    private static Figure Of(params FigurePart[] parts) => new(parts);

    private static Stroke Scribble(int bends, bool closed, int seed = 3)
    {
        var random = new Random(seed);
        return Lines(closed, Enumerable.Range(0, bends).Select(_ => new Pt(random.NextDouble() * 100, random.NextDouble() * 100))
            .ToArray());
    }

    private static IReadOnlyList<ValidationError> Faults(Figure figure) => Samples.Faults(new Job("tote", [new MotifElement("m", "own", Drawing: new OwnDrawing("d", figure))], Samples.Monday), Workshop.Default);

    [Fact]
    public void A_usual_drawing_is_left_just_as_it_is()
    {
        var drawn = Of(new FigurePart("leaf", FigureKind.Shape, Lines(true, new(0, 0), new(40, 5), new(50, 60))),
            new FigurePart("stem", FigureKind.Line, Scribble(300, false)), FigurePart.Dot("dot", new Pt(20, 20)));
        Assert.Same(drawn, OwnFigure.Of(drawn).Figure);
        Assert.Null(OwnFigure.Of(drawn).LeftOut(100));
    }

    /// <summary>A circle of ten thousand pieces is a circle of some hundred: no place of it moves by more than it says.</summary>
    [Fact]
    public void What_is_finer_than_a_thread_is_drawn_into_its_neighbours()
    {
        var circle = Lines(true, Enumerable.Range(0, 10_000).Select(i =>
            new Pt(50 * Math.Cos(2 * Math.PI * i / 10_000), 50 * Math.Sin(2 * Math.PI * i / 10_000))).ToArray());
        var own = OwnFigure.Of(Of(new FigurePart("outline", FigureKind.Shape, circle)));
        Assert.InRange(own.BendsKept, 40, 400);
        var kept = Assert.Single(own.Figure.Parts).Stroke;
        Assert.True(kept.Closed && kept.Curves[^1].P3 == kept.Curves[0].P0);
        Assert.All(kept.Curves, c => Assert.InRange(Pt.Lerp(c.P0, c.P3, 0.5).Length, 50 - (100 * OwnFigure.FinestShare), 50));
        Assert.Contains("finer than 0.1 mm", own.LeftOut(200)!.ToString(), StringComparison.Ordinal);
        Assert.Same(own.Figure, OwnFigure.Of(own.Figure).Figure);

        var told = Samples.Plan(new Job("tote", [new MotifElement("m", "own", HeightMm: 200,
            Drawing: new OwnDrawing("d", Of(new FigurePart("outline", FigureKind.Line, circle with { Closed = false }))))], Samples.Monday));
        Assert.Contains(told.Decisions.First(d => d.Id == "motif.size").Because, b =>
            b.ToString().Contains("finer than 0.1 mm", StringComparison.Ordinal));
    }

    [Fact]
    public void A_part_without_length_is_left_out_and_a_dot_is_a_dot()
    {
        var own = OwnFigure.Of(Of(new FigurePart("outline", FigureKind.Line, Lines(false, new(0, 0), new(0, 0))),
            new FigurePart("dot", FigureKind.Dot, Lines(false, new(0, 0), new(-40, 10), new(20, 40), new(10, 10))),
            new FigurePart("stem", FigureKind.Line, Lines(false, new(0, 0), new(30, 30)))));
        Assert.Equal(1, own.WithoutLength);
        Assert.Equal(["dot", "stem"], own.Figure.Parts.Select(p => p.Role));
        Assert.Equal(new Pt(5, 5), own.Figure.Parts[0].Middle);
        Assert.InRange(Polyline.Length(own.Figure.Parts[0].Line), 0, 0.01);
        Assert.Contains("has no length", own.LeftOut(100)!.ToString(), StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(40, true, null)]
    [InlineData(60, true, "crosses itself in more than 200 places")]
    [InlineData(1000, false, null)]
    [InlineData(4500, false, "4000 is the most")]
    public void More_than_a_needle_follows_is_refused_with_what_would_do(int bends, bool closed, string? told)
    {
        var faults = Faults(Of(new FigurePart("leaf", closed ? FigureKind.Shape : FigureKind.Line, Scribble(bends, closed))));
        if (told is null)
        {
            Assert.Empty(faults);
            return;
        }

        var fault = Assert.Single(faults);
        Assert.Equal("#/elements/0/drawing/parts", fault.Pointer);
        Assert.Contains(told, fault.Detail, StringComparison.Ordinal);
        Assert.NotEmpty(fault.Try);
    }

    /// <summary>Crossings are those that looking at every pair finds (by force), and no more than are asked for.</summary>
    [Theory]
    [InlineData(5)]
    [InlineData(30)]
    [InlineData(90)]
    public void Crossings_are_those_that_there_are(int bends)
    {
        for (var seed = 0; seed < 12; seed++)
        {
            var line = Scribble(bends, false, seed).Flatten(1);
            var force = Enumerable.Range(0, line.Count - 1).Sum(i => Enumerable.Range(i + 1, line.Count - 2 - i).Count(k =>
                Polyline.Cross(line[i], line[i + 1], line[k], line[k + 1])));
            Assert.Equal(force, SelfCrossings.Count(line, false, int.MaxValue));
            Assert.Equal(Math.Min(force, 7), SelfCrossings.Count(line, false, 7));
        }
    }

    /// <summary>A shape that crosses itself is put in order once; moved, turned and made larger it covers the same.</summary>
    [Fact]
    public void What_crosses_itself_is_repaired_once_and_moved_along()
    {
        var part = new FigurePart("leaf", FigureKind.Shape, Scribble(24, true));
        var repaired = part.Covers();
        Assert.NotNull(part.Crossed);
        Assert.Same(repaired, part.Covers());
        static Pt Map(Pt p) => new((p.X * 1.2) - (p.Y * 0.9) + 7, (p.X * 0.9) + (p.Y * 1.2) - 3);
        var (moved, anew) = (part.Map(Map).Covers(), Region.Sound(part.Map(Map).Line));
        Assert.Equal(repaired.AreaMm2 * 2.25, moved.AreaMm2, 3);
        Assert.InRange(moved.AreaMm2, anew.AreaMm2 * 0.98, anew.AreaMm2 * 1.02);
        Assert.All(repaired.Rings.SelectMany(r => r), p => Assert.InRange(moved.OutsideBy(Map(p)), 0, 1e-6));
        Assert.Null(new FigurePart("leaf", FigureKind.Shape, Lines(true, new(0, 0), new(40, 5), new(50, 60))).Crossed);
    }

    /// <summary>A shape that is not closed is stitched as a line, so it covers nothing.</summary>
    [Fact]
    public void An_open_shape_covers_nothing() =>
        Assert.True(new FigurePart("leaf", FigureKind.Shape, Scribble(400, false)).Covers().IsEmpty);
}
