namespace Dittany.Core.Transfer;

/// <summary>
/// A transfer method: the chain its mirror proof composes, the stabiliser it brings, and the markers it can take, best first. No chain for
/// freehand, where there is nothing to print.
/// </summary>
public sealed record Method(string Id, string Name, IReadOnlyList<Handling> Chain, string Stabiliser, IReadOnlyList<string> Markers);

/// <summary>The methods Dittany knows.</summary>
public static class Methods
{
    private static readonly string[] Pens = ["water-erasable", "heat-erasable", "air-erasable", "pencil", "pigment-pen"];

    public static IReadOnlyList<Method> All { get; } =
    [
        new("light-trace", "Trace over a light", [Handling.PrintOrDraw, Handling.LayFaceUpUnderCloth, Handling.TraceThrough], "none", Pens),
        new("thin-cloth-trace", "Fix the design behind and trace",
            [Handling.PrintOrDraw, Handling.LayFaceUpUnderCloth, Handling.TraceThrough], "none", Pens),
        new("film-traced", "Trace on water-soluble film, tack it on top",
            [Handling.PrintOrDraw, Handling.TraceThrough, Handling.LayFaceUpOnCloth, Handling.Stitch], "film-on-top",
            ["heat-erasable", "pigment-pen", "pencil"]),
        new("stick-on-sheet", "Print a stick-on wash-away sheet", [Handling.PrintOrDraw, Handling.LayFaceUpOnCloth, Handling.Stitch],
            "stick-on-sheet", ["none"]),
        new("hot-iron", "Hot-iron transfer", [Handling.PrintOrDraw, Handling.LayFaceDownOnCloth, Handling.Iron], "none",
            ["transfer-pencil"]),
        new("coated-paper", "Iron plastic-coated paper behind",
            [Handling.PrintOrDraw, Handling.LayOnWrongSide, Handling.Iron, Handling.TraceThrough], "coated-paper-behind", Pens),
        new("cut-out", "Draw round a cut-out paper shape", [Handling.PrintOrDraw, Handling.LayFaceUpOnCloth, Handling.TraceThrough],
            "none", ["chalk", "white-pencil", "water-erasable", "pigment-pen", "heat-erasable"]),
        new("carbon", "Dressmaker's carbon", [Handling.PrintOrDraw, Handling.LayFaceUpOnCloth, Handling.TraceThrough], "none", ["none"]),
        new("prick-and-pounce", "Prick and pounce", [Handling.PrintOrDraw, Handling.LayFaceUpOnCloth, Handling.TraceThrough], "none",
            ["chalk", "white-pencil", "pigment-pen"]),
        new("tissue", "Tissue paper, tacked and torn away",
            [Handling.PrintOrDraw, Handling.TraceThrough, Handling.LayFaceUpOnCloth, Handling.TackThrough], "none", ["pencil"]),
        new("tacked-from-back", "Draw on the wrong side and tack through",
            [Handling.PrintOrDraw, Handling.LayOnWrongSide, Handling.TackThrough], "none", ["pencil", "chalk"]),
        new("freehand", "Draw freehand", [], "none", [.. Pens, "chalk", "white-pencil"]),
    ];

    public static Method? Find(string id) => All.FirstOrDefault(m => m.Id == id);

    /// <summary>
    /// The chain with the marker in it. A transfer pencil draws on paper which is then laid face down and ironed: with any method but hot
    /// iron, which does so already, that is one more turn.
    /// </summary>
    public static IReadOnlyList<Handling> ChainWith(Method method, string marker) =>
        marker == "transfer-pencil" && method.Id != "hot-iron" && method.Chain.Count > 0
            ? [.. method.Chain, Handling.LayFaceDownOnCloth, Handling.Iron]
            : method.Chain;
}
