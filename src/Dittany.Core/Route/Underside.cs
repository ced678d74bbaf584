using Dittany.Core.Geometry;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Route;

/// <summary>
/// Stitches of all lines, found by where they lie: those worked before a line can hide a thread on its way to it, of whatever colour they
/// are. Whipping and knots hide nothing more.
/// </summary>
internal sealed class Underside
{
    /// <summary>More stitches than this are not looked through for one way: the nearest to it are.</summary>
    private const int MostLookedThrough = 240;

    private const double SquareMm = 20;

    private readonly Dictionary<(long X, long Y), List<(int Piece, Stitch Stitch)>> _squares = [];

    public Underside(IReadOnlyList<Piece> pieces)
    {
        for (var n = 0; n < pieces.Count; n++)
        {
            foreach (var stitch in pieces[n].Stitches.Where(Hides))
            {
                var square = Square(stitch.FromMm);
                if (!_squares.TryGetValue(square, out var within))
                {
                    _squares[square] = within = [];
                }

                within.Add((n, stitch));
            }
        }
    }

    /// <summary>Whether a thread hides under it.</summary>
    public static bool Hides(Stitch stitch) => stitch.Shape is StitchShape.Straight or StitchShape.Loop;

    /// <summary>
    /// Stitches worked before line <paramref name="n"/> that may lie on a way of at most <paramref name="mostMm"/> from a hole to one of
    /// <paramref name="targets"/>: the nearest to the straight ways, in their order of work.
    /// </summary>
    public IReadOnlyList<Stitch> Near(int n, Pt from, IReadOnlyList<Pt> targets, double mostMm)
    {
        var (low, high) = (Square(from - new Pt(mostMm, mostMm)), Square(from + new Pt(mostMm, mostMm)));
        var near = new List<(double Way, int Piece, int At, Stitch Stitch)>();
        for (var x = low.X; x <= high.X; x++)
        {
            for (var y = low.Y; y <= high.Y; y++)
            {
                foreach (var (piece, stitch) in _squares.GetValueOrDefault((x, y)) ?? [])
                {
                    var way = piece < n ? from.To(stitch.FromMm) + targets.Min(t => t.To(stitch.FromMm)) : double.PositiveInfinity;
                    if (way <= mostMm)
                    {
                        near.Add((way, piece, near.Count, stitch));
                    }
                }
            }
        }

        return (near.Count <= MostLookedThrough ? near : near.OrderBy(s => s.Way).ThenBy(s => s.At).Take(MostLookedThrough)).OrderBy(s =>
            s.Piece).ThenBy(s => s.At).Select(s => s.Stitch).ToArray();
    }

    private static (long X, long Y) Square(Pt p) => ((long)Math.Floor(p.X / SquareMm), (long)Math.Floor(p.Y / SquareMm));
}

/// <summary>What is in the cloth by now, and whether a thread that begins at a hole can be skimmed under it.</summary>
internal sealed class Worked
{
    /// <summary>
    /// A thread that begins is held by this many stitches no further off than this (common practice: two or three stitches, 3 cm; the reach
    /// from memory).
    /// </summary>
    private const int HeldBy = 2;

    private const double ReachMm = 15;

    private readonly Dictionary<(long X, long Y), List<Pt>> _squares = [];

    public void Add(Stitch stitch)
    {
        if (!Underside.Hides(stitch))
        {
            return;
        }

        var square = Square(stitch.FromMm);
        if (!_squares.TryGetValue(square, out var within))
        {
            _squares[square] = within = [];
        }

        within.Add(stitch.FromMm);
    }

    public bool Holds(Pt hole)
    {
        var (x, y) = Square(hole);
        var held = 0;
        for (var dx = -1; dx <= 1; dx++)
        {
            for (var dy = -1; dy <= 1; dy++)
            {
                held += (_squares.GetValueOrDefault((x + dx, y + dy)) ?? []).Count(p => p.To(hole) <= ReachMm);
                if (held >= HeldBy)
                {
                    return true;
                }
            }
        }

        return false;
    }

    private static (long X, long Y) Square(Pt p) => ((long)Math.Floor(p.X / ReachMm), (long)Math.Floor(p.Y / ReachMm));
}
