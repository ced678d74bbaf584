using System.Collections.Concurrent;
using Dittany.Core.Jobs;
using Dittany.Core.Laws;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Formats.Json;
using Dittany.Store;
using Microsoft.Extensions.Caching.Memory;

namespace Dittany.Web.Setup;

/// <summary>
/// All plans are made here, for pages and door alike: a few at once, each once for all who ask for the same, stopped when nobody wants it
/// any more, and kept by the hash of its input so that looking again costs nothing. A plan that fails by a fault of ours is logged, once,
/// and is from then on a job of which no plan comes. Safe to be shared between threads.
/// </summary>
public sealed class Plans : IDisposable
{
    /// <summary>
    /// What is kept, in stitches: about 50 MB. All pieces of a full list twice over, for a habit is tried on them beside what stands.
    /// </summary>
    private const long MostKept = 50_000;

    /// <summary>What a plan weighs beside its stitches: its decisions and drawings of the item.</summary>
    private const long OwnWeight = 400;

    /// <summary>
    /// A job of more stitches than this is a large one, and waits among the dear ones from the beginning: of them one is made at a time, so
    /// that what runs at once stays within the memory, and no small one waits behind them all.
    /// </summary>
    private const double LargeStitches = 4_000;

    /// <summary>So many different plans may wait for a place: at some hundredths of a second each they are made within seconds.</summary>
    private const int MostWaiting = 150;

    /// <summary>So many dear ones, which take up to two seconds each.</summary>
    private const int MostDearWaiting = 2;

    /// <summary>
    /// So many inputs are remembered to be more than one plan holds: finding it out again would take as long as any plan.
    /// </summary>
    private const long MostBeyond = 2_000;

    /// <summary>So many things told of many plans are kept: a few late pieces, as the list changes.</summary>
    private const long MostTold = 200;

    /// <summary>A plan that takes longer is told in the log, without its words.</summary>
    private static readonly TimeSpan SlowFrom = TimeSpan.FromSeconds(2);

    private readonly MemoryCache _kept = new(new MemoryCacheOptions { SizeLimit = MostKept });
    private readonly MemoryCache _beyond = new(new MemoryCacheOptions { SizeLimit = MostBeyond });
    private readonly ConcurrencyLimiter _places = new(Math.Max(2, Environment.ProcessorCount), MostWaiting);
    private readonly ConcurrencyLimiter _dear = new(1, MostDearWaiting);
    private readonly ConcurrencyLimiter _beside = new(1, 0);
    private readonly MemoryCache _told = new(new MemoryCacheOptions { SizeLimit = MostTold });
    private readonly ConcurrentDictionary<string, Making> _making = new(StringComparer.Ordinal);
    private readonly ConcurrentDictionary<string, Lazy<Task<byte[]>>> _writing = new(StringComparer.Ordinal);
    private readonly ConcurrentDictionary<string, Task> _telling = new(StringComparer.Ordinal);
    private readonly CancellationTokenSource _closing = new();
    private readonly ILogger<Plans> _log;
    private readonly Func<Job, Workshop, Func<bool>, CancellationToken, Plan> _make;

    public Plans(LetterShelf shelf, ILogger<Plans>? log = null)
        : this(log, (job, workshop, dear, stop) => Planner.Make(job, workshop, shelf.Now, Budget.OfAPlan, dear, stop),
            (job, workshop, stop) => Planner.Make(job, workshop, shelf.Now, GlanceSteps, stop))
    {
    }

    /// <summary>
    /// The same with another way of making plans, for tests of what happens when it fails or takes long: it calls what it is given as soon
    /// as it turns out to be dear.
    /// </summary>
    public Plans(ILogger<Plans>? log, Func<Job, Workshop, Func<bool>, CancellationToken, Plan> make, Func<Job, Workshop, CancellationToken,
        Plan> glance)
    {
        Meter = new PlanMeter(() => _making.Count);
        (_log, _make, _glance) = (log ?? Microsoft.Extensions.Logging.Abstractions.NullLogger<Plans>.Instance, make, glance);
    }

    private readonly Func<Job, Workshop, CancellationToken, Plan> _glance;

    /// <summary>What the making of plans comes to, in figures.</summary>
    public PlanMeter Meter { get; }

    /// <summary>How many plans are being made or wait for it.</summary>
    public int InTheMaking => _making.Count;

    /// <summary>
    /// The plan of a job without faults; many who ask for the same wait for one. Throws <see cref="UnplannedException"/>,
    /// <see cref="BusyException"/>, and <see cref="OperationCanceledException"/> soon after <paramref name="stop"/>.
    /// </summary>
    public async Task<Plan> Make(Job job, Workshop workshop, CancellationToken stop)
    {
        stop.ThrowIfCancellationRequested();
        var key = PlanJson.InputHash(job, workshop);
        if (Known(key) is { } known)
        {
            Meter.Ended(PlanEnd.Kept);
            return known;
        }

        var making = Joined(key, job, workshop, true);
        try
        {
            return await making.Plan.WaitAsync(stop);
        }
        catch (BusyException)
        {
            Meter.Ended(PlanEnd.Busy);
            throw;
        }
        finally
        {
            making.Leave();
        }
    }

    /// <summary>Reckons something else that is as heavy as plans, at the same places.</summary>
    public async Task<T> Reckon<T>(Job like, Func<T> what, CancellationToken stop)
    {
        using var place = await PlaceFor(like, stop);
        return what();
    }

    /// <summary>
    /// The plan of a piece on a list, made beside the request and once for all who ask for it: one at a time, so that those who wait for an
    /// answer come first. It goes on when whoever asked has left, and is kept for whoever looks next.
    /// </summary>
    public Task<Plan> Begin(Job job, Workshop workshop)
    {
        var key = PlanJson.InputHash(job, workshop);
        try
        {
            if (Known(key) is { } known)
            {
                return Task.FromResult(known);
            }
        }
        catch (UnplannedException e)
        {
            return Task.FromException<Plan>(e);
        }

        // Never left again: it is wanted until it is there.
        return Joined(key, job, workshop, false).Plan;
    }

    /// <summary>The making of a plan, begun where nobody has yet, with one more who wants it.</summary>
    private Making Joined(string key, Job job, Workshop workshop, bool himself)
    {
        while (true)
        {
            var mine = new Making(_closing.Token);
            var making = _making.GetOrAdd(key, mine);
            if (!making.Join(himself))
            {
                // Given up, or just over: out of the way with it.
                _making.TryRemove(new KeyValuePair<string, Making>(key, making));
                mine.Dispose();
                continue;
            }

            if (ReferenceEquals(making, mine))
            {
                _ = Task.Run(() => mine.Run(m => Made(key, m, job, workshop)), CancellationToken.None);
            }
            else
            {
                mine.Dispose();
            }

            return making;
        }
    }

    private async Task<Plan> Made(string key, Making making, Job job, Workshop workshop)
    {
        try
        {
            using var place = await PlaceOf(making, job);
            return Known(key) ?? Reckoned(key, job, workshop, place, making.Stop);
        }
        finally
        {
            _making.TryRemove(new KeyValuePair<string, Making>(key, making));
            making.Dispose();
        }
    }

    /// <summary>A place to make it at: behind all others until somebody waits for it himself.</summary>
    private async Task<PlanPlace> PlaceOf(Making making, Job job)
    {
        if (!making.Hurried.IsCompleted)
        {
            using var overtaken = CancellationTokenSource.CreateLinkedTokenSource(making.Stop);
            var beside = _beside.TakeBeside(overtaken.Token);
            if (await Task.WhenAny(beside, making.Hurried) == beside)
            {
                return new PlanPlace(_beside, _dear, await beside, null, true);
            }

            await overtaken.CancelAsync();
            try
            {
                return new PlanPlace(_beside, _dear, await beside, null, true);
            }
            catch (OperationCanceledException) when (!making.Stop.IsCancellationRequested)
            {
                // Out of that queue, into the other.
            }
        }

        return await PlaceFor(job, making.Stop);
    }

    private async Task<PlanPlace> PlaceFor(Job job, CancellationToken stop)
    {
        if (JobCheck.StitchesOf(job) <= LargeStitches)
        {
            return new PlanPlace(_places, _dear, await _places.Take(stop), null, false);
        }

        var turn = await _dear.Take(stop);
        try
        {
            return new PlanPlace(_places, _dear, await _places.TakeBeside(stop), turn, false);
        }
        catch
        {
            turn.Dispose();
            throw;
        }
    }

    /// <summary>
    /// Something that takes many plans to tell, reckoned beside the request, once for all who ask, and kept under a key that holds all it
    /// comes from. It goes on when whoever asked has left.
    /// </summary>
    public Task<T> Tell<T>(string key, Func<CancellationToken, T> what)
        where T : class
    {
        if (_told.TryGetValue(key, out T? known))
        {
            return Task.FromResult(known!);
        }

        return (Task<T>)_telling.GetOrAdd(key, _ => Task.Run(async () =>
        {
            try
            {
                using var turn = await _beside.TakeBeside(_closing.Token);
                return _told.Set(key, what(_closing.Token), new MemoryCacheEntryOptions { Size = 1 });
            }
            finally
            {
                _telling.TryRemove(key, out Task? _);
            }
        }));
    }

    /// <summary>
    /// An answer of many bytes, written once for all who ask for it at the same time; <paramref name="key"/> holds all it comes from. It is
    /// not kept: to write it again costs less than the memory. Throws <see cref="OperationCanceledException"/> soon after
    /// <paramref name="stop"/>, and goes on for the others.
    /// </summary>
    public async Task<byte[]> Written(string key, Func<byte[]> write, CancellationToken stop)
    {
        var mine = new Lazy<Task<byte[]>>(() => Task.Run(() =>
        {
            try
            {
                return write();
            }
            finally
            {
                _writing.TryRemove(key, out _);
            }
        }, CancellationToken.None));
        return await _writing.GetOrAdd(key, mine).Value.WaitAsync(stop);
    }

    /// <summary>
    /// A plan that is tried out to see what it would come to: known already, or so small that it is there at once; null where it is
    /// neither.
    /// </summary>
    public Plan? Glance(Job job, Workshop workshop, CancellationToken stop)
    {
        var key = PlanJson.InputHash(job, workshop);
        if (_beyond.TryGetValue(key, out _) || _beyond.TryGetValue(key + Glanced, out _))
        {
            return null;
        }

        try
        {
            // Not kept: so many are tried that those of the list would be lost.
            return Known(key) ?? _glance(job, workshop, stop);
        }
        catch (UnplannedException e)
        {
            Beyond(key + Glanced, e);
            return null;
        }
        catch (Exception e) when (e is not (OperationCanceledException or OutOfMemoryException))
        {
            // What is only tried out and fails is no way.
            _log.LogError("No plan came on {Form} when it was tried out ({Key}): {Kind} {Where}", job.Form, key, e.GetType().Name, e.StackTrace);
            Beyond(key + Glanced, UnplannedException.By(e));
            return null;
        }
    }

    /// <summary>Ends the key of what was too much for a glance, and may be a plan all the same.</summary>
    private const string Glanced = "/glance";

    /// <summary>Steps of a glance: a name of a dozen letters takes a tenth of it.</summary>
    private const long GlanceSteps = 10_000_000;

    public void Dispose()
    {
        _closing.Cancel();
        Meter.Dispose();
        _kept.Dispose();
        _beyond.Dispose();
        _told.Dispose();
        _places.Dispose();
        _dear.Dispose();
        _beside.Dispose();
        _closing.Dispose();
    }

    /// <summary>A plan that was made lately; null where none was. What turned out to be too much for one throws at once.</summary>
    private Plan? Known(string key) =>
        _kept.TryGetValue(key, out Plan? known) ? known : _beyond.TryGetValue(key, out UnplannedException? why) && why is not null
            ? throw new UnplannedException(why.Fault, why.InnerException) : null;

    private Plan Reckoned(string key, Job job, Workshop workshop, PlanPlace place, CancellationToken stop)
    {
        var since = TimeProvider.System.GetTimestamp();
        try
        {
            var plan = Keep(key, _make(job, workshop, () => place.GiveWay(stop), stop));
            foreach (var trouble in plan.Troubles)
            {
                _log.LogWarning("A way that was tried for a plan on {Form} failed ({Key}): {Trouble}", job.Form, key, trouble);
            }

            foreach (var breach in AllLaws.Broken(job, workshop, plan))
            {
                _log.LogWarning("A plan on {Form} breaks the law of {Law} ({Key}): {What}", job.Form, breach.Law, key, breach.What);
            }

            var took = TimeProvider.System.GetElapsedTime(since);
            Meter.Took(took, plan.Steps);
            if (took > SlowFrom)
            {
                _log.LogWarning("A plan on {Form} took {Seconds} s and {Steps} steps ({Key}).", job.Form, Math.Round(took.TotalSeconds, 1), plan.Steps, key);
            }

            return plan;
        }
        catch (UnplannedException e)
        {
            Meter.Ended(PlanEnd.Refused);
            Beyond(key, e);
            throw;
        }
        catch (NotLetOnException)
        {
            throw new BusyException();
        }
        catch (Exception e) when (e is not (OperationCanceledException or OutOfMemoryException))
        {
            // The words of the piece may stand in the message, so the log has its kind and where it happened.
            _log.LogError("No plan came on {Form} ({Key}): {Kind} {Where}", job.Form, key, e.GetType().Name, e.StackTrace);
            var unplanned = UnplannedException.By(e);
            Meter.Ended(PlanEnd.Failed);
            Beyond(key, unplanned);
            throw unplanned;
        }
    }

    private void Beyond(string key, UnplannedException why) => _beyond.Set(key, why, new MemoryCacheEntryOptions { Size = 1 });

    private Plan Keep(string key, Plan plan)
    {
        _kept.Set(key, plan, new MemoryCacheEntryOptions { Size = OwnWeight + plan.Route.Count });
        return plan;
    }
}
