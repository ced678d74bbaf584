namespace Dittany.Core.Operations;

/// <summary>What an operation does to all that is on the cloth by then.</summary>
[Flags]
public enum Doing
{
    Nothing = 0,

    /// <summary>An iron, or anything that is ironed on.</summary>
    Heat = 1,

    /// <summary>It goes under water.</summary>
    Water = 2,

    /// <summary>A needle goes through it, or a ring clamps it.</summary>
    Needle = 4,

    /// <summary>An iron hotter than one dot.</summary>
    OverOneDot = 8,

    /// <summary>An iron hotter than two dots.</summary>
    OverTwoDots = 16,
}

/// <summary>
/// What lies on the cloth from one operation until another, and must not meet heat, water or a needle meanwhile; why, as it goes on after
/// “because”. <paramref name="ByElement"/>: it ends with an operation on the same element.
/// </summary>
public sealed record Harm(string Name, Trace Trace, Doing By, bool ByElement, string Why, string Source)
{
    /// <summary>It stays as long as the piece does.</summary>
    public bool ForGood { get; init; }
}

/// <summary>One harm that an order of work does: what is hurt, and by which operation.</summary>
public sealed record Conflict(Harm Harm, Operation By);

/// <summary>Heat, water and needles that would spoil what lies on the cloth already, found before it happens.</summary>
public static class Conflicts
{
    public static IReadOnlyList<Harm> Harms { get; } =
    [
        new("marks that water takes out", Trace.MarkForWater, Doing.Heat, false, "heat sets a mark that only water takes out",
            "common practice"),
        new("marks that heat takes out", Trace.MarkForHeat, Doing.Heat, false, "heat takes the marks away before they are stitched",
            "common practice"),
        new("wet paint", Trace.WetPaint, Doing.Heat | Doing.Water | Doing.Needle, true, "wet paint must lie still", "common practice"),
        new("unset paint", Trace.UnsetPaint, Doing.Water, false, "paint runs in water until it is set", "common practice"),
        new("fresh paint", Trace.FreshPaint, Doing.Water, false, "fresh paint is not laid in water for a week", "from memory")
        { ForGood = true },
        new("film", Trace.Film, Doing.Heat, false, "heat sets film and sheets that water takes out", "common practice"),
        new("unfixed pencil", Trace.UnfixedPencil, Doing.Water | Doing.Needle, true, "unfixed pencil loses half its colour in water",
            "common practice"),
        new("wool", Trace.FeltedWool, Doing.Heat | Doing.Water, false, "wool shrinks in water and is flattened by an iron",
            "common practice") { ForGood = true },
        new("a ring on wool", Trace.FeltedWool, Doing.Needle, false, "a ring crushes wool", "from memory") { ForGood = true },
        new("beads", Trace.Beads, Doing.Heat | Doing.Needle, false, "an iron melts beads, and a ring breaks them", "common practice")
        { ForGood = true },
        new("thread of one dot", Trace.ThreadOfOneDot, Doing.OverOneDot, false, "the iron is hotter than the thread bears",
            "ISO 3758") { ForGood = true },
        new("thread of two dots", Trace.ThreadOfTwoDots, Doing.OverTwoDots, false, "the iron is hotter than the thread bears", "ISO 3758")
        { ForGood = true },
    ];

    public static Doing DoneBy(Operation operation) => (operation.Iron is { } iron ? Doing.Heat
            | (iron.AtMost > Materials.IronLimit.OneDot ? Doing.OverOneDot : Doing.Nothing)
            | (iron.AtMost > Materials.IronLimit.TwoDots ? Doing.OverTwoDots : Doing.Nothing) : Doing.Nothing)
        | (operation.Water is null ? Doing.Nothing : Doing.Water)
        | (operation.Kind is OpKind.Hoop or OpKind.Stitch ? Doing.Needle : Doing.Nothing);

    /// <summary>Whether a harm could be done by some order of this work.</summary>
    public static bool Threatens(Harm harm, IReadOnlyList<Operation> work) => work.Any(o => o.Leaves.Contains(harm.Trace)
        && Until(harm, o, work) is not null && work.Any(by => by != o && (DoneBy(by) & harm.By) != Doing.Nothing));

    /// <summary>Every harm that is done in this order. What lies there only until it is cleared counts only where it will be.</summary>
    public static IReadOnlyList<Conflict> In(IReadOnlyList<Operation> order)
    {
        var found = new List<Conflict>();
        for (var i = 0; i < order.Count; i++)
        {
            found.AddRange(At(order, i, order).Select(h => new Conflict(h, order[i])));
        }

        return found;
    }

    /// <summary>
    /// One order of several chains, each kept in its own: the first, by the order of the chains, in which nothing is harmed; joined
    /// one after the other where there is none, or none is found in <paramref name="most"/> steps. What comes <paramref name="last"/>,
    /// after all of them, is known and not ordered.
    /// </summary>
    public static IReadOnlyList<Operation> Order(IReadOnlyList<IReadOnlyList<Operation>> chains, IReadOnlyList<Operation>? last = null,
        int most = 20_000)
    {
        var joined = chains.SelectMany(c => c).ToArray();
        Operation[] all = [.. joined, .. last ?? []];
        var order = new List<Operation>(joined.Length);
        var at = new int[chains.Count];
        var dead = new HashSet<string>(StringComparer.Ordinal);
        var steps = 0;
        return Goes() ? order : joined;

        bool Goes()
        {
            if (order.Count == joined.Length)
            {
                return true;
            }

            // What is done already does not say what still lies there: that hangs on its order.
            var state = $"{string.Join(',', at)}|{string.Join(',', Lying(order, all))}";
            if (dead.Contains(state) || ++steps > most)
            {
                return false;
            }

            for (var c = 0; c < chains.Count; c++)
            {
                if (at[c] == chains[c].Count)
                {
                    continue;
                }

                order.Add(chains[c][at[c]]);
                at[c]++;
                if (!At(order, order.Count - 1, all).Any() && Goes())
                {
                    return true;
                }

                at[c]--;
                order.RemoveAt(order.Count - 1);
            }

            dead.Add(state);
            return false;
        }
    }

    /// <summary>What lies on the cloth after an order, by the harms that wait for it.</summary>
    private static IEnumerable<string> Lying(IReadOnlyList<Operation> order, IReadOnlyList<Operation> all) =>
        Harms.SelectMany((harm, h) => Enumerable.Range(0, order.Count).Where(k => order[k].Leaves.Contains(harm.Trace)
            && Until(harm, order[k], all) is { } until && !Cleared(order, k, order.Count, until)).Select(k => $"{h}:{order[k].Id}"));

    /// <summary>What the operation at a place of an order harms; <paramref name="all"/> tells what will be cleared one day.</summary>
    private static IEnumerable<Harm> At(IReadOnlyList<Operation> order, int at, IReadOnlyList<Operation> all)
    {
        var does = DoneBy(order[at]);
        if (does == Doing.Nothing)
        {
            yield break;
        }

        foreach (var harm in Harms.Where(h => (h.By & does) != Doing.Nothing && !order[at].Clears.Contains(h.Trace)))
        {
            for (var k = 0; k < at; k++)
            {
                if (order[k].Leaves.Contains(harm.Trace) && Until(harm, order[k], all) is { } until && !Cleared(order, k, at, until))
                {
                    yield return harm;
                    break;
                }
            }
        }
    }

    /// <summary>
    /// What ends it; null where nothing of this work ever would, though something could. What is done at one place ends nothing at
    /// another, and what is done for all ends it everywhere.
    /// </summary>
    private static Func<Operation, bool>? Until(Harm harm, Operation laid, IReadOnlyList<Operation> all)
    {
        bool ends(Operation o) => o.Clears.Contains(harm.Trace) && (!harm.ByElement || o.Id.Element == laid.Id.Element)
            && (o.Id.Place is null || laid.Id.Place is null || o.Id.Place == laid.Id.Place);
        return all.Any(ends) || harm.ForGood ? ends : null;
    }

    private static bool Cleared(IReadOnlyList<Operation> order, int laid, int at, Func<Operation, bool> ends)
    {
        for (var i = laid + 1; i < at; i++)
        {
            if (ends(order[i]))
            {
                return true;
            }
        }

        return false;
    }
}
