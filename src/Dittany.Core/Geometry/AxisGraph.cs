using NetTopologySuite.Geometries;

namespace Dittany.Core.Geometry;

/// <summary>The medial axis of one shape as nodes and the ways between them, while it is being cleaned.</summary>
internal sealed class AxisGraph
{
    /// <summary>Nodes nearer than this are one, in the units of the shape: both sides of a cell wall come to the same end.</summary>
    private const double SameNode = 1e-6;

    private readonly List<Pt> _at = [];
    private readonly List<double> _half = [];
    private readonly List<HashSet<int>> _next = [];
    private readonly Dictionary<(long, long), int> _known = [];

    public void Add(Coordinate from, double fromHalf, Coordinate to, double toHalf)
    {
        var (a, b) = (Node(from, fromHalf), Node(to, toHalf));
        if (a != b)
        {
            _next[a].Add(b);
            _next[b].Add(a);
        }
    }

    /// <summary>
    /// Takes side lines away that lead into corners, then draws junctions together that belong to one crossing, and takes away what that
    /// left.
    /// </summary>
    public void Clean(double spurHalfWidths, double oneJunction, double usualHalf)
    {
        Prune(spurHalfWidths, usualHalf);
        Gather(oneJunction);
        Prune(spurHalfWidths, usualHalf);
    }

    /// <summary>
    /// Strokes: ways between ends and junctions, joined where one goes straight on as another; what is closed without a junction is a
    /// round.
    /// </summary>
    public IEnumerable<(IReadOnlyList<Pt> Points, IReadOnlyList<double> HalfWidths, bool Closed)> Strokes(double straightOn)
    {
        var chains = Chains();
        var ends = chains.SelectMany((c, i) => c.Closed ? []
            : new[] { (Node: c.Nodes[0], Chain: i, Start: true), (Node: c.Nodes[^1], Chain: i, Start: false) }).GroupBy(e => e.Node);
        var partner = new Dictionary<(int Chain, bool Start), (int Chain, bool Start)>();
        foreach (var junction in ends.Where(g => g.Count() > 1).OrderBy(g => g.Key))
        {
            var here = junction.ToList();
            var pairs = here.SelectMany((a, i) => here.Skip(i + 1).Select(b =>
                (A: a, B: b, Turn: Pt.TurnRadians(Leaving(a.Chain, a.Start) * -1, Leaving(b.Chain, b.Start))))).Where(p =>
                p.Turn < straightOn).OrderBy(p => p.Turn);
            foreach (var (a, b, _) in pairs)
            {
                if (!partner.ContainsKey((a.Chain, a.Start)) && !partner.ContainsKey((b.Chain, b.Start))
                    && !(a.Chain == b.Chain && a.Start == b.Start))
                {
                    partner[(a.Chain, a.Start)] = (b.Chain, b.Start);
                    partner[(b.Chain, b.Start)] = (a.Chain, a.Start);
                }
            }
        }

        var used = new HashSet<int>();

        // Open strokes first, from ends that nothing goes on from; then what only goes round.
        foreach (var open in new[] { true, false })
        {
            for (var c = 0; c < chains.Count; c++)
            {
                foreach (var start in new[] { true, false })
                {
                    if (!used.Contains(c) && (chains[c].Closed ? !open : !open || !partner.ContainsKey((c, start))))
                    {
                        yield return Walk(c, start);
                    }
                }
            }
        }

        (IReadOnlyList<Pt>, IReadOnlyList<double>, bool) Walk(int chain, bool fromStart)
        {
            var nodes = new List<int>();
            var closed = chains[chain].Closed;
            while (used.Add(chain))
            {
                var way = fromStart ? chains[chain].Nodes : chains[chain].Nodes.AsEnumerable().Reverse().ToList();
                nodes.AddRange(nodes.Count == 0 ? way : way.Skip(1));
                if (!partner.TryGetValue((chain, !fromStart), out var next))
                {
                    break;
                }

                (chain, fromStart) = (next.Chain, next.Start);
            }

            if (!closed && nodes.Count > 3 && nodes[0] == nodes[^1])
            {
                nodes.RemoveAt(nodes.Count - 1);
                closed = true;
            }

            return (nodes.Select(n => _at[n]).ToArray(), nodes.Select(n => _half[n]).ToArray(), closed);
        }

        Pt Leaving(int chain, bool start)
        {
            // Seen from a half width away: the last steps into a junction bend.
            var nodes = start ? chains[chain].Nodes : chains[chain].Nodes.AsEnumerable().Reverse().ToList();
            var from = nodes[0];
            var along = 0.0;
            for (var i = 1; i < nodes.Count; i++)
            {
                along += _at[nodes[i - 1]].To(_at[nodes[i]]);
                if (along > 1.5 * _half[from] || i == nodes.Count - 1)
                {
                    return _at[nodes[i]] - _at[from];
                }
            }

            return new Pt(1, 0);
        }
    }

    private int Node(Coordinate c, double half)
    {
        var key = ((long)Math.Round(c.X / SameNode), (long)Math.Round(c.Y / SameNode));
        if (!_known.TryGetValue(key, out var node))
        {
            _known[key] = node = _at.Count;
            _at.Add(new Pt(c.X, c.Y));
            _half.Add(half);
            _next.Add([]);
        }

        return node;
    }

    private List<(List<int> Nodes, bool Closed)> Chains()
    {
        var chains = new List<(List<int>, bool)>();
        var seen = new HashSet<(int, int)>();
        for (var n = 0; n < _at.Count; n++)
        {
            if (_next[n].Count is 0 or 2)
            {
                continue;
            }

            foreach (var next in _next[n].Order())
            {
                if (seen.Contains((n, next)))
                {
                    continue;
                }

                chains.Add((Follow(n, next, seen), false));
            }
        }

        for (var n = 0; n < _at.Count; n++)
        {
            if (_next[n].Count == 2 && _next[n].All(m => !seen.Contains((n, m))))
            {
                var round = Follow(n, _next[n].Min(), seen);
                round.RemoveAt(round.Count - 1);
                chains.Add((round, true));
            }
        }

        return chains;
    }

    private List<int> Follow(int from, int next, HashSet<(int, int)> seen)
    {
        var nodes = new List<int> { from };
        var (before, at) = (from, next);
        while (true)
        {
            seen.Add((before, at));
            seen.Add((at, before));
            nodes.Add(at);
            if (_next[at].Count != 2 || at == from)
            {
                return nodes;
            }

            var on = _next[at].First(m => m != before);
            (before, at) = (at, on);
        }
    }

    /// <summary>A side line this much thinner than its root is a serif's, and may be this much longer than another.</summary>
    private const double SerifThinner = 0.75;

    private const double SerifLonger = 1.45;

    /// <summary>
    /// A line that runs out into a corner ends thinner than this share of its root; one that ends as thick as a stroke is a stroke, and
    /// only a very short one is none.
    /// </summary>
    private const double Tapered = 0.5;

    private const double BluntHalfWidths = 0.5;

    /// <summary>
    /// All side lines of a junction at once, for the two that lead into the corners of an end belong together; what is left when they are
    /// gone may be no side line any more. Where every line of a junction is short it is a blot, and its two longest stay. A serif stands at
    /// an end, one to each side: where a stroke goes on beyond, as above the bar of a t, side lines are bars.
    /// </summary>
    private void Prune(double halfWidths, double usualHalf)
    {
        for (var more = true; more;)
        {
            more = false;
            var sides = Chains().Where(c => !c.Closed && c.Nodes[0] != c.Nodes[^1])
                .Select(c => _next[c.Nodes[0]].Count == 1 ? c.Nodes : c.Nodes.AsEnumerable().Reverse().ToList())
                .Where(n => _next[n[0]].Count == 1 && _next[n[^1]].Count > 2)
                .GroupBy(n => n[^1]);
            foreach (var junction in sides.ToArray())
            {
                var root = Math.Min(_half[junction.Key], 2 * usualHalf);
                bool Short(List<int> n) => Length(n) < (_half[n[0]] < Tapered * root ? halfWidths : BluntHalfWidths) * root;
                bool Serif(List<int> n) => Length(n) < halfWidths * SerifLonger * root && n.Average(k => _half[k]) < SerifThinner * root;
                var ways = _next[junction.Key].Count;
                var atEnd = junction.Where(n => Short(n) || Serif(n)).ToArray();
                var gone = ways == 3 && atEnd.Length == 2 ? atEnd : junction.Where(Short).ToArray();
                if (ways - gone.Length < 1)
                {
                    gone = gone.OrderBy(Length).SkipLast(2).ToArray();
                }

                foreach (var line in gone)
                {
                    more = true;
                    for (var i = 1; i < line.Count; i++)
                    {
                        _next[line[i - 1]].Remove(line[i]);
                        _next[line[i]].Remove(line[i - 1]);
                    }
                }
            }
        }
    }

    /// <summary>Two junctions with a short way between them become one, in the middle.</summary>
    private void Gather(double halfWidths)
    {
        while (true)
        {
            var bridge = Chains().Where(c => !c.Closed && c.Nodes[0] != c.Nodes[^1] && _next[c.Nodes[0]].Count > 2
                && _next[c.Nodes[^1]].Count > 2)
                .Where(c => Length(c.Nodes) < halfWidths * Math.Max(_half[c.Nodes[0]], _half[c.Nodes[^1]])).OrderBy(c =>
                    Length(c.Nodes)).Select(c => c.Nodes).FirstOrDefault();
            if (bridge is null)
            {
                return;
            }

            for (var i = 1; i < bridge.Count; i++)
            {
                _next[bridge[i - 1]].Remove(bridge[i]);
                _next[bridge[i]].Remove(bridge[i - 1]);
            }

            var (into, gone) = (bridge[0], bridge[^1]);
            _at[into] = Pt.Lerp(_at[into], _at[gone], 0.5);
            foreach (var n in _next[gone])
            {
                _next[n].Remove(gone);
                if (n != into)
                {
                    _next[n].Add(into);
                    _next[into].Add(n);
                }
            }

            _next[gone].Clear();
        }
    }

    private double Length(IReadOnlyList<int> nodes) => Enumerable.Range(1, nodes.Count - 1).Sum(i => _at[nodes[i - 1]].To(_at[nodes[i]]));
}
