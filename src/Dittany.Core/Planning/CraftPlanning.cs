using Dittany.Core.Crafts;
using Dittany.Core.Decisions;
using Dittany.Core.Designs;
using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.Measures;

namespace Dittany.Core.Planning;

/// <summary>One element as planned, with what a craft other than thread makes of it; null where it is stitched.</summary>
internal sealed record PlannedInCraft(PlannedElement Element, IReadOnlyList<Decision> Decisions, Crafted? Made = null);

/// <summary>
/// Settles what each element is made in: what she wishes where it can be done, else thread; and plans the craft from the design that words
/// and motifs came to.
/// </summary>
internal sealed class CraftPlanning(WordingGround ground, HeardOverrides overrides, double hourlyRate)
{
    public static readonly Choice Thread = new(AllCrafts.Stitch, "Thread");

    /// <summary>A point becomes a dot so wide, mm (from memory).</summary>
    private const double DotMm = 3;

    /// <summary>Concerns of a place or a drawing, not of stitches.</summary>
    private static readonly string[] OfThePlace = ["overflows", "does-not-show"];

    private readonly CraftGround _facts = FactsOf(ground);

    /// <summary>What crafts are judged against.</summary>
    public static CraftGround FactsOf(WordingGround ground) => new(ground.Cloth, ground.Form, ground.Worn, ground.Drawn.Stuffed,
        ground.Form.Use.MadeUp && ground.Form.Loose is null, ground.HasIron);

    public static IReadOnlyList<Choice> Choices { get; } = [Thread, .. AllCrafts.List.Select(c => new Choice(c.Id, c.Name))];

    /// <summary>What an element is made in; null for thread.</summary>
    public ICraft? Settled(DecisionKey decisionId, string? asked) => AllCrafts.Find(asked ?? overrides.For(decisionId)) is { } wished
        && wished.Against.All(r => !r.When(_facts)) ? wished : null;

    /// <summary>The element as its craft makes it, with the decision that tells of all crafts.</summary>
    public PlannedInCraft Made(PlannedElement element, IReadOnlyList<Decision> decisions, DecisionKey decisionId, string? asked)
    {
        var craft = Settled(decisionId, asked);
        var told = Told(element, decisionId, asked ?? overrides.For(decisionId), craft);
        if (craft is null && element.Beaded.Count > 0)
        {
            return Beaded(element, decisions, told);
        }

        if (craft is null)
        {
            return new PlannedInCraft(element, [.. decisions, told]);
        }

        var made = craft.Make(Question(element, craft));
        var plain = told.Overruled ? 2 : 1;
        told = told with { Because = [.. told.Because.Take(plain), .. made.Because, .. told.Because.Skip(plain)] };
        if (craft.Keeps == Kept.All)
        {
            return new PlannedInCraft(element with
            {
                Craft = craft.Id,
                Concerns = [.. element.Concerns, .. made.Concerns],
                Reads = element.Reads && made.Concerns.Count == 0,
            }, [.. decisions, told], made);
        }

        // What is not stitched has no thread and no stitches to tell of; its colour, place and size stay.
        var areas = (element.Design?.Shapes ?? []).Where(s => s.Area is not null).Select(s => s.Id).ToHashSet(StringComparer.Ordinal);
        var lines = craft.Keeps == Kept.Lines ? element.Parts.Where(p => !areas.Contains(p.Shape)).ToArray() : [];
        var kept = decisions.Where(d => lines.Length > 0 ? !d.Id.StartsWith("stitch.fill", StringComparison.Ordinal)
            : d.Station is not (Station.Stitches or Station.Thread) || d.Id.StartsWith("thread.colour", StringComparison.Ordinal)).ToArray();
        told = Idle(told, decisions.Except(kept));
        kept = lines.Length > 0 ? kept : kept.Select(WithoutThread).ToArray();
        Concern[] concerns =
        [
            .. element.Concerns.Where(c => OfThePlace.Contains(c.What, StringComparer.Ordinal)).Select(c => c.What != "does-not-show" ? c
                : c with { Text = "It is hardly lighter or darker than the cloth: from a step away it vanishes." }),
            .. made.Concerns,
        ];
        return new PlannedInCraft(element with
        {
            Craft = craft.Id,
            Parts = lines,
            Concerns = concerns,
            Reads = concerns.All(c => c.What == "overflows"),
            BoxMm = lines.Length > 0 ? element.BoxMm : Boxed(made.Parts, element.BoxMm),
        }, [.. kept, told], made);
    }

    /// <summary>What is stitched but for parts of it that are sewn with beads.</summary>
    private PlannedInCraft Beaded(PlannedElement element, IReadOnlyList<Decision> decisions, Decision told)
    {
        var beads = AllCrafts.Find("beads").Sure();
        var question = Question(element, beads);
        var made = BeadedParts.Make(element, question with
        {
            Pieces = [.. question.Pieces.Where(p => element.Beaded.ContainsKey(p.Shape))
                .Select(p => p with { Colour = element.Beaded[p.Shape] })],
        });
        var roles = (element.Design?.Shapes ?? []).Where(s => element.Beaded.ContainsKey(s.Id)).GroupBy(s => Roles.Called(s.Role),
            StringComparer.Ordinal).Select(g => g.Count() == 1 ? g.Key : Say.Many(g.Key)).ToArray();
        return new PlannedInCraft(element with
        {
            Concerns = [.. element.Concerns, .. made.Concerns],
            Reads = element.Reads && made.Concerns.Count == 0,
            BoxMm = element.Parts.Count == 0 ? Boxed(made.Parts, element.BoxMm) : element.BoxMm.With(Boxed(made.Parts, element.BoxMm)),
            Craft = element.Parts.Count == 0 ? beads.Id : null,
        }, [.. decisions, told with
        {
            Because = [$"The {Say.List(roles)} in beads, when all else is done.", .. made.Because, .. told.Because],
        }], made);
    }

    /// <summary>The decision on the craft with wishes of hers that have nothing to act on, because nothing of it is stitched.</summary>
    public static Decision Idle(Decision craft, IEnumerable<Decision> dropped)
    {
        var hers = dropped.Where(d => d.Overruled).Select(d =>
            (Told)$"{d.Choice}, your wish for {Say.Lower(d.Subject)}, is not followed: it is not made in stitches. Take thread.").ToArray();
        return hers.Length == 0 ? craft : craft with { NotFollowed = [.. craft.NotFollowed ?? [], .. hers] };
    }

    /// <summary>What the hours come to at her rate; nothing where she has none.</summary>
    private string Worth(double minutes) => hourlyRate <= 0 ? string.Empty : $", worth {Say.Number(Math.Round(hourlyRate * minutes / 60, 2), 2)} of your hours";

    /// <summary>A decision without the reasons that are about thread: nothing of it is stitched.</summary>
    public static Decision WithoutThread(Decision decision) => decision.Because.Where(b => !b.AboutThread).ToArray() is { Length: > 0 } left
        && left.Length < decision.Because.Count ? decision with { Because = left } : decision;

    private CraftQuestion Question(PlannedElement element, ICraft craft) => new(element.Id,
        element.IsMotif ? element.Text : $"“{element.Text.ReplaceLineEndings(" ")}”", element.IsMotif, element.CapHeightMm,
        Pieces(element, craft), _facts);

    /// <summary>
    /// What is to be seen of it in areas: lines as wide as the craft makes them, points as dots, each in the colour its thread would have.
    /// </summary>
    private IReadOnlyList<CraftPiece> Pieces(PlannedElement element, ICraft craft)
    {
        var byShape = Colours(element, p => p.Shape);
        var byRole = Colours(element, p => p.Role);
        var any = element.Parts.Select(p => p.Colour).FirstOrDefault() ?? Palette.Colours[0].Hex;
        var whole = (element.Design?.Shapes ?? []).Where(s => s.Area is not null)
            .ToDictionary(s => s.Id, s => s.Area.Sure(), StringComparer.Ordinal);
        return Seen(element, craft.TuckMm).Select(shape =>
        {
            var wide = craft.LineMm(element.CapHeightMm, !element.IsMotif);
            var area = shape switch
            {
                { Area: { } drawn } when craft.Keeps == Kept.Lines => Unholed(drawn.Covers(), whole.GetValueOrDefault(shape.Id)),
                { Area: { } drawn } => drawn.Covers(),
                { Line: { } line } when wide > 0 => Region.Along([Closed(line)], wide / 2),
                { Point: { } point } when wide > 0 => Region.Along([[point]], Math.Max(DotMm, wide) / 2),
                _ => Region.Empty,
            };
            var colour = byShape.GetValueOrDefault(shape.Id) ?? byRole.GetValueOrDefault(shape.Role) ?? any;
            return new CraftPiece(shape.Id, shape.Role, area, colour, shape.Area is null)
            {
                AlongMm = shape switch { { Line: { } line } => Closed(line), { Point: { } point } => [point], _ => [] },
            };
        }).Where(p => !p.Area.IsEmpty).ToArray();
    }

    /// <summary>A piece keeps no hole where another lies wholly on it: that one is simply laid on top.</summary>
    private static Region Unholed(Region seen, Area? whole) => whole is null ? seen : seen.Filled().Within(whole.Covers());

    private static CraftSize SizeOf(PlannedElement element)
    {
        var (area, edge, line, pieces) = (0.0, 0.0, 0.0, 0);
        foreach (var shape in element.Design?.Shapes ?? [])
        {
            pieces++;
            var rings = shape.Area?.Edges.Select(e => e.Flatten(RoughMm)).ToArray() ?? [];
            edge += rings.Sum(Polyline.Length);
            var areas = rings.Select(r => Math.Abs(Region.AreaOf(r))).OrderDescending().ToArray();
            area += areas.Length == 0 ? 0 : Math.Max(0, areas[0] - areas.Skip(1).Sum());
            line += shape.Line is { } drawn ? Polyline.Length(drawn.Flatten(RoughMm)) : 0;
        }

        var colours = element.Parts.Select(p => p.Colour).Distinct(StringComparer.Ordinal).Count();
        return new CraftSize(area, edge, line, pieces, Math.Max(1, colours), element.CapHeightMm, !element.IsMotif);
    }

    /// <summary>Near enough for about how much there is of it, mm.</summary>
    private const double RoughMm = 0.2;

    private IReadOnlyList<Shape> Seen(PlannedElement element, double tuckMm) =>
        element.Design?.Visible(tuckMm).Beneath(ground.Over, tuckMm).Shapes ?? [];

    private static Dictionary<string, string> Colours(PlannedElement element, Func<Part, string> by) => element.Parts
        .GroupBy(by, StringComparer.Ordinal).ToDictionary(g => g.Key, g => g.First().Colour, StringComparer.Ordinal);

    private static IReadOnlyList<Pt> Closed(Stroke line) => line.Closed && line.Flatten(0.05) is var ring && ring[0].To(ring[^1]) > 1e-9
        ? [.. ring, ring[0]] : line.Flatten(0.05);

    private static Box Boxed(IReadOnlyList<CraftPart> parts, Box otherwise)
    {
        if (parts.Count == 0)
        {
            return otherwise;
        }

        var (x, y) = (parts.Min(p => p.ShapeMm.Box.Least.X), parts.Min(p => p.ShapeMm.Box.Least.Y));
        return new Box(x, y, parts.Max(p => p.ShapeMm.Box.Greatest.X) - x, parts.Max(p => p.ShapeMm.Box.Greatest.Y) - y);
    }

    private Decision Told(PlannedElement element, DecisionKey decisionId, string? wished, ICraft? craft)
    {
        var verdicts = CraftVerdict.Of(_facts);
        var size = SizeOf(element);
        var open = verdicts.Where(v => v.Fits && v.Craft != craft).Select(v => (v.Craft, Lacks: v.Craft.Lacks(size))).ToArray();
        RuledOut[] ruledOut =
        [
            .. verdicts.Where(v => !v.Fits).Select(v => new RuledOut(v.Craft.Id, v.Craft.Name,
                [.. v.Against.Select(r => (Told)$"{Say.Upper(r.Why(_facts))}.")])),
            .. open.Where(v => v.Lacks is not null).Select(v => new RuledOut(v.Craft.Id, v.Craft.Name, [$"{Say.Upper(v.Lacks.Sure())}."])),
        ];
        Told[] because =
        [
            craft is null ? "Thread can be unpicked, washes as its cloth does, and lasts as long."
                : (Told)$"{craft.Name}, it {craft.Manner}.",
            .. open.Where(v => v.Lacks is null).Select(v =>
                (Told)$"{v.Craft.Name}: about {Say.Minutes(v.Craft.Minutes(size))}{Worth(v.Craft.Minutes(size))}; it {v.Craft.Manner}."),
        ];
        var hers = wished is null ? null : craft is null ? Thread : new Choice(craft.Id, craft.Name);
        var refused = craft is null && AllCrafts.Find(wished) is { } not ? verdicts.First(v => v.Craft == not).Against : [];
        return Deciding.Make(decisionId, Station.Words, "What it is made in", Thread, refused.Count > 0 ? null : hers, because,
            ["Another cloth, another wearer, or how it is washed."], Choices, ruledOut) with
        {
            NotFollowed = refused.Count == 0 ? null
                : refused.Select(r => (Told)$"{AllCrafts.Find(wished).Sure().Name}, your wish, is not followed: {r.Why(_facts)}. {r.Cure}").ToArray(),
            UnfollowedWish = true,
            From = ["Amounts and minutes of crafts: from memory; how each is worked: common practice."],
        };
    }
}
