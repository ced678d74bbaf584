using Dittany.Core.Effort;
using Dittany.Core.Jobs;
using Dittany.Core.Learning;
using Dittany.Store;
using Microsoft.EntityFrameworkCore;

namespace Dittany.Web.Tests.Store;

/// <summary>What waits for its turn, and what the workshop learns while others change it.</summary>
public sealed class TurnsAndLearningTests : IDisposable
{
    private readonly DataFolder _folder = DataFolder.Open(Directory.CreateTempSubdirectory("dittany-learn-").FullName);
    private readonly Clock _clock = new();

    public TurnsAndLearningTests()
    {
        using var db = Db();
        _folder.Migrate(db);
    }

    public void Dispose() => _folder.Dispose();

    /// <summary>However many things were changed, nothing is kept of a turn that nobody has or waits for.</summary>
    [Fact]
    public async Task Turns_that_are_over_are_not_kept()
    {
        var turns = new TurnsByKey<int>(50);
        var (inside, most) = (new int[20], 0);
        await Task.WhenAll(Enumerable.Range(0, 400).Select(i => Task.Run(async () =>
        {
            using var turn = await turns.Take(i % 20);
            most = Math.Max(most, Interlocked.Increment(ref inside[i % 20]));
            await Task.Yield();
            Interlocked.Decrement(ref inside[i % 20]);
        })));
        Assert.Equal(1, most);
        Assert.Equal(0, turns.Count);
    }

    [Fact]
    public async Task One_more_than_may_wait_is_refused_and_who_gives_up_leaves_no_trace()
    {
        var turns = new TurnsByKey<string>(2);
        var first = await turns.Take("a");
        using var tired = new CancellationTokenSource();
        var second = turns.Take("a", tired.Token);
        await Assert.ThrowsAsync<BusyException>(() => turns.Take("a"));
        (await turns.Take("b")).Dispose();
        await tired.CancelAsync();
        await Assert.ThrowsAnyAsync<OperationCanceledException>(() => second);
        var third = turns.Take("a");
        first.Dispose();
        first.Dispose();
        (await third).Dispose();
        Assert.Equal(0, turns.Count);
    }

    [Theory]
    [InlineData(false)]
    [InlineData(true)]
    public async Task Her_skill_is_as_it_is_since_she_said_so(bool fromBefore)
    {
        Assert.Equal(DateTime.MinValue, await Since());
        await Save(w => w with { EveningsPerWeek = 4 }, "evenings");
        Assert.Equal(DateTime.MinValue, await Since());
        _clock.Now = _clock.Now.AddDays(1);
        await Save(w => w with { Skill = Skill.Expert }, "skill");
        var said = _clock.Now.UtcDateTime;
        _clock.Now = _clock.Now.AddDays(1);
        await Save(w => w with { EveningsPerWeek = 5 }, "evenings");
        if (fromBefore)
        {
            await using var db = Db();
            await db.Workshops.ExecuteUpdateAsync(w => w.SetProperty(r => r.SkillSince, (DateTime?)null));
        }

        Assert.Equal(said, await Since());
        await Shop().Undo();
        Assert.Equal(said, await Since());
        await Shop().Undo();
        Assert.Equal(DateTime.MinValue, await Since());
        _clock.Now = _clock.Now.AddDays(1);
        await Save(w => w with { Skill = Skill.Learner }, "skill");
        Assert.Equal(_clock.Now.UtcDateTime, await Since());
    }

    /// <summary>Of two entries that come at the same moment neither is lost to what is learnt.</summary>
    [Fact]
    public async Task What_comes_at_once_is_learnt_of_all()
    {
        var piece = await new PieceStore(Db(), _clock, new LetterShelf()).Create(
            new Job("tea-towel", [new TextElement("name", "Mimi")], new DateOnly(2027, 3, 1)), "New");
        await Task.WhenAll(Enumerable.Range(1, 12).Select(i => Task.Run(async () =>
        {
            var log = new LogStore(Db(), _clock);
            await log.Add(new Logged(piece, $"s{i}", PaceNames.Kinds[i % 2], 10, 10 + (2 * i)), $"once-{i}");
            await log.Learn(Shop());
        })));
        var learnt = LearningFromLog.Paces(await new LogStore(Db(), _clock).ToLearnFrom(Shop()));
        Assert.Contains(PaceNames.Kinds[0], learnt.Keys);
        var kept = (await Shop().Current()).Paces;
        Assert.Equal(learnt.OrderBy(p => p.Key, StringComparer.Ordinal), kept.OrderBy(p => p.Key, StringComparer.Ordinal));
    }

    private Task<DateTime> Since() => Shop().SkillSince();

    private async Task Save(Func<Workshop, Workshop> change, string what) => await Shop().Save(change(await Shop().Current()), what);

    private WorkshopStore Shop() => new(Db(), _clock);

    private DittanyDb Db() => new(new DbContextOptionsBuilder<DittanyDb>().UseSqlite(_folder.ConnectionString).AddInterceptors(
        new DurablePragmas()).Options);

    private sealed class Clock : TimeProvider
    {
        public DateTimeOffset Now { get; set; } = new(2027, 3, 1, 19, 0, 0, TimeSpan.Zero);

        public override DateTimeOffset GetUtcNow() => Now;
    }
}
