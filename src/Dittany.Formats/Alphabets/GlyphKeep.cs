using System.Collections.Concurrent;
using Dittany.Core.Geometry;
using Dittany.Core.Words;

namespace Dittany.Formats.Alphabets;

/// <summary>What was made of a font's glyphs, kept as long as the program runs; no more than a font has, so that changing words cannot fill the memory.</summary>
internal sealed class GlyphKeep
{
    /// <summary>Runs of joined letters that are kept; beyond it they are made anew.</summary>
    private const int Most = 20_000;

    private readonly ConcurrentDictionary<string, Glyph?> _glyphs = new(StringComparer.Ordinal);
    private readonly ConcurrentDictionary<string, (IReadOnlyList<Stroke>, double)> _lines = new(StringComparer.Ordinal);
    private readonly ConcurrentDictionary<Glyph, GlyphMeasures> _measures = new(ReferenceEqualityComparer.Instance);

    public Glyph? Glyph(string key, Func<Glyph?> make)
    {
        if (_glyphs.TryGetValue(key, out var known))
        {
            return known;
        }

        if (_glyphs.Count > Most)
        {
            _glyphs.Clear();
            _measures.Clear();
        }

        return _glyphs.GetOrAdd(key, _ => make());
    }

    public (IReadOnlyList<Stroke> Strokes, double Weight) Lines(string key, Func<(IReadOnlyList<Stroke>, double)> make) => _lines.GetOrAdd(key, _ => make());

    public GlyphMeasures Memo(Glyph glyph, Func<Glyph, GlyphMeasures> measure) => _measures.GetOrAdd(glyph, measure);
}
