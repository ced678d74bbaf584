using System.Globalization;
using System.Text;
using Dittany.Core.Geometry;
using Dittany.Core.Measures;

namespace Dittany.Core.Words;

/// <summary>
/// An alphabet drawn by us, read from its drawing: a line for each letter with its spaces left and right and its strokes in writing order.
/// Accented letters are composed from their base and their marks. It is kept in memory as it is asked for.
/// </summary>
internal class DrawnHand : IAlphabet
{
    /// <summary>Space between a letter and the accent above it: two and a half line widths at a comfortable height (from memory).</summary>
    private const double AboveUnits = 21;

    /// <summary>Carons that stand beside a tall letter like an apostrophe, as Czech and Slovak write them.</summary>
    private static readonly string[] BesideCaron = ["ď", "ť", "ľ", "Ľ"];

    private readonly Dictionary<string, Glyph> _drawn;
    private readonly Dictionary<char, IReadOnlyList<Stroke>> _marks;

    /// <summary>Letters that are kept: more than any language has; marks can be heaped without end.</summary>
    private const int MostKept = 2000;

    private readonly Kept<string, Glyph?> _glyphs = new(MostKept);

    public DrawnHand(string id, string name, string told, string letters, string marks)
    {
        (Id, Name, Told) = (id, name, told);
        _drawn = ReadLetters(letters);
        _marks = ReadMarks(marks);
    }

    public string Id { get; }

    public string Name { get; }

    public string Told { get; }

    public AlphabetKind Kind => AlphabetKind.Stroke;

    public AlphabetFacts Facts => field ??= AlphabetFacts.Of(this, null);

    protected GlyphMemo Memo { get; } = new();

    public Glyph? Find(string letter) => _glyphs.Of(letter, Compose);

    public virtual GlyphMeasures Measure(Glyph glyph) => Memo.Measure(glyph);

    public Beside Beside(Glyph left, Glyph right) => Memo.Beside(left, right);

    public virtual ShapedRow Shape(string row, double wider) => OpticalShaping.Shape(this, row, wider);

    /// <summary>A letter as it is drawn, or null; hands that write a letter as another say so here.</summary>
    protected virtual Glyph? DrawnAs(string letter) => _drawn.GetValueOrDefault(letter);

    /// <summary>Where the mark is set: above the middle of the letter unless a hand knows better.</summary>
    protected virtual double MiddleOf(Glyph @base) => (@base.InkFrom + @base.InkTo) / 2;

    private Glyph? Compose(string letter)
    {
        if (DrawnAs(letter) is { } plain)
        {
            return plain;
        }

        var parts = letter.Normalize(NormalizationForm.FormD);
        if (parts.Length < 2 || DrawnAs(parts[..1]) is not { } @base)
        {
            return null;
        }

        if (parts.Skip(1).Any(IsAbove) && parts[0] is 'i' or 'j' && DrawnAs(parts[0] == 'i' ? "ı" : "ȷ") is { } dotless)
        {
            @base = dotless;
        }

        var strokes = @base.Strokes.ToList();
        var top = strokes.Max(s => s.Flatten(0.5).Max(p => p.Y));
        var middle = MiddleOf(@base);
        var right = @base.InkTo;
        Pt? over = null;
        foreach (var code in parts.Skip(1))
        {
            if (BesideCaron.Contains(letter, StringComparer.Ordinal))
            {
                strokes.Add(Line(new Pt(right + 22, 100), new Pt(right + 16, 80)));
                right += 22;
                continue;
            }

            // The comma under g would tangle with its tail and is turned and set above (Latvian usage); k, l, n, r, and their capitals keep
            // a comma below.
            var below = code == '\u0327' && "GKLNRkglnr".Contains(parts[0], StringComparison.Ordinal) ? '\u0326' : code;
            if (letter is "ģ")
            {
                strokes.Add(Line(new Pt(middle + 4, top + AboveUnits + 16), new Pt(middle - 3, top + AboveUnits)));
                continue;
            }

            if (!_marks.TryGetValue(below, out var mark))
            {
                return null;
            }

            if (over is not null && below is Acute or Grave or Hook)
            {
                // Beside the roof or bowl that stands there already, as Vietnamese is written, and not on top of it.
                var beside = over.Value + new Pt(below == Grave ? -BesideRoof : BesideRoof, BesideRaised);
                strokes.AddRange(mark.Select(s => s.Map(p => p + beside)));
                continue;
            }

            var at = IsAbove(below) ? new Pt(middle, top + AboveUnits)
                : below == '\u0328' ? new Pt(OgonekAt(parts[0], @base), 0)
                : below == Horn ? HornAt(parts[0], @base, top)
                : below == DotBelow && parts[0] == 'y' ? new Pt(@base.InkTo - 4, 0)
                : new Pt(middle, 0);
            strokes.AddRange(mark.Select(s => s.Map(p => p + at)));
            if (IsAbove(below))
            {
                (over, top) = (below is Roof or Bowl ? at : null, top + AboveUnits + 16);
            }
            else if (below == Horn)
            {
                right = at.X + HornWide;
            }
        }

        // Made anew, for what is measured of a glyph is measured when it is made.
        return new Glyph(letter, @base.Left, @base.Right, @base.InkFrom, right, strokes);
    }

    private const char Grave = '\u0300';
    private const char Acute = '\u0301';
    private const char Roof = '\u0302';
    private const char Bowl = '\u0306';
    private const char Hook = '\u0309';
    private const char Horn = '\u031B';
    private const char DotBelow = '\u0323';

    /// <summary>
    /// How far beside a roof or bowl the second accent stands, and how far above its foot; how wide a horn is (from memory: clear of it by
    /// a line and a half).
    /// </summary>
    private const double BesideRoof = 30;

    private const double BesideRaised = 6;

    private const double HornWide = 13;

    /// <summary>
    /// The horn grows from the top of the right stem of a u, or from the shoulder of an o, half-way between its top and its side.
    /// </summary>
    private static Pt HornAt(char letter, Glyph glyph, double top)
    {
        var half = (glyph.InkTo - glyph.InkFrom) / 2;
        return letter is 'u' or 'U' ? new Pt(glyph.InkTo, top) : new Pt(glyph.InkFrom + half + (half * 0.72), (top / 2) + (top / 2 * 0.69));
    }

    /// <summary>The little tail grows from the last downstroke, or from the lowest point of a round letter.</summary>
    private static double OgonekAt(char letter, Glyph glyph) => letter is 'U' or 'e' or 'i' or 'I'
        ? (glyph.InkFrom + glyph.InkTo) / 2
        : glyph.InkTo;

    private static bool IsAbove(char mark) => mark is >= '\u0300' and <= '\u030C';

    private static Stroke Line(Pt from, Pt to) => new([Curve.Line(from, to)], false);

    private static Dictionary<string, Glyph> ReadLetters(string letters)
    {
        var glyphs = new Dictionary<string, Glyph>(StringComparer.Ordinal);
        foreach (var row in letters.Split('\n', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries))
        {
            var fields = row.Split(" | ");
            var head = fields[0].Split(' ');
            var strokes = fields.Skip(1).Select(StrokeReading.Read).ToArray();
            var points = strokes.SelectMany(s => s.Flatten(0.1)).ToArray();
            glyphs.Add(head[0], new Glyph(head[0], StrokeReading.Number(head[1]), StrokeReading.Number(head[2]), points.Min(p => p.X),
                points.Max(p => p.X), strokes));
        }

        return glyphs;
    }

    private static Dictionary<char, IReadOnlyList<Stroke>> ReadMarks(string marks) =>
        marks.Split('\n', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries)
            .Select(row => row.Split(" | "))
            .ToDictionary(
                fields => (char)int.Parse(fields[0], NumberStyles.HexNumber, CultureInfo.InvariantCulture),
                fields => (IReadOnlyList<Stroke>)fields.Skip(1).Select(StrokeReading.Read).ToArray());
}
