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

    /// <summary>Far under what paper can show: what sums of lengths may be off by.</summary>
    private const double RoundingMm = 1e-6;

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

        var (best, least) = (even, Cut(even));
        var seams = new Seams(length, page, count, wholes);
        foreach (var first in new[] { -spare / 2, 0, -spare })
        {
            var (cut, starts) = seams.From(first);
            (best, least) = cut < least ? (starts, cut) : (best, least);
        }

        return best;

        int Cut(double[] starts) => wholes.Count(o => o.To - o.From <= page && !starts.Any(s => o.From >= s && o.To <= s + page));
    }

    /// <summary>
    /// Seams along one side. Each has two places: as late as it can be, or before the first letter that it would cut. What a page cuts
    /// hangs on where it and the next begin alone, so the best way on from each place is looked for once.
    /// </summary>
    private sealed class Seams(double length, double page, int count, IReadOnlyList<(double From, double To)> wholes)
    {
        private readonly (double From, double To)[] _wholes = wholes.Where(o => o.To - o.From <= page).OrderBy(o => o.From).ToArray();
        private readonly Dictionary<(int Page, double At), (int Cut, double Next)> _ways = [];

        /// <summary>
        /// How few are cut where the first page begins here, and where the pages begin then; the most there is where none reach so far.
        /// </summary>
        public (int Cut, double[] Starts) From(double first)
        {
            var before = _wholes.Count(o => o.From < first);
            var starts = new double[count];
            var cut = On(0, first).Cut;
            for (var (i, at) = (0, first); i < count; i++)
            {
                starts[i] = at;
                at = cut == int.MaxValue ? at : On(i, at).Next;
            }

            return (cut == int.MaxValue ? cut : cut + before, starts);
        }

        private (int Cut, double Next) On(int i, double at)
        {
            if (_ways.TryGetValue((i, at), out var known))
            {
                return known;
            }

            var (end, latest) = (at + page, at + page - OverlapMm);
            var way = (Cut: int.MaxValue, Next: latest);
            var reaches = end + ((count - 1 - i) * (page - OverlapMm));
            if (i == count - 1 ? reaches < length : reaches < length - RoundingMm)
            {
                // Nothing that follows reaches the end.
            }
            else if (i == count - 1)
            {
                way = (Behind(at, double.PositiveInfinity), latest);
            }
            else
            {
                var crossed = _wholes.Where(o => o.From < end && o.To > end).Select(o => o.From - ClearMm).Append(latest).Min();
                foreach (var next in crossed < latest && crossed > at ? new[] { latest, crossed } : [latest])
                {
                    var on = On(i + 1, next).Cut;
                    var cut = on == int.MaxValue ? on : on + Behind(at, next);
                    way = cut < way.Cut ? (cut, next) : way;
                }
            }

            return _ways[(i, at)] = way;
        }

        /// <summary>What the page that begins here cuts of what no later one shows whole.</summary>
        private int Behind(double at, double next) => _wholes.Count(o => o.From >= at && o.From < next && o.To > at + page);
    }
}
