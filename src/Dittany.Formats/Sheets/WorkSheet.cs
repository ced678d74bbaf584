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

        flow.Fact("Item", $"{Say.Upper(plan.Item.FormName)}, {plan.Item.SizeName}; {plan.Item.Cloth.Kind.Name}; {plan.Space.ZoneName}");
        foreach (var id in new[] { "words.size", "motif.size", "stitch.outline", "transfer.method", "transfer.marker",
            "transfer.stabiliser", "hoop.size", "hoop.tension", "thread.start", "thread.finish", "time.ready" })
        {
            if (plan.Decision(id) is { } decision)
            {
                flow.Fact(decision.Subject, decision.Choice);
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
        flow.Heading("Mark it", 5.5);
        Cautions(flow, plan, Station.Item, Station.Words, Station.Transfer);
        flow.Text("Find the place: see the placement card.", box: true);
        foreach (var step in plan.TransferSteps)
        {
            flow.Text($"{step.Do}{(step.WaitMinutes > 0 ? $" Wait {Say.Minutes(step.WaitMinutes)}." : string.Empty)}", box: true);
        }

        flow.Heading("Stitch it", 5.5);
        Cautions(flow, plan, Station.Hoop, Station.Thread, Station.Stitches);
        var hoop = 0;
        var hooped = plan.Work.FirstOrDefault(o => o.Kind == OpKind.Hoop)?.Steps ?? [];
        var thread = string.Empty;
        foreach (var run in RunTelling.Of(plan))
        {
            if (run.Hoop != hoop && run.Hoop <= hooped.Count)
            {
                hoop = run.Hoop;
                flow.Text(hooped[hoop - 1], box: true);
            }

            if (run.Thread != thread)
            {
                thread = run.Thread;
                flow.Text($"{thread}:");
            }

            flow.Text($"{run.Text} · {run.Stitch}. "
                + $"{(run.Cut ? "A new thread" : "What is left on the needle")}{(run.Fresh ? $", {Say.Lower(plan.Decision("thread.start")!.Choice)}" : string.Empty)}. {Say.Upper(Say.Minutes(run.MinutesSoFar))} by its end.", box: true);
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
