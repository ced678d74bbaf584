using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Planning;

/// <summary>
/// What is stitched stays: a change that would move a stitch already in the cloth is refused, and nothing of it is stored.
/// </summary>
public static class CompletedWorkGuard
{
    /// <summary>A hole this near its old place is the same hole (twice the grid on which points stand).</summary>
    private const double SameMm = 2 * Rounding.GridMm;

    /// <summary>
    /// Whether plans must be looked at at all: something is stitched before and after. Taking lengths back is never wrong.
    /// </summary>
    public static bool Matters(Job before, Job after) => Stands(before, after) || (before.Done is { } was && after.Done is { } now
        && (was.Runs > 0 || was.Stitches > 0) && (now.Runs > 0 || now.Stitches > 0));

    /// <summary>Whether something of the piece stands since long, in both.</summary>
    private static bool Stands(Job before, Job after) => before.Standing.Count > 0 && after.Standing.Count > 0;

    /// <summary>
    /// What is wrong with changing <paramref name="before"/> into <paramref name="after"/>, each given with its plan, or null.
    /// </summary>
    public static ValidationError? Fault(Job before, Plan was, Job after, Plan now)
    {
        if (!Matters(before, after))
        {
            return null;
        }

        if (Stands(before, after) && was.Places.Where(p => p.Stands)
            .Any(p => now.Places.FirstOrDefault(n => n.Key == p.Key) is not { } there
            || !Alike(All(p.Plan), All(there.Plan))))
        {
            return new ValidationError("#/standing", "What stands on the piece since long is in the cloth, and this would move it.",
                "Leave it as it is, and add what is new.");
        }

        if (before.Done is not { } earlier || after.Done is not { } later)
        {
            return null;
        }

        var done = (earlier.Runs, earlier.Stitches).CompareTo((later.Runs, later.Stitches)) <= 0 ? earlier : later;
        var (then, here) = (Stitched(was, done), Stitched(now, done));
        return Alike(then, here)
            ? null
            : new ValidationError("#/done",
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

    private static bool Alike(List<(string, Stitch)> one, List<(string, Stitch)> other) => one.Count == other.Count
        && one.Zip(other).All(pair => Same(pair.First, pair.Second));

    private static List<(string Colour, Stitch Stitch)> All(Plan plan) => plan.Elements.SelectMany(e => e.Parts)
        .SelectMany(p => p.Stitches.Select(s => (p.Colour, s))).ToList();

    private static bool Same((string Colour, Stitch Stitch) a, (string Colour, Stitch Stitch) b) =>
        a.Colour == b.Colour && a.Stitch.Shape == b.Stitch.Shape && a.Stitch.FromMm.To(b.Stitch.FromMm) <= SameMm
            && a.Stitch.ToMm.To(b.Stitch.ToMm) <= SameMm;
}
