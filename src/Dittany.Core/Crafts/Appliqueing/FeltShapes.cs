using System.Globalization;
using Dittany.Core.Decisions;
using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Operations;
using Dittany.Core.Transfer;

namespace Dittany.Core.Crafts.Appliqueing;

/// <summary>
/// Areas cut from felt or cotton and sewn on along their edges with tiny straight stitches; lines are stitched over them as always.
/// </summary>
public sealed class FeltShapes : ICraft
{
    /// <summary>Edge stitches stand so far apart and are so long, mm (from memory); seconds each takes (from memory).</summary>
    public const double EdgePitchMm = 2;

    public const double EdgeStitchMm = 2;

    private const double SecondsPerStitch = 7;

    /// <summary>Thread that a piece takes besides its stitches, for both ends, mm (common practice).</summary>
    private const double EndsMm = 200;

    /// <summary>A piece under another reaches so far beneath it, mm (from memory).</summary>
    public const double UnderMm = 4;

    /// <summary>Smaller across than this a piece cannot be cut cleanly or held while it is sewn, mm (from memory).</summary>
    public const double LeastAcrossMm = 6;

    /// <summary>Felt is sold in sheets of this size, mm, and cut with so much left round each piece (from memory).</summary>
    public const double SheetWideMm = 300;

    public const double SheetHighMm = 200;

    public const double BetweenMm = 5;

    /// <summary>Minutes (from memory): fusing one colour, cutting 10 cm, laying one piece.</summary>
    private const double FuseMinutes = 3;

    private const double CutPer100Mm = 0.8;

    private const double LayMinutes = 0.7;

    public string Id => "applique";

    public string Name => "Felt shapes sewn on";

    public string Manner => "stands up a little, washes by hand if the felt is of wool, and comes off again by its stitches";

    public Kept Keeps => Kept.Lines;

    public double TuckMm => UnderMm;

    public string Done => "laid with its pieces, and they are sewn on";

    public IReadOnlyList<CraftRule> Against { get; } =
    [
        new("stretch", g => g.Cloth.StretchPercent >= 30, _ => "cloth that stretches so much puckers round a piece that does not",
            "Take woven cloth, or thread.", "from memory"),
        new("coated", g => g.Cloth.Coated, _ => "a coating keeps every hole along its edges, and lets water in", "Take uncoated cloth.",
            "common practice"),
    ];

    public string? Lacks(CraftSize size) => size.AreaMm2 <= 0 ? "it is all lines, and there is no area to cut out" : null;

    public double LineMm(double highMm, bool letter) => 0;

    public double Minutes(CraftSize size) => (size.Colours * FuseMinutes) + (size.EdgeMm / 100 * CutPer100Mm) + (size.Pieces * LayMinutes)
        + (size.EdgeMm / EdgePitchMm * SecondsPerStitch / 60);

    public Crafted Make(CraftQuestion question)
    {
        var areas = question.Pieces.Where(p => !p.Line).ToArray();
        if (areas.Length == 0)
        {
            return new Crafted([], [], [], [new Concern("nothing-to-cut", null, null,
                $"{Say.Upper(question.Named)} is all lines: there is no area to cut out.", [])], [], []);
        }

        var parts = areas.Select((p, i) => new CraftPart(
            string.Create(CultureInfo.InvariantCulture, $"{question.Element}/applique-{i + 1}"), Id, question.Element, p.Role, p.Colour,
            i + 1, p.Area, new Use($"felt, {Palette.NameOf(p.Colour)}", Math.Round(p.Area.AroundMm / EdgePitchMm), "edge stitches"))).ToArray();
        var edge = areas.Sum(p => p.Area.AroundMm);
        var colours = areas.GroupBy(p => p.Colour, StringComparer.Ordinal).ToArray();
        Use[] felt = colours.Select(g => new Use($"felt, {Palette.NameOf(g.Key)}", Sheets(g.Select(p => p.Area)), "sheets")).ToArray();
        Use[] thread = colours.Select(g => new Use($"sewing thread, {Palette.NameOf(g.Key)}",
            Math.Round(g.Sum(p => ThreadMm(p.Area.AroundMm))), "mm")).ToArray();
        var fuses = question.Ground.Iron && question.Ground.Cloth.MaxIron >= IronLimit.TwoDots && !question.Ground.Stuffed;
        Operation cut = new(new OpId("pieces", question.Element), OpKind.Cut, Station.Transfer, Place.Table,
            [.. fuses ? [new StepMinutes("fusing the web", colours.Length * FuseMinutes)] : Array.Empty<StepMinutes>(), new("cutting the pieces", edge / 100 * CutPer100Mm)],
            [
                fuses ? "Print the cutting sheet: it is mirrored, because it is traced onto the paper of a fusible web and ironed to the back of the felt."
                    : "Print the cutting sheet: it is mirrored, so cut the shapes out of the paper and draw round them on the back of the felt.",
                .. colours.Select(g => (Told)($"{Say.Upper(Palette.NameOf(g.Key))}: {Say.Count(g.Count(), "piece")}, from "
                    + $"{Say.Count((int)Sheets(g.Select(p => p.Area)), "sheet")} of {Say.Length(SheetWideMm)} × {Say.Length(SheetHighMm)}.")),
                "Cut on the line: felt does not fray, and needs no seam.",
            ], Uses: [.. felt, .. fuses ? [new Use("fusible web", Math.Round(areas.Sum(p => BoxMm2(p.Area)) / 1e6, 4), "m²")] : Array.Empty<Use>()]);
        Operation lay = new(new OpId("lay", question.Element), OpKind.Back, Station.Transfer, fuses ? Place.Iron : Place.Table,
            [new("laying the pieces", areas.Length * LayMinutes)],
            [
                fuses ? "Peel the paper off, lay the pieces by the template, the undermost first, and fuse them with a damp cloth."
                    : "Lay the pieces by the template, the undermost first, and tack each down in its middle.",
                $"Number 1 first: {Say.List(parts.Select(p => $"{p.Order} {Designs.Roles.Called(p.Role)}").Take(8).ToArray())}"
                    + $"{(parts.Length > 8 ? " and so on" : string.Empty)}.",
            ])
        { Iron = fuses ? new Ironing(IronLimit.TwoDots, Steam: true) : null };
        Operation sew = new(new OpId("sew-on", question.Element), OpKind.Sew, Station.Stitches, Place.Needle,
            [new("sewing the edges", edge / EdgePitchMm * SecondsPerStitch / 60)],
            [
                $"Sew along every edge with one strand in its own colour: stitches of {Say.Length(EdgeStitchMm)} straight in from the cloth, "
                    + $"{Say.Length(EdgePitchMm)} apart, one exactly in each point.",
            ], Uses: thread);
        var small = areas.Where(p => Across(p.Area) < LeastAcrossMm).ToArray();
        Concern[] concerns = small.Length == 0 ? [] :
        [
            new Concern("piece-too-small", null, Math.Round(small.Min(p => Across(p.Area)), 2),
                $"{Say.Upper(Say.Count(small.Length, "piece"))} of {question.Named} {(small.Length == 1 ? "is" : "are")} under "
                    + $"{Say.Length(LeastAcrossMm)} across: too small to cut cleanly and to hold while they are sewn.",
                question.IsMotif ? [new Remedy(HeightMm: Larger())] : [new Remedy(CapHeightMm: Larger())]),
        ];
        double Larger() => Math.Ceiling(question.HighMm * LeastAcrossMm / small.Min(p => Across(p.Area)) * 1.02);

        return new Crafted(parts, [cut, lay, sew],
            question.Ground.Worn.Wearer is "baby" or "child"
                ? [new Caution("pieces-sewn-fast", CautionKind.Person, Severity.Caution,
                    "For a child every piece is sewn all round and its ends are fastened twice: what comes off goes into a mouth.",
                    Station.Stitches)] : [],
            concerns, [new CareLimit("felt sewn on", "common practice", Cleaning.ByHand, 30, NoRubbing: true, NeverOn: "the felt")],
            [$"{Say.Upper(Say.Count(parts.Length, "piece"))} in {Say.Count(colours.Length, "colour")}, with "
                + $"{Say.Number(Math.Round(edge / EdgePitchMm), 0)} edge stitches; what lies under another reaches {Say.Length(UnderMm)} beneath it."]);
    }

    /// <summary>Thread for an edge of this length, mm: each stitch in front, and the slant to the next one behind.</summary>
    public static double ThreadMm(double edgeMm) => (edgeMm / EdgePitchMm * (EdgeStitchMm + Math.Sqrt((EdgeStitchMm * EdgeStitchMm)
        + (EdgePitchMm * EdgePitchMm)))) + EndsMm;

    /// <summary>The smaller side of its box, mm.</summary>
    private static double Across(Region area)
    {
        var (least, most) = area.Box;
        return Math.Min(most.X - least.X, most.Y - least.Y);
    }

    private static double BoxMm2(Region area)
    {
        var (least, most) = area.Box;
        return (most.X - least.X + BetweenMm) * (most.Y - least.Y + BetweenMm);
    }

    /// <summary>Sheets that hold the pieces as they nest, a piece larger than one counted by itself.</summary>
    private static double Sheets(IEnumerable<Region> pieces)
    {
        var (leaves, tooLarge) = PaperNest.Lay(pieces.Select((p, i) => Shape(p, i.ToString(CultureInfo.InvariantCulture))).ToArray(),
            SheetWideMm, SheetHighMm);
        return leaves.Count + tooLarge.Sum(p => Math.Ceiling(p.WidthMm / SheetWideMm) * Math.Ceiling(p.HeightMm / SheetHighMm));
    }

    /// <summary>A piece as it is nested: its outer edge, and the edges of its holes.</summary>
    private static PaperShape Shape(Region piece, string name)
    {
        var rings = piece.Rings.OrderByDescending(Region.AreaOf).ToArray();
        var (least, most) = piece.Box;
        return new PaperShape(name, rings[0], Pt.Lerp(least, most, 0.5), false, rings.Skip(1).ToArray());
    }

    /// <summary>
    /// Its pieces as they are traced onto the web, mirrored, one for every part that hangs together, with its number and what it is.
    /// </summary>
    public static IReadOnlyList<PaperShape> Mirrored(IEnumerable<CraftPart> parts) => parts.SelectMany(part =>
        part.ShapeMm.Pieces().Select(p => Shape(Region.Mirrored(p), string.Create(CultureInfo.InvariantCulture, $"{part.Order} {part.Role}, {Palette.NameOf(part.Colour)}"))))
        .ToArray();
}
