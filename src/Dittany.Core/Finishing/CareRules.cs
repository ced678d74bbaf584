using Dittany.Core.Materials;

namespace Dittany.Core.Finishing;

/// <summary>What cloth and use bear of water and heat; thread and crafts say on their own descriptors what they bear.</summary>
public static class CareRules
{
    private static readonly (Func<FinishQuestion, bool> When, Func<FinishQuestion, CareLimit> Limit)[] Rules =
    [
        (q => !q.Cloth.Washable, _ => new("cloth that is not washed", "ISO 3758", Cleaning.Cleaner)),
        (q => q.Cloth.Washable, q => new("the wash of the cloth", "ISO 3758", WashC: q.Cloth.WashC)),
        (q => q.Washed == "never", _ => new("a use without washing", "common practice", Cleaning.Damp)),
        (q => q.Stuffed, _ => new("what is stuffed", "common practice", Cleaning.Damp, Iron: IronLimit.None)),
        (q => !q.Cloth.Kind.Soakable, _ => new("cloth that is not soaked", "common practice", Cleaning.ByHandQuickly)),
        (q => q.Washed == "by-hand", _ => new("a use that is washed by hand", "common practice", Cleaning.ByHand, 30, Flat: true)),
        (_ => true, _ => new("stitched work", "common practice", WashC: MostWashC)),
        (q => q.ThreadMayBleed, _ => new("colours that may run", "common practice", RunsAtFirst: true)),
        (_ => true, q => new("the iron of the cloth", "ISO 3758", Iron: q.Cloth.MaxIron)),
        (q => q.Cloth.Pile == Pile.Deep, _ => new("deep pile", "common practice", Iron: IronLimit.None)),
        (q => q.OnSkin && q.Threads.Count > 0, _ => new("a back on the skin", "common practice", WatchBack: true)),
    ];

    /// <summary>Stitches keep their roundness in no hotter wash, °C (from memory).</summary>
    public const int MostWashC = 40;

    /// <summary>Framed or stretched: no iron comes to it again.</summary>
    private static readonly CareLimit MadeUp = new("what is made up for good", "common practice", Iron: IronLimit.None);

    /// <summary>What it bears from the day it is given: of what is made up for good less than while it is worked on.</summary>
    public static IEnumerable<CareLimit> ForGood(FinishQuestion q) => q.MadeUpForGood && q.Washed == "never" ? Of(q).Append(MadeUp) : Of(q);

    /// <summary>Every limit of cloth, use, thread and crafts while it is worked on.</summary>
    public static IEnumerable<CareLimit> Of(FinishQuestion q) =>
        [.. Rules.Where(r => r.When(q)).Select(r => r.Limit(q)), .. q.Threads.Select(t => t.Care), .. q.OfCrafts];
}
