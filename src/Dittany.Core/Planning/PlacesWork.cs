using Dittany.Core.Decisions;
using Dittany.Core.Finishing;
using Dittany.Core.Measures;
using Dittany.Core.Operations;

namespace Dittany.Core.Planning;

/// <summary>
/// The work of several places in one order: the item is prepared once, each place has its own marks, hoop and needle, and all is rinsed,
/// dried and pressed once at the end. <paramref name="Stitched"/> are the keys of places in the order they are stitched.
/// </summary>
internal sealed record PlacesWork(IReadOnlyList<Operation> Work, IReadOnlyList<string> Stitched, IReadOnlyList<Told> Because,
    IReadOnlyList<Caution> Cautions)
{
    /// <summary>What is done at the end for all; minutes of what is done place by place add up, of the rest the longest counts.</summary>
    private static readonly (string Id, bool ByPlace)[] AtTheEnd =
    [
        ("remove", true), ("rinse", false), ("ends", true), ("dry", false), ("paint-set", false), ("trim", true), ("iron-out", false),
        ("press", false), ("cover", true), ("make-up", false),
    ];

    /// <summary>
    /// Puts the work of places in an order in which nothing harms the marks of another; where there is none a caution says so.
    /// </summary>
    public static PlacesWork Of(IReadOnlyList<(string Key, string Name, Plan Plan)> places)
    {
        var first = places.SelectMany(p => p.Plan.Work.Where(o => o.At == Station.Item)).DistinctBy(o => o.Id).ToArray();
        var chains = places.Select((p, i) => Own(p.Plan).Select(o => o with
        {
            Id = IdAt(o.Id, p.Key, i == 0),
            Steps = o.Steps.Select((s, n) => n == 0 && places.Count > 1 ? (Told)$"{Say.Upper(p.Name)}: {s}" : s).ToArray(),
        }).ToArray()).ToArray();
        var last = AtTheEnd.Select(e => Once(e.Id, e.ByPlace, places)).OfType<Operation>().ToArray();
        var order = Conflicts.Order(chains, last);
        var keys = chains.SelectMany((c, i) => c.Where(o => o.Kind == OpKind.Stitch).Select(o => (o.Id, places[i].Key)))
            .ToDictionary(c => c.Id, c => c.Key);
        Operation[] all = [.. order, .. last];
        var joined = chains.SelectMany(c => c).ToArray();
        var crossed = !order.Select(o => o.Id).SequenceEqual(joined.Select(o => o.Id));
        return new PlacesWork(
            Operations.Work.Chain([.. first, .. all]),
            order.Where(o => keys.ContainsKey(o.Id)).Select(o => keys[o.Id]).ToArray(),
            crossed ? Conflicts.In([.. joined, .. last]).Select(c => (Told)$"One after the other would do harm: {c.Harm.Why}.")
                .DistinctBy(t => t.ToString(), StringComparer.Ordinal).ToArray() : [],
            Conflicts.In(all).Select(c => new Caution("places-hurt", CautionKind.Item, Severity.Stop,
                $"What two places are marked with does not go together: {c.Harm.Why}, and no order avoids it. Take another marker or another way of transferring at one of them.")
            { At = Station.Order }).DistinctBy(c => c.Text.ToString(), StringComparer.Ordinal).ToArray());
    }

    /// <summary>An operation's id at a place: that of an element, or of the main place, stays as it is.</summary>
    public static OpId IdAt(OpId id, string key, bool main) => main || id.Element is not null || Array.Exists(AtTheEnd, e =>
        e.Id == id.Name)
        ? id : id with { Place = key };

    /// <summary>Whether an operation is done once for all places.</summary>
    public static bool IsForAll(Operation operation) => operation.At == Station.Item || Array.Exists(AtTheEnd, e =>
        e.Id == operation.Id.Name);

    private static IEnumerable<Operation> Own(Plan plan) => plan.Work.Where(o => !IsForAll(o));

    /// <summary>One operation for all places that have it: every step once, what not all want with the place it is for.</summary>
    private static Operation? Once(string id, bool byPlace, IReadOnlyList<(string Key, string Name, Plan Plan)> places)
    {
        var all = places.Select(p => (p.Name, Of: p.Plan.Work.FirstOrDefault(o => o.Id.Name == id && o.Id.Element is null))).Where(p =>
            p.Of is not null).ToArray();
        if (all.Length == 0)
        {
            return null;
        }

        var steps = all.SelectMany(a => a.Of.Sure().Steps.Select(s => (a.Name, Step: s))).GroupBy(s => s.Step.ToString(),
            StringComparer.Ordinal)
            .Select(g => g.Count() == places.Count || id is "press" or "dry" or "rinse" ? g.First().Step
                : (Told)$"{Say.Upper(Say.List(g.Select(s => s.Name).ToArray()))}: {g.First().Step}").ToArray();
        var minutes = all.SelectMany(a => a.Of.Sure().By).GroupBy(b => b.Step, StringComparer.Ordinal)
            .Select(g => new StepMinutes(g.Key, byPlace ? g.Sum(b => b.Minutes) : g.Max(b => b.Minutes))).ToArray();
        var longest = all.Select(a => a.Of.Sure()).OrderByDescending(o => o.Wait?.Minutes ?? 0).First();
        return longest with
        {
            Steps = steps,
            By = minutes,
            Uses = all.SelectMany(a => a.Of.Sure().Uses ?? []).GroupBy(u => (u.What, u.Unit)).Select(g =>
                new Use(g.Key.What, byPlace ? g.Sum(u => u.Amount) : g.Max(u => u.Amount), g.Key.Unit)).ToArray() is { Length: > 0 } u ? u
                    : null,
        };
    }
}
