using Dittany.Core.Geometry;
using Dittany.Core.StitchBook;

namespace Dittany.Core.Stitches;

/// <summary>Makes stitches of holes: each stitch by the path of its needle.</summary>
internal static class Sewing
{
    /// <summary>Links of a chain are this much wider, edge to edge of the thread's middle, than the bundle: from the line's width of 2.5 bundles.</summary>
    private const double LoopWidths = 1.5;

    /// <summary>How long the tie is that holds the last link of a stretch: just past its tip, about the width of the bundle (from memory). None round a closed line, none on a stretch too short for a link.</summary>
    public static double TieMm(StitchSpec spec, double stretchMm, bool loop) =>
        spec.Pair.Stitch.Laying == Laying.Linked && !loop && stretchMm - spec.BundleMm >= spec.ShortestMm ? spec.BundleMm : 0;

    /// <summary>All stitches of a line in working order.</summary>
    public static IReadOnlyList<Stitch> Sew(Track track, IReadOnlyList<Stretch> stretches, double[] stops, StitchSpec spec, bool closed)
    {
        var stitches = new List<Stitch>();
        var all = stretches.Select(s => s.Holes.Select(h => track.At(h).OnGrid()).ToArray()).ToArray();
        if (closed)
        {
            // A closed line ends in the very hole it began with.
            all[^1][^1] = spec.Pair.Stitch.Laying == Laying.Linked && !stretches[^1].Loop ? all[^1][^1] : all[0][0];
        }

        for (var i = 0; i < all.Length; i++)
        {
            stitches.AddRange(spec.Pair.Stitch.Laying switch
            {
                Laying.Overlapping => Overlapping(all[i], stretches[i].Loop, spec),
                Laying.Linked => Links(all[i], stretches[i].Loop, closed && i == all.Length - 1 ? all[0][0] : track.At(stops[i + 1]).OnGrid(), spec),
                _ => all[i].Zip(all[i].Skip(1), (a, b) => new Stitch(b, a)),
            });
        }

        if (spec.Pair.Stitch.Whipped)
        {
            for (var i = all.Length - 1; i >= 0; i--)
            {
                stitches.AddRange(Whips(all[i], spec));
            }
        }

        return stitches;
    }

    private static IEnumerable<Stitch> Overlapping(Pt[] holes, bool loop, StitchSpec spec)
    {
        // Stem keeps its thread on the right of travel, outline on the left; split has none.
        var usual = spec.Pair.Stitch.Id switch { "stem" => 1, "outline" => -1, _ => 0 };
        var turn = Turn(holes);
        var side = usual == 1 && spec.Schools.Stem == SideSchool.OutsideOfBend && turn != 0 ? -Math.Sign(turn) : usual;
        return LinePlacing.Spans(holes.Length, 2, loop).Select(s => new Stitch(holes[s.From], holes[s.To], Side: side));
    }

    private static IEnumerable<Stitch> Links(Pt[] holes, bool loop, Pt end, StitchSpec spec)
    {
        if (!loop && holes[^1].To(end) < 0.01)
        {
            // Too short for a link and its tie: one straight stitch.
            return [new Stitch(holes[0], end)];
        }

        var links = holes.Zip(holes.Skip(1), (a, b) => new Stitch(
            a, b, StitchShape.Loop, Link(a, b, spec.BundleMm), Measures.Rounding.ToGrid((2 * a.To(b)) + (LoopWidths * spec.BundleMm))));
        return loop ? links : links.Append(new Stitch(holes[^1], end, StitchShape.Tie));
    }

    /// <summary>The thread of one link: up at its base, round the tip, down beside the base.</summary>
    private static Pt[] Link(Pt from, Pt tip, double bundleMm)
    {
        var way = tip - from;
        var across = new Pt(-way.Y, way.X) * (LoopWidths / 2 * bundleMm / Math.Max(1e-9, way.Length));
        (double Along, double Aside)[] shape = [(0, 0), (0.22, 0.62), (0.5, 1), (0.8, 0.85), (1, 0), (0.8, -0.85), (0.5, -1), (0.22, -0.62), (0, 0)];
        return shape.Select(p => (from + (way * p.Along) + (across * p.Aside)).OnGrid()).ToArray();
    }

    /// <summary>
    /// Wraps from the far end back to the start: up at the last hole, under every stitch from the same side without piercing the cloth, down at the first. At a corner the
    /// thread goes down and comes up again, so that it stays sharp. Each wrap runs from the middle of one stitch to the middle of the next, round the bundle like the thread
    /// of a screw, entering on its side.
    /// </summary>
    private static IEnumerable<Stitch> Whips(Pt[] holes, StitchSpec spec)
    {
        var turn = Turn(holes);
        var side = spec.Schools.Whip == SideSchool.OutsideOfBend && Math.Abs(turn) > Math.PI ? -Math.Sign(turn) : 1;
        var at = holes[^1];
        for (var k = holes.Length - 1; k >= 1; k--)
        {
            var middle = Pt.Lerp(holes[k], holes[k - 1], 0.5).OnGrid();
            yield return Wrap(at, middle, k == holes.Length - 1 ? 0.5 : 1, spec, side);
            at = middle;
        }

        yield return Wrap(at, holes[0], 0.5, spec, side);
    }

    /// <summary>One wrap; the first and the last of a stretch go half round.</summary>
    private static Stitch Wrap(Pt from, Pt to, double round, StitchSpec spec, int side)
    {
        var (pitch, girth) = (from.To(to), Math.PI * spec.BundleMm * round);
        return new Stitch(from, to, StitchShape.Whip, FrontMm: Measures.Rounding.ToGrid(Math.Sqrt((pitch * pitch) + (girth * girth))), Side: side);
    }

    /// <summary>The whole turn of a run of holes in radians, positive to the right of travel.</summary>
    private static double Turn(Pt[] holes)
    {
        var turn = 0.0;
        for (var i = 1; i + 1 < holes.Length; i++)
        {
            var (a, b) = (holes[i] - holes[i - 1], holes[i + 1] - holes[i]);
            turn += Math.Atan2(Pt.Cross(a, b), Pt.Dot(a, b));
        }

        return Math.Abs(turn) < 0.05 ? 0 : turn;
    }
}
