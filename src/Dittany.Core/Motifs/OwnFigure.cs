using Dittany.Core.Geometry;
using Dittany.Core.Measures;

namespace Dittany.Core.Motifs;

/// <summary>
/// A drawing of hers, or of anybody, cut down to what can matter at the size of stitches: what is finer than a thread is left out, and so
/// is what has no length. Not repaired and not refused: <see cref="Against"/> says what is more than a needle follows. Cutting down what
/// was cut down changes nothing.
/// </summary>
public sealed record OwnFigure(Figure Figure, int Bends, int BendsKept, int WithoutLength)
{
    /// <summary>
    /// Pieces of a line that are shorter become one where together they stay within half of it of a straight one, as a share of the
    /// drawing's larger side: a tenth of a millimetre on a drawing of 200 mm, a quarter of the thinnest thread (from memory).
    /// </summary>
    public const double FinestShare = 1 / 2000.0;

    /// <summary>Less than this share of the drawing has no length.</summary>
    private const double NoLengthShare = 1e-6;

    /// <summary>A dot that is drawn larger than this share of the drawing stands for its middle alone (from memory).</summary>
    private const double DotShare = 0.03;

    /// <summary>Bends one line may have, and all of a drawing (from memory: a needle follows some hundred of them an evening).</summary>
    public const int MostBends = 4_000;

    public const int MostBendsInAll = 20_000;

    /// <summary>
    /// How often one shape may cross itself, and all shapes of a drawing together: the inside of what crosses itself more often is nobody's
    /// guess (from memory), and finding it takes seconds (measured: docs/measured.md). Lines may cross as they like.
    /// </summary>
    public const int MostCrossings = 200;

    public const int MostCrossingsInAll = 600;

    /// <summary>What of a drawing matters at the size of stitches.</summary>
    public static OwnFigure Of(Figure drawn)
    {
        var size = Math.Max(drawn.Width, drawn.Height);
        var (parts, bends, kept, without, same) = (new List<FigurePart>(drawn.Parts.Count), 0, 0, 0, true);
        foreach (var part in drawn.Parts)
        {
            if (part.Kind == FigureKind.Dot)
            {
                bends++;
                kept++;
                var point = Figure.SpanOf(part.Stroke) <= DotShare * size;
                same &= point;
                var dot = FigurePart.Dot(part.Role, part.Middle, NoLengthShare * size);
                parts.Add(point ? part : dot with { Copy = part.Copy, Layer = part.Layer });
            }
            else if (Polyline.Length(part.Line) <= NoLengthShare * size)
            {
                without++;
            }
            else
            {
                var curves = Coarser(part.Stroke, FinestShare * size);
                var holes = part.Holes.Select(h => new Stroke(Coarser(h, FinestShare * size), true)).ToArray();
                var coarser = new FigurePart(part.Role, part.Kind, new Stroke(curves, part.Stroke.Closed), part.Copy, part.Layer);
                var (drawnBends, keptBends) = (part.Stroke.Curves.Count + part.Holes.Sum(h => h.Curves.Count),
                    curves.Count + holes.Sum(h => h.Curves.Count));
                parts.Add(keptBends == drawnBends ? part : coarser with { Flow = part.Flow, Holes = holes });
                bends += drawnBends;
                kept += keptBends;
            }
        }

        return new OwnFigure(without == 0 && kept == bends && same ? drawn : new Figure(parts), bends,
            kept, without);
    }

    /// <summary>
    /// What was left out, in words; null where nothing was. <paramref name="highMm"/> is how high its larger side is stitched.
    /// </summary>
    public Told? LeftOut(double highMm) => (Bends - BendsKept, WithoutLength) switch
    {
        (0, 0) => null,
        (0, var none) => (Told)$"{Say.Upper(Say.Count(none, "part"))} of the drawing {(none == 1 ? "has" : "have")} no length: left out.",
        (var fine, _) => (Told)$"{Say.Count(fine, "bend")} of the drawing finer than {Say.Length(Math.Round(FinestShare * highMm, 2))} were drawn into "
            + $"their neighbours: a thread is wider.",
    };

    /// <summary>What of a drawing is more than a needle follows, with what would do; null where nothing is.</summary>
    public (string Detail, string Try)? Against()
    {
        if (Figure.Parts.FirstOrDefault(p => p.Stroke.Curves.Count > MostBends || p.Holes.Any(h =>
            h.Curves.Count > MostBends)) is { } winding)
        {
            return ($"One {winding.Role} has {winding.Holes.Append(winding.Stroke).Max(s => s.Curves.Count)} bends, and {MostBends} is the most.",
                "Draw it with fewer points, or divide it into several lines.");
        }

        if (BendsKept > MostBendsInAll)
        {
            return ($"The drawing has {BendsKept} bends, and {MostBendsInAll} is the most.", "Draw it with fewer points, or leave parts out.");
        }

        var all = 0;
        foreach (var shape in Figure.Parts.Where(p => p.Kind == FigureKind.Shape && p.Stroke.Closed))
        {
            var crossings = SelfCrossings.Count(shape.Line, false, MostCrossings + 1) + shape.Holes.Sum(h =>
                SelfCrossings.Count(h.Flatten(Figure.FlattenShare * Figure.SpanOf(h)), false, MostCrossings + 1));
            all += crossings;
            if (crossings > MostCrossings)
            {
                return ($"One {shape.Role} crosses itself in more than {MostCrossings} places: where its inside is cannot be told.",
                    "Make it a line, or draw round its outside only.");
            }

            if (all > MostCrossingsInAll)
            {
                return ($"The shapes of the drawing cross themselves in more than {MostCrossingsInAll} places: where their inside is cannot be told.",
                    "Make them lines, or draw round their outside only.");
            }
        }

        return null;
    }

    /// <summary>
    /// Runs of pieces too fine to be seen with the points left out that stand nearer than that from the line without them (Douglas and
    /// Peucker 1973); what is larger stays just as it was drawn.
    /// </summary>
    private static List<Curve> Coarser(Stroke stroke, double finest)
    {
        var (kept, run) = (new List<Curve>(stroke.Curves.Count), new List<Curve>());
        foreach (var curve in stroke.Curves)
        {
            if (Reach(curve) > finest)
            {
                Close();
                kept.Add(curve);
            }
            else
            {
                run.Add(curve);
            }
        }

        Close();
        return kept;

        // A few fine pieces beside large ones are a corner that was cut: they stay.
        void Close()
        {
            if (run.Count <= FewFine)
            {
                kept.AddRange(run);
            }
            else
            {
                var line = Polyline.Simplified([run[0].P0, .. run.Select(c => c.P3)], finest / 2);
                kept.AddRange(line.Skip(1).Select((p, i) => Curve.Line(line[i], p)));
            }

            run.Clear();
        }

        static double Reach(Curve curve) => Math.Max(Math.Max(curve.P0.To(curve.P1), curve.P0.To(curve.P2)), curve.P0.To(curve.P3));
    }

    /// <summary>So many fine pieces in a row are left as they are.</summary>
    private const int FewFine = 3;
}
