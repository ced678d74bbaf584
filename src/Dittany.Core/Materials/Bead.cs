namespace Dittany.Core.Materials;

/// <summary>
/// A round bead or a sequin: across, its bore, both mm; what it weighs, g; and the needle that goes through its bore with one strand.
/// </summary>
public sealed record Bead(string Id, string Name, double AcrossMm, double BoreMm, double Grams, string Needle)
{
    /// <summary>
    /// Beads by size (from memory): a bore is about a third of a bead, and a third of that is taken by a strand going twice.
    /// </summary>
    public static IReadOnlyList<Bead> Sizes { get; } =
    [
        new("small", "small beads", 2, 0.7, 0.01, "a beading needle 10"),
        new("middle", "middling beads", 3, 1.0, 0.03, "a crewel needle 10"),
        new("large", "large beads", 4, 1.4, 0.07, "a crewel needle 9"),
    ];

    /// <summary>A flat round with a hole in its middle, held down by a small bead (from memory).</summary>
    public static Bead Sequin { get; } = new("sequin", "sequins", 5, 0.9, 0.008, "a beading needle 10");

    /// <summary>The bead for a design of this height, mm: small ones where it is small (from memory).</summary>
    public static Bead For(double highMm) => highMm < 50 ? Sizes[0] : highMm < 140 ? Sizes[1] : Sizes[2];
}
