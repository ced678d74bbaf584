using Dittany.Core.Geometry;
using Dittany.Core.Measures;

namespace Dittany.Core.Designs;

/// <summary>
/// Everything an element shows, in the order it lies, bottom first. Wordings and motifs alike end here; what makes it comes after.
/// </summary>
public sealed record Design(IReadOnlyList<Shape> Shapes)
{
    /// <summary>How far what lies under another area reaches beneath it, so that no cloth shows between them (common practice).</summary>
    public const double TuckMm = 0.8;

    /// <summary>Less than this is nothing to stitch, mm of line and mm² of area.</summary>
    private const double NothingMm = 1e-3;

    /// <summary>
    /// What can be seen of it: an area that lies under areas of higher layers is cut there and tucked under by <paramref name="tuckMm"/>; a
    /// line behind an area ends there, and so does a point. Shapes of one layer never hide each other, and what nothing covers is left just
    /// as it was drawn.
    /// </summary>
    public Design Visible(double tuckMm = TuckMm)
    {
        var lowest = Shapes.Select(s => s.Layer).DefaultIfEmpty(0).Min();
        var above = Shapes.Where(s => s.Layer > lowest && s.Area is not null).ToArray();
        if (above.Length == 0)
        {
            return this;
        }

        var (seen, tucked) = (new List<Shape>(), new Tucked(tuckMm));
        foreach (var shape in Shapes)
        {
            var over = above.Where(s => s.Layer > shape.Layer).Select(s => s.Area.Sure().Covers()).ToArray();
            if (over.Length == 0)
            {
                seen.Add(shape);
                continue;
            }

            seen.AddRange(shape switch
            {
                { Area: { } area } => Under(shape, area, over, tucked),
                { Line: { } line } => Behind(shape, line, over),
                { Point: { } point } => over.Any(o => o.Holds(point)) ? [] : [shape],
                _ => [shape],
            });
        }

        return new Design(seen);
    }

    /// <summary>What can be seen of it where something lies over all of it.</summary>
    public Design Beneath(Region over, double tuckMm = TuckMm)
    {
        var tucked = new Tucked(tuckMm);
        return over.IsEmpty ? this : new Design(Shapes.SelectMany(shape => shape switch
        {
            { Area: { } area } => Under(shape, area, [over], tucked),
            { Line: { } line } => Behind(shape, line, [over]),
            { Point: { } point } => over.Holds(point) ? [] : [shape],
            _ => [shape],
        }).ToArray());
    }

    /// <summary>What lies over something as one, made smaller by what is tucked under it: found once for all that the same hides.</summary>
    private sealed class Tucked(double tuckMm)
    {
        private readonly List<(IReadOnlyList<Region> Over, Region Less)> _known = [];

        public Region Of(IReadOnlyList<Region> over)
        {
            foreach (var (known, less) in _known)
            {
                if (known.SequenceEqual(over))
                {
                    return less;
                }
            }

            var made = Region.All(over).Offset(-tuckMm);
            _known.Add((over, made));
            return made;
        }
    }

    private static IEnumerable<Shape> Under(Shape shape, Area area, IReadOnlyList<Region> over, Tucked tucked)
    {
        var hides = over.Where(o => o.BoxMeets(area.Covers()) && o.Within(area.Covers()).AreaMm2 > NothingMm).ToArray();
        if (hides.Length == 0)
        {
            return [shape];
        }

        // What lies over it as one: between two that touch nothing of it shows either.
        var left = area.Covers().Without(tucked.Of(hides));
        return left.AreaMm2 <= NothingMm || area.Covers().Without(hides).AreaMm2 <= NothingMm ? []
            : [shape with { Area = area.CutTo(left) }];
    }

    private static IEnumerable<Shape> Behind(Shape shape, Stroke line, IReadOnlyList<Region> over)
    {
        var pieces = Cut.Outside(line, over);
        if (pieces.Count == 1 && ReferenceEquals(pieces[0], line))
        {
            return [shape];
        }

        return pieces.Where(p => Polyline.Length(p.Flatten(0.01)) > NothingMm).Select((p, i) => shape
            with
        { Line = p, Id = i == 0 ? shape.Id : $"{shape.Id}~{i}" });
    }
}
