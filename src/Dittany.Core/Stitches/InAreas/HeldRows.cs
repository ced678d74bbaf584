using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Stitches.InAreas;

/// <summary>Threads laid side by side from edge to edge, each tied down by short stitches across it; ties stand as bricks do.</summary>
public sealed class CouchedRows : AreaStitch
{
    /// <summary>From tie to tie, mm, where wear allows it; a tie is so long, in threads (from memory).</summary>
    private const double TieMm = 5;

    private const double TieThreads = 1.4;

    public override StitchInfo Info { get; } = new(
        "couched-rows", "couched rows", StitchClass.Fill, 1, TieMm, _ => LeastWidthMm, StitchInfo.Caps(24, 24, 26, 30, 36),
            StitchInfo.Caps(30, 30, 32, 38, 44), [(double.PositiveInfinity, 2)],
        "wide areas that are to be closed and patterned by their ties", "shapes with many small corners", StitchInfo.Memory)
    { Trait = new(Feel.Raised, false, false, 2) };

    public override string Because => "Laid threads close a wide area, and their ties make a pattern.";

    public override bool HeldDown => true;

    protected override Judgement Fills(AreaGround ground, SewingBy by) => Judgement.Yes;

    protected override void Sew(Sewn.Sewing sewing, AreaGround ground, SewingBy by)
    {
        var radians = Direction(ground, by);
        var across = new Pt(-Math.Sin(radians), Math.Cos(radians)) * (TieThreads * by.Spec.BundleMm / 2);
        var apart = Math.Min(TieMm, by.MostFreeMm);
        foreach (var chain in AreaGround.Chains(ground.Rungs(radians, PitchMm(by)), radians))
        {
            sewing.Break();
            var up = true;
            foreach (var rung in chain.Where(r => r.LengthMm >= LeastMm))
            {
                var (from, to) = up ? (rung.From, rung.To) : (rung.To, rung.From);
                sewing.BreakBefore(from, MostHopMm);
                sewing.Straight(from.OnGrid(), to.OnGrid());

                // Worked on the way back, so that the needle is where the next thread begins; half a step further in every second row.
                var first = rung.Row % 2 == 0 ? apart / 2 : apart;
                var ties = Enumerable.Range(0, (int)Math.Max(0, Math.Ceiling((rung.LengthMm - first) / apart))).Select(i =>
                    rung.From + ((rung.To - rung.From) * ((first + (i * apart)) / rung.LengthMm))).ToArray();
                foreach (var at in up ? ties.Reverse() : ties)
                {
                    var (over, under) = (at - (across * Reach(at, -1)), at + (across * Reach(at, 1)));
                    if (over.To(under) >= LeastMm)
                    {
                        sewing.BreakBefore(over, 2 * TieMm);
                        sewing.Straight(over.OnGrid(), under.OnGrid());
                    }
                }

                up = sewing.Last is { } last && last.To(rung.From) <= last.To(rung.To);
            }
        }

        // By the edge a tie ends at it.
        double Reach(Pt at, int side) => Shares.FirstOrDefault(share => ground.Covers.Holds(at + (across * (side * share))), 0);
    }

    private static readonly double[] Shares = [1, 0.85, 0.7, 0.5, 0.3];

    /// <summary>Shorter than this a stitch is a prick, mm (from memory).</summary>
    private const double LeastMm = 0.5;
}

/// <summary>Threads laid one way and woven across the other way, over one and under the next, into the cloth at the edges alone.</summary>
public sealed class WeavingStitch : AreaStitch
{
    /// <summary>Laid threads stand so far apart, in threads, that one goes between them (from memory).</summary>
    private const double Apart = 2;

    public override StitchInfo Info { get; } = new(
        "weaving", "weaving", StitchClass.Fill, 1, 0, _ => LeastWidthMm, StitchInfo.Caps(30, 30, 32, 36, 44),
            StitchInfo.Caps(36, 36, 40, 44, 52), [(double.PositiveInfinity, 2)],
        "patches, baskets, blocky shapes", "small and curvy shapes; what is washed hard", StitchInfo.Memory)
    { Trait = new(Feel.Raised, false, false, 2) };

    public override string Because => "Woven threads look like cloth, and hold each other down.";

    public override bool HeldDown => true;

    protected override Judgement Fills(AreaGround ground, SewingBy by) => ground.WidthMm < LeastThreads * by.Spec.BundleMm
        ? new Judgement(false, "It is too narrow for weaving to be seen.", "Take satin stitch, or fewer strands.")
        : by.MostFreeMm < FreeMm ? new Judgement(false, "Woven threads are held by each other alone, and here a finger could lift them.",
            "Take brick stitch.") : Judgement.Yes;

    private const double LeastThreads = 9;

    /// <summary>Where nothing longer than this may lie free, weaving is too loose, mm (from memory).</summary>
    private const double FreeMm = 5;

    protected override void Sew(Sewn.Sewing sewing, AreaGround ground, SewingBy by)
    {
        var radians = Direction(ground, by);
        var pitch = Apart * PitchMm(by);
        var laid = ground.Rungs(radians, pitch).Where(r => r.LengthMm > LeastWidthMm).ToArray();
        var up = true;
        foreach (var rung in laid)
        {
            var (from, to) = up ? (rung.From, rung.To) : (rung.To, rung.From);
            sewing.BreakBefore(from, 2 * MostHopMm);
            sewing.Straight(from.OnGrid(), to.OnGrid());
            up = !up;
        }

        sewing.Break();
        foreach (var row in ground.Rungs(radians + (Math.PI / 2), PitchMm(by)).Where(r => r.LengthMm > LeastWidthMm))
        {
            var (from, to) = row.Row % 2 == 0 ? (row.From, row.To) : (row.To, row.From);
            sewing.BreakBefore(from, 2 * MostHopMm);
            Weave(sewing, from, to, laid, row.Row, by.Spec.BundleMm);
        }
    }

    /// <summary>One row: up at its edge, under every second laid thread, down at the other edge.</summary>
    private static void Weave(Sewn.Sewing sewing, Pt from, Pt to, IReadOnlyList<Rung> laid, int row, double threadMm)
    {
        var way = (to - from) * (1 / from.To(to));
        var unders = laid.Where(l => (l.Row + row) % 2 == 0).Select(l => Polyline.CrossedAt(from, to, l.From, l.To) * from.To(to))
            .OfType<double>().Order()
            .Where(d => d > threadMm && d < from.To(to) - threadMm).ToArray();
        if (unders.Length == 0)
        {
            sewing.Straight(from.OnGrid(), to.OnGrid());
            return;
        }

        var half = threadMm * 0.6;
        sewing.Stitch(new Move(MoveKind.UpAt, from.OnGrid()), new Move(MoveKind.SlideUnder, (from + (way * (unders[0] - half))).OnGrid()));
        for (var i = 0; i < unders.Length; i++)
        {
            var out_ = new Move(MoveKind.SlideUnder, (from + (way * (unders[i] + half))).OnGrid());
            sewing.Stitch(out_, i + 1 < unders.Length
                ? new Move(MoveKind.SlideUnder, (from + (way * Math.Max(unders[i] + half, unders[i + 1] - half))).OnGrid())
                : new Move(MoveKind.DownAt, to.OnGrid()));
        }
    }
}
