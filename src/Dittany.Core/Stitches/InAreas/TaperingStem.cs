using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Stitches.InAreas;

/// <summary>
/// Stem stitch along a stroke that swells and tapers: all stitches are of one length, each from one edge to the other, so that they slant
/// across where it is wide and lie along it where it is thin (common practice).
/// </summary>
public sealed class TaperingStem : AreaStitch
{
    /// <summary>The length of every stitch, mm, where wear allows it (from memory).</summary>
    private const double LongMm = 5;

    /// <summary>Up to this share of a stitch's length wide; beyond it would stand square across and be satin (from memory).</summary>
    private const double MostAcross = 0.85;

    /// <summary>Places along the stroke are looked at so far apart, mm.</summary>
    private const double LookMm = 0.2;

    /// <summary>Places further apart than this belong to two runs, mm.</summary>
    private const double ApartMm = 1;

    /// <summary>So many stitches fan out at an end (from memory).</summary>
    private const int Fan = 4;

    public override StitchInfo Info { get; } = new(
        "tapering-stem", "tapering stem stitch", StitchClass.Fill, 1, LongMm, _ => 1.6, StitchInfo.Caps(16, 16, 20, 24, 30),
            StitchInfo.Caps(22, 22, 26, 32, 40), [(25, 1), (double.PositiveInfinity, 2)],
        "stems and letters whose strokes swell and taper", "strokes wider than a stitch is long, and round shapes", StitchInfo.Memory)
    { Trait = new(Feel.Raised, true, true, 2) };

    public override string Because => "Stem stitch whose slant follows the stroke closes where it swells and stays fine where it tapers.";

    public override bool Directed => false;

    /// <summary>How far apart stitches of this length begin along a stroke so wide, so that they lie side by side, mm.</summary>
    public static double AdvanceMm(double lengthMm, double wideMm, double threadMm) =>
        Math.Min(lengthMm / 2, threadMm * lengthMm / Math.Max(1e-9, wideMm));

    protected override Judgement Fills(AreaGround ground, SewingBy by)
    {
        var strokes = ground.Limbs.Select(l => l.Stroke).ToArray();
        if (strokes.Length == 0)
        {
            return new Judgement(false, "It has no stroke to follow.", "Take satin stitch in one direction.");
        }

        var (widest, most) = (2 * strokes.Max(s => s.HalfWidths.Max()), MostAcross * LengthMm(by));
        return widest > most ? new Judgement(false,
                $"It is up to {Say.Length(Math.Round(widest, 1))} wide, and slanting stem stitches cover {Say.Length(Math.Round(most, 1))} at the "
                    + $"most here.", "Take satin stitch that turns with the stroke.")
            : strokes.Sum(s => Polyline.Length(s.Points)) < 2 * LengthMm(by) ? new Judgement(false,
                "It is too short for stem stitches to follow each other.", "Take satin stitch.") : Judgement.Yes;
    }

    private static double LengthMm(SewingBy by) => Math.Min(LongMm, by.MostFreeMm);

    protected override void Sew(Sewn.Sewing sewing, AreaGround ground, SewingBy by)
    {
        var limbs = ground.Limbs;
        for (var i = 0; i < limbs.Count; i++)
        {
            foreach (var run in Runs(TurningSatin.Rungs(ground.Covers, limbs[i], limbs.Take(i).ToArray(), LookMm)))
            {
                sewing.Break();
                Along(sewing, run, LengthMm(by));
            }
        }
    }

    private static void Along(Sewn.Sewing sewing, IReadOnlyList<(Pt Left, Pt Right)> rungs, double length)
    {
        var along = new double[rungs.Count];
        for (var i = 1; i < rungs.Count; i++)
        {
            along[i] = along[i - 1] + Middle(rungs[i - 1]).To(Middle(rungs[i]));
        }

        int At(double mm) => Array.FindIndex(along, a => a >= mm) is >= 0 and var found ? found : rungs.Count - 1;

        // Before its beginning and past its end the stitches fan from one hole, so that both corners close.
        var least = Reach(rungs[0]);
        for (var from = -least; from < along[^1] - (length / 4);)
        {
            var up = rungs[At(from)];
            var down = rungs[At(Math.Max(from, 0) + (from < 0 ? least + from : Reach(up)))];
            if (up.Left.To(down.Right) >= Math.Min(1, length / 4))
            {
                sewing.Straight(up.Left.OnGrid(), down.Right.OnGrid(), side: 1);
            }

            // A hole takes few stitches, so the fans are open.
            var fans = from < 0 || Math.Max(from, 0) + Reach(up) > along[^1];
            from += Math.Max(fans ? least / Fan : 0, AdvanceMm(length, up.Left.To(up.Right), sewing.BundleMm));
        }

        double Reach((Pt Left, Pt Right) rung) =>
            Math.Sqrt(Math.Max(length * length / 16, (length * length) - Math.Pow(rung.Left.To(rung.Right), 2)));
    }

    private static Pt Middle((Pt Left, Pt Right) rung) => Pt.Lerp(rung.Left, rung.Right, 0.5);

    private static IEnumerable<IReadOnlyList<(Pt Left, Pt Right)>> Runs(IEnumerable<(Pt Left, Pt Right)> rungs)
    {
        var run = new List<(Pt Left, Pt Right)>();
        foreach (var rung in rungs)
        {
            if (run.Count > 0 && Middle(run[^1]).To(Middle(rung)) > ApartMm)
            {
                yield return run;
                run = [];
            }

            run.Add(rung);
        }

        if (run.Count > 0)
        {
            yield return run;
        }
    }
}
