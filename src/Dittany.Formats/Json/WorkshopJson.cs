using System.Text;
using System.Text.Json;
using Dittany.Core.Jobs;

namespace Dittany.Formats.Json;

/// <summary>
/// The workshop's part of a job: <c>stash</c>, <c>workshop</c> and <c>habits</c>. Stored on its own it is the same three members.
/// </summary>
public static class WorkshopJson
{
    /// <summary>Writes a workshop as an object with its three members.</summary>
    public static string Write(Workshop workshop)
    {
        using var stream = new MemoryStream();
        using (var w = new Utf8JsonWriter(stream, JobJson.Writing))
        {
            w.WriteStartObject();
            WriteMembers(w, workshop);
            w.WriteEndObject();
        }

        return Encoding.UTF8.GetString(stream.ToArray());
    }

    /// <summary>
    /// Reads what <see cref="Write"/> wrote; members left out come from the shipped default. Faulty ones are told, never skipped.
    /// </summary>
    public static (Workshop? Workshop, IReadOnlyList<ValidationError> Faults) Read(string json)
    {
        var faults = new JsonFaults();
        using var document = JsonDocument.Parse(json);
        var top = faults.Members(document.RootElement, "#", "stash", "workshop", "habits");
        var workshop = Read(top, Workshop.Default, faults);
        return faults.Faults.Count == 0 ? (workshop, []) : (null, faults.Faults);
    }

    internal static void WriteMembers(Utf8JsonWriter w, Workshop workshop)
    {
        w.WriteStartObject("stash");
        w.WriteStartArray("hoopsMm");
        foreach (var hoop in workshop.HoopsMm)
        {
            w.WriteNumberValue(hoop);
        }

        w.WriteEndArray();
        if (workshop.Threads.Count > 0)
        {
            w.WriteStartArray("threads");
            foreach (var thread in workshop.Threads)
            {
                w.WriteStartObject();
                w.WriteString("name", thread.Name);
                w.WriteString("colour", thread.Hex);
                w.WriteString("thread", thread.Kind);
                w.WriteEndObject();
            }

            w.WriteEndArray();
        }

        w.WriteEndObject();
        w.WriteStartObject("workshop");
        w.WriteStartArray("equipment");
        foreach (var tool in workshop.Equipment)
        {
            w.WriteStringValue(tool);
        }

        w.WriteEndArray();
        w.WriteString("skill", Names.Of(Names.Skills, workshop.Skill));
        w.WriteNumber("eveningsPerWeek", workshop.EveningsPerWeek);
        w.WriteNumber("minutesPerEvening", workshop.MinutesPerEvening);
        w.WriteNumber("hourlyRate", workshop.HourlyRate);
        w.WriteString("paper", workshop.Paper);
        w.WriteString("units", Names.Of(Names.Units, workshop.Units));
        Numbers(w, "threadWidthsMm", workshop.ThreadWidthsMm);
        Numbers(w, "trials", workshop.Trials);
        Numbers(w, "paces", workshop.Paces);

        JobJson.Number(w, "takeUp", workshop.MeasuredTakeUp);
        w.WriteEndObject();
        w.WriteStartObject("habits");
        foreach (var (id, choice) in workshop.Habits.OrderBy(h => h.Key, StringComparer.Ordinal))
        {
            w.WriteString(id, choice);
        }

        w.WriteEndObject();
    }

    internal static Workshop Read(Dictionary<string, JsonElement> top, Workshop from, JsonFaults faults)
    {
        var workshop = from;
        if (top.TryGetValue("stash", out var stash))
        {
            var members = faults.Members(stash, "#/stash", "hoopsMm", "threads");
            if (faults.Items(members, "hoopsMm", "#/stash") is { } hoops)
            {
                workshop = workshop with
                {
                    HoopsMm = hoops.Select((h, n) => faults.Number(h, $"#/stash/hoopsMm/{n}")).OfType<double>().ToArray(),
                };
            }

            if (faults.Items(members, "threads", "#/stash") is { } threads)
            {
                workshop = workshop with
                {
                    Threads = threads.Take(Core.Materials.OwnThread.Most + 1).Select((t, n) => Thread(t, n, faults)).ToArray(),
                };
            }
        }

        if (top.TryGetValue("workshop", out var shop))
        {
            const string At = "#/workshop";
            var members = faults.Members(shop, At, "equipment", "skill", "eveningsPerWeek", "minutesPerEvening", "hourlyRate", "paper",
                "units", "threadWidthsMm", "takeUp", "trials", "paces");
            workshop = workshop with
            {
                ThreadWidthsMm = Numbers(members, "threadWidthsMm", At, faults) ?? workshop.ThreadWidthsMm,
                Trials = Numbers(members, "trials", At, faults) ?? workshop.Trials,
                Paces = Numbers(members, "paces", At, faults) ?? workshop.Paces,
            };
            var tools = faults.Items(members, "equipment", At)?.Select((t, n) =>
            {
                if (t.ValueKind == JsonValueKind.String)
                {
                    return t.GetString()!;
                }

                faults.Add($"{At}/equipment/{n}", "A tool is named by text.", "Write it in quotation marks.");
                return "window";
            }).ToArray();
            workshop = workshop with
            {
                Equipment = tools ?? workshop.Equipment,
                Skill = faults.OneOf(members, "skill", At, Names.Skills) ?? workshop.Skill,
                EveningsPerWeek = faults.Whole(members, "eveningsPerWeek", At) ?? workshop.EveningsPerWeek,
                MinutesPerEvening = faults.Number(members, "minutesPerEvening", At) ?? workshop.MinutesPerEvening,
                HourlyRate = faults.Number(members, "hourlyRate", At) ?? workshop.HourlyRate,
                Paper = faults.Text(members, "paper", At) ?? workshop.Paper,
                Units = faults.OneOf(members, "units", At, Names.Units) ?? workshop.Units,
                MeasuredTakeUp = faults.Number(members, "takeUp", At) ?? workshop.MeasuredTakeUp,
            };
        }

        if (top.TryGetValue("habits", out var habits))
        {
            var chosen = new Dictionary<string, string>(workshop.Habits, StringComparer.Ordinal);
            var members = faults.Members(habits, "#/habits");
            foreach (var id in members.Keys)
            {
                if (faults.Text(members, id, "#/habits") is { } choice)
                {
                    chosen[id] = choice;
                }
            }

            workshop = workshop with { Habits = chosen };
        }

        return workshop;
    }

    /// <summary>Named numbers; nothing is written where there are none, so that a workshop that has none stays as it was.</summary>
    private static void Numbers(Utf8JsonWriter w, string name, IReadOnlyDictionary<string, double> numbers)
    {
        if (numbers.Count == 0)
        {
            return;
        }

        w.WriteStartObject(name);
        foreach (var (key, number) in numbers.OrderBy(n => n.Key, StringComparer.Ordinal))
        {
            w.WriteNumber(key, number);
        }

        w.WriteEndObject();
    }

    private static Dictionary<string, double>? Numbers(Dictionary<string, JsonElement> members, string name, string at, JsonFaults faults)
    {
        if (!members.TryGetValue(name, out var json))
        {
            return null;
        }

        var own = faults.Members(json, $"{at}/{name}");
        return own.Keys.Select(k => (Key: k, Number: faults.Number(own, k, $"{at}/{name}"))).Where(k => k.Number is not null)
            .ToDictionary(k => k.Key, k => k.Number!.Value, StringComparer.Ordinal);
    }

    private static Core.Materials.OwnThread Thread(JsonElement json, int n, JsonFaults faults)
    {
        var at = $"#/stash/threads/{n}";
        var members = faults.Members(json, at, "name", "colour", "thread");
        return new Core.Materials.OwnThread(faults.Text(members, "name", at, required: true) ?? "?",
            faults.Text(members, "colour", at, required: true)?.ToLowerInvariant() ?? "#000000",
            faults.Text(members, "thread", at) ?? Core.Materials.ThreadKinds.Cotton.Id);
    }
}
