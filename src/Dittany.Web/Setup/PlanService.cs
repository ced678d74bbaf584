using System.Globalization;
using Dittany.Core.Advising;
using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Telling;
using Dittany.Core.Time;
using Dittany.Formats.Json;
using Dittany.Store;

namespace Dittany.Web.Setup;

/// <summary>
/// A piece with its plan, told in the maker's units; <paramref name="InMm"/> is the same in millimetres, as it is kept and goes to the
/// door.
/// </summary>
public sealed record Planned(Piece Piece, Job Job, Workshop Workshop, Plan Plan, Plan InMm);

/// <summary>What another workshop would make of a piece.</summary>
public sealed record Effect(int Piece, string Title, IReadOnlyList<MovedOn> Moved);

/// <summary>
/// What another workshop would make of all pieces; <paramref name="Pending"/> are those whose plans are not there yet, by name.
/// </summary>
public sealed record Effects(IReadOnlyList<Effect> Moved, IReadOnlyList<string> Pending);

/// <summary>A piece on the list whose plan is still being made.</summary>
public sealed record SlowPiece(int Id, string Name);

/// <summary>
/// Everything that is to be listed: pieces with their plans laid over the evenings, those of which no plan can be made, and those whose
/// plan is still being made.
/// </summary>
public sealed record Laying(IReadOnlyList<(Planned Piece, Laid Laid)> Pieces, IReadOnlyList<BadPiece> Bad, IReadOnlyList<SlowPiece> Slow);

/// <summary>
/// Plans of stored pieces on today's date, each with the workshop it was begun with, and all of them laid over the evenings there are.
/// </summary>
public sealed class PlanService(PieceStore pieces, Plans plans, LetterShelf letters, Today today, ILogger<PlanService> log)
{
    /// <summary>
    /// How long a page waits, all its lists together, for plans that are not there yet: then it is shown without them, and they are made
    /// beside it.
    /// </summary>
    private static readonly TimeSpan ListPatience = TimeSpan.FromSeconds(0.8);

    /// <summary>Since when this page has waited.</summary>
    private long? _since;

    public DateOnly Today => today.Date;

    /// <summary>
    /// The plan of a piece as it stands; <paramref name="job"/> is another state of its job. Throws <see cref="UnplannedException"/> where
    /// it
    /// is more than one plan holds.
    /// </summary>
    public async Task<Planned> Plan(Piece piece, Workshop now, CancellationToken cancel, Job? job = null)
    {
        var (work, with) = Asked(piece, now, job);
        var plan = await plans.Make(work, with, cancel);
        return new Planned(piece, work, with, UnitConversion.In(plan, now.Units), plan);
    }

    /// <summary>The plan of a job that is not stored, in the units of a workshop. The job must have no fault.</summary>
    public async Task<Plan> Plan(Job job, Workshop workshop, CancellationToken cancel) =>
        UnitConversion.In(await plans.Make(job, workshop, cancel), workshop.Units);

    /// <summary>All pieces with their plans, newest first, laid over the evenings. Waits for none that takes long.</summary>
    public async Task<Laying> All(Workshop workshop, CancellationToken cancel)
    {
        var shelf = await pieces.All(cancel);
        var (done, bad, slow) = await Made(shelf.Pieces, workshop, cancel);
        var lain = MakeItFit.Lay(done.Select(Open).ToArray(), EveningsOf(workshop), today.Date);
        return new Laying(done.Zip(lain, (p, l) => (p, new Laid(p.Plan.Title, Open(p).Demand, p.Plan.Time.Progress, l))).ToArray(),
            [.. shelf.Bad, .. bad], slow);
    }

    /// <summary>All pieces there ever were, those that are put away too, newest first. Waits for none that takes long.</summary>
    public async Task<(IReadOnlyList<Planned> Done, IReadOnlyList<SlowPiece> Slow)> Ever(Workshop workshop, CancellationToken cancel)
    {
        var all = (await pieces.All(cancel)).Pieces.ToList();
        foreach (var (id, _) in await pieces.Away(cancel))
        {
            if (await pieces.Find(id, cancel) is { } away)
            {
                all.Add(away);
            }
        }

        var (done, _, slow) = await Made(all.OrderByDescending(p => p.Id).ToArray(), workshop, cancel);
        return (done, slow);
    }

    private async Task<(IReadOnlyList<Planned> Done, IReadOnlyList<BadPiece> Bad,
        IReadOnlyList<SlowPiece> Slow)> Made(IReadOnlyList<Piece> all,
        Workshop workshop, CancellationToken cancel)
    {
        var asked = all.Select(p => (Piece: p, Asked: Asked(p, workshop, null))).ToArray();
        var making = asked.Select(a => plans.Begin(a.Asked.Job, a.Asked.Workshop)).ToArray();
        await Soon(making, cancel);
        var (done, bad, slow) = (new List<Planned>(), new List<BadPiece>(), new List<SlowPiece>());
        foreach (var ((piece, (job, with)), plan) in asked.Zip(making))
        {
            if (plan.IsCompletedSuccessfully)
            {
                if (Told(piece, job, with, await plan, workshop) is { } planned)
                {
                    done.Add(planned);
                }
                else
                {
                    bad.Add(Unplanned(piece, UnplannedException.By(new InvalidOperationException("It cannot be told."))));
                }
            }
            else if (plan.Exception?.InnerException is { } e and not (BusyException or OperationCanceledException))
            {
                bad.Add(Unplanned(piece, e));
            }
            else
            {
                slow.Add(new SlowPiece(piece.Id, NameOf(piece.Job)));
            }
        }

        return (done, bad, slow);
    }

    /// <summary>A plan in the maker's units; null where it is there and cannot be told: that is the trouble of this piece alone.</summary>
    private Planned? Told(Piece piece, Job job, Workshop with, Plan plan, Workshop now)
    {
        try
        {
            var planned = new Planned(piece, job, with, UnitConversion.In(plan, now.Units), plan);
            _ = Open(planned).Demand;
            return planned;
        }
        catch (Exception e) when (e is not (OperationCanceledException or OutOfMemoryException))
        {
            log.LogError("The plan of piece {Piece} cannot be told: {Kind} {Where}", piece.Id, e.GetType().Name, e.StackTrace);
            return null;
        }
    }

    /// <summary>
    /// Ways to make a late piece fit among the others. Each is tried out on its plan, so they are looked for beside the request.
    /// </summary>
    public Task<IReadOnlyList<FitWay>> Ways(IReadOnlyList<Planned> all, int late, Workshop workshop)
    {
        var day = today.Date;
        var open = all.Select(Open).ToArray();
        var key = string.Create(CultureInfo.InvariantCulture,
            $"{late}/{day:O}/{string.Join('/', all.Select(p => $"{p.Piece.Id}-{PlanJson.InputHash(p.Job, workshop)}"))}");
        return plans.Tell(key, stop =>
            MakeItFit.Ways(open, late, workshop, day, letters.Now, (job, with) => plans.Glance(job, with, stop)));
    }

    /// <summary>Ways for late pieces, as far as they are there soon; null for one that is still being looked for.</summary>
    public async Task<IReadOnlyList<IReadOnlyList<FitWay>?>> SoonWays(IReadOnlyList<Planned> all, IReadOnlyList<int> late,
        Workshop workshop, CancellationToken cancel)
    {
        var looking = late.Select(id => Ways(all, id, workshop)).ToArray();
        await Soon(looking, cancel);
        return looking.Select(l => l.IsCompletedSuccessfully ? l.Result : null).ToArray();
    }

    /// <summary>
    /// What would let in something that is ruled out, as far as it is there soon; null while it is being tried out. Many plans are made for
    /// it, so they are made beside the request.
    /// </summary>
    public async Task<IReadOnlyList<LetIn>?> SoonLetsIn(Planned of, string decision, string choice, CancellationToken cancel)
    {
        var looking = plans.Tell($"let-in/{decision}/{choice}/{PlanJson.InputHash(of.Job, of.Workshop)}", stop =>
            WhyNot.Of(of.Job, of.Workshop, decision, choice, letters.Now, (job, with) => plans.Glance(job, with, stop)));
        await Soon([looking], cancel);
        return looking.IsCompletedSuccessfully ? looking.Result : null;
    }

    /// <summary>
    /// Which pieces come out otherwise with another workshop, and what moves in each. Pieces begun keep what they were begun with.
    /// </summary>
    public async Task<Effects> Effects(Workshop before, Workshop after, CancellationToken cancel)
    {
        var asked = (await pieces.All(cancel)).Pieces.Where(p => p.Job.Done is not { Finished: true }).ToArray();
        var both = asked.Select(p => (Before: plans.Begin(Asked(p, before, null).Job, Asked(p, before, null).Workshop),
            After: plans.Begin(Asked(p, after, null).Job, Asked(p, after, null).Workshop))).ToArray();
        await Soon(both.SelectMany(b => new[] { b.Before, b.After }).ToArray(), cancel);
        var (moved, pending) = (new List<Effect>(), new List<string>());
        foreach (var (piece, (was, now)) in asked.Zip(both))
        {
            if (!was.IsCompletedSuccessfully || !now.IsCompletedSuccessfully)
            {
                pending.Add(NameOf(piece.Job));
                continue;
            }

            try
            {
                var (then, here) = (UnitConversion.In(await was, before.Units), UnitConversion.In(await now, after.Units));
                if (Moved.Between(then, here, after.Units) is { Count: > 0 } other)
                {
                    moved.Add(new Effect(piece.Id, here.Title, other));
                }
            }
            catch (Exception e) when (e is not (OperationCanceledException or OutOfMemoryException))
            {
                // One piece that cannot be compared keeps nobody from seeing the others.
                log.LogError("Piece {Piece} cannot be compared: {Kind} {Where}", piece.Id, e.GetType().Name, e.StackTrace);
                pending.Add(NameOf(piece.Job));
            }
        }

        return new Effects(moved, pending);
    }

    public static OpenPiece Open(Planned planned) => new(planned.Piece.Id, planned.Job, planned.Plan);

    public static Evenings EveningsOf(Workshop workshop) => new(workshop.EveningsPerWeek, workshop.MinutesPerEvening);

    /// <summary>What to call a piece that has no plan yet.</summary>
    public static string NameOf(Job job) => job.Title ?? job.Wordings.Select(e => e.Text.ReplaceLineEndings(" ")).FirstOrDefault()
        ?? job.Motifs.Select(m => m.Drawing?.Name ?? m.Motif).FirstOrDefault() ?? "A piece";

    /// <summary>A piece that can be read and of which no plan comes.</summary>
    public static BadPiece Unplanned(Piece piece, Exception why) => new(
        piece.Id, piece.Head, NameOf(piece.Job), piece.CanUndo, piece.CanRedo,
        (why as UnplannedException ?? UnplannedException.By(why)).Fault, piece.PutAway);

    private (Job Job, Workshop Workshop) Asked(Piece piece, Workshop now, Job? job) =>
        ((job ?? piece.Job) with { Today = today.Date }, piece.In(now));

    private async Task Soon(IReadOnlyCollection<Task> all, CancellationToken cancel)
    {
        var left = ListPatience - TimeProvider.System.GetElapsedTime(_since ??= TimeProvider.System.GetTimestamp());
        if (left <= TimeSpan.Zero || all.All(t => t.IsCompleted))
        {
            return;
        }

        using var limit = CancellationTokenSource.CreateLinkedTokenSource(cancel);
        await Task.WhenAny(Task.WhenAll(all), Task.Delay(left, limit.Token));
        await limit.CancelAsync();
        cancel.ThrowIfCancellationRequested();
    }
}
