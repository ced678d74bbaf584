namespace Dittany.Core.StitchBook;

/// <summary>How a surface feels under the hand.</summary>
public enum Feel
{
    Flat,
    Raised,
    Open,
}

/// <summary>
/// What a stitch is like beside its measures: how it feels, whether it gives on a knit, whether it stands being handled and washed
/// much, and how long a hand takes to learn it (1 in an evening, 3 in some weeks).
/// </summary>
public sealed record Trait(Feel Feel, bool Gives, bool Wears, int Learning);

/// <summary>Traits of the stitches (from memory): what is not listed is flat, stiff, wears well and takes a few evenings.</summary>
public static class Traits
{
    private static readonly Trait Usual = new(Feel.Flat, false, true, 2);

    private static readonly Dictionary<string, Trait> Known = new(StringComparer.Ordinal)
    {
        ["backstitch"] = new(Feel.Flat, false, true, 1),
        ["running"] = new(Feel.Open, false, true, 1),
        ["split"] = new(Feel.Flat, true, true, 1),
        ["split-back"] = new(Feel.Flat, true, true, 1),
        ["stem"] = new(Feel.Raised, true, true, 1),
        ["outline"] = new(Feel.Flat, true, true, 1),
        ["chain"] = new(Feel.Raised, true, true, 1),
        ["whipped-backstitch"] = new(Feel.Raised, false, true, 1),
        ["whipped-running"] = new(Feel.Raised, false, true, 1),
        ["laced-running"] = new(Feel.Open, false, false, 1),
        ["laced-backstitch"] = new(Feel.Open, false, false, 2),
        ["whipped-stem"] = new(Feel.Raised, true, true, 2),
        ["whipped-split"] = new(Feel.Raised, true, true, 2),
        ["whipped-chain"] = new(Feel.Raised, true, true, 2),
        ["interlaced-chain"] = new(Feel.Open, true, false, 3),
        ["heavy-chain"] = new(Feel.Raised, true, true, 2),
        ["linked-chain"] = new(Feel.Open, true, true, 2),
        ["laced-stem"] = new(Feel.Open, true, false, 2),
        ["laced-split"] = new(Feel.Open, true, false, 2),
        ["brick-line"] = new(Feel.Flat, false, true, 2),
        ["whipped-brick"] = new(Feel.Raised, false, true, 2),
        ["laced-brick"] = new(Feel.Open, false, false, 3),
        ["rope-line"] = new(Feel.Raised, true, true, 3),
        ["tapering-stem"] = new(Feel.Raised, true, true, 2),
        ["couching"] = new(Feel.Raised, true, false, 1),
        ["coral"] = new(Feel.Raised, false, true, 2),
        ["knotted-stem"] = new(Feel.Raised, false, true, 3),
        ["blanket"] = new(Feel.Open, true, true, 1),
        ["double-blanket"] = new(Feel.Open, true, true, 1),
        ["cross"] = new(Feel.Open, false, true, 1),
        ["straight"] = new(Feel.Flat, false, false, 1),
        ["french-knot"] = new(Feel.Raised, true, true, 2),
        ["colonial-knot"] = new(Feel.Raised, true, true, 3),
        ["satin"] = new(Feel.Raised, false, false, 3),
        ["bordered-satin"] = new(Feel.Raised, false, false, 2),
        ["padded-satin"] = new(Feel.Raised, false, false, 3),
        ["turning-satin"] = new(Feel.Raised, false, false, 3),
        ["rope"] = new(Feel.Raised, true, true, 3),
        ["seed"] = new(Feel.Open, true, true, 1),
        ["chain-rows"] = new(Feel.Raised, true, true, 1),
        ["linked-chain-line"] = new(Feel.Open, true, true, 2),
        ["detached-chain"] = new(Feel.Open, true, true, 1),
        ["fly"] = new(Feel.Open, true, true, 1),
        ["graded-straights"] = new(Feel.Flat, false, false, 1),
        ["weaving"] = new(Feel.Raised, false, false, 2),
        ["lattice"] = new(Feel.Open, false, false, 2),
        ["couched-rows"] = new(Feel.Raised, false, false, 2),
        ["long-and-short"] = new(Feel.Flat, false, true, 3),
    };

    public static Trait Of(string stitch) => Known.GetValueOrDefault(stitch, Usual);

    /// <summary>The traits in a sentence.</summary>
    public static string Tell(Trait trait)
    {
        var feel = trait.Feel switch { Feel.Raised => "It stands up from the cloth", Feel.Open => "It lets the cloth show", _ => "It lies flat" };
        var give = trait.Gives ? "gives with a knit" : "does not give with a knit";
        var wear = trait.Wears ? "stands handling and washing" : "catches where it is handled much";
        return $"{feel}, {give}, and {wear}. {LearningTold(trait.Learning)}";
    }

    private static string LearningTold(int learning) => learning switch
    {
        1 => "An evening is enough to learn it.",
        2 => "A few evenings make it even.",
        _ => "It takes some weeks to become even.",
    };
}
