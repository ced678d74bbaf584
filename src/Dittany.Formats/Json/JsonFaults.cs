using System.Text.Json;
using Dittany.Core.Jobs;

namespace Dittany.Formats.Json;

/// <summary>
/// Reads members of a parsed document one by one and gathers every fault with its pointer, instead of stopping at the first. A member that
/// is missing or faulty reads as null.
/// </summary>
internal sealed class JsonFaults
{
    public List<ValidationError> Faults { get; } = [];

    public void Add(string pointer, string detail, string @try) => Faults.Add(new ValidationError(pointer, detail, @try));

    /// <summary>Members of an object by name. Unknown members and duplicates are faults; so is anything that is not an object.</summary>
    public Dictionary<string, JsonElement> Members(JsonElement element, string pointer, params string[] known)
    {
        var members = new Dictionary<string, JsonElement>(StringComparer.Ordinal);
        if (element.ValueKind != JsonValueKind.Object)
        {
            Add(pointer, $"This is {Kind(element)}, and an object is wanted.", "Write { … }.");
            return members;
        }

        foreach (var property in element.EnumerateObject())
        {
            string name;
            try
            {
                name = property.Name;
            }
            catch (InvalidOperationException)
            {
                Add(pointer, "A member's name holds half a character.", "Send whole characters.");
                continue;
            }

            if (known.Length > 0 && !known.Contains(name, StringComparer.Ordinal))
            {
                Add(Join(pointer, name), $"There is no member '{Short(name)}' here.", $"Known here: {string.Join(", ", known)}.");
            }
            else if (!members.TryAdd(name, property.Value))
            {
                Add(Join(pointer, name), $"The member '{Short(name)}' stands here twice.", "Keep one of the two.");
            }
        }

        return members;
    }

    public string? Text(Dictionary<string, JsonElement> members, string name, string pointer, bool required = false)
    {
        if (!Present(members, name, pointer, required, out var value))
        {
            return null;
        }

        if (value.ValueKind != JsonValueKind.String)
        {
            Add(Join(pointer, name), $"This is {Kind(value)}, and text is wanted.", "Write it in quotation marks.");
            return null;
        }

        try
        {
            return value.GetString();
        }
        catch (InvalidOperationException)
        {
            Add(Join(pointer, name), "The text holds half a character (a lone surrogate).", "Send whole characters.");
            return null;
        }
    }

    public double? Number(Dictionary<string, JsonElement> members, string name, string pointer) =>
        Present(members, name, pointer, false, out var value) ? Number(value, Join(pointer, name)) : null;

    public double? Number(JsonElement value, string pointer)
    {
        if (value.ValueKind == JsonValueKind.Number && value.TryGetDouble(out var number) && double.IsFinite(number))
        {
            return number;
        }

        Add(pointer, value.ValueKind == JsonValueKind.Number ? "The number is not finite."
            : $"This is {Kind(value)}, and a number is wanted.", "Write a plain number.");
        return null;
    }

    public int? Whole(Dictionary<string, JsonElement> members, string name, string pointer)
    {
        var number = Number(members, name, pointer);
        if (number is not { } n)
        {
            return null;
        }

        if (n == Math.Floor(n) && Math.Abs(n) <= int.MaxValue)
        {
            return (int)n;
        }

        Add(Join(pointer, name), "The number is not whole.", "Write a whole number.");
        return null;
    }

    /// <summary>Numbers by whatever names they have; null where the member is left out.</summary>
    public Dictionary<string, double>? Numbers(Dictionary<string, JsonElement> members, string name, string pointer)
    {
        if (!Present(members, name, pointer, false, out var element))
        {
            return null;
        }

        var numbers = new Dictionary<string, double>(StringComparer.Ordinal);
        foreach (var (id, value) in Members(element, Join(pointer, name)))
        {
            if (Number(value, Join(Join(pointer, name), id)) is { } number)
            {
                numbers[id] = number;
            }
        }

        return numbers;
    }

    public bool? Flag(Dictionary<string, JsonElement> members, string name, string pointer)
    {
        if (!Present(members, name, pointer, false, out var value))
        {
            return null;
        }

        if (value.ValueKind is JsonValueKind.True or JsonValueKind.False)
        {
            return value.GetBoolean();
        }

        Add(Join(pointer, name), $"This is {Kind(value)}, and true or false is wanted.", "Write true or false.");
        return null;
    }

    public DateOnly? Day(Dictionary<string, JsonElement> members, string name, string pointer)
    {
        var text = Text(members, name, pointer);
        if (text is null)
        {
            return null;
        }

        if (DateOnly.TryParseExact(text, "yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture,
            System.Globalization.DateTimeStyles.None, out var day) && day.Year is >= 1900 and <= 9000)
        {
            return day;
        }

        Add(Join(pointer, name), $"'{Short(text)}' is not a day.", "Write it like 2027-03-14.");
        return null;
    }

    public T? OneOf<T>(Dictionary<string, JsonElement> members, string name, string pointer, IReadOnlyDictionary<string, T> choices)
        where T : struct
    {
        var text = Text(members, name, pointer);
        if (text is null)
        {
            return null;
        }

        if (choices.TryGetValue(text, out var choice))
        {
            return choice;
        }

        Add(Join(pointer, name), $"'{Short(text)}' is not known here.", $"Use {string.Join(", ", choices.Keys)}.");
        return null;
    }

    public IReadOnlyList<JsonElement>? Items(Dictionary<string, JsonElement> members, string name, string pointer, bool required = false)
    {
        if (!Present(members, name, pointer, required, out var value))
        {
            return null;
        }

        if (value.ValueKind == JsonValueKind.Array)
        {
            return value.EnumerateArray().ToArray();
        }

        Add(Join(pointer, name), $"This is {Kind(value)}, and a list is wanted.", "Write [ … ].");
        return null;
    }

    public static string Join(string pointer, string name) =>
        $"{pointer}/{Short(name).Replace("~", "~0", StringComparison.Ordinal).Replace("/", "~1", StringComparison.Ordinal)}";

    private static string Short(string text) => text.Length <= 80 ? text : text[..80] + "…";

    private static string Kind(JsonElement value) => value.ValueKind switch
    {
        JsonValueKind.Null => "null",
        JsonValueKind.String => "text",
        JsonValueKind.Number => "a number",
        JsonValueKind.Array => "a list",
        JsonValueKind.Object => "an object",
        _ => "true or false",
    };

    private bool Present(Dictionary<string, JsonElement> members, string name, string pointer, bool required, out JsonElement value)
    {
        if (members.TryGetValue(name, out value))
        {
            return true;
        }

        if (required)
        {
            Add(Join(pointer, name), $"'{name}' is missing.", $"Add \"{name}\".");
        }

        return false;
    }
}
