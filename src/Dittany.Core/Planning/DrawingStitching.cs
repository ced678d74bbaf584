using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;

namespace Dittany.Core.Planning;

/// <summary>How the parts of a drawing are stitched by what they are: role, the stitch, and how many strands fewer than its main lines (common practice).</summary>
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
        new("petal", null, null, 0, 4, "Petals come after leaves, so that no leaf lies on them.", "common practice"),
        new("centre", null, null, 0, 5, "The centre closes over the feet of the petals.", "common practice"),
        new("dot", null, null, 0, 6, "Dots are knots and come last, so that nothing rubs over them.", "common practice"),
    ];

    public static RoleStitch RoleOf(string role) => Roles.FirstOrDefault(r => r.Role == role) ?? Roles[1];

    /// <summary>
    /// Parts in mm stitched in their order of work. <paramref name="main"/> is the pair of the main lines; <paramref name="from"/> numbers the first part's unit among its element's.
    /// Strokes too short to stitch are left out; the caller tells of them by their count.
    /// </summary>
    internal static IReadOnlyList<Part> Stitch(IReadOnlyList<FigurePart> parts, Pair main, Func<Pair, StitchSpec> specOf, Func<FigurePart, string> colourOf, int from, bool knit = false, bool byRole = false, Budget? budget = null)
    {
        var ordered = parts.OrderBy(p => RoleOf(p.Role).Turn).ToArray();
        var specs = ordered.Select(p => specOf(PairFor(p.Role))).ToArray();
        var stitched = LetterStitching.Stitch(ordered.Select(p => p.Stroke).ToArray(), i => specs[i], 0, i => ordered[i].Kind == FigureKind.Dot, budget);
        return stitched.Lines.Select(line => new Part(
            ordered[line.Source].Role, ordered[line.Source].Role, from + line.Source, line.Kind.Id, specs[line.Source].Pair.Strands, colourOf(ordered[line.Source]), line.WidthMm, line.LineMm, line.Closed, line.Stitches,
            line.Dot ? 0 : specs[line.Source].WishedMm, ordered[line.Source].Copy)).ToArray();

        Pair PairFor(string role)
        {
            var row = RoleOf(role);
            var stitch = byRole && (knit ? row.Knit : row.Woven) is { } id ? Book.Find(id)! : main.Stitch;
            return new Pair(stitch, Math.Max(1, main.Strands - row.FewerStrands));
        }
    }
}
