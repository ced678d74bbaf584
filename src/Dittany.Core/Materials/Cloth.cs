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

/// <summary>How a cloth is made.</summary>
public enum Structure
{
    PlainWeave,
    Twill,
    Canvas,
    Waffle,
    Terry,
    Jersey,
    Rib,
    Fleece,
    Felt,
    Velvet,
    Satin,
}

/// <summary>
/// A kind of cloth with its usual facts. <paramref name="WashC"/> is the hottest wash it bears, °C, by the usual label of its kind; 0 where
/// it is not washed. Light is the share that comes through, in percent, white and dark; thickness in mm.
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
    string Source,
    Structure Structure = Structure.PlainWeave,
    string Fibre = "cotton",
    int WashC = 60,
    bool Coated = false);

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
    bool Lined,
    bool Prewashed = false,
    bool? StatedCoated = null,
    int? StatedWashC = null,
    string? StatedFibre = null)
{
    /// <summary>A coating keeps water and drawn lines out.</summary>
    public bool Coated => StatedCoated ?? Kind.Coated;

    /// <summary>How much of the usual opening of a letter must stay on such cloth in her hand: 1 until she has tried it.</summary>
    public double StaysOpen { get; init; } = 1;

    /// <summary>The very cloth, photographed; null where it was not.</summary>
    public ClothPrint? Print { get; init; }

    /// <summary>Whether she has tried letters on such cloth.</summary>
    public bool Tried { get; init; }

    /// <summary>The hottest wash it bears, °C; 0 where it is not washed.</summary>
    public int WashC => !Washable ? 0 : StatedWashC ?? (Kind.WashC == 0 ? 30 : Kind.WashC);

    public string Fibre => StatedFibre ?? Kind.Fibre;

    /// <summary>What the first wash still takes, in percent: nothing once it was washed.</summary>
    public double ShrinkPercent => Prewashed ? 0 : Kind.ShrinkPercent;

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

/// <summary>
/// The cloths Dittany knows. Stretch, thickness, light and shrinkage from memory; iron settings by the usual ISO 3758 label of the fibre.
/// </summary>
public static class Cloths
{
    private const string Memory = "from memory";

    public static IReadOnlyList<ClothKind> All { get; } =
    [
        new("lawn", "cotton lawn", 1, 0.2, 35, 5, 3, Pile.None, IronLimit.ThreeDots, true, true, false, Memory, Structure.PlainWeave,
            "cotton", 60),
        new("quilting-cotton", "quilting cotton", 1, 0.3, 20, 2, 3, Pile.None, IronLimit.ThreeDots, true, true, false, Memory,
            Structure.PlainWeave, "cotton", 60),
        new("linen", "linen", 1, 0.4, 20, 2, 5, Pile.None, IronLimit.ThreeDots, true, true, false, Memory, Structure.PlainWeave, "linen",
            60),
        new("half-linen", "half-linen towelling", 2, 0.5, 12, 1, 6, Pile.None, IronLimit.ThreeDots, true, true, false, Memory,
            Structure.PlainWeave, "linen and cotton", 60),
        new("canvas", "cotton canvas", 1, 0.7, 5, 0, 7, Pile.None, IronLimit.ThreeDots, true, true, false, Memory, Structure.Canvas,
            "cotton", 40),
        new("denim", "denim", 2, 0.9, 1, 0, 3, Pile.None, IronLimit.ThreeDots, true, true, false, Memory, Structure.Twill, "cotton", 40),
        new("cotton-jersey", "cotton jersey", 25, 0.5, 20, 2, 5, Pile.None, IronLimit.TwoDots, true, true, true, Memory, Structure.Jersey,
            "cotton", 40),
        new("baby-interlock", "baby interlock", 40, 0.8, 12, 1, 5, Pile.None, IronLimit.TwoDots, true, true, true, Memory,
            Structure.Jersey, "cotton", 60),
        new("rib", "rib knit", 80, 1.0, 10, 1, 5, Pile.None, IronLimit.TwoDots, true, true, true, Memory, Structure.Rib, "cotton", 40),
        new("fleece", "polyester fleece", 25, 2.8, 3, 0, 1, Pile.Short, IronLimit.OneDot, true, true, true, Memory, Structure.Fleece,
            "polyester", 40),
        new("terry", "terry", 4, 3, 3, 0, 6, Pile.Deep, IronLimit.TwoDots, true, true, false, Memory, Structure.Terry, "cotton", 60),
        new("waffle", "cotton waffle", 15, 1.5, 12, 1, 9, Pile.None, IronLimit.ThreeDots, true, true, false, Memory, Structure.Waffle,
            "cotton", 60),
        new("wool-felt", "wool felt", 4, 1.5, 1, 0, 0, Pile.None, IronLimit.OneDot, false, false, false, Memory, Structure.Felt, "wool", 0),
        new("velvet", "velvet", 3, 1.2, 1, 0, 0, Pile.Deep, IronLimit.None, false, false, false, Memory, Structure.Velvet,
            "cotton or silk", 0),
        new("satin", "polyester satin", 1, 0.2, 25, 3, 1, Pile.None, IronLimit.OneDot, true, true, false, Memory, Structure.Satin,
            "polyester", 30),
        new("poplin", "cotton poplin", 1, 0.25, 25, 3, 3, Pile.None, IronLimit.ThreeDots, true, true, false, Memory, Structure.PlainWeave,
            "cotton", 60),
        new("twill", "cotton twill", 1, 0.6, 4, 0, 4, Pile.None, IronLimit.ThreeDots, true, true, false, Memory, Structure.Twill, "cotton",
            40),
        new("wool", "woven wool", 6, 1.0, 6, 0, 3, Pile.None, IronLimit.TwoDots, true, false, false, Memory, Structure.Twill, "wool", 30),
        new("coated-canvas", "coated canvas", 0, 0.8, 0, 0, 1, Pile.None, IronLimit.None, true, true, false, Memory, Structure.Canvas,
            "polyester", 30, Coated: true),
    ];

    public static ClothKind? Find(string id) => All.FirstOrDefault(c => string.Equals(c.Id, id, StringComparison.Ordinal));

    /// <summary>What a structure is called.</summary>
    public static string NameOf(Structure structure) => structure switch
    {
        Structure.PlainWeave => "plain weave",
        Structure.Twill => "twill",
        Structure.Canvas => "canvas",
        Structure.Waffle => "waffle weave",
        Structure.Terry => "terry",
        Structure.Jersey => "jersey",
        Structure.Rib => "rib",
        Structure.Fleece => "fleece",
        Structure.Felt => "felt",
        Structure.Velvet => "velvet",
        _ => "satin",
    };

    /// <summary>The sole of an iron at each setting, °C (ISO 3758: 110, 150, 200); 0 where no iron is borne.</summary>
    public static int IronC(IronLimit limit) => limit switch
    {
        IronLimit.OneDot => 110,
        IronLimit.TwoDots => 150,
        IronLimit.ThreeDots =>
        200,
        _ => 0
    };

    /// <summary>The setting of an iron, as it goes on within a sentence.</summary>
    public static string SettingOf(IronLimit limit) => limit switch
    {
        IronLimit.ThreeDots => "up to three dots (200 °C)",
        IronLimit.TwoDots => "up to two dots (150 °C)",
        IronLimit.OneDot => "one dot (110 °C)",
        _ => "cold",
    };

    /// <summary>The settings in words.</summary>
    public static string NameOf(IronLimit limit) => limit switch
    {
        IronLimit.OneDot => "one dot, up to 110 °C",
        IronLimit.TwoDots => "two dots, up to 150 °C",
        IronLimit.ThreeDots => "three dots, up to 200 °C",
        _ => "no iron at all",
    };

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
