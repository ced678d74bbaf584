using Dittany.Core.Designs;
using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using Dittany.Core.Stitches.Needle;
using Thread = Dittany.Core.Materials.Thread;

namespace Dittany.Core.Stitches.InAreas;

/// <summary>
/// What a fill comes to: the rings it covers, mm, under the even-odd rule; its area; the share of it that lies under thread; and the
/// direction of its stitches in degrees clockwise from level (in the middle, where it changes), null where they have none.
/// </summary>
public sealed record Filling(IReadOnlyList<IReadOnlyList<Pt>> RingsMm, double AreaMm2, double Coverage, double? DirectionDegrees)
{
    /// <summary>How the direction changes over the area; null where it is one.</summary>
    public DirectionKind? Lies { get; init; }
}
