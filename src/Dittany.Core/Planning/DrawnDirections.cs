using System.Globalization;
using Dittany.Core.Designs;
using Dittany.Core.Geometry;
using Dittany.Core.Jobs;
using Dittany.Core.Measures;

namespace Dittany.Core.Planning;

/// <summary>
/// Lines that tell how stitches lie, drawn on the item and kept in the frame of one motif (shares of its larger side from its middle), so
/// that they go along when it is moved, turned, repeated or made larger.
/// </summary>
public static class DrawnDirections
{
    /// <summary>A drawn line is kept within this of how it was drawn, mm: a hand trembles more.</summary>
    private const double WithinMm = 0.6;

    /// <summary>Her lines laid into the parts they are for, in every copy.</summary>
    internal static Figure Laid(Figure laid, Figure one, IReadOnlyList<PartAsked> wishes)
    {
        var drawn = wishes.Where(w => w.DirectionLines.Count > 0).ToArray();
        if (drawn.Length == 0)
        {
            return laid;
        }

        var unit = Unit(one);
        var seen = new Dictionary<(int Copy, string Role), int>();
        return new Figure(laid.Parts.Select(part =>
        {
            var number = seen.GetValueOrDefault((part.Copy, part.Role));
            seen[(part.Copy, part.Role)] = number + 1;
            var wish = drawn.LastOrDefault(w => w.Role == part.Role && (w.Copy is null || w.Copy == part.Copy));
            var from = unit.Parts.Where(p => p.Role == part.Role).ElementAtOrDefault(number);
            return wish is null || from is null || Mapping(from.Stroke, part.Stroke) is not { } map ? part
                : part with { Flow = Direction.Along(wish.DirectionLines).Map(map) };
        }).ToArray());
    }

    /// <summary>
    /// The job with these lines, in mm on the item, for the parts of one role of a motif; as they were meant for the copy that lies nearest
    /// to them. Without lines what was drawn is let go. A job whose plan has no such area stays as it is.
    /// </summary>
    public static Job With(Job job, Plan plan, string element, string role, int? copy, IReadOnlyList<IReadOnlyList<Pt>> linesMm)
    {
        var wish = (job.Find(element)?.ByPart ?? []).LastOrDefault(p => p.Role == role && p.Copy == copy)
            ?? new PartAsked(role, copy);
        var inward = linesMm.Where(l => l.Count > 1).Select(l =>
            Inward(job, plan, element, role, Polyline.Simplified(l, WithinMm))).ToArray();
        return inward.Any(l => l is null) ? job : Wishes.OfPart(job, element, wish with
        {
            DirectionDegrees = null,
            Direction = null,
            DirectionLines = inward.OfType<IReadOnlyList<Pt>>().ToArray(),
        });
    }

    /// <summary>The lines of a role as they lie on the item, mm, of the copy they are shown on; none where none were drawn.</summary>
    public static IReadOnlyList<IReadOnlyList<Pt>> Shown(PlannedElement element, string role, int? copy) =>
        element.Design?.Shapes.FirstOrDefault(s => s.Area is not null && s.Role == role && (copy is null || s.Copy == copy))?.Flow is
        { Kind: DirectionKind.ByLines } flow ? flow.Lines : [];

    private static Pt[]? Inward(Job job, Plan plan, string element, string role, IReadOnlyList<Pt> lineMm)
    {
        if (job.Find(element) is not MotifElement asked
            || plan.Elements.FirstOrDefault(e => e.Id == element)?.Design is not { } design)
        {
            return null;
        }

        var at = Polyline.At(lineMm, Polyline.Length(lineMm) / 2);
        var nearest = design.Shapes.Where(s => s.Role == role && s.Area is not null).MinBy(s => s.Area.Sure().Covers().OutsideBy(at));
        var number = nearest is null ? -1 : int.Parse(nearest.Id[(nearest.Id.LastIndexOf('-') + 1)..], CultureInfo.InvariantCulture);
        var from = Unit(MotifPlanner.OneDrawn(asked).One).Parts.Where(p => p.Role == role).ElementAtOrDefault(number);
        return from is null || Mapping(nearest.Sure().Area.Sure().Edges[0], from.Stroke) is not { } map ? null : lineMm.Select(map)
            .ToArray();
    }

    private static Figure Unit(Figure one)
    {
        var centred = one.Centred();
        return centred.Scaled(1 / Math.Max(1e-9, Math.Max(centred.Width, centred.Height)));
    }

    /// <summary>
    /// How one stroke was moved, turned, mirrored and scaled to become the other, by least squares over the places that make them; null
    /// where they are not of one build or run in one straight line.
    /// </summary>
    public static Func<Pt, Pt>? Mapping(Stroke from, Stroke to)
    {
        var (a, b) = (Places(from), Places(to));
        if (a.Length != b.Length || a.Length < 3)
        {
            return null;
        }

        var (ma, mb) = (Mean(a), Mean(b));
        var (xx, xy, yy) = (0.0, 0.0, 0.0);
        var (ux, uy, vx, vy) = (0.0, 0.0, 0.0, 0.0);
        for (var i = 0; i < a.Length; i++)
        {
            var (p, q) = (a[i] - ma, b[i] - mb);
            (xx, xy, yy) = (xx + (p.X * p.X), xy + (p.X * p.Y), yy + (p.Y * p.Y));
            (ux, uy) = (ux + (q.X * p.X), uy + (q.X * p.Y));
            (vx, vy) = (vx + (q.Y * p.X), vy + (q.Y * p.Y));
        }

        var det = (xx * yy) - (xy * xy);
        if (det < 1e-9 * Math.Max(1e-12, (xx + yy) * (xx + yy)))
        {
            return null;
        }

        var (m11, m12) = (((ux * yy) - (uy * xy)) / det, ((uy * xx) - (ux * xy)) / det);
        var (m21, m22) = (((vx * yy) - (vy * xy)) / det, ((vy * xx) - (vx * xy)) / det);
        return p => new Pt(mb.X + (m11 * (p.X - ma.X)) + (m12 * (p.Y - ma.Y)), mb.Y + (m21 * (p.X - ma.X)) + (m22 * (p.Y - ma.Y)));
    }

    private static Pt[] Places(Stroke stroke) => stroke.Curves.SelectMany(c => new[] { c.P0, c.P1, c.P2 }).ToArray();

    private static Pt Mean(Pt[] places) => places.Aggregate(default(Pt), (sum, p) => sum + p) * (1.0 / places.Length);
}
