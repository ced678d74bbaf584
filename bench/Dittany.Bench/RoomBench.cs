using BenchmarkDotNet.Attributes;
using Dittany.Core.Cautions;
using Dittany.Core.Effort;
using Dittany.Core.Finishing;
using Dittany.Core.Geometry;
using Dittany.Core.Hooping;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Planning;
using Dittany.Core.Route;
using Dittany.Core.Space;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Threads;
using Dittany.Core.Time;
using Dittany.Core.Transfer;
using Dittany.Core.Words;

namespace Dittany.Bench;

/// <summary>
/// Each room by itself, on the work of a twelve-letter name on a bodysuit: the item with the most seams. Together they are the plan.
/// </summary>
[MemoryDiagnoser]
[ShortRunJob]
public class RoomBench
{
    private const string Words = "Maximilianus";
    private Plan _plan = null!;
    private Drawn _drawn = null!;
    private Zone _zone = null!;
    private Region _field = null!;
    private Cloth _cloth = null!;
    private Worn _worn = null!;
    private Cutting _cutting = null!;
    private HoldingQuestion _holding = null!;
    private Piece[] _pieces = null!;
    private TransferQuestion _transfer = null!;

    [GlobalSetup]
    public void Warm()
    {
        var form = Bodysuit.Form;
        _plan = Planner.Make(new Job(form.Id, [new TextElement("name", Words)], new DateOnly(2027, 3, 1)), Workshop.Default,
            Dittany.Formats.Alphabets.ShippedAlphabets.Library);
        _drawn = form.At(form.UsualSize);
        _zone = _drawn.Zones[0];
        _field = Field.Of(_drawn, _zone);
        _cloth = _plan.Item.Cloth;
        _worn = Wearing.Settle(form, new StatedUse(), true, false, _ => null);
        _cutting = Cutting();
        var parts = _plan.Elements[0].Parts;
        var units = parts.GroupBy(p => p.LetterIndex).Select(g =>
            new Unit(g.First().Letter, g.SelectMany(p => p.Stitches).SelectMany(s => new[] { s.FromMm, s.ToMm }).ToArray(),
            g.Max(p => p.LineWidthMm) / 2)).ToArray();
        _holding = new HoldingQuestion(
            units, _drawn.Outline, _drawn.Obstacles.Where(o => Clearances.Of(o.Kind).RingMm is not null).Select(o =>
                new RingFree(o.Ring, Clearances.Of(o.Kind).RingMm!.Value)).ToArray(),
            _cloth, _drawn.Opening, _drawn.HoopLimit, Hoops.UsualMm, School.Hoop, "slack-on-knits", "outer-only", null, null);
        _pieces = parts.Select((p, i) => new Piece("name", i, p.LetterIndex, "thread", 1, p.Stitches,
            Book.Find(p.Stitch)!.Reverses)).ToArray();
        _transfer = new TransferQuestion(new TransferFacts(_cloth, ["window", "ink-jet", "iron"], 14, 1), 120, 60, 900, "a4", null, null,
            null);
    }

    [Benchmark]
    public Drawn Items() => Bodysuit.Form.At("62");

    [Benchmark]
    public Region Space() => Field.Of(_drawn, _zone);

    [Benchmark]
    public LetteringAnswer Words_and_stitch_settled()
    {
        var hand = UprightHand.Alphabet;
        var rooms = new Rooms(_field);
        return Lettering.Settle(new LetteringQuestion(
            hand, Settings.Lay(hand, [Words], _zone.Usual.Stands), rooms, rooms, _zone.Usual.AnchorMm, _cloth, StitchFacts.Of(_cloth),
                null, null, null, SizeWish.Comfortable, _zone.Lettering));
    }

    [Benchmark]
    public int Stitches()
    {
        var spec = StitchSpec.For(new Pair(Book.Find("split")!, 3), new StitchSchools(), 5);
        var setting = Setting.Lay(UprightHand.Alphabet, [Words], Stands.OnBaseline);
        return setting.Letters.Sum(l => LetterStitching.Stitch(l.Strokes.Select(s => s.Map(p => p * 14)).ToArray(), spec, 14).Lines.Count);
    }

    [Benchmark]
    public Held Hooping() => Holding.Settle(_holding);

    [Benchmark]
    public Routed Route() => Routing.Order(_pieces, new RouteRules(5, false, _cutting.RunMm, _cutting.FreshRunMm, 0.8,
        Core.Threads.Cutting.TakeUp, _cutting.EndsMm));

    [Benchmark]
    public Cutting Threads() => Cutting();

    [Benchmark]
    public StitchingEffort Effort() => EffortRoom.Stitching(_plan.Elements[0].Parts.SelectMany(p => p.Stitches).Sum(s => s.Seconds),
        7 * 3.5, ["Hoop."], new Pace(_cloth, Skill.Expert, false));

    [Benchmark]
    public Transferred Transfer() => TransferRoom.Settle(_transfer);

    [Benchmark]
    public Timed Time()
    {
        var work = _plan.Work;
        return Timing.Settle(work, Left.After(work, null, 4, 0, new DateOnly(2027, 3, 1)), new Evenings(5, 60), new DateOnly(2027, 3, 1),
            new DateOnly(2027, 4, 1));
    }

    [Benchmark]
    public Finished Finish() => FinishRoom.Settle(new FinishQuestion(
        _cloth, _plan.Transfer.Marker, _plan.Transfer.Method.Id, _plan.Transfer.Stabiliser, true, false, true, true, true, "often", true,
            "away-knot", "by-hand", null, "close", "face-down-steam", null));

    [Benchmark]
    public int Cautions() => CautionRoom.Of(new CautionFacts(
        _cloth, ["#8f3a67"], _plan.Transfer.Marker, false, _plan.Transfer.Method.Id, _plan.Transfer.Stabiliser, _worn, false, [Words],
            true, 1)).Count;

    private Cutting Cutting() => CuttingRoom.Settle(new CuttingQuestion("450", "away-knot", "weave", "single", "halves", [3], _worn, null,
        null, null));
}
