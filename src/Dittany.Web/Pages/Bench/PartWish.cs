using System.Globalization;
using Dittany.Core.Planning;

namespace Dittany.Web.Pages.Bench;

/// <summary>What the form of a part sends: blanks leave it to the plan. A direction counts only where it is said to be hers.</summary>
public sealed record PartWish(string? Element, string? Role, string? Stitch, int? Strands, string? Colour, string? Colour2, string? Colour3,
    int? Copy, bool Directed, double? Direction)
{
    public PartAsked Asked()
    {
        static string? Given(string? value) => string.IsNullOrWhiteSpace(value) ? null : value.Trim();
        var further = new[] { Given(Colour2), Given(Colour3) }.OfType<string>().ToArray();
        return new PartAsked(Role ?? string.Empty, Copy, Given(Stitch), Strands, Given(Colour), Directed ? Direction : null)
        {
            Colours = further.Length > 0 && Given(Colour) is { } first ? [first, .. further] : [],
        };
    }
}

/// <summary>Which letters of which element a form means: the element, then their places in the text.</summary>
public static class LetterWish
{
    public static string Write(LetterTold letter) =>
        $"{letter.Element}/{string.Join('-', letter.Indices.Select(i => i.ToString(CultureInfo.InvariantCulture)))}";

    public static (string Element, IReadOnlyList<int> Indices) Read(string? value)
    {
        var at = value?.LastIndexOf('/') ?? -1;
        return at < 0 ? (string.Empty, []) : (value![..at], value[(at + 1)..].Split('-').Select(n =>
            int.TryParse(n, NumberStyles.None, CultureInfo.InvariantCulture, out var i) ? i : -1).Where(i => i >= 0).ToArray());
    }
}
