using Dittany.Core.Measures;

namespace Dittany.Core.Tests.Measures;

/// <summary>What is kept stays within its bounds, and is reckoned once though many ask.</summary>
public class KeptTests
{
    [Fact]
    public void No_more_is_kept_than_was_said()
    {
        var kept = new Kept<int, string>(100);
        for (var i = 0; i < 5_000; i++)
        {
            Assert.Equal($"{i}", kept.Of(i, n => $"{n}"));
            Assert.InRange(kept.Count, 0, 100);
        }
    }

    [Fact]
    public async Task Many_who_ask_at_once_wait_for_one()
    {
        var (kept, made, all) = (new Kept<int, int>(10), 0, new Barrier(8));
        var answers = await Task.WhenAll(Enumerable.Range(0, 8).Select(_ => Task.Factory.StartNew(
            () =>
            {
                all.SignalAndWait();
                return kept.Of(7, n => Interlocked.Increment(ref made));
            },
            CancellationToken.None, TaskCreationOptions.LongRunning, TaskScheduler.Default)));
        Assert.Equal(1, made);
        Assert.All(answers, a => Assert.Equal(1, a));
    }

    [Fact]
    public void What_fails_is_tried_again()
    {
        var kept = new Kept<string, int>(10);
        Assert.Throws<InvalidOperationException>(() => kept.Of("a", _ => throw new InvalidOperationException()));
        Assert.Equal(3, kept.Of("a", _ => 3));
    }
}
