using Dittany.Core.Geometry;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Stitches;

/// <summary>
/// A shape with its stitches in working order. <paramref name="LineMm"/> is what they follow after butting; a single point where a knot
/// stands.
/// <paramref name="OffMm"/> is how far the worst stitch leaves it, 0 within the tolerance: only where the shortest stitch leaves no other
/// way. <paramref name="Source"/> is which of the strokes it came from.
/// </summary>
public sealed record Placed(
    IReadOnlyList<Pt> LineMm, bool Closed, Sewn Stitches, double OffMm, IStitch Stitch, double WidthMm,
        bool Dot = false, int Source = 0)
{
    /// <summary>What it comes to where it fills an area; null for a line or a point.</summary>
    public InAreas.Filling? Filling { get; init; }

    /// <summary>Stitches a thread begins with anew, because the way to them is too long.</summary>
    public IReadOnlyList<int> Breaks { get; init; } = [];

    /// <summary>Whether it leaves them so far that it is seen: by half its own width and more.</summary>
    public bool Off => OffMm >= Tolerance.Seen(WidthMm);
}
