using Dittany.Core.Geometry;

namespace Dittany.Core.Designs;

/// <summary>
/// An area to be seen, mm: its edges as they were drawn, outer and inner under the even-odd rule, all closed. It stays an area until a
/// stitch decides how to make it. What is left of one that was cut has edges of straight pieces.
/// </summary>
public sealed record Area(IReadOnlyList<Stroke> Edges)
{
    /// <summary>How near the flattened edges stay to the drawn ones, mm.</summary>
    private const double FlatMm = 0.01;

    /// <summary>Where its edge was begun to be drawn: of a leaf or a petal its foot. It stays when the area is cut.</summary>
    public Pt FootMm { get; init; } = Edges.Count > 0 ? Edges[0].Start : default;

    /// <summary>Of what it was cut from: the place of its edge farthest from the foot; null where it is whole.</summary>
    public Pt? TipMm { get; init; }

    /// <summary>What it covers where its one edge crosses itself and was put in order already; null leaves it to be found out.</summary>
    internal Func<Region?>? InOrder { get; init; }

    /// <summary>What is left of it where it was cut, mm.</summary>
    public Area CutTo(Region left)
    {
        var whole = Covers().Rings.SelectMany(r => r).ToArray();
        var tip = TipMm ?? (whole.Length == 0 ? null : whole.MaxBy(p => Math.Round(p.To(FootMm), 6)));
        return Of(left) with { FootMm = FootMm, TipMm = tip };
    }

    /// <summary>What it covers. Reckoned when first asked for.</summary>
    public Region Covers() => _region ??= Covered();

    private Region? _region;

    /// <summary>An area by what it covers.</summary>
    public static Area Of(Region region) => new(region.Rings.Select(Stroke.Ring).ToArray())
    { _region = region };

    private Region Covered()
    {
        if (InOrder?.Invoke() is { } ordered)
        {
            return ordered;
        }

        // Even-odd: what two edges both go round is a hole.
        var covered = Region.Empty;
        foreach (var ring in Edges.Select(e => e.Flatten(FlatMm)).Select(Open).Where(r =>
            r.Count >= 3).Select(Region.Sound).OrderByDescending(r => r.AreaMm2))
        {
            covered = covered.Without(ring).With(ring.Without(covered));
        }

        return covered;
    }

    private static IReadOnlyList<Pt> Open(IReadOnlyList<Pt> ring) => ring.Count > 1 && ring[0].To(ring[^1]) < 1e-9
        ? ring.Take(ring.Count - 1).ToArray() : ring;
}

/// <summary>
/// Something to be seen, whatever it will be made of: exactly one of an area, a line and a point, mm in the frame of the face.
/// <paramref name="Id"/> stays when another element is added, moved or taken out: overrules, what is done and the log can name it. Higher
/// <paramref name="Layer"/>s lie over lower ones.
/// </summary>
public sealed record Shape(
    string Id, Area? Area = null, Stroke? Line = null, Pt? Point = null, string Role = "", string Letter = "", int LetterIndex = 0,
        int Copy = 0, int Layer = 0)
{
    /// <summary>How stitches of the area are drawn to lie; null leaves it to the stitch.</summary>
    public Direction? Flow { get; init; }

    /// <summary>The lines a hand would draw: the line itself, the edges of an area, and none for a point.</summary>
    public IReadOnlyList<Stroke> Strokes => Line is { } line ? [line] : Area?.Edges ?? [];
}
