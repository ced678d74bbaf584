using System.Globalization;

namespace Dittany.Core.Planning;

/// <summary>
/// Names for the parts of an element that stay when another element is added, moved or taken out: of words by letter and stroke (<c>name/letter-0/stroke-1</c>), of motifs by which copy, role and
/// place among its like (<c>sprig/copy-0/leaf-3</c>).
/// </summary>
internal static class PartIds
{
    /// <summary>The same parts in the same order, each with its name.</summary>
    public static IReadOnlyList<Part> Named(string element, IReadOnlyList<Part> parts)
    {
        var letters = parts.Where(OfWords).Select(p => p.LetterIndex).Distinct().Select((letter, i) => (letter, i)).ToDictionary(l => l.letter, l => l.i);
        var seen = new Dictionary<string, int>(StringComparer.Ordinal);
        return parts.Select(part =>
        {
            var group = OfWords(part)
                ? string.Create(CultureInfo.InvariantCulture, $"{element}/letter-{letters[part.LetterIndex]}/stroke-")
                : string.Create(CultureInfo.InvariantCulture, $"{element}/{(part.Copy < 0 ? "joined" : $"copy-{part.Copy}")}/{part.Role}-");
            var number = seen.GetValueOrDefault(group);
            seen[group] = number + 1;
            return part with { Id = string.Create(CultureInfo.InvariantCulture, $"{group}{number}") };
        }).ToArray();
    }

    /// <summary>A part of a motif is called by its role.</summary>
    private static bool OfWords(Part part) => part.Letter != part.Role;
}
