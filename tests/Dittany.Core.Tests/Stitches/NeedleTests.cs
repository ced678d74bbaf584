using Dittany.Core.Geometry;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Tests.Stitches;

/// <summary>What is read out of the needle's moves, on ways written by hand and on every stitch of the book.</summary>
public class NeedleTests
{
    public static TheoryData<string> Lines() => [.. Book.Lines.Select(s => s.Id)];

    private static Sewn Way(int strands, params Move[][] stitches)
    {
        var sewing = new Sewn.Sewing(strands);
        foreach (var stitch in stitches)
        {
            sewing.Stitch(stitch);
        }

        return sewing.Done();
    }

    /// <summary>
    /// Up, laid out 3 mm and held, down where it came up: twice 3 mm and round the tip by one and a half widths of three strands, 0.77 mm
    /// (geometry of a link).
    /// </summary>
    [Fact]
    public void A_loop_is_there_and_back()
    {
        var link = Way(3, [new Move(MoveKind.UpAt, new(0, 0)), new Move(MoveKind.HoldAt, new(3, 0)),
            new Move(MoveKind.DownAt, new(0, 0))])[0];
        Assert.Equal((StitchShape.Loop, 2), (link.Shape, link.Passes));
        Assert.Equal(6 + (1.5 * 0.77), link.ThreadMm, 3);
        Assert.Equal((new Pt(3, 0), new Pt(0, 0)), (link.ToMm, link.DownMm));
        Assert.Equal(9, link.PathMm!.Count);
    }

    /// <summary>What comes up in a loop and goes down beside its tip holds it; the same stitch elsewhere is a straight one.</summary>
    [Fact]
    public void What_comes_up_in_a_loop_ties_it_down()
    {
        Move[] loop = [new(MoveKind.UpAt, new(0, 0)), new(MoveKind.HoldAt, new(3, 0)), new(MoveKind.DownAt, new(0, 0))];
        Move[] tie = [new(MoveKind.UpAt, new(3, 0)), new(MoveKind.DownAt, new(3.8, 0))];
        Assert.Equal([StitchShape.Loop, StitchShape.Tie, StitchShape.Straight], Way(3, loop, tie, tie).Select(s => s.Shape));
    }

    /// <summary>
    /// Thread that slides under goes on from where it slid out, once round is √(pitch² + (π · width)²), and the needle meets the cloth only
    /// at both ends.
    /// </summary>
    [Fact]
    public void Sliding_under_goes_on_from_where_it_was()
    {
        var way = Way(
            3,
            [new Move(MoveKind.UpAt, new(0, 0)), new Move(MoveKind.SlideUnder, new(2, 0), 0.5f, 1)],
            [new Move(MoveKind.SlideUnder, new(5, 0), 1, 1)],
            [new Move(MoveKind.SlideUnder, new(6, 0), 0.5f, 1), new Move(MoveKind.DownAt, new(6, 0), Side: 1)]);
        Assert.Equal([new Pt(0, 0), new Pt(2, 0), new Pt(5, 0)], way.Select(s => s.FromMm));
        Assert.Equal([1, 0, 1], way.Select(s => s.Passes));
        Assert.Equal(Math.Sqrt(9 + Math.Pow(Math.PI * 0.77, 2)), way[1].ThreadMm, 3);
        Assert.All(way, s => Assert.Equal((StitchShape.Whip, 1), (s.Shape, s.Side)));
    }

    /// <summary>
    /// A needle that goes on ahead is quicker than one that goes back each time: the same holes as running and as backstitch (4 and 7 s,
    /// from memory).
    /// </summary>
    [Fact]
    public void Going_on_is_quicker_than_going_back()
    {
        var holes = Enumerable.Range(0, 12).Select(i => new Pt(2 * i, 0)).ToArray();
        var running = Sewn.Straights(2, Enumerable.Range(0, 6).Select(i => (holes[2 * i], holes[(2 * i) + 1])));
        var back = Sewn.Straights(2, Enumerable.Range(0, 11).Select(i => (holes[i + 1], holes[i])));
        Assert.All(running, s => Assert.Equal(4, s.Seconds));
        Assert.All(back, s => Assert.Equal(7, s.Seconds));
        Assert.Equal(7, Sewn.Straights(2, [(holes[0], holes[1])])[0].Seconds);
    }

    /// <summary>
    /// Turned stitches change ends and nothing else: the same thread, the same pace, for how a line is worked is a matter of the route.
    /// </summary>
    [Fact]
    public void Turned_stitches_change_ends_and_nothing_else()
    {
        var way = Sewn.Straights(3, [(new(2, 0), new(0, 0)), (new(4, 0), new(2, 0)), (new(6, 0), new(4, 0))]);
        var turned = way.Turned(i => i == 1);
        Assert.Equal([new Pt(2, 0), new Pt(2, 0), new Pt(6, 0)], turned.Select(s => s.FromMm));
        Assert.Equal(way.Sum(s => s.ThreadMm), turned.Sum(s => s.ThreadMm), 9);
        Assert.Equal(way.Select(s => s.Seconds), turned.Select(s => s.Seconds));
        Assert.Equal(way[1].FromMm, turned[1].Turned().FromMm);
        Assert.Equal(turned[1], turned[1].Turned().Turned());
    }

    /// <summary>
    /// Whatever the stitch: it begins on the front by coming up or by going on under thread, every thread that comes up goes down again
    /// before another does, and passes, length and seconds are those of its moves.
    /// </summary>
    [Theory]
    [MemberData(nameof(Lines))]
    public void Every_way_comes_up_and_goes_down_by_turns(string stitch)
    {
        foreach (var stroke in new[] { Strokes.Line(40), Strokes.Circle(9),
            new Stroke([Curve.Line(default, new(14, 0)), Curve.Line(new(14, 0), new(14, 17))], false) })
        {
            var sewn = Strokes.Sewn(stroke, StitchSpec.For(new Pair(Book.Find(stitch)!, 3), new StitchSchools()))!.Stitches;
            var up = false;
            foreach (var move in sewn.Moves)
            {
                if (move.Pierces)
                {
                    Assert.NotEqual(up, move.ComesUp);
                    up = move.ComesUp;
                }
                else
                {
                    Assert.True(up, "thread is led where the needle is behind");
                }
            }

            Assert.False(up);

            // What a knot takes to go through the cloth is in its own thread.
            Assert.Equal(sewn.Where(s => s.Shape != StitchShape.Knot).Sum(s => s.Moves().ToArray().Count(m => m.Pierces)),
                sewn.Sum(s => s.Passes));
            Assert.All(sewn, s => Assert.True(s.ThreadMm >= s.LengthMm - 1e-3 && s.Seconds > 0));
        }
    }

    /// <summary>A stitch for lines takes lines and says what to do about the rest; a knot takes points.</summary>
    [Fact]
    public void Stitches_say_what_they_take()
    {
        var cotton = new Core.Materials.Thread(2, "#000000");
        var (line, dot, area) = (new Core.Designs.Shape("l", Line: Strokes.Line(9)), new Core.Designs.Shape("p", Point: default(Pt)),
            new Core.Designs.Shape("a", new Core.Designs.Area([Strokes.Circle(4)])));
        foreach (var stitch in Book.All)
        {
            Assert.Equal(Book.Lines.Contains(stitch), stitch.Takes(line, cotton).Fits);
            Assert.Single(new[] { line, dot, area }, s => stitch.Takes(s, cotton).Fits);
            Assert.Equal(Book.Fills.Contains(stitch), stitch.Takes(area, cotton).Fits);
            Assert.All(new[] { dot, area }.Select(s => stitch.Takes(s, cotton)).Where(j => !j.Fits), j =>
                Assert.False(string.IsNullOrEmpty(j.Why) || string.IsNullOrEmpty(j.Cure)));
        }

        Assert.False(Book.Plainest.Takes(new Core.Designs.Shape("s", Line: Strokes.Line(0.5)), cotton).Fits);
    }
}
