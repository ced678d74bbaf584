using Dittany.Core.Jobs;
using Dittany.Core.Sayings;

namespace Dittany.Core.Tests.Sayings;

/// <summary>
/// Sayings written by hand, each with what it means to whoever says it: kept as data. Nothing is lettered that was meant otherwise, and
/// what has no place is asked about.
/// </summary>
public class HandSayingsTests
{
    private static readonly DateOnly Monday = new(2027, 3, 1);

    private static IEnumerable<string[]> Lines() => File.ReadLines(Path.Combine(AppContext.BaseDirectory, "Sayings", "Data", "sayings.txt"))
        .Where(l => l.Length > 0 && !l.StartsWith('#')).Select(l => l.Split(" | "));

    public static TheoryData<string, string> Sayings()
    {
        var data = new TheoryData<string, string>();
        foreach (var line in Lines())
        {
            data.Add(line[0], string.Join(" | ", line.Skip(1).Order(StringComparer.Ordinal)));
        }

        return data;
    }

    [Theory]
    [MemberData(nameof(Sayings))]
    public void A_saying_means_what_it_means(string said, string meant)
    {
        var heard = SayingParser.Read(said, Monday);
        var asks = meant.Split(" | ").FirstOrDefault(m => m.StartsWith("asks=", StringComparison.Ordinal))?["asks=".Length..];
        Assert.Equal(meant, Told.Of(heard, asks));
        Whole(said, heard);
    }

    /// <summary>At least four hundred, so that a tenth of them may be odd.</summary>
    [Fact]
    public void There_are_four_hundred_of_them() => Assert.True(Lines().Count() >= 400);

    /// <summary>
    /// Whatever is said: each word in one span, each span as it is written, and a job that makes sense where there is one.
    /// </summary>
    internal static void Whole(string said, Heard heard)
    {
        Assert.All(heard.Spans, s => Assert.Equal(heard.Said[s.From..s.To], s.Text));
        Assert.All(heard.Spans.Zip(heard.Spans.Skip(1)), pair => Assert.True(pair.First.To <= pair.Second.From, said));
        var covered = new bool[heard.Said.Length];
        foreach (var span in heard.Spans)
        {
            Array.Fill(covered, true, span.From, span.To - span.From);
        }

        Assert.All(Enumerable.Range(0, heard.Said.Length).Where(i => char.IsLetterOrDigit(heard.Said[i])), i => Assert.True(covered[i], $"{said}: {heard.Said[i..]}"));
        Assert.All(heard.Asked, q => Assert.True(q.From >= 0 && q.From <= q.To && q.To <= heard.Said.Length && q.Asks.Length > 0));
        Assert.All(heard.Spans.Where(s => s.Label == Label.Unplaced), s => Assert.Contains(heard.Asked, q => q.From <= s.From
            && q.To >= s.To));
        if (heard.Job(Monday) is { } job)
        {
            var faults = JobCheck.Faults(job, Workshop.Default, Core.Words.Library.Ours);
            Assert.True(faults.All(f => f.Pointer.EndsWith("/text", StringComparison.Ordinal) || f.Pointer.EndsWith("/rows", StringComparison.Ordinal) || f.Pointer.EndsWith("/alphabet", StringComparison.Ordinal)), $"{said}: {string.Join("; ", faults.Select(f => $"{f.Pointer} {f.Detail}"))}");
        }
    }
}
