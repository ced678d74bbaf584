using System.Globalization;
using System.Text;
using System.Text.Encodings.Web;
using System.Text.Json;
using Dittany.Core.Decisions;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Words;

namespace Dittany.Formats.Json;

/// <summary>A job as read: job and workshop, or everything that is wrong with it.</summary>
public sealed record ReadJob(Job? Job, Workshop? Workshop, IReadOnlyList<ValidationError> Faults);

/// <summary>Job JSON, <c>dittany.job/1</c>, in and out. Reading validates a parsed document, so that all faults are told at once.</summary>
public static class JobJson
{
    /// <summary>Whoever reads jobs finds the shipped alphabets on the shelf.</summary>
    public const string Schema = "dittany.job/1";

    /// <summary>How deep a document may be nested.</summary>
    public const int MostDepth = 16;

    /// <summary>How all our JSON is written: letters as they are.</summary>
    public static readonly JsonWriterOptions Writing = new() { Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping };

    /// <summary>
    /// Reads a job. <paramref name="today"/> is taken where the job states none; what it leaves out of stash, workshop and habits comes
    /// from <paramref name="workshop"/>; alphabets it may name are those of
    /// <paramref name="library"/>.
    /// </summary>
    public static ReadJob Read(ReadOnlyMemory<byte> json, DateOnly today, Workshop workshop, Library library)
    {
        var faults = new JsonFaults();
        JsonDocument document;
        try
        {
            document = JsonDocument.Parse(json, new JsonDocumentOptions { MaxDepth = MostDepth });
        }
        catch (JsonException e)
        {
            var deep = e.Message.Contains("depth", StringComparison.Ordinal);
            faults.Add("#", deep ? $"The document is nested deeper than {MostDepth}."
                : $"This is not JSON: something is wrong in line {(e.LineNumber ?? 0) + 1}.", deep ? "Nest less deeply."
                : "Send one JSON object.");
            return new ReadJob(null, null, faults.Faults);
        }

        using (document)
        {
            try
            {
                return new Budget(Budget.OfReading).Within(() => Read(document.RootElement, today, workshop, library, faults));
            }
            catch (OverBudgetException)
            {
                faults.Add("#/elements", "Its drawings are more than can be read: too many bends that cross each other.",
                    "Draw it with fewer points, make shapes that cross themselves lines, or leave parts out.");
                return new ReadJob(null, null, faults.Faults);
            }
        }
    }

    /// <summary>Writes a job so that reading gives the same job: members in a fixed order, nothing that was not stated.</summary>
    public static string Write(Job job)
    {
        using var stream = new MemoryStream();
        using (var w = new Utf8JsonWriter(stream, Writing))
        {
            w.WriteStartObject();
            WriteMembers(w, job);
            w.WriteEndObject();
        }

        return Encoding.UTF8.GetString(stream.ToArray());
    }

    internal static void WriteMembers(Utf8JsonWriter w, Job job)
    {
        w.WriteString("schema", Schema);
        Text(w, "title", job.Title);
        Text(w, "dueOn", job.DueOn?.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture));
        w.WriteString("today", job.Today.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture));
        w.WriteStartObject("item");
        w.WriteString("form", job.Form);
        Text(w, "size", job.Size);
        if (job.MeasuredMm is { Count: > 0 } measured)
        {
            Numbers(w, "measuredMm", measured);
        }

        if (job.Own is { } own)
        {
            w.WritePropertyName("own");
            FormJson.Write(w, own);
        }

        if (job.Fabric is { } fabric)
        {
            w.WriteStartObject("fabric");
            Text(w, "kind", fabric.Kind);
            Text(w, "colour", fabric.Colour);
            Number(w, "stretchPercent", fabric.StretchPercent);
            Text(w, "opacity", fabric.Opacity is { } o ? Names.Of(Names.Opacities, o) : null);
            Number(w, "thicknessMm", fabric.ThicknessMm);
            Text(w, "pile", fabric.Pile is { } p ? Names.Of(Names.Piles, p) : null);
            Text(w, "maxIron", fabric.MaxIron is { } i ? Names.Of(Names.Irons, i) : null);
            Flag(w, "washable", fabric.Washable);
            Flag(w, "busy", fabric.Busy);
            Flag(w, "lined", fabric.Lined);
            Flag(w, "prewashed", fabric.Prewashed);
            Flag(w, "coated", fabric.Coated);
            Number(w, "washC", fabric.WashC);
            Text(w, "fibre", fabric.Fibre);
            Write(w, fabric.Print);
            w.WriteEndObject();
        }

        Text(w, "wearer", job.Wearer);
        Flag(w, "nextToSkin", job.Use?.NextToSkin);
        Text(w, "washed", job.Use?.Washed);
        Text(w, "lasts", job.Use?.Lasts);
        w.WriteEndObject();
        Text(w, "zone", job.Zone);
        if (job.MakeUp is { } up)
        {
            w.WriteStartObject("makeUp");
            w.WriteString("as", up.As);
            Number(w, "bowlMm", up.BowlMm);
            Number(w, "fringeMm", up.FringeMm);
            if (up.OpeningWideMm is { } wide && up.OpeningHighMm is { } high)
            {
                w.WriteStartArray("openingMm");
                w.WriteNumberValue(wide);
                w.WriteNumberValue(high);
                w.WriteEndArray();
            }

            w.WriteEndObject();
        }

        ElementJson.Write(w, job);
        WriteStanding(w, job);
        if (job.Overrides.Count > 0)
        {
            w.WriteStartObject("overrules");
            foreach (var (id, value) in job.Overrides.Select(o => (Id: o.Key.ToString(), o.Choice)).OrderBy(o => o.Id,
                StringComparer.Ordinal))
            {
                w.WriteString(id, value);
            }

            w.WriteEndObject();
        }

        if (job.Done is { } done)
        {
            w.WriteStartObject("done");
            w.WriteBoolean("marked", done.Marked);
            w.WriteNumber("runs", done.Runs);
            if (done.Stitches > 0)
            {
                w.WriteNumber("stitches", done.Stitches);
            }

            Text(w, "rinsedOn", done.RinsedOn?.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture));
            Text(w, "washedOn", done.WashedOn?.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture));
            w.WriteBoolean("finished", done.Finished);
            w.WriteEndObject();
        }
    }

    private static ReadJob Read(JsonElement root, DateOnly today, Workshop workshop, Library library, JsonFaults faults)
    {
        var top = faults.Members(root, "#", "schema", "title", "dueOn", "today", "item", "zone", "elements", "overrules", "done", "stash",
            "workshop", "habits", "makeUp", "standing");
        if (faults.Text(top, "schema", "#") is { } schema && schema != Schema)
        {
            faults.Add("#/schema", $"'{schema}' is another schema.", $"Use {Schema}.");
        }

        var item = top.TryGetValue("item", out var i) ? faults.Members(i, "#/item", "form", "size", "measuredMm", "own", "fabric",
            "wearer", "nextToSkin", "washed", "lasts") : [];
        if (!top.ContainsKey("item") && root.ValueKind == JsonValueKind.Object)
        {
            faults.Add("#/item", "'item' is missing.", "Add \"item\": { \"form\": \"tea-towel\" }.");
        }

        var measured = faults.Numbers(item, "measuredMm", "#/item");
        var use = new StatedUse(null, faults.Flag(item, "nextToSkin", "#/item"), faults.Text(item, "washed", "#/item"),
            faults.Text(item, "lasts", "#/item"));
        var overrides = new List<(DecisionKey Key, string Choice)>();
        if (top.TryGetValue("overrules", out var o))
        {
            foreach (var (id, value) in faults.Members(o, "#/overrules"))
            {
                if (Value(value, JsonFaults.Join("#/overrules", id), faults) is { } text)
                {
                    overrides.Add((id, text));
                }
            }
        }

        var elements = ElementJson.Read(top, faults);
        var job = new Job(
            top.ContainsKey("item") ? faults.Text(item, "form", "#/item", required: true) ?? string.Empty : string.Empty,
            elements,
            faults.Day(top, "today", "#") ?? today,
            faults.Text(top, "title", "#") is { } title ? Composed(title) : null,
            faults.Day(top, "dueOn", "#"),
            faults.Text(item, "size", "#/item"),
            item.TryGetValue("fabric", out var f) ? FabricOf(f, faults) : null,
            faults.Text(item, "wearer", "#/item"),
            faults.Text(top, "zone", "#"),
            OverrideSet.Of(overrides),
            top.TryGetValue("done", out var d) ? DoneOf(d, faults) : null,
            measured is { Count: > 0 } ? measured : null,
            item.TryGetValue("own", out var own) ? FormJson.Read(own, "#/item/own", faults) : null,
            use == new StatedUse() ? null : use)
        {
            MakeUp = top.TryGetValue("makeUp", out var up) ? MakeUpOf(up, faults) : null,
            Standing = StandingOf(top, faults),
        };
        (job, var saidTwice) = FillWishes.Heard(job);
        faults.Faults.AddRange(saidTwice);
        var shop = WorkshopJson.Read(top, workshop, faults);
        var seen = faults.Faults.Select(x => x.Pointer).ToHashSet(StringComparer.Ordinal);

        // What could not be read at all is not told of twice.
        var unread = seen.Contains("#/item") || seen.Contains("#/item/form");
        var ownUnread = seen.Any(s => s.StartsWith("#/item/own", StringComparison.Ordinal));
        faults.Faults.AddRange(JobCheck.Faults(job, shop, library).Where(x => !seen.Contains(x.Pointer)
            && !(unread && x.Pointer == "#/item/form") && !(ownUnread && x.Pointer.StartsWith("#/item", StringComparison.Ordinal))
            && !(seen.Any(s => s.StartsWith("#/elements", StringComparison.Ordinal)) && x.Pointer == "#/elements")));
        return faults.Faults.Count == 0 ? new ReadJob(job, shop, []) : new ReadJob(null, null, faults.Faults);
    }

    private static void Write(Utf8JsonWriter w, Core.Materials.ClothPrint? photographed)
    {
        if (photographed is { } print)
        {
            w.WriteStartObject("print");
            w.WriteString("picture", print.Picture);
            w.WriteNumber("wideMm", print.WideMm);
            w.WriteNumber("highMm", print.HighMm);
            w.WriteNumber("darkL", print.DarkL);
            w.WriteNumber("lightL", print.LightL);
            w.WriteEndObject();
        }
    }

    private static void WriteStanding(Utf8JsonWriter w, Job job)
    {
        if (job.Standing.Count == 0)
        {
            return;
        }

        w.WriteStartArray("standing");
        foreach (var batch in job.Standing)
        {
            w.WriteStartArray();
            foreach (var id in batch)
            {
                w.WriteStringValue(id);
            }

            w.WriteEndArray();
        }

        w.WriteEndArray();
    }

    private static IReadOnlyList<string>[] StandingOf(Dictionary<string, JsonElement> top, JsonFaults faults)
    {
        var batches = faults.Items(top, "standing", "#") ?? [];
        var read = new List<IReadOnlyList<string>>();
        for (var i = 0; i < batches.Count; i++)
        {
            var at = $"#/standing/{i.ToString(CultureInfo.InvariantCulture)}";
            if (batches[i].ValueKind != JsonValueKind.Array || batches[i].EnumerateArray().Any(e => e.ValueKind != JsonValueKind.String))
            {
                faults.Add(at, "This is no list of elements.", "Write the ids of elements that stand already, such as [\"name\"].");
                continue;
            }

            read.Add(batches[i].EnumerateArray().Select(e => Value(e, at, faults) ?? string.Empty).ToArray());
        }

        return read.ToArray();
    }

    private static Core.Time.Done DoneOf(JsonElement element, JsonFaults faults)
    {
        const string At = "#/done";
        var members = faults.Members(element, At, "marked", "runs", "stitches", "rinsedOn", "finished", "washedOn");
        return new Core.Time.Done(
            faults.Flag(members, "marked", At) ?? false, faults.Whole(members, "runs", At) ?? 0, faults.Day(members, "rinsedOn", At),
                faults.Flag(members, "finished", At) ?? false, faults.Day(members, "washedOn", At),
                faults.Whole(members, "stitches", At) ?? 0);
    }

    /// <summary>Text is kept in NFC; broken text is left for the check to refuse.</summary>
    internal static string Composed(string text)
    {
        try
        {
            return text.Normalize(NormalizationForm.FormC);
        }
        catch (ArgumentException)
        {
            return text;
        }
    }

    internal static Pt? Centre(Dictionary<string, JsonElement> members, string at, JsonFaults faults)
    {
        var pair = faults.Items(members, "centreMm", at);
        if (pair is null)
        {
            return null;
        }

        if (pair.Count != 2)
        {
            faults.Add($"{at}/centreMm", $"There are {pair.Count} numbers, and two are wanted.", "Write [x, y] in mm.");
            return null;
        }

        var (x, y) = (faults.Number(pair[0], $"{at}/centreMm/0"), faults.Number(pair[1], $"{at}/centreMm/1"));
        return x is null || y is null ? null : new Pt(x.Value, y.Value);
    }

    private static MakeUp MakeUpOf(JsonElement element, JsonFaults faults)
    {
        const string At = "#/makeUp";
        var members = faults.Members(element, At, "as", "bowlMm", "openingMm", "fringeMm");
        var opening = faults.Items(members, "openingMm", At);
        if (opening is not null && opening.Count != 2)
        {
            faults.Add($"{At}/openingMm", $"There are {opening.Count} numbers, and two are wanted.", "Write [width, height] in mm.");
            opening = null;
        }

        return new MakeUp(faults.Text(members, "as", At, required: true) ?? MakeUp.None, faults.Number(members, "bowlMm", At),
            opening is null ? null : faults.Number(opening[0], $"{At}/openingMm/0"),
            opening is null ? null : faults.Number(opening[1], $"{At}/openingMm/1"))
        {
            FringeMm = faults.Number(members, "fringeMm", At),
        };
    }

    private static FabricOverrides FabricOf(JsonElement element, JsonFaults faults)
    {
        const string At = "#/item/fabric";
        var members = faults.Members(element, At, "kind", "colour", "stretchPercent", "opacity", "thicknessMm", "pile", "maxIron",
            "washable", "busy", "lined", "prewashed", "coated", "washC", "fibre", "print");
        return new FabricOverrides(
            faults.Text(members, "kind", At),
            faults.Text(members, "colour", At),
            faults.Number(members, "stretchPercent", At),
            faults.OneOf(members, "opacity", At, Names.Opacities),
            faults.Number(members, "thicknessMm", At),
            faults.OneOf(members, "pile", At, Names.Piles),
            faults.OneOf(members, "maxIron", At, Names.Irons),
            faults.Flag(members, "washable", At),
            faults.Flag(members, "busy", At),
            faults.Flag(members, "lined", At),
            faults.Flag(members, "prewashed", At),
            faults.Flag(members, "coated", At),
            faults.Whole(members, "washC", At),
            faults.Text(members, "fibre", At))
        {
            Print = members.TryGetValue("print", out var print) ? PrintOf(print, faults) : null,
        };
    }

    private static Core.Materials.ClothPrint PrintOf(JsonElement element, JsonFaults faults)
    {
        const string At = "#/item/fabric/print";
        var members = faults.Members(element, At, "picture", "wideMm", "highMm", "darkL", "lightL");
        double Number(string name)
        {
            if (!members.ContainsKey(name) && element.ValueKind == JsonValueKind.Object)
            {
                faults.Add($"{At}/{name}", $"'{name}' is missing.", "Give the picture, its size on the cloth and its lightness, or leave the print out.");
            }

            return faults.Number(members, name, At) ?? 0;
        }

        return new Core.Materials.ClothPrint(faults.Text(members, "picture", At, required: true) ?? string.Empty, Number("wideMm"), Number("highMm"),
            Number("darkL"), Number("lightL"));
    }

    private static string? Value(JsonElement value, string pointer, JsonFaults faults)
    {
        if (value.ValueKind == JsonValueKind.String)
        {
            try
            {
                return value.GetString();
            }
            catch (InvalidOperationException)
            {
                faults.Add(pointer, "The text holds half a character (a lone surrogate).", "Send whole characters.");
                return null;
            }
        }

        if (value.ValueKind == JsonValueKind.Number)
        {
            return faults.Number(value, pointer)?.ToString("R", CultureInfo.InvariantCulture);
        }

        faults.Add(pointer, "An overrule is a choice's id or a number.", "Write text or a number.");
        return null;
    }

    internal static void Text(Utf8JsonWriter w, string name, string? value)
    {
        if (value is not null)
        {
            w.WriteString(name, value);
        }
    }

    internal static void Number(Utf8JsonWriter w, string name, double? value)
    {
        if (value is { } v)
        {
            w.WriteNumber(name, v);
        }
    }

    /// <summary>Numbers by their names, in ordinal order.</summary>
    internal static void Numbers(Utf8JsonWriter w, string name, IReadOnlyDictionary<string, double> numbers)
    {
        w.WriteStartObject(name);
        foreach (var (id, value) in numbers.OrderBy(n => n.Key, StringComparer.Ordinal))
        {
            w.WriteNumber(id, value);
        }

        w.WriteEndObject();
    }

    internal static void Flag(Utf8JsonWriter w, string name, bool? value)
    {
        if (value is { } v)
        {
            w.WriteBoolean(name, v);
        }
    }
}
