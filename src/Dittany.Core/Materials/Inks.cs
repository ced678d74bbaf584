namespace Dittany.Core.Materials;

/// <summary>What takes a mark away again.</summary>
public enum GoesBy
{
    ColdWater,
    Heat,
    AirOrWater,
    Brushing,
    BrushingOrWater,
    Never,
    NoMark,
}

/// <summary>A marker. <paramref name="LastsHours"/> is how long to count on its line; infinity where it stays until taken out.</summary>
public sealed record Ink(string Id, string Name, GoesBy GoesBy, double LastsHours, bool ShowsOnDark, bool ShowsOnLight,
    bool NeedsTransferHeat, string Source);

/// <summary>The markers Dittany knows.</summary>
public static class Inks
{
    private const string Practice = "common practice";
    private const string Memory = "from memory";

    public static IReadOnlyList<Ink> All { get; } =
    [
        new("water-erasable", "a water-erasable pen", GoesBy.ColdWater, double.PositiveInfinity, false, true, false, Practice),
        new("heat-erasable", "a heat-erasable pen", GoesBy.Heat, double.PositiveInfinity, false, true, false, Practice),
        new("air-erasable", "an air-erasable pen", GoesBy.AirOrWater, 24, false, true, false, Memory),
        new("chalk", "a chalk pencil", GoesBy.Brushing, 4, true, true, false, Memory),
        new("white-pencil", "a white pencil", GoesBy.BrushingOrWater, 72, true, false, false, Memory),
        new("pencil", "a hard pencil", GoesBy.Never, double.PositiveInfinity, false, true, false, Practice),
        new("pigment-pen", "a fine permanent pigment pen", GoesBy.Never, double.PositiveInfinity, false, true, false, Practice),
        new("transfer-pencil", "a transfer pencil", GoesBy.Never, double.PositiveInfinity, false, true, true, Practice),
        new("none", "no marker", GoesBy.NoMark, double.PositiveInfinity, true, true, false, Practice),
    ];

    public static Ink? Find(string id) => All.FirstOrDefault(i => string.Equals(i.Id, id, StringComparison.Ordinal));
}
