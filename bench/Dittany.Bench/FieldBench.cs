using BenchmarkDotNet.Attributes;
using Dittany.Core.Geometry;
using Dittany.Core.Hooping;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Planning;
using Dittany.Core.Route;

namespace Dittany.Bench;

/// <summary>
/// A field of flowers: the plan of so many plants (about three hundred stitches each), the fewest placings over 400 × 300 mm, and the
/// order of two thousand parts.
/// </summary>
[MemoryDiagnoser]
public class FieldBench
{
    private static readonly string[] Plants = ["ox-eye-stalk", "cornflower-stalk", "lavender", "buttercup-stalk", "poppy", "umbel-stalk", "flower-stem"];

    private Job _job = null!;

    private Unit[] _units = null!;

    private SetUpNode[] _nodes = null!;

    private Pt[] _places = null!;

    /// <summary>13 plants are the shirt of the demonstration, 60 close to twenty thousand stitches.</summary>
    [Params(13, 26, 60)]
    public int Many { get; set; }

    [GlobalSetup]
    public void Setup()
    {
        Pt[] edge = [new(0, 0), new(900, 0), new(900, 900), new(0, 900)];
        Pt[] middle = [new(20, 20), new(880, 20), new(880, 880), new(20, 880)];
        var cloth = new OwnForm("field", "cloth", "by-hand", new Dictionary<string, double>(StringComparer.Ordinal),
            [new OwnFace("front", "front", edge, [new OwnZone("z", "middle", middle)], [])]);
        _job = new Job("field", [.. Enumerable.Range(0, Many).Select(i =>
            new MotifElement($"p{i}", Plants[i % Plants.Length], HeightMm: 90, CentreMm: new Pt(60 + (i % 13 * 45), 100 + (i / 13 * 120)))).ToArray()], new DateOnly(2027, 3, 1), Zone: "z", Own: cloth);
        _units = Enumerable.Range(0, 24).Select(i => new Pt(30 + (i % 6 * 65), 30 + (i / 6 * 75)) is var at
            ? new Unit($"u{i}", [at + new Pt(-14, -20), at + new Pt(14, -20), at + new Pt(14, 20), at + new Pt(-14, 20)], 0.5) : null!).ToArray();
        _nodes = Enumerable.Range(0, 100).Select(i => new SetUpNode($"t{i * 7 % 18}", i, i % 3 == 2 ? [i - 1, i - 2] : [])).ToArray();
        _places = Enumerable.Range(0, 2000).Select(i => new Pt(i * 37 % 400, i * 91 % 300)).ToArray();
    }

    [Benchmark]
    public Plan A_field() => Planner.Make(_job, Workshop.Default, Dittany.Formats.Alphabets.ShippedAlphabets.Library);

    [Benchmark]
    public int Fewest_placings() => Hooping.Fewest(_units, round: true, 178, null).Bound;

    [Benchmark]
    public int Fewest_threadings() => ThreadChangeOrder.Fewest(_nodes, null).Count;

    [Benchmark]
    public int Way_through_two_thousand() => ShortWay.Through(_places, null).Count;
}
