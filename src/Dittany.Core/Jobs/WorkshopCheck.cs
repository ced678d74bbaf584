using Dittany.Core.Materials;
using Dittany.Core.Transfer;

namespace Dittany.Core.Jobs;

/// <summary>Finds everything in a workshop that makes no sense: tools, evenings, hoops, threads, measurements, habits.</summary>
public static class WorkshopCheck
{
    /// <summary>
    /// A thread is not so many times wider or narrower than its kind: it is another kind, or was measured wrongly (from memory).
    /// </summary>
    private const double MostOff = 2.5;

    /// <summary>All faults of a workshop alone.</summary>
    public static IReadOnlyList<ValidationError> Faults(Workshop workshop)
    {
        var faults = new List<ValidationError>();
        Check(workshop, faults);
        return faults;
    }

    internal static void Check(Workshop workshop, List<ValidationError> faults)
    {
        for (var i = 0; i < workshop.Equipment.Count; i++)
        {
            if (!Equipment.Ids.Contains(workshop.Equipment[i]))
            {
                faults.Add(new($"#/workshop/equipment/{i}", $"There is no tool '{workshop.Equipment[i]}'.",
                    $"Use {ValueChecks.Either(Equipment.Ids)}."));
            }
        }

        ValueChecks.Range("#/workshop/eveningsPerWeek", workshop.EveningsPerWeek, 0, 7, "evenings", faults);
        ValueChecks.Range("#/workshop/minutesPerEvening", workshop.MinutesPerEvening, 0, 1440, "minutes", faults);
        ValueChecks.Range("#/workshop/hourlyRate", workshop.HourlyRate, 0, 10000, "an hour", faults);
        if (Papers.Find(workshop.Paper) is null)
        {
            faults.Add(new("#/workshop/paper", $"There is no paper '{workshop.Paper}'.", $"Use {ValueChecks.Either(Papers.All.Select(p => p.Id))}."));
        }

        for (var i = 0; i < workshop.HoopsMm.Count; i++)
        {
            ValueChecks.Range($"#/stash/hoopsMm/{i}", workshop.HoopsMm[i], 50, 400, "mm", faults);
        }

        foreach (var (kind, mm) in workshop.ThreadWidthsMm)
        {
            var at = $"#/workshop/threadWidthsMm/{kind}";
            if (ThreadKinds.Find(kind) is not { } known)
            {
                faults.Add(new(at, $"There is no thread '{kind}'.", $"Use {ValueChecks.Either(ThreadKinds.All.Select(k => k.Id))}."));
            }
            else
            {
                ValueChecks.Range(at, mm, known.WidthMm / MostOff, known.WidthMm * MostOff, "mm", faults);
            }
        }

        foreach (var (cloth, share) in workshop.Trials)
        {
            var at = $"#/workshop/trials/{cloth}";
            if (Cloths.Find(cloth) is null)
            {
                faults.Add(new(at, $"There is no cloth '{cloth}'.", $"Use {ValueChecks.Either(Cloths.All.Select(c => c.Id))}."));
            }

            ValueChecks.Range(at, share, TrialShares.LeastShare, TrialShares.MostShare, "of the usual", faults);
        }

        foreach (var (name, number) in workshop.Paces)
        {
            var at = $"#/workshop/paces/{name}";
            if (PaceNames.Against(name) is { } instead)
            {
                faults.Add(new(at, $"There is no work '{name}'.", instead));
            }

            var counts = name.EndsWith(".pieces", StringComparison.Ordinal);
            ValueChecks.Range(at, number, counts ? 1 : PaceNames.LeastFactor, counts ? 100000 : PaceNames.MostFactor,
                counts ? "pieces" : "times as long", faults);
        }

        ValueChecks.Range("#/workshop/takeUp", workshop.MeasuredTakeUp, Workshop.LeastTakeUp, Workshop.MostTakeUp, "times what is reckoned", faults);
        if (workshop.Threads.Count > OwnThread.Most)
        {
            faults.Add(new("#/stash/threads", $"There are {workshop.Threads.Count} threads.", $"Keep {OwnThread.Most} or fewer."));
        }

        for (var i = 0; i < Math.Min(workshop.Threads.Count, OwnThread.Most); i++)
        {
            var thread = workshop.Threads[i];
            ValueChecks.Text($"#/stash/threads/{i}/name", thread.Name, OwnThread.MostLetters, faults);
            ValueChecks.Colour($"#/stash/threads/{i}/colour", thread.Hex, false, faults);
            if (ThreadKinds.Find(thread.Kind) is null)
            {
                faults.Add(new($"#/stash/threads/{i}/thread", $"There is no thread '{thread.Kind}'.",
                    $"Use {ValueChecks.Either(ThreadKinds.All.Select(k => k.Id))}."));
            }
        }

        foreach (var (id, choice) in workshop.Habits)
        {
            var habit = Habits.Find(id);
            if (habit is null)
            {
                faults.Add(new($"#/habits/{id}", $"There is no habit '{id}'.", $"Use {ValueChecks.Either(Habits.All.Select(h => h.Id))}."));
            }
            else if (habit.Choices.All(c => c.ChoiceId != choice))
            {
                faults.Add(new($"#/habits/{id}", $"'{choice}' is no choice of '{id}'.",
                    $"Use {ValueChecks.Either(habit.Choices.Select(c => c.ChoiceId))}."));
            }
        }
    }
}
