using System.Text;
using System.Text.Json;
using Dittany.Core.Geometry;
using Dittany.Core.Motifs;

namespace Dittany.Formats.Json;

/// <summary>A drawing traced over a picture as JSON, in and out: its lines with their points, and the picture by its name only.</summary>
public static class TracingJson
{
    public static string Write(Tracing tracing)
    {
        using var stream = new MemoryStream();
        using (var w = new Utf8JsonWriter(stream))
        {
            w.WriteStartObject();
            w.WriteString("name", tracing.Name);
            w.WriteString("picture", tracing.PictureId);
            w.WriteNumber("widthMm", tracing.PictureWidthMm);
            w.WriteNumber("heightMm", tracing.PictureHeightMm);
            w.WriteStartArray("lines");
            foreach (var line in tracing.Lines)
            {
                w.WriteStartObject();
                w.WriteString("role", line.Role);
                w.WriteBoolean("closed", line.Closed);
                w.WriteStartArray("points");
                foreach (var point in line.Points)
                {
                    w.WriteStartArray();
                    w.WriteNumberValue(point.At.X);
                    w.WriteNumberValue(point.At.Y);
                    if (point.Corner)
                    {
                        w.WriteBooleanValue(true);
                    }

                    w.WriteEndArray();
                }

                w.WriteEndArray();
                w.WriteEndObject();
            }

            w.WriteEndArray();
            w.WriteEndObject();
        }

        return Encoding.UTF8.GetString(stream.ToArray());
    }

    /// <summary>What was written by <see cref="Write"/>; anything else throws <see cref="FormatException"/>.</summary>
    public static Tracing Read(string json)
    {
        try
        {
            using var document = JsonDocument.Parse(json);
            var root = document.RootElement;
            return new Tracing(
                root.GetProperty("name").GetString()!, root.GetProperty("picture").GetString()!, root.GetProperty("widthMm").GetDouble(),
                    root.GetProperty("heightMm").GetDouble(),
                root.GetProperty("lines").EnumerateArray().Select(l => new TracedLine(
                    l.GetProperty("role").GetString()!, l.GetProperty("closed").GetBoolean(),
                    l.GetProperty("points").EnumerateArray().Select(p =>
                        new TracedPoint(new Pt(p[0].GetDouble(), p[1].GetDouble()), p.GetArrayLength() > 2)).ToArray())).ToArray());
        }
        catch (Exception e) when (e is JsonException or KeyNotFoundException or InvalidOperationException or IndexOutOfRangeException)
        {
            throw new FormatException("This is no tracing.", e);
        }
    }
}
