using Dittany.Core.Planning;
using Dittany.Store;
using Dittany.Web.Setup;

namespace Dittany.Web.Tests.Setup;

/// <summary>Plans are made at a few places; who leaves frees his, who waits in vain is told so, and a list's plans go on beside.</summary>
public sealed class PlansTests
{
    private static readonly DateOnly Monday = new(2027, 3, 1);

    private static Job Towel(string words) => new("tea-towel", [new WordingAsked("name", words)], Monday);

    /// <summary>A plan that takes a second or two wherever it is made.</summary>
    private static Job Heavy(int letters) => new("scarf",
        [new WordingAsked("name", new string('W', letters), "full-script-line", CapHeightMm: 51)], Monday);

    [Fact]
    public async Task Who_leaves_frees_the_place()
    {
        using var plans = new Plans(new LetterShelf());
        using var left = new CancellationTokenSource();
        var heavy = Enumerable.Range(0, Environment.ProcessorCount + 3).Select(i =>
            Task.Run(() => plans.Make(Heavy(30 + i), Workshop.Default, left.Token))).ToArray();
        await left.CancelAsync();
        foreach (var plan in heavy)
        {
            await Assert.ThrowsAnyAsync<OperationCanceledException>(() => plan);
        }

        Assert.NotEmpty((await plans.Make(Towel("Ida"), Workshop.Default, default)).Route);
    }

    [Fact]
    public async Task Who_waits_in_vain_is_told_so()
    {
        using var places = new Turns(1, TimeSpan.FromMilliseconds(20));
        using (await places.Take(default))
        {
            await Assert.ThrowsAsync<BusyException>(() => places.Take(default));
            using var left = new CancellationTokenSource();
            await left.CancelAsync();
            await Assert.ThrowsAnyAsync<OperationCanceledException>(() => places.Take(left.Token));
        }

        // Freed once, however often it is said.
        var taken = await places.Take(default);
        taken.Dispose();
        taken.Dispose();
        using var first = await places.Take(default);
        await Assert.ThrowsAsync<BusyException>(() => places.Take(default));
    }

    [Fact]
    public async Task What_was_made_is_kept_and_made_once()
    {
        using var plans = new Plans(new LetterShelf());
        var made = await Task.WhenAll(Enumerable.Range(0, 4).Select(_ => plans.Begin(Towel("Mimi"), Workshop.Default)));
        Assert.All(made, m => Assert.Same(made[0], m));
        Assert.Same(made[0], await plans.Make(Towel("Mimi"), Workshop.Default, default));
        Assert.Same(made[0], plans.Glance(Towel("Mimi"), Workshop.Default, default));
    }

    /// <summary>What is more than one plan holds is found out once: a list that shows it does not wait for it again.</summary>
    [Fact]
    public async Task What_is_too_much_is_known_the_next_time()
    {
        using var plans = new Plans(new LetterShelf());
        await Assert.ThrowsAsync<TooMuchException>(() => plans.Make(Wild.Scribble(Monday), Workshop.Default, default));
        var again = plans.Begin(Wild.Scribble(Monday), Workshop.Default);
        Assert.True(again.IsFaulted);
        await Assert.ThrowsAsync<TooMuchException>(() => again);
    }

    /// <summary>What is told of many plans is reckoned once for all who ask, and kept; what fails is tried anew.</summary>
    [Fact]
    public async Task What_is_told_of_plans_is_reckoned_once()
    {
        using var plans = new Plans(new LetterShelf());
        var times = 0;
        string Told(CancellationToken stop) => $"told {Interlocked.Increment(ref times)}";
        Assert.All(await Task.WhenAll(Enumerable.Range(0, 4).Select(_ => plans.Tell("a", Told))), t => Assert.Equal("told 1", t));
        Assert.Equal("told 1", await plans.Tell("a", Told));
        Assert.Equal("told 2", await plans.Tell("b", Told));
        await Assert.ThrowsAsync<InvalidOperationException>(() => plans.Tell<string>("c", _ => throw new InvalidOperationException()));
        Assert.Equal("told 3", await plans.Tell("c", Told));
    }

    /// <summary>A look ahead never takes long: what is not there at once is no way.</summary>
    [Fact]
    public void A_glance_gives_up_on_what_is_large()
    {
        using var plans = new Plans(new LetterShelf());
        Assert.Null(plans.Glance(Wild.Scribble(Monday), Workshop.Default, default));
        Assert.NotNull(plans.Glance(Towel("Ida"), Workshop.Default, default));
    }
}
