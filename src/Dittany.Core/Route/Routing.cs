using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Route;

public enum FloatKind
{
    None,
    Straight,
    Carried,
    NewThread,
}

/// <summary>
/// One line of stitches to be worked: which element and part it is, which letter it belongs to, the thread it takes, and whether it may be
/// worked from either end. Where a ring is moved along a part it is a stretch of it, from stitch <paramref name="First"/> on.
/// </summary>
public sealed record Piece(string Element, int Part, int Letter, string Thread, int Hoop, Sewn Stitches, bool Reverses = false,
    int First = 0);

/// <summary>
/// One row of the route: one stitch, in working order. <paramref name="BackMm"/> is the thread that really lies behind on the way to it;
/// <paramref name="Fresh"/>: a thread begins with it where no stitches hold it yet. <paramref name="Cut"/>: it begins with a thread newly
/// cut, not with what is left on the needle.
/// </summary>
public sealed record RouteRow(string Element, int Part, int Stitch, int Run, int Hoop, double FloatMm, FloatKind FloatKind, double BackMm,
    bool Fresh = false, bool Cut = false)
{
    /// <summary>Thread used of the length on the needle before this stitch, mm, from where the length begins to be worked.</summary>
    public double AtMm { get; init; }
}

/// <summary>
/// What steers the route: floats in mm, thread in mm a run can stitch, and one that begins where nothing holds it yet; what it takes to end
/// a thread and begin again with the rest of it.
/// </summary>
public sealed record RouteRules(double StraightUpToMm, bool LetterEndsThread, double RunMm, double FreshRunMm, double ThicknessMm,
    double TakeUp, double EndsMm)
{
    /// <summary>
    /// Threads that are cut shorter than the others, with what a run of them can stitch, by their id; none where all are alike.
    /// </summary>
    public IReadOnlyDictionary<string, (double RunMm, double FreshRunMm)> Shorter { get; init; } =
        new Dictionary<string, (double, double)>(StringComparer.Ordinal);

    /// <summary>How many needles are kept threaded.</summary>
    public int Needles { get; init; } = 1;

    /// <summary>What a run of a thread can stitch, mm.</summary>
    public (double RunMm, double FreshRunMm) RunOf(string thread) => Shorter.TryGetValue(thread, out var own) ? own : (RunMm, FreshRunMm);
}

/// <summary>The route, and for each line the way it is worked, in working order of lines.</summary>
public sealed record Routed(IReadOnlyList<RouteRow> Rows, IReadOnlyList<(Piece Piece, Way Way)> Ways)
{
    /// <summary>How often a needle is taken up again that was parked with its thread.</summary>
    public int TakenUp { get; init; }

    /// <summary>Lines that are not worked from their written beginning to their end.</summary>
    public int Turned => Ways.Count(w => w.Way.Rank > 0);
}

/// <summary>
/// What going on from one line to the next costs: thread ends first, then thread lying free, then lines not worked as written.
/// </summary>
public readonly record struct RouteCost(int Ends, double FloatMm, int Turned)
{
    public static RouteCost operator +(RouteCost a, RouteCost b) => new(a.Ends + b.Ends, a.FloatMm + b.FloatMm, a.Turned + b.Turned);

    public int Against(RouteCost other) =>
        Ends != other.Ends ? Ends.CompareTo(other.Ends)
        : Math.Abs(FloatMm - other.FloatMm) > 1e-9 ? FloatMm.CompareTo(other.FloatMm)
        : Turned.CompareTo(other.Turned);
}

/// <summary>
/// Orders stitches, settles floats and cuts runs. Lines come in their written order; for each the way of working it is chosen over all
/// lines of a hooping at once, by dynamic programming. A run goes on from line to line until its thread is used up; within a line it ends
/// only where too much would be thrown away at the line's beginning.
/// </summary>
public static class Routing
{
    /// <summary>A thread is carried under stitches already there no further than this (from memory).</summary>
    public const double MostCarriedMm = 60;

    /// <summary>
    /// Less than this share of a run is not begun a line with that needs more: a thread ends at the end of a line, and no more than this is
    /// thrown away (from memory); but where that would take a thread more than going on, the hand goes on.
    /// </summary>
    public const double WorthGoingOn = 0.15;

    /// <summary>
    /// From this share of a run on what is left on the needle is begun with again, even where the next line needs more (from memory).
    /// </summary>
    private const double WorthBeginningWith = 0.3;

    /// <summary>Thread one stitch takes: front, back and through the cloth.</summary>
    public static double Use(Stitch stitch, double backMm, double thicknessMm) => stitch.ThreadMm + backMm + (stitch.Passes * thicknessMm);

    /// <summary>The way behind from one stitch of a line to the next: none between wraps, which go on where the last one ended.</summary>
    public static double Behind(Stitch before, Stitch next) => before.DownMm.To(next.FromMm);

    /// <summary>One row for each stitch, each exactly once.</summary>
    public static Routed Order(IReadOnlyList<Piece> pieces, RouteRules rules, Budget? budget = null)
    {
        var inOrder = pieces.Where(p => p.Stitches.Count > 0).OrderBy(p => p.Hoop).ToArray();
        var crossings = new Crossings(inOrder, rules);
        var ways = Choose(inOrder, crossings);
        var rows = new List<RouteRow>();
        var worked = new Worked();
        var (run, used, ending) = (0, 0.0, WorthGoingOn);
        var parked = new ParkedNeedles(inOrder.Select(p => p.Thread).ToArray(), rules.Needles);
        var takenUp = 0;
        var between = inOrder.Select((_, n) => n == 0 ? (Kind: FloatKind.NewThread, BackMm: 0.0, StraightMm: 0.0)
            : crossings.Between(n, ways[n - 1], ways[n])).ToArray();
        var needs = inOrder.Zip(ways, (p, way) => Enumerable.Range(0, way.Order.Count).Sum(i => Cost(way.Of(p, i), Inner(p, way, i))))
            .ToArray();
        for (var n = 0; n < inOrder.Length; n++)
        {
            budget?.Spend(20L * inOrder[n].Stitches.Count);
            var (piece, way) = (inOrder[n], ways[n]);
            var (kind, back, straight) = between[n];
            var need = needs[n];
            var threaded = n == 0 || inOrder[n - 1].Thread != piece.Thread;
            if (parked.TakeUp(n, used) is { } was && Lasts(n, was))
            {
                (used, threaded) = (was, false);
            }

            var (runMm, freshRunMm) = rules.RunOf(piece.Thread);
            if (kind == FloatKind.NewThread)
            {
                var whole = Enumerable.Range(n, inOrder.Length - n).TakeWhile(i => i == n || between[i].Kind != FloatKind.NewThread)
                    .Select(i => needs[i] + (between[i].BackMm * rules.TakeUp)).ToArray();
                ending = ThreadsFor(whole, runMm, WorthGoingOn) > ThreadsFor(whole, runMm, 0) ? 0 : WorthGoingOn;
            }
            else if (used + need + (back * rules.TakeUp) > runMm
                && runMm - used - (back * rules.TakeUp) < ending * runMm)
            {
                kind = FloatKind.NewThread;
            }

            for (var i = 0; i < way.Order.Count; i++)
            {
                var (stitchKind, stitchBack, shown) = i == 0 ? (kind, back, straight) : (FloatKind.None, Inner(piece, way, i), 0.0);
                var stitch = way.Of(piece, i);
                var usedUp = stitchKind != FloatKind.NewThread && used + Cost(stitch, stitchBack) > runMm;
                var (fresh, cut) = (false, false);
                if (usedUp || stitchKind == FloatKind.NewThread)
                {
                    stitchKind = FloatKind.NewThread;
                    fresh = !worked.Holds(stitch.FromMm);
                    var away = fresh ? runMm - freshRunMm : 0;
                    var left = runMm - used - rules.EndsMm - away;
                    cut = usedUp || threaded
                        || (left < need && left < WorthBeginningWith * runMm);
                    takenUp += !cut && i == 0 && n > 0 && inOrder[n - 1].Thread != piece.Thread ? 1 : 0;
                    (run, used, stitchBack, shown) = (run + 1, cut ? away : used + rules.EndsMm + away, 0, 0);
                }

                var before = used;
                used += Cost(stitch, stitchBack);
                rows.Add(new RouteRow(piece.Element, piece.Part, piece.First + way.Order[i].Index, run, piece.Hoop,
                    Rounding.ToGrid(shown), stitchKind, stitchBack, fresh, cut)
                { AtMm = before });
                worked.Add(stitch);
            }
        }

        return new Routed(rows, inOrder.Zip(ways).ToArray()) { TakenUp = takenUp };

        // A parked needle is worth taking up where its thread lasts for all that is stitched in one go: else another end is to be fastened.
        bool Lasts(int n, double was)
        {
            var (runMm, freshRunMm) = rules.RunOf(inOrder[n].Thread);
            var need = Enumerable.Range(n, inOrder.Length - n).TakeWhile(i => i == n || between[i].Kind != FloatKind.NewThread)
                .Sum(i => needs[i] + (between[i].BackMm * rules.TakeUp));
            return runMm - was - rules.EndsMm - (runMm - freshRunMm) >= need;
        }

        double Cost(Stitch stitch, double backMm) => Use(stitch, backMm, rules.ThicknessMm) * rules.TakeUp;
    }

    /// <summary>
    /// How many threads of <paramref name="runMm"/> lines take that need so much each, in mm, where a rest of up to
    /// <paramref name="ending"/> of a thread is left rather than begun a line with.
    /// </summary>
    private static int ThreadsFor(IEnumerable<double> needsMm, double runMm, double ending)
    {
        var (threads, used) = (1, 0.0);
        foreach (var need in needsMm)
        {
            if (used + need > runMm && runMm - used < ending * runMm)
            {
                (threads, used) = (threads + 1, 0);
            }

            used += need;
            var more = (int)(used / runMm);
            (threads, used) = (threads + more, used - (more * runMm));
        }

        return threads;
    }

    /// <summary>What a choice of ways costs over all lines; run lengths apart.</summary>
    public static RouteCost CostOf(IReadOnlyList<Piece> inOrder, IReadOnlyList<Way> ways, RouteRules rules)
    {
        var crossings = new Crossings(inOrder, rules);
        var cost = new RouteCost(0, 0, 0);
        for (var n = 0; n < inOrder.Count; n++)
        {
            cost += new RouteCost(0, 0, ways[n].Rank);
            cost += n == 0 ? default : crossings.Cost(n, ways[n - 1], ways[n]);
        }

        return cost;
    }

    private static Way[] Choose(Piece[] pieces, Crossings crossings)
    {
        // Only where going on as written needs more than a short jump is another way looked for.
        var written = pieces.Select(Ways.Forward).ToArray();
        var options = pieces.Select((piece, n) => piece.Reverses && (Hard(n) || Hard(n + 1)) ? Ways.For(piece) : [written[n]]).ToArray();
        var best = new List<(RouteCost Cost, int From)[]>();
        for (var n = 0; n < pieces.Length; n++)
        {
            var column = new (RouteCost Cost, int From)[options[n].Count];
            for (var o = 0; o < column.Length; o++)
            {
                var own = new RouteCost(0, 0, options[n][o].Rank);
                column[o] = (own, -1);
                for (var from = 0; n > 0 && from < options[n - 1].Count; from++)
                {
                    var cost = best[n - 1][from].Cost + crossings.Cost(n, options[n - 1][from], options[n][o]) + own;
                    column[o] = column[o].From < 0 || cost.Against(column[o].Cost) < 0 ? (cost, from) : column[o];
                }
            }

            best.Add(column);
        }

        var chosen = new Way[pieces.Length];
        var at = pieces.Length == 0 ? 0 : Enumerable.Range(0, best[^1].Length).Aggregate((a, b) =>
            best[^1][b].Cost.Against(best[^1][a].Cost) < 0 ? b : a);
        for (var n = pieces.Length - 1; n >= 0; n--)
        {
            chosen[n] = options[n][at];
            at = best[n][at].From;
        }

        return chosen;

        bool Hard(int n) => n > 0 && n < pieces.Length && crossings.Joined(n)
            && crossings.Between(n, written[n - 1], written[n]).Kind != FloatKind.Straight;
    }

    private static double Inner(Piece piece, Way way, int i) => i == 0 ? 0 : Behind(way.Of(piece, i - 1), way.Of(piece, i));

    /// <summary>The crossings from each line to the next, kept once found.</summary>
    private sealed class Crossings(IReadOnlyList<Piece> pieces, RouteRules rules)
    {
        private readonly Dictionary<(int Piece, Pt From, Pt To), double?> _carried = [];
        private readonly Pt[]?[] _starts = new Pt[pieces.Count][];
        private readonly Underside _underside = new(pieces);

        /// <summary>Whether one thread may go on from the line before at all.</summary>
        public bool Joined(int n)
        {
            var (before, next) = (pieces[n - 1], pieces[n]);
            return before.Thread == next.Thread && before.Hoop == next.Hoop
                && (!rules.LetterEndsThread || (before.Element == next.Element && before.Letter == next.Letter));
        }

        public (FloatKind Kind, double BackMm, double StraightMm) Between(int n, Way before, Way next)
        {
            if (!Joined(n))
            {
                return (FloatKind.NewThread, 0, 0);
            }

            var (from, to) = (before.End(pieces[n - 1]), next.Start(pieces[n]));
            var straight = from.To(to);
            if (straight <= rules.StraightUpToMm)
            {
                return (FloatKind.Straight, straight, straight);
            }

            return straight <= MostCarriedMm && Carried(n, from, to) is { } length ? (FloatKind.Carried, length, straight)
                : (FloatKind.NewThread, 0, 0);
        }

        public RouteCost Cost(int n, Way before, Way next)
        {
            var (kind, back, _) = Between(n, before, next);
            return new RouteCost(kind == FloatKind.NewThread && Joined(n) ? 1 : 0, back, 0);
        }

        private double? Carried(int n, Pt from, Pt to)
        {
            if (!_carried.TryGetValue((n, from, to), out var known))
            {
                // One search tells the way to every hole the next line may begin in.
                var starts = (_starts[n] ??= [.. Ways.For(pieces[n]).Select(w => w.Start(pieces[n])).Distinct()]);
                var ways = _underside.Shortest(n, from, starts, rules.StraightUpToMm, MostCarriedMm);
                for (var i = 0; i < starts.Length; i++)
                {
                    _carried[(n, from, starts[i])] = ways[i];
                }

                known = _carried[(n, from, to)];
            }

            return known;
        }
    }
}
