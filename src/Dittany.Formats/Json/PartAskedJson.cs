using System.Globalization;
using System.Text.Json;
using Dittany.Core.Geometry;
using Dittany.Core.Jobs;

namespace Dittany.Formats.Json;

/// <summary>What is wished for the parts of an element, as a job writes it.</summary>
internal static class PartAskedJson
{
    public static void Write(Utf8JsonWriter w, IReadOnlyList<PartAsked> parts)
    {
        if (parts.Count == 0)
        {
            return;
        }

        w.WriteStartArray("parts");
        foreach (var part in parts)
        {
            w.WriteStartObject();
            w.WriteString("role", part.Role);
            JobJson.Number(w, "copy", part.Copy);
            JobJson.Text(w, "stitch", part.Stitch);
            JobJson.Number(w, "strands", part.Strands);
            JobJson.Text(w, "colour", part.Colour);
            JobJson.Text(w, "thread", part.Thread);
            if (part.Colours.Count > 0)
            {
                w.WriteStartArray("colours");
                foreach (var colour in part.Colours)
                {
                    w.WriteStringValue(colour);
                }

                w.WriteEndArray();
            }

            JobJson.Number(w, "directionDegrees", part.DirectionDegrees);
            JobJson.Text(w, "direction", part.Direction);
            if (part.DirectionLines.Count > 0)
            {
                w.WriteStartArray("directionLines");
                foreach (var line in part.DirectionLines)
                {
                    w.WriteStartArray();
                    foreach (var p in line)
                    {
                        w.WriteStartArray();
                        w.WriteNumberValue(Math.Round(p.X, 4));
                        w.WriteNumberValue(Math.Round(p.Y, 4));
                        w.WriteEndArray();
                    }

                    w.WriteEndArray();
                }

                w.WriteEndArray();
            }

            w.WriteEndObject();
        }

        w.WriteEndArray();
    }

    /// <summary>What is wished for single parts; null where nothing is.</summary>
    public static List<PartAsked>? Read(Dictionary<string, JsonElement> members, string at, JsonFaults faults)
    {
        if (faults.Items(members, "parts", at) is not { } items)
        {
            return null;
        }

        var parts = new List<PartAsked>();
        for (var i = 0; i < items.Count; i++)
        {
            var here = $"{at}/parts/{i.ToString(CultureInfo.InvariantCulture)}";
            var part = faults.Members(items[i], here, "role", "copy", "stitch", "strands", "thread", "colour", "colours",
                "directionDegrees", "direction", "directionLines");
            parts.Add(new PartAsked(faults.Text(part, "role", here, required: true) ?? "?", faults.Whole(part, "copy", here),
                faults.Text(part, "stitch", here), faults.Whole(part, "strands", here),
                faults.Text(part, "colour", here)?.ToLowerInvariant(), faults.Number(part, "directionDegrees", here))
            {
                Direction = faults.Text(part, "direction", here),
                Thread = faults.Text(part, "thread", here),
                DirectionLines = DirectionLines(part, here, faults),
                Colours = (faults.Items(part, "colours", here) ?? []).Select((c, k) => c.ValueKind == JsonValueKind.String
                    ? c.GetString()!.ToLowerInvariant() : Wrong(k)).ToArray(),
            });

            string Wrong(int k)
            {
                faults.Add($"{here}/colours/{k.ToString(CultureInfo.InvariantCulture)}", "This is no colour.", "Write it like #4f7358.");
                return "#000000";
            }
        }

        return parts;
    }

    /// <summary>Lines of places in shares of the motif: [[[x, y], [x, y]], …].</summary>
    private static IReadOnlyList<IReadOnlyList<Pt>> DirectionLines(Dictionary<string, JsonElement> part, string here, JsonFaults faults)
    {
        var lines = faults.Items(part, "directionLines", here) ?? [];
        return lines.Select((line, i) => (IReadOnlyList<Pt>)Line(line, string.Create(CultureInfo.InvariantCulture, $"{here}/directionLines/{i}")))
            .Where(l => l.Count > 0).ToArray();

        Pt[] Line(JsonElement line, string at)
        {
            if (line.ValueKind != JsonValueKind.Array)
            {
                faults.Add(at, "This is no line.", "Write its places: [[x, y], [x, y]].");
                return [];
            }

            return line.EnumerateArray().Select((p, i) => Place(p, string.Create(CultureInfo.InvariantCulture, $"{at}/{i}"))).ToArray();
        }

        Pt Place(JsonElement place, string at)
        {
            if (place.ValueKind != JsonValueKind.Array || place.GetArrayLength() != 2)
            {
                faults.Add(at, "This is no place.", "Write [x, y], in shares of the motif's larger side from its middle.");
                return default;
            }

            return new Pt(faults.Number(place[0], $"{at}/0") ?? 0, faults.Number(place[1], $"{at}/1") ?? 0);
        }
    }
}
