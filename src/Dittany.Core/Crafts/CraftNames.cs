using Dittany.Core.Measures;

namespace Dittany.Core.Crafts;

/// <summary>What people say for a craft.</summary>
public static class CraftNames
{
    public static IReadOnlyList<AlsoCalled> All { get; } =
    [
        new("stitch", "embroidered", "stitched", "hand embroidered", "in thread", "hand stitched"),
        new("paint", "painted", "spray painted", "sprayed", "stencilled", "stenciled", "paint", "spray paint", "through a stencil", "with a stencil", "stencil"),
        new("beads", "beaded", "beads", "glass beads", "seed beads", "beads sewn on", "sequins", "sequinned", "sewn beads"),
        new("felt", "needle felted", "needlefelted", "felted", "felted wool", "needle felt", "needle felting", "wet felted"),
        new("applique", "applique", "appliqué", "appliquéd", "appliqued", "felt", "felt shapes", "cut from felt", "cut out of felt", "felt applique"),
        new("tint", "tinted", "pencil tinted", "coloured pencil", "colored pencil", "coloured with pencil", "colored with pencil", "coloured with pencils", "coloured in with pencil", "coloured in with pencils", "tinted with pencil", "tinted with pencils", "coloured pencils", "colored pencils", "tinted in pencil"),
    ];
}
