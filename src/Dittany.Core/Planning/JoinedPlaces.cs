using Dittany.Core.Cautions;
using Dittany.Core.Decisions;
using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Operations;
using Dittany.Core.Route;
using Dittany.Core.Threads;
using Dittany.Core.Time;

namespace Dittany.Core.Planning;

/// <summary>
/// The plan of a piece with several places: each is planned as a job of its own that leaves what is stitched before it its room, and they
/// are joined into one order of work, one list of thread and one ready day.
/// </summary>
internal static class JoinedPlaces
{
    /// <summary>
    /// Plans places one after the other and joins them. <paramref name="one"/> plans one, given what is stitched by then.
    /// </summary>
    public static Plan Make(Job job, IReadOnlyList<JobPlace> places, Workshop workshop,
        Func<Job, IReadOnlyList<StitchedThere>, Plan> one)
    {
        var there = new List<StitchedThere>();
        var planned = new List<(JobPlace Place, Plan Plan)>();
        foreach (var place in places)
        {
            var plan = one(place.Job with { Done = place.Stands ? new Done(true, JobLimits.MostRuns, Finished: true) : null }, there);
            planned.Add((place, plan));
            there.AddRange(StitchedThere.By(plan));
        }

        UnplannedException.ThrowIfOver(planned.Sum(p => p.Plan.Elements.Sum(e => e.Parts.Sum(q => (long)q.Stitches.Count))));
        var live = planned.Where(p => !p.Place.Stands).ToArray();
        var work = PlacesWork.Of(live.Select(p => (p.Place.Key, Name(job, p.Place), p.Plan)).ToArray());
        var inTurn = work.Stitched.Select(k => Array.Find(live, p => p.Place.Key == k)).Where(p => p.Plan is not null)
            .Concat(live.Where(p => !work.Stitched.Contains(p.Place.Key, StringComparer.Ordinal))).ToArray();
        var (route, parts) = Routed(job, planned, inTurn);
        return Joined(job, workshop, parts, route, work);
    }

    private static string Name(Job job, JobPlace place) => Places.NameOf(job, place.Zone);

    /// <summary>Routes one after the other in the order they are stitched, lengths and placings counted through.</summary>
    private static (List<RouteRow> Route, PlannedPlace[] Parts) Routed(Job job, List<(JobPlace Place, Plan Plan)> planned,
        (JobPlace Place, Plan Plan)[] inTurn)
    {
        var route = new List<RouteRow>();
        var (runs, hoops) = (0, 0);
        var before = new Dictionary<string, (int Runs, int Hoops)>(StringComparer.Ordinal);
        foreach (var (place, plan) in inTurn)
        {
            before[place.Key] = (runs, hoops);
            route.AddRange(plan.Route.Select(r => r with { Run = r.Run + runs, Hoop = r.Hoop == 0 ? 0 : r.Hoop + hoops }));
            runs += plan.Route.Select(r => r.Run).DefaultIfEmpty(0).Max();
            hoops += plan.Hooping.Hoops.Count;
        }

        var parts = planned.Select(p =>
        {
            var (runsBefore, hoopsBefore) = before.GetValueOrDefault(p.Place.Key);
            var plan = p.Place.Stands ? p.Plan : p.Plan with { Time = p.Plan.Time with { Progress = Far(job, p.Plan, runsBefore) } };
            return new PlannedPlace(p.Place.Key, p.Place.Zone, Name(job, p.Place), p.Place.Stands, p.Place.Main, plan, runsBefore,
                hoopsBefore);
        }).ToArray();
        return (route, parts);
    }

    /// <summary>How far one place is by what is done of the piece: its lengths come after <paramref name="before"/> others.</summary>
    private static Progress Far(Job job, Plan plan, int before)
    {
        var runs = plan.Route.Select(r => r.Run).DefaultIfEmpty(0).Max();
        var done = job.Done is not { } whole ? null : whole with
        {
            Runs = Math.Clamp(whole.Runs - before, 0, runs),
            Stitches = whole.Runs >= before && whole.Runs < before + runs ? whole.Stitches : 0,
        };
        var share = plan.Route.Count == 0 ? 0 : (double)CompletedWorkGuard.RowsDone(plan.Route, done) / plan.Route.Count;
        return Left.After(plan.Work, done, plan.Threads.Sum(t => t.Runs), share, job.Today);
    }

    private static Plan Joined(Job job, Workshop workshop, PlannedPlace[] places, List<RouteRow> route, PlacesWork work)
    {
        var live = places.Where(p => !p.Stands).ToArray();
        var main = places.First(p => p.Main).Plan;
        var threads = ThreadRoom.Together(live.SelectMany(p => p.Plan.Threads));
        var share = route.Count == 0 ? 0 : (double)CompletedWorkGuard.RowsDone(route, job.Done) / route.Count;
        var form = job.FormUsed.Sure();
        var timed = Timing.Settle(
            work.Work, Left.After(work.Work, job.Done, threads.Sum(t => t.Runs), share, job.Today),
            new Evenings(workshop.EveningsPerWeek, workshop.MinutesPerEvening), job.Today, job.DueOn,
            LearntPace.Tell(workshop, live.SelectMany(p => p.Plan.Elements).SelectMany(e => e.Parts).Select(p => p.Stitch), main.Item.Cloth,
                form));
        var cautions = work.Cautions.Concat(timed.Cautions.Select(c => c with { At = Station.Time }))
            .Concat(live.SelectMany(p => p.Plan.Cautions.Where(c => c.At != Station.Time)
                .Select(c => p.Main || main.Cautions.Any(m => m.Text == c.Text) ? c : c with { Text = $"{Say.Upper(p.Name)}: {c.Text}" })))
            .DistinctBy(c => c.Text.ToString(), StringComparer.Ordinal).OrderByDescending(c => c.Severity).ToArray();
        var decisions = live.SelectMany(p => p.Plan.Decisions.Where(d => d.Station != Station.Time && (p.Main || !Places.Shared(d.Key)))
            .Select(d => d.Id == "item.washing" ? WashedFor(live, d) : d)
            .Select(d => p.Main ? d : d with { Key = d.Key with { Place = p.Key }, Subject = $"{Say.Upper(p.Name)}: {Say.Lower(d.Subject)}" }))
            .Append(InTurn(places, work)).Concat(timed.Decisions).ToList();
        if (workshop.HourlyRate > 0)
        {
            decisions.Add(Planner.Price(workshop.HourlyRate, timed.HandsOnMinutes));
        }

        var ordered = decisions.OrderBy(d => d.Station).ToArray();
        var title = job.Title ?? $"{Said(live)}, on {Say.A(form.Name)}";
        Decision[] ofAll = [.. ordered.Where(d => d.Id == "order.places" || d.Station == Station.Time)];
        return main with
        {
            Title = title,
            Elements = live.SelectMany(p => p.Plan.Elements).ToArray(),
            Hooping = new PlannedHooping(live.Select(p => p.Plan.Hooping.School).FirstOrDefault(s => s != Hooping.School.InHand,
                Hooping.School.InHand), live.OrderBy(p => p.HoopsBefore).SelectMany(p => p.Plan.Hooping.Hoops.Select(h => h
                    with
                { Order = h.Order + p.HoopsBefore })).ToArray(), live.Sum(p => p.Plan.Hooping.LowerBound)),
            Threads = threads,
            Route = route,
            Work = Heeding.Heed(work.Work, cautions),
            Time = timed,
            Care = live.Select(p => p.Plan.Care).Aggregate((one, other) => one.And(other)),
            Proof = live.Where(p => p.Plan.Proof.Count > 0).SelectMany((p, i) => i == 0 ? p.Plan.Proof
                : p.Plan.Proof.Prepend(new Words.ProofLetter("\n", $"{p.Name}: next wording"))).ToArray(),
            Decisions = ordered,
            SetAside = [.. Idle(live), .. ordered.SelectMany(d => d.NotFollowed ?? []).Select(t => t.ToString())],
            Cautions = cautions,
            CraftParts = live.SelectMany(p => p.Plan.CraftParts).ToArray(),
            SideViews = live.SelectMany(p => p.Plan.SideViews.Select(v =>
                v with { Operation = PlacesWork.IdAt(v.Operation, p.Key, p.Main).ToString() }))
                .DistinctBy(v => (v.Operation, v.Called)).ToArray(),
            Places = places.Select(p => p with
            {
                Plan = p.Plan with
                {
                    Title = $"{title}: {p.Name}",
                    Decisions = [.. p.Plan.Decisions.Where(d => d.Station != Station.Time).Select(d => AsPlaced(d, p, job)).Concat(ofAll)
                        .OrderBy(d => d.Station)],
                },
            }).ToArray(),
        };
    }

    /// <summary>How it is washed, as the place says it whose thread or craft bears the least.</summary>
    private static Decision WashedFor(PlannedPlace[] live, Decision washing) =>
        live.OrderByDescending(p => p.Plan.Care.Clean).SelectMany(p => p.Plan.Decisions).FirstOrDefault(d => d.Key == washing.Key)
            ?? washing;

    /// <summary>What lies at all places, in a row: Mia and a daisy.</summary>
    private static string Said(PlannedPlace[] live) => Say.List(live.Select(p => p.Plan.Elements[0]).Select((e, i) => i > 0 && e.IsMotif
        ? Say.A(e.Text) : Planner.Named(e)).Distinct(StringComparer.Ordinal).ToArray());

    /// <summary>Where a place other than the usual one lies is no choice against the plan.</summary>
    private static Decision AsPlaced(Decision decision, PlannedPlace place, Job job) => decision.Id != "space.zone"
        || place.Zone == Places.UsualZone(job) || !decision.Overruled ? decision
            : decision with { Overruled = false, WouldHaveBeen = null, Because = decision.Because.Skip(1).ToArray() };

    /// <summary>Choices with nothing to act on: one that belongs to all is idle only where it is so everywhere.</summary>
    private static IEnumerable<string> Idle(PlannedPlace[] live) => live.SelectMany(p => p.Plan.Idle.Select(id => (Id: id, Place: p)))
        .Where(i => !Places.Shared(i.Id) || live.All(p => p.Plan.Idle.Contains(i.Id, StringComparer.Ordinal)))
        .Select(i => i.Place.Main || Places.Shared(i.Id) ? i.Id : (DecisionKey.Parse(i.Id) with { Place = i.Place.Key }).ToString())
            .Distinct(StringComparer.Ordinal);

    private static Decision InTurn(PlannedPlace[] places, PlacesWork work)
    {
        var live = places.Where(p => !p.Stands).OrderBy(p => p.RunsBefore).Select(p => p.Name).ToArray();
        var stands = places.Where(p => p.Stands).Select(p => p.Name).Distinct(StringComparer.Ordinal).ToArray();
        var because = new List<Told>();
        if (live.Length > 1)
        {
            because.Add("Each place is marked, held and stitched for itself; what is washed, rinsed and pressed is done once, at the end, for all.");
        }

        because.AddRange(work.Because);
        if (stands.Length > 0)
        {
            because.Add($"What stands there already ({Say.List(stands)}) is not touched: new stitches leave it its room, and no ring lies on its knots.");
        }

        return Deciding.Make("order.places", Station.Order, "Which place comes first", new Choice("in-turn", Say.Upper(live.Length == 1
            ? $"only {live[0]}" : string.Join(", then ", live))), null, because, ["Another marker, or another way of transferring, at one of them."]);
    }
}
