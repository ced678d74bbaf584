using System.Text.Json.Nodes;
using Dittany.Core.Crafts;
using Dittany.Core.Decisions;
using Dittany.Core.Effort;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Motifs;
using Dittany.Core.Operations;
using Dittany.Core.Planning;
using Dittany.Core.StitchBook;
using Dittany.Core.Transfer;
using Dittany.Core.Words;

namespace Dittany.Formats.Json;

/// <summary>JSON Schemas (2020-12) of job and plan, made from the same tables the rooms use.</summary>
public static class SchemaJson
{
    private const string Dialect = "https://json-schema.org/draft/2020-12/schema";

    /// <summary>Schema of <c>dittany.job/1</c>.</summary>
    public static JsonObject Job() => new()
    {
        ["$schema"] = Dialect,
        ["title"] = JobJson.Schema,
        ["type"] = "object",
        ["additionalProperties"] = false,
        ["required"] = new JsonArray("item", "elements"),
        ["properties"] = new JsonObject
        {
            ["schema"] = new JsonObject { ["const"] = JobJson.Schema },
            ["title"] = new JsonObject { ["type"] = "string", ["maxLength"] = JobLimits.MostTitle },
            ["dueOn"] = Day(),
            ["today"] = Day(),
            ["item"] = Closed(
                ["form"],
                ("form", Text()),
                ("size", Text()),
                ("measuredMm", new JsonObject { ["type"] = "object", ["additionalProperties"] = Number(0, OwnForm.MostMm) }),
                ("own", OwnFormSchema()),
                ("fabric", Closed(
                    [],
                    ("kind", Enum(Cloths.All.Select(c => c.Id))),
                    ("colour", Colour()),
                    ("stretchPercent", Number(0, 200)),
                    ("opacity", Enum(Names.Opacities.Keys)),
                    ("thicknessMm", Number(0.05, 20)),
                    ("pile", Enum(Names.Piles.Keys)),
                    ("maxIron", Enum(Names.Irons.Keys)),
                    ("washable", Flag()),
                    ("busy", Flag()),
                    ("lined", Flag()),
                    ("prewashed", Flag()),
                    ("coated", Flag()),
                    ("washC", new JsonObject { ["type"] = "integer", ["minimum"] = 20, ["maximum"] = 95 }),
                    ("fibre", Text()),
                    ("print", Closed(["picture", "wideMm", "highMm", "darkL", "lightL"], ("picture", Text()), ("wideMm", Number(ClothPrint.LeastMm, ClothPrint.MostMm)),
                        ("highMm", Plain()), ("darkL", Number(0, 100)), ("lightL", Number(0, 100)))))),
                ("wearer", Enum(Wearing.Ids)),
                ("nextToSkin", Flag()),
                ("washed", Enum(Wearing.Washings.Select(c => c.ChoiceId))),
                ("lasts", Enum(Wearing.Lastings.Select(c => c.ChoiceId)))),
            ["zone"] = Text(),
            ["makeUp"] = Closed(["as"], ("as", Enum(MakeUp.Known.Select(k => k.Id).Append(MakeUp.Frayed).Append(MakeUp.None))),
                ("fringeMm", Number(FrayedEdge.LeastMm, FrayedEdge.MostMm)),
                ("bowlMm", Number(MakeUp.LeastBowlMm, MakeUp.MostBowlMm)), ("openingMm", Point())),
            ["elements"] = new JsonObject
            {
                ["type"] = "array",
                ["minItems"] = 1,
                ["maxItems"] = JobLimits.MostElements,
                ["items"] = new JsonObject { ["oneOf"] = new JsonArray(WordsSchema(), MotifSchema()) },
            },
            ["standing"] = List(List(Text())),
            ["overrules"] = new JsonObject
            {
                ["type"] = "object",
                ["propertyNames"] = new JsonObject { ["pattern"] = $"^({string.Join('|', DecisionRegistry.Ids.Select(id => id.Replace(".", "\\.", StringComparison.Ordinal)))})(:[^@]+)?(@.+)?$" },
                ["additionalProperties"] = new JsonObject { ["type"] = new JsonArray("string", "number") },
            },
            ["done"] = Closed([], ("marked", Flag()), ("runs",
                new JsonObject { ["type"] = "integer", ["minimum"] = 0, ["maximum"] = JobLimits.MostRuns }), ("stitches",
                new JsonObject { ["type"] = "integer", ["minimum"] = 0, ["maximum"] = JobLimits.MostRuns }), ("rinsedOn", Day()),
                ("finished", Flag()), ("washedOn", Day())),
            ["stash"] = Closed([], ("hoopsMm", List(Number(50, 400))),
                ("threads", List(Closed(["name", "colour"], ("name", Text()), ("colour", Colour()),
                    ("thread", Enum(ThreadKinds.All.Select(k => k.Id))))))),
            ["workshop"] = Closed(
                [],
                ("equipment", List(Enum(Equipment.Ids))),
                ("skill", Enum(Names.Skills.Keys)),
                ("eveningsPerWeek", new JsonObject { ["type"] = "integer", ["minimum"] = 0, ["maximum"] = 7 }),
                ("minutesPerEvening", Number(0, 1440)),
                ("hourlyRate", Number(0, 10000)),
                ("paper", Enum(Papers.All.Select(p => p.Id))),
                ("units", Enum(Names.Units.Keys)),
                ("threadWidthsMm", Closed([], ThreadKinds.All.Select(k => (k.Id, Plain())).ToArray())),
                ("paces", new JsonObject { ["type"] = "object", ["additionalProperties"] = Number(PaceNames.LeastFactor, 100000) }),
                ("trials", Closed([], Cloths.All.Select(c => (c.Id, Plain())).ToArray())),
                ("takeUp", Number(Workshop.LeastTakeUp, Workshop.MostTakeUp))),
            ["habits"] = Closed([], Habits.All.Select(h => (h.Id, Enum(h.Choices.Select(c => c.ChoiceId)))).ToArray()),
        },
    };

    private static JsonObject WordsSchema() => Closed(
        ["kind", "text"],
        ("id", Text()),
        ("kind", new JsonObject { ["const"] = "text" }),
        ("text", Text()),
        ("alphabet", Text()),
        ("stitch", Enum(Book.Lines.Select(s => s.Id).Concat(Book.Fills.Select(s => s.Info.Id)).Distinct(StringComparer.Ordinal))),
        ("strands", new JsonObject { ["enum"] = new JsonArray(Bundle.Plies.Select(p => (JsonNode)p).ToArray()) }),
        ("colour", Text()),
        ("secondColour", Text()),
        ("thread", Enum(ThreadKinds.All.Select(k => k.Id))),
        ("arrangement", Enum(Arrangement.Ids)),
        ("capHeightMm", Number(Lettering.LeastCapMm, Fit.MostCapMm)),
        ("widthMm", Number(JobLimits.LeastWidthMm, JobLimits.MostWidthMm)),
        ("rows", Whole(1, JobLimits.MostRows)),
        ("centreMm", Point()),
        ("radiusMm", Number(5, 1000)),
        ("reading", Enum(["outside", "inside"])),
        ("turnDegrees", Number(-90, 90)),
        ("motif", Enum(MotifLibrary.Ids)),
        ("motifPlace", Enum(["before", "after", "above", "below", "between", "dot", "around"])),
        ("motifCount", Whole(1, 80)),
        ("craft", Enum(AllCrafts.Ids)),
        ("layer", Whole(-99, 99)),
        ("zone", Text()),
        ("parts", ByPartSchema()),
        ("letters", List(Closed(["index"], ("index", Whole(0, JobLimits.MostLetters)),
            ("stitch", Enum(Book.Lines.Select(s => s.Id).Concat(Book.Fills.Select(s => s.Info.Id)))),
            ("strands", new JsonObject { ["enum"] = new JsonArray(Bundle.Plies.Select(p => (JsonNode)p).ToArray()) }),
            ("colour", Text())))));

    /// <summary>What is wished for the parts of one role.</summary>
    private static JsonObject ByPartSchema() => List(Closed(["role"], ("role", Text()), ("copy", Whole(0, Arranging.MostCopies)),
        ("stitch", Enum(Book.Lines.Select(s => s.Id).Concat(Book.Fills.Select(s => s.Info.Id)))),
        ("strands", new JsonObject { ["enum"] = new JsonArray(Bundle.Plies.Select(p => (JsonNode)p).ToArray()) }), ("colour", Text()),
        ("thread", Enum(ThreadKinds.All.Select(k => k.Id))), ("colours", List(Text())), ("directionDegrees", Number(-360, 360)),
        ("direction", Enum(Direction.Known.Select(k => k.Id))), ("directionLines", List(List(Point())))));

    private static JsonObject MotifSchema() => Closed(
        ["kind"],
        ("id", Text()),
        ("kind", new JsonObject { ["const"] = "motif" }),
        ("motif", Text()),
        ("widthMm", Number(2, 1000)),
        ("heightMm", Number(2, 1000)),
        ("arrangement", Enum(Arranging.Ids)),
        ("count", Whole(1, Arranging.MostCopies)),
        ("turnDegrees", Number(-360, 360)),
        ("centreMm", Point()),
        ("stitch", Enum(Book.Lines.Select(s => s.Id).Concat(Book.Fills.Select(s => s.Info.Id)).Distinct(StringComparer.Ordinal))),
        ("strands", new JsonObject { ["enum"] = new JsonArray(Bundle.Plies.Select(p => (JsonNode)p).ToArray()) }),
        ("colour", Text()),
        ("secondColour", Text()),
        ("thread", Enum(ThreadKinds.All.Select(k => k.Id))),
        ("parts", new JsonObject { ["oneOf"] = new JsonArray(Whole(1, 80), ByPartSchema()) }),
        ("partCount", Whole(1, 80)),
        ("leanDegrees", Number(-45, 45)),
        ("mirrored", Flag()),
        ("wobblePercent", Number(0, 100 * Motif.MostWobble)),
        ("seed", Whole(0, 1_000_000)),
        ("middle", Flag()),
        ("loosely", Closed([], ("swayPercent", Number(0, Loosely.MostSway)), ("unevenPercent", Number(0, Loosely.MostUneven)), ("alike", Flag()),
            ("gapAfter", Whole(1, Arranging.MostCopies)), ("gapPercent", Number(0, Loosely.MostGap)),
            ("pushed", List(Closed(["copy", "by"], ("copy", Whole(0, Arranging.MostCopies)), ("by", Point())))))),
        ("craft", Enum(AllCrafts.Ids)),
        ("layer", Whole(-99, 99)),
        ("zone", Text()),
        ("drawing", Closed(["name", "parts"], ("name", Text()),
            ("parts", List(Closed(["path"], ("role", Text()), ("kind", Enum(["line", "shape", "dot"])), ("path", Text()),
                ("layer", Whole(-99, 99))))))));

    private static JsonObject Whole(int least, int most) => new() { ["type"] = "integer", ["minimum"] = least, ["maximum"] = most };

    /// <summary>Schema of <c>dittany.form/1</c>.</summary>
    public static JsonObject Form()
    {
        var form = OwnFormSchema();
        form["$schema"] = Dialect;
        form["title"] = FormJson.Schema;
        return form;
    }

    private static JsonObject OwnFormSchema() => Closed(
        ["id", "name", "outlineMm", "zones"],
        [
            ("schema", new JsonObject { ["const"] = FormJson.Schema }),
            ("id", Text()),
            ("name", Text()),
            ("shape", Text()),
            ("measuredMm", new JsonObject { ["type"] = "object" }),
            ("face", Closed(["name"], ("id", Text()), ("name", Text()))),
            .. OwnFaceMembers(),
            ("faces", List(Closed(["name", "outlineMm", "zones"], [("id", Text()), ("name", Text()), .. OwnFaceMembers()]))),
            ("cloth", Enum(Cloths.All.Select(c => c.Id))),
            ("colour", Colour()),
            ("wearer", Enum(Wearing.Ids)),
            ("use", Closed([], ("handled", Flag()), ("nextToSkin", Flag()), ("seenOutdoors", Flag()), ("madeUp", Flag()))),
            ("lined", Flag()),
            ("like", Closed(["form", "widthMm", "heightMm"], ("form", Text()), ("size", Text()), ("widthMm", Number(0, OwnForm.MostMm)),
                ("heightMm", Number(0, OwnForm.MostMm)))),
        ]);

    private static (string Name, JsonObject Schema)[] OwnFaceMembers() =>
    [
        ("outlineMm", List(Point())),
        ("zones", List(Closed(["name", "ringMm"], ("id", Text()), ("name", Text()), ("edgeMm", Number(0, 200)),
            ("ringMm", List(Point()))))),
        ("obstacles", List(Closed(["name", "ringMm"], ("id", Text()), ("name", Text()), ("kind", Enum(FormJson.Kinds.Keys)),
            ("ringMm", List(Point()))))),
        ("openingMm", Number(OwnForm.LeastMm, OwnForm.MostMm)),
        ("folded", Enum(FormJson.Folds.Keys)),
        ("picture", Closed(["id"], ("id", Text()), ("xMm", Plain()), ("yMm", Plain()), ("widthMm", Plain()), ("heightMm", Plain()))),
        ("withinMm", Plain()),
    ];

    /// <summary>Schema of <c>dittany.plan/1</c>. It may grow, so members it does not know are not refused.</summary>
    public static JsonObject Plan() => new()
    {
        ["$schema"] = Dialect,
        ["title"] = PlanJson.Schema,
        ["type"] = "object",
        ["required"] = new JsonArray(
            "schema", "rules", "inputHash", "today", "item", "space", "elements", "transfer", "hooping", "threads", "route", "work",
                "time", "finish", "care", "proof", "decisions", "setAside", "cautions"),
        ["properties"] = new JsonObject
        {
            ["schema"] = new JsonObject { ["const"] = PlanJson.Schema },
            ["rules"] = Text(),
            ["inputHash"] = new JsonObject { ["type"] = "string", ["pattern"] = "^[0-9a-f]{64}$" },
            ["today"] = Day(),
            ["item"] = Open(("form", Text()), ("size", Text()), ("wearer", Text()), ("outlineMm", List(Point())),
                ("fabric", new JsonObject { ["type"] = "object" })),
            ["space"] = Open(("face", Text()), ("zone", Text()), ("zoneMm", List(Point())), ("fieldMm", List(List(Point()))),
                ("obstaclesMm", List(List(Point()))), ("findIt", List(Text()))),
            ["elements"] = List(new JsonObject { ["oneOf"] = new JsonArray(PlannedWords(), PlannedMotif()) }),
            ["transfer"] = Open(
                ("method", Enum(Methods.All.Select(m => m.Id))), ("marker", Enum(Inks.All.Select(i => i.Id))), ("stabiliser", Text()),
                ("printMirrored", new JsonObject { ["type"] = new JsonArray("boolean", "null") }), ("sheets", Plain()),
                ("steps", List(Open(("do", Text()), ("waitMinutes", Plain())))), ("removal", List(Text())),
                ("ranking", List(Open(("method", Text()), ("verdict", Enum(["chosen", "possible", "ruled-out"])),
                    ("because", List(Text())))))),
            ["hooping"] = Open(("school", Enum(Names.Schools.Keys)),
                ("hoops", List(Open(("order", Plain()), ("shape", Enum(["round", "square"])), ("hoopMm", Plain()),
                ("usableRadiusMm", Plain()), ("usableMm", List(Point())), ("centreMm", Point())))), ("lowerBound", Plain())),
            ["places"] = List(Open(("key", Text()), ("name", Text()), ("elements", List(Text())),
                ("space", new JsonObject { ["type"] = "object" }), ("stands", Flag()))),
            ["threads"] = List(Open(("colour", Colour()), ("thread", ThreadOf()), ("strands", Plain()), ("lengthMm", Plain()),
                ("frontMm", Plain()), ("backMm", Plain()), ("runs", Plain()), ("freshRuns", Plain()), ("cuts", Plain()),
                ("cutMm", Plain()), ("skeins", Plain()), ("putUp", Text()), ("needle", Text()))),
            ["route"] = List(Open(("element", Text()), ("part", Plain()), ("stitch", Plain()), ("run", Plain()), ("hoop", Plain()),
                ("floatMm", Plain()), ("floatKind", Enum(Names.Floats.Keys)))),
            ["time"] = Open(("handsOnMinutes", Plain()), ("lowMinutes", Plain()), ("highMinutes", Plain()), ("waitMinutes", Plain()),
                ("byStep", List(Open(("step", Text()), ("minutes", Plain()))))),
            ["work"] = List(OpenBut(["iron", "water", "leaves", "clears"],
                ("id", Text()), ("kind", Enum(Lower<OpKind>())), ("station", Enum(Lower<Station>())), ("place", Enum(Lower<Place>())),
                    ("handsMinutes", Open(("low", Plain()), ("likely", Plain()), ("high", Plain()))),
                ("uses", List(Open(("what", Text()), ("amount", Plain()),
                    ("unit", Enum(["m²", "mm", "sheets", "pieces", "g", "ml", "skeins"]))))), ("steps", List(Text())), ("after", List(Text())),
                ("cautions", List(Text())), ("iron", Open(("mostC", Plain()), ("steam", Flag()))),
                ("water", Open(("mostC", Plain()), ("soaks", Flag()))), ("leaves", List(Enum(Names.All<Trace>()))),
                ("clears", List(Enum(Names.All<Trace>()))))),
            ["craftParts"] = List(OpenBut(["bridgesMm", "islands"], ("id", Text()), ("craft", Enum(AllCrafts.Ids)), ("element", Text()),
                ("role", Text()), ("colour", Colour()), ("order", Plain()), ("shapeMm", List(List(Point()))),
                ("bridgesMm", List(List(Point()))), ("islands", Plain()), ("areaMm2", Plain()),
                ("amount", Open(("what", Text()), ("amount", Plain()), ("unit", Text()))))),
            ["sideViews"] = List(Open(("operation", Text()), ("called", Text()),
                ("above", new JsonObject { ["type"] = new JsonArray("string", "null") }), ("layers", List(Text())),
                ("below", new JsonObject { ["type"] = new JsonArray("string", "null") }))),
            ["finish"] = List(Text()),
            ["care"] = List(Text()),
            ["bears"] = Open(("clean", Enum(Names.All<Cleaning>())), ("washC", Plain()), ("ironC", Plain()), ("steam", Flag()),
                ("firstWashAfterDays", Plain())),
            ["proof"] = List(Open(("letter", Text()), ("aloud", Text()))),
            ["decisions"] = List(OpenBut(["offers"],
                ("id", Text()), ("station", Enum(["item", "space", "words", "transfer", "hoop", "thread", "stitches", "order", "time",
                    "finish"])), ("subject", Text()), ("choice", Text()), ("choiceId", Text()),
                ("because", List(Text())), ("wouldChange", List(Text())),
                    ("alternatives", List(Open(("choiceId", Text()), ("choice", Text())))),
                ("ruledOut", List(Open(("choiceId", Text()), ("choice", Text()), ("because", List(Text()))))),
                ("offers", List(Open(("text", Text()), ("member", Text()), ("value", Text())))), ("overruled", Flag()))),
            ["setAside"] = List(Text()),
            ["cautions"] = List(Open(("id", Text()), ("kind", Enum(["person", "item"])), ("severity", Enum(["note", "caution", "stop"])),
                ("text", Text()))),
        },
    };

    private static JsonObject PlannedWords() => OpenBut(["layer", "craft"],
        [.. PlannedMembers("text"), ("rows", List(Text())), ("alphabet", Text()), ("capHeightMm", Plain()),
            ("fit", Open(("largestCapHeightMm", Plain()), ("overflowsMm", Plain())))]);

    private static JsonObject PlannedMotif() => OpenBut(["layer", "craft"],
        [.. PlannedMembers("motif"), ("motif", Text()), ("heightMm", Plain()),
            ("fit", Open(("largestHeightMm", Plain()), ("overflowsMm", Plain())))]);

    /// <summary>What words and motifs of a plan have alike.</summary>
    private static (string Name, JsonObject Schema)[] PlannedMembers(string kind) =>
    [
        ("id", Text()), ("kind", new JsonObject { ["const"] = kind }), ("text", Text()), ("arrangement", Text()), ("layer", Whole(-99, 99)),
        ("craft", Enum(AllCrafts.Ids)), ("centreMm", Point()), ("lineWidthMm", Plain()),
        ("boxMm", Open(("x", Plain()), ("y", Plain()), ("width", Plain()), ("height", Plain()))),
        ("legibility", OpenBut(["letters"], ("reads", Flag()),
            ("letters", List(OpenBut(["openMm"], ("letter", Text()), ("openMm", Plain()), ("wantedMm", Plain()), ("reads", Flag())))))),
        ("concerns", List(OpenBut(["letter", "byMm"], ("what", Enum(["overflows", "closes-up", "touches", "too-heavy", "turning", "does-not-show",
            "dropped", "web", "opening", "runs-into", "nothing-to-tint", "nothing-to-cut", "piece-too-small"])), ("letter", Text()), ("byMm", Plain()),
            ("text", Text()), ("remedies", List(new JsonObject { ["type"] = "object" }))))),
        ("parts", List(OpenBut(["lineMm", "shapeMm", "areaMm2", "coverage", "tones", "moves"], ("id", Text()), ("role", Text()), ("shape", Text()),
            ("stitch", Text()), ("strands", Plain()), ("colour", Colour()), ("thread", ThreadOf()), ("tones", List(Colour())), ("lineWidthMm", Plain()),
            ("lineMm", List(Point())), ("shapeMm", List(List(Point()))), ("areaMm2", Plain()), ("coverage", Plain()), ("closed", Flag()),
            ("stitches", List(Open(("fromMm", Point()), ("toMm", Point()), ("kind", Enum(["straight", "loop", "knot", "bead", "whip", "tie"]))))),
            ("moves", List(List(Open(("move", Enum(PlannedElementJson.MoveNames.Values)), ("atMm", Point())))))))),
    ];

    private static JsonObject Closed(string[] required, params (string Name, JsonObject Schema)[] members)
    {
        var schema = Object(required, members);
        schema["additionalProperties"] = false;
        return schema;
    }

    /// <summary>An object of which some members are only there where there is something to say.</summary>
    private static JsonObject OpenBut(string[] sometimes, params (string Name, JsonObject Schema)[] members) =>
        Object(members.Select(m => m.Name).Except(sometimes, StringComparer.Ordinal), members);

    /// <summary>An object of which every member named is always there.</summary>
    private static JsonObject Open(params (string Name, JsonObject Schema)[] members) => Object(members.Select(m => m.Name), members);

    private static JsonObject Object(IEnumerable<string> required, (string Name, JsonObject Schema)[] members) => new()
    {
        ["type"] = "object",
        ["required"] = new JsonArray(required.Select(r => (JsonNode)r).ToArray()),
        ["properties"] = new JsonObject(members.Select(m => KeyValuePair.Create(m.Name, (JsonNode?)m.Schema))),
    };

    private static JsonObject List(JsonObject items) => new() { ["type"] = "array", ["items"] = items };

    private static JsonObject Text() => new() { ["type"] = "string" };

    private static JsonObject Flag() => new() { ["type"] = "boolean" };

    private static JsonObject Plain() => new() { ["type"] = "number" };

    private static JsonObject Number(double least, double most) => new() { ["type"] = "number", ["minimum"] = least, ["maximum"] = most };

    private static JsonObject Day() => new() { ["type"] = "string", ["format"] = "date" };

    private static JsonObject Colour() => new() { ["type"] = "string", ["pattern"] = "^#[0-9a-fA-F]{6}$" };

    private static JsonObject Point() => new() { ["type"] = "array", ["minItems"] = 2, ["maxItems"] = 2, ["items"] = Plain() };

    private static JsonObject ThreadOf() => Open(("family", Enum(ThreadKinds.All.Select(k => k.Id))), ("ply", Plain()), ("widthMm", Plain()), ("colour", Colour()),
        ("name", Text()));

    private static IEnumerable<string> Lower<T>()
        where T : struct, Enum => System.Enum.GetNames<T>().Select(n => n.ToLowerInvariant());

    private static JsonObject Enum(IEnumerable<string> choices) =>
        new() { ["enum"] = new JsonArray(choices.Select(c => (JsonNode)c).ToArray()) };
}
