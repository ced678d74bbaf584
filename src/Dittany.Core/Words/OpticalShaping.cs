using System.Runtime.CompilerServices;
using Dittany.Core.Measures;

namespace Dittany.Core.Words;

/// <summary>Rows of separate letters, spaced by eye: the white between neighbours is made even.</summary>
internal static class OpticalShaping
{
    public static ShapedRow Shape(IAlphabet alphabet, string row, double wider)
    {
        var letters = new List<ShapedLetter>();
        var spaces = new List<double>();
        var (pen, last) = (0.0, (Glyph?)null);
        foreach (var letter in Rows.Letters(row))
        {
            if (Rows.IsSpace(letter))
            {
                spaces.Add(pen + (Setting.WordSpace * Alphabets.CapUnits / 2));
                pen += (Setting.WordSpace * Alphabets.CapUnits) + wider;
                last = null;
                continue;
            }

            var glyph = alphabet.Find(letter).Sure();
            var gap = double.PositiveInfinity;
            if (last is not null)
            {
                var beside = alphabet.Beside(last, glyph);
                pen += beside.Kern + wider;
                gap = wider == 0 ? beside.Gap : wider == Setting.WideUnits ? beside.WideGap : beside.Gap + wider;
            }

            letters.Add(new ShapedLetter(letter, glyph, pen + glyph.Left - glyph.InkFrom, gap));
            pen += glyph.Advance;
            last = glyph;
        }

        return new ShapedRow(letters, spaces);
    }
}

/// <summary>What is measured of glyphs and pairs of them, kept as long as the program runs.</summary>
internal sealed class GlyphMemo
{
    /// <summary>Letters and pairs that are kept: more than any language needs.</summary>
    private const int Most = 5_000;

    private readonly ConditionalWeakTable<Glyph, GlyphMeasures> _measures = [];
    private readonly Kept<(string, string), Beside> _beside = new(Most);

    public GlyphMeasures Measure(Glyph glyph) => _measures.GetValue(glyph, GlyphMeasures.Of);

    public Beside Beside(Glyph left, Glyph right) => _beside.Of((left.Letter, right.Letter), _ =>
    {
        var kern = Spacing.Kern(left, right);
        var shift = left.InkTo + left.Right + right.Left - right.InkFrom + kern;
        return new Beside(kern, Spacing.Gap(left, right, shift), Spacing.Gap(left, right, shift + Setting.WideUnits));
    });
}
