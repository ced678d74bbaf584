using System.Globalization;
using System.Text.Json;
using Dittany.Core.Geometry;
using Dittany.Core.Motifs;

namespace Dittany.Formats.Json;

/// <summary>How copies of a motif are set out by eye, in and out.</summary>
internal static class LooselyJson
{
    public static Loosely? Read(Dictionary<string, JsonElement> motif, string at, JsonFaults faults)
    {
        if (!motif.TryGetValue("loosely", out var element))
        {
            return null;
        }

        var here = $"{at}/loosely";
        var members = faults.Members(element, here, "swayPercent", "unevenPercent", "alike", "gapAfter", "gapPercent", "pushed");
        var pushed = new List<Pushed>();
        var items = faults.Items(members, "pushed", here) ?? [];
        for (var i = 0; i < items.Count; i++)
        {
            var one = $"{here}/pushed/{i.ToString(CultureInfo.InvariantCulture)}";
            var push = faults.Members(items[i], one, "copy", "by");
            var by = faults.Items(push, "by", one, required: true);
            if (by is { Count: not 2 })
            {
                faults.Add($"{one}/by", $"There are {by.Count} numbers, and two are wanted.", "Write [x, y] in motifs, y down.");
                continue;
            }

            if (by is not null && faults.Whole(push, "copy", one) is { } copy && faults.Number(by[0], $"{one}/by/0") is { } x
                && faults.Number(by[1], $"{one}/by/1") is { } y)
            {
                pushed.Add(new Pushed(copy, new Pt(x, y)));
            }
        }

        return new Loosely(faults.Number(members, "swayPercent", here) ?? 0, faults.Number(members, "unevenPercent", here) ?? 0,
            faults.Flag(members, "alike", here) ?? false, faults.Whole(members, "gapAfter", here),
            faults.Number(members, "gapPercent", here) ?? new Loosely().GapPercent)
        {
            Pushed = pushed,
        };
    }

    public static void Write(Utf8JsonWriter w, Loosely? loosely)
    {
        if (loosely is not { } how)
        {
            return;
        }

        w.WriteStartObject("loosely");
        w.WriteNumber("swayPercent", how.SwayPercent);
        w.WriteNumber("unevenPercent", how.UnevenPercent);
        w.WriteBoolean("alike", how.Alike);
        JobJson.Number(w, "gapAfter", how.GapAfter);
        w.WriteNumber("gapPercent", how.GapPercent);
        if (how.Pushed.Count > 0)
        {
            w.WriteStartArray("pushed");
            foreach (var push in how.Pushed)
            {
                w.WriteStartObject();
                w.WriteNumber("copy", push.Copy);
                w.WriteStartArray("by");
                w.WriteNumberValue(push.By.X);
                w.WriteNumberValue(push.By.Y);
                w.WriteEndArray();
                w.WriteEndObject();
            }

            w.WriteEndArray();
        }

        w.WriteEndObject();
    }
}
