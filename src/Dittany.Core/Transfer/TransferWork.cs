using Dittany.Core.Decisions;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Operations;

namespace Dittany.Core.Transfer;

/// <summary>What a transfer is planned for: the design with its margin, all its line, and whether the cloth is dark.</summary>
public sealed record TransferSize(double WidthMm, double HeightMm, double LineMm, bool Dark);

/// <summary>The operations of a transfer in order, with their minutes, waits and what they use (minutes from memory).</summary>
public static class TransferWork
{
    /// <summary>
    /// Tracing 10 cm of line on light and on dark cloth; printing and cutting a sheet; tacking 10 cm; smoothing a sheet; ironing a
    /// transfer; drawing; fusing.
    /// </summary>
    public const double TracePer100Mm = 1;

    public const double TraceDarkPer100Mm = 1.5;

    public const double PrintAndCut = 5;

    public const double TackPer100Mm = 1.2;

    public const double Smooth = 3;

    public const double IronOn = 4;

    /// <summary>Laying film that the hoop holds.</summary>
    public const double LayFilm = 1;

    public const double Draw = 6;

    public const double Fuse = 5;

    /// <summary>What was fused lies flat until it is cold before anything is drawn (common practice; the minutes from memory).</summary>
    private const double FusedCoolMinutes = 10;

    /// <summary>A transfer or a paper that was ironed on cools before it is touched (from memory).</summary>
    private const double IronedCoolMinutes = 5;

    /// <summary>Thread to tack with: once round and some over, doubled (common practice: 20 cm over).</summary>
    private const double TackingOverMm = 200;

    private const double SquareMmPerSquareM = 1e6;

    public static IReadOnlyList<Operation> For(Method method, Ink marker, StabiliserSet stabiliser, bool? mirrored, int sheets, bool tacked,
        TransferSize size, Called called)
    {
        var work = new List<Operation>();
        var round = 2 * (size.WidthMm + size.HeightMm);
        var tack = round / 100 * TackPer100Mm;
        var trace = size.LineMm / 100 * (size.Dark && MarkerRules.OnCloth(method) ? TraceDarkPer100Mm : TracePer100Mm);
        Use area(string what) => new(what, Math.Round(size.WidthMm * size.HeightMm / SquareMmPerSquareM, 4), "m²");
        var tackingThread = new Use("tacking thread", Math.Round(2 * (round + TackingOverMm)), "mm");
        if (stabiliser.Has("fusible-knit-behind"))
        {
            work.Add(new(
                "fuse", OpKind.Back, Station.Transfer, Place.Iron, [new("fusing the backing", Fuse)],
                ["Fuse the soft knit backing behind, before any mark is made, and let it cool lying flat: heat after marking could set "
                    + "the line or take it out."],
                new Wait(WaitKind.Cooling, FusedCoolMinutes), [area("fusible knit backing")])
            { Iron = new Ironing(IronLimit.TwoDots) });
        }

        if (stabiliser.Has("cut-away-behind"))
        {
            work.Add(Backed("cut-away", "Tack the soft cut-away behind, wider than the hoop, before any mark is made.",
                "soft cut-away backing"));
        }

        if (stabiliser.Has("tear-away-behind"))
        {
            work.Add(Backed("tear-away", "Lay the tear-away behind, wider than the work, and tack it.", "tear-away backing"));
        }

        if (mirrored is { } turned)
        {
            work.Add(new(
                "print", OpKind.Print, Station.Transfer, Place.Table, [new("printing and cutting", PrintAndCut * sheets)],
                [method.Id == "stick-on-sheet"
                    ? $"Print it on the stick-on sheet itself, in pale grey, as it reads, "
                        + $"{(sheets == 1 ? "on one sheet" : $"on {sheets} sheets")}, measure the check line (100 mm), and cut it out with "
                        + $"its margin."
                    : $"Print the template {(turned ? "mirrored" : "as it reads, not mirrored")}, "
                        + $"{(sheets == 1 ? "on one sheet" : $"on {sheets} sheets joined at their marks")}, measure the check line (100 mm), "
                        + $"and cut it out with its margin."],
                Uses: [new Use(method.Id == "stick-on-sheet" ? "stick-on sheet" : "paper", sheets, "sheets")]));
        }

        work.AddRange(Marked(method, marker, tacked, trace, tack, size, called).Select(o => o.Id == "mark" ? o with { Leaves = Left(method, marker) } : o));
        if (stabiliser.Has("film-on-top"))
        {
            if (method.Id is not "film-traced" and not "stick-on-sheet")
            {
                work[^1] = work[^1] with
                {
                    Steps = [.. work[^1].Steps,
                    "Lay plain film over the marks, to keep the stitches out of the pile, and tack it round the edge."]
                };
            }

            work[^1] = work[^1] with
            {
                Leaves = [.. work[^1].Leaves, Trace.Film],
                Uses = [.. work[^1].Uses ?? [], area("water-soluble film"), .. tacked || method.Id != "film-traced"
                ? [tackingThread] : Array.Empty<Use>()]
            };
        }

        return work;

        Operation Backed(string id, string step, string what) =>
            new(id, OpKind.Back, Station.Transfer, Place.Table, [new("tacking the backing", tack)], [step],
                Uses: [area(what), tackingThread]);
    }

    /// <summary>What marking leaves on the cloth that water or heat takes out again.</summary>
    private static Trace[] Left(Method method, Ink marker) =>
    [
        .. MarkerRules.OnCloth(method) ? marker.GoesBy switch
        {
            GoesBy.ColdWater or GoesBy.AirOrWater => [Trace.MarkForWater],
            GoesBy.Heat => [Trace.MarkForHeat],
            _ => Array.Empty<Trace>(),
        } : [],
        .. method.Id == "carbon" ? [Trace.MarkForWater] : Array.Empty<Trace>(),
        .. method.Id is "stick-on-sheet" ? [Trace.Film] : Array.Empty<Trace>(),
    ];

    private static Operation[] Marked(Method method, Ink marker, bool tacked, double trace, double tack, TransferSize size,
        Called called)
    {
        switch (method.Id)
        {
            case "light-trace":
                return [Mark("tracing", trace,
                    "Tape the print to the light, face up, and the cloth over it, right side up, the placement marks on the lines.",
                    $"Trace with {marker.Name}, thin, one line only.")];
            case "thin-cloth-trace":
                return [Mark("tracing", trace, "Tape the print behind the cloth, face up, the placement marks on the lines.",
                    $"Trace with {marker.Name}, thin, one line only.")];
            case "film-traced":
                return
                [
                    Mark(
                        tacked ? "tracing and tacking" : "tracing and laying the film", trace + (tacked ? tack : LayFilm),
                        $"Cut film {Say.Length(Math.Ceiling(size.WidthMm))} × {Say.Length(Math.Ceiling(size.HeightMm))}: that leaves "
                            + $"{Say.Length(TransferRoom.CutMarginMm)} all round. Lay it over the print and trace with {marker.Name}.",
                        "Lay the film on the face, the right way round, its lines on the placement marks, and check that it is level.",
                        tacked ? (Told)($"Pin it, tack round the edge in a bright thread, "
                            + $"{Say.Cm(Math.Ceiling(((2 * (size.WidthMm + size.HeightMm)) + TackingOverMm) / 10))} of it doubled, and take the pins out.")
                            : "Hoop film and cloth together, and smooth the film after every move of the hoop."),
                ];
            case "stick-on-sheet":
                return [Mark("sticking the sheet down", Smooth,
                    "Peel the sheet, lay it on the face on the placement marks, and smooth every corner down; press it down again after "
                        + "every move of the hoop.")];
            case "hot-iron":
                return
                [
                    Pencilled("drawing on the print", trace,
                        "Cut away what must not print. Go over the mirrored print with a transfer pencil, on the printed side. Test a "
                            + "corner of it on a scrap."),
                    Ironed(IronLimit.ThreeDots, "Pin it face down on the face of the cloth. Dry iron, cotton setting, no steam: press, do not slide; lift a "
                        + "corner to look before unpinning. Once off it is never laid back."),
                ];
            case "coated-paper":
                return
                [
                    Ironed(IronLimit.TwoDots, "Iron the paper, coated side to the wrong side of the cloth, dry, until it holds; plastic-coated ironing paper "
                        + "only, waxed kitchen paper greases the cloth."),
                    Mark("tracing", trace,
                        $"Turn over onto the light and trace with {marker.Name} only now, for the iron would take a heat-erasable line; "
                            + $"peel the paper off before stitching."),
                ];
            case "cut-out":
                return [Mark("tracing", trace,
                    $"Cut the shapes out, try them on the item, and draw round them with {marker.Name}; cut inwards bit by bit for inner "
                        + $"lines.")];
            case "carbon":
                return [Mark("tracing", trace,
                    "Lay the carbon face down on the cloth, the print face up on it, and go over the lines with an empty pen.")];
            case "prick-and-pounce":
                return [Mark("tracing", trace,
                    $"Prick the lines, lay the paper on the cloth, rub powder through, and join the dots with {marker.Name}.")];
            case "tissue":
                return
                [
                    Mark(
                        "tracing and tacking along the lines", trace + (size.LineMm / 100 * TackPer100Mm),
                        $"Trace onto tissue with {marker.Name}, lay it on the face on the placement marks, and tack along the lines in "
                            + $"small stitches.",
                        "Tear the tissue away from the tacked lines before stitching, holding the cloth with a thumb."),
                ];
            case "tacked-from-back":
                return [Mark("tracing and tacking along the lines", trace + (size.LineMm / 100 * TackPer100Mm),
                    $"Lay the mirrored print on the wrong side, go over it with {marker.Name}, and tack along the lines, long on the "
                        + $"face, short behind.")];
            default:
                return [Mark("drawing", Draw, called.AreWords
                    ? $"Draw a base line and the height of the capitals with a ruler, then the letters with {marker.Name}."
                    : $"Draw the box it goes into and its middle with a ruler, then {called.All} with {marker.Name}, the large lines "
                        + $"first.")];
        }

        static Operation Mark(string step, double minutes, params Told[] steps) =>
            new("mark", OpKind.Mark, Station.Transfer, Place.Table, [new(step, minutes)], steps);

        // On paper yet: it comes onto the cloth with the iron.
        static Operation Pencilled(string step, double minutes, params Told[] steps) => Mark(step, minutes, steps) with { Id = "pencil" };

        static Operation Ironed(IronLimit atMost, string step) => new("iron-on", OpKind.Mark, Station.Transfer, Place.Iron,
            [new("ironing on", IronOn)], [step], new Wait(WaitKind.Cooling, IronedCoolMinutes))
        { Iron = new Ironing(atMost) };
    }
}
