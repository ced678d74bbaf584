using Dittany.Core.Decisions;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;

namespace Dittany.Core.Words;

/// <summary>How large lettering is made where nobody said.</summary>
public enum SizeWish
{
    Comfortable,
    Largest,
    Smallest,
}

/// <summary>An area with its erosions kept: every pair of stitch and strands asks for one.</summary>
public sealed class Rooms(Region area)
{
    private readonly Dictionary<double, Region> _eroded = [];

    public Region Area => area;

    /// <summary>The area less half a line, where a line's middle may lie.</summary>
    public Region For(double lineWidthMm)
    {
        if (!_eroded.TryGetValue(lineWidthMm, out var room))
        {
            _eroded[lineWidthMm] = room = area.Offset(-lineWidthMm / 2);
        }

        return room;
    }
}

/// <summary>What was settled and fitted already for one wording in one way of rows: remedies ask again and again.</summary>
public sealed class LetteringMemo
{
    internal Dictionary<(double? Cap, int? Strands, IStitch? Stitch, SizeWish Wish), LetteringAnswer> Settled { get; } = [];

    internal Dictionary<(Rooms Rooms, double LineWidthMm), double> Largest { get; } = [];

    /// <summary>The pair with the thinnest line that was asked for first.</summary>
    internal Pair? Thinnest { get; set; }
}

/// <summary>
/// All that settles the size of one wording. <paramref name="Field"/> is the field; <paramref name="Slice"/> the part of it this element
/// should keep to. Stated members are null where the plan decides.
/// </summary>
public sealed record LetteringQuestion(
    IAlphabet Alphabet,
    Settings Settings,
    Rooms Field,
    Rooms Slice,
    Pt AnchorMm,
    Cloth Cloth,
    StitchFacts Facts,
    double? CapMm,
    int? Strands,
    IStitch? Stitch,
    SizeWish Wish,
    UsualLettering Usual)
{
    /// <summary>
    /// Shared by questions made from this one with another height, strands, stitch or wish; never with other words or another place.
    /// </summary>
    internal LetteringMemo Memo { get; } = new();

    /// <summary>What its plan may still reckon.</summary>
    public Budget Budget { get; init; } = Budget.Unbounded;

    /// <summary>Whether it is a monogram: up to three letters, all capitals.</summary>
    public bool Monogram => Usual.MonogramMostMm is not null && Settings.Usual.CapitalsOnly && Settings.Usual.Letters.Count <= 3;

    public double UsualLeastMm => Monogram ? Usual.MonogramLeastMm.Sure() : Usual.LeastCapMm;

    public double UsualMostMm => Monogram ? Usual.MonogramMostMm.Sure() : Usual.MostCapMm;
}

/// <summary>
/// What was settled: stitch and strands, height, the largest that would fit, and the faults that are left. How far it overflows is reckoned
/// when it is asked for: remedies seldom do.
/// </summary>
public sealed record LetteringAnswer(Pair Pair, Setting Setting, double CapMm, double LargestCapMm, Lazy<double> Overflow,
    IReadOnlyList<Fault> Faults)
{
    public double OverflowMm => Overflow.Value;

    public bool Reads => Faults.Count == 0;
}

/// <summary>
/// Settles stitch, strands and height together: a few pairs in order of preference, each fitted, and the first taken that reads at its own
/// height and suits it. Never by going round until it settles.
/// </summary>
public static class Lettering
{
    /// <summary>Lettering under this height cannot be asked for.</summary>
    public const double LeastCapMm = 2;

    /// <summary>Overflow under this is rounding.</summary>
    private const double OverflowFromMm = 0.0015;

    /// <summary>Just under the height from which letters are spaced as usual.</summary>
    private const double JustUnder = 1e-6;

    /// <summary>What is told as the largest is exact to half a percent below: usual spacing must hold that far down.</summary>
    private const double Exactness = 1.006;

    public static LetteringAnswer Settle(LetteringQuestion q)
    {
        var key = (q.CapMm, q.Strands, q.Stitch, q.Wish);
        if (!q.Memo.Settled.TryGetValue(key, out var answer))
        {
            q.Memo.Settled[key] = answer = Fresh(q);
        }

        return answer;
    }

    private static LetteringAnswer Fresh(LetteringQuestion q)
    {
        if (q.CapMm is { } stated)
        {
            // At a stated height only what reads decides, so one fit is enough.
            return Try(q, At(q, stated).Pair);
        }

        var answers = new List<LetteringAnswer>();

        // What suits the height the space gives comes first: no stitch is taken because it would like larger letters.
        var pairs = Recommender.InOrder(q.Stitch, q.Strands, q.Facts)
            .OrderBy(p => Recommender.Suits(p, Math.Max(LeastCapMm, Math.Floor(Shared(q, p) + 1e-9)), q.Stitch, q.Strands, q.Facts) ? 0 : 1)
            .ToArray();
        foreach (var worthwhile in new[] { true, false })
        {
            foreach (var pair in pairs.Where(p => MaySuit(q, p) == worthwhile))
            {
                var answer = Try(q, pair);
                if (Good(answer) && Suits(answer))
                {
                    return answer;
                }

                if (q.Strands is not null || !Recommender.Thin(pair, answer.CapMm))
                {
                    answers.Add(answer);
                }
            }

            if (answers.Any(Good))
            {
                break;
            }
        }

        return answers.FirstOrDefault(Good)
            ?? answers.FirstOrDefault(a => a.Reads && Suits(a))
            ?? answers.FirstOrDefault(a => a.Reads)
            ?? answers.OrderBy(a => a.Faults.Count).ThenBy(a => a.Faults.Sum(f => f.ByMm)).First();

        bool Good(LetteringAnswer a) => a.Reads && CanTurn(q, a.Pair, a.CapMm);

        bool Suits(LetteringAnswer a) => Recommender.Suits(a.Pair, a.CapMm, q.Stitch, q.Strands, q.Facts);
    }

    /// <summary>Whether the tightest bend of the words can be followed by the shortest stitch at this height.</summary>
    public static bool CanTurn(LetteringQuestion q, Pair pair, double capMm) =>
        TightestMm(q, capMm) >= Tolerance.LeastRadiusMm(pair) - 1e-9;

    /// <summary>Radius of the tightest bend at a height, mm; infinity where there is none.</summary>
    public static double TightestMm(LetteringQuestion q, double capMm) =>
        q.Settings.Usual.Letters.Select(l => q.Alphabet.Measure(l.Glyph).TightestRadius).DefaultIfEmpty(
            double.PositiveInfinity).Min() / Alphabets.CapUnits * capMm;

    /// <summary>The pair that is taken at a height, and its faults: no fitting is needed to know them.</summary>
    public static (Pair Pair, IReadOnlyList<Fault> Faults) At(LetteringQuestion q, double capMm)
    {
        var tried = Recommender.InOrder(q.Stitch, q.Strands, q.Facts)
            .Where(pair => q.Strands is not null || !Recommender.Thin(pair, capMm))
            .Select(pair => (Pair: pair, Faults: FaultsOf(q, pair, capMm)))
            .ToArray();
        bool Suits(Pair pair) => Recommender.Suits(pair, capMm, q.Stitch, q.Strands, q.Facts);
        var reads = Array.Find(tried, t => t.Faults.Count == 0 && Suits(t.Pair) && CanTurn(q, t.Pair, capMm));
        reads = reads.Pair is null ? Array.Find(tried, t => t.Faults.Count == 0 && CanTurn(q, t.Pair, capMm)) : reads;
        reads = reads.Pair is null ? Array.Find(tried, t => t.Faults.Count == 0 && Suits(t.Pair)) : reads;
        reads = reads.Pair is null ? Array.Find(tried, t => t.Faults.Count == 0) : reads;
        return reads.Pair is null ? tried.OrderBy(t => t.Faults.Count).ThenBy(t => t.Faults.Sum(f => f.ByMm)).First() : reads;
    }

    /// <summary>
    /// The same words at the same height in every other pair that reads there and has a shorter stitch, in the order of the recommender:
    /// for where bends turned out too tight for the pair that was taken. None where the stitch is hers.
    /// </summary>
    public static IEnumerable<LetteringAnswer> Suppler(LetteringQuestion q, LetteringAnswer answer) =>
        q.Stitch is not null || answer.Pair.Stitch.Id == q.Facts.LetterSchool ? []
        : Recommender.InOrder(q.Stitch, q.Strands, q.Facts)
            .Where(p => p.Stitch != answer.Pair.Stitch
                && p.Stitch.ShortestMm(p.Size) < answer.Pair.Stitch.ShortestMm(answer.Pair.Size)
                && (q.Strands is not null || !Recommender.Thin(p, answer.CapMm)))
            .Select(p => Try(q with { CapMm = answer.CapMm }, p))
            .Where(a => a.Faults.Count == 0 && a.OverflowMm <= answer.OverflowMm);

    /// <summary>
    /// Remedies that are true: each is tried on these rows, then as a job that states it would be, and kept only when the fault is then
    /// gone. <paramref name="asJob"/> settles the whole wording with a change, rows chosen anew. The least height first, then the fewest
    /// strands taken off, then another stitch, at this height.
    /// </summary>
    public static IReadOnlyList<Remedy> Remedies(LetteringQuestion q, LetteringAnswer answer, Fault fault, Func<Func<LetteringQuestion,
        LetteringQuestion>, LetteringAnswer> asJob)
    {
        var remedies = new List<Remedy>();
        var cap = Math.Max(LeastCapMm, Math.Ceiling(fault.CuredAtMm * 10 - 1e-6) / 10);
        for (var tries = 0; tries < 40 && cap <= Fit.MostCapMm; tries++, cap = Math.Floor(cap) + 1)
        {
            var stated = cap;
            if (Gone(x => x with { CapMm = stated }))
            {
                remedies.Add(new Remedy(CapHeightMm: cap));
                break;
            }
        }

        var thinner = answer.Pair.Size.Thinner.Where(s => !Recommender.Thin(answer.Pair.With(s), answer.CapMm));
        foreach (var strands in thinner)
        {
            var fewer = strands;
            if (Gone(x => x with { Strands = fewer }))
            {
                remedies.Add(new Remedy(Strands: strands));
                break;
            }
        }

        var narrower = Book.Solid.Where(s => s.Info.WidthFactor < answer.Pair.Stitch.Info.WidthFactor
            && !q.Facts.Laid && ThreadRules.Against(q.Facts.Thread, s) is null).OrderByDescending(s =>
            s.Info.WidthFactor).ThenBy(s => s.Id, StringComparer.Ordinal);
        if (narrower.FirstOrDefault(s => Gone(x => x with { Stitch = s })) is { } stitch)
        {
            remedies.Add(new Remedy(Stitch: stitch.Id));
        }

        return remedies;

        bool Gone(Func<LetteringQuestion, LetteringQuestion> change) =>
            Budget.Works(() => Lacks(Changed(change(q))) && Lacks(asJob(change).Faults));

        bool Lacks(IReadOnlyList<Fault> faults) =>
            faults.All(f => !string.Equals(f.What, fault.What, StringComparison.Ordinal)
                || !string.Equals(f.Letter, fault.Letter, StringComparison.Ordinal));
    }

    /// <summary>Faults that are left in these rows; at a stated height no fitting is needed to know them.</summary>
    private static IReadOnlyList<Fault> Changed(LetteringQuestion q) => q.CapMm is { } cap ? At(q, cap).Faults : Settle(q).Faults;

    private static IReadOnlyList<Fault> FaultsOf(LetteringQuestion q, Pair pair, double capMm) =>
        Legibility.Faults(q.Settings.At(capMm, pair.LineWidthMm), q.Alphabet, pair, q.Cloth, capMm);

    private static LetteringAnswer Try(LetteringQuestion q, Pair pair)
    {
        var largest = Largest(q, q.Field, pair);
        var cap = q.CapMm ?? Chosen(q, pair, largest);
        var setting = q.Settings.At(cap, pair.LineWidthMm);
        return new LetteringAnswer(pair, setting, cap, largest, new Lazy<double>(Overflow), FaultsOf(q, pair, cap));

        double Overflow()
        {
            q.Budget.Spend(Fit.Steps(q.Field.For(pair.LineWidthMm), setting.Points));
            var overflow = Math.Max(Fit.OverflowMm(q.Field.For(pair.LineWidthMm), q.AnchorMm, setting.Lines, cap),
                TooRoundBy(q, setting, cap));
            return overflow < OverflowFromMm ? 0 : overflow;
        }
    }

    /// <summary>
    /// The largest that fits: at usual spacing if that is high enough for it, else spaced wider and kept under that height.
    /// </summary>
    private static double Largest(LetteringQuestion q, Rooms rooms, Pair pair)
    {
        if (!q.Memo.Largest.TryGetValue((rooms, pair.LineWidthMm), out var largest))
        {
            q.Memo.Largest[(rooms, pair.LineWidthMm)] = largest = Fitted(q, rooms, pair);
        }

        return largest;
    }

    private static double Fitted(LetteringQuestion q, Rooms rooms, Pair pair)
    {
        var room = rooms.For(pair.LineWidthMm);
        q.Budget.Spend(Fit.Steps(room, q.Settings.Usual.Points));
        var wideBelow = Settings.WideBelow(pair.LineWidthMm);
        if (!q.Settings.Arrangement.GrowsWithLetters)
        {
            return Searched(q, rooms, pair.LineWidthMm);
        }

        var usual = Fit.LargestCapMm(room, q.AnchorMm, q.Settings.Usual.Lines, () => q.Settings.Usual.Hull);
        return usual >= wideBelow * Exactness ? usual : Math.Min(Fit.LargestCapMm(room, q.AnchorMm, q.Settings.Wide.Lines, () =>
            q.Settings.Wide.Hull), wideBelow - JustUnder);
    }

    /// <summary>
    /// Along an edge, or round a radius that is given, the letters do not grow about one point: sizes are tried from above.
    /// </summary>
    private static double Searched(LetteringQuestion q, Rooms rooms, double lineWidthMm)
    {
        var room = rooms.For(lineWidthMm);
        if (room.IsEmpty)
        {
            return 0;
        }

        var (from, to) = room.Box;
        var across = from.To(to);
        var most = Math.Min(Fit.MostCapMm, Math.Min(across, Math.PI * across / Math.Max(0.3, q.Settings.Usual.Width)));
        if (q.Settings.Arrangement.RadiusMm is { } radius)
        {
            // What does not go round at all need not be laid out; a hair more, for it is looked for from above.
            most = Math.Min(most, radius / LeastRadiusMm(q.Settings.Usual, 1) * 1.0001);
        }

        // A wider line has less room, and its letters stand no nearer: it cannot be larger than what a thinner one has come to. So the
        // thinnest is looked for first.
        var thinnest = q.Memo.Thinnest ??= Recommender.InOrder(q.Stitch, q.Strands, q.Facts).MinBy(p => p.LineWidthMm);
        if (thinnest is not null && thinnest.LineWidthMm < lineWidthMm)
        {
            Largest(q, rooms, thinnest);
        }

        var known = q.Memo.Largest.Where(k => ReferenceEquals(k.Key.Rooms, rooms) && k.Value > 0).Select(k =>
            (k.Key.LineWidthMm, LargestMm: k.Value)).OrderBy(k => k.LineWidthMm).ToArray();
        var bound = q.Memo.Largest.Where(k => ReferenceEquals(k.Key.Rooms, rooms) && k.Key.LineWidthMm <= lineWidthMm).Select(k =>
            k.Value * JustOver).Append(double.PositiveInfinity).Min();
        most = Math.Min(most, bound);
        var along = q.Settings.Arrangement.PathMm is { Count: > 1 } path ? new WayAlong(path) : null;
        if (along is null)
        {
            return Fit.LargestBySearch(Fits, LeastCapMm, most);
        }

        // A thinner line has come near already: from there a few percent are left to look through, and two others tell about where.
        if (bound <= most)
        {
            return Fit.LargestNear(Fits, LeastCapMm, most, Expected(known, lineWidthMm) ?? most,
                known.Where(k => k.LineWidthMm >= lineWidthMm).Select(k => k.LargestMm).DefaultIfEmpty(0).Max(), PushedStep);
        }

        var rough = Fit.LargestBySearch(FitsRoughly, LeastCapMm, most);
        return rough == 0 || Fits(rough) ? rough : Fit.LargestBySearch(Fits, LeastCapMm, rough, PushedStep);

        bool FitsRoughly(double cap) =>
            EndIn(cap, 1) && EndIn(cap, -1) && q.Settings.MayFit(cap, lineWidthMm, p => room.Holds(q.AnchorMm + (p * cap)));

        bool Fits(double cap)
        {
            // Pushed apart letters only reach further: what fails without is not laid out.
            if (along is not null && !FitsRoughly(cap))
            {
                return false;
            }

            q.Budget.Spend(20L * q.Settings.Usual.Points);
            var setting = q.Settings.At(cap, lineWidthMm);
            return TooRoundBy(q, setting, cap) == 0 && Fit.Holds(room, q.AnchorMm, setting.Lines, cap);
        }

        // Whether the end of the words could lie in the room at all: asked before they are laid out, for most sizes that are too large fail
        // at it.
        bool EndIn(double cap, int side)
        {
            var end = q.AnchorMm + along.Sure().Follow(along.Middle + (side * Math.Max(0, (q.Settings.Usual.Width / 2) - LastLetter) * cap))
                .At;
            var spare = EndSpare * cap;
            return end.X >= from.X - spare && end.X <= to.X + spare && end.Y >= from.Y - spare && end.Y <= to.Y + spare;
        }
    }

    /// <summary>What comes out at a line width, reckoned on from the two nearest that are known; null where there are not two.</summary>
    private static double? Expected((double LineWidthMm, double LargestMm)[] known, double lineWidthMm)
    {
        if (known.OrderBy(k => Math.Abs(k.LineWidthMm - lineWidthMm)).Take(2).ToArray() is not [var near, var other])
        {
            return null;
        }

        return near.LargestMm + ((other.LargestMm - near.LargestMm) * (lineWidthMm - near.LineWidthMm) / (
            other.LineWidthMm - near.LineWidthMm));
    }

    /// <summary>
    /// The middle of the last letter is this near the end of the words at the most, and its ink this near its foot, in capital heights.
    /// </summary>
    private const double LastLetter = 0.7;

    private const double EndSpare = 1.7;

    private const double JustOver = 1.0001;

    /// <summary>Pushed apart on a bend words come out a few percent smaller than roughly.</summary>
    private const double PushedStep = 0.98;

    /// <summary>How much larger a stated radius would have to be for the words to go round it, mm.</summary>
    private static double TooRoundBy(LetteringQuestion q, Setting setting, double capMm)
    {
        if (q.Settings.Arrangement.RadiusMm is not { } radius)
        {
            return 0;
        }

        return Math.Max(0, LeastRadiusMm(setting, capMm) - radius);
    }

    /// <summary>The least radius that these words at this height go round, mm.</summary>
    public static double LeastRadiusMm(Setting setting, double capMm) => Math.Max(setting.LeastRadius ?? 0, Arrangement.LeastArc) * capMm;

    /// <summary>Capitals from which the tightest bend can be followed by the shortest stitch; rounded up to what people say.</summary>
    private static double Turns(LetteringQuestion q, Pair pair)
    {
        var tightest = TightestMm(q, 1);
        return double.IsPositiveInfinity(tightest) ? 0 : Math.Ceiling(Tolerance.LeastRadiusMm(pair) / tightest);
    }

    /// <summary>Whether a pair could come to suit: the wish is the most its height can be.</summary>
    private static bool MaySuit(LetteringQuestion q, Pair pair) =>
        q.Stitch is not null || q.Strands is not null || q.Wish != SizeWish.Comfortable
            || Wished(q, pair) >= Recommender.SuitsFromMm(pair, q.Facts);

    /// <summary>
    /// A comfortable height: the usual share of the width, raised where the stitch wants it, never above what is usual here.
    /// </summary>
    private static double Wished(LetteringQuestion q, Pair pair)
    {
        var eased = Math.Max(pair.Stitch.ComfortableCapMm(pair.Size), Turns(q, pair));
        return Math.Max(Shared(q, pair), Math.Min(Math.Min(q.UsualMostMm, Wide(q, pair, q.Usual.MostWidthMm)), eased));
    }

    /// <summary>The height at which the words take their usual share of the width, and no more than is usual here.</summary>
    private static double Shared(LetteringQuestion q, Pair pair)
    {
        var (from, to) = q.Field.Area.Box;
        return Math.Min(Wide(q, pair, Math.Min((to.X - from.X) * q.Usual.Share, q.Usual.MostWidthMm)), q.UsualMostMm);
    }

    /// <summary>The height at which the stitched words are this wide, at the spacing that holds there.</summary>
    private static double Wide(LetteringQuestion q, Pair pair, double widthMm)
    {
        var line = Math.Max(0, widthMm - pair.LineWidthMm);
        var usual = line / Math.Max(q.Settings.Usual.Width, 0.05);
        return usual >= Settings.WideBelow(pair.LineWidthMm) ? usual : line / Math.Max(q.Settings.Wide.Width, 0.05);
    }

    private static double Chosen(LetteringQuestion q, Pair pair, double largest)
    {
        var within = ReferenceEquals(q.Slice, q.Field) ? largest : Largest(q, q.Slice, pair);
        var wished = q.Wish switch
        {
            SizeWish.Largest => within,
            SizeWish.Smallest => pair.Stitch.LeastCapMm(pair.Size) * (q.Settings.Usual.CapitalsOnly ? Book.CapitalsAlone : 1),
            _ => Wished(q, pair),
        };
        var cap = Math.Min(wished, within);

        // Heights are told in whole millimetres; under 4 mm in halves. A least height rounds up, all else down.
        var step = cap < 4 ? 0.5 : 1;
        var whole = q.Wish == SizeWish.Smallest && Math.Ceiling(cap / step) * step <= within ? Math.Ceiling(cap / step) * step
            : Math.Floor((cap / step) + 1e-9) * step;
        return Math.Max(LeastCapMm, whole);
    }
}
