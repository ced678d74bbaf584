using Dittany.Core.Geometry;
using Dittany.Core.Items;

namespace Dittany.Core.Words;

/// <summary>One letter where it stands: strokes for capitals 1 mm high, x right, y down, about the origin of its setting.</summary>
public sealed record SetLetter(string Letter, int Row, Glyph Glyph, IReadOnlyList<Stroke> Strokes, IReadOnlyList<IReadOnlyList<Pt>> Lines, double GapBefore);

/// <summary>
/// A wording laid out for capitals 1 mm high: to be scaled about its origin, which is what stands on the anchor, half way across.
/// </summary>
public sealed record Setting(IReadOnlyList<SetLetter> Letters, int Rows, double Width, Pt BaselineFromOrigin, bool CapitalsOnly)
{
    /// <summary>Space between words, and from baseline to baseline, in capital heights (from memory).</summary>
    public const double WordSpace = 0.6;

    public const double RowPitch = 1.7;

    /// <summary>Added between letters of small lettering, in capital heights, and the height under which it is (from memory).</summary>
    public const double WideBy = 0.06;

    public const double WideBelowMm = 10;

    /// <summary>
    /// Thick lines want it too: clear cloth of twice the line between uprights and 1.2 of it between rounds takes capitals of this many line widths at usual spacing.
    /// </summary>
    public const double WideBelowLines = 12;

    /// <summary>
    /// Lays rows out centred on each other. Every letter must be in the alphabet. The origin is put on the last baseline, in the middle
    /// of the x-height band (descenders not counted), or on top of the first row's capitals.
    /// </summary>
    public static Setting Lay(IAlphabet alphabet, IReadOnlyList<string> rows, Stands stands, bool wide = false)
    {
        const double Unit = 1 / Alphabets.CapUnits;
        const double X = Alphabets.XUnits * Unit;
        var middle = (((rows.Count - 1) * RowPitch) + X) / 2;
        var origin = stands switch
        {
            Stands.OnBaseline => 0,
            Stands.OnMiddle => -middle,
            _ => -((rows.Count - 1) * RowPitch) - 1,
        };
        var letters = new List<SetLetter>();
        var width = 0.0;
        for (var r = 0; r < rows.Count; r++)
        {
            var baseline = (-(rows.Count - 1 - r) * RowPitch) - origin;
            var row = new List<(Glyph Glyph, double At, double Gap)>();
            var (pen, last) = (0.0, (Glyph?)null);
            foreach (var letter in Words.Rows.Letters(rows[r]))
            {
                if (Words.Rows.IsSpace(letter))
                {
                    pen += WordSpace * Alphabets.CapUnits;
                    last = null;
                    continue;
                }

                var glyph = alphabet.Find(letter)!;
                var gap = double.PositiveInfinity;
                if (last is not null)
                {
                    var beside = alphabet.Beside(last, glyph);
                    pen += beside.Kern + (wide ? WideBy * Alphabets.CapUnits : 0);
                    gap = (wide ? beside.WideGap : beside.Gap) * Unit;
                }

                row.Add((glyph, pen + glyph.Left - glyph.InkFrom, gap));
                pen += glyph.Advance;
                last = glyph;
            }

            var from = row.Min(l => l.At + l.Glyph.InkFrom);
            var to = row.Max(l => l.At + l.Glyph.InkTo);
            width = Math.Max(width, (to - from) * Unit);
            var half = (from + to) / 2;
            foreach (var (glyph, at, gap) in row)
            {
                Pt Place(Pt p) => new((p.X + at - half) * Unit, baseline - (p.Y * Unit));
                letters.Add(new SetLetter(
                    glyph.Letter,
                    r,
                    glyph,
                    glyph.Strokes.Select(s => s.Map(Place)).ToArray(),
                    glyph.Lines.Select(line => line.Select(Place).ToArray()).ToArray(),
                    gap));
            }
        }

        var capitals = letters.All(l => l.Letter.Any(char.IsUpper) || l.Letter.All(c => !char.IsLetter(c)));
        return new Setting(letters, rows.Count, width, new Pt(0, -origin), capitals);
    }
}

/// <summary>A wording at usual spacing and, for small lettering and thick lines, spaced wider.</summary>
public sealed record Settings(Setting Usual, Setting Wide)
{
    public static Settings Lay(IAlphabet alphabet, IReadOnlyList<string> rows, Stands stands) =>
        new(Setting.Lay(alphabet, rows, stands), Setting.Lay(alphabet, rows, stands, wide: true));

    /// <summary>Height under which a line of this width is spaced wider, mm.</summary>
    public static double WideBelow(double lineWidthMm) => Math.Max(Setting.WideBelowMm, Setting.WideBelowLines * lineWidthMm);

    /// <summary>The setting that holds at a height for a line of this width.</summary>
    public Setting At(double capMm, double lineWidthMm) => capMm < WideBelow(lineWidthMm) ? Wide : Usual;
}
