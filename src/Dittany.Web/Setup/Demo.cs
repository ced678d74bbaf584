using Dittany.Core.Items;
using Dittany.Core.Planning;
using Dittany.Store;

namespace Dittany.Web.Setup;

/// <summary>Made-up pieces of a made-up workshop, stored once in an empty demonstration folder.</summary>
public static class Demo
{
    /// <summary>The pieces: short and long words, accents, dark cloth, an overrule, one that will be late.</summary>
    public static IReadOnlyList<(Job Job, string What)> Pieces(DateOnly today) =>
    [
        (Towel(today, "Zoë", "Zoë's first kitchen", today.AddDays(12)), "New piece"),
        (Towel(today, "Bread & Salt", "Bread & Salt for the Alder Lane bakery", today.AddDays(20), colour: "#d9e0d2"), "New piece"),
        (Towel(today, "Kräuter", "Herb towel, dark", today.AddDays(9), colour: "#27303a"), "New piece"),
        (Towel(today, "Fridolin Mooshammer", "A long name, wanted tomorrow", today.AddDays(1)), "New piece"),
        (Towel(today, "Juniper", "Juniper, ironed on", today.AddDays(16), kind: "linen", overrules: new() { ["transfer.method"] = "hot-iron" }), "New piece"),
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

    private static Job Towel(DateOnly today, string words, string title, DateOnly due, string? colour = null, string? kind = null, Dictionary<string, string>? overrules = null) => new(
        "tea-towel", [new WordingAsked("name", words)], today, title, due, Fabric: colour is null && kind is null ? null : new StatedFabric(kind, colour), Overrules: overrules);
}
