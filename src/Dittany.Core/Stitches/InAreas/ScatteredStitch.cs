using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using Dittany.Core.Stitches.AtPoints;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Stitches.InAreas;

/// <summary>Single stitches at places inside an area, worked in rows to and fro, so that the way from each to the next is short.</summary>
public abstract class ScatteredStitch : AreaStitch
{
    public override bool Directed => false;

    /// <summary>How far a place keeps from the edge, and from the next place, mm.</summary>
    protected abstract (double EdgeMm, double ApartMm) Room(SewingBy by);

    /// <summary>How far a place may be moved by chance, in distances of places.</summary>
    protected virtual double Loose => 0;

    protected abstract void At(Sewn.Sewing sewing, Pt at, SewingBy by, SeededRandom chance);

    protected override Judgement Fills(AreaGround ground, SewingBy by) => Inside(ground, by).IsEmpty
        ? new Judgement(false, "There is no room inside its edge for a single one.", "Take fewer strands, or make it larger.")
        : Judgement.Yes;

    private Region Inside(AreaGround ground, SewingBy by) => ground.Covers.Offset(-Room(by).EdgeMm);

    protected override void Sew(Sewn.Sewing sewing, AreaGround ground, SewingBy by)
    {
        var (inside, (_, apart), chance) = (Inside(ground, by), Room(by), new SeededRandom(by.Seed));
        if (inside.IsEmpty)
        {
            return;
        }

        // Packed as circles lie closest: rows √3/2 apart, every second one moved by half.
        var (least, most) = inside.Box;
        var rows = (int)((most.Y - least.Y) / (apart * Math.Sqrt(3) / 2)) + 1;
        var (lift, any) = ((most.Y - least.Y - ((rows - 1) * apart * Math.Sqrt(3) / 2)) / 2, false);
        for (var row = 0; row < rows; row++)
        {
            var y = least.Y + lift + (row * apart * Math.Sqrt(3) / 2);
            var from = least.X + (row % 2 == 1 ? apart / 2 : 0);
            var places = Enumerable.Range(0, (int)((most.X - from) / apart) + 1).Select(i => new Pt(from + (i * apart), y))
                .Select(p => Loose == 0 ? p : p + new Pt(chance.Between(-Loose, Loose) * apart, chance.Between(-Loose, Loose) * apart))
                .Where(inside.Holds).ToArray();
            foreach (var place in row % 2 == 0 ? places : places.Reverse())
            {
                sewing.BreakBefore(place, Math.Max(MostHopMm, 2 * apart));
                At(sewing, place.OnGrid(), by, chance);
                any = true;
            }
        }

        if (!any)
        {
            At(sewing, inside.Nearest(Pt.Lerp(least, most, 0.5)).OnGrid(), by, chance);
        }
    }
}

/// <summary>Short straights strewn in all directions, with cloth between them.</summary>
public sealed class SeedStitch : ScatteredStitch
{
    private const double LongMm = 2;

    public override StitchInfo Info { get; } = new(
        "seed", "seed stitch", StitchClass.Fill, 1, LongMm, _ => LongMm / 2, StitchInfo.Caps(20, 20, 22, 26, 32),
            StitchInfo.Caps(26, 26, 28, 32, 38), [(double.PositiveInfinity, 2)],
        "a light texture, ground behind other stitches", "shapes that must be read by their colour alone", StitchInfo.Memory)
    { Trait = new(Feel.Open, true, true, 1) };

    public override string Because => "Seeds shade an area lightly, in any shape, and take little thread.";

    public override FillColours Colours => FillColours.Mixed;

    public override bool EdgeToo => true;

    protected override double Loose => 0.22;

    protected override (double EdgeMm, double ApartMm) Room(SewingBy by) => (LongMm / 2, LongMm + (1.6 * by.Spec.BundleMm));

    protected override void At(Sewn.Sewing sewing, Pt at, SewingBy by, SeededRandom chance)
    {
        var turn = chance.Between(0, Math.PI);
        var half = new Pt(Math.Cos(turn), Math.Sin(turn)) * (LongMm / 2 * chance.Between(0.8, 1));
        sewing.Straight((at - half).OnGrid(), (at + half).OnGrid());
    }
}

/// <summary>French knots packed side by side; those at the edge keep half a knot inside it, or the shape swells.</summary>
public class PackedKnots : ScatteredStitch
{
    public override StitchInfo Info { get; } = new(
        "french-knot", "French knots side by side", StitchClass.Fill, 2.6, 0, _ => 0, StitchInfo.Caps(20, 20, 22, 26, 34),
            StitchInfo.Caps(26, 26, 28, 34, 42), [(double.PositiveInfinity, 3)],
        "flower centres, curls, wool", "large areas: each knot is slow", StitchInfo.Memory)
    { Trait = new(Feel.Raised, true, true, 2) };

    public override string Because => "Knots side by side stand up and are dense: for centres and curls.";

    public override FillColours Colours => FillColours.Mixed;

    protected override double WidthMm(SewingBy by) => Knots.AcrossMm(by.Spec.Pair.Size, by.Spec.Wraps);

    protected override (double EdgeMm, double ApartMm) Room(SewingBy by)
    {
        var across = Knots.AcrossMm(by.Spec.Pair.Size, by.Spec.Wraps);
        return (across / 2, across);
    }

    protected override void At(Sewn.Sewing sewing, Pt at, SewingBy by, SeededRandom chance) => sewing.Stitch(new Move(MoveKind.UpAt, at),
        new Move(MoveKind.Wrap, at, by.Spec.Wraps), new Move(MoveKind.DownAt, at));
}

/// <summary>
/// Colonial knots packed side by side: the thread goes round the needle in a figure of eight, so each is a little rounder and firmer than a
/// French knot of two wraps.
/// </summary>
public sealed class PackedColonialKnots : PackedKnots
{
    public override StitchInfo Info { get; } = new(
        "colonial-knot", "colonial knots side by side", StitchClass.Fill, 2.6, 0, _ => 0, StitchInfo.Caps(20, 20, 22, 26, 34),
            StitchInfo.Caps(26, 26, 28, 34, 42), [(double.PositiveInfinity, 3)],
        "centres and berries that must not slip through", "large areas: each knot is slow", StitchInfo.Memory)
    { Trait = new(Feel.Raised, true, true, 3) };

    public override string Because => "Colonial knots stand firm and round, and do not slip through loose cloth.";

    /// <summary>Round one way and round the other.</summary>
    private const int Turns = 2;

    protected override double WidthMm(SewingBy by) => Knots.AcrossMm(by.Spec.Pair.Size, Turns);

    protected override (double EdgeMm, double ApartMm) Room(SewingBy by) => (WidthMm(by) / 2, WidthMm(by));

    protected override void At(Sewn.Sewing sewing, Pt at, SewingBy by, SeededRandom chance) => sewing.Stitch(new Move(MoveKind.UpAt, at),
        new Move(MoveKind.Wrap, at, 1, 1), new Move(MoveKind.Wrap, at, 1, -1), new Move(MoveKind.DownAt, at));
}
