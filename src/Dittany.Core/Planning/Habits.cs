using Dittany.Core.Telling;

namespace Dittany.Core.Planning;

/// <summary>A workshop preference that steers the plan: one school of several, with what it changes.</summary>
public sealed record Habit(string Id, string Name, string Changes, IReadOnlyList<Choice> Choices, string Default);

/// <summary>The habits of the rooms that stand. Every one changes the plan.</summary>
public static class Habits
{
    public static IReadOnlyList<Habit> All { get; } =
    [
        new("hold", "How you hold the work", "the hoopings, and the minutes for them", Hooping.Holding.Choices, "hoop"),
        new("stitch-length", "Stitch length on curves", "where every stitch ends", [new("graded", "Shorter on curves, longer on straights"), new("uniform", "One length all along a stretch")], "graded"),
        new("size", "How large words are made", "the height of the capitals", [new("comfortable", "A comfortable share of the space"), new("largest", "As large as fits"), new("smallest", "As small as reads")], "comfortable"),
        new("cut-length", "How long you cut thread", "the number of threads and their ends", Threads.ThreadRoom.Cuts, "450"),
        new("start", "How you begin a thread", "tails and minutes", Threads.ThreadRoom.Starts.Select(s => new Choice(s.ChoiceId, s.Name)).ToArray(), "away-knot"),
        new("finish", "How you end a thread", "tails and minutes", Threads.ThreadRoom.Finishes.Select(s => new Choice(s.ChoiceId, s.Name)).ToArray(), "weave"),
        new("press", "How you press", "the last step and the care of the stitches", Finishing.FinishRoom.Presses, "face-down-steam"),
    ];

    public static Habit? Find(string id) => All.FirstOrDefault(h => h.Id == id);
}
