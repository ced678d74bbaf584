using Dittany.Core.Decisions;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Operations;

namespace Dittany.Core.Crafts;

/// <summary>Whether a craft is for something; where it is not, all reasons with what would do.</summary>
public sealed record CraftVerdict(ICraft Craft, IReadOnlyList<CraftRule> Against)
{
    public bool Fits => Against.Count == 0;

    /// <summary>All crafts judged, in the order they are offered.</summary>
    public static IReadOnlyList<CraftVerdict> Of(CraftGround ground) => AllCrafts.List.Select(c =>
        new CraftVerdict(c, c.Against.Where(r => r.When(ground)).ToArray())).ToArray();
}

/// <summary>Thread, and every other craft there is.</summary>
public static class AllCrafts
{
    /// <summary>The needle: what every element is made in where nothing else is wished.</summary>
    public const string Stitch = "stitch";

    public static IReadOnlyList<ICraft> List { get; } = [new Painting.SprayPaint(), new Felting.NeedleFelt(), new Tinting.PencilTint(),
        new Appliqueing.FeltShapes(), new Beading.SewnBeads()];

    public static IReadOnlyList<string> Ids { get; } = [Stitch, .. List.Select(c => c.Id)];

    public static ICraft? Find(string? id) => List.FirstOrDefault(c => c.Id == id);
}
