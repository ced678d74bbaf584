using Dittany.Core.Geometry;

namespace Dittany.Core.Words;

/// <summary>One letter where it stands: strokes for capitals 1 mm high, x right, y down, about the origin of its setting.</summary>
public sealed record SetLetter(string Letter, int Row, Glyph Glyph, IReadOnlyList<Stroke> Strokes, IReadOnlyList<IReadOnlyList<Pt>> Lines, double GapBefore);

/// <summary>
/// A wording laid out for capitals 1 mm high: to be scaled about its origin. The origin is the last row's baseline or the middle of the x-height band, half way across.
/// </summary>
public sealed record Setting(IReadOnlyList<SetLetter> Letters, int Rows, double Width, Pt BaselineFromOrigin, bool CapitalsOnly)
{
    /// <summary>Space between words, and from baseline to baseline, in capital heights (from memory).</summary>
    public const double WordSpace = 0.6;

    public const double RowPitch = 1.7;

    /// <summary>
    /// Lays rows out centred on each other. Every letter must be in the alphabet. <paramref name="onBaseline"/> puts the origin on the last baseline, else in the middle
    /// of the x-height band, descenders not counted.
    /// </summary>
    public static Setting Lay(IAlphabet alphabet, IReadOnlyList<string> rows, bool onBaseline)
    {
        const double Unit = 1 / Alphabets.CapUnits;
        const double X = Alphabets.XUnits * Unit;
        var middle = (((rows.Count - 1) * RowPitch) + X) / 2;
        var origin = onBaseline ? 0 : -middle;
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
                row.Add((glyph, pen + glyph.Left - glyph.InkFrom, last is null ? double.PositiveInfinity : alphabet.Gap(last, glyph) * Unit));
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
