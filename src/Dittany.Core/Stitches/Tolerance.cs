namespace Dittany.Core.Stitches;

/// <summary>How far stitches may leave their line, and turn from one to the next.</summary>
public static class Tolerance
{
    /// <summary>A stitch may leave its line by this, or by 0.3 of the line's width where that is less (common practice).</summary>
    public const double MostSagittaMm = 0.25;

    public const double SagittaWidths = 0.3;

    /// <summary>
    /// Turn at a joint that is aimed at on a smooth line: 18°, so twenty stitches to a circle, down to the shortest stitch. At 40° the bowl
    /// of a B shows its corners (from memory).
    /// </summary>
    public const double WishedTurnRadians = 18 * Math.PI / 180;

    /// <summary>
    /// How far a line may leave its stitches before the eye minds: half the line's width, measured from its middle (common practice), and
    /// never less than a hand sets the needle true to, mm (from memory).
    /// </summary>
    public const double SeenWidths = 0.5;

    public const double SeenMm = 0.3;

    /// <summary>
    /// The most turn at a joint on a smooth line: 40°, so nine stitches or more to a circle; 60° at the shortest stitch (common practice).
    /// </summary>
    public const double MostTurnRadians = 40 * Math.PI / 180;

    public const double MostTurnShortestRadians = 60 * Math.PI / 180;

    /// <summary>A turn sharper than this is a corner and always a stitch end (common practice).</summary>
    public const double CornerRadians = 35 * Math.PI / 180;

    /// <summary>A line shorter than this is left out, and that is said where it would be seen (from memory).</summary>
    public const double DroppedBelowMm = 0.8;

    /// <summary>How far a line of this width, mm, may leave its stitches before it is seen, mm.</summary>
    public static double Seen(double lineWidthMm) => Math.Max(SeenMm, SeenWidths * lineWidthMm);

    /// <summary>How far a stitch of a line of this width, mm, may leave it, mm.</summary>
    public static double SagittaMm(double lineWidthMm) => Math.Min(MostSagittaMm, SagittaWidths * lineWidthMm);

    /// <summary>The same for a pair, mm; links that all have one length are wide enough to hide what they leave the line by.</summary>
    public static double SagittaMm(Pair pair) =>
        pair.Stitch.KeepsOneLength ? SagittaWidths * pair.LineWidthMm : SagittaMm(pair.LineWidthMm);

    /// <summary>The tightest bend a pair can follow at its shortest stitch, by sagitta and by a turn of 60°; mm.</summary>
    public static double LeastRadiusMm(Pair pair)
    {
        var (s, e) = (pair.Stitch.ShortestMm(pair.Size), SagittaMm(pair));
        return Math.Max(((s * s / 4) + (e * e)) / (2 * e), s / pair.Stitch.Span / MostTurnShortestRadians);
    }
}
