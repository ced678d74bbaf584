namespace Dittany.Core.Decisions;

/// <summary>
/// What is put on a thing as a maker calls it, for sentences: words have letters and capitals, a motif is one thing with parts.
/// <paramref name="All"/> is all of it with its article, <paramref name="Many"/> that several are spoken of; <paramref name="One"/> and
/// <paramref name="Parts"/> are what it is made of.
/// </summary>
public sealed record Called(string All, bool Many, string One, string Parts)
{
    public static Called Words { get; } = new("the words", true, "letter", "letters");

    /// <summary>Motifs alone: one by its name, several together.</summary>
    public static Called Motifs(IReadOnlyList<string> names) => names.Distinct(StringComparer.Ordinal).ToArray() is [var name]
        ? new($"the {name}", false, "part", "parts") : new("the motifs", true, "part", "parts");

    /// <summary>Words with motifs beside them.</summary>
    public static Called Both { get; } = new("the design", false, "part", "parts");

    public bool AreWords => this == Words;

    /// <summary>At the beginning of a sentence.</summary>
    public string Upper => Measures.Say.Upper(All);

    /// <summary>What it does: the words stand, the daisy stands.</summary>
    public string Do(string verb) => Many ? verb : verb == "go" ? "goes" : $"{verb}s";

    /// <summary>So high a one: capitals of 10 mm, drawings of 12 mm.</summary>
    public Measures.Told OfHeight(double mm) => AreWords ? (Measures.Told)$"capitals of {Measures.Say.Length(mm)}"
        : (Measures.Told)$"drawings of {Measures.Say.Length(mm)}";
}
