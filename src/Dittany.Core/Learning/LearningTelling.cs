using Dittany.Core.Effort;
using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Telling;

namespace Dittany.Core.Learning;

/// <summary>What was learnt, said.</summary>
public static class LearningTelling
{
    /// <summary>A stitch that takes her so many times as long as others is worth practising (from memory).</summary>
    private const double WorthPractising = 1.15;

    /// <summary>What a kind of work or a measure is called.</summary>
    public static string Called(string kind) => kind switch
    {
        NeedleStep.Stitching => "Stitching, threads begun and ended",
        PaceNames.ThreadUse => "Thread used",
        PaceNames.StitchLength => "How long stitches come out",
        "dry" => "Hanging up",
        "back" => "Backing",
        "remove" => "Taking out what was laid on",
        _ => $"{Say.Upper(kind)}ing".Replace("eing", "ing", StringComparison.Ordinal).Replace("Cuting", "Cutting", StringComparison.Ordinal),
    };

    /// <summary>
    /// All sentences of what was learnt of one kind of work; <paramref name="nameOf"/> names the pieces that lie far off.
    /// </summary>
    public static IReadOnlyList<Told> Tell(LearntKind learnt, Func<int, string> nameOf)
    {
        var (kind, learned, _) = learnt;
        var from = learned.Pieces == 1 ? "one piece" : Say.Count(learned.Pieces, "piece");
        var told = new List<Told>();
        if (kind == PaceNames.ThreadUse)
        {
            told.Add(Math.Abs(learned.Factor - 1) < 0.02 ? $"From {from} of yours: you use as much thread as is usually reckoned."
                : $"From {from} of yours: you use {Percent(learned.Factor)} {(learned.Factor > 1 ? "more" : "less")} thread than is usually reckoned.");
        }
        else if (kind == PaceNames.StitchLength)
        {
            told.Add(Math.Abs(learned.Factor - 1) < PaceNames.LeastTold ? $"From pictures of {from} of yours: your stitches come out as long as planned."
                : $"From pictures of {from} of yours: your stitches come out {Percent(learned.Factor)} {(learned.Factor > 1 ? "longer" : "shorter")} than is usual, and new plans count with it.");
        }
        else
        {
            told.Add(PaceLearning.Tell(learned));
            told.Add($"Four times in five an estimate of 60 min will really be {Say.Minutes(60 * learned.LowShare)} to {Say.Minutes(60 * learned.HighShare)}.");
        }

        told.AddRange(learnt.Apart.OrderByDescending(a => a.Ratio).Select(a => (Told)($"{Say.Upper(a.Called)} takes {Say.Number(a.Ratio, 2)} times as long as "
            + $"{(a.Aspect switch { PaceNames.ByStitch => "other stitches", PaceNames.ByCloth => "other cloth", _ => "other things" })} ({Say.Count(a.Pieces, "piece")}).")));
        if (learned.Outliers.Count > 0)
        {
            told.Add($"Far off the others, and so counted less: {Say.List(learned.Outliers.Select(o => nameOf(o.Piece)).ToArray())}.");
        }

        return told;
    }

    /// <summary>
    /// The stitch most worth practising by what was learnt, by its id, and why; null where none is slower than the others.
    /// </summary>
    public static (string Stitch, Told Why)? Practise(IReadOnlyList<LearntKind> learnt) =>
        learnt.FirstOrDefault(l => l.Kind == NeedleStep.Stitching)?.Apart.Where(a => a.Aspect == PaceNames.ByStitch
            && a.Ratio >= WorthPractising)
            .MaxBy(a => a.Ratio) is { } slow
            ? (slow.Name, $"Worth practising next: {slow.Called}. It takes you {Say.Number(slow.Ratio, 1)} times as long as your other stitches.") : null;

    private static string Percent(double factor) => $"{Say.Number(100 * Math.Abs(factor - 1), 0)} %";
}
