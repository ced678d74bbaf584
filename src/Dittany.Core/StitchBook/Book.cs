using Dittany.Core.Designs;
using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using Dittany.Core.Stitches;
using Dittany.Core.Stitches.AtPoints;
using Dittany.Core.Stitches.InAreas;
using Dittany.Core.Stitches.OnLines;
using Thread = Dittany.Core.Materials.Thread;

namespace Dittany.Core.StitchBook;

/// <summary>The stitch book: a row for each stitch there is.</summary>
public static class Book
{
    /// <summary>Capitals alone are legible at this share of the mixed-case height (from memory): no x-height to shut.</summary>
    public const double CapitalsAlone = 0.8;

    /// <summary>
    /// Lettering ratios of ISO 3098: line = 1/10 of the capital (type B), 1/14 (type A). Thread can go a little heavier: 1/9.
    /// </summary>
    public const double Iso3098TypeB = 10;

    /// <summary>What small and clear letters are written with, where nothing else suits.</summary>
    public static IStitch Plainest { get; } = new Backstitch();

    /// <summary>What is laid on the cloth and tied down, where a thread cannot be drawn through it.</summary>
    public static IStitch Laid => Find("couching").Sure();

    /// <summary>Stitches that fill areas, by what they are good for: narrow shapes first, wide ones after.</summary>
    public static IReadOnlyList<AreaStitch> Fills { get; } =
    [
        new SatinStitch(),
        new BorderedSatin(),
        new PaddedSatin(),
        new TurningSatin(),
        new RopeStitch(),
        new TaperingStem(),
        new GradedStraights(),
        new FishboneStitch(),
        new FlyStitch(),
        new DetachedChain(),
        new LongAndShortStitch(),
        new BrickStitch(),
        new DirectionalStraightStitch(),
        new ChainRows(),
        new LinkedChainRows(),
        new BlanketRows(),
        new DoubleBlanketRows(),
        new CouchedRows(),
        new WeavingStitch(),
        new SeedStitch(),
        new PackedKnots(),
        new PackedColonialKnots(),
        new EyeletStitch(),
        new LaidLattice(),
    ];

    public static AreaStitch? Fill(string id) => Fills.FirstOrDefault(s => string.Equals(s.Info.Id, id, StringComparison.Ordinal));

    public static IReadOnlyList<IStitch> All { get; } =
    [
        Plainest,
        new WhippedBackstitch(),
        new SplitStitch(),
        new StemStitch(),
        new OutlineStitch(),
        new ChainStitch(),
        new RunningStitch(),
        new WhippedRunning(),
        new LacedRunning(),
        new LacedBackstitch(),
        new LacedStem(),
        new LacedSplit(),
        new BrickLine(),
        new WhippedBrick(),
        new LacedBrick(),
        new RopeLine(),
        new WhippedStem(),
        new WhippedSplit(),
        new WhippedChain(),
        new InterlacedChain(),
        new HeavyChain(),
        new LinkedChain(),
        new Couching(),
        new CoralStitch(),
        new KnottedStem(),
        new BlanketStitch(),
        new DoubleBlanket(),
        new CrossStitchLine(),
        new SplitBack(),
        new StraightStitch(),
        Dots.Knot,
        .. Fills.Where(f => f.Info.Id != Dots.Knot.Id),
    ];

    /// <summary>Stitches that write lines.</summary>
    public static IReadOnlyList<IStitch> Lines { get; } = All.Where(s =>
        s.Takes(Line, new Thread(1, "#000000")).Fits).ToArray();

    /// <summary>Those of them that leave no cloth bare: what may be advised for letters.</summary>
    public static IReadOnlyList<IStitch> Solid { get; } = Lines.Where(s => s.GapShare == 0).ToArray();

    /// <summary>A line that every stitch for lines must take: straight, a hundred millimetres.</summary>
    private static Shape Line => new("line", Line: new Stroke([Curve.Line(default, new Pt(100, 0))], false));

    /// <summary>Stitches whose names are settled, whether they can be drawn yet or not.</summary>
    private static readonly string[] Names =
    [
        "running", "whipped-running", "laced-running", "whipped-chain", "interlaced-chain", "heavy-chain", "linked-chain", "couching",
            "coral", "knotted-stem", "rope",
        "blanket", "double-blanket", "cross", "straight", "satin", "turning-satin", "bordered-satin", "padded-satin", "brick",
            "long-and-short", "directional-straight",
        "seed", "colonial-knot", "chain-rows", "fishbone", "fly", "detached-chain", "eyelet", "weaving", "lattice", "couched-rows", "bead",
    ];

    /// <summary>Those that cannot be drawn yet: a job that names one is told so.</summary>
    public static IReadOnlyList<string> NotYetDrawn { get; } = Names.Where(n => Find(n) is null).ToArray();

    public static IStitch? Find(string id) => ById.GetValueOrDefault(id);

    private static Dictionary<string, IStitch> ById => field ??= All.ToDictionary(s => s.Id, StringComparer.Ordinal);
}
