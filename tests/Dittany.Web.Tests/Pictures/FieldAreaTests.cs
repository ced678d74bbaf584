using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Space;
using SkiaSharp;

namespace Dittany.Web.Tests.Pictures;

/// <summary>
/// Fields against a second geometry library: SkiaSharp's path operations, an implementation of their own, grow every obstacle by stroking
/// its ring and subtract it; the area is counted by pixels of the path drawn large, an oracle of its own.
/// </summary>
public class FieldAreaTests
{
    /// <summary>Px per mm the oracle draws at.</summary>
    private const float Scale = 4;

    public static TheoryData<string, string> Everywhere()
    {
        var data = new TheoryData<string, string>();
        foreach (var form in Catalogue.Forms.Where(f => f.Sizes.First(s => s.Id == f.UsualSize) is { WidthMm: <= 600, HeightMm: <= 800 }))
        {
            foreach (var (zone, _) in form.Zones)
            {
                data.Add(form.Id, zone);
            }
        }

        return data;
    }

    [Theory]
    [MemberData(nameof(Everywhere))]
    public void The_field_has_the_same_area(string formId, string zoneId)
    {
        var form = Catalogue.Find(formId)!;
        var drawn = form.At(form.UsualSize, zoneId);
        var zone = drawn.Zones.Single(z => z.Id == zoneId);
        var field = Field.Of(drawn, zone);
        var (least, greatest) = Region.Of(zone.Ring).Box;
        using var bitmap = new SKBitmap(new SKImageInfo((int)Math.Ceiling((greatest.X - least.X) * Scale) + 8,
            (int)Math.Ceiling((greatest.Y - least.Y) * Scale) + 8, SKColorType.Gray8));
        using var canvas = new SKCanvas(bitmap);
        canvas.Clear(SKColors.Black);
        canvas.Translate(4, 4);
        canvas.Scale(Scale);
        canvas.Translate((float)-least.X, (float)-least.Y);
        using var white = new SKPaint { Color = SKColors.White, IsAntialias = true };
        using var black = new SKPaint
        {
            Color = SKColors.Black,
            IsAntialias = true,
            StrokeJoin = SKStrokeJoin.Round,
            Style = SKPaintStyle.StrokeAndFill
        };
        using (var ring = Path(zone.Ring))
        {
            canvas.DrawPath(ring, white);
            if (zone.EdgeAllowanceMm > 0)
            {
                // What lies within the allowance of the ring goes: a stroke twice as wide along it.
                using var edge = new SKPaint
                {
                    Color = SKColors.Black,
                    IsAntialias = true,
                    Style = SKPaintStyle.Stroke,
                    StrokeJoin = SKStrokeJoin.Round,
                    StrokeWidth = (float)(2 * zone.EdgeAllowanceMm)
                };
                canvas.DrawPath(ring, edge);
            }
        }

        foreach (var obstacle in drawn.Obstacles.Where(o => zone.Ignores?.Contains(o.Id) != true))
        {
            using var ring = Path(obstacle.Ring);
            black.StrokeWidth = (float)(2 * Clearances.For(obstacle.Kind));
            canvas.DrawPath(ring, black);
        }

        canvas.Flush();
        var area = 0.0;
        var pixels = bitmap.GetPixelSpan();
        for (var y = 0; y < bitmap.Height; y++)
        {
            for (var x = 0; x < bitmap.Width; x++)
            {
                area += pixels[(y * bitmap.RowBytes) + x] / 255.0;
            }
        }

        area /= Scale * Scale;
        Assert.True(area > 50, "there is a field");
        Assert.InRange(field.AreaMm2 / area, 0.995, 1.005);
    }

    private static SKPath Path(IReadOnlyList<Pt> ring)
    {
        using var builder = new SKPathBuilder();
        builder.AddPoly(ring.Select(p => new SKPoint((float)p.X, (float)p.Y)).ToArray(), close: true);
        return builder.Detach();
    }
}
