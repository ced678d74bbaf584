using Dittany.Core.Decisions;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Operations;
using Dittany.Core.Planning;
using Dittany.Core.Telling;

namespace Dittany.Formats.Sheets;

/// <summary>
/// What lies beside her while she works: what is needed, the order of work with a box to tick for each step, and the cautions where they
/// arise.
/// </summary>
internal static class WorkSheet
{
    public static IReadOnlyList<Leaf> Of(Plan plan, Paper paper, string note)
    {
        var flow = new Flow(paper, plan.Title, note);
        flow.Heading(plan.Title);
        if (plan.Elements.Where(e => !e.IsMotif).SelectMany(e => e.Rows).ToArray() is { Length: > 0 } rows)
        {
            flow.Fact("Words", string.Join(" / ", rows));
            flow.Fact("Letter by letter", string.Join(" · ", plan.Proof.Select(l => l.Aloud)));
        }

        if (plan.Elements.Where(e => e.IsMotif).Select(e => e.Text).Distinct(StringComparer.Ordinal).ToArray() is { Length: > 0 } motifs)
        {
            flow.Fact(motifs.Length == 1 ? "Motif" : "Motifs", Say.Upper(Say.List(motifs)));
        }

        var places = plan.Places.Where(p => !p.Stands).ToArray();
        flow.Fact("Item", $"{Say.Upper(plan.Item.FormName)}, {plan.Item.SizeName}; {plan.Item.Cloth.Kind.Name}; "
            + (places.Length == 0 ? plan.Space.ZoneName : Say.List(places.Select(p => p.Name).ToArray())));
        foreach (var id in new[] { "words.size", "motif.size", "stitch.outline", "transfer.method", "transfer.marker",
            "transfer.stabiliser", "hoop.size", "hoop.tension", "thread.start", "thread.finish", "order.places", "time.ready" })
        {
            // What all places share is said once; where they differ each says its own.
            var told = plan.Decisions.Where(d => d.Key.Anywhere() == id).ToArray();
            if (Array.TrueForAll(told, d => d.Choice == told[0].Choice))
            {
                told = told.Take(1).ToArray();
            }

            foreach (var decision in told)
            {
                var of = told.Length > 1 && decision.Key.Place is null
                    ? $"{Say.Upper(places.First(p => p.Main).Name)}: " : string.Empty;
                flow.Fact(of.Length > 0 ? $"{of}{Say.Lower(decision.Subject)}" : decision.Subject, decision.Choice);
            }
        }

        foreach (var need in plan.Threads)
        {
            flow.Fact(
                Say.Upper(Palette.NameOf(need.Colour)),
                $"{need.Thread.Size.Said}, {Say.Count(need.Cuts, "length")} of {Say.Number(need.CutMm / 10)} cm, "
                    + $"{Say.Count(need.Skeins, need.Thread.Kind.PutUp.Name)}; {Say.Upper(Needles.Find(need.Needle)!.Name)}");
        }

        var timed = plan.Time;
        flow.Fact("Minutes",
            $"{Say.Minutes(timed.LowMinutes)} to {Say.Minutes(timed.HighMinutes)} of "
                + $"work{(timed.WaitMinutes > 0 ? $", and {Say.Minutes(timed.WaitMinutes)} of waiting" : string.Empty)}");

        Beforehand(flow, plan);
        if (places.Length == 0)
        {
            Mark(flow, plan);
            flow.Heading("Stitch it", 5.5);
            Cautions(flow, plan, Station.Hoop, Station.Thread, Station.Stitches);
            Lengths(flow, plan, null);
        }
        else
        {
            PlaceByPlace(flow, plan);
        }

        flow.Heading("Finish it", 5.5);
        Cautions(flow, plan, Station.Order, Station.Time, Station.Finish);
        foreach (var step in plan.Work.Where(o => o.At == Station.Finish).SelectMany(o => o.Steps))
        {
            flow.Text(step, box: true);
        }

        flow.Heading("Good to know", 5.5);
        foreach (var caution in plan.Cautions.Where(c => c.Severity == Severity.Note))
        {
            flow.Text(caution.Text);
        }

        flow.Text("The makers' instructions, local rules and licensed practice come before anything said here.");
        return flow.Done();
    }

    private static void Mark(Flow flow, Plan plan)
    {
        flow.Heading("Mark it", 5.5);
        Cautions(flow, plan, Station.Item, Station.Words, Station.Transfer);
        flow.Text("Find the place: see the placement card.", box: true);
        foreach (var step in plan.TransferSteps)
        {
            flow.Text($"{step.Do}{(step.WaitMinutes > 0 ? $" Wait {Say.Minutes(step.WaitMinutes)}." : string.Empty)}", box: true);
        }
    }

    /// <summary>The work of several places, operation by operation in the order that harms none of them.</summary>
    private static void PlaceByPlace(Flow flow, Plan plan)
    {
        Cautions(flow, plan, Station.Item);
        var (at, seen) = (string.Empty, new HashSet<string>(StringComparer.Ordinal));
        foreach (var operation in plan.Work)
        {
            if (plan.PlaceOf(operation) is not { } place)
            {
                continue;
            }

            var stitches = operation.Kind is OpKind.Hoop or OpKind.Stitch;
            var heading = $"{Say.Upper(place.Name)}: {(stitches ? "stitch it" : "mark it")}";
            if (heading != at)
            {
                at = heading;
                flow.Heading(at, 5.5);
                if (seen.Add(at))
                {
                    Cautions(flow, place.Plan, stitches ? [Station.Hoop, Station.Thread, Station.Stitches]
                        : [Station.Words, Station.Transfer]);
                    if (!stitches)
                    {
                        flow.Text("Find the place: see the placement card.", box: true);
                    }
                }
            }

            if (operation.Kind == OpKind.Stitch)
            {
                Lengths(flow, plan, place);
            }
            else if (operation.Kind != OpKind.Hoop)
            {
                // Under its own heading a step does not say its place again.
                foreach (var step in place.Plan.Work.FirstOrDefault(o => o.Id == operation.Id with { Place = null })?.Steps
                    ?? operation.Steps)
                {
                    flow.Text(step, box: true);
                }
            }
        }
    }

    /// <summary>Length by length, with the ring where it is moved and the thread where it changes.</summary>
    private static void Lengths(Flow flow, Plan whole, PlannedPlace? place)
    {
        var (plan, hoop) = (place?.Plan ?? whole, 0);
        var hooped = plan.Work.FirstOrDefault(o => o.Kind == OpKind.Hoop)?.Steps ?? [];
        var thread = string.Empty;
        foreach (var run in RunTelling.Of(whole).Where(r => place is null
            || plan.Elements.Any(e => e.Id == whole.Route[r.FirstRow].Element)))
        {
            var at = run.Hoop - (place?.HoopsBefore ?? 0);
            if (at != hoop && at > 0 && at <= hooped.Count)
            {
                hoop = at;
                flow.Text(hooped[hoop - 1], box: true);
            }

            if (run.Thread != thread)
            {
                thread = run.Thread;
                flow.Text($"{thread}:");
            }

            flow.Text($"{run.Text}{(run.Like is null ? $" · {run.Stitch}" : null)}. "
                + $"{(run.Cut ? "A new thread" : "What is left on the needle")}{(run.Fresh ? $", {Say.Lower(plan.Decision("thread.start")!.Choice)}" : string.Empty)}. {Say.Upper(Say.Minutes(run.MinutesSoFar))} by its end.", box: true);
        }
    }

    /// <summary>What comes before anything else: the first wash.</summary>
    private static void Beforehand(Flow flow, Plan plan)
    {
        var before = plan.Work.Where(o => o.At == Station.Item).ToArray();
        if (before.Length > 0)
        {
            flow.Heading("Before anything else", 5.5);
        }

        foreach (var step in before.SelectMany(o => o.Steps))
        {
            flow.Text(step, box: true);
        }
    }

    private static void Cautions(Flow flow, Plan plan, params Station[] at)
    {
        foreach (var caution in plan.Cautions.Where(c => c.Severity != Severity.Note && c.At is { } station && at.Contains(station)))
        {
            flow.Text($"{(caution.Severity == Severity.Stop ? "Stop" : "Take care")}: {caution.Text}", "!", colour: "#9a3d17");
        }
    }
}
