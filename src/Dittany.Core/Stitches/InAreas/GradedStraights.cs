using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Stitches.InAreas;

/// <summary>
/// A petal of a few straights: the middle one from end to end, each neighbour a little lower and a little shorter, those at the sides stop
/// short of the centre.
/// </summary>
public sealed class GradedStraights : AreaStitch
{
    /// <summary>
    /// They lie so far apart, in threads; each stops short by this share of its length more than the one before (from memory).
    /// </summary>
    private const double Apart = 1.15;

    private const double Shorter = 0.1;

    private const double MostShort = 0.45;

    public override StitchInfo Info { get; } = new(
        "graded-straights", "graded straight stitches", StitchClass.Fill, 1, 0, _ => LeastWidthMm, StitchInfo.Caps(20, 20, 22, 26, 32),
            StitchInfo.Caps(26, 26, 28, 32, 38), [(double.PositiveInfinity, 3)],
        "small petals and wild flowers, quick and light", "petals longer than threads may float", StitchInfo.Memory)
    { Trait = new(Feel.Flat, false, false, 1) };

    public override string Because => "A petal of a few straights is quick, and its middle one is the longest.";

    protected override Judgement Fills(AreaGround ground, SewingBy by)
    {
        var longest = ground.Rungs(Direction(ground, by), Apart * PitchMm(by)).Select(r => r.LengthMm).DefaultIfEmpty(0).Max();
        return longest <= by.MostFreeMm + 1e-9 ? Judgement.Yes : new Judgement(false,
            $"Its stitches would be up to {Say.Length(Math.Round(longest, 1))} long, and here nothing longer than "
                + $"{Say.Length(by.MostFreeMm)} may float on the face.", "Take long and short stitch, or make it smaller.");
    }

    protected override void Sew(Sewn.Sewing sewing, AreaGround ground, SewingBy by)
    {
        var rungs = ground.Rungs(Direction(ground, by), Apart * PitchMm(by)).Where(r => r.LengthMm > 0.5).ToArray();
        var middle = rungs.Select(r => (double)r.Row).DefaultIfEmpty(0).Average();
        foreach (var rung in rungs)
        {
            var (foot, tip) = rung.From.To(ground.Foot) <= rung.To.To(ground.Foot) ? (rung.From, rung.To) : (rung.To, rung.From);
            var short_ = Math.Min(MostShort, Shorter * Math.Max(0, Math.Abs(rung.Row - middle) - 0.5));
            sewing.BreakBefore(tip, 2 * Math.Max(MostHopMm, by.MostFreeMm));
            sewing.Straight(tip.OnGrid(), Pt.Lerp(foot, tip, short_).OnGrid());
        }
    }
}
