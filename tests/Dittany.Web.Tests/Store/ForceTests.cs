using Dittany.Force;

namespace Dittany.Web.Tests.Store;

/// <summary>
/// A short round of force: jobs, pages, files, tabs, clients that leave, kills at start and while saving. The long one is <c>./dittany
/// force</c>.
/// </summary>
public sealed class ForceTests
{
    /// <summary>Only a program that stands still is a hang here: a busy machine is none.</summary>
    private static readonly TimeSpan Hang = TimeSpan.FromSeconds(45);

    [Fact]
    public async Task A_short_round_holds()
    {
        var round = await ForceRun.Run(TimeSpan.FromSeconds(6), kills: 2, seed: 1, Hang);
        Assert.True(round.Held, string.Join('\n', round.Told.Concat(round.Tally.Told)));
        Assert.True(round.Tally.Asked > 50);
        Assert.Equal(round.Killed, round.CameUp);
        Assert.True(round.Confirmed > 0);
    }
}
