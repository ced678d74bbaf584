using Dittany.Core.Geometry;
using NetTopologySuite.Geometries;
using NetTopologySuite.Index.Strtree;

namespace Dittany.Core.Words;

/// <summary>
/// Lines that cross so often that their enclosed places are no longer drawn one by one: a scribble of a thousand bends has a hundred
/// thousand of them. They are then counted on a grid, whose cost goes by its cells and the length of the ink, not by the crossings. What
/// comes out is true to <see cref="WithinUnits"/>.
/// </summary>
public static class OpeningGrid
{
    /// <summary>More crossings than any drawing has that is looked at place by place.</summary>
    private const int MostCrossings = 2000;

    /// <summary>Side of a cell, in hundredths of the drawing's larger side.</summary>
    private const double Cell = 0.25;

    /// <summary>How exact an opening is: ink is known to half a cell's diagonal, at both sides.</summary>
    public const double WithinUnits = Cell * 1.4142135623730951;

    /// <summary>Whether lines cross too often to be taken apart.</summary>
    public static bool Is(IReadOnlyList<Coordinate[]> lines)
    {
        var tree = new STRtree<(Coordinate A, Coordinate B)>();
        var pieces = lines.SelectMany(l => l.Skip(1).Select((b, i) => (A: l[i], B: b))).ToArray();
        foreach (var piece in pieces)
        {
            tree.Insert(new Envelope(piece.A, piece.B), piece);
        }

        var crossings = 0;
        foreach (var (a, b) in pieces)
        {
            foreach (var other in tree.Query(new Envelope(a, b)))
            {
                // Each crossing is met from both sides.
                if (Polyline.Cross(At(a), At(b), At(other.A), At(other.B)) && ++crossings > 2 * MostCrossings)
                {
                    return true;
                }
            }
        }

        return false;
    }

    /// <summary>Widest circles in the enclosed places, as diameters, in the order they are found.</summary>
    public static IReadOnlyList<double> Openings(IReadOnlyList<Coordinate[]> lines)
    {
        var box = new Envelope(lines.SelectMany(l => l));
        var (wide, high) = ((int)Math.Ceiling(box.Width / Cell) + 5, (int)Math.Ceiling(box.Height / Cell) + 5);
        var ink = Ink(lines, box, wide, high);
        var away = Distances(ink, wide, high);
        var seen = new bool[ink.Length];
        Flood(0, ink, seen, wide, high, away);
        var openings = new List<double>();
        for (var i = 0; i < ink.Length; i++)
        {
            if (!ink[i] && !seen[i])
            {
                openings.Add(2 * Cell * Flood(i, ink, seen, wide, high, away));
            }
        }

        return openings;
    }

    private static bool[] Ink(IReadOnlyList<Coordinate[]> lines, Envelope box, int wide, int high)
    {
        var ink = new bool[wide * high];
        foreach (var line in lines)
        {
            for (var k = 1; k < line.Length; k++)
            {
                // Looked at twice a cell, so that no corner lets a place leak out.
                var steps = Math.Max(1, (int)Math.Ceiling(line[k - 1].Distance(line[k]) / Cell * 2));
                for (var i = 0; i <= steps; i++)
                {
                    var p = Pt.Lerp(At(line[k - 1]), At(line[k]), (double)i / steps);
                    ink[(((int)((p.Y - box.MinY) / Cell) + 2) * wide) + (int)((p.X - box.MinX) / Cell) + 2] = true;
                }
            }
        }

        return ink;
    }

    /// <summary>Marks what hangs together with a cell; returns the largest distance from ink in it, in cells.</summary>
    private static double Flood(int from, bool[] ink, bool[] seen, int wide, int high, double[] away)
    {
        var most = 0.0;
        var open = new Stack<int>([from]);
        seen[from] = true;
        while (open.TryPop(out var at))
        {
            most = Math.Max(most, away[at]);
            var (x, y) = (at % wide, at / wide);
            Visit(x > 0, at - 1);
            Visit(x < wide - 1, at + 1);
            Visit(y > 0, at - wide);
            Visit(y < high - 1, at + wide);
        }

        return Math.Sqrt(most);

        void Visit(bool within, int next)
        {
            if (within && !ink[next] && !seen[next])
            {
                seen[next] = true;
                open.Push(next);
            }
        }
    }

    /// <summary>
    /// Squares of the distances to the nearest ink, in cells, exact (Felzenszwalb and Huttenlocher 2012): down the columns, then along the
    /// rows.
    /// </summary>
    private static double[] Distances(bool[] ink, int wide, int high)
    {
        var away = Array.ConvertAll(ink, i => i ? 0.0 : 1e12);
        var line = new double[Math.Max(wide, high)];
        for (var x = 0; x < wide; x++)
        {
            Line(away, x, wide, high, line);
        }

        for (var y = 0; y < high; y++)
        {
            Line(away, y * wide, 1, wide, line);
        }

        return away;
    }

    private static void Line(double[] grid, int from, int step, int count, double[] line)
    {
        for (var i = 0; i < count; i++)
        {
            line[i] = grid[from + (i * step)];
        }

        var (feet, bounds, last) = (new int[count], new double[count + 1], 0);
        (bounds[0], bounds[1]) = (double.NegativeInfinity, double.PositiveInfinity);
        for (var q = 1; q < count; q++)
        {
            var at = Meet(q, feet[last]);
            while (at <= bounds[last])
            {
                last--;
                at = Meet(q, feet[last]);
            }

            last++;
            (feet[last], bounds[last], bounds[last + 1]) = (q, at, double.PositiveInfinity);
        }

        for (int q = 0, k = 0; q < count; q++)
        {
            while (bounds[k + 1] < q)
            {
                k++;
            }

            var d = q - feet[k];
            grid[from + (q * step)] = (d * d) + line[feet[k]];
        }

        double Meet(int q, int r) => (line[q] + ((double)q * q) - line[r] - ((double)r * r)) / (2.0 * (q - r));
    }

    private static Pt At(Coordinate c) => new(c.X, c.Y);
}
