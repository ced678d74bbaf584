using Dittany.Core.Measures;
using Dittany.Core.Telling;
using Dittany.Core.Time;

namespace Dittany.Core.Planning;

/// <summary>Something that waits for the maker: at which station, said in a sentence. <paramref name="Kind"/> is <c>concern</c>, <c>stop</c>, <c>late</c>, <c>proof</c>, <c>print</c>, <c>set-aside</c> or <c>work</c>.</summary>
public sealed record Waiting(string Kind, Station Station, string Text);

/// <summary>What is hers to do next: what is wrong first, then the proof, the sheets, and the needle. The first of the list is where the needle waits.</summary>
public static class Next
{
    /// <summary>In the order she should meet them; never empty but for a finished piece. <paramref name="proofed"/>: these very words were read back; <paramref name="printed"/>: their sheet is out and true.</summary>
    public static IReadOnlyList<Waiting> Of(Plan plan, bool proofed, bool printed)
    {
        if (plan.Time.Progress.Stage == Stage.Finished)
        {
            return [];
        }

        var waiting = new List<Waiting>();
        waiting.AddRange(plan.Cautions.Where(c => c.Severity == Severity.Stop).Select(c => new Waiting("stop", c.At ?? Station.Item, c.Text)));
        waiting.AddRange(plan.Elements.SelectMany(e => e.Concerns).Select(c => new Waiting("concern", StationOf(c), c.Text)));
        if (plan.Decision("time.ready") is { ChoiceId: "late" } late)
        {
            waiting.Add(new Waiting("late", Station.Time, $"{late.Choice}."));
        }

        var begun = plan.Time.Progress.Stage != Stage.Planned;
        if (!proofed && !begun)
        {
            waiting.Add(new Waiting("proof", Station.Words, "Read the words back letter by letter, then the sheets may be printed."));
        }
        else if (!printed && !begun)
        {
            waiting.Add(new Waiting("print", Station.Transfer, plan.Transfer.PrintMirrored is null ? "Print the work sheet, and draw." : "Print the template, and measure its check line."));
        }

        if (plan.SetAside.Count > 0)
        {
            waiting.Add(new Waiting("set-aside", Station.Item, $"{Say.Count(plan.SetAside.Count, "choice")} of yours {(plan.SetAside.Count == 1 ? "has" : "have")} nothing to act on here."));
        }

        waiting.Add(new Waiting("work", plan.Time.Progress.Stage is Stage.Planned ? Station.Transfer : plan.Time.Progress.Stage is Stage.Marked or Stage.OnTheHoop ? Station.Order : Station.Finish, $"{Say.Upper(plan.Time.Progress.Told)}."));
        return waiting;
    }

    /// <summary>The station a concern is seen at.</summary>
    public static Station StationOf(Concern concern) => concern.What switch
    {
        "does-not-show" => Station.Thread,
        "turning" or "dropped" => Station.Stitches,
        _ => Station.Words,
    };
}
