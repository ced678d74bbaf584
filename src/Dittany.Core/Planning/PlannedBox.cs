using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using Dittany.Core.StitchBook;
using Dittany.Core.Words;

namespace Dittany.Core.Planning;

/// <summary>What stitched parts take up.</summary>
internal static class PlannedBox
{
    /// <summary>The grid, not the place, under two thousandths.</summary>
    private const double GridMm = 0.002;

    /// <summary>The box round the stitched footprint, line width included; empty at the origin where nothing is stitched.</summary>
    public static Box Of(IReadOnlyList<Part> parts)
    {
        if (parts.Count == 0)
        {
            return new Box(0, 0, 0, 0);
        }

        var points = parts.SelectMany(p => p.LineMm.Concat(Reached(p)).Select(at =>
            (At: at, Half: p.LineWidthMm / 2))).ToArray();
        var (x, y) = (points.Min(p => p.At.X - p.Half), points.Min(p => p.At.Y - p.Half));
        return new Box(
            Rounding.ToGrid(x), Rounding.ToGrid(y), Rounding.ToGrid(points.Max(p => p.At.X + p.Half) - x),
                Rounding.ToGrid(points.Max(p => p.At.Y + p.Half) - y));
    }

    /// <summary>
    /// How far the worst stitch reaches out of the field, its width included; where there is no room for such a line at all, as far as it
    /// lies from the anchor.
    /// </summary>
    public static double OutsideMm(IReadOnlyList<Part> parts, Rooms field, Pt anchorMm)
    {
        var worst = 0.0;
        foreach (var part in parts)
        {
            var room = field.For(part.LineWidthMm);
            worst = Math.Max(worst, room.IsEmpty ? Reached(part).Select(p => anchorMm.To(p) + (part.LineWidthMm / 2)).DefaultIfEmpty(0)
                .Max()
                : room.FurthestOutside(Reached(part)));
        }

        return worst < GridMm ? 0 : worst;
    }

    /// <summary>Where the middle of what is stitched comes to: the ends of stitches, or the line where thread stands beside it.</summary>
    public static IEnumerable<Pt> Reached(Part part) => Book.Find(part.Stitch) is { Beside: true } && part.Filling is null ? part.LineMm
        : part.Stitches.SelectMany(s => new[] { s.FromMm, s.ToMm });
}
