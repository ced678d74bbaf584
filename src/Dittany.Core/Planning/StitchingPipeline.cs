using System.Globalization;
using Dittany.Core.Decisions;
using Dittany.Core.Hooping;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Route;
using Dittany.Core.Space;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Stitches.OnLines;
using Dittany.Core.Threads;
using Dittany.Core.Words;

namespace Dittany.Core.Planning;

/// <summary>A letter as it is worked: its parts, and where they stand among its element's.</summary>
internal sealed record WorkedLetter(PlannedElement Element, IReadOnlyList<Part> Parts, IReadOnlyList<int> Indices);

/// <summary>The stitched letters on their way through hooping, route and threads.</summary>
internal static class StitchingPipeline
{
    /// <summary>A lining adds this much for the needle to go through (from memory).</summary>
    public const double LiningMm = 0.25;

    public static IReadOnlyList<WorkedLetter> LettersOf(IReadOnlyList<PlannedElement> elements) => elements
        .SelectMany(e => e.Parts.Select((p, i) => (Part: p, Index: i)).GroupBy(p => p.Part.LetterIndex).Select(g =>
            new WorkedLetter(e, g.Select(p => p.Part).ToArray(), g.Select(p => p.Index).ToArray())))
        .ToArray();

    public static Held Hold(IReadOnlyList<WorkedLetter> letters, Called called, WordingGround ground, Workshop workshop,
        HeardOverrides overrides)
    {
        var units = HoopUnits.Of(letters);
        var keepOff = ground.Drawn.Obstacles.Where(o => ground.Zone.Ignores?.Contains(o.Id, StringComparer.Ordinal) != true).Select(o =>
            (o.Ring, By: Clearances.Of(o.Kind).RingMm)).Where(o => o.By is not null).Select(o =>
            new RingFree(o.Ring, o.By.Sure())).ToArray();
        var hersSchool = overrides.For("hoop.school");
        var hersSize = (hersSchool ?? workshop.Habit("hold")) != "in-hand" && overrides.For("hoop.size") is { } size
            ? double.Parse(size, CultureInfo.InvariantCulture) : (double?)null;
        // Loose cloth is gripped where it is cut, and has no seam or hem yet.
        var loose = ground.Form.Loose;
        return Holding.Settle(new HoldingQuestion(
            units, loose is { } kind ? ClothAllowance.Around(kind, ground.Drawn.Outline) : ground.Drawn.Outline,
            loose is null ? keepOff : [], ground.Cloth, ground.Zone.Opening ?? ground.Drawn.Opening, ground.Zone.HoopLimit
                ?? ground.Drawn.HoopLimit, workshop.HoopsMm, Holding.SchoolOf(workshop.Habit("hold")),
            workshop.Habit("tension"), workshop.Habit("layers"), hersSchool, hersSize,
            (hersSchool ?? workshop.Habit("hold")) != "in-hand" ? overrides.For("hoop.tension") : null,
            ground.Cloth.Lined ? overrides.For("hoop.layers") : null)
        {
            Budget = ground.Budget,
            Called = called,
            OwnRingMm = loose == LooseCloth.Hooped
                ? Math.Round(ground.Drawn.Outline.Max(p => p.X) - ground.Drawn.Outline.Min(p => p.X)) : null,
        });
    }

    /// <summary>Skimming wants cloth that gives: in the hand, or slack in the hoop.</summary>
    public static (bool Skims, Decision Decision) Action(Held held, IReadOnlyList<LineStitch> lines, Workshop workshop, string? hers)
    {
        var inHand = held.School == School.InHand;
        var gives = inHand || held.Decisions.Any(d => d.Id == "hoop.tension" && d.ChoiceId == "slack");
        var decision = Deciding.ByHabit(Told, workshop.Habit("needle-action"), hers, gives ? [Stab, Skim] : [Stab]);
        return (decision.ChoiceId == Skim.ChoiceId, decision);

        Decision Told(string habit)
        {
            // In the hand nothing is taut: whoever does not say otherwise scoops.
            var skims = gives && (habit == Skim.ChoiceId || (inHand && hers is null));
            return Deciding.Make(
                "stitch.action", Station.Stitches, "How the needle goes", skims ? Skim : Stab, null,
                [
                    skims ? inHand
                            ? "In the hand the cloth is not taut, so the needle scoops; through an outer layer alone too."
                            : "The cloth gives, so the needle can scoop: faster, a little less exact; in tight places go back to stabbing."
                        : inHand ? "In the hand the cloth is not taut: hold it flat over a finger, and go straight through."
                        : habit == Skim.ChoiceId
                            ? "The cloth is drum-tight and cannot be scooped, so the needle goes straight down and straight up."
                        : "At a right angle through taut cloth each stitch lands where it is meant to.",
                    .. Travel(lines, workshop.Habit("hand") == "left"),
                ],
                ["Your habit of the needle, which hand stitches, and how tight the cloth is held."]);
        }
    }

    private static Choice Stab => new("stab", "Straight down and straight up");

    private static Choice Skim => new("skim", "In and out in one move");

    /// <summary>The stitches that work lines, each once, in the order they come up.</summary>
    public static IReadOnlyList<LineStitch> LinesOf(IEnumerable<PlannedElement> elements) => elements.SelectMany(e => e.Parts)
        .Select(p => Book.Find(p.Stitch)).OfType<LineStitch>().DistinctBy(l => l.Info.Id).ToArray();

    /// <summary>Which way a level line of each stitch is worked: nothing where no line is, or none that minds.</summary>
    private static Told[] Travel(IReadOnlyList<LineStitch> lines, bool left)
    {
        var ways = lines.Where(l => l.Heading != Heading.EitherWay).GroupBy(l => (l.Heading == Heading.LeftToRight) != left)
            .OrderByDescending(g => g.Count()).Select(g => $"{Say.List(g.Select(l => l.Info.Name).Distinct(StringComparer.Ordinal).ToArray())} "
                + (g.Key ? "from left to right" : "from right to left")).ToArray();
        return ways.Length == 0 ? [] : [$"On a level line you work {Say.List(ways)}{(left ? ", with your left hand" : string.Empty)}."];
    }

    /// <summary>Thread ends to reckon with before the route is known: what all stitches take over what a run can stitch.</summary>
    public static int ExpectedRuns(IReadOnlyList<WorkedLetter> letters, Cutting cutting, double thicknessMm)
    {
        var runs = letters.SelectMany(l => l.Parts).GroupBy(p => p.Thread.Kind).Sum(g => g.Sum(p =>
            p.Stitches.Select((s, i) => Routing.Use(s, i == 0 ? 0 : Routing.Behind(p.Stitches[i - 1], s), thicknessMm)).Sum())
                * cutting.TakenUp / cutting.For(g.Key).RunMm);
        return Math.Max(1, (int)Math.Ceiling(runs + 1 - (cutting.FreshRunMm / cutting.RunMm)));
    }

    /// <summary>The route with its decision; <paramref name="wipes"/> says that the line on the cloth can be wiped by the hand.</summary>
    public static Routed RouteOf(
        IReadOnlyList<WorkedLetter> letters, Called called, Held held, Cutting cutting, WordingGround ground, double thicknessMm,
            bool wipes, Workshop workshop, string? hers, List<Decision> decisions, LayerOrder lying)
    {
        var left = workshop.Habit("hand") == "left";
        var own = left && wipes && called.AreWords ? "last-letter-first" : "writing-order";
        var backwards = (hers ?? own) == "last-letter-first";
        var (first, round) = (workshop.Habit("motif-first"), workshop.Habit("motif-rounds"));
        var hoopOf = new HoopUnits(held);
        var setUps = MotifOrder.Of(letters, first, round, ground.TuckMm == 0, i =>
            hoopOf.Stretches(i, 0, letters[i].Parts[0].Stitches.Count)[0].Hoop,
            lying.Matters, ground.Budget);
        var order = backwards ? setUps.Letters.Reverse().ToArray() : setUps.Letters;

        var shows = letters.Count > 0 && letters.Any(l =>
            ColourDifference.Lightness(Colour.Parse(l.Parts[0].Colour), ground.Cloth.Colour) >= Legibility.VanishesBelowL);
        var rule = FloatRules.For(new FloatFacts(ground.Cloth, ground.Worn, ground.Form.Use, ground.Form.Name, shows,
            workshop.Habit("carry"), workshop.Habit("jumps"), called.One,
            ground.Zone.BackSeen && !ground.Cloth.Lined));
        var pieces = order.SelectMany(i => letters[i].Parts.SelectMany((part, n) =>
            Split(hoopOf.Stretches(i, n, part.Stitches.Count), part.Breaks).Select(s =>
            new Piece(letters[i].Element.Id, letters[i].Indices[n], i, part.Thread.Id, s.Hoop, part.Stitches.Slice(s.First, s.Count),
                Book.Find(part.Stitch).Sure().Reverses, s.First))));
        var routed = Routing.Order(pieces.ToArray(), new RouteRules(rule.StraightUpToMm, rule.LetterEndsThread, cutting.RunMm,
            cutting.FreshRunMm, thicknessMm, cutting.TakenUp, cutting.EndsMm)
        {
            Needles = int.Parse(workshop.Habit(Habits.NeedlesThreaded), CultureInfo.InvariantCulture),
            Shorter = letters.SelectMany(l => l.Parts).Select(p => p.Thread).Distinct().Where(t => cutting.For(t.Kind) != cutting)
                .ToDictionary(t => t.Id, t => (cutting.For(t.Kind).RunMm, cutting.For(t.Kind).FreshRunMm), StringComparer.Ordinal),
        }, ground.Budget);
        var straight = routed.Rows.Where(r => r.FloatKind == FloatKind.Straight).ToArray();
        var because = new List<Told>();
        if (letters.Any(l => !l.Element.IsMotif))
        {
            because.Add("Every letter is worked in the strokes of a hand that writes it.");
        }

        because.AddRange(MotifOrder.Because(letters, first, round, setUps, held.Placings.Count));
        because.Add($"{Say.Upper(Say.Count(routed.Rows.Count(r => r.Cut), "thread"))}, begun "
            + $"{Say.Count(routed.Rows.Count(r => r.FloatKind == FloatKind.NewThread), "time")}: the needleful goes on from part to part "
            + $"of its colour until it is used up, and where the way on would be too long it ends and begins again with the rest.");
        NeedlesTold(because, routed, pieces.Select(p => p.Thread).Distinct(StringComparer.Ordinal).Count(), workshop);
        because.AddRange(rule.Because);
        if (straight.Length > 0)
        {
            because.Add($"The longest jump behind is {Say.Length(Math.Round(straight.Max(r => r.FloatMm), 1))}.");
        }

        if (routed.Turned > 0)
        {
            because.Add($"{Say.Count(routed.Turned, called.AreWords ? "stroke" : "line")} {(routed.Turned == 1 ? "is" : "are")} worked "
                + $"from the far end, or out with gaps that are filled on the way back: that saves a thread end or a long jump behind.");
        }

        if (own == "last-letter-first")
        {
            because.Add("A left hand would wipe a chalk line on its way, so the last letter comes first.");
        }

        decisions.Add(Deciding.Make(
            "order.parts", Station.Order, "Where to begin and go on", Order(own), hers is null ? null : Order(hers), because,
            ["Which hand you stitch with, a line that can be wiped, or your habits of order and of going on."],
                [Order("writing-order"), Order("last-letter-first")]));
        return routed;

        Choice Order(string id) => new(id, called.AreWords
            ? id == "last-letter-first" ? "The last letter first" : "Letter by letter, as they are written"
            : id == "last-letter-first" ? "The last part first" : "Part by part, what lies under before what lies over it");
    }

    /// <summary>With more threads than this one needle alone is a patience of its own (from memory).</summary>
    private const int ManyThreads = 8;

    /// <summary>What is told of needles that are kept threaded, or would be better kept so.</summary>
    private static void NeedlesTold(List<Told> because, Routed routed, int threads, Workshop workshop)
    {
        var needles = int.Parse(workshop.Habit(Habits.NeedlesThreaded), CultureInfo.InvariantCulture);
        if (needles == 1 && threads > ManyThreads)
        {
            because.Add($"{Say.Upper(Say.Count(threads, "thread"))} and one needle: with several kept threaded and parked beside it (a habit), less is threaded and cut.");
        }
        else if (needles > 1 && threads > 1)
        {
            because.Add(routed.TakenUp > 0
                ? (Told)$"Up to {needles} needles stay threaded: {Say.Count(routed.TakenUp, "time")} a parked one is taken up again instead of being threaded anew."
                : $"Up to {needles} needles stay threaded; none is wanted again with enough left on it.");
        }
    }

    /// <summary>Stretches of a part, parted once more where a thread begins anew within it.</summary>
    private static IEnumerable<(int First, int Count, int Hoop)> Split(IEnumerable<(int First, int Count, int Hoop)> stretches,
        IReadOnlyList<int> breaks) => stretches.SelectMany(s =>
    {
        int[] at = [s.First, .. breaks.Where(b => b > s.First && b < s.First + s.Count), s.First + s.Count];
        return at.Zip(at.Skip(1), (from, to) => (from, to - from, s.Hoop));
    });

    /// <summary>Elements with each line's stitches as the route works them: turned where a line is run backwards or out and back.</summary>
    public static IReadOnlyList<PlannedElement> AsWorked(IReadOnlyList<PlannedElement> elements, Routed routed)
    {
        var turned = routed.Ways.Where(w => w.Way.Rank > 0).GroupBy(w => (w.Piece.Element, w.Piece.Part)).ToDictionary(g => g.Key, g =>
            g.SelectMany(w => w.Way.Order.Where(o => o.Turned).Select(o => w.Piece.First + o.Index)).ToHashSet());
        return turned.Count == 0
            ? elements
            : elements.Select(e => e with
            {
                Parts = e.Parts.Select((p, i) => turned.TryGetValue((e.Id, i), out var turns) ? p
                with
                { Stitches = p.Stitches.Turned(turns.Contains) } : p).ToArray()
            }).ToArray();
    }

    public static List<ThreadNeed> ThreadsOf(
        IReadOnlyList<PlannedElement> elements, IReadOnlyList<RouteRow> route, Cutting cutting, Cloth cloth, double thicknessMm,
            Workshop workshop, HeardOverrides overrides, List<Decision> decisions)
    {
        var byElement = elements.ToDictionary(e => e.Id, StringComparer.Ordinal);
        var needs = new List<ThreadNeed>();
        var threads = route.GroupBy(r => byElement[r.Element].Parts[r.Part].Thread).ToArray();

        // The thread most is stitched with is the piece's own; any other is named by what it is, and so may that one be.
        var main = threads.OrderByDescending(g => g.Count()).ThenBy(g => g.Key.Id, StringComparer.Ordinal).FirstOrDefault()?.Key;
        foreach (var group in threads)
        {
            var named = new DecisionKey(DecisionKey.Needle, Thread: group.Key.Id);
            var id = group.Key == main ? named with { Thread = null } : named;
            var hers = overrides.For(named) ?? (group.Key == main ? overrides.For(id) : null);
            var whipped = group.Any(r => Book.Find(byElement[r.Element].Parts[r.Part].Stitch).Sure().Blunt);
            var (needle, decision) = ThreadRoom.Needle(id, threads.Length > 1 ? group.Key.Name : null, group.Key.Size, cloth,
                workshop.Habit("needle"), whipped, hers);
            decisions.Add(decision);
            needs.Add(ThreadRoom.Sum(
                group.Key,
                group.Select(r => (Stitch: byElement[r.Element].Parts[r.Part].Stitches[r.Stitch], r.BackMm)).Select(r =>
                    (r.Stitch.ThreadMm, r.BackMm, r.Stitch.Passes)).ToArray(),
                group.Select(r => r.Run).Distinct().Count(), group.Count(r => r.Fresh), group.Count(r => r.Cut),
                    cutting.For(group.Key.Kind), thicknessMm, needle.Id));
        }

        return needs;
    }
}
