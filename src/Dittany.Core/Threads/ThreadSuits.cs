using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Measures;

namespace Dittany.Core.Threads;

/// <summary>On what a thread is stitched.</summary>
public sealed record ThreadGround(Cloth Cloth, Worn Worn);

/// <summary>What speaks against a thread on an item.</summary>
public sealed record ThreadAgainst(string What, Func<ThreadKind, bool> Thread, Func<ThreadGround, bool> On, Told Because, string Source);

/// <summary>Which thread goes on which item.</summary>
public static class ThreadSuits
{
    /// <summary>From this width on a thread is drawn through fine cloth with force, mm (from memory).</summary>
    private const double ThickMm = 0.7;

    /// <summary>What speaks against a thread where it would be worn and washed.</summary>
    public static IReadOnlyList<ThreadAgainst> Rules { get; } =
    [
        new("scratches", k => k.Frays, g => g.Worn.OnSkin, "Metallic thread scratches, and it would lie on skin.", "common practice"),
        new("itches", k => k.Wool, g => g.Worn.OnSkin, "Wool itches, and some cannot bear it at all: it would lie on skin.", "common practice"),
        new("felts", k => k.Wool, g => g.Worn.Washed == "often", "Wool felts and shrinks in the machine, and this is washed often.",
            "common practice"),
        new("snags", k => k.Frays, g => g.Worn.Washed == "often", "Metallic thread frays in the machine, and this is washed often.",
            "common practice"),
        new("thick", k => k.Lies(k.Plies[0]) >= ThickMm, g => g.Cloth.Weight == ClothWeight.Fine,
            "It is too thick to be drawn through fine cloth: it leaves holes. Lay it on the cloth and couch it with a thin one.", "common practice"),
        new("wears", k => k.Id == "sewing", g => g.Worn.Washed == "often",
            "One sewing thread is a hairline, and washed often it wears through.", "from memory"),
    ];

    /// <summary>Whether a thread cannot be drawn through this cloth, and is laid on it.</summary>
    public static bool Laid(ThreadKind thread, ThreadGround ground) => Rules.Any(r => r.What == "thick" && r.Thread(thread) && r.On(ground));

    /// <summary>Everything that speaks against a thread here.</summary>
    public static IReadOnlyList<Told> Against(ThreadKind thread, ThreadGround ground) =>
        Rules.Where(r => r.Thread(thread) && r.On(ground)).Select(r => r.Because).ToArray();
}
