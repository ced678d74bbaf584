using Dittany.Core.Planning;
using Dittany.Core.Time;
using Dittany.Formats.Json;
using Dittany.Store;
using Microsoft.Extensions.Caching.Memory;

namespace Dittany.Web.Setup;

/// <summary>A piece with its plan, told in the maker's units.</summary>
public sealed record Planned(Piece Piece, Job Job, Workshop Workshop, Plan Plan);

/// <summary>What another workshop would make of a piece.</summary>
public sealed record Effect(int Piece, string Title, IReadOnlyList<MovedOn> Moved);

/// <summary>Plans made lately, by the hash of their input: looking again costs nothing.</summary>
public sealed class PlanCache : IDisposable
{
    /// <summary>So many plans are kept.</summary>
    private const int Most = 256;

    private readonly MemoryCache _plans = new(new MemoryCacheOptions { SizeLimit = Most });

    public Plan Make(Job job, Workshop workshop) => _plans.GetOrCreate(PlanJson.InputHash(job, workshop), entry =>
    {
        entry.Size = 1;
        return Planner.Make(job, workshop);
    })!;

    public void Dispose() => _plans.Dispose();
}

/// <summary>Plans of stored pieces on today's date, each with the workshop it was begun with, and all of them laid over the evenings there are.</summary>
public sealed class Desk(PieceStore pieces, PlanCache plans, Today today)
{
    public DateOnly Today => today.Date;

    /// <summary>The plan of a piece as it stands; <paramref name="job"/> is another state of its job.</summary>
    public Planned Plan(Piece piece, Workshop now, Job? job = null)
    {
        var (work, with) = ((job ?? piece.Job) with { Today = today.Date }, piece.In(now));
        return new Planned(piece, work, with, Retold.In(plans.Make(work, with), now.Units));
    }

    /// <summary>The plan of a job that is not stored, in the units of a workshop. The job must have no fault.</summary>
    public Plan Plan(Job job, Workshop workshop) => Retold.In(plans.Make(job, workshop), workshop.Units);

    /// <summary>All pieces with their plans, newest first, laid over the evenings.</summary>
    public async Task<IReadOnlyList<(Planned Piece, Laid Laid)>> All(Workshop workshop, CancellationToken cancel)
    {
        var all = (await pieces.All(cancel)).Select(p => Plan(p, workshop)).ToArray();
        var lain = MakeItFit.Lay(all.Select(Open).ToArray(), EveningsOf(workshop), today.Date);
        return all.Zip(lain, (p, l) => (p, new Laid(p.Plan.Title, Open(p).Demand, p.Plan.Time.Progress, l))).ToArray();
    }

    /// <summary>Ways to make a late piece fit among the others.</summary>
    public IReadOnlyList<FitWay> Ways(IReadOnlyList<Planned> all, int late, Workshop workshop) =>
        MakeItFit.Ways(all.Select(Open).ToArray(), late, workshop, today.Date, plans.Make);

    /// <summary>Which pieces come out otherwise with another workshop, and what moves in each. Pieces begun keep what they were begun with.</summary>
    public async Task<IReadOnlyList<Effect>> Effects(Workshop before, Workshop after, CancellationToken cancel) =>
        (await pieces.All(cancel))
            .Where(p => p.Job.Done is not { Finished: true })
            .Select(p => (Before: Plan(p, before), After: Plan(p, after)))
            .Select(p => new Effect(p.After.Piece.Id, p.After.Plan.Title, Moved.Between(p.Before.Plan, p.After.Plan, after.Units)))
            .Where(e => e.Moved.Count > 0)
            .ToArray();

    public static OpenPiece Open(Planned planned) => new(planned.Piece.Id, planned.Job, planned.Plan);

    public static Evenings EveningsOf(Workshop workshop) => new(workshop.EveningsPerWeek, workshop.MinutesPerEvening);
}
