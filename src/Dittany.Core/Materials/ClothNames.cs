using Dittany.Core.Measures;

namespace Dittany.Core.Materials;

/// <summary>What cloths are also called.</summary>
public static class ClothNames
{
    public static IReadOnlyList<AlsoCalled> All { get; } =
    [
        new("lawn", "lawn", "batiste"), new("quilting-cotton", "cotton", "plain cotton"), new("linen", "flax"), new("half-linen", "half linen", "linen union"), new("canvas", "canvas", "duck"),
        new("denim", "jean"), new("cotton-jersey", "jersey", "stretch jersey", "cotton knit", "knit"), new("baby-interlock", "interlock"), new("rib", "ribbed", "rib"), new("fleece", "fleece"),
        new("terry", "towelling", "terry cloth", "terrycloth"), new("waffle", "waffle", "waffle weave"), new("wool-felt", "felt", "wool felt"), new("velvet", "velour"), new("satin", "satin"),
        new("poplin", "poplin"), new("twill", "twill"), new("wool", "wool", "woollen", "woolen"), new("coated-canvas", "coated", "waxed", "waterproof"),
    ];
}
