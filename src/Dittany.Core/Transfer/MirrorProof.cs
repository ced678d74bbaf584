namespace Dittany.Core.Transfer;

/// <summary>One thing done with a design on its way to the face of the cloth. Turning ones make left right.</summary>
public enum Handling
{
    PrintOrDraw,
    LayFaceUpUnderCloth,
    LayFaceUpOnCloth,
    TraceThrough,
    LayFaceDownOnCloth,
    LayOnWrongSide,
    LookFromOtherSide,
    Iron,
    TackThrough,
    Stitch,
    TurnPieceOver,
    FoldOver,
}

/// <summary>
/// The mirror proof: a method is a chain of handlings, and words must read right on the front. Whether to print mirrored is derived from
/// the chain, never stored.
/// </summary>
public static class MirrorProof
{
    /// <summary>Whether this handling turns the design over, left for right.</summary>
    public static bool Turns(Handling handling) =>
        handling is Handling.LayFaceDownOnCloth or Handling.LayOnWrongSide or Handling.LookFromOtherSide || TurnsUp(handling);

    /// <summary>Whether this handling puts the top at the bottom as well.</summary>
    public static bool TurnsUp(Handling handling) => handling is Handling.TurnPieceOver or Handling.FoldOver;

    /// <summary>
    /// What is done to a part that was stitched flat and is folded over when worn: the piece is turned over, and the part folded down.
    /// </summary>
    public static IReadOnlyList<Handling> Folding { get; } = [Handling.TurnPieceOver, Handling.FoldOver];

    /// <summary>Whether words end upside down after the chain.</summary>
    public static bool UpsideDown(IEnumerable<Handling> chain) => chain.Count(TurnsUp) % 2 == 1;

    /// <summary>
    /// Whether the design must be put on paper mirrored so that it reads right on the front: when it is turned an odd number of times.
    /// </summary>
    public static bool PrintMirrored(IEnumerable<Handling> chain) => chain.Count(Turns) % 2 == 1;

    /// <summary>Whether words that were put on paper mirrored, or not, read right on the front after the chain.</summary>
    public static bool ReadsRight(IEnumerable<Handling> chain, bool printedMirrored) => PrintMirrored(chain) == printedMirrored;

    /// <summary>The chain in words, turning steps named as such.</summary>
    public static string Tell(IReadOnlyList<Handling> chain) =>
        string.Join(", ", chain.Select(h => h switch
        {
            Handling.PrintOrDraw => "put on paper",
            Handling.LayFaceUpUnderCloth => "laid face up under the cloth",
            Handling.LayFaceUpOnCloth => "laid face up on the cloth",
            Handling.TraceThrough => "traced",
            Handling.LayFaceDownOnCloth => "laid face down (turned)",
            Handling.LayOnWrongSide => "laid on the wrong side (turned)",
            Handling.LookFromOtherSide => "seen from the other side (turned)",
            Handling.Iron => "ironed",
            Handling.TackThrough => "tacked through",
            Handling.TurnPieceOver => "the piece turned over (turned)",
            Handling.FoldOver => "the part folded down (turned)",
            _ => "stitched",
        }));
}
