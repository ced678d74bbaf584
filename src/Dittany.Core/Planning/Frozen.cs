using Dittany.Core.Measures;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Planning;

/// <summary>
/// What is stitched stays: a change that would move a stitch already in the cloth is refused, and nothing of it is stored.
/// </summary>
public static class Frozen
{
    /// <summary>A hole this near its old place is the same hole (twice the grid on which points stand).</summary>
    private const double SameMm = 2 * Rounding.GridMm;

    /// <summary>
    /// Whether plans must be looked at at all: something is stitched before and after. Taking lengths back is never wrong.
    /// </summary>
    public static bool Matters(Job before, Job after) => before.Done is { Runs: > 0 } && after.Done is { Runs: > 0 };

    /// <summary>
    /// What is wrong with changing <paramref name="before"/> into <paramref name="after"/>, each given with its plan, or null.
    /// </summary>
    public static JobFault? Fault(Job before, Plan was, Job after, Plan now)
    {
        if (!Matters(before, after))
        {
            return null;
        }

        var runs = Math.Min(before.Done!.Runs, after.Done!.Runs);
        var (then, here) = (Stitched(was, runs), Stitched(now, runs));
        return then.Count == here.Count && then.Zip(here).All(pair => Same(pair.First, pair.Second))
            ? null
            : new JobFault("#/done",
                $"{Say.Upper(Say.Count(runs, "length"))} of thread {(runs == 1 ? "is" : "are")} stitched already, and this would move "
                    + $"them.", "Unpick them first and say so (“none is stitched”), or leave this as it is.");
    }

    private static List<(string Colour, Stitch Stitch)> Stitched(Plan plan, int runs)
    {
        var elements = plan.Elements.ToDictionary(e => e.Id, StringComparer.Ordinal);
        return plan.Route
        .Where(r => r.Run <= runs)
        .Select(r => (Part: elements[r.Element].Parts[r.Part], r.Stitch))
        .Select(r => (r.Part.Colour, r.Part.Stitches[r.Stitch]))
        .ToList();
    }

    private static bool Same((string Colour, Stitch Stitch) a, (string Colour, Stitch Stitch) b) =>
        a.Colour == b.Colour && a.Stitch.Shape == b.Stitch.Shape && a.Stitch.FromMm.To(b.Stitch.FromMm) <= SameMm
            && a.Stitch.ToMm.To(b.Stitch.ToMm) <= SameMm;
}
