namespace Dittany.Core.Geometry;

/// <summary>
/// A shape in its own frame, on a grid of a millionth of a millimetre from its first point: two that are the same but for where they lie
/// are equal, and what is found out of one holds for the other, moved. Rings in mm.
/// </summary>
internal sealed class OwnFrame : IEquatable<OwnFrame>
{
    private const double PerMm = 1e6;

    private readonly long[][] _rings;
    private readonly int _hash;

    public OwnFrame(IReadOnlyList<IReadOnlyList<Pt>> rings)
    {
        Origin = rings.FirstOrDefault(r => r.Count > 0) is { } first ? first[0] : default;
        _rings = new long[rings.Count][];
        var hash = default(HashCode);
        for (var r = 0; r < rings.Count; r++)
        {
            var grid = new long[2 * rings[r].Count];
            for (var i = 0; i < rings[r].Count; i++)
            {
                var p = rings[r][i] - Origin;
                (grid[2 * i], grid[(2 * i) + 1]) = ((long)Math.Round(p.X * PerMm), (long)Math.Round(p.Y * PerMm));
            }

            _rings[r] = grid;
            hash.AddBytes(System.Runtime.InteropServices.MemoryMarshal.AsBytes<long>(grid));
        }

        _hash = hash.ToHashCode();
    }

    /// <summary>Where the frame's own origin lies: the shape's first point.</summary>
    public Pt Origin { get; }

    /// <summary>The shape's rings in its own frame.</summary>
    public IReadOnlyList<IReadOnlyList<Pt>> Rings() => Array.ConvertAll(_rings, grid =>
    {
        var ring = new Pt[grid.Length / 2];
        for (var i = 0; i < ring.Length; i++)
        {
            ring[i] = new Pt(grid[2 * i] / PerMm, grid[(2 * i) + 1] / PerMm);
        }

        return (IReadOnlyList<Pt>)ring;
    });

    public bool Equals(OwnFrame? other)
    {
        if (other is null || other._hash != _hash || other._rings.Length != _rings.Length)
        {
            return false;
        }

        for (var r = 0; r < _rings.Length; r++)
        {
            if (!_rings[r].AsSpan().SequenceEqual(other._rings[r]))
            {
                return false;
            }
        }

        return true;
    }

    public override bool Equals(object? obj) => Equals(obj as OwnFrame);

    public override int GetHashCode() => _hash;
}
