using Dittany.Core.Measures;

namespace Dittany.Core.Effort;

/// <summary>One stretch of work as it really went beside what was planned of it, both in minutes, and the piece it belongs to.</summary>
public sealed record Observed(int Piece, double PlannedMinutes, double RealMinutes);

/// <summary>
/// What was learnt of a kind of work: how many times as long as planned she takes, the shares of an estimate between which four in five of
/// her pieces end, and how many pieces it comes from. <paramref name="Outliers"/> are those that lie far off and count less.
/// </summary>
public sealed record Learned(double Factor, double LowShare, double HighShare, int Pieces, IReadOnlyList<Observed> Outliers);

/// <summary>
/// Learns a pace from what was logged: by pieces, in logarithms (twice as long weighs as half as long), shrunk towards no change while
/// there is little, with its spread. Normal model with a prior on both (Gelman et al., Bayesian Data Analysis, section 3.3).
/// </summary>
public static class PaceLearning
{
    /// <summary>The default counts as so many pieces (from memory).</summary>
    private const double PriorPieces = 3;

    /// <summary>The spread of a maker's pieces about her own pace where nothing is known, as a logarithm (from memory).</summary>
    private const double PriorSpread = 0.22;

    /// <summary>What that spread counts as, in pieces.</summary>
    private const double PriorSpreadPieces = 4;

    /// <summary>Pieces so many spreads off the middle are outliers: they are named, and weigh as one that lies at the bound.</summary>
    private const double OutlierFrom = 3;

    /// <summary>Below this many pieces none is called an outlier.</summary>
    private const int OutliersFromPieces = 5;

    /// <summary>Half of an eighty-percent interval of a normal distribution, in spreads.</summary>
    private const double EightyPercent = 1.2816;

    /// <summary>What was learnt; null where nothing was logged. Minutes of one piece count together.</summary>
    public static Learned? Of(IEnumerable<Observed> logged)
    {
        var pieces = logged.Where(o => o is { PlannedMinutes: > 0, RealMinutes: > 0 }).GroupBy(o => o.Piece).Select(g =>
            new Observed(g.Key, g.Sum(o => o.PlannedMinutes), g.Sum(o => o.RealMinutes))).ToArray();
        if (pieces.Length == 0)
        {
            return null;
        }

        var logs = pieces.Select(p => Math.Log(p.RealMinutes / p.PlannedMinutes)).ToArray();
        var (low, high) = Bounds(logs);
        var outliers = pieces.Where((_, i) => logs[i] < low || logs[i] > high).ToArray();
        var held = logs.Select(l => Math.Clamp(l, low, high)).ToArray();
        var (n, mean) = (held.Length, held.Average());

        // Posterior of mean and variance under the conjugate prior; the next piece follows a t distribution about it.
        var weight = n + PriorPieces;
        var middle = n * mean / weight;
        var degrees = PriorSpreadPieces + n;
        var squares = (PriorSpreadPieces * PriorSpread * PriorSpread) + held.Sum(l => (l - mean) * (l - mean))
            + (PriorPieces * n / weight * mean * mean);
        var spread = Math.Sqrt(squares / degrees * (1 + (1 / weight)));
        var reach = Quantile(degrees) * spread;
        return new Learned(Math.Exp(middle), Math.Exp(-reach), Math.Exp(reach), n, outliers);
    }

    /// <summary>Between which logarithms a piece is no outlier: by the median and the median distance from it.</summary>
    private static (double Low, double High) Bounds(double[] logs)
    {
        if (logs.Length < OutliersFromPieces)
        {
            return (double.NegativeInfinity, double.PositiveInfinity);
        }

        var middle = Median(logs);
        var spread = Math.Max(PriorSpread / 2, 1.4826 * Median([.. logs.Select(l => Math.Abs(l - middle))]));
        return (middle - (OutlierFrom * spread), middle + (OutlierFrom * spread));
    }

    private static double Median(double[] values)
    {
        var sorted = values.Order().ToArray();
        var half = sorted.Length / 2;
        return sorted.Length % 2 == 1 ? sorted[half] : (sorted[half - 1] + sorted[half]) / 2;
    }

    /// <summary>
    /// The 0.9 quantile of a t distribution, by the Cornish-Fisher expansion (Abramowitz and Stegun 26.7.5): a thousandth off from five
    /// degrees on.
    /// </summary>
    private static double Quantile(double degrees)
    {
        const double Z = EightyPercent;
        var (g1, g2) = ((Math.Pow(Z, 3) + Z) / 4, ((5 * Math.Pow(Z, 5)) + (16 * Math.Pow(Z, 3)) + (3 * Z)) / 96);
        return Z + (g1 / degrees) + (g2 / (degrees * degrees));
    }

    /// <summary>
    /// How many times as long work takes of one kind of thing than of the others, by its name: the shrunk mean of what is left of each
    /// piece
    /// once <paramref name="usual"/> is taken out, in logarithms. Empty where all are of one name, or where nobody said: then there is
    /// nothing to tell apart.
    /// </summary>
    public static IReadOnlyDictionary<string,
        (double Ratio, int Pieces)> Apart(IEnumerable<(string? Name, Observed Of)> logged, double usual)
    {
        var named = logged.Where(l => l is { Name: not null, Of: { PlannedMinutes: > 0, RealMinutes: > 0 } })
            .GroupBy(l => l.Name.Sure(), StringComparer.Ordinal).ToArray();
        if (named.Length < 2)
        {
            return new Dictionary<string, (double, int)>(StringComparer.Ordinal);
        }

        return named.ToDictionary(g => g.Key, g =>
        {
            var logs = g.GroupBy(l => l.Of.Piece).Select(p =>
                Math.Log(p.Sum(l => l.Of.RealMinutes) / p.Sum(l => l.Of.PlannedMinutes) / usual))
                .ToArray();
            var (low, high) = Bounds(logs);
            return (Math.Exp(logs.Sum(l => Math.Clamp(l, low, high)) / (logs.Length + PriorPieces)), logs.Length);
        }, StringComparer.Ordinal);
    }

    /// <summary>Said beside an estimate.</summary>
    public static Told Tell(Learned learned)
    {
        var times = Math.Abs(learned.Factor - 1) < 0.05 ? "you take as long as is usually planned"
            : learned.Factor > 1 ? $"you take {Say.Number(learned.Factor, 1)} times as long as is usually planned"
            : $"you take {Say.Number(100 * learned.Factor, 0)} % of what is usually planned";
        return $"From {(learned.Pieces == 1 ? "one piece" : Say.Count(learned.Pieces, "piece"))} of yours: {times}.";
    }
}
