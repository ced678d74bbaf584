using Dittany.Core.Measures;

namespace Dittany.Core.Geometry;

/// <summary>
/// How dear an area, or some lines, are to the geometry library: by their points, and by pairs of sharp turns of one ring
/// (<paramref name="Sharp"/>), for where an edge is jagged its offsets and overlays cross in many places. Spends the steps of a call from
/// the current <see cref="Budget"/> before the call is made, for
/// the library cannot be stopped while it works. Measured on two cores, one step being about a thirtieth of a microsecond; the figures are
/// in docs/measured.md.
/// </summary>
internal readonly record struct RegionCost(long Points, long Sharp)
{
    /// <summary>Crossings of one ring are counted up to here: a repair of more would take seconds.</summary>
    public const int MostCounted = 4000;

    /// <summary>A turn is sharp from here on, as the square of its sine: 20°.</summary>
    private const double SharpSine = 0.117;

    // Steps of the library's calls, a point and a pair of sharp turns (measured).
    private const int OffsetSteps = 60;
    private const int OffsetSharpSteps = 4;
    private const int OverlaySteps = 45;
    private const int CheckSteps = 8;
    private const int SimplifySteps = 200;
    private const int WidenSteps = 250;
    private const int RepairSteps = 120;
    private const int CrossingSteps = 6000;
    private const int RoomiestSteps = 400;

    /// <summary>Pairs of pieces looked at for a distance are so many to a step.</summary>
    private const int PairsToAStep = 8;

    public static RegionCost operator +(RegionCost a, RegionCost b) => new(a.Points + b.Points, a.Sharp + b.Sharp);

    /// <summary>The cost of rings, or of lines.</summary>
    public static RegionCost Of(IReadOnlyList<IReadOnlyList<Pt>> rings)
    {
        var (points, sharp) = (0L, 0L);
        foreach (var ring in rings)
        {
            points += ring.Count;
            var turns = 0L;
            for (var i = 2; i < ring.Count; i++)
            {
                var (a, b) = (ring[i - 1] - ring[i - 2], ring[i] - ring[i - 1]);
                var cross = Pt.Cross(a, b);
                if (Pt.Dot(a, b) < 0 || cross * cross > SharpSine * Pt.Dot(a, a) * Pt.Dot(b, b))
                {
                    turns++;
                }
            }

            sharp += turns * turns;
        }

        return new RegionCost(points, sharp);
    }

    public void Check() => Spend(CheckSteps * Points);

    public void Simplify() => Spend(SimplifySteps * Points);

    /// <summary>One buffer about all of it.</summary>
    public void Offset() => Spend((OffsetSteps * Points) + (OffsetSharpSteps * Sharp));

    /// <summary>A buffer about each of many lines, and all of them as one.</summary>
    public void Widen() => Spend((WidenSteps * Points) + (OffsetSharpSteps * Sharp / 4));

    public void Overlay(RegionCost other) => Spend((OverlaySteps * (Points + other.Points)) + ((Sharp + other.Sharp) / 2));

    public void Union() => Spend((OverlaySteps * Points) + (Sharp / 4));

    public void Repair(int crossings) => Spend((RepairSteps * Points) + ((long)CrossingSteps * crossings));

    public void Distance(RegionCost other) => Spend(1 + Points + other.Points + (Points * other.Points / PairsToAStep));

    public void Roomiest() => Spend(RoomiestSteps * Points);

    /// <summary>One place held against every edge.</summary>
    public void Look() => Spend(1 + (Points / 4));

    private static void Spend(long steps) => Budget.Current.Spend(steps);
}
