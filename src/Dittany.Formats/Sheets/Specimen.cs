using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Words;
using Dittany.Formats.Template;

namespace Dittany.Formats.Sheets;

/// <summary>
/// A specimen of an alphabet on paper, true to scale: all its letters, then some words at the heights names are stitched in, each line as
/// wide as the thread that is usual there. Not a template: nothing on it has a place on an item.
/// </summary>
public static class Specimen
{
    /// <summary>Heights shown, mm: one for each row of strands by height of capitals (from memory, as the recommender has them).</summary>
    public static IReadOnlyList<(double CapMm, int Strands)> Heights { get; } = [(5, 1), (8, 2), (12, 3), (18, 3), (25, 4)];

    private const double LettersCapMm = 9;

    private const double LabelMm = 3.2;

    /// <summary>How wide the labels stand beside the words, and how high above them, mm.</summary>
    private const double LabelColumnMm = 34;

    private const double LabelRowMm = 5;

    private static readonly string[] Rows = ["ABCDEFGHIJKLM", "NOPQRSTUVWXYZ", "abcdefghijklmn", "opqrstuvwxyz", "0123456789 &!?",
        "ÄÉÎÑØŁŠŽ äéîñøłšž"];

    /// <summary>
    /// The leaf; what the alphabet lacks is left out, and words that do not go across the paper at a height are left to the smaller ones,
    /// and it says so.
    /// </summary>
    public static Leaf Of(IAlphabet alphabet, string words, Paper paper)
    {
        var (left, width) = (Core.Transfer.Sheet.MarginMm, paper.WidthMm - (2 * Core.Transfer.Sheet.MarginMm));
        var foot = paper.HeightMm - Core.Transfer.Sheet.MarginMm - Core.Transfer.Sheet.FootMm;
        var marks = new List<Mark> { new TextMark(new Pt(left, 20), alphabet.Name, 7, Heading: true) };
        var y = 26.0;
        foreach (var line in Typesetting.Wrap($"{alphabet.Told} {AlphabetTelling.Measured(alphabet)}", LabelMm, width))
        {
            marks.Add(new TextMark(new Pt(left, y), line, LabelMm));
            y += 4.4;
        }

        foreach (var row in Rows.Select(r => Known(alphabet, r)).Where(r => r.Length > 0))
        {
            y += LettersCapMm * (row.Any(c => c > 'z') ? 1.75 : 1.45);
            Write(row, LettersCapMm, Width(2));
        }

        y += 4;
        var shown = Known(alphabet, words);
        var left_out = new List<string>();
        foreach (var (cap, strands) in Heights.Where(_ => shown.Length > 0))
        {
            // Beside its label, or below it where the words need all of the width.
            var wide = Laid(shown, cap) * cap > width - LabelColumnMm;
            var needed = Math.Max(cap * 1.6, 9) + (wide ? LabelRowMm : 0);
            if (Laid(shown, cap) * cap > width || y + needed > foot - 4)
            {
                left_out.Add(Say.Length(cap));
                continue;
            }

            y += needed;
            marks.Add(new TextMark(new Pt(left, wide ? y - (cap * 1.35) : y), $"{Say.Length(cap)}, {Say.Count(strands, "strand")}",
                LabelMm, Colour: "#55605a"));
            Write(shown, cap, Width(strands), wide ? 0 : LabelColumnMm - 2);
        }

        if (left_out.Count > 0)
        {
            marks.Add(new TextMark(new Pt(left, y + 7), $"Not shown, for want of paper: {Say.List(left_out)}.", LabelMm,
                Colour: "#55605a"));
        }

        marks.AddRange(TemplateLeaves.Foot(paper, $"Specimen: {alphabet.Name}", "Backstitch, each line as wide as its thread lies.", null,
            "One sheet."));
        return new Leaf(paper, $"Specimen: {alphabet.Name}", ToScale: true, marks);

        double Width(int strands) => alphabet.Kind == AlphabetKind.Weighted ? TemplateSheet.ThinMm
            : new Pair(Book.Plainest, strands).LineWidthMm;

        double Laid(string text, double cap) => Setting.Lay(alphabet, [text], Stands.OnBaseline, cap < Setting.WideBelowMm).Width;

        void Write(string text, double cap, double lineMm, double indent = 0)
        {
            var setting = Setting.Lay(alphabet, [text], Stands.OnBaseline, cap < Setting.WideBelowMm);
            var from = setting.Lines.SelectMany(l => l).Min(p => p.X);
            Pt On(Pt p) => new(left + indent + ((p.X - from) * cap), y + (p.Y * cap));
            foreach (var line in setting.Letters.SelectMany(l => l.Lines))
            {
                // What is hardly longer than it is wide is a dot: stitched it is a knot.
                marks.Add(Polyline.Length(line) * cap < lineMm ? new DotMark(Pt.Lerp(On(line[0]), On(line[^1]), 0.5), lineMm * 0.8, 0.1,
                    Fill: "#000000") : new LineMark(line.Select(On).ToArray(), lineMm));
            }
        }
    }

    /// <summary>Of some letters those that the alphabet has.</summary>
    private static string Known(IAlphabet alphabet, string text) =>
        string.Concat(Core.Words.Rows.Letters(text.ReplaceLineEndings(" ")).Where(l => Core.Words.Rows.IsSpace(l)
        || alphabet.Has(l))).Trim();
}
