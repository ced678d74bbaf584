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
    private readonly List<(int Piece, Pt From, Pt To)> _worked = [];
    private readonly double _longestMm;

    /// <summary>Side of the squares stitches are found by, mm: a needleful of them.</summary>
    private const double SideMm = 8;

    public Underside(IReadOnlyList<Piece> pieces)
    {
        for (var n = 0; n < pieces.Count; n++)
        {
            foreach (var stitch in pieces[n].Stitches)
            {
                if (Hides(stitch))
                {
                    var (from, to) = (stitch.FromMm, stitch.ToMm);
                    _places.Add(from, _worked.Count);
                    _worked.Add((n, from, to));
                    _longestMm = Math.Max(_longestMm, from.To(to));
                }
            }
        }
    }

    /// <summary>Whether a thread hides under it.</summary>
    public static bool Hides(Stitch stitch) => stitch.Shape is StitchShape.Straight or StitchShape.Loop;

    /// <summary>
    /// The shortest ways behind from a hole to each of <paramref name="targets"/> under what is worked before line <paramref name="n"/>,
    /// mm;
    /// null where there is none up to <paramref name="mostMm"/>. It is looked near the straight ways first: a way that is no longer than
    /// the circle is wide has nothing to gain outside it.
    /// </summary>
    public double?[] Shortest(int n, Pt from, IReadOnlyList<Pt> targets, double hopMm, double mostMm)
    {
        var ways = new double?[targets.Count];
        if (!Hop(n, from, hopMm))
        {
            return ways;
        }

        var (reached, far) = (new List<Pt>(targets.Count), 0.0);
        foreach (var target in targets)
        {
            if (Hop(n, target, hopMm))
            {
                reached.Add(target);
                far = Math.Max(far, from.To(target));
            }
        }

        if (reached.Count == 0)
        {
            return ways;
        }

        for (var within = Math.Min(mostMm, FirstLookMm + far); ; within = Math.Min(mostMm, 2 * within))
        {
            var near = Within(n, from, reached, within + (2 * _longestMm));
            Budget.Current.Spend(WaySteps * (1 + near.Count));
            var all = within >= mostMm || near.Count >= MostLookedThrough;
            var found = Carry.Shortest(from, reached, near, hopMm, all ? mostMm : within);
            if (all || Array.TrueForAll(found, w => w is not null))
            {
                for (var i = 0; i < ways.Length; i++)
                {
                    ways[i] = reached.IndexOf(targets[i]) is >= 0 and var at ? found[at] : null;
                }

                return ways;
            }
        }
    }

    /// <summary>Steps that one stitch takes that a way is looked for under (measured).</summary>
    private const long WaySteps = 40;

    /// <summary>Round a way it is looked so far at first, mm.</summary>
    private const double FirstLookMm = 3;

    /// <summary>Whether anything worked before a line lies a hop from a hole: without it no thread is carried from or to there.</summary>
    private bool Hop(int n, Pt hole, double hopMm)
    {
        foreach (var id in _places.Within(hole, hopMm + _longestMm))
        {
            var (piece, from, to) = _worked[id];
            if (piece < n && (hole.To(from) <= hopMm || hole.To(to) <= hopMm))
            {
                return true;
            }
        }

        return false;
    }

    /// <summary>
    /// Stitches worked before a line that may lie on a way of at most <paramref name="mostMm"/>: the nearest to the straight ways, in their
    /// order of work.
    /// </summary>
    private IReadOnlyList<(Pt From, Pt To)> Within(int n, Pt from, IReadOnlyList<Pt> targets, double mostMm)
    {
        var (near, looked) = (new List<(double Way, int Id)>(), 0L);
        foreach (var id in _places.Within(from, mostMm))
        {
            looked++;
            var (piece, at, _) = _worked[id];
            if (piece >= n)
            {
                continue;
            }

            var on = double.PositiveInfinity;
            for (var i = 0; i < targets.Count; i++)
            {
                on = Math.Min(on, targets[i].To(at));
            }

            var way = from.To(at) + on;
            if (way <= mostMm)
            {
                near.Add((way, id));
            }
        }

        Budget.Current.Spend(LookSteps * (looked + (near.Count * (long)targets.Count)));
        if (near.Count > MostLookedThrough)
        {
            near.Sort();
            near.RemoveRange(MostLookedThrough, near.Count - MostLookedThrough);
        }

        near.Sort(static (a, b) => a.Id.CompareTo(b.Id));
        return near.ConvertAll(s => (_worked[s.Id].From, _worked[s.Id].To));
    }
}

/// <summary>What is in the cloth by now, and whether a thread that begins at a hole can be skimmed under it.</summary>
internal sealed class Worked
{
    /// <summary>A thread that begins is held by so many stitches, of the two or three it is skimmed under (common practice).</summary>
    private const int HeldBy = 2;

    /// <summary>They are no further off than this: half of what is skimmed (from memory).</summary>
    private const double ReachMm = 15;

    private readonly Squares<Pt> _stitches = new(ReachMm);

    public void Add(Stitch stitch)
    {
        if (Underside.Hides(stitch))
        {
            _stitches.Add(stitch.FromMm, stitch.FromMm);
        }
    }

    public bool Holds(Pt hole) => _stitches.Within(hole, ReachMm).Take(HeldBy).Count() == HeldBy;
}
