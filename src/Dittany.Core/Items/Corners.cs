using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using static Dittany.Core.Items.Shapes;

namespace Dittany.Core.Items;

/// <summary>Corners of a flat cloth as zones: each the same room, seen as the cloth lies with that corner in its place.</summary>
internal static class Corners
{
    private static readonly (string Suffix, string Name, bool Right, bool Low)[] All =
        [("", "lower right corner", true, true), ("-lower-left", "lower left corner", false, true),
            ("-upper-left", "upper left corner", false, false), ("-upper-right", "upper right corner", true, false)];

    /// <summary>
    /// The corner zones of a cloth this wide and high. The words are centred <paramref name="centreMm"/> from both edges and keep
    /// <paramref name="freeMm"/> from them; the room reaches <paramref name="reachMm"/> into the cloth.
    /// </summary>
    public static IEnumerable<Zone> Of(double w, double h, double centreMm, double freeMm, double reachMm, Told edgeReason, Told because,
        UsualLettering lettering, int count = 4)
    {
        foreach (var (suffix, name, right, low) in All.Take(count))
        {
            var (x, y) = (right ? w - reachMm : freeMm, low ? h - reachMm : freeMm);
            var anchor = new Pt(right ? w - centreMm : centreMm, low ? h - centreMm : centreMm);
            yield return new Zone(
                $"corner{suffix}", suffix.Length == 0 ? "corner" : name, Rectangle(x, y, reachMm - freeMm, reachMm - freeMm), 0, edgeReason,
                Parts.Middle($"corner-{Say.Number(centreMm)}", $"Centred {Say.Length(centreMm)} from both edges, on the diagonal", anchor,
                    because), lettering);
        }
    }

    /// <summary>The diagonal creases of a cloth's corners.</summary>
    public static IEnumerable<Landmark> Creases(double w, double h, double reach, string what)
    {
        foreach (var (suffix, name, right, low) in All)
        {
            var tip = new Pt(right ? w : 0, low ? h : 0);
            yield return new Landmark(
                $"diagonal{suffix}", $"the crease of the {name}", tip, tip + new Pt(right ? -reach : reach, low ? -reach : reach),
                    Found.Fold,
                new Folding($"Fold the {name} of the {what} on itself, edge on edge, and crease only its tip.", right ? "right-edge"
                    : "left-edge", low ? "bottom-edge" : "top-edge"));
        }
    }
}
