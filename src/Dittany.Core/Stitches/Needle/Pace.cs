using Dittany.Core.Geometry;

namespace Dittany.Core.Stitches.Needle;

/// <summary>
/// What the needle's moves take a skilled hand, the cloth in a hoop, in seconds. Chosen so that the whole stitches come to what the trade
/// reckons: running 4, backstitch and stem 7, split 8, a link of chain 9, a wrap of whipping 3, a knot of two wraps 18 (all from memory).
/// </summary>
internal static class Pace
{
    /// <summary>Seconds by move (from memory); a wrap takes them for each time round.</summary>
    private static readonly (MoveKind Kind, double Seconds, string Why)[] ByMove =
    [
        (MoveKind.UpAt, 2, "found from behind, drawn through"),
        (MoveKind.UpThrough, 3, "the strands are parted"),
        (MoveKind.DownAt, 2, "set in, drawn through"),
        (MoveKind.HoldAt, 2, "the loop is laid out and held"),
        (MoveKind.Lay, 1, "laid along and held with a thumb"),
        (MoveKind.SlideUnder, 3, "coming up before and going down after are in it"),
        (MoveKind.Wrap, 3, "for each turn"),
    ];

    /// <summary>
    /// A needle that goes back over what it left has to be aimed anew; one that goes on ahead has not. A lone stitch is aimed twice as well
    /// (from memory).
    /// </summary>
    private const double GoingBack = 3;

    /// <summary>Weaving, several threads are taken on the needle at once: each takes so long (from memory).</summary>
    private const double WovenPast = 0.8;

    /// <summary>A knot is steadied while the needle goes down through it (from memory).</summary>
    private const double Steadying = 8;

    /// <summary>
    /// How much longer the needle's moves take with threads that are not cotton of strands (from memory): what frays is drawn slowly, what
    /// is thick or wiry is pulled through hard.
    /// </summary>
    private static readonly (Func<Materials.ThreadKind, bool> Is, double Share, string Why)[] ByThread =
    [
        (k => k.Frays, 1.35, "drawn slowly, or it frays and shreds"),
        (k => k.Wool, 1.1, "stroked smooth, and it catches in its own nap"),
        (k => k.Id == "strong", 1.1, "stiff to pull through"),
    ];

    /// <summary>How many times as long a stitch takes in this thread as in stranded cotton.</summary>
    public static double ShareOf(Materials.ThreadKind thread) =>
        ByThread.FirstOrDefault(t => t.Is(thread)).Share is > 0 and var share ? share : 1;

    public static double Seconds(Stitch stitch) => ShareOf(stitch.Of.Size.Kind) * InCotton(stitch);

    private static double InCotton(Stitch stitch)
    {
        // As it is written: whether a line is worked out and back is a matter of the route.
        var moves = stitch.Of.Written.MovesOf(stitch.Index);
        var (sum, slides, woven, wraps) = (0.0, 0, 0, 0.0);
        foreach (var move in moves)
        {
            var each = Of(move.Kind);
            sum += move.Kind == MoveKind.Wrap ? each * move.Turns : each;
            slides += move.Kind == MoveKind.SlideUnder && move.Turns > 0 ? (int)Math.Max(1, move.Turns) : 0;
            woven += move.Kind == MoveKind.SlideUnder && move.Turns == 0 ? 1 : 0;
            wraps += move.Kind == MoveKind.Wrap ? move.Turns : 0;
        }

        return stitch.Held is not null && slides > 0 ? sum + GoingBack
            : woven > 0 ? sum - (woven * (Of(MoveKind.SlideUnder) - WovenPast))
            : slides > 0 ? slides * Of(MoveKind.SlideUnder)
            : wraps > 0 ? sum + Steadying
            : stitch.Shape == StitchShape.Tie ? sum + Of(MoveKind.HoldAt)
            : GoesOn(stitch.Of.Written, stitch.Index) ? sum
            : sum + GoingBack;
    }

    private static double Of(MoveKind kind)
    {
        foreach (var row in ByMove)
        {
            if (row.Kind == kind)
            {
                return row.Seconds;
            }
        }

        throw new ArgumentOutOfRangeException(nameof(kind), kind, "It has no pace.");
    }

    /// <summary>
    /// Whether the next stitch comes up ahead of where this one goes down; the last of a line does as the one before it did.
    /// </summary>
    private static bool GoesOn(Sewn sewn, int index)
    {
        var next = index + 1 < sewn.Count ? index : index - 1;
        if (next < 0 || !(sewn.MovesOf(next + 1)[0] is { ComesUp: true } then) || !(sewn.MovesOf(next)[0] is { ComesUp: true } up))
        {
            return false;
        }

        var down = sewn.MovesOf(next)[^1].At;
        var travel = then.At - up.At;
        return Pt.Dot(down - up.At, travel) > 0 && Pt.Dot(then.At - down, travel) > 0;
    }
}
