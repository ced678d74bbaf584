namespace Dittany.Core.Jobs;

/// <summary>Wishes for letters, parts and layers of an element put into a job.</summary>
public static class Wishes
{
    /// <summary>The job with a wish for letters of a wording; nothing wished lets go of what was.</summary>
    public static Job OfLetters(Job job, string element, IReadOnlyList<int> indices, string? stitch, int? strands, string? colour) =>
        job.With(element, e => e is not TextElement words ? e : words with
        {
            Letters =
            [
                .. words.Letters.Where(l => !indices.Contains(l.Index)),
                .. stitch is null && strands is null && colour is null ? []
                    : indices.Select(i => new LetterAsked(i, stitch, strands, colour)),
            ],
        });

    /// <summary>The job with an element on another layer; null is the usual one.</summary>
    public static Job OnLayer(Job job, string element, int? layer) => job.With(element, e => e with { Layer = layer });

    /// <summary>The job with a wish for one role of an element, by the element's id; nothing wished lets go of what was.</summary>
    public static Job OfPart(Job job, string element, PartAsked part)
    {
        IReadOnlyList<PartAsked> With(IReadOnlyList<PartAsked> parts) =>
        [
            .. parts.Where(p => p.Role != part.Role || p.Copy != part.Copy),
            .. part is { Stitch: null, Strands: null, Thread: null, Colour: null, Colours.Count: 0, DirectionDegrees: null, Direction: null,
                DirectionLines.Count: 0 } ? Array.Empty<PartAsked>() : [part],
        ];
        return job.With(element, e => e with { ByPart = With(e.ByPart) });
    }
}
