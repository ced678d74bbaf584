using System.Globalization;
using Dittany.Core.Materials;
using Dittany.Core.Sayings;

namespace Dittany.Core.Tests.Sayings;

/// <summary>What was understood, written out as a line of members in ordinal order: what a person can read and compare.</summary>
internal static class Told
{
    /// <summary>What is asked of what was said; that there is no item or nothing to stitch yet is no question of its words.</summary>
    public static IReadOnlyList<Question> Asked(Heard heard) => heard.Asked.Where(q => !q.Asks.StartsWith("What does it go on", StringComparison.Ordinal)
        && !q.Asks.StartsWith("What is to go on", StringComparison.Ordinal)).ToArray();

    /// <summary><paramref name="asks"/> is a piece of the question that is expected; null where none is.</summary>
    public static string Of(Heard heard, string? asks)
    {
        var first = heard.Elements.Count > 0 ? heard.Elements[0] : null;
        var asked = Asked(heard);
        (string Member, string? Value)[] told =
        [
            ("words", first?.Text), ("form", heard.Form), ("size", heard.Size), ("zone", first?.Zone), ("colour", heard.ClothColour), ("cloth", heard.Cloth), ("stitch", first?.Stitch),
            ("day", heard.DueOn?.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)), ("thread", first?.Colour is { } hex ? Palette.NameOf(hex) : null), ("motif", first?.Motif ?? first?.Beside), ("at", first?.BesidePlace), ("count", N(first?.Count)), ("way", first?.Arrangement),
            ("also", heard.Elements.Count < 2 ? null : string.Join("; ", heard.Elements.Skip(1).Select(e => $"{e.Text ?? (e.Count is { } n ? $"{n} " : string.Empty) + e.Motif}{(e.Zone == first?.Zone ? string.Empty : $" at {e.Zone}")}"))),
            ("wide", first?.WidthMm?.ToString(CultureInfo.InvariantCulture)), ("high", first?.HeightMm?.ToString(CultureInfo.InvariantCulture)), ("kind", first?.Thread), ("for", heard.Whom), ("fill", first?.Fill), ("craft", first?.Craft), ("sewn", heard.Unsewn ? "no" : null),
            ("strands", N(first?.Strands)), ("style", first?.Style), ("rows", N(first?.Rows)), ("hand", heard.Hand), ("several", first?.Several == true ? "yes" : null), ("grows", first?.Growing == true ? "yes" : null), ("turn", first?.TurnDegrees?.ToString(CultureInfo.InvariantCulture)), ("petals", N(first?.PartCount)),
            ("parts", first?.Parts.Count > 0 ? string.Join(", ", first.Parts.Select(p => $"{p.Role} {p.Stitch ?? (p.Colour is { } c ? Palette.NameOf(c) : p.Thread)}{(p.Strands is { } s ? $" {s}" : string.Empty)}")) : null),
            ("choice", heard.Overrides.Count == 0 ? null : string.Join(", ", heard.Overrides.Select(o => $"{o.Key} {o.Choice}"))),
            ("makeup", heard.MakeUp is { } m ? string.Create(CultureInfo.InvariantCulture, $"{m.As}{(m.BowlMm is { } b ? $" {b}" : string.Empty)}{(m.OpeningWideMm is { } w ? $" {w}x{m.OpeningHighMm}" : string.Empty)}") : null),
            ("asks", asks is not null && asked.Any(q => q.Asks.Contains(asks, StringComparison.Ordinal)) ? asks : asked.Count > 0 ? asked[0].Asks : null),
        ];
        return string.Join(" | ", told.Where(t => t.Value is not null).Select(t => $"{t.Member}={t.Value}").Order(StringComparer.Ordinal));
    }

    private static string? N(int? number) => number?.ToString(CultureInfo.InvariantCulture);
}
