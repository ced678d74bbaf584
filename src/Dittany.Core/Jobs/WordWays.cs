using Dittany.Core.Decisions;

namespace Dittany.Core.Jobs;

/// <summary>Ways words are laid out, and what may be wished of them.</summary>
public static class WordWays
{
    /// <summary>All ways, with what speaks for each.</summary>
    public static IReadOnlyList<(string Id, string Text, string Because)> All { get; } =
    [
        ("straight", "Straight", "Level words are read fastest and found again by one line."),
        ("spaced", "Spaced wide",
            "Letters stand a third of their height further apart: few letters fill a wide place, and thick thread keeps its gaps."),
        ("arc", "Along an arc", "The line stands up like a hill, or hangs like a bowl; each letter is turned with it."),
        ("ring", "Round a ring", "The words go round in a circle about their place."),
        ("slope", "On a slope", "The line rises from left to right."),
        ("corner", "Across the corner", "The words face the nearest corner, their line square to the way into it."),
        ("edge", "Along the edge", "The words follow the item's own edge at an even distance, letter by letter."),
        ("monogram", "As a monogram",
            "Up to three initials, the middle one of three larger: ask whose letter stands in the middle, families differ."),
    ];

    public static IReadOnlyList<Choice> Choices { get; } = All.Select(t => new Choice(t.Id, t.Text)).ToArray();

    public static IReadOnlyList<Choice> Readings { get; } = [new("outside", "Tops outward"), new("inside", "Tops inward")];

    /// <summary>Where a motif that goes with words may stand.</summary>
    public static IReadOnlyList<string> Places { get; } = ["before", "after", "above", "below", "between", "dot", "around"];
}
