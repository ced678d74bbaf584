using Dittany.Core.Geometry;
using Dittany.Core.Measures;
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

    /// <summary>Steps that one stitch takes that is looked at (measured).</summary>
    private const int LookSteps = 2;

    private readonly Squares<int> _places = new(SideMm);
    private readonly List<(int Piece, int Place)> _worked = [];
    private readonly List<Pt> _at = [];
    private readonly IReadOnlyList<Piece> _pieces;

    /// <summary>Side of the squares stitches are found by, mm: a needleful of them.</summary>
    private const double SideMm = 8;

    public Underside(IReadOnlyList<Piece> pieces)
    {
        _pieces = pieces;
        for (var n = 0; n < pieces.Count; n++)
        {
            for (var i = 0; i < pieces[n].Stitches.Count; i++)
            {
                var stitch = pieces[n].Stitches[i];
                if (Hides(stitch))
                {
                    _places.Add(stitch.FromMm, _worked.Count);
                    _worked.Add((n, i));
                    _at.Add(stitch.FromMm);
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
                return near.OrderBy(s => s.Way).ThenBy(s => s.Id).Take(MostLookedThrough).Select(s => s.Id).Order()
                    .Select(id => _pieces[_worked[id].Piece].Stitches[_worked[id].Place]).ToArray();
            }
        }
    }

    /// <summary>Round a way it is looked so far at first, mm.</summary>
    private const double FirstLookMm = 3;

    /// <summary>Stitches by how long a way over them is; they are numbered in their order of work.</summary>
    private List<(double Way, int Id)> Within(int n, Pt from, IReadOnlyList<Pt> targets, double mostMm)
    {
        var (near, looked) = (new List<(double Way, int Id)>(), 0L);
        foreach (var id in _places.Within(from, mostMm))
        {
            looked++;
            if (_worked[id].Piece >= n)
            {
                continue;
            }

            var on = double.PositiveInfinity;
            for (var i = 0; i < targets.Count; i++)
            {
                on = Math.Min(on, targets[i].To(_at[id]));
            }

            var way = from.To(_at[id]) + on;
            if (way <= mostMm)
            {
                near.Add((way, id));
            }
        }

        Budget.Current.Spend(LookSteps * (looked + (near.Count * (long)targets.Count)));
        return near;
    }
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
