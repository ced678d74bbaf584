using Dittany.Core.Geometry;
using Dittany.Core.Stitches.Needle;
using Dittany.Core.Stitches.OnLines;

namespace Dittany.Core.Stitches.InAreas;

/// <summary>Rows side by side, each along the edge and further in than the one before it.</summary>
public abstract class RowsInward : AreaStitch
{
    private const int MostRows = 200;

    /// <summary>A ring shorter than so many widths is a dot and no row.</summary>
    private const double LeastRows = 4;

    public override bool Directed => false;

    /// <summary>How wide one row lies, mm.</summary>
    protected abstract double RowMm(SewingBy by);

    /// <summary>One row along a closed line.</summary>
    protected abstract void Row(Sewn.Sewing sewing, Stroke line, SewingBy by);

    protected override Judgement Fills(AreaGround ground, SewingBy by) => Rows(ground, by).Any() ? Judgement.Yes
        : new Judgement(false, "There is no room for one row inside its edge.", "Take fewer strands, or satin stitch.");

    protected override void Sew(Sewn.Sewing sewing, AreaGround ground, SewingBy by)
    {
        foreach (var ring in Rows(ground, by))
        {
            Row(sewing, Stroke.Ring(ring), by);
        }
    }

    private IEnumerable<IReadOnlyList<Pt>> Rows(AreaGround ground, SewingBy by)
    {
        var wide = RowMm(by);
        for (var k = 0; k < MostRows; k++)
        {
            var inside = ground.Covers.OffsetCoarsely(-wide * (k + 0.5));
            var rings = inside.Rings.Where(r => Polyline.Length([.. r, r[0]]) >= LeastRows * wide).ToArray();
            if (rings.Length == 0)
            {
                yield break;
            }

            foreach (var ring in rings)
            {
                yield return Polyline.Simplified([.. ring, ring[0]], 0.02).SkipLast(1).ToArray();
            }
        }
    }
}

/// <summary>Rows of chain side by side, from the edge inward.</summary>
public sealed class ChainRows : RowsInward
{
    private static readonly IStitch Chain = new ChainStitch();

    public override StitchInfo Info { get; } = new(
        "chain-rows", "rows of chain stitch", StitchClass.Fill, 2.5, Chain.Info.UsualLengthMm, Chain.Info.Shortest,
            StitchInfo.Caps(24, 24, 28, 32, 40), StitchInfo.Caps(30, 30, 34, 40, 48), [(double.PositiveInfinity, 2)],
        "large areas, quick and firm in the wash", "small shapes: a row needs its width", StitchInfo.Memory)
    { Trait = new(Feel.Raised, true, true, 1) };

    public override string Because => "Rows of chain fill a large area quickly, and wear well.";

    protected override double RowMm(SewingBy by) => Chain.LineWidthMm(by.Spec.Pair.Size);

    protected override void Row(Sewn.Sewing sewing, Stroke line, SewingBy by)
    {
        var spec = StitchSpec.For(new Pair(Chain, by.Spec.Pair.Size), by.Spec.Schools);
        if (Chain.Sew(new Designs.Shape(string.Empty, Line: line), new SewingBy(spec, Budget: by.Budget)) is not { } row)
        {
            return;
        }

        sewing.BreakBefore(row.Stitches[0].FromMm, MostHopMm);
        foreach (var stitch in row.Stitches)
        {
            sewing.Stitch(stitch.Moves());
        }
    }
}

/// <summary>Rows of links with a short bar between each and the next, from the edge inward: open, and its pattern is seen.</summary>
public sealed class LinkedChainRows : RowsInward
{
    /// <summary>From link to link, mm, and the share of it that is bar (from memory).</summary>
    private const double LinkMm = 4.5;

    private const double Bar = 0.3;

    public override StitchInfo Info { get; } = new(
        "linked-chain", "rows of linked chain", StitchClass.Fill, 2.5, LinkMm, _ => 3, StitchInfo.Caps(28, 28, 32, 36, 44),
            StitchInfo.Caps(34, 34, 38, 44, 52), [(double.PositiveInfinity, 2)],
        "wide strokes in which the pattern can be seen", "narrow strokes, and shapes that must be closed", StitchInfo.Memory)
    { Trait = new(Feel.Open, true, true, 2) };

    public override string Because => "Links with bars between them make an open pattern, where a stroke is wide enough for it to be seen.";

    protected override double RowMm(SewingBy by) => Math.Round(Info.WidthFactor * by.Spec.BundleMm, 3);

    protected override void Row(Sewn.Sewing sewing, Stroke line, SewingBy by)
    {
        var ring = line.Flatten(0.05);
        var length = Polyline.Length(ring);
        var most = Math.Min(LinkMm, by.MostFreeMm);
        var links = Math.Max(2, (int)Math.Round(length / most));
        for (var i = 0; i < links; i++)
        {
            Pt On(double link) => Polyline.At(ring, length * link / links).OnGrid();
            var (at, tip, next) = (On(i), On(i + 1 - Bar), On(i + 1));
            sewing.BreakBefore(at, MostHopMm);
            sewing.Stitch(new Move(MoveKind.UpAt, at), new Move(MoveKind.HoldAt, tip), new Move(MoveKind.DownAt, at));
            sewing.Straight(tip, next);
        }
    }
}

/// <summary>Long threads laid crosswise over the area, tied down at every crossing.</summary>
public sealed class LaidLattice : AreaStitch
{
    /// <summary>Threads of a lattice lie so far apart, mm (from memory).</summary>
    private const double MeshMm = 4;

    /// <summary>A tie over a crossing is so long, in threads (from memory).</summary>
    private const double TieThreads = 1.6;

    public override StitchInfo Info { get; } = new(
        "lattice", "laid lattice", StitchClass.Fill, 1, MeshMm, _ => MeshMm, StitchInfo.Caps(30, 30, 32, 36, 44),
            StitchInfo.Caps(36, 36, 40, 44, 52), [(double.PositiveInfinity, 2)],
        "wide areas, light and patterned", "narrow ones, in which no mesh is seen", StitchInfo.Memory)
    { Trait = new(Feel.Open, false, false, 2) };

    public override string Because => "A lattice spans a wide area with little thread, and its pattern is seen.";

    public override bool HeldDown => true;

    public override bool EdgeToo => true;

    protected override double OwnDirection(AreaGround ground) => ground.Along + (Math.PI / 4);

    protected override Judgement Fills(AreaGround ground, SewingBy by) => ground.WidthMm < 3 * MeshMm
        ? new Judgement(false, "It is too narrow for the mesh of a lattice to be seen.", "Take satin stitch, or seeds.")
        : MeshMm > by.MostFreeMm ? new Judgement(false, "Threads laid so far would catch.", "Take brick stitch.") : Judgement.Yes;

    protected override void Sew(Sewn.Sewing sewing, AreaGround ground, SewingBy by)
    {
        var radians = Direction(ground, by);
        var (one, other) = (ground.Rungs(radians, MeshMm).Where(Long).ToArray(),
            ground.Rungs(radians + (Math.PI / 2), MeshMm).Where(Long).ToArray());
        foreach (var laid in new[] { one, other })
        {
            var up = true;
            foreach (var rung in laid)
            {
                var (from, to) = up ? (rung.From, rung.To) : (rung.To, rung.From);
                sewing.BreakBefore(from, 2 * MeshMm);
                sewing.Straight(from.OnGrid(), to.OnGrid());
                up = !up;
            }
        }

        var half = new Pt(Math.Cos(radians + (Math.PI / 4)), Math.Sin(radians + (Math.PI / 4))) * (TieThreads * by.Spec.BundleMm / 2);
        foreach (var rung in one)
        {
            // Hard by the edge a tie would reach over it, and the edge itself holds the threads there.
            var crossings = other.Select(o => Polyline.CrossedAt(rung.From, rung.To, o.From, o.To))
                .OfType<double>().Select(share => Pt.Lerp(rung.From, rung.To, share)).Where(p => ground.Covers.Holds(p - half)
                && ground.Covers.Holds(p + half)).OrderBy(p => p.To(rung.From)).ToArray();
            foreach (var at in rung.Row % 2 == 0 ? crossings : crossings.Reverse())
            {
                sewing.BreakBefore(at - half, 2 * MeshMm);
                sewing.Straight((at - half).OnGrid(), (at + half).OnGrid());
            }
        }
    }

    private static bool Long(Rung rung) => rung.LengthMm >= MeshMm / 2;
}
