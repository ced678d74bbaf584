using Dittany.Core.Geometry;
using Dittany.Core.Measures;

namespace Dittany.Core.Motifs;

/// <summary>One copy pushed by hand, in shares of one motif's larger side, y down.</summary>
public sealed record Pushed(int Copy, Pt By);

/// <summary>
/// How repeated motifs are set out by eye. Sway and unevenness are in percent of one motif; a line is interrupted after so many by so much
/// of one. <paramref name="Alike"/> keeps copies alike; else, where anything here is asked for, no two are.
/// </summary>
public sealed record Loosely(double SwayPercent = 0, double UnevenPercent = 0, bool Alike = false, int? GapAfter = null,
    double GapPercent = 100)
{
    /// <summary>Copies pushed by hand; in a row the others are spaced anew between them.</summary>
    public IReadOnlyList<Pushed> Pushed { get; init; } = [];

    public const double MostSway = 60;

    public const double MostUneven = 50;

    public const double MostGap = 1000;

    /// <summary>Nobody pushes anything further than this many motifs.</summary>
    public const double MostPushed = 20;
}

/// <summary>Repeated motifs set out by eye: the same for the same seed, and measured all the same.</summary>
public static class Loosening
{
    /// <summary>A copy is turned by no more than this to either side, so that it still stands (from memory).</summary>
    private const double MostLeanDegrees = 7;

    /// <summary>
    /// In a row heads lean by no more than this share of a motif’s width: two that lean to each other keep some air (from memory).
    /// </summary>
    private const double LeansInto = 0.09;

    /// <summary>Copies of a swaying line, from crest to crest (from memory).</summary>
    private const double CopiesAWave = 4.6;

    /// <summary>
    /// A drawing of copies, one motif's larger side being 1, set out as is asked. What joins copies (copy -1) stays where it is; what is
    /// in a row is spaced along it.
    /// </summary>
    public static Figure Of(Figure laid, Loosely how, string arrangement, int seed)
    {
        var copies = laid.Parts.Where(p => p.Copy >= 0).GroupBy(p => p.Copy).OrderBy(g => g.Key).Select(g =>
            (Copy: g.Key, new Figure(g.ToArray()).Box)).ToArray();
        if (copies.Length < 2)
        {
            return laid;
        }

        var chance = new SeededRandom(seed);
        var (heights, turns) = (Shuffled(copies.Length, chance), Shuffled(copies.Length, chance));
        var begin = chance.Next() * Math.Tau;
        var row = arrangement == "row";
        var along = row ? Along(copies.Select(c => Middle(c.Box).X).ToArray(), how) : copies.Select(_ => 0.0).ToArray();
        var moves = copies.Select((c, i) =>
        {
            var (least, greatest) = c.Box;
            var middle = Middle(c.Box);
            var stands = row ? new Pt(middle.X, greatest.Y) : middle;
            var scale = 1 - (how.UnevenPercent / 100 * Share(heights, i));
            var most = row ? Math.Min(MostLeanDegrees * Math.PI / 180,
                Math.Atan(LeansInto * (greatest.X - least.X) / Math.Max(1e-9, greatest.Y - least.Y)))
                : MostLeanDegrees * Math.PI / 180;
            var lean = how.Alike ? 0 : ((2 * Share(turns, i)) - 1) * most;
            var mirrored = !how.Alike && chance.Next() < 0.5;
            var sway = row ? how.SwayPercent / 100 * Math.Sin(begin + (Math.Tau * i / CopiesAWave)) : 0;
            var pushed = how.Pushed.LastOrDefault(p => p.Copy == c.Copy)?.By ?? default;
            var by = new Pt(along[i] + (row ? 0 : pushed.X), sway + pushed.Y);
            var (cos, sin) = (Math.Cos(lean) * scale, Math.Sin(lean) * scale);
            return (c.Copy, Map: (Func<Pt, Pt>)(p =>
            {
                var d = p - stands;
                d = new Pt(mirrored ? -d.X : d.X, d.Y);
                return stands + by + new Pt((d.X * cos) - (d.Y * sin), (d.X * sin) + (d.Y * cos));
            }));
        }).ToDictionary(m => m.Copy, m => m.Map);
        return new Figure(laid.Parts.Select(p => moves.TryGetValue(p.Copy, out var map) ? p.Map(map) : p).ToArray());
    }

    /// <summary>
    /// How far each copy of a row is moved along it: those pushed by what they were pushed, those between two that are pinned (ends, pushed
    /// ones, both sides of a gap) evenly between them, and what comes after a gap by all of it.
    /// </summary>
    private static double[] Along(double[] at, Loosely how)
    {
        var last = at.Length - 1;
        var gap = how.GapAfter is { } after && after > 0 && after <= last ? after : at.Length;
        var pushed = how.Pushed.Where(p => p.Copy >= 0 && p.Copy <= last).GroupBy(p => p.Copy).ToDictionary(g => g.Key, g => g.Last().By.X);
        var to = at.Select((x, i) => x + (i >= gap ? how.GapPercent / 100 : 0) + pushed.GetValueOrDefault(i)).ToArray();
        var pinned = Enumerable.Range(0, at.Length).Where(i => i == 0 || i == last || i == gap || i == gap - 1 || pushed.ContainsKey(i))
            .ToArray();
        foreach (var (from, until) in pinned.Zip(pinned.Skip(1)))
        {
            for (var i = from + 1; i < until; i++)
            {
                to[i] = to[from] + ((to[until] - to[from]) * (i - from) / (until - from));
            }
        }

        return to.Zip(at, (a, b) => a - b).ToArray();
    }

    private static Pt Middle((Pt Least, Pt Greatest) box) => Pt.Lerp(box.Least, box.Greatest, 0.5);

    private static double Share(int[] places, int i) => (double)places[i] / (places.Length - 1);

    /// <summary>Numbers from 0 on in an order by chance: each once, so that no two copies share one.</summary>
    private static int[] Shuffled(int count, SeededRandom chance)
    {
        var numbers = Enumerable.Range(0, count).ToArray();
        for (var i = count - 1; i > 0; i--)
        {
            var k = (int)(chance.Next() * (i + 1));
            (numbers[i], numbers[k]) = (numbers[k], numbers[i]);
        }

        return numbers;
    }
}
