using Dittany.Core.Designs;
using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Motifs;
using Dittany.Core.Words;

namespace Dittany.Core.Planning;

/// <summary>
/// What each part of a drawing is coloured, as long as she chose no colour for the whole: what it wears by its nature where that shows on
/// the cloth, else what comes nearest to it and does; stems and leaves in leaf green; all else in the main colour.
/// </summary>
internal sealed record MotifColours(string Main, string? Green, bool OutlinedVeins)
{
    private IReadOnlyDictionary<string, string> Worn { get; init; } = new Dictionary<string, string>(StringComparer.Ordinal);

    /// <summary>Why a part is not in the colour it would wear by nature.</summary>
    public IReadOnlyList<Told> Because { get; init; } = [];

    /// <summary>
    /// Colours of a drawing whose main colour is settled; <paramref name="chosen"/> says that it was she who chose it, and then all is in
    /// it. <paramref name="wears"/> are ids of the palette by role, several to choose from apart by blanks.
    /// </summary>
    public static MotifColours Of(IReadOnlyList<FigurePart> parts, string main, bool chosen, Cloth cloth,
        IReadOnlyDictionary<string, string>? wears = null, bool filled = false)
    {
        var green = chosen || parts.All(p => Roles.Kind(p.Role) is not ("leaf" or "stem")) || (parts.All(p => p.Role != "leaf") && wears is null)
            ? null : Legibility.Colours(cloth).Reading.FirstOrDefault(c => c.Id == "leaf")?.Hex;
        var inside = chosen || wears is null ? [] : Inside(parts);
        var neighbours = chosen || wears is null ? null : Neighbours.Of(parts);
        var (worn, because) = (new Dictionary<string, string>(StringComparer.Ordinal), new List<Told>());
        foreach (var role in chosen || wears is null ? [] : parts.Select(p => p.Role).Distinct(StringComparer.Ordinal))
        {
            if (wears.Sure().GetValueOrDefault(role) is { } ids)
            {
                var wished = ids.Split(' ').Select(Palette.Find).ToArray();
                // What lies wholly on another part is seen against that, not against the cloth.
                bool Seen(ThreadColour c) => (filled && inside.Contains(role)) || Shows(c, cloth, filled);

                // By nature some neighbours are of one colour; what only stands in for another must not run into them.
                string? Beside(ThreadColour c) => neighbours.Sure().Beside(role).FirstOrDefault(n => wears.Sure()
                    .GetValueOrDefault(n) != ids
                    && worn.TryGetValue(n, out var there) && !Neighbours.Apart(c.Hex, there));

                var lab = Colour.Parse(wished[0].Hex).ToLab();
                var settled = wished.Take(1).FirstOrDefault(Seen) ?? wished.FirstOrDefault(c => Seen(c) && Beside(c) is null)
                    ?? wished.FirstOrDefault(Seen) ?? Palette.Colours.Where(Seen).OrderBy(c => Beside(c) is null ? 0 : 1).ThenBy(c =>
                        ColourDifference.Ciede2000(lab, Colour.Parse(c.Hex).ToLab())).FirstOrDefault();
                worn[role] = settled?.Hex ?? main;
                if (!wished.Any(Seen))
                {
                    because.Add($"{Say.Upper(wished[0].Name)} for the {Roles.Called(role)} would be lost on this cloth.");
                }
                else if (wished.First(Seen) is { } passed && passed.Hex != settled.Sure().Hex)
                {
                    because.Add($"{Say.Upper(settled.Name)} for the {Roles.Called(role)}, as {passed.Name} would run into the "
                        + $"{Roles.Called(Beside(passed).Sure())} beside it.");
                }
            }
        }

        return new MotifColours(main, green == main ? null : green, parts.Any(p => p.Role == "outline"))
        {
            Worn = worn,
            Because = because,
        };
    }

    /// <summary>Roles whose parts all lie wholly on areas of lower layers; looked at in one copy.</summary>
    private static HashSet<string> Inside(IReadOnlyList<FigurePart> parts)
    {
        var one = parts.Where(p => p.Copy <= 0).ToArray();
        var areas = one.Where(p => p.Kind == FigureKind.Shape).Select(p => (p.Layer, Region: p.Covers())).ToArray();
        return one.GroupBy(p => p.Role, StringComparer.Ordinal).Where(role => role.All(p =>
            areas.Where(a => a.Layer < p.Layer).ToArray() is { Length: > 0 } under
                && Looked(areas.Length + ((long)under.Length * p.Line.Count))
            && p.Line.All(at => under.Any(a => a.Region.Holds(at))))).Select(role => role.Key).ToHashSet(StringComparer.Ordinal);
    }

    /// <summary>Spends what it takes to hold so many places against an area each.</summary>
    private static bool Looked(long places)
    {
        Budget.Current.Spend(5 * places);
        return true;
    }

    /// <summary>What is filled shows by its hue and sheen too, from this difference on, CIEDE2000 (from memory).</summary>
    private const double FilledFrom = 9;

    private static bool Shows(ThreadColour colour, Cloth cloth, bool filled) =>
        ColourDifference.Lightness(Colour.Parse(colour.Hex), cloth) >= Legibility.VanishesBelowL
        || (filled && ColourDifference.Ciede2000(Colour.Parse(colour.Hex).ToLab(), cloth.Colour.ToLab()) >= FilledFrom);

    /// <summary>The colour of a role.</summary>
    public string For(string role) => Worn.TryGetValue(role, out var own) ? own
        : Green is { } green && (Roles.Kind(role) is "stem" or "leaf" || (role == "vein" && !OutlinedVeins)) ? green : Main;
}
