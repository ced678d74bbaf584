using Dittany.Core.Measures;

namespace Dittany.Core.Items;

/// <summary>
/// Cloth for a set of equals on one piece, mm: how many rows and how many in a row, whether rows stand between each other, and the
/// piece they are stitched on. <paramref name="UsedShare"/> is what they take of the room inside its margin.
/// </summary>
public sealed record SetCloth(int Rows, int InRow, bool Staggered, double WidthMm, double HeightMm, double UsedShare)
{
    /// <summary>Cloth left between the seams of neighbours, to cut along (from memory).</summary>
    public const double BetweenMm = 6;

    /// <summary>
    /// The least cloth for <paramref name="count"/> equal shapes, each with its seam all round, in straight rows or, where they are round,
    /// rows that stand between each other; no wider than <paramref name="mostWideMm"/>. A margin all round is there to be gripped.
    /// </summary>
    public static SetCloth Of(int count, double acrossMm, double highMm, double seamMm, double marginMm, bool round,
        double mostWideMm = 1400)
    {
        var (wide, high) = (acrossMm + (2 * seamMm) + BetweenMm, highMm + (2 * seamMm) + BetweenMm);
        var room = round ? Math.PI * wide * high / 4 : wide * high;
        SetCloth? best = null;
        for (var inRow = 1; inRow <= count; inRow++)
        {
            foreach (var staggered in round ? [false, true] : new[] { false })
            {
                var laid = Laid(count, inRow, wide, high, staggered);
                var (w, h) = (laid.Wide + (2 * marginMm), laid.High + (2 * marginMm));
                if ((w <= mostWideMm || inRow == 1) && (best is null || w * h < best.WidthMm * best.HeightMm - 1e-6))
                {
                    best = new SetCloth(laid.Rows, inRow, staggered && laid.Rows > 1, Math.Ceiling(w / 5) * 5, Math.Ceiling(h / 5) * 5,
                        count * room / (laid.Wide * laid.High));
                }
            }
        }

        return best.Sure();
    }

    private static (double Wide, double High, int Rows) Laid(int count, int inRow, double wide, double high, bool staggered)
    {
        if (!staggered)
        {
            var rows = (int)Math.Ceiling((double)count / inRow);
            return (inRow * wide, rows * high, rows);
        }

        // Every second row stands half a step aside and holds one less, or as many where there is room for the half step.
        var (all, least) = (0, 0);
        for (; all < count; least++)
        {
            all += inRow;
        }

        return ((inRow + (least > 1 ? 0.5 : 0)) * wide, high + ((least - 1) * high * Math.Sqrt(0.75)), least);
    }
}
