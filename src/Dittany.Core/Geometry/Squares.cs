namespace Dittany.Core.Geometry;

/// <summary>
/// Things by where they lie, in squares of a side in mm: what is asked costs what lies near. What lies in one square keeps its order.
/// </summary>
internal sealed class Squares<T>(double sideMm)
{
    private readonly Dictionary<(long X, long Y), List<(Pt At, T What)>> _squares = [];

    public void Add(Pt at, T what)
    {
        var square = Square(at);
        if (!_squares.TryGetValue(square, out var within))
        {
            _squares[square] = within = [];
        }

        within.Add((at, what));
    }

    /// <summary>What lies no further than this from a point.</summary>
    public IEnumerable<T> Within(Pt p, double mm)
    {
        var (low, high) = (Square(p - new Pt(mm, mm)), Square(p + new Pt(mm, mm)));
        for (var x = low.X; x <= high.X; x++)
        {
            for (var y = low.Y; y <= high.Y; y++)
            {
                if (!_squares.TryGetValue((x, y), out var there))
                {
                    continue;
                }

                foreach (var (at, what) in there)
                {
                    if (p.To(at) <= mm)
                    {
                        yield return what;
                    }
                }
            }
        }
    }

    private (long X, long Y) Square(Pt p) => ((long)Math.Floor(p.X / sideMm), (long)Math.Floor(p.Y / sideMm));
}
