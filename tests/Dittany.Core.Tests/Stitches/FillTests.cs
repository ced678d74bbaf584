using Dittany.Core.Designs;
using Dittany.Core.Geometry;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Stitches.InAreas;
using Dittany.Core.Stitches.Needle;
using FsCheck.Fluent;

namespace Dittany.Core.Tests.Stitches;

/// <summary>What every fill holds to on any area, and what closed forms say of each.</summary>
public class FillTests
{
    private static Stroke Ring(params Pt[] ring) => Stroke.Ring(ring);

    private static Stroke Rectangle(double x, double y, double w, double h) =>
        Ring(new(x, y), new(x + w, y), new(x + w, y + h), new(x, y + h));

    private static SewingBy By(int strands = 2, double mostFree = 12, int seed = 0, double? degrees = null) =>
        new(StitchSpec.For(new Pair(Book.Plainest, strands), new StitchSchools()))
        {
            MostFreeMm = mostFree,
            Seed = seed,
            Direction = degrees is { } d ? new Direction(DirectionKind.OneWay, d * Math.PI / 180) : null,
        };

    private static Placed Sew(string fill, Area area, SewingBy by) => Book.Fill(fill)!.Sew(new Shape("a", area), by)!;

    /// <summary>A leaf: two arcs from the foot at the origin to the tip, as wide as told.</summary>
    private static Area Leaf(double length, double width) => new([new Stroke(
    [
        new Curve(new(0, 0), new(length * 0.3, -width * 0.67), new(length * 0.7, -width * 0.67), new(length, 0)),
        new Curve(new(length, 0), new(length * 0.7, width * 0.67), new(length * 0.3, width * 0.67), new(0, 0)),
    ], true)]);

    public static TheoryData<string> Fills() => [.. Book.Fills.Select(f => f.Info.Id)];

    /// <summary>
    /// On random leaves, blocks and rings with a hole: every stitch lies in the area, nothing that was judged to fit lies free longer than
    /// it may, the thread never hops further than is allowed, and the same again comes out the same.
    /// </summary>
    [ManyTimes(40)]
    public FsCheck.Property Fills_keep_inside_and_short() => Prop.ForAll(
        FsCheck.Fluent.Arb.From(
            from kind in Gen.Choose(0, 2)
            from length in Gen.Choose(8, 60)
            from width in Gen.Choose(3, 30)
            from strands in Gen.Elements(1, 2, 3, 6)
            from free in Gen.Elements(4.0, 5.0, 7.0, 8.0, 12.0)
            from turn in Gen.Choose(0, 179)
            select (kind, length, width, strands, free, turn)),
        input =>
        {
            var drawn = input.kind == 0 ? Leaf(input.length, input.width)
                : new Area(input.kind == 1 ? [Rectangle(0, 0, input.length, input.width)]
                : [Rectangle(0, 0, input.length + 20, input.width + 20), Rectangle(8, 8, input.length + 4, input.width + 4)]);
            var (c, s) = (Math.Cos(input.turn * Math.PI / 180), Math.Sin(input.turn * Math.PI / 180));
            var area = new Area(drawn.Edges.Select(e => e.Map(p => new Pt((p.X * c) - (p.Y * s), (p.X * s) + (p.Y * c)))).ToArray());
            var by = By(input.strands, input.free, input.turn);
            foreach (var fill in Book.Fills)
            {
                if (!fill.Fills(area, by).Fits || fill.Sew(new Shape("a", area), by) is not { } placed)
                {
                    continue;
                }

                var name = $"{fill.Info.Id} {input}";
                var region = area.Covers().Offset(0.05 + fill.OverMm(by));
                Assert.All(placed.Stitches, st => Assert.True(region.Holds(st.FromMm) && region.Holds(st.DownMm), name));
                // Laid threads are long, but held down.
                Assert.All(placed.Stitches, st => Assert.True(fill.HeldDown || st.LengthMm <= Math.Max(input.free, 1.5) * 1.42, $"{name} {st.LengthMm}"));
                for (var i = 1; i < placed.Stitches.Count; i++)
                {
                    var st = placed.Stitches[i];
                    var hop = placed.Stitches[i - 1].DownMm.To(st.FromMm);
                    Assert.True(placed.Breaks.Contains(i) || hop <= Math.Max(2 * input.free, 10), $"{name} hops {hop}");
                    Assert.True(!placed.Breaks.Contains(i) || st.Begins, name);
                }

                Assert.InRange(placed.Filling!.Coverage, 0.02, 1);
                Assert.Equal(area.Covers().AreaMm2, placed.Filling.AreaMm2, 1);
                var again = fill.Sew(new Shape("a", area), by)!;
                Assert.True(placed.Stitches.Moves.SequenceEqual(again.Stitches.Moves), name);
            }
        });

    /// <summary>
    /// The strokes of a shape are found once wherever it lies: satin that turns along them is the same elsewhere, stitch by stitch, to the
    /// grid it stands on.
    /// </summary>
    [Theory]
    [InlineData(137.25, -12.5)]
    [InlineData(0.1, 400)]
    [InlineData(-33.3333333333, 21.7182818)]
    public void Satin_that_turns_goes_along_with_its_shape(double x, double y)
    {
        var bow = new Area([new Stroke(
        [
            new Curve(new(0, 0), new(0, -30), new(50, -30), new(50, 0)),
            new Curve(new(50, 0), new(48, 0), new(46, 0), new(44, 0)),
            new Curve(new(44, 0), new(44, -22), new(6, -22), new(6, 0)),
            new Curve(new(6, 0), new(4, 0), new(2, 0), new(0, 0)),
        ], true)]);
        var by = new Pt(x, y);
        var (here, there) = (Sew("turning-satin", bow, By()), Sew("turning-satin", new Area([.. bow.Edges.Select(e => e.Map(p => p + by))]), By()));
        Assert.True(here.Stitches.Count > 60);
        Assert.Equal(here.Stitches.Count, there.Stitches.Count);
        Assert.All(here.Stitches.Zip(there.Stitches), s => Assert.True((s.First.FromMm + by).To(s.Second.FromMm) < 0.003
            && (s.First.ToMm + by).To(s.Second.ToMm) < 0.003, $"{s.First.FromMm} to {s.First.ToMm}"));
    }

    /// <summary>
    /// However large the area there are no more eyelets than a hand would work, none over another, and each is paid for: a place is held
    /// against what stands near it alone.
    /// </summary>
    [Fact]
    public void Eyelets_over_a_large_area_are_bounded()
    {
        var budget = new Core.Measures.Budget(Core.Measures.Budget.OfAPlan);
        var by = By() with { Budget = budget };
        var placed = Sew("eyelet", new Area([Rectangle(0, 0, 180, 140)]), by);
        var middles = placed.Stitches.Select(s => s.ToMm).Distinct().ToArray();
        Assert.InRange(middles.Length, 200, 400);
        Assert.All(middles, m => Assert.True(middles.Where(o => o != m).Min(m.To) > 2.9));
        Assert.InRange(Core.Measures.Budget.OfAPlan - budget.Left, 400_000, Core.Measures.Budget.OfAPlan);
    }

    /// <summary>
    /// Satin over a rectangle of a by b: b over the thread's width rows, each a long, and as much behind as on the face but for the steps.
    /// </summary>
    [Theory]
    [InlineData(5, 20, 2)]
    [InlineData(3, 12, 1)]
    [InlineData(6, 30, 3)]
    public void Satin_over_a_rectangle(double across, double along, int strands)
    {
        var by = By(strands, degrees: 0);
        var placed = Sew("satin", new Area([Rectangle(0, 0, across, along)]), by);
        var rows = (int)Math.Ceiling(along / by.Spec.BundleMm);
        Assert.Equal(rows, placed.Stitches.Count);
        Assert.All(placed.Stitches, s => Assert.Equal(across, s.LengthMm, 2));
        Assert.Empty(placed.Breaks);
        Assert.InRange(placed.Filling!.Coverage, 0.97, 1);
        var behind = placed.Stitches.Skip(1).Select((s, i) => placed.Stitches[i].DownMm.To(s.FromMm)).ToArray();
        var step = along / rows;
        Assert.All(behind, b => Assert.Equal(Math.Sqrt((across * across) + (step * step)), b, 2));
    }

    /// <summary>Satin longer than threads may lie free is refused with its cure; brick fills the same with short stitches.</summary>
    [Fact]
    public void What_is_too_wide_for_satin_takes_brick()
    {
        var area = new Area([Rectangle(0, 0, 20, 30)]);
        var fits = Book.Fill("satin")!.Fills(area, By(mostFree: 5, degrees: 0));
        Assert.False(fits.Fits);
        Assert.Contains("20 mm", fits.Why, StringComparison.Ordinal);
        Assert.Contains("brick", fits.Cure, StringComparison.Ordinal);
        var brick = Sew("brick", area, By(mostFree: 5, degrees: 0));
        Assert.All(brick.Stitches, s => Assert.InRange(s.LengthMm, 0.9, 5.01));
        Assert.InRange(brick.Filling!.Coverage, 0.95, 1);
    }

    /// <summary>Bricks: every second column begins with half a brick, so that no joint lies beside a joint.</summary>
    [Fact]
    public void Joints_of_bricks_never_lie_side_by_side()
    {
        var by = By(degrees: 0);
        var placed = Sew("brick", new Area([Rectangle(0, 0, 40, 10)]), by);
        var columns = placed.Stitches.GroupBy(s => Math.Round(s.FromMm.Y, 2)).OrderBy(g => g.Key).Select(g =>
            g.SelectMany(s => new[] { s.FromMm.X, s.ToMm.X }).Select(x => Math.Round(x, 2)).Where(x => x is > 0.5 and < 37).Distinct()
            .Order().ToArray()).ToArray();
        Assert.True(columns.Length > 10);
        foreach (var (one, next) in columns.Zip(columns.Skip(1)))
        {
            Assert.All(one, x => Assert.True(next.Min(y => Math.Abs(x - y)) > 1.5));
        }
    }

    /// <summary>Long and short: each row bites into the last by a quarter of a long stitch, and parts its strands.</summary>
    [Fact]
    public void Rows_of_long_and_short_bite_into_each_other()
    {
        var placed = Sew("long-and-short", new Area([Rectangle(0, 0, 40, 6)]), By(degrees: 0));
        var row = placed.Stitches.GroupBy(s => Math.Round(s.FromMm.Y, 2)).First().Select(s =>
            (From: Math.Min(s.FromMm.X, s.ToMm.X), To: Math.Max(s.FromMm.X, s.ToMm.X))).OrderBy(s => s.From).ToArray();
        Assert.True(row.Length >= 6);
        foreach (var (one, next) in row.Zip(row.Skip(1)).SkipLast(2))
        {
            Assert.InRange(one.To - next.From, 1.4, 1.6);
        }
    }

    /// <summary>
    /// Circles packed closest cover π/√12 = 0.9069 of the plane (Thue 1890): knots side by side come near it, but for what the edge leaves.
    /// </summary>
    [Fact]
    public void Knots_are_packed_as_circles_lie_closest()
    {
        var by = By(2);
        var across = Core.Stitches.AtPoints.Knots.AcrossMm(2, by.Spec.Wraps);
        var placed = Sew("french-knot", new Area([Rectangle(0, 0, 40, 40)]), by);
        Assert.All(placed.Stitches, s => Assert.Equal(StitchShape.Knot, s.Shape));
        var share = placed.Stitches.Count * Math.PI * across * across / 4 / 1600;
        Assert.InRange(share, 0.8, 0.907);
        Assert.All(placed.Stitches, s => Assert.InRange(Math.Min(Math.Min(s.FromMm.X, 40 - s.FromMm.X),
            Math.Min(s.FromMm.Y, 40 - s.FromMm.Y)), (across / 2) - 0.01, 40));
    }

    /// <summary>Fishbone and fly grow from the tip down to both sides in turn, and cross or hold on the vein.</summary>
    [Theory]
    [InlineData("fishbone")]
    [InlineData("fly")]
    public void Leaves_have_their_vein(string fill)
    {
        var placed = Sew(fill, Leaf(24, 9), By(2, 12));
        var stitches = placed.Stitches.Where(s => s.Shape != StitchShape.Tie).Skip(fill == "fishbone" ? 1 : 0).ToArray();
        Assert.True(stitches.Length >= 4);
        Assert.All(stitches, s => Assert.InRange(Math.Abs((fill == "fly" ? s.ToMm : s.DownMm).Y), 0, 0.5));
        Assert.InRange(stitches.Count(s => s.FromMm.Y < 0) / (double)stitches.Length, fill == "fly" ? 0.99 : 0.45, fill == "fly" ? 1 : 0.55);
        Assert.True(stitches[0].FromMm.X > stitches[^1].FromMm.X);
        if (fill == "fly")
        {
            Assert.All(stitches, s => Assert.Equal(3, s.PathMm!.Count));
            Assert.Contains(placed.Stitches, s => s.Shape == StitchShape.Tie);
        }
    }

    /// <summary>A detached chain is one loop and its tie; on a baby's thing it is no longer than a finger could catch.</summary>
    [Fact]
    public void A_detached_chain_is_a_petal_in_one_go()
    {
        var placed = Sew("detached-chain", Leaf(9, 3), By());
        Assert.Equal([StitchShape.Loop, StitchShape.Tie], placed.Stitches.Select(s => s.Shape));
        Assert.False(Book.Fill("detached-chain")!.Fills(Leaf(9, 3), By(mostFree: 4)).Fits);
    }

    /// <summary>A lattice is tied down at every crossing of its threads.</summary>
    [Fact]
    public void A_lattice_is_tied_at_every_crossing()
    {
        var placed = Sew("lattice", new Area([Rectangle(0, 0, 30, 30)]), By(degrees: 0));
        var (laid, ties) = (placed.Stitches.Where(s => s.LengthMm > 3).ToArray(), placed.Stitches.Where(s => s.LengthMm <= 3).ToArray());
        var level = laid.Count(s => Math.Abs(s.FromMm.Y - s.ToMm.Y) < 0.01);
        Assert.Equal(level * (laid.Length - level), ties.Length);
    }

    /// <summary>Padding lies under the satin, at right angles to it and first; satin reaches half a thread over the edge.</summary>
    [Fact]
    public void Padding_crosses_under_the_satin()
    {
        var by = By(2, degrees: 0);
        var placed = Sew("padded-satin", new Area([Rectangle(0, 0, 6, 20)]), by);
        var satin = Array.FindIndex([.. placed.Stitches], s => Math.Abs(s.FromMm.Y - s.ToMm.Y) < 0.01);
        Assert.True(satin > 3);
        Assert.All(placed.Stitches.Take(satin), s => Assert.Equal(s.FromMm.X, s.ToMm.X, 2));
        Assert.All(placed.Stitches.Skip(satin).Skip(1).SkipLast(1), s => Assert.Equal(6 + by.Spec.BundleMm, s.LengthMm, 2));
    }

    /// <summary>Weaving goes over one thread and under the next, and begins every second row the other way.</summary>
    [Fact]
    public void Weaving_goes_over_and_under_by_turns()
    {
        var by = By(2, degrees: 0);
        var placed = Sew("weaving", new Area([Rectangle(0, 0, 24, 24)]), by);
        var laid = placed.Stitches.Where(s => Math.Abs(s.FromMm.Y - s.ToMm.Y) < 0.01).ToArray();
        var rows = placed.Stitches.Where(s => Math.Abs(s.FromMm.X - s.ToMm.X) < 0.01).GroupBy(s => Math.Round(s.FromMm.X, 2)).ToArray();
        Assert.Equal(Math.Ceiling(24 / (2 * by.Spec.BundleMm)), laid.Length);
        Assert.Equal(Math.Ceiling(24 / by.Spec.BundleMm), rows.Length);

        // A laid thread is covered where a stitch is seen over it: by turns along a row, and by turns from row to row.
        var over = rows.Select(row => laid.OrderBy(l => l.FromMm.Y).Select(l => row.Any(s =>
            Math.Min(s.FromMm.Y, s.ToMm.Y) < l.FromMm.Y && Math.Max(s.FromMm.Y, s.ToMm.Y) > l.FromMm.Y)).ToArray()).ToArray();
        Assert.All(over, row => Assert.All(row[1..^1].Zip(row[2..^1]), pair => Assert.NotEqual(pair.First, pair.Second)));
        Assert.All(over.Zip(over.Skip(1)), pair => Assert.All(pair.First[1..^1].Zip(pair.Second[1..^1]), x =>
            Assert.NotEqual(x.First, x.Second)));
    }

    /// <summary>Couched threads lie side by side, and nowhere longer free than from tie to tie.</summary>
    [Theory]
    [InlineData(12)]
    [InlineData(4)]
    public void Couched_threads_are_tied_down(double free)
    {
        var placed = Sew("couched-rows", new Area([Rectangle(0, 0, 30, 12)]), By(2, free, degrees: 0));
        foreach (var laid in placed.Stitches.Where(s => s.LengthMm > 20))
        {
            var ties = placed.Stitches.Where(s => s.LengthMm < 2 && Math.Abs(((s.FromMm.Y + s.ToMm.Y) / 2) - laid.FromMm.Y) < 0.25)
                .Select(s => s.FromMm.X).Append(0).Append(30).Order().ToArray();
            Assert.All(ties.Zip(ties.Skip(1)), t => Assert.InRange(t.Second - t.First, 0, Math.Min(5, free) + 0.01));
        }
    }

    /// <summary>
    /// Eyelets lie beside each other, each with all its spokes in one hole; circles cover no more than Thue's 0.9069 (1890).
    /// </summary>
    [Fact]
    public void Eyelets_are_packed_and_never_lie_over_each_other()
    {
        var placed = Sew("eyelet", new Area([Rectangle(0, 0, 40, 40)]), By());
        var eyelets = placed.Stitches.GroupBy(s => s.ToMm).Select(g => (Middle: g.Key, Radius: g.Max(s => s.LengthMm), Spokes: g.Count()))
            .ToArray();
        Assert.True(eyelets.Length > 12);
        Assert.All(eyelets, e => Assert.InRange(e.Spokes, 7, 60));
        Assert.True(eyelets.Max(e => e.Radius) > 1.8 * eyelets.Min(e => e.Radius));
        for (var i = 0; i < eyelets.Length; i++)
        {
            Assert.All(eyelets.Skip(i + 1), e => Assert.True(e.Middle.To(eyelets[i].Middle) >= e.Radius + eyelets[i].Radius - 0.01));
        }

        Assert.InRange(eyelets.Sum(e => Math.PI * e.Radius * e.Radius) / 1600, 0.35, 0.9069);
    }

    /// <summary>The middle straight of a petal is the longest, and each further out is shorter.</summary>
    [Fact]
    public void Straights_of_a_petal_are_graded()
    {
        var lengths = Sew("graded-straights", Leaf(11, 6), By(3)).Stitches.OrderBy(s => s.FromMm.Y).Select(s => s.LengthMm).ToArray();
        var middle = Array.IndexOf(lengths, lengths.Max());
        Assert.True(lengths.Length >= 5);
        Assert.InRange(middle, (lengths.Length - 1) / 2, lengths.Length / 2);
        Assert.Equal(lengths.Take(middle + 1).Order(), lengths.Take(middle + 1));
        Assert.Equal(lengths.Skip(middle).OrderDescending(), lengths.Skip(middle));
    }

    /// <summary>Blanket rows: every loop's ridge runs from foot to foot, and its tooth stands square on it.</summary>
    [Fact]
    public void Teeth_of_blanket_rows_stand_on_their_ridge()
    {
        var placed = Sew("blanket-rows", new Area([Rectangle(0, 0, 30, 12)]), By(2, degrees: 0));
        var loops = placed.Stitches.Where(s => s.Shape == StitchShape.Loop).ToArray();
        Assert.True(loops.Length > 30);
        Assert.All(loops, s => Assert.Equal(s.FromMm.Y, s.ToMm.Y, 2));
        Assert.All(loops, s => Assert.Equal(s.ToMm.X, s.DownMm.X, 2));
        Assert.All(loops, s => Assert.InRange(s.ToMm.To(s.DownMm), 3.9, 4.1));
    }

    /// <summary>
    /// Satin round a ring turns with it: every stitch lies on a ray from the middle, or leans by no more than the threads that share its
    /// hole; no hole takes more than two of them; outside the threads lie side by side.
    /// </summary>
    [Theory]
    [InlineData(6, 2)]
    [InlineData(4, 3)]
    [InlineData(9, 1)]
    public void Satin_turns_with_its_stroke(double inner, int strands)
    {
        var by = By(strands);
        var area = new Area([Circle(inner + 5), Circle(inner)]);
        Assert.True(Book.Fill("turning-satin")!.Fills(area, by).Fits);
        var placed = Sew("turning-satin", area, by);
        foreach (var s in placed.Stitches)
        {
            var (one, other) = (s.FromMm, s.ToMm);
            var (near, far) = one.Length < other.Length ? (one, other) : (other, one);
            Assert.InRange(far.Length, inner + 4.8, inner + 5.05);
            Assert.InRange(near.Length, inner - 0.05, inner + 1.8);
            var lean = Math.Abs(Math.Atan2(Pt.Cross(near, far), Pt.Dot(near, far)));
            Assert.InRange(lean * near.Length, 0, 2 * by.Spec.BundleMm);
        }

        var holes = placed.Stitches.Select(s => s.FromMm.Length < s.ToMm.Length ? s.FromMm : s.ToMm).GroupBy(h => h).Select(g => g.Count());
        Assert.All(holes, n => Assert.InRange(n, 1, 2));
        var outside = 2 * Math.PI * (inner + 5) / by.Spec.BundleMm;
        Assert.InRange(placed.Stitches.Count / outside, 0.75, 1.05);
        Assert.InRange(placed.Filling!.Coverage, 0.93, 1);

        static Stroke Circle(double radius) => new(Enumerable.Range(0, 90).Select(i =>
            Curve.Line(At(radius, i), At(radius, i + 1))).ToArray(), true);

        static Pt At(double radius, int i) => new(radius * Math.Cos(Math.Tau * i / 90), radius * Math.Sin(Math.Tau * i / 90));
    }

    /// <summary>What is thinner than a line and a half is a line.</summary>
    [Theory]
    [MemberData(nameof(Fills))]
    public void What_is_too_thin_is_no_area(string fill)
    {
        var fits = Book.Fill(fill)!.Fills(new Area([Rectangle(0, 0, 30, 1.2)]), By());
        Assert.False(fits.Fits);
        Assert.Contains("too thin", fits.Why, StringComparison.Ordinal);
    }

    /// <summary>A hole stays open: nothing is stitched across it.</summary>
    [Theory]
    [MemberData(nameof(Fills))]
    public void Holes_stay_open(string fill)
    {
        var area = new Area([Rectangle(0, 0, 30, 30), Rectangle(10, 10, 10, 10)]);
        if (!Book.Fill(fill)!.Fills(area, By(mostFree: 40)).Fits || fill is "fishbone" or "fly" or "detached-chain"
            or "chain-rows" or "linked-chain")
        {
            return;
        }

        var hole = Region.Rectangle(10.35, 10.35, 9.3, 9.3);
        Assert.All(Sew(fill, area, By(mostFree: 40)).Stitches, s =>
            Assert.All(Enumerable.Range(0, 21), i => Assert.False(hole.Holds(Pt.Lerp(s.FromMm, s.ToMm, i / 20.0)))));
    }

    /// <summary>
    /// Stem stitch along a stroke that tapers: every stitch of the middle is as long as the others, so its slant is the angle whose sine is
    /// the stroke's width over its length (geometry): steep where it is wide, along it where it is thin; side by side, a thread apart.
    /// </summary>
    [Theory]
    [InlineData(4.0, 1.6)]
    [InlineData(3.2, 2.0)]
    public void Stem_slants_as_its_stroke_tapers(double wide, double thin)
    {
        var wedge = new Area([Ring(new(0, -wide / 2), new(60, -thin / 2), new(60, thin / 2), new(0, wide / 2))]);
        var by = By(1);
        Assert.True(Book.Fill("tapering-stem")!.Fills(wedge, by).Fits);
        var placed = Sew("tapering-stem", wedge, by);
        var middle = placed.Stitches.Where(s => s.FromMm.X > 8 && s.ToMm.X > 8 && s.FromMm.X < 50 && s.ToMm.X < 50).ToArray();
        Assert.True(middle.Length > 20);
        Assert.All(middle, s => Assert.InRange(s.LengthMm, 4.6, 5.3));
        var slants = middle.OrderBy(s => s.FromMm.X).Select(s => Math.Abs(s.ToMm.Y - s.FromMm.Y) / s.LengthMm).ToArray();
        foreach (var (stitch, slant) in middle.OrderBy(s => s.FromMm.X).Zip(slants))
        {
            var width = wide + ((thin - wide) * Pt.Lerp(stitch.FromMm, stitch.ToMm, 0.5).X / 60);
            Assert.Equal(width / 5, slant, 0.06);
        }

        Assert.True(slants[0] > slants[^1] + 0.1);
        Assert.InRange(placed.Filling!.Coverage, 0.85, 1);
        Assert.Equal(0.4, TaperingStem.AdvanceMm(5, 5, 0.4), 6);
        Assert.Equal(2.5, TaperingStem.AdvanceMm(5, 0.2, 0.4), 6);
        Assert.False(Book.Fill("tapering-stem")!.Fills(new Area([Rectangle(0, 0, 40, 6)]), by).Fits);
    }
}
