using System.Globalization;
using System.Text.Json;
using Dittany.Core.Geometry;
using Dittany.Core.Jobs;
using Dittany.Core.Planning;
using Dittany.Formats.Drawings;

namespace Dittany.Formats.Json;

/// <summary>Wordings and motifs of a job, in and out, in the order of the job.</summary>
internal static class ElementJson
{
    private static readonly string[] OfWords = ["text", "alphabet", "capHeightMm", "rows", "radiusMm", "reading", "motifPlace",
        "motifCount", "letters"];

    private static readonly string[] OfMotifs = ["heightMm", "count", "partCount", "leanDegrees", "mirrored", "wobblePercent", "seed",
        "middle", "drawing", "loosely"];

    private static readonly string[] OfBoth = ["id", "kind", "widthMm", "stitch", "strands", "colour", "arrangement", "centreMm", "motif",
        "turnDegrees", "parts", "layer", "craft", "secondColour", "thread", "zone"];

    private static readonly Dictionary<string, FigureKind> Kinds = new(StringComparer.Ordinal)
    {
        ["line"] = FigureKind.Line,
        ["shape"] = FigureKind.Shape,
        ["dot"] = FigureKind.Dot
    };

    /// <summary>Elements of the document, each at its place.</summary>
    public static IReadOnlyList<JobElement> Read(Dictionary<string, JsonElement> top, JsonFaults faults)
    {
        var elements = new List<JobElement>();
        var items = faults.Items(top, "elements", "#", required: true) ?? [];
        for (var n = 0; n < items.Count; n++)
        {
            var at = $"#/elements/{n.ToString(CultureInfo.InvariantCulture)}";
            var members = faults.Members(items[n], at, [.. OfBoth, .. OfWords, .. OfMotifs]);
            var kind = faults.Text(members, "kind", at, required: items[n].ValueKind == JsonValueKind.Object);
            if (kind is not null and not "text" and not "motif")
            {
                faults.Add($"{at}/kind", $"There is no kind '{kind}'.", "Use text or motif.");
            }

            foreach (var foreign in members.Keys.Where(k => (kind == "motif" ? OfWords : OfMotifs).Contains(k, StringComparer.Ordinal)))
            {
                faults.Add($"{at}/{foreign}", $"{(kind == "motif" ? "A motif has" : "Words have")} no '{foreign}'.", "Leave it out.");
            }

            var id = faults.Text(members, "id", at)
                ?? $"{(kind == "motif" ? "motif" : "words")}-{(n + 1).ToString(CultureInfo.InvariantCulture)}";
            elements.Add(kind == "motif" ? Motif(members, id, at, faults)
                : Words(members, id, at, items[n].ValueKind == JsonValueKind.Object, faults));
        }

        return elements;
    }

    public static void Write(Utf8JsonWriter w, Job job)
    {
        w.WriteStartArray("elements");
        foreach (var element in job.Elements)
        {
            w.WriteStartObject();
            switch (element)
            {
                case TextElement words:
                    Write(w, words);
                    break;
                case MotifElement motif:
                    Write(w, motif);
                    break;
                default:
                    throw new InvalidOperationException($"An element is of a kind that nobody writes: {element.GetType().Name}.");
            }

            w.WriteEndObject();
        }

        w.WriteEndArray();
    }

    private static void Write(Utf8JsonWriter w, TextElement e)
    {
        w.WriteString("id", e.Id);
        w.WriteString("kind", "text");
        w.WriteString("text", e.Text);
        JobJson.Text(w, "zone", e.Zone);
        JobJson.Text(w, "alphabet", e.Alphabet);
        JobJson.Text(w, "stitch", e.Stitch);
        JobJson.Number(w, "strands", e.Strands);
        JobJson.Text(w, "colour", e.Colour);
        JobJson.Text(w, "secondColour", e.SecondColour);
        JobJson.Text(w, "thread", e.Thread);
        JobJson.Text(w, "arrangement", e.Arrangement);
        JobJson.Number(w, "capHeightMm", e.CapHeightMm);
        JobJson.Number(w, "rows", e.Rows);
        Centre(w, e.CentreMm);
        JobJson.Number(w, "radiusMm", e.RadiusMm);
        JobJson.Text(w, "reading", e.Reading);
        JobJson.Number(w, "turnDegrees", e.TurnDegrees);
        JobJson.Text(w, "motif", e.Motif);
        JobJson.Text(w, "motifPlace", e.MotifPlace);
        JobJson.Number(w, "motifCount", e.MotifCount);
        JobJson.Number(w, "widthMm", e.WidthMm);
        JobJson.Number(w, "layer", e.Layer);
        JobJson.Text(w, "craft", e.Craft);
        PartAskedJson.Write(w, e.ByPart);
        ByLetter(w, e.Letters);
    }

    private static void Write(Utf8JsonWriter w, MotifElement m)
    {
        w.WriteString("id", m.Id);
        w.WriteString("kind", "motif");
        w.WriteString("motif", m.Motif);
        JobJson.Text(w, "zone", m.Zone);
        JobJson.Number(w, "widthMm", m.WidthMm);
        JobJson.Number(w, "heightMm", m.HeightMm);
        JobJson.Text(w, "arrangement", m.Arrangement);
        JobJson.Number(w, "count", m.Count);
        JobJson.Number(w, "turnDegrees", m.TurnDegrees);
        Centre(w, m.CentreMm);
        JobJson.Text(w, "stitch", m.Stitch);
        JobJson.Number(w, "strands", m.Strands);
        JobJson.Text(w, "colour", m.Colour);
        JobJson.Text(w, "secondColour", m.SecondColour);
        JobJson.Text(w, "thread", m.Thread);
        JobJson.Number(w, m.ByPart.Count > 0 ? "partCount" : "parts", m.Parts);
        PartAskedJson.Write(w, m.ByPart);
        JobJson.Number(w, "leanDegrees", m.LeanDegrees);
        JobJson.Flag(w, "mirrored", m.Mirrored);
        JobJson.Number(w, "wobblePercent", m.WobblePercent);
        JobJson.Number(w, "seed", m.Seed);
        JobJson.Flag(w, "middle", m.Middle);
        LooselyJson.Write(w, m.Loosely);
        JobJson.Number(w, "layer", m.Layer);
        JobJson.Text(w, "craft", m.Craft);
        if (m.Drawing is { } own)
        {
            Write(w, own);
        }
    }

    private static TextElement Words(Dictionary<string, JsonElement> members, string id, string at, bool required, JsonFaults faults) =>
        new(
        id,
        JobJson.Composed(faults.Text(members, "text", at, required: required) ?? "?"),
        faults.Text(members, "alphabet", at),
        faults.Text(members, "stitch", at),
        faults.Whole(members, "strands", at),
        faults.Text(members, "colour", at)?.ToLowerInvariant(),
        faults.Text(members, "arrangement", at),
        faults.Number(members, "capHeightMm", at),
        faults.Whole(members, "rows", at),
        JobJson.Centre(members, at, faults),
        faults.Number(members, "radiusMm", at),
        faults.Text(members, "reading", at),
        faults.Number(members, "turnDegrees", at),
        faults.Text(members, "motif", at),
        faults.Text(members, "motifPlace", at),
        faults.Whole(members, "motifCount", at),
        faults.Number(members, "widthMm", at))
        {
            ByPart = PartAskedJson.Read(members, at, faults) ?? [],
            Letters = ByLetter(members, at, faults),
            Layer = faults.Whole(members, "layer", at),
            Craft = faults.Text(members, "craft", at),
            Zone = faults.Text(members, "zone", at),
            SecondColour = faults.Text(members, "secondColour", at)?.ToLowerInvariant(),
            Thread = faults.Text(members, "thread", at),
        };

    private static MotifElement Motif(Dictionary<string, JsonElement> members, string id, string at, JsonFaults faults)
    {
        var drawing = members.TryGetValue("drawing", out var own) ? Drawing(own, $"{at}/drawing", faults) : null;
        var many = members.TryGetValue("parts", out var parts) && parts.ValueKind == JsonValueKind.Array;
        return new MotifElement(
            id,
            faults.Text(members, "motif", at, required: drawing is null) ?? "own",
            faults.Number(members, "widthMm", at),
            faults.Number(members, "heightMm", at),
            faults.Text(members, "arrangement", at),
            faults.Whole(members, "count", at),
            faults.Number(members, "turnDegrees", at),
            JobJson.Centre(members, at, faults),
            faults.Text(members, "stitch", at),
            faults.Whole(members, "strands", at),
            faults.Text(members, "colour", at)?.ToLowerInvariant(),
            faults.Whole(members, many ? "partCount" : "parts", at) ?? faults.Whole(members, "partCount", at),
            faults.Number(members, "leanDegrees", at),
            faults.Flag(members, "mirrored", at),
            faults.Number(members, "wobblePercent", at),
            faults.Whole(members, "seed", at),
            faults.Flag(members, "middle", at),
            drawing)
        {
            Loosely = LooselyJson.Read(members, at, faults),
            ByPart = many ? PartAskedJson.Read(members, at, faults) ?? [] : [],
            Layer = faults.Whole(members, "layer", at),
            Craft = faults.Text(members, "craft", at),
            Zone = faults.Text(members, "zone", at),
            SecondColour = faults.Text(members, "secondColour", at)?.ToLowerInvariant(),
            Thread = faults.Text(members, "thread", at),
        };
    }

    private static void ByLetter(Utf8JsonWriter w, IReadOnlyList<LetterAsked> letters)
    {
        if (letters.Count == 0)
        {
            return;
        }

        w.WriteStartArray("letters");
        foreach (var letter in letters)
        {
            w.WriteStartObject();
            w.WriteNumber("index", letter.Index);
            JobJson.Text(w, "stitch", letter.Stitch);
            JobJson.Number(w, "strands", letter.Strands);
            JobJson.Text(w, "colour", letter.Colour);
            w.WriteEndObject();
        }

        w.WriteEndArray();
    }

    /// <summary>What is wished for single letters.</summary>
    private static List<LetterAsked> ByLetter(Dictionary<string, JsonElement> members, string at, JsonFaults faults)
    {
        var letters = new List<LetterAsked>();
        var items = faults.Items(members, "letters", at) ?? [];
        for (var i = 0; i < items.Count; i++)
        {
            var here = $"{at}/letters/{i.ToString(CultureInfo.InvariantCulture)}";
            var letter = faults.Members(items[i], here, "index", "stitch", "strands", "colour");
            if (!letter.ContainsKey("index") && items[i].ValueKind == JsonValueKind.Object)
            {
                faults.Add($"{here}/index", "It does not say which letter it is for.", "Write the number of the letter in the text, from 0.");
            }

            letters.Add(new LetterAsked(faults.Whole(letter, "index", here) ?? 0, faults.Text(letter, "stitch", here),
                faults.Whole(letter, "strands", here), faults.Text(letter, "colour", here)?.ToLowerInvariant()));
        }

        return letters;
    }

    private static void Centre(Utf8JsonWriter w, Pt? centre)
    {
        if (centre is { } c)
        {
            w.WriteStartArray("centreMm");
            w.WriteNumberValue(c.X);
            w.WriteNumberValue(c.Y);
            w.WriteEndArray();
        }
    }

    internal static void Write(Utf8JsonWriter w, OwnDrawing own)
    {
        w.WriteStartObject("drawing");
        w.WriteString("name", own.Name);
        w.WriteStartArray("parts");
        foreach (var part in own.Figure.Parts)
        {
            w.WriteStartObject();
            w.WriteString("role", part.Role);
            w.WriteString("kind", Names.Of(Kinds, part.Kind));
            w.WriteString("path", string.Join(' ', part.Holes.Prepend(part.Stroke).Select(StrokeText.Write)));
            JobJson.Number(w, "layer", part.Layer == 0 ? null : part.Layer);
            w.WriteEndObject();
        }

        w.WriteEndArray();
        w.WriteEndObject();
    }

    internal static OwnDrawing? Drawing(JsonElement element, string at, JsonFaults faults)
    {
        var members = faults.Members(element, at, "name", "parts");
        var name = faults.Text(members, "name", at, required: true) ?? "drawing";
        var parts = new List<FigurePart>();
        var items = faults.Items(members, "parts", at, required: true) ?? [];
        for (var i = 0; i < items.Count; i++)
        {
            var here = $"{at}/parts/{i.ToString(CultureInfo.InvariantCulture)}";
            var part = faults.Members(items[i], here, "role", "kind", "path", "layer");
            var kind = faults.OneOf(part, "kind", here, Kinds) ?? FigureKind.Line;
            if (faults.Text(part, "path", here, required: true) is { } path)
            {
                var contours = StrokeText.Read(path);
                var role = faults.Text(part, "role", here) ?? (kind == FigureKind.Dot ? "dot" : "outline");
                var layer = Math.Clamp(faults.Whole(part, "layer", here) ?? 0, -99, 99);
                parts.AddRange((kind == FigureKind.Shape ? Contours.Nested(contours, evenOdd: true)
                    : contours.Take(kind == FigureKind.Dot ? 1 : contours.Count).Select(c => new Contour(c, []))).Select(c =>
                    new FigurePart(role, kind, c.Stroke, Layer: layer) { Holes = c.Holes }));
                if (contours.Count == 0)
                {
                    faults.Add($"{here}/path", "This is no stroke.",
                        "Write it as the path data of SVG, such as M 0 0 L 10 0 C 10 5 5 10 0 10 Z; several rings are one shape with holes.");
                }
            }
        }

        return new OwnDrawing(name, new Figure(parts));
    }
}
