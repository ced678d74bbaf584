namespace Dittany.Core.Geometry;

/// <summary>What one part of a drawing is to a needle: a line to follow, an area with an edge, or a point.</summary>
public enum FigureKind
{
    Line,
    Shape,
    Dot,
}

/// <summary>
/// One part of a drawing: what it is (stem, leaf, vein, petal, centre, dot, outline), and its stroke. A dot's stroke is a very short
/// straight about its point. Where a motif is repeated
/// <paramref name="Copy"/> numbers the copy it belongs to; what joins the copies belongs to none and has -1. Shapes of a higher
/// <paramref name="Layer"/> hide what lies under them.
/// </summary>
public sealed record FigurePart(string Role, FigureKind Kind, Stroke Stroke, int Copy = 0, int Layer = 0)
{
    /// <summary>How stitches lie where it is an area; null leaves it to the stitch.</summary>
    public Direction? Flow { get; init; }

    /// <summary>Closed edges within a closed shape of what it leaves open; none of anything else.</summary>
    public IReadOnlyList<Stroke> Holes { get; init; } = [];

    /// <summary>
    /// The stroke as points, close enough for fitting; found when first asked for: most maps of a drawing are on the way only.
    /// </summary>
    public IReadOnlyList<Pt> Line => field ??= Stroke.Flatten(Figure.FlattenShare * Figure.SpanOf(Stroke));

    /// <summary>The middle of the stroke's box: where a dot stands.</summary>
    public Pt Middle => Pt.Lerp(Stroke.Start, Stroke.End, 0.5);

    /// <summary>
    /// What a closed shape that crosses itself covers, put in order; null for every other part. Repaired once where it was drawn, and then
    /// moved along with it: a repair is dear, and is bounded by what a drawing may have (OwnFigure).
    /// </summary>
    public Region? Crossed => _crossed.Value;

    private Lazy<Region?> _crossed = new(() => Kind == FigureKind.Shape && Stroke.Closed ? Measures.Budget.Uncounted(() =>
        Repaired(Stroke)) : null,
        LazyThreadSafetyMode.PublicationOnly);

    /// <summary>
    /// What a shape covers, close enough to see what lies on what; empty for lines and dots, and for a shape that is open, which is
    /// stitched as a line.
    /// </summary>
    public Region Covers() => _covers ??= Kind != FigureKind.Shape || !Stroke.Closed ? Region.Empty
        : Open(Crossed ?? Region.Sound(Line), Figure.FlattenShare);

    /// <summary>
    /// What it covers, finely enough to be stitched, where it crosses itself and was put in order; null for every other part.
    /// </summary>
    public Region? InOrder() => Crossed is { } crossed ? Open(crossed, Figure.FineShare) : null;

    /// <summary>An area less the holes in it.</summary>
    private Region Open(Region area, double share) => Holes.Aggregate(area, (left, hole) =>
        left.Without(Region.Sound(Open(hole.Flatten(share * Figure.SpanOf(hole))))));

    private Region? _covers;

    public FigurePart Map(Func<Pt, Pt> map) => new(Role, Kind, Stroke.Map(map), Copy, Layer)
    {
        Flow = Flow?.Map(map),
        Holes = Holes.Count == 0 ? [] : Holes.Select(h => h.Map(map)).ToArray(),
        _crossed = Kind == FigureKind.Shape && Stroke.Closed
            ? new Lazy<Region?>(() => Crossed is { } crossed ? crossed.Mapped(map) ?? Measures.Budget.Uncounted(() =>
                Repaired(Stroke.Map(map)))
                : null, LazyThreadSafetyMode.PublicationOnly)
            : _crossed,
    };

    /// <summary>Looked at roughly first: few shapes cross themselves.</summary>
    private static Region? Repaired(Stroke stroke)
    {
        var span = Figure.SpanOf(stroke);
        return Region.CrossingOf(Open(stroke.Flatten(Figure.FlattenShare * span))) is null ? null
            : Region.Crossing(Open(stroke.Flatten(Figure.FineShare * span)));
    }

    private static IReadOnlyList<Pt> Open(IReadOnlyList<Pt> ring) => ring.Count > 1 && ring[0].To(ring[^1]) < 1e-9
        ? ring.Take(ring.Count - 1).ToArray() : ring;

    /// <summary>A point, as a part.</summary>
    public static FigurePart Dot(string role, Pt at, double size = 1e-3) =>
        new(role, FigureKind.Dot, new Stroke([Curve.Line(at - new Pt(size / 2, 0), at + new Pt(size / 2, 0))], false));
}

/// <summary>A drawing in parts, in one frame with y down. It may be empty. Not placed, not stitched.</summary>
public sealed record Figure(IReadOnlyList<FigurePart> Parts)
{
    /// <summary>Flattened strokes stay this close to the curve, as a share of their own span.</summary>
    internal const double FlattenShare = 3e-3;

    /// <summary>The same for what is stitched by it.</summary>
    internal const double FineShare = 2e-4;

    public static Figure Empty { get; } = new(Array.Empty<FigurePart>());

    /// <summary>
    /// Least and greatest corner of the box round all strokes; both zero where there are none. Asked often, so looked for once.
    /// </summary>
    public (Pt Least, Pt Greatest) Box => (_box ??= new(BoxOf(Parts))).Value;

    private System.Runtime.CompilerServices.StrongBox<(Pt Least, Pt Greatest)>? _box;

    public double Width => Box.Greatest.X - Box.Least.X;

    public double Height => Box.Greatest.Y - Box.Least.Y;

    public Figure Map(Func<Pt, Pt> map) => new(Parts.Select(p => p.Map(map)).ToArray());

    /// <summary>The drawing as one copy of several.</summary>
    public Figure AsCopy(int number) => new(Parts.Select(p => p with { Copy = number }).ToArray());

    /// <summary>Two drawings as one, this one's parts first.</summary>
    public Figure With(Figure other) => new([.. Parts, .. other.Parts]);

    /// <summary>Turned about the origin; positive turns clockwise on a page.</summary>
    public Figure Turned(double radians)
    {
        var (c, s) = (Math.Cos(radians), Math.Sin(radians));
        return Map(p => new Pt((p.X * c) - (p.Y * s), (p.X * s) + (p.Y * c)));
    }

    /// <summary>Scaled about the origin.</summary>
    public Figure Scaled(double by) => Map(p => p * by);

    public Figure Moved(Pt by) => Map(p => p + by);

    /// <summary>Moved so that the middle of its box is the origin.</summary>
    public Figure Centred()
    {
        var (least, greatest) = Box;
        return Moved(Pt.Lerp(least, greatest, 0.5) * -1);
    }

    /// <summary>
    /// Centred on the origin and scaled, proportions kept, to lie within this width and height; either may be infinite. An empty one stays
    /// empty.
    /// </summary>
    public Figure Within(double width, double height)
    {
        var by = Math.Min(Width > 0 ? width / Width : double.PositiveInfinity, Height > 0 ? height / Height : double.PositiveInfinity);
        return double.IsFinite(by) ? Centred().Scaled(by) : Centred();
    }

    private static (Pt Least, Pt Greatest) BoxOf(IReadOnlyList<FigurePart> parts)
    {
        var (left, top, right, bottom) = (double.PositiveInfinity, double.PositiveInfinity, double.NegativeInfinity,
            double.NegativeInfinity);
        foreach (var part in parts)
        {
            foreach (var p in part.Line)
            {
                (left, top, right, bottom) = (Math.Min(left, p.X), Math.Min(top, p.Y), Math.Max(right, p.X), Math.Max(bottom, p.Y));
            }
        }

        return left > right ? (default, default) : (new Pt(left, top), new Pt(right, bottom));
    }

    /// <summary>How far apart the ends of its box are, in its own unit; never 0.</summary>
    public static double SpanOf(Stroke stroke)
    {
        var (least, greatest) = (new Pt(double.PositiveInfinity, double.PositiveInfinity),
            new Pt(double.NegativeInfinity, double.NegativeInfinity));
        foreach (var c in stroke.Curves)
        {
            least = new Pt(Math.Min(Math.Min(least.X, c.P0.X), Math.Min(c.P1.X, Math.Min(c.P2.X, c.P3.X))),
                Math.Min(Math.Min(least.Y, c.P0.Y), Math.Min(c.P1.Y, Math.Min(c.P2.Y, c.P3.Y))));
            greatest = new Pt(Math.Max(Math.Max(greatest.X, c.P0.X), Math.Max(c.P1.X, Math.Max(c.P2.X, c.P3.X))),
                Math.Max(Math.Max(greatest.Y, c.P0.Y), Math.Max(c.P1.Y, Math.Max(c.P2.Y, c.P3.Y))));
        }

        return Math.Max(1e-9, least.To(greatest));
    }
}
