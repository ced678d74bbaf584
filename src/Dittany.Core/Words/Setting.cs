using Dittany.Core.Geometry;
using Dittany.Core.Items;

namespace Dittany.Core.Words;

/// <summary>
/// One letter where it stands: its lines for capitals 1 mm high, x right, y down, about the origin of its setting. Where it
/// <paramref name="joins"/> its first stroke goes on from the letter before. Strokes and the gap before it are worked out when they are
/// asked for: most sizes that are tried are only asked where their lines lie.
/// </summary>
public sealed class SetLetter(string letter, int row, Glyph glyph, IReadOnlyList<IReadOnlyList<Pt>> lines,
    Func<IReadOnlyList<Stroke>> strokes, Func<double> gapBefore, bool joins)
{
    private readonly Lazy<IReadOnlyList<Stroke>> _strokes = new(strokes);
    private readonly Lazy<double> _gapBefore = new(gapBefore);

    public string Letter => letter;

    public int Row => row;

    public Glyph Glyph => glyph;

    public bool Joins => joins;

    /// <summary>Strokes as points.</summary>
    public IReadOnlyList<IReadOnlyList<Pt>> Lines => lines;

    public IReadOnlyList<Stroke> Strokes => _strokes.Value;

    /// <summary>Nearest distance to the ink of the letter before; infinite where there is none, or where they are joined.</summary>
    public double GapBefore => _gapBefore.Value;

    /// <summary>The same letter in the same row, elsewhere.</summary>
    public SetLetter Moved(Pt by) => new(
        letter, row, glyph, lines.Select(line => (IReadOnlyList<Pt>)line.Select(p => p + by).ToArray()).ToArray(), () =>
            Strokes.Select(s => s.Map(p => p + by)).ToArray(), () => GapBefore, joins);
}

/// <summary>
/// A wording laid out for capitals 1 mm high: to be scaled about its origin, which is what stands on the anchor, half way across; of a ring
/// its middle.
/// <paramref name="MiddleFromOrigin"/> is the middle of the wording as a maker names its place. <paramref name="Ornaments"/> are drawings
/// that go with the words.
/// <paramref name="LeastRadius"/> is the least radius in capital heights at which the words go round, where they go round anything.
/// </summary>
public sealed record Setting(
    IReadOnlyList<SetLetter> Letters, int Rows, double Width, Pt BaselineFromOrigin, bool CapitalsOnly, Pt MiddleFromOrigin,
        IReadOnlyList<FigurePart> Ornaments, double? LeastRadius = null)
{
    /// <summary>Space between words, and from baseline to baseline, in capital heights (from memory).</summary>
    public const double WordSpace = 0.6;

    public const double RowPitch = 1.7;

    /// <summary>Added between letters of small lettering, in capital heights, and the height under which it is (from memory).</summary>
    public const double WideBy = 0.06;

    internal const double WideUnits = WideBy * Alphabets.CapUnits;

    public const double WideBelowMm = 10;

    /// <summary>
    /// Thick lines want it too: clear cloth of twice the line between uprights and 1.2 of it between rounds takes capitals of this many
    /// line widths at usual spacing.
    /// </summary>
    public const double WideBelowLines = 12;

    /// <summary>Everything that is stitched, letters first.</summary>
    public IEnumerable<IReadOnlyList<Pt>> Lines => Letters.SelectMany(l => l.Lines).Concat(Ornaments.Select(o => o.Line));

    /// <summary>Each letter once, as it is first read.</summary>
    internal IReadOnlyList<SetLetter> Different => field ??= [.. Letters.DistinctBy(l => l.Letter, StringComparer.Ordinal)];

    /// <summary>How many points its lines have.</summary>
    internal int Points => _points ??= Lines.Sum(l => l.Count);

    private int? _points;

    /// <summary>Corners of the hull round everything that is stitched.</summary>
    public IReadOnlyList<Pt> Hull => field ??= Region.HullOf(Lines.SelectMany(l => l).ToArray());

    /// <summary>
    /// Lays rows out centred on each other. Every letter must be in the alphabet. The origin is put on the last baseline, in the middle
    /// of the x-height band (descenders not counted), or on top of the first row's capitals.
    /// </summary>
    public static Setting Lay(IAlphabet alphabet, IReadOnlyList<string> rows, Stands stands, bool wide = false) =>
        new Layout(alphabet, rows, stands, Arrangement.Straight, null).Lay(wide, 1);
}

/// <summary>
/// A wording in an arrangement, at any height: at usual spacing and, for small lettering and thick lines, spaced wider. Where the
/// arrangement grows with the letters there are just these two; else every height is laid out anew, and kept.
/// </summary>
public sealed class Settings
{
    /// <summary>Height at which a layout that does not grow with its letters is shown where no height is known.</summary>
    private const double NominalCapMm = 10;

    private readonly Layout _layout;
    private readonly Dictionary<(double CapMm, bool Wide), Setting> _laid = [];

    private Settings(Layout layout)
    {
        _layout = layout;
        Usual = layout.Lay(false, NominalCapMm);
        Wide = layout.Lay(true, NominalCapMm);
    }

    public Setting Usual { get; }

    public Setting Wide { get; }

    public Arrangement Arrangement => _layout.Arrangement;

    public static Settings Lay(IAlphabet alphabet, IReadOnlyList<string> rows, Stands stands, Arrangement? arrangement = null,
        Ornament? ornament = null) =>
        new(new Layout(alphabet, rows, stands, arrangement ?? Arrangement.Straight, ornament));

    /// <summary>Height under which a line of this width is spaced wider, mm.</summary>
    public static double WideBelow(double lineWidthMm) => Math.Max(Setting.WideBelowMm, Setting.WideBelowLines * lineWidthMm);

    /// <summary>The setting that holds at a height for a line of this width.</summary>
    public Setting At(double capMm, double lineWidthMm) => At(capMm, capMm < WideBelow(lineWidthMm));

    /// <summary>
    /// Whether every letter would lie where <paramref name="inside"/> says if neighbours that lean together on a bend were not pushed
    /// apart: quickly asked, and true of whatever fits, for pushed apart they only reach further. For words along an edge. Points are in
    /// capital heights about the origin.
    /// </summary>
    internal bool MayFit(double capMm, double lineWidthMm, Func<Pt, bool> inside) =>
        _layout.MayFit(capMm < WideBelow(lineWidthMm), capMm, inside);

    /// <summary>The setting at a height, at usual spacing or wider.</summary>
    public Setting At(double capMm, bool wide)
    {
        if (Arrangement.GrowsWithLetters)
        {
            return wide ? Wide : Usual;
        }

        if (!_laid.TryGetValue((capMm, wide), out var setting))
        {
            _laid[(capMm, wide)] = setting = _layout.Lay(wide, capMm);
        }

        return setting;
    }
}
