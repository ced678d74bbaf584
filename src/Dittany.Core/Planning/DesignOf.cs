using System.Globalization;
using Dittany.Core.Designs;
using Dittany.Core.Geometry;

namespace Dittany.Core.Planning;

/// <summary>
/// What wordings and motifs come to: shapes, named so that the names stay when another element is added, moved or taken out. Of words by
/// letter and stroke (<c>name/letter-0/stroke-1</c>), of motifs by which copy, role and place among its like (<c>sprig/copy-0/leaf-3</c>).
/// </summary>
internal static class DesignOf
{
    /// <summary>
    /// One letter, or several that are one line, from its strokes in mm. Where <paramref name="outlines"/> says so the closed ones are the
    /// edges of one area and come first: what they enclose is the letter.
    /// </summary>
    public static Design Letter(string element, int number, LetterGroup letter, IReadOnlyList<Stroke> strokesMm, bool outlines)
    {
        var at = string.Create(CultureInfo.InvariantCulture, $"{element}/letter-{number}");
        var edges = outlines ? strokesMm.Where(s => s.Closed).ToArray() : [];
        var lines = strokesMm.Select((s, i) => (Stroke: s, Index: i)).Where(s => !outlines || !s.Stroke.Closed)
            .Select(s => new Shape(string.Create(CultureInfo.InvariantCulture, $"{at}/stroke-{s.Index}"), Line: s.Stroke, Role: "letter",
                Letter: letter.Letter, LetterIndex: letter.Index));
        return new Design([.. edges.Length > 0 ? [new Shape($"{at}/area", new Area(edges), Role: "letter", Letter: letter.Letter,
            LetterIndex: letter.Index)] : Array.Empty<Shape>(), .. lines]);
    }

    /// <summary>A drawing from its parts in mm, in the order they are drawn: closed shapes are areas, dots points.</summary>
    public static Design Figure(string element, IReadOnlyList<FigurePart> parts)
    {
        var seen = new Dictionary<string, int>(StringComparer.Ordinal);
        return new Design(parts.Select(part =>
        {
            var group = string.Create(CultureInfo.InvariantCulture,
                $"{element}/{(part.Copy < 0 ? "joined" : $"copy-{part.Copy}")}/{part.Role}-");
            var number = seen.GetValueOrDefault(group);
            seen[group] = number + 1;
            var shape = new Shape(string.Create(CultureInfo.InvariantCulture, $"{group}{number}"), Role: part.Role, Letter: part.Role,
                Copy: part.Copy, Layer: part.Layer)
            {
                Flow = part.Flow,
            };
            return part.Kind switch
            {
                FigureKind.Dot => shape with { Point = part.Middle },
                FigureKind.Shape when part.Stroke.Closed => shape with
                {
                    Area = new Area([part.Stroke, .. part.Holes]) { InOrder = part.InOrder },
                },
                _ => shape with { Line = part.Stroke },
            };
        }).ToArray());
    }
}
