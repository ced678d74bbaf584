using Dittany.Core.Materials;

namespace Dittany.Core.Stitches;

/// <summary>Whether stitches shorten on curves or keep one length over a stretch.</summary>
public enum LengthSchool
{
    Graded,
    Uniform,
}

/// <summary>
/// On which side a stem line keeps its thread, and a whipped one its wraps: one side throughout, or the outside of each bend.
/// </summary>
public enum SideSchool
{
    OneSide,
    OutsideOfBend,
}

/// <summary>How the workshop places stitches. <paramref name="LengthMm"/> replaces the usual length of every stitch, or null.</summary>
public sealed record StitchSchools(
    LengthSchool Length = LengthSchool.Graded, double? LengthMm = null, SideSchool Stem = SideSchool.OneSide,
        SideSchool Whip = SideSchool.OneSide, DotSchool Dots = DotSchool.ByHeight, int Wraps = 2)
{
    /// <summary>How long her stitches come out, as a share of the usual: where no length is wished they are planned so.</summary>
    public double LengthShare { get; init; } = 1;
}

/// <summary>How the dots of letters are made.</summary>
public enum DotSchool
{
    ByHeight,
    Straight,
    Knot,
}

/// <summary>
/// What placing needs to know: lengths and tolerance in mm, from <see cref="For"/>. <paramref name="Strict"/> lets no stitch exceed the
/// wish at all.
/// </summary>
public sealed record StitchSpec(Pair Pair, double WishedMm, double ShortestMm, double LineWidthMm, StitchSchools Schools,
    bool Strict = false)
{
    /// <summary>A stitch may be this much over the wish before another is made.</summary>
    public const double Slack = 1.05;

    public double SagittaMm => Tolerance.SagittaMm(Pair);

    /// <summary>Wraps of a knot: the thicker the bundle, the fewer it takes.</summary>
    public int Wraps => AtPoints.Knots.Wraps(Schools.Wraps, Pair.Size);

    /// <summary>Width of the bundle alone.</summary>
    public double BundleMm => Pair.Size.WidthMm;

    /// <summary>Stitches that cover one place of the line.</summary>
    public int Span => Pair.Stitch.Span;

    /// <summary>One length over a whole word: by school, or because a link out of measure shows.</summary>
    public bool OneLength => Schools.Length == LengthSchool.Uniform || Pair.Stitch.KeepsOneLength;

    public double MostMm => WishedMm * (Strict ? 1 : Slack);

    /// <summary>
    /// The wish is never under twice the shortest (once and a half where stitches overlap), or some lengths could not be divided at all.
    /// <paramref name="mostBehindMm"/> is the longest thread that may lie behind, or null: it limits the stitch by how much of it lies
    /// there.
    /// </summary>
    public static StitchSpec For(Pair pair, StitchSchools schools, double? mostBehindMm = null)
    {
        var shortest = pair.Stitch.ShortestMm(pair.Size);
        var usual = pair.Stitch.Info.UsualLengthMm * schools.LengthShare;
        var wished = Math.Max(schools.LengthMm ?? usual, (pair.Stitch.Span == 2 ? 1.5 : 2) * shortest);

        var most = mostBehindMm is { } behind ? pair.Stitch.LongestMm(behind) : double.PositiveInfinity;
        var strict = wished * Slack > most;
        wished = Math.Min(wished, most);
        return new StitchSpec(pair, wished, Math.Min(shortest, wished / 2), pair.LineWidthMm, schools, strict);
    }

    /// <summary>
    /// The longest stitch on a bend of this radius: by sagitta 2√(2re − e²), and by the turn from one stitch to the next. Infinite radius
    /// gives the wish; a bend inside its own tolerance gives the shortest.
    /// </summary>
    public double AllowedMm(double radiusMm)
    {
        if (double.IsPositiveInfinity(radiusMm))
        {
            return WishedMm;
        }

        // Where every stitch of a word is as long as at its tightest bend, a joint may turn as far as the eye bears.
        var turn = OneLength ? Tolerance.MostTurnRadians : Tolerance.WishedTurnRadians;
        var allowed = Math.Min(Sagitta(radiusMm, SagittaMm), Span * turn * radiusMm);
        return Math.Clamp(allowed, ShortestMm, WishedMm);
    }

    /// <summary>Chord of a circle of radius r whose arc rises e above it.</summary>
    public static double Sagitta(double radiusMm, double riseMm) =>
        riseMm >= radiusMm ? 2 * radiusMm : 2 * Math.Sqrt((2 * radiusMm * riseMm) - (riseMm * riseMm));
}
