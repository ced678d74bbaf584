using Dittany.Core.Designs;
using Dittany.Core.Measures;
using Dittany.Core.Stitches;
using Dittany.Core.Stitches.InAreas;

namespace Dittany.Core.StitchBook;

/// <summary>
/// Which fill; null where the area is better worked along its edge. <paramref name="Wants"/> is what the part wants and
/// <paramref name="Against"/> why what it wants first is not taken; each null where there is nothing to say.
/// </summary>
public sealed record FillAdvice(AreaStitch? Fill, Told? Wants, Told? Against);

/// <summary>What a fill is chosen by, beside the area itself: the cloth, the hand, and how few evenings there are.</summary>
public sealed record FillFacts(bool Knit = false, bool Learner = false, bool Hurried = false);

/// <summary>
/// What fills an area: by what it is, how wide it is, how far threads may lie free, what the cloth bears, and who fills it when.
/// </summary>
public static class FillBook
{
    /// <summary>A skilled hand with two or three strands fills a square centimetre closely in so many minutes (from memory).</summary>
    public const double MinutesPerCm2 = 12;

    /// <summary>Where filling closely would take more than this share of the time there is, open fills are taken (from memory).</summary>
    public const double HurriedFrom = 0.6;

    /// <summary>
    /// What each role is filled with, the best first, and why that role wants it (common practice): closely, and openly where time is
    /// short.
    /// </summary>
    private static readonly (string Role, string[] Fills, string[] Open, string Because)[] ByRole =
    [
        ("leaf", ["fishbone", "satin", "long-and-short", "fly"], ["fly", "detached-chain"], "A leaf wants its vein."),
        ("petal", ["satin", "detached-chain", "long-and-short"], ["detached-chain", "graded-straights"],
            "A petal wants to shine from its foot to its tip."),
        ("feather", ["fishbone", "satin", "long-and-short"], ["fly"], "A feather wants its quill."),
        ("centre", ["french-knot", "satin", "seed"], ["eyelet", "seed"], "A centre stands up from its petals."),
        ("berry", ["padded-satin", "satin", "french-knot"], ["satin"], "A berry is round, and stands up."),
        ("button", ["padded-satin", "satin", "brick"], ["satin"], "A button stands up."),
        ("body", ["long-and-short", "brick", "chain-rows"], ["directional-straight", "seed"],
            "What is alive wants threads that follow it."),
        ("bow", ["turning-satin", "satin", "chain-rows"], ["blanket-rows"], "A bow of the rainbow wants threads that turn with it."),
        ("letter", ["turning-satin", "satin", "chain-rows", "brick"], ["rope", "turning-satin", "blanket-rows"],
            "Letters are read by a smooth, even surface."),
    ];

    private static readonly string[] Others = ["satin", "long-and-short", "brick", "chain-rows"];

    private static readonly string[] OthersOpen = ["seed", "blanket-rows", "directional-straight"];

    /// <summary>What a learner's hand takes instead: easier, and kinder to uneven ends (common practice).</summary>
    private static readonly (string Instead, string Takes)[] Easier = [("satin", "bordered-satin"), ("long-and-short", "brick")];

    /// <summary>Satin puckers a knit, so its pieces stay short there (common practice).</summary>
    private static readonly string[] PuckersKnits = ["satin", "bordered-satin", "padded-satin", "turning-satin", "lattice"];

    /// <summary>The fill for an area of this role.</summary>
    public static FillAdvice For(string role, Area area, SewingBy by, FillFacts facts)
    {
        var row = ByRole.FirstOrDefault(r => r.Role == Roles.Kind(role));
        string[] open = facts.Hurried ? [.. row.Open ?? [], .. OthersOpen] : [];
        var wished = open.Concat((row.Fills ?? []).Concat(Others).Select(id => facts.Learner
            && Easier.FirstOrDefault(e => e.Instead == id).Takes is { } easier ? easier : id)).Distinct(StringComparer.Ordinal);
        Told? against = null;
        foreach (var fill in wished.Select(id => Book.Fill(id).Sure()))
        {
            if (facts.Knit && PuckersKnits.Contains(fill.Info.Id, StringComparer.Ordinal))
            {
                against ??= $"{Say.Upper(fill.Info.Name)} puckers a knit.";
                continue;
            }

            var fits = fill.Fills(area, by);
            if (fits.Fits)
            {
                return new FillAdvice(fill, against is null && !open.Contains(fill.Info.Id, StringComparer.Ordinal) ? row.Because : null,
                    open.Contains(fill.Info.Id, StringComparer.Ordinal) ? null : against);
            }

            against ??= $"{Say.Upper(fill.Info.Name)} will not do for the {Roles.Called(role)}: {Say.Lower(fits.Why.Sure())}";
        }

        return new FillAdvice(null, null, against);
    }
}
