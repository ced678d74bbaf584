using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;

namespace Dittany.Core.Effort;

/// <summary>Counts stitches by what each takes.</summary>
public static class StitchCounts
{
    /// <summary>Counts with seconds each for a skilled hand: wraps and ties have their own pace, all else that of its stitch.</summary>
    public static IReadOnlyList<(int Count, double SecondsEach)> Of(IEnumerable<(StitchKind Kind, IReadOnlyList<Stitch> Stitches)> parts) => parts
        .SelectMany(p => p.Stitches.Select(s => s.Shape switch
        {
            StitchShape.Whip => Book.WhipSeconds,
            StitchShape.Tie => Book.TieSeconds,
            _ => p.Kind.SecondsEach,
        }))
        .GroupBy(s => s)
        .Select(g => (g.Count(), g.Key))
        .OrderBy(g => g.Key)
        .ToArray();
}
