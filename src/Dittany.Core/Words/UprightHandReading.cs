using System.Collections.Concurrent;
using System.Globalization;
using System.Text;
using Dittany.Core.Geometry;

namespace Dittany.Core.Words;

/// <summary>Reads the drawn hand and composes accented letters from it.</summary>
public static partial class UprightHand
{
    /// <summary>Space between a letter and the accent above it: two and a half line widths at a comfortable height (from memory).</summary>
    private const double AboveUnits = 21;

    private static readonly Dictionary<string, Glyph> Drawn = ReadLetters();
    private static readonly Dictionary<char, IReadOnlyList<Stroke>> DrawnMarks = ReadMarks();

    /// <summary>Carons that stand beside a tall letter like an apostrophe, as Czech and Slovak write them.</summary>
    private static readonly string[] BesideCaron = ["ď", "ť", "ľ", "Ľ"];

    public static IAlphabet Alphabet { get; } = new Hand();

    private static Glyph? Compose(string letter)
    {
        if (Drawn.TryGetValue(letter, out var plain))
        {
            return plain;
        }

        var parts = letter.Normalize(NormalizationForm.FormD);
        if (parts.Length < 2 || !Drawn.TryGetValue(parts[..1], out var @base))
        {
            return null;
        }

        if (parts.Skip(1).Any(mark => IsAbove(mark)) && parts[0] is 'i' or 'j')
        {
            @base = Drawn[parts[0] == 'i' ? "ı" : "ȷ"];
        }

        var strokes = @base.Strokes.ToList();
        var top = strokes.Max(s => s.Flatten(0.5).Max(p => p.Y));
        var middle = (@base.InkFrom + @base.InkTo) / 2;
        var right = @base.InkTo;
        foreach (var code in parts.Skip(1))
        {
            if (BesideCaron.Contains(letter, StringComparer.Ordinal))
            {
                strokes.Add(Line(new Pt(right + 22, 100), new Pt(right + 16, 80)));
                right += 22;
                continue;
            }

            // The comma under g would tangle with its tail and is turned and set above (Latvian usage); k, l, n, r, and their capitals keep a comma below.
            var below = code == '\u0327' && "GKLNRkglnr".Contains(parts[0], StringComparison.Ordinal) ? '\u0326' : code;
            if (letter is "ģ")
            {
                strokes.Add(Line(new Pt(middle + 4, top + AboveUnits + 16), new Pt(middle - 3, top + AboveUnits)));
                continue;
            }

            if (!DrawnMarks.TryGetValue(below, out var mark))
            {
                return null;
            }

            var at = IsAbove(below) ? new Pt(middle, top + AboveUnits)
                : below == '\u0328' ? new Pt(OgonekAt(parts[0], @base), 0)
                : new Pt(middle, 0);
            strokes.AddRange(mark.Select(s => s.Map(p => p + at)));
            top += IsAbove(below) ? AboveUnits + 16 : 0;
        }

        // Made anew, for what is measured of a glyph is measured when it is made.
        return new Glyph(letter, @base.Left, @base.Right, @base.InkFrom, right, strokes);
    }

    /// <summary>The little tail grows from the last downstroke, or from the lowest point of a round letter.</summary>
    private static double OgonekAt(char letter, Glyph glyph) => letter is 'U' or 'e' or 'i' or 'I'
        ? (glyph.InkFrom + glyph.InkTo) / 2
        : glyph.InkTo;

    private static bool IsAbove(char mark) => mark is >= '\u0300' and <= '\u030C';

    private static Stroke Line(Pt from, Pt to) => new([Curve.Line(from, to)], false);

    private static Dictionary<string, Glyph> ReadLetters()
    {
        var glyphs = new Dictionary<string, Glyph>(StringComparer.Ordinal);
        foreach (var row in Letters.Split('\n', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries))
        {
            var fields = row.Split(" | ");
            var head = fields[0].Split(' ');
            var strokes = fields.Skip(1).Select(ReadStroke).ToArray();
            var points = strokes.SelectMany(s => s.Flatten(0.1)).ToArray();
            glyphs.Add(head[0], new Glyph(head[0], Number(head[1]), Number(head[2]), points.Min(p => p.X), points.Max(p => p.X), strokes));
        }

        return glyphs;
    }

    private static Dictionary<char, IReadOnlyList<Stroke>> ReadMarks() =>
        Marks.Split('\n', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries)
            .Select(row => row.Split(" | "))
            .ToDictionary(
                fields => (char)int.Parse(fields[0], NumberStyles.HexNumber, CultureInfo.InvariantCulture),
                fields => (IReadOnlyList<Stroke>)fields.Skip(1).Select(ReadStroke).ToArray());

    private static Stroke ReadStroke(string text)
    {
        var words = text.Split(' ', StringSplitOptions.RemoveEmptyEntries);
        var curves = new List<Curve>();
        Pt? at = null;
        for (var i = 0; i < words.Length;)
        {
            double N(int k) => Number(words[i + k]);
            switch (words[i])
            {
                case "M":
                    at = new Pt(N(1), N(2));
                    i += 3;
                    break;
                case "L":
                    var to = new Pt(N(1), N(2));
                    curves.Add(Curve.Line(at!.Value, to));
                    at = to;
                    i += 3;
                    break;
                case "C":
                    curves.Add(new Curve(at!.Value, new Pt(N(1), N(2)), new Pt(N(3), N(4)), new Pt(N(5), N(6))));
                    at = new Pt(N(5), N(6));
                    i += 7;
                    break;
                case "E":
                    var arc = Ellipse(new Pt(N(1), N(2)), N(3), N(4), N(5), N(6)).ToArray();
                    if (at is { } from)
                    {
                        arc[0] = arc[0] with { P0 = from };
                    }

                    curves.AddRange(arc);
                    at = arc[^1].P3;
                    i += 7;
                    break;
                default:
                    throw new FormatException($"'{words[i]}' is not a way to draw.");
            }
        }

        var closed = curves[0].P0.To(curves[^1].P3) < 1e-6;
        if (closed)
        {
            curves[^1] = curves[^1] with { P3 = curves[0].P0 };
        }

        return new Stroke(curves, closed);
    }

    /// <summary>An arc of an ellipse as cubics of at most 45°, which leave it by less than a millionth of its size.</summary>
    private static IEnumerable<Curve> Ellipse(Pt centre, double rx, double ry, double fromDegrees, double toDegrees)
    {
        var pieces = (int)Math.Ceiling(Math.Abs(toDegrees - fromDegrees) / 45);
        var step = (toDegrees - fromDegrees) / pieces * Math.PI / 180;
        var handle = 4.0 / 3 * Math.Tan(step / 4);
        for (var i = 0; i < pieces; i++)
        {
            var a = (fromDegrees * Math.PI / 180) + (i * step);
            var (p, q) = (At(a), At(a + step));
            yield return new Curve(p, p + (Along(a) * handle), q - (Along(a + step) * handle), q);
        }

        Pt At(double a) => new(centre.X + (rx * Math.Cos(a)), centre.Y + (ry * Math.Sin(a)));
        Pt Along(double a) => new(-rx * Math.Sin(a), ry * Math.Cos(a));
    }

    private static double Number(string text) => double.Parse(text, CultureInfo.InvariantCulture);

    private sealed class Hand : IAlphabet
    {
        private readonly ConcurrentDictionary<string, Glyph?> _glyphs = new(StringComparer.Ordinal);
        private readonly ConcurrentDictionary<string, GlyphMeasures> _measures = new(StringComparer.Ordinal);
        private readonly ConcurrentDictionary<(string, string), Beside> _beside = new();

        public string Id => "upright-hand";

        public string Name => "Upright hand";

        public AlphabetKind Kind => AlphabetKind.Stroke;

        public Glyph? Find(string letter)
        {
            if (_glyphs.TryGetValue(letter, out var known))
            {
                return known;
            }

            // Only letters the hand has are kept, so that hostile text cannot fill the memory.
            var glyph = Compose(letter);
            return glyph is null ? null : _glyphs.GetOrAdd(letter, glyph);
        }

        public GlyphMeasures Measure(Glyph glyph) => _measures.GetOrAdd(glyph.Letter, _ => GlyphMeasures.Of(glyph));

        public Beside Beside(Glyph left, Glyph right) => _beside.GetOrAdd((left.Letter, right.Letter), _ =>
        {
            var kern = Spacing.Kern(left, right);
            var shift = left.InkTo + left.Right + right.Left - right.InkFrom + kern;
            return new Beside(kern, Spacing.Gap(left, right, shift), Spacing.Gap(left, right, shift + (Setting.WideBy * Alphabets.CapUnits)));
        });
    }
}
