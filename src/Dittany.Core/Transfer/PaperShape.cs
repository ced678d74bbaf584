using Dittany.Core.Geometry;

namespace Dittany.Core.Transfer;

/// <summary>
/// A rough paper shape of one motif or one wording, to be cut out and pushed about on the item: its outline in mm as it lies there, and its
/// middle. Round ones are circles, for they are cut quickest.
/// </summary>
public sealed record PaperShape(string Name, IReadOnlyList<Pt> OutlineMm, Pt MiddleMm, bool Round, IReadOnlyList<IReadOnlyList<Pt>> LinesMm)
{
    /// <summary>Paper left round the stitches, mm (from memory): the shape stands for the room they want.</summary>
    public const double SpareMm = 3;

    /// <summary>
    /// Bays narrower than this share of the size are not cut into, and no narrower than <see cref="LeastBayMm"/> (from memory: what
    /// scissors follow).
    /// </summary>
    private const double BayShare = 0.16;

    private const double LeastBayMm = 5;

    /// <summary>A shape that fills this share of the circle round it is cut as that circle (from memory).</summary>
    private const double RoundFrom = 0.8;

    private const double RoughlyMm = 0.4;

    private const int CircleCorners = 48;

    /// <summary>Least and greatest corner of the box round it, mm.</summary>
    public (Pt Least, Pt Greatest) Box { get; } = (new Pt(OutlineMm.Min(p => p.X), OutlineMm.Min(p => p.Y)),
        new Pt(OutlineMm.Max(p => p.X), OutlineMm.Max(p => p.Y)));

    public double WidthMm => Box.Greatest.X - Box.Least.X;

    public double HeightMm => Box.Greatest.Y - Box.Least.Y;

    /// <summary>The shape round some lines stitched this wide. A line of one point is a knot. Throws where there are no points.</summary>
    public static PaperShape Of(string name, IReadOnlyList<IReadOnlyList<Pt>> linesMm, double lineWidthMm)
    {
        var points = linesMm.SelectMany(l => l).ToArray();
        var hull = Region.HullOf(points);
        var about = Circle.Round(hull);
        var (spare, size) = (SpareMm + (lineWidthMm / 2), 2 * about.RadiusMm);
        var bay = Math.Max(LeastBayMm, BayShare * size) / 2;

        // Grown until narrow bays are shut, drawn in again: what is left over is the spare paper.
        var closed = Region.Along(linesMm, spare + bay).Filled().Offset(-bay).Filled();

        // What does not hang together is held by its hull.
        var whole = closed.Rings.Count == 1 ? closed : hull.Count > 2 ? Region.Of(hull).Offset(spare) : Region.Along(linesMm, spare);
        var circle = new Circle(about.Centre, about.RadiusMm + spare);
        if (whole.AreaMm2 >= RoundFrom * Math.PI * circle.RadiusMm * circle.RadiusMm)
        {
            return new PaperShape(name, Enumerable.Range(0, CircleCorners).Select(i => circle.Centre
                + (new Pt(Math.Sin(Math.Tau * i / CircleCorners),
                -Math.Cos(Math.Tau * i / CircleCorners)) * Outside(circle.RadiusMm))).ToArray(), circle.Centre, true, linesMm);
        }

        var ring = Region.Roughly(whole.Rings[0], RoughlyMm).Rings[0];
        var box = Region.Of(ring).Box;
        return new PaperShape(name, ring, Pt.Lerp(box.Least, box.Greatest, 0.5), false, linesMm);
    }

    /// <summary>Corners of a polygon that goes round a circle.</summary>
    private static double Outside(double radiusMm) => radiusMm / Math.Cos(Math.PI / CircleCorners);
}

/// <summary>Where a shape lies on a leaf: its box's top left in mm from the room's own.</summary>
public sealed record NestedShape(PaperShape Shape, double XMm, double YMm);

/// <summary>Lays paper shapes on leaves, upright, in rows, the highest first (first fit by falling height, Coffman et al. 1980).</summary>
public static class PaperNest
{
    /// <summary>Left between neighbours for the scissors, mm (from memory).</summary>
    public const double ApartMm = 4;

    /// <summary>
    /// Leaves of shapes that go on one each, and those that are larger than the room of a leaf. Sizes in mm; every shape is in one of the
    /// two, once.
    /// </summary>
    public static (IReadOnlyList<IReadOnlyList<NestedShape>> Leaves,
        IReadOnlyList<PaperShape> TooLarge) Lay(IReadOnlyList<PaperShape> shapes, double widthMm, double heightMm)
    {
        var rows = new List<(int Leaf, double Y, double Height, double X)>();
        var leaves = new List<(double Bottom, List<NestedShape> Shapes)>();
        var tooLarge = shapes.Where(s => s.WidthMm > widthMm || s.HeightMm > heightMm).ToArray();

        // Heights count in whole millimetres, so that shapes that are alike keep their order.
        foreach (var (shape, high) in shapes.Where(s => !tooLarge.Contains(s)).Select(s =>
            (Shape: s, High: Math.Min(heightMm, Math.Ceiling(s.HeightMm)))).OrderByDescending(s => s.High))
        {
            var k = rows.FindIndex(r => r.X + shape.WidthMm <= widthMm && high <= r.Height);
            if (k < 0)
            {
                var leaf = leaves.FindIndex(l => l.Bottom + high <= heightMm);
                if (leaf < 0)
                {
                    leaf = leaves.Count;
                    leaves.Add((0, []));
                }

                rows.Add((leaf, leaves[leaf].Bottom, high, 0));
                leaves[leaf] = leaves[leaf] with { Bottom = leaves[leaf].Bottom + high + ApartMm };
                k = rows.Count - 1;
            }

            var row = rows[k];
            leaves[row.Leaf].Shapes.Add(new NestedShape(shape, row.X, row.Y));
            rows[k] = row with { X = row.X + shape.WidthMm + ApartMm };
        }

        return (leaves.Select(l => (IReadOnlyList<NestedShape>)l.Shapes).ToArray(), tooLarge);
    }
}
