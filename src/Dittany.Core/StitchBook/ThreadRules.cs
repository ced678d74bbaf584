using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Stitches;

namespace Dittany.Core.StitchBook;

/// <summary>Stitches that a thread does not do, with why and what would do instead.</summary>
public sealed record StitchAgainst(string What, Func<ThreadKind, bool> Of, IReadOnlyList<string> Stitches, Told Because, string Cure,
    string Source);

/// <summary>Which thread goes with which stitch.</summary>
public static class ThreadRules
{
    /// <summary>What a thread cannot be stitched in.</summary>
    public static IReadOnlyList<StitchAgainst> Stitches { get; } =
    [
        new("parts", k => !k.Parts && !k.Wool, ["split", "split-back", "whipped-split", "laced-split"],
            "The needle comes up through the thread it just laid, and a cord does not part.",
            "Take backstitch, stem or chain.", "common practice"),
        new("frays", k => k.Frays, ["chain", "linked-chain-line", "heavy-chain", "whipped-chain", "interlaced-chain", "coral", "knotted-stem",
                "satin", "turning-satin", "bordered-satin", "padded-satin", "long-and-short", "chain-rows", "linked-chain",
                "rope", "rope-line", "tapering-stem"],
            "It goes through the cloth too often for a thread that frays at every hole.",
            "Take backstitch, whipped backstitch or couching.", "common practice"),
        new("wiry", k => k.Id == "strong", ["satin", "turning-satin", "bordered-satin", "padded-satin", "long-and-short"],
            "Strong thread is hard and wiry and does not lie close.", "Take backstitch, or cotton.", "from memory"),
    ];

    /// <summary>The threads that do not do a stitch, by name, with why; none where every thread does.</summary>
    public static IReadOnlyList<(IReadOnlyList<string> Threads, StitchAgainst Why)> NotIn(IStitch stitch) =>
        ThreadKinds.All.Select(k => (Kind: k, Why: Against(k, stitch))).Where(k => k.Why is not null).GroupBy(k => k.Why.Sure()).Select(g =>
            ((IReadOnlyList<string>)g.Select(k => k.Kind.Name).ToArray(), g.Key)).ToArray();

    /// <summary>Why this stitch is not worked in this thread, with what would do; null where it is.</summary>
    public static StitchAgainst? Against(ThreadKind thread, IStitch stitch) =>
        Stitches.FirstOrDefault(r => r.Of(thread) && r.Stitches.Contains(stitch.Id, StringComparer.Ordinal));
}
