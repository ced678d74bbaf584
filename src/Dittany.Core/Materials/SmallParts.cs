namespace Dittany.Core.Materials;

/// <summary>
/// The cylinder of 16 CFR 1501.4 (the same as that of EN 71-1): what goes wholly into it is a small part, and is not for a child under
/// three. Lengths in mm.
/// </summary>
public static class SmallParts
{
    public const double AcrossMm = 31.7;

    /// <summary>Its floor slants: it is so deep at the shallow side, and so deep at the other.</summary>
    public const double ShallowMm = 25.4;

    public const double DeepMm = 57.1;

    /// <summary>
    /// Whether a thing of these sides, in any order, goes in without being pressed: its two smaller sides within the round, its longest no
    /// longer than the deep side, or flat enough to lie across the slant.
    /// </summary>
    public static bool Is(double oneMm, double otherMm, double thirdMm)
    {
        var sides = new[] { oneMm, otherMm, thirdMm }.Order().ToArray();
        return Math.Sqrt((sides[0] * sides[0]) + (sides[1] * sides[1])) <= AcrossMm && sides[2] <= DeepMm;
    }
}
