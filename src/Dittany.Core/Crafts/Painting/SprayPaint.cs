using System.Globalization;
using Dittany.Core.Decisions;
using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Operations;

namespace Dittany.Core.Crafts.Painting;

/// <summary>Sprayed through a stencil of sticky film: one film, colour by colour with the others masked, from light to dark.</summary>
public sealed class SprayPaint : ICraft
{
    /// <summary>Lines become strokes: of letters this share of their height, else at least so wide, mm (from memory).</summary>
    private const double LetterShare = 1 / 7.0;

    private const double LineLeastMm = 2;

    private const double LineShare = 1 / 40.0;

    /// <summary>Film round what is cut out, mm (common practice); paper or card laid round it, mm (from memory).</summary>
    public const double FilmRoundMm = 20;

    public const double MaskedMm = 150;

    /// <summary>Paint that stays on cloth in one coat, ml per cm²; coats; what is lost beside it, as a factor (from memory).</summary>
    public const double CoatMlPerCm2 = 0.03;

    public const int Coats = 2;

    public const double LostFactor = 2;

    /// <summary>So long the paint dries before the film comes off (common practice).</summary>
    public const double DryHours = 4;

    /// <summary>A first wash is due after so many days (from memory; the tin's own sheet counts).</summary>
    public const int WashAfterDays = 7;

    /// <summary>
    /// Minutes (from memory): 10 cm of cut line, laying the film, masking a colour, spraying one, peeling, setting.
    /// </summary>
    private const double CutPer100Mm = 1.2;

    private const double LayMinutes = 4;

    private const double MaskMinutes = 3;

    private const double SprayMinutes = 4;

    private const double PeelMinutes = 3;

    private const double SetMinutes = 6;

    /// <summary>How far paint creeps under the edge or is carried along the thread of the cloth, mm (from memory).</summary>
    private static readonly (string Name, Func<Cloth, bool> When, double Mm)[] Creep =
    [
        ("ribs and coarse weave carry it along", c => c.Kind.Structure is Structure.Canvas or Structure.Twill or Structure.Rib, 0.5),
        ("a smooth weave holds the edge", _ => true, 0.3),
    ];

    public string Id => "paint";

    public string Name => "Sprayed through a stencil";

    public string Manner => "lies on the cloth a little stiff, bears the machine once it is set, and cannot be taken off again";

    public string Done => "painted and set";

    public IReadOnlyList<CraftRule> Against { get; } =
    [
        new("not washed", g => !g.Cloth.Washable, g => $"paint must bear a wash, and {g.Cloth.Kind.Name} of this kind bears none",
            "Take thread.", "common practice"),
        new("no iron", g => g.Cloth.MaxIron == IronLimit.None, g => $"it is set with heat, and {g.Cloth.Kind.Name} bears no iron",
            "Take thread.", "common practice"),
        new("iron", g => !g.Iron, _ => "it is set with heat, and there is no iron", "Tick an iron in the workshop, or take thread.",
            "common practice"),
        new("coated", g => g.Cloth.Coated, _ => "it does not bind on a coating, and flakes", "Take cloth without a coating, or thread.",
            "common practice"),
        new("pile", g => g.Cloth.Pile != Pile.None, _ => "on a pile it sits on the tips, and creeps under the film",
            "Take smooth cloth, or thread.", "common practice"),
        new("stuffed", g => g.Stuffed, _ => "the film must lie flat with a card behind the layer that is painted",
            "Paint it before it is stuffed.", "common practice"),
        new("baby", g => g.Worn.Baby, _ => "what a baby wears or sucks is no ground for spray paint", "Take thread.", "from memory"),
    ];

    public double LineMm(double highMm, bool letter) => letter ? Math.Max(LineLeastMm, highMm * LetterShare)
        : Math.Max(LineLeastMm, highMm * LineShare);

    public double Minutes(CraftSize size) => CutMinutes(size.EdgeMm + (2 * size.LineMm)) + LayMinutes + (size.Colours * SprayMinutes)
        + ((size.Colours - 1) * MaskMinutes) + PeelMinutes + SetMinutes;

    public Crafted Make(CraftQuestion question)
    {
        var layers = Layers(question.Pieces);
        var parts = layers.Select((layer, i) => new CraftPart(
            string.Create(CultureInfo.InvariantCulture, $"{question.Element}/paint-{i + 1}"), Id, question.Element,
            Roles(layer.Roles), layer.Colour, i + 1, layer.Stencil.Cut,
            new Use($"textile spray, {Palette.NameOf(layer.Colour)}", Ml(layer.Stencil.Cut.AreaMm2), "ml"))
        {
            BridgesMm = layer.Stencil.Bridges,
            Islands = layer.Stencil.Islands,
        }).ToArray();
        var creep = Creep.First(c => c.When(question.Ground.Cloth));
        var bridges = layers.Sum(l => l.Stencil.Bridges.Count);
        Told[] because =
        [
            bridges == 0 ? "Nothing in it would fall out of the film, so it needs no bridges."
                : (Told)($"{Say.Count(layers.Sum(l => l.Stencil.Islands), "piece")} of film would fall out: {Say.Count(bridges, "bridge")} "
                    + $"of {Say.Length(Stencil.LeastWebMm)} hold them, and stay as gaps in the paint."),
            .. layers.Sum(l => l.LostMm2) > 1 ? [(Told)($"Where openings come nearer than {Say.Length(Stencil.LeastWebMm)} they are drawn back: "
                + $"thinner film tears.")] : Array.Empty<Told>(),
            $"At its edge paint goes {Say.Length(creep.Mm)} further: {creep.Name}.",
            .. layers.Count > 1 ? [(Told)$"{Say.Upper(Say.List(layers.Select(l => Palette.NameOf(l.Colour)).ToArray()))}, from light to "
                + "dark: a dark colour covers what of a light one lies under it."] : Array.Empty<Told>(),
        ];
        return new Crafted(parts, [.. Before(question, layers, parts), .. After(question.Ground)], Cautions(question.Ground),
            Concerns(question, layers),
            [new CareLimit("paint", "from memory", InsideOut: true, FirstWashAfterDays: WashAfterDays, NeverOn: "the paint")], because);
    }

    private sealed record Layer(string Colour, IReadOnlyList<string> Roles, Stencil Stencil, double LostMm2);

    /// <summary>Openings may lose this share to the film between them before the shape is another one (from memory).</summary>
    private const double LostShare = 0.06;

    /// <summary>
    /// One stencil a colour, the lightest first. A line on an area of its own colour would be lost in it: it stays as a gap, as wide as a
    /// web.
    /// </summary>
    private static IReadOnlyList<Layer> Layers(IReadOnlyList<CraftPiece> pieces) => pieces.GroupBy(p => p.Colour, StringComparer.Ordinal)
        .OrderByDescending(g => Colour.Parse(g.Key).ToLab().L).ThenBy(g => g.Key, StringComparer.Ordinal).Select(colour =>
        {
            var areas = Region.All(colour.Where(p => !p.Line).Select(p => p.Area));
            bool Lost(Region line) => areas.BoxMeets(line) && line.Within(areas).AreaMm2 > LostOnShare * line.AreaMm2;
            var lines = colour.Where(p => p.Line).ToLookup(p => Lost(p.Area), p => p.Area);
            var open = Region.All([areas.Without(lines[true].Select(l => l.OffsetCoarsely(-Math.Max(0,
                (WidthOf(l) - Stencil.LeastWebMm) / 2)))
                .ToArray()), .. lines[false]]);

            (open, var lost) = Stencil.HeldApart(open.Coarser(Stencil.KnifeMm));
            return new Layer(colour.Key, colour.Select(p => p.Role).Distinct(StringComparer.Ordinal).ToArray(), Stencil.Of(open), lost);
        }).Where(l => !l.Stencil.Cut.IsEmpty).ToArray();

    /// <summary>A line of which more than this share lies on an area of its own colour would be lost in it (from memory).</summary>
    private const double LostOnShare = 0.7;

    /// <summary>How wide a long thin area is on average, mm.</summary>
    private static double WidthOf(Region line) => 2 * line.AreaMm2 / Math.Max(1e-9, line.AroundMm);

    private static double CutMinutes(double mm) => mm / 100 * CutPer100Mm;

    /// <summary>To a tenth of a millilitre, and never none: the least press of a tin gives as much.</summary>
    private static double Ml(double areaMm2) => Math.Max(0.1, Math.Round(areaMm2 / 100 * CoatMlPerCm2 * Coats * LostFactor, 1,
        MidpointRounding.AwayFromZero));

    private static Operation[] Before(CraftQuestion question, IReadOnlyList<Layer> layers, IReadOnlyList<CraftPart> parts)
    {
        if (layers.Count == 0)
        {
            return [];
        }

        var all = Region.All(layers.Select(l => l.Stencil.Cut));
        var (least, most) = all.Box;
        var (wide, high) = (most.X - least.X + (2 * FilmRoundMm), most.Y - least.Y + (2 * FilmRoundMm));
        var film = new Use("sticky film", Math.Round(layers.Count * wide * high / 1e6, 4), "m²");
        var one = layers.Count == 1;
        return
        [
            new Operation(new OpId("stencil", question.Element), OpKind.Cut, Station.Transfer, Place.Table,
                [new("cutting the stencil", CutMinutes(layers.Sum(l => l.Stencil.Cut.AroundMm))), new("laying the film", LayMinutes)],
                [
                    $"Print the cutting sheet, stick {(one ? "a piece" : $"{layers.Count} pieces")} of film {Say.Length(Math.Round(wide))} × "
                        + $"{Say.Length(Math.Round(high))} over it and cut along the lines, on a mat, the small openings first.",
                    .. layers.Any(l => l.Stencil.Bridges.Count > 0) ? [(Told)"Leave the bridges standing: they hold what would fall out."]
                        : Array.Empty<Told>(),
                    $"Lay the item flat{(question.Ground.TwoLayers ? ", with card between its layers, so that nothing comes through to the back" : " on card")}.",
                    "Peel the film, lay it by the marks, and press every edge flat: where it lifts, paint creeps under.",
                    $"Lay paper round it, {Say.Length(MaskedMm)} on all sides.",
                ], Uses: [film]),
            new Operation(new OpId("paint", question.Element), OpKind.Paint, Station.Stitches, Place.Table,
                [new("spraying", (layers.Count * SprayMinutes) + ((layers.Count - 1) * MaskMinutes))],
                [
                    "Out of doors or by an open window, with a mask: shake the tin for as long as it says, and try it on paper.",
                    .. layers.Select((l, i) => (Told)($"{(one ? "Spray" : $"{i + 1}: spray")} {Palette.NameOf(l.Colour)} in {Coats} thin coats of short strokes, "
                        + $"straight from above{(one ? string.Empty : $", the {Roles(l.Roles)}; the other openings are masked")}.")),
                ], Uses: parts.Select(p => p.Amount).ToArray())
            { Leaves = [Trace.WetPaint, Trace.UnsetPaint, Trace.FreshPaint] },
            new Operation(new OpId("paint-dry", question.Element), OpKind.Dry, Station.Finish, Place.Table, [new("drying", 0)],
                [$"Leave film and card where they are for {Say.Number(DryHours)} hours."], new Wait(WaitKind.Drying, DryHours * 60))
            { Clears = [Trace.WetPaint] },
            new Operation(new OpId("peel", question.Element), OpKind.Remove, Station.Finish, Place.Table, [new("peeling the film", PeelMinutes)],
                ["Peel the film slowly, back on itself; touch up the gaps of bridges with a brush if you like them closed."]),
        ];
    }

    private static Operation[] After(CraftGround ground) =>
    [
        new Operation("paint-set", OpKind.Press, Station.Finish, Place.Iron, [new("setting the paint", SetMinutes)],
            [$"Set it with a dry iron from the back, as the tin says: {Heat(ground.Cloth.MaxIron)}, kept moving, some minutes for a hand's width."])
        { Iron = new Ironing(ground.Cloth.MaxIron), Clears = [Trace.UnsetPaint] },
    ];

    private static string Heat(IronLimit limit) => limit switch
    {
        IronLimit.ThreeDots => "up to three dots on this cloth",
        IronLimit.TwoDots => "no more than two dots on this cloth",
        _ => "no more than one dot on this cloth, so longer",
    };

    private static Caution[] Cautions(CraftGround ground) =>
    [
        new("spray", CautionKind.Person, Severity.Caution,
            "Spray paint: fresh air and a mask, no flame or spark near it, gloves, and read the tin's own safety sheet first.", Station.Stitches),
        new("blade", CautionKind.Person, Severity.Caution,
            "A sharp blade cuts with little force: on a mat, away from the hand that holds, and shut when it lies down.", Station.Transfer),
        new("paint-stays", CautionKind.Item, Severity.Caution,
            "Paint cannot be taken off again: try colour, cover and setting on an offcut of the same cloth, through its wash.", Station.Transfer),
        .. ground.Cloth.Stretchy ? [new Caution("paint-stretch", CautionKind.Item, Severity.Note,
            "This cloth stretches, and paint cracks where it is pulled: take one made for knits, in thin coats.", Station.Stitches)]
            : Array.Empty<Caution>(),
        .. ground.Cloth.Dark ? [new Caution("paint-dark", CautionKind.Item, Severity.Note,
            "On dark cloth only an opaque paint covers: spray white first, or choose one that says so.", Station.Stitches)] : Array.Empty<Caution>(),
    ];

    private static List<Concern> Concerns(CraftQuestion question, IReadOnlyList<Layer> layers)
    {
        var concerns = new List<Concern>();
        var opening = layers.Select(l => l.Stencil.NarrowestOpeningMm()).Where(w => w is not null).DefaultIfEmpty(null).Min();
        var lost = layers.Sum(l => l.LostMm2) / Math.Max(1e-9, layers.Sum(l => l.LostMm2 + l.Stencil.Openings.AreaMm2));
        if (lost > LostShare)
        {
            concerns.Add(new Concern("web", null, Math.Round(lost, 3),
                $"Its openings stand so near each other that {Say.Number(100 * lost, 0)} % of {question.Named} must stay film, or the film "
                    + $"between them would be under {Say.Length(Stencil.LeastWebMm)} wide and tear.", Larger(question, Math.Sqrt(lost / LostShare))));
        }

        // Drawn back too far everything is narrow: that is said once.
        if (concerns.Count == 0 && opening is { } fine)
        {
            concerns.Add(new Concern("opening", null, fine,
                $"Parts of {question.Named} are only {Say.Length(fine)} wide: through less than {Say.Length(Stencil.LeastOpeningMm)} "
                    + $"hardly any paint goes.", Larger(question, Stencil.LeastOpeningMm / fine)));
        }

        return concerns;
    }

    private static Remedy[] Larger(CraftQuestion question, double by)
    {
        var high = Math.Ceiling(question.HighMm * by * 1.02);
        return question.IsMotif ? [new Remedy(HeightMm: high)] : [new Remedy(CapHeightMm: high)];
    }

    private static string Roles(IReadOnlyList<string> roles) => Say.List(roles.Select(r => Designs.Roles.Called(r)).ToArray());
}
