using Dittany.Core.Measures;

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

    /// <summary>The needle for a thread on cloth of middling weight.</summary>
    public static Needle Usual(ThreadSize size) => Chenille(size) ? Find("chenille-22").Sure() : Find($"crewel-{Row(size).Medium}").Sure();

    /// <summary>
    /// What is folded, and what frays or is bulky at the eye, wants a long one and a sharp point (from memory): a thread that is twisted
    /// hard or soft and thick does not flatten in the eye as strands do.
    /// </summary>
    private static bool Chenille(ThreadSize size) =>
        size.ByStrands ? Bundle.Folded(size.Ply) : size.Kind.Frays || size.WidthMm >= 0.8;

    /// <summary>Wool from here on is crewel wool, mm.</summary>
    private const double ThickWoolMm = 0.7;

    /// <summary>
    /// By the folded-thread test a cord that does not part counts as the next thicker bundle: it does not flatten (from memory). Crewel
    /// wool
    /// of 0.75 mm takes a 3 or 4 (common practice): its hairs want room in the eye.
    /// </summary>
    private static (int Strands, int Fine, int Medium, int Heavy) Row(ThreadSize size)
    {
        if (size.Kind.Wool && size.WidthMm >= ThickWoolMm)
        {
            return (1, 4, 4, 3);
        }

        var strands = size.ByStrands ? size.Ply : size.InStrands + 1;
        return Sizes.First(s => strands <= s.Strands || s.Strands == 6);
    }

    /// <summary>One size finer or larger; the last of the row stays itself.</summary>
    public static Needle Beside(Needle needle, bool finer)
    {
        var at = All.ToList().IndexOf(needle);
        var to = at + (finer ? 1 : -1);
        return needle.Id.StartsWith("crewel", StringComparison.Ordinal) && to >= 0 && to < All.Count
            && All[to].Id.StartsWith("crewel", StringComparison.Ordinal) ? All[to] : needle;
    }

    /// <summary>
    /// The needle whose eye takes the thread and whose shaft opens this cloth enough. Six strands on canvas take a chenille 22, and so does
    /// whatever is folded (from memory).
    /// </summary>
    public static Needle For(ThreadSize size, Cloth cloth)
    {
        if (Chenille(size) || (size.InStrands >= 6 && string.Equals(cloth.Kind.Id, "canvas", StringComparison.Ordinal)))
        {
            return Find("chenille-22").Sure();
        }

        var row = Row(size);
        return Find($"crewel-{cloth.Weight switch { ClothWeight.Fine => row.Fine, ClothWeight.Medium => row.Medium, _ => row.Heavy }}").Sure();
    }
}
