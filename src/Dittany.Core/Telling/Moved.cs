using Dittany.Core.Decisions;
using Dittany.Core.Measures;
using Dittany.Core.Planning;

namespace Dittany.Core.Telling;

/// <summary>
/// Something a change moved besides what was changed: what it was and what it is now. <paramref name="DecisionId"/> is null for what is no
/// decision.
/// </summary>
public sealed record MovedOn(string? DecisionId, Station Station, string Subject, string Was, string Now);

/// <summary>What a change moved elsewhere in the plan, so that nothing follows unseen.</summary>
public static class Moved
{
    /// <summary>Under this a width has not changed for the hand that marks it (from memory).</summary>
    private const double StillMm = 0.5;

    /// <summary>Minutes of work from which a change is worth telling (from memory).</summary>
    private const double StillMinutes = 2;

    /// <summary>
    /// Decisions whose choice differs, in the order of the stations, but for those she made herself by this change; then the words' box,
    /// the lengths of thread and the work. Plans are told in <paramref name="units"/> already.
    /// </summary>
    public static IReadOnlyList<MovedOn> Between(Plan before, Plan after, Units units = Units.Centimetres)
    {
        var was = before.Decisions.ToDictionary(d => d.Id, StringComparer.Ordinal);
        var moved = new List<MovedOn>();
        foreach (var now in after.Decisions)
        {
            if (!was.Remove(now.Id, out var then))
            {
                moved.Add(new MovedOn(now.Id, now.Station, now.Subject, "not asked before", now.Choice));
            }
            else if (then.Choice != now.Choice && now.Overruled == then.Overruled && !now.Overruled)
            {
                moved.Add(new MovedOn(now.Id, now.Station, now.Subject, then.Choice, now.Choice));
            }
        }

        moved.AddRange(was.Values.Select(gone => new MovedOn(null, gone.Station, gone.Subject, gone.Choice, "no longer asked")));
        var (a, b) = (before.Elements[0].BoxMm, after.Elements[0].BoxMm);
        if (Math.Abs(a.Width - b.Width) > StillMm)
        {
            moved.Add(new MovedOn(null, Station.Words, "How wide the words are", Tape.Length(Math.Round(a.Width), units),
                Tape.Length(Math.Round(b.Width), units)));
        }

        var (runsWere, runs) = (before.Threads.Sum(t => t.Runs), after.Threads.Sum(t => t.Runs));
        if (runsWere != runs)
        {
            moved.Add(new MovedOn(null, Station.Thread, "Lengths of thread", $"{runsWere}", $"{runs}"));
        }

        if (Math.Abs(before.Time.HandsOnMinutes - after.Time.HandsOnMinutes) > StillMinutes)
        {
            moved.Add(new MovedOn(null, Station.Time, "The work", Say.Minutes(before.Time.HandsOnMinutes),
                Say.Minutes(after.Time.HandsOnMinutes)));
        }

        return moved.OrderBy(m => m.Station).ToArray();
    }
}
