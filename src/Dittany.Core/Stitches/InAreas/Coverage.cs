using Dittany.Core.Geometry;
using Dittany.Core.Stitches.AtPoints;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Stitches.InAreas;

/// <summary>How much of an area lies under thread, by looking at a grid of places.</summary>
public static class Coverage
{
    /// <summary>Places looked at across the smaller side of an area, and how near to each other they stand, mm.</summary>
    private const double Looks = 60;

    private const double NearestMm = 0.08;

    private const double FarthestMm = 0.5;

    /// <summary>What lies on an edge lies in it, mm.</summary>
    private const double WithinMm = 1e-7;

    /// <summary>The share of the area, 0 to 1, that lies under a thread of these stitches.</summary>
    public static double Of(Region area, Sewn sewn)
    {
        var (least, most) = area.Box;
        var step = Math.Clamp(Math.Min(most.X - least.X, most.Y - least.Y) / Looks, NearestMm, FarthestMm);
        var (wide, high) = ((int)((most.X - least.X) / step) + 1, (int)((most.Y - least.Y) / step) + 1);
        var under = new bool[wide, high];
        foreach (var stitch in sewn)
        {
            var half = stitch.Shape == StitchShape.Knot ? Knots.AcrossMm(sewn.Size, 2) / 2 : sewn.BundleMm / 2;
            var path = stitch.PathMm ?? [stitch.FromMm, stitch.ToMm];
            for (var i = 1; i < path.Count; i++)
            {
                Mark(path[i - 1], path[i], half);
            }
        }

        // Column by column the edges are crossed in order: between two of them lies the area.
        var (inside, covered) = (0, 0);
        var crossed = new List<double>();
        for (var i = 0; i < wide; i++)
        {
            Crossed(area.Rings, Math.Clamp(least.X + (i * step), least.X + WithinMm, most.X - WithinMm), crossed);
            for (var c = 0; c + 1 < crossed.Count; c += 2)
            {
                var from = Math.Max(0, (int)Math.Ceiling((crossed[c] - least.Y - WithinMm) / step));
                var to = Math.Min(high - 1, (int)Math.Floor((crossed[c + 1] - least.Y + WithinMm) / step));
                for (var k = from; k <= to; k++)
                {
                    inside++;
                    covered += under[i, k] ? 1 : 0;
                }
            }
        }

        return inside == 0 ? 0 : (double)covered / inside;

        void Mark(Pt a, Pt b, double half)
        {
            var (x0, y0) = (Column(Math.Min(a.X, b.X) - half, least.X, wide), Column(Math.Min(a.Y, b.Y) - half, least.Y, high));
            var x1 = Math.Min(wide - 1, Column(Math.Max(a.X, b.X) + half, least.X, wide) + 1);
            var y1 = Math.Min(high - 1, Column(Math.Max(a.Y, b.Y) + half, least.Y, high) + 1);
            for (var i = x0; i <= x1; i++)
            {
                for (var k = y0; k <= y1; k++)
                {
                    under[i, k] = under[i, k] || Polyline.ToSegment(least + new Pt(i * step, k * step), a, b) <= half + 1e-6;
                }
            }
        }

        int Column(double at, double from, int count) => Math.Clamp((int)Math.Floor((at - from) / step), 0, count - 1);
    }

    /// <summary>Heights at which a line straight down crosses the edges of rings, in order.</summary>
    private static void Crossed(IReadOnlyList<IReadOnlyList<Pt>> rings, double x, List<double> crossed)
    {
        crossed.Clear();
        foreach (var ring in rings)
        {
            var a = ring[^1];
            for (var i = 0; i < ring.Count; i++)
            {
                var b = ring[i];
                if (a.X > x != b.X > x)
                {
                    crossed.Add(a.Y + ((b.Y - a.Y) * (x - a.X) / (b.X - a.X)));
                }

                a = b;
            }
        }

        crossed.Sort();
    }
}
