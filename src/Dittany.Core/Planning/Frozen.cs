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
    public static bool Matters(Job before, Job after) => before.Done is { } was && after.Done is { } now
        && (was.Runs > 0 || was.Stitches > 0) && (now.Runs > 0 || now.Stitches > 0);

    /// <summary>
    /// What is wrong with changing <paramref name="before"/> into <paramref name="after"/>, each given with its plan, or null.
    /// </summary>
    public static JobFault? Fault(Job before, Plan was, Job after, Plan now)
    {
        if (!Matters(before, after))
        {
            return null;
        }

        var (earlier, later) = (before.Done!, after.Done!);
        var done = (earlier.Runs, earlier.Stitches).CompareTo((later.Runs, later.Stitches)) <= 0 ? earlier : later;
        var (then, here) = (Stitched(was, done), Stitched(now, done));
        return then.Count == here.Count && then.Zip(here).All(pair => Same(pair.First, pair.Second))
            ? null
            : new JobFault("#/done",
                done.Runs == 0 ? "What is begun of the first length is in the cloth already, and this would move it."
                    : $"{Say.Upper(Say.Count(done.Runs, "length"))} of thread {(done.Runs == 1 ? "is" : "are")} stitched already, and this would move them.", "Unpick them first and say so (“none is stitched”), or leave this as it is.");
    }

    /// <summary>So many rows of a route are worked: the lengths that are done, and what is done of the one after them.</summary>
    internal static int RowsDone(IReadOnlyList<Route.RouteRow> route, Time.Done? done) => done is null ? 0
        : route.Count(r => r.Run <= done.Runs) + Math.Min(done.Stitches, route.Count(r => r.Run == done.Runs + 1));

    private static List<(string Colour, Stitch Stitch)> Stitched(Plan plan, Time.Done done)
    {
        var elements = plan.Elements.ToDictionary(e => e.Id, StringComparer.Ordinal);
        return plan.Route
        .Take(RowsDone(plan.Route, done))
        .Select(r => (Part: elements[r.Element].Parts[r.Part], r.Stitch))
        .Select(r => (r.Part.Colour, r.Part.Stitches[r.Stitch]))
        .ToList();
    }

    private static bool Same((string Colour, Stitch Stitch) a, (string Colour, Stitch Stitch) b) =>
        a.Colour == b.Colour && a.Stitch.Shape == b.Stitch.Shape && a.Stitch.FromMm.To(b.Stitch.FromMm) <= SameMm
            && a.Stitch.ToMm.To(b.Stitch.ToMm) <= SameMm;
}
