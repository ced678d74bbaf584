using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Space;

namespace Dittany.Web.Drawings;

/// <summary>Finds places for labels that do not lie over what is drawn of the item: a zip, a seam, a pocket.</summary>
internal sealed class FreeLabel(IReadOnlyList<Obstacle> obstacles)
{
    /// <summary>Where along its line a label is tried, the middle first.</summary>
    private static readonly double[] Tries = [0.5, 0.36, 0.64, 0.22, 0.78, 0.08, 0.92, -0.1, 1.1];

    private const double DenselyMm = 2;

    private readonly Lazy<IReadOnlyList<(Region Area, IReadOnlyList<Pt> Line)>> _drawn = new(() => obstacles.Where(o => o.Ring.Count > 2)
        .Select(o => (Region.Of(o.Ring), EdgePath.Densely([.. o.Ring, o.Ring[0]], DenselyMm))).ToArray());

    /// <summary>The middle of a label of this size on the way from a to b; the middle of the way where no place is free.</summary>
    public Pt Along(Pt a, Pt b, double wide, double high)
    {
        foreach (var share in Tries)
        {
            if (Pt.Lerp(a, b, share) is var at && Free(at, wide, high))
            {
                return at;
            }
        }

        return Pt.Lerp(a, b, 0.5);
    }

    private bool Free(Pt at, double wide, double high) => _drawn.Value.All(o => !o.Area.Holds(at)
        && o.Line.All(p => Math.Abs(p.X - at.X) > wide / 2 || Math.Abs(p.Y - at.Y) > high / 2));
}
