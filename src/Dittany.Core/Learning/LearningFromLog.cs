using System.Globalization;
using Dittany.Core.Effort;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Operations;
using Dittany.Core.Planning;
using Dittany.Core.StitchBook;
using Dittany.Core.Telling;

namespace Dittany.Core.Learning;

/// <summary>
/// A stretch of work as it is kept in the log: which step of which piece, the kind of work, what was planned of it by the usual pace and
/// how long it took, minutes with the pauses left out.
/// </summary>
public sealed record Logged(int Piece, string Step, string Kind, double PlannedMinutes, double Minutes)
{
    /// <summary>The stitch it was worked in, the kind of cloth and the form, by their ids; null where nobody kept it.</summary>
    public string? Stitch { get; init; }

    public string? Cloth { get; init; }

    public string? Item { get; init; }

    /// <summary>
    /// What is measured beside the minutes, mm by the usual and really: thread worked with up to the end of a length, or how long a stitch
    /// is. Null where nothing was.
    /// </summary>
    public (double PlannedMm, double RealMm)? Measured { get; init; }
}

/// <summary>What was learnt of a kind of work: how long it takes her, and what takes her longer than the rest of it.</summary>
public sealed record LearntKind(string Kind, Learned Learned, IReadOnlyList<LearntApart> Apart);

/// <summary>One stitch, cloth or thing that takes her so many times as long as the others, and from how many pieces.</summary>
public sealed record LearntApart(string Aspect, string Name, double Ratio, int Pieces)
{
    /// <summary>As it is called in the trade.</summary>
    public string Called => Aspect switch
    {
        PaceNames.ByStitch => Book.Find(Name)?.Name ?? Name,
        PaceNames.ByCloth => Cloths.Find(Name)?.Name ?? Name,
        _ => Catalogue.Find(Name)?.Name ?? Name.Replace('-', ' '),
    };
}

/// <summary>Turns a log into paces of the workshop, and paces into the minutes of a plan.</summary>
public static class LearningFromLog
{
    /// <summary>What work is told apart by, with what each entry says of it.</summary>
    private static readonly (string Aspect, Func<Logged, string?> Name)[] Aspects =
        [(PaceNames.ByStitch, l => l.Stitch), (PaceNames.ByCloth, l => l.Cloth), (PaceNames.ByItem, l => l.Item)];

    /// <summary>Longer in one step is asked about: a step left open overnight, or a slip of the pen, minutes (from memory).</summary>
    public const double MostMinutes = 480;

    /// <summary>Rounds of taking one thing out of another: after three nothing moves by a hundredth.</summary>
    private const int Rounds = 3;

    /// <summary>What was learnt of each kind of work and of each measure, those with nothing logged left out.</summary>
    public static IReadOnlyList<LearntKind> Of(IReadOnlyList<Logged> log) =>
        [.. PaceNames.Kinds.Select(k => OfKind(k, log)).OfType<LearntKind>(), .. PaceNames.Measures.Select(m => OfMeasure(m, log))
            .OfType<LearntKind>()];

    private static LearntKind? OfKind(string kind, IReadOnlyList<Logged> log)
    {
        var of = log.Where(l => l.Kind == kind && l is { PlannedMinutes: > 0, Minutes: > 0 }).ToArray();
        if (PaceLearning.Of(of.Select(l => Entry(l, 1))) is not { } learned)
        {
            return null;
        }

        // What takes longer by its stitch is taken out before it is asked what takes longer by its cloth, and the other way round.
        var apart = new IReadOnlyDictionary<string, (double Ratio, int Pieces)>?[Aspects.Length];
        for (var round = 0; round < Rounds; round++)
        {
            for (var a = 0; a < Aspects.Length; a++)
            {
                apart[a] = PaceLearning.Apart(of.Select(l => (Aspects[a].Name(l), Entry(l, Times(l, a)))), learned.Sure().Factor);
            }

            learned = PaceLearning.Of(of.Select(l => Entry(l, Times(l, -1))));
        }

        return new LearntKind(kind, learned.Sure(), [.. Aspects.SelectMany((a, i) =>
            apart[i].Sure().Where(p => Math.Abs(p.Value.Ratio - 1) >= PaceNames.LeastTold)
            .Select(p => new LearntApart(a.Aspect, p.Key, p.Value.Ratio, p.Value.Pieces)))]);

        double Times(Logged l, int without) => Aspects.Select((a, i) => i != without && a.Name(l) is { } name
            && apart[i]?.GetValueOrDefault(name) is { Pieces: > 0 } of ? of.Ratio : 1).Aggregate(1.0, (x, y) => x * y);

        static Observed Entry(Logged l, double times) => new(l.Piece, l.PlannedMinutes * times, l.Minutes);
    }

    private static LearntKind? OfMeasure(string measure, IReadOnlyList<Logged> log) =>
        PaceLearning.Of(log.Where(l => l.Measured is not null && l.Kind == (measure == PaceNames.ThreadUse ? PaceNames.Stitching : measure))
            .Select(l => new Observed(l.Piece, l.Measured.Sure().PlannedMm, l.Measured.Value.RealMm))) is { } learned
            ? new LearntKind(measure, learned, []) : null;

    /// <summary>The paces as a workshop keeps them.</summary>
    public static IReadOnlyDictionary<string, double> Paces(IReadOnlyList<Logged> log)
    {
        var paces = new Dictionary<string, double>(StringComparer.Ordinal);
        foreach (var (kind, learned, apart) in Of(log))
        {
            paces[kind] = Round(learned.Factor);
            paces[$"{kind}.low"] = Round(learned.LowShare);
            paces[$"{kind}.high"] = Round(learned.HighShare);
            paces[$"{kind}.pieces"] = learned.Pieces;
            foreach (var one in apart)
            {
                paces[$"{kind}.{one.Aspect}.{one.Name}"] = Round(one.Ratio);
            }
        }

        return paces;

        static double Round(double n) => Math.Clamp(Math.Round(n, 3), PaceNames.LeastFactor, PaceNames.MostFactor);
    }

    /// <summary>
    /// A step as it went, for the log: against what the usual pace and the usual thread make of it. <paramref name="leftMm"/> is what she
    /// found left on the needle.
    /// </summary>
    public static Logged Entry(int piece, Plan plan, NeedleStep step, double minutes, double? leftMm = null) =>
        new(piece, step.Id, step.Kind, step.UsualMinutes, minutes)
        {
            Stitch = step.Stitch,
            Cloth = plan.Item.Cloth.Kind.Id,
            Item = plan.Item.Form,
            Measured = leftMm is { } left && step.Thread is { } thread && left < thread.UsedMm + thread.LeftMm
                ? (Math.Round(thread.UsedMm / plan.Learnt.ThreadUse, 1), Math.Round(thread.UsedMm + thread.LeftMm - left, 1)) : null,
        };

    /// <summary>How long stitches came out in a photograph, for the log; null where none were told apart or none were planned.</summary>
    public static Logged? Seen(int piece, Plan plan, PlannedElement element, FinishedWork seen, string of) =>
        FinishedTelling.Lengths(seen, element) is { } lengths ? new Logged(piece, of, PaceNames.StitchLength, 0, 0)
        {
            Cloth = plan.Item.Cloth.Kind.Id,
            Item = plan.Item.Form,
            Measured = (Math.Round(lengths.PlannedMm / plan.Learnt.StitchLength, 2), Math.Round(lengths.RealMm, 2)),
        } : null;

    /// <summary>Why an entry is asked about; null where it is taken.</summary>
    public static string? Doubt(double minutes, double planned) => !double.IsFinite(minutes) || minutes < 0 ? "Less than nothing cannot be kept: the clock was turned back. Say the minutes."
        : minutes > MostMinutes ? $"{Say.Upper(Say.Minutes(minutes))} in one step: it was left open, or a digit slipped. Say how long it really was."
        : planned > 0 && minutes > 12 * planned && minutes > 60 ? string.Create(CultureInfo.InvariantCulture, $"{Say.Minutes(minutes)} where {Say.Minutes(planned)} were planned: was it left open? Say the minutes, or send it again as it is.")
        : null;
}
