using System.Globalization;
using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using Dittany.Core.Decisions;
using Dittany.Core.Geometry;
using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Operations;
using Dittany.Core.Planning;

namespace Dittany.Formats.Json;

/// <summary>Plan JSON, <c>dittany.plan/1</c>. The same plan writes the same bytes in every culture, time zone and process.</summary>
public static class PlanJson
{
    public const string Schema = "dittany.plan/1";

    /// <summary>
    /// Names what a sheet is of: <see cref="InputHash"/> of what is put on the cloth, whatever day it is looked at, however far the piece
    /// is, whenever it is wanted and however many evenings there are. A sheet stays true while this stays.
    /// </summary>
    public static string SheetHash(Job job, Workshop workshop) => InputHash(
        job with { Today = DateOnly.MinValue, DueOn = null, Done = null },
        workshop with { EveningsPerWeek = 0, MinutesPerEvening = 0, HourlyRate = 0, Units = Workshop.Default.Units });

    /// <summary>SHA-256 over job, workshop and the version of the rules, in hexadecimal: names the input of a plan.</summary>
    public static string InputHash(Job job, Workshop workshop)
    {
        using var stream = new MemoryStream();
        using (var w = new Utf8JsonWriter(stream, JobJson.Writing))
        {
            w.WriteStartObject();
            w.WriteString("rules", Plan.Rules);
            JobJson.WriteMembers(w, job);
            WorkshopJson.WriteMembers(w, workshop);
            w.WriteEndObject();
        }

        return Convert.ToHexStringLower(SHA256.HashData(stream.ToArray()));
    }

    /// <summary>Writes the plan of a job made in a workshop, UTF-8. Lengths are rounded to 0.001 mm.</summary>
    public static byte[] Write(Job job, Workshop workshop, Plan plan, bool indented = false, bool moves = false)
    {
        using var stream = new MemoryStream();
        using (var w = new Utf8JsonWriter(stream, JobJson.Writing with { Indented = indented, NewLine = "\n" }))
        {
            Write(w, job, workshop, plan, moves);
        }

        return stream.ToArray();
    }

    /// <summary>
    /// The same into a writer of <see cref="JobJson.Writing"/>; with the needle's <paramref name="moves"/> of every stitch where they are
    /// asked for.
    /// </summary>
    public static void Write(Utf8JsonWriter w, Job job, Workshop workshop, Plan plan, bool moves = false)
    {
        w.WriteStartObject();
        w.WriteString("schema", Schema);
        w.WriteString("rules", Plan.Rules);
        w.WriteString("inputHash", InputHash(job, workshop));
        w.WriteString("today", Day(plan.Today));
        WriteItem(w, plan);
        WriteSpace(w, plan);
        w.WriteStartArray("elements");
        foreach (var element in plan.Elements)
        {
            PlannedElementJson.Write(w, element, moves);
        }

        w.WriteEndArray();
        WriteTransfer(w, plan);
        WriteHooping(w, plan);
        WritePlaces(w, plan, moves);
        WriteThreads(w, plan);
        WriteRoute(w, plan);
        WriteWork(w, plan);
        WriteTime(w, plan);
        Texts(w, "finish", plan.Finish);
        Texts(w, "care", plan.CareTold);
        EffectsJson.Write(w, plan.Care);
        w.WriteStartArray("proof");
        foreach (var letter in plan.Proof)
        {
            w.WriteStartObject();
            w.WriteString("letter", letter.Letter);
            w.WriteString("aloud", letter.Aloud);
            w.WriteEndObject();
        }

        w.WriteEndArray();
        w.WriteStartArray("decisions");
        foreach (var decision in plan.Decisions)
        {
            WriteDecision(w, decision);
        }

        w.WriteEndArray();
        Texts(w, "setAside", plan.SetAside);
        w.WriteStartArray("cautions");
        foreach (var caution in plan.Cautions)
        {
            w.WriteStartObject();
            w.WriteString("id", caution.Id);
            w.WriteString("kind", Lower(caution.Kind));
            w.WriteString("severity", Lower(caution.Severity));
            w.WriteString("text", caution.Text);
            JobJson.Text(w, "station", caution.At is { } at ? Lower(at) : null);
            w.WriteEndObject();
        }

        w.WriteEndArray();
        w.WriteEndObject();
    }

    private static void WriteItem(Utf8JsonWriter w, Plan plan)
    {
        var cloth = plan.Item.Cloth;
        w.WriteStartObject("item");
        w.WriteString("form", plan.Item.Form);
        w.WriteString("size", plan.Item.Size);
        w.WriteString("wearer", plan.Item.Wearer);
        Points(w, "outlineMm", plan.Item.OutlineMm);
        w.WriteStartObject("fabric");
        w.WriteString("kind", cloth.Kind.Id);
        w.WriteString("colour", cloth.Colour.ToString());
        Mm(w, "stretchPercent", cloth.StretchPercent);
        w.WriteString("opacity", Names.Of(Names.Opacities, cloth.Opacity));
        Mm(w, "lightPercent", cloth.LightPercent);
        Mm(w, "thicknessMm", cloth.ThicknessMm);
        w.WriteString("pile", Names.Of(Names.Piles, cloth.Pile));
        w.WriteString("maxIron", Names.Of(Names.Irons, cloth.MaxIron));
        w.WriteBoolean("washable", cloth.Washable);
        w.WriteBoolean("busy", cloth.Busy);
        w.WriteBoolean("lined", cloth.Lined);
        w.WriteBoolean("prewashed", cloth.Prewashed);
        w.WriteBoolean("coated", cloth.Coated);
        w.WriteNumber("washC", cloth.WashC);
        w.WriteString("fibre", cloth.Fibre);
        w.WriteString("structure", Core.Materials.Cloths.NameOf(cloth.Kind.Structure));
        w.WriteEndObject();
        w.WriteEndObject();
    }

    private static void WriteSpace(Utf8JsonWriter w, Plan plan)
    {
        w.WriteStartObject("space");
        w.WriteString("face", plan.Space.Face.Id);
        w.WriteString("zone", plan.Space.Zone);
        Points(w, "zoneMm", plan.Space.ZoneMm);
        Rings(w, "fieldMm", plan.Space.FieldMm);
        Rings(w, "obstaclesMm", plan.Space.Obstacles.Select(o => o.Ring));
        Texts(w, "findIt", plan.Space.FindIt);
        if (plan.Space.Face.Fold is { } fold)
        {
            w.WriteStartObject("fold");
            w.WriteString("asWorn", fold.AsWorn);
            w.WriteString("flat", fold.Flat);
            Points(w, "lineMm", [fold.From, fold.To]);
            Points(w, "flatOutlineMm", fold.FlatOutline);
            w.WriteEndObject();
        }

        w.WriteEndObject();
    }

    private static void WriteTransfer(Utf8JsonWriter w, Plan plan)
    {
        var transfer = plan.Transfer;
        w.WriteStartObject("transfer");
        w.WriteString("method", transfer.Method.Id);
        w.WriteString("marker", transfer.Marker.Id);
        w.WriteString("stabiliser", transfer.Stabiliser.ToString());
        if (transfer.PrintMirrored is { } mirrored)
        {
            w.WriteBoolean("printMirrored", mirrored);
        }
        else
        {
            w.WriteNull("printMirrored");
        }

        w.WriteNumber("sheets", transfer.Sheets);
        w.WriteStartArray("steps");
        foreach (var step in plan.TransferSteps)
        {
            w.WriteStartObject();
            w.WriteString("do", step.Do);
            Mm(w, "waitMinutes", step.WaitMinutes);
            w.WriteEndObject();
        }

        w.WriteEndArray();
        Texts(w, "removal", plan.Removal);
        w.WriteStartArray("ranking");
        foreach (var ranked in transfer.Ranking)
        {
            w.WriteStartObject();
            w.WriteString("method", ranked.Method);
            w.WriteString("verdict", ranked.Verdict);
            Texts(w, "because", ranked.Because);
            w.WriteEndObject();
        }

        w.WriteEndArray();
        w.WriteEndObject();
    }

    /// <summary>Each place of a piece that has several; no member where there is only one.</summary>
    private static void WritePlaces(Utf8JsonWriter w, Plan plan, bool moves)
    {
        if (plan.Places.Count == 0)
        {
            return;
        }

        w.WriteStartArray("places");
        foreach (var place in plan.Places)
        {
            w.WriteStartObject();
            w.WriteString("key", place.Key);
            w.WriteString("name", place.Name);
            Texts(w, "elements", place.Plan.Elements.Select(e => (Told)e.Id));
            WriteSpace(w, place.Plan);
            w.WriteBoolean("stands", place.Stands);
            if (place.Stands)
            {
                w.WriteStartArray("standing");
                foreach (var element in place.Plan.Elements)
                {
                    PlannedElementJson.Write(w, element, moves);
                }

                w.WriteEndArray();
            }
            else
            {
                WriteTransfer(w, place.Plan);
                WriteHooping(w, place.Plan);
                w.WriteNumber("runsBefore", place.RunsBefore);
                w.WriteNumber("hoopsBefore", place.HoopsBefore);
            }

            w.WriteEndObject();
        }

        w.WriteEndArray();
    }

    private static void WriteHooping(Utf8JsonWriter w, Plan plan)
    {
        w.WriteStartObject("hooping");
        w.WriteString("school", Names.Of(Names.Schools, plan.Hooping.School));
        w.WriteStartArray("hoops");
        foreach (var hoop in plan.Hooping.Hoops)
        {
            w.WriteStartObject();
            w.WriteNumber("order", hoop.Order);
            w.WriteString("shape", hoop.Round ? "round" : "square");
            Mm(w, "hoopMm", hoop.HoopMm);
            Mm(w, "usableRadiusMm", hoop.UsableRadiusMm);
            Points(w, "usableMm", hoop.UsableMm);
            Point(w, "centreMm", hoop.CentreMm);
            w.WriteEndObject();
        }

        w.WriteEndArray();
        w.WriteNumber("lowerBound", plan.Hooping.LowerBound);
        w.WriteEndObject();
    }

    private static void WriteThreads(Utf8JsonWriter w, Plan plan)
    {
        w.WriteStartArray("threads");
        foreach (var need in plan.Threads)
        {
            w.WriteStartObject();
            w.WriteString("colour", need.Colour);
            WriteThread(w, need.Thread);
            w.WriteNumber("strands", need.Strands);
            Mm(w, "lengthMm", need.LengthMm);
            Mm(w, "frontMm", need.FrontMm);
            Mm(w, "backMm", need.BackMm);
            w.WriteNumber("runs", need.Runs);
            w.WriteNumber("freshRuns", need.FreshRuns);
            w.WriteNumber("cuts", need.Cuts);
            Mm(w, "cutMm", need.CutMm);
            w.WriteNumber("skeins", need.Skeins);
            w.WriteString("putUp", need.Thread.Kind.PutUp.Name);
            w.WriteString("needle", need.Needle);
            w.WriteEndObject();
        }

        w.WriteEndArray();
    }

    internal static void WriteThread(Utf8JsonWriter w, Core.Materials.Thread thread)
    {
        w.WriteStartObject("thread");
        w.WriteString("family", thread.Family);
        w.WriteNumber("ply", thread.Ply);
        w.WriteNumber("widthMm", Math.Round(thread.Size.WidthMm, 3));
        w.WriteString("colour", thread.Colour);
        w.WriteString("name", thread.Name);
        w.WriteEndObject();
    }

    private static void WriteRoute(Utf8JsonWriter w, Plan plan)
    {
        w.WriteStartArray("route");
        foreach (var row in plan.Route)
        {
            w.WriteStartObject();
            w.WriteString("element", row.Element);
            w.WriteNumber("part", row.Part);
            w.WriteNumber("stitch", row.Stitch);
            w.WriteNumber("run", row.Run);
            w.WriteNumber("hoop", row.Hoop);
            Mm(w, "floatMm", row.FloatMm);
            w.WriteString("floatKind", Names.Of(Names.Floats, row.FloatKind));
            w.WriteEndObject();
        }

        w.WriteEndArray();
    }

    private static void WriteWork(Utf8JsonWriter w, Plan plan)
    {
        WriteCrafts(w, plan);
        w.WriteStartArray("work");
        foreach (var operation in plan.Work)
        {
            w.WriteStartObject();
            w.WriteString("id", operation.Id.ToString());
            w.WriteString("kind", Lower(operation.Kind));
            w.WriteString("station", Lower(operation.At));
            w.WriteString("place", Lower(operation.Place));
            w.WriteStartObject("handsMinutes");
            Mm(w, "low", operation.Hands.Low);
            Mm(w, "likely", operation.Hands.Likely);
            Mm(w, "high", operation.Hands.High);
            w.WriteEndObject();
            if (operation.Wait is { } wait)
            {
                w.WriteStartObject("wait");
                w.WriteString("kind", Lower(wait.Kind));
                Mm(w, "minutes", wait.Minutes);
                w.WriteEndObject();
            }

            w.WriteStartArray("uses");
            foreach (var use in operation.Uses ?? [])
            {
                w.WriteStartObject();
                w.WriteString("what", use.What);
                w.WriteNumber("amount", use.Amount);
                w.WriteString("unit", use.Unit);
                w.WriteEndObject();
            }

            w.WriteEndArray();
            Texts(w, "steps", operation.Steps);
            Texts(w, "after", (operation.After ?? []).Select(a => a.ToString()));
            Texts(w, "cautions", operation.Cautions ?? []);
            EffectsJson.Write(w, operation);
            w.WriteEndObject();
        }

        w.WriteEndArray();
    }

    private static void WriteTime(Utf8JsonWriter w, Plan plan)
    {
        var time = plan.Time;
        w.WriteStartObject("time");
        Mm(w, "handsOnMinutes", time.HandsOnMinutes);
        Mm(w, "lowMinutes", time.LowMinutes);
        Mm(w, "highMinutes", time.HighMinutes);
        Mm(w, "waitMinutes", time.WaitMinutes);
        Mm(w, "leftMinutes", time.Progress.LeftMinutes);
        w.WriteString("stage", Names.Of(Names.Stages, time.Progress.Stage));
        w.WriteStartArray("byStep");
        foreach (var step in time.ByStep)
        {
            w.WriteStartObject();
            w.WriteString("step", step.Step);
            Mm(w, "minutes", step.Minutes);
            w.WriteEndObject();
        }

        w.WriteEndArray();
        JobJson.Text(w, "readyOn", time.ReadyOn is { } ready ? Day(ready) : null);
        JobJson.Text(w, "startBy", time.StartBy is { } start ? Day(start) : null);
        w.WriteEndObject();
    }

    private static void WriteDecision(Utf8JsonWriter w, Decision decision)
    {
        w.WriteStartObject();
        w.WriteString("id", decision.Id);
        w.WriteString("station", Lower(decision.Station));
        w.WriteString("subject", decision.Subject);
        w.WriteString("choice", decision.Choice);
        w.WriteString("choiceId", decision.ChoiceId);
        Texts(w, "because", decision.Because);
        Texts(w, "wouldChange", decision.WouldChange);
        w.WriteStartArray("alternatives");
        foreach (var other in decision.Alternatives)
        {
            w.WriteStartObject();
            w.WriteString("choiceId", other.ChoiceId);
            w.WriteString("choice", other.Text);
            w.WriteEndObject();
        }

        w.WriteEndArray();
        w.WriteStartArray("ruledOut");
        foreach (var other in decision.RuledOut)
        {
            w.WriteStartObject();
            w.WriteString("choiceId", other.ChoiceId);
            w.WriteString("choice", other.Text);
            Texts(w, "because", other.Because);
            w.WriteEndObject();
        }

        w.WriteEndArray();
        if (decision.From is { } from)
        {
            Texts(w, "from", from);
        }

        if (decision.Offers is { } offers)
        {
            w.WriteStartArray("offers");
            foreach (var offer in offers)
            {
                w.WriteStartObject();
                w.WriteString("text", offer.Text);
                w.WriteString("member", offer.Member);
                w.WriteString("value", offer.Value);
                w.WriteEndObject();
            }

            w.WriteEndArray();
        }

        w.WriteBoolean("overruled", decision.Overruled);
        JobJson.Text(w, "wouldHaveBeen", decision.WouldHaveBeen);
        w.WriteEndObject();
    }

    private static string Day(DateOnly day) => day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);

    internal static string Lower<T>(T value)
        where T : struct, Enum => value.ToString().ToLowerInvariant();

    internal static void Mm(Utf8JsonWriter w, string name, double value) => w.WriteNumber(name, Rounded(value));

    internal static void Point(Utf8JsonWriter w, string name, Pt p)
    {
        w.WritePropertyName(name);
        Point(w, p);
    }

    internal static void Point(Utf8JsonWriter w, Pt p)
    {
        w.WriteStartArray();
        w.WriteNumberValue(Rounded(p.X));
        w.WriteNumberValue(Rounded(p.Y));
        w.WriteEndArray();
    }

    internal static void Points(Utf8JsonWriter w, string name, IEnumerable<Pt> points)
    {
        w.WriteStartArray(name);
        foreach (var p in points)
        {
            Point(w, p);
        }

        w.WriteEndArray();
    }

    /// <summary>
    /// How the layers lie where there are several, and what crafts other than thread make; each left out where there is none.
    /// </summary>
    private static void WriteCrafts(Utf8JsonWriter w, Plan plan)
    {
        if (plan.SideViews.Count > 0)
        {
            w.WriteStartArray("sideViews");
            foreach (var view in plan.SideViews)
            {
                w.WriteStartObject();
                w.WriteString("operation", view.Operation);
                w.WriteString("called", view.Called);
                w.WriteString("above", view.Above);
                w.WriteStartArray("layers");
                foreach (var layer in view.Layers)
                {
                    w.WriteStringValue(SideViews.Told(layer));
                }

                w.WriteEndArray();
                w.WriteString("below", view.Below);
                w.WriteEndObject();
            }

            w.WriteEndArray();
        }

        if (plan.CraftParts.Count == 0)
        {
            return;
        }

        w.WriteStartArray("craftParts");
        foreach (var part in plan.CraftParts)
        {
            w.WriteStartObject();
            w.WriteString("id", part.Id);
            w.WriteString("craft", part.Craft);
            w.WriteString("element", part.Element);
            w.WriteString("role", part.Role);
            w.WriteString("colour", part.Colour);
            w.WriteNumber("order", part.Order);
            Rings(w, "shapeMm", part.ShapeMm.Rings);
            if (part.BridgesMm.Count > 0)
            {
                Rings(w, "bridgesMm", part.BridgesMm.SelectMany(b => b.Rings));
                w.WriteNumber("islands", part.Islands);
            }

            Mm(w, "areaMm2", part.ShapeMm.AreaMm2);
            w.WriteStartObject("amount");
            w.WriteString("what", part.Amount.What);
            w.WriteNumber("amount", part.Amount.Amount);
            w.WriteString("unit", part.Amount.Unit);
            w.WriteEndObject();
            w.WriteEndObject();
        }

        w.WriteEndArray();
    }

    private static void Rings(Utf8JsonWriter w, string name, IEnumerable<IReadOnlyList<Pt>> rings)
    {
        w.WriteStartArray(name);
        foreach (var ring in rings)
        {
            w.WriteStartArray();
            foreach (var p in ring)
            {
                Point(w, p);
            }

            w.WriteEndArray();
        }

        w.WriteEndArray();
    }

    internal static void Texts(Utf8JsonWriter w, string name, IEnumerable<Told> told) => Texts(w, name, told.Select(t => t.ToString()));

    internal static void Texts(Utf8JsonWriter w, string name, IEnumerable<string> texts)
    {
        w.WriteStartArray(name);
        foreach (var text in texts)
        {
            w.WriteStringValue(text);
        }

        w.WriteEndArray();
    }

    private static double Rounded(double value) => Core.Measures.Rounding.ToGrid(value) + 0.0;
}
