using Dittany.Core.Advising;
using Dittany.Core.Decisions;
using Dittany.Core.Jobs;
using Dittany.Store;
using Dittany.Web.Setup;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Dittany.Web.Pages.HabitsPage;

/// <summary>A habit with the choice that stands, and what another would make of the pieces, where that was asked.</summary>
public sealed record HabitView(Habit Habit, string Chosen, int From, IReadOnlyList<(Choice Choice, Effects Effects)>? Tried);

/// <summary>The schools: each choice with what it changes, tried on the maker's own pieces.</summary>
public sealed class IndexModel(WorkshopStore workshops, PlanService desk) : PageModel
{
    private static readonly (Station Station, string Name)[] Groups =
    [
        (Station.Words, "The words"), (Station.Transfer, "Marking and transfer"), (Station.Hoop, "Holding the work"),
            (Station.Thread, "Thread and needle"), (Station.Stitches, "Stitching"),
        (Station.Order, "The order of work"), (Station.Finish, "Finishing"),
    ];

    /// <summary>Decisions tell where a habit is told; the plan knows their stations.</summary>
    public IReadOnlyList<(string Name, IReadOnlyList<HabitView> Habits)> Shelves { get; private set; } = [];

    public bool CanUndo { get; private set; }

    public string? Kept { get; private set; }

    public Effects? Effects { get; private set; }

    public string? Trouble { get; private set; }

    /// <summary>Where the rest of what a change did is told, while some plans are still being made; null where all of it stands.</summary>
    public string? Again { get; private set; }

    /// <summary>
    /// The habits. <paramref name="again"/> tells once more what a kept habit did, beside what <paramref name="was"/> chosen before.
    /// </summary>
    public async Task<IActionResult> OnGet(string? @try, string? kept, string? again, string? was, CancellationToken cancel)
    {
        Kept = Habits.Find(kept ?? string.Empty) is { } settled ? $"{settled.Name}: kept." : null;
        if (again is not null && Habits.Find(again) is { } habit && habit.Choices.Any(c => c.ChoiceId == was))
        {
            var workshop = await workshops.Current(cancel);
            var before = WorkshopChanges.Apply(workshop, $"{WorkshopChanges.HabitPrefix}{again}", was!).Workshop!;
            await Tell(habit, before, workshop, cancel);
        }

        await Load(@try, cancel);
        return Page();
    }

    /// <summary>Keeps a choice; by htmx the answer is the page's main part with what came out otherwise.</summary>
    public async Task<IActionResult> OnPost(int from, string habit, string choice, CancellationToken cancel)
    {
        var before = await workshops.Current(cancel);
        var changed = await workshops.Change(from, [($"{WorkshopChanges.HabitPrefix}{habit}", choice ?? string.Empty)], $"Habit: {habit}",
            cancel);
        if (changed.Taken)
        {
            await Tell(Habits.Find(habit)!, before, changed.Workshop, cancel);
        }
        else
        {
            Trouble = changed.Conflicts.Count > 0
                ? $"This habit was changed somewhere else in the meantime: there it is now "
                    + $"“{Habits.Find(habit)?.Choices.FirstOrDefault(c => c.ChoiceId == changed.Conflicts[0].Theirs)?.Text}”. Nothing was "
                    + $"changed; choose again."
                : $"{changed.Faults[0].Detail} {changed.Faults[0].Try} Nothing was changed.";
            Response.StatusCode = changed.Conflicts.Count > 0 ? StatusCodes.Status409Conflict : StatusCodes.Status422UnprocessableEntity;
        }

        await Load(null, cancel);
        return Page();
    }

    private async Task Tell(Habit habit, Workshop before, Workshop after, CancellationToken cancel)
    {
        Effects = await desk.Effects(before, after, cancel);
        Kept = $"{habit.Name}: kept.";
        Again = Effects.Pending.Count == 0 ? null
            : $"/habits?again={Uri.EscapeDataString(habit.Id)}&was={Uri.EscapeDataString(before.Habit(habit.Id))}";
    }

    public async Task<IActionResult> OnPostUndo(CancellationToken cancel)
    {
        await workshops.Undo(cancel);
        return RedirectToPage();
    }

    private async Task Load(string? tried, CancellationToken cancel)
    {
        var workshop = await workshops.Current(cancel);
        var head = await workshops.Head(cancel);
        CanUndo = head > 0;
        var views = new List<HabitView>();
        foreach (var habit in Habits.All)
        {
            views.Add(new HabitView(habit, workshop.Habit(habit.Id), head, habit.Id == tried ? await Try(habit, workshop, cancel) : null));
        }

        Shelves = Groups.Select(g => (g.Name, (IReadOnlyList<HabitView>)views.Where(v =>
            DecisionRegistry.Find(v.Habit.ToldAt)!.At == g.Station).ToArray())).Where(g => g.Item2.Count > 0).ToArray();
    }

    private async Task<IReadOnlyList<(Choice, Effects)>> Try(Habit habit, Workshop workshop, CancellationToken cancel)
    {
        var tried = new List<(Choice, Effects)>();
        foreach (var choice in habit.Choices.Where(c => c.ChoiceId != workshop.Habit(habit.Id)))
        {
            var other = WorkshopChanges.Apply(workshop, $"{WorkshopChanges.HabitPrefix}{habit.Id}", choice.ChoiceId).Workshop!;
            tried.Add((choice, await desk.Effects(workshop, other, cancel)));
        }

        return tried;
    }
}
