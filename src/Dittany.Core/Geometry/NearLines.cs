using Dittany.Core.Measures;
using NetTopologySuite.Geometries;
using NetTopologySuite.Index.Strtree;

namespace Dittany.Core.Geometry;

/// <summary>
/// Many lines, asked over and over which of them come near a point. Each line is laid into the index by short runs of its pieces, so that
/// what is asked costs what lies near, not what is drawn. Answers are those of <see cref="Polyline.ToLine"/> to the last digit. Not to be
/// shared between threads while it is asked first.
/// </summary>
public sealed class NearLines
{
    /// <summary>Pieces of a line that are looked at together: a few, so that a long line is not looked at whole.</summary>
    private const int RunPieces = 12;

    /// <summary>Steps that laying a point into the index takes, and looking at a run near by (measured against the other rooms).</summary>
    private const long LaidSteps = 8;

    private const long RunSteps = 25;

    private readonly IReadOnlyList<IReadOnlyList<Pt>> _lines;
    private readonly Budget? _budget;
    private readonly STRtree<(int Line, int From, int To)> _tree = new();

    public NearLines(IReadOnlyList<IReadOnlyList<Pt>> lines, Budget? budget = null)
    {
        (_lines, _budget) = (lines, budget);
        budget?.Spend(LaidSteps * lines.Sum(l => (long)l.Count));
        for (var i = 0; i < lines.Count; i++)
        {
            var line = lines[i];
            for (var from = 0; from < Math.Max(1, line.Count - 1) && line.Count > 0; from += RunPieces)
            {
                var to = Math.Min(line.Count - 1, from + RunPieces);
                var box = new Envelope();
                for (var k = from; k <= to; k++)
                {
                    box.ExpandToInclude(line[k].X, line[k].Y);
                }

                _tree.Insert(box, (i, from, to));
            }
        }

        _tree.Build();
    }

    /// <summary>
    /// Lines that come within this distance of a point, itself included, in their own order; never <paramref name="butNot"/>.
    /// </summary>
    public IReadOnlyList<int> Within(Pt p, double mm, int butNot)
    {
        var near = new SortedSet<int>();
        foreach (var (line, from, to) in Around(p, mm))
        {
            if (line != butNot && !near.Contains(line) && ToRun(p, _lines[line], from, to) <= mm)
            {
                near.Add(line);
            }
        }

        return [.. near];
    }

    /// <summary>Whether any line but one comes nearer than this.</summary>
    public bool Nearer(Pt p, double mm, int butNot)
    {
        foreach (var (line, from, to) in Around(p, mm))
        {
            if (line != butNot && ToRun(p, _lines[line], from, to) < mm)
            {
                return true;
            }
        }

        return false;
    }

    /// <summary>
    /// Whether another line comes nearer to any of these than <paramref name="mmOf"/> says of that one (by its number), or crosses it;
    /// <paramref name="mostMm"/> is the most it says of any. A line of one point is that point.
    /// </summary>
    public bool Meets(IReadOnlyList<Pt> other, double mostMm, Func<int, double> mmOf)
    {
        for (var i = Math.Min(1, other.Count - 1); i < other.Count; i++)
        {
            var (a, b) = (other[Math.Max(0, i - 1)], other[i]);
            var box = new Envelope(a.X, b.X, a.Y, b.Y);
            box.ExpandBy(mostMm);
            foreach (var (line, from, to) in In(box))
            {
                for (var k = Math.Min(to, from + 1); k <= to; k++)
                {
                    if (Polyline.Apart(a, b, _lines[line][Math.Max(from, k - 1)], _lines[line][k]) < mmOf(line))
                    {
                        return true;
                    }
                }
            }
        }

        return false;
    }

    private IList<(int Line, int From, int To)> Around(Pt p, double mm) => In(new Envelope(p.X - mm, p.X + mm, p.Y - mm, p.Y + mm));

    private IList<(int Line, int From, int To)> In(Envelope box)
    {
        var runs = _tree.Query(box);
        _budget?.Spend(RunSteps * (1 + runs.Count));
        return runs;
    }

    private static double ToRun(Pt p, IReadOnlyList<Pt> line, int from, int to)
    {
        var best = from == to ? p.To(line[from]) : double.PositiveInfinity;
        for (var i = from + 1; i <= to; i++)
        {
            best = Math.Min(best, Polyline.ToSegment(p, line[i - 1], line[i]));
        }

        return best;
    }
}
