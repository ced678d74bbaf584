namespace Dittany.Core.Operations;

/// <summary>What an operation belongs to in the way of a piece.</summary>
public enum Phase
{
    Washing,
    Marking,
    Stitching,
    Rinsing,
    Finishing,
}

/// <summary>All operations of a piece, in the order they are done.</summary>
public static class Work
{
    /// <summary>Operations joined into one chain: each comes after the one before it.</summary>
    public static IReadOnlyList<Operation> Chain(IEnumerable<Operation> operations)
    {
        var chained = new List<Operation>();
        foreach (var operation in operations)
        {
            chained.Add(operation with { After = chained.Count == 0 ? [] : [chained[^1].Id] });
        }

        return chained;
    }

    /// <summary>
    /// Each operation with the phase it belongs to: what is washed beforehand, what comes before the hoop, hoop and needle, what is taken
    /// out until it has dried, and what finishes it. Where nothing dries after the needle, the iron begins the finishing.
    /// </summary>
    public static IReadOnlyList<(Operation Operation, Phase Phase)> ByPhase(IReadOnlyList<Operation> work)
    {
        var all = work.ToList();
        var sewn = all.Exists(o => o.Kind == OpKind.Stitch);

        // Where nothing is stitched, what makes it stands for the needle.
        bool Makes(Operation o) => sewn ? o.Kind == OpKind.Stitch
            : o.Kind is OpKind.Paint or OpKind.Felt || (o.Kind == OpKind.Sew && o.At == Decisions.Station.Stitches);
        var hoop = all.FindIndex(o => sewn ? o.Kind is OpKind.Hoop or OpKind.Stitch : Makes(o));
        var needle = all.FindLastIndex(Makes);
        var dry = all.FindIndex(Math.Max(0, needle + 1), o => o.Wait is { Days: > 0 });
        var finishing = dry >= 0 ? dry + 1 : all.FindIndex(Math.Max(0, needle + 1), o => o.Kind is OpKind.Press or OpKind.Sew);
        return all.Select((o, i) => (o, o.Kind == OpKind.Wash ? Phase.Washing
            : i < hoop ? Phase.Marking
            : i <= needle ? Phase.Stitching
            : finishing >= 0 && i >= finishing ? Phase.Finishing
            : Phase.Rinsing)).ToArray();
    }

    /// <summary>Likely minutes of all operations.</summary>
    public static double LikelyMinutes(IEnumerable<Operation> work) => Minutes.Rounded(work.Sum(o => o.LikelyMinutes));

    /// <summary>Minutes of all waits, of whatever kind.</summary>
    public static double WaitMinutes(IEnumerable<Operation> work) => work.Sum(o => o.Wait?.Minutes ?? 0);
}
