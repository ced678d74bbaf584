using Dittany.Core.Effort;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Operations;
using Dittany.Core.StitchBook;

namespace Dittany.Core.Planning;

/// <summary>
/// What of a plan was learnt from her log: how many times the usual each kind of work takes her on this cloth and this kind of thing, how
/// many times as long as others each stitch does, what she uses of thread and how long her stitches come out, as shares of the usual.
/// </summary>
public sealed record LearntPace(IReadOnlyDictionary<string, double> Kinds, IReadOnlyDictionary<string, double> Stitches,
    double ThreadUse = 1, double StitchLength = 1)
{
    private static readonly Dictionary<string, double> Nothing = new(StringComparer.Ordinal);

    public static LearntPace None { get; } = new(Nothing, Nothing);

    /// <summary>How many times the usual a kind of work takes her here.</summary>
    public double Of(string kind) => Kinds.GetValueOrDefault(kind, 1);

    /// <summary>How many times as long as others a stitch takes her, by its id.</summary>
    public double OfStitch(string stitch) => Stitches.GetValueOrDefault(stitch, 1);

    /// <summary>What this workshop has learnt, for this cloth and this kind of thing.</summary>
    internal static LearntPace Of(Workshop workshop, Cloth cloth, Form form)
    {
        if (workshop.Paces.Count == 0)
        {
            return None;
        }

        var stitches = PaceNames.Names(workshop.Paces, PaceNames.Stitching, PaceNames.ByStitch)
            .ToDictionary(n => n.Name, n => n.Ratio, StringComparer.Ordinal);
        var kinds = PaceNames.Kinds.Where(k => workshop.PaceOf(k) is not null).ToDictionary(k => k, k => workshop.PaceOf(k).Sure()
            .Factor
            * Ratio(workshop, k, PaceNames.ByCloth, cloth.Kind.Id) * Ratio(workshop, k, PaceNames.ByItem, form.Id),
                StringComparer.Ordinal);
        return new LearntPace(kinds, stitches, workshop.MeasuredTakeUp is null ? workshop.PaceOf(PaceNames.ThreadUse)?.Factor ?? 1
            : 1,
            workshop.StitchLengthShare);
    }

    /// <summary>What was learnt of stitching as it bears on this piece; null where nothing was.</summary>
    internal static Told? Tell(Workshop workshop, IEnumerable<string> stitches, Cloth cloth, Form form)
    {
        if (workshop.PaceOf(PaceNames.Stitching) is not { } learnt)
        {
            return null;
        }

        var more = stitches.Distinct(StringComparer.Ordinal)
            .Select(s => (Who: Book.Find(s)?.Name, Ratio: Ratio(workshop, PaceNames.Stitching, PaceNames.ByStitch, s), Than: "other stitches"))
            .Append((Who: cloth.Kind.Name, Ratio: Ratio(workshop, PaceNames.Stitching, PaceNames.ByCloth, cloth.Kind.Id), Than: "other cloth"))
            .Append((Who: Say.A(form.Name), Ratio: Ratio(workshop, PaceNames.Stitching, PaceNames.ByItem, form.Id), Than: "other things"))
            .Where(m => m.Who is not null && Math.Abs(m.Ratio - 1) >= PaceNames.LeastTold)
            .Select(m => $"{Say.Upper(m.Who.Sure())} takes you {Say.Number(m.Ratio, 2)} times as long as {m.Than}.");
        return string.Join(' ', more.Prepend(PaceLearning.Tell(learnt).ToString()));
    }

    /// <summary>The work at her own pace, each operation with its spread.</summary>
    internal static IReadOnlyList<Operation> AtPace(IReadOnlyList<Operation> work, Workshop workshop, LearntPace learnt) =>
        learnt.Kinds.Count == 0 ? work : work.Select(o => workshop.PaceOf(PaceNames.KindOf(o)) is not { } pace ? o : o with
        {
            By = o.By.Select(s => s with { Minutes = s.Minutes * learnt.Of(PaceNames.KindOf(o)) }).ToArray(),
            Shares = (pace.LowShare, pace.HighShare),
        }).ToArray();

    private static double Ratio(Workshop workshop, string kind, string aspect, string name) =>
        workshop.Paces.GetValueOrDefault($"{kind}.{aspect}.{name}", 1);
}
