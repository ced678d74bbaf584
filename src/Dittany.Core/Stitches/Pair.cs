using Dittany.Core.Materials;

namespace Dittany.Core.Stitches;

/// <summary>A stitch with a number of strands: one way to write a line.</summary>
public sealed record Pair(IStitch Stitch, int Strands)
{
    public double LineWidthMm => Stitch.LineWidthMm(Strands);
}

/// <summary>Plain facts that the choice of a stitch and its strands goes by, and the habits of the workshop.</summary>
public sealed record StitchFacts(bool Knit, bool Pile, bool DarkAndBusy, string LetterSchool, string SplitSchool, string ChainSchool)
{
    public static StitchFacts Of(Cloth cloth, string letter = "by-height", string split = "any", string chain = "two-or-three") =>
        new(cloth.Kind.Knit, cloth.Pile != Materials.Pile.None, cloth.Dark && cloth.Busy, letter, split, chain);

    /// <summary>Whether the workshop has a school of its own for the strands of a stitch.</summary>
    public bool HasSchoolOf(string stitch) => stitch switch
    {
        "split" => SplitSchool != "any",
        "chain" => ChainSchool != "two-or-three",
        _ => false
    };
}
