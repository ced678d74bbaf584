using Dittany.Core.Decisions;

namespace Dittany.Core.Jobs;

/// <summary>What may be wished of the order of work.</summary>
public static class WorkOrders
{
    public const string UnderFirst = "under-first";

    public const string GapAfter = "gap-after";

    /// <summary>What lies over what.</summary>
    public static IReadOnlyList<Choice> Layers { get; } =
        [new(UnderFirst, "What lies under first, tucked under what lies over it"),
            new(GapAfter, "What lies over first, and the gap round it filled after")];

    /// <summary>What of a flower comes first.</summary>
    public static IReadOnlyList<Choice> Firsts { get; } =
        [new("greens-first", "Greens first, then petals, then centres"), new("petals-first", "Petals first, then centres, greens last"),
            new("centre-first", "Centres first, then petals, greens last")];

    /// <summary>How repeated motifs are gone through.</summary>
    public static IReadOnlyList<Choice> Rounds { get; } = [new("colour-by-colour", "A colour at a time, over all copies"),
        new("plant-by-plant", "A plant at a time, all its colours")];

    /// <summary>Whether what is made by a pattern is sewn together before it is stitched.</summary>
    public static IReadOnlyList<Choice> Sewings { get; } = [new("sewn", "Sewn together already"), new("not-sewn", "Not sewn together yet")];
}
