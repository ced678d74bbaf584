namespace Dittany.Core.Time;

/// <summary>
/// What is done of a piece. <paramref name="Runs"/> counts lengths of thread worked, in the order of the route; <paramref name="RinsedOn"/> is the local day it was hung up
/// to dry. Later steps imply the earlier ones.
/// </summary>
public sealed record Done(bool Marked = false, int Runs = 0, DateOnly? RinsedOn = null, bool Finished = false);

/// <summary>How far a piece is.</summary>
public enum Stage
{
    Planned,
    Marked,
    OnTheHoop,
    Stitched,
    Drying,
    ToFinish,
    Finished,
}

/// <summary>How far a piece is, in the numbers of its plan. <paramref name="DryOn"/> is set once it hangs.</summary>
public sealed record Progress(Stage Stage, int RunsDone, int Runs, double LeftMinutes, DateOnly? DryOn)
{
    /// <summary>Said in a few words.</summary>
    public string Told => Stage switch
    {
        Stage.Planned => $"to be begun · {Measures.Say.Minutes(LeftMinutes)}",
        Stage.Marked => $"the lines are on · {Measures.Say.Minutes(LeftMinutes)} left",
        Stage.OnTheHoop => $"on the hoop · length {RunsDone + 1} of {Runs} · {Measures.Say.Minutes(LeftMinutes)} left",
        Stage.Stitched => $"stitched · to be rinsed and finished, {Measures.Say.Minutes(LeftMinutes)}",
        Stage.Drying => $"drying until {Measures.Say.Day(DryOn!.Value)}",
        Stage.ToFinish => $"dry · to be finished, {Measures.Say.Minutes(LeftMinutes)}",
        _ => "finished",
    };
}

/// <summary>Minutes of a piece by what has to come before what: marking, stitching, rinsing, then after the drying wait what finishes it.</summary>
public sealed record Phases(
    IReadOnlyList<Effort.StepMinutes> Mark, IReadOnlyList<Effort.StepMinutes> Stitch, IReadOnlyList<Effort.StepMinutes> Rinse, double WaitMinutes, IReadOnlyList<Effort.StepMinutes> Finish)
{
    public IEnumerable<Effort.StepMinutes> All => [.. Mark, .. Stitch, .. Rinse, .. Finish];

    /// <summary>How far a piece is: <paramref name="stitchedShare"/> is the share of stitches that its done lengths hold, <paramref name="runs"/> the lengths there are.</summary>
    public Progress After(Done? done, int runs, double stitchedShare, DateOnly today)
    {
        var finish = Sum(Finish);
        if (done is null)
        {
            return new Progress(Stage.Planned, 0, runs, Sum(All), null);
        }

        if (done.Finished)
        {
            return new Progress(Stage.Finished, runs, runs, 0, null);
        }

        if (done.RinsedOn is { } hung)
        {
            var dry = hung.AddDays(Diary.DryDays(WaitMinutes));
            return new Progress(dry > today ? Stage.Drying : Stage.ToFinish, runs, runs, finish, dry);
        }

        var worked = Math.Clamp(done.Runs, 0, runs);
        var left = (Sum(Stitch) * (1 - stitchedShare)) + Sum(Rinse) + finish;
        return worked == runs && runs > 0 ? new Progress(Stage.Stitched, runs, runs, Sum(Rinse) + finish, null)
            : worked > 0 ? new Progress(Stage.OnTheHoop, worked, runs, left, null)
            : done.Marked ? new Progress(Stage.Marked, 0, runs, left, null)
            : new Progress(Stage.Planned, 0, runs, Sum(All), null);
    }

    private static double Sum(IEnumerable<Effort.StepMinutes> steps) => Math.Round(steps.Sum(s => Math.Round(s.Minutes, 1, MidpointRounding.AwayFromZero)), 1);
}
