using System.Globalization;
using System.Text;
using System.Text.Json;
using Dittany.Core.Jobs;
using Dittany.Core.Words;
using Dittany.Formats.Json;

namespace Dittany.Store;

/// <summary>
/// Jobs as they come back from the store. They made sense when they went in; rules have grown since, and a disk can fail: what makes none
/// now is told, never thrown.
/// </summary>
internal static class StoredJob
{
    private const int MostName = 60;

    /// <summary>The job, or the first thing that is wrong with it.</summary>
    public static (Job? Job, ValidationError? Fault) Read(string json, Library library)
    {
        try
        {
            var read = JobJson.Read(Encoding.UTF8.GetBytes(json), DateOnly.MinValue, Workshop.Default, library);
            return read.Job is null ? (null, read.Faults[0]) : (read.Job, null);
        }
        catch (Exception e) when (e is FormatException or ArgumentException or InvalidOperationException or OverflowException)
        {
            return (null, new ValidationError("#", "It cannot be read any more.", "Take it out as it is, and make it anew."));
        }
    }

    /// <summary>What to call a piece whose job may be past reading: its title, its first words, or its number.</summary>
    public static string NameOf(string json, int id)
    {
        var name = string.Empty;
        try
        {
            using var document = JsonDocument.Parse(json);
            name = Text(document.RootElement, "title")
                ?? (document.RootElement.TryGetProperty("elements", out var all) && all.ValueKind == JsonValueKind.Array
                    ? all.EnumerateArray().Select(e => Text(e, "text") ?? Text(e, "motif")).FirstOrDefault(t => t is not null) : null)
                ?? string.Empty;
        }
        catch (Exception e) when (e is JsonException or InvalidOperationException)
        {
            // Named by its number then.
        }

        name = string.Concat(name.ReplaceLineEndings(" ").Where(c => !char.IsControl(c)
            && CharUnicodeInfo.GetUnicodeCategory(c) != UnicodeCategory.Format)).Trim();
        return name.Length == 0 ? string.Create(CultureInfo.InvariantCulture, $"Piece {id}") : name.Length > MostName ? name[..MostName]
            : name;
    }

    private static string? Text(JsonElement of, string member) =>
        of.ValueKind == JsonValueKind.Object && of.TryGetProperty(member, out var value) && value.ValueKind == JsonValueKind.String
            ? value.GetString() : null;
}
