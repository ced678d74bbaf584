using Dittany.Core.Measures;
using Dittany.Core.Transfer;
using SkiaSharp;

namespace Dittany.Formats.Template;

/// <summary>Writes a template as PDF at 1:1: one page a tile, a solid check line on each, joining marks where pages overlap.</summary>
public static class TemplatePdf
{
    /// <summary>A PDF point is 1/72 in (ISO 32000), an inch 25.4 mm.</summary>
    public const double PointsPerMm = 72 / 25.4;

    private static readonly Lazy<SKTypeface> Reading = new(() => Face("reading.ttf"));
    private static readonly Lazy<SKTypeface> Heading = new(() => Face("heading.ttf"));

    /// <summary>The PDF's bytes.</summary>
    public static byte[] Write(TemplateSheet sheet)
    {
        using var stream = new MemoryStream();
        var about = SKDocumentPdfMetadata.Default;
        about.Title = sheet.Title;
        about.Creator = "Dittany";
        about.Creation = null;
        about.Modified = null;
        using (var document = SKDocument.CreatePdf(stream, about))
        {
            foreach (var tile in sheet.Tiles)
            {
                using var canvas = document.BeginPage((float)(sheet.Paper.WidthMm * PointsPerMm), (float)(sheet.Paper.HeightMm * PointsPerMm));
                canvas.Scale((float)PointsPerMm);
                Page(canvas, sheet, tile);
                document.EndPage();
            }

            document.Close();
        }

        return stream.ToArray();
    }

    private static void Page(SKCanvas canvas, TemplateSheet sheet, Tile tile)
    {
        using var ink = Pen(0.35f, SKColors.Black);
        using var thin = Pen(0.2f, new SKColor(110, 110, 110));
        using var dashed = Pen(0.2f, new SKColor(110, 110, 110));
        using var dash = SKPathEffect.CreateDash([2f, 1.5f], 0);
        dashed.PathEffect = dash;

        canvas.Save();
        canvas.ClipRect(new SKRect((float)Sheet.MarginMm, (float)Sheet.MarginMm, (float)(Sheet.MarginMm + tile.WidthMm), (float)(Sheet.MarginMm + tile.HeightMm)));
        canvas.Translate((float)(Sheet.MarginMm - tile.XMm), (float)(Sheet.MarginMm - tile.YMm));
        canvas.DrawLine((float)sheet.CentreXMm, (float)tile.YMm, (float)sheet.CentreXMm, (float)(tile.YMm + tile.HeightMm), dashed);
        foreach (var baseline in sheet.BaselinesMm)
        {
            canvas.DrawLine((float)tile.XMm, (float)baseline, (float)(tile.XMm + tile.WidthMm), (float)baseline, dashed);
        }

        foreach (var line in sheet.Lines)
        {
            using var path = new SKPathBuilder();
            path.MoveTo((float)line.PointsMm[0].X, (float)line.PointsMm[0].Y);
            foreach (var p in line.PointsMm.Skip(1))
            {
                path.LineTo((float)p.X, (float)p.Y);
            }

            if (line.Closed)
            {
                path.Close();
            }

            using var drawn = path.Detach();
            canvas.DrawPath(drawn, ink);
        }

        canvas.Restore();
        if (sheet.Tiles.Count > 1)
        {
            JoiningMarks(canvas, sheet, tile, thin);
        }

        Foot(canvas, sheet, tile, ink);
    }

    /// <summary>Crosses in the middle of every overlap: laid on each other, neighbouring pages join.</summary>
    private static void JoiningMarks(SKCanvas canvas, TemplateSheet sheet, Tile tile, SKPaint pen)
    {
        const double Half = Sheet.OverlapMm / 2;
        foreach (var other in sheet.Tiles.Where(t => Math.Abs(t.Row - tile.Row) + Math.Abs(t.Column - tile.Column) == 1))
        {
            foreach (var share in new[] { 0.15, 0.85 })
            {
                var x = other.Column > tile.Column ? tile.WidthMm - Half : other.Column < tile.Column ? Half : tile.WidthMm * share;
                var y = other.Row > tile.Row ? tile.HeightMm - Half : other.Row < tile.Row ? Half : tile.HeightMm * share;
                var (px, py) = ((float)(Sheet.MarginMm + x), (float)(Sheet.MarginMm + y));
                canvas.DrawLine(px - 3, py, px + 3, py, pen);
                canvas.DrawLine(px, py - 3, px, py + 3, pen);
                canvas.DrawCircle(px, py, 1.5f, pen);
            }
        }
    }

    private static void Foot(SKCanvas canvas, TemplateSheet sheet, Tile tile, SKPaint ink)
    {
        using var heading = Font(Heading.Value, 5);
        using var reading = Font(Reading.Value, 3.2f);
        using var fill = new SKPaint { Color = SKColors.Black, IsAntialias = true };
        var x = (float)Sheet.MarginMm;
        var y = (float)(sheet.Paper.HeightMm - Sheet.MarginMm - Sheet.FootMm);
        var width = (float)(sheet.Paper.WidthMm - (2 * Sheet.MarginMm));
        canvas.DrawText(Short(sheet.Title, heading, width), x, y + 8, SKTextAlign.Left, heading, fill);
        canvas.DrawText(sheet.MirrorWords, x, y + 13.5f, SKTextAlign.Left, reading, fill);
        var page = sheet.Tiles.Count == 1 ? "One sheet." : $"Sheet {Say.Number(1 + (tile.Row * (1 + sheet.Tiles.Max(t => t.Column))) + tile.Column, 0)} of {sheet.Tiles.Count}, row {tile.Row + 1}, column {tile.Column + 1}: lay the crosses of neighbours on each other.";
        canvas.DrawText($"{page} Dashed: {sheet.CentreWords} and base line.", x, y + 18, SKTextAlign.Left, reading, fill);

        // The check line: solid, 100 mm from outer edge to outer edge; its end ticks stand inside, or their thickness would be measured along.
        var line = y + 24;
        var inside = ink.StrokeWidth / 2;
        canvas.DrawLine(x, line, x + (float)TemplateSheet.CheckLineMm, line, ink);
        canvas.DrawLine(x + inside, line - 2, x + inside, line + 2, ink);
        canvas.DrawLine(x + (float)TemplateSheet.CheckLineMm - inside, line - 2, x + (float)TemplateSheet.CheckLineMm - inside, line + 2, ink);
        canvas.DrawText(TemplateSheet.CheckWords, x, line + 6, SKTextAlign.Left, reading, fill);
    }

    private static string Short(string text, SKFont font, float width)
    {
        while (text.Length > 1 && font.MeasureText(text) > width)
        {
            text = text[..^2].TrimEnd() + "…";
        }

        return text;
    }

    /// <summary>Sizes are in mm, so small that whole-pixel advances would close the spaces between words.</summary>
    private static SKFont Font(SKTypeface face, float sizeMm) => new(face, sizeMm) { Subpixel = true, LinearMetrics = true, Hinting = SKFontHinting.None };

    private static SKPaint Pen(float widthMm, SKColor colour) =>
        new() { Color = colour, StrokeWidth = widthMm, IsStroke = true, IsAntialias = true, StrokeCap = SKStrokeCap.Butt, StrokeJoin = SKStrokeJoin.Round };

    private static SKTypeface Face(string name)
    {
        using var stream = typeof(TemplatePdf).Assembly.GetManifestResourceStream($"Dittany.Formats.Fonts.{name}")
            ?? throw new InvalidOperationException($"The font {name} is not in the program.");
        return SKTypeface.FromStream(stream);
    }
}
