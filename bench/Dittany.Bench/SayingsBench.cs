using BenchmarkDotNet.Attributes;
using Dittany.Core.Sayings;

namespace Dittany.Bench;

/// <summary>What is said, understood: reach 5 ms a saying, 50 ms for the longest that is taken.</summary>
[ShortRunJob]
[MemoryDiagnoser]
public class SayingsBench
{
    private static readonly DateOnly Monday = new(2027, 3, 1);

    private static readonly string Longest = string.Concat(Enumerable.Repeat("two red hearts in satin stitch on a blue linen tote and ", 90));

    /// <summary>The lexicon is made when the first saying is read, as it is before any that is measured.</summary>
    [GlobalSetup]
    public void Setup() => Read("Ida on a tote");

    [Benchmark]
    [Arguments("Emma on a tote")]
    [Arguments("Ida and two bees in rust on a linen tote for Friday")]
    [Arguments("I'd like a sunflower with yellow petals and a brown centre, 12 cm wide, in three strands of moss pearl cotton 8, on the back of a denim jacket, for Ada by Sunday week")]
    public int Read(string said) => SayingParser.Read(said, Monday).Spans.Count;

    /// <summary>5 000 letters.</summary>
    [Benchmark]
    public int ReadLongest() => SayingParser.Read(Longest, Monday).Spans.Count;
}
