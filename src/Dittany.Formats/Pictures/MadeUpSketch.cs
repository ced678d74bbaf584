using Dittany.Core.Geometry;
using Dittany.Core.Motifs;
using SkiaSharp;

namespace Dittany.Formats.Pictures;

/// <summary>
/// A stand-in for a sketch of her own: a bird in pencil on a postcard (A6, ISO 216), drawn from known lines, so that what is traced over it
/// can be held against the truth. It says on the page that it is made up.
/// </summary>
public static class MadeUpSketch
{
    public const double WidthMm = 148;

    public const double HeightMm = 105;

    private const double PxPerMm = 8;

    private const float PencilMm = 0.7f;

    /// <summary>The lines of the sketch, in mm from the top left corner of the card.</summary>
    public static Figure Lines { get; } = MotifLibrary.Find("bird")!.DrawWithin(112, 78,
        new MotifShape(Wobble: 0.02, Seed: 3)).Moved(new Pt(WidthMm / 2, HeightMm / 2));

    /// <summary>The sketch as JPEG bytes.</summary>
    public static byte[] Render()
    {
        using var surface = SKSurface.Create(new SKImageInfo((int)(WidthMm * PxPerMm), (int)(HeightMm * PxPerMm), SKColorType.Rgba8888,
            SKAlphaType.Opaque));
        var canvas = surface.Canvas;
        canvas.Clear(new SKColor(0xf6, 0xf2, 0xe6));
        canvas.Scale((float)PxPerMm);
        using var pencil = new SKPaint
        {
            Color = new SKColor(0x45, 0x48, 0x4c, 0xd8),
            IsAntialias = true,
            Style = SKPaintStyle.Stroke,
            StrokeWidth = PencilMm,
            StrokeCap = SKStrokeCap.Round,
            StrokeJoin = SKStrokeJoin.Round
        };
        foreach (var part in Lines.Parts)
        {
            if (part.Kind == FigureKind.Dot)
            {
                canvas.DrawCircle((float)part.Middle.X, (float)part.Middle.Y, PencilMm, pencil);
                continue;
            }

            using var path = new SKPathBuilder();
            path.MoveTo((float)part.Stroke.Start.X, (float)part.Stroke.Start.Y);
            foreach (var c in part.Stroke.Curves)
            {
                path.CubicTo((float)c.P1.X, (float)c.P1.Y, (float)c.P2.X, (float)c.P2.Y, (float)c.P3.X, (float)c.P3.Y);
            }

            using var drawn = path.Detach();
            canvas.DrawPath(drawn, pencil);
        }

        using var image = surface.Snapshot();
        return image.Encode(SKEncodedImageFormat.Jpeg, 90).ToArray();
    }
}
