using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Planning;

namespace Dittany.Core.Telling;

/// <summary>
/// One fact of the cloth: the job's member that states it, what it is now, what it steers, whether she stated it, and what it may be.
/// </summary>
public sealed record FactTold(string Member, string Name, Told Now, string Steers, bool Stated,
    IReadOnlyList<(string Value, string Text)> Choices);

/// <summary>
/// The facts of the cloth in hand, each with what it steers. Any one can be stated by itself; the rest stay those of the cloth.
/// </summary>
public static class FactTelling
{
    private static readonly (string Value, string Text)[] YesNo = [("true", "yes"), ("false", "no")];

    /// <summary>All facts of a plan's cloth, as the job has them.</summary>
    public static IReadOnlyList<FactTold> Of(Plan plan, Job job)
    {
        var cloth = plan.Item.Cloth;
        FactTold Fact(string member, string name, string now, string steers, IReadOnlyList<(string, string)> choices) =>
            new($"fabric.{member}", name, now, steers, Changes.Read(job, $"fabric.{member}") is not null, choices);
        string Yes(bool yes) => yes ? "yes" : "no";
        return
        [
            Fact("stretchPercent", "Stretch", $"{Say.Number(cloth.StretchPercent)} %",
                "support behind, how tight the hoop is, which stitch gives with it", Numbers([0, 2, 5, 10, 20, 30, 50, 80], " %")),
            Fact("opacity", "Light through it", $"{Say.Number(cloth.LightPercent)} %, {cloth.Opacity.ToString().ToLowerInvariant()}",
                "whether it can be traced over a light, and whether threads behind show",
                [("Sheer", "sheer"), ("Translucent", "some light"), ("Opaque", "none")]),
            Fact("thicknessMm", "Thickness", Say.Length(cloth.ThicknessMm), "the needle, and how much thread goes through",
                Numbers([0.2, 0.3, 0.5, 0.8, 1, 1.5, 2, 3], " mm")),
            Fact("pile", "Pile", cloth.Pile switch { Pile.None => "none", Pile.Short => "short", _ => "deep" },
                "film on top, drawn lines, the ring, how open letters must be", [("None", "none"), ("Short", "short"), ("Deep", "deep")]),
            Fact("maxIron", "Iron", Cloths.NameOf(cloth.MaxIron), "hot-iron ways, coated paper, fusing and pressing",
                [("None", "no iron"), ("OneDot", "one dot, 110 °C"), ("TwoDots", "two dots, 150 °C"), ("ThreeDots", "three dots, 200 °C")]),
            Fact("washable", "Can be washed", cloth.Washable ? $"yes, to {cloth.WashC} °C" : "no",
                "film and inks that are washed out, the care card", YesNo),
            Fact("washC", "Hottest wash", cloth.WashC > 0 ? $"{cloth.WashC} °C" : "none", "pre-wash and care card",
                Numbers([30, 40, 60, 90], " °C")),
            Fact("prewashed", "Washed before", Yes(cloth.Prewashed), "whether it still shrinks: unwashed it wants its first wash now",
                YesNo),
            Fact("busy", "Busy print", Yes(cloth.Busy), "whether a drawn line is seen", YesNo),
            Fact("lined", "Lined or double", Yes(cloth.Lined), "light from behind, which layers go into the hoop", YesNo),
            Fact("coated", "Coated", Yes(cloth.Coated), "whether a ring or an iron may touch it, and that every hole stays", YesNo),
        ];
    }

    private static (string, string)[] Numbers(double[] values, string unit) =>
        values.Select(v => (v.ToString(System.Globalization.CultureInfo.InvariantCulture), Say.Number(v) + unit)).ToArray();
}
