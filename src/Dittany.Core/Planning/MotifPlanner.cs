using System.Globalization;
using Dittany.Core.Decisions;
using Dittany.Core.Designs;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Motifs;
using Dittany.Core.Space;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Stitches.AtPoints;
using Dittany.Core.Words;

namespace Dittany.Core.Planning;

/// <summary>
/// Plans one motif through Space, Motifs and Stitches: its place, how it is repeated, the size it can have, its colours, and every stitch.
/// </summary>
internal sealed class MotifPlanner(WordingGround ground, Workshop workshop, HeardOverrides overrides)
{
    /// <summary>Strands by the height of one motif, mm (from memory): fine outlines 1 and 2, larger ones 3 (common practice).</summary>
    private static readonly (double ToMm, int Strands)[] StrandsByHeight = [(18, 1), (45, 2), (double.PositiveInfinity, 3)];

    /// <summary>
    /// A motif takes this share of the field's smaller side where nobody said (from memory), and is never larger than
    /// <see cref="MotifSizes.UsualMostMm"/>.
    /// </summary>
    private const double Share = 0.5;

    private const double Reach = MotifSizes.MostMm / Fit.MostCapMm;

    /// <summary>What goes round something else takes more of the room, and is never larger than this (from memory).</summary>
    private const double RoundShare = 0.85;

    private const double RoundMostMm = 180;

    /// <summary>
    /// Motifs of a border are this share of the room's smaller side where nobody said how many, and no smaller or larger than these, mm
    /// (from memory).
    /// </summary>
    private const double BorderShare = 0.11;

    private const double BorderLeastMm = 10;

    private const double BorderMostMm = 32;

    private readonly Rooms _field = new(ground.Field);

    /// <summary>
    /// Plans the motif that stands at this place of the job. It takes one part of the room where it is shared: <paramref name="slot"/> of
    /// <paramref name="of"/>. <paramref name="round"/>: something else stands within it.
    /// </summary>
    public (PlannedElement Element, IReadOnlyList<Decision> Decisions) Plan(MotifElement wanted, int index, int slot, int of,
        bool round = false)
    {
        DecisionKey Id(string decision) => new(decision, index == 0 ? null : wanted.Id);

        // An overrule of the arrangement is as good as one that was asked for: everything after goes by it.
        var asked = wanted with { Arrangement = wanted.Arrangement ?? overrides.For(Id("motif.arrangement")) };
        var decisions = new List<Decision>();
        var (place, placeDecision) = Placement.Settle(Id("space.place"), ground.Drawn, ground.Zone, ground.Field, asked.CentreMm,
            overrides.For(Id("space.place")), slot, of, Called.Motifs([NameOf(asked)]), ground.Within);
        decisions.Add(placeDecision);
        var (name, whole, inCopies) = Drawn(asked, Id, decisions);
        var unit = whole.Centred().Scaled(1 / Math.Max(1e-9, whole.Height > 0 ? whole.Height : whole.Width));
        var anchor = Middle(place, of, asked.Arrangement);

        // The largest that goes here, for the line it then has: strands follow the height, so each is tried, the most first.
        var thread = ThreadChoice.Settle(Id(DecisionKey.ThreadKind), asked.Thread, overrides.For(Id(DecisionKey.ThreadKind)),
            asked.Strands?.ToString(CultureInfo.InvariantCulture) ?? overrides.For(Id("thread.strands")),
            asked.Stitch ?? overrides.For(Id("stitch.outline")), ground, workshop);
        decisions.Add(thread.Decision);
        var facts = workshop.StitchFacts(ground.Cloth) with { Thread = thread.Kind, Laid = thread.Laid };
        var split = Book.Find("split").Sure();
        var usual = thread.Laid ? Book.Laid : ground.Tinted ? Book.Find("running").Sure() : facts.Knit && ThreadRules.Against(thread.Kind, split) is null ? split
            : Book.Plainest;
        var stitch = thread.Stitch is { } named ? Book.Find(named).Sure() : usual;
        var strandsStated = thread.Strands;
        var (high, pair, largest, free, freeHigh) = Sized(asked, Id, unit, anchor, stitch, thread.Kind, strandsStated, of, inCopies, round);
        decisions.Add(Size(Id("motif.size"), asked, unit, high, largest, freeHigh, overrides.For(Id("motif.size")) is not null, round));
        decisions.Add(ThreadChoice.Unfollowed(Deciding.Make(
            Id("stitch.outline"), Station.Stitches, "Which stitch for its lines", new Choice(usual.Id, Say.Upper(usual.Name)),
            thread.Stitch is null ? null : new Choice(stitch.Id, Say.Upper(stitch.Name)),
            [thread.Laid ? Recommender.BecauseLaid(stitch, facts) : ground.Tinted ? "Round what is tinted goes a fine line of small running stitches." : usual == split ? "On a knit split stitch gives with the cloth." : "Backstitch keeps outlines crisp.",
                .. DrawingStitching.Roles.Where(r => unit.Parts.Any(p => Roles.Kind(p.Role) == r.Role)).Select(r => r.Because)],
            ["A knit, or a stitch of your own."], Book.Lines.Where(s => ThreadRules.Against(thread.Kind, s) is null).Select(s =>
                new Choice(s.Id, Say.Upper(s.Name))).ToArray()), thread.StitchUnfollowed));
        decisions.Add(ThreadChoice.Unfollowed(Deciding.Make(
            Id("thread.strands"), Station.Thread, ThreadChoice.PlySubject(thread.Kind), ThreadChoice.PlyChoice(thread.Kind, free),
            strandsStated is null ? null : ThreadChoice.PlyChoice(thread.Kind, pair.Strands),
            [!thread.Kind.Parts ? Recommender.BecauseStrands(pair, high, facts) : ground.Tinted ? (Told)$"Two strands make the fine line round what is tinted."
                : $"Drawings under {Say.Length(StrandsByHeight[0].ToMm)} want one strand, under {Say.Length(StrandsByHeight[1].ToMm)} two, "
                + $"larger ones three.", ThreadChoice.Lies(pair)],
            ["A larger or smaller drawing."], ThreadChoice.PlyChoices(thread.Kind)), thread.StrandsUnfollowed));
        var colours = Colours(asked, Id("thread.colour"), unit, Fills(asked, Id("stitch.fill")), decisions);
        decisions[^1] = ColourTelling.Told(decisions[^1], thread.Kind.Id, ground.Worn, workshop.Threads);

        var placed = unit.Map(p => anchor + (p * high));
        var beads = new BeadedParts(asked.ByPart, CraftPlanning.FactsOf(ground));
        var schools = workshop.StitchSchoolsWith(null, null);
        var design = DesignOf.Figure(asked.Id, placed.Parts);
        var areas = design.Shapes.Any(s => s.Area is not null);
        var rich = asked.Drawing is null && MotifLibrary.Find(asked.Motif).Sure().Rich;
        var filling = new FillingRoom(Id("stitch.fill"), areas ? overrides.For(Id("stitch.fill")) : null,
            ground.Unfilled ? FillWays.None : workshop.Habit("fill") switch
            {
                FillWays.AsDrawn => rich ? FillWays.ByPart : FillWays.None,
                var habit => habit,
            }, beads.Stitched(design),
            FreeThread.MostMm(ground.Worn), FreeThread.Why(ground.Worn),
            new FillFacts(facts.Knit, workshop.Skill == Effort.Skill.Learner, Hurried(design)), asked.Seed ?? 0,
            n => StitchSpec.For(new Pair(Book.Plainest, n), schools), id => workshop.Thread(ThreadKinds.Find(id).Sure()));
        var seen = design.Visible(ground.TuckMm).Beneath(ground.Over, ground.TuckMm);
        var beaded = seen.Shapes.Where(beads.Takes).ToDictionary(s => s.Id, s => beads.ColourOf(s) ?? colours(s.Role),
            StringComparer.Ordinal);
        seen = beaded.Count == 0 ? seen : new Design(seen.Shapes.Where(s => !beaded.ContainsKey(s.Id)).ToArray());
        var parts = DrawingStitching.Stitch(seen, pair, p => StitchSpec.For(p, schools, ground.Worn.MostBehindMm), colours, 0,
            facts.Knit, byRole: asked.Stitch is null && !thread.Laid, ground.Budget, filling);
        parts = [.. SecondColour.In(parts, asked.SecondColour, workshop.Thread(ThreadKinds.Cotton))];
        SecondColour.Tell(decisions, Id("thread.colour"), parts, asked.SecondColour);
        thread.TellParts(Id(DecisionKey.ThreadKind), parts, ground, decisions);
        var filled = filling.Told(areas, words: false);
        decisions.Add(beads.NotFollowed() is { Count: > 0 } refused
            ? filled with { NotFollowed = [.. refused, .. filled.NotFollowed ?? []], UnfollowedWish = true } : filled);
        var concerns = Concerns(asked, name, unit, parts, design, seen, high, pair, largest).ToList();
        var box = parts.Count == 0 ? new Box(anchor.X, anchor.Y, 0, 0) : PlannedBox.Of(parts);
        var overflow = PlannedBox.OutsideMm(parts, _field, anchor);
        if (overflow > 0)
        {
            concerns.Insert(0, new Concern("overflows", null, Math.Round(overflow, 3), _field.For(pair.LineWidthMm).IsEmpty
                ? $"There is no room at all here on the {ground.Form.Name}."
                : (Told)$"The {name} reaches {Say.Length(Math.Round(overflow, 1))} beyond the room there is.", largest >= 2
                ? [new Remedy(HeightMm: Math.Floor(largest))] : []));
        }

        var foot = anchor + new Pt(0, unit.Height * high / 2);
        return (new PlannedElement(
            asked.Id, name, [], string.Empty, high, foot.OnGrid(), anchor.OnGrid(), box, pair.LineWidthMm, Math.Round(largest, 3),
                Math.Round(overflow, 3), concerns.All(c => c.What is "overflows" or "dropped"), concerns, parts,
            asked.Arrangement ?? "one", asked.Drawing is null ? asked.Motif : "own", Design: design)
        {
            One = OneOf(asked),
            CopyMm = whole.Height > 0 ? high / whole.Height : high,
            Layer = asked.Layer,
            Beaded = beaded,
        }, decisions);
    }

    /// <summary>
    /// Room for what is drawn must be as wide as it is high: the usual place of words is moved down to the middle of its share of the field
    /// where they would stand on a line.
    /// </summary>
    private Pt Middle(Place place, int of, string? arrangement)
    {
        if (arrangement == "border" && place.ChoiceId != "as-given" && !ground.Field.IsEmpty)
        {
            var (from, to) = ground.Field.Box;
            return Pt.Lerp(from, to, 0.5);
        }

        if (place.ChoiceId == "as-given" || place.Stands == Items.Stands.OnMiddle || ground.Field.IsEmpty)
        {
            return place.AnchorMm;
        }

        var (least, greatest) = ground.Field.Box;
        return of == 1 ? new Pt(place.AnchorMm.X, (least.Y + greatest.Y) / 2) : place.AnchorMm;
    }

    private static string OneOf(MotifElement asked) => asked.Drawing?.Name ?? MotifLibrary.Find(asked.Motif).Sure().Name;

    /// <summary>What all of it is called: a daisy, a ring of daisies.</summary>
    private static string NameOf(MotifElement asked) => asked.Arrangement switch
    {
        null or "one" => OneOf(asked),
        "zigzag" => $"zig-zag of {Say.Many(OneOf(asked))}",
        "pair" => $"pair of {Say.Many(OneOf(asked))}",
        "corner" => $"corner spray of {Say.Many(OneOf(asked))}",
        { } arrangement => $"{arrangement} of {Say.Many(OneOf(asked))}",
    };

    /// <summary>What it is called, the whole drawing, and how many of one motif it is high.</summary>
    private (string Name, Figure Whole, double InCopies) Drawn(MotifElement asked, Func<string, DecisionKey> id, List<Decision> decisions)
    {
        var motif = MotifLibrary.Find(asked.Motif);
        var name = OneOf(asked);
        var (one, shape) = OneDrawn(asked);
        var arrangement = asked.Arrangement ?? "one";
        var (least, greatest) = ground.Field.IsEmpty ? Region.Of(ground.Zone.Ring).Box : ground.Field.Box;
        var (wide, tall) = (asked.WidthMm ?? (greatest.X - least.X), asked.HeightMm ?? (greatest.Y - least.Y));
        var aspect = asked is { WidthMm: { } w, HeightMm: { } h } ? w / h : Math.Clamp(wide / Math.Max(1, tall), 0.25, 4);
        var usual = arrangement == "border" ? Arranging.BorderCount(wide, tall,
            Math.Clamp(Math.Min(wide, tall) * BorderShare, BorderLeastMm, BorderMostMm),
            one.Width / Math.Max(1e-9, Math.Max(one.Width, one.Height)))
            : Arranging.UsualCount(arrangement);
        var count = arrangement == "pair" ? 2 : Math.Clamp(asked.Count ?? usual, Arranging.LeastCount(arrangement), Arranging.MostCopies);
        var whole = Arranging.Lay(one, new Repeat(arrangement, count, asked.Middle ?? false, aspect, asked.Seed ?? 0));
        whole = DrawnDirections.Laid(whole, one, asked.ByPart);
        if (asked.Loosely is { } loosely)
        {
            whole = Loosening.Of(whole, loosely, arrangement, asked.Seed ?? 0).Centred();
        }

        var natural = workshop.Habit("evenness") == "natural" && asked.WobblePercent is null;
        if (natural)
        {
            whole = Motif.Natural(whole, 1, asked.Seed ?? 0);
        }

        var turned = asked.TurnDegrees is { } degrees and not 0 ? whole.Turned(degrees * Math.PI / 180) : whole;
        Told[] because =
        [
            arrangement == "one"
                ? $"One {name}, "
                    + $"{Say.Count(one.Parts.Count, "part")}{(motif?.Counted is { } c ? $", with {shape.Count ?? c.Usual} {c.What}" : string.Empty)}." : $"{count} {Say.Many(name)}: {ArrangementTold(arrangement)}.",
            .. arrangement == "ring" ? RingTold(one, count, asked.Middle ?? false) : [],
            .. asked.Loosely is { } how && arrangement != "one" ? LooselyTold(how, name, arrangement) : [],
            .. natural ? [(Told)"By your habit no part is quite like the other, as a hand draws them."] : Array.Empty<Told>(),
            ((Told)$"Its parts are {Say.List(one.Parts.Select(p => p.Role.Replace('-', ' ')).Distinct(StringComparer.Ordinal).ToArray())}, each stitched as what it is.").OfThread(),
        ];
        decisions.Add(Deciding.Make(
            id("motif.arrangement"), Station.Words, "How the motif is laid out", ArrangementChoice("one"), arrangement == "one" ? null
                : ArrangementChoice(arrangement), because, ["More or fewer of them, or room of another shape."],
            Arranging.Ids.Select(ArrangementChoice).ToArray()));
        return (NameOf(asked), turned, Math.Max(1, whole.Height));
    }

    /// <summary>How copies are set out by eye, in words.</summary>
    private static IEnumerable<Told> LooselyTold(Loosely how, string name, string arrangement)
    {
        if (how.SwayPercent > 0 && arrangement == "row")
        {
            yield return $"The line sways by {Say.Number(how.SwayPercent, 0)} % of {Say.A(name)}.";
        }

        if (how.UnevenPercent > 0)
        {
            yield return $"Their heights are uneven, the lowest {Say.Number(how.UnevenPercent, 0)} % less than the highest.";
        }

        if (!how.Alike)
        {
            yield return "No two stand alike: each leans a little otherwise, and some look the other way.";
        }

        if (how.GapAfter is { } after && arrangement == "row")
        {
            yield return $"The line is interrupted after {Say.Count(after, "motif")} by {Say.Number(how.GapPercent, 0)} % of one.";
        }

        if (how.Pushed.Count > 0)
        {
            yield return $"{Say.Upper(Say.Count(how.Pushed.Count, "motif"))} {(how.Pushed.Count == 1 ? "was" : "were")} pushed by hand"
                + $"{(arrangement == "row" ? ", and the others are spaced anew between them" : string.Empty)}.";
        }
    }

    /// <summary>One motif as it is drawn before it is repeated, and by what.</summary>
    internal static (Figure One, MotifShape Shape) OneDrawn(MotifElement asked)
    {
        var shape = new MotifShape(asked.Parts, (asked.LeanDegrees ?? 0) * Math.PI / 180, asked.Mirrored ?? false,
            (asked.WobblePercent ?? 0) / 100, asked.Seed ?? 0);
        return (asked.Drawing is { } own ? new Motif("own", own.Name, MotifShelf.Own, _ => own.Drawn.Figure).Draw(shape)
            : MotifLibrary.Find(asked.Motif).Sure().Draw(shape), shape);
    }

    internal static Choice ArrangementChoice(string id) =>
        new(id, id switch
        {
            "one" => "One",
            "row" => "In a row",
            "zigzag" => "On a zig-zag stem",
            "ring" => "In a ring",
            "border" =>
        "As a border that closes on itself",
            "scatter" => "Scattered evenly",
            "pair" => "Two, mirrored about the middle",
            _ => "As a corner spray"
        });

    /// <summary>What one more or one fewer in a ring would come to.</summary>
    private static Told[] RingTold(Figure one, int count, bool middle)
    {
        string Share(int n) => Arranging.RingShare(one, count, n, middle) is var share && Math.Abs(share - 1) < 0.005 ? "as large"
            : $"{Say.Number(Math.Round(100 * Math.Abs(share - 1)), 0)} % {(share > 1 ? "larger" : "smaller")}";
        return count >= Arranging.MostCopies || count <= Arranging.LeastCount("ring") ? []
            : [$"In a ring of the same size {count + 1} would each be {Share(count + 1)}, {count - 1} each {Share(count - 1)}."];
    }

    private static string ArrangementTold(string id) => id switch
    {
        "row" => "side by side, the same way apart",
        "zigzag" => "at the bends of a stem that swings from side to side",
        "ring" => "evenly turned about one middle",
        "border" => "all round and closed, evened along each side",
        "scatter" => "as far from each other as they go, without a grid",
        "pair" => "one the mirror image of the other, with the room of a third between them",
        _ => "one in the corner and smaller ones along both sides",
    };

    /// <summary>Height of the whole, its line, the largest that fits with it, and the strands the plan would take.</summary>
    private (double HighMm, Pair Pair, double LargestMm, int Free, double FreeHighMm) Sized(MotifElement asked, Func<string,
        DecisionKey> id,
        Figure unit, Pt anchor, IStitch stitch, ThreadKind kind, string? strands, int of, double inCopies, bool round)
    {
        double? stated = overrides.For(id("motif.size")) is { } s
            && double.TryParse(s, NumberStyles.Float, CultureInfo.InvariantCulture, out var over) ? over : null;
        if (asked.WidthMm is not null || asked.HeightMm is not null)
        {
            stated = Math.Min((asked.WidthMm ?? double.PositiveInfinity) / Math.Max(1e-9, unit.Width),
                (asked.HeightMm ?? double.PositiveInfinity) / Math.Max(1e-9, unit.Height)) * unit.Height;
        }

        // Letters are never sought larger than a hand; drawings are, so they are laid before the fit so much larger.
        var lines = unit.Parts.Select(p => (IReadOnlyList<Pt>)p.Line.Select(at => at * Reach).ToArray()).ToArray();
        var points = lines.Sum(l => l.Count);
        var answer = (High: 2.0, Pair: new Pair(stitch, new ThreadSize(kind, 1)), Largest: 0.0, Free: 2.0);
        var free = 1;
        foreach (var (_, n) in ground.Tinted ? [StrandsByHeight[1]] : StrandsByHeight.Reverse())
        {
            var pair = new Pair(stitch, new ThreadSize(kind, strands is { } hers ? int.Parse(hers, CultureInfo.InvariantCulture)
                : kind.Parts ? n : kind.Usual));
            ground.Budget.Spend(Fit.Steps(ground.Field, points));
            var largest = Reach * Fit.LargestCapMm(_field.For(Math.Max(pair.LineWidthMm, Knots.AcrossMm(pair.Size, 2))), anchor, lines);
            var (least, greatest) = ground.Field.IsEmpty ? Region.Of(ground.Zone.Ring).Box : ground.Field.Box;
            var (share, most) = round ? (RoundShare, RoundMostMm) : (Share, MotifSizes.UsualMostMm);
            var wished = Math.Min(most, share * Math.Min((greatest.X - least.X) / Math.Max(unit.Width, 0.2),
                (greatest.Y - least.Y) / of));
            var own = Math.Max(2, Math.Floor(asked.Arrangement == "border" ? largest : Math.Min(largest, wished)));
            var high = stated ?? own;
            answer = (high, pair, largest, own);
            free = StrandsByHeight.First(b => high / inCopies < b.ToMm).Strands;
            free = kind.Parts ? free : kind.Usual;
            if (strands is not null || !kind.Parts || free >= n)
            {
                break;
            }
        }

        return (answer.High, answer.Pair, answer.Largest, free, answer.Free);
    }

    private static Decision Size(DecisionKey id, MotifElement asked, Figure unit, double high, double largest, double freeHigh,
        bool overruled,
        bool round)
    {
        Choice Choice(double mm) => new(mm.ToString("R", CultureInfo.InvariantCulture),
            $"{Say.Length(Math.Round(mm, 1))} high, {Say.Length(Math.Round(mm * unit.Width / Math.Max(1e-9, unit.Height), 1))} wide");
        var hers = overruled || asked.WidthMm is not null || asked.HeightMm is not null;
        return Deciding.Make(
            id, Station.Words, "How large the motif", Choice(freeHigh), hers ? Choice(high) : null,
            [largest > 0 ? (Told)$"The largest that fits here is {Say.AtMost(largest)} high."
                : "No size fits at this place.",
                .. largest > 0 ? [Bound(asked, freeHigh, largest, round)] : Array.Empty<Told>(),
                .. asked.Drawing?.Drawn.LeftOut(high * Math.Max(1, unit.Width / Math.Max(1e-9, unit.Height))) is { } leftOut ? [leftOut]
                    : Array.Empty<Told>()],
            ["Another place, or a size of your own."], new[] { high - 5, high + 5, Math.Floor(largest) }.Where(v => v >= 5
                && v <= 600).Distinct().Select(Choice).ToArray());
    }

    /// <summary>What its own size goes by: what stands round it, and which bound was met first.</summary>
    private static Told Bound(MotifElement asked, double freeHigh, double largest, bool round)
    {
        if (asked.Arrangement == "border")
        {
            return "A border runs along the edge of the room there is.";
        }

        if (round)
        {
            return "It leaves room for what stands in its middle.";
        }

        if (freeHigh >= MotifSizes.UsualMostMm)
        {
            return $"Half of the room's smaller side is usual, and no more than {Say.Length(MotifSizes.UsualMostMm)}.";
        }

        return freeHigh >= Math.Floor(largest) ? "Half of the room's smaller side is usual, and here no more fits."
            : "Half of the room's smaller side is usual, so that cloth shows all round it.";
    }

    private Func<string, string> Colours(MotifElement asked, DecisionKey id, Figure unit, bool filled, List<Decision> decisions)
    {
        var (own, reading) = Legibility.Colours(ground.Cloth);
        var hers = (asked.Colour ?? overrides.For(id))?.ToLowerInvariant();
        var hex = hers is null ? own.Hex : Palette.HexOf(hers);
        var colours = MotifColours.Of(unit.Parts, hex, hers is not null, ground.Cloth,
            asked.Drawing is null ? MotifLibrary.Find(asked.Motif).Sure().Wears : null,
            filled);
        string Of(string role) => asked.ByPart.LastOrDefault(w => w.Role == role && w.Copy is null)?.Colour is { } wished
            ? Palette.HexOf(wished) : colours.For(role);

        // Where every part has a colour of its own, the one of the whole is seen nowhere.
        var used = unit.Parts.Select(p => Of(p.Role)).Distinct(StringComparer.Ordinal).ToArray();
        var seen = used.Length == 0 || used.Contains(hex, StringComparer.Ordinal) ? Palette.NameOf(hex)
            : Say.List(used.Select(Palette.NameOf).ToArray());
        decisions.Add(Deciding.Make(
            id, Station.Thread, "Which colour", new Choice(own.Hex, Say.Upper(hers is null ? seen : own.Name)), hers is null ? null
                : new Choice(hex, Say.Upper(seen)),
            [ByPart(unit, Of), .. colours.Because.Take(2), .. Alike(asked, unit, Of), .. ToOtherEyes(unit, Of)],
            ["Another colour of cloth, or one of yours."], reading.Select(c => new Choice(c.Hex, Say.Upper(c.Name))).ToArray()));
        return colours.For;
    }

    /// <summary>Parts she gave colours that can hardly be told from what touches them.</summary>
    private static IEnumerable<Told> Alike(MotifElement asked, Figure unit, Func<string, string> colourOf)
    {
        var wished = asked.ByPart.Where(w => w.Colour is not null && w.Copy is null).Select(w => w.Role)
            .Distinct(StringComparer.Ordinal).ToArray();
        if (wished.Length == 0)
        {
            return [];
        }

        var neighbours = Neighbours.Of(unit.Parts);
        return wished.SelectMany(role => neighbours.Beside(role).Where(n => !wished.Contains(n, StringComparer.Ordinal)
                || string.CompareOrdinal(role, n) < 0).Select(n => (Role: role, Beside: n)))
            .Where(p => !Neighbours.Apart(colourOf(p.Role), colourOf(p.Beside))).Take(2).Select(Told);

        Told Told((string Role, string Beside) p) => colourOf(p.Role) == colourOf(p.Beside)
            ? (Told)$"The {Roles.Called(p.Role)} and the {Roles.Called(p.Beside)} that touch are both in {Palette.NameOf(colourOf(p.Role))}, and run into one."
            : (Told)$"{Say.Upper(Palette.NameOf(colourOf(p.Role)))} in the {Roles.Called(p.Role)} can hardly be told from "
                + $"{Palette.NameOf(colourOf(p.Beside))} in the {Roles.Called(p.Beside)} beside it.";
    }

    /// <summary>Colours that touch and are told apart by most eyes, but not by those that do not tell red from green.</summary>
    private static IEnumerable<Told> ToOtherEyes(Figure unit, Func<string, string> colourOf)
    {
        var neighbours = Neighbours.Of(unit.Parts);
        var roles = unit.Parts.Select(p => p.Role).Distinct(StringComparer.Ordinal).ToArray();
        return roles.SelectMany(role => neighbours.Beside(role).Where(n => string.CompareOrdinal(role, n) < 0)
                .Select(n => (Role: role, Beside: n)))
            .Where(p => Neighbours.ApartToMost(colourOf(p.Role), colourOf(p.Beside))).Take(1).Select(p =>
                (Told)($"{Say.Upper(Palette.NameOf(colourOf(p.Role)))} and {Palette.NameOf(colourOf(p.Beside))} touch in the {Roles.Called(p.Role)} and the "
                    + $"{Roles.Called(p.Beside)}: to eyes that do not tell red from green, one man in twelve, they look alike."));
    }

    /// <summary>
    /// Which part is in which colour, in the order of the drawing: petals and centre in mulberry, stem and leaves in leaf green.
    /// </summary>
    private static Told ByPart(Figure unit, Func<string, string> colourOf)
    {
        var parts = unit.Parts.GroupBy(p => p.Role, StringComparer.Ordinal).Select(g =>
            (Role: g.Count() == 1 ? PartCalled(g.Key) : Say.Many(PartCalled(g.Key)), Colour: colourOf(g.Key))).ToArray();
        var by = parts.GroupBy(p => p.Colour, StringComparer.Ordinal).ToArray();
        return by.Length == 1
            ? $"All of it is in one colour, {Palette.NameOf(by[0].Key)}."
            : $"{Say.Upper(Say.List(by.Select(g => $"{Say.List(g.Select(p => p.Role).ToArray())} in {Palette.NameOf(g.Key)}").ToArray()))}.";
    }

    /// <summary>
    /// Whether its areas are to be filled where no part says otherwise: by her wish, by habit, or because it is drawn so.
    /// </summary>
    private bool Fills(MotifElement asked, DecisionKey fillId) => asked.Craft is not (null or Crafts.AllCrafts.Stitch)
        || (asked.Drawing is null && MotifLibrary.Find(asked.Motif).Sure().Rich
        && workshop.Habit("fill") != FillWays.None) || workshop.Habit("fill") == FillWays.ByPart
        || overrides.Stated(fillId) is not (null or FillWays.None);

    /// <summary>Whether filling all of it closely would take most of the time there is.</summary>
    private bool Hurried(Design design) => ground.MinutesLeft is { } left
        && design.Shapes.Sum(s => s.Area?.Covers().AreaMm2 ?? 0) / 100 * FillBook.MinutesPerCm2 > FillBook.HurriedFrom * left;

    private static string PartCalled(string role) => role.Replace('-', ' ');

    private IEnumerable<Concern> Concerns(MotifElement asked, string name, Figure unit, IReadOnlyList<Part> parts, Design design,
        Design seen, double high, Pair pair, double largest)
    {
        var opening = Legibility.LeastOpening(pair.LineWidthMm, ground.Cloth);
        // What is filled has nothing inside that must stay open.
        var filled = parts.Where(p => p.Filling is not null).Select(p => p.Shape).ToHashSet(StringComparer.Ordinal);
        var narrowest = FigureMeasures.Of(unit.Parts.Where((_, i) => !filled.Contains(design.Shapes[i].Id)).ToArray()).Narrowest;
        if (double.IsFinite(narrowest) && (narrowest * high) - pair.LineWidthMm < opening - 1e-9)
        {
            var open = (narrowest * high) - pair.LineWidthMm;
            var cured = Math.Ceiling((opening + pair.LineWidthMm) / narrowest);
            var remedies = new List<Remedy>();
            if (cured <= largest)
            {
                remedies.Add(new Remedy(HeightMm: cured));
            }

            foreach (var strands in pair.Size.Thinner)
            {
                var thinner = pair.With(strands);
                if ((narrowest * high) - thinner.LineWidthMm >= Legibility.LeastOpening(thinner.LineWidthMm, ground.Cloth))
                {
                    remedies.Add(new Remedy(Strands: strands));
                    break;
                }
            }

            Told left = open <= 0 ? "it is shut" : (Told)$"{Say.Length(Math.Round(open, 2))} is left";
            yield return new Concern("closes-up", null, Math.Round(opening - open, 3),
                $"The {name} closes up in its narrowest place: {left} where {Say.Length(opening)} must stay open.", remedies);
        }

        // What lies under something else is not missing.
        var made = parts.Select(p => p.Shape).ToHashSet(StringComparer.Ordinal);
        var dropped = seen.Shapes.Count(s => !made.Contains(s.Id) && (s.Role != "vein" || filled.Count == 0));
        if (dropped > 0)
        {
            yield return new Concern("dropped", null, dropped,
                $"{Say.Upper(Say.Count(dropped, "part"))} of the {name} {(dropped == 1 ? "is" : "are")} too short for a stitch and left "
                    + $"out.", []);
        }

        // What she wished for a part no colour of the whole would cure.
        var wished = asked.ByPart.Where(w => w.Colour is not null).Select(w => w.Role).ToHashSet(StringComparer.Ordinal);
        var main = parts.Where(p => p.Stitches.Count > 0 && !wished.Contains(p.Role)).Select(p => p.Colour).FirstOrDefault();
        if (main is not null && Legibility.Showing(Colour.Parse(asked.Colour is { } c && c.StartsWith('#') ? c : main),
            ground.Cloth) is { } hidden)
        {
            yield return hidden;
        }

        foreach (var colour in parts.Where(p => wished.Contains(p.Role)).GroupBy(p => p.Colour, StringComparer.Ordinal))
        {
            var roles = colour.Select(p => Roles.Called(p.Role)).Distinct(StringComparer.Ordinal).ToArray();
            if (Legibility.Showing(Colour.Parse(colour.Key), ground.Cloth,
                $"{Say.Upper(Palette.NameOf(colour.Key))}, in the {Say.List(roles)},") is { } faint)
            {
                yield return faint with { Remedies = [] };
            }
        }
    }
}
