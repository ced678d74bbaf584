using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Stitches.InAreas;

/// <summary>Straight stitches side by side from edge to edge, always in the same way, so that the back is as full as the face.</summary>
public class SatinStitch : AreaStitch
{
    public override StitchInfo Info { get; } = new(
        "satin", "satin stitch", StitchClass.Fill, 1, 0, _ => LeastWidthMm, StitchInfo.Caps(14, 14, 16, 18, 24),
            StitchInfo.Caps(18, 18, 20, 24, 30), [(double.PositiveInfinity, 2)],
        "small smooth shapes, petals and thick strokes", "long stitches catch; edges show every uneven one", StitchInfo.Memory)
    { Trait = new(Feel.Raised, false, false, 3) };

    public override string Because => "Satin stitch lies smoothest where an area is small and narrow.";

    protected override double OwnDirection(AreaGround ground) => ground.Along + (Math.PI / 2);

    public override bool FollowsField => true;

    protected override Judgement Fills(AreaGround ground, SewingBy by)
    {
        var longest = (Ways(ground, by, 4 * PitchMm(by))?.Select(w => w[0].To(w[^1]))
            ?? ground.Rungs(Direction(ground, by), 4 * PitchMm(by)).Select(r => r.LengthMm)).DefaultIfEmpty(0).Max();
        return longest <= by.MostFreeMm + 1e-9 ? Judgement.Yes : new Judgement(false,
            $"Its stitches would be up to {Say.Length(Math.Round(longest, 1))} long, and here nothing longer than "
                + $"{Say.Length(by.MostFreeMm)} may float on the face.", "Take long and short stitch, or brick stitch.");
    }

    protected override void Sew(Sewn.Sewing sewing, AreaGround ground, SewingBy by)
    {
        if (Ways(ground, by, PitchMm(by)) is { } ways)
        {
            LayAlong(sewing, ways, by);
            return;
        }

        Lay(sewing, ground.Covers, Direction(ground, by), by);
    }

    /// <summary>Threads side by side, each from one end of a way to the other.</summary>
    private static void LayAlong(Sewn.Sewing sewing, IReadOnlyList<IReadOnlyList<Pt>> ways, SewingBy by)
    {
        foreach (var way in ways.Where(w => w[0].To(w[^1]) > Tiny))
        {
            sewing.BreakBefore(way[0], Math.Max(MostHopMm, 1.25 * by.MostFreeMm));
            sewing.Straight(way[0].OnGrid(), way[^1].OnGrid());
        }
    }

    /// <summary>Threads side by side over a region, from edge to edge, always the same way.</summary>
    private protected static void Lay(Sewn.Sewing sewing, Region region, double radians, SewingBy by)
    {
        foreach (var chain in AreaGround.Chains(AreaGround.Rungs(region, radians, PitchMm(by)), radians))
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

/// <summary>
/// Its edge is worked first, and satin lies just inside it: a crisp line round a shape whose ends would show every uneven one.
/// </summary>
public sealed class BorderedSatin : SatinStitch
{
    public override StitchInfo Info { get; } = new(
        "bordered-satin", "satin stitch with a border", StitchClass.Fill, 1, 0, _ => LeastWidthMm, StitchInfo.Caps(18, 18, 20, 24, 30),
            StitchInfo.Caps(22, 22, 26, 30, 36), [(double.PositiveInfinity, 2)],
        "shapes that must have a crisp edge, beginners", "small shapes, in which the border leaves no room", StitchInfo.Memory)
    { Trait = new(Feel.Raised, false, false, 2) };

    public override string Because => "A border round satin hides every uneven end, and keeps the edge crisp.";

    public override bool EdgeToo => true;

    public override bool FollowsField => false;

    protected override void Sew(Sewn.Sewing sewing, AreaGround ground, SewingBy by)
    {
        var inside = ground.Covers.Offset(-by.Spec.BundleMm / 2);
        Lay(sewing, inside.IsEmpty ? ground.Covers : inside, Direction(ground, by), by);
    }
}

/// <summary>
/// A layer crosswise under it lifts the satin: the direction under it decides how high. The upper threads reach just over the edge, so that
/// nothing of the padding shows.
/// </summary>
public sealed class PaddedSatin : SatinStitch
{
    /// <summary>Threads of the padding lie so far apart, in threads; each stitch of it is so long at the most, mm (from memory).</summary>
    private const double Loose = 1.5;

    private const double PaddingMm = 5;

    public override StitchInfo Info { get; } = new(
        "padded-satin", "padded satin stitch", StitchClass.Fill, 1, 0, _ => LeastWidthMm, StitchInfo.Caps(16, 16, 18, 22, 28),
            StitchInfo.Caps(20, 20, 22, 28, 34), [(double.PositiveInfinity, 2)],
        "initials and small shapes that are to stand up", "things that must dry flat; it takes twice the thread", StitchInfo.Memory)
    { Trait = new(Feel.Raised, false, false, 3) };

    public override string Because => "A layer crosswise under satin makes it stand up.";

    public override bool FollowsField => false;

    public override double OverMm(SewingBy by) => by.Spec.BundleMm / 2;

    protected override void Sew(Sewn.Sewing sewing, AreaGround ground, SewingBy by)
    {
        var radians = Direction(ground, by);
        var (inside, crosswise, most) = (ground.Covers.Offset(-by.Spec.BundleMm / 2), radians + (Math.PI / 2),
            Math.Min(PaddingMm, by.MostFreeMm));
        foreach (var chain in AreaGround.Chains(AreaGround.Rungs(inside, crosswise, Loose * PitchMm(by)), crosswise))
        {
            sewing.Break();
            var up = true;
            foreach (var rung in chain.Where(r => r.LengthMm > PaddingMm / 5))
            {
                var (from, to) = up ? (rung.From, rung.To) : (rung.To, rung.From);
                var count = (int)Math.Ceiling(rung.LengthMm / most);
                for (var i = 0; i < count; i++)
                {
                    sewing.Straight(Pt.Lerp(from, to, (double)i / count).OnGrid(), Pt.Lerp(from, to, (i + 1.0) / count).OnGrid());
                }

                up = !up;
            }
        }

        sewing.Break();
        Lay(sewing, ground.Covers.Offset(OverMm(by)), radians, by);
    }
}
