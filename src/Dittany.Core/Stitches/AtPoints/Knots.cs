using Dittany.Core.Materials;

namespace Dittany.Core.Stitches.AtPoints;

/// <summary>
/// French knots by strands and wraps: how wide they lie and how much thread they take, a hop of 3 mm behind included. From memory.
/// </summary>
public static class Knots
{
    /// <summary>Dots of letters are tiny straights below this height of capitals (from memory).</summary>
    public const double FromCapMm = 12;

    /// <summary>
    /// Most wraps by strands: two lie well round four, one round more, or the knot stands up like a bead and slips through (common
    /// practice; the figures from memory).
    /// </summary>
    private static readonly (int UpTo, int Most)[] MostWraps = [(3, 3), (4, 2), (int.MaxValue, 1)];

    /// <summary>The wraps she likes, or as many as the bundle takes.</summary>
    public static int Wraps(int wished, ThreadSize size) => Math.Min(wished, MostWraps.First(m => size.InStrands <= m.UpTo).Most);

    private static readonly (int Strands, double[] AcrossMm, double[] ThreadMm)[] Table =
    [
        (1, [0.8, 1.0, 1.2], [7, 10, 13]),
        (2, [1.2, 1.6, 1.9], [8, 12, 16]),
        (3, [1.5, 2.0, 2.4], [9, 14, 19]),
        (4, [1.8, 2.4, 2.8], [10, 16, 21]),
        (6, [2.3, 3.0, 3.6], [12, 19, 26]),
    ];

    /// <summary>Across, in mm; wraps 1 to 3. Five strands count as six.</summary>
    public static double AcrossMm(ThreadSize size, int wraps) => Math.Round(Thicker(size) * Row(size).AcrossMm[wraps - 1], 1);

    /// <summary>Thread of the bundle one knot takes, in mm.</summary>
    public static double ThreadMm(ThreadSize size, int wraps) => Math.Round(Thicker(size) * Row(size).ThreadMm[wraps - 1]);

    /// <summary>
    /// What is thicker than six strands, or lies wider than the strands it is looked up by, makes a knot larger by as much as it lies
    /// wider.
    /// </summary>
    private static double Thicker(ThreadSize size) => size.ByStrands && size.Ply <= Bundle.Most ? size.Kind.Scale
        : size.WidthMm / Bundle.WidthMm(Math.Min(size.InStrands, Bundle.Most));

    private static (int Strands, double[] AcrossMm, double[] ThreadMm) Row(ThreadSize size)
    {
        var strands = size.InStrands;
        return Table.First(r => strands <= r.Strands || r.Strands == 6);
    }
}
