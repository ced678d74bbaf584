using Dittany.Core.Geometry;
using Dittany.Core.Measures;

namespace Dittany.Core.Words;

/// <summary>
/// How wide the strokes of an alphabet are along their middle lines, in hundredths of the capital: a tenth of their length is thinner than
/// <paramref name="Thin"/>, a tenth wider than
/// <paramref name="Thick"/>.
/// </summary>
public sealed record StrokeWidths(double Thin, double Thick)
{
    private const double Tail = 0.1;

    /// <summary>Widths along lines, each piece counting by its length; null where there is no length.</summary>
    public static StrokeWidths? Of(IEnumerable<CentreStroke> lines)
    {
        var pieces = lines.SelectMany(l => Enumerable.Range(1, Math.Max(0, l.Points.Count - 1)).Select(i =>
            (Width: l.HalfWidths[i - 1] + l.HalfWidths[i], Long: l.Points[i - 1].To(l.Points[i])))).OrderBy(p => p.Width).ToArray();
        var all = pieces.Sum(p => p.Long);
        return all <= 0 ? null : new StrokeWidths(Math.Round(At(Tail), 1), Math.Round(At(1 - Tail), 1));

        double At(double share)
        {
            var sum = 0.0;
            return pieces.First(p => (sum += p.Long) >= share * all - 1e-9).Width;
        }
    }
}

/// <summary>What the strokes of a letter want: one line of thread, a line round their outline, or to be filled.</summary>
public enum StrokeWant
{
    Line,
    Outline,
    Fill,
    Between,
}

/// <summary>
/// Whether strokes of some width want one line, an outline or a fill. A judgement, told beside the alphabet; it changes no plan: outline
/// and middle line of a font are two alphabets to choose from.
/// </summary>
public static class StrokeCover
{
    /// <summary>One line of thread stands for strokes up to this many line widths (from memory).</summary>
    public const double LineCovers = 1.6;

    /// <summary>Strokes are filled from this width, and capitals of this height (from memory: satin lettering).</summary>
    public const double FillFromMm = 1.5;

    public const double FillFromCapMm = 10;

    /// <summary>What strokes want at a height, with this line on a cloth that wants this much open between threads; all in mm.</summary>
    public static StrokeWant Of(StrokeWidths widths, double capMm, double lineWidthMm, double openingMm)
    {
        var (thin, thick) = (widths.Thin * capMm / Alphabets.CapUnits, widths.Thick * capMm / Alphabets.CapUnits);
        return thick <= LineCovers * lineWidthMm ? StrokeWant.Line
            : thin >= FillFromMm && capMm >= FillFromCapMm ? StrokeWant.Fill
            : thin - lineWidthMm >= openingMm ? StrokeWant.Outline
            : StrokeWant.Between;
    }

    /// <summary>The same in a sentence, beside the way the alphabet at hand writes.</summary>
    public static Measures.Told Told(AlphabetKind kind, StrokeWidths widths, double capMm, double lineWidthMm, double openingMm) =>
        Compared(kind, widths, capMm, lineWidthMm, openingMm).OfThread();

    private static Measures.Told Compared(AlphabetKind kind, StrokeWidths widths, double capMm, double lineWidthMm, double openingMm)
    {
        Length Mm(double units) => Say.Length(Math.Round(units * capMm / Alphabets.CapUnits, 1));
        var strokes = $"At capitals of {Say.Length(capMm)} its strokes are {Mm(widths.Thin)} to {Mm(widths.Thick)} wide";
        return (Of(widths, capMm, lineWidthMm, openingMm), kind) switch
        {
            (StrokeWant.Line, AlphabetKind.CentreLine) =>
                (Told)$"{strokes}: a thread of {Say.Length(lineWidthMm)} down their middle stands for them.",
            (StrokeWant.Line, _) =>
                (Told)($"{strokes}: a thread of {Say.Length(lineWidthMm)} down their middle would stand for them, for an outline leaves "
                    + $"them hardly open."),
            (StrokeWant.Fill, AlphabetKind.CentreLine) =>
                $"{strokes}: wide enough to be filled, so that a line down the middle looks much lighter than the letters are.",
            (StrokeWant.Fill, _) =>
                (Told)$"{strokes}: wide enough to be filled, from {Say.Length(FillFromMm)} on; here they are stitched round.",
            (StrokeWant.Outline, AlphabetKind.CentreLine) =>
                $"{strokes}: wide enough to be stitched round, so that a line down the middle looks lighter than the letters are.",
            (StrokeWant.Outline, _) =>
                (Told)($"{strokes}: a thread of {Say.Length(lineWidthMm)} round them leaves "
                    + $"{Say.Length(Math.Round((widths.Thin * capMm / Alphabets.CapUnits) - lineWidthMm, 1))} open, and too narrow to be "
                    + $"filled."),
            (_, AlphabetKind.CentreLine) => $"{strokes}: too narrow in places to be stitched round, so one line goes down their middle.",
            _ => (Told)($"{strokes}: in places too narrow to be stitched round with a thread of {Say.Length(lineWidthMm)}; the line down "
                + $"their middle, or larger letters, would be clearer."),
        };
    }
}
