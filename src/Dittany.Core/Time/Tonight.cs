using Dittany.Core.Measures;

namespace Dittany.Core.Time;

/// <summary>A piece as the calendar speaks of it.</summary>
public sealed record Laid(string Name, Demand Demand, Progress Progress, Lain Lain);

/// <summary>On what screens words of the day's sentence are shown: any, or only wide or narrow ones.</summary>
public enum Screen
{
    Any,
    Wide,
    Narrow,
}

/// <summary>Words of a sentence; with a piece's number where they name it.</summary>
public sealed record Spoken(string Text, int? Piece = null, Screen On = Screen.Any);

/// <summary>What to do tonight, in one breath: what to work at with its minutes, and what can be done beside it.</summary>
public static class Tonight
{
    /// <summary>So many pieces are named where there is little room; the others are counted.</summary>
    private const int Named = 2;

    /// <summary>The sentence, in pieces of text. Never empty.</summary>
    public static IReadOnlyList<Spoken> Tell(IReadOnlyList<Laid> pieces, Evenings evenings, DateOnly today)
    {
        var open = pieces.Where(p => p.Progress.Stage != Stage.Finished).ToArray();
        if (open.Length == 0)
        {
            return [new Spoken("Nothing waits for the needle tonight.")];
        }

        var said = new List<Spoken>();
        var day = open.SelectMany(p => p.Lain.Stints).Select(s => (DateOnly?)s.Day).Min();
        if (day is null)
        {
            return [new Spoken(evenings.PerWeek <= 0 || evenings.Minutes <= 0
                ? "There is no evening to work on: say in the workshop which there are." : "Nothing waits for the needle tonight.")];
        }

        var toWork = open.Where(p => p.Lain.Stints.Any(s => s.Day == day && s.Of != LegOf.Finishing)).OrderBy(p => p.Lain.DueOn
            ?? DateOnly.MaxValue).ToArray();
        var toFinish = open.Where(p => p.Lain.Stints.Any(s => s.Day == day && s.Of == LegOf.Finishing) && !toWork.Contains(p)).ToArray();
        said.Add(new Spoken(day == today ? "Tonight: " : $"No evening at the needle today. On {Say.Day(day.Value)}: "));
        for (var i = 0; i < toWork.Length; i++)
        {
            var piece = toWork[i];
            var tonight = piece.Lain.Stints.Where(s => s.Day == day && s.Of != LegOf.Finishing).ToArray();
            var minutes = tonight.Sum(s => s.Minutes);
            var all = minutes >= piece.Demand.MakingMinutes - 0.5;
            var verb = tonight.All(s => s.Of == LegOf.Washing) ? "wash" : Verb(piece.Progress.Stage, all);
            var on = i < Named || toWork.Length <= Named + 1 ? Screen.Any : Screen.Wide;
            said.Add(new Spoken($"{(i == 0 ? string.Empty : i == toWork.Length - 1 ? ", then " : ", ")}{verb} ", On: on));
            said.Add(new Spoken(piece.Name, piece.Demand.Id, on));
            said.Add(new Spoken($", {Say.Minutes(minutes)}", On: on));
        }

        if (toWork.Length > Named + 1)
        {
            said.Add(new Spoken($", and {toWork.Length - Named} more", On: Screen.Narrow));
        }

        if (toWork.Length > 0)
        {
            said.Add(new Spoken("."));
        }

        for (var i = 0; i < toFinish.Length; i++)
        {
            var piece = toFinish[i];
            var dry = piece.Progress.Stage is Stage.Drying or Stage.ToFinish;
            var on = toWork.Length > 0 ? Screen.Wide : Screen.Any;
            said.Add(new Spoken(toWork.Length > 0 || i > 0 ? " " : string.Empty, On: on));
            said.Add(new Spoken(piece.Name, piece.Demand.Id, on));
            said.Add(new Spoken(dry ? " has dried and can be finished." : " can be finished.", On: on));
        }

        var late = open.Where(p => p.Lain.Late).OrderBy(p => p.Lain.DueOn).ToArray();
        if (late.Length == 1 && toWork.Length == 1 && toFinish.Length == 0 && toWork[0] == late[0])
        {
            said.Add(new Spoken(" It will be late as planned."));
        }
        else if (late.Length > 0)
        {
            said.Add(new Spoken(" "));
            said.Add(new Spoken(late[0].Name, late[0].Demand.Id));
            said.Add(new Spoken(late.Length > 1 ? $" and {Say.Count(late.Length - 1, "other")} will be late as planned."
                : " will be late as planned."));
        }

        return said;
    }

    private static string Verb(Stage stage, bool all) => stage switch
    {
        Stage.Planned or Stage.Washed => all ? "make" : "begin",
        Stage.Stitched => "rinse",
        _ => all ? "finish stitching" : "go on with",
    };
}
