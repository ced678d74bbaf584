using System.Globalization;
using Dittany.Core.Materials;
using Dittany.Core.Planning;

namespace Dittany.Core.Tests.Planning;

/// <summary>
/// Sayings of many kinds, kept as data, each with what it means: nothing is lettered that was meant as an item, size, part, stitch, colour
/// or addressee, and a slip of the pen is asked about.
/// </summary>
public class SayingsTests
{
    private static readonly DateOnly Monday = new(2027, 3, 1);

    public static TheoryData<string, string> Sayings()
    {
        var data = new TheoryData<string, string>();
        foreach (var line in File.ReadLines(Path.Combine(AppContext.BaseDirectory, "Planning", "Data", "sayings.txt")).Where(l =>
            l.Length > 0 && !l.StartsWith('#')))
        {
            var members = line.Split(" | ");
            data.Add(members[0], string.Join(" | ", members.Skip(1).Order(StringComparer.Ordinal)));
        }

        return data;
    }

    [Theory]
    [MemberData(nameof(Sayings))]
    public void A_saying_means_what_it_means(string said, string meant)
    {
        var heard = Asking.Of(said, Monday);
        var asks = meant.Split(" | ").FirstOrDefault(m => m.StartsWith("asks=", StringComparison.Ordinal))?["asks=".Length..];
        var told = new (string Member, string? Value)[]
        {
            ("words", heard.Words), ("form", heard.Form), ("size", heard.Size), ("zone", heard.Zone), ("colour", heard.Colour),
                ("cloth", heard.Cloth), ("stitch", heard.Stitch),
            ("day", heard.DueOn?.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)),
                ("thread", heard.Thread is { } hex ? Palette.NameOf(hex) : null), ("motif", heard.Motif),
            ("count", heard.MotifCount?.ToString(CultureInfo.InvariantCulture)), ("way", heard.Arrangement),
            ("also", heard.Elsewhere.Count == 0 ? null : string.Join("; ", heard.Elsewhere.Select(e => $"{e.Words ?? e.Motif} at {e.Zone}"))),
                ("wide", heard.WidthMm?.ToString(CultureInfo.InvariantCulture)),
                ("high", heard.CapHeightMm?.ToString(CultureInfo.InvariantCulture)),
            ("kind", heard.ThreadKindId), ("for", heard.For), ("fill", heard.Fill), ("craft", heard.Craft), ("sewn", heard.Unsewn ? "no" : null), ("odd", heard.NotUnderstood),
                ("asks", asks is not null && heard.Questions.Any(q => q.Contains(asks, StringComparison.Ordinal)) ? asks
                : heard.Questions is [var asked, ..] ? asked : null),
        };
        Assert.Equal(meant, string.Join(" | ", told.Where(t => t.Value is not null).Select(t =>
            $"{t.Member}={t.Value}").Order(StringComparer.Ordinal)));
    }

    [Fact]
    public void There_are_two_hundred_of_them() => Assert.True(Sayings().Count >= 200);
}
