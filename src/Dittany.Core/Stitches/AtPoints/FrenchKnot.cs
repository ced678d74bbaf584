using Dittany.Core.Designs;
using Dittany.Core.Measures;
using Dittany.Core.Stitches.Needle;
using Thread = Dittany.Core.Materials.Thread;

namespace Dittany.Core.Stitches.AtPoints;

/// <summary>Up, the thread round the needle, and down at the same place.</summary>
public sealed class FrenchKnot : IStitch
{
    public StitchInfo Info { get; } = new(
        "french-knot", "French knot", StitchClass.Fill, 2.6, 0, _ => 0, StitchInfo.Caps(12, 12, 12, 16, 20),
            StitchInfo.Caps(12, 12, 12, 16, 20), [(double.PositiveInfinity, 3)],
        "dots", "slips through when it goes down in its own hole", StitchInfo.Memory)
    { Trait = new(Feel.Raised, true, true, 2) };

    public Judgement Takes(Shape shape, Thread thread) =>
        shape.Point is null ? new Judgement(false, $"{Say.Upper(Info.Name)}s are points.", "Take a stitch that works lines.")
            : Judgement.Yes;

    public Placed? Sew(Shape shape, SewingBy by)
    {
        var at = (shape.Point ?? throw new ArgumentException($"A knot is a point, and {shape.Id} is none.", nameof(shape))).OnGrid();
        var (size, wraps) = (by.Spec.Pair.Size, by.Spec.Wraps);
        var sewing = new Sewn.Sewing(size);
        sewing.Stitch(new Move(MoveKind.UpAt, at), new Move(MoveKind.Wrap, at, wraps), new Move(MoveKind.DownAt, at));
        return new Placed([at], false, sewing.Done(), 0, this, Knots.AcrossMm(size, wraps), Dot: true);
    }
}
