using System.Runtime.InteropServices;
using System.Security.Cryptography;
using Dittany.Core.Geometry;
using Dittany.Core.Measures;

namespace Dittany.Core.Words;

/// <summary>
/// How narrow a drawing's openings are and how tight its bends: measured as those of a letter are, and scale-free. In the units of the
/// drawing. Parts of one drawing may touch. Of a repeated motif the smallest copy is measured, for the others open no less.
/// </summary>
public sealed record FigureMeasures(double Narrowest, double TightestRadius)
{
    /// <summary>Drawings whose measures are kept: a field of flowers has many of a few.</summary>
    private const int Most = 400;

    private static readonly Kept<string, FigureMeasures> Measured = new(Most);

    /// <summary>
    /// Measures of parts; kept by what is drawn, whichever drawing it is of. Infinite where there is nothing to shut and no bend.
    /// </summary>
    public static FigureMeasures Of(IReadOnlyList<FigurePart> parts) => Measured.Of(Named(parts), _ => Fresh(parts));

    /// <summary>Names a drawing by its lines: SHA-256 over their points, kinds and copies.</summary>
    private static string Named(IReadOnlyList<FigurePart> parts)
    {
        using var hash = IncrementalHash.CreateHash(HashAlgorithmName.SHA256);
        foreach (var part in parts)
        {
            ReadOnlySpan<int> about = [part.Copy, (int)part.Kind, part.Stroke.Closed ? 1 : 0, part.Stroke.Curves.Count];
            hash.AppendData(MemoryMarshal.AsBytes(about));
            foreach (var curve in part.Stroke.Curves.Concat(part.Holes.SelectMany(h => h.Curves)))
            {
                ReadOnlySpan<double> points = [curve.P0.X, curve.P0.Y, curve.P1.X, curve.P1.Y, curve.P2.X, curve.P2.Y, curve.P3.X,
                    curve.P3.Y];
                hash.AppendData(MemoryMarshal.AsBytes(points));
            }
        }

        return Convert.ToHexString(hash.GetHashAndReset());
    }

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
        var glyph = new Glyph("*", 0, 0, 0, 100, drawn.SelectMany(p => p.Holes.Prepend(p.Stroke)).Select(s =>
            s.Map(q => (q - least) * (1 / unit))).ToArray());
        var measures = GlyphMeasures.WithoutGaps(glyph);
        return new FigureMeasures(measures.Counters.DefaultIfEmpty(double.PositiveInfinity).Min() * unit, measures.TightestRadius * unit);
    }
}
