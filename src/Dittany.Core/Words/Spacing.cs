using Dittany.Core.Geometry;

namespace Dittany.Core.Words;

/// <summary>
/// Optical spacing of two letters: the white between them, seen band by band and no deeper than an eye looks in, is made like the white
/// between two uprights. In units of a hundredth of the capital. Ours; the usual practice of lettering.
/// </summary>
public static class Spacing
{
    /// <summary>White between two uprights at usual spacing, and how deep an open side counts.</summary>
    private const double White = 28;

    private const double Depth = 44;

    /// <summary>Letters are drawn together or apart by no more than this.</summary>
    private const double MostCloser = 16;

    private const double MostApart = 4;

    /// <summary>Ink is never nearer than this.</summary>
    public const double LeastGap = 18.5;

    private const double Band = 10;

    /// <summary>How far to move the right letter: negative is closer.</summary>
    public static double Kern(Glyph left, Glyph right) => Kern(left, right, left.InkTo + left.Right + right.Left - right.InkFrom);

    /// <summary>The same where the right letter's own x = 0 stands so far from the left one's.</summary>
    public static double Kern(Glyph left, Glyph right, double shift)
    {
        var top = Math.Min(100, Math.Max(Top(left), Top(right)));
        var (sum, bands) = (0.0, 0);
        for (var y = 0.0; y < top - 1; y += Band)
        {
            var (a, b) = (Edge(left, y, rightmost: true), Edge(right, y, rightmost: false));
            var white = (b ?? right.InkFrom + (Depth / 2)) + shift - (a ?? left.InkTo - (Depth / 2));
            sum += Math.Clamp(white, 0, Depth);
            bands++;
        }

        var by = Math.Clamp(White - (sum / Math.Max(1, bands)), -MostCloser, MostApart);
        if (by >= 0)
        {
            return Math.Round(by, 2);
        }

        // Not so close that the ink comes nearer than it may.
        var gap = Gap(left, right, shift);
        for (var tries = 0; tries < 8 && Gap(left, right, shift + by) < Math.Min(gap, LeastGap); tries++)
        {
            by *= 0.7;
        }

        return Math.Round(by, 2);
    }

    /// <summary>Nearest distance between the ink of two letters, the right one moved by this much.</summary>
    public static double Gap(Glyph left, Glyph right, double shift)
    {
        var theirs = right.Lines.Select(line => line.Select(p => p + new Pt(shift, 0)).ToArray()).ToArray();
        return Polyline.Between(left.Lines, theirs);
    }

    private static double Top(Glyph glyph) => glyph.Lines.SelectMany(l => l).Max(p => p.Y);

    /// <summary>Outermost ink between two heights, or null where there is none.</summary>
    private static double? Edge(Glyph glyph, double from, bool rightmost)
    {
        double? edge = null;
        foreach (var line in glyph.Lines)
        {
            for (var i = 1; i < line.Count; i++)
            {
                var (a, b) = (line[i - 1], line[i]);
                var (low, high) = (Math.Min(a.Y, b.Y), Math.Max(a.Y, b.Y));
                if (high < from || low > from + Band)
                {
                    continue;
                }

                foreach (var y in new[] { Math.Max(low, from), Math.Min(high, from + Band) })
                {
                    var x = high - low < 1e-9 ? (rightmost ? Math.Max(a.X, b.X) : Math.Min(a.X, b.X)) : a.X
                        + ((b.X - a.X) * (y - a.Y) / (b.Y - a.Y));
                    edge = edge is null ? x : rightmost ? Math.Max(edge.Value, x) : Math.Min(edge.Value, x);
                }
            }
        }

        return edge;
    }
}
