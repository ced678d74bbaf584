using Dittany.Core.Decisions;
using Dittany.Core.Items;
using Dittany.Core.Materials;

namespace Dittany.Core.Operations;

/// <summary>What is done to the cloth before anything else.</summary>
public static class Beforehand
{
    /// <summary>
    /// From this much shrinking on the first wash comes before the work (common practice: five in a hundred pucker a word).
    /// </summary>
    public const double WashedFromPercent = 5;

    /// <summary>
    /// Cloth that is cut first is washed first from this much shrinking on, or it is cut too small (common practice).
    /// </summary>
    public const double WashedBeforeCutFromPercent = 1;

    /// <summary>Into the machine and onto the line (from memory).</summary>
    public const double WashMinutes = 3;

    /// <summary>Line drying in hours (from memory): linen and woven 6, jersey 10, terry and fleece 24.</summary>
    public static double DryHours(Cloth cloth) => cloth.Pile != Pile.None ? 24 : cloth.Kind.Knit ? 10 : 6;

    /// <summary>Whether this cloth wants its first wash before it is worked on.</summary>
    public static bool Washes(Cloth cloth) => cloth.Washable && cloth.ShrinkPercent >= WashedFromPercent;

    /// <summary>The same for an item as it is used: loose cloth sooner, and what is never washed not at all.</summary>
    public static bool Washes(Cloth cloth, Form form, Worn worn) => form.Loose is null ? Washes(cloth)
        : cloth.Washable && worn.Washed != "never" && cloth.ShrinkPercent >= WashedBeforeCutFromPercent;

    /// <summary>
    /// The first wash, where the cloth still shrinks; nothing where it does not. It is as warm as the piece may be washed for good, and no
    /// warmer than the cloth bears.
    /// </summary>
    public static IReadOnlyList<Operation> Of(Cloth cloth, Care care, bool washes, bool iron) => washes
        ? [new Operation(
            "wash", OpKind.Wash, Station.Item, Place.Sink, [new("washing beforehand", WashMinutes)],
            [$"Wash it as it will be washed later, at up to {WarmC(cloth, care)} °C, without softener, "
                + (Pressed(cloth, iron) ? "dry it, and press it flat." : "dry it, and smooth it flat.")],
            new Wait(WaitKind.Drying, DryHours(cloth) * 60))
            {
                Water = new Watering(WarmC(cloth, care)),
                Iron = Pressed(cloth, iron) ? new Ironing(cloth.MaxIron) : null,
            }]
        : [];

    /// <summary>Whether what was washed is pressed before it is worked on.</summary>
    private static bool Pressed(Cloth cloth, bool iron) => iron && cloth.MaxIron != IronLimit.None && cloth.Pile != Pile.Deep;

    private static int WarmC(Cloth cloth, Care care) => care.Washed ? Math.Min(cloth.WashC, care.WashC) : cloth.WashC;
}
