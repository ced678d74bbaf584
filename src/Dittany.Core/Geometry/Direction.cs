namespace Dittany.Core.Geometry;

/// <summary>How stitches lie over an area.</summary>
public enum DirectionKind
{
    OneWay,

    /// <summary>They fan out from where its edge begins: of a leaf or petal its foot.</summary>
    FromFoot,

    /// <summary>Out from the middle on all sides, as in the heart of a flower.</summary>
    FromMiddle,

    /// <summary>Along its strokes, round every bend.</summary>
    Along,

    /// <summary>Along lines that were drawn: near a line as it runs, between two lines between them.</summary>
    ByLines,
}

/// <summary>
/// How stitches of an area are to lie. <paramref name="Radians"/> count for one way only, clockwise from level on a page; lines are in the
/// frame of the area.
/// </summary>
public sealed record Direction(DirectionKind Kind, double Radians = 0)
{
    /// <summary>The lines of <see cref="DirectionKind.ByLines"/>, each of two points or more.</summary>
    public IReadOnlyList<IReadOnlyList<Pt>> Lines { get; init; } = [];

    /// <summary>All kinds by their ids, as a job writes them; one way is written in degrees and lines as lines.</summary>
    public static IReadOnlyList<(string Id, DirectionKind Kind, string Told)> Known { get; } =
    [
        ("from-foot", DirectionKind.FromFoot, "fanning out from the foot"),
        ("from-middle", DirectionKind.FromMiddle, "out from the middle"),
        ("along", DirectionKind.Along, "along its shape, round every bend"),
    ];

    /// <summary>The kind with this id, or null.</summary>
    public static DirectionKind? Find(string? id) => Known.Where(k => k.Id == id).Select(k => (DirectionKind?)k.Kind).FirstOrDefault();

    /// <summary>What it is called where it is told of.</summary>
    public static string Called(DirectionKind kind) => kind switch
    {
        DirectionKind.OneWay => "one way",
        DirectionKind.ByLines => "along drawn lines",
        _ => Known.First(k => k.Kind == kind).Told,
    };

    /// <summary>One way, as the straight line between two places runs; it turns with them.</summary>
    public static Direction Between(Pt from, Pt to) => Along([[from, to]]);

    public static Direction Along(IReadOnlyList<IReadOnlyList<Pt>> lines) => new(DirectionKind.ByLines) { Lines = lines };

    /// <summary>Whether stitches in one place may lie otherwise than in another.</summary>
    public bool Bends => Kind is not (DirectionKind.OneWay or DirectionKind.ByLines) || Lines.Count > 1 || Lines.Any(l => l.Count > 2);

    /// <summary>Moved along when the drawing is moved, turned or scaled. One way stays as it is: it is said for the item.</summary>
    public Direction Map(Func<Pt, Pt> map) => Lines.Count == 0 ? this : this with
    {
        Lines = Lines.Select(l => (IReadOnlyList<Pt>)l.Select(map).ToArray()).ToArray(),
    };
}
