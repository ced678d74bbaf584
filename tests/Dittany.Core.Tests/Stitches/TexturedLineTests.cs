using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Stitches.AtPoints;
using Dittany.Core.Stitches.Needle;
using Dittany.Core.Stitches.OnLines;
using Dittany.Core.Tests.Planning;

namespace Dittany.Core.Tests.Stitches;

/// <summary>Lines that are whipped, laced, knotted, tied or toothed: how each goes, and what thread it takes by closed form.</summary>
public class TexturedLineTests
{
    private static StitchSpec Spec(string stitch, int strands = 2) => StitchSpec.For(new Pair(Book.Find(stitch)!, strands),
        new StitchSchools());

    private static Placed Line(string stitch, double mm = 60, int strands = 2) => Strokes.Sewn(Strokes.Line(mm), Spec(stitch, strands))!;

    public static TheoryData<string> Whipped() => [.. Book.Lines.OfType<TwiceOver>().Where(s => !s.Laced).Select(s => ((IStitch)s).Id)];

    public static TheoryData<string> Laced() => [.. Book.Lines.OfType<TwiceOver>().Where(s => s.Laced).Select(s => ((IStitch)s).Id)];

    public static TheoryData<string> Lines() => [.. Book.Lines.Select(s => s.Id)];

    /// <summary>
    /// A thread round another is a screw: of one turn at a pitch p it takes √(p² + (πw)²) (geometry), up once at the far end and down
    /// once at the start.
    /// </summary>
    [Theory]
    [MemberData(nameof(Whipped))]
    public void Whipping_is_a_screw(string stitch)
    {
        var placed = Line(stitch);
        var wraps = placed.Stitches.Where(s => s.Shape == StitchShape.Whip).ToArray();
        Assert.Equal(2, wraps.Sum(w => w.Passes));
        // Back from the far end, or on from the near one where the line is worked out and back.
        var (from, to) = stitch == "whipped-brick" ? (0.0, 60.0) : (60.0, 0.0);
        Assert.Equal(from, wraps[0].FromMm.X, Bundle.WidthMm(2) + 0.01);
        Assert.Equal(to, wraps[^1].ToMm.X, 2);
        Assert.All(wraps.Skip(1).Take(wraps.Length - 2), w => Assert.Equal(
            Math.Sqrt(Math.Pow(w.FromMm.To(w.ToMm), 2) + Math.Pow(Math.PI * Bundle.WidthMm(2), 2)), w.ThreadMm, 2));
        var first = placed.Stitches.Where(s => s.Shape is not (StitchShape.Whip or StitchShape.Tie)).ToArray();

        // Round two rows at once where the line has two.
        var each = stitch == "whipped-brick" ? first.Length / 2 : first.Length;
        Assert.InRange(wraps.Length, each, each + 2);
    }

    /// <summary>A laced thread swings from one side to the other between every two stitches (common practice).</summary>
    [Theory]
    [MemberData(nameof(Laced))]
    public void Lacing_swings_from_side_to_side(string stitch)
    {
        var wraps = Line(stitch).Stitches.Where(s => s.Shape == StitchShape.Whip).ToArray();
        var sides = wraps.Select(w => Math.Sign(w.ToMm.Y)).Where(s => s != 0).ToArray();
        Assert.True(sides.Length > 8);
        var turns = sides.Zip(sides.Skip(1)).Count(p => p.First == -p.Second);
        Assert.InRange(turns, sides.Length - 2, sides.Length - 1);
        Assert.All(wraps.Where(w => w.ToMm.Y != 0), w => Assert.Equal(1.6 * Bundle.WidthMm(2), Math.Abs(w.ToMm.Y), 2));
    }

    /// <summary>
    /// Couching: the laid thread is as long as the line, a tie every 5 mm on the straight, closer on a bend (common practice), one in the
    /// corner.
    /// </summary>
    [Fact]
    public void Ties_stand_closer_on_a_bend_and_in_a_corner()
    {
        var straight = Line("couching");
        Assert.Equal(11, straight.Stitches.Count(s => s.Passes == 2));
        Assert.Equal(60, straight.Stitches.Where(s => s.Passes < 2).Sum(s => s.LengthMm), 2);
        Assert.Equal(2, straight.Stitches.Where(s => s.Passes < 2).Sum(s => s.Passes));
        var bend = Strokes.Sewn(Strokes.Circle(5), Spec("couching"))!;
        Assert.True(bend.Stitches.Count(s => s.Passes == 2) > 2 * Math.PI * 5 / 5 * 1.4);
        var corner = Strokes.Sewn(new Stroke([Curve.Line(default, new(14, 0)), Curve.Line(new(14, 0), new(14, 17))], false), Spec("couching"))!;
        Assert.Contains(corner.Stitches, s => s.Passes == 2 && Pt.Lerp(s.FromMm, s.ToMm, 0.5).To(new Pt(14, 0)) < 0.01);
    }

    /// <summary>
    /// Coral's knots stand evenly, close and never touching (common practice); each takes a knot of one wrap by the table.
    /// </summary>
    [Fact]
    public void Corals_knots_never_touch()
    {
        var knots = Line("coral").Stitches.Where(s => s.Shape == StitchShape.Knot).ToArray();
        Assert.Equal(15, knots.Length);
        Assert.All(knots.Zip(knots.Skip(1)), p => Assert.True(p.First.FromMm.To(p.Second.FromMm) > Knots.AcrossMm(2, 1)));
        Assert.All(knots, k => Assert.Equal(Knots.ThreadMm(2, 1), k.ThreadMm));
    }

    /// <summary>Two wraps round every stitch but the first, each wrap once round: 2π widths (geometry).</summary>
    [Fact]
    public void A_knotted_stem_has_a_knot_on_every_stitch()
    {
        var stitches = Line("knotted-stem").Stitches;
        var wraps = stitches.Where(s => s.Shape == StitchShape.Whip).ToArray();
        Assert.Equal(stitches.Count(s => s.Shape == StitchShape.Straight) - 1, wraps.Length);
        Assert.All(wraps, w => Assert.Equal(2 * Math.PI * Bundle.WidthMm(2), w.ThreadMm, 2));
    }

    /// <summary>
    /// Blanket stitch round a heart or a square closes exactly, its teeth look inward, and each corner has one on its halving line (common
    /// practice).
    /// </summary>
    [Fact]
    public void Blanket_teeth_stand_straight_in_the_corners()
    {
        Pt[] at = [new(0, 0), new(30, 0), new(30, 30), new(0, 30)];
        var square = new Stroke([.. Enumerable.Range(0, 4).Select(i => Curve.Line(at[i], at[(i + 1) % 4]))], true);
        var placed = Strokes.Sewn(square, Spec("blanket"))!;
        var loops = placed.Stitches.Where(s => s.Shape == StitchShape.Loop).ToArray();
        Assert.Equal(placed.Stitches.Count, loops.Length);
        Assert.Equal(loops[0].FromMm, loops[^1].ToMm);
        Assert.All(loops, l => Assert.Equal(3.2, l.ToMm.To(l.DownMm), 2));
        Assert.All(loops, l => Assert.True(l.DownMm is { X: >= -0.01 and <= 30.01, Y: >= -0.01 and <= 30.01 }));
        Assert.All(at, c => Assert.Contains(loops, l => l.ToMm.To(c) < 0.01
            && Math.Abs(Math.Abs(l.DownMm.X - c.X) - (3.2 / Math.Sqrt(2))) < 0.01
            && Math.Abs(Math.Abs(l.DownMm.Y - c.Y) - (3.2 / Math.Sqrt(2))) < 0.01));
        var both = Strokes.Sewn(square, Spec("double-blanket"))!.Stitches;
        Assert.Contains(both, l => l.DownMm.X < -2);
        Assert.Contains(both, l => l.DownMm.X is > 2 and < 28 && l.DownMm.Y is > 2 and < 28);
    }

    /// <summary>
    /// All upper threads of a row of crosses lie the same way (common practice), and each cross is two diagonals of a square.
    /// </summary>
    [Fact]
    public void Crosses_lie_one_way()
    {
        var stitches = Line("cross").Stitches;
        Assert.Equal(48, stitches.Count);
        Assert.All(stitches, s => Assert.Equal(2.5 * Math.Sqrt(2), s.LengthMm, 2));
        Assert.All(stitches.Take(24), s => Assert.True((s.ToMm - s.FromMm) is { X: > 0, Y: < 0 }));
        Assert.All(stitches.Skip(24), s => Assert.True((s.ToMm - s.FromMm) is { X: < 0, Y: < 0 }));
    }

    /// <summary>
    /// Each link of heavy chain goes back under the two before it: twice as long as its advance, and so double (common practice).
    /// </summary>
    [Fact]
    public void Heavy_chain_lies_double()
    {
        var links = Line("heavy-chain").Stitches.Where(s => s.Shape == StitchShape.Loop).ToArray();
        Assert.All(links.Zip(links.Skip(1)), p => Assert.Equal(links[0].LengthMm / 2, p.First.FromMm.To(p.Second.FromMm), 2));
        Assert.All(links.Skip(2).Zip(links), p => Assert.Equal(p.Second.FromMm, p.First.ToMm));
    }

    /// <summary>Links and bars by turns: a bar is 0.45 of a link.</summary>
    [Fact]
    public void Linked_chain_has_its_bars()
    {
        var stitches = Line("linked-chain-line").Stitches;
        Assert.Equal(stitches.Count / 2, stitches.Count(s => s.Shape == StitchShape.Loop));
        Assert.All(stitches.Where(s => s.Shape == StitchShape.Loop).Zip(stitches.Where(s => s.Shape != StitchShape.Loop)).SkipLast(1),
            p => Assert.Equal(0.45, p.Second.LengthMm / p.First.LengthMm, 2));
    }

    /// <summary>
    /// Every stitch of every line is told for what it is: no knot on a line is a dot, no bar ends a chain, no tie is a full length.
    /// </summary>
    [Theory]
    [MemberData(nameof(Lines))]
    public void Every_stitch_is_told_for_what_it_is(string stitch)
    {
        var plan = Samples.Plan(Samples.On("tote", "Lo", w => w with { Stitch = stitch, CapHeightMm = 60 }));
        var told = Enumerable.Range(0, plan.Route.Count).Select(r => Core.Telling.StitchTelling.Tell(plan, r).ToString()).ToArray();
        Assert.DoesNotContain(told, t => t.Contains("makes the dot", StringComparison.Ordinal) || t.Contains("of 0 mm", StringComparison.Ordinal));
        Assert.Equal(stitch is "couching", told.Any(t => t.Contains("ties the laid thread", StringComparison.Ordinal)));
        Assert.Equal(stitch is "coral", told.Any(t => t.Contains("knots the laid thread", StringComparison.Ordinal)));
        Assert.Equal(stitch is "linked-chain-line", told.Any(t => t.Contains("the bar from one link", StringComparison.Ordinal)));
    }

    /// <summary>
    /// Whatever the stitch, a line twice as long takes about twice the thread and twice the time, within two stitches of either; a
    /// left hand's mirrored line takes the same of both.
    /// </summary>
    [Theory]
    [MemberData(nameof(Lines))]
    public void Thread_and_time_go_by_length(string stitch)
    {
        var (one, two) = (Line(stitch).Stitches, Line(stitch, 120).Stitches);
        double Thread(Sewn s) => s.Sum(x => x.ThreadMm);
        double Time(Sewn s) => s.Sum(x => x.Seconds);
        Assert.InRange(Thread(two), (2 * Thread(one)) - (4 * one.Max(s => s.ThreadMm)), (2 * Thread(one)) + (4 * one.Max(s => s.ThreadMm)));
        Assert.InRange(Time(two), (2 * Time(one)) - (4 * one.Max(s => s.Seconds)), (2 * Time(one)) + (4 * one.Max(s => s.Seconds)));
        Assert.True(Thread(one) >= 36, $"{stitch}: {Thread(one)} mm over 60 mm");
    }

    /// <summary>
    /// Two rows of one length side by side, the second set by half: no end of one row lies beside an end of the other but at the line's own
    /// ends (how bricks are laid).
    /// </summary>
    [Fact]
    public void Bricks_are_set_by_half()
    {
        var stitches = Line("brick-line").Stitches;
        var rows = stitches.GroupBy(s => Math.Sign(s.FromMm.Y)).OrderBy(g => g.Key).Select(g => g.ToArray()).ToArray();
        Assert.Equal(2, rows.Length);
        Assert.Equal(1.05 * Bundle.WidthMm(2), rows[1][0].FromMm.Y - rows[0][0].FromMm.Y, 2);
        var length = rows[0][0].LengthMm;
        Assert.Equal(60 / length, rows[0].Length, 2);
        Assert.Equal(rows[0].Length + 1, rows[1].Length);
        Assert.All(rows[1].Skip(1).SkipLast(1), s =>
            Assert.Equal(0.5, Math.Abs((s.FromMm.X / length) - Math.Floor(s.FromMm.X / length)), 2));
        Assert.Equal(120, stitches.Sum(s => s.LengthMm), 1);
    }

    /// <summary>
    /// A rope line closes: loops lie so near that no cloth shows between them, each of its threads by closed form (along the edge, across
    /// aslant, round the loop by its width).
    /// </summary>
    [Fact]
    public void A_rope_line_closes()
    {
        var placed = Line("rope-line");
        var loops = placed.Stitches.Skip(1).ToArray();
        var thread = Bundle.WidthMm(2);
        Assert.All(loops, l => Assert.Equal(StitchShape.Loop, l.Shape));
        Assert.All(loops, l => Assert.InRange(l.FromMm.To(l.ToMm), 0.9 * thread, 1.5 * thread));
        Assert.All(loops.SkipLast(3), l => Assert.Equal(1.8 * thread, l.DownMm.Y - l.ToMm.Y, 2));
        Assert.All(loops.SkipLast(3), l => Assert.True(l.DownMm.X > l.ToMm.X));
        Assert.Equal(60, loops.Sum(l => l.FromMm.To(l.ToMm)), 1);
    }

    /// <summary>
    /// Laid thread on a round goes as the round does: between its ties it leaves a circle by less than a twentieth of what the straight
    /// way would (chord geometry), and a corner stays one.
    /// </summary>
    [Fact]
    public void Laid_thread_sweeps_between_its_ties()
    {
        var ring = Strokes.Sewn(Strokes.Circle(12), Spec("couching"))!.Stitches.TakeWhile(s => s.Passes < 2).ToArray();
        var inner = ring.Skip(1).SkipLast(2).ToArray();
        Assert.NotEmpty(inner);
        var middle = new Pt(ring.Average(s => s.ToMm.X), ring.Average(s => s.ToMm.Y));
        var radius = ring.Average(s => s.ToMm.To(middle));
        foreach (var stitch in inner)
        {
            var rise = radius - Math.Sqrt((radius * radius) - (stitch.LengthMm * stitch.LengthMm / 4));
            Assert.All(stitch.PathMm!, p => Assert.InRange(p.To(middle), radius - (rise / 5), radius + (rise / 5)));
        }

        Assert.All(Line("couching").Stitches.Where(s => s.Passes < 2), s => Assert.True(s.PathMm is null
            || s.PathMm.All(p => Math.Abs(p.Y) < 0.002)));
    }

    /// <summary>A corner is an end in both rows of bricks, and no stitch cuts it (common practice).</summary>
    [Fact]
    public void Bricks_turn_a_corner_with_an_end_in_each_row()
    {
        var corner = new Pt(14.3, 0);
        Stroke bent = new([Curve.Line(default, corner), Curve.Line(corner, new Pt(14.3, 17.1))], false);
        var placed = Strokes.Sewn(bent, Spec("brick-line"))!;
        var aside = 1.05 * Bundle.WidthMm(2) / 2;
        Assert.True(placed.Stitches.SelectMany(s => new[] { s.FromMm, s.ToMm }).Distinct().Count(h => h.To(corner) < aside + 0.01) >= 2);
        Assert.All(placed.Stitches, s => Assert.True(Polyline.ToLine(Pt.Lerp(s.FromMm, s.ToMm, 0.5), [default, corner, new Pt(14.3, 17.1)])
            <= aside + 0.01));
    }
}
