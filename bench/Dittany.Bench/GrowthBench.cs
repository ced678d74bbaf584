using BenchmarkDotNet.Attributes;
using Dittany.Core.Jobs;
using Dittany.Core.Planning;

namespace Dittany.Bench;

/// <summary>How a plan grows with its letters: near linear is wanted.</summary>
[MemoryDiagnoser]
[ShortRunJob]
public class GrowthBench
{
    private Job _job = null!;

    [Params(25, 100, 400)]
    public int Letters { get; set; }

    [GlobalSetup]
    public void Make()
    {
        var words = new string(Enumerable.Range(0, Letters / 2).Select(i => "maplestony"[i % 10]).ToArray());
        _job = new Job("tea-towel", [new TextElement("one", words, CapHeightMm: 12), new TextElement("two", words, CapHeightMm: 12)],
            new DateOnly(2027, 3, 1));
    }

    [Benchmark]
    public Plan Plan() => Planner.Make(_job, Workshop.Default, Dittany.Formats.Alphabets.ShippedAlphabets.Library);
}
