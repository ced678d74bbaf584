using Dittany.Core.Designs;
using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using Dittany.Core.Stitches;
using Dittany.Core.Stitches.InAreas;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.StitchBook;

/// <summary>One move of the needle as it is told to who has never done it, and where it happens, mm.</summary>
public sealed record LessonStep(int Stitch, int Move, string Text, Pt AtMm);

/// <summary>
/// A stitch to learn: a short piece of it as the plan would sew it, move by move. What is drawn and told of it comes from the needle's path
/// and from nothing else. A left hand's is the mirror image. Lengths in mm.
/// </summary>
public sealed record Lesson(IStitch Stitch, bool LeftHanded, int Strands, IReadOnlyList<Pt> LineMm, bool Closed, bool Area, Sewn Sewn,
    IReadOnlyList<LessonStep> Steps, IReadOnlyList<(Pt AtMm, int Number)> Holes)
{
    /// <summary>So many stitches are told move by move; what follows is like them.</summary>
    public const int Told = 5;

    /// <summary>The height of capitals whose strands a sample is sewn with, mm.</summary>
    private const double UsualCapMm = 20;

    /// <summary>
    /// Thread for a centimetre of line or a square centimetre of area, mm: of its face and what lies behind, without ends.
    /// </summary>
    public double ThreadMm => Each(Sewn.Sum(s => s.ThreadMm) + Behind());

    /// <summary>Seconds a skilled hand takes for as much.</summary>
    public double Seconds => Each(Sewn.Sum(s => s.Seconds));

    private double Each(double all) => Area ? all / (Math.Abs(Region.AreaOf(LineMm)) / 100)
        : LineMm.Count < 2 ? all : all / (Polyline.Length(LineMm) / 10);

    /// <summary>
    /// The lesson of a stitch; null where none of the samples can be sewn in it.
    /// </summary>
    public static Lesson? Of(IStitch stitch, bool leftHanded = false)
    {
        var strands = stitch.Info.StrandsUpTo.First(r => UsualCapMm <= r.UpToMm).Strands;
        var spec = StitchSpec.For(new Pair(stitch, strands), new StitchSchools());
        foreach (var shape in Samples(spec))
        {
            if (!stitch.Takes(shape, new Materials.Thread(strands, "#000000")).Fits)
            {
                continue;
            }

            var by = new SewingBy(spec) { MostFreeMm = 20 };
            if (stitch is AreaStitch fill && !fill.Fills(shape.Area.Sure(), by).Fits)
            {
                continue;
            }

            if (stitch.Sew(shape, by) is { Stitches.Count: > 0 } placed)
            {
                var sewn = leftHanded ? Mirrored(placed.Stitches) : placed.Stitches;
                var line = leftHanded ? placed.LineMm.Select(Flip).ToArray() : placed.LineMm;
                var holes = Numbered(sewn);
                return new Lesson(stitch, leftHanded, strands, line, placed.Closed, shape.Area is not null, sewn, Tell(sewn, holes), holes);
            }
        }

        return null;
    }

    /// <summary>A gentle wave of a few stitches; areas from slender to round; a point.</summary>
    private static IEnumerable<Shape> Samples(StitchSpec spec)
    {
        var length = Math.Clamp(spec.WishedMm * (spec.Span == 2 ? 3.5 : 6.5), 14, 40);
        yield return new Shape("line", Line: new Stroke(
            [new Curve(default, new Pt(length / 3, -length / 9), new Pt(2 * length / 3, length / 9), new Pt(length, 0))], false));
        yield return Ring(new Curve(default, new Pt(5, -6), new Pt(16, -6), new Pt(22, 0)),
            new Curve(new Pt(22, 0), new Pt(16, 6), new Pt(5, 6),
            default));
        yield return Ring(Sides(new(0, 0), new(24, 0), new(24, 3), new(0, 3)));
        yield return Ring(Sides(new(0, 0), new(14, 0), new(14, 10), new(0, 10)));
        yield return Ring(new Curve(new Pt(-7, 0), new Pt(-7, -9.3), new Pt(7, -9.3), new Pt(7, 0)),
            new Curve(new Pt(7, 0), new Pt(7, 9.3), new Pt(-7, 9.3), new Pt(-7, 0)));
        yield return Ring(Sides(new(0, 0), new(30, 0), new(30, 24), new(0, 24)));
        yield return new Shape("point", Point: default(Pt));

        static Shape Ring(params Curve[] curves) => new("area", new Area([new Stroke(curves, true)]));

        static Curve[] Sides(params Pt[] at) => at.Select((p, i) => Curve.Line(p, at[(i + 1) % at.Length])).ToArray();
    }

    private static Pt Flip(Pt at) => new(-at.X, at.Y);

    /// <summary>The same way in a mirror: what lay right of travel lies left of it.</summary>
    private static Sewn Mirrored(Sewn sewn)
    {
        var sewing = new Sewn.Sewing(sewn.Size);
        for (var i = 0; i < sewn.Count; i++)
        {
            sewing.Stitch(sewn[i].Moves().ToArray().Select(m => m with { At = Flip(m.At), Side = (sbyte)-m.Side }).ToArray());
        }

        return sewing.Done();
    }

    /// <summary>Places by the order in which the needle comes to them, of the stitches that are told.</summary>
    private static IReadOnlyList<(Pt, int)> Numbered(Sewn sewn)
    {
        var found = new List<(Pt, int)>();
        foreach (var i in Shown(sewn))
        {
            foreach (var move in sewn[i].Moves())
            {
                if (!found.Exists(f => f.Item1.To(move.At) < SameMm))
                {
                    found.Add((move.At, found.Count + 1));
                }
            }
        }

        return found;
    }

    /// <summary>Places nearer than this are one hole, mm.</summary>
    private const double SameMm = 0.05;

    /// <summary>The first stitches, and the first of a second journey.</summary>
    private static IEnumerable<int> Shown(Sewn sewn)
    {
        var second = Enumerable.Range(0, sewn.Count).FirstOrDefault(i => i >= Told && sewn[i].Shape == StitchShape.Whip
            && sewn[i - 1].Shape != StitchShape.Whip, -1);
        return Enumerable.Range(0, Math.Min(Told, sewn.Count)).Concat(second < 0 ? []
            : Enumerable.Range(second, Math.Min(3, sewn.Count - second)));
    }

    private static List<LessonStep> Tell(Sewn sewn, IReadOnlyList<(Pt AtMm, int Number)> holes)
    {
        var steps = new List<LessonStep>();
        var known = new HashSet<int>();
        var last = -1;
        foreach (var i in Shown(sewn))
        {
            var moves = sewn[i].Moves().ToArray();
            for (var m = 0; m < moves.Length; m++)
            {
                var hole = holes.First(h => h.AtMm.To(moves[m].At) < SameMm).Number;
                var text = Said(moves, m, hole, known.Contains(hole), i > 0 && last >= 0 && last != i - 1 && m == 0);
                known.Add(hole);
                steps.Add(new LessonStep(i, m, text, moves[m].At));
            }

            last = i;
        }

        return steps;
    }

    private static string Said(Move[] moves, int index, int hole, bool known, bool again)
    {
        var move = moves[index];
        var side = move.Side switch { 1 => ", the thread kept to the right", -1 => ", the thread kept to the left", _ => string.Empty };
        var lead = again ? "Then a second journey, back over it: " : string.Empty;
        var told = move.Kind switch
        {
            MoveKind.UpAt => known ? $"come up at {hole}, in the hole that is there" : $"come up at {hole}",
            MoveKind.UpThrough => $"come up at {hole}, through the thread that lies there, between its strands",
            MoveKind.DownAt when index > 0 && moves[0].Kind == MoveKind.UpAt && moves[0].At == move.At && moves.Length > 2 =>
                $"go down at {hole}, where you came up",
            MoveKind.DownAt => known ? $"go down at {hole}, in the hole that is there{side}" : $"go down at {hole}{side}",
            MoveKind.HoldAt => $"lay the thread round as far as {hole} and hold it there with your thumb",
            MoveKind.Lay => $"lay the thread along as far as {hole} and hold it with your thumb",
            MoveKind.SlideUnder when move.Turns >= 2 => $"go {Times(move.Turns)} round the stitch at {hole}, not through the cloth",
            MoveKind.SlideUnder when move.Turns == 0 => $"go under the threads at {hole}, not through the cloth",
            MoveKind.SlideUnder => $"slide under the thread at {hole}, not through the cloth{From(move.Side)}",
            _ => $"wind the thread {Times(move.Turns)} round the needle and hold it snug",
        };
        return $"{Say.Upper(lead.Length > 0 ? lead + told : told)}.";
    }

    private static string From(sbyte side) => side switch { 1 => ", from the right", -1 => ", from the left", _ => string.Empty };

    private static string Times(float turns) => (int)turns switch { 1 => "once", 2 => "twice", var n => $"{n} times" };

    /// <summary>
    /// Thread behind, from where each stitch goes down to where the next comes up, mm; long ways begin anew and are not counted.
    /// </summary>
    private double Behind()
    {
        var behind = 0.0;
        for (var i = 1; i < Sewn.Count; i++)
        {
            var way = Sewn[i].Begins || Sewn[i].Moves()[0].ComesUp ? Sewn[i - 1].DownMm.To(Sewn[i].Moves()[0].At) : 0;
            behind += way <= 10 ? way : 0;
        }

        return behind;
    }
}
