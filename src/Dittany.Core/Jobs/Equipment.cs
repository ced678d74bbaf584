namespace Dittany.Core.Jobs;

/// <summary>A tool that stands in a workshop, and what it makes possible.</summary>
public sealed record Tool(string Id, string Name, string For);

/// <summary>Tools a plan may count on.</summary>
public static class Equipment
{
    public static IReadOnlyList<Tool> All { get; } =
    [
        new("window", "A bright window", "tracing by daylight on thin, pale cloth"),
        new("light-box", "A light box", "tracing on somewhat thicker cloth, and in the evening"),
        new("ink-jet", "An ink-jet printer", "stick-on sheets, hot-iron prints, coated paper"),
        new("laser", "A laser printer", "templates, but never coated paper"),
        new("iron", "An iron", "fusing, hot-iron transfer, pressing"),
    ];

    public static IReadOnlyList<string> Ids { get; } = All.Select(t => t.Id).ToArray();
}
