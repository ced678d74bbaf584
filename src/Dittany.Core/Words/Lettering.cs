using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.StitchBook;
using Dittany.Core.Telling;

namespace Dittany.Core.Words;

/// <summary>How large lettering is made where nobody said.</summary>
public enum SizeWish
{
    Comfortable,
    Largest,
    Smallest,
}

/// <summary>
/// All that settles the size of one wording. <paramref name="FieldMm"/> is the field; <paramref name="SliceMm"/> the part of it this element should keep to. Stated
/// members are null where the plan decides.
/// </summary>
public sealed record LetteringQuestion(
    IAlphabet Alphabet,
    Setting Setting,
    Region FieldMm,
    Region SliceMm,
    Pt AnchorMm,
    Cloth Cloth,
    double? CapMm,
    int? Strands,
    SizeWish Wish,
    double Share,
    double UsualMostMm);

/// <summary>What was settled: stitch and strands, height, the largest that would fit, and the faults that are left.</summary>
public sealed record LetteringAnswer(Pair Pair, double CapMm, double LargestCapMm, double OverflowMm, IReadOnlyList<Fault> Faults)
{
    public bool Reads => Faults.Count == 0;
}

/// <summary>
/// Settles stitch, strands and height together: a few pairs in order of preference, each fitted, and the first taken that reads at its own height and suits it.
/// Never by going round until it settles.
/// </summary>
public static class Lettering
{
    /// <summary>Lettering under this height cannot be asked for.</summary>
    public const double LeastCapMm = 2;

    /// <summary>Overflow under this is rounding.</summary>
    private const double OverflowFromMm = 0.0015;

    /// <summary>A comfortable share of the field's width (from memory).</summary>
    public const double ComfortableShare = 0.65;

    public static LetteringAnswer Settle(LetteringQuestion q)
    {
        if (q.CapMm is { } stated)
        {
            // At a stated height only what reads decides, so one fit is enough.
            return Try(q, At(q, stated).Pair);
        }

        var answers = new List<LetteringAnswer>();
        foreach (var pair in Recommender.InOrder(null, q.Strands))
        {
            var answer = Try(q, pair);
            if (answer.Reads && Recommender.StrandsFor(answer.CapMm) == answer.Pair.Strands)
            {
                return answer;
            }

            answers.Add(answer);
        }

        return answers.FirstOrDefault(a => a.Reads)
            ?? answers.OrderBy(a => a.Faults.Count).ThenBy(a => a.Faults.Sum(f => f.ByMm)).First();
    }

    /// <summary>The pair that is taken at a height, and its faults: no fitting is needed to know them.</summary>
    public static (Pair Pair, IReadOnlyList<Fault> Faults) At(LetteringQuestion q, double capMm)
    {
        var tried = Recommender.InOrder(null, q.Strands)
            .Select(pair => (Pair: pair, Faults: Legibility.Faults(q.Setting, q.Alphabet, pair, q.Cloth, capMm)))
            .ToArray();
        var suited = Array.Find(tried, t => t.Faults.Count == 0 && Recommender.StrandsFor(capMm) == t.Pair.Strands);
        var reads = suited.Pair is null ? Array.Find(tried, t => t.Faults.Count == 0) : suited;
        return reads.Pair is null ? tried.OrderBy(t => t.Faults.Count).ThenBy(t => t.Faults.Sum(f => f.ByMm)).First() : reads;
    }

    /// <summary>
    /// Remedies that are true: each is tried as a job that states it would be, and kept only when the fault is then gone. The least height first, then the fewest changes
    /// of strands at this height.
    /// </summary>
    public static IReadOnlyList<Remedy> Remedies(LetteringQuestion q, LetteringAnswer answer, Fault fault)
    {
        var remedies = new List<Remedy>();
        var cap = Math.Max(LeastCapMm, Math.Ceiling(fault.CuredAtMm * 10 - 1e-6) / 10);
        for (var tries = 0; tries < 40 && cap <= Fit.MostCapMm; tries++, cap = Math.Floor(cap) + 1)
        {
            if (Gone(q with { CapMm = cap }, fault))
            {
                remedies.Add(new Remedy(CapHeightMm: cap));
                break;
            }
        }

        for (var strands = answer.Pair.Strands - 1; strands >= 1; strands--)
        {
            if (Gone(q with { Strands = strands }, fault))
            {
                remedies.Add(new Remedy(Strands: strands));
                break;
            }
        }

        return remedies;
    }

    private static bool Gone(LetteringQuestion q, Fault fault) =>
        (q.CapMm is { } cap ? At(q, cap).Faults : Settle(q).Faults).All(f => !string.Equals(f.What, fault.What, StringComparison.Ordinal) || !string.Equals(f.Letter, fault.Letter, StringComparison.Ordinal));

    private static LetteringAnswer Try(LetteringQuestion q, Pair pair)
    {
        var half = pair.LineWidthMm / 2;
        var lines = q.Setting.Letters.SelectMany(l => l.Lines).ToArray();
        var room = q.FieldMm.Offset(-half);
        var largest = Fit.LargestCapMm(room, q.AnchorMm, lines);
        var cap = q.CapMm ?? Chosen(q, pair, largest, lines, half);
        var overflow = Fit.OverflowMm(room, q.AnchorMm, lines, cap);
        return new LetteringAnswer(
            pair,
            cap,
            largest,
            overflow < OverflowFromMm ? 0 : overflow,
            Legibility.Faults(q.Setting, q.Alphabet, pair, q.Cloth, cap));
    }

    /// <summary>Capitals from which the tightest bend can be turned by the shortest stitch, 60° a joint; rounded up to what people say.</summary>
    private static double Turns(LetteringQuestion q, Pair pair)
    {
        var tightest = q.Setting.Letters.Min(l => q.Alphabet.Measure(l.Glyph).TightestRadius) / Alphabets.CapUnits;
        return double.IsPositiveInfinity(tightest) ? 0 : Math.Ceiling(pair.Stitch.ShortestMm(pair.Strands) / (Math.PI / 3) / tightest);
    }

    private static double Chosen(LetteringQuestion q, Pair pair, double largest, IReadOnlyList<IReadOnlyList<Pt>> lines, double half)
    {
        var least = pair.Stitch.LeastCapMm(pair.Strands) * (q.Setting.CapitalsOnly ? Book.CapitalsAlone : 1);
        var within = ReferenceEquals(q.SliceMm, q.FieldMm) ? largest : Fit.LargestCapMm(q.SliceMm.Offset(-half), q.AnchorMm, lines);
        var (from, to) = q.FieldMm.Box;
        var shared = Math.Min(((to.X - from.X) * q.Share) / Math.Max(q.Setting.Width, 0.05), q.UsualMostMm);
        var wished = q.Wish switch
        {
            SizeWish.Largest => within,
            SizeWish.Smallest => least,
            _ => Math.Max(shared, Math.Max(pair.Stitch.ComfortableCapMm(pair.Strands), Turns(q, pair))),
        };
        var cap = Math.Min(wished, within);

        // Heights are told in whole millimetres; under 4 mm in halves. A least height rounds up, all else down.
        var step = cap < 4 ? 0.5 : 1;
        var whole = q.Wish == SizeWish.Smallest && Math.Ceiling(cap / step) * step <= within ? Math.Ceiling(cap / step) * step : Math.Floor((cap / step) + 1e-9) * step;
        return Math.Max(LeastCapMm, whole);
    }
}
