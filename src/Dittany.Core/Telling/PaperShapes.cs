using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Transfer;

namespace Dittany.Core.Telling;

/// <summary>The paper shapes of a plan: one for each motif, copy by copy, and one for each wording.</summary>
public static class PaperShapes
{
    public static IReadOnlyList<PaperShape> Of(Plan plan) => plan.Elements.SelectMany(Of).ToArray();

    private static IEnumerable<PaperShape> Of(PlannedElement element)
    {
        if (!element.IsMotif)
        {
            return element.Parts.Count == 0 ? [] : [PaperShape.Of(element.Text.ReplaceLineEndings(" "), Lines(element.Parts),
                element.LineWidthMm)];
        }

        // What joins the copies, such as the stem of a zig-zag, is drawn in by hand once they lie where they should.
        var copies = element.Parts.Where(p => p.Copy >= 0).GroupBy(p => p.Copy).OrderBy(g => g.Key).ToArray();
        return copies.Select((c, i) => PaperShape.Of(copies.Length == 1 ? Say.Upper(element.Text) : $"{Say.Upper(element.One)} {i + 1}",
            Lines(c), element.LineWidthMm));
    }

    /// <summary>Lines, and all edges of what is filled: what is seen of it may lie in several pieces.</summary>
    private static IReadOnlyList<IReadOnlyList<Pt>> Lines(IEnumerable<Part> parts) => parts.SelectMany(p =>
        p.Filling is { RingsMm.Count: > 1 } all ? all.RingsMm.Select(r => (IReadOnlyList<Pt>)[.. r, r[0]])
        : [p.Closed ? [.. p.LineMm, p.LineMm[0]] : p.LineMm]).ToArray();
}
