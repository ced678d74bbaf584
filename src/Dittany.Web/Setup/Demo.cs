using Dittany.Core.Items;
using Dittany.Core.Planning;
using Dittany.Core.Time;
using Dittany.Store;

namespace Dittany.Web.Setup;

/// <summary>Made-up pieces of a made-up workshop, stored once in an empty demonstration folder.</summary>
public static class Demo
{
    /// <summary>
    /// The pieces, the last first: four items, several cloths, short and long words, accents, two rows, dark cloth, overrules; one that cannot fit, one that does not read, one due too
    /// soon, one half stitched, one drying, one finished.
    /// </summary>
    public static IReadOnlyList<(Job Job, string What)> Pieces(DateOnly today) =>
    [
        (Piece("napkin", today, "Ottokar", "Wedding napkin", today.AddDays(2)) with { Done = new Done(true, 99, today.AddDays(-2), true) }, "Finished"),
        (Piece("tea-towel", today, "Thyme", "Towel with thyme", today.AddDays(5)) with { Done = new Done(true, 99, today.AddDays(-1)) }, "Rinsed and hung up"),
        (Piece("napkin", today, "Great-aunt Philomena", "A whole name in a corner", today.AddDays(33), overrules: new() { ["words.size"] = "14", ["words.rows"] = "1" }), "New piece"),
        (Piece("baby-bodysuit", today, "Wilma", "Wilma’s bodysuit", today.AddDays(7), colour: "#b9ccd4") with { Done = new Done(true, 3) }, "Three lengths stitched"),
        (Piece("tea-towel", today, "Zoë", "Zoë’s first kitchen", today.AddDays(12)), "New piece"),
        (Piece("baby-bodysuit", today, "Little\nPebble", "For Wren’s new brother", today.AddDays(15)) with { Size = "56" }, "New piece"),
        (Piece("napkin", today, "Odalys", "Harvest table napkin", today.AddDays(24)), "New piece"),
        (Piece("tote", today, "Bread & Salt", "Bag for the Alder Lane bakery", today.AddDays(20)), "New piece"),
        (Piece("tea-towel", today, "Kräuter", "The dark herb towel", today.AddDays(26), colour: "#27303a"), "New piece"),
        (Piece("tea-towel", today, "Fridolin Mooshammer", "Fridolin’s long name", today.AddDays(1)), "New piece"),
        (Piece("baby-bodysuit", today, "Juniper", "Juniper, a size up", today.AddDays(30), colour: "#d9e0d2") with { Size = "68" }, "New piece"),
        (Piece("tote", today, "MÆ", "Monogram on lined canvas", today.AddDays(28), colour: "#7c8f86", overrules: new() { ["stitch.outline"] = "chain" }) with { Size = "38x42-lined" }, "New piece"),
        (Piece("tea-towel", today, "Juniper", "Juniper, ironed on", today.AddDays(36), kind: "linen", overrules: new() { ["transfer.method"] = "hot-iron" }), "New piece"),
        (Piece("napkin", today, "Hippolyta", "Hippolyta in chain", today.AddDays(40), overrules: new() { ["stitch.outline"] = "chain", ["words.size"] = "9" }), "New piece"),
    ];

    /// <summary>Stores the pieces where none are stored; what is begun was read back first.</summary>
    public static async Task Fill(PieceStore store, SheetStore sheets, DateOnly today)
    {
        if ((await store.All()).Count > 0)
        {
            return;
        }

        foreach (var (job, what) in Pieces(today).Reverse())
        {
            var id = await store.Create(job with { Done = null }, "New piece");
            if (job.Done is { } done)
            {
                await sheets.Proof(id, job.Elements[0].Text, "Me");
                await store.Change(id, 1, new Change("done", Changes.WriteDone(done), what), Workshop.Default);
            }
        }
    }

    private static Job Piece(
        string form, DateOnly today, string words, string title, DateOnly due, string? colour = null, string? kind = null, Dictionary<string, string>? overrules = null) => new(
        form, [new WordingAsked("name", words)], today, title, due, Fabric: colour is null && kind is null ? null : new StatedFabric(kind, colour), Overrules: overrules);
}
