using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches.Needle;
using Dittany.Formats.Drawings;

namespace Dittany.Web.Drawings;

/// <summary>
/// A stitch as it is sewn, drawn from the needle's moves alone: as a whole, up to one move, from behind, or moving. Thread on the face is
/// solid, behind the cloth it is broken.
/// </summary>
public static class LessonDrawing
{
    private const double WidePx = 620;

    private const string Ground = "#efe8d8";

    private const string Ink = "#8c3a5f";

    private const string Behind = "#5f7f6d";

    /// <summary>Threads that are drawn in a moving picture at the most: a picture is to be small.</summary>
    private const int MostMoving = 50;

    /// <summary>The needle's way on the screen, mm in a second of a sample as wide as usual.</summary>
    private const double Pace = 7;

    /// <summary>One piece of thread as it lies, and whether it lies behind.</summary>
    private sealed record Piece(int Stitch, int Move, IReadOnlyList<Pt> Way, bool Back);

    /// <summary>The whole of it, or as far as one move of one stitch; <paramref name="back"/> shows the other side of the cloth.</summary>
    public static string Still(Lesson lesson, (int Stitch, int Move)? upTo = null, bool back = false, bool numbers = false)
    {
        using var svg = new Svg();
        var px = Opened(svg, lesson, back, close: upTo is not null);
        var pieces = Pieces(lesson.Sewn).Where(p => upTo is not { } to || (p.Stitch, p.Move).CompareTo(to) <= 0).ToArray();
        Line(svg, lesson, px);
        Thread(svg, pieces.Where(p => p.Back != back), lesson, px, hidden: true);
        Thread(svg, pieces.Where(p => p.Back == back), lesson, px, hidden: false);

        if (upTo is { } now && !back)
        {
            var at = lesson.Sewn[now.Stitch].Moves()[now.Move];
            svg.Empty("circle", ("cx", at.At.X), ("cy", at.At.Y), ("r", 12 * px), ("fill", at.ComesUp ? "#fffdf6" : Ink), ("stroke", Ink),
                ("stroke-width", 1.6 * px));
        }

        if (numbers || upTo is not null)
        {
            Numbers(svg, lesson, upTo is null ? px : px * StepScale, upTo);
        }

        return svg.Close().Close().ToString();
    }

    /// <summary>Pixels to a millimetre where a screen shows true sizes.</summary>
    private const double TruePx = 96 / 25.4;

    /// <summary>Pictures of single steps are small: their numbers are so much larger.</summary>
    private const double StepScale = 2.3;

    /// <summary>The same as it comes about: each thread grows as the needle goes, and stays. Without movement the whole is seen.</summary>
    public static string Moving(Lesson lesson)
    {
        using var svg = new Svg();
        var px = Opened(svg, lesson, back: false, close: false);
        Line(svg, lesson, px);
        var pieces = Pieces(lesson.Sewn).Where(p => Polyline.Length(p.Way) > 0.01).Take(MostMoving).ToArray();
        var at = 0.5;
        foreach (var piece in pieces)
        {
            var length = Polyline.Length(piece.Way);
            var lasts = Math.Max(0.25, length / Pace);
            Thread(svg, [piece], lesson, px, hidden: piece.Back, (length, at, lasts));
            at += lasts;
        }

        Numbers(svg, lesson, px);
        return svg.Close().Close().ToString();
    }

    /// <summary>The way the thread takes on the face at the end of all, as the drawing shows it: for the check against the plan.</summary>
    public static IReadOnlyList<IReadOnlyList<Pt>> Face(Sewn sewn) => Pieces(sewn).Where(p => !p.Back).Select(p => p.Way).ToArray();

    /// <summary>Opens a drawing of all of it, or close to those stitches that are told move by move; says how large a px is, mm.</summary>
    /// <summary>A sample at its true size.</summary>
    public static string AtSize(Lesson lesson)
    {
        using var svg = new Svg();
        var px = Opened(svg, lesson, false, close: false, trueSize: true);
        Line(svg, lesson, px);
        Thread(svg, Pieces(lesson.Sewn).Where(p => !p.Back), lesson, px, hidden: false);
        return svg.Close().Close().ToString();
    }

    private static double Opened(Svg svg, Lesson lesson, bool back, bool close, bool trueSize = false)
    {
        var all = close && lesson.Area ? lesson.Steps.Select(s => s.AtMm).ToArray()
            : lesson.Sewn.Moves.ToArray().Select(m => m.At).Concat(lesson.LineMm).ToArray();
        var (x, y) = (all.Min(p => p.X), all.Min(p => p.Y));
        var round = Math.Max(2.5, 3 * lesson.Sewn.BundleMm);
        var (w, h) = (all.Max(p => p.X) - x + (2 * round), Math.Max(close ? 0 : 8, all.Max(p => p.Y) - y + (2 * round)));
        var (left, top) = (x - round, ((all.Max(p => p.Y) + y) / 2) - (h / 2));
        var wide = trueSize ? w * TruePx : WidePx;
        svg.Open("svg", ("width", Math.Round(wide, 1)), ("height", Math.Round(wide * h / w, trueSize ? 1 : 0)), ("viewBox", $"{Svg.N(left)} {Svg.N(top)} {Svg.N(w)} {Svg.N(h)}"),
            ("role", "img"), ("aria-label", $"{lesson.Stitch.Name}{(back ? ", from behind" : string.Empty)}"));
        svg.Empty("rect", ("x", left), ("y", top), ("width", w), ("height", h), ("fill", back ? "#e6ddca" : Ground));

        // Behind, right and left change places, as they do when the cloth is turned over.
        svg.Open("g", back ? [("transform", $"translate({Svg.N((2 * left) + w)} 0) scale(-1 1)")] : []);
        return w / wide;
    }

    private static void Line(Svg svg, Lesson lesson, double px)
    {
        if (lesson.LineMm.Count > 1)
        {
            svg.Empty("path", ("d", svg.Line(lesson.LineMm, lesson.Closed)), ("fill", "none"), ("stroke", "#23628f"), ("stroke-opacity", 0.35),
                ("stroke-width", 1.2 * px), ("stroke-dasharray", $"{Svg.N(4 * px)} {Svg.N(4 * px)}"));
        }
    }

    private static void Thread(Svg svg, IEnumerable<Piece> pieces, Lesson lesson, double px, bool hidden,
        (double Length, double At, double Lasts)? moving = null)
    {
        var wide = lesson.Sewn.BundleMm;
        var path = string.Concat(pieces.Select(p => svg.Line(p.Way)));
        (string, object)[] how =
        [
            ("d", path), ("fill", "none"), ("stroke-linecap", "round"), ("stroke-linejoin", "round"), ("stroke", hidden ? Behind : Ink),
            ("stroke-width", hidden ? Math.Max(1.4 * px, wide * 0.3) : wide * 0.82), ("stroke-opacity", hidden ? 0.55 : 1),
        ];
        if (moving is not { } m)
        {
            svg.Empty("path", hidden ? [.. how, ("stroke-dasharray", $"{Svg.N(3 * px)} {Svg.N(5 * px)}")] : how);
            if (!hidden)
            {
                svg.Empty("path", ("d", path), ("fill", "none"), ("stroke-linecap", "round"), ("stroke", "#ffffff"), ("stroke-opacity", 0.3),
                    ("stroke-width", wide * 0.2));
            }

            return;
        }

        svg.Open("path", [.. how, ("stroke-dasharray", $"{Svg.N(m.Length)} {Svg.N(m.Length + 1)}"), ("stroke-dashoffset", 0)])
            .Empty("set", ("attributeName", "visibility"), ("to", "hidden"), ("dur", $"{Svg.N(m.At)}s"))
            .Empty("animate", ("attributeName", "stroke-dashoffset"), ("from", m.Length), ("to", 0), ("begin", $"{Svg.N(m.At)}s"),
                ("dur", $"{Svg.N(m.Lasts)}s"), ("fill", "freeze"))
            .Close();
    }

    /// <summary>The numbers of the places, those the needle has come to.</summary>
    private static void Numbers(Svg svg, Lesson lesson, double px, (int Stitch, int Move)? upTo = null)
    {
        var come = lesson.Steps.Where(s => upTo is not { } to || (s.Stitch, s.Move).CompareTo(to) <= 0).Select(s => s.AtMm).ToArray();
        foreach (var (at, number) in lesson.Holes.Where(h => come.Any(c => c.To(h.AtMm) < 0.06)))
        {
            svg.Empty("circle", ("cx", at.X), ("cy", at.Y - (15 * px)), ("r", 8 * px), ("fill", "#fffdf6"), ("fill-opacity", 0.85));
            svg.Label(Say.Number(number, 0), ("x", at.X), ("y", at.Y - (11 * px)), ("font-size", 12 * px), ("text-anchor", "middle"), ("fill", "#1f2a26"));
        }
    }

    private static IEnumerable<Piece> Pieces(Sewn sewn)
    {
        Pt? last = null;
        for (var i = 0; i < sewn.Count; i++)
        {
            var moves = sewn[i].Moves().ToArray();
            for (var m = 0; m < moves.Length; m++)
            {
                var move = moves[m];
                if (last is { } from && from.To(move.At) > 1e-6)
                {
                    // A long way between stitches is another thread.
                    if (!move.ComesUp || from.To(move.At) <= 10)
                    {
                        yield return new Piece(i, m, move.ComesUp ? [from, move.At]
                            : sewn[i] is { Shape: StitchShape.Straight, PathMm: [_, ..] swept } ? [.. swept]
                            : Lies(moves, m, from, sewn.BundleMm),
                            move.ComesUp);
                    }
                }

                if (move.Kind == MoveKind.Wrap)
                {
                    yield return new Piece(i, m, Knot(move.At, sewn.BundleMm), false);
                }
                else if (move is { Kind: MoveKind.SlideUnder, Turns: >= 2 })
                {
                    yield return new Piece(i, m, Knot(move.At, sewn.BundleMm * 0.7), false);
                }

                last = move.At;
            }
        }
    }

    /// <summary>A link lies round: out on one side and back on the other; all else lies straight, to its side of the line.</summary>
    private static Pt[] Lies(Move[] moves, int index, Pt from, double wide)
    {
        var (move, way) = (moves[index], moves[index].At - from);
        var link = index > 0 && moves[0].At.To(moves[^1].At) < 1e-6 && moves.Length > 2;
        var aside = new Pt(-way.Y, way.X) * (1 / Math.Max(1e-9, way.Length));
        return link ? [from, Pt.Lerp(from, move.At, 0.25) + (aside * (wide * 0.55)), Pt.Lerp(from, move.At, 0.55) + (aside * (wide * 0.75)),
                Pt.Lerp(from, move.At, 0.85) + (aside * (wide * 0.5)), move.At]
            : move.Side != 0 ? [from - (aside * (move.Side * wide * 0.3)), move.At + (aside * (move.Side * wide * 0.3))] : [from, move.At];
    }

    private static Pt[] Knot(Pt at, double wide) => Enumerable.Range(0, 20).Select(k => k * Math.Tau / 9).Select((a, k) =>
        at + (new Pt(Math.Cos(a), Math.Sin(a)) * (wide * (0.3 + (0.02 * k))))).ToArray();
}
