using Dittany.Core.Decisions;
using Dittany.Core.Operations;

namespace Dittany.Core.Cautions;

/// <summary>
/// Hangs each caution on the operations it is for, so that who stands at the iron hears of the iron. One that has no place of its own
/// stands at the operations of its station, and where a piece has none of those, at its first: no caution is lost.
/// </summary>
public static class Heeding
{
    /// <summary>What each caution is heeded at (common practice).</summary>
    private static readonly Dictionary<string, Func<Operation, bool>> Places = new(StringComparer.Ordinal)
    {
        ["spelling"] = o => o.Kind is OpKind.Print or OpKind.Mark,
        ["a-childs-full-name"] = o => o.Kind is OpKind.Print or OpKind.Mark,
        ["cannot-be-undone"] = o => o.Kind is OpKind.Print or OpKind.Mark,
        ["test-the-ink"] = o => o.Kind is OpKind.Mark,
        ["a-scrap-first"] = o => o.Kind is OpKind.Mark or OpKind.Remove || o.Iron is not null || o.Water is not null,
        ["shrinking"] = o => o.Kind is OpKind.Wash,
        ["needles"] = o => o.Kind is OpKind.Stitch or OpKind.Sew,
        ["eyes-and-back"] = o => o.Kind is OpKind.Stitch,
        ["coating-leaks"] = o => o.Kind is OpKind.Stitch,
        ["small-parts"] = o => o.Kind is OpKind.Stitch,
        ["for-a-baby"] = o => o.Kind is OpKind.Stitch or OpKind.Sew,
        ["bleeding"] = o => o.Water is not null,
        ["dark-cloth-gives-off-colour"] = o => o.Water is not null,
        ["no-iron-before-the-marks-are-out"] = o => o.Iron is not null && o.Kind != OpKind.Wash,
        ["iron"] = o => o.Iron is not null,
        ["spray"] = o => o.Kind is OpKind.Paint,
        ["blade"] = o => o.Kind is OpKind.Cut,
        ["paint-stays"] = o => o.Kind is OpKind.Paint,
        ["beads-are-small-parts"] = o => o.Leaves.Contains(Trace.Beads),
        ["barbed-needle"] = o => o.Kind is OpKind.Felt,
        ["tint-unfixed"] = o => o.Kind is OpKind.Tint,
        ["kept-for-long"] = o => o.Kind is OpKind.Press or OpKind.Sew,
    };

    private static readonly Dictionary<Station, OpKind[]> Kinds = new()
    {
        [Station.Item] = [OpKind.Wash, OpKind.Back, OpKind.Mark],
        [Station.Words] = [OpKind.Print, OpKind.Mark],
        [Station.Transfer] = [OpKind.Back, OpKind.Print, OpKind.Mark, OpKind.Cut, OpKind.Tint],
        [Station.Hoop] = [OpKind.Hoop],
        [Station.Thread] = [OpKind.Stitch],
        [Station.Stitches] = [OpKind.Stitch, OpKind.Paint, OpKind.Felt],
        [Station.Order] = [OpKind.Stitch],
        [Station.Finish] = [OpKind.Remove, OpKind.Dry, OpKind.Press, OpKind.Sew],
    };

    /// <summary>The operations with the ids of the cautions to be heeded at each, the gravest first.</summary>
    public static IReadOnlyList<Operation> Heed(IReadOnlyList<Operation> work, IReadOnlyList<Caution> cautions)
    {
        var heeded = cautions.SelectMany(c => At(work, c).Select(o => (Operation: o.Id, Caution: c.Id)))
            .ToLookup(h => h.Operation, h => h.Caution);
        return work.Select(o => o with { Cautions = heeded[o.Id].Distinct(StringComparer.Ordinal).ToArray() }).ToArray();
    }

    private static IReadOnlyList<Operation> At(IReadOnlyList<Operation> work, Caution caution)
    {
        var own = Places.TryGetValue(caution.Id, out var here) ? work.Where(here).ToArray() : [];
        if (own.Length > 0)
        {
            return own;
        }

        var station = caution.At is { } at && Kinds.TryGetValue(at, out var kinds) ? work.Where(o => kinds.Contains(o.Kind)).ToArray() : [];
        return station.Length > 0 ? station : [.. work.Take(1)];
    }
}
