using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Planning;

/// <summary>
/// Something of the same piece that is stitched on a face already, or will be by then: what comes later leaves it its room.
/// </summary>
internal sealed record StitchedThere(string Face, Obstacle Obstacle)
{
    /// <summary>From so many knots on it stands up, and no ring lies on it (as for rings within one place).</summary>
    private const int KnotsThatStandUp = HoopUnits.KnotsThatStandUp;

    /// <summary>What a planned place leaves on its face.</summary>
    public static IEnumerable<StitchedThere> By(Plan plan)
    {
        foreach (var element in plan.Elements)
        {
            var points = element.Parts.SelectMany(p => p.Stitches.SelectMany(s => new[] { s.FromMm, s.ToMm }))
                .Concat(plan.CraftParts.Where(p => p.Element == element.Id).SelectMany(p => p.ShapeMm.Rings).SelectMany(r => r)).ToArray();
            if (points.Length < 3 || Region.HullOf(points) is not { Count: > 2 } hull)
            {
                continue;
            }

            var knots = element.Parts.Sum(p => p.Stitches.Count(s => s.Shape is StitchShape.Knot or StitchShape.Bead));
            yield return new StitchedThere(plan.Space.Face.Id, new Obstacle($"stitched-{element.Id}",
                element.IsMotif ? element.Text : $"wording “{element.Text.ReplaceLineEndings(" ")}”",
                knots >= KnotsThatStandUp ? ObstacleKind.Knotted : ObstacleKind.Stitched, hull));
        }
    }

    /// <summary>A face with what is stitched on it.</summary>
    public static Drawn On(Drawn drawn, IReadOnlyList<StitchedThere> there) => there.Any(t => t.Face == drawn.Face.Id)
        ? drawn with { Obstacles = [.. drawn.Obstacles, .. there.Where(t => t.Face == drawn.Face.Id).Select(t => t.Obstacle)] } : drawn;
}
