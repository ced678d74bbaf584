using Dittany.Core.Geometry;
using Dittany.Core.Items;

namespace Dittany.Core.Space;

/// <summary>The field: where stitches may lie.</summary>
public static class Field
{
    /// <summary>
    /// field = zone, less its edge allowance, less every obstacle grown by its clearance. In the frame of the zone's face, mm. May come out
    /// empty, with holes, or in pieces.
    /// </summary>
    public static Region Of(Drawn item, Zone zone)
    {
        var field = Region.Of(zone.Ring).Offset(-zone.EdgeAllowanceMm);
        return field.Without(item.Obstacles
            .Where(o => zone.Ignores?.Contains(o.Id, StringComparer.Ordinal) != true && field.Near(o.Ring, Clearances.For(o.Kind)))
            .Select(o => Region.Of(o.Ring).Offset(Clearances.For(o.Kind)))
            .ToArray());
    }

    /// <summary>
    /// What an obstacle keeps free round itself: rings in the frame of its face, mm. For drawing, so corners are as coarse as a hand's.
    /// </summary>
    public static IReadOnlyList<IReadOnlyList<Pt>> ClearanceOf(Obstacle obstacle) =>
        Region.Roughly(obstacle.Ring, 0.25).OffsetCoarsely(Clearances.For(obstacle.Kind)).Rings;
}
