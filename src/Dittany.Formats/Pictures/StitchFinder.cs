using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Telling;
using SkiaSharp;

namespace Dittany.Formats.Pictures;

/// <summary>Finds finished stitches in a straightened picture by the colour of their thread, or says why it cannot tell.</summary>
public static class StitchFinder
{
    /// <summary>Coarser than this a stitch is a few dots, px per mm (from memory).</summary>
    public const double LeastPxPerMm = 4;

    /// <summary>The picture is looked at no finer than this, px per mm, and no larger than so many px.</summary>
    private const double MostPxPerMm = 8;

    private const int MostPx = 4_000_000;

    /// <summary>
    /// Thread in a picture is as near as this to its own colour, as a difference in L*a*b*: light changes it (from memory).
    /// </summary>
    private const double NearThread = 26;

    /// <summary>Thread and cloth further apart than this can be told apart (from memory).</summary>
    private const double LeastApart = 16;

    /// <summary>Where more of a picture than this is like the thread, the cloth is (from memory).</summary>
    private const double MostLike = 0.3;

    private const string TooAlike = "Thread and cloth look too alike in it to be told apart: photograph it by daylight from the side.";

    /// <summary>Spots smaller than a prick are dust, and areas larger than this no stitching, mm².</summary>
    private const double LeastMm2 = 0.25;

    private const double MostMm2 = 400;

    /// <summary>Stitches within so many mm of each other belong to one work.</summary>
    private const double OneWorkMm = 18;

    /// <summary>So much of the cloth round the work is looked at, mm.</summary>
    private const double RimMm = 4;

    /// <summary>A spot so much longer than wide is a stitch; longer than this, mm, it is several.</summary>
    private const double Slender = 1.4;

    private const double LongestMm = 9;

    /// <summary>Letters stand apart by a gap this wide, mm; fewer than this many tell nothing of a line.</summary>
    private const double LetterGapMm = 1.6;

    private const int LeastLetters = 3;

    /// <summary>What hangs together, mm.</summary>
    private sealed record Spot(double LengthMm, double WideMm, double AreaMm2, double Left, double Right, double Top, double Bottom);

    /// <summary>What is seen, or why nothing can be told. Throws <see cref="ArgumentException"/> where the bytes are no picture.</summary>
    public static (FinishedWork? Seen, string? Cannot) Find(ReadOnlyMemory<byte> view, double pxPerMm, Colour thread)
    {
        if (pxPerMm < LeastPxPerMm)
        {
            return (null, $"The picture shows {Say.Number(pxPerMm, 1)} dots to a millimetre, and a stitch wants {LeastPxPerMm}: photograph the stitching from nearer, with the card beside it.");
        }

        using var encoded = SKImage.FromEncodedData(view.Span) ?? throw new ArgumentException("This is no picture.", nameof(view));
        using var image = SKBitmap.FromImage(encoded);
        var scale = Math.Min(Math.Min(1, MostPxPerMm / pxPerMm), Math.Sqrt((double)MostPx / ((long)image.Width * image.Height)));
        if (pxPerMm * scale < LeastPxPerMm)
        {
            return (null, "The picture shows far more than the stitching: photograph the stitching from nearer, with the card beside it.");
        }

        var (w, h) = (Math.Max(1, (int)(image.Width * scale)), Math.Max(1, (int)(image.Height * scale)));
        using var small = image.Resize(new SKImageInfo(w, h, SKColorType.Rgba8888, SKAlphaType.Opaque),
            new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear));
        var mm = 1 / (pxPerMm * scale);
        var labs = small.Pixels.Select(p => new Colour(p.Red, p.Green, p.Blue).ToLab()).ToArray();
        var wanted = thread.ToLab();
        var like = labs.Select(l => Off(l, wanted) < NearThread).ToArray();
        if (like.Count(l => l) > MostLike * like.Length)
        {
            return (null, TooAlike);
        }

        var seeds = Spots(like, w, h, mm).Where(s => s.AreaMm2 <= MostMm2).ToArray();
        if (Work(seeds) is not { Count: > 0 } work)
        {
            return (null, $"No stitches in {Palette.NameOf(thread.ToString())} can be seen in it: the light may have changed their colour, or they are not in the picture.");
        }

        // Within the work thread and cloth are told apart by their own colours in this light.
        var (left, right) = (work.Min(s => s.Left) - RimMm, work.Max(s => s.Right) + RimMm);
        var (top, bottom) = (work.Min(s => s.Top) - RimMm, work.Max(s => s.Bottom) + RimMm);
        var inside = Enumerable.Range(0, labs.Length).Where(i => i % w * mm is var x && i / w * mm is var y
            && x >= left && x <= right && y >= top && y <= bottom).ToArray();
        var stitched = Middle(inside.Select(i => labs[i]).Where(l => Off(l, wanted) < NearThread));
        var cloth = Middle(inside.Select(i => labs[i]).Where(l => Off(l, wanted) >= NearThread));
        if (Off(stitched, cloth) < LeastApart)
        {
            return (null, TooAlike);
        }

        var marked = new bool[labs.Length];
        foreach (var i in inside)
        {
            marked[i] = Off(labs[i], stitched) < Off(labs[i], cloth);
        }

        var spots = Spots(marked, w, h, mm).Where(s => s.AreaMm2 <= MostMm2).ToArray();
        var stitches = spots.Where(s => s.LengthMm <= LongestMm && s.LengthMm >= Slender * s.WideMm).Select(s => s.LengthMm).ToArray();
        var apart = stitches.Length >= FinishedTelling.LeastStitches && stitches.Length >= spots.Length * 0.6;
        var (tilt, wander) = Line(spots);
        return spots.Length == 0 ? (null, "No stitches can be seen in it.")
            : (new FinishedWork(spots.Max(s => s.Right) - spots.Min(s => s.Left), spots.Max(s => s.Bottom) - spots.Min(s => s.Top),
                apart ? stitches : [], tilt, wander), null);
    }

    private static double Off(Lab a, Lab b) =>
        Math.Sqrt(((a.L - b.L) * (a.L - b.L)) + ((a.A - b.A) * (a.A - b.A)) + ((a.B - b.B) * (a.B - b.B)));

    private static Lab Middle(IEnumerable<Lab> labs)
    {
        var all = labs.ToArray();
        return all.Length == 0 ? new Lab(50, 0, 0)
            : new Lab(Median(all.Select(l => l.L)), Median(all.Select(l => l.A)), Median(all.Select(l => l.B)));

        static double Median(IEnumerable<double> of)
        {
            var sorted = of.Order().ToArray();
            return sorted[sorted.Length / 2];
        }
    }

    /// <summary>What hangs together, with its length along its own axis: four times the spread of a straight bar is √12 over it.</summary>
    private static List<Spot> Spots(bool[] marked, int w, int h, double mm)
    {
        var (spots, seen, queue) = (new List<Spot>(), new bool[marked.Length], new Stack<int>());
        for (var start = 0; start < marked.Length; start++)
        {
            if (!marked[start] || seen[start])
            {
                continue;
            }

            var at = new List<Pt>();
            queue.Push(start);
            seen[start] = true;
            while (queue.TryPop(out var i))
            {
                var (x, y) = (i % w, i / w);
                at.Add(new Pt((x + 0.5) * mm, (y + 0.5) * mm));
                for (var d = 0; d < 8; d++)
                {
                    var (u, v) = (x + Across[d], y + Down[d]);
                    if (u >= 0 && v >= 0 && u < w && v < h && marked[(v * w) + u] && !seen[(v * w) + u])
                    {
                        seen[(v * w) + u] = true;
                        queue.Push((v * w) + u);
                    }
                }
            }

            if (at.Count * mm * mm < LeastMm2)
            {
                continue;
            }

            var (cx, cy) = (at.Average(p => p.X), at.Average(p => p.Y));
            var (xx, yy) = (at.Average(p => (p.X - cx) * (p.X - cx)), at.Average(p => (p.Y - cy) * (p.Y - cy)));
            var xy = at.Average(p => (p.X - cx) * (p.Y - cy));
            var (mean, diff) = ((xx + yy) / 2, Math.Sqrt(Math.Pow((xx - yy) / 2, 2) + (xy * xy)));
            spots.Add(new Spot(Math.Sqrt(12 * (mean + diff)), Math.Sqrt(12 * Math.Max(0, mean - diff)), at.Count * mm * mm,
                at.Min(p => p.X) - (mm / 2), at.Max(p => p.X) + (mm / 2), at.Min(p => p.Y) - (mm / 2), at.Max(p => p.Y) + (mm / 2)));
        }

        return spots;
    }

    private static readonly int[] Across = [1, -1, 0, 0, 1, 1, -1, -1];

    private static readonly int[] Down = [0, 0, 1, -1, 1, -1, 1, -1];

    /// <summary>The largest group of spots that lie near each other.</summary>
    private static IReadOnlyList<Spot> Work(IReadOnlyList<Spot> spots)
    {
        var left = spots.ToList();
        IReadOnlyList<Spot> best = [];
        while (left.Count > 0)
        {
            var group = new List<Spot> { left[^1] };
            left.RemoveAt(left.Count - 1);
            for (var i = 0; i < group.Count; i++)
            {
                var near = left.Where(s => Apart(s, group[i]) <= OneWorkMm).ToArray();
                group.AddRange(near);
                left.RemoveAll(near.Contains);
            }

            best = group.Sum(s => s.AreaMm2) > best.Sum(s => s.AreaMm2) ? group : best;
        }

        return best;

        static double Apart(Spot a, Spot b) =>
            Math.Max(Math.Max(a.Left - b.Right, b.Left - a.Right), Math.Max(a.Top - b.Bottom, b.Top - a.Bottom));
    }

    /// <summary>
    /// The line letters stand on: the median of slopes between their feet (Theil 1950, Sen 1968), and how far those near it leave it; what
    /// hangs below is left out.
    /// </summary>
    private static (double? Tilt, double? Wander) Line(IReadOnlyList<Spot> spots)
    {
        var letters = new List<(double Left, double Right, double Bottom)>();
        foreach (var spot in spots.OrderBy(s => s.Left))
        {
            if (letters.Count > 0 && spot.Left - letters[^1].Right < LetterGapMm)
            {
                letters[^1] = (letters[^1].Left, Math.Max(letters[^1].Right, spot.Right), Math.Max(letters[^1].Bottom, spot.Bottom));
            }
            else
            {
                letters.Add((spot.Left, spot.Right, spot.Bottom));
            }
        }

        if (letters.Count < LeastLetters)
        {
            return (null, null);
        }

        var feet = letters.Select(l => new Pt((l.Left + l.Right) / 2, l.Bottom)).ToArray();
        var slopes = feet.SelectMany((a, i) => feet.Skip(i + 1).Select(b => (b.Y - a.Y) / (b.X - a.X))).Order().ToArray();
        var slope = slopes[slopes.Length / 2];
        var rests = feet.Select(f => f.Y - (slope * f.X)).Order().ToArray();
        var foot = rests[rests.Length / 2];
        var high = spots.Max(s => s.Bottom) - spots.Min(s => s.Top);
        var near = rests.Where(r => Math.Abs(r - foot) < 0.22 * high).ToArray();
        return near.Length < LeastLetters ? (null, null)
            : (Math.Atan(slope) * 180 / Math.PI, Math.Sqrt(near.Average(r => (r - near.Average()) * (r - near.Average()))));
    }
}
