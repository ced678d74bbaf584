using Dittany.Core.Decisions;
using Dittany.Core.Geometry;
using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Route;

namespace Dittany.Core.Planning;

/// <summary>
/// Letters and parts in the order of work, how often the needle is threaded with another thread for it, and how often it must be at the
/// least, hoop position by hoop position; 0 where nobody counted.
/// </summary>
internal sealed record WorkOrder(IReadOnlyList<int> Letters, int SetUps, int Bound);

/// <summary>
/// In which order the parts of a motif are worked, by two habits: what of a plant comes first, and whether its copies are worked colour by
/// colour or one after the other. What does not differ between schools stays as it is drawn: stems before their leaves, dots last.
/// </summary>
internal static class MotifOrder
{
    private static readonly (string Habit, string[] Roles, string Because, string Source)[] Schools =
    [
        ("greens-first", ["stem", "outline", "leaf", "vein", "petal", "centre", "dot"], "Greens come first, for petals lie over them.",
            "common practice"),
        ("petals-first", ["petal", "centre", "outline", "stem", "leaf", "vein", "dot"],
            "By your habit petals come first, and greens are fitted round them.", "common practice"),
        ("centre-first", ["centre", "petal", "outline", "stem", "leaf", "vein", "dot"],
            "By your habit the centre comes first, and petals close round it.", "common practice"),
    ];

    /// <summary>
    /// The order of work of letters and parts, by their places in <paramref name="letters"/>: placing by placing, words as they stand. A
    /// plant at a time by the habits; else a thread at a time over all that lies in one placing, so that the needle is threaded as seldom
    /// as
    /// can be. <paramref name="matters"/> says of two elements whether the one that stands first must come first.
    /// </summary>
    public static WorkOrder Of(IReadOnlyList<WorkedLetter> letters, string first, string round, bool overFirst, Func<int, int> placingOf,
        Func<string, string, bool> matters, Budget? budget = null)
    {
        var roles = Schools.First(s => s.Habit == first).Roles;
        var elements = letters.Select(l => l.Element.Id).Distinct(StringComparer.Ordinal).ToArray();
        if (round == "plant-by-plant" || letters.All(l => !l.Element.IsMotif))
        {
            var plants = elements.SelectMany(e => Enumerable.Range(0, letters.Count).Where(i => letters[i].Element.Id == e) is var of
                && letters[of.First()].Element.IsMotif ? of.OrderBy(i => Main(i).Copy).ThenBy(Layer).ThenBy(Rank).ThenBy(i => i) : of);
            return new WorkOrder([.. plants], 0, 0);
        }

        var order = new List<int>(letters.Count);
        var (count, bound, on) = (0, 0, (string?)null);
        foreach (var placing in Enumerable.Range(0, letters.Count).GroupBy(placingOf).OrderBy(g => g.Key))
        {
            var (nodes, of) = Nodes([.. placing]);
            var (found, set, least) = ThreadChangeOrder.Fewest(nodes, on, budget);
            (count, bound) = (count + set, bound + least);
            for (var from = 0; from < found.Count;)
            {
                var to = from + 1;
                while (to < found.Count && nodes[found[to]].Thread == nodes[found[from]].Thread)
                {
                    to++;
                }

                order.AddRange(Nearest([.. found.Skip(from).Take(to - from)], nodes, of, order.Count > 0 ? Middle(order[^1]) : null));
                from = to;
            }

            on = nodes[found[^1]].Thread;
        }

        return new WorkOrder(order, count, bound);

        // What is drawn in layers goes by them, whatever is liked first.
        int Layer(int i) => overFirst ? -Main(i).Layer : Main(i).Layer;
        Part Main(int i) => letters[i].Parts[0];
        // Dark before light, so that no dark fluff is drawn through light stitches (common practice).
        double Lightness(int i) => Math.Round(Materials.Colour.Parse(Main(i).Colour).ToLab().L);
        string Thread(int i) => Main(i).Thread.Id;
        int Rank(int i) => Array.IndexOf(roles, Designs.Roles.Kind(Main(i).Role)) is >= 0 and var at ? at : 1;
        Pt Middle(int i) => letters[i].Parts[0].Stitches is { Count: > 0 } s ? s[0].FromMm : default;

        // Of a motif what is of one layer and thread; of words what follows each other in one thread.
        (List<SetUpNode> Nodes, List<int[]> Of) Nodes(int[] all)
        {
            var (nodes, of, belongs) = (new List<SetUpNode>(), new List<int[]>(), new List<(string Element, int Layer)>());
            foreach (var element in all.GroupBy(i => letters[i].Element.Id, StringComparer.Ordinal))
            {
                var motif = letters[element.First()].Element.IsMotif;
                var runs = 0;
                var groups = motif ? element.GroupBy(i => (Layer(i), Thread(i)))
                    : element.Select((i, n) => (i, Run: n > 0 && Thread(i) == Thread(element.ElementAt(n - 1)) ? runs : ++runs))
                        .GroupBy(w => (w.Run, Thread(w.i)), w => w.i);
                foreach (var group in groups.OrderBy(g => g.Key.Item1))
                {
                    var before = Enumerable.Range(0, nodes.Count)
                        .Where(n => belongs[n].Element == element.Key ? belongs[n].Layer < group.Key.Item1
                        : matters(belongs[n].Element, element.Key)).ToArray();
                    nodes.Add(new SetUpNode(group.Key.Item2, motif ? (100 * group.Min(Rank)) + (Lightness(group.First()) / 2)
                        : WordsRank(element.Key), before));
                    of.Add([.. group.OrderBy(i => Main(i).Copy).ThenBy(i => motif ? Rank(i) : 0).ThenBy(i => i)]);
                    belongs.Add((element.Key, group.Key.Item1));
                }
            }

            return (nodes, of);
        }

        // Words come where they stand: before all motifs or after them.
        double WordsRank(string element) => Array.IndexOf(elements, element) is var at && elements.Skip(at)
            .All(e => letters.First(l => l.Element.Id == e).Element is var el
            && (el.Id == element || !el.IsMotif)) ? 10_000 : -1000 + at;

        // With one thread from plant to plant by the nearest way, as long as none must wait for another.
        IEnumerable<int> Nearest(int[] stretch, List<SetUpNode> nodes, List<int[]> of, Pt? from)
        {
            if (stretch.Any(n => nodes[n].After.Intersect(stretch).Any()) || stretch.Any(n => !letters[of[n][0]].Element.IsMotif))
            {
                return stretch.SelectMany(n => of[n]);
            }

            var each = stretch.SelectMany(n => of[n]).GroupBy(i => (letters[i].Element.Id, Main(i).Copy)).ToArray();
            if (each.Length == 1)
            {
                return each[0].OrderBy(Rank).ThenBy(i => i);
            }

            var plants = each.Select(g => (Of: g.OrderBy(Rank).ThenBy(i => i).ToArray(),
                At: Circle.Round([.. g.SelectMany(i => letters[i].Parts).SelectMany(p => p.LineMm).DefaultIfEmpty()]).Centre)).ToArray();
            return ShortWay.Through([.. plants.Select(p => p.At)], from).SelectMany(p => plants[p].Of);
        }
    }

    /// <summary>Why in this order, for the motifs of a piece.</summary>
    public static IReadOnlyList<Told> Because(IReadOnlyList<WorkedLetter> letters, string first, string round, WorkOrder order,
        int placings)
    {
        var motifs = letters.Where(l => l.Element.IsMotif).ToArray();
        if (motifs.Length == 0)
        {
            return [];
        }

        var told = new List<Told>();
        var roles = motifs.Select(l => l.Parts[0].Role).ToHashSet(StringComparer.Ordinal);
        roles.UnionWith([.. roles.Select(Designs.Roles.Kind)]);
        if ((roles.Contains("petal") || roles.Contains("centre"))
            && (first == "centre-first" || roles.Contains("stem") || roles.Contains("leaf")))
        {
            told.Add(Schools.First(s => s.Habit == first).Because);
        }

        if (motifs.GroupBy(l => l.Element.Id, StringComparer.Ordinal).Any(e => e.Select(l => l.Parts[0].Copy).Distinct().Count() > 1))
        {
            told.Add(round == "plant-by-plant" ? "By your habit each copy is finished before the next is begun."
                : "All copies are worked a colour at a time, so that the needle is threaded less often.");
        }

        if (told.Count == 0)
        {
            told.Add("Each part is worked as it is drawn, what lies under before what lies over it.");
        }

        if (order.SetUps > 1)
        {
            told.Add($"The needle is threaded with another thread {Say.Count(order.SetUps, "time")}{(placings > 1 ? ", hoop position by hoop position" : string.Empty)}: "
                + $"{(order.SetUps == order.Bound ? "fewer cannot be" : $"fewer than {order.Bound} cannot be")}.");
        }

        return told;
    }
}
