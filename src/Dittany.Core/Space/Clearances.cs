using Dittany.Core.Items;
using Dittany.Core.Measures;

namespace Dittany.Core.Space;

/// <summary>
/// How far stitches keep from what is in the way, and how far a hoop's ring keeps from it; null where a ring may lie on it.
/// </summary>
public sealed record Clearance(ObstacleKind Kind, double StitchMm, double? RingMm, string Source);

/// <summary>Clearances by kind of obstacle.</summary>
public static class Clearances
{
    private const string Memory = "from memory";

    public static IReadOnlyList<Clearance> Table { get; } =
    [
        new(ObstacleKind.FlatSeam, 6, null, Memory),
        new(ObstacleKind.BagSide, 15, 5, Memory),
        new(ObstacleKind.TopstitchedHem, 8, 5, Memory),
        new(ObstacleKind.RolledHem, 5, 5, Memory),
        new(ObstacleKind.NeckRib, 15, 5, Memory),
        new(ObstacleKind.ButtonEdge, 10, 15, Memory),
        new(ObstacleKind.Popper, 15, 15, Memory),
        new(ObstacleKind.ZipTeeth, 12, 15, Memory),
        new(ObstacleKind.PocketEdge, 8, 5, Memory),
        new(ObstacleKind.StrapEnd, 8, 5, Memory),
        new(ObstacleKind.Print, 5, null, Memory),
        new(ObstacleKind.Drawcord, 10, 5, Memory),
        new(ObstacleKind.RawEdge, 10, null, Memory),

        // What is stitched there already: a ring may lie on flat stitches for an evening, and crushes knots.
        new(ObstacleKind.Stitched, 4, null, Memory),
        new(ObstacleKind.Knotted, 4, 5, Memory),
    ];

    /// <summary>Stitch to obstacle, mm.</summary>
    public static double For(ObstacleKind kind) => Of(kind).StitchMm;

    public static Clearance Of(ObstacleKind kind) => Table.First(c => c.Kind == kind);

    /// <summary>What is told of an obstacle on pointing at it.</summary>
    public static Told Tell(Obstacle obstacle) =>
        (Told)$"{char.ToUpperInvariant(obstacle.Name[0])}{obstacle.Name[1..]}: stitches keep {Say.Length(For(obstacle.Kind))} clear of it.";
}
