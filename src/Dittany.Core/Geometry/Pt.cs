using Dittany.Core.Measures;

namespace Dittany.Core.Geometry;

/// <summary>
/// A point, or the way from one point to another, in millimetres (or in an alphabet's units). Planning frames are x right, y down.
/// </summary>
public readonly record struct Pt(double X, double Y)
{
    /// <summary>Length of the way from the origin.</summary>
    public double Length => Math.Sqrt((X * X) + (Y * Y));

    public static Pt operator +(Pt a, Pt b) => new(a.X + b.X, a.Y + b.Y);

    public static Pt operator -(Pt a, Pt b) => new(a.X - b.X, a.Y - b.Y);

    public static Pt operator *(Pt a, double k) => new(a.X * k, a.Y * k);

    /// <summary>Straight distance to another point.</summary>
    public double To(Pt other) => (other - this).Length;

    /// <summary>The point on the 0.001 mm grid.</summary>
    public Pt OnGrid() => new(Rounding.ToGrid(X), Rounding.ToGrid(Y));

    /// <summary>Scalar product.</summary>
    public static double Dot(Pt a, Pt b) => (a.X * b.X) + (a.Y * b.Y);

    /// <summary>
    /// Cross product: positive where <paramref name="b"/> turns clockwise from <paramref name="a"/> on a page with y down.
    /// </summary>
    public static double Cross(Pt a, Pt b) => (a.X * b.Y) - (a.Y * b.X);

    /// <summary>A point part of the way along a segment; <paramref name="t"/> from 0 to 1.</summary>
    public static Pt Lerp(Pt a, Pt b, double t) => new(a.X + ((b.X - a.X) * t), a.Y + ((b.Y - a.Y) * t));

    /// <summary>The turn between two directions, in radians from 0 to π. Zero when either has no length.</summary>
    public static double TurnRadians(Pt a, Pt b) =>
        a.Length == 0 || b.Length == 0 ? 0 : Math.Abs(Math.Atan2(Cross(a, b), Dot(a, b)));
}
