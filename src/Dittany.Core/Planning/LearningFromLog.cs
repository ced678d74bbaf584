using System.Globalization;
using Dittany.Core.Effort;
using Dittany.Core.Measures;
using Dittany.Core.Operations;

namespace Dittany.Core.Planning;

/// <summary>
/// A stretch of work as it is kept in the log: which step of which piece, the kind of work, what was planned of it by the usual pace and
/// how long it took, minutes with the pauses left out.
/// </summary>
public sealed record Logged(int Piece, string Step, string Kind, double PlannedMinutes, double Minutes);

/// <summary>Turns a log into paces of the workshop, and paces into the minutes of a plan.</summary>
public static class LearningFromLog
{
    /// <summary>Kinds of work that are learnt apart.</summary>
    public static IReadOnlyList<string> Kinds { get; } =
        [NeedleStep.Stitching, .. Enum.GetNames<OpKind>().Select(k => k.ToLowerInvariant())];

    /// <summary>A pace beyond these is another mistake (from memory).</summary>
    public const double LeastFactor = 0.1;

    public const double MostFactor = 10;

    /// <summary>Longer in one step is asked about: a step left open overnight, or a slip of the pen, minutes (from memory).</summary>
    public const double MostMinutes = 480;

    /// <summary>What was learnt of each kind of work, those with nothing logged left out.</summary>
    public static IReadOnlyList<(string Kind, Learned Learned)> Of(IReadOnlyList<Logged> log) => Kinds.Select(k => (k, Learning.Of(log
        .Where(l => l.Kind == k).Select(l => new Observed(l.Piece, l.PlannedMinutes, l.Minutes))))).Where(k => k.Item2 is not null)
        .Select(k => (k.k, k.Item2!)).ToArray();

    /// <summary>The paces as a workshop keeps them.</summary>
    public static IReadOnlyDictionary<string, double> Paces(IReadOnlyList<Logged> log)
    {
        var paces = new Dictionary<string, double>(StringComparer.Ordinal);
        foreach (var (kind, learned) in Of(log))
        {
            paces[kind] = Round(learned.Factor);
            paces[$"{kind}.low"] = Round(learned.LowShare);
            paces[$"{kind}.high"] = Round(learned.HighShare);
            paces[$"{kind}.pieces"] = learned.Pieces;
        }

        return paces;

        static double Round(double n) => Math.Clamp(Math.Round(n, 3), LeastFactor, MostFactor);
    }

    /// <summary>The work at her own pace, each operation with its spread.</summary>
    internal static IReadOnlyList<Operation> AtPace(IReadOnlyList<Operation> work, Workshop workshop) => workshop.Paces.Count == 0 ? work
        : work.Select(o => workshop.PaceOf(KindOf(o)) is not { } pace ? o : o with
        {
            By = o.By.Select(s => s with { Minutes = s.Minutes * pace.Factor }).ToArray(),
            Shares = (pace.LowShare, pace.HighShare),
        }).ToArray();

    /// <summary>What the log calls an operation.</summary>
    public static string KindOf(Operation operation) => operation.Kind == OpKind.Stitch ? NeedleStep.Stitching
        : operation.Kind.ToString().ToLowerInvariant();

    /// <summary>What a step would take by the usual pace: its minutes without what was learnt.</summary>
    public static double Usual(NeedleStep step, Workshop workshop) =>
        Math.Round(step.Minutes / (workshop.PaceOf(step.Kind)?.Factor ?? 1), 1);

    /// <summary>Why an entry is asked about; null where it is taken.</summary>
    public static string? Doubt(double minutes, double planned) => !double.IsFinite(minutes) || minutes < 0 ? "Less than nothing cannot be kept: the clock was turned back. Say the minutes."
        : minutes > MostMinutes ? $"{Say.Upper(Say.Minutes(minutes))} in one step: it was left open, or a digit slipped. Say how long it really was."
        : planned > 0 && minutes > 12 * planned && minutes > 60 ? string.Create(CultureInfo.InvariantCulture, $"{Say.Minutes(minutes)} where {Say.Minutes(planned)} were planned: was it left open? Say the minutes, or send it again as it is.")
        : null;
}
