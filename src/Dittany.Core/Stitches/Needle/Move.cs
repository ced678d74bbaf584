using Dittany.Core.Geometry;

namespace Dittany.Core.Stitches.Needle;

/// <summary>What the needle does. From these moves, and from nothing else, comes everything that is told of a stitch.</summary>
public enum MoveKind : byte
{
    /// <summary>Up through the cloth.</summary>
    UpAt,

    /// <summary>Up through the cloth and through the thread that lies there, between its strands.</summary>
    UpThrough,

    /// <summary>Down through the cloth; the thread lies straight from where it last was.</summary>
    DownAt,

    /// <summary>The thread is laid out to here and held, as a loop is until the next stitch comes up in it.</summary>
    HoldAt,

    /// <summary>The thread is laid on the cloth as far as here, and nothing is pierced.</summary>
    Lay,

    /// <summary>Under the thread that lies there and out again, not into the cloth.</summary>
    SlideUnder,

    /// <summary>Round the needle, so many times.</summary>
    Wrap,
}

/// <summary>
/// One move: where (mm, in the frame of the face), how often the thread goes round on the way (the thread it slides under, or the needle),
/// and the side of travel it then lies on: 1 right, −1 left, 0 where it makes no difference.
/// </summary>
public readonly record struct Move(MoveKind Kind, Pt At, float Turns = 0, sbyte Side = 0)
{
    /// <summary>Whether the needle goes through the cloth.</summary>
    public bool Pierces => Kind is MoveKind.UpAt or MoveKind.UpThrough or MoveKind.DownAt;

    public bool ComesUp => Kind is MoveKind.UpAt or MoveKind.UpThrough;
}
