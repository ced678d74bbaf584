using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Route;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Stitches.Needle;
using Dittany.Core.Tests.Materials;
using Dittany.Core.Tests.Planning;
using FsCheck.Fluent;

namespace Dittany.Core.Tests.Route;

public class RouteTests
{
    private static readonly RouteRules Rules = new(5, false, 1e9, 1e9, 0.5, 1.1, 60);

    /// <summary>
    /// Against every choice of ways for up to four lines: no cheaper route is missed, thread ends first, then thread lying free, then lines
    /// not worked as written.
    /// </summary>
    [ManyTimes(120)]
    public FsCheck.Property The_ways_chosen_are_the_cheapest() => Prop.ForAll(
        FsCheck.Fluent.Arb.From(
            from count in Gen.Choose(1, 4)
            from xs in Gen.Choose(0, 24).ListOf(8)
            from ys in Gen.Choose(0, 24).ListOf(8)
            from lefts in Gen.Elements(false, true).ListOf(4)
            select (count, xs, ys, lefts)),
        input =>
        {
            var pieces = Enumerable.Range(0, input.count).Select(i =>
                Line(i, new Pt(input.xs[2 * i], input.ys[2 * i]), new Pt(input.xs[(2 * i) + 1] + 0.5, input.ys[(2 * i) + 1]),
                input.lefts[i])).ToArray();
            var chosen = Routing.CostOf(pieces, Routing.Order(pieces, Rules).Ways.Select(w => w.Way).ToArray(), Rules);
            var cheapest = Every(pieces, 0).Select(ways => Routing.CostOf(pieces, ways, Rules)).Aggregate((a, b) => b.Against(a) < 0 ? b
                : a);
            Assert.True(chosen.Ends == cheapest.Ends && chosen.FloatMm <= cheapest.FloatMm + SavedByShortJumps,
                $"{chosen} chosen, {cheapest} is cheapest");
        });

    /// <summary>
    /// Lines that follow each other by a short jump as written are left as written, even where turning them would save a millimetre or two.
    /// </summary>
    private const double SavedByShortJumps = 3 * 5;

    /// <summary>
    /// Every way passes every stitch once, and what lies behind between two of its stitches lies under the line or is no longer than one
    /// stitch.
    /// </summary>
    [Theory]
    [InlineData(2)]
    [InlineData(5)]
    [InlineData(8)]
    public void Every_way_passes_every_stitch_once(int stitches)
    {
        var piece = Line(0, default, new Pt(stitches * 2.5, 0), true);
        Assert.Equal(6, Ways.For(piece).Count);
        foreach (var way in Ways.For(piece))
        {
            Assert.Equal(Enumerable.Range(0, stitches), way.Order.Select(o => o.Index).Order());
            var behind = Enumerable.Range(1, stitches - 1).Select(i => Routing.Behind(way.Of(piece, i - 1), way.Of(piece, i))).ToArray();
            Assert.All(behind, b => Assert.True(b <= (way.Name == "out-and-back" ? 2.5 : 5) + 0.001, $"{way.Name}: {b}"));
        }
    }

    /// <summary>
    /// Out with gaps and back through them ends beside its own start and takes two lengths of the line where backstitch takes three
    /// (geometry; a habit of the trade for dead ends).
    /// </summary>
    [Fact]
    public void Out_and_back_ends_where_it_began()
    {
        var piece = Line(0, default, new Pt(20, 0), true);
        var way = Ways.For(piece).First(w => w.Name == "out-and-back");
        Assert.True(way.Start(piece).To(way.End(piece)) <= 2.5);
        var thread = Enumerable.Range(0, way.Order.Count).Sum(i => way.Of(piece, i).LengthMm
            + (i == 0 ? 0 : Routing.Behind(way.Of(piece, i - 1), way.Of(piece, i))));
        Assert.InRange(thread / 20, 1.8, 2.0);
    }

    /// <summary>A dead-end bar is worked out and back where that saves a thread end.</summary>
    [Fact]
    public void A_dead_end_is_worked_out_and_back()
    {
        var stem = Line(0, new Pt(0, 0), new Pt(0, 30), true);
        var bar = Line(1, new Pt(1, 30), new Pt(31, 30), true);
        var next = Line(2, new Pt(0, 32), new Pt(0, 52), true);
        var routed = Routing.Order([stem, bar, next], Rules);
        Assert.Equal(1, routed.Rows.Count(r => r.FloatKind == FloatKind.NewThread));
        Assert.Contains(routed.Ways, w => w.Way.Name == "out-and-back");
    }

    /// <summary>
    /// Stem, outline, split, chain and whipped lines cannot be run backwards without changing their look (common practice).
    /// </summary>
    [Fact]
    public void Only_backstitch_and_running_reverse() =>
        Assert.Equal(["backstitch", "running", "straight"], Book.Lines.Where(s => s.Reverses).Select(s => s.Id));

    /// <summary>
    /// A hand uses its thread up (common practice): none runs dry, and where the way on is short no more than the stated share of one is
    /// thrown away, so that there are at most a fifth more threads than all the stitches would fill.
    /// </summary>
    [ManyTimes(60)]
    public FsCheck.Property A_thread_is_used_up() => Prop.ForAll(
        FsCheck.Fluent.Arb.From(
            from count in Gen.Choose(2, 30)
            from lengths in Gen.Choose(3, 60).ListOf(30)
            from run in Gen.Choose(250, 600)
            from fresh in Gen.Choose(0, 90)
            select (count, lengths, run, fresh)),
        input =>
        {
            // Lines lie under each other, and each begins where the one before it ended.
            var at = new Pt(0, 0);
            var pieces = new List<Piece>();
            for (var i = 0; i < input.count; i++)
            {
                var to = at + new Pt(i % 2 == 0 ? input.lengths[i] : -input.lengths[i], 0);
                pieces.Add(Line(i, at, to, false));
                at = to + new Pt(0, 3);
            }

            var rules = Rules with { RunMm = input.run, FreshRunMm = input.run - input.fresh };
            var rows = Routing.Order(pieces, rules).Rows;
            double Of(RouteRow r) => Routing.Use(pieces[r.Part].Stitches[r.Stitch], r.BackMm, rules.ThicknessMm) * rules.TakeUp;
            var runs = rows.GroupBy(r => r.Run).ToArray();
            foreach (var run in runs)
            {
                Assert.True(run.Sum(Of) <= (run.First().Fresh ? rules.FreshRunMm : rules.RunMm) + 1e-6);
            }

            Assert.True(rows[0].Fresh);
            Assert.Equal(1, rows.Count(r => r.Fresh));
            Assert.All(rows.Where(r => r.Fresh), r => Assert.Equal(FloatKind.NewThread, r.FloatKind));
            var least = (int)Math.Ceiling((rows.Sum(Of) + input.fresh) / input.run);
            Assert.InRange(runs.Length, least, Math.Ceiling(least * 1.2));
        });

    /// <summary>
    /// The needleful goes on under whatever is stitched already, of another colour and another part too (common practice).
    /// </summary>
    [Fact]
    public void A_thread_goes_on_under_earlier_stitches_of_any_colour()
    {
        var stem = Line(0, new Pt(40, 0), new Pt(0, 0), false) with { Thread = "green" };
        var one = Line(1, new Pt(5, 1), new Pt(0, 1), false) with { Letter = 7 };
        var other = Line(2, new Pt(40, 1), new Pt(35, 1), false) with { Letter = 12 };
        var rows = Routing.Order([stem, one, other], Rules).Rows;
        Assert.Equal([FloatKind.NewThread, FloatKind.NewThread, FloatKind.Carried],
            rows.GroupBy(r => r.Part).Select(g => g.First().FloatKind));
        Assert.Equal(2, Routing.Order([one, other], Rules).Rows.Count(r => r.FloatKind == FloatKind.NewThread));
    }

    /// <summary>
    /// An away-knot only where nothing is stitched yet: a second thread beside stitches begins under them, one far off does not.
    /// </summary>
    [Theory]
    [InlineData(10, false)]
    [InlineData(60, true)]
    public void A_later_thread_begins_under_stitches_where_there_are_any(double down, bool fresh)
    {
        var first = Line(0, new Pt(20, 0), new Pt(0, 0), false);
        var second = Line(1, new Pt(20, down), new Pt(0, down), false) with { Thread = "other" };
        var rows = Routing.Order([first, second], Rules).Rows;
        Assert.Equal(fresh, rows.First(r => r.Part == 1).Fresh);
    }

    /// <summary>
    /// A closed chain ends with a loop: its tip is held by the first link, but the needle went down beside the loop's own base, and from
    /// there the thread goes on behind (how a chain is worked, common practice).
    /// </summary>
    [Fact]
    public void A_float_begins_where_the_needle_went_down()
    {
        Pt[] ring = [new(0, 0), new(4, 0), new(4, 4), new(0, 4)];
        var chain = new Sewn.Sewing(3);
        for (var i = 0; i < 4; i++)
        {
            chain.Stitch(new Move(MoveKind.UpAt, ring[i]), new Move(MoveKind.HoldAt, ring[(i + 1) % 4]),
                new Move(MoveKind.DownAt, ring[i]));
        }

        var next = Sewn.Straights(3, [(new Pt(0, 0.5), new Pt(0, 3))]);
        var rows = Routing.Order([new Piece("a", 0, 0, "t", 1, chain.Done()), new Piece("a", 1, 0, "t", 1, next)],
            new RouteRules(5, false, 1000, 1000, 0.5, 1.1, 60)).Rows;
        Assert.Equal((3.5, FloatKind.Straight), (rows[^1].FloatMm, rows[^1].FloatKind));
    }

    /// <summary>
    /// Floats by cloth and wear (common practice, figures from memory): 5 mm on skin, on napkins and towels; 10 mm elsewhere; letters end
    /// their thread on sheer cloth that shows it.
    /// </summary>
    [Theory]
    [InlineData("baby-bodysuit", "baby", "cotton-jersey", true, 5, false)]
    [InlineData("baby-bodysuit", "nobody", "cotton-jersey", true, 10, false)]
    [InlineData("tote", "nobody", "canvas", true, 10, false)]
    [InlineData("baby-blanket", "baby", "canvas", true, 5, false)]
    [InlineData("tote", "baby", "canvas", true, 10, false)]
    [InlineData("napkin", "nobody", "linen", true, 5, false)]
    [InlineData("tea-towel", "adult", "half-linen", true, 5, false)]
    [InlineData("napkin", "nobody", "lawn", true, 5, true)]
    [InlineData("napkin", "nobody", "lawn", false, 5, false)]
    public void Floats_by_cloth_and_wear(string form, string wearer, string cloth, bool shows, double limit, bool ends)
    {
        var f = Catalogue.Find(form)!;
        var rule = FloatRules.For(new FloatFacts(ThreadAndHoopTests.ClothOf(cloth),
            Wearing.Settle(f, new StatedUse(wearer), true, false, _ => null), f.Use, f.Name, shows, "carry", "by-use"));
        Assert.Equal((limit, ends), (rule.StraightUpToMm, rule.LetterEndsThread));
        Assert.NotEmpty(rule.Because);
    }

    /// <summary>On see-through cloth each letter ends its own thread, unless the thread cannot show (common practice).</summary>
    [Fact]
    public void On_sheer_cloth_every_letter_ends_its_thread()
    {
        var sheer = new FabricOverrides("lawn", "#ffffff");
        var plan = Samples.Plan(Samples.On("napkin", "ill") with { Fabric = sheer });
        Assert.Equal(3, plan.Route.Max(r => r.Run));
        var alike = Samples.Plan(Samples.On("napkin", "ill", w => w with { Colour = "#f7f4ec" }) with { Fabric = sheer });
        Assert.True(alike.Route.Max(r => r.Run) < 3);
        Assert.Contains("does not show through", string.Join(' ', alike.Decision("order.parts")!.Because), StringComparison.Ordinal);
    }

    private static Piece Line(int part, Pt from, Pt to, bool reverses)
    {
        var stroke = new Stroke([Curve.Line(from, to)], false);
        var placed = Stitches.Strokes.Sewn(stroke, StitchSpec.For(new Pair(Book.Find("backstitch")!, 3), new StitchSchools()));
        return new Piece("line", part, part, "thread", 1, placed?.Stitches ?? Sewn.Straights(3, [(to, from)]), reverses);
    }

    private static IEnumerable<Way[]> Every(Piece[] pieces, int from) => from == pieces.Length
        ? [[]]
        : Ways.For(pieces[from]).SelectMany(way => Every(pieces, from + 1).Select(rest => (Way[])[way, .. rest]));
}
