using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Stitches.InAreas;

/// <summary>
/// One row of slanting, overlapping loops along a stroke, twisted like a rope: each comes up at one edge, is held further on at that edge
/// and goes down at the other. It closes a stroke of middling weight in one go.
/// </summary>
public sealed class RopeStitch : AreaStitch
{
    /// <summary>A stroke of this width is filled by one row, mm: narrower shows no twist, wider lets loops stray (from memory).</summary>
    private const double LeastMm = 1.5;

    private const double MostMm = 6;

    /// <summary>A loop lies along its edge for so many threads (from memory), and slants as much.</summary>
    private const double AdvanceThreads = 1.2;

    public override StitchInfo Info { get; } = new(
        "rope", "rope stitch", StitchClass.Fill, 1, 3, _ => LeastMm, StitchInfo.Caps(18, 18, 22, 26, 32),
            StitchInfo.Caps(24, 24, 28, 34, 42), [(double.PositiveInfinity, 3)],
        "initials of middling weight, stems, ropes", "strokes wider than one row; sharp corners", StitchInfo.Memory)
    { Trait = new(Feel.Raised, true, true, 3) };

    public override string Because => "One row of rope stitch fills a stroke of middling weight, and looks twisted.";

    public override bool Directed => false;

    protected override Judgement Fills(AreaGround ground, SewingBy by)
    {
        var strokes = ground.Limbs.Select(l => l.Stroke).ToArray();
        if (strokes.Length == 0)
        {
            return new Judgement(false, "It has no stroke to follow.", "Take satin stitch in one direction, or brick stitch.");
        }

        var widest = 2 * strokes.Max(s => s.HalfWidths.Max());
        var most = Math.Min(MostMm, by.MostFreeMm);
        return widest > most ? new Judgement(false,
                $"It is up to {Say.Length(Math.Round(widest, 1))} wide, and one row of rope fills {Say.Length(most)} at the most here.",
                "Take satin stitch that turns with the stroke, or rows of chain.")
            : strokes.Sum(s => Polyline.Length(s.Points)) < 2 * widest ? new Judgement(false, "It is too short for a twist to be seen.",
                "Take satin stitch.") : Judgement.Yes;
    }

    protected override void Sew(Sewn.Sewing sewing, AreaGround ground, SewingBy by)
    {
        var limbs = ground.Limbs;
        for (var i = 0; i < limbs.Count; i++)
        {
            sewing.Break();
            Pt? left = null;
            foreach (var rung in TurningSatin.Rungs(ground.Covers, limbs[i], limbs.Take(i).ToArray(), AdvanceThreads * by.Spec.BundleMm))
            {
                if (left is { } from && from.To(rung.Left) > 0.1 && from.To(rung.Left) < by.MostFreeMm)
                {
                    sewing.Stitch(new Move(MoveKind.UpAt, from.OnGrid()), new Move(MoveKind.HoldAt, rung.Left.OnGrid()),
                        new Move(MoveKind.DownAt, rung.Right.OnGrid()));
                }
                else
                {
                    sewing.Break();
                    sewing.Straight(rung.Left.OnGrid(), rung.Right.OnGrid());
                }

                left = rung.Left;
            }
        }
    }
}
