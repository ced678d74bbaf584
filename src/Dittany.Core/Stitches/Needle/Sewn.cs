using System.Collections;
using Dittany.Core.Geometry;
using Dittany.Core.Materials;

namespace Dittany.Core.Stitches.Needle;

/// <summary>
/// The needle's way over one shape, move by move, packed; its stitches are read out of it. Lengths in mm. Nothing in it that can be seen
/// changes: it may be read from several threads at once.
/// </summary>
public sealed class Sewn : IReadOnlyList<Stitch>
{
    private readonly Move[] _moves;
    private readonly int[] _ends;
    private readonly Sewn? _written;

    private Sewn(Move[] moves, int[] ends, ThreadSize size, Sewn? written)
    {
        (_moves, _ends, Size, _written) = (moves, ends, size, written);
    }

    public static Sewn Nothing { get; } = new([], [], 1, null);

    /// <summary>The thread it is sewn with.</summary>
    public ThreadSize Size { get; }

    /// <summary>How wide the thread lies, mm.</summary>
    public double BundleMm => Size.WidthMm;

    public int Count => _ends.Length;

    /// <summary>All moves, in order.</summary>
    public ReadOnlySpan<Move> Moves => _moves;

    public Stitch this[int index] => new(this, index);

    /// <summary>The way as it is written: the same, but for stitches that are turned.</summary>
    internal Sewn Written => _written ?? this;

    internal ReadOnlySpan<Move> MovesOf(int index)
    {
        var from = index == 0 ? 0 : _ends[index - 1];
        return _moves.AsSpan(from, _ends[index] - from);
    }

    /// <summary>The same with every stitch worked the other way; made when first asked for, for a route asks stitch by stitch.</summary>
    internal Sewn OtherWay
    {
        get
        {
            if (_otherWay is null)
            {
                var other = Turned(_ => true);
                (other._otherWay, _otherWay) = (this, other);
            }

            return _otherWay;
        }
    }

    private Sewn? _otherWay;

    /// <summary>
    /// The same stitches, some worked the other way: up where they went down. Only where a stitch goes up and down and no more.
    /// </summary>
    public Sewn Turned(Func<int, bool> turns)
    {
        var moves = (Move[])_moves.Clone();
        for (var i = 0; i < Count; i++)
        {
            var at = i == 0 ? 0 : _ends[i - 1];
            if (turns(i) && _ends[i] - at == 2)
            {
                (moves[at], moves[at + 1]) = (moves[at] with { At = moves[at + 1].At }, moves[at + 1] with { At = moves[at].At });
            }
        }

        return new Sewn(moves, _ends, Size, Written);
    }

    /// <summary>So many of its stitches from one on; itself where that is all of them.</summary>
    public Sewn Slice(int first, int count)
    {
        if (first == 0 && count == Count)
        {
            return this;
        }

        var from = first == 0 ? 0 : _ends[first - 1];
        var to = count == 0 ? from : _ends[first + count - 1];
        return new Sewn(_moves[from..to], _ends[first..(first + count)].Select(e => e - from).ToArray(), Size,
            _written?.Slice(first, count));
    }

    /// <summary>The same way, sewn with another thread.</summary>
    public Sewn With(ThreadSize size) => new(_moves, _ends, size, _written?.With(size));

    /// <summary>Some of its stitches, in the order told.</summary>
    public Sewn Pick(IReadOnlyList<int> indices)
    {
        var (moves, ends) = (new List<Move>(), new List<int>());
        foreach (var index in indices)
        {
            moves.AddRange(MovesOf(index));
            ends.Add(moves.Count);
        }

        return new Sewn([.. moves], [.. ends], Size, _written?.Pick(indices));
    }

    public IEnumerator<Stitch> GetEnumerator()
    {
        for (var i = 0; i < Count; i++)
        {
            yield return this[i];
        }
    }

    IEnumerator IEnumerable.GetEnumerator() => GetEnumerator();

    /// <summary>Straight stitches, each from where the needle comes up to where it goes down.</summary>
    public static Sewn Straights(ThreadSize size, IEnumerable<(Pt Up, Pt Down)> stitches)
    {
        var sewing = new Sewing(size);
        foreach (var (up, down) in stitches)
        {
            sewing.Straight(up, down);
        }

        return sewing.Done();
    }

    /// <summary>Writes the needle's way down, stitch by stitch.</summary>
    public sealed class Sewing(ThreadSize size)
    {
        private readonly List<Move> _moves = [];
        private readonly List<int> _ends = [];

        public double BundleMm => size.WidthMm;

        private readonly List<int> _breaks = [];

        /// <summary>The stitches that a thread begins with anew, because the way to them is too long; never the first.</summary>
        public IReadOnlyList<int> Breaks => [.. _breaks.Where(b => b < _ends.Count)];

        /// <summary>Where the needle went down last; null before the first stitch.</summary>
        public Pt? Last => _moves.Count == 0 ? null : _moves[^1].At;

        /// <summary>The thread ends here, and the next stitch is begun anew.</summary>
        public void Break()
        {
            if (_ends.Count > 0 && (_breaks.Count == 0 || _breaks[^1] != _ends.Count))
            {
                _breaks.Add(_ends.Count);
            }
        }

        /// <summary>The thread ends here where the next stitch comes up further off than this, mm.</summary>
        public void BreakBefore(Pt next, double mostMm)
        {
            if (Last is { } last && last.To(next) > mostMm)
            {
                Break();
            }
        }

        /// <summary>One stitch by its moves, in order.</summary>
        public void Stitch(params ReadOnlySpan<Move> moves)
        {
            _moves.AddRange(moves);
            _ends.Add(_moves.Count);
        }

        /// <summary>Up here and down there.</summary>
        public void Straight(Pt up, Pt down, int side = 0, bool through = false) =>
            Stitch(new Move(through ? MoveKind.UpThrough : MoveKind.UpAt, up), new Move(MoveKind.DownAt, down, Side: (sbyte)side));

        public Sewn Done() => new([.. _moves], [.. _ends], size, null);
    }
}
