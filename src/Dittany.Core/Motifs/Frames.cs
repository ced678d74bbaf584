using Dittany.Core.Geometry;

namespace Dittany.Core.Motifs;

/// <summary>
/// Frames are drawn to the size of what stands in them: their leaves keep their size, and their number follows from the way round.
/// </summary>
internal static class Frames
{
    /// <summary>Width to height of a frame that stands alone.</summary>
    private const double Alone = 100;

    public static IReadOnlyList<Motif> All { get; } =
    [
        Frame("round-frame", "round frame", (_, w, h) => new([Ring(Half(w, h))])),
        Frame("double-round-frame", "double round frame", (_, w, h) => new([Ring(Half(w, h)), Ring(Half(w, h) * 1.12)])),
        Frame("oval-frame", "oval frame", (_, w, h) => new([Drawing.Oval("outline", new Pt(0, 0), w / Math.Sqrt(2), h / Math.Sqrt(2))])),
        Frame("diamond-frame", "diamond frame", (_, w, h) => Diamond(w, h)),
        Frame("wreath", "wreath", Wreath, new("leaves", 8, 18, 60)),
        Frame("berry-wreath", "wreath with berries", Berries, new("leaves", 8, 18, 60)) with { Rich = true },
        Frame("dotted-ring", "ring of dots", (n, w, h) =>
            new([.. Drawing.Round(n ?? Math.Max(8, Even(2 * Math.PI * Half(w, h) / (0.16 * Math.Min(w, h)))), d =>
            [FigurePart.Dot("dot", Drawing.Polar(new Pt(0, 0), Half(w, h), d))])]), new("dots", 8, 20, 80)),
    ];

    /// <summary>A wreath with a berry in every second fork of its leaves.</summary>
    private static Figure Berries(int? count, double w, double h)
    {
        var wreath = Wreath(count, w, h);
        var leaves = wreath.Parts.Where(p => p.Role == "leaf").ToArray();
        var radius = leaves.Average(l => Polyline.Length(l.Line)) / 2 * 0.17;
        var berries = leaves.Where((_, i) => i % 2 == 0).Select(l =>
        {
            // Beside the foot of its leaf, on the other side of the bough.
            var (foot, far) = (l.Stroke.Start, l.Line.MaxBy(p => p.To(l.Stroke.Start)));
            var out_ = foot * (1 / Math.Max(1e-9, foot.Length));
            var side = Pt.Dot(far - foot, out_) > 0 ? -1 : 1;
            return Drawing.Circle("berry", foot + (out_ * (side * radius * 1.5)), radius) with { Layer = 1 };
        });
        return new Figure([.. wreath.Parts, .. berries]);
    }

    private static Motif Frame(string id, string name, Func<int?, double, double, Figure> to, Counted? counted = null) =>
        new(id, name, MotifShelf.Frames, n => to(n == 0 ? null : n, Alone * 0.7, Alone * 0.7), counted, (n, w, h) =>
            to(counted is null || n is null ? null : Math.Clamp(n.Value, counted.Least, counted.Most), w, h));

    /// <summary>Radius of the circle through the corners of a box.</summary>
    private static double Half(double w, double h) => Math.Sqrt((w * w) + (h * h)) / 2;

    private static FigurePart Ring(double radius) => Drawing.Circle("outline", new Pt(0, 0), radius);

    private static int Even(double n) => 2 * (int)Math.Round(n / 2);

    private static Figure Diamond(double w, double h)
    {
        // Corners of the box lie on its sides: each half-diagonal is twice the half side.
        var corners = new[] { new Pt(0, -h), new Pt(w, 0), new Pt(0, h), new Pt(-w, 0) };
        return new([new FigurePart("outline", FigureKind.Shape,
            new Stroke([.. corners.Select((c, i) => Curve.Line(c, corners[(i + 1) % 4]))], true))]);
    }

    /// <summary>
    /// Two boughs that meet at the foot and leave a gap at the crown: an even number of leaves, in pairs out and in, on a circle round the
    /// box.
    /// </summary>
    private static Figure Wreath(int? count, double w, double h)
    {
        var leaf = 0.34 * Math.Min(Math.Max(w, h) * 0.55, Math.Min(w, h));
        var radius = Half(w, h) + (leaf * 0.62);
        var leaves = Even(count ?? Math.Clamp(2 * Math.PI * radius / (leaf * 0.62), 8, 60));
        var (o, parts) = (new Pt(0, 0), new List<FigurePart>());
        const double Gap = 12;
        foreach (var side in new[] { -1, 1 })
        {
            var stem = Enumerable.Range(0, 9).Select(i => Drawing.Polar(o, radius, side * (180 - ((180 - Gap - 1) * i / 8.0)))).ToArray();
            parts.Add(Drawing.Line("stem", stem));
            var each = leaves / 2;
            for (var i = 0; i < each; i++)
            {
                var degrees = 180 - Gap - ((180 - (2 * Gap)) * (i + 0.5) / each);
                var foot = Drawing.Polar(o, radius, side * degrees);
                var tip = Drawing.Polar(o, radius + (i % 2 == 0 ? leaf * 0.62 : -leaf * 0.5),
                    side * (degrees - (leaf * 0.85 / radius * 180 / Math.PI)));
                parts.Add(Drawing.Leaf(foot, tip, leaf * 0.4));
            }
        }

        return new Figure(parts);
    }
}
