using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using Dittany.Core.Words;

namespace Dittany.Formats.Alphabets;

/// <summary>What was made of a font's glyphs, kept up to what a font has, so that changing words cannot fill the memory.</summary>
internal sealed class GlyphKeep
{
    /// <summary>Letters and runs of joined letters that are kept; beyond it they are made anew.</summary>
    private const int Most = 5_000;

    private readonly Kept<string, Glyph?> _glyphs = new(Most);
    private readonly Kept<string, (IReadOnlyList<Stroke>, double)> _lines = new(Most);
    private readonly Kept<Glyph, GlyphMeasures> _measures = new(Most);

    public Glyph? Glyph(string key, Func<Glyph?> make) => _glyphs.Of(key, _ => make());

    public (IReadOnlyList<Stroke> Strokes, double Weight) Lines(string key, Func<(IReadOnlyList<Stroke>, double)> make) => _lines.Of(key, _ => make());

    public GlyphMeasures Memo(Glyph glyph, Func<Glyph, GlyphMeasures> measure) => _measures.Of(glyph, measure);
}
