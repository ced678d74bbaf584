using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.StitchBook;

namespace Dittany.Core.Planning;

/// <summary>
/// The parts of one role of an element as they are planned, in words; whether they have an area that can be filled; and what she wished for
/// them.
/// </summary>
public sealed record PartTold(string Element, string ElementName, string Role, string Name, bool Area, string Told, PartAsked? Wished);

/// <summary>Parts by what they are, with how each is made: petals in satin stitch, 2 strands, mulberry.</summary>
public static class PartTelling
{
    /// <summary>The roles of all motifs, and of letters that have an area, in the order they are worked.</summary>
    public static IReadOnlyList<PartTold> Of(Plan plan, Job job) => plan.Elements
        .Where(e => e.IsMotif || e.Design?.Shapes.Any(s => s.Area is not null) == true)
        .SelectMany(e => e.Parts.GroupBy(p => p.Role, StringComparer.Ordinal).Select(g => Of(e, g.Key, [.. g], job))).ToArray();

    /// <summary>The job with a wish for one role of an element, by the element's id; nothing wished lets go of what was.</summary>
    public static Job Wished(Job job, string element, PartAsked part)
    {
        IReadOnlyList<PartAsked> With(IReadOnlyList<PartAsked> parts) =>
        [
            .. parts.Where(p => p.Role != part.Role || p.Copy != part.Copy),
            .. part is { Stitch: null, Strands: null, Colour: null, DirectionDegrees: null } ? Array.Empty<PartAsked>() : [part],
        ];
        return job with
        {
            Elements = job.Elements.Select(e => e.Id == element ? e with { ByPart = With(e.ByPart) } : e).ToArray(),
            Motifs = job.Motifs?.Select(m => m.Id == element ? m with { ByPart = With(m.ByPart) } : m).ToArray(),
        };
    }

    private static PartTold Of(PlannedElement element, string role, IReadOnlyList<Part> parts, Job job)
    {
        var wishes = job.Elements.FirstOrDefault(e => e.Id == element.Id)?.ByPart
            ?? job.MotifsAsked.FirstOrDefault(m => m.Id == element.Id)?.ByPart ?? [];
        var areas = (element.Design?.Shapes ?? []).Where(s => s.Area is not null).Select(s => s.Id).ToHashSet(StringComparer.Ordinal);
        var filled = parts.Where(p => p.Filling is not null).ToArray();
        var covered = filled.Length == 0 ? 0
            : filled.Sum(p => p.Filling!.Coverage * p.Filling.AreaMm2) / filled.Sum(p => p.Filling!.AreaMm2);
        var told = $"{Say.List(parts.Select(p => Book.Find(p.Stitch)!.Name).Distinct(StringComparer.Ordinal).ToArray())}, "
            + $"{Say.List(parts.Select(p => Say.Count(p.Strands, "strand")).Distinct(StringComparer.Ordinal).ToArray())}, "
            + Say.List(parts.Select(p => Palette.NameOf(p.Colour)).Distinct(StringComparer.Ordinal).ToArray())
            + (filled.Length == 0 ? string.Empty : $"; {Say.Number(100 * covered, 0)} % under thread");
        return new PartTold(element.Id, element.Text, role, Say.Upper(role == "outline" ? "shape" : parts.Count > 1 ? Say.Many(role) : role),
            parts.Any(p => areas.Contains(p.Shape)), told, wishes.LastOrDefault(w => w.Role == role && w.Copy is null));
    }
}
