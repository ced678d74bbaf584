using Dittany.Core.Stitches;

namespace Dittany.Core.StitchBook;

/// <summary>Traits of a stitch, told.</summary>
public static class Traits
{
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
