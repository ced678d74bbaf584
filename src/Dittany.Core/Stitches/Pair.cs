using Dittany.Core.Materials;

namespace Dittany.Core.Stitches;

/// <summary>A stitch with a thread as thick as it is worked: one way to write a line.</summary>
public sealed record Pair(IStitch Stitch, ThreadSize Size)
{
    public int Strands => Size.Ply;

    public double LineWidthMm => Stitch.LineWidthMm(Size);

    /// <summary>The same stitch with so many of the same thread.</summary>
    public Pair With(int strands) => this with { Size = Size.With(strands) };
}

/// <summary>Plain facts that the choice of a stitch and its strands goes by, and the habits of the workshop.</summary>
public sealed record StitchFacts(bool Knit, bool Pile, bool DarkAndBusy, string LetterSchool, string SplitSchool, string ChainSchool)
{
    /// <summary>What is stitched with.</summary>
    public ThreadKind Thread { get; init; } = ThreadKinds.Cotton;

    /// <summary>Whether it cannot be drawn through this cloth, and is laid on it and tied down.</summary>
    public bool Laid { get; init; }

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
