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
        var forward = Forward(piece);
        return !piece.Reverses || n < 2 ? [forward]
            :
            [
                forward,
                new Way("out-and-back", 1, new OutAndBack(n, 0, false)),
                new Way("out-and-back", 1, new OutAndBack(n, 1, false)),
                new Way("out-and-back", 1, new OutAndBack(n, 0, true)),
                new Way("out-and-back", 1, new OutAndBack(n, 1, true)),
                new Way("backward", 2, new Straight(n, true)),
            ];
    }

    /// <summary>The line as it is written.</summary>
    public static Way Forward(Piece piece) => new("forward", 0, new Straight(piece.Stitches.Count, false));

    /// <summary>An order of work that is reckoned where it is asked for: most ways are looked at by their ends alone.</summary>
    private abstract class Order(int count) : IReadOnlyList<(int Index, bool Turned)>
    {
        public int Count => count;

        public abstract (int Index, bool Turned) this[int index] { get; }

        public IEnumerator<(int Index, bool Turned)> GetEnumerator() =>
            Enumerable.Range(0, count).Select(i => this[i]).GetEnumerator();

        System.Collections.IEnumerator System.Collections.IEnumerable.GetEnumerator() => GetEnumerator();
    }

    private sealed class Straight(int count, bool back) : Order(count)
    {
        public override (int Index, bool Turned) this[int index] => back ? (Count - 1 - index, true) : (index, false);
    }

    /// <summary>
    /// Out over every second stitch from <paramref name="first"/> on, back over the others: each is passed once, and what lies behind lies
    /// under stitches. <paramref name="mirrored"/>: the same from the far end.
    /// </summary>
    private sealed class OutAndBack(int count, int first, bool mirrored) : Order(count)
    {
        public override (int Index, bool Turned) this[int index]
        {
            get
            {
                var outwards = (Count - first + 1) / 2;
                var turnsAt = outwards > 0 && first + (2 * (outwards - 1)) == Count - 1 ? Count - 2 : Count - 1;
                var (at, turned) = index < outwards ? (first + (2 * index), true) : (turnsAt - (2 * (index - outwards)), false);
                return mirrored ? (Count - 1 - at, !turned) : (at, turned);
            }
        }
    }
}
