using Dittany.Core.Geometry;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Stitches.AtPoints;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Tests.Stitches;

/// <summary>The stitches that lie over each other, through each other or round each other, on lines of known shape.</summary>
public class LineStitchTests
{
    public static TheoryData<string> Lines() => [.. Book.Lines.Select(s => s.Id)];

    /// <summary>Stitches whose every hole lies on the line itself, and is an end of two of them.</summary>
    public static TheoryData<string> HoleByHole() => [.. Book.Lines.Select(s => s.Id).Where(id => id is not ("couching" or "coral"
        or "knotted-stem" or "blanket" or "double-blanket" or "cross" or "heavy-chain" or "linked-chain-line"
        or "brick-line" or "whipped-brick" or "laced-brick" or "rope-line"))];

    /// <summary>
    /// Stem goes 1/8 in forward and 1/16 in back, coming up in the hole where the last but one ended (common practice): 3.2 and 1.6 mm.
    /// </summary>
    [Fact]
    public void Stem_goes_an_eighth_forward_and_a_sixteenth_back()
    {
        var spec = StitchSpec.For(new Pair(Book.Find("stem")!, 3), new StitchSchools(LengthMm: 3.2));
        var stitches = Strokes.Sewn(Strokes.Line(32), spec)!.Stitches;
        Assert.Equal(19, stitches.Count);
        Assert.All(stitches, s => Assert.Equal(3.2, s.LengthMm, 3));
        for (var i = 1; i < stitches.Count; i++)
        {
            Assert.Equal(1.6, stitches[i - 1].ToMm.To(stitches[i].FromMm), 3);
            Assert.Equal(stitches[i - 1].FromMm.X + 1.6, stitches[i].FromMm.X, 3);
        }

        Assert.Equal(stitches[0].ToMm, stitches[2].FromMm);
    }

    /// <summary>A metre of split stitch at 4 mm goes forward by 2 mm: 500 stitches and one less, for the line is open.</summary>
    [Fact]
    public void Overlapping_stitches_are_counted_by_their_advance() =>
        Assert.Equal(499, Strokes.Sewn(Strokes.Line(1000), Spec("split"))!.Stitches.Count);

    /// <summary>Links go through each other and the last is tied down just past its tip.</summary>
    [Fact]
    public void Chain_links_and_is_tied_down()
    {
        var stitches = Strokes.Sewn(Strokes.Line(30), Spec("chain"))!.Stitches;
        var loops = stitches.Where(s => s.Shape == StitchShape.Loop).ToArray();
        Assert.All(loops.Zip(loops.Skip(1)), pair => Assert.Equal(pair.First.ToMm, pair.Second.FromMm));
        Assert.All(loops, l => Assert.Equal(l.FromMm, l.DownMm));
        Assert.Equal(StitchShape.Tie, stitches[^1].Shape);
        Assert.Equal(loops[^1].ToMm, stitches[^1].FromMm);
        Assert.Equal(new Pt(30, 0), stitches[^1].ToMm);
        Assert.True(loops.Max(l => l.LengthMm) - loops.Min(l => l.LengthMm) < 0.01, "a link out of measure");
    }

    /// <summary>On skin a link of over 5 mm is two, even on a bend where halves leave no room to spare.</summary>
    [Theory]
    [InlineData(5.0)]
    [InlineData(5.03)]
    [InlineData(5.2)]
    [InlineData(7.6)]
    public void No_link_on_skin_is_longer_than_may_lie_behind(double lengthMm)
    {
        var spec = StitchSpec.For(new Pair(Book.Find("chain")!, 6), new StitchSchools(LengthMm: 5), mostBehindMm: 5);
        var degrees = (lengthMm + spec.BundleMm) / 400 * 180 / Math.PI;
        var bend = new Stroke([.. Strokes.Arc(default, 400, 0, degrees)], false);
        var links = Strokes.Sewn(bend, spec)!.Stitches.Where(s => s.Shape == StitchShape.Loop).ToArray();
        Assert.All(links, l => Assert.True(l.LengthMm <= 5.002, $"{l.LengthMm}"));
        Assert.True(links.Min(l => l.LengthMm) > 2);
    }

    /// <summary>The thread of a link lies within the width the book gives the line.</summary>
    [Fact]
    public void A_link_is_as_wide_as_the_book_says()
    {
        var link = Strokes.Sewn(Strokes.Line(30), Spec("chain"))!.Stitches[2];
        var across = link.PathMm!.Max(p => p.Y) - link.PathMm!.Min(p => p.Y) + Core.Materials.Bundle.WidthMm(3);
        Assert.Equal(Book.Find("chain")!.LineWidthMm(3), across, 0.01);
    }

    /// <summary>
    /// Running stitch is 3 mm of thread and 2 mm of cloth (from memory): 48 mm are ten stitches and nine gaps; a ring of 50 mm has as many
    /// gaps as stitches, all alike.
    /// </summary>
    [Fact]
    public void Running_leaves_cloth_between_its_stitches()
    {
        var line = Strokes.Sewn(Strokes.Line(48), Spec("running"))!.Stitches;
        Assert.Equal(10, line.Count);
        Assert.All(line, s => Assert.Equal(3, s.LengthMm, 3));
        Assert.All(line.Zip(line.Skip(1)), p => Assert.Equal(2, p.First.ToMm.To(p.Second.FromMm), 3));
        Assert.Equal((new Pt(0, 0), new Pt(48, 0)), (line[0].FromMm, line[^1].ToMm));
        var ring = Strokes.Sewn(Strokes.Circle(50 / Math.Tau), Spec("running"))!.Stitches;
        var gaps = ring.Zip([.. ring.Skip(1), ring[0]], (a, b) => a.ToMm.To(b.FromMm)).ToArray();
        Assert.True(gaps.Max() - gaps.Min() < 0.02 && gaps.Min() > 1, $"gaps of {gaps.Min()} to {gaps.Max()}");
    }

    /// <summary>A closed line ends in the hole it began with, and overlapping stitches lie over the start.</summary>
    [Theory]
    [MemberData(nameof(HoleByHole))]
    public void Closed_lines_close(string stitch)
    {
        var placed = Strokes.Sewn(Strokes.Circle(9), Spec(stitch))!;
        Assert.True(placed.Closed);
        Assert.Equal(0, placed.OffMm);
        var solid = placed.Stitches.Where(s => s.Shape != StitchShape.Whip).ToArray();
        var holes = solid.SelectMany(s => new[] { s.FromMm, s.ToMm }).GroupBy(h => h).ToArray();
        Assert.All(holes, h => Assert.Equal(Book.Find(stitch)!.GapShare > 0 ? 1 : 2, h.Count()));
    }

    /// <summary>Between two corners every stitch of every kind keeps to its line, its lengths and its ends.</summary>
    [Theory]
    [MemberData(nameof(HoleByHole))]
    public void Corners_are_ends_for_every_stitch(string stitch)
    {
        var corner = new Pt(14.3, 0);
        var placed = Strokes.Sewn(new Stroke([Curve.Line(default, corner), Curve.Line(corner, new Pt(14.3, 17.1))], false), Spec(stitch))!;
        var holes = placed.Stitches.SelectMany(s => new[] { s.FromMm, s.ToMm }).ToArray();
        Assert.Contains(corner, holes);
        Assert.Contains(new Pt(0, 0), holes);
        Assert.Contains(new Pt(14.3, 17.1), holes);
        Assert.DoesNotContain(placed.Stitches, s => s.Shape != StitchShape.Whip && Math.Min(s.FromMm.X, s.ToMm.X) < 14.2
            && Math.Max(s.FromMm.Y, s.ToMm.Y) > 0.1);
    }

    /// <summary>
    /// Shorter on a bend than on the straight for every stitch that may vary, and one length for the school that keeps one (both common
    /// practice).
    /// </summary>
    [Theory]
    [InlineData("backstitch")]
    [InlineData("split")]
    [InlineData("stem")]
    [InlineData("outline")]
    [InlineData("whipped-backstitch")]
    [InlineData("running")]
    public void Both_schools_of_length(string stitch)
    {
        var r = Book.Find(stitch)!.Span == 1 ? 2 : 4;
        var stroke = new Stroke([Curve.Line(new Pt(0, 0), new Pt(30, 0)), .. Strokes.Arc(new Pt(30, r), r, -90, 90)], false);
        double[] Lengths(LengthSchool school) => Strokes.Sewn(stroke, Spec(stitch, new StitchSchools(school)))!.Stitches.Where(s =>
            s.Shape == StitchShape.Straight).Select(s => s.LengthMm).ToArray();
        var (graded, uniform) = (Lengths(LengthSchool.Graded), Lengths(LengthSchool.Uniform));
        Assert.True(graded.Max() - graded.Min() > 0.3, $"graded {graded.Min()} to {graded.Max()}");
        Assert.True(uniform.Max() - uniform.Min() < 0.15, $"uniform {uniform.Min()} to {uniform.Max()}");
    }

    /// <summary>
    /// The thread of stem lies on the outside of the bend where that is the school, and on one side throughout where it is not.
    /// </summary>
    [Fact]
    public void The_stem_thread_keeps_its_side_or_follows_the_bend()
    {
        // In a frame with y down this arc turns to the right of travel: its outside is the left.
        var right = new Stroke(Strokes.Arc(default, 12, 180, 330).ToArray(), false);
        int Side(Stroke stroke, SideSchool school) => Strokes.Sewn(stroke,
            Spec("stem", new StitchSchools(Stem: school)))!.Stitches.Select(s => s.Side).Distinct().Single();
        Assert.Equal(1, Side(right, SideSchool.OneSide));
        Assert.Equal(-1, Side(right, SideSchool.OutsideOfBend));
        Assert.Equal(1, Side(right.Reversed(), SideSchool.OutsideOfBend));
        Assert.All(Strokes.Sewn(right, Spec("outline"))!.Stitches, s => Assert.Equal(-1, s.Side));
    }

    /// <summary>
    /// Whipping goes from the far end back to the start, under every stitch, without piercing the cloth between: up once and down once.
    /// </summary>
    [Fact]
    public void Whipping_runs_back_to_the_start()
    {
        var placed = Strokes.Sewn(Strokes.Line(10), Spec("whipped-backstitch"))!;
        Assert.Equal(4, placed.Stitches.Count(s => s.Shape == StitchShape.Straight));
        var wraps = placed.Stitches.Where(s => s.Shape == StitchShape.Whip).ToArray();
        Assert.Equal(5, wraps.Length);
        Assert.Equal(new Pt(10, 0), wraps[0].FromMm);
        Assert.Equal(new Pt(0, 0), wraps[^1].ToMm);
        Assert.Equal([1, 0, 0, 0, 1], wraps.Select(w => w.Passes));
        Assert.All(wraps.Zip(wraps.Skip(1)), pair => Assert.Equal(pair.First.ToMm, pair.Second.FromMm));
        Assert.All(wraps, w => Assert.Equal(1, w.Side));
    }

    /// <summary>
    /// On skin nothing behind is longer than 5 mm (common practice; the figure from memory): a backstitch is 2.5 mm at the most, a link 5
    /// mm.
    /// </summary>
    [Theory]
    [InlineData("backstitch", 2.5)]
    [InlineData("whipped-backstitch", 2.5)]
    [InlineData("chain", 5)]
    [InlineData("running", 7.5)]
    [InlineData("stem", 10)]
    public void On_skin_the_thread_behind_limits_the_stitch(string stitch, double most)
    {
        var spec = StitchSpec.For(new Pair(Book.Find(stitch)!, 3), new StitchSchools(LengthMm: 10), 5);
        Assert.All(Strokes.Sewn(Strokes.Line(77.7), spec)!.Stitches.Where(s => s.Shape != StitchShape.Whip), s =>
            Assert.True(s.LengthMm <= most + 0.001, $"{s.LengthMm}"));
    }

    /// <summary>Dots are tiny straights under 12 mm capitals and knots from there, where there is room (from memory).</summary>
    [Theory]
    [InlineData(11, DotSchool.ByHeight, false)]
    [InlineData(20, DotSchool.ByHeight, true)]
    [InlineData(20, DotSchool.Straight, false)]
    [InlineData(11, DotSchool.Knot, true)]
    public void Dots_by_height_and_school(double cap, DotSchool school, bool knot)
    {
        var letter = Words.UprightHandOf("i").Select(s => s.Map(p => new Pt(p.X * cap / 100, -p.Y * cap / 100))).ToArray();
        var stitched = LetterStitching.Stitch(letter, Spec("backstitch", new StitchSchools(Dots: school), 2), cap);
        Assert.Equal(knot, stitched.Lines.Any(l => l.Dot));
        Assert.Equal(2, stitched.Lines.Count);
    }

    /// <summary>Three wraps of three strands: 2.4 mm across, 19 mm of thread (from memory).</summary>
    [Fact]
    public void Knots_by_strands_and_wraps() => Assert.Equal((2.4, 19), (Knots.AcrossMm(3, 3), Knots.ThreadMm(3, 3)));

    private static StitchSpec Spec(string stitch, StitchSchools? schools = null, int strands = 3) =>
        StitchSpec.For(new Pair(Book.Find(stitch)!, strands), schools ?? new StitchSchools());

    private static class Words
    {
        public static IReadOnlyList<Stroke> UprightHandOf(string letter) => Core.Words.UprightHand.Alphabet.Find(letter)!.Strokes;
    }
}
