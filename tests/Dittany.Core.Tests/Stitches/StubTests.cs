using Dittany.Core.Geometry;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;

namespace Dittany.Core.Tests.Stitches;

/// <summary>What is too short to stitch: seen or not seen to be missing (common practice).</summary>
public class StubTests
{
    private static readonly StitchSpec Spec = StitchSpec.For(new Pair(Book.Find("backstitch")!, 3), new StitchSchools());

    private static Stroke Straight(double x0, double y0, double x1, double y1) =>
        new([Curve.Line(new Pt(x0, y0), new Pt(x1, y1))], false);

    /// <summary>A spur on a stem that the stem's own thread covers is left out without a word.</summary>
    [Fact]
    public void A_stub_under_the_thread_beside_it_is_not_spoken_of()
    {
        var stitched = LetterStitching.Stitch([Straight(0, 0, 0, 20), Straight(0, 10, 0.4, 10)], Spec, 20);
        Assert.Single(stitched.Lines);
        Assert.Empty(stitched.DroppedMm);
    }

    /// <summary>Of a spur that stands out by more than the line is wide it is told that it is missing.</summary>
    [Fact]
    public void What_would_be_seen_is_told()
    {
        var spec = StitchSpec.For(new Pair(Book.Find("backstitch")!, 1), new StitchSchools());
        var stitched = LetterStitching.Stitch([Straight(0, 0, 0, 20), Straight(0, 10, 0.9, 10)], spec, 20);
        Assert.InRange(Assert.Single(stitched.DroppedMm), spec.LineWidthMm, Tolerance.DroppedBelowMm);
    }

    /// <summary>A dot that a font draws as a speck stands alone: it becomes the shortest stitch about its middle, never nothing.</summary>
    [Fact]
    public void A_dot_alone_is_always_stitched()
    {
        var stitched = LetterStitching.Stitch([Straight(0, 0, 0, 8), Straight(0, -4, 0.1, -4)], Spec, 8);
        var dot = Assert.Single(stitched.Lines, l => l.Source == 1);
        Assert.True(dot.Dot);
        Assert.Empty(stitched.DroppedMm);
        Assert.True(Pt.Lerp(dot.LineMm[0], dot.LineMm[^1], 0.5).To(new Pt(0.05, -4)) < 0.01);
        Assert.True(dot.LineMm[0].To(dot.LineMm[^1]) >= Tolerance.DroppedBelowMm);
    }
}
