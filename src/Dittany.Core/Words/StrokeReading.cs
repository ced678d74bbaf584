using System.Globalization;
using Dittany.Core.Geometry;
using Dittany.Core.Measures;

namespace Dittany.Core.Words;

/// <summary>
/// Reads strokes as our hands are written down: <c>M</c> begins at a point, <c>L</c> goes straight, <c>C</c> curves by two handles,
/// <c>E</c> follows an ellipse (centre, radii, from angle, to angle in degrees). A stroke that comes back to its beginning is closed.
/// </summary>
public static class StrokeReading
{
    /// <summary>One stroke; what is not written that way throws <see cref="FormatException"/>.</summary>
    public static Stroke Read(string text)
    {
        var words = text.Split(' ', StringSplitOptions.RemoveEmptyEntries);
        var curves = new List<Curve>();
        Pt? at = null;
        for (var i = 0; i < words.Length;)
        {
            double N(int k) => Number(words[i + k]);
            switch (words[i])
            {
                case "M":
                    at = new Pt(N(1), N(2));
                    i += 3;
                    break;
                case "L":
                    var to = new Pt(N(1), N(2));
                    curves.Add(Curve.Line(at.Sure(), to));
                    at = to;
                    i += 3;
                    break;
                case "C":
                    curves.Add(new Curve(at.Sure(), new Pt(N(1), N(2)), new Pt(N(3), N(4)), new Pt(N(5), N(6))));
                    at = new Pt(N(5), N(6));
                    i += 7;
                    break;
                case "E":
                    var arc = Ellipse(new Pt(N(1), N(2)), N(3), N(4), N(5), N(6)).ToArray();
                    if (at is { } from)
                    {
                        arc[0] = arc[0] with { P0 = from };
                    }

                    curves.AddRange(arc);
                    at = arc[^1].P3;
                    i += 7;
                    break;
                default:
                    throw new FormatException($"'{words[i]}' is not a way to draw.");
            }
        }

        var closed = curves[0].P0.To(curves[^1].P3) < 1e-6;
        if (closed)
        {
            curves[^1] = curves[^1] with { P3 = curves[0].P0 };
        }

        return new Stroke(curves, closed);
    }

    /// <summary>
    /// An arc of an ellipse as cubics of at most 45°, which leave it by less than a millionth of its size. Angles in degrees.
    /// </summary>
    public static IEnumerable<Curve> Ellipse(Pt centre, double rx, double ry, double fromDegrees, double toDegrees)
    {
        var pieces = (int)Math.Ceiling(Math.Abs(toDegrees - fromDegrees) / 45);
        var step = (toDegrees - fromDegrees) / pieces * Math.PI / 180;
        var handle = 4.0 / 3 * Math.Tan(step / 4);
        for (var i = 0; i < pieces; i++)
        {
            var a = (fromDegrees * Math.PI / 180) + (i * step);
            var (p, q) = (At(a), At(a + step));
            yield return new Curve(p, p + (Along(a) * handle), q - (Along(a + step) * handle), q);
        }

        Pt At(double a) => new(centre.X + (rx * Math.Cos(a)), centre.Y + (ry * Math.Sin(a)));
        Pt Along(double a) => new(-rx * Math.Sin(a), ry * Math.Cos(a));
    }

    internal static double Number(string text) => double.Parse(text, CultureInfo.InvariantCulture);
}
