using Dittany.Core.Geometry;
using Dittany.Core.Items;
using SkiaSharp;

namespace Dittany.Formats.Pictures;

/// <summary>Hands over photographs of items. A real one would be a phone; what ships is made up.</summary>
public interface IPhoneCamera
{
    /// <summary>Pictures that can be had: an id and what is on them.</summary>
    IReadOnlyList<(string Id, string Name)> Scenes { get; }

    /// <summary>The picture of a scene as JPEG bytes, or null where there is none of that name.</summary>
    byte[]? Take(string scene);
}

/// <summary>
/// How a made-up picture is taken: where the camera stands over the table, mm, and what it looks at; focal length and size in px.
/// </summary>
public sealed record Pose(Pt LooksAt, double DistanceMm, double TiltDegrees, double TurnDegrees, double FocalPx, int WidthPx, int HeightPx);

/// <summary>
/// A made-up scene: an item of known outline, a card or sheet at a known place (its top left corner, turned clockwise), so high above the
/// table, and how it is taken.
/// </summary>
public sealed record Scene(string Id, string Name, IReadOnlyList<Pt> Item, IReadOnlyList<IReadOnlyList<Pt>> Seams, string Colour,
    Reference Reference, Pt CardAt, double CardTurnDegrees, double CardHighMm, Pose Pose);

/// <summary>
/// A stand-in for a phone: renders a table, an item and a card through a pinhole camera, so that the truth is known to a thousandth of a
/// px. Ships with the application and says on the page that it is made up.
/// </summary>
public sealed class MadeUpCamera : IPhoneCamera
{
    private static readonly Reference Card = Photographed.References[0];
    private static readonly Reference Sheet = Photographed.References[1];

    /// <summary>A child's cotton bag, 300 × 360 mm, lying on a table.</summary>
    private static readonly Pt[] Bag = [new(0, 0), new(300, 0), new(300, 360), new(0, 360)];

    private static readonly Pt[][] BagSeams = [[new(0, 28), new(300, 28)], [new(4, 0), new(4, 360)], [new(296, 0), new(296, 360)],
        [new(0, 355), new(300, 355)]];

    /// <summary>An apron pocket with slanting sides.</summary>
    private static readonly Pt[] Pocket = [new(0, 0), new(220, 0), new(200, 180), new(20, 180)];

    /// <summary>All scenes; the last three are taken badly on purpose.</summary>
    public static IReadOnlyList<Scene> All { get; } =
    [
        new("bag-card", "A cotton bag with a bank card beside it", Bag, BagSeams, "#c9b48a", Card, new Pt(322, 150), 0, 0,
            new Pose(new Pt(180, 180), 620, 8, 4, 3000, 4000, 3000)),
        new("bag-sheet", "A cotton bag with a sheet of A4 beside it", Bag, BagSeams, "#c9b48a", Sheet, new Pt(322, 40), 2, 0,
            new Pose(new Pt(300, 180), 780, 14, -6, 3000, 4000, 3000)),
        new("pocket-card", "A pocket, its card laid askew", Pocket, [[new(0, 20), new(220, 20)]], "#7c8f86", Card, new Pt(70, 205), -12, 0,
            new Pose(new Pt(110, 120), 420, 12, 10, 3000, 4000, 3000)),
        new("bag-steep", "Taken badly: far too steep", Bag, BagSeams, "#c9b48a", Card, new Pt(322, 150), 0, 0,
            new Pose(new Pt(180, 180), 900, 58, 10, 3000, 4000, 3000)),
        new("bag-far", "Taken badly: from so far that the card is small", Bag, BagSeams, "#c9b48a", Card, new Pt(322, 150), 0, 0,
            new Pose(new Pt(400, 250), 2600, 10, 4, 900, 1200, 900)),
        new("bag-raised", "Taken badly: the card on a pile of books", Bag, BagSeams, "#c9b48a", Card, new Pt(322, 150), 0, 60,
            new Pose(new Pt(180, 180), 620, 8, 4, 3000, 4000, 3000)),
    ];

    public IReadOnlyList<(string Id, string Name)> Scenes => All.Select(s => (s.Id, s.Name)).ToArray();

    public byte[]? Take(string scene) => All.FirstOrDefault(s => s.Id == scene) is { } found ? Render(found) : null;

    /// <summary>Where a point of the table, mm, so high above it, is seen in the picture, px.</summary>
    public static Pt Seen(Pose pose, Pt p, double highMm)
    {
        var (tilt, turn) = (pose.TiltDegrees * Math.PI / 180, pose.TurnDegrees * Math.PI / 180);
        var (dx, dy) = (p.X - pose.LooksAt.X, p.Y - pose.LooksAt.Y);
        var (rx, ry) = ((dx * Math.Cos(turn)) - (dy * Math.Sin(turn)), (dx * Math.Sin(turn)) + (dy * Math.Cos(turn)));

        // The camera looks down, leaning back by the tilt: what lies up the table is farther away.
        var y = (ry * Math.Cos(tilt)) - (highMm * Math.Sin(tilt));
        var depth = pose.DistanceMm - (ry * Math.Sin(tilt)) - (highMm * Math.Cos(tilt));
        return new Pt((pose.WidthPx / 2.0) + (pose.FocalPx * rx / depth), (pose.HeightPx / 2.0) + (pose.FocalPx * y / depth));
    }

    /// <summary>The true corners of a scene's card in the picture, going round from the one at its top left.</summary>
    public static IReadOnlyList<Pt> CornersOf(Scene scene) => CardOf(scene).Select(p => Seen(scene.Pose, p, scene.CardHighMm)).ToArray();

    /// <summary>The true corners of its card on the table, mm.</summary>
    public static IReadOnlyList<Pt> CardOf(Scene scene)
    {
        var turn = scene.CardTurnDegrees * Math.PI / 180;
        var (w, h) = (scene.Reference.WidthMm, scene.Reference.HeightMm);
        return new Pt[] { new(0, 0), new(w, 0), new(w, h), new(0, h) }
            .Select(p => scene.CardAt + new Pt((p.X * Math.Cos(turn)) - (p.Y * Math.Sin(turn)), (p.X * Math.Sin(turn))
                + (p.Y * Math.Cos(turn)))).ToArray();
    }

    /// <summary>Renders a scene as JPEG.</summary>
    public static byte[] Render(Scene scene)
    {
        using var surface = SKSurface.Create(new SKImageInfo(scene.Pose.WidthPx, scene.Pose.HeightPx, SKColorType.Rgba8888,
            SKAlphaType.Opaque));
        var canvas = surface.Canvas;
        canvas.Clear(new SKColor(0x9a, 0x7f, 0x62));
        using var plank = new SKPaint { Color = new SKColor(0x86, 0x6d, 0x53), IsAntialias = true, StrokeWidth = 3 };
        for (var x = -1600; x <= 2200; x += 140)
        {
            canvas.DrawLine(On(Seen(scene.Pose, new Pt(x, -800), 0)), On(Seen(scene.Pose, new Pt(x, 1600), 0)), plank);
        }

        Fill(canvas, scene.Item.Select(p => Seen(scene.Pose, p + new Pt(3, 4), 0)), new SKColor(0, 0, 0, 60));
        Fill(canvas, scene.Item.Select(p => Seen(scene.Pose, p, 0)), SKColor.Parse(scene.Colour));
        using var seam = new SKPaint
        {
            Color = new SKColor(0x5b, 0x4c, 0x33),
            IsAntialias = true,
            Style = SKPaintStyle.Stroke,
            StrokeWidth = 4,
            PathEffect = SKPathEffect.CreateDash([18, 10], 0)
        };
        foreach (var line in scene.Seams)
        {
            canvas.DrawLine(On(Seen(scene.Pose, line[0], 0)), On(Seen(scene.Pose, line[1], 0)), seam);
        }

        if (scene.CardHighMm > 0)
        {
            Fill(canvas, CardOf(scene).Select(p => Seen(scene.Pose, p + new Pt(6, 8), 0)), new SKColor(0x4a, 0x3a, 0x2c));
        }

        var sheet = scene.Reference.Id == "a4";
        Fill(canvas, CornersOf(scene), sheet ? new SKColor(0xf7, 0xf7, 0xf2) : new SKColor(0x2f, 0x5d, 0x73));
        if (!sheet)
        {
            var card = CardOf(scene);
            Pt At(double x, double y) => Seen(scene.Pose, card[0] + ((card[1] - card[0]) * x) + ((card[3] - card[0]) * y),
                scene.CardHighMm);
            Fill(canvas, [At(0.08, 0.3), At(0.22, 0.3), At(0.22, 0.5), At(0.08, 0.5)], new SKColor(0xd9, 0xc2, 0x7a));
            Fill(canvas, [At(0.08, 0.68), At(0.7, 0.68), At(0.7, 0.74), At(0.08, 0.74)], new SKColor(0xcf, 0xdd, 0xe3));
        }

        using var image = surface.Snapshot();
        return image.Encode(SKEncodedImageFormat.Jpeg, 92).ToArray();
    }

    private static void Fill(SKCanvas canvas, IEnumerable<Pt> ring, SKColor colour)
    {
        using var path = new SKPathBuilder();
        path.AddPoly(ring.Select(On).ToArray(), close: true);
        using var paint = new SKPaint { Color = colour, IsAntialias = true };
        using var drawn = path.Detach();
        canvas.DrawPath(drawn, paint);
    }

    private static SKPoint On(Pt p) => new((float)p.X, (float)p.Y);
}
