using Dittany.Core.Items;
using Dittany.Core.Planning;
using Dittany.Store;

namespace Dittany.Web.Setup;

/// <summary>Made-up pieces of a made-up workshop, stored once in an empty demonstration folder.</summary>
public static class Demo
{
    /// <summary>The pieces: four items, several cloths, short and long words, accents, two rows, dark cloth, overrules, one that will be late, one that does not read.</summary>
    public static IReadOnlyList<(Job Job, string What)> Pieces(DateOnly today) =>
    [
        (Piece("tea-towel", today, "Zoë", "Zoë's first kitchen", today.AddDays(12)), "New piece"),
        (Piece("baby-bodysuit", today, "Little\nPebble", "For Wren's new brother", today.AddDays(15)) with { Size = "56" }, "New piece"),
        (Piece("napkin", today, "Odalys", "Harvest table, one of eight", today.AddDays(24)), "New piece"),
        (Piece("tote", today, "Bread & Salt", "Bag for the Alder Lane bakery", today.AddDays(20)), "New piece"),
        (Piece("tea-towel", today, "Kräuter", "Herb towel, dark", today.AddDays(9), colour: "#27303a"), "New piece"),
        (Piece("tea-towel", today, "Fridolin Mooshammer", "A long name, wanted tomorrow", today.AddDays(1)), "New piece"),
        (Piece("baby-bodysuit", today, "Juniper", "Second size up, sage", today.AddDays(30), colour: "#d9e0d2") with { Size = "68" }, "New piece"),
        (Piece("tote", today, "MÆ", "Monogram on lined canvas", today.AddDays(16), colour: "#7c8f86", overrules: new() { ["stitch.outline"] = "chain" }) with { Size = "38x42-lined" }, "New piece"),
        (Piece("tea-towel", today, "Juniper", "Juniper, ironed on", today.AddDays(16), kind: "linen", overrules: new() { ["transfer.method"] = "hot-iron" }), "New piece"),
        (Piece("napkin", today, "Hippolyta", "Chain stitch, wished too small", today.AddDays(40), overrules: new() { ["stitch.outline"] = "chain", ["words.size"] = "9" }), "New piece"),
    ];

    /// <summary>Stores the pieces where none are stored.</summary>
    public static async Task Fill(PieceStore store, DateOnly today)
    {
        if ((await store.All()).Count > 0)
        {
            return;
        }

        foreach (var (job, what) in Pieces(today).Reverse())
        {
            await store.Create(job, what);
        }
    }

    private static Job Piece(
        string form, DateOnly today, string words, string title, DateOnly due, string? colour = null, string? kind = null, Dictionary<string, string>? overrules = null) => new(
        form, [new WordingAsked("name", words)], today, title, due, Fabric: colour is null && kind is null ? null : new StatedFabric(kind, colour), Overrules: overrules);
}
