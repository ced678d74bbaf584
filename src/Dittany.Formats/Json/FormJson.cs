using System.Globalization;
using System.Text;
using System.Text.Encodings.Web;
using System.Text.Json;
using Dittany.Core.Geometry;
using Dittany.Core.Items;

namespace Dittany.Formats.Json;

/// <summary>An own form as read, or everything that is wrong with it.</summary>
public sealed record ReadForm(OwnForm? Form, IReadOnlyList<FormFault> Faults);

/// <summary>
/// Own forms as JSON, <c>dittany.form/1</c>, in and out: the same document in a file, in the store and within a job. A picture goes by its
/// name only.
/// </summary>
public static class FormJson
{
    public const string Schema = "dittany.form/1";

    /// <summary>The largest document taken, bytes.</summary>
    public const int MostBytes = 1024 * 1024;

    /// <summary>Kinds of obstacles by the names they are written with.</summary>
    public static IReadOnlyDictionary<string, ObstacleKind> Kinds { get; } = new Dictionary<string, ObstacleKind>(StringComparer.Ordinal)
    {
        ["flat-seam"] = ObstacleKind.FlatSeam,
        ["bag-side"] = ObstacleKind.BagSide,
        ["topstitched-hem"] = ObstacleKind.TopstitchedHem,
        ["rolled-hem"] = ObstacleKind.RolledHem,
        ["neck-rib"] = ObstacleKind.NeckRib,
        ["button-edge"] = ObstacleKind.ButtonEdge,
        ["popper"] = ObstacleKind.Popper,
        ["zip-teeth"] = ObstacleKind.ZipTeeth,
        ["pocket-edge"] = ObstacleKind.PocketEdge,
        ["strap-end"] = ObstacleKind.StrapEnd,
        ["print"] = ObstacleKind.Print,
        ["drawcord"] = ObstacleKind.Drawcord,
        ["raw-edge"] = ObstacleKind.RawEdge,
    };

    /// <summary>Where a face is folded over, by the names it is written with.</summary>
    public static IReadOnlyDictionary<string, FoldSide> Folds { get; } = new Dictionary<string,
        FoldSide>(StringComparer.Ordinal)
    { ["top"] = FoldSide.Top, ["bottom"] = FoldSide.Bottom };

    private static readonly string[] OfFace = ["outlineMm", "zones", "obstacles", "openingMm", "folded", "picture", "withinMm"];

    /// <summary>Writes a form so that reading gives the same form.</summary>
    public static string Write(OwnForm form, bool indented = false)
    {
        using var stream = new MemoryStream();
        using (var w = new Utf8JsonWriter(stream, new JsonWriterOptions
        {
            Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
            Indented = indented,
            NewLine = "\n"
        }))
        {
            Write(w, form);
        }

        return Encoding.UTF8.GetString(stream.ToArray());
    }

    /// <summary>Reads a form; every fault names its member.</summary>
    public static ReadForm Read(string json)
    {
        if (Encoding.UTF8.GetByteCount(json) > MostBytes)
        {
            return new ReadForm(null, [new FormFault(string.Empty, "The document is larger than 1 MB.",
                "A form takes a few kilobytes: is this the right file?")]);
        }

        JsonDocument document;
        try
        {
            document = JsonDocument.Parse(json, new JsonDocumentOptions { MaxDepth = JobJson.MostDepth });
        }
        catch (JsonException e)
        {
            return new ReadForm(null, [new FormFault(string.Empty,
                $"This is not JSON: something is wrong in line {((e.LineNumber ?? 0) + 1).ToString(CultureInfo.InvariantCulture)}.",
                "Take a file that was written by “Take it out as a file”.")]);
        }

        using (document)
        {
            var faults = new JsonFaults();
            var form = Read(document.RootElement, "#", faults);
            if (faults.Faults.Count > 0)
            {
                return new ReadForm(null, faults.Faults.Select(f =>
                    new FormFault(f.Pointer.TrimStart('#', '/'), f.Detail, f.Try)).ToArray());
            }

            var wrong = OwnForms.Faults(form);
            return wrong.Count > 0 ? new ReadForm(null, wrong) : new ReadForm(form, []);
        }
    }

    internal static void Write(Utf8JsonWriter w, OwnForm form)
    {
        w.WriteStartObject();
        w.WriteString("schema", Schema);
        w.WriteString("id", form.Id);
        w.WriteString("name", form.Name);
        w.WriteString("shape", form.Shape);
        JobJson.Numbers(w, "measuredMm", form.MeasuredMm);
        w.WriteStartObject("face");
        w.WriteString("id", form.First.Id);
        w.WriteString("name", form.First.Name);
        w.WriteEndObject();
        Face(w, form.First);
        if (form.Faces.Count > 1)
        {
            w.WriteStartArray("faces");
            foreach (var face in form.Faces.Skip(1))
            {
                w.WriteStartObject();
                w.WriteString("id", face.Id);
                w.WriteString("name", face.Name);
                Face(w, face);
                w.WriteEndObject();
            }

            w.WriteEndArray();
        }

        w.WriteString("cloth", form.Cloth);
        w.WriteString("colour", form.Colour);
        w.WriteString("wearer", form.Wearer);
        if (form.Use is { } use)
        {
            w.WriteStartObject("use");
            w.WriteBoolean("handled", use.Handled);
            w.WriteBoolean("nextToSkin", use.NextToSkin);
            w.WriteBoolean("seenOutdoors", use.SeenOutdoors);
            w.WriteBoolean("madeUp", use.MadeUp);
            w.WriteEndObject();
        }

        w.WriteBoolean("lined", form.Lined);
        if (form.Like is { } like)
        {
            w.WriteStartObject("like");
            w.WriteString("form", like.Form);
            w.WriteString("size", like.Size);
            w.WriteNumber("widthMm", like.WidthMm);
            w.WriteNumber("heightMm", like.HeightMm);
            w.WriteEndObject();
        }

        w.WriteEndObject();
    }

    private static void Face(Utf8JsonWriter w, OwnFace face)
    {
        PlanJson.Points(w, "outlineMm", face.OutlineMm);
        w.WriteStartArray("zones");
        foreach (var zone in face.Zones)
        {
            w.WriteStartObject();
            w.WriteString("id", zone.Id);
            w.WriteString("name", zone.Name);
            w.WriteNumber("edgeMm", zone.EdgeAllowanceMm);
            PlanJson.Points(w, "ringMm", zone.RingMm);
            w.WriteEndObject();
        }

        w.WriteEndArray();
        w.WriteStartArray("obstacles");
        foreach (var obstacle in face.Obstacles)
        {
            w.WriteStartObject();
            w.WriteString("id", obstacle.Id);
            w.WriteString("name", obstacle.Name);
            w.WriteString("kind", Names.Of(Kinds, obstacle.Kind));
            PlanJson.Points(w, "ringMm", obstacle.RingMm);
            w.WriteEndObject();
        }

        w.WriteEndArray();
        JobJson.Number(w, "openingMm", face.OpeningMm);
        if (face.Folded is { } folded)
        {
            w.WriteString("folded", Names.Of(Folds, folded));
        }

        if (face.Picture is { } picture)
        {
            w.WriteStartObject("picture");
            w.WriteString("id", picture.Id);
            w.WriteNumber("xMm", picture.XMm);
            w.WriteNumber("yMm", picture.YMm);
            w.WriteNumber("widthMm", picture.WidthMm);
            w.WriteNumber("heightMm", picture.HeightMm);
            w.WriteEndObject();
        }

        JobJson.Number(w, "withinMm", face.WithinMm);
    }

    /// <summary>
    /// Reads a form out of a larger document; what cannot be read is told with its pointer, what makes no sense is left to
    /// <see cref="OwnForms.Faults"/>.
    /// </summary>
    internal static OwnForm Read(JsonElement element, string at, JsonFaults faults)
    {
        var top = faults.Members(element, at, ["schema", "id", "name", "shape", "measuredMm", "face", "faces", .. OfFace, "cloth",
            "colour", "wearer", "use", "lined", "like"]);
        if (faults.Text(top, "schema", at) is { } schema && schema != Schema)
        {
            faults.Add($"{at}/schema", $"'{schema}' is another schema.", $"Use {Schema}.");
        }

        var measured = faults.Numbers(top, "measuredMm", at) ?? [];
        var (firstId, firstName) = (OwnFace.FrontId, "front");
        if (top.TryGetValue("face", out var f))
        {
            var m = faults.Members(f, $"{at}/face", "id", "name");
            firstName = faults.Text(m, "name", $"{at}/face", required: true) ?? firstName;
            firstId = faults.Text(m, "id", $"{at}/face") ?? IdOf(firstName, 0);
        }

        var faces = new List<OwnFace> { Face(top, at, firstId, firstName, faults) };
        faces.AddRange((faults.Items(top, "faces", at) ?? []).Select((e, i) =>
        {
            var pointer = $"{at}/faces/{i.ToString(CultureInfo.InvariantCulture)}";
            var m = faults.Members(e, pointer, ["id", "name", .. OfFace]);
            var name = faults.Text(m, "name", pointer, required: true) ?? string.Empty;
            return Face(m, pointer, faults.Text(m, "id", pointer) ?? IdOf(name, i + 1), name, faults);
        }));
        FormUse? use = null;
        if (top.TryGetValue("use", out var u))
        {
            var m = faults.Members(u, $"{at}/use", "handled", "nextToSkin", "seenOutdoors", "madeUp");
            use = new FormUse(
                faults.Flag(m, "handled", $"{at}/use") ?? false, faults.Flag(m, "nextToSkin", $"{at}/use") ?? false,
                    faults.Flag(m, "seenOutdoors", $"{at}/use") ?? false, faults.Flag(m, "madeUp", $"{at}/use") ?? false);
        }

        OwnLike? like = null;
        if (top.TryGetValue("like", out var l))
        {
            var m = faults.Members(l, $"{at}/like", "form", "size", "widthMm", "heightMm");
            double Of(string member) => faults.Number(m, member, $"{at}/like") ?? 0;
            like = new OwnLike(faults.Text(m, "form", $"{at}/like", required: true) ?? string.Empty, faults.Text(m, "size", $"{at}/like")
                ?? string.Empty, Of("widthMm"), Of("heightMm"));
        }

        return new OwnForm(
            faults.Text(top, "id", at, required: true) ?? string.Empty,
                faults.Text(top, "name", at, required: true)?.Normalize(NormalizationForm.FormC) ?? string.Empty,
                faults.Text(top, "shape", at) ?? "polygon", measured,
            faces, faults.Text(top, "cloth", at) ?? "quilting-cotton", faults.Text(top, "colour", at) ?? "#f1ede2",
                faults.Text(top, "wearer", at) ?? "nobody", use, faults.Flag(top, "lined", at) ?? false, like);
    }

    private static OwnFace Face(Dictionary<string, JsonElement> members, string at, string id, string name, JsonFaults faults)
    {
        var zones = (faults.Items(members, "zones", at, required: true) ?? []).Select((z, i) =>
        {
            var pointer = $"{at}/zones/{i.ToString(CultureInfo.InvariantCulture)}";
            var m = faults.Members(z, pointer, "id", "name", "edgeMm", "ringMm");
            var called = faults.Text(m, "name", pointer, required: true) ?? string.Empty;
            return new OwnZone(faults.Text(m, "id", pointer) ?? IdOf(called, i), called, Ring(m, "ringMm", pointer, faults),
                faults.Number(m, "edgeMm", pointer) ?? 5);
        }).ToArray();
        var obstacles = (faults.Items(members, "obstacles", at) ?? []).Select((o, i) =>
        {
            var pointer = $"{at}/obstacles/{i.ToString(CultureInfo.InvariantCulture)}";
            var m = faults.Members(o, pointer, "id", "name", "kind", "ringMm");
            var called = faults.Text(m, "name", pointer, required: true) ?? string.Empty;
            return new OwnObstacle(faults.Text(m, "id", pointer) ?? IdOf(called, i), called, faults.OneOf(m, "kind", pointer, Kinds)
                ?? ObstacleKind.FlatSeam, Ring(m, "ringMm", pointer, faults));
        }).ToArray();
        Picture? picture = null;
        if (members.TryGetValue("picture", out var p))
        {
            var m = faults.Members(p, $"{at}/picture", "id", "xMm", "yMm", "widthMm", "heightMm");
            double Of(string member) => faults.Number(m, member, $"{at}/picture") ?? 0;
            picture = new Picture(faults.Text(m, "id", $"{at}/picture", required: true) ?? string.Empty, Of("xMm"), Of("yMm"),
                Of("widthMm"), Of("heightMm"));
            if (!picture.Id.All(char.IsAsciiHexDigitLower) || picture.Id.Length != 64)
            {
                faults.Add($"{at}/picture/id", "This is no picture's name.", "Leave the picture out: the outline stays.");
            }
        }

        return new OwnFace(id, name, Ring(members, "outlineMm", at, faults), zones, obstacles, faults.Number(members, "openingMm", at),
            faults.OneOf(members, "folded", at, Folds), picture, faults.Number(members, "withinMm", at));
    }

    /// <summary>An id made of a name: small letters and hyphens, with its number where nothing is left.</summary>
    public static string IdOf(string name, int number)
    {
        var id = new string(name.ToLowerInvariant().Select(c => char.IsAsciiLetterOrDigit(c) ? c : '-').ToArray()).Trim('-');
        return id.Length == 0 ? $"part-{(number + 1).ToString(CultureInfo.InvariantCulture)}" : id;
    }

    private static Pt[] Ring(Dictionary<string, JsonElement> members, string name, string at, JsonFaults faults)
    {
        var items = faults.Items(members, name, at, required: true) ?? [];
        var points = new List<Pt>();
        for (var i = 0; i < items.Count; i++)
        {
            var pointer = $"{at}/{name}/{i.ToString(CultureInfo.InvariantCulture)}";
            if (items[i].ValueKind != JsonValueKind.Array || items[i].GetArrayLength() != 2)
            {
                faults.Add(pointer, "A point is two numbers.", "Write [x, y] in mm.");
                break;
            }

            if (faults.Number(items[i][0], $"{pointer}/0") is { } x && faults.Number(items[i][1], $"{pointer}/1") is { } y)
            {
                points.Add(new Pt(x, y));
            }
        }

        return [.. points];
    }
}
