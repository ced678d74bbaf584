using Dittany.Core.Measures;

namespace Dittany.Core.Materials;

/// <summary>What kinds of thread are also called.</summary>
public static class ThreadNames
{
    public static IReadOnlyList<AlsoCalled> All { get; } =
    [
        new("cotton", "stranded cotton", "stranded thread", "embroidery floss", "floss", "six strand cotton", "ordinary cotton", "embroidery thread"),
        new("variegated", "variegated", "variegated thread", "multicoloured thread", "multicolored thread", "shaded thread"),
        new("pearl-5", "pearl 5", "pearl no 5", "pearl size 5", "pearl cotton no 5", "pearl cotton size 5", "thick pearl cotton", "perle 5", "perle cotton 5"),
        new("pearl-8", "pearl 8", "pearl cotton", "pearl no 8", "pearl size 8", "pearl cotton no 8", "pearl cotton size 8", "perle cotton", "perle 8", "perle cotton 8", "pearl thread"),
        new("pearl-12", "pearl 12", "pearl no 12", "pearl size 12", "pearl cotton no 12", "pearl cotton size 12", "fine pearl cotton", "perle 12", "perle cotton 12"),
        new("wool", "wool", "wool thread", "wool yarn", "woollen thread", "woolen thread", "yarn"),
        new("wool-blend", "blended wool", "wool mix"),
        new("metallic", "metallic", "metal thread", "glitter thread", "shiny thread", "sparkly thread", "lurex"),
        new("sewing", "sewing cotton", "ordinary sewing thread"),
        new("strong", "buttonhole thread", "strong yarn"),
    ];
}
