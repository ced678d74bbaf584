using System.Globalization;
using Dittany.Core.Decisions;
using Dittany.Core.Designs;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Space;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Words;
using Thread = Dittany.Core.Materials.Thread;

namespace Dittany.Core.Planning;

/// <summary>
/// Plans one wording through Space, Words and Stitches: place, alphabet, rows, size, stitch, strands, colour, and every stitch.
/// </summary>
internal sealed class WordingPlanner(WordingGround ground, Workshop workshop, HeardOverrides overrides)
{
    /// <summary>What is told first of what may be wrong: what the rest often follows from.</summary>
    private static readonly string[] Gravest = ["overflows", "does-not-show", "too-heavy", "closes-up", "touches", "turning", "dropped"];

    private readonly Rooms _field = new(ground.Field);
    private StitchFacts _facts = workshop.StitchFacts(ground.Cloth);

    /// <summary>
    /// Plans the wording that stands at this place of the job. Where the room is shared it takes one part of it: <paramref name="slot"/> of
    /// <paramref name="of"/>.
    /// </summary>
    public (PlannedElement Element, IReadOnlyList<Decision> Decisions) Plan(TextElement asked, int index, int slot, int of)
    {
        DecisionKey Id(string decision) => new(decision, index == 0 ? null : asked.Id);
        var decisions = new List<Decision>();
        var alphabet = Alphabet(asked, Id("words.alphabet"), decisions);
        var (place, placeDecision) = Placement.Settle(Id("space.place"), ground.Drawn, ground.Zone, ground.Field, asked.CentreMm,
            overrides.For(Id("space.place")), slot, of, within: ground.Within);
        decisions.Add(placeDecision);

        var thread = ThreadOf(asked, Id);
        decisions.Add(thread.Decision);
        _facts = _facts with { Thread = thread.Kind, Laid = thread.Laid };
        var stated = Stated(asked, thread, Id, alphabet);
        var schools = workshop.StitchSchoolsWith(stated.Length, stated.Dots);
        var arranged = WordsArranged.Settle(Id, asked, ground, place, overrides);
        decisions.AddRange(arranged.Decisions);
        if (asked.WidthMm is { } wide && stated.Size is null)
        {
            stated = stated with
            {
                WidthMm = wide,
                Size = CapFor(wide, size =>
                Choose(Ways(asked, alphabet, place, arranged, stated with { Size = size }, slot, of)).Answer)
            };
        }

        var ways = Ways(asked, alphabet, place, arranged, stated, slot, of);
        var (question, answer, rows) = Choose(ways);
        var (colour, chosen) = Colours(asked, Id("thread.colour"), decisions);
        decisions[^1] = ColourTelling.Told(decisions[^1], thread.Kind.Id, ground.Worn, workshop.Threads);
        // A heart or a star takes the thread of the words; what is drawn to be filled has its own.
        var rich = arranged.Beside?.Rich == true;
        var colours = MotifColours.Of(answer.Setting.Ornaments, colour, chosen, ground.Cloth, rich ? arranged.Beside.Sure().Wears : null,
            rich);
        TellGreen(Id("thread.colour"), colours, decisions);
        var inOthers = new Dictionary<IAlphabet, LetteringAnswer>();
        var areas = alphabet.Kind == AlphabetKind.Weighted;
        var fillFacts = new FillFacts(_facts.Knit, workshop.Skill == Effort.Skill.Learner);
        var filling = new FillingRoom(Id("stitch.fill"), areas ? overrides.For(Id("stitch.fill")) : null,
            ground.Unfilled ? FillWays.None : workshop.Habit("fill") is FillWays.None and var none ? none
                : FillWays.ByPart, asked.ByPart,
            FreeThread.MostMm(ground.Worn), FreeThread.Why(ground.Worn), fillFacts, 0,
            n => StitchSpec.For(new Pair(Book.Plainest, n), schools), KindOf, letters: true);
        var beside = rich && !ground.Unfilled && workshop.Habit("fill") != FillWays.None ? new FillingRoom(Id("stitch.fill"), null, FillWays.ByPart, [],
            FreeThread.MostMm(ground.Worn), FreeThread.Why(ground.Worn), fillFacts, 0,
            n => StitchSpec.For(new Pair(Book.Plainest, n), schools), KindOf) : null;
        var stitching = new WordStitching(ground, _facts, _field, schools, filling, overrides.For(Id("stitch.letters"))) { Beside = beside };
        (answer, var (parts, concerns, design)) = WordStitching.SupplestOf(question, answer, a =>
            stitching.Stitched(asked, question, a, colours, place, AsJob));
        parts = [.. SecondColour.In(parts, asked.SecondColour, workshop.Thread(ThreadKinds.Cotton))];
        SecondColour.Tell(decisions, Id("thread.colour"), parts, asked.SecondColour);
        thread.TellParts(Id(DecisionKey.ThreadKind), parts, ground, decisions);
        TellWidths(Id("words.alphabet"), alphabet, answer, decisions);
        WordingDecisions.Tell(Id, question, answer, rows, ways.Select(w => w.Rows).ToArray(), stated, schools =>
            stitching.SpecFor(answer.Pair, schools), workshop, decisions);
        thread.Unfollow(Id("thread.strands"), Id("stitch.outline"), decisions);
        var filled = filling.Told(areas, words: true);
        decisions.Add(beside is null || areas ? filled : filled with
        {
            Choice = $"The {arranged.Beside.Sure().Name} is filled, the letters are lines",
            Because = beside.Told(true, words: false).Because,
        });
        decisions.Add(stitching.Told(Id("stitch.letters"), parts));

        var overflow = Math.Max(answer.OverflowMm, PlannedBox.OutsideMm(parts, _field, place.AnchorMm));
        concerns.AddRange(FitConcerns(question, overflow, ways, rows, AsJob));
        concerns.AddRange(answer.Faults.Select(f => new Concern(f.What, f.Letter, Math.Round(f.ByMm, 3), f.Text,
            [.. Lettering.Remedies(question, answer, f, AsJob), .. OtherHands(f)])));
        concerns.AddRange(thread.Shows(colour, ground.Cloth));

        var setting = answer.Setting;
        var baseline = place.AnchorMm + (setting.BaselineFromOrigin * answer.CapMm);
        var element = new PlannedElement(
            asked.Id,
            asked.Text,
            rows,
            alphabet.Id,
            answer.CapMm,
            baseline.OnGrid(),
            (place.AnchorMm + (setting.MiddleFromOrigin * answer.CapMm)).OnGrid(),
            PlannedBox.Of(parts),
            answer.Pair.LineWidthMm,
            Math.Round(answer.LargestCapMm, 3),
            Math.Round(overflow, 3),
            concerns.All(c => c.What is "overflows" or "dropped"),
            concerns.OrderBy(c => Array.IndexOf(Gravest, c.What)).ToArray(),
            parts,
            arranged.Arrangement.Id,
            null,
            Legibility.Letters(setting, alphabet, answer.Pair, ground.Cloth, answer.CapMm),
            design)
        { Layer = asked.Layer };
        return (element, decisions);

        // Another hand is tried out like any remedy: the whole wording in it, and the fault must be gone. First the middle line of the same
        // letters, then one of our own, for they are quickly tried.
        IEnumerable<Remedy> OtherHands(Fault fault) => fault.What is not ("closes-up" or "touches") ? [] : ground.Library.Alphabets
            .Where(a => a != alphabet && ((a.Kind == AlphabetKind.Stroke && !Alphabets.IsOwn(a)) || a.Id == alphabet.Id
                + Alphabets.LineSuffix) && Rows.Letters(asked.Text.ReplaceLineEndings(" ")).All(l => Rows.IsSpace(l) || a.Has(l)))
            .OrderBy(a => a.Kind == AlphabetKind.CentreLine ? 0 : 1)
            .Where(a => Budget.Works(() => In(a) is var other && other.Faults.All(f => f.What != fault.What || f.Letter != fault.Letter)
                && other.OverflowMm == 0))
            .Take(1).Select(a => new Remedy(Alphabet: a.Id));

        LetteringAnswer In(IAlphabet other)
        {
            if (!inOthers.TryGetValue(other, out var settled))
            {
                inOthers[other] = settled = Choose(Ways(asked, other, place, arranged, stated, slot, of)).Answer;
            }

            return settled;
        }

        // The wording as a job that states a change would have it: rows are chosen anew.
        LetteringAnswer AsJob(Func<LetteringQuestion, LetteringQuestion> change) =>
            Choose(ways.Select(w => (w.Rows, change(w.Question))).ToArray()).Answer;
    }

    private StatedLettering Stated(TextElement asked, ThreadChoice thread, Func<string, DecisionKey> id, IAlphabet alphabet) => new(
        asked.CapHeightMm?.ToString("R", CultureInfo.InvariantCulture)
            ?? (asked.WidthMm is null ? overrides.For(id("words.size")) : null),
        thread.Strands,
        thread.Stitch,
        asked.Rows?.ToString(CultureInfo.InvariantCulture) ?? overrides.For(id("words.rows")),
        overrides.For(id("stitch.length")),
        Rows.Letters(asked.Text.ReplaceLineEndings(" ")).Any(l => alphabet.Find(l)?.HasDot == true) ? overrides.For(id("stitch.dots"))
            : null);

    private ThreadKind KindOf(string id) => workshop.Thread(ThreadKinds.Find(id).Sure());

    private ThreadChoice ThreadOf(TextElement asked, Func<string, DecisionKey> id) => ThreadChoice.Settle(id(DecisionKey.ThreadKind),
        asked.Thread,
        overrides.For(id(DecisionKey.ThreadKind)), asked.Strands?.ToString(CultureInfo.InvariantCulture) ?? overrides.For(id("thread.strands")),
        asked.Stitch ?? overrides.For(id("stitch.outline")), ground, workshop);

    /// <summary>A width is met to this, mm: less than a thread.</summary>
    private const double WidthMetMm = 0.1;

    /// <summary>
    /// The height at which words come out so wide, as it would be stated. Their width grows as their height does, but for the line, for
    /// small letters that are set wider, and for rows that break elsewhere: so it is looked for in a few steps, each in proportion to what
    /// is missing.
    /// </summary>
    private static string CapFor(double wideMm, Func<string, LetteringAnswer> at)
    {
        const int Steps = 12;
        var cap = 20.0;
        for (var step = 0; step < Steps; step++)
        {
            var answer = at(Stated(cap));
            var width = (answer.Setting.Width * cap) + answer.Pair.LineWidthMm;
            if (Math.Abs(width - wideMm) <= WidthMetMm || width <= 0)
            {
                break;
            }

            cap = Math.Clamp(Math.Round(cap * Math.Max(0.1, wideMm - answer.Pair.LineWidthMm) / Math.Max(0.1,
                width - answer.Pair.LineWidthMm), 2), Lettering.LeastCapMm, Fit.MostCapMm);
        }

        return Stated(cap);

        static string Stated(double mm) => mm.ToString("R", CultureInfo.InvariantCulture);
    }

    /// <summary>
    /// How a wording alone would be lettered: its question in the rows it comes out best in, and the answer. No stitch is placed.
    /// </summary>
    internal (LetteringQuestion Question, LetteringAnswer Answer) Letter(TextElement asked)
    {
        var alphabet = asked.Alphabet is { } named ? ground.Library.Find(named).Sure()
            : First(ground.Library.Everybodys.Where(a => Rows.Letters(asked.Text.ReplaceLineEndings(" ")).All(l => Rows.IsSpace(l)
            || a.Has(l)))).Sure();
        var (place, _) = Placement.Settle("space.place", ground.Drawn, ground.Zone, ground.Field, asked.CentreMm, null, 0, 1, within: ground.Within);
        var arranged = WordsArranged.Settle(id => id, asked, ground, place, overrides);
        var thread = ThreadOf(asked, id => id);
        _facts = _facts with { Thread = thread.Kind, Laid = thread.Laid };
        var stated = new StatedLettering(asked.CapHeightMm?.ToString("R", CultureInfo.InvariantCulture), thread.Strands, thread.Stitch, asked.Rows?.ToString(CultureInfo.InvariantCulture), null,
            null);
        var (question, answer, _) = Choose(Ways(asked, alphabet, place, arranged, stated, 0, 1));
        return (question, answer);
    }

    /// <summary>One question for each way of breaking the words into rows.</summary>
    private IReadOnlyList<(IReadOnlyList<string> Rows, LetteringQuestion Question)> Ways(TextElement asked, IAlphabet alphabet,
        Place place, WordsArranged arranged, StatedLettering stated, int slot, int of)
    {
        int? wanted = stated.Rows is { } r && Rows.Break(asked.Text, int.Parse(r, CultureInfo.InvariantCulture)) is not null
            ? int.Parse(r, CultureInfo.InvariantCulture) : null;
        var slice = _field;
        if (of > 1 && !ground.Field.IsEmpty)
        {
            var (least, greatest) = ground.Field.Box;
            var height = (greatest.Y - least.Y) / of;
            slice = new Rooms(ground.Field.Within(Region.Rectangle(least.X, place.AnchorMm.Y - height, greatest.X - least.X,
                height * 1.5)));
        }

        // Round a ring and along an edge there is one row, unless she breaks it.
        var tried = wanted is null && arranged.OneRow ? [Rows.Break(asked.Text, null).Sure()] : Rows.Ways(asked.Text, wanted);
        return tried.Select(rows => (rows, new LetteringQuestion(
            alphabet, Settings.Lay(alphabet, rows, place.Stands, arranged.Arrangement, arranged.Ornament), _field, slice, place.AnchorMm,
                ground.Cloth, _facts, stated.CapMm,
            stated.Strands is null ? null : int.Parse(stated.Strands, CultureInfo.InvariantCulture),
            stated.Stitch is null ? null : Book.Find(stated.Stitch),
            stated.Wish ?? StatedLettering.WishOf(workshop.Habit("size")), ground.Zone.Lettering)
        { Budget = ground.Budget })).ToArray();
    }

    /// <summary>
    /// The fewest rows at which the words read, fit, and reach the least height usual here; else the rows in which they come out best.
    /// </summary>
    private static (LetteringQuestion Question, LetteringAnswer Answer,
        IReadOnlyList<string> Rows) Choose(IReadOnlyList<(IReadOnlyList<string> Rows, LetteringQuestion Question)> ways)
    {
        var tried = new List<(LetteringQuestion Question, LetteringAnswer Answer, IReadOnlyList<string> Rows)>();
        foreach (var (rows, question) in ways)
        {
            var answer = Lettering.Settle(question);
            if (answer.Reads && answer.OverflowMm == 0 && (question.CapMm is not null || answer.CapMm >= question.UsualLeastMm))
            {
                return (question, answer, rows);
            }

            tried.Add((question, answer, rows));
        }

        return tried.Count == 1 ? tried[0] : tried.OrderBy(t => t.Answer.OverflowMm > 0).ThenBy(t => t.Answer.OverflowMm).ThenBy(t =>
            !t.Answer.Reads).ThenByDescending(t => t.Answer.CapMm).First();
    }

    /// <summary>
    /// The alphabet taken where she names none: single strokes first, then a font's centre lines, for a name is a line before it is an
    /// outline.
    /// </summary>
    private static IAlphabet? First(IEnumerable<IAlphabet> able) =>
        able.OrderBy(a => a.Kind switch { AlphabetKind.Stroke => 0, AlphabetKind.CentreLine => 1, _ => 2 }).FirstOrDefault();

    private IAlphabet Alphabet(TextElement asked, DecisionKey id, List<Decision> decisions)
    {
        var hers = asked.Alphabet ?? overrides.For(id);
        var letters = Rows.Letters(asked.Text.ReplaceLineEndings(" ")).Where(l => !Rows.IsSpace(l)).ToArray();
        var able = ground.Library.Everybodys.Where(a => letters.All(l => a.Has(l))).ToArray();
        var own = First(able) ?? ground.Library.Alphabets[0];
        var taken = hers is null ? own : ground.Library.Find(hers).Sure();
        decisions.Add(Deciding.Make(
            id,
            Station.Words,
            "Which hand",
            new Choice(own.Id, own.Name),
            hers is null ? null : new Choice(taken.Id, taken.Name),
            [taken.Told, AlphabetTelling.Measured(taken), $"It has every letter of “{asked.Text.ReplaceLineEndings(" ")}”."],
            ["Letters that this hand lacks, or thread that its tightest places do not take."],
            able.Select(a => new Choice(a.Id, a.Name)).ToArray(),
            ground.Library.Everybodys.Except(able).Select(a =>
                new RuledOut(a.Id, a.Name,
                [$"It has no "
                    + $"{Say.List(letters.Where(l => !a.Has(l)).Distinct(StringComparer.Ordinal).Take(5).Select(l => $"“{l}”").ToArray())}."])).ToArray()));
        return taken;
    }

    /// <summary>How wide the strokes of an outline come out is known only once the height is.</summary>
    private void TellWidths(DecisionKey id, IAlphabet alphabet, LetteringAnswer answer, List<Decision> decisions)
    {
        if (alphabet.Facts.Widths is { } widths)
        {
            var k = decisions.FindIndex(d => d.Id == id);
            var told = StrokeCover.Told(alphabet.Kind, widths, answer.CapMm, answer.Pair.LineWidthMm,
                Legibility.LeastOpening(answer.Pair.LineWidthMm, ground.Cloth));
            decisions[k] = decisions[k] with { Because = [.. decisions[k].Because, told] };
        }
    }

    private static void TellGreen(DecisionKey id, MotifColours colours, List<Decision> decisions)
    {
        if (colours.Green is { } green)
        {
            var k = decisions.FindIndex(d => d.Id == id);
            decisions[k] = decisions[k] with
            {
                Because = [.. decisions[k].Because, $"Stems and leaves beside the words are in {Palette.NameOf(green)}."],
                WouldChange = [.. decisions[k].WouldChange, "Choose a colour, and all of it is in that."],
            };
        }
    }

    /// <summary>The colour of the words, and whether it was she who chose it.</summary>
    private (string Hex, bool Chosen) Colours(TextElement asked, DecisionKey id, List<Decision> decisions)
    {
        var cloth = ground.Cloth;
        var (own, reading) = Legibility.Colours(cloth);
        var hers = (asked.Colour ?? overrides.For(id))?.ToLowerInvariant();
        var hex = hers is null ? own.Hex : Palette.HexOf(hers);
        var lightness = ColourDifference.Lightness(Colour.Parse(hex), cloth);
        var apart = ColourDifference.Ciede2000(Colour.Parse(hex).ToLab(), cloth.Colour.ToLab());
        decisions.Add(Deciding.Make(
            id,
            Station.Thread,
            "Which colour",
            new Choice(own.Hex, Say.Upper(own.Name)),
            hers is null ? null : new Choice(hex, Say.Upper(Palette.NameOf(hex))),
            [
                lightness >= Legibility.ReadsFromL ?
                    (Told)$"It is {Legibility.Against(Colour.Parse(hex), cloth)}: words in it read at a glance."
                    : lightness >= Legibility.VanishesBelowL ?
                        (Told)$"It is {Legibility.Against(Colour.Parse(hex), cloth)}: tone on tone, to be found from near by."
                    : (Told)$"It is {Legibility.Against(Colour.Parse(hex), cloth)}: {(cloth.Print is null ? "from a step away the words vanish" : "there the words are lost")}.",
            ],
            ["Another colour of cloth."],
            reading.Select(c => new Choice(c.Hex, Say.Upper(c.Name))).ToArray()) with
        {
            From =
                [
                    $"Lightness L* of CIE 1976, 0 to 100: apart by {Say.Number(lightness, 0)}; words read from "
                        + $"{Say.Number(Legibility.ReadsFromL, 0)} on and vanish under {Say.Number(Legibility.VanishesBelowL, 0)} (from "
                        + $"memory).",
                    $"The whole colour difference is {Say.Number(apart, 0)} by CIEDE2000 (Sharma, Wu and Dalal, 2005).",
                ],
        });
        return (hex, hers is not null);
    }

    private IEnumerable<Concern> FitConcerns(LetteringQuestion q, double overflow,
        IReadOnlyList<(IReadOnlyList<string> Rows, LetteringQuestion Question)> ways, IReadOnlyList<string> rows,
        Func<Func<LetteringQuestion, LetteringQuestion>, LetteringAnswer> asJob)
    {
        if (overflow <= 0)
        {
            yield break;
        }

        var remedies = new List<Remedy>();
        var fits = Budget.Tried<double?>(() =>
        {
            var largest = Lettering.Settle(q with { CapMm = null, Wish = SizeWish.Largest });
            return largest.OverflowMm == 0 && largest.LargestCapMm >= Lettering.LeastCapMm
                && asJob(x => x with { CapMm = largest.CapMm }).OverflowMm == 0 ? largest.CapMm : null;
        }, null);
        if (fits is { } fitting)
        {
            remedies.Add(new Remedy(CapHeightMm: fitting));
        }

        if (ways.Skip(1).Where(w => w.Rows.Count > rows.Count).FirstOrDefault(w =>
            Budget.Works(() => Lettering.Settle(w.Question).OverflowMm == 0)) is { Rows: { } enough })
        {
            remedies.Add(new Remedy(Rows: enough.Count));
        }

        if (q.Settings.Arrangement is { Way: WordWay.Ring or WordWay.Arc, RadiusMm: { } radius } && q.CapMm is { } cap
            && Lettering.LeastRadiusMm(q.Settings.At(cap, Lettering.At(q, cap).Pair.LineWidthMm), cap) is var least && least > radius)
        {
            yield return new Concern("overflows", null, Math.Round(overflow, 3),
                $"A radius of {Say.Length(radius)} is too small for these words at this height: they go round "
                    + $"{Say.Length(Math.Ceiling(least))} at the least.", [.. remedies, new Remedy(RadiusMm: Math.Ceiling(least))]);
            yield break;
        }

        yield return new Concern(
            "overflows", null, Math.Round(overflow, 3),
            q.Field.For(Recommender.InOrder(q.Stitch, q.Strands, q.Facts).Min(p => p.LineWidthMm)).IsEmpty
                ? $"There is no room at all here on the {ground.Form.Name}."
                : (Told)$"The words reach {Say.Length(Math.Round(overflow, 1))} beyond the room there is.",
            remedies);
    }
}
