using System.Globalization;
using Dittany.Core.Decisions;
using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Operations;

namespace Dittany.Core.Crafts.Beading;

/// <summary>
/// Beads along every line and edge, one on every point, and sequins, each held by a small bead, where there is room inside.
/// </summary>
public sealed class SewnBeads : ICraft
{
    /// <summary>From bead to bead, in beads (from memory: they touch when the cloth gives).</summary>
    public const double Pitch = 1.12;

    /// <summary>From sequin to sequin, mm (from memory).</summary>
    public const double SequinPitchMm = 6;

    /// <summary>So many more of each are laid out than are sewn on (from memory).</summary>
    public const double SpareShare = 0.1;

    /// <summary>
    /// Thread that goes through the cloth and back beside each bead, mm; ends of a length, mm; a length, mm (from memory).
    /// </summary>
    private const double ThroughMm = 3;

    private const double EndsMm = 120;

    private const double LengthMm = 450;

    /// <summary>Seconds for a bead, and for a sequin with its bead (from memory).</summary>
    private const double BeadSeconds = 12;

    private const double SequinSeconds = 18;

    /// <summary>Laying out by colour, minutes (from memory).</summary>
    private const double LayOutMinutes = 3;

    /// <summary>More than this share of the beads of lines left out is another drawing (from memory).</summary>
    private const double LostShare = 0.25;

    private const int Corners = 12;

    public string Id => "beads";

    public string Name => "Beads and sequins sewn on";

    public string Manner => "glitters and is heavy, is washed by hand and never ironed over, and comes off bead by bead when its thread is cut";

    public string Done => "sewn with beads";

    public bool ComesLast => true;

    public IReadOnlyList<CraftRule> Against { get; } =
    [
        new("under three", g => g.Worn.Baby, _ => "a bead is a small part, and a child under three puts it in its mouth", "Take thread.",
            "16 CFR 1501, EN 71-1 for small parts"),
        new("toy", g => g.Stuffed, _ => "a toy is pulled and bitten until beads come off", "Take thread, and knots for eyes.",
            "16 CFR 1501, EN 71-1 for small parts"),
        new("machine", g => g.Worn.Washed == "often", _ => "the machine knocks beads loose, and this is washed often",
            "Take thread, or wash it by hand.", "common practice"),
        new("skin", g => g.Worn.OnSkin, _ => "beads press into the skin", "Take thread, or a part that is not worn on the skin.",
            "common practice"),
        new("coated", g => g.Cloth.Coated, _ => "a coating keeps every hole of the needle", "Take uncoated cloth.", "common practice"),
        new("stretch", g => g.Cloth.StretchPercent >= 30, _ => "cloth that stretches so much snaps the thread between beads",
            "Take woven cloth.", "from memory"),
    ];

    public double LineMm(double highMm, bool letter) => Bead.For(highMm).AcrossMm;

    public double Minutes(CraftSize size)
    {
        var step = Bead.For(size.HighMm).AcrossMm * Pitch;
        var inside = Math.Max(0, size.AreaMm2 - (size.EdgeMm * 4));
        return LayOutMinutes + ((size.EdgeMm + size.LineMm) / step * BeadSeconds / 60)
            + (inside / (SequinPitchMm * SequinPitchMm * Math.Sqrt(0.75)) * SequinSeconds / 60);
    }

    public Crafted Make(CraftQuestion question)
    {
        var bead = question.Bead ?? Bead.For(question.HighMm);
        var (placed, wished, left, _) = Placed(question, bead);
        var parts = placed.SelectMany((p, i) => Parts(question, bead, p, i)).ToArray();
        var beads = placed.Sum(p => p.Beads.Count);
        var sequins = placed.Sum(p => p.Sequins.Count);
        if (beads + sequins == 0 && wished > 0)
        {
            return new Crafted([], [], [], Crowd(question, bead, wished, left), [], []);
        }

        if (beads + sequins == 0)
        {
            return new Crafted([], [], [], [new Concern("nothing-to-bead", null, null,
                $"{Say.Upper(question.Named)} has no line, edge or point to set a bead on.", [])], [], []);
        }

        var by = placed.GroupBy(p => p.Piece.Colour, StringComparer.Ordinal).ToArray();
        Use[] uses =
        [
            .. by.Where(g => g.Any(p => p.Beads.Count > 0)).Select(g => new Use(
                $"{bead.Name} of {Size(bead)}, {Palette.NameOf(g.Key)}", WithSpares(g.Sum(p => p.Beads.Count)), "pieces")),
            .. by.Where(g => g.Any(p => p.Sequins.Count > 0)).Select(g => new Use(
                $"sequins of {Size(Bead.Sequin)}, {Palette.NameOf(g.Key)}", WithSpares(g.Sum(p => p.Sequins.Count)), "pieces")),
            .. sequins > 0 ? [new Use($"{Bead.Sizes[0].Name} of {Size(Bead.Sizes[0])}, to hold the sequins", WithSpares(sequins), "pieces")]
                : Array.Empty<Use>(),
            .. by.Select(g => new Use($"sewing thread, {Palette.NameOf(g.Key)}",
                Math.Round(ThreadMm(bead, g.Sum(p => p.Beads.Count), g.Sum(p => p.Sequins.Count))), "mm")),
        ];
        Operation sew = new(new OpId("beads", question.Element), OpKind.Sew, Station.Stitches, Place.Needle,
            [new("laying beads out", LayOutMinutes), new("sewing beads on", ((beads * BeadSeconds) + (sequins * SequinSeconds)) / 60)],
            [
                "Only when all else is stitched and pressed and out of the ring: lay the beads out by colour on a cloth, a tenth more than are "
                    + "sewn on.",
                "Mark its lines by the template, with what brushes out or goes in water, on cloth that is pressed already.",
                $"With one strand and {bead.Needle}, the finest that passes the bore: try it through a bead before you begin.",
                .. beads > 0 ? [(Told)($"{Say.Upper(Say.Count(beads, "bead"))}: up where the bead begins, the bead onto the needle, down where it "
                    + $"ends, {Say.Length(Math.Round(bead.AcrossMm * Pitch, 1))} from each to the next; every fifth is sewn twice.")] : Array.Empty<Told>(),
                .. sequins > 0 ? [(Told)($"{Say.Upper(Say.Count(sequins, "sequin"))}: up through its hole, a small bead, and down through the same hole; "
                    + $"{Say.Length(SequinPitchMm)} from each to the next.")] : Array.Empty<Told>(),
                .. by.Select(g => (Told)$"{Say.Upper(Palette.NameOf(g.Key))}: the {Say.List(g.Select(p => Designs.Roles.Called(p.Piece.Role)).Distinct(StringComparer.Ordinal).ToArray())}."),
            ], Uses: uses)
        { Leaves = [Trace.Beads] };
        return new Crafted(parts, [sew],
            [
                new Caution("beads-are-small-parts", CautionKind.Person, Severity.Caution,
                    "Beads and sequins are small parts: never for a child under three, nor where one plays; for an older one sew each of them twice.",
                    Station.Stitches),
            ],
            Crowd(question, bead, wished, left),
            [new CareLimit("beads", "common practice", Cleaning.ByHand, 30, InsideOut: true, NoWringing: true, NeverUnder: "the beads")],
            [
                $"{Say.Upper(Say.Count(beads, "bead"))} of {Size(bead)}{(sequins > 0 ? $" and {Say.Count(sequins, "sequin")}" : string.Empty)}, with a "
                    + $"tenth more to spare.",
            ]);
    }

    /// <summary>
    /// Thread for so many beads and sequins, mm: through each and on to the next, through the cloth both ways; a sequin's goes up and
    /// down its hole; and the ends of every length.
    /// </summary>
    public static double ThreadMm(Bead bead, int beads, int sequins)
    {
        var sewn = (beads * ((bead.AcrossMm * (1 + Pitch)) + ThroughMm))
            + (sequins * ((2 * Bead.Sizes[0].AcrossMm) + SequinPitchMm + ThroughMm));
        return sewn + (Math.Ceiling(sewn / LengthMm) * EndsMm);
    }

    public static int WithSpares(int sewn) => (int)Math.Ceiling(sewn * (1 + SpareShare));

    private sealed record Strung(CraftPiece Piece, IReadOnlyList<Pt> Beads, IReadOnlyList<Pt> Sequins);

    /// <summary>Points first, then lines, then edges: what would crowd what is there already is left out.</summary>
    private static (IReadOnlyList<Strung> Placed, int Wished, int Left, double GapMm) Placed(CraftQuestion question, Bead bead)
    {
        var taken = new Near(bead.AcrossMm);
        var (wished, left, gap) = (0, 0, double.PositiveInfinity);
        var done = new Strung[question.Pieces.Count];
        foreach (var i in Enumerable.Range(0, done.Length).OrderBy(i => Turn(question.Pieces[i])))
        {
            var piece = question.Pieces[i];
            var places = piece.Line ? Spaced(piece.AlongMm, bead)
                : (question.Part ? Inward(piece.Area, bead) : Edges(piece.Area, bead))
                    .SelectMany(r => Spaced(r.Count == 1 ? r : [.. r, r[0]], bead)).ToArray();
            var clear = places.Where(p => Free(p) is var free && (gap = Math.Min(gap, free)) >= bead.AcrossMm - GivesMm).ToArray();
            var beads = clear.Where(taken.Free).ToArray();
            if (question.Part && !piece.Line)
            {
                (wished, left) = (wished + places.Count, left + places.Count - clear.Length);
            }

            if (piece.Line)
            {
                wished += places.Count;
                left += places.Count - beads.Length;
            }

            done[i] = new Strung(piece, beads, piece.Line || question.Part ? [] : Sequins(piece.Area, bead));
        }

        return (done, wished, left, gap);

        // As wide as a round may be here without lying on what is stitched.
        double Free(Pt at) => question.Stitched.Count == 0 ? double.PositiveInfinity : 2 * question.Stitched.Min(s =>
            (s.LineMm.Count == 1 ? s.LineMm[0].To(at) : Polyline.ToLine(at, s.LineMm)) - s.HalfMm);
    }

    /// <summary>A bead may be so much wider than its gap, mm: thread gives (from memory).</summary>
    private const double GivesMm = 0.5;

    /// <summary>Rounds from the edge inward, a bead apart; one more in the middle where half a bead's width all round it is left.</summary>
    private static IReadOnlyList<IReadOnlyList<Pt>> Inward(Region area, Bead bead)
    {
        var step = bead.AcrossMm * Pitch;
        var (rings, last) = (new List<IReadOnlyList<Pt>>(), area);
        for (var inward = bead.AcrossMm / 2; area.OffsetCoarsely(-inward) is { IsEmpty: false } round; inward += step)
        {
            rings.AddRange(round.Rings);
            last = round;
        }

        var (least, most) = last.Box;
        return rings.Count > 0 && Math.Min(most.X - least.X, most.Y - least.Y) >= 2 * bead.AcrossMm
            ? [.. rings, [Pt.Lerp(least, most, 0.5)]] : rings;
    }

    private static int Turn(CraftPiece piece) => !piece.Line ? 2 : piece.AlongMm.Count == 1 ? 0 : 1;

    private static IReadOnlyList<IReadOnlyList<Pt>> Edges(Region area, Bead bead) => area.OffsetCoarsely(-bead.AcrossMm / 2).Rings;

    /// <summary>Beads evenly from one end of a line to the other, or round a closed one.</summary>
    private static IReadOnlyList<Pt> Spaced(IReadOnlyList<Pt> line, Bead bead)
    {
        if (line.Count < 2)
        {
            return line;
        }

        var length = Polyline.Length(line);
        var closed = line[0].To(line[^1]) < 1e-6;
        var steps = Math.Max(closed ? 3 : 1, (int)Math.Floor((length / (bead.AcrossMm * Pitch)) + 1e-6));
        return length < bead.AcrossMm ? [Polyline.At(line, length / 2)]
            : Enumerable.Range(0, closed ? steps : steps + 1).Select(i => Polyline.At(line, length * i / steps)).ToArray();
    }

    /// <summary>Sequins in rows set by half, where they lie wholly inside the row of beads.</summary>
    private static IReadOnlyList<Pt> Sequins(Region area, Bead bead)
    {
        var room = area.OffsetCoarsely(-(bead.AcrossMm + (Bead.Sequin.AcrossMm / 2)));
        if (room.IsEmpty)
        {
            return [];
        }

        var (least, most) = room.Box;
        var row = SequinPitchMm * Math.Sqrt(0.75);
        var found = new List<Pt>();
        for (var r = 0; least.Y + (r * row) <= most.Y + 1e-9; r++)
        {
            for (var x = least.X + (r % 2 == 0 ? 0 : SequinPitchMm / 2); x <= most.X + 1e-9; x += SequinPitchMm)
            {
                var at = new Pt(x, least.Y + (r * row));
                if (room.Holds(at))
                {
                    found.Add(at.OnGrid());
                }
            }
        }

        return found;
    }

    private static IEnumerable<CraftPart> Parts(CraftQuestion question, Bead bead, Strung strung, int index)
    {
        string id(string what) => string.Create(CultureInfo.InvariantCulture, $"{question.Element}/{what}-{index + 1}");
        var (piece, colour) = (strung.Piece, Palette.NameOf(strung.Piece.Colour));
        if (strung.Beads.Count > 0)
        {
            yield return new CraftPart(id("beads"), "beads", question.Element, piece.Role, piece.Colour, index + 1, Rounds(strung.Beads,
                bead.AcrossMm), new Use($"{bead.Name} of {Size(bead)}, {colour}", strung.Beads.Count, "pieces"));
        }

        if (strung.Sequins.Count > 0)
        {
            yield return new CraftPart(id("sequins"), "beads", question.Element, piece.Role, piece.Colour, index + 1, Rounds(strung.Sequins,
                Bead.Sequin.AcrossMm), new Use($"sequins of {Size(Bead.Sequin)}, {colour}", strung.Sequins.Count, "pieces"));
        }
    }

    /// <summary>A bead's size as it is sold: in millimetres whatever she measures in.</summary>
    private static string Size(Bead bead) => string.Create(CultureInfo.InvariantCulture, $"{bead.AcrossMm:0.#} mm");

    private static Region Rounds(IReadOnlyList<Pt> places, double acrossMm) => Region.Apart(places.Select(at =>
        (IReadOnlyList<Pt>)Enumerable.Range(0, Corners).Select(k => Math.Tau * k / Corners)
            .Select(a => (at + (new Pt(Math.Cos(a), Math.Sin(a)) * (acrossMm / 2))).OnGrid()).ToArray()));

    private static Concern[] Crowd(CraftQuestion question, Bead bead, int wished, int left)
    {
        if (left <= LostShare * wished)
        {
            return [];
        }

        // The bead may be larger there too, so each height is tried.
        var high = Enumerable.Range(5, 36).Select(k => Math.Ceiling(question.HighMm * k / 4)).FirstOrDefault(h => Clear(question, h));
        return
        [
            new Concern("beads-crowd", null, left,
                question.Part && Placed(question, bead).GapMm is var gap && gap < bead.AcrossMm
                    ? (Told)($"{Say.Upper(Say.Count(left, "bead"))} of {wished} on {question.Named} would lie on stitches: a bead is "
                        + $"{Say.Length(bead.AcrossMm)} wide, and at the narrowest there {(gap >= 1.95 ? "are" : "is")} {Say.Length(Math.Round(Math.Max(0, gap), 1))}.")
                    : $"{Say.Upper(Say.Count(left, "bead"))} of {wished} along the lines of {question.Named} would lie on others: its lines stand nearer than "
                        + $"a bead is wide.", high <= 0 ? [] : question.IsMotif ? [new Remedy(HeightMm: high)] : [new Remedy(CapHeightMm: high)]),
        ];
    }

    /// <summary>Whether its lines hold their beads at this height, mm.</summary>
    private static bool Clear(CraftQuestion question, double highMm)
    {
        var scale = highMm / question.HighMm;
        var (_, wished, left, _) = Placed(question with
        {
            Stitched = question.Stitched.Select(s => ((IReadOnlyList<Pt>)s.LineMm.Select(q => q * scale).ToArray(), s.HalfMm)).ToArray(),
            Pieces = question.Pieces.Where(p => p.Line)
                .Select(p => p with { AlongMm = p.AlongMm.Select(q => q * scale).ToArray() }).ToArray(),
        }, question.Part ? Bead.Sizes[0] : Bead.For(highMm));
        return left <= LostShare * wished;
    }

    /// <summary>Places that keep a distance from each other, found by squares as wide as it.</summary>
    private sealed class Near(double apartMm)
    {
        private readonly Dictionary<(int, int), List<Pt>> _squares = [];

        /// <summary>Whether nothing stands too near; then this stands there too.</summary>
        public bool Free(Pt at)
        {
            var (x, y) = ((int)Math.Floor(at.X / apartMm), (int)Math.Floor(at.Y / apartMm));
            for (var i = x - 1; i <= x + 1; i++)
            {
                for (var j = y - 1; j <= y + 1; j++)
                {
                    if (_squares.TryGetValue((i, j), out var there) && there.Exists(p => p.To(at) < apartMm))
                    {
                        return false;
                    }
                }
            }

            if (!_squares.TryGetValue((x, y), out var here))
            {
                _squares[(x, y)] = here = [];
            }

            here.Add(at);
            return true;
        }
    }
}
