using Dittany.Core.Designs;
using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using Dittany.Core.Stitches.Needle;
using Thread = Dittany.Core.Materials.Thread;

namespace Dittany.Core.Stitches.OnLines;

/// <summary>
/// The holes of one smooth stretch of a line, mm, in the direction of travel; <paramref name="EndMm"/> is where the stretch ends, past the
/// last hole where room was kept.
/// </summary>
public sealed record Holes(IReadOnlyList<Pt> AtMm, bool Loop, Pt EndMm)
{
    /// <summary>The whole turn in radians, positive to the right of travel; 0 for next to none.</summary>
    public double Turn()
    {
        var turn = 0.0;
        for (var i = 1; i + 1 < AtMm.Count; i++)
        {
            var (a, b) = (AtMm[i] - AtMm[i - 1], AtMm[i + 1] - AtMm[i]);
            turn += Math.Atan2(Pt.Cross(a, b), Pt.Dot(a, b));
        }

        return Math.Abs(turn) < 0.05 ? 0 : turn;
    }
}

/// <summary>Which way a level line of a stitch is worked by a right hand; a left one mirrors it.</summary>
public enum Heading
{
    LeftToRight,
    RightToLeft,
    EitherWay,
}

/// <summary>A stitch that works a line: its holes are set along it, and each stitch says only what the needle does between them.</summary>
public abstract class LineStitch : IStitch
{
    public abstract StitchInfo Info { get; }

    /// <summary>The way a right hand works it (common practice).</summary>
    public abstract Heading Heading { get; }

    public Judgement Takes(Shape shape, Thread thread)
    {
        if (shape.Line is not { } line)
        {
            return new Judgement(false, $"{Say.Upper(Info.Name)} works lines.", shape.Area is null ? "Make the point a knot."
                : "Work the edge of it.");
        }

        return Polyline.Length(line.Flatten(0.01)) >= Tolerance.DroppedBelowMm
            ? Judgement.Yes
            : new Judgement(false, $"A stitch is at least {Say.Length(Tolerance.DroppedBelowMm)}.", "Make it larger.");
    }

    public Placed? Sew(Shape shape, SewingBy by) =>
        LinePlacing.Place(shape.Line ?? throw new ArgumentException($"{Info.Name} works lines, and {shape.Id} is none.", nameof(shape)),
            this, by);

    /// <summary>The needle's way over the stretches of a line, in working order.</summary>
    public abstract void Sew(Sewn.Sewing sewing, IReadOnlyList<Holes> stretches, StitchSpec spec);
}
