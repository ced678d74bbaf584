using Dittany.Core.Designs;
using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Thread = Dittany.Core.Materials.Thread;

namespace Dittany.Core.Planning;

/// <summary>
/// How the parts of a drawing are stitched by what they are: role, the stitch, and how many strands fewer than its main lines (common
/// practice).
/// </summary>
public sealed record RoleStitch(string Role, string? Woven, string? Knit, int FewerStrands, int Turn, string Because, string Source);

/// <summary>Stitches drawings part by part: stems before leaves, leaves before petals, centres and dots last.</summary>
public static class DrawingStitching
{
    /// <summary>Null takes the stitch of the main lines.</summary>
    public static IReadOnlyList<RoleStitch> Roles { get; } =
    [
        new("stem", "stem", "split", 0, 0, "Stems in stem stitch run smoothly.", "common practice"),
        new("outline", null, null, 0, 1, "Outlines take the main stitch.", "common practice"),
        new("leaf", null, null, 0, 2, "Leaves come after their stem.", "common practice"),
        new("vein", "backstitch", "backstitch", 1, 3, "Veins are drawn with a strand less, so that they stay fine.", "common practice"),
        new("feather", null, null, 0, 2, "Feathers lie as they grow, the undermost first.", "common practice"),
        new("petal", null, null, 0, 4, "Petals come after leaves, so that no leaf lies on them.", "common practice"),
        new("centre", null, null, 0, 5, "The centre closes over the feet of the petals.", "common practice"),
        new("dot", null, null, 0, 6, "Dots are knots and come last, so that nothing rubs over them.", "common practice"),
    ];

    public static RoleStitch RoleOf(string role) => Roles.FirstOrDefault(r => r.Role == Designs.Roles.Kind(role)) ?? Roles[1];

    /// <summary>
    /// What can be seen of a drawing, in mm, stitched in its order of work: lower layers first. <paramref name="main"/> is the pair of the
    /// main lines; <paramref name="from"/> numbers the first shape among its element's units. Areas are worked along their edges. What is
    /// too short to stitch is left out; the caller tells of it by the count.
    /// </summary>
    internal static IReadOnlyList<Part> Stitch(Design drawing, Pair main, Func<Pair, StitchSpec> specOf, Func<string, string> colourOf,
        int from, bool knit = false, bool byRole = false, Budget? budget = null, FillingRoom? filling = null)
    {
        var ordered = drawing.Shapes.OrderBy(s => s.Layer).ThenBy(s => RoleOf(s.Role).Turn)
            .SelectMany(s => s.Point is { } point ? [(Shape: s, Stroke: FigurePart.Dot(s.Role, point).Stroke)]
                : s.Strokes.Select(stroke => (Shape: s, Stroke: stroke))).ToArray();
        var ways = ordered.Select(o => o.Shape).DistinctBy(s => s.Id, StringComparer.Ordinal).ToDictionary(s => s.Id, s =>
            filling?.WayOf(s, PairFor(s.Role).Size) ?? new ShapeWay(null, null, null, null, null), StringComparer.Ordinal);
        // What is filled from a vein has one already.
        var veined = ways.Where(w => w.Value.Fill is Stitches.InAreas.VeinStitch).Select(w =>
            drawing.Shapes.First(s => s.Id == w.Key).Area.Sure().Covers()).ToArray();
        ordered = ordered.Where(o => o.Shape.Role != "vein" || o.Shape.Line is null || !veined.Any(v =>
            v.Holds(Pt.Lerp(o.Stroke.Start, o.Stroke.End, 0.5)) && v.Holds(Pt.Lerp(o.Stroke.Start, o.Stroke.End, 0.1)))).ToArray();
        var specs = ordered.Select(o => specOf(PairOf(o.Shape, ways[o.Shape.Id]))).ToArray();
        var stitched = LetterStitching.Stitch(ordered.Select(o => o.Stroke).ToArray(), i => specs[i], 0, i => ordered[i].Shape.Point
            is not null, budget, i => ways[ordered[i].Shape.Id].Fill is null or { EdgeToo: true });
        var lines = stitched.Lines.Select(line =>
        {
            var (shape, spec) = (ordered[line.Source].Shape, specs[line.Source]);
            return (line.Source, Part: new Part(
                shape.Role, shape.Role, from + line.Source, line.Stitch.Id,
                    new Thread(spec.Pair.Size, ways[shape.Id].Colour ?? colourOf(shape.Role)), line.WidthMm, line.LineMm,
                    line.Closed, line.Stitches,
                line.Dot ? 0 : spec.WishedMm, shape.Copy, shape.Id, shape.Id)
            { Layer = shape.Layer });
        });
        return lines.Concat(Filled()).OrderBy(p => p.Source).Select(p => p.Part).ToArray();

        Pair PairFor(string role)
        {
            var row = RoleOf(role);
            var stitch = byRole && (knit ? row.Knit : row.Woven) is { } id ? Book.Find(id).Sure() : main.Stitch;
            return new Pair(ThreadRules.Against(main.Size.Kind, stitch) is null ? stitch : main.Stitch, main.Size.Fewer(row.FewerStrands));
        }

        Pair PairOf(Shape shape, ShapeWay way) => PairFor(shape.Role) is var pair
            ? new Pair(way.Line ?? pair.Stitch, way.Of(pair.Size)) : pair;

        // A part for each colour: a thread goes on within it as far as it may hop behind.
        static IEnumerable<Part> Shaded(Part whole, Placed placed, Designs.Area area, Stitches.InAreas.AreaStitch fill,
            IReadOnlyList<string> colours, int seed) =>
            Stitches.InAreas.Shading.Parted(placed, area, fill.Colours, colours.Count, seed).Select((indices, c) => (Indices: indices,
                Number: c))
            .Where(p => p.Indices.Count > 0).Select(p =>
            {
                var picked = whole.Stitches.Pick(p.Indices);
                return whole with
                {
                    Id = p.Number == 0 ? whole.Id : $"{whole.Id}~colour-{p.Number}",
                    Thread = whole.Thread with { Colour = colours[p.Number] },
                    Stitches = picked,
                    Breaks = Enumerable.Range(1, picked.Count - 1).Where(i =>
                        picked[i - 1].DownMm.To(picked[i].FromMm) > Stitches.InAreas.AreaStitch.MostHopMm).ToArray(),
                    Filling = whole.Filling.Sure() with
                    {
                        AreaMm2 = Math.Round(whole.Filling.AreaMm2 * p.Indices.Count / whole.Stitches.Count, 3),
                    },
                };
            });

        IEnumerable<(int Source, Part Part)> Filled()
        {
            foreach (var (shape, index) in ordered.Select((o, i) => (o.Shape, i)).DistinctBy(o => o.Shape.Id, StringComparer.Ordinal))
            {
                var way = ways[shape.Id];
                var size = way.Of(PairFor(shape.Role).Size);
                if (way.Fill?.Sew(shape, filling.Sure().By(size, way.Direction, budget)) is { } placed)
                {
                    var whole = new Part(shape.Role, shape.Role, from + index, way.Fill.Info.Id,
                        new Thread(size, way.Colour ?? colourOf(shape.Role)), placed.WidthMm, placed.LineMm, true,
                        placed.Stitches, 0, shape.Copy, shape.Id, shape.Id)
                    {
                        Filling = placed.Filling,
                        Breaks = placed.Breaks,
                        Layer = shape.Layer,
                    };
                    foreach (var part in way.Colours.Count > 1 ? Shaded(whole, placed, shape.Area.Sure(), way.Fill, way.Colours,
                        filling.Sure().Seed)
                        : [whole])
                    {
                        yield return (index, part);
                    }
                }
            }
        }
    }
}
