using Dittany.Core.Geometry;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Route;

/// <summary>
/// One way to work a line: stitches by their index, in working order, turned where the needle runs against the usual direction.
/// </summary>
public sealed record Way(string Name, int Rank, IReadOnlyList<(int Index, bool Turned)> Order)
{
    /// <summary>Where the needle first comes up.</summary>
    public Pt Start(Piece piece) => Of(piece, 0).FromMm;

    /// <summary>Where the needle last went down: of a loop beside its base, not at its tip.</summary>
    public Pt End(Piece piece) => Of(piece, Order.Count - 1).DownMm;

    /// <summary>A stitch of the line as this way works it, by its place in the order.</summary>
    public Stitch Of(Piece piece, int place)
    {
        var (index, turned) = Order[place];
        return turned ? piece.Stitches[index].Turned() : piece.Stitches[index];
    }
}

/// <summary>
/// The ways a line may be worked. As it is written, always. A stitch that looks the same from either end may also run backwards, or out
/// with gaps that are filled on the way back: that ends beside its own beginning.
/// </summary>
public static class Ways
{
    public static IReadOnlyList<Way> For(Piece piece)
    {
        var n = piece.Stitches.Count;
        var forward = new Way("forward", 0, Enumerable.Range(0, n).Select(i => (i, false)).ToArray());
        if (!piece.Reverses || n < 2)
        {
            return [forward];
        }

        var last = n - 1;
        return
        [
            forward,
            OutAndBack("out-and-back", 0, n),
            OutAndBack("out-and-back", 1, n),
            Mirrored(OutAndBack("out-and-back", 0, n), last),
            Mirrored(OutAndBack("out-and-back", 1, n), last),
            new Way("backward", 2, Enumerable.Range(0, n).Select(i => (last - i, true)).ToArray()),
        ];
    }

    /// <summary>
    /// Out over every second stitch from this one on, back over the others: each is passed once, and what lies behind lies under stitches.
    /// </summary>
    private static Way OutAndBack(string name, int first, int n)
    {
        var way = new List<(int, bool)>();
        for (var i = first; i < n; i += 2)
        {
            way.Add((i, true));
        }

        var lastOut = way.Count == 0 ? -1 : way[^1].Item1;
        for (var i = lastOut == n - 1 ? n - 2 : n - 1; i >= 0; i -= 2)
        {
            way.Add((i, false));
        }

        return new Way(name, 1, way);
    }

    /// <summary>The same from the far end.</summary>
    private static Way Mirrored(Way way, int last) => new(way.Name, way.Rank, way.Order.Select(o => (last - o.Index, !o.Turned)).ToArray());
}
