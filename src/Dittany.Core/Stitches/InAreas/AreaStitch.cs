using Dittany.Core.Designs;
using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using Dittany.Core.Stitches.Needle;
using Thread = Dittany.Core.Materials.Thread;

namespace Dittany.Core.Stitches.InAreas;

/// <summary>
/// A stitch that fills an area. Each says whether it does so well, how wide and free its threads may lie, and what the needle does.
/// </summary>
public abstract class AreaStitch : IStitch
{
    /// <summary>An area narrower than this on average is a line (common practice).</summary>
    public const double LeastWidthMm = 1.5;

    /// <summary>From one stitch to the next a thread goes behind up to this far; beyond it begins anew, mm (from memory).</summary>
    public const double MostHopMm = 5;

    public abstract StitchInfo Info { get; }

    /// <summary>What is told of it first: when it is the right fill.</summary>
    public abstract string Because { get; }

    public Judgement Takes(Shape shape, Thread thread) => shape.Area is null
        ? new Judgement(false, $"{Say.Upper(Info.Name)} fills areas.", "Take a stitch that works lines.") : Judgement.Yes;

    /// <summary>Whether it fills an area well with this thread, at this wear; where not, why, and what would do.</summary>
    public Judgement Fills(Area area, SewingBy by)
    {
        var ground = AreaGround.Of(area, by.Upright);
        return ground.Covers.IsEmpty || ground.WidthMm < LeastWidthMm
            ? new Judgement(false, "It is too thin to be filled: a thread's width or two.", "Work it as a line, or make it larger.")
            : Fills(ground, by);
    }

    protected abstract Judgement Fills(AreaGround ground, SewingBy by);

    public Placed? Sew(Shape shape, SewingBy by)
    {
        var area = shape.Area ?? throw new ArgumentException($"{Info.Name} fills areas, and {shape.Id} is none.", nameof(shape));
        var ground = AreaGround.Of(area, by.Upright);
        if (ground.Covers.IsEmpty)
        {
            return null;
        }

        by.Budget?.Spend(ground.Covers.Rings.Sum(r => (long)r.Count) * 20);
        var sewing = new Sewn.Sewing(by.Spec.Pair.Size);
        Sew(sewing, ground, by);
        var sewn = sewing.Done();
        by.Budget?.Spend(240L * sewn.Count);
        var breaks = sewing.Breaks;
        return sewn.Count == 0 ? null : new Placed(ground.Covers.Rings[0], true, sewn, 0, this, WidthMm(by))
        {
            Filling = new Filling(ground.Covers.Rings, Math.Round(ground.Covers.AreaMm2, 3),
                Math.Round(Coverage.Of(ground.Covers, sewn), 3), Directed ? Degrees(Direction(ground, by)) : null)
            {
                Lies = Directed && FollowsField && by.Direction is { Bends: true } bends ? bends.Kind : null,
            },
            Breaks = breaks,
        };
    }

    /// <summary>The needle's way over the area; <see cref="Sewn.Sewing.Break"/> where the thread cannot go on.</summary>
    protected abstract void Sew(Sewn.Sewing sewing, AreaGround ground, SewingBy by);

    /// <summary>Whether its stitches have one direction that can be chosen.</summary>
    public virtual bool Directed => true;

    /// <summary>Whether its stitches can lie otherwise in one place than in another.</summary>
    public virtual bool FollowsField => false;

    /// <summary>The direction its stitches lie in, radians: hers, of a field that in the middle, or its own for this area.</summary>
    protected double Direction(AreaGround ground, SewingBy by) => by.Direction is { } hers ? DirectionField.Of(hers, ground).Main
        : OwnDirection(ground);

    /// <summary>The ways its stitches go where the direction changes over the area; null where it is one.</summary>
    private protected static IReadOnlyList<IReadOnlyList<Pt>>? Ways(AreaGround ground, SewingBy by, double pitchMm) =>
        by.Direction is { Bends: true } hers
            ? Streamlines.Over(ground.Covers, DirectionField.Of(hers, ground), pitchMm, by.Budget) : null;

    protected virtual double OwnDirection(AreaGround ground) => ground.Along;

    /// <summary>How wide one of its stitches lies, mm.</summary>
    protected virtual double WidthMm(SewingBy by) => by.Spec.BundleMm;

    /// <summary>Its threads may be long, for they are held down all along: by ties, or by what is woven through them.</summary>
    public virtual bool HeldDown => false;

    /// <summary>How it goes through several colours.</summary>
    public virtual FillColours Colours => FillColours.One;

    /// <summary>How far it reaches over the edge on purpose, mm.</summary>
    public virtual double OverMm(SewingBy by) => 0;

    /// <summary>Whether its edge is worked too, because the fill alone does not draw it.</summary>
    public virtual bool EdgeToo => false;

    /// <summary>So far apart are threads that touch, mm: a thread's width.</summary>
    protected static double PitchMm(SewingBy by) => by.Spec.BundleMm;

    /// <summary>Degrees of a direction, 0 up to 180.</summary>
    private static double Degrees(double radians) => Math.Round(((radians * 180 / Math.PI) + 360) % 180, 1);
}
