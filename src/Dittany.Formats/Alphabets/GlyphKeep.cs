using System.Runtime.CompilerServices;
using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using Dittany.Core.Words;

namespace Dittany.Formats.Alphabets;

/// <summary>What was made of a font's glyphs, kept up to what a font has, so that changing words cannot fill the memory.</summary>
internal sealed class GlyphKeep
{
    /// <summary>
    /// Points of letters and of runs of joined letters that are kept of a font: some hundred letters, about 5 MB; beyond it they are made
    /// anew.
    /// </summary>
    private const int MostPoints = 100_000;

    private readonly Kept<string, Glyph?> _glyphs = new(MostPoints, g => g is null ? 1 : g.Lines.Sum(l => l.Count)
        + g.Coarse.Sum(l => l.Count) + (4 * g.Strokes.Sum(s => s.Curves.Count)));
    private readonly Kept<string, (IReadOnlyList<Stroke> Strokes, double)> _lines = new(MostPoints, l =>
        4 * l.Strokes.Sum(s => s.Curves.Count));

    /// <summary>
    /// Measures live as long as their letter: kept under it they would keep it, and all its points, for as long as they are.
    /// </summary>
    private readonly ConditionalWeakTable<Glyph, GlyphMeasures> _measures = [];

    public Glyph? Glyph(string key, Func<Glyph?> make) => _glyphs.Of(key, _ => make());

    public (IReadOnlyList<Stroke> Strokes, double Weight) Lines(string key, Func<(IReadOnlyList<Stroke>, double)> make) =>
        _lines.Of(key, _ => make());

    public GlyphMeasures Measure(Glyph glyph) => _measures.GetValue(glyph, GlyphMeasures.Of);
}
