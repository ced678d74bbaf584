using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Dittany.Core.Jobs;
using Dittany.Core.Sayings;

namespace Dittany.Formats.Json;

/// <summary>A saying as it comes in: what was said, on which day, and what was settled of single words.</summary>
public sealed record ReadSaying(string Said, DateOnly Today, string? Form, IReadOnlyList<Pin> Pins);

/// <summary>Sayings in, and what was understood of them out.</summary>
public static class SayingJson
{
    /// <summary>Reads a saying, or tells everything that is wrong with it.</summary>
    public static (ReadSaying? Saying, IReadOnlyList<ValidationError> Faults) Read(ReadOnlyMemory<byte> json, DateOnly today)
    {
        var faults = new JsonFaults();
        JsonDocument document;
        try
        {
            document = JsonDocument.Parse(json, new JsonDocumentOptions { MaxDepth = JobJson.MostDepth });
        }
        catch (JsonException)
        {
            faults.Add("#", "This is not JSON.", "Send { \"said\": \"Ida on a tote\" }.");
            return (null, faults.Faults);
        }

        using (document)
        {
            var members = faults.Members(document.RootElement, "#", "said", "today", "form", "kept");
            var said = faults.Text(members, "said", "#", required: document.RootElement.ValueKind == JsonValueKind.Object);
            var day = faults.Day(members, "today", "#") ?? today;
            var form = faults.Text(members, "form", "#");
            var pins = new List<Pin>();
            foreach (var (kept, i) in (faults.Items(members, "kept", "#", required: false) ?? []).Select((k, i) => (k, i)))
            {
                if (kept.ValueKind == JsonValueKind.String && Pin.Read(kept.GetString() ?? string.Empty) is { } pin)
                {
                    pins.Add(pin);
                }
                else
                {
                    faults.Add($"#/kept/{i.ToString(System.Globalization.CultureInfo.InvariantCulture)}", "This settles no word.", "Write label, which of the same words, and the words: \"motif:0:rose\".");
                }
            }

            return faults.Faults.Count > 0 || said is null ? (null, faults.Faults) : (new ReadSaying(said, day, form, pins), []);
        }
    }

    /// <summary>What was understood: spans, the job or null, and what is asked.</summary>
    public static string Write(Heard heard, DateOnly today)
    {
        using var stream = new MemoryStream();
        using (var w = new Utf8JsonWriter(stream, JobJson.Writing))
        {
            w.WriteStartObject();
            w.WriteStartArray("spans");
            foreach (var span in heard.Spans)
            {
                w.WriteStartObject();
                w.WriteNumber("from", span.From);
                w.WriteNumber("to", span.To);
                w.WriteString("text", span.Text);
                w.WriteString("label", Named(span.Label));
                w.WriteString("means", span.Means);
                w.WriteStartArray("others");
                foreach (var other in span.Others)
                {
                    w.WriteStringValue(Named(other));
                }

                w.WriteEndArray();
                w.WriteEndObject();
            }

            w.WriteEndArray();
            w.WritePropertyName("job");
            if (heard.Job(today) is { } job && JsonNode.Parse(JobJson.Write(job)) is JsonObject written)
            {
                if (heard.Hand is { } hand)
                {
                    // Which hand stitches is a habit: a job at the door carries habits beside it.
                    written["habits"] = new JsonObject { ["hand"] = hand };
                }

                written.WriteTo(w);
            }
            else
            {
                w.WriteNullValue();
            }

            w.WriteStartArray("asked");
            foreach (var question in heard.Asked)
            {
                w.WriteStartObject();
                w.WriteNumber("from", question.From);
                w.WriteNumber("to", question.To);
                w.WriteString("question", question.Asks);
                w.WriteStartArray("answers");
                foreach (var answer in question.Answers)
                {
                    w.WriteStartObject();
                    w.WriteString("said", answer.Said);
                    w.WriteString("means", answer.Means);
                    w.WriteEndObject();
                }

                w.WriteEndArray();
                w.WriteEndObject();
            }

            w.WriteEndArray();
            w.WriteEndObject();
        }

        return Encoding.UTF8.GetString(stream.ToArray());
    }

    /// <summary>A label as it is written.</summary>
    public static string Named(Label label) => label.ToString().ToLowerInvariant();
}
