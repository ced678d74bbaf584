using Dittany.Core.Crafts;
using Dittany.Core.Crafts.Painting;
using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Transfer;

namespace Dittany.Formats.Template;

/// <summary>
/// Cutting sheets of a plan at 1:1, one for each colour: openings with their bridges left standing, the film's edge, and crosses at the
/// same places on each, by which the films lie on each other.
/// </summary>
public static class StencilSheets
{
    /// <summary>Crosses stand so far inside the corners of the film, and are so long, mm.</summary>
    private const double CrossInsideMm = 8;

    private const double CrossMm = 5;

    public static IReadOnlyList<TemplateSheet> Of(Plan plan, Paper paper)
    {
        var parts = plan.CraftParts.Where(p => p.Craft == "paint").ToArray();
        if (parts.Length == 0)
        {
            return [];
        }

        const double Round = SprayPaint.FilmRoundMm;
        var (least, most) = (new Pt(parts.Min(p => p.ShapeMm.Box.Least.X) - Round, parts.Min(p => p.ShapeMm.Box.Least.Y) - Round),
            new Pt(parts.Max(p => p.ShapeMm.Box.Greatest.X) + Round, parts.Max(p => p.ShapeMm.Box.Greatest.Y) + Round));
        var (width, height) = (most.X - least.X, most.Y - least.Y);
        var fold = plan.Space.CentreLine.From.X;
        var onCrease = fold > least.X && fold < most.X;
        var centre = (onCrease ? fold : (least.X + most.X) / 2) - least.X;
        return parts.Select((part, i) =>
        {
            var rings = part.ShapeMm.Rings.Select(r => (IReadOnlyList<Pt>)r.Select(p => p - least).ToArray()).ToArray();
            var lines = rings.Select(r => new TemplateLine(Polyline.Simplified([.. r, r[0]], 0.02), true)).Concat(Crosses(width, height));
            var wholes = rings.Select(r => new Whole(r.Min(p => p.X), r.Min(p => p.Y), r.Max(p => p.X), r.Max(p => p.Y))).ToArray();
            var tiled = Sheet.Tiles(width, height, paper, wholes);
            return new TemplateSheet(
                $"Stencil{(parts.Length == 1 ? string.Empty : $" {i + 1} of {parts.Length}")}, {Palette.NameOf(part.Colour)}: {plan.Title}",
                Words(part, parts.Length > 1), false, tiled.Paper, width, height, lines.ToArray(), centre,
                onCrease ? plan.Space.CentreLine.Name : "its middle", plan.Elements.Where(e => e.Craft == "paint" && !e.IsMotif)
                    .Select(e => e.BaselineMm.Y - least.Y).ToArray(),
                tiled.Tiles, plan.Space.FindIt,
                CutMm: [[new(0, 0), new(width, 0), new(width, height), new(0, height)]]);
        }).ToArray();
    }

    private static string Words(CraftPart part, bool several) => "Not mirrored: film side up. Cut along the black lines"
        + (part.Islands == 0 ? string.Empty : $"; {Say.Count(part.BridgesMm.Count, "bridge")} stay standing")
        + (several ? "; the crosses of all films lie on each other." : ".");

    private static IEnumerable<TemplateLine> Crosses(double width, double height)
    {
        foreach (var at in new Pt[] { new(CrossInsideMm, CrossInsideMm), new(width - CrossInsideMm, height - CrossInsideMm) })
        {
            yield return new TemplateLine([at - new Pt(CrossMm / 2, 0), at + new Pt(CrossMm / 2, 0)], false);
            yield return new TemplateLine([at - new Pt(0, CrossMm / 2), at + new Pt(0, CrossMm / 2)], false);
        }
    }
}
