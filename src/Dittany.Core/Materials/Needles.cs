namespace Dittany.Core.Materials;

/// <summary>A needle by its usual name.</summary>
public sealed record Needle(string Id, string Name);

/// <summary>Crewel needles, sizes 3 (thick) to 10 (fine).</summary>
public static class Needles
{
    /// <summary>Crewel size by strands for fine, medium and heavy cloth (common practice). Five strands go with six.</summary>
    private static readonly (int Strands, int Fine, int Medium, int Heavy)[] Sizes =
        [(1, 10, 9, 9), (2, 9, 8, 7), (3, 8, 7, 6), (4, 7, 6, 5), (6, 5, 4, 3)];

    public static IReadOnlyList<Needle> All { get; } =
        Enumerable.Range(3, 8).Select(size => new Needle($"crewel-{size}", $"crewel {size}")).Append(
            new Needle("chenille-22", "chenille 22")).ToArray();

    public static Needle? Find(string id) => All.FirstOrDefault(n => string.Equals(n.Id, id, StringComparison.Ordinal));

    /// <summary>The needle for so many strands on cloth of middling weight.</summary>
    public static Needle Usual(int strands) => Bundle.Folded(strands) ? Find("chenille-22")!
        : Find($"crewel-{Sizes.First(s => strands <= s.Strands || s.Strands == 6).Medium}")!;

    /// <summary>One size finer or larger; the last of the row stays itself.</summary>
    public static Needle Beside(Needle needle, bool finer)
    {
        var at = All.ToList().IndexOf(needle);
        var to = at + (finer ? 1 : -1);
        return needle.Id.StartsWith("crewel", StringComparison.Ordinal) && to >= 0 && to < All.Count
            && All[to].Id.StartsWith("crewel", StringComparison.Ordinal) ? All[to] : needle;
    }

    /// <summary>
    /// The needle whose eye takes the bundle and whose shaft opens this cloth enough. Six strands on canvas take a chenille 22, and so does
    /// whatever is folded (from memory).
    /// </summary>
    public static Needle For(int strands, Cloth cloth)
    {
        if (Bundle.Folded(strands))
        {
            return Find("chenille-22")!;
        }

        if (strands >= 6 && string.Equals(cloth.Kind.Id, "canvas", StringComparison.Ordinal))
        {
            return Find("chenille-22")!;
        }

        var row = Sizes.First(s => strands <= s.Strands || s.Strands == 6);
        var size = cloth.Weight switch { ClothWeight.Fine => row.Fine, ClothWeight.Medium => row.Medium, _ => row.Heavy };
        return Find($"crewel-{size}")!;
    }
}
