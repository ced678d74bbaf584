using Dittany.Core.Measures;
using Dittany.Core.Operations;

namespace Dittany.Core.Time;

/// <summary>
/// What is done of a piece. <paramref name="Runs"/> counts lengths of thread worked, in the order of the route; <paramref name="RinsedOn"/>
/// is the local day it was hung up to dry, <paramref name="WashedOn"/> the day it was after its first wash; <paramref name="Stitches"/> are
/// done of the length that is begun. Later steps imply the earlier ones.
/// </summary>
public sealed record Done(bool Marked = false, int Runs = 0, DateOnly? RinsedOn = null, bool Finished = false, DateOnly? WashedOn = null,
    int Stitches = 0)
{
    /// <summary>Whether the work itself is begun: a first wash alone binds nothing.</summary>
    public bool Begun => Marked || Runs > 0 || Stitches > 0 || RinsedOn is not null || Finished;
}

/// <summary>How far a piece is.</summary>
public enum Stage
{
    Planned,
    Washed,
    Marked,
    OnTheHoop,
    Stitched,
    Drying,
    ToFinish,
    Finished,
}

/// <summary>
/// How far a piece is, in the numbers of its plan. <paramref name="DryOn"/> is set while it hangs, and once it has hung after the needle.
/// </summary>
public sealed record Progress(Stage Stage, int RunsDone, int Runs, double LeftMinutes, DateOnly? DryOn, double StitchedShare = 0)
{
    /// <summary>Stitches done of the length that is begun.</summary>
    public int Stitches { get; init; }

    /// <summary>Whether anything is in the cloth while it is on the hoop.</summary>
    public bool Stitched => RunsDone > 0 || Stitches > 0;

    /// <summary>Said in a few words.</summary>
    public string Told => Stage switch
    {
        Stage.Planned => $"to be begun · {Say.Minutes(LeftMinutes)}",
        Stage.Washed => DryOn is { } dry ? $"washed, and dry on {Say.Day(dry)} · {Say.Minutes(LeftMinutes)} left"
            : $"washed and dry · {Say.Minutes(LeftMinutes)} left",
        Stage.Marked when Runs == 0 => $"prepared · {Say.Minutes(LeftMinutes)} left",
        Stage.Marked => $"the lines are on · {Say.Minutes(LeftMinutes)} left",
        Stage.OnTheHoop => $"on the hoop · length {RunsDone + 1} of {Runs} · {Say.Minutes(LeftMinutes)} left",
        Stage.Stitched => $"stitched · to be rinsed and finished, {Say.Minutes(LeftMinutes)}",
        Stage.Drying => $"drying until {Say.Day(DryOn.Sure())}",
        Stage.ToFinish => $"dry · to be finished, {Say.Minutes(LeftMinutes)}",
        _ => "finished",
    };
}

/// <summary>How long a piece has lain on the hoop.</summary>
public static class OnTheHoop
{
    /// <summary>
    /// Said of a piece on the hoop since a day; cloth left under the ring overnight keeps its mark (common practice).
    /// </summary>
    public static string Since(DateOnly since, DateOnly today) => (today.DayNumber - since.DayNumber) switch
    {
        <= 0 => "on the hoop since today",
        1 => "on the hoop since yesterday: open the ring between evenings",
        var nights => $"on the hoop since {Say.Day(since)}, {Say.Count(nights, "night")}: open the ring between evenings",
    };
}

/// <summary>
/// How far a piece is and what is left of each of its operations: read from the operations and from what is done, and from nothing else.
/// </summary>
public static class Left
{
    /// <summary>
    /// How far a piece is: <paramref name="stitchedShare"/> is the share of stitches that its done lengths hold, <paramref name="runs"/>
    /// the lengths there are.
    /// </summary>
    public static Progress After(IReadOnlyList<Operation> work, Done? done, int runs, double stitchedShare, DateOnly today)
    {
        var stage = StageOf(work, done, runs, today);
        var worked = stage is Stage.Drying or Stage.ToFinish or Stage.Finished or Stage.Stitched ? runs : stage == Stage.OnTheHoop
            ? Math.Clamp(done.Sure().Runs, 0, runs) : 0;
        var left = Of(work, stage, stitchedShare).Sum(l => l.Minutes);
        var dry = stage switch
        {
            Stage.Washed when DryAfter(work, done.Sure().WashedOn.Sure(), Phase.Washing) is var day && day > today => day,
            Stage.Drying or Stage.ToFinish => DryAfter(work, done.Sure().RinsedOn.Sure(), Phase.Rinsing),
            _ => (DateOnly?)null,
        };
        return new Progress(stage, worked, runs, Minutes.Rounded(left), dry, stitchedShare)
        {
            Stitches = stage == Stage.OnTheHoop ? Math.Max(0, done.Sure().Stitches) : 0,
        };
    }

    /// <summary>Minutes left of each operation at a stage, in their order, with the phase each belongs to.</summary>
    public static IReadOnlyList<(Operation Operation, Phase Phase, double Minutes)> Of(IReadOnlyList<Operation> work, Stage stage,
        double stitchedShare)
    {
        return Work.ByPhase(work).Select(o => (o.Operation, o.Phase, o.Operation.LikelyMinutes * Share(o.Phase))).ToArray();

        double Share(Phase phase) => phase switch
        {
            Phase.Washing => stage == Stage.Planned ? 1 : 0,
            Phase.Marking => stage is Stage.Planned or Stage.Washed ? 1 : 0,
            Phase.Stitching => stage is Stage.Planned or Stage.Washed or Stage.Marked ? 1 : stage == Stage.OnTheHoop ? 1 - stitchedShare
                : 0,
            Phase.Rinsing => stage <= Stage.Stitched ? 1 : 0,
            _ => stage == Stage.Finished ? 0 : 1,
        };
    }

    private static Stage StageOf(IReadOnlyList<Operation> work, Done? done, int runs, DateOnly today) => done switch
    {
        null => Stage.Planned,
        { Finished: true } => Stage.Finished,
        { RinsedOn: { } hung } => DryAfter(work, hung, Phase.Rinsing) > today ? Stage.Drying : Stage.ToFinish,
        { Runs: > 0 } when done.Runs >= runs && runs > 0 => Stage.Stitched,
        { Runs: > 0 } or { Stitches: > 0 } when runs > 0 => Stage.OnTheHoop,
        { Marked: true } => Stage.Marked,
        { WashedOn: not null } when work.Any(o => o.Kind == OpKind.Wash) => Stage.Washed,
        _ => Stage.Planned,
    };

    private static DateOnly DryAfter(IReadOnlyList<Operation> work, DateOnly hung, Phase phase) =>
        hung.AddDays(Work.ByPhase(work).Where(o => o.Phase == phase).Select(o => o.Operation.Wait?.Days ?? 0).DefaultIfEmpty(0).Max());
}
