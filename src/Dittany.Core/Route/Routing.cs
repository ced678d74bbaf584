using Dittany.Core.Geometry;
using Dittany.Core.Stitches;

namespace Dittany.Core.Route;

public enum FloatKind
{
    None,
    Straight,
    Carried,
    NewThread,
}

/// <summary>One line of stitches to be worked: which element and part it is, which letter it belongs to, and the thread it takes.</summary>
public sealed record Piece(string Element, int Part, int Letter, string Thread, int Hoop, IReadOnlyList<Stitch> Stitches);

/// <summary>One row of the route: one stitch, in working order. <paramref name="BackMm"/> is the thread that really lies behind on the way to it.</summary>
public sealed record RouteRow(string Element, int Part, int Stitch, int Run, int Hoop, double FloatMm, FloatKind FloatKind, double BackMm);

/// <summary>What steers the route: floats in mm, thread in mm a run can stitch.</summary>
public sealed record RouteRules(double StraightUpToMm, bool LetterEndsThread, double RunMm, double ThicknessMm, double TakeUp);

/// <summary>
/// Orders stitches, settles floats and cuts runs. Lines come in their working order; hoopings in the order they are first needed. Thread ends are the first thing to
/// save, then float length. A run ends at the end of a line; within one only where the line is longer than a whole run.
/// </summary>
public static class Routing
{
    /// <summary>A thread is carried under stitches already there no further than this (from memory).</summary>
    public const double MostCarriedMm = 60;

    /// <summary>Jumps that go straight: common practice elsewhere; on towels and napkins, and next to a baby's skin, only what cannot be caught (from memory).</summary>
    public const double StraightMm = 10;

    public const double StraightNotCaughtMm = 5;

    /// <summary>Thread one stitch takes: front, back and twice through the cloth.</summary>
    public static double Use(Stitch stitch, double backMm, double thicknessMm) => stitch.LengthMm + backMm + (2 * thicknessMm);

    /// <summary>One row for each stitch, each exactly once.</summary>
    public static IReadOnlyList<RouteRow> Order(IReadOnlyList<Piece> pieces, RouteRules rules)
    {
        var rows = new List<RouteRow>();
        var done = new Dictionary<(string Element, int Letter), List<Piece>>();
        var (run, used) = (0, 0.0);
        Piece? before = null;
        foreach (var piece in pieces.OrderBy(p => p.Hoop))
        {
            var need = Enumerable.Range(0, piece.Stitches.Count).Sum(i => Cost(piece, i, Inner(piece, i)));
            var (kind, back, straight) = Cross(before, piece, done, rules);
            if (kind != FloatKind.NewThread && used + need + (back * rules.TakeUp) > rules.RunMm)
            {
                kind = FloatKind.NewThread;
            }

            for (var i = 0; i < piece.Stitches.Count; i++)
            {
                var (stitchKind, stitchBack, shown) = i == 0 ? (kind, back, straight) : (FloatKind.None, Inner(piece, i), 0.0);
                if (stitchKind == FloatKind.None && i > 0 && used + Cost(piece, i, stitchBack) > rules.RunMm)
                {
                    stitchKind = FloatKind.NewThread;
                }

                if (stitchKind == FloatKind.NewThread)
                {
                    (run, used, stitchBack, shown) = (run + 1, 0, 0, 0);
                }

                used += Cost(piece, i, stitchBack);
                rows.Add(new RouteRow(piece.Element, piece.Part, i, run, piece.Hoop, Measures.Rounding.ToGrid(shown), stitchKind, stitchBack));
            }

            if (!done.TryGetValue((piece.Element, piece.Letter), out var ofLetter))
            {
                done[(piece.Element, piece.Letter)] = ofLetter = [];
            }

            ofLetter.Add(piece);
            before = piece;
        }

        return rows;

        double Cost(Piece piece, int i, double backMm) => Use(piece.Stitches[i], backMm, rules.ThicknessMm) * rules.TakeUp;
    }

    /// <summary>The way behind from one stitch of a line to the next.</summary>
    private static double Inner(Piece piece, int i) => i == 0 ? 0 : piece.Stitches[i - 1].ToMm.To(piece.Stitches[i].FromMm);

    private static (FloatKind Kind, double BackMm, double StraightMm) Cross(Piece? before, Piece next, Dictionary<(string Element, int Letter), List<Piece>> done, RouteRules rules)
    {
        if (before is null || before.Thread != next.Thread || before.Hoop != next.Hoop)
        {
            return (FloatKind.NewThread, 0, 0);
        }

        var sameLetter = before.Element == next.Element && before.Letter == next.Letter;
        if (!sameLetter && rules.LetterEndsThread)
        {
            return (FloatKind.NewThread, 0, 0);
        }

        var (from, to) = (before.Stitches[^1].ToMm, next.Stitches[0].FromMm);
        var straight = from.To(to);
        if (straight <= rules.StraightUpToMm)
        {
            return (FloatKind.Straight, straight, straight);
        }

        // Only what lies near can help: this letter and the one just left.
        var near = new[] { next.Letter - 1, next.Letter, next.Letter + 1 }
            .SelectMany(letter => done.GetValueOrDefault((next.Element, letter)) ?? [])
            .Where(p => p.Thread == next.Thread);
        var carried = Carry.Shortest(from, to, near.SelectMany(p => p.Stitches), rules.StraightUpToMm, MostCarriedMm);
        return carried is { } length ? (FloatKind.Carried, length, straight) : (FloatKind.NewThread, 0, 0);
    }
}
