using Dittany.Core.Designs;
using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using Dittany.Core.Stitches.AtPoints;

namespace Dittany.Core.Stitches;

/// <summary>
/// The lines of one letter, stitched; <paramref name="DroppedMm"/> are the lengths of those too short to stitch, but for stubs beside a
/// thread that are shorter than a line is wide: nobody sees that they are missing.
/// </summary>
public sealed record StitchedLetter(IReadOnlyList<Placed> Lines, IReadOnlyList<double> DroppedMm);

/// <summary>Stitches a letter's strokes in writing order. A stroke that ends on another stops at its edge: touched, not split.</summary>
public static class LetterStitching
{
    /// <summary>An end this near another stroke is meant to stand on it, in line widths.</summary>
    private const double OnIt = 0.35;

    /// <summary>Butting takes at most this much off an end, in line widths, and this share of the stroke.</summary>
    private const double MostTrimWidths = 1.5;

    private const double MostTrimShare = 0.3;


    /// <summary>Cloth that must show between a knot and the next line, mm (from memory).</summary>
    private const double KnotClearMm = 0.3;

    /// <summary>Stitches strokes given in mm, in writing order, of capitals this high.</summary>
    public static StitchedLetter Stitch(IReadOnlyList<Stroke> strokesMm, StitchSpec spec, double capMm, Budget? budget = null) =>
        Stitch(strokesMm, _ => spec, capMm, null, budget);

    /// <summary>
    /// Stitches strokes that each have their own way, such as the parts of a drawing. Where <paramref name="point"/> says so a stroke is a
    /// point and becomes a knot, or a tiny straight where there is no room. <see cref="Placed.Source"/> tells which stroke a line came
    /// from. Where <paramref name="only"/> says so a stroke is stitched; the others are there to be butted against.
    /// </summary>
    public static StitchedLetter Stitch(IReadOnlyList<Stroke> strokesMm, Func<int, StitchSpec> specOf, double capMm, Func<int,
        bool>? point, Budget? budget, Func<int, bool>? only = null)
    {
        var lines = strokesMm.Select(s => s.Flatten(0.01)).ToArray();
        var near = new NearLines(lines, budget);
        var placed = new List<Placed>();
        var dropped = new List<double>();
        for (var i = 0; i < strokesMm.Count; i++)
        {
            if (only?.Invoke(i) == false)
            {
                continue;
            }

            var (stroke, spec) = (strokesMm[i], specOf(i));
            if (point?.Invoke(i) == true)
            {
                placed.Add(Point(stroke, near, i, spec) with { Source = i });
                continue;
            }

            if (Knot(stroke, near, i, spec, capMm) is { } knot)
            {
                placed.Add(knot with { Source = i });
                continue;
            }

            var start = stroke.Closed ? 0 : Trim(lines, near, i, fromStart: true, spec);
            var end = stroke.Closed ? 0 : Trim(lines, near, i, fromStart: false, spec);
            if (spec.Pair.Stitch.Sew(new Shape(string.Empty, Line: stroke), new SewingBy(spec, start, end, budget)) is { } line)
            {
                placed.Add(line with { Source = i });
            }
            else if (!near.Nearer(Pt.Lerp(stroke.Start, stroke.End, 0.5),
                spec.LineWidthMm + (Polyline.Length(lines[i]) / 2), i))
            {
                // A dot that stands alone is never left out.
                placed.Add(Tiny(Pt.Lerp(stroke.Start, stroke.End, 0.5).OnGrid(), spec) with { Source = i });
            }
            else if (Polyline.Length(lines[i]) - start - end is var left && left >= spec.LineWidthMm)
            {
                dropped.Add(left);
            }
        }

        return new StitchedLetter(placed, dropped);
    }

    /// <summary>
    /// A point of a drawing: a knot where it has room beside the other lines, else the shortest straight that a needle makes.
    /// </summary>
    private static Placed Point(Stroke stroke, NearLines near, int index, StitchSpec spec)
    {
        var middle = Pt.Lerp(stroke.Start, stroke.End, 0.5).OnGrid();
        var across = Knots.AcrossMm(spec.Pair.Size, spec.Wraps);
        if (spec.Schools.Dots != DotSchool.Straight && !near.Nearer(middle, (across / 2) + (spec.LineWidthMm / 2), index))
        {
            return Dots.Knot.Sew(new Shape(string.Empty, Point: middle), new SewingBy(spec)).Sure();
        }

        return Tiny(middle, spec);
    }

    private static readonly IStitch Speck = new OnLines.Backstitch();

    /// <summary>The shortest straight that a needle makes.</summary>
    private static Placed Tiny(Pt middle, StitchSpec spec)
    {
        // What stands beside its line, as teeth and ties do, makes no speck.
        var half = new Pt(Tolerance.DroppedBelowMm * 0.6, 0);
        var plain = spec.Pair.Stitch.Beside ? StitchSpec.For(new Pair(Speck, spec.Pair.Size), spec.Schools) : spec;
        return plain.Pair.Stitch.Sew(new Shape(string.Empty, Line: new Stroke([Curve.Line(middle - half, middle + half)], false)),
            new SewingBy(plain)).Sure() with
        { Dot = true };
    }

    /// <summary>
    /// A dot as a knot, where the school and the height ask for one and there is room round it; else null and it is a tiny straight.
    /// </summary>
    private static Placed? Knot(Stroke stroke, NearLines near, int index, StitchSpec spec, double capMm)
    {
        var schools = spec.Schools;
        var wanted = schools.Dots == DotSchool.Knot || (schools.Dots == DotSchool.ByHeight && capMm >= Knots.FromCapMm);
        if (!wanted || stroke.Closed || stroke.Curves.Count != 1 || !stroke.Curves[0].IsStraight
            || stroke.Start.To(stroke.End) > (Dots.Share * capMm) + 1e-6)
        {
            return null;
        }

        var middle = Pt.Lerp(stroke.Start, stroke.End, 0.5).OnGrid();
        var across = Knots.AcrossMm(spec.Pair.Size, Knots.Wraps(schools.Wraps, spec.Pair.Size));
        return near.Nearer(middle, (across / 2) + (spec.LineWidthMm / 2) + KnotClearMm, index)
            ? null
            : Dots.Knot.Sew(new Shape(string.Empty, Point: middle), new SewingBy(spec));
    }

    /// <summary>
    /// How much to take off an end so that it butts against the stroke it stands on; 0 where it stands free or meets another end.
    /// </summary>
    private static double Trim(IReadOnlyList<Pt>[] lines, NearLines near, int index, bool fromStart, StitchSpec spec)
    {
        var own = fromStart ? lines[index] : lines[index].Reverse().ToArray();
        var half = spec.LineWidthMm / 2;
        foreach (var other in near.Within(own[0], OnIt * half, index).Select(i => lines[i]))
        {
            var meetsEnd = other[0].To(other[^1]) > 1e-6 && Math.Min(own[0].To(other[0]), own[0].To(other[^1])) < half;
            if (!meetsEnd)
            {
                return Off(other);
            }
        }

        return Far(own, spec) is { } far && Polyline.ToLine(own[0], far) <= OnIt * half ? Off(far) : 0;

        double Off(IReadOnlyList<Pt> other) => WayOut(own, other, half,
            Math.Min(MostTrimWidths * spec.LineWidthMm, MostTrimShare * Polyline.Length(own)));
    }

    /// <summary>The part of a stroke that lies well beyond its own beginning; null for a short one.</summary>
    private static IReadOnlyList<Pt>? Far(IReadOnlyList<Pt> own, StitchSpec spec)
    {
        var along = 0.0;
        for (var k = 1; k < own.Count - 1; k++)
        {
            along += own[k - 1].To(own[k]);
            if (along > 4 * spec.LineWidthMm)
            {
                return own.Skip(k).ToArray();
            }
        }

        return null;
    }

    private static double WayOut(IReadOnlyList<Pt> own, IReadOnlyList<Pt> other, double half, double most)
    {
        const double StepMm = 0.02;
        var (along, left) = (0.0, 0.0);
        for (var k = 1; k < own.Count && along < most; k++)
        {
            var length = own[k - 1].To(own[k]);
            while (left <= length && along < most)
            {
                if (Polyline.ToLine(Pt.Lerp(own[k - 1], own[k], length == 0 ? 0 : left / length), other) >= half)
                {
                    return along;
                }

                left += StepMm;
                along += StepMm;
            }

            left -= length;
        }

        return Math.Min(along, most);
    }
}
