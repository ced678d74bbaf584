using Dittany.Core.Geometry;
using Dittany.Core.Measures;

namespace Dittany.Core.Words;

public enum AlphabetKind
{
    Stroke,
    Weighted,
    CentreLine,
}

/// <summary>
/// One letter of an alphabet: strokes in writing order, y up, baseline at 0, capitals 100 high. <paramref name="Left"/> and
/// <paramref name="Right"/> are the spaces to leave beside its ink; the ink runs from <paramref name="InkFrom"/> to
/// <paramref name="InkTo"/>, accents not counted.
/// </summary>
public sealed record Glyph(string Letter, double Left, double Right, double InkFrom, double InkTo, IReadOnlyList<Stroke> Strokes)
{
    private static long _last;

    public double Advance => Left + (InkTo - InkFrom) + Right;

    /// <summary>Its own number, for what is kept of pairs: a number keeps no letter in the memory.</summary>
    public long Number { get; } = Interlocked.Increment(ref _last);

    /// <summary>Whether it has a dot: a straight stroke so short that it reads as a point.</summary>
    public bool HasDot { get; } = Strokes.Any(s => !s.Closed && s.Curves.Count == 1 && s.Curves[0].IsStraight
        && s.Start.To(s.End) <= Alphabets.DotUnits);

    /// <summary>Strokes as few points, for how near letters come to each other: within half a hundredth of the capital.</summary>
    public IReadOnlyList<IReadOnlyList<Pt>> Coarse { get; } = Strokes.Select(s => s.Flatten(Alphabets.CoarseUnits)).ToArray();

    /// <summary>Strokes as points, close enough for fitting and legibility at any size a plan may have.</summary>
    public IReadOnlyList<IReadOnlyList<Pt>> Lines { get; } = Strokes.Select(s => s.Flatten(Alphabets.FlattenUnits)).ToArray();
}

/// <summary>
/// Two neighbours, in units: how the right one is moved so that the white between them looks even, and the nearest distance of their ink
/// then, at usual and at wide spacing.
/// </summary>
public sealed record Beside(double Kern, double Gap, double WideGap);

/// <summary>
/// A letter in a row: <paramref name="At"/> is where its own x = 0 stands, in units from the start of the row; <paramref name="Gap"/> the
/// nearest distance to the ink of the letter before it, infinite after a space or where they are joined. Where it is joined its first
/// stroke goes on from the first stroke of the letter before, and
/// <paramref name="Strokes"/> stand for those of the glyph, the join included.
/// </summary>
public sealed record ShapedLetter(string Letter, Glyph Glyph, double At, double Gap, bool Joins = false,
    IReadOnlyList<Stroke>? Strokes = null)
{
    /// <summary>Its strokes as points.</summary>
    public IReadOnlyList<IReadOnlyList<Pt>> Lines { get; } = Strokes?.Select(s => s.Flatten(Alphabets.FlattenUnits)).ToArray()
        ?? Glyph.Lines;
}

/// <summary>
/// A row of letters in the order they are read along it from left to right; <paramref name="Spaces"/> are the middles of the spaces, in
/// units.
/// </summary>
public sealed record ShapedRow(IReadOnlyList<ShapedLetter> Letters, IReadOnlyList<double> Spaces);

/// <summary>
/// What Dittany measured of an alphabet on its own letters, in hundredths of the capital: height of the small letters, weight of the stroke
/// (null for single strokes), tightest bend, narrowest opening, how wide a usual letter is, and how wide its strokes are along their middle
/// lines (null for single strokes).
/// </summary>
public sealed record AlphabetFacts(double XHeight, double? StrokeWeight, double TightestRadius, double NarrowestOpening, double Width,
    StrokeWidths? Widths = null)
{
    /// <summary>Letters an alphabet is judged by (common practice of type: the commonest small letters, some capitals).</summary>
    private const string JudgedBy = "aeghnorstAEHMNORS";

    /// <summary>
    /// Measures over the letters an alphabet is judged by; those it lacks are left out, and one that has none has nothing to shut or to
    /// bend.
    /// </summary>
    public static AlphabetFacts Of(IAlphabet alphabet, double? weight, StrokeWidths? widths = null)
    {
        var glyphs = JudgedBy.Select(c => alphabet.Find(c.ToString())).OfType<Glyph>().ToArray();
        var measures = glyphs.Select(alphabet.Measure).ToArray();
        var small = alphabet.Find("x") ?? alphabet.Find("z");
        return new AlphabetFacts(
            small is null ? Alphabets.XUnits : Math.Round(small.Lines.SelectMany(l => l).Max(p => p.Y), 1),
            weight,
            Math.Round(measures.Select(m => m.TightestRadius).DefaultIfEmpty(double.PositiveInfinity).Min(), 1),
            Math.Round(measures.Select(m => m.Narrowest).DefaultIfEmpty(double.PositiveInfinity).Min(), 1),
            Math.Round(glyphs.Select(g => g.Advance).DefaultIfEmpty(0).Average(), 1),
            widths);
    }
}

/// <summary>A set of letters. The port for our own hands and for fonts.</summary>
public interface IAlphabet
{
    string Id { get; }

    string Name { get; }

    AlphabetKind Kind { get; }

    /// <summary>
    /// The glyph for one letter as a reader counts letters (base and accents together, NFC), or null where the alphabet lacks it.
    /// </summary>
    Glyph? Find(string letter);

    /// <summary>Whether it has a letter; cheaper than finding it.</summary>
    bool Has(string letter) => Find(letter) is not null;

    /// <summary>Scale-free measures of a glyph the alphabet has; measured once and kept.</summary>
    GlyphMeasures Measure(Glyph glyph);

    /// <summary>How two neighbours stand; measured once and kept.</summary>
    Beside Beside(Glyph left, Glyph right);

    /// <summary>
    /// Letters of a row in their places: usual spacing, or spread wider by so many units. Every letter but spaces must be in the alphabet.
    /// </summary>
    ShapedRow Shape(string row, double wider);

    /// <summary>What was measured of it.</summary>
    AlphabetFacts Facts { get; }

    /// <summary>In one sentence, what it looks like and what it is good for.</summary>
    string Told { get; }
}
