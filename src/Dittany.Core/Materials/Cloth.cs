namespace Dittany.Core.Materials;

public enum Opacity
{
    Sheer,
    Translucent,
    Opaque,
}

public enum Pile
{
    None,
    Short,
    Deep,
}

/// <summary>The highest iron setting a cloth bears, by the three-dot system of ISO 3758.</summary>
public enum IronLimit
{
    None,
    OneDot,
    TwoDots,
    ThreeDots,
}

/// <summary>
/// A kind of cloth with its usual facts. Light is the share that comes through, in percent, white and dark; thickness in mm.
/// </summary>
public sealed record ClothKind(
    string Id,
    string Name,
    double StretchPercent,
    double ThicknessMm,
    double LightWhitePercent,
    double LightDarkPercent,
    double ShrinkPercent,
    Pile Pile,
    IronLimit MaxIron,
    bool Washable,
    bool Soakable,
    bool Knit,
    string Source);

/// <summary>What is true of the cloth in hand, all facts settled.</summary>
public sealed record Cloth(
    ClothKind Kind,
    Colour Colour,
    double StretchPercent,
    Opacity Opacity,
    double LightPercent,
    double ThicknessMm,
    Pile Pile,
    IronLimit MaxIron,
    bool Washable,
    bool Busy,
    bool Lined)
{
    /// <summary>Lightness L* under which cloth counts as dark (from memory).</summary>
    public const double DarkBelowL = 45;

    public bool Dark => Colour.ToLab().L < DarkBelowL;

    /// <summary>Stretch from which cloth behaves as a knit (from memory: woven cloths stay under 10 %, knits start at 15 %).</summary>
    public bool Stretchy => StretchPercent >= 10;

    /// <summary>Cloth heavy, medium or light, for the needle: by thickness.</summary>
    public ClothWeight Weight => ThicknessMm <= 0.25 ? ClothWeight.Fine : ThicknessMm <= 0.6 ? ClothWeight.Medium : ClothWeight.Heavy;
}

public enum ClothWeight
{
    Fine,
    Medium,
    Heavy,
}

/// <summary>The cloths Dittany knows. Stretch, thickness, light and shrinkage from memory; iron settings by the usual ISO 3758 label of the fibre.</summary>
public static class Cloths
{
    private const string Memory = "from memory";

    public static IReadOnlyList<ClothKind> All { get; } =
    [
        new("lawn", "cotton lawn", 1, 0.2, 35, 5, 3, Pile.None, IronLimit.ThreeDots, true, true, false, Memory),
        new("quilting-cotton", "quilting cotton", 1, 0.3, 20, 2, 3, Pile.None, IronLimit.ThreeDots, true, true, false, Memory),
        new("linen", "linen", 1, 0.4, 20, 2, 5, Pile.None, IronLimit.ThreeDots, true, true, false, Memory),
        new("half-linen", "half-linen towelling", 2, 0.5, 12, 1, 6, Pile.None, IronLimit.ThreeDots, true, true, false, Memory),
        new("canvas", "cotton canvas", 1, 0.7, 5, 0, 7, Pile.None, IronLimit.ThreeDots, true, true, false, Memory),
        new("denim", "denim", 2, 0.9, 1, 0, 3, Pile.None, IronLimit.ThreeDots, true, true, false, Memory),
        new("cotton-jersey", "cotton jersey", 25, 0.5, 20, 2, 5, Pile.None, IronLimit.TwoDots, true, true, true, Memory),
        new("baby-interlock", "baby interlock", 40, 0.8, 12, 1, 5, Pile.None, IronLimit.TwoDots, true, true, true, Memory),
        new("rib", "rib knit", 80, 1.0, 10, 1, 5, Pile.None, IronLimit.TwoDots, true, true, true, Memory),
        new("fleece", "polyester fleece", 25, 2.8, 3, 0, 1, Pile.Short, IronLimit.OneDot, true, true, true, Memory),
        new("terry", "terry", 4, 3, 3, 0, 6, Pile.Deep, IronLimit.TwoDots, true, true, false, Memory),
        new("waffle", "cotton waffle", 15, 1.5, 12, 1, 9, Pile.None, IronLimit.ThreeDots, true, true, false, Memory),
        new("wool-felt", "wool felt", 4, 1.5, 1, 0, 0, Pile.None, IronLimit.OneDot, false, false, false, Memory),
        new("velvet", "velvet", 3, 1.2, 1, 0, 0, Pile.Deep, IronLimit.None, false, false, false, Memory),
        new("satin", "polyester satin", 1, 0.2, 25, 3, 1, Pile.None, IronLimit.OneDot, true, true, false, Memory),
    ];

    public static ClothKind? Find(string id) => All.FirstOrDefault(c => string.Equals(c.Id, id, StringComparison.Ordinal));

    /// <summary>Light through cloth of this colour: between the dark and the white figure by lightness L*.</summary>
    public static double LightThrough(ClothKind kind, Colour colour)
    {
        var share = Math.Clamp((colour.ToLab().L - 20) / 80, 0, 1);
        return kind.LightDarkPercent + ((kind.LightWhitePercent - kind.LightDarkPercent) * share);
    }

    /// <summary>Opacity by light through: from 30 % sheer, from 8 % translucent (from memory).</summary>
    public static Opacity OpacityOf(double lightPercent) =>
        lightPercent >= 30 ? Opacity.Sheer : lightPercent >= 8 ? Opacity.Translucent : Opacity.Opaque;

    /// <summary>The light to reckon with where only the opacity was stated: the middle of its span (from memory).</summary>
    public static double LightOf(Opacity opacity) => opacity switch
    {
        Opacity.Sheer => 35,
        Opacity.Translucent => 18,
        _ => 2,
    };
}
