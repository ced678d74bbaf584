using System.Text;
using System.Text.Json;
using Dittany.Core.Jobs;

namespace Dittany.Formats.Json;

/// <summary>A drawing of her own as JSON: its name and parts, as they stand in a job.</summary>
public static class DrawingJson
{
    public static string Write(OwnDrawing drawing)
    {
        using var stream = new MemoryStream();
        using (var w = new Utf8JsonWriter(stream))
        {
            w.WriteStartObject();
            ElementJson.Write(w, drawing);
            w.WriteEndObject();
        }

        return Encoding.UTF8.GetString(stream.ToArray());
    }

    /// <summary>What was written by <see cref="Write"/>; anything else throws <see cref="FormatException"/>.</summary>
    public static OwnDrawing Read(string json)
    {
        using var document = JsonDocument.Parse(json);
        var faults = new JsonFaults();
        return document.RootElement.TryGetProperty("drawing", out var element)
            && ElementJson.Drawing(element, "#/drawing", faults) is { } drawing && faults.Faults.Count == 0
            ? drawing
            : throw new FormatException("This is no drawing.");
    }
}
