using Dittany.Core.Hooping;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Telling;

namespace Dittany.Formats.Sheets;

/// <summary>What lies beside her while she works: what is needed, the order of work with a box to tick for each step, and the cautions where they arise.</summary>
internal static class WorkSheet
{
    public static IReadOnlyList<Leaf> Of(Plan plan, Paper paper, string note)
    {
        var flow = new Flow(paper, plan.Title, note);
        flow.Heading(plan.Title);
        flow.Fact("Words", string.Join(" / ", plan.Elements.SelectMany(e => e.Rows)));
        flow.Fact("Letter by letter", string.Join(" · ", plan.Proof.Select(l => l.Aloud)));
        flow.Fact("Item", $"{Say.Upper(plan.Item.FormName)}, {plan.Item.SizeName}; {plan.Item.Cloth.Kind.Name}; {plan.Space.ZoneName}");
        foreach (var id in new[] { "words.size", "stitch.outline", "transfer.method", "transfer.marker", "transfer.stabiliser", "hoop.size", "hoop.tension", "thread.start", "thread.finish", "time.ready" })
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
                $"{Say.Count(need.Strands, "strand")}, {Say.Count(need.Runs, "length")} of {Say.Number(need.CutMm / 10)} cm, {Say.Count(need.Skeins, "skein")}; {plan.Decisions.First(d => d.Id.StartsWith("needle.size", StringComparison.Ordinal)).Choice}");
        }

        var timed = plan.Time;
        flow.Fact("Minutes", $"{Say.Minutes(timed.LowMinutes)} to {Say.Minutes(timed.HighMinutes)} of work{(timed.WaitMinutes > 0 ? $", and {Say.Minutes(timed.WaitMinutes)} of waiting" : string.Empty)}");

        flow.Heading("Mark it", 5.5);
        Cautions(flow, plan, Station.Item, Station.Words, Station.Transfer);
        flow.Text("Find the place: see the placement card.", box: true);
        foreach (var step in plan.Transfer.Steps)
        {
            flow.Text($"{step.Do}{(step.WaitMinutes > 0 ? $" Wait {Say.Minutes(step.WaitMinutes)}." : string.Empty)}", box: true);
        }

        flow.Heading("Stitch it", 5.5);
        Cautions(flow, plan, Station.Hoop, Station.Thread, Station.Stitches);
        var hoop = 0;
        foreach (var run in RunTelling.Of(plan))
        {
            if (run.Hoop != hoop && plan.Hooping.School != School.InHand)
            {
                hoop = run.Hoop;
                var placing = plan.Hooping.Hoops.First(h => h.Order == hoop);
                flow.Text($"{(hoop == 1 ? "Hoop" : "Move the hoop")}: {Hoops.Inches(placing.HoopMm)} in, placing {hoop} of {plan.Hooping.Hoops.Count}.", box: true);
            }

            flow.Text($"{run.Text}. {Say.Upper(Say.Minutes(run.MinutesSoFar))} by its end.", box: true);
        }

        flow.Heading("Finish it", 5.5);
        Cautions(flow, plan, Station.Order, Station.Time, Station.Finish);
        foreach (var step in plan.Removal.Concat(plan.Finish))
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

    private static void Cautions(Flow flow, Plan plan, params Station[] at)
    {
        foreach (var caution in plan.Cautions.Where(c => c.Severity != Severity.Note && c.At is { } station && at.Contains(station)))
        {
            flow.Text($"{(caution.Severity == Severity.Stop ? "Stop" : "Take care")}: {caution.Text}", "!", colour: "#9a3d17");
        }
    }
}
