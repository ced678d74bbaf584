namespace Dittany.Core.Motifs;

/// <summary>The motifs that can be drawn. None yet: a job that names one is refused by that name, never given something else.</summary>
public static class MotifLibrary
{
    public static IReadOnlyList<string> Ids { get; } = [];

    /// <summary>What to tell someone who names a motif that cannot be drawn.</summary>
    public static (string Detail, string Try) Refusal(string motif) =>
        ($"The motif '{motif}' cannot be drawn yet: motifs are not in this version.", "Leave this element out, or write words instead with \"kind\": \"text\".");
}
