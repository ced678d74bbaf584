using Dittany.Core.Geometry;
using SkiaSharp;

namespace Dittany.Formats.Pictures;

/// <summary>
/// Corners as found from the straight edges between those pointed at, px; how sure they are; and whether they were found at all or are as
/// pointed at.
/// </summary>
public sealed record FoundCorners(IReadOnlyList<Pt> Corners, double WithinPx, bool Found);

/// <summary>
/// Makes roughly pointed corners exact: along each side between two of them the edge of the card is sought across the side, a straight line
/// laid through what is found, and neighbouring lines crossed. A card's round corners do not matter: it is where its sides would meet that
/// is known. Where the edges cannot be seen, the corners stay as pointed at.
/// </summary>
public static class CornerFinder
{
    /// <summary>
    /// Places along a side where its edge is sought; its ends are left out, for bank cards are round there (3.18 mm, ISO/IEC 7810).
    /// </summary>
    private const int Places = 60;

    private const double EndsShare = 0.1;

    /// <summary>So many of the places must show an edge (from memory).</summary>
    private const double LeastShare = 0.6;

    /// <summary>An edge is at least this step in brightness, of 255 (from memory: above what JPEG and noise make).</summary>
    private const double LeastStep = 8;

    /// <summary>No corner is surer than this, px: lenses are not perfect (from memory).</summary>
    private const double SurestPx = 0.1;

    /// <summary>
    /// The corners in the order given, which must go round. <paramref name="pointedWithinPx"/> is how roughly they were pointed at.
    /// </summary>
    public static FoundCorners Find(ReadOnlyMemory<byte> picture, IReadOnlyList<Pt> corners, double pointedWithinPx)
    {
        var asPointed = new FoundCorners(corners, pointedWithinPx, false);
        using var colour = SKBitmap.Decode(picture.Span);
        if (colour is null || corners.Count != 4)
        {
            return asPointed;
        }

        using var grey = new SKBitmap(new SKImageInfo(colour.Width, colour.Height, SKColorType.Gray8));
        using (var canvas = new SKCanvas(grey))
        {
            canvas.DrawBitmap(colour, 0, 0, SKSamplingOptions.Default);
        }

        var lines = new List<(Pt At, Pt Way, double Doubt)>();
        for (var i = 0; i < 4; i++)
        {
            if (Side(grey, corners[i], corners[(i + 1) % 4], Math.Max(5, 3 * pointedWithinPx)) is not { } line)
            {
                return asPointed;
            }

            lines.Add(line);
        }

        var found = new Pt[4];
        for (var i = 0; i < 4; i++)
        {
            var (before, after) = (lines[(i + 3) % 4], lines[i]);
            var cross = Pt.Cross(before.Way, after.Way);
            if (Math.Abs(cross) < 0.1)
            {
                return asPointed;
            }

            found[i] = before.At + (before.Way * (Pt.Cross(after.At - before.At, after.Way) / cross));
            if (found[i].To(corners[i]) > Math.Max(8, 6 * pointedWithinPx))
            {
                return asPointed;
            }
        }

        return new FoundCorners(found, Math.Max(SurestPx, lines.Max(l => l.Doubt)), true);
    }

    /// <summary>The straight edge between two corners: a point on it, its way, and how far off its ends may be.</summary>
    private static (Pt At, Pt Way, double Doubt)? Side(SKBitmap grey, Pt from, Pt to, double reach)
    {
        var along = to - from;
        var across = new Pt(-along.Y, along.X) * (1 / along.Length);
        List<Pt>? best = null;
        var strongest = 0.0;
        foreach (var sign in new[] { 1, -1 })
        {
            var found = new List<Pt>();
            var sum = 0.0;
            for (var i = 0; i < Places; i++)
            {
                var at = Pt.Lerp(from, to, EndsShare + ((1 - (2 * EndsShare)) * i / (Places - 1)));
                if (Edge(grey, at, across, reach, sign) is { } edge)
                {
                    found.Add(at + (across * edge.Offset));
                    sum += edge.Step;
                }
            }

            if (sum > strongest)
            {
                (best, strongest) = (found, sum);
            }
        }

        if (best is null || best.Count < Places * LeastShare)
        {
            return null;
        }

        // What stands off the line (a shadow, a plank) is left out, three times over.
        var (point, way, off) = Line(best);
        for (var round = 0; round < 3; round++)
        {
            var limit = Math.Max(0.3, 2.5 * Median(best.Select(p => Math.Abs(Pt.Cross(way, p - point)))));
            var kept = best.Where(p => Math.Abs(Pt.Cross(way, p - point)) <= limit).ToList();
            if (kept.Count < Places * LeastShare * 0.7)
            {
                return null;
            }

            best = kept;
            (point, way, off) = Line(best);
        }

        return (point, way, 3 * off / Math.Sqrt(best.Count));
    }

    /// <summary>The strongest step in brightness across a side, growing or falling as the sign says: where it is, and how strong.</summary>
    private static (double Offset, double Step)? Edge(SKBitmap grey, Pt at, Pt across, double reach, int sign)
    {
        const double Fine = 0.5;
        const int Half = 3;
        const int Slope = 6;
        var count = (2 * (int)Math.Ceiling(reach / Fine)) + 1;
        var values = new double[count];
        for (var i = 0; i < count; i++)
        {
            if (Brightness(grey, at + (across * ((i - (count / 2)) * Fine))) is not { } value)
            {
                return null;
            }

            values[i] = value;
        }

        double Step(int i) => sign * (values[Math.Min(count - 1, i + Half)] - values[Math.Max(0, i - Half)]);
        var top = Enumerable.Range(Half, count - (2 * Half)).MaxBy(Step);
        if (Step(top) < LeastStep)
        {
            return null;
        }

        // The edge is where half the step is done: the middle of its slope, weighed.
        var (weight, place) = (0.0, 0.0);
        for (var i = Math.Max(1, top - Slope); i <= Math.Min(count - 2, top + Slope); i++)
        {
            var slope = Math.Max(0, sign * (values[i + 1] - values[i - 1]));
            weight += slope;
            place += slope * i;
        }

        return weight <= 0 ? null : (((place / weight) - (count / 2)) * Fine, Step(top));
    }

    private static double? Brightness(SKBitmap grey, Pt p)
    {
        // Px centres lie at halves.
        var (fx, fy) = (p.X - 0.5, p.Y - 0.5);
        var (x, y) = ((int)Math.Floor(fx), (int)Math.Floor(fy));
        if (x < 0 || y < 0 || x + 1 >= grey.Width || y + 1 >= grey.Height)
        {
            return null;
        }

        var (u, v) = (fx - x, fy - y);
        var pixels = grey.GetPixelSpan();
        var at = (y * grey.RowBytes) + x;
        return (pixels[at] * (1 - u) * (1 - v)) + (pixels[at + 1] * u * (1 - v)) + (pixels[at + grey.RowBytes] * (1 - u) * v)
            + (pixels[at + grey.RowBytes + 1] * u * v);
    }

    /// <summary>The line nearest to all points (total least squares), and the mean square they stand off it.</summary>
    private static (Pt At, Pt Way, double Off) Line(List<Pt> points)
    {
        var middle = new Pt(points.Average(p => p.X), points.Average(p => p.Y));
        var (xx, yy, xy) = (points.Sum(p => (p.X - middle.X) * (p.X - middle.X)), points.Sum(p => (p.Y - middle.Y) * (p.Y - middle.Y)),
            points.Sum(p => (p.X - middle.X) * (p.Y - middle.Y)));
        var angle = 0.5 * Math.Atan2(2 * xy, xx - yy);
        var way = new Pt(Math.Cos(angle), Math.Sin(angle));
        return (middle, way, Math.Sqrt(points.Average(p => Math.Pow(Pt.Cross(way, p - middle), 2))));
    }

    private static double Median(IEnumerable<double> values)
    {
        var sorted = values.Order().ToArray();
        return sorted[sorted.Length / 2];
    }
}
