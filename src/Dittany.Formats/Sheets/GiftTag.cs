using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.Planning;
using Dittany.Core.Words;

namespace Dittany.Formats.Sheets;

/// <summary>A small tag with the words in the very lines of the piece, to cut out, punch and tie on.</summary>
internal static class GiftTag
{
    private const double WidthMm = 90;
    private const double HighMm = 50;
    private const double CutMm = 10;

    public static IReadOnlyList<Leaf> Of(Plan plan, Paper paper)
    {
        var left = (paper.WidthMm - WidthMm) / 2;
        var marks = new List<Mark>();
        foreach (var top in new[] { 25.0, 25 + HighMm + 12, 25 + (2 * (HighMm + 12)) })
        {
            marks.AddRange(One(plan, left, top));
        }

        marks.Add(new TextMark(new Pt(paper.WidthMm / 2, paper.HeightMm - 15), "Cut along the dashes and punch the hole.", 3.2,
            Align: Align.Middle, Colour: "#55605a"));
        return [new Leaf(paper, $"Gift tag: {plan.Title}", ToScale: false, marks)];
    }

    private static IEnumerable<Mark> One(Plan plan, double left, double top)
    {
        Pt[] edge =
        [
            new(left + CutMm, top), new(left + WidthMm, top), new(left + WidthMm, top + HighMm), new(left + CutMm, top + HighMm),
                new(left, top + HighMm - CutMm), new(left, top + CutMm),
        ];
        yield return new LineMark(edge, 0.2, "#6e6e6e", Closed: true, Dashed: true);
        yield return new DotMark(new Pt(left + 7, top + (HighMm / 2)), 2, 0.2, "#6e6e6e");

        var lines = plan.Elements.SelectMany(e => e.Parts).ToArray();
        var points = lines.SelectMany(p => p.LineMm).ToArray();
        var (x0, x1, y0, y1) = (points.Min(p => p.X), points.Max(p => p.X), points.Min(p => p.Y), points.Max(p => p.Y));
        var scale = Math.Min(66 / Math.Max(1, x1 - x0), 24 / Math.Max(1, y1 - y0));
        var middle = new Pt(left + 13 + ((WidthMm - 13) / 2), top + 20);
        Pt On(Pt p) => middle + new Pt((p.X - ((x0 + x1) / 2)) * scale, (p.Y - ((y0 + y1) / 2)) * scale);
        foreach (var part in lines)
        {
            yield return part.LineMm.Count == 1
                ? new DotMark(On(part.LineMm[0]), 0.6, 0.2, Shown(part.Colour), Shown(part.Colour))
                : new LineMark(part.LineMm.Select(On).ToArray(), Math.Clamp(part.LineWidthMm * scale, 0.4, 1.6), Shown(part.Colour),
                    Closed: part.Closed);
        }

        yield return new TextMark(new Pt(middle.X, top + HighMm - 9), $"stitched by hand on {plan.Item.Cloth.Kind.Name}", 3.2,
            Align: Align.Middle);
    }

    /// <summary>Pale thread would vanish on white paper: it is printed in black.</summary>
    private static string Shown(string colour) => ColourDifference.Lightness(Colour.Parse(colour),
        Colour.Parse("#ffffff")) < Legibility.ReadsFromL ? "#1c2b23" : colour;
}
