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

    private readonly Squares<(int Piece, int Place, Stitch Stitch)> _stitches = new(20);

    public Underside(IReadOnlyList<Piece> pieces)
    {
        for (var n = 0; n < pieces.Count; n++)
        {
            for (var i = 0; i < pieces[n].Stitches.Count; i++)
            {
                if (Hides(pieces[n].Stitches[i]))
                {
                    _stitches.Add(pieces[n].Stitches[i].FromMm, (n, i, pieces[n].Stitches[i]));
                }
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
        // A way over a stitch is no shorter than it is far: where enough of them lie within the circle, none nearer is outside.
        for (var within = Math.Min(mostMm, FirstLookMm + targets.Max(from.To)); ; within = Math.Min(mostMm, 2 * within))
        {
            var near = Within(n, from, targets, within);
            if (near.Count >= MostLookedThrough || within >= mostMm)
            {
                return Taken(near);
            }
        }
    }

    /// <summary>Round a way it is looked so far at first, mm.</summary>
    private const double FirstLookMm = 10;

    private List<(double Way, (int Piece, int Place, Stitch Stitch) Worked)> Within(int n, Pt from, IReadOnlyList<Pt> targets,
        double mostMm)
    {
        var near = new List<(double Way, (int Piece, int Place, Stitch Stitch) Worked)>();
        foreach (var s in _stitches.Within(from, mostMm))
        {
            if (s.Piece >= n)
            {
                continue;
            }

            var on = double.PositiveInfinity;
            for (var i = 0; i < targets.Count; i++)
            {
                on = Math.Min(on, targets[i].To(s.Stitch.FromMm));
            }

            var way = from.To(s.Stitch.FromMm) + on;
            if (way <= mostMm)
            {
                near.Add((way, s));
            }
        }

        return near;
    }

    private static Stitch[] Taken(List<(double Way, (int Piece, int Place, Stitch Stitch) Worked)> near) => near
            .OrderBy(s => s.Way)
            .ThenBy(s => (s.Worked.Piece, s.Worked.Place))
            .Take(MostLookedThrough)
            .OrderBy(s => (s.Worked.Piece, s.Worked.Place))
            .Select(s => s.Worked.Stitch)
            .ToArray();
}

/// <summary>What is in the cloth by now, and whether a thread that begins at a hole can be skimmed under it.</summary>
internal sealed class Worked
{
    /// <summary>A thread that begins is held by so many stitches, of the two or three it is skimmed under (common practice).</summary>
    private const int HeldBy = 2;

    /// <summary>They are no further off than this: half of what is skimmed (from memory).</summary>
    private const double ReachMm = 15;

    private readonly Squares<Stitch> _stitches = new(ReachMm);

    public void Add(Stitch stitch)
    {
        if (Underside.Hides(stitch))
        {
            _stitches.Add(stitch.FromMm, stitch);
        }
    }

    public bool Holds(Pt hole) => _stitches.Within(hole, ReachMm).Take(HeldBy).Count() == HeldBy;
}
