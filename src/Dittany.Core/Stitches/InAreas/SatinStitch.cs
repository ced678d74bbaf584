using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Stitches.InAreas;

/// <summary>Straight stitches side by side from edge to edge, always in the same way, so that the back is as full as the face.</summary>
public sealed class SatinStitch : AreaStitch
{
    public override StitchInfo Info { get; } = new(
        "satin", "satin stitch", StitchClass.Fill, 1, 0, _ => LeastWidthMm, StitchInfo.Caps(14, 14, 16, 18, 24),
            StitchInfo.Caps(18, 18, 20, 24, 30), [(double.PositiveInfinity, 2)],
        "small smooth shapes, petals and thick strokes", "long stitches catch; edges show every uneven one", StitchInfo.Memory);

    public override string Because => "Satin stitch lies smoothest where an area is small and narrow.";

    protected override double OwnDirection(AreaGround ground) => ground.Along + (Math.PI / 2);

    protected override Judgement Fills(AreaGround ground, SewingBy by)
    {
        var longest = ground.Rungs(Direction(ground, by), 4 * PitchMm(by)).Select(r => r.LengthMm).DefaultIfEmpty(0).Max();
        return longest <= by.MostFreeMm + 1e-9 ? Judgement.Yes : new Judgement(false,
            $"Its stitches would be up to {Say.Length(Math.Round(longest, 1))} long, and here nothing longer than "
                + $"{Say.Length(by.MostFreeMm)} may lie free.", "Take long and short stitch, or brick stitch.");
    }

    protected override void Sew(Sewn.Sewing sewing, AreaGround ground, SewingBy by)
    {
        var radians = Direction(ground, by);
        foreach (var chain in AreaGround.Chains(ground.Rungs(radians, PitchMm(by)), radians))
        {
            sewing.Break();
            foreach (var rung in chain.Where(r => r.LengthMm > Tiny))
            {
                sewing.Straight(rung.From.OnGrid(), rung.To.OnGrid());
            }
        }
    }

    /// <summary>Shorter than this a stitch is a prick, mm (from memory).</summary>
    private const double Tiny = 0.5;
}
