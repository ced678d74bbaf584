using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Transfer;
using Dittany.Formats.Sheets;

namespace Dittany.Formats.Template;

/// <summary>A template laid on leaves at 1:1: one leaf a tile, a solid check line on each, joining marks where leaves overlap.</summary>
public static class TemplateLeaves
{
    private const double InkMm = TemplateSheet.ThinMm;
    private const string Grey = "#6e6e6e";

    /// <summary>
    /// All leaves, by rows. <paramref name="note"/> says which sheet it is, and for which printer; null where it goes to none in
    /// particular.
    /// </summary>
    public static IReadOnlyList<Leaf> Of(TemplateSheet sheet, string? note = null) => sheet.Tiles.Select(tile =>
    {
        var shift = new Pt(Sheet.MarginMm - tile.XMm, Sheet.MarginMm - tile.YMm);
        var design = new List<Mark> { new LineMark([new Pt(sheet.CentreXMm, tile.YMm) + shift,
            new Pt(sheet.CentreXMm, tile.YMm + tile.HeightMm) + shift], 0.2, Grey, Dashed: true) };
        design.AddRange(sheet.BaselinesMm.Select(y => new LineMark([new Pt(tile.XMm, y) + shift, new Pt(tile.XMm + tile.WidthMm, y)
            + shift], 0.2, Grey, Dashed: true)));
        design.AddRange(sheet.Lines.Where(line => Meets(line, tile)).Select(line =>
            new LineMark(line.PointsMm.Select(p => p + shift).ToArray(), sheet.InkMm, Closed: line.Closed)));
        design.AddRange((sheet.CutMm ?? []).Select(ring => new LineMark(ring.Select(p => p + shift).ToArray(), 0.3, Grey, Closed: true)));
        var marks = new List<Mark> { new ClipMark(Sheet.MarginMm, Sheet.MarginMm, tile.WidthMm, tile.HeightMm, design) };
        marks.AddRange(JoiningMarks(sheet, tile));
        marks.AddRange(Foot(sheet, tile, note));
        return new Leaf(sheet.Paper, sheet.Title, ToScale: true, marks);
    }).ToArray();

    /// <summary>Whether any of a line can be on this leaf.</summary>
    private static bool Meets(TemplateLine line, Tile tile) =>
        line.PointsMm.Max(p => p.X) >= tile.XMm - 1 && line.PointsMm.Min(p => p.X) <= tile.XMm + tile.WidthMm + 1
            && line.PointsMm.Max(p => p.Y) >= tile.YMm - 1 && line.PointsMm.Min(p => p.Y) <= tile.YMm + tile.HeightMm + 1;

    /// <summary>Crosses in the middle of every overlap: laid on each other, neighbouring leaves join.</summary>
    private static IEnumerable<Mark> JoiningMarks(TemplateSheet sheet, Tile tile)
    {
        foreach (var other in sheet.Tiles.Where(t => Math.Abs(t.Row - tile.Row) + Math.Abs(t.Column - tile.Column) == 1))
        {
            foreach (var share in new[] { 0.15, 0.85 })
            {
                var x = other.Column == tile.Column ? tile.WidthMm * share
                    : (Math.Max(tile.XMm, other.XMm) + Math.Min(tile.XMm, other.XMm) + tile.WidthMm) / 2 - tile.XMm;
                var y = other.Row == tile.Row ? tile.HeightMm * share
                    : (Math.Max(tile.YMm, other.YMm) + Math.Min(tile.YMm, other.YMm) + tile.HeightMm) / 2 - tile.YMm;
                var at = new Pt(Sheet.MarginMm + x, Sheet.MarginMm + y);
                yield return new LineMark([at - new Pt(3, 0), at + new Pt(3, 0)], 0.2, Grey);
                yield return new LineMark([at - new Pt(0, 3), at + new Pt(0, 3)], 0.2, Grey);
                yield return new DotMark(at, 1.5, 0.2, Grey);
            }
        }
    }

    private static IEnumerable<Mark> Foot(TemplateSheet sheet, Tile tile, string? note)
    {
        var page = sheet.Tiles.Count == 1 ? "One sheet."
            : $"Sheet {Say.Number(1 + (tile.Row * (1 + sheet.Tiles.Max(t => t.Column))) + tile.Column, 0)} of {sheet.Tiles.Count}, row "
                + $"{tile.Row + 1}, column {tile.Column + 1}: lay the crosses of neighbours on each other.";
        return Foot(sheet.Paper, sheet.Title, sheet.MirrorWords, note,
            $"{page} Dashed: {sheet.CentreWords}{(sheet.BaselinesMm.Count > 0 ? " and base line" : string.Empty)}.");
    }

    /// <summary>
    /// What stands at the foot of every leaf that is true to scale: title, a word on it, which leaf it is, and the check line.
    /// </summary>
    internal static IEnumerable<Mark> Foot(Paper paper, string title, string words, string? note, string page)
    {
        const double X = Sheet.MarginMm;
        var y = paper.HeightMm - Sheet.MarginMm - Sheet.FootMm;
        var width = paper.WidthMm - (2 * Sheet.MarginMm);
        yield return new TextMark(new Pt(X, y + 8), Typesetting.Short(title, 5, width, heading: true), 5, Heading: true);
        yield return new TextMark(new Pt(X, y + 13.5), words, 3.2);
        if (note is not null)
        {
            yield return new TextMark(new Pt(X + width, y + 13.5), note, 3.2, Align: Align.Right);
        }

        yield return new TextMark(new Pt(X, y + 18), page, 3.2);

        // The check line: solid, 100 mm from outer edge to outer edge; its end ticks stand inside, or their thickness would be measured
        // along.
        var line = y + 24;
        const double Inside = InkMm / 2;
        yield return new LineMark([new Pt(X, line), new Pt(X + TemplateSheet.CheckLineMm, line)], InkMm);
        yield return new LineMark([new Pt(X + Inside, line - 2), new Pt(X + Inside, line + 2)], InkMm);
        yield return new LineMark([new Pt(X + TemplateSheet.CheckLineMm - Inside, line - 2),
            new Pt(X + TemplateSheet.CheckLineMm - Inside, line + 2)], InkMm);
        yield return new TextMark(new Pt(X, line + 6), TemplateSheet.CheckWords, 3.2);
    }
}
