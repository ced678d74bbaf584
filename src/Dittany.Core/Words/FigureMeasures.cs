using System.Runtime.CompilerServices;
using Dittany.Core.Geometry;

namespace Dittany.Core.Words;

/// <summary>
/// How narrow a drawing's openings are and how tight its bends: measured as those of a letter are, and scale-free. In the units of the
/// drawing. Parts of one drawing may touch. Of a repeated motif the smallest copy is measured, for the others open no less.
/// </summary>
public sealed record FigureMeasures(double Narrowest, double TightestRadius)
{
    private static readonly ConditionalWeakTable<IReadOnlyList<FigurePart>, FigureMeasures> Kept = [];

    /// <summary>Measures of parts; kept while the parts are. Infinite where there is nothing to shut and no bend.</summary>
    public static FigureMeasures Of(IReadOnlyList<FigurePart> parts) => Kept.GetValue(parts, Fresh);

    private static FigureMeasures Fresh(IReadOnlyList<FigurePart> parts)
    {
        var drawn = parts.Where(p => p.Kind != FigureKind.Dot).GroupBy(p => p.Copy).Where(g => g.Key >= 0).Select(g =>
            new Figure(g.ToArray())).OrderBy(f => Math.Round(Math.Max(f.Width, f.Height), 6)).FirstOrDefault()?.Parts.ToArray() ?? [];
        if (drawn.Length == 0)
        {
            return new FigureMeasures(double.PositiveInfinity, double.PositiveInfinity);
        }

        var (least, greatest) = new Figure(drawn).Box;

        // Measured as a letter a hundred units high would be.
        var unit = Math.Max(greatest.X - least.X, greatest.Y - least.Y) / 100;
        var glyph = new Glyph("*", 0, 0, 0, 100, drawn.Select(p => p.Stroke.Map(q => (q - least) * (1 / unit))).ToArray());
        var measures = GlyphMeasures.WithoutGaps(glyph);
        return new FigureMeasures(measures.Counters.DefaultIfEmpty(double.PositiveInfinity).Min() * unit, measures.TightestRadius * unit);
    }
}
