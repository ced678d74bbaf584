using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Formats.Pictures;
using SkiaSharp;

namespace Dittany.Web.Tests.Pictures;

/// <summary>Pictures of the made-up camera, whose truth is known: the straightened picture is measured in its own px.</summary>
public class PictureTests
{
    /// <summary>
    /// Corners pointed at some px off, as a hand does, and made exact by the card's edges: width and height of the bag in the straightened
    /// picture are its own within 1 %.
    /// </summary>
    [Theory]
    [InlineData("bag-card", 300, 360)]
    [InlineData("bag-sheet", 300, 360)]
    public void Lengths_come_out_within_one_percent(string id, double width, double height)
    {
        var scene = MadeUpCamera.All.Single(s => s.Id == id);
        var photo = MadeUpCamera.Render(scene);
        var pointed = MadeUpCamera.CornersOf(scene).Select((c, i) => c + new Pt(i % 2 == 0 ? 4.1 : -3.6, i < 2 ? 3.7 : -4.8)).ToArray();
        var corners = CornerFinder.Find(photo, pointed, 4);
        Assert.True(corners.Found);
        Assert.All(corners.Corners.Zip(MadeUpCamera.CornersOf(scene)), p => Assert.InRange(p.First.To(p.Second), 0, 2 * corners.WithinPx));
        var view = Photographed.Straighten(scene.Reference, corners.Corners, scene.Pose.WidthPx, scene.Pose.HeightPx, corners.WithinPx,
            turnDegrees: scene.CardTurnDegrees).View!;
        Assert.InRange(OutlineIn(scene, view) is var o ? Math.Abs(o[0].Y - o[1].Y) : 1, 0, 0.5);
        Assert.Equal(PictureWorth.Good, Photographed.WorthOf(view, OutlineIn(scene, view)));
        Assert.Empty(Photographed.Warnings(view, OutlineIn(scene, view)));

        var told = new List<StraighteningProgress>();
        var drawn = Rectifier.Draw(photo, view, told.Add);
        var pxPerMm = Rectifier.PxPerMm(view);
        var found = Extent(drawn, SKColor.Parse(scene.Colour), OutlineIn(scene, view), pxPerMm);
        Assert.InRange(found.Width / pxPerMm / width, 0.99, 1.01);
        Assert.InRange(found.Height / pxPerMm / height, 0.99, 1.01);
        Assert.True(told.Count > 3 && told.Zip(told.Skip(1)).All(p => p.First.Share <= p.Second.Share), "progress is told, and only grows");
    }

    /// <summary>A shape with slanting sides comes out with its own corners, 1 % of its size off at most.</summary>
    [Fact]
    public void A_slanting_shape_keeps_its_corners()
    {
        var scene = MadeUpCamera.All.Single(s => s.Id == "pocket-card");
        var view = Photographed.Straighten(scene.Reference, MadeUpCamera.CornersOf(scene), scene.Pose.WidthPx, scene.Pose.HeightPx,
            1).View!;
        var traced = OutlineIn(scene, view);
        for (var i = 0; i < 4; i++)
        {
            Assert.Equal(scene.Item[i].To(scene.Item[(i + 1) % 4]), traced[i].To(traced[(i + 1) % 4]), 0.001);
        }
    }

    /// <summary>Bad pictures are told to be so: too steep, too small a card; and a card on a pile of books by the tape alone.</summary>
    [Theory]
    [InlineData("bag-steep", "square on")]
    [InlineData("bag-far", "px long")]
    [InlineData("bag-raised", "higher than the item")]
    public void Bad_pictures_are_told_to_be_so(string id, string said)
    {
        var scene = MadeUpCamera.All.Single(s => s.Id == id);
        var view = Photographed.Straighten(scene.Reference, MadeUpCamera.CornersOf(scene), scene.Pose.WidthPx, scene.Pose.HeightPx,
            2).View!;
        var outline = OutlineIn(scene, view);
        Assert.Contains(Photographed.Warnings(view, outline, (300, outline[0].To(outline[1]))), w =>
            w.Contains(said, StringComparison.Ordinal));
        Assert.True(id == "bag-raised" || Photographed.WorthOf(view, outline) != PictureWorth.Good);
    }

    /// <summary>Where there is no card there are no edges: the corners stay as pointed at, and as unsure.</summary>
    [Fact]
    public void Corners_without_edges_stay_as_pointed_at()
    {
        using var surface = SKSurface.Create(new SKImageInfo(800, 600));
        surface.Canvas.Clear(SKColors.Beige);
        using var image = surface.Snapshot();
        Pt[] pointed = [new(200, 200), new(400, 200), new(400, 330), new(200, 330)];
        var found = CornerFinder.Find(image.Encode(SKEncodedImageFormat.Jpeg, 90).ToArray(), pointed, 3);
        Assert.False(found.Found);
        Assert.Equal(pointed, found.Corners);
        Assert.Equal(3, found.WithinPx);
    }

    /// <summary>
    /// The camera is a pinhole: on a plane square on, a mm is focal length over distance px everywhere (similar triangles).
    /// </summary>
    [Fact]
    public void The_made_up_camera_is_a_pinhole()
    {
        var pose = new Pose(new Pt(0, 0), 500, 0, 0, 2000, 4000, 3000);
        Assert.Equal(2000 + (2000 * 100 / 500.0), MadeUpCamera.Seen(pose, new Pt(100, 0), 0).X, 9);
        Assert.Equal(2000 + (2000 * 100 / 400.0), MadeUpCamera.Seen(pose, new Pt(100, 0), 100).X, 9);
        var tilted = pose with { TiltDegrees = 30 };
        Assert.True(MadeUpCamera.Seen(tilted, new Pt(100, -200), 0).X < MadeUpCamera.Seen(tilted, new Pt(100, 200), 0).X,
            "what is farther is smaller");
    }

    /// <summary>Turned as the camera held it: the EXIF tag (CIPA DC-008) says which way, and the red corner ends at the top left.</summary>
    [Theory]
    [InlineData(1, 0, 0, false)]
    [InlineData(3, 1, 1, false)]
    [InlineData(6, 0, 1, true)]
    [InlineData(8, 1, 0, true)]
    public void Pictures_are_turned_by_exif(int orientation, int redRight, int redLow, bool turned)
    {
        using var surface = SKSurface.Create(new SKImageInfo(400, 300));
        surface.Canvas.Clear(SKColors.White);
        using var red = new SKPaint { Color = SKColors.Red };
        surface.Canvas.DrawRect(redRight * 300, redLow * 200, 100, 100, red);
        using var image = surface.Snapshot();
        var taken = PictureFile.Take(WithExif(image.Encode(SKEncodedImageFormat.Jpeg, 95).ToArray(), orientation)).Picture!;
        Assert.Equal(turned ? (300, 400) : (400, 300), (taken.WidthPx, taken.HeightPx));
        using var read = SKBitmap.Decode(taken.Bytes);
        var corner = read.GetPixel(20, 20);
        Assert.True(corner.Red > 200 && corner.Green < 80, $"the corner is {corner}");
    }

    /// <summary>Huge, damaged, or no picture: each told with what would do, none thrown.</summary>
    [Fact]
    public void What_cannot_be_taken_is_told()
    {
        using var small = SKSurface.Create(new SKImageInfo(40, 300));
        using var snapshot = small.Snapshot();
        var good = MadeUpCamera.Render(MadeUpCamera.All.Single(s => s.Id == "bag-far"));
        foreach (var (bytes, said) in new (byte[] Bytes, string Said)[]
        {
            ([], "No picture"), ("<svg xmlns='http://www.w3.org/2000/svg'/>"u8.ToArray(), "no picture"),
                ("GIF89a"u8.ToArray(), "no picture"), (new byte[PictureFile.MostBytes + 1], "25 MB"),
            (snapshot.Encode(SKEncodedImageFormat.Png, 100).ToArray(), "only 40"), (good[..(good.Length / 3)], "damaged"),
                (HugePng(), "60 million"),
        })
        {
            var (picture, detail, @try) = PictureFile.Take(bytes);
            Assert.Null(picture);
            Assert.Contains(said, detail, StringComparison.Ordinal);
            Assert.NotEmpty(@try!);
        }
    }

    /// <summary>
    /// Broken bytes of any kind are refused or read, never thrown: 300 pictures with bytes changed at random, from a fixed seed.
    /// </summary>
    [Fact]
    public void Broken_pictures_are_refused_kindly()
    {
        using var surface = SKSurface.Create(new SKImageInfo(240, 220));
        surface.Canvas.Clear(SKColors.Olive);
        using var image = surface.Snapshot();
        var random = new Random(11);
        foreach (var format in new[] { SKEncodedImageFormat.Jpeg, SKEncodedImageFormat.Png })
        {
            var good = image.Encode(format, 90).ToArray();
            for (var i = 0; i < 150; i++)
            {
                var bytes = (byte[])good.Clone();
                for (var n = 0; n < 1 + (i % 12); n++)
                {
                    bytes[random.Next(bytes.Length)] = (byte)random.Next(256);
                }

                var (picture, detail, _) = PictureFile.Take(bytes.AsMemory(0, i % 3 == 0 ? random.Next(bytes.Length) : bytes.Length));
                Assert.True(picture is not null || detail is not null);
            }
        }
    }

    private static Pt[] OutlineIn(Scene scene, Straightened view) =>
        scene.Item.Select(p => view.ToMm.Map(MadeUpCamera.Seen(scene.Pose, p, 0))).ToArray();

    /// <summary>
    /// Extent of a colour in px where the item should lie: columns and rows that hold it along most of their way across the item.
    /// </summary>
    private static (double Width, double Height) Extent(TakenPicture picture, SKColor colour, Pt[] outline, double pxPerMm)
    {
        using var read = SKBitmap.Decode(picture.Bytes);
        bool Is(int x, int y) => read.GetPixel(x, y) is var c && Math.Abs(c.Red - colour.Red) + Math.Abs(c.Green - colour.Green)
            + Math.Abs(c.Blue - colour.Blue) < 60;
        int[] Along(Func<Pt, double> by) => Enumerable.Range(1, 30).Select(i =>
            (int)((outline.Min(by) + ((outline.Max(by) - outline.Min(by)) * i / 31)) * pxPerMm)).ToArray();
        var (ys, xs) = (Along(p => p.Y), Along(p => p.X));
        var columns = Enumerable.Range(0, read.Width).Where(x => ys.Count(y => Is(x, y)) > 20).ToArray();
        var rows = Enumerable.Range(0, read.Height).Where(y => xs.Count(x => Is(x, y)) > 20).ToArray();
        return (columns[^1] - columns[0] + 1, rows[^1] - rows[0] + 1);
    }

    /// <summary>A JPEG with one EXIF tag: the orientation (CIPA DC-008, tag 0x0112).</summary>
    private static byte[] WithExif(byte[] jpeg, int orientation)
    {
        byte[] tiff = [.. "MM\0*"u8, 0, 0, 0, 8, 0, 1, 0x01, 0x12, 0, 3, 0, 0, 0, 1, 0, (byte)orientation, 0, 0, 0, 0, 0, 0];
        byte[] app1 = [.. "Exif\0\0"u8, .. tiff];
        var length = app1.Length + 2;
        return [jpeg[0], jpeg[1], 0xFF, 0xE1, (byte)(length >> 8), (byte)length, .. app1, .. jpeg[2..]];
    }

    /// <summary>A PNG that says it is 30 000 px wide and high, and holds nothing.</summary>
    private static byte[] HugePng()
    {
        using var surface = SKSurface.Create(new SKImageInfo(240, 220));
        using var image = surface.Snapshot();
        var png = image.Encode(SKEncodedImageFormat.Png, 100).ToArray();
        foreach (var at in new[] { 16, 20 })
        {
            (png[at], png[at + 1], png[at + 2], png[at + 3]) = (0, 0, 0x75, 0x30);
        }

        var crc = 0xFFFFFFFFu;
        foreach (var b in png[12..29])
        {
            crc ^= b;
            for (var k = 0; k < 8; k++)
            {
                crc = (crc & 1) == 1 ? (crc >> 1) ^ 0xEDB88320u : crc >> 1;
            }
        }

        crc = ~crc;
        (png[29], png[30], png[31], png[32]) = ((byte)(crc >> 24), (byte)(crc >> 16), (byte)(crc >> 8), (byte)crc);
        return png;
    }

    /// <summary>A large PNG is made smaller while it is read, and shows the same: each corner keeps its colour.</summary>
    [Fact]
    public void A_large_picture_is_made_smaller_while_it_is_read()
    {
        const int Side = 5000;
        using var large = new SKBitmap(Side, Side);
        using (var canvas = new SKCanvas(large))
        {
            canvas.Clear(SKColors.White);
            using var red = new SKPaint { Color = SKColors.Red };
            canvas.DrawRect(0, 0, Side / 2, Side / 2, red);
            using var blue = new SKPaint { Color = SKColors.Blue };
            canvas.DrawRect(Side / 2, Side / 2, Side / 2, Side / 2, blue);
        }

        foreach (var format in new[] { SKEncodedImageFormat.Png, SKEncodedImageFormat.Jpeg })
        {
            using var image = SKImage.FromBitmap(large);
            var (picture, detail, _) = PictureFile.Take(image.Encode(format, 90).ToArray());
            Assert.Null(detail);
            Assert.InRange((long)picture!.WidthPx * picture.HeightPx, PictureFile.KeptPx / 5, PictureFile.KeptPx);
            using var seen = SKBitmap.Decode(picture.Bytes);
            foreach (var (x, y, colour) in new[] { (0.25, 0.25, SKColors.Red), (0.75, 0.75, SKColors.Blue), (0.75, 0.25, SKColors.White) })
            {
                var pixel = seen.GetPixel((int)(x * picture.WidthPx), (int)(y * picture.HeightPx));
                Assert.InRange(Math.Abs(pixel.Red - colour.Red) + Math.Abs(pixel.Green - colour.Green)
                    + Math.Abs(pixel.Blue - colour.Blue), 0, 12);
            }
        }
    }

    /// <summary>
    /// What a large PNG leaves clear shows white, and what it half covers shows half of it (the over operator of Porter and Duff 1984).
    /// </summary>
    [Fact]
    public void A_large_picture_that_is_clear_in_parts_comes_on_white()
    {
        const int Side = 4200;
        using var large = new SKBitmap(new SKImageInfo(Side, Side, SKColorType.Rgba8888, SKAlphaType.Premul));
        large.Erase(SKColors.Transparent);
        using (var canvas = new SKCanvas(large))
        {
            using var half = new SKPaint { Color = new SKColor(255, 0, 0, 128) };
            canvas.DrawRect(0, 0, Side / 2, Side, half);
        }

        using var image = SKImage.FromBitmap(large);
        var (picture, detail, _) = PictureFile.Take(image.Encode(SKEncodedImageFormat.Png, 90).ToArray());
        Assert.Null(detail);
        using var seen = SKBitmap.Decode(picture!.Bytes);
        var (left, right) = (seen.GetPixel(seen.Width / 4, seen.Height / 2), seen.GetPixel(seen.Width * 3 / 4, seen.Height / 2));
        Assert.InRange(Math.Abs(left.Red - 255) + Math.Abs(left.Green - 127) + Math.Abs(left.Blue - 127), 0, 9);
        Assert.InRange(765 - right.Red - right.Green - right.Blue, 0, 6);
    }
}
