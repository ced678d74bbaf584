using System.Globalization;
using Dittany.Core.Decisions;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Measures;

namespace Dittany.Core.Hooping;

/// <summary>A place a ring keeps off, and by how much, mm.</summary>
public sealed record RingFree(IReadOnlyList<Pt> Ring, double ByMm);

/// <summary>
/// What the room needs to know. <paramref name="HersSchool"/> and <paramref name="HersSizeMm"/> are overrules or null; habits are choice
/// ids.
/// </summary>
public sealed record HoldingQuestion(
    IReadOnlyList<Unit> Units,
    IReadOnlyList<Pt> Outline,
    IReadOnlyList<RingFree> KeepOff,
    Cloth Cloth,
    Opening? Opening,
    HoopLimit? Limit,
    IReadOnlyList<double> HoopsMm,
    School Habit,
    string TensionHabit,
    string LayersHabit,
    string? HersSchool,
    double? HersSizeMm,
    string? HersTension = null,
    string? HersLayers = null)
{
    /// <summary>The ring it stays in when it is done, nominal mm, about the middle of the outline: it is worked in no other.</summary>
    public double? OwnRingMm { get; init; }

    /// <summary>What is stitched, as it is called.</summary>
    public Called Called { get; init; } = Called.Words;

    /// <summary>All of it as one; null where there is nothing.</summary>
    internal Unit? Whole { get; } = Hooping.Together(Units);

    /// <summary>What its plan may still reckon.</summary>
    public Budget Budget { get; init; } = Budget.Unbounded;
}

/// <summary>
/// How the cloth is held, and in which placings. <paramref name="LayersThrough"/> is how many layers the needle goes through.
/// </summary>
public sealed record Held(School School, IReadOnlyList<HoopPlacing> Placings, int LowerBound, int LayersThrough,
    IReadOnlyList<Decision> Decisions, IReadOnlyList<Caution> Cautions)
{
    /// <summary>What the placings are filled with: whole letters, and stretches of what is larger than the ring.</summary>
    public IReadOnlyList<Unit> Units { get; init; } = [];

    /// <summary>A short way to move the work by which a ring would take it, or take it without scrap; null where none is.</summary>
    public Nudge? Nudge { get; init; }
}

/// <summary>Hoop, frame or hand, and which hoop how often.</summary>
public static class Holding
{
    /// <summary>Each placing of the ring in a line, in the order of work.</summary>
    public static IReadOnlyList<Measures.Told> Told(IReadOnlyList<HoopPlacing> placings) =>
        placings.OrderBy(p => p.Order)
            .Select(p => placings.Count == 1 ? (Told)$"Hoop: {Materials.Hoops.Inches(p.HoopMm)} in."
                : (Told)($"{(p.Order == 1 ? "Hoop" : "Move the hoop")}: {Materials.Hoops.Inches(p.HoopMm)} in, "
                    + $"position {p.Order} of {placings.Count}.")).ToArray();

    private static readonly (School School, Choice Choice)[] Schools =
    [
        (School.Hoop, new Choice("hoop", "In a hoop")),
        (School.Frame, new Choice("frame", "In a square snap frame")),
        (School.InHand, new Choice("in-hand", "In the hand")),
    ];

    /// <summary>So little less across is offered as a way to save a placing, mm, for up to so many units (from memory).</summary>
    private const double MostSavedMm = 5;

    private const int MostTried = 40;

    private const int MostSaved = 6;

    /// <summary>Up to so many placings nobody minds the moving (from memory).</summary>
    private const int MostEasily = 3;

    public static IReadOnlyList<Choice> Choices { get; } = Schools.Select(s => s.Choice).ToArray();

    public static IReadOnlyList<Choice> Tensions { get; } =
        [new("slack-on-knits", "Drum-tight on woven cloth, slack on knits"), new("drum-tight", "As tight as it goes, always"),
            new("slack", "A little slack, always")];

    public static IReadOnlyList<Choice> Layers { get; } = [new("outer-only", "Through the outer layer only"),
        new("through-both", "Through lining and all")];

    /// <summary>Rules on how cloth may be held.</summary>
    public static IReadOnlyList<Rule<Cloth>> Rules { get; } =
    [
        new("no ring on velvet", "hoop", Verdict.RulesOut, 0, c => c.Kind.Id == "velvet", _ =>
            "A ring crushes velvet for good: hoop a backing and tack the item on, or work in the hand.", "common practice"),
        new("no ring on deep pile", "hoop", Verdict.RulesOut, 0, c => c.Pile == Pile.Deep && c.Kind.Id != "velvet", _ =>
            "A ring crushes deep pile: hoop a backing and tack the item on, or work in the hand.", "common practice"),
        new("no ring on coated cloth", "hoop", Verdict.RulesOut, 0, c => c.Coated, _ =>
            "A ring cracks a coating and leaves its mark for good: work it in the hand.", "common practice"),
        new("no frame on coated cloth", "frame", Verdict.RulesOut, 0, c => c.Coated, _ =>
            "A clamp cracks a coating and leaves its mark for good.", "common practice"),
        new("no frame on velvet", "frame", Verdict.RulesOut, 0, c => c.Kind.Id == "velvet", _ => "A clamp crushes velvet for good.",
            "common practice"),
    ];

    public static School SchoolOf(string choiceId) => Schools.First(s => s.Choice.ChoiceId == choiceId).School;

    public static Held Settle(HoldingQuestion q)
    {
        var judged = RuleTable.Judge(Choices.Select(c => c.ChoiceId).ToArray(), Rules, q.Cloth);
        var ruledOut = judged.Where(j => j.RuledOut).Select(j => new RuledOut(j.ChoiceId, TextOf(j.ChoiceId), j.Because)).ToList();
        var wanted = ruledOut.Any(r => r.ChoiceId == IdOf(q.Habit)) ? School.InHand : q.Habit;
        var cautions = new List<Caution>();
        var because = new List<Told>();

        // What would be taken had she said nothing, and what is taken.
        var cloth = new Judged(q);
        var own = Held(q, cloth, wanted, null);
        var taken = q.HersSchool is null && q.HersSizeMm is null ? own
            : Held(q, cloth, q.HersSchool is null ? wanted : SchoolOf(q.HersSchool), q.HersSizeMm);
        var school = taken.School;
        foreach (var harm in ruledOut.Where(r => r.ChoiceId == IdOf(school)))
        {
            cautions.Add(new Caution("hoop.school", CautionKind.Item, Severity.Stop, $"{harm.Text}: {harm.Because[0]}"));
        }

        if (taken.Size is { Harm: { } wrong })
        {
            cautions.Add(new Caution("hoop.size", CautionKind.Item, Severity.Stop, $"{Name(school, taken.Size.HoopMm).Text}: {wrong}"));
        }
        else if (taken.Size?.Cover is { OffCloth: true })
        {
            cautions.Add(new Caution("hoop.hem", CautionKind.Item, Severity.Caution,
                "The ring reaches over the hem: tack a strip of scrap cloth to the edge and hoop that, so that the ring never sits on a "
                    + "bulky seam."));
        }

        because.Add(school switch
        {
            School.Hoop =>
                $"A hoop stiffens the cloth and keeps the stitches even; {Say.Count(taken.Size.Sure().Cover.Sure().Placings.Count, "hoop position")} will "
                    + $"do.",
            School.Frame =>
                $"A snap frame does not bunch the cloth and lets the tension be changed; "
                    + $"{Say.Count(taken.Size.Sure().Cover.Sure().Placings.Count, "hoop position")} will do.",
            _ => "In the hand the cloth is free: draw the thread gently, and lay the work flat after every few stitches.",
        });
        because.AddRange(taken.WhyNot);
        if (school == School.InHand && own.School == School.InHand && ruledOut.Count > 0)
        {
            because.AddRange(ruledOut.Where(r => r.ChoiceId == IdOf(q.Habit)).SelectMany(r => r.Because).Take(1));
        }

        var decision = Deciding.Make(
            "hoop.school", Station.Hoop, "How the cloth is held", new Choice(IdOf(own.School), TextOf(IdOf(own.School))),
            q.HersSchool is null ? null : new Choice(IdOf(school), TextOf(IdOf(school))), because,
                ["The habit of how you hold your work, or another hoop in your stash."], Choices, ruledOut) with
        {
            NotFollowed = q.HersSchool is null && school != q.Habit
                && ((taken.WhyNot.Count > 0 ? taken.WhyNot[0] : null)
                ?? ruledOut.FirstOrDefault(r => r.ChoiceId == IdOf(q.Habit))?.Because[0]) is { } whyNot
                ? [$"{TextOf(IdOf(q.Habit))}, as is your habit, it cannot be held: {Say.Lower(whyNot)}"]
                : null,
        };
        var decisions = new List<Decision> { decision, SizeDecision(q, own, taken, cloth) };
        if (school != School.InHand)
        {
            decisions.Add(Deciding.ByHabit(habit => Tension(q, habit), q.TensionHabit, q.HersTension, [Tight, Slack]));
            if (Knit(q.Cloth) && decisions[^1].ChoiceId == Tight.ChoiceId)
            {
                cautions.Add(new Caution("hoop.tension", CautionKind.Item, Severity.Caution,
                    "Stretched tight in the hoop a knit springs back and puckers round the stitches: drum-tight does harm here."));
            }
        }

        if (q.Cloth.Lined || q.Opening is not null)
        {
            decisions.Add(Deciding.ByHabit(habit => LayersOf(q, habit), q.LayersHabit, q.HersLayers, q.Cloth.Lined ? Layers : [Layers[0]]));
        }

        var through = q.Cloth.Lined && (q.HersLayers ?? q.LayersHabit) == "through-both" ? 2 : 1;
        var (placings, pressed) = Raised.Order(taken.Size?.Cover?.Placings ?? [], taken.Size?.Cover?.Units ?? q.Units);
        if (pressed.Count > 0)
        {
            cautions.Add(new Caution("hoop.size", CautionKind.Item, Severity.Caution, $"The ring at hoop position {Say.List(pressed.Select(p =>
                p.ToString(CultureInfo.InvariantCulture)).ToArray())} comes to lie on knots that are stitched by then: leave those knots to the very end, or lay soft cloth between."));
        }
        else if (!placings.Select(p => p.CentreMm).SequenceEqual(taken.Size?.Cover?.Placings.Select(p => p.CentreMm) ?? []))
        {
            var at = decisions.FindIndex(d => d.Id == "hoop.size");
            decisions[at] = decisions[at] with { Because = [.. decisions[at].Because, "The hoop positions follow each other so that no ring ever lies on finished knots."] };
        }

        return new Held(school, placings, taken.Size?.Cover?.LowerBound ?? 0, through, decisions, cautions)
        {
            Units = taken.Size?.Cover?.Units ?? q.Units,
            Nudge = q.HersSizeMm is null && ((school == School.InHand && q.HersSchool is null && q.Habit != School.InHand)
                || taken.Size?.Cover?.OffCloth == true) ? NudgeTo(q, cloth, school == School.InHand ? q.Habit : school) : null,
        };
    }

    private static Nudge? NudgeTo(HoldingQuestion q, Judged cloth, School school)
    {
        var round = school == School.Hoop;
        return Rules.Any(r => r.ChoiceId == IdOf(school) && r.Verdict == Verdict.RulesOut && r.When(q.Cloth)) ? null
            : Nudging.Look((round ? q.HoopsMm : [Hoops.UsualFrameMm]).Order().Select(mm => cloth.Of(round, mm))
                .Where(s => s.Harm is null && s.Cover is { OffCloth: true } c && c.Placings.Count <= MostEasily)
                .Select(s => (s.HoopMm, s.Cover.Sure(), Hooping.Clampable(cloth.Ringable, s.HoopMm))).ToArray(), round, q.Budget);
    }

    /// <summary>What a ring round the work could touch at all: seams far from it need no overlay.</summary>
    private static IEnumerable<RingFree> Near(HoldingQuestion q)
    {
        var most = q.HoopsMm.Append(Hoops.UsualFrameMm).Append(q.HersSizeMm ?? 0).Max();
        var points = q.Units.SelectMany(u => u.Hull).ToArray();
        if (points.Length == 0)
        {
            return [];
        }

        var around = Region.Rectangle(points.Min(p => p.X), points.Min(p => p.Y), points.Max(p => p.X) - points.Min(p => p.X) + 1,
            points.Max(p => p.Y) - points.Min(p => p.Y) + 1);
        return q.KeepOff.Where(k => around.Near(k.Ring, k.ByMm + (2 * Hoops.RingRadiusMm(most))));
    }

    /// <summary>One size judged: its cover, what keeps it from being used at all, and what speaks against it.</summary>
    private sealed record Sized(double HoopMm, Cover? Cover, Told? Harm, string One)
    {
        /// <summary>So many moves that the hoop is in the way: fewer than three letters a placing (from memory).</summary>
        private bool Tedious => Cover is { } c && c.Placings.Count > MostEasily
            && c.Placings.Sum(p => p.Units.Sum(u => c.Units[u].Of?.Letters.Count ?? 1)) < 3 * c.Placings.Count;

        public Told? Against =>
            Harm is not null ? Harm
            : Cover is null ? (Told)$"The largest {One} does not go into it whole, and has no joints to move the ring along."
            : Cover.OffCloth ? (Told)"Its ring would sit on a hem or off the cloth."
            : Tedious ? (Told)$"It would have to be moved {Say.Count(Cover.Placings.Count - 1, "time")}."
            : null;

        public bool Usable => Cover is not null && Harm is null && !Tedious;
    }

    private sealed record Way(School School, Sized? Size, IReadOnlyList<Sized> All, IReadOnlyList<Told> WhyNot);

    /// <summary>
    /// Fewest placings, then the smallest hoop, each ring on cloth that can be clamped. On flat cloth scrap may be tacked to the edge when
    /// no ring finds room; a made-up tube has no edge for that. Where none will do it is worked in the hand, with the reason.
    /// </summary>
    private static Way Held(HoldingQuestion q, Judged cloth, School school, double? hersMm)
    {
        if (school == School.InHand || q.Units.Count == 0)
        {
            return new Way(School.InHand, null, [], []);
        }

        var round = school == School.Hoop;
        if (round && hersMm is null && q.OwnRingMm is { } ring && OwnRing(q, ring) is { } inIt)
        {
            return new Way(school, inIt, [inIt], []);
        }

        var sizes = (round ? q.HoopsMm : [Hoops.UsualFrameMm]).Order().Select(mm => cloth.Of(round, mm)).ToArray();
        if (hersMm is { } hers)
        {
            var size = cloth.Of(round, hers);
            return size.Cover is null
                ? new Way(School.InHand, null, sizes,
                    [$"No {q.Called.One} may be cut by the ring, and {Say.Length(hers)} is too small for the largest: so it is worked in "
                        + $"the hand."])
                : new Way(school, size, sizes, []);
        }

        var usable = sizes.Where(s => s.Usable).OrderBy(s => s.Cover.Sure().Along).ThenBy(s => s.Cover.Sure().Placings.Count).ThenBy(s =>
            s.HoopMm)
            .ToArray();
        var best = Array.Find(usable, s => !s.Cover.Sure().OffCloth) ?? (q.Opening is null ? usable.FirstOrDefault() : null);
        if (best is not null)
        {
            return new Way(school, best, sizes, []);
        }

        return new Way(School.InHand, null, sizes, [sizes.Length == 0
            ? "There is no hoop at hand: so it is worked in the hand."
            : (Told)($"{(sizes.Length == 1 ? "The one at hand will not do" : "None of the hoops at hand will do")}: "
                + $"{Say.List(sizes.Select(s => s.Against.Sure().Lower().WithoutStop()).Distinct().ToArray())}. So it is worked in the hand.")]);
    }

    /// <summary>The cloth a ring may lie on, and each size judged on it once, however often it is asked.</summary>
    private sealed class Judged(HoldingQuestion q)
    {
        private readonly Dictionary<(bool Round, double Mm), Sized> _sizes = [];
        private Region? _ringable;

        public Region Ringable => _ringable ??= Hooping.Ringable(q.Outline, Near(q));

        public Sized Of(bool round, double mm)
        {
            if (!_sizes.TryGetValue((round, mm), out var size))
            {
                _sizes[(round, mm)] = size = Judge(q, Ringable, round, mm);
            }

            return size;
        }
    }

    private static Sized Judge(HoldingQuestion q, Region ringable, bool round, double mm)
    {
        Told? harm = q.Limit is { } limit && mm > limit.MostMm ? limit.Because
            : q.Opening is { } opening && mm > opening.FlatWidthMm - Hoops.IntoTubeMm
                ? (Told)($"It does not go in by {opening.Name}: flat that is {Say.Length(opening.FlatWidthMm)} wide, and a ring goes in up "
                    + $"to {Say.Length(opening.FlatWidthMm - Hoops.IntoTubeMm)}.")
                : null;
        return new Sized(mm, Cover(q, ringable, round, mm), harm, q.Called.One);
    }

    /// <summary>The ring that a picture stays in: one placing about its middle; null where the work reaches under the ring.</summary>
    private static Sized? OwnRing(HoldingQuestion q, double hoopMm) => Hooping.InOwnRing(q.Units, hoopMm,
        new Pt((q.Outline.Min(p => p.X) + q.Outline.Max(p => p.X)) / 2, (q.Outline.Min(p => p.Y) + q.Outline.Max(p => p.Y)) / 2)) is { } own
        ? new Sized(hoopMm, new Cover([own], 1, false, q.Units), null, q.Called.One) : null;

    /// <summary>A cover by one size: on clampable cloth if it can be, else with the ring off the cloth, else none.</summary>
    private static Cover? Cover(HoldingQuestion q, Region ringable, bool round, double hoopMm)
    {
        var units = Hooping.Apart(q.Units, round, hoopMm);
        var along = units.Count > q.Units.Count;
        var whole = along ? null : q.Whole;
        if (Hooping.Fewest(units, round, hoopMm, Hooping.Clampable(ringable, hoopMm), q.Budget, whole) is { Placings: { } on } clamped)
        {
            return new Cover(on, clamped.Bound, false, units, along);
        }

        return Hooping.Fewest(units, round, hoopMm, null, q.Budget, whole) is { Placings: { } off } loose
            ? new Cover(off, loose.Bound, true, units, along) : null;
    }

    private static Decision SizeDecision(HoldingQuestion q, Way own, Way taken, Judged cloth)
    {
        if (taken.Size is not { Cover: { } cover } size)
        {
            return Deciding.Make(
                "hoop.size", Station.Hoop, "Which hoop", new Choice("none", "No hoop"), null, ["It is worked in the hand."],
                    ["Holding it in a hoop or a frame."], null,
                taken.All.Where(s => s.Against is not null).Select(s =>
                    new RuledOut(Name(School.Hoop, s.HoopMm).ChoiceId, Name(School.Hoop, s.HoopMm).Text, [s.Against.Sure()])).ToArray());
        }

        var (school, usable) = (taken.School, cover.Placings[0].UsableRadiusMm);
        var because = new List<Told>
        {
            school == School.Hoop
                ? (Told)($"Inside the ring {Say.Length(usable)} from the middle can be used, and {q.Called.All} {q.Called.Do("go")} in "
                    + $"with {Say.Count(cover.Placings.Count, "hoop position")}.")
                : (Told)($"Inside the frame {Say.Length(usable)} from the middle to each side can be used; "
                    + $"{Say.Count(cover.Placings.Count, "hoop position")} will do."),
            q.OwnRingMm is not null && size.HoopMm == q.OwnRingMm ? "The picture is worked in the very ring that it hangs in."
                : cover.Placings.Count == cover.LowerBound ? "Fewer cannot be."
                : cover.Placings.Count == cover.LowerBound + 1 ? "That is at most one too many."
                : $"Fewer than {Say.Count(cover.LowerBound, "hoop position")} cannot be.",
        };
        if (cover is { Along: false, Placings.Count: > 1 and <= MostSaved and var many, Units.Count: <= MostTried }
            && Hooping.Saves(cover.Units, school == School.Hoop, size.HoopMm, cover.OffCloth ? null
                : Hooping.Clampable(cloth.Ringable, size.HoopMm), many,
                MostSavedMm, q.Budget) is { } saves)
        {
            because.Add($"It would be one hoop position fewer if what lies in a ring were {Say.Length(saves)} less across: a little smaller, or set closer.");
        }

        if (q.Opening is { } opening && size.Harm is null)
        {
            because.Add($"It goes in by {opening.Name}, {Say.Length(opening.FlatWidthMm)} wide laid flat: try the ring before the first "
                + $"stitch.");
        }

        if (cover.Along)
        {
            because.Add($"No hoop position takes the largest {q.Called.One} whole, so the ring is moved along it: its edge always lies "
                + $"between two stitches, and what is small stays whole.");
        }

        if (size.HoopMm > Hoops.MostInHandMm && school == School.Hoop)
        {
            because.Add("Over six inches a hoop wants a stand.");
        }

        var ownMm = own.Size is { } o && own.School == school ? o.HoopMm : size.HoopMm;
        return Deciding.Make(
            "hoop.size", Station.Hoop, school == School.Hoop ? "Which hoop" : "Which frame", Name(school, ownMm), q.HersSizeMm is null
                ? null : Name(school, size.HoopMm), because,
            [$"{(q.Called.AreWords ? "Larger or smaller lettering" : "A larger or smaller size")}, or another hoop in your stash."],
            taken.All.Where(s => s.Against is null).Select(s => Name(school, s.HoopMm)).ToArray(),
            taken.All.Where(s => s.Against is not null).Select(s =>
                new RuledOut(Name(school, s.HoopMm).ChoiceId, Name(school, s.HoopMm).Text, [s.Against.Sure()])).ToArray());
    }

    private static Choice Tight => new("drum-tight", "Tight as a drum");

    private static Choice Slack => new("slack", "Flat but not stretched");

    private static bool Knit(Cloth cloth) => cloth.Kind.Knit || cloth.Stretchy;

    private static Decision Tension(HoldingQuestion q, string habit)
    {
        var knit = Knit(q.Cloth);
        var slack = habit == "slack" || (habit == "slack-on-knits" && knit);
        return Deciding.Make(
            "hoop.tension", Station.Hoop, "How tight", slack ? Slack : Tight, null,
            [
                knit
                    ? "Do not stretch it: a tacked 100 mm line must still measure 99 to 101 mm in the hoop. Bind the inner ring; a number "
                        + "of screw turns is no measure."
                    : slack ? "A little slack leaves room for the needle to scoop." : "Firm cloth under tension takes even stitches.",
                "One layer only; take it off every evening, and leave its ring to be pressed out at the very end.",
            ],
            ["A knit, or your habit of tension."]);
    }

    private static Decision LayersOf(HoldingQuestion q, string habit)
    {
        var both = q.Cloth.Lined && habit == "through-both";
        return Deciding.Make(
            "hoop.layers", Station.Hoop, "Which layers", both ? Layers[1] : Layers[0], null,
            [
                both ? "The needle goes through the lining too: it holds both, and the back is seen inside."
                    : q.Cloth.Lined ? "The lining stays clean and hides the back."
                        : "Keep the layer behind out of the hoop, or the item is sewn shut.",
            ],
            ["A lining, or your habit of layers."]);
    }

    private static Choice Name(School school, double mm) => new(
        mm.ToString(CultureInfo.InvariantCulture),
        school == School.Frame ? (Told)$"An {Hoops.Inches(mm)} in snap frame ({Say.Length(mm).ToString()})"
            : (Told)$"A {Hoops.Inches(mm)} in hoop ({Say.Length(mm).ToString()})");

    private static string IdOf(School school) => Schools.First(s => s.School == school).Choice.ChoiceId;

    private static Told TextOf(string id) => Choices.First(c => c.ChoiceId == id).Text;
}
