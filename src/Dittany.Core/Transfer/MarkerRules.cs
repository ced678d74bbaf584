using Dittany.Core.Materials;
using Dittany.Core.Measures;

namespace Dittany.Core.Transfer;

/// <summary>Named rules on what a marker must not be used for.</summary>
public static class MarkerRules
{
    /// <summary>Threads paler than this are greyed by graphite (from memory).</summary>
    public const double PaleL = 80;

    /// <summary>A stitched line under this does not cover a permanent pen's (from memory).</summary>
    public const double CoversMm = 0.5;

    private static readonly (string Name, Func<Ink, Method, TransferFacts, bool> When, Func<Ink, Method, TransferFacts, Told> Because,
        string Source)[] Rules =
    [
        ("does not show on dark", (i, m, f) => OnCloth(m) && f.Cloth.Dark && !i.ShowsOnDark, (_, _, _) =>
            "Its line does not show on dark cloth.", "common practice"),
        ("does not show on light", (i, m, f) => OnCloth(m) && !f.Cloth.Dark && !i.ShowsOnLight, (_, _, _) =>
            "Its line does not show on light cloth.", "common practice"),
        ("water on what must not be wet", (i, m, f) => OnCloth(m) && i.GoesBy is GoesBy.ColdWater or GoesBy.AirOrWater && !f.Soakable,
            (_, _, f) => $"It must be washed out, and {f.Dry} must not be soaked.",
            "common practice"),
        ("heat on what is stuffed", (i, m, f) => OnCloth(m) && i.GoesBy == GoesBy.Heat && f.Stuffed, (_, _, _) =>
            "It goes by the iron, and what is stuffed is not pressed.", "common practice"),
        ("heat ink on a keepsake", (i, m, f) => OnCloth(m) && i.GoesBy == GoesBy.Heat && f.Keepsake, (_, _, _) =>
            "Its line can come back in the cold, years later: what is kept for good takes a pencil.", "common practice"),
        ("heat on what bears none", (i, m, f) => OnCloth(m) && i.GoesBy == GoesBy.Heat && f.Cloth.MaxIron == IronLimit.None, (_, _, _) =>
            "It goes by the iron, and the cloth takes none.", "common practice"),
        ("heat where there is no iron", (i, m, f) => OnCloth(m) && i.GoesBy == GoesBy.Heat && !f.Has("iron"), (_, _, _) =>
            "It goes by the iron, and there is none.", "common practice"),
        ("fades before the work is done", (i, _, f) => i.LastsHours < f.StitchingHours, (i, _, f) =>
            $"It lasts about {Say.Number(i.LastsHours, 0)} h, and the stitching takes {Say.Number(f.StitchingHours)} h.", "from memory"),
        ("air fades in a sitting", (i, _, f) => i.GoesBy == GoesBy.AirOrWater && i.LastsHours >= f.StitchingHours && f.StitchingHours > 1,
            (_, _, f) => $"It is good for one sitting, and the stitching takes {Say.Number(f.StitchingHours)} h.", "from memory"),
        ("graphite greys pale thread", (i, m, f) => OnCloth(m) && i.Id == "pencil" && f.PalestThreadL > PaleL, (_, _, _) =>
            "Graphite rubs off and greys pale thread.", "common practice"),
        ("permanent line uncovered", (i, m, f) => (i.Id == "pigment-pen" || (i.Id == "pencil" && OnCloth(m))) && f.LineWidthMm < CoversMm, (_, _, f) =>
            (Told)$"It stays for good, and a stitched line of {Say.Length(f.LineWidthMm)} does not cover it.", "from memory"),
    ];

    /// <summary>Whether the method leaves its marker's line on the cloth itself.</summary>
    public static bool OnCloth(Method method) => method.Id is not ("film-traced" or "stick-on-sheet" or "tissue" or "tacked-from-back");

    /// <summary>Why a marker will not do with this method on this cloth; empty where it will.</summary>
    public static IReadOnlyList<Told> Against(Ink ink, Method method, TransferFacts facts)
    {
        if (!method.Markers.Contains(ink.Id, StringComparer.Ordinal))
        {
            return [ink.Id switch
            {
                "none" => "The line has to be drawn with something.",
                "water-erasable" when method.Stabiliser == "film-on-top" => "Its wet tip eats the film.",
                "transfer-pencil" => "It is made for the iron: here it would be one more turn, and mirrored.",
                _ => $"{method.Name} does not take {ink.Name}.",
            }];
        }

        return Rules.Where(r => r.When(ink, method, facts)).Select(r => r.Because(ink, method, facts)).ToArray();
    }
}
