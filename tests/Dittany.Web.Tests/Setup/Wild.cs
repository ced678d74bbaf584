using Dittany.Core.Geometry;
using Dittany.Core.Jobs;
using Dittany.Core.Motifs;

namespace Dittany.Web.Tests.Setup;

/// <summary>A job that is more than one plan reckons, and is known to be so in about a second.</summary>
internal static class Wild
{
    private const int Bends = 1200;

    /// <summary>A scribble that crosses itself all over, on a tablecloth; <paramref name="day"/> tells one from another.</summary>
    public static Job Scribble(DateOnly day)
    {
        var chance = new Random(7);
        Pt Somewhere() => new(chance.NextDouble() * 300, chance.NextDouble() * 300);
        var curves = new List<Curve>();
        var at = Somewhere();
        for (var i = 0; i < Bends; i++)
        {
            var to = Somewhere();
            curves.Add(new Curve(at, Somewhere(), Somewhere(), to));
            at = to;
        }

        var figure = new Figure([new FigurePart("outline", FigureKind.Line, new Stroke(curves.ToArray(), false))]);
        return new Job("tablecloth", [new MotifElement("wild", "own", HeightMm: 300, Drawing: new OwnDrawing("scribble", figure))], day, "Wild", Size: "150x220");
    }
}
