using Dittany.Core.Designs;
using Dittany.Core.Geometry;
using Dittany.Core.Measures;

namespace Dittany.Core.Stitches.InAreas;

/// <summary>
/// A fill in rows parted between colours, from the foot of the shape to its tip; where two meet they reach into each other.
/// </summary>
public static class Shading
{
    /// <summary>Stitches within this share of the way round a border may be of either colour (from memory).</summary>
    private const double MeltsWithin = 0.09;

    /// <summary>Which stitches are of which colour, in working order; every stitch is of one. There may be colours without any.</summary>
    public static IReadOnlyList<IReadOnlyList<int>> Parted(Placed placed, Area area, int colours, int seed)
    {
        var ground = AreaGround.Of(area);
        var way = ground.LengthMm > 0 ? (ground.Tip - ground.Foot) * (1 / ground.LengthMm) : new Pt(0, -1);
        var at = placed.Stitches.Select(s => Pt.Dot(Pt.Lerp(s.FromMm, s.ToMm, 0.5) - ground.Foot, way)).ToArray();
        var (least, most) = (at.Min(), at.Max());
        var chance = new SeededRandom(seed);
        var of = at.Select(a => (a - least) / Math.Max(1e-9, most - least)).Select(share =>
            Math.Clamp((int)((share + chance.Between(-MeltsWithin, MeltsWithin)) * colours), 0, colours - 1)).ToArray();
        return Enumerable.Range(0, colours).Select(c => (IReadOnlyList<int>)Enumerable.Range(0, of.Length).Where(i => of[i] == c).ToArray())
            .ToArray();
    }
}
