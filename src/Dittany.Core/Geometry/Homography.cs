using MathNet.Numerics.LinearAlgebra;

namespace Dittany.Core.Geometry;

/// <summary>
/// The map between two views of one plane: straight lines stay straight. From four pairs of points it is exact, from more it is the
/// least-squares answer of the linear equations, taken in scaled coordinates. Not for points on the horizon, which map nowhere.
/// </summary>
public sealed class Homography
{
    private readonly double[] _h;

    private Homography(double[] h) => _h = h;

    /// <summary>
    /// The map that takes each first point to its second. Null where the points do not settle it: fewer than four pairs, or three of four
    /// in a line.
    /// </summary>
    public static Homography? Of(IReadOnlyList<(Pt From, Pt To)> pairs)
    {
        if (pairs.Count < 4 || pairs.Any(p => !Finite(p.From) || !Finite(p.To)))
        {
            return null;
        }

        var (from, to) = (Scaling(pairs.Select(p => p.From)), Scaling(pairs.Select(p => p.To)));
        if (from is null || to is null)
        {
            return null;
        }

        var rows = new double[2 * pairs.Count, 9];
        for (var i = 0; i < pairs.Count; i++)
        {
            var (a, b) = (from.Value.On(pairs[i].From), to.Value.On(pairs[i].To));
            double[][] two = [[a.X, a.Y, 1, 0, 0, 0, -b.X * a.X, -b.X * a.Y, -b.X], [0, 0, 0, a.X, a.Y, 1, -b.Y * a.X, -b.Y * a.Y, -b.Y]];
            for (var k = 0; k < 9; k++)
            {
                rows[2 * i, k] = two[0][k];
                rows[(2 * i) + 1, k] = two[1][k];
            }
        }

        var svd = Matrix<double>.Build.DenseOfArray(rows).Svd(computeVectors: true);

        // One direction alone may be free: where a second is, three points lie in a line.
        if (svd.S[7] < 1e-9 * svd.S[0])
        {
            return null;
        }

        var h = svd.VT.Row(8).ToArray();
        var scaled = Multiply(to.Value.Back(), Multiply(h, from.Value.Forth()));
        var largest = scaled.Max(Math.Abs);
        return Math.Abs(Determinant(scaled)) < 1e-15 * largest * largest * largest ? null
            : new Homography(scaled.Select(v => v / largest).ToArray());
    }

    /// <summary>The nine numbers by rows, the largest 1 in size.</summary>
    public IReadOnlyList<double> Values => _h;

    /// <summary>Where a point goes.</summary>
    public Pt Map(Pt p)
    {
        var w = Depth(p);
        return new Pt(((_h[0] * p.X) + (_h[1] * p.Y) + _h[2]) / w, ((_h[3] * p.X) + (_h[4] * p.Y) + _h[5]) / w);
    }

    /// <summary>The sign of this tells on which side of the horizon a point lies: points of one view of a plane all lie on one.</summary>
    public double Depth(Pt p) => (_h[6] * p.X) + (_h[7] * p.Y) + _h[8];

    /// <summary>How much lengths grow at a point, along the way they grow most and along the way they grow least.</summary>
    public (double Most, double Least) ScaleAt(Pt p)
    {
        var (w, at) = (Depth(p), Map(p));
        var (a, b) = ((_h[0] - (_h[6] * at.X)) / w, (_h[1] - (_h[7] * at.X)) / w);
        var (c, d) = ((_h[3] - (_h[6] * at.Y)) / w, (_h[4] - (_h[7] * at.Y)) / w);
        var (sum, difference) = (Math.Sqrt(((a + d) * (a + d)) + ((c - b) * (c - b))),
            Math.Sqrt(((a - d) * (a - d)) + ((c + b) * (c + b))));
        return ((sum + difference) / 2, Math.Abs(sum - difference) / 2);
    }

    /// <summary>The map back.</summary>
    public Homography Inverse()
    {
        var h = _h;
        double[] i =
        [
            (h[4] * h[8]) - (h[5] * h[7]), (h[2] * h[7]) - (h[1] * h[8]), (h[1] * h[5]) - (h[2] * h[4]),
            (h[5] * h[6]) - (h[3] * h[8]), (h[0] * h[8]) - (h[2] * h[6]), (h[2] * h[3]) - (h[0] * h[5]),
            (h[3] * h[7]) - (h[4] * h[6]), (h[1] * h[6]) - (h[0] * h[7]), (h[0] * h[4]) - (h[1] * h[3]),
        ];
        var largest = i.Max(Math.Abs);
        return new Homography(i.Select(v => v / largest).ToArray());
    }

    /// <summary>This map and then another.</summary>
    public Homography Then(Homography next) => new(Multiply(next._h, _h));

    /// <summary>A map that moves by so much, after turning by an angle, radians clockwise as seen with y down, about the origin.</summary>
    public static Homography Turned(double radians, Pt by) =>
        new([Math.Cos(radians), -Math.Sin(radians), by.X, Math.Sin(radians), Math.Cos(radians), by.Y, 0, 0, 1]);

    private static bool Finite(Pt p) => double.IsFinite(p.X) && double.IsFinite(p.Y);

    private static double Determinant(double[] h) => (h[0] * ((h[4] * h[8]) - (h[5] * h[7]))) - (h[1] * ((h[3] * h[8]) - (h[5] * h[6])))
        + (h[2] * ((h[3] * h[7]) - (h[4] * h[6])));

    private static double[] Multiply(double[] a, double[] b)
    {
        var product = new double[9];
        for (var r = 0; r < 3; r++)
        {
            for (var c = 0; c < 3; c++)
            {
                product[(3 * r) + c] = (a[3 * r] * b[c]) + (a[(3 * r) + 1] * b[3 + c]) + (a[(3 * r) + 2] * b[6 + c]);
            }
        }

        return product;
    }

    /// <summary>
    /// Moved to their middle and scaled to a mean distance of √2 from it, so that the equations are well conditioned (Hartley 1997).
    /// </summary>
    private static Scaled? Scaling(IEnumerable<Pt> points)
    {
        var all = points.ToArray();
        var middle = new Pt(all.Average(p => p.X), all.Average(p => p.Y));
        var far = all.Average(p => p.To(middle));
        return far < 1e-12 ? null : new Scaled(middle, Math.Sqrt(2) / far);
    }

    private readonly record struct Scaled(Pt Middle, double By)
    {
        public Pt On(Pt p) => (p - Middle) * By;

        public double[] Forth() => [By, 0, -By * Middle.X, 0, By, -By * Middle.Y, 0, 0, 1];

        public double[] Back() => [1 / By, 0, Middle.X, 0, 1 / By, Middle.Y, 0, 0, 1];
    }
}
