using Dittany.Core.Materials;

namespace Dittany.Core.Transfer;

/// <summary>One page of a template: which part of the design it shows, in mm from the design's top left.</summary>
public sealed record Tile(int Row, int Column, double XMm, double YMm, double WidthMm, double HeightMm);

/// <summary>Something that a seam should not cut, as a box in mm from the design's top left: a letter, a small part.</summary>
public sealed record Whole(double X0Mm, double Y0Mm, double X1Mm, double Y1Mm);

/// <summary>A template laid on paper: the paper as it lies, its pages by rows, and how many letters or small parts a seam cuts.</summary>
public sealed record Tiled(Paper Paper, IReadOnlyList<Tile> Tiles, int CutThrough);

/// <summary>
/// Tiles a design over pages at 1:1. Upright and across are both tried: the fewest pages, then the fewest letters cut by a seam, and
/// upright where both come to the same.
/// </summary>
public static class Sheet
{
    /// <summary>No printer reaches the edge: this much is left free all round (from memory).</summary>
    public const double MarginMm = 12;

    /// <summary>Room at the foot of each page for title, words and check line.</summary>
    public const double FootMm = 34;

    /// <summary>Neighbouring pages share this much at least, to be laid over each other.</summary>
    public const double OverlapMm = 10;

    /// <summary>A seam keeps this far from a letter that it spares (from memory).</summary>
    private const double ClearMm = 1;

    /// <summary>How many pages it takes, however the paper lies.</summary>
    public static int Pages(double widthMm, double heightMm, Paper paper) =>
        new[] { paper, paper.Across }.Min(p => Count(widthMm, Shown(p).Width) * Count(heightMm, Shown(p).Height));

    /// <summary>
    /// The tiles by rows, left to right. The design's box is given with its own margins included; <paramref name="wholes"/> is what seams
    /// should spare.
    /// </summary>
    public static Tiled Tiles(double widthMm, double heightMm, Paper paper, IReadOnlyList<Whole>? wholes = null) =>
        new[] { paper, paper.Across }.Select(p => On(p, widthMm, heightMm, wholes ?? []))
            .OrderBy(t => t.Tiles.Count).ThenBy(t => t.CutThrough).First();

    /// <summary>What one page shows.</summary>
    private static (double Width, double Height) Shown(Paper paper) =>
        (paper.WidthMm - (2 * MarginMm), paper.HeightMm - (2 * MarginMm) - FootMm);

    private static Tiled On(Paper paper, double widthMm, double heightMm, IReadOnlyList<Whole> wholes)
    {
        var (w, h) = Shown(paper);
        var columns = Starts(widthMm, w, wholes.Select(o => (o.X0Mm, o.X1Mm)).ToArray());
        var rows = Starts(heightMm, h, wholes.Select(o => (o.Y0Mm, o.Y1Mm)).ToArray());
        var tiles = rows.SelectMany((y, r) => columns.Select((x, c) => new Tile(r, c, x, y, w, h))).ToArray();
        return new Tiled(paper, tiles, wholes.Count(o => !tiles.Any(t => o.X0Mm >= t.XMm && o.X1Mm <= t.XMm + t.WidthMm
            && o.Y0Mm >= t.YMm && o.Y1Mm <= t.YMm + t.HeightMm)));
    }

    private static int Count(double length, double page) => length <= page ? 1
        : 1 + (int)Math.Ceiling((length - page) / (page - OverlapMm));

    /// <summary>
    /// Where the fewest pages begin along one side. Evenly laid, if that cuts nothing; else each seam is drawn back before what it would
    /// cut, as far as the pages reach, and the way that cuts least is taken.
    /// </summary>
    private static double[] Starts(double length, double page, IReadOnlyList<(double From, double To)> wholes)
    {
        var count = Count(length, page);
        var spare = page + ((count - 1) * (page - OverlapMm)) - length;
        var even = Enumerable.Range(0, count).Select(i => (-spare / 2) + (i * (page - OverlapMm))).ToArray();
        if (count == 1 || Cut(even) == 0)
        {
            return even;
        }

        var best = even;
        foreach (var first in new[] { -spare / 2, 0, -spare })
        {
            Lay([first]);
        }

        return best;

        int Cut(double[] starts) => wholes.Count(o => o.To - o.From <= page && !starts.Any(s => o.From >= s && o.To <= s + page));

        // Each seam has two places: as late as it can be, or before the first letter that it would cut.
        void Lay(double[] starts)
        {
            if (starts.Length == count)
            {
                if (starts[^1] + page >= length && Cut(starts) < Cut(best))
                {
                    best = starts;
                }

                return;
            }

            var (end, latest) = (starts[^1] + page, starts[^1] + page - OverlapMm);
            var crossed = wholes.Where(o => o.From < end && o.To > end && o.To - o.From <= page).Select(o => o.From - ClearMm)
                .Append(latest).Min();
            Lay([.. starts, latest]);
            if (crossed < latest && crossed > starts[^1])
            {
                Lay([.. starts, crossed]);
            }
        }
    }
}
