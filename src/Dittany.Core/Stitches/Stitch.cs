using Dittany.Core.Geometry;

namespace Dittany.Core.Stitches;

public enum StitchShape
{
    Straight,
    Loop,
    Knot,
    Bead,
    Whip,
    Tie,
}

/// <summary>
/// One visible stitch: the needle comes up at <paramref name="FromMm"/> and goes down at <paramref name="ToMm"/>, so a backstitch points against its travel.
/// </summary>
public sealed record Stitch(Pt FromMm, Pt ToMm, StitchShape Shape = StitchShape.Straight)
{
    public double LengthMm => FromMm.To(ToMm);
}

/// <summary>Whether stitches shorten on curves or keep one length over a stretch.</summary>
public enum LengthSchool
{
    Graded,
    Uniform,
}

/// <summary>What placing needs to know: lengths and tolerance in mm, from <see cref="For"/>.</summary>
public sealed record StitchSpec(double WishedMm, double ShortestMm, double LineWidthMm, LengthSchool School)
{
    /// <summary>A stitch may leave its line by this, or by 0.3 of the line's width where that is less (common practice).</summary>
    public const double MostSagittaMm = 0.25;

    public const double SagittaWidths = 0.3;

    /// <summary>Turn at a joint on a smooth line: 40°, so nine stitches or more to a circle; 60° at the shortest stitch (common practice).</summary>
    public const double MostTurnRadians = 40 * Math.PI / 180;

    public const double MostTurnShortestRadians = 60 * Math.PI / 180;

    /// <summary>A turn sharper than this is a corner and always a stitch end (common practice).</summary>
    public const double CornerRadians = 35 * Math.PI / 180;

    /// <summary>A line shorter than this is left out and said so (from memory).</summary>
    public const double DroppedBelowMm = 0.8;

    public double SagittaMm => Math.Min(MostSagittaMm, SagittaWidths * LineWidthMm);

    /// <summary>The wish is never under twice the shortest, or some lengths could not be divided at all.</summary>
    public static StitchSpec For(StitchBook.Pair pair, LengthSchool school)
    {
        var shortest = pair.Stitch.ShortestMm(pair.Strands);
        return new StitchSpec(Math.Max(pair.Stitch.UsualLengthMm, 2 * shortest), shortest, pair.LineWidthMm, school);
    }

    /// <summary>
    /// The longest stitch on a bend of this radius: by sagitta 2√(2re − e²), and by turn. Infinite radius gives the wish; a bend inside its own tolerance gives the
    /// shortest.
    /// </summary>
    public double AllowedMm(double radiusMm)
    {
        if (double.IsPositiveInfinity(radiusMm))
        {
            return WishedMm;
        }

        var allowed = Math.Min(Sagitta(radiusMm, SagittaMm), MostTurnRadians * radiusMm);
        return Math.Clamp(allowed, ShortestMm, WishedMm);
    }

    /// <summary>Chord of a circle of radius r whose arc rises e above it.</summary>
    public static double Sagitta(double radiusMm, double riseMm) =>
        riseMm >= radiusMm ? 2 * radiusMm : 2 * Math.Sqrt((2 * radiusMm * riseMm) - (riseMm * riseMm));
}

/// <summary>
/// A line with its stitches in working order. <paramref name="LineMm"/> is what they follow after butting. <paramref name="BeyondMm"/> is how far the worst stitch leaves it
/// beyond the tolerance, and <paramref name="OverTurned"/> whether a joint turns more than it may: both only where the shortest stitch leaves no other way.
/// </summary>
public sealed record PlacedLine(IReadOnlyList<Pt> LineMm, bool Closed, IReadOnlyList<Stitch> Stitches, double BeyondMm, bool OverTurned)
{
    public bool Turned => BeyondMm > 0 || OverTurned;
}
