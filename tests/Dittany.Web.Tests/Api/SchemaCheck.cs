using System.Text.Json;
using System.Text.Json.Nodes;
using Json.Schema;

namespace Dittany.Web.Tests.Api;

/// <summary>Checks documents against our published schemas by a validator of JSON Schema 2020-12 that is not ours.</summary>
internal static class SchemaCheck
{
    private static readonly EvaluationOptions Options = new() { OutputFormat = OutputFormat.List, RequireFormatValidation = true };

    /// <summary>A published schema, to be asked over and over.</summary>
    public static JsonSchema Of(JsonObject schema) => JsonSchema.FromText(schema.ToJsonString());

    /// <summary>Where a document breaks a schema and how, the deepest places first; none where it holds.</summary>
    public static IReadOnlyList<string> Faults(JsonSchema schema, JsonElement value)
    {
        var result = schema.Evaluate(value, Options);
        return result.IsValid ? [] : (result.Details ?? []).Where(d => !d.IsValid && d.Errors is { Count: > 0 })
            .OrderByDescending(d => d.InstanceLocation.ToString().Length)
            .Select(d => $"{d.InstanceLocation}: {string.Join("; ", (d.Errors ?? new Dictionary<string, string>()).Values)}").DefaultIfEmpty("#: it does not hold").ToArray();
    }

    public static IReadOnlyList<string> Faults(JsonObject schema, JsonElement value) => Faults(Of(schema), value);

    /// <summary>Fails with what is broken where a document does not hold.</summary>
    public static void Holds(JsonElement schema, JsonElement value, string at)
    {
        var faults = Faults(JsonSchema.FromText(schema.GetRawText()), value);
        Assert.True(faults.Count == 0, $"{at}: {string.Join('\n', faults.Take(5))}");
    }
}
