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
/// One visible stitch: the needle comes up at <paramref name="FromMm"/> and goes down at <paramref name="ToMm"/>, so a backstitch points against its travel. A loop's
/// <paramref name="ToMm"/> is its tip, where the next stitch holds it: the needle itself goes down again beside <paramref name="FromMm"/>. <paramref name="PathMm"/> tells
/// where thread lies on the front when that is not straight. <paramref name="FrontMm"/> is the thread on the front, null for the straight length.
/// <paramref name="Side"/> is the side of travel a rope-like stitch keeps its thread on: 1 right, −1 left, 0 where there is none.
/// </summary>
public sealed record Stitch(
    Pt FromMm, Pt ToMm, StitchShape Shape = StitchShape.Straight, IReadOnlyList<Pt>? PathMm = null, double? FrontMm = null, int Side = 0)
{
    /// <summary>From where the needle comes up to where it goes down, or to the tip of a loop.</summary>
    public double LengthMm => FromMm.To(ToMm);

    /// <summary>Thread on the front of the cloth, mm.</summary>
    public double ThreadMm => FrontMm ?? LengthMm;

    /// <summary>Where the needle really goes down.</summary>
    public Pt DownMm => Shape == StitchShape.Loop ? FromMm : ToMm;

    /// <summary>How often the thread goes through the cloth: whipping does not, and a knot's own are in its thread.</summary>
    public int Passes => Shape is StitchShape.Whip or StitchShape.Knot ? 0 : 2;

    /// <summary>The same stitch worked the other way: only straight ones look the same.</summary>
    public Stitch Turned() => this with { FromMm = ToMm, ToMm = FromMm };
}
