namespace Dittany.Core.Materials;

/// <summary>A sheet of paper, upright where nothing else is said.</summary>
public sealed record Paper(string Id, string Name, double WidthMm, double HeightMm, string Source)
{
    /// <summary>The same sheet lying across.</summary>
    public Paper Across => this with { WidthMm = HeightMm, HeightMm = WidthMm };
}

/// <summary>Paper a template can be printed on.</summary>
public static class Papers
{
    public static Paper A4 { get; } = new("a4", "A4", 210, 297, "ISO 216");

    public static Paper Letter { get; } = new("letter", "Letter", 215.9, 279.4, "ANSI/ASME Y14.1");

    public static IReadOnlyList<Paper> All { get; } = [A4, Letter];

    public static Paper? Find(string id) => All.FirstOrDefault(p => string.Equals(p.Id, id, StringComparison.Ordinal));
}
