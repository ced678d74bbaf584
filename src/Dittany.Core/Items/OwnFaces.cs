using System.Globalization;
using Dittany.Core.Geometry;
using Dittany.Core.Measures;

namespace Dittany.Core.Items;

/// <summary>
/// Faces of own forms drawn like those of the catalogue. Where a face was copied and is still as it was there, its landmarks, folds, usual
/// places and reasons come from there; what was pulled into another shape is found by its own edges.
/// </summary>
internal static class OwnFaces
{
    /// <summary>A side counts as straight up or level within this, mm.</summary>
    private const double StraightMm = 1.5;

    /// <summary>A half lies on the other within this when it is folded, mm.</summary>
    private const double SameMm = 3;

    /// <summary>A ring is unchanged within this, mm: it is written and read in tenths.</summary>
    private const double UnchangedMm = 0.11;

    /// <summary>Two pieces that only touch are not one: they overlap by this much before they are joined.</summary>
    private const double JoinMm = 0.5;

    /// <summary>
    /// Draws a face, out by a factor across and one down; <paramref name="like"/> is the face it was copied from, or null.
    /// </summary>
    public static Drawn Draw(string item, OwnFace own, Drawn? like, double sx, double sy)
    {
        IReadOnlyList<Pt> Out(IReadOnlyList<Pt> ring) => sx == 1 && sy == 1 ? ring : ring.Select(p => new Pt(p.X * sx, p.Y * sy)).ToArray();
        var outline = Out(own.OutlineMm);
        var same = like is not null && Unchanged(outline, like.Outline);
        var obstacles = own.Obstacles.Select(o => like?.Obstacles.FirstOrDefault(l => l.Id == o.Id && l.Kind == o.Kind
            && Unchanged(l.Ring, Out(o.RingMm))) is { } l
            ? l with { Name = o.Name }
            : new Obstacle(o.Id, o.Name, o.Kind, Out(o.RingMm))).ToArray();
        var landmarks = same ? like.Sure().Landmarks : Landmarks(item, outline, obstacles);
        return new Drawn(
            new Face(own.Id, own.Name, same ? like.Sure().Face.Datum : "where it was measured from",
                Fold(own.Folded, outline, same ? like.Sure().Face.Fold : null)),
            outline,
            own.Zones.Select(z => ZoneOf(z, Out(z.RingMm), like?.Zones.FirstOrDefault(l => l.Id == z.Id), landmarks)).ToArray(),
            obstacles,
            landmarks,
            same ? like.Sure().Behind : [],
            own.OpeningMm is not { } opening ? null : like?.Opening is { } o && Math.Abs(o.FlatWidthMm - (opening * sx)) <= UnchangedMm ? o
                : new Opening("its opening", opening * sx),
            like?.HoopLimit,
            same ? like.Sure().Over : null,
            own.Picture is { } p ? p with { XMm = p.XMm * sx, YMm = p.YMm * sy, WidthMm = p.WidthMm * sx, HeightMm = p.HeightMm * sy }
                : null)
        {
            Stuffed = like?.Stuffed == true,
        };
    }

    /// <summary>Whether a ring is as it was, to the tenth it is written with.</summary>
    public static bool Unchanged(IReadOnlyList<Pt> ring, IReadOnlyList<Pt> was) => ring.Count == was.Count
        && ring.Zip(was).All(p => p.First.To(p.Second) <= UnchangedMm);

    /// <summary>
    /// What is seen when it is folded over, and how it lies to be stitched: the other side of the cloth, the fold where it is when worn.
    /// </summary>
    private static FoldOver? Fold(FoldSide? side, IReadOnlyList<Pt> outline, FoldOver? like)
    {
        if (side is not { } at)
        {
            return null;
        }

        if (like is not null && at == FoldSide.Top)
        {
            return like;
        }

        var (x0, y0, x1, y1) = (outline.Min(p => p.X), outline.Min(p => p.Y), outline.Max(p => p.X), outline.Max(p => p.Y));
        var y = at == FoldSide.Top ? y0 : y1;
        var flat = Region.Of(outline).With(Region.Rectangle(x0, at == FoldSide.Top ? y - Folded.BeyondMm : y - JoinMm, x1 - x0,
            Folded.BeyondMm + JoinMm)).Rings;
        return new FoldOver(
            at == FoldSide.Top ? "Folded over as worn, the other side of the cloth is seen, with the fold at the top."
                : "Turned up as worn, the other side of the cloth is seen, with the fold at the lower edge.",
            at == FoldSide.Top
                ? "Unfold it and turn it over: stitch on the side that was underneath, the fold above the stitches and the free edge "
                    + "below them. Stitched on the other side it would vanish, upside down."
                : "Unfold it and turn it over: stitch on the side that was underneath, the fold below the stitches and the free edge "
                    + "above them. Stitched on the other side it would vanish, upside down.",
            new Pt(x0, y), new Pt(x1, y), flat.OrderByDescending(Region.AreaOf).First(), at);
    }

    private static Zone ZoneOf(OwnZone zone, IReadOnlyList<Pt> ring, Zone? like, IReadOnlyList<Landmark> landmarks)
    {
        var free = zone.EdgeAllowanceMm;
        if (like is not null)
        {
            // A place that was moved keeps what is usual there as long as its anchor lies in it.
            var usual = Region.Of(ring).OutsideBy(like.Usual.AnchorMm) <= 0 ? like.Usual : OpticalPlace.In(ring);
            return like with
            {
                Name = zone.Name,
                Ring = ring,
                EdgeAllowanceMm = free,
                EdgeReason = Math.Abs(free - like.EdgeAllowanceMm) < UnchangedMm ? like.EdgeReason : Free(free),
                Usual = usual.From is { } from && landmarks.All(l => l.Id != from) ? usual with { From = null } : usual,
            };
        }

        var (w, h) = (ring.Max(p => p.X) - ring.Min(p => p.X), ring.Max(p => p.Y) - ring.Min(p => p.Y));
        var most = Math.Clamp(Math.Min(w, h) * 0.35, 6, 45);
        return new Zone(zone.Id, zone.Name, ring, free, Free(free), OpticalPlace.In(ring),
            Parts.Caps(Math.Max(4, most / 2), most, 0.65, w * 0.9, "A tenth of the width is left for air."));
    }

    private static Told Free(double mm) => mm > 0 ? (Told)$"{Say.Length(mm)} are kept free at its edges." : "It reaches to its edges.";

    /// <summary>
    /// What she can find on it: straight sides, straight edges of obstacles, and a crease down or across the middle where one half lies on
    /// the other.
    /// </summary>
    private static List<Landmark> Landmarks(string name, IReadOnlyList<Pt> outline, IReadOnlyList<Obstacle> obstacles)
    {
        var (x0, y0, x1, y1) = (outline.Min(p => p.X), outline.Min(p => p.Y), outline.Max(p => p.X), outline.Max(p => p.Y));
        var (mx, my) = ((x0 + x1) / 2, (y0 + y1) / 2);
        var marks = new List<Landmark>
        {
            new("left-edge", "its leftmost edge", new(x0, y0), new(x0, y1)),
                new("right-edge", "its rightmost edge", new(x1, y0), new(x1, y1)),
            new("top-edge", "its topmost edge", new(x0, y0), new(x1, y0)), new("bottom-edge", "its lowest edge", new(x0, y1), new(x1, y1)),
        };
        if (Symmetrical(outline, p => new Pt((2 * mx) - p.X, p.Y)))
        {
            marks.Add(new("centre-fold", "the centre fold", new(mx, y0), new(mx, y1), Found.Fold,
                new($"Fold {Say.The(name)} in half, side on side, and crease: that is the centre fold.", "left-edge", "right-edge")));
        }

        if (Symmetrical(outline, p => new Pt(p.X, (2 * my) - p.Y)))
        {
            marks.Add(new("cross-fold", "the cross fold", new(x0, my), new(x1, my), Found.Fold,
                new($"Fold {Say.The(name)} in half, top on bottom, and crease: that is the cross fold.", "top-edge", "bottom-edge")));
        }

        foreach (var obstacle in obstacles)
        {
            for (var i = 0; i < obstacle.Ring.Count; i++)
            {
                var (a, b) = (obstacle.Ring[i], obstacle.Ring[(i + 1) % obstacle.Ring.Count]);
                var upright = Math.Abs(a.X - b.X) < StraightMm && Math.Abs(a.Y - b.Y) > 15;
                var level = Math.Abs(a.Y - b.Y) < StraightMm && Math.Abs(a.X - b.X) > 15;
                var inside = upright ? a.X > x0 + 2 && a.X < x1 - 2 : a.Y > y0 + 2 && a.Y < y1 - 2;
                if ((upright || level) && inside)
                {
                    var middle = Pt.Lerp(a, b, 0.5);
                    var (from, to) = upright ? (new Pt(middle.X, a.Y), new Pt(middle.X, b.Y))
                        : (new Pt(a.X, middle.Y), new Pt(b.X, middle.Y));
                    marks.Add(new($"{obstacle.Id}-{(upright ? "side" : "edge")}-{i.ToString(CultureInfo.InvariantCulture)}",
                        $"the edge of “{obstacle.Name}”", from, to, Found.Seam));
                }
            }
        }

        return marks;
    }

    private static bool Symmetrical(IReadOnlyList<Pt> outline, Func<Pt, Pt> mirror)
    {
        var closed = outline.Append(outline[0]).ToArray();
        return outline.All(p => Polyline.ToLine(mirror(p), closed) <= SameMm);
    }
}
