using Dittany.Core.Geometry;
using SkiaSharp;

namespace Dittany.Formats.Sheets;

/// <summary>Writes leaves as PDF at 1:1.</summary>
public static class LeafPdf
{
    /// <summary>A PDF point is 1/72 in (ISO 32000), an inch 25.4 mm.</summary>
    public const double PointsPerMm = 72 / 25.4;

    /// <summary>
    /// The PDF's bytes. <paramref name="enlarged"/> enlarges what is on each page about its middle, to make up for a printer that makes
    /// everything smaller (or, under 1, larger).
    /// </summary>
    public static byte[] Write(IReadOnlyList<Leaf> leaves, double enlarged = 1)
    {
        using var stream = new MemoryStream();
        var about = SKDocumentPdfMetadata.Default;
        about.Title = leaves[0].Title;
        about.Creator = "Dittany";
        about.Creation = null;
        about.Modified = null;
        using (var document = SKDocument.CreatePdf(stream, about))
        {
            foreach (var leaf in leaves)
            {
                var (w, h) = ((float)(leaf.Paper.WidthMm * PointsPerMm), (float)(leaf.Paper.HeightMm * PointsPerMm));
                using var canvas = document.BeginPage(w, h);
                canvas.Translate(w / 2, h / 2);
                canvas.Scale((float)(PointsPerMm * enlarged));
                canvas.Translate((float)(-leaf.Paper.WidthMm / 2), (float)(-leaf.Paper.HeightMm / 2));
                Draw(canvas, leaf.Marks);
                document.EndPage();
            }

            document.Close();
        }

        return stream.ToArray();
    }

    private static void Draw(SKCanvas canvas, IReadOnlyList<Mark> marks)
    {
        foreach (var mark in marks)
        {
            switch (mark)
            {
                case ClipMark clip:
                    canvas.Save();
                    canvas.ClipRect(SKRect.Create((float)clip.XMm, (float)clip.YMm, (float)clip.WidthMm, (float)clip.HeightMm));
                    Draw(canvas, clip.Marks);
                    canvas.Restore();
                    break;
                case LineMark line:
                    Line(canvas, line);
                    break;
                case DotMark dot:
                    Dot(canvas, dot);
                    break;
                case TextMark text:
                    Text(canvas, text);
                    break;
            }
        }
    }

    private static void Line(SKCanvas canvas, LineMark line)
    {
        using var builder = new SKPathBuilder();
        builder.MoveTo(At(line.PointsMm[0]));
        foreach (var p in line.PointsMm.Skip(1))
        {
            builder.LineTo(At(p));
        }

        if (line.Closed)
        {
            builder.Close();
        }

        using var path = builder.Detach();
        if (line.Fill is { } fill)
        {
            using var inside = new SKPaint { Color = SKColor.Parse(fill), IsAntialias = true };
            canvas.DrawPath(path, inside);
        }

        if (line.WidthMm <= 0)
        {
            return;
        }

        using var pen = Pen(line.WidthMm, line.Colour);
        using var dash = line.Dashed ? SKPathEffect.CreateDash([2f, 1.5f], 0) : null;
        pen.PathEffect = dash;
        canvas.DrawPath(path, pen);
    }

    private static void Dot(SKCanvas canvas, DotMark dot)
    {
        if (dot.Fill is { } fill)
        {
            using var inside = new SKPaint { Color = SKColor.Parse(fill), IsAntialias = true };
            canvas.DrawCircle(At(dot.CentreMm), (float)dot.RadiusMm, inside);
        }

        using var pen = Pen(dot.WidthMm, dot.Colour);
        canvas.DrawCircle(At(dot.CentreMm), (float)dot.RadiusMm, pen);
    }

    private static void Text(SKCanvas canvas, TextMark text)
    {
        using var font = Typesetting.Font(text.Heading, text.SizeMm);
        using var fill = new SKPaint { Color = SKColor.Parse(text.Colour), IsAntialias = true };
        var align = text.Align switch { Align.Middle => SKTextAlign.Center, Align.Right => SKTextAlign.Right, _ => SKTextAlign.Left };
        canvas.DrawText(text.Text, (float)text.AtMm.X, (float)text.AtMm.Y, align, font, fill);
    }

    private static SKPoint At(Pt p) => new((float)p.X, (float)p.Y);

    private static SKPaint Pen(double widthMm, string colour) =>
        new()
        {
            Color = SKColor.Parse(colour),
            StrokeWidth = (float)widthMm,
            IsStroke = true,
            IsAntialias = true,
            StrokeCap = SKStrokeCap.Butt,
            StrokeJoin = SKStrokeJoin.Round
        };
}
