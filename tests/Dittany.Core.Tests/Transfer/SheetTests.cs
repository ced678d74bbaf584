using Dittany.Core.Materials;
using Dittany.Core.Transfer;
using FsCheck;
using FsCheck.Fluent;

namespace Dittany.Core.Tests.Transfer;

/// <summary>Templates over pages: upright or across by the fewest pages, seams beside the letters (common practice).</summary>
public class SheetTests
{
    /// <summary>
    /// A4 less 12 mm round and the foot of 34 mm shows 186 × 239 mm upright and 273 × 152 mm across (ISO 216): by arithmetic.
    /// </summary>
    [Theory]
    [InlineData(180, 230, 1, 210)]
    [InlineData(260, 100, 1, 297)]
    [InlineData(260, 150, 1, 297)]
    [InlineData(100, 230, 1, 210)]
    [InlineData(500, 100, 2, 297)]
    [InlineData(150, 460, 2, 210)]
    public void It_lies_as_takes_fewest_pages(double width, double height, int pages, double paperWidth)
    {
        var tiled = Sheet.Tiles(width, height, Papers.A4);
        Assert.Equal((pages, paperWidth), (tiled.Tiles.Count, tiled.Paper.WidthMm));
        Assert.Equal(pages, Sheet.Pages(width, height, Papers.A4));
    }

    /// <summary>Two pages across show 536 mm; laid evenly, the seam of 400 mm lies at 200: the letter there is spared.</summary>
    [Fact]
    public void A_seam_goes_beside_a_letter()
    {
        Whole[] letters = [new(20, 20, 120, 80), new(130, 20, 270, 80), new(280, 20, 380, 80)];
        var tiled = Sheet.Tiles(400, 100, Papers.A4, letters);
        Assert.Equal((2, 0), (tiled.Tiles.Count, tiled.CutThrough));
    }

    /// <summary>
    /// For any letters: the pages cover the design, neighbours share what is laid over each other, no page more than it takes, and what is
    /// told as cut is what no page shows whole.
    /// </summary>
    [ManyTimes(200)]
    public FsCheck.Property Pages_cover_all_and_say_what_they_cut() => Prop.ForAll(Designs(), design =>
    {
        var tiled = Sheet.Tiles(design.Width, design.Height, design.Paper, design.Letters);
        Assert.Equal(Sheet.Pages(design.Width, design.Height, design.Paper), tiled.Tiles.Count);
        Assert.True(tiled.Tiles.Min(t => t.XMm) <= 1e-6 && tiled.Tiles.Max(t => t.XMm + t.WidthMm) >= design.Width - 1e-6);
        Assert.True(tiled.Tiles.Min(t => t.YMm) <= 1e-6 && tiled.Tiles.Max(t => t.YMm + t.HeightMm) >= design.Height - 1e-6);
        foreach (var tile in tiled.Tiles)
        {
            foreach (var next in tiled.Tiles.Where(t => t.Row == tile.Row && t.Column == tile.Column + 1))
            {
                Assert.True(tile.XMm + tile.WidthMm - next.XMm >= Sheet.OverlapMm - 1e-6);
            }

            foreach (var next in tiled.Tiles.Where(t => t.Column == tile.Column && t.Row == tile.Row + 1))
            {
                Assert.True(tile.YMm + tile.HeightMm - next.YMm >= Sheet.OverlapMm - 1e-6);
            }
        }

        Assert.Equal(tiled.CutThrough, design.Letters.Count(l => !tiled.Tiles.Any(t => l.X0Mm >= t.XMm && l.Y0Mm >= t.YMm
            && l.X1Mm <= t.XMm + t.WidthMm && l.Y1Mm <= t.YMm + t.HeightMm)));
    });

    /// <summary>Of all ways to lay seams as late as can be or before the first letter they cross, none cuts fewer: all are tried.</summary>
    [ManyTimes(200)]
    public FsCheck.Property No_other_seams_cut_fewer() => Prop.ForAll(Rows(), row =>
    {
        var tiled = Sheet.Tiles(row.Width, 100, Papers.A4, row.Letters);
        var page = tiled.Paper.WidthMm - (2 * Sheet.MarginMm);
        var (count, step) = (tiled.Tiles.Count, page - Sheet.OverlapMm);
        var spare = page + ((count - 1) * step) - row.Width;
        Assert.True(tiled.CutThrough <= new[] { -spare / 2, 0, -spare }.Min(first => Fewest([first])));

        int Fewest(double[] starts)
        {
            if (starts.Length == count)
            {
                return starts[^1] + page < row.Width ? int.MaxValue
                    : row.Letters.Count(l => !starts.Any(s => l.X0Mm >= s && l.X1Mm <= s + page));
            }

            var (end, latest) = (starts[^1] + page, starts[^1] + step);
            var before = row.Letters.Where(l => l.X0Mm < end && l.X1Mm > end).Select(l => l.X0Mm - 1).Append(latest).Min();
            var other = before < latest && before > starts[^1] ? Fewest([.. starts, before]) : int.MaxValue;
            return Math.Min(Fewest([.. starts, latest]), other);
        }
    });

    /// <summary>A banner of letters over sixty pages: of two places for each seam there are more ways than can be tried.</summary>
    [Fact]
    public void Sixty_pages_are_laid_as_well_as_six()
    {
        var letters = Enumerable.Range(0, 400).Select(i => new Whole(20 + (i * 40), 20, 20 + (i * 40) + 37 + (i % 3), 80)).ToArray();
        var tiled = Sheet.Tiles(16_040, 100, Papers.A4, letters);
        Assert.Equal(61, tiled.Tiles.Count);
        var (page, step) = (tiled.Paper.WidthMm - (2 * Sheet.MarginMm), tiled.Paper.WidthMm - (2 * Sheet.MarginMm) - Sheet.OverlapMm);
        var first = (16_040 - page - (60 * step)) / 2;
        var starts = Enumerable.Range(0, 61).Select(i => first + (i * step)).ToArray();
        var evenly = letters.Count(l => !starts.Any(s => l.X0Mm >= s && l.X1Mm <= s + page));
        Assert.InRange(tiled.CutThrough, 0, evenly - 1);
    }

    private static Arbitrary<(double Width, Whole[] Letters)> Rows() => Arb.From(
        from width in Gen.Choose(300, 2400)
        from places in Gen.Choose(0, 1000).ArrayOf(40)
        select ((double)width, places.Chunk(2).Select(p =>
        {
            var x = 20 + (p[0] / 1000.0 * (width - 40));
            return new Whole(x, 20, Math.Min(width - 20, x + 5 + (p[1] / 8.0)), 80);
        }).ToArray()));

    private static Arbitrary<(double Width, double Height, Paper Paper, Whole[] Letters)> Designs() => Arb.From(
        from width in Gen.Choose(40, 900)
        from height in Gen.Choose(40, 700)
        from paper in Gen.Elements<Paper>(Papers.All)
        from places in Gen.Choose(0, 1000).ArrayOf(24)
        select ((double)width, (double)height, paper, places.Chunk(4).Select(p =>
        {
            var (x, y) = (20 + (p[0] / 1000.0 * (width - 40)), 20 + (p[1] / 1000.0 * (height - 40)));
            return new Whole(x, y, Math.Min(width - 20, x + (p[2] / 10.0)), Math.Min(height - 20, y + (p[3] / 10.0)));
        }).ToArray()));
}
