using NetTopologySuite.Algorithm;

namespace Dittany.Core.Geometry;

/// <summary>
/// Edges of an area in strips across the page, by which it is told whether a point lies inside: a ray to the right crosses an odd number
/// of them. Turns are settled by the geometry library's exact sign wherever a box does not tell, so that it is the library's own answer.
/// </summary>
internal sealed class EdgeStrips
{
    /// <summary>Strips there are at the most.</summary>
    private const int MostStrips = 1024;

    private readonly (Pt From, Pt To)[] _edges;
    private readonly int[] _starts;
    private readonly int[] _inStrips;
    private readonly double _least;
    private readonly double _most;
    private readonly double _perMm;

    public EdgeStrips(IReadOnlyList<IReadOnlyList<Pt>> rings)
    {
        _edges = new (Pt, Pt)[rings.Sum(r => r.Count)];
        var n = 0;
        foreach (var ring in rings)
        {
            for (var i = 0; i < ring.Count; i++)
            {
                _edges[n++] = (ring[i], ring[i + 1 == ring.Count ? 0 : i + 1]);
            }
        }

        (_least, _most) = (double.PositiveInfinity, double.NegativeInfinity);
        foreach (var (from, _) in _edges)
        {
            (_least, _most) = (Math.Min(_least, from.Y), Math.Max(_most, from.Y));
        }

        var strips = Math.Clamp(_edges.Length, 1, MostStrips);
        _perMm = _most > _least ? strips / (_most - _least) : 0;
        _perMm = double.IsFinite(_perMm) ? _perMm : 0;
        _starts = new int[strips + 1];
        foreach (var edge in _edges)
        {
            var (low, high) = Reach(edge);
            for (var s = low; s <= high; s++)
            {
                _starts[s + 1]++;
            }
        }

        for (var s = 0; s < strips; s++)
        {
            _starts[s + 1] += _starts[s];
        }

        _inStrips = new int[_starts[strips]];
        var next = _starts.AsSpan(0, strips).ToArray();
        for (var e = 0; e < _edges.Length; e++)
        {
            var (low, high) = Reach(_edges[e]);
            for (var s = low; s <= high; s++)
            {
                _inStrips[next[s]++] = e;
            }
        }
    }

    /// <summary>Whether the point lies inside or on an edge.</summary>
    public bool Hold(Pt p)
    {
        if (!(p.Y >= _least && p.Y <= _most))
        {
            return false;
        }

        var strip = Strip(p.Y);
        var inside = false;
        for (var i = _starts[strip]; i < _starts[strip + 1]; i++)
        {
            var (a, b) = _edges[_inStrips[i]];
            if (a.X < p.X && b.X < p.X)
            {
                continue;
            }

            if ((b.X == p.X && b.Y == p.Y) || (a.X == p.X && a.Y == p.Y))
            {
                return true;
            }

            if (a.Y == p.Y && b.Y == p.Y)
            {
                if (p.X >= Math.Min(a.X, b.X) && p.X <= Math.Max(a.X, b.X))
                {
                    return true;
                }
            }
            else if ((a.Y > p.Y && b.Y <= p.Y) || (b.Y > p.Y && a.Y <= p.Y))
            {
                if (a.X > p.X && b.X > p.X)
                {
                    inside = !inside;
                    continue;
                }

                var side = CGAlgorithmsDD.OrientationIndex(a.X, a.Y, b.X, b.Y, p.X, p.Y);
                if (side == 0)
                {
                    return true;
                }

                inside ^= (b.Y < a.Y ? -side : side) > 0;
            }
        }

        return inside;
    }

    /// <summary>
    /// How far it is from a place inside to the first edge on a way, in lengths of <paramref name="way"/>; null where no edge lies on it
    /// within its length.
    /// </summary>
    public double? FirstEdge(Pt from, Pt way)
    {
        var first = double.PositiveInfinity;
        var to = from + way;
        var (left, right) = (Math.Min(from.X, to.X), Math.Max(from.X, to.X));
        var (strip, last) = (Strip(from.Y), Strip(to.Y));
        for (var next = strip < last ? 1 : -1; ; strip += next)
        {
            for (var i = _starts[strip]; i < _starts[strip + 1]; i++)
            {
                var (a, b) = _edges[_inStrips[i]];
                if ((a.X < left && b.X < left) || (a.X > right && b.X > right))
                {
                    continue;
                }

                // The ends of the edge must lie on both sides of the way.
                var (one, other) = (Pt.Cross(way, a - from), Pt.Cross(way, b - from));
                if ((one > 0) == (other > 0) && one != 0 && other != 0)
                {
                    continue;
                }

                var edge = b - a;
                var across = Pt.Cross(way, edge);
                var along = across == 0 ? -1 : Pt.Cross(a - from, edge) / across;
                if (along >= 0 && along < first)
                {
                    first = along;
                }
            }

            // What comes in strips further on lies further away.
            if (strip == last || (first <= 1 && (Strip(from.Y + (way.Y * first)) - strip) * next <= 0))
            {
                return first <= 1 ? first : null;
            }
        }
    }

    private int Strip(double y) => Math.Clamp((int)((y - _least) * _perMm), 0, _starts.Length - 2);

    private (int Low, int High) Reach((Pt From, Pt To) edge) =>
        (Strip(Math.Min(edge.From.Y, edge.To.Y)), Strip(Math.Max(edge.From.Y, edge.To.Y)));
}
