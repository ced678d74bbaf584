using Dittany.Core.Decisions;
using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Operations;
using Dittany.Core.Planning;
using Dittany.Core.Time;

namespace Dittany.Core.Advising;

/// <summary>
/// Something that waits for the maker: at which station, said in a sentence. <paramref name="Kind"/> is <c>concern</c>, <c>stop</c>,
/// <c>late</c>, <c>proof</c>, <c>print</c>, <c>trial</c>, <c>set-aside</c> or <c>work</c>.
/// </summary>
public sealed record Waiting(string Kind, Station Station, string Text);

/// <summary>
/// What is hers to do next: what is wrong first, then the proof, the sheets, and the needle. The first of the list is where the needle
/// waits.
/// </summary>
public static class Next
{
    /// <summary>
    /// In the order she should meet them; never empty but for a finished piece. <paramref name="proofed"/>: these very words were read
    /// back; <paramref name="printed"/>: their sheet is out and true.
    /// </summary>
    public static IReadOnlyList<Waiting> Of(Plan plan, bool proofed, bool printed)
    {
        if (plan.Time.Progress.Stage == Stage.Finished)
        {
            return [];
        }

        var waiting = new List<Waiting>();
        waiting.AddRange(plan.Cautions.Where(c => c.Severity == Severity.Stop).Select(c =>
            new Waiting("stop", c.At ?? Station.Item, c.Text)));
        waiting.AddRange(plan.Elements.SelectMany(e => e.Concerns).Select(c => new Waiting("concern", StationOf(c), c.Text)));
        if (plan.Decision("time.ready") is { ChoiceId: "late" } late)
        {
            waiting.Add(new Waiting("late", Station.Time, $"{late.Choice}."));
        }

        var begun = plan.Time.Progress.Stage is not (Stage.Planned or Stage.Washed);
        if (!proofed && plan.Proof.Count > 0 && !begun)
        {
            waiting.Add(new Waiting("proof", Station.Words, "Read the words back letter by letter, then the sheets may be printed."));
        }
        else if (!printed && !begun)
        {
            waiting.Add(new Waiting("print", Station.Transfer, SheetFor(plan) switch
            {
                "work" => plan.Sewn ? "Print the work sheet, and draw." : "Print the work sheet.",
                "stencil" or "pieces" => "Print the cutting sheet, and measure its check line.",
                _ => "Print the template, and measure its check line.",
            }));
        }

        if (!begun && Trial.Of(plan) is { } trial)
        {
            waiting.Add(new Waiting("trial", Station.Words, $"Five minutes first: stitch the {trial.Letter} on a scrap, for it is on the edge."));
        }

        if (plan.Idle.Count is > 0 and var idle)
        {
            waiting.Add(new Waiting("set-aside", Station.Item,
                $"{Say.Count(idle, "choice")} of yours {(idle == 1 ? "has" : "have")} nothing to act on here."));
        }

        waiting.Add(new Waiting("work", plan.Time.Progress.Stage is Stage.Planned or Stage.Washed ? Station.Transfer
            : plan.Time.Progress.Stage is Stage.Marked or Stage.OnTheHoop ? plan.Sewn ? Station.Order : Station.Stitches : Station.Finish,
            $"{Say.Upper(plan.Time.Progress.Told)}."));
        return waiting;
    }

    /// <summary>The sheet that has to be out before she begins: the template, or the work sheet where nothing is transferred.</summary>
    public static string SheetFor(Plan plan) => plan.CraftParts.Any(p => p.Craft == "paint") ? "stencil"
        : plan.CraftParts.Any(p => p.Craft == "applique") ? "pieces"
        : !plan.Sewn && plan.CraftParts.Any(p => p.Craft is "felt" or "beads") ? "template" : plan.Transfer.PrintMirrored is null || !plan.Sewn ? "work" : "template";

    /// <summary>The station a concern is seen at.</summary>
    public static Station StationOf(Concern concern) => concern.What switch
    {
        "does-not-show" => Station.Thread,
        "runs-into" => Station.Space,
        "turning" or "dropped" => Station.Stitches,
        _ => Station.Words,
    };
}

/// <summary>
/// The next step of the work itself, for a button: what she says by pressing it, and how far the piece is then, as
/// <see cref="Changes.WriteDone"/> writes it.
/// </summary>
public sealed record StepOn(string Text, string Done)
{
    /// <summary>The step after how far a piece is; null where it is finished.</summary>
    public static StepOn? After(Plan plan, DateOnly today)
    {
        var progress = plan.Time.Progress;
        return progress.Stage switch
        {
            Stage.Planned when plan.Work.Any(o => o.Kind == OpKind.Wash) => Said("Washed and hung up today", new Done(WashedOn: today)),
            Stage.Planned or Stage.Washed when !plan.Sewn => Said("It is prepared: cut, laid, drawn", new Done(Marked: true)),
            Stage.Marked when !plan.Sewn && plan.Work.Any(o => o.Kind == OpKind.Dry) =>
                Said("It is made, and left to dry today", new Done(true, 0, today)),
            Stage.Planned or Stage.Washed => Said("The lines are on the cloth", new Done(Marked: true)),
            Stage.Marked or Stage.OnTheHoop when progress.Runs > 0 =>
                Said($"Length {progress.RunsDone + 1} is stitched", new Done(true, progress.RunsDone + 1)),
            Stage.Stitched when plan.Work.Any(o => o.Kind == OpKind.Dry) =>
                Said("Rinsed and hung up today", new Done(true, progress.Runs, today)),
            Stage.Finished => null,
            _ => Said("It is finished", new Done(true, progress.Runs, Finished: true)),
        };

        static StepOn Said(string text, Done done) => new(text, Changes.WriteDone(done));
    }
}
