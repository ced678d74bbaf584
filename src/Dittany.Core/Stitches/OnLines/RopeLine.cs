using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Stitches.OnLines;

/// <summary>
/// Slanting loops close upon each other along a line: each comes up at its left edge, is held a little further on there and goes down at
/// the right one, so that the line looks twisted.
/// </summary>
public sealed class RopeLine : LineStitch, IStitch
{
    public override Heading Heading => Heading.RightToLeft;

    /// <summary>How broad the rope lies, in threads (from memory).</summary>
    private const double Widths = 2.8;

    /// <summary>Loops stand so far apart, in threads, and go down so many loops further on (from memory).</summary>
    private const double AdvanceThreads = 1.2;

    private const int Slant = 3;

    public override StitchInfo Info { get; } = new(
        "rope-line", "rope line", StitchClass.Outline, Widths, 2, size => Math.Max(1, 1.2 * size.WidthMm), StitchInfo.ByWidth,
            StitchInfo.ByWidth, [(30, 2), (double.PositiveInfinity, 3)], "initials, ropes and frames: one row fills a stroke of middling weight",
            "small letters and sharp corners", StitchInfo.Memory)
    { Trait = new(Feel.Raised, true, true, 3) };

    public bool KeepsOneLength => true;

    public bool Beside => true;

    public string Manner(StitchSchools schools) => "Every loop slants the same way and lies close to the one before, or the twist is lost.";

    public string? Says(Needle.Stitch stitch) => stitch.Shape == StitchShape.Loop ? "It is held at the left edge and slants down to the right one." : null;

    public override void Sew(Sewn.Sewing sewing, IReadOnlyList<Holes> stretches, StitchSpec spec)
    {
        var way = WayOfHoles.Of(stretches);
        var half = (Widths - 1) * sewing.BundleMm / 2;
        var (left, right) = (new List<Pt>(), new List<Pt>());
        for (var i = 1; i < way.AtMm.Count; i++)
        {
            // The holes tell how far a line may be taken for straight: between them loops lie close.
            var loops = Math.Max(1, (int)Math.Round(way.AtMm[i - 1].To(way.AtMm[i]) / (AdvanceThreads * sewing.BundleMm)));
            for (var k = i == 1 ? 0 : 1; k <= loops; k++)
            {
                var share = (double)k / loops;
                var (at, aside) = (Pt.Lerp(way.AtMm[i - 1], way.AtMm[i], share), Pt.Lerp(way.Right(i - 1), way.Right(i), share) * half);
                left.Add((at - aside).OnGrid());
                right.Add((at + aside).OnGrid());
            }
        }

        if (!way.Closed)
        {
            sewing.Straight(left[0], right[Math.Min(Slant - 1, right.Count - 1)]);
        }

        for (var i = 1; i < left.Count; i++)
        {
            var down = i + Slant - 1;
            sewing.Stitch(new Move(MoveKind.UpAt, left[i - 1]), new Move(MoveKind.HoldAt, left[i]), new Move(MoveKind.DownAt,
                right[down < right.Count ? down : way.Closed ? ((down - 1) % (right.Count - 1)) + 1 : right.Count - 1]));
        }
    }
}
