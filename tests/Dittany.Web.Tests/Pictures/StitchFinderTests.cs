using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Telling;
using Dittany.Formats.Alphabets;
using Dittany.Formats.Pictures;
using SkiaSharp;

namespace Dittany.Web.Tests.Pictures;

/// <summary>Finished stitches in made-up pictures whose truth is known: what is found of them, and when it cannot be told.</summary>
public class StitchFinderTests
{
    private const double PxPerMm = 7;

    private static readonly Colour Thread = Colour.Parse("#8c3a5f");

    /// <summary>
    /// Letters as upright bars of running stitches on a line: so many letters, stitches so long, scattered by a share, the line tilted,
    /// single letters off it; on cloth with a weave in it, a card in the corner.
    /// </summary>
    private static byte[] Picture(int letters = 6, double stitch = 3, double scatter = 0, double tilt = 0, double off = 0,
        string cloth = "#e9e4d6",
        string thread = "#8c3a5f", bool solid = false)
    {
        var chance = new SeededRandom(5);
        using var surface = SKSurface.Create(new SKImageInfo((int)(130 * PxPerMm), (int)(80 * PxPerMm), SKColorType.Rgba8888,
            SKAlphaType.Opaque));
        var canvas = surface.Canvas;
        canvas.Clear(SKColor.Parse(cloth));
        canvas.Scale((float)PxPerMm);
        using var weave = new SKPaint { Color = new SKColor(0, 0, 0, 10), StrokeWidth = 0.12f };
        for (var x = 0.0; x < 130; x += 0.5)
        {
            canvas.DrawLine((float)x, 0, (float)x, 80, weave);
        }

        using var card = new SKPaint { Color = SKColor.Parse("#2f5d73") };
        canvas.DrawRect(2, 2, 40, 20, card);
        using var needle = new SKPaint
        {
            Color = SKColor.Parse(thread),
            IsAntialias = true,
            StrokeWidth = 0.9f,
            StrokeCap = SKStrokeCap.Butt,
        };
        for (var i = 0; i < letters; i++)
        {
            var x = 30 + (i * 11.0);
            var foot = 65 + (Math.Tan(tilt * Math.PI / 180) * (x - 30)) + (i % 2 == 0 ? off : -off);
            for (var y = foot; y > foot - 17;)
            {
                var length = stitch * (1 + (scatter * ((2 * chance.Next()) - 1)));
                canvas.DrawLine((float)x, (float)y, (float)x, (float)(y - length), needle);
                y -= length + (solid ? -0.1 : 1.1);
            }
        }

        using var drawn = surface.Snapshot();
        return drawn.Encode(SKEncodedImageFormat.Png, 100).ToArray();
    }

    private static FinishedWork Seen(byte[] picture) =>
        StitchFinder.Find(picture, PxPerMm, Thread) is { Seen: { } seen, Cannot: null } ? seen
        : throw new InvalidOperationException("It must be seen.");

    /// <summary>Lengths to a tenth of a millimetre and a half, the width to half a one, the tilt to a third of a degree.</summary>
    [Theory]
    [InlineData(3, 0, 0)]
    [InlineData(2.4, 0.1, 2)]
    [InlineData(4, 0.3, -3)]
    public void Known_stitches_are_found(double stitch, double scatter, double tilt)
    {
        var seen = Seen(Picture(stitch: stitch, scatter: scatter, tilt: tilt));
        var lengths = seen.LengthsMm.Order().ToArray();
        Assert.True(lengths.Length > 15);
        Assert.Equal(stitch, lengths[lengths.Length / 2], 0.15 + (scatter * stitch / 2));
        Assert.InRange(lengths[^1] - lengths[0], 0, (2 * scatter * stitch) + 0.4);
        Assert.Equal(55 + 0.9, seen.WideMm, 0.5);
        Assert.Equal(tilt, seen.TiltDegrees!.Value, 0.4);
        Assert.InRange(seen.WanderMm!.Value, 0, 0.25);
    }

    /// <summary>Letters that leave their line by a millimetre each way are found to.</summary>
    [Fact]
    public void Letters_off_their_line_are_seen()
    {
        Assert.Equal(1, Seen(Picture(off: 1)).WanderMm!.Value, 0.4);
        Assert.InRange(Seen(Picture(off: 0)).WanderMm!.Value, 0, 0.2);
    }

    /// <summary>End to end no stitch is told from the next: no lengths are made up, but the size is measured.</summary>
    [Fact]
    public void Stitches_end_to_end_are_not_told_apart()
    {
        var seen = Seen(Picture(solid: true));
        Assert.Empty(seen.LengthsMm);
        Assert.Equal(55.9, seen.WideMm, 0.5);
    }

    /// <summary>Nothing stitched, thread as the cloth, and too few dots to a millimetre: it says that it cannot tell, and why.</summary>
    [Fact]
    public void What_cannot_be_told_is_said()
    {
        Assert.Contains("No stitches in", StitchFinder.Find(Picture(letters: 0), PxPerMm, Thread).Cannot, StringComparison.Ordinal);
        Assert.Contains("too alike", StitchFinder.Find(Picture(cloth: "#93466b"), PxPerMm, Thread).Cannot, StringComparison.Ordinal);
        Assert.Contains("from nearer", StitchFinder.Find(Picture(), 2, Thread).Cannot, StringComparison.Ordinal);
        Assert.Throws<ArgumentException>(() => StitchFinder.Find(new byte[] { 1, 2, 3 }, PxPerMm, Thread));
    }

    /// <summary>The report says what came out as planned, and one thing to practise where there is one.</summary>
    [Fact]
    public void The_report_is_kind_and_useful()
    {
        var planned = Planner.Make(new Job("tea-towel", [new TextElement("w", "Ida", CapHeightMm: 30)], new DateOnly(2027, 3, 1)),
            Workshop.Default, ShippedAlphabets.Library).Elements[0];
        string Told(FinishedWork seen) => string.Join(' ', FinishedTelling.Tell(seen, planned).Select(t => t.In(Units.Centimetres)));
        var wide = planned.BoxMm.Width;
        Assert.EndsWith("Nothing in it asks to be done otherwise.", Told(new FinishedWork(wide, 30, [3, 3, 3.1, 2.9, 3, 3, 3], 0.2, 0.3)), StringComparison.Ordinal);
        Assert.Contains("the same length every time", Told(new FinishedWork(wide, 30, [1, 2, 3, 4, 5, 6, 7, 2], 0, 0.3)), StringComparison.Ordinal);
        Assert.Contains("draw the line the letters stand on", Told(new FinishedWork(wide, 30, [], 4, 5)), StringComparison.Ordinal);
        Assert.Contains("drew in", Told(new FinishedWork(wide * 0.8, 30, [], null, null)), StringComparison.Ordinal);
    }
}
