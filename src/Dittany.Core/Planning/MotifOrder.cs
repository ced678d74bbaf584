using Dittany.Core.Measures;
using Dittany.Core.Telling;

namespace Dittany.Core.Planning;

/// <summary>
/// In which order the parts of a motif are worked, by two habits: what of a plant comes first, and whether its copies are worked colour by
/// colour or one after the other. What does not differ between schools stays as it is drawn: stems before their leaves, dots last.
/// </summary>
internal static class MotifOrder
{
    public static IReadOnlyList<Choice> Firsts { get; } =
        [new("greens-first", "Greens first, then petals, then centres"), new("petals-first", "Petals first, then centres, greens last"),
            new("centre-first", "Centres first, then petals, greens last")];

    public static IReadOnlyList<Choice> Rounds { get; } = [new("colour-by-colour", "A colour at a time, over all copies"),
        new("plant-by-plant", "A plant at a time, all its colours")];

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
    /// The order of work of letters and parts, by their places in <paramref name="letters"/>: words as they stand, each motif by the two
    /// habits.
    /// </summary>
    public static IReadOnlyList<int> Of(IReadOnlyList<WorkedLetter> letters, string first, string round, bool overFirst = false)
    {
        var roles = Schools.First(s => s.Habit == first).Roles;
        var order = new List<int>(letters.Count);
        foreach (var element in Enumerable.Range(0, letters.Count).GroupBy(i => letters[i].Element.Id, StringComparer.Ordinal))
        {
            if (!letters[element.First()].Element.IsMotif)
            {
                order.AddRange(element);
                continue;
            }

            var firstOf = element.GroupBy(Thread, StringComparer.Ordinal)
                .ToDictionary(g => g.Key, g => g.Min(Rank), StringComparer.Ordinal);
            var rounds = round == "plant-by-plant"
                ? element.OrderBy(i => Main(i).Copy).ThenBy(Layer)
                : element.OrderBy(Layer).ThenBy(i => firstOf[Thread(i)]).ThenBy(Lightness).ThenBy(Thread, StringComparer.Ordinal);
            order.AddRange(rounds.ThenBy(i => Main(i).Copy).ThenBy(Rank).ThenBy(i => i));
        }

        return order;

        // What is drawn in layers goes by them, whatever is liked first.
        int Layer(int i) => overFirst ? -Main(i).Layer : Main(i).Layer;
        Part Main(int i) => letters[i].Parts[0];
        // Dark before light, so that no dark fluff is drawn through light stitches (common practice).
        double Lightness(int i) => Math.Round(Materials.Colour.Parse(Main(i).Colour).ToLab().L);
        string Thread(int i) => Main(i).Thread.Id;
        int Rank(int i) => Array.IndexOf(roles, Designs.Roles.Kind(Main(i).Role)) is >= 0 and var at ? at : 1;
    }

    /// <summary>Why in this order, for the motifs of a piece.</summary>
    public static IReadOnlyList<Told> Because(IReadOnlyList<WorkedLetter> letters, string first, string round)
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

        return told.Count > 0 ? told : ["Each part is worked as it is drawn, what lies under before what lies over it."];
    }
}
