namespace Dittany.Core.Stitches;

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
