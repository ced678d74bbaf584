using Dittany.Core.Designs;
using Dittany.Core.Geometry;
using Dittany.Core.Stitches;

namespace Dittany.Core.Tests.Stitches;

/// <summary>Strokes of known shape for tests.</summary>
internal static class Strokes
{
    /// <summary>A line sewn in the stitch of a spec.</summary>
    public static Placed? Sewn(Stroke stroke, StitchSpec spec) => spec.Pair.Stitch.Sew(new Shape("line", Line: stroke), new SewingBy(spec));

    public static Stroke Line(double length) => new([Curve.Line(default, new Pt(length, 0))], false);

    public static Stroke Circle(double radius) => new(Arc(default, radius, 0, 360).ToArray(), true);

    /// <summary>An arc in degrees as cubics that leave it by less than a millionth.</summary>
    public static IEnumerable<Curve> Arc(Pt centre, double r, double from, double to)
    {
        var pieces = (int)Math.Ceiling(Math.Abs(to - from) / 45);
        var step = (to - from) / pieces * Math.PI / 180;
        var k = 4.0 / 3 * Math.Tan(step / 4);
        Pt At(double a) => new(centre.X + (r * Math.Cos(a)), centre.Y + (r * Math.Sin(a)));
        Pt Along(double a) => new(-r * Math.Sin(a), r * Math.Cos(a));
        for (var i = 0; i < pieces; i++)
        {
            var a = (from * Math.PI / 180) + (i * step);
            yield return new Curve(At(a), At(a) + (Along(a) * k), At(a + step) - (Along(a + step) * k), At(a + step));
        }
    }
}
