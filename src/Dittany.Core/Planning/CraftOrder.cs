using Dittany.Core.Crafts;
using Dittany.Core.Decisions;
using Dittany.Core.Measures;
using Dittany.Core.Operations;

namespace Dittany.Core.Planning;

/// <summary>All that is done between cutting and making up, in one order, with the decision on it where several crafts meet.</summary>
internal sealed record CraftOrder(IReadOnlyList<Operation> Work, IReadOnlyList<Decision> Decisions, IReadOnlyList<Caution> Cautions)
{
    /// <summary>
    /// Puts each craft, and what belongs to the needle, in an order in which nothing hurts what is on the cloth already. Where there
    /// is none, a caution says what is hurt.
    /// </summary>
    public static CraftOrder Of(IReadOnlyList<Crafted> crafts, IReadOnlyList<Operation> needle)
    {
        var made = AllCrafts.List.Select(craft => (Craft: craft, Work: Once(crafts
            .Where(c => c.Parts is [var first, ..] && first.Craft == craft.Id).SelectMany(c => c.Work))))
            .Where(c => c.Work.Count > 0).ToArray();
        (string Done, IReadOnlyList<Operation> Work)[] chains =
        [
            .. made.Where(c => !c.Craft.ComesLast).Select(c => (c.Craft.Done, c.Work)),
            .. needle.Count > 0 ? [("stitched and finished", needle)] : Array.Empty<(string, IReadOnlyList<Operation>)>(),
            .. made.Where(c => c.Craft.ComesLast).Select(c => (c.Craft.Done, c.Work)),
        ];
        if (chains.Length < 2)
        {
            return new CraftOrder(chains.SelectMany(c => c.Work).ToArray(), [], []);
        }

        var order = Conflicts.Order(chains.Select(c => c.Work).ToArray());
        var places = order.Select((o, i) => (o, i)).ToDictionary(p => p.o.Id, p => p.i);
        var inTurn = chains.OrderBy(c => places[c.Work[^1].Id]).Select(c => c.Done).ToArray();
        var why = Conflicts.Harms.Where(h => Conflicts.Threatens(h, order)).Select(h => (Told)$"{Say.Upper(h.Why)}.").Take(4).ToArray();
        var choice = new Choice("found", $"First it is {string.Join(", then ", inTurn)}");
        return new CraftOrder(order,
            [Deciding.Make("order.crafts", Station.Order, "What comes before what", choice, null,
                why.Length > 0 ? why : ["Nothing of it hurts the rest; what lies flat comes first."], ["Another craft for one of them."])],
            Conflicts.In(order).Select(c => new Caution("crafts-hurt", CautionKind.Item, Severity.Stop,
                $"These do not go together on one piece: {c.Harm.Why}, and no order avoids it. Take another craft for one of them.")
            { At = Station.Order }).DistinctBy(c => c.Text.ToString(), StringComparer.Ordinal).ToArray());
    }

    /// <summary>What is done once for all elements comes where the last of them would do it.</summary>
    private static IReadOnlyList<Operation> Once(IEnumerable<Operation> work) =>
        work.Reverse().DistinctBy(o => o.Id).Reverse().ToArray();
}
