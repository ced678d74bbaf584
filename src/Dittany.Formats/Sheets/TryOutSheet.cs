using Dittany.Core.Advising;
using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Stitches.Needle;
using Dittany.Formats.Template;

namespace Dittany.Formats.Sheets;

/// <summary>Words tried out in several stitches, on paper at true size, each with its minutes and its thread.</summary>
public static class TryOutSheet
{
    private const double LabelMm = 3.2;

    private const double GapMm = 9;

    /// <summary>The leaves; ways too wide for the paper are left out, and the last leaf says which.</summary>
    public static IReadOnlyList<Leaf> Of(string words, IReadOnlyList<Tried> tried, Paper paper, Units units)
    {
        var (left, wide) = (Core.Transfer.Sheet.MarginMm, paper.WidthMm - (2 * Core.Transfer.Sheet.MarginMm));
        var foot = paper.HeightMm - Core.Transfer.Sheet.MarginMm - Core.Transfer.Sheet.FootMm - 6;
        var leaves = new List<List<Mark>> { new() };
        var y = 20.0;
        leaves[0].Add(new TextMark(new Pt(left, y), Typesetting.Short($"“{words}”, tried out", 7, wide), 7, Heading: true));
        y += 6;
        var fits = tried.Where(t => t.Element.BoxMm.Width <= wide).ToArray();
        foreach (var one in fits)
        {
            var box = one.Element.BoxMm;
            var needed = box.Height + LabelMm + GapMm;
            if (y + needed > foot && leaves[^1].Count > 0)
            {
                leaves.Add([]);
                y = 14;
            }

            y += GapMm;
            leaves[^1].Add(new TextMark(new Pt(left, y), $"{one.Make.Name}: {Say.Minutes(one.Minutes)}, "
                + $"{Tape.Length(Math.Round(one.ThreadMm / 10) * 10, units)} of thread", LabelMm, Colour: "#55605a"));
            y += LabelMm;
            leaves[^1].AddRange(Threads(one.Element, new Pt(left - box.X, y - box.Y)));
            y += box.Height;
        }

        if (fits.Length < tried.Count)
        {
            leaves[^1].Add(new TextMark(new Pt(left, foot + 4), Typesetting.Short($"Too wide for this paper: {Say.List(tried.Except(fits)
                .Select(t => t.Make.Name).ToArray())}.", LabelMm, wide), LabelMm, Colour: "#55605a"));
        }

        return leaves.Select((marks, i) => new Leaf(paper, $"Tried out: {words}", ToScale: true,
            [.. marks, .. TemplateLeaves.Foot(paper, Typesetting.Short($"Tried out: {words}", 4, wide * 0.7), "At true size: hold it where it will be seen.", null,
                leaves.Count == 1 ? "One sheet." : $"Sheet {i + 1} of {leaves.Count}.")])).ToArray();
    }

    /// <summary>Each stitch as wide as its thread lies, so that what closes up is seen.</summary>
    private static IEnumerable<Mark> Threads(PlannedElement element, Pt by)
    {
        foreach (var part in element.Parts)
        {
            var width = part.Thread.Size.WidthMm * 0.85;
            foreach (var stitch in part.Stitches)
            {
                yield return stitch.Shape == StitchShape.Knot ? new DotMark(stitch.FromMm + by, part.LineWidthMm / 2, 0.1, "#1f2a26", "#1f2a26")
                    : new LineMark((stitch.PathMm ?? [stitch.FromMm, stitch.ToMm]).Select(p => p + by).ToArray(), width, "#1f2a26");
            }
        }
    }
}
