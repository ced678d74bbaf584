using Dittany.Core.Geometry;

namespace Dittany.Core.Words;

public enum AlphabetKind
{
    Stroke,
    Weighted,
    CentreLine,
}

/// <summary>
/// One letter of an alphabet: strokes in writing order, y up, baseline at 0, capitals 100 high. <paramref name="Left"/> and <paramref name="Right"/> are the
/// spaces to leave beside its ink; the ink runs from <paramref name="InkFrom"/> to <paramref name="InkTo"/>, accents not counted.
/// </summary>
public sealed record Glyph(string Letter, double Left, double Right, double InkFrom, double InkTo, IReadOnlyList<Stroke> Strokes)
{
    public double Advance => Left + (InkTo - InkFrom) + Right;

    /// <summary>Whether it has a dot: a straight stroke so short that it reads as a point.</summary>
    public bool HasDot { get; } = Strokes.Any(s => !s.Closed && s.Curves.Count == 1 && s.Curves[0].IsStraight && s.Start.To(s.End) <= Alphabets.DotUnits);

    /// <summary>Strokes as points, close enough for fitting and legibility at any size a plan may have.</summary>
    public IReadOnlyList<IReadOnlyList<Pt>> Lines { get; } = Strokes.Select(s => s.Flatten(Alphabets.FlattenUnits)).ToArray();
}

/// <summary>
/// Two neighbours, in units: how the right one is moved so that the white between them looks even, and the nearest distance of their ink then, at usual and at wide spacing.
/// </summary>
public sealed record Beside(double Kern, double Gap, double WideGap);

/// <summary>A set of letters. The port for our own hands and for fonts.</summary>
public interface IAlphabet
{
    string Id { get; }

    string Name { get; }

    AlphabetKind Kind { get; }

    /// <summary>The glyph for one letter as a reader counts letters (base and accents together, NFC), or null where the alphabet lacks it.</summary>
    Glyph? Find(string letter);

    /// <summary>Scale-free measures of a glyph the alphabet has; measured once and kept.</summary>
    GlyphMeasures Measure(Glyph glyph);

    /// <summary>How two neighbours stand; measured once and kept.</summary>
    Beside Beside(Glyph left, Glyph right);
}

/// <summary>The alphabets a maker may name.</summary>
public static class Alphabets
{
    /// <summary>Height of a capital in units.</summary>
    public const double CapUnits = 100;

    public const double XUnits = 60;

    /// <summary>A straight stroke up to this long is a dot.</summary>
    public const double DotUnits = 12.5;

    /// <summary>Flattened strokes stay this close to the curve: at 25 mm capitals 0.01 mm.</summary>
    public const double FlattenUnits = 0.04;

    public static IReadOnlyList<IAlphabet> All { get; } = [UprightHand.Alphabet];

    public static IAlphabet? Find(string id) => All.FirstOrDefault(a => string.Equals(a.Id, id, StringComparison.Ordinal));
}
