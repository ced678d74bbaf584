using Dittany.Core.Materials;
using Dittany.Core.Transfer;

namespace Dittany.Core.Planning;

/// <summary>Finds everything in a workshop that makes no sense: tools, evenings, hoops, threads, measurements, habits.</summary>
public static class WorkshopCheck
{
    /// <summary>
    /// A thread is not so many times wider or narrower than its kind: it is another kind, or was measured wrongly (from memory).
    /// </summary>
    private const double MostOff = 2.5;

    /// <summary>
    /// What stitching takes over what is reckoned lies between these; else something was measured wrongly (from memory).
    /// </summary>
    public const double LeastTakeUp = 0.9;

    public const double MostTakeUp = 1.8;

    /// <summary>All faults of a workshop alone.</summary>
    public static IReadOnlyList<JobFault> Faults(Workshop workshop)
    {
        var faults = new List<JobFault>();
        Check(workshop, faults);
        return faults;
    }

    internal static void Check(Workshop workshop, List<JobFault> faults)
    {
        for (var i = 0; i < workshop.Equipment.Count; i++)
        {
            if (!Equipment.Ids.Contains(workshop.Equipment[i]))
            {
                faults.Add(new($"#/workshop/equipment/{i}", $"There is no tool '{workshop.Equipment[i]}'.",
                    $"Use {JobCheck.Either(Equipment.Ids)}."));
            }
        }

        JobCheck.CheckRange("#/workshop/eveningsPerWeek", workshop.EveningsPerWeek, 0, 7, "evenings", faults);
        JobCheck.CheckRange("#/workshop/minutesPerEvening", workshop.MinutesPerEvening, 0, 1440, "minutes", faults);
        JobCheck.CheckRange("#/workshop/hourlyRate", workshop.HourlyRate, 0, 10000, "an hour", faults);
        if (Papers.Find(workshop.Paper) is null)
        {
            faults.Add(new("#/workshop/paper", $"There is no paper '{workshop.Paper}'.", $"Use {JobCheck.Either(Papers.All.Select(p => p.Id))}."));
        }

        for (var i = 0; i < workshop.HoopsMm.Count; i++)
        {
            JobCheck.CheckRange($"#/stash/hoopsMm/{i}", workshop.HoopsMm[i], 50, 400, "mm", faults);
        }

        foreach (var (kind, mm) in workshop.ThreadWidthsMm)
        {
            var at = $"#/workshop/threadWidthsMm/{kind}";
            if (ThreadKinds.Find(kind) is not { } known)
            {
                faults.Add(new(at, $"There is no thread '{kind}'.", $"Use {JobCheck.Either(ThreadKinds.All.Select(k => k.Id))}."));
            }
            else
            {
                JobCheck.CheckRange(at, mm, known.WidthMm / MostOff, known.WidthMm * MostOff, "mm", faults);
            }
        }

        foreach (var (cloth, share) in workshop.Trials)
        {
            var at = $"#/workshop/trials/{cloth}";
            if (Cloths.Find(cloth) is null)
            {
                faults.Add(new(at, $"There is no cloth '{cloth}'.", $"Use {JobCheck.Either(Cloths.All.Select(c => c.Id))}."));
            }

            JobCheck.CheckRange(at, share, Trial.LeastShare, Trial.MostShare, "of the usual", faults);
        }

        foreach (var (name, number) in workshop.Paces)
        {
            var at = $"#/workshop/paces/{name}";
            if (LearningFromLog.Against(name) is { } instead)
            {
                faults.Add(new(at, $"There is no work '{name}'.", instead));
            }

            var counts = name.EndsWith(".pieces", StringComparison.Ordinal);
            JobCheck.CheckRange(at, number, counts ? 1 : LearningFromLog.LeastFactor, counts ? 100000 : LearningFromLog.MostFactor,
                counts ? "pieces" : "times as long", faults);
        }

        JobCheck.CheckRange("#/workshop/takeUp", workshop.MeasuredTakeUp, LeastTakeUp, MostTakeUp, "times what is reckoned", faults);
        if (workshop.Threads.Count > OwnThread.Most)
        {
            faults.Add(new("#/stash/threads", $"There are {workshop.Threads.Count} threads.", $"Keep {OwnThread.Most} or fewer."));
        }

        for (var i = 0; i < Math.Min(workshop.Threads.Count, OwnThread.Most); i++)
        {
            var thread = workshop.Threads[i];
            JobCheck.CheckText($"#/stash/threads/{i}/name", thread.Name, OwnThread.MostLetters, faults);
            JobCheck.CheckColour($"#/stash/threads/{i}/colour", thread.Hex, false, faults);
            if (ThreadKinds.Find(thread.Kind) is null)
            {
                faults.Add(new($"#/stash/threads/{i}/thread", $"There is no thread '{thread.Kind}'.",
                    $"Use {JobCheck.Either(ThreadKinds.All.Select(k => k.Id))}."));
            }
        }

        foreach (var (id, choice) in workshop.Habits)
        {
            var habit = Habits.Find(id);
            if (habit is null)
            {
                faults.Add(new($"#/habits/{id}", $"There is no habit '{id}'.", $"Use {JobCheck.Either(Habits.All.Select(h => h.Id))}."));
            }
            else if (habit.Choices.All(c => c.ChoiceId != choice))
            {
                faults.Add(new($"#/habits/{id}", $"'{choice}' is no choice of '{id}'.",
                    $"Use {JobCheck.Either(habit.Choices.Select(c => c.ChoiceId))}."));
            }
        }
    }
}
