using System.Globalization;
using Dittany.Core.Decisions;
using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Operations;

namespace Dittany.Core.Crafts.Felting;

/// <summary>Wool stabbed into the cloth with a barbed needle: areas in layers, lines as thin strips, the border last.</summary>
public sealed class NeedleFelt : ICraft
{
    /// <summary>Wool in one layer, g per cm²; layers (from memory).</summary>
    public const double GramsPerCm2 = 0.02;

    public const int Layers = 2;

    /// <summary>Stabs to hold one cm² of one layer, and stabs in a minute (from memory).</summary>
    public const double StabsPerCm2 = 50;

    public const double StabsPerMinute = 90;

    /// <summary>Tearing and laying one piece; rubbing the needle marks out; minutes (from memory).</summary>
    private const double LayMinutes = 1;

    private const double RubMinutes = 2;

    /// <summary>A strip is this wide, and what is narrower does not hold, mm (from memory).</summary>
    public const double StripMm = 4;

    public string Id => "felt";

    public string Name => "Needle felted in wool";

    public string Manner => "is soft and raised, is washed by hand and lukewarm only, and leaves a bare patch where it is pulled out";

    public string Done => "felted";

    public bool ComesLast => true;

    public IReadOnlyList<CraftRule> Against { get; } =
    [
        new("under three", g => g.Worn.Baby, _ => "wool comes off in tufts, and a child under three puts it in its mouth",
            "Take thread.", "16 CFR 1501, EN 71-1 for small parts"),
        new("machine", g => g.Worn.Washed == "often", _ => "the machine felts and shrinks it, and this is washed often",
            "Take thread, or wash it by hand.", "common practice"),
        new("coated", g => g.Cloth.Coated, _ => "a coating keeps every hole of the needle", "Take uncoated cloth.", "common practice"),
        new("skin", g => g.Worn.OnSkin, _ => "wool pricks on the skin, and its ends come through behind", "Take thread, or a part that is not worn on the skin.",
            "common practice"),
        new("stuffed", g => g.Stuffed, _ => "a sponge must lie behind the layer that is worked", "Work it before it is stuffed.",
            "common practice"),
        new("stretch", g => g.Cloth.StretchPercent >= 30, _ => "cloth that stretches so much lets go of the wool", "Take woven cloth.",
            "from memory"),
    ];

    public double LineMm(double highMm, bool letter) => Math.Max(StripMm, highMm / 12);

    public double Minutes(CraftSize size) => (size.Pieces * LayMinutes) + RubMinutes
        + StabMinutes(size.AreaMm2 + (size.LineMm * LineMm(size.HighMm, size.Letter)));

    public Crafted Make(CraftQuestion question)
    {
        var parts = question.Pieces.Select((p, i) => new CraftPart(
            string.Create(CultureInfo.InvariantCulture, $"{question.Element}/felt-{i + 1}"), Id, question.Element, p.Role, p.Colour, i + 1,
            p.Area, new Use($"wool, {Palette.NameOf(p.Colour)}", Grams(p.Area), "g"))).ToArray();
        var wool = parts.GroupBy(p => p.Amount.What, StringComparer.Ordinal).Select(g =>
            new Use(g.Key, Math.Round(g.Sum(p => p.Amount.Amount), 2), "g")).ToArray();
        var thin = question.Pieces.Where(p => p.Area.OffsetCoarsely(-StripMm / 2 * 0.7).IsEmpty).ToArray();
        var smallest = thin.Length == 0 ? 0 : thin.Min(p => 2 * p.Area.AreaMm2 / p.Area.AroundMm);
        var high = smallest <= 0 ? 0 : Math.Ceiling(question.HighMm * StripMm * 0.75 / smallest);
        Concern[] concerns = thin.Length == 0 ? [] :
        [
            new Concern("opening", null, Math.Round(smallest, 2),
                $"{Say.Upper(Say.Count(thin.Length, "part"))} of {question.Named} {(thin.Length == 1 ? "is" : "are")} only about "
                    + $"{Say.Length(Math.Round(smallest, 1))} wide: a strip of wool under {Say.Length(StripMm * 0.7)} does not hold.",
                question.IsMotif ? [new Remedy(HeightMm: high)] : [new Remedy(CapHeightMm: high)]),
        ];
        var around = question.Pieces.Where(p => !p.Line).Sum(p => p.Area.AroundMm);
        var behind = question.Ground.TwoLayers ? "Lay the sponge between the layers of the item, under the design: the needle must never "
            + "catch the other one." : "Lay the sponge behind the design.";
        Operation felt = new(new OpId("felt", question.Element), OpKind.Felt, Station.Stitches, Place.Table,
            [new("felting", question.Pieces.Sum(p => MinutesOf(p.Area))), new("rubbing it over", RubMinutes)],
            [
                behind,
                "Tear off a little wool, lay it on, and stab straight down and straight up until it holds; the next little tuft over it.",
                .. parts.GroupBy(p => p.Colour, StringComparer.Ordinal).Select(g => (Told)($"{Say.Upper(Palette.NameOf(g.Key))}: the "
                    + $"{Say.List(g.Select(p => Designs.Roles.Called(p.Role)).Distinct(StringComparer.Ordinal).ToArray())}, "
                    + $"{Say.Number(g.Sum(p => p.Amount.Amount), 2)} g in {Layers} layers.")),
                (Told)"Tuck the edges under along straight lines; a border is one long strip in a contrast, stabbed on last, its end torn thin.",
                .. around <= 0 ? Array.Empty<Told>() : [(Told)($"For a border round all of it tear strips of {Say.Length(Math.Round(around / 10) * 10)} together, "
                    + $"{Say.Number(Math.Round(around / 10 * StripMm / 10 * GramsPerCm2 * Layers, 1))} g of wool.")],
                "Rub it over with a finger until no needle mark is seen, and lift it off the sponge.",
            ], Uses: wool)
        { Leaves = [Trace.FeltedWool] };
        return new Crafted(parts, [felt], Cautions(), concerns,
            [new CareLimit("felted wool", "common practice", Cleaning.ByHand, 30, Flat: true, NoRubbing: true, NeverUnder: "the wool")],
            [$"{Say.Upper(Say.List(wool.Select(w => $"{Say.Number(w.Amount, 2)} g of {w.What}").ToArray()))}, in {Layers} layers, the lowest first.",
                $"About {Say.Number(Math.Round(StabsPerCm2 * Layers))} stabs for a square centimetre."]);
    }

    private static double Grams(Region area) => Math.Round(area.AreaMm2 / 100 * GramsPerCm2 * Layers, 3, MidpointRounding.AwayFromZero);

    private static double MinutesOf(Region area) => LayMinutes + StabMinutes(area.AreaMm2);

    private static double StabMinutes(double areaMm2) => areaMm2 / 100 * StabsPerCm2 * Layers / StabsPerMinute;

    private static Caution[] Cautions() =>
    [
        new("barbed-needle", CautionKind.Person, Severity.Caution,
            "A felting needle is barbed and goes into a finger deeply: eyes on the needle, fingers clear, straight in and straight out.",
            Station.Stitches),
        new("wool-under-three", CautionKind.Person, Severity.Caution,
            "Not for children under three, and nobody with an allergy to wool.", Station.Finish),
    ];
}
