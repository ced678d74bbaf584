using System.Globalization;
using Dittany.Core.Decisions;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Operations;

namespace Dittany.Core.Crafts.Tinting;

/// <summary>Areas tinted with coloured pencil and fixed with a medium, and then a fine line of running stitch along every edge.</summary>
public sealed class PencilTint : ICraft
{
    /// <summary>Medium on what is tinted, ml per cm² (from memory); how long it dries (from memory).</summary>
    public const double MediumMlPerCm2 = 0.02;

    public const double DryMinutes = 60;

    /// <summary>Strands of the line along the edges (common practice).</summary>
    public const int Strands = 2;

    /// <summary>Minutes (from memory): ironing the paper on, light layers and medium on 1 cm², taking the paper off.</summary>
    private const double PaperMinutes = 3;

    private const double TintPerCm2 = 0.8;

    private const double BrushPerCm2 = 0.1;

    private const double OffMinutes = 1;

    public string Id => "tint";

    public string Name => "Tinted with pencil, with a fine line";

    public string Manner => "is as soft as the cloth itself, is washed gently once it is fixed, and pale: half of it goes in the wash where it is not";

    public Kept Keeps => Kept.All;

    public string Done => "tinted and fixed";

    public IReadOnlyList<CraftRule> Against { get; } =
    [
        new("dark", g => g.Cloth.Dark, _ => "pencil does not show on dark cloth", "Take light cloth, or thread.", "common practice"),
        new("pile", g => g.Cloth.Pile != Pile.None, _ => "pencil colours the tips of a pile and nothing else", "Take smooth cloth.",
            "common practice"),
        new("coated", g => g.Cloth.Coated, _ => "pencil slides on a coating", "Take uncoated cloth.", "common practice"),
        new("iron", g => g.Cloth.MaxIron is IronLimit.None or IronLimit.OneDot,
            g => $"the paper behind it is ironed on hot, and {g.Cloth.Kind.Name} does not bear that", "Take cotton or linen.", "common practice"),
        new("no iron", g => !g.Iron, _ => "the paper behind it is ironed on, and there is no iron",
            "Tick an iron in the workshop, or take thread.", "common practice"),
        new("stretch", g => g.Cloth.Stretchy, _ => "cloth that stretches drags under the pencil", "Take woven cloth.", "from memory"),
        new("stuffed", g => g.Stuffed, _ => "it wants a hard table under it", "Tint it before it is stuffed.", "common practice"),
        new("often", g => g.Worn.Washed == "often" && g.Worn.Wearer is "baby" or "child", _ => "it fades where it is washed often",
            "Take thread.", "from memory"),
    ];

    public double LineMm(double highMm, bool letter) => 0;

    public string? Lacks(CraftSize size) => size.AreaMm2 <= 0 ? "it is all lines, and there is no area to tint" : null;

    public double Minutes(CraftSize size) => PaperMinutes + (size.AreaMm2 / 100 * (TintPerCm2 + BrushPerCm2)) + OffMinutes;

    public Crafted Make(CraftQuestion question)
    {
        var areas = question.Pieces.Where(p => !p.Line).ToArray();
        var parts = areas.Select((p, i) => new CraftPart(
            string.Create(CultureInfo.InvariantCulture, $"{question.Element}/tint-{i + 1}"), Id, question.Element, p.Role, p.Colour, i + 1,
            p.Area, new Use("textile medium", Math.Round(p.Area.AreaMm2 / 100 * MediumMlPerCm2, 2), "ml"))).ToArray();
        if (parts.Length == 0)
        {
            return new Crafted([], [], [], [new Concern("nothing-to-tint", null, null,
                $"{Say.Upper(question.Named)} is all lines: there is no area to tint.", [])], [], []);
        }

        var cm2 = areas.Sum(p => p.Area.AreaMm2) / 100;
        Operation tint = new(new OpId("tint", question.Element), OpKind.Tint, Station.Transfer, Place.Table,
            [new("ironing the paper on", PaperMinutes), new("tinting", cm2 * TintPerCm2), new("brushing on the medium", cm2 * BrushPerCm2)],
            [
                $"Iron coated paper behind the cloth, shiny side to it, dry, {Cloths.SettingOf(question.Ground.Cloth.MaxIron)}: it keeps the cloth from giving.",
                "On a hard table, edges first, then light layers in small circles towards the middle; darken layer by layer, and check with "
                    + "the lamp off.",
                .. areas.GroupBy(p => p.Colour, StringComparer.Ordinal).Select(g => (Told)($"{Say.Upper(Palette.NameOf(g.Key))}: the "
                    + $"{Say.List(g.Select(p => Designs.Roles.Called(p.Role)).Distinct(StringComparer.Ordinal).ToArray())}.")),
                "Brush the medium on very thin, on the coloured parts only.",
            ],
            new Wait(WaitKind.Setting, DryMinutes),
            [new Use("coated paper", 1, "sheets"), new Use("textile medium", Math.Round(parts.Sum(p => p.Amount.Amount), 1), "ml")])
        { Iron = new Ironing(question.Ground.Cloth.MaxIron), Leaves = [Trace.UnfixedPencil] };
        Operation off = new(new OpId("paper-off", question.Element), OpKind.Remove, Station.Transfer, Place.Table, [new("taking the paper off", OffMinutes)],
            ["Let it dry on its paper, then take the paper off and keep it: it holds again."])
        { Clears = [Trace.UnfixedPencil] };
        return new Crafted(parts, [tint, off],
            [new Caution("tint-unfixed", CautionKind.Item, Severity.Caution,
                "Until the medium is dry no film, water or steam comes near: unfixed, half the colour is lost. Press it from behind, face down.",
                Station.Transfer)],
            [], [new CareLimit("pencil tint", "from memory", Cleaning.ByHand, 30, NoRubbing: true)],
            [$"{Say.Count(parts.Length, "area")} {(parts.Length == 1 ? "is" : "are")} tinted, and a line of {Strands} strands in small running stitches goes round them."]);
    }
}
