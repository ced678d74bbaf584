using Dittany.Core.Geometry;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Stitches;

/// <summary>
/// A shape with its stitches in working order. <paramref name="LineMm"/> is what they follow after butting; a single point where a knot
/// stands.
/// <paramref name="BeyondMm"/> is how far the worst stitch leaves it beyond the tolerance, and <paramref name="OverTurned"/> whether a
/// joint turns more than it may: both only where the shortest stitch leaves no other way. <paramref name="Source"/> is which of the strokes
/// it came from.
/// </summary>
public sealed record Placed(
    IReadOnlyList<Pt> LineMm, bool Closed, Sewn Stitches, double BeyondMm, bool OverTurned, IStitch Stitch, double WidthMm,
        bool Dot = false, int Source = 0)
{
    public bool Turned => BeyondMm > 0 || OverTurned;
}
