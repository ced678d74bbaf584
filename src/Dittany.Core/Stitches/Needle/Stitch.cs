using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using Dittany.Core.Stitches.AtPoints;

namespace Dittany.Core.Stitches.Needle;

/// <summary>What a stitch looks like from the front.</summary>
public enum StitchShape
{
    Straight,
    Loop,
    Knot,
    Bead,
    Whip,
    Tie,
}

/// <summary>One stitch of a needle's way, read from its moves alone: it holds nothing of its own.</summary>
public readonly record struct Stitch
{
    internal Stitch(Sewn of, int index)
    {
        (Of, Index) = (of, index);
    }

    /// <summary>
    /// Links lie this much wider, edge to edge of the thread's middle, than the thread: from the line's width of 2.5 threads.
    /// </summary>
    private const double LoopWidths = 1.5;

    /// <summary>The way it belongs to, and its place in it.</summary>
    internal Sewn Of { get; }

    internal int Index { get; }

    /// <summary>What the needle does, move by move.</summary>
    public ReadOnlySpan<Move> Moves() => Of.MovesOf(Index);

    /// <summary>Where the thread comes from on the front: the hole the needle comes up by, or where it slid out last.</summary>
    public Pt FromMm => Moves()[0] is { ComesUp: true } up ? up.At : Woven ? Moves()[0].At : Of[Index - 1].DownMm;

    /// <summary>Whether it goes on under a thread that lies there before it is seen again, as weaving does.</summary>
    public bool Woven => Moves() is [{ Kind: MoveKind.SlideUnder, Turns: 0 }, _, ..];

    /// <summary>Whether a way may begin with it: it comes up by its own hole, and holds nothing that was laid before it.</summary>
    public bool Begins => Moves()[0].ComesUp && Shape != StitchShape.Tie;

    /// <summary>Where it lies to: the hole the needle goes down by, or the tip of a loop.</summary>
    public Pt ToMm => Held ?? Moves()[^1].At;

    /// <summary>Where the needle is in the end: of a loop beside its base, not at its tip.</summary>
    public Pt DownMm => Moves()[^1].At;

    /// <summary>From one end of what is seen to the other.</summary>
    public double LengthMm => FromMm.To(ToMm);

    /// <summary>The side of travel its thread lies on: 1 right, −1 left, 0 where it makes no difference.</summary>
    public int Side => Moves()[^1].Side;

    /// <summary>How often the thread goes through the cloth. What a knot takes for that is in its own thread.</summary>
    public int Passes
    {
        get
        {
            var passes = 0;
            foreach (var move in Moves())
            {
                if (move.Kind == MoveKind.Wrap)
                {
                    return 0;
                }

                passes += move.Pierces ? 1 : 0;
            }

            return passes;
        }
    }

    public StitchShape Shape
    {
        get
        {
            foreach (var move in Moves())
            {
                switch (move.Kind)
                {
                    case MoveKind.Wrap:
                        return StitchShape.Knot;
                    case MoveKind.SlideUnder:
                        return Held is null ? StitchShape.Whip : StitchShape.Loop;
                    case MoveKind.HoldAt:
                        return StitchShape.Loop;
                    default:
                        break;
                }
            }

            // Up in a loop and down outside it: that holds the loop, and nothing goes on from it.
            return Index > 0 && Of[Index - 1].Held is { } tip && tip == Moves()[0].At ? StitchShape.Tie : StitchShape.Straight;
        }
    }

    /// <summary>
    /// Thread on the front of the cloth, mm: what lies there, round a held loop by its width, round thread it slides under like the thread
    /// of a screw; a knot's by its table.
    /// </summary>
    public double ThreadMm
    {
        get
        {
            var (at, thread, curved, turns) = (Woven ? Of[Index - 1].DownMm : FromMm, 0.0, false, 0);
            foreach (var move in Moves())
            {
                switch (move.Kind)
                {
                    case MoveKind.Wrap:
                        turns += (int)move.Turns;
                        break;
                    case MoveKind.HoldAt:
                        thread += at.To(move.At) + (LoopWidths * Of.BundleMm);
                        curved = true;
                        break;
                    case MoveKind.SlideUnder:
                        var (pitch, girth) = (at.To(move.At), Math.PI * Of.BundleMm * move.Turns);
                        thread += Math.Sqrt((pitch * pitch) + (girth * girth));
                        curved = true;
                        break;
                    case MoveKind.DownAt or MoveKind.Lay:
                        thread += at.To(move.At);
                        break;
                    default:
                        break;
                }

                at = move.At;
            }

            return turns > 0 ? Knots.ThreadMm(Of.Size, turns) : curved ? Rounding.ToGrid(thread) : thread;
        }
    }

    /// <summary>Where thread lies on the front when that is not straight: round the loop. Null for the straight way.</summary>
    public IReadOnlyList<Pt>? PathMm => Held is not { } tip ? Laid ?? Swept
        : FromMm.To(DownMm) > OpenFrom * Of.BundleMm ? [FromMm, tip, DownMm] : Link(FromMm, tip, Of.BundleMm);

    /// <summary>Thread that slid under and is laid further on bends where it came out.</summary>
    private IReadOnlyList<Pt>? Laid => Moves() is [.., { Kind: MoveKind.SlideUnder } under, { Kind: MoveKind.Lay } on]
        ? [FromMm, under.At, on.At] : null;

    /// <summary>Whether it is thread laid along the cloth, from one place where it is tied down to the next.</summary>
    private bool OfLaid => Moves() is [{ Kind: MoveKind.Lay or MoveKind.DownAt }] or [{ ComesUp: true }, { Kind: MoveKind.Lay }];

    /// <summary>
    /// Laid thread goes through its ties in one sweep, as a spring does, but for corners: points of a smooth line through them and those
    /// beside. Null where it lies straight.
    /// </summary>
    private IReadOnlyList<Pt>? Swept
    {
        get
        {
            if (!OfLaid)
            {
                return null;
            }

            var (from, to) = (FromMm, ToMm);
            Pt? before = !Moves()[0].ComesUp && Index > 0 && Of[Index - 1].OfLaid ? Of[Index - 1].FromMm : null;
            Pt? after = Index + 1 < Of.Count && Of[Index + 1] is { OfLaid: true } next && !next.Moves()[0].ComesUp ? next.ToMm : null;
            before = before is { } b && Pt.TurnRadians(from - b, to - from) <= Tolerance.CornerRadians ? b : null;
            after = after is { } a && Pt.TurnRadians(to - from, a - to) <= Tolerance.CornerRadians ? a : null;
            if ((before is null && after is null) || from.To(to) < Of.BundleMm)
            {
                return null;
            }

            var (p, n) = (before ?? from + (from - to), after ?? to + (to - from));
            return [from, .. Sweeps.Select(t => (from + ((((to - p) * t) + (((p * 2) - (from * 5) + (to * 4) - n) * (t * t))
                + (((from * 3) - p - (to * 3) + n) * (t * t * t))) * 0.5)).OnGrid()), to];
        }
    }

    /// <summary>Where points of a sweep stand between two ties, as shares of the way.</summary>
    private static readonly double[] Sweeps = [0.25, 0.5, 0.75];

    /// <summary>A loop whose ends stand further apart than so many threads is open: a V, not a link.</summary>
    private const double OpenFrom = 1.5;

    /// <summary>Seconds it takes a skilled hand, the cloth in a hoop.</summary>
    public double Seconds => Pace.Seconds(this);

    /// <summary>The tip of the loop it lays, if it lays one.</summary>
    internal Pt? Held
    {
        get
        {
            foreach (var move in Moves())
            {
                if (move.Kind == MoveKind.HoldAt)
                {
                    return move.At;
                }
            }

            // A loop that is not held but slipped under another: out to it, and down where it came up.
            return Moves() is [{ Kind: MoveKind.UpAt } up, { Kind: MoveKind.SlideUnder } under, { Kind: MoveKind.DownAt } down]
                && up.At == down.At
                ? under.At : null;
        }
    }

    /// <summary>The same stitch worked the other way: only straight ones look the same.</summary>
    public Stitch Turned() => Of.OtherWay[Index];

    /// <summary>The thread of one link: up at its base, round the tip, down beside the base.</summary>
    private static Pt[] Link(Pt from, Pt tip, double bundleMm)
    {
        var way = tip - from;
        var across = new Pt(-way.Y, way.X) * (LoopWidths / 2 * bundleMm / Math.Max(1e-9, way.Length));
        (double Along, double Aside)[] shape = [(0, 0), (0.22, 0.62), (0.5, 1), (0.8, 0.85), (1, 0), (0.8, -0.85), (0.5, -1),
            (0.22, -0.62), (0, 0)];
        return shape.Select(p => (from + (way * p.Along) + (across * p.Aside)).OnGrid()).ToArray();
    }
}
