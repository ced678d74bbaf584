using Dittany.Core.Decisions;

namespace Dittany.Core.Jobs;

/// <summary>Whether the letters of a word are made alike.</summary>
public static class LetterTextures
{
    public const string Alike = "alike";

    public const string Varied = "varied";

    public static IReadOnlyList<Choice> Choices { get; } = [new(Alike, "All letters alike"),
        new(Varied, "A texture of its own for each letter")];
}
