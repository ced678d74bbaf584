using Dittany.Core.Geometry;
using Dittany.Core.Route;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Tests.Stitches;

public class BackstitchTests
{
    private static readonly StitchSpec Graded = StitchSpec.For(new Pair(Book.Find("backstitch")!, 3), new StitchSchools());

    /// <summary>Sagitta of a circle: chord = 2√(2re − e²). Worked: r 2 mm gives 1.94 mm, r 5 mm 3.12 mm at e 0.25 mm.</summary>
    [Theory]
    [InlineData(2, 1.94)]
    [InlineData(5, 3.12)]
    public void Sagitta_gives_the_worked_chords(double radius, double chord) => Assert.Equal(chord, StitchSpec.Sagitta(radius, 0.25), 2);

    /// <summary>
    /// The turn at a joint is 18° where the shortest stitch of 1 mm allows it, so a bowl shows no corners: twenty stitches to a circle, and
    /// on small ones as many as have room (from memory).
    /// </summary>
    [Theory]
    [InlineData(1.6, 9)]
    [InlineData(2, 11)]
    [InlineData(3, 17)]
    [InlineData(4, 20)]
    [InlineData(6, 20)]
    public void A_circle_takes_as_many_stitches_as_look_round(double radius, int least)
    {
        var placed = Strokes.Sewn(Strokes.Circle(radius), Graded)!;
        Assert.InRange(placed.Stitches.Count, least, least + 2);
        Assert.Equal(0, placed.OffMm);
        Assert.Equal(placed.Stitches[0].ToMm, placed.Stitches[^1].FromMm);
    }

    /// <summary>A circle too small even for the shortest stitch says so.</summary>
    [Fact]
    public void A_circle_too_small_to_turn_says_so() => Assert.True(Strokes.Sewn(Strokes.Circle(0.5), Graded)!.Off);

    /// <summary>
    /// What the eye minds is half the width of the line, measured from its middle (common practice), and what a hand can set at all: a hair
    /// over the tolerance is silence.
    /// </summary>
    [Fact]
    public void A_hair_off_is_silence()
    {
        var radii = Enumerable.Range(4, 10).Select(r => r / 10.0).Select(r => Strokes.Sewn(Strokes.Circle(r), Graded)!).ToArray();
        Assert.Contains(radii, p => p.OffMm > 0 && !p.Off);
        Assert.All(radii, p => Assert.Equal(p.OffMm >= Math.Max(0.3, Graded.LineWidthMm / 2), p.Off));
    }

    [Fact]
    public void A_backstitch_points_against_its_travel()
    {
        var placed = Strokes.Sewn(Strokes.Line(10), Graded)!;
        Assert.Equal(new Pt(0, 0), placed.Stitches[0].ToMm);
        Assert.Equal(new Pt(2.5, 0), placed.Stitches[0].FromMm);
        Assert.Equal(new Pt(10, 0), placed.Stitches[^1].FromMm);
        Assert.Equal(4, placed.Stitches.Count);
    }

    /// <summary>
    /// Backstitch takes three times its line at no cloth thickness: once in front, twice behind (geometry of the stitch; common practice).
    /// </summary>
    [Fact]
    public void Backstitch_takes_three_times_its_line()
    {
        var placed = Strokes.Sewn(Strokes.Line(1000), Graded)!;
        var rows = Routing.Order([new Piece("line", 0, 0, "thread", 1, placed.Stitches)], new RouteRules(5, false, 1e9, 1e9, 0, 1, 0)).Rows;
        var used = rows.Sum(r => Routing.Use(placed.Stitches[r.Stitch], r.BackMm, 0));
        Assert.Equal(3.0, used / 1000, 2);
    }

    /// <summary>Stitches shorten on the bend and never jump: neighbours differ by less than 40 %.</summary>
    [Fact]
    public void Lengths_grade_smoothly_into_a_bend()
    {
        var stroke = new Stroke([Curve.Line(new Pt(0, 0), new Pt(20, 0)), .. Strokes.Arc(new Pt(20, 2), 2, -90, 90),
            Curve.Line(new Pt(20, 4), new Pt(0, 4))], false);
        var lengths = Strokes.Sewn(stroke, Graded)!.Stitches.Select(s => s.LengthMm).ToArray();
        Assert.True(lengths.Min() < 1.5 && lengths.Max() > 2.2);
        for (var i = 1; i < lengths.Length; i++)
        {
            Assert.InRange(lengths[i] / lengths[i - 1], 0.6, 1.67);
        }
    }

    [Fact]
    public void The_uniform_school_keeps_one_length()
    {
        var stroke = new Stroke([Curve.Line(new Pt(0, 0), new Pt(20, 0)), .. Strokes.Arc(new Pt(20, 2), 2, -90, 90)], false);
        var uniform = Strokes.Sewn(stroke, Graded with { Schools = new StitchSchools(LengthSchool.Uniform) })!.Stitches.Select(s =>
            s.LengthMm).ToArray();
        var graded = Strokes.Sewn(stroke, Graded)!.Stitches.Select(s => s.LengthMm).ToArray();
        Assert.True(uniform.Max() - uniform.Min() < 0.1);
        Assert.True(graded.Max() - graded.Min() > 0.3);
        Assert.True(uniform.Length > graded.Length);
    }

    [Fact]
    public void Corners_are_stitch_ends()
    {
        var corner = new Pt(7.3, 0);
        var placed = Strokes.Sewn(new Stroke([Curve.Line(default, corner), Curve.Line(corner, new Pt(7.3, 6.1))], false), Graded)!;
        Assert.Contains(placed.Stitches, s => s.FromMm == corner);
        Assert.Contains(placed.Stitches, s => s.ToMm == corner);
    }

    /// <summary>From 0.8 mm a stretch is one short stitch; under it the line is left out (from memory).</summary>
    [Theory]
    [InlineData(0.79, 0)]
    [InlineData(0.81, 1)]
    [InlineData(1.6, 1)]
    [InlineData(2.6, 2)]
    public void Tiny_lines_are_one_stitch_or_none(double length, int stitches) =>
        Assert.Equal(stitches, Strokes.Sewn(Strokes.Line(length), Graded)?.Stitches.Count ?? 0);

    /// <summary>A stroke that meets another stops at its edge, half a line width off (common practice: touch, do not split).</summary>
    [Fact]
    public void A_stroke_that_meets_another_butts_against_it()
    {
        var stem = new Stroke([Curve.Line(new Pt(0, 0), new Pt(0, 20))], false);
        var bar = new Stroke([Curve.Line(new Pt(0, 10), new Pt(12, 10))], false);
        var placed = LetterStitching.Stitch([stem, bar], Graded, 20);
        Assert.Equal(Graded.LineWidthMm / 2, placed.Lines[1].LineMm[0].X, 1);
        Assert.Equal(new Pt(12, 10), placed.Lines[1].LineMm[^1]);
        Assert.Equal(new Pt(0, 0), placed.Lines[0].LineMm[0]);
    }
}
