using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Stitches.InAreas;

/// <summary>Stitches that grow from a vein: the line from the foot of a shape to its tip.</summary>
public abstract class VeinStitch : AreaStitch
{
    public override bool Directed => false;

    protected override Judgement Fills(AreaGround ground, SewingBy by)
    {
        var widest = Enumerable.Range(1, 15).Select(i => ground.Across(i / 16.0)).OfType<(Pt Left, Pt Middle, Pt Right)>()
            .Select(a => Math.Max(a.Left.To(a.Middle), a.Right.To(a.Middle))).DefaultIfEmpty(0).Max();
        var hidden = Enumerable.Range(1, 15).Count(i => ground.Across(i / 16.0) is null);
        return hidden > MostHidden ? new Judgement(false, "Its vein is hidden or bends out of it.", "Take satin stitch.")
            : ground.LengthMm < 2 * ground.WidthMm * Squat ? new Judgement(false, "It has no vein: it is about as wide as long.",
                "Take satin stitch, or brick stitch.")
            : widest * Slant > by.MostFreeMm ? new Judgement(false,
                $"Its stitches would be up to {Say.Length(Math.Round(widest * Slant, 1))} long, and here nothing longer than "
                    + $"{Say.Length(by.MostFreeMm)} may float on the face.", "Take long and short stitch, or make it smaller.")
            : Judgement.Yes;
    }

    /// <summary>Of fifteen places down the vein so many may lie outside the area.</summary>
    private const int MostHidden = 3;

    /// <summary>A shape must be this much longer than wide on average, halves counted.</summary>
    private const double Squat = 0.75;

    /// <summary>A stitch that slants at 45° is so much longer than the way straight across.</summary>
    protected const double Slant = 1.4142;

    /// <summary>The place itself, or the nearest of the area where it lies outside.</summary>
    protected static Pt Inside(AreaGround ground, Pt at) => ground.Covers.Holds(at) ? at : ground.Covers.Nearest(at);

    /// <summary>Places down the vein from the tip, at most a pitch apart: the way across, and how far down the stitch goes.</summary>
    protected static IEnumerable<(Pt Left, Pt Right, Pt Down)> Ribs(AreaGround ground, double pitchMm)
    {
        var steps = Math.Max(2, (int)Math.Ceiling(ground.LengthMm / pitchMm));
        for (var i = 1; i < steps; i++)
        {
            var share = 1 - ((double)i / steps);
            if (ground.Across(share) is not { } across)
            {
                continue;
            }

            var half = Math.Min(across.Left.To(across.Middle), across.Right.To(across.Middle));
            var down = Math.Max(0, share - (half / ground.LengthMm));
            yield return (across.Left, across.Right, Inside(ground, Pt.Lerp(ground.Foot, ground.Tip, down)));
        }
    }
}

/// <summary>From the tip down: each stitch from the edge slants to the vein and a little over it, left and right in turn.</summary>
public sealed class FishboneStitch : VeinStitch
{
    public override StitchInfo Info { get; } = new(
        "fishbone", "fishbone stitch", StitchClass.Fill, 1, 0, _ => LeastWidthMm, StitchInfo.Caps(20, 20, 22, 26, 32),
            StitchInfo.Caps(26, 26, 28, 32, 38), [(double.PositiveInfinity, 2)],
        "leaves and feathers", "round shapes without a vein", StitchInfo.Memory)
    { Trait = new(Feel.Raised, false, true, 2) };

    public override string Because => "Fishbone stitch closes a leaf and gives it its vein in one go.";

    /// <summary>The first stitch runs from the tip down the vein by this share of the leaf (common practice: a third).</summary>
    private const double First = 1.0 / 3;

    protected override void Sew(Sewn.Sewing sewing, AreaGround ground, SewingBy by)
    {
        var vein = ground.Tip - ground.Foot;
        var aside = new Pt(-vein.Y, vein.X) * (by.Spec.BundleMm / 2 / Math.Max(1e-9, ground.LengthMm));
        var first = Math.Min(First * ground.LengthMm, by.MostFreeMm);
        sewing.Straight(ground.Tip.OnGrid(), Pt.Lerp(ground.Tip, ground.Foot, first / ground.LengthMm).OnGrid());
        foreach (var (left, right, down) in Ribs(ground, by.Spec.BundleMm * Slant))
        {
            sewing.Straight(left.OnGrid(), Inside(ground, down + aside).OnGrid());
            sewing.Straight(right.OnGrid(), Inside(ground, down - aside).OnGrid());
        }
    }
}

/// <summary>A V from edge to edge, held down on the vein by a short stitch along it: open leaves, and veins.</summary>
public sealed class FlyStitch : VeinStitch
{
    /// <summary>Spine segments of a quarter of an inch (common practice); less on a small leaf.</summary>
    private const double SpineMm = 6.4;

    public override StitchInfo Info { get; } = new(
        "fly", "fly stitch", StitchClass.Fill, 1, SpineMm, _ => LeastWidthMm, StitchInfo.Caps(20, 20, 22, 26, 32),
            StitchInfo.Caps(26, 26, 28, 32, 38), [(double.PositiveInfinity, 2)],
        "leaves with their veins, quick and open", "shapes that must be closed", StitchInfo.Memory)
    { Trait = new(Feel.Open, true, true, 1) };

    public override string Because => "Fly stitch draws a leaf with its veins and leaves cloth between them.";

    protected override void Sew(Sewn.Sewing sewing, AreaGround ground, SewingBy by)
    {
        var pitch = Math.Min(SpineMm, Math.Max(3 * by.Spec.BundleMm, ground.LengthMm / 6));
        foreach (var (left, right, down) in Ribs(ground, pitch))
        {
            var held = down.OnGrid();
            var tie = Inside(ground, Pt.Lerp(down, ground.Foot, Math.Min(1, Math.Max(Tolerance.DroppedBelowMm, pitch / 2)
                / Math.Max(1e-9, down.To(ground.Foot))))).OnGrid();
            if (held.To(tie) < Tolerance.DroppedBelowMm / 2)
            {
                continue;
            }

            sewing.Stitch(new Move(MoveKind.UpAt, left.OnGrid()), new Move(MoveKind.HoldAt, held),
                new Move(MoveKind.DownAt, right.OnGrid()));
            sewing.Straight(held, tie);
        }
    }
}

/// <summary>One loop from the foot to the tip, held by a short stitch: a petal or a leaf in one go.</summary>
public sealed class DetachedChain : AreaStitch
{
    public override StitchInfo Info { get; } = new(
        "detached-chain", "detached chain", StitchClass.Fill, 2.5, 8, _ => 3, StitchInfo.Caps(20, 20, 22, 26, 32),
            StitchInfo.Caps(26, 26, 28, 32, 38), [(double.PositiveInfinity, 3)],
        "small petals and leaves", "loops that are long enough to catch", StitchInfo.Memory)
    { Trait = new(Feel.Open, true, true, 1) };

    public override string Because => "A detached chain is a whole petal in one stitch.";

    public override bool Directed => false;

    protected override Judgement Fills(AreaGround ground, SewingBy by) => ground.LengthMm <= by.MostFreeMm ? Judgement.Yes
        : new Judgement(false, $"A loop of {Say.Length(Math.Round(ground.LengthMm, 1))} would catch: here nothing longer than "
            + $"{Say.Length(by.MostFreeMm)} may float on the face.", "Take satin stitch, or work its edge.");

    protected override void Sew(Sewn.Sewing sewing, AreaGround ground, SewingBy by)
    {
        var tie = Math.Min(by.Spec.BundleMm, ground.LengthMm / 4);
        var (foot, tip) = (ground.Foot.OnGrid(), Pt.Lerp(ground.Tip, ground.Foot, tie / Math.Max(1e-9, ground.LengthMm)).OnGrid());
        sewing.Stitch(new Move(MoveKind.UpAt, foot), new Move(MoveKind.HoldAt, tip), new Move(MoveKind.DownAt, foot));
        sewing.Straight(tip, ground.Tip.OnGrid());
    }
}
