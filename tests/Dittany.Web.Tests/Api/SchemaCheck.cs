using System.Text.Json;
using System.Text.RegularExpressions;

namespace Dittany.Web.Tests.Api;

/// <summary>Checks a document against the parts of JSON Schema that ours use.</summary>
internal static class SchemaCheck
{
    public static void Holds(JsonElement schema, JsonElement value, string at)
    {
        if (schema.TryGetProperty("const", out var only))
        {
            Assert.Equal(only.GetString(), value.GetString());
        }

        if (schema.TryGetProperty("enum", out var choices))
        {
            Assert.True(choices.EnumerateArray().Any(c => c.GetString() == value.GetString()), $"{at}: {value}");
        }

        if (schema.TryGetProperty("pattern", out var pattern))
        {
            Assert.Matches(new Regex(pattern.GetString()!, RegexOptions.None, TimeSpan.FromSeconds(1)), value.GetString());
        }

        if (schema.TryGetProperty("type", out var type))
        {
            var allowed = type.ValueKind == JsonValueKind.Array ? type.EnumerateArray().Select(t => t.GetString()).ToArray()
                : [type.GetString()];
            Assert.True(allowed.Contains(TypeOf(value)) || (allowed.Contains("integer") && TypeOf(value) == "number"),
                $"{at} is {TypeOf(value)}, wanted {string.Join('/', allowed)}");
        }

        if (schema.TryGetProperty("required", out var required))
        {
            Assert.All(required.EnumerateArray(), name => Assert.True(value.TryGetProperty(name.GetString()!, out _),
                $"{at} lacks {name}"));
        }

        if (schema.TryGetProperty("properties", out var properties) && value.ValueKind == JsonValueKind.Object)
        {
            foreach (var member in value.EnumerateObject())
            {
                if (properties.TryGetProperty(member.Name, out var inner))
                {
                    Holds(inner, member.Value, $"{at}/{member.Name}");
                }
                else
                {
                    Assert.False(schema.TryGetProperty("additionalProperties", out var more) && more.ValueKind == JsonValueKind.False,
                        $"{at}/{member.Name} is not in the schema");
                }
            }
        }

        if (schema.TryGetProperty("items", out var items) && value.ValueKind == JsonValueKind.Array)
        {
            foreach (var item in value.EnumerateArray())
            {
                Holds(items, item, $"{at}/…");
            }
        }
    }

    private static string TypeOf(JsonElement value) => value.ValueKind switch
    {
        JsonValueKind.Object => "object",
        JsonValueKind.Array => "array",
        JsonValueKind.String => "string",
        JsonValueKind.Number => "number",
        JsonValueKind.Null => "null",
        _ => "boolean",
    };
}
