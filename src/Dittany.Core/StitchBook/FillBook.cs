using Dittany.Core.Designs;
using Dittany.Core.Measures;
using Dittany.Core.Stitches;
using Dittany.Core.Stitches.InAreas;

namespace Dittany.Core.StitchBook;

/// <summary>Which fill, and why; null where the area is better worked along its edge, with the reason.</summary>
public sealed record FillAdvice(AreaStitch? Fill, Told Because);

/// <summary>What fills an area: by what it is, how wide it is, how far threads may lie free, and what the cloth bears.</summary>
public static class FillBook
{
    /// <summary>What each role is filled with, the best first, and why that role wants it (common practice).</summary>
    private static readonly (string Role, string[] Fills, string Because)[] ByRole =
    [
        ("leaf", ["fishbone", "satin", "long-and-short", "fly"], "A leaf wants its vein."),
        ("petal", ["satin", "detached-chain", "long-and-short"], "A petal wants to shine from its foot to its tip."),
        ("feather", ["fishbone", "satin", "long-and-short"], "A feather wants its quill."),
        ("centre", ["french-knot", "satin", "seed"], "A centre stands up from its petals."),
        ("berry", ["padded-satin", "satin", "french-knot"], "A berry is round, and stands up."),
        ("button", ["padded-satin", "satin", "brick"], "A button stands up."),
        ("body", ["long-and-short", "brick", "chain-rows"], "What is alive wants threads that follow it."),
        ("letter", ["turning-satin", "satin", "chain-rows", "brick"], "Letters are read by a smooth, even surface."),
    ];

    private static readonly string[] Others = ["satin", "long-and-short", "brick", "chain-rows"];

    /// <summary>
    /// The fill for an area of this role. A knit takes none that is long and dense: satin puckers it, so its pieces stay short (common
    /// practice).
    /// </summary>
    public static FillAdvice For(string role, Area area, SewingBy by, bool knit)
    {
        var row = ByRole.FirstOrDefault(r => r.Role == Roles.Kind(role));
        var wished = row.Fills ?? Others;
        string? against = null;
        foreach (var fill in wished.Concat(Others).Distinct(StringComparer.Ordinal).Select(id => Book.Fill(id)!))
        {
            if (knit && PuckersKnits.Contains(fill.Info.Id, StringComparer.Ordinal))
            {
                against ??= $"{Say.Upper(fill.Info.Name)} puckers a knit.";
                continue;
            }

            var fits = fill.Fills(area, by);
            if (fits.Fits)
            {
                return new FillAdvice(fill, against is null ? (Told)$"{row.Because ?? "It is an area."} {fill.Because}"
                    : (Told)$"{against} {fill.Because}");
            }

            against ??= $"{Say.Upper(fill.Info.Name)} will not do here: {Say.Lower(fits.Why!)}";
        }

        return new FillAdvice(null, against ?? (Told)"Nothing fills it well.");
    }

    private static readonly string[] PuckersKnits = ["satin", "turning-satin", "lattice"];
}
