using Dittany.Core.Designs;
using Dittany.Core.Geometry;
using Dittany.Core.Measures;

namespace Dittany.Core.Stitches.InAreas;

/// <summary>
/// A fill parted between colours: in rows from the foot of the shape to its tip, where two that meet reach into each other, or stitch by
/// stitch.
/// </summary>
public static class Shading
{
    /// <summary>Stitches within this share of the way round a border may be of either colour (from memory).</summary>
    private const double MeltsWithin = 0.09;

    /// <summary>Which stitches are of which colour, in working order; every stitch is of one. There may be colours without any.</summary>
    public static IReadOnlyList<IReadOnlyList<int>> Parted(Placed placed, Area area, FillColours way, int colours, int seed)
    {
        var of = way == FillColours.Mixed ? Mixed(placed.Stitches.Count, colours, seed) : FootToTip(placed, area, colours, seed);
        return Enumerable.Range(0, colours).Select(c => (IReadOnlyList<int>)Enumerable.Range(0, of.Length).Where(i => of[i] == c).ToArray())
            .ToArray();
    }

    /// <summary>As many of each, whichever comes next left to chance.</summary>
    private static int[] Mixed(int stitches, int colours, int seed)
    {
        var chance = new SeededRandom(seed);
        var of = Enumerable.Range(0, stitches).Select(i => i % colours).ToArray();
        for (var i = of.Length - 1; i > 0; i--)
        {
            var with = Math.Min(i, (int)chance.Between(0, i + 1));
            (of[i], of[with]) = (of[with], of[i]);
        }

        return of;
    }

    private static int[] FootToTip(Placed placed, Area area, int colours, int seed)
    {
        var ground = AreaGround.Of(area);
        var way = ground.LengthMm > 0 ? (ground.Tip - ground.Foot) * (1 / ground.LengthMm) : new Pt(0, -1);
        var at = placed.Stitches.Select(s => Pt.Dot(Pt.Lerp(s.FromMm, s.ToMm, 0.5) - ground.Foot, way)).ToArray();
        var (least, most) = (at.Min(), at.Max());
        var chance = new SeededRandom(seed);
        return at.Select(a => (a - least) / Math.Max(1e-9, most - least)).Select(share =>
            Math.Clamp((int)((share + chance.Between(-MeltsWithin, MeltsWithin)) * colours), 0, colours - 1)).ToArray();
    }
}
