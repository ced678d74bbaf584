using Dittany.Core.Items;

namespace Dittany.Core.Space;

/// <summary>How far stitches keep from what is in the way.</summary>
public static class Clearances
{
    /// <summary>Stitch to obstacle by kind, in mm. All from memory.</summary>
    public static IReadOnlyDictionary<ObstacleKind, (double Mm, string Source)> Table { get; } = new Dictionary<ObstacleKind, (double, string)>
    {
        [ObstacleKind.TopstitchedHem] = (8, "from memory"),
        [ObstacleKind.Print] = (5, "from memory"),
    };

    public static double For(ObstacleKind kind) => Table[kind].Mm;
}
