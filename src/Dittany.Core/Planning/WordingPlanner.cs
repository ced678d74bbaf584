using System.Globalization;
using Dittany.Core.Designs;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Space;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Telling;
using Dittany.Core.Words;
using Thread = Dittany.Core.Materials.Thread;

namespace Dittany.Core.Planning;

/// <summary>What a wording is planned on.</summary>
internal sealed record WordingGround(Form Form, Drawn Drawn, Zone Zone, Region Field, Cloth Cloth, Worn Worn, Library Library,
    Budget Budget)
{
    /// <summary>What the place hangs on, where something goes round what is planned or it goes round something; else null.</summary>
    public Within? Within { get; init; }
}

/// <summary>
/// Plans one wording through Space, Words and Stitches: place, alphabet, rows, size, stitch, strands, colour, and every stitch.
/// </summary>
internal sealed class WordingPlanner(WordingGround ground, Workshop workshop, Overrules overrules)
{
    /// <summary>What is told first of what may be wrong: what the rest often follows from.</summary>
    private static readonly string[] Gravest = ["overflows", "does-not-show", "too-heavy", "closes-up", "touches", "turning", "dropped"];

    private readonly Rooms _field = new(ground.Field);
    private readonly StitchFacts _facts = workshop.StitchFacts(ground.Cloth);

    public (PlannedElement Element, IReadOnlyList<Decision> Decisions) Plan(WordingAsked asked, int index, int of)
    {
        string Id(string decision) => index == 0 ? decision : $"{decision}:{asked.Id}";
        var decisions = new List<Decision>();
        var alphabet = Alphabet(asked, Id("words.alphabet"), decisions);
        var (place, placeDecision) = Placement.Settle(Id("space.place"), ground.Drawn, ground.Zone, ground.Field, asked.CentreMm,
            overrules.For(Id("space.place")), index, of, within: ground.Within);
        decisions.Add(placeDecision);

        var stated = new StatedLettering(
            asked.CapHeightMm?.ToString("R", CultureInfo.InvariantCulture)
                ?? (asked.WidthMm is null ? overrules.For(Id("words.size")) : null),
            asked.Strands?.ToString(CultureInfo.InvariantCulture) ?? overrules.For(Id("thread.strands")),
            asked.Stitch ?? overrules.For(Id("stitch.outline")),
            asked.Rows?.ToString(CultureInfo.InvariantCulture) ?? overrules.For(Id("words.rows")),
            overrules.For(Id("stitch.length")),
            Rows.Letters(asked.Text.ReplaceLineEndings(" ")).Any(l => alphabet.Find(l)?.HasDot == true) ? overrules.For(Id("stitch.dots"))
                : null);
        var schools = workshop.StitchSchoolsWith(stated.Length, stated.Dots);
        var arranged = WordsArranged.Settle(Id, asked, ground, place, overrules);
        decisions.AddRange(arranged.Decisions);
        if (asked.WidthMm is { } wide && stated.Size is null)
        {
            stated = stated with
            {
                WidthMm = wide,
                Size = CapFor(wide, size =>
                Choose(Ways(asked, alphabet, place, arranged, stated with { Size = size }, index, of)).Answer)
            };
        }

        var ways = Ways(asked, alphabet, place, arranged, stated, index, of);
        var (question, answer, rows) = Choose(ways);
        var (colour, chosen) = Colours(asked, Id("thread.colour"), decisions);
        var colours = MotifColours.Of(answer.Setting.Ornaments, colour, chosen, ground.Cloth);
        TellGreen(Id("thread.colour"), colours, decisions);
        var inOthers = new Dictionary<IAlphabet, LetteringAnswer>();
        var areas = alphabet.Kind == AlphabetKind.Weighted;
        var filling = new FillingRoom(Id("stitch.fill"), areas ? overrules.For(Id("stitch.fill")) : null,
            workshop.Habit("fill"), asked.ByPart,
            FreeThread.MostMm(ground.Worn), FreeThread.Why(ground.Worn), _facts.Knit, 0,
            n => StitchSpec.For(new Pair(Book.Plainest, n), schools), letters: true);
        (answer, var (parts, concerns, design)) = SupplestOf(question, answer, a =>
            Stitched(asked.Id, question, a, schools, colours, place, AsJob, filling));
        TellWidths(Id("words.alphabet"), alphabet, answer, decisions);
        WordingDecisions.Tell(Id, question, answer, rows, ways.Select(w => w.Rows).ToArray(), stated, schools =>
            SpecFor(answer.Pair, schools), workshop, decisions);
        decisions.Add(filling.Told(areas, words: true));

        var overflow = Math.Max(answer.OverflowMm, PlannedBox.OutsideMm(parts, _field, place.AnchorMm));
        concerns.AddRange(FitConcerns(question, overflow, ways, rows, AsJob));
        concerns.AddRange(answer.Faults.Select(f => new Concern(f.What, f.Letter, Math.Round(f.ByMm, 3), f.Text,
            [.. Lettering.Remedies(question, answer, f, AsJob), .. OtherHands(f)])));
        if (Legibility.Showing(Colour.Parse(colour), ground.Cloth) is { } hidden)
        {
            concerns.Add(hidden);
        }

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
            design);
        return (element, decisions);

        // Another hand is tried out like any remedy: the whole wording in it, and the fault must be gone. First the middle line of the same
        // letters, then one of our own, for they are quickly tried.
        IEnumerable<Remedy> OtherHands(Fault fault) => fault.What is not ("closes-up" or "touches") ? [] : ground.Library.Alphabets
            .Where(a => a != alphabet && ((a.Kind == AlphabetKind.Stroke && !Alphabets.IsOwn(a)) || a.Id == alphabet.Id
                + Alphabets.LineSuffix) && Rows.Letters(asked.Text.ReplaceLineEndings(" ")).All(l => Rows.IsSpace(l) || a.Has(l)))
            .OrderBy(a => a.Kind == AlphabetKind.CentreLine ? 0 : 1)
            .Where(a => In(a) is var other && other.Faults.All(f => f.What != fault.What || f.Letter != fault.Letter)
                && other.OverflowMm == 0)
            .Take(1).Select(a => new Remedy(Alphabet: a.Id));

        LetteringAnswer In(IAlphabet other)
        {
            if (!inOthers.TryGetValue(other, out var settled))
            {
                inOthers[other] = settled = Choose(Ways(asked, other, place, arranged, stated, index, of)).Answer;
            }

            return settled;
        }

        // The wording as a job that states a change would have it: rows are chosen anew.
        LetteringAnswer AsJob(Func<LetteringQuestion, LetteringQuestion> change) =>
            Choose(ways.Select(w => (w.Rows, change(w.Question))).ToArray()).Answer;
    }

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
    internal (LetteringQuestion Question, LetteringAnswer Answer) Letter(WordingAsked asked)
    {
        var alphabet = asked.Alphabet is { } named ? ground.Library.Find(named)!
            : First(ground.Library.Everybodys.Where(a => Rows.Letters(asked.Text.ReplaceLineEndings(" ")).All(l => Rows.IsSpace(l)
            || a.Has(l))))!;
        var (place, _) = Placement.Settle("space.place", ground.Drawn, ground.Zone, ground.Field, asked.CentreMm, null, 0, 1, within: ground.Within);
        var arranged = WordsArranged.Settle(id => id, asked, ground, place, overrules);
        var stated = new StatedLettering(asked.CapHeightMm?.ToString("R", CultureInfo.InvariantCulture),
            asked.Strands?.ToString(CultureInfo.InvariantCulture), asked.Stitch, asked.Rows?.ToString(CultureInfo.InvariantCulture), null,
            null);
        var (question, answer, _) = Choose(Ways(asked, alphabet, place, arranged, stated, 0, 1));
        return (question, answer);
    }

    /// <summary>One question for each way of breaking the words into rows.</summary>
    private IReadOnlyList<(IReadOnlyList<string> Rows, LetteringQuestion Question)> Ways(WordingAsked asked, IAlphabet alphabet,
        Place place, WordsArranged arranged, StatedLettering stated, int index, int of)
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
        var tried = wanted is null && arranged.OneRow ? [Rows.Break(asked.Text, null)!] : Rows.Ways(asked.Text, wanted);
        return tried.Select(rows => (rows, new LetteringQuestion(
            alphabet, Settings.Lay(alphabet, rows, place.Stands, arranged.Arrangement, arranged.Ornament), _field, slice, place.AnchorMm,
                ground.Cloth, _facts, stated.CapMm,
            stated.Strands is null ? null : int.Parse(stated.Strands, CultureInfo.InvariantCulture),
            stated.Stitch is null ? null : Book.Find(stated.Stitch),
            stated.Wish ?? WishOf(workshop.Habit("size")), ground.Zone.Lettering)
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

    internal static SizeWish WishOf(string habit) => habit switch
    {
        "largest" => SizeWish.Largest,
        "smallest" => SizeWish.Smallest,
        _ =>
        SizeWish.Comfortable
    };

    /// <summary>
    /// The alphabet taken where she names none: single strokes first, then a font's centre lines, for a name is a line before it is an
    /// outline.
    /// </summary>
    private static IAlphabet? First(IEnumerable<IAlphabet> able) =>
        able.OrderBy(a => a.Kind switch { AlphabetKind.Stroke => 0, AlphabetKind.CentreLine => 1, _ => 2 }).FirstOrDefault();

    private IAlphabet Alphabet(WordingAsked asked, string id, List<Decision> decisions)
    {
        var hers = asked.Alphabet ?? overrules.For(id);
        var letters = Rows.Letters(asked.Text.ReplaceLineEndings(" ")).Where(l => !Rows.IsSpace(l)).ToArray();
        var able = ground.Library.Everybodys.Where(a => letters.All(l => a.Has(l))).ToArray();
        var own = First(able) ?? ground.Library.Alphabets[0];
        var taken = hers is null ? own : ground.Library.Find(hers)!;
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

    /// <summary>
    /// The words stitched. The tables know the tightest bend, but not how the holes fall: a pair that turned out too stiff gives way to one
    /// that is not.
    /// </summary>
    private static (LetteringAnswer Answer, (List<Part> Parts, List<Concern> Concerns, Design Design) Stitched) SupplestOf(
        LetteringQuestion q, LetteringAnswer answer,
        Func<LetteringAnswer, (List<Part> Parts, List<Concern> Concerns, Design Design)> stitch)
    {
        var stitched = stitch(answer);
        if (stitched.Concerns.Any(c => c.What == "turning"))
        {
            foreach (var suppler in Lettering.Suppler(q, answer))
            {
                if (stitch(suppler) is { Concerns.Count: 0 } other)
                {
                    return (suppler, other);
                }
            }
        }

        return (answer, stitched);
    }

    /// <summary>A letter that is filled, as one part; none where nothing of it can be stitched.</summary>
    private IEnumerable<Part> FilledLetter(Shape shape, ShapeWay way, Thread thread, FillingRoom filling)
    {
        var used = way.Strands is { } n ? new Thread(thread.Family, n, thread.Colour) : thread;
        return way.Fill!.Sew(shape, filling.By(used.Ply, way.DirectionRadians, ground.Budget)) is not { } placed ? [] :
        [
            new Part("letter", shape.Letter, shape.LetterIndex, way.Fill.Info.Id, way.Colour is { } hers
                ? new Thread(used.Family, used.Ply, hers) : used, placed.WidthMm, placed.LineMm, true, placed.Stitches, Id: shape.Id,
                Shape: shape.Id)
            {
                Filling = placed.Filling,
                Breaks = placed.Breaks,
            },
        ];
    }

    /// <summary>How wide the strokes of an outline come out is known only once the height is.</summary>
    private void TellWidths(string id, IAlphabet alphabet, LetteringAnswer answer, List<Decision> decisions)
    {
        if (alphabet.Facts.Widths is { } widths)
        {
            var k = decisions.FindIndex(d => d.Id == id);
            var told = StrokeCover.Told(alphabet.Kind, widths, answer.CapMm, answer.Pair.LineWidthMm,
                Legibility.LeastOpening(answer.Pair.LineWidthMm, ground.Cloth));
            decisions[k] = decisions[k] with { Because = [.. decisions[k].Because, told] };
        }
    }

    private static void TellGreen(string id, MotifColours colours, List<Decision> decisions)
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
    private (string Hex, bool Chosen) Colours(WordingAsked asked, string id, List<Decision> decisions)
    {
        var cloth = ground.Cloth;
        var (own, reading) = Legibility.Colours(cloth);
        var hers = (asked.Colour ?? overrules.For(id))?.ToLowerInvariant();
        var hex = hers is null ? own.Hex : Palette.Colours.FirstOrDefault(c => c.Id == hers)?.Hex ?? hers;
        var lightness = ColourDifference.Lightness(Colour.Parse(hex), cloth.Colour);
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
                    : (Told)$"It is {Legibility.Against(Colour.Parse(hex), cloth)}: from a step away the words vanish.",
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

    private StitchSpec SpecFor(Pair pair, StitchSchools schools) => StitchSpec.For(pair, schools, ground.Worn.MostBehindMm);

    private (List<Part> Parts, List<Concern> Concerns, Design Design) Stitched(string element, LetteringQuestion q, LetteringAnswer a,
        StitchSchools schools, MotifColours colours, Place place, Func<Func<LetteringQuestion, LetteringQuestion>, LetteringAnswer> asJob,
        FillingRoom filling)
    {
        var spec = SpecFor(a.Pair, schools);
        var parts = new List<Part>();
        var concerns = new List<Concern>();
        var shapes = new List<Shape>();
        var thread = new Thread(Thread.Cotton, a.Pair.Strands, colours.Main);
        var designs = LetterGroup.Of(a.Setting.Letters).Select((letter, number) => (Letter: letter, Number: number, Design: DesignOf.Letter(
            element, number, letter, letter.Strokes.Select(s => s.Map(p => place.AnchorMm + (p * a.CapMm))).ToArray(),
            q.Alphabet.Kind == AlphabetKind.Weighted))).ToArray();
        if (spec.OneLength)
        {
            spec = spec with
            {
                WishedMm = LinePlacing.OneLengthMm(designs.SelectMany(d => d.Design.Visible().Shapes).SelectMany(s => s.Strokes), spec,
                    ground.Budget),
            };
        }

        foreach (var (letter, number, design) in designs)
        {
            shapes.AddRange(design.Shapes);
            var lines = design.Visible().Shapes.SelectMany(s => s.Strokes.Select(stroke => (Shape: s, Stroke: stroke))).ToArray();
            var strokes = lines.Select(l => l.Stroke).ToArray();
            var ways = lines.Select(l => filling.WayOf(l.Shape, spec.Pair.Strands)).ToArray();
            var stitched = LetterStitching.Stitch(strokes, _ => spec, a.CapMm, null, ground.Budget,
                i => ways[i].Fill is null or { EdgeToo: true });
            if (stitched.Lines.Any(l => l.Dot && _field.For(l.WidthMm).OutsideBy(l.LineMm[0]) > 0))
            {
                // A knot is wider than the line: where it would reach out of the field the dot is a straight.
                var straight = spec with { Schools = spec.Schools with { Dots = DotSchool.Straight } };
                stitched = LetterStitching.Stitch(strokes, _ => straight, a.CapMm, null, ground.Budget,
                    i => ways[i].Fill is null or { EdgeToo: true });
            }

            parts.AddRange(stitched.Lines.Select(line => new Part(
                line.Dot ? "dot" : "letter", letter.Letter, letter.Index, line.Stitch.Id, thread, line.WidthMm, line.LineMm, line.Closed,
                    line.Stitches, line.Dot ? 0 : spec.WishedMm,
                Id: string.Create(CultureInfo.InvariantCulture, $"{element}/letter-{number}/stroke-{line.Source}"),
                    Shape: lines[line.Source].Shape.Id)));
            parts.AddRange(lines.Select((l, i) => (l.Shape, Way: ways[i])).Where(l => l.Way.Fill is not null).DistinctBy(l => l.Shape.Id,
                StringComparer.Ordinal).SelectMany(l => FilledLetter(l.Shape, l.Way, thread, filling)));
            if (stitched.DroppedMm.Count > 0 && concerns.All(c => c.What != "dropped" || c.Letter != letter.Letter))
            {
                var longest = stitched.DroppedMm.Max();
                concerns.Add(new Concern(
                    "dropped", letter.Letter, Math.Round(Tolerance.DroppedBelowMm - longest, 3),
                    $"In {letter.Named} {Say.Count(stitched.DroppedMm.Count, "stroke")} of {Say.Length(longest)} or less cannot be "
                        + $"stitched and is left out: a stitch is at least {Say.Length(Tolerance.DroppedBelowMm)}.",
                    Cures(q, a, schools, letter, asJob, [], s => s.DroppedMm.Count == 0)));
            }

            var bent = stitched.Lines.Where(l => l.Off).ToArray();
            if (bent.Length > 0 && concerns.All(c => c.What != "turning" || c.Letter != letter.Letter))
            {
                var off = bent.Max(l => l.OffMm);
                concerns.Add(new Concern(
                    "turning", letter.Letter, Math.Round(off, 3),
                    $"At a bend of {letter.Named} the shortest stitch, {Say.Length(spec.ShortestMm)}, cuts the corner by "
                        + $"{Say.Length(Math.Round(off, 1))}, so far that it shows: the bend looks flat.",
                    Cures(q, a, schools, letter, asJob, bent.Select(l => l.Source).ToHashSet(), s => s.Lines.All(l => !l.Off))));
            }
        }

        var beside = DesignOf.Figure(element, a.Setting.Ornaments.Select(o => o.Map(p => place.AnchorMm + (p * a.CapMm))).ToArray());
        shapes.AddRange(beside.Shapes);
        parts.AddRange(DrawingStitching.Stitch(
            beside, a.Pair, pair => SpecFor(pair, schools), colours.For, a.Setting.Letters.Count, budget: ground.Budget));
        return (parts, concerns, new Design(shapes));
    }

    /// <summary>
    /// Remedies tried out: the letter is stitched again as a job that states them would be. <paramref name="faulty"/> are its strokes that
    /// are to be cured; they are tried first, and the others only where they come out well.
    /// </summary>
    private List<Remedy> Cures(LetteringQuestion q, LetteringAnswer a, StitchSchools schools, LetterGroup letter,
        Func<Func<LetteringQuestion, LetteringQuestion>, LetteringAnswer> asJob, HashSet<int> faulty, Func<StitchedLetter, bool> good)
    {
        var remedies = new List<Remedy>();
        if (LeastHeight.Cured(a.CapMm, stated => Cured(x => x with { CapMm = stated })) is { } enough)
        {
            remedies.Add(new Remedy(CapHeightMm: enough));
        }

        foreach (var strands in Bundle.ThinnerThan(a.Pair.Strands).Where(s => !Recommender.Thin(a.Pair with { Strands = s }, a.CapMm)))
        {
            var fewer = strands;
            if (Cured(x => x with { Strands = fewer }))
            {
                remedies.Add(new Remedy(Strands: strands));
                break;
            }
        }

        var other = Book.Solid.Where(s => s != a.Pair.Stitch).OrderBy(s => s.ShortestMm(a.Pair.Strands)).ThenBy(s =>
            s.Info.WidthFactor).FirstOrDefault(s => Cured(x => x with { Stitch = s }));
        if (other is not null)
        {
            remedies.Add(new Remedy(Stitch: other.Id));
        }

        return remedies;

        // On these rows first, then as the whole job would have it.
        bool Cured(Func<LetteringQuestion, LetteringQuestion> change)
        {
            var changed = change(q);
            var (pair, cap, setting) = changed.CapMm is { } stated && Lettering.At(changed, stated).Pair is var there
                ? (there, stated, changed.Settings.At(stated, there.LineWidthMm))
                : Lettering.Settle(changed) is var settled ? (settled.Pair, settled.CapMm, settled.Setting) : default;
            if (!Stitches(pair, cap, setting))
            {
                return false;
            }

            var whole = asJob(change);
            return (whole.Pair == pair && whole.CapMm == cap && ReferenceEquals(whole.Setting, setting))
                || Stitches(whole.Pair, whole.CapMm, whole.Setting);
        }

        // As it then stands: joins are drawn anew where letters stand wider or nearer. A letter of the same name is stitched the same way
        // wherever it stands.
        bool Stitches(Pair pair, double capMm, Setting setting)
        {
            var then = LetterGroup.Of(setting.Letters).FirstOrDefault(g => g.Index == letter.Index && g.Letter == letter.Letter)
                ?? LetterGroup.Of(setting.Letters).FirstOrDefault(g => g.Letter == letter.Letter) ?? letter;
            var strokes = then.Strokes.Select(s => s.Map(p => q.AnchorMm + (p * capMm))).ToArray();
            var spec = SpecFor(pair, schools);
            return (faulty.Count == 0 || good(LetterStitching.Stitch(strokes, _ => spec, capMm, null, ground.Budget, faulty.Contains)))
                && good(LetterStitching.Stitch(strokes, spec, capMm, ground.Budget));
        }
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
        var fits = Lettering.Settle(q with { CapMm = null, Wish = SizeWish.Largest });
        if (fits is { OverflowMm: 0, LargestCapMm: >= Lettering.LeastCapMm } && asJob(x => x with { CapMm = fits.CapMm }).OverflowMm == 0)
        {
            remedies.Add(new Remedy(CapHeightMm: fits.CapMm));
        }

        if (ways.Skip(1).Where(w => w.Rows.Count > rows.Count).Select(w =>
            (w.Rows, Answer: Lettering.Settle(w.Question))).FirstOrDefault(w => w.Answer.OverflowMm == 0) is { Rows: { } enough })
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
