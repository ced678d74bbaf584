using System.Globalization;
using Dittany.Core.Decisions;
using Dittany.Core.Designs;
using Dittany.Core.Geometry;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Space;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Words;
using Thread = Dittany.Core.Materials.Thread;

namespace Dittany.Core.Planning;

/// <summary>Stitches words whose lettering is settled: letter by letter, each in its own way where that is wished.</summary>
internal sealed class WordStitching(WordingGround ground, StitchFacts facts, Rooms field, StitchSchools schools, FillingRoom filling,
    string? varied)
{
    private LetterWays? _letters;

    /// <summary>What fills the motif beside the words; null where it is worked along its lines.</summary>
    public FillingRoom? Beside { get; init; }

    /// <summary>Strands of a filled motif beside words at the most: more would be coarse for its size (from memory).</summary>
    private const int MostBeside = 3;

    /// <summary>The decision on single letters, once they are stitched.</summary>
    public Decision Told(DecisionKey id, IReadOnlyList<Part> parts) =>
        (_letters ?? throw new InvalidOperationException("Nothing is stitched yet.")).Told(id, varied, parts);

    /// <summary>
    /// The words stitched. The tables know the tightest bend, but not how the holes fall: a pair that turned out too stiff gives way to one
    /// that is not.
    /// </summary>
    public static (LetteringAnswer Answer, (List<Part> Parts, List<Concern> Concerns, Design Design) Stitched) SupplestOf(
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
    private IEnumerable<Part> FilledLetter(Shape shape, ShapeWay way, Thread thread)
    {
        var used = new Thread(way.Of(thread.Size), thread.Colour);
        return way.Fill.Sure().Sew(shape, filling.By(used.Size, way.Direction, ground.Budget)) is not { } placed ? [] :
        [
            new Part("letter", shape.Letter, shape.LetterIndex, way.Fill.Info.Id, way.Colour is { } hers
                ? used with { Colour = hers } : used, placed.WidthMm, placed.LineMm, true, placed.Stitches, Id: shape.Id,
                Shape: shape.Id)
            {
                Filling = placed.Filling,
                Breaks = placed.Breaks,
            },
        ];
    }

    public StitchSpec SpecFor(Pair pair, StitchSchools schools) => StitchSpec.For(pair, schools, ground.Worn.MostBehindMm);

    /// <summary>Every letter stitched, what beside that is wrong, and what there is to be seen.</summary>
    public (List<Part> Parts, List<Concern> Concerns, Design Design) Stitched(TextElement asked, LetteringQuestion q, LetteringAnswer a,
        MotifColours colours, Place place, Func<Func<LetteringQuestion, LetteringQuestion>, LetteringAnswer> asJob)
    {
        var element = asked.Id;
        _letters = new LetterWays(asked, q, a, varied == LetterTextures.Varied);
        var spec = SpecFor(a.Pair, schools);
        var parts = new List<Part>();
        var concerns = new List<Concern>();
        var shapes = new List<Shape>();
        var thread = new Thread(a.Pair.Size, colours.Main);
        var designs = LetterGroup.Of(a.Setting.Letters).Select((letter, number) => (Letter: letter, Number: number, Design: DesignOf.Letter(
            element, number, letter, letter.Strokes.Select(s => s.Map(p => place.AnchorMm + (p * a.CapMm))).ToArray(),
            q.Alphabet.Kind == AlphabetKind.Weighted))).ToArray();
        if (spec.OneLength)
        {
            spec = spec with
            {
                WishedMm = LinePlacing.OneLengthMm(designs.SelectMany(d => d.Design.Visible(ground.TuckMm).Shapes)
                    .SelectMany(s => s.Strokes), spec, ground.Budget),
            };
        }

        foreach (var (letter, number, drawn) in designs)
        {
            var design = drawn.Visible(ground.TuckMm).Beneath(ground.Over, ground.TuckMm);
            shapes.AddRange(drawn.Shapes);
            var way = _letters.Of(letter);
            var own = way.Pair == a.Pair ? spec : SpecFor(way.Pair, schools);
            var used = new Thread(way.Pair.Size, way.Colour ?? thread.Colour);
            var lines = design.Shapes.SelectMany(s => s.Strokes.Select(stroke => (Shape: s, Stroke: stroke))).ToArray();
            var strokes = lines.Select(l => l.Stroke).ToArray();
            var ways = lines.Select(l => filling.WayOf(l.Shape, own.Pair.Size, way.Wish)).ToArray();
            var stitched = LetterStitching.Stitch(strokes, _ => own, a.CapMm, null, ground.Budget,
                i => ways[i].Fill is null or { EdgeToo: true });
            if (stitched.Lines.Any(l => l.Dot && field.For(l.WidthMm).OutsideBy(l.LineMm[0]) > 0))
            {
                // A knot is wider than the line: where it would reach out of the field the dot is a straight.
                var straight = own with { Schools = own.Schools with { Dots = DotSchool.Straight } };
                stitched = LetterStitching.Stitch(strokes, _ => straight, a.CapMm, null, ground.Budget,
                    i => ways[i].Fill is null or { EdgeToo: true });
            }

            parts.AddRange(stitched.Lines.Select(line => new Part(
                line.Dot ? "dot" : "letter", letter.Letter, letter.Index, line.Stitch.Id, used, line.WidthMm, line.LineMm, line.Closed,
                    line.Stitches, line.Dot ? 0 : own.WishedMm,
                Id: string.Create(CultureInfo.InvariantCulture, $"{element}/letter-{number}/stroke-{line.Source}"),
                    Shape: lines[line.Source].Shape.Id)));
            parts.AddRange(lines.Select((l, i) => (l.Shape, Way: ways[i])).Where(l => l.Way.Fill is not null).DistinctBy(l => l.Shape.Id,
                StringComparer.Ordinal).SelectMany(l => FilledLetter(l.Shape, l.Way, used)));
            concerns.AddRange(way.Concerns.Where(c => concerns.All(x => x.What != c.What || x.Letter != c.Letter)));
            if (stitched.DroppedMm.Count > 0 && concerns.All(c => c.What != "dropped" || c.Letter != letter.Letter))
            {
                var longest = stitched.DroppedMm.Max();
                concerns.Add(new Concern(
                    "dropped", letter.Letter, Math.Round(Tolerance.DroppedBelowMm - longest, 3),
                    $"In {letter.Named} {Say.Count(stitched.DroppedMm.Count, "stroke")} of {Say.Length(longest)} or less cannot be "
                        + $"stitched and is left out: a stitch is at least {Say.Length(Tolerance.DroppedBelowMm)}.",
                    Cures(q, a, letter, asJob, [], s => s.DroppedMm.Count == 0)));
            }

            var bent = stitched.Lines.Where(l => l.Off).ToArray();
            if (bent.Length > 0 && concerns.All(c => c.What != "turning" || c.Letter != letter.Letter))
            {
                var off = bent.Max(l => l.OffMm);
                concerns.Add(new Concern(
                    "turning", letter.Letter, Math.Round(off, 3),
                    $"At a bend of {letter.Named} the shortest stitch, {Say.Length(own.ShortestMm)}, cuts the corner by "
                        + $"{Say.Length(Math.Round(off, 1))}, so far that it shows: the bend looks flat.",
                    Cures(q, a, letter, asJob, bent.Select(l => l.Source).ToHashSet(), s => s.Lines.All(l => !l.Off))));
            }
        }

        var beside = DesignOf.Figure(element, a.Setting.Ornaments.Select(o => o.Map(p => place.AnchorMm + (p * a.CapMm))).ToArray());
        shapes.AddRange(beside.Shapes);
        var besidePair = Beside is null ? a.Pair : new Pair(Book.Plainest, a.Pair.Size.With(Math.Min(MostBeside, a.Pair.Strands)));
        parts.AddRange(DrawingStitching.Stitch(
            beside.Visible(ground.TuckMm).Beneath(ground.Over, ground.TuckMm), besidePair, pair => SpecFor(pair, schools), colours.For,
            a.Setting.Letters.Count, facts.Knit, byRole: Beside is not null, ground.Budget, Beside));
        return (parts, concerns, new Design(shapes));
    }

    /// <summary>
    /// Remedies tried out: the letter is stitched again as a job that states them would be. <paramref name="faulty"/> are its strokes that
    /// are to be cured; they are tried first, and the others only where they come out well.
    /// </summary>
    private List<Remedy> Cures(LetteringQuestion q, LetteringAnswer a, LetterGroup letter,
        Func<Func<LetteringQuestion, LetteringQuestion>, LetteringAnswer> asJob, HashSet<int> faulty, Func<StitchedLetter, bool> good)
    {
        var remedies = new List<Remedy>();
        if (LeastHeight.Cured(a.CapMm, stated => Cured(x => x with { CapMm = stated })) is { } enough)
        {
            remedies.Add(new Remedy(CapHeightMm: enough));
        }

        foreach (var strands in a.Pair.Size.Thinner.Where(s => !Recommender.Thin(a.Pair.With(s), a.CapMm)))
        {
            var fewer = strands;
            if (Cured(x => x with { Strands = fewer }))
            {
                remedies.Add(new Remedy(Strands: strands));
                break;
            }
        }

        var other = Book.Solid.Where(s => s != a.Pair.Stitch && !facts.Laid && ThreadRules.Against(facts.Thread, s) is null)
            .OrderBy(s => s.ShortestMm(a.Pair.Size)).ThenBy(s => s.Info.WidthFactor).FirstOrDefault(s => Cured(x => x with { Stitch = s }));
        if (other is not null)
        {
            remedies.Add(new Remedy(Stitch: other.Id));
        }

        return remedies;

        // On these rows first, then as the whole job would have it.
        bool Cured(Func<LetteringQuestion, LetteringQuestion> change) => Budget.Works(() =>
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
        });

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
}
