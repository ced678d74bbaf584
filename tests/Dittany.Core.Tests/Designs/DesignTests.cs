using Dittany.Core.Designs;
using Dittany.Core.Geometry;
using Dittany.Core.Jobs;
using Dittany.Core.Tests.Planning;
using FsCheck.Xunit;

namespace Dittany.Core.Tests.Designs;

/// <summary>What lies over what: areas, lines and points by layers, against areas and lengths known by geometry.</summary>
public class DesignTests
{
    private static Shape Square(string id, double x, double y, double side, int layer) =>
        new(id, new Area([Ring(new(x, y), new(x + side, y), new(x + side, y + side), new(x, y + side))]), Layer: layer);

    private static Stroke Ring(params Pt[] corners) =>
        new(corners.Select((p, i) => Curve.Line(p, corners[(i + 1) % corners.Length])).ToArray(), true);

    /// <summary>
    /// A square of 20 mm, half of it under another: 10 mm are seen and 0.8 mm are tucked, 10.8 × 20 mm², for the tuck leaves the outer
    /// corners of what covers it alone.
    /// </summary>
    [Fact]
    public void What_lies_under_another_area_is_cut_and_tucked()
    {
        var seen = new Design([Square("leaf", 0, 0, 20, 0), Square("petal", 10, -5, 30, 1)]).Visible();
        Assert.Equal(["leaf", "petal"], seen.Shapes.Select(s => s.Id));
        Assert.Equal(10.8 * 20, seen.Shapes[0].Area!.Covers().AreaMm2, 6);
        Assert.Equal(900, seen.Shapes[1].Area!.Covers().AreaMm2, 6);
        Assert.Equal(10 * 20, new Design([Square("leaf", 0, 0, 20, 0), Square("petal", 10, -5, 30, 1)]).Visible(
            0).Shapes[0].Area!.Covers().AreaMm2, 6);
    }

    /// <summary>Shapes of one layer hide nothing of each other, and what nothing covers stays as it was drawn, curves and all.</summary>
    [Fact]
    public void One_layer_hides_nothing()
    {
        var design = new Design([Square("a", 0, 0, 20, 0), Square("b", 5, 5, 20, 0), Square("far", 100, 0, 5, 3)]);
        Assert.Equal(design.Shapes, design.Visible().Shapes);

        // A drawing of thousands of parts in one layer is not looked through pair by pair: it is itself.
        var flat = new Design([Square("a", 0, 0, 20, 2), Square("b", 5, 5, 20, 2)]);
        Assert.Same(flat, flat.Visible());
    }

    [Fact]
    public void What_is_covered_whole_is_not_there()
    {
        var seen = new Design([Square("under", 2, 2, 10, 0), new Shape("knot", Point: new Pt(5, 5)),
            new Shape("beside", Point: new Pt(50, 5)), Square("over", 0, 0, 20, 1)]).Visible();
        Assert.Equal(["beside", "over"], seen.Shapes.Select(s => s.Id));
    }

    /// <summary>
    /// A stem across a petal ends at its edges: 100 mm less the 20 mm of the petal, in two pieces, the first under its own name.
    /// </summary>
    [Fact]
    public void A_line_behind_an_area_ends_there()
    {
        var stem = new Shape("stem", Line: new Stroke([Curve.Line(new(0, 10), new(30, 10)), Curve.Line(new(30, 10), new(100, 10))], false));
        var seen = new Design([stem, Square("petal", 40, 0, 20, 1)]).Visible().Shapes.Where(s => s.Line is not null).ToArray();
        Assert.Equal(["stem", "stem~1"], seen.Select(s => s.Id));
        Assert.Equal([40.0, 40.0], seen.Select(s => Math.Round(Polyline.Length(s.Line!.Flatten(0.01)), 3)));
        Assert.Equal(new Pt(40, 10), seen[0].Line!.End with
        {
            X = Math.Round(seen[0].Line!.End.X, 3),
            Y = Math.Round(seen[0].Line!.End.Y, 6)
        });
    }

    /// <summary>
    /// What is left of a curve is the curve: a circle of 10 mm radius half behind a square keeps half its length, π · 10, its bend, and its
    /// beginning is no end.
    /// </summary>
    [Fact]
    public void What_is_left_of_a_curve_keeps_its_bend()
    {
        var circle = new Shape("ring", Line: Stitches.Strokes.Circle(10));
        var left = Assert.Single(new Design([circle, Square("over", -30, 0, 60, 1)]).Visible().Shapes, s => s.Line is not null);
        Assert.Equal(Math.PI * 10, Polyline.Length(left.Line!.Flatten(1e-4)), 2);
        Assert.All(left.Line!.Curves, c => Assert.Equal(0.1, Math.Abs(c.CurvatureAt(0.5)), 3));
        Assert.False(left.Line.Closed);
    }

    /// <summary>An outline within an outline is a hole: a ring of 10 and 6 mm radius covers π · (100 − 36) mm².</summary>
    [Fact]
    public void An_edge_within_an_edge_is_a_hole() =>
        Assert.Equal(Math.PI * 64, new Area([Stitches.Strokes.Circle(10), Stitches.Strokes.Circle(6)]).Covers().AreaMm2, 0);

    /// <summary>
    /// Cutting never adds: what is seen lies in what was drawn, and with what covers it in full it is all that was drawn.
    /// </summary>
    [Property(MaxTest = 60)]
    public void Cutting_never_adds(byte x, byte y, byte side, byte tuck)
    {
        var (under, over) = (Square("under", 0, 0, 40, 0), Square("over", (x % 60) - 10, (y % 60) - 10, 5 + (side % 40), 1));
        var seen = new Design([under, over]).Visible(tuck / 64.0);
        var left = seen.Shapes.FirstOrDefault(s => s.Id == "under")?.Area!.Covers() ?? Region.Empty;
        Assert.True(left.Without(under.Area!.Covers()).AreaMm2 < 1e-6);
        Assert.True(under.Area!.Covers().Without(left).Without(over.Area!.Covers()).AreaMm2 < 1e-6);
    }

    /// <summary>
    /// Every part of a plan makes a shape of its element's design, and names stay when another element comes before it or goes.
    /// </summary>
    [Fact]
    public void Parts_name_the_shapes_they_make()
    {
        var alone = Samples.Plan(Samples.On("tea-towel", "Ida ö"));
        Assert.All(alone.Elements, e => Assert.All(e.Parts, p => Assert.Contains(p.Shape, e.Design!.Shapes.Select(s => s.Id))));
        Assert.Equal(alone.Elements[0].Parts.Count, alone.Elements[0].Parts.Select(p => p.Id).Distinct().Count());
        var sprig = new MotifElement("sprig", "leaf-sprig");
        var (with, without) = (Samples.Plan(Samples.With(Samples.On("tea-towel", "Ida ö"), sprig)),
            Samples.Plan(Samples.With(Samples.On("tea-towel", "Quentin"), sprig)));
        Assert.Equal(alone.Elements[0].Parts.Select(p => p.Id), with.Elements[0].Parts.Select(p => p.Id));
        Assert.Equal(with.Elements[1].Parts.Select(p => p.Shape), without.Elements[1].Parts.Select(p => p.Shape));
        Assert.Contains(with.Elements[1].Design!.Shapes, s => s.Area is not null && s.Role == "leaf");
    }
}
