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
}

/// <summary>
/// What is on the cloth from one operation until another, and must not meet heat, water or a needle meanwhile; why, as it goes on after
/// “because”. <paramref name="ByPart"/>: it ends with an operation on the same element. <paramref name="Where"/>: only where the work has
/// such an operation.
/// </summary>
public sealed record Harm(string Name, Func<Operation, bool> Lays, Func<Operation, bool> Clears, Doing By, bool ByPart, string Why,
    string Source, Func<Operation, bool>? Where = null)
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
        new("marks that water takes out", OnCloth, o => o.Id == "rinse", Doing.Heat, false,
            "heat sets a mark that only water takes out", "common practice"),
        new("marks that heat takes out", OnCloth, o => o.Kind == OpKind.Stitch, Doing.Heat, false,
            "heat takes the marks away before they are stitched", "common practice",
            o => o.Id == "iron-out"),
        new("wet paint", o => o.Kind == OpKind.Paint, o => o.Kind == OpKind.Dry && o.Id.Contains('/', StringComparison.Ordinal),
            Doing.Heat | Doing.Water | Doing.Needle, true, "wet paint must lie still", "common practice"),
        new("unset paint", o => o.Kind == OpKind.Paint, o => o.Id == "paint-set", Doing.Water, false,
            "paint runs in water until it is set", "common practice"),
        new("unfixed pencil", o => o.Kind == OpKind.Tint, o => o.Id.EndsWith("/paper-off", StringComparison.Ordinal),
            Doing.Water | Doing.Needle, true, "unfixed pencil loses half its colour in water", "common practice"),
        new("wool", o => o.Kind == OpKind.Felt, _ => false, Doing.Heat | Doing.Water, false,
            "wool shrinks in water and is flattened by an iron", "common practice") { ForGood = true },
        new("a ring on wool", o => o.Kind == OpKind.Felt, _ => false, Doing.Needle, false, "a ring crushes wool", "from memory")
        { ForGood = true },
        new("beads", o => o.Id.EndsWith("/beads", StringComparison.Ordinal), _ => false, Doing.Heat | Doing.Needle, false,
            "an iron melts beads, and a ring breaks them", "common practice") { ForGood = true },
    ];

    /// <summary>Marks drawn on the cloth itself: what is drawn on paper comes onto it with an iron, and lasts it.</summary>
    private static bool OnCloth(Operation o) => o.Kind == OpKind.Mark && !o.Id.StartsWith("pencil", StringComparison.Ordinal)
        && !o.Id.StartsWith("iron-on", StringComparison.Ordinal);

    public static Doing DoneBy(Operation operation)
    {
        var heat = operation.Place == Place.Iron || operation.Kind == OpKind.Tint ? Doing.Heat : Doing.Nothing;
        var water = operation.Place == Place.Sink ? Doing.Water : Doing.Nothing;
        return heat | water | (operation.Kind is OpKind.Hoop or OpKind.Stitch ? Doing.Needle : Doing.Nothing);
    }

    /// <summary>Whether a harm could be done by some order of this work.</summary>
    public static bool Threatens(Harm harm, IReadOnlyList<Operation> work) => work.Any(o => harm.Lays(o) && Until(harm, o, work) is not null
        && work.Any(by => by != o && (DoneBy(by) & harm.By) != Doing.Nothing));

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

            var state = string.Join(',', at);
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

    /// <summary>What the operation at a place of an order harms; <paramref name="all"/> tells what will be cleared one day.</summary>
    private static IEnumerable<Harm> At(IReadOnlyList<Operation> order, int at, IReadOnlyList<Operation> all)
    {
        var does = DoneBy(order[at]);
        if (does == Doing.Nothing)
        {
            yield break;
        }

        foreach (var harm in Harms.Where(h => (h.By & does) != Doing.Nothing && !h.Clears(order[at])))
        {
            for (var k = 0; k < at; k++)
            {
                if (harm.Lays(order[k]) && Until(harm, order[k], all) is { } until && !Cleared(order, k, at, until))
                {
                    yield return harm;
                    break;
                }
            }
        }
    }

    /// <summary>What ends it; null where nothing of this work ever would, though something could.</summary>
    private static Func<Operation, bool>? Until(Harm harm, Operation laid, IReadOnlyList<Operation> all)
    {
        bool ends(Operation o) => harm.Clears(o) && (!harm.ByPart || OfPart(o) == OfPart(laid));
        return (all.Any(ends) || harm.ForGood) && (harm.Where is null || all.Any(harm.Where)) ? ends : null;
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

    private static string OfPart(Operation operation) => operation.Id.Split('/')[0];
}
