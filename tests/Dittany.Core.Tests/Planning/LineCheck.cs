using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Planning;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Tests.Planning;

/// <summary>Checks the stitches of a part against its line, whatever the stitch and the way it is worked.</summary>
internal static class LineCheck
{
    private const double GridMm = 0.003;

    public static void Follows(Part part, Workshop workshop, bool onSkin, bool turning)
    {
        if (part.Role == "dot" && part.LineMm.Count > 1)
        {
            // A speck that stands alone: the shortest stitch about its middle, whatever the stitch.
            Assert.All(part.Stitches.Where(s => s.Shape != StitchShape.Whip), s => Assert.True(
                Polyline.ToLine(s.FromMm, part.LineMm) < GridMm && Polyline.ToLine(s.ToMm, part.LineMm) < GridMm));
            return;
        }

        if (part.Role == "dot")
        {
            var knot = Assert.Single(part.Stitches);
            Assert.Equal(part.LineMm.Single(), knot.FromMm);
            Assert.Equal(knot.FromMm, knot.ToMm);
            return;
        }

        var kind = Book.Find(part.Stitch)!;
        double? length = workshop.Habit("stitch-size") switch { "eighth-inch" => 3.2, "five" => 5, "ten" => 10, _ => null };
        var spec = StitchSpec.For(new Pair(kind, part.Strands), new StitchSchools(LengthMm: length), onSkin ? Wearing.MostBehindOnSkinMm
            : null);
        var line = part.Closed ? part.LineMm.Append(part.LineMm[0]).ToArray() : part.LineMm.ToArray();
        var solid = part.Stitches.Where(s => s.Shape != StitchShape.Whip).ToArray();
        var holes = solid.SelectMany(s => new[] { s.FromMm, s.ToMm }).ToArray();
        if (Otherwise.Contains(part.Stitch, StringComparer.Ordinal))
        {
            // Ties, knots and teeth stand beside the line, within the width it is known by; its thread still goes along all of it.
            Assert.All(holes, h => Assert.True(Polyline.ToLine(h, line) <= spec.LineWidthMm + 0.1, $"{part.Letter}: a hole far from the line"));
            Assert.All(line, p => Assert.True(turning || part.Stitches.Min(s => Polyline.ToSegment(p, s.FromMm, s.ToMm))
                <= Math.Max(Tolerance.Seen(spec.LineWidthMm), spec.LineWidthMm / 2) + GridMm, $"{part.Letter} in {part.Stitch}: the line is not covered"));
            return;
        }

        Assert.Contains(holes, h => h.To(line[0]) < GridMm);
        Assert.Contains(holes, h => h.To(line[^1]) < GridMm);
        Assert.Equal(kind.Blunt, part.Stitches.Any(s => s.Shape == StitchShape.Whip));

        // Where cloth is left bare between stitches the line goes on from one to the next, by the ends that are nearest: stitches may be
        // worked from either end.
        var gaps = kind.GapShare == 0 ? [] : solid.Zip([.. solid.Skip(1), part.Closed ? solid[0] : solid[^1]]).Select(s =>
            new[] { s.First.FromMm, s.First.ToMm }.SelectMany(f => new[] { s.Second.FromMm, s.Second.ToMm }, (f, t) =>
            (FromMm: f, ToMm: t)).MinBy(g => g.FromMm.To(g.ToMm)));
        var covered = solid.Select(s => (s.FromMm, s.ToMm)).Concat(gaps).ToArray();
        foreach (var p in line)
        {
            var off = covered.Min(s => Polyline.ToSegment(p, s.FromMm, s.ToMm));
            Assert.True(turning || off <= Tolerance.Seen(spec.LineWidthMm) + GridMm,
                $"{part.Letter}: the line is {off} from its stitches, half of {spec.LineWidthMm} and 0.3 allowed");
        }

        Assert.All(holes, h => Assert.True(Polyline.ToLine(h, line) <= 0.02, $"{part.Letter}: a hole stands beside the line"));
        for (var i = 1; i + 1 < line.Length; i++)
        {
            if (Pt.TurnRadians(line[i] - line[i - 1], line[i + 1] - line[i]) > Tolerance.CornerRadians)
            {
                Assert.Contains(holes, h => h.To(line[i]) < GridMm);
            }
        }

        var measured = solid.Where(s => s.Shape is StitchShape.Straight or StitchShape.Loop).ToArray();
        // Two of the shortest with the cloth between them are the least that can be parted.
        var lone = kind.GapShare > 0 ? (2 + kind.GapShare) * spec.ShortestMm : spec.ShortestMm + spec.BundleMm;
        Assert.All(measured, s => Assert.True(s.LengthMm <= Math.Max(spec.MostMm, lone) + GridMm,
            $"{part.Letter}: a stitch of {s.LengthMm}, {spec.MostMm} allowed"));

        // Shorter than the shortest only where the whole stretch between corners is, or by what a chord of the tightest bend is shorter
        // than its arc: 2/π of it over half a circle.
        foreach (var s in measured.Where(s => s.LengthMm < (2 / Math.PI * spec.ShortestMm) - GridMm))
        {
            // A bend narrower than the eye minds in a line so wide is stitched across.
            Assert.True((IsStop(line, s.FromMm) && IsStop(line, s.ToMm)) || turning || s.LengthMm < Tolerance.Seen(spec.LineWidthMm),
                $"{part.Letter} in {part.Stitch}, {part.Strands}: a stub of {s.LengthMm}, {spec.ShortestMm} is the shortest");
        }
    }

    /// <summary>Stitches that are not worked hole by hole along the line.</summary>
    private static readonly string[] Otherwise = ["couching", "coral", "knotted-stem", "blanket", "double-blanket", "cross", "heavy-chain",
        "linked-chain-line", "brick-line", "whipped-brick", "laced-brick", "rope-line"];

    private static bool IsStop(Pt[] line, Pt hole)
    {
        if (hole == line[0] || hole == line[^1])
        {
            return true;
        }

        for (var i = 1; i + 1 < line.Length; i++)
        {
            if (line[i].To(hole) < GridMm && Pt.TurnRadians(line[i] - line[i - 1], line[i + 1] - line[i]) > Tolerance.CornerRadians * 0.95)
            {
                return true;
            }
        }

        return false;
    }
}
