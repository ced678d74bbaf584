using System.Collections.Concurrent;
using Dittany.Core.Planning;
using Dittany.Formats.Json;
using Dittany.Store;
using Microsoft.Extensions.Caching.Memory;

namespace Dittany.Web.Setup;

/// <summary>
/// All plans are made here, for pages and door alike: a few at once, each stopped when nobody wants it any more, and kept by the hash of
/// its input so that looking again costs nothing. Safe to be shared between threads.
/// </summary>
public sealed class Plans(LetterShelf shelf) : IDisposable
{
    /// <summary>
    /// What is kept, in stitches: about 120 MB. All pieces of a full list twice over, for a habit is tried on them beside what stands.
    /// </summary>
    private const long MostKept = 120_000;

    /// <summary>What a plan weighs beside its stitches: its decisions and drawings of the item.</summary>
    private const long OwnWeight = 400;

    /// <summary>
    /// A job of more stitches than this is a large one: of them one is made at a time, so that what runs at once stays within the memory,
    /// and no small one waits behind them all.
    /// </summary>
    private const double LargeStitches = 4_000;

    /// <summary>How long one waits for a place; together with the longest plan it is what anybody ever waits.</summary>
    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(2);

    /// <summary>How long one waits for the place of the large ones, which may take longer themselves.</summary>
    private static readonly TimeSpan PatienceForLarge = TimeSpan.FromSeconds(0.6);

    /// <summary>What is made for a list has all the time there is: nobody waits for it.</summary>
    private static readonly TimeSpan Beside = TimeSpan.FromMinutes(10);

    /// <summary>
    /// So many inputs are remembered to be more than one plan holds: finding it out again would take as long as any plan.
    /// </summary>
    private const long MostBeyond = 2_000;

    /// <summary>So many things told of many plans are kept: a few late pieces, as the list changes.</summary>
    private const long MostTold = 200;

    private readonly MemoryCache _kept = new(new MemoryCacheOptions { SizeLimit = MostKept });
    private readonly MemoryCache _beyond = new(new MemoryCacheOptions { SizeLimit = MostBeyond });
    private readonly Turns _small = new(Math.Max(2, Environment.ProcessorCount), Patience);
    private readonly Turns _large = new(1, PatienceForLarge);
    private readonly Turns _beside = new(1, Beside);
    private readonly MemoryCache _told = new(new MemoryCacheOptions { SizeLimit = MostTold });
    private readonly ConcurrentDictionary<string, Task<Plan>> _making = new(StringComparer.Ordinal);
    private readonly ConcurrentDictionary<string, Task> _telling = new(StringComparer.Ordinal);
    private readonly CancellationTokenSource _closing = new();

    /// <summary>
    /// The plan of a job without faults. Throws <see cref="TooMuchException"/>, <see cref="BusyException"/>, and
    /// <see cref="OperationCanceledException"/> soon after <paramref name="stop"/>.
    /// </summary>
    public async Task<Plan> Make(Job job, Workshop workshop, CancellationToken stop)
    {
        var key = PlanJson.InputHash(job, workshop);
        if (Known(key) is { } known)
        {
            return known;
        }

        using var place = await PlaceFor(job).Take(stop);
        return Reckoned(key, job, workshop, stop);
    }

    /// <summary>Reckons something else that is as heavy as plans, at the same places.</summary>
    public async Task<T> Reckon<T>(Job like, Func<T> what, CancellationToken stop)
    {
        using var place = await PlaceFor(like).Take(stop);
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
        catch (TooMuchException e)
        {
            return Task.FromException<Plan>(e);
        }

        return _making.GetOrAdd(key, _ => Task.Run(async () =>
        {
            try
            {
                using var turn = await _beside.Take(_closing.Token);
                return Reckoned(key, job, workshop, _closing.Token);
            }
            finally
            {
                _making.TryRemove(key, out Task<Plan>? _);
            }
        }));
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
                using var turn = await _beside.Take(_closing.Token);
                return _told.Set(key, what(_closing.Token), new MemoryCacheEntryOptions { Size = 1 });
            }
            finally
            {
                _telling.TryRemove(key, out Task? _);
            }
        }));
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
            return Known(key) ?? Planner.Make(job, workshop, shelf.Now, GlanceSteps, stop);
        }
        catch (TooMuchException e)
        {
            Beyond(key + Glanced, e.Fault);
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
        _kept.Dispose();
        _beyond.Dispose();
        _told.Dispose();
        _small.Dispose();
        _large.Dispose();
        _beside.Dispose();
        _closing.Dispose();
    }

    private Turns PlaceFor(Job job) => JobCheck.StitchesOf(job) > LargeStitches ? _large : _small;

    /// <summary>A plan that was made lately; null where none was. What turned out to be too much for one throws at once.</summary>
    private Plan? Known(string key) =>
        _kept.TryGetValue(key, out Plan? known) ? known : _beyond.TryGetValue(key, out JobFault? fault)
            ? throw new TooMuchException(fault!) : null;

    private Plan Reckoned(string key, Job job, Workshop workshop, CancellationToken stop)
    {
        try
        {
            return Keep(key, Planner.Make(job, workshop, shelf.Now, stop));
        }
        catch (TooMuchException e)
        {
            Beyond(key, e.Fault);
            throw;
        }
    }

    private void Beyond(string key, JobFault fault) => _beyond.Set(key, fault, new MemoryCacheEntryOptions { Size = 1 });

    private Plan Keep(string key, Plan plan)
    {
        _kept.Set(key, plan, new MemoryCacheEntryOptions { Size = OwnWeight + plan.Route.Count });
        return plan;
    }
}
