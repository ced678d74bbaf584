using Dittany.Core.Geometry;

namespace Dittany.Core.Stitches.OnLines;

/// <summary>
/// The holes of all stretches as one way, with the direction of travel at each; where a stretch ends at a corner, the direction is that of
/// the line that halves it.
/// </summary>
internal sealed record WayOfHoles(IReadOnlyList<Pt> AtMm, IReadOnlyList<Pt> Along, IReadOnlyList<bool> Corner)
{
    public static WayOfHoles Of(IReadOnlyList<Holes> stretches)
    {
        var (at, along, corner) = (new List<Pt>(), new List<Pt>(), new List<bool>());
        var closes = stretches[0].AtMm[0] == stretches[^1].AtMm[^1] && stretches.Sum(s => s.AtMm.Count - 1) > 2;
        for (var s = 0; s < stretches.Count; s++)
        {
            var holes = stretches[s].AtMm;
            for (var i = s == 0 ? 0 : 1; i < holes.Count; i++)
            {
                var into = i > 0 ? holes[i] - holes[i - 1] : closes ? stretches[^1].AtMm[^1] - stretches[^1].AtMm[^2] : default;
                var next = s + 1 < stretches.Count ? stretches[s + 1].AtMm : closes ? stretches[0].AtMm : null;
                var from = i + 1 < holes.Count ? holes[i + 1] - holes[i] : next is null ? default : next[1] - next[0];
                at.Add(holes[i]);
                along.Add(Unit(Unit(into) + Unit(from)));
                corner.Add(i == holes.Count - 1 && s + 1 < stretches.Count);
            }
        }

        return new WayOfHoles(at, along, corner);
    }

    /// <summary>To the right of travel, one mm long.</summary>
    public Pt Right(int index) => new(-Along[index].Y, Along[index].X);

    public WayOfHoles Reversed() => new([.. AtMm.Reverse()], [.. Along.Reverse().Select(a => a * -1)], [.. Corner.Reverse()]);

    public bool Closed => AtMm[0] == AtMm[^1];

    private static Pt Unit(Pt way) => way.Length < 1e-9 ? default : way * (1 / way.Length);
}
