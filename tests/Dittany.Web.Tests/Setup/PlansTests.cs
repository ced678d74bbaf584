using Dittany.Core.Decisions;
using Dittany.Core.Jobs;
using Dittany.Core.Learning;
using Dittany.Core.Planning;
using Dittany.Store;
using Dittany.Web.Setup;
using Microsoft.Extensions.Logging;

namespace Dittany.Web.Tests.Setup;

/// <summary>Plans are made at a few places; who leaves frees his, who waits in vain is told so, and a list's plans go on beside.</summary>
public sealed class PlansTests
{
    private static readonly DateOnly Monday = new(2027, 3, 1);

    private static Job Towel(string words) => new("tea-towel", [new TextElement("name", words)], Monday);

    /// <summary>A plan that takes a second or two wherever it is made.</summary>
    private static Job Heavy(int letters) => new("scarf",
        [new TextElement("name", new string('W', letters), "full-script-line", CapHeightMm: 51)], Monday);

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
        using var places = new ConcurrencyLimiter(1, 0);
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

    /// <summary>Who may wait does, first come first served, and one more than may is told so: whatever the clock says.</summary>
    [Fact]
    public async Task So_many_may_wait_and_no_more()
    {
        using var places = new ConcurrencyLimiter(1, 2);
        var first = await places.Take(default);
        var (second, third) = (places.Take(default), places.Take(default));
        await Assert.ThrowsAsync<BusyException>(() => places.Take(default));
        var beside = places.TakeBeside(default);
        first.Dispose();
        (await second).Dispose();
        Assert.False(beside.IsCompletedSuccessfully);
        (await third).Dispose();
        (await beside).Dispose();
        using var again = await places.Take(default);
    }

    /// <summary>
    /// Plans are told in figures by the platform's own means: one made, the same kept, one refused, with what the made one took.
    /// </summary>
    [Fact]
    public async Task What_plans_come_to_is_told_in_figures()
    {
        using var plans = new Plans(new LetterShelf());
        var (ends, steps, seconds) = (new List<string>(), new List<long>(), new List<double>());
        using var listener = new System.Diagnostics.Metrics.MeterListener();
        listener.InstrumentPublished = (instrument, l) =>
        {
            if (ReferenceEquals(instrument.Meter, plans.Meter.Meter))
            {
                l.EnableMeasurementEvents(instrument);
            }
        };
        listener.SetMeasurementEventCallback<long>((instrument, value, tags, _) =>
        {
            if (instrument.Name == "dittany.plan.steps")
            {
                steps.Add(value);
            }
            else
            {
                ends.AddRange(tags.ToArray().Select(t => $"{t.Key} {t.Value}"));
            }
        });
        listener.SetMeasurementEventCallback<double>((_, value, _, _) => seconds.Add(value));
        listener.Start();
        var plan = await plans.Make(Towel("Ida"), Workshop.Default, default);
        await plans.Make(Towel("Ida"), Workshop.Default, default);
        var much = new Job("badge", [new MotifElement("m", "balloon", HeightMm: 458)], Monday, Overrides: OverrideSet.Of(("stitch.fill", "eyelet")));
        await Assert.ThrowsAsync<UnplannedException>(() => plans.Make(much, Workshop.Default, default));
        Assert.Equal(["end made", "end kept", "end refused"], ends);
        Assert.Equal([plan.Steps], steps);
        Assert.True(Assert.Single(seconds) > 0);
    }

    /// <summary>Many who ask for the same wait for one plan, and one of them leaving takes it from nobody.</summary>
    [Fact]
    public async Task Equal_requests_are_one_plan()
    {
        var (made, go) = (0, new TaskCompletionSource());
        using var plans = Making((job, workshop, stop) =>
        {
            Interlocked.Increment(ref made);
            go.Task.Wait(stop);
            return Planner.Make(job, workshop, Core.Words.Library.Ours, stop);
        });
        using var left = new CancellationTokenSource();
        var gone = plans.Make(Towel("Ida"), Workshop.Default, left.Token);
        var all = Enumerable.Range(0, 300).Select(_ => plans.Make(Towel("Ida"), Workshop.Default, default)).ToArray();
        await left.CancelAsync();
        await Assert.ThrowsAnyAsync<OperationCanceledException>(() => gone);
        go.SetResult();
        var plan = await all[0];
        Assert.All(await Task.WhenAll(all), p => Assert.Same(plan, p));
        Assert.Equal(1, made);
        Assert.Equal(0, plans.InTheMaking);
    }

    /// <summary>A plan of a list that somebody asks for himself comes before the others of the list.</summary>
    [Fact]
    public async Task Who_waits_himself_comes_before_a_list()
    {
        var go = new TaskCompletionSource();
        var order = new System.Collections.Concurrent.ConcurrentQueue<string>();
        using var plans = Making((job, workshop, stop) =>
        {
            order.Enqueue(job.Wordings[0].Text);
            if (job.Wordings[0].Text == "first")
            {
                go.Task.Wait(stop);
            }

            return Planner.Make(job, workshop, Core.Words.Library.Ours, stop);
        });
        var first = plans.Begin(Towel("first"), Workshop.Default);
        await Browsing.Until(() => Task.FromResult(order.Count == 1));
        var list = new[] { "second", "third" }.Select(w => plans.Begin(Towel(w), Workshop.Default)).ToArray();
        var third = await plans.Make(Towel("third"), Workshop.Default, default);
        go.SetResult();
        Assert.Same(third, await list[1]);
        await first;
        await Task.WhenAll(list);
        Assert.Equal("second", order.Last());
        Assert.Equal(3, order.Count);
    }

    /// <summary>A fault of ours is a job of which no plan comes: told as that, once in the log, without the words of the piece.</summary>
    [Fact]
    public async Task A_plan_that_fails_is_told_and_logged_once()
    {
        var (times, log) = (0, new Logged());
        using var plans = Making((job, _, _) =>
        {
            times++;
            throw new KeyNotFoundException($"'{job.Wordings[0].Text}' is not there");
        }, log);
        for (var i = 0; i < 3; i++)
        {
            var unplanned = await Assert.ThrowsAsync<UnplannedException>(() => plans.Make(Towel("Ida"), Workshop.Default, default));
            Assert.True(unplanned.Ours);
            Assert.Contains("cannot be planned", unplanned.Fault.Detail, StringComparison.Ordinal);
            Assert.IsType<KeyNotFoundException>(unplanned.GetBaseException());
        }

        Assert.True(plans.Begin(Towel("Ida"), Workshop.Default).IsFaulted);
        Assert.Null(plans.Glance(Towel("Ida"), Workshop.Default, default));
        Assert.Equal(1, times);
        Assert.DoesNotContain(log.Lines, l => l.Contains("Ida", StringComparison.Ordinal));
        Assert.Equal(1, log.Lines.Count(l => l.Contains("KeyNotFoundException", StringComparison.Ordinal)));
    }

    /// <summary>
    /// What turns out to be dear gives its place away and waits for its turn: a small one beside it never waits for it, and of the dear
    /// ones no more wait than may.
    /// </summary>
    [Fact]
    public async Task What_turns_out_to_be_dear_gives_way()
    {
        var (going, entered, go) = (0, 0, new TaskCompletionSource());
        using var plans = new Plans(null, (job, workshop, dear, stop) =>
        {
            if (job.Wordings[0].Text.StartsWith("dear", StringComparison.Ordinal))
            {
                Interlocked.Increment(ref entered);
                if (!dear())
                {
                    throw new Core.Measures.NotLetOnException();
                }

                Interlocked.Increment(ref going);
                go.Task.Wait(stop);
                Interlocked.Decrement(ref going);
            }

            return Planner.Make(job, workshop, Core.Words.Library.Ours, stop);
        }, (job, workshop, stop) => Planner.Make(job, workshop, Core.Words.Library.Ours, stop));
        var dear = Enumerable.Range(0, 3).Select(i => plans.Make(Towel($"dear {i}"), Workshop.Default, default)).ToArray();
        await Browsing.Until(() => Task.FromResult(entered == dear.Length && going == 1));
        Assert.NotEmpty((await plans.Make(Towel("small"), Workshop.Default, default)).Route);
        await Assert.ThrowsAsync<BusyException>(() => plans.Make(Towel("dear too"), Workshop.Default, default));
        Assert.Equal(1, going);
        go.SetResult();
        Assert.All(await Task.WhenAll(dear), p => Assert.NotEmpty(p.Route));
        Assert.NotEmpty((await plans.Make(Towel("dear too"), Workshop.Default, default)).Route);
    }

    /// <summary>A plan says once that it is dear, and ends where it is not let on; a name of a few letters never is.</summary>
    [Fact]
    public void A_plan_tells_that_it_is_dear()
    {
        var told = 0;
        Plan Planned(Job job, bool goOn) => Planner.Make(job, Workshop.Default, new LetterShelf().Now, Core.Measures.Budget.OfAPlan,
            () =>
            {
                told++;
                return goOn;
            });
        Planned(Towel("Great-aunt Philomena"), false);
        Assert.Equal(0, told);
        Assert.Throws<Core.Measures.NotLetOnException>(() => Planned(Heavy(30), false));
        Assert.Equal(1, told);
        Assert.NotEmpty(Planned(Heavy(30), true).Route);
        Assert.Equal(2, told);
    }

    private static Plans Making(Func<Job, Workshop, CancellationToken, Plan> make, Logged? log = null) =>
        new(log, (job, workshop, _, stop) => make(job, workshop, stop), make);

    private sealed class Logged : ILogger<Plans>
    {
        public System.Collections.Concurrent.ConcurrentQueue<string> Lines { get; } = [];

        public IDisposable? BeginScope<TState>(TState state)
            where TState : notnull => null;

        public bool IsEnabled(LogLevel logLevel) => true;

        public void Log<TState>(LogLevel logLevel, EventId eventId, TState state, Exception? exception,
            Func<TState, Exception?, string> formatter) => Lines.Enqueue(formatter(state, exception));
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
        await Assert.ThrowsAsync<UnplannedException>(() => plans.Make(Wild.Scribble(Monday), Workshop.Default, default));
        var again = plans.Begin(Wild.Scribble(Monday), Workshop.Default);
        Assert.True(again.IsFaulted);
        await Assert.ThrowsAsync<UnplannedException>(() => again);
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

    /// <summary>
    /// Many who ask for the same answer at once are given one; who asks later has it written anew, and who leaves leaves alone.
    /// </summary>
    [Fact]
    public async Task An_answer_is_written_once_for_all_who_ask_at_once()
    {
        using var plans = new Plans(null, (_, _, _, _) => throw new InvalidOperationException("nothing is planned here"),
            (_, _, _) => throw new InvalidOperationException("nothing is planned here"));
        using var open = new ManualResetEventSlim();
        using var leaving = new CancellationTokenSource();
        var written = 0;
        byte[] Write()
        {
            open.Wait();
            return [(byte)Interlocked.Increment(ref written)];
        }

        var asked = Enumerable.Range(0, 8).Select(_ => plans.Written("one", Write, CancellationToken.None)).ToArray();
        var left = plans.Written("one", Write, leaving.Token);
        await leaving.CancelAsync();
        await Assert.ThrowsAnyAsync<OperationCanceledException>(() => left);
        open.Set();
        Assert.All(await Task.WhenAll(asked), bytes => Assert.Equal([1], bytes));
        Assert.Equal([2], await plans.Written("one", Write, CancellationToken.None));
        await Assert.ThrowsAsync<InvalidDataException>(() => plans.Written("bad", () => throw new InvalidDataException(), CancellationToken.None));
        Assert.Equal([3], await plans.Written("bad", Write, CancellationToken.None));
    }
}
