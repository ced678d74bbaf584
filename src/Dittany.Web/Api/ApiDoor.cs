using System.Globalization;
using System.Text;
using System.Text.Json.Nodes;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Motifs;
using Dittany.Core.Planning;
using Dittany.Core.StitchBook;
using Dittany.Core.Transfer;
using Dittany.Core.Words;
using Dittany.Formats.Json;
using Dittany.Formats.Sheets;
using Dittany.Formats.Template;
using Dittany.Store;
using Dittany.Web.Setup;

namespace Dittany.Web.Api;

/// <summary>The JSON door: stateless plans and templates, the plan of a stored piece, lists of what may be named, schemas.</summary>
public static class ApiDoor
{
    public static void MapApi(this WebApplication app)
    {
        var api = app.MapGroup("/api");
        api.MapPost("/plan", (HttpContext context, Today today, Plans plans, LetterShelf shelf) =>
            WithJob(context, today, plans, shelf, (job, workshop, plan) =>
            new PlanResult(plans, job, workshop, plan)));
        api.MapPost("/template.pdf", (HttpContext context, Today today, Plans plans, LetterShelf shelf) =>
            WithJob(context, today, plans, shelf, AtPlace(context, (workshop, plan) =>
            Results.Bytes(LeafPdf.Write(TemplateLeaves.Of(SheetOf(plan, workshop))), "application/pdf"))));
        api.MapPost("/template.svg", (HttpContext context, Today today, Plans plans, LetterShelf shelf) =>
            WithJob(context, today, plans, shelf, AtPlace(context, (workshop, plan) =>
            Results.Text(TemplateSvg.Write(SheetOf(plan, workshop)), "image/svg+xml", Encoding.UTF8))));
        api.MapPost("/stencil.pdf", (HttpContext context, Today today, Plans plans, LetterShelf shelf) =>
            WithJob(context, today, plans, shelf, AtPlace(context, (workshop, plan) => Stencils(plan, workshop) is { Count: > 0 } sheets
                ? Results.Bytes(LeafPdf.Write(sheets.SelectMany(s => TemplateLeaves.Of(s)).ToArray()), "application/pdf") : NoStencil())));
        api.MapPost("/stencil.svg", (HttpContext context, Today today, Plans plans, LetterShelf shelf, int? colour) =>
            WithJob(context, today, plans, shelf, AtPlace(context, (workshop, plan) => Stencils(plan, workshop)
                .ElementAtOrDefault((colour ?? 1) - 1) is { } sheet ? Results.Text(TemplateSvg.Write(sheet), "image/svg+xml", Encoding.UTF8) : NoStencil())));
        api.MapSaying();
        api.MapGet("/pieces/{id:int}/plan", StoredPlan);
        app.MapGet("/pieces/{id:int}.json", StoredJob);
        app.MapGet("/pieces/{id:int}/report.txt", Report);

        api.MapGet("/forms", () => List(Catalogue.Forms.Select(f => new JsonObject
        {
            ["id"] = f.Id,
            ["name"] = f.Name,
            ["sizes"] = Named(f.Sizes.Select(s => (s.Id, s.Name.ToString()))),
            ["zones"] = Named(f.Zones),
            ["shelf"] = Catalogue.NameOf(f.Shelf),
            ["faces"] = Named(f.Build(f.Sizes[0]).Select(d => (d.Face.Id, d.Face.Name))),
            ["measures"] = new JsonArray(new[] { f.Width, f.Height }.Select(m =>
                (JsonNode)new JsonObject
                {
                    ["id"] = m.Id,
                    ["name"] = m.Name,
                    ["how"] = m.How,
                    ["leastMm"] = m.LeastMm,
                    ["mostMm"] = m.MostMm
                }).ToArray()),
            ["usualSize"] = f.UsualSize,
            ["usualCloth"] = f.UsualCloth,
            ["usualWearer"] = f.UsualWearer,
        })));
        api.MapGet("/alphabets", (LetterShelf shelf) => List(shelf.Now.Alphabets.Select(a => new JsonObject
        {
            ["id"] = a.Id,
            ["name"] = a.Name,
            ["kind"] = a.Kind switch { AlphabetKind.Stroke => "stroke", AlphabetKind.Weighted => "weighted", _ => "centre-line" },
            ["told"] = a.Told,
        })));
        api.MapGet("/motifs", () => List(MotifLibrary.All.Select(m => new JsonObject
        {
            ["id"] = m.Id,
            ["name"] = m.Name,
            ["counted"] = m.Counted is { } c ? new JsonObject
            {
                ["what"] = c.What,
                ["least"] = c.Least,
                ["usual"] = c.Usual,
                ["most"] = c.Most
            } : null,
            ["roles"] = new JsonArray(m.Draw().Parts.Select(p => p.Role).Distinct(StringComparer.Ordinal)
                .Select(r => (JsonNode)r).ToArray()),
        })));
        api.MapGet("/stitches", () => List(Book.All.Select(s => new JsonObject
        {
            ["id"] = s.Id,
            ["name"] = s.Name,
            ["kind"] = s.Info.Class.ToString().ToLowerInvariant(),
            ["strands"] = new JsonArray(Bundle.Plies.Select(n => (JsonNode)n).ToArray()),
            ["goodFor"] = s.Info.GoodFor,
            ["failsOn"] = s.Info.FailsOn,
        })));
        api.MapGet("/threads", () => List(ThreadKinds.All.Select(k => new JsonObject
        {
            ["id"] = k.Id,
            ["name"] = k.Name,
            ["widthMm"] = k.WidthMm,
            ["strands"] = new JsonArray(k.Plies.Select(n => (JsonNode)n).ToArray()),
            ["putUp"] = k.PutUp.Name,
            ["putUpMm"] = k.PutUp.LengthMm,
            ["longestMm"] = k.LongestMm,
        })));
        api.MapGet("/transfers", () => List(Methods.All.Select(m => new JsonObject
        {
            ["id"] = m.Id,
            ["name"] = m.Name,
            ["printMirrored"] = m.Chain.Count == 0 ? null : MirrorProof.PrintMirrored(m.Chain),
            ["markers"] = new JsonArray(m.Markers.Select(i => (JsonNode)i).ToArray()),
        })));
        api.MapGet("/habits", () => List(Habits.All.Select(h => new JsonObject
        {
            ["id"] = h.Id,
            ["name"] = h.Name,
            ["changes"] = h.Changes,
            ["toldAt"] = h.ToldAt,
            ["choices"] = Named(h.Choices.Select(c => (c.ChoiceId, c.Text.ToString()))),
            ["default"] = h.Default,
        })));
        api.MapGet("/schemas/job", () => Results.Text(SchemaJson.Job().ToJsonString(), "application/schema+json", Encoding.UTF8));
        api.MapGet("/schemas/form", () => Results.Text(SchemaJson.Form().ToJsonString(), "application/schema+json", Encoding.UTF8));
        api.MapGet("/schemas/plan", () => Results.Text(SchemaJson.Plan().ToJsonString(), "application/schema+json", Encoding.UTF8));
    }

    /// <summary>
    /// What is printed is of one place, in the frame of its face: of several the query names one, <c>?place=sleeve</c>, or it is told
    /// which there are.
    /// </summary>
    private static Func<Job, Workshop, Plan, IResult> AtPlace(HttpContext context, Func<Workshop, Plan, IResult> answer) =>
        (_, workshop, plan) =>
        {
            var asked = context.Request.Query["place"].ToString() is { Length: > 0 } named ? named : null;
            var live = plan.Places.Where(p => !p.Stands).ToArray();
            string Ways() => string.Join(" or ", live.Select(p => $"?place={p.Key}"));
            return asked is not null && Array.TrueForAll(live, p => p.Key != asked)
                    ? Problems.Of(StatusCodes.Status422UnprocessableEntity, $"Nothing of this job lies at '{asked}'.",
                        [new ValidationError("#/elements", live.Length == 0 ? "All of this job lies at one place." : $"Nothing of this job lies at '{asked}'.",
                            live.Length == 0 ? "Leave the place out." : $"Add {Ways()} to the address.")])
                : asked is null && live.Length > 1
                    ? Problems.Of(StatusCodes.Status422UnprocessableEntity, "One sheet is of one place.",
                        [new ValidationError("#/elements", $"This job has {live.Length} places: {Core.Measures.Say.List(live.Select(p => $"{p.Name}, on the {p.Plan.Space.Face.Name}").ToArray())}. "
                            + "No sheet can be laid on all of them at once.", $"Add {Ways()} to the address.")])
                : answer(workshop, plan.At(asked));
        };

    internal static TemplateSheet SheetOf(Plan plan, Workshop workshop) => TemplateSheet.Of(plan, Papers.Find(workshop.Paper)!);

    private static IReadOnlyList<TemplateSheet> Stencils(Plan plan, Workshop workshop) =>
        StencilSheets.Of(plan, Papers.Find(workshop.Paper)!);

    private static IResult NoStencil() => Problems.Of(StatusCodes.Status422UnprocessableEntity, "There is no such stencil.",
        [new ValidationError("#/elements", "Nothing of this job in that colour is sprayed through a stencil.",
            "Say “craft”: “paint” for an element, and a colour from 1 up to as many as it has.")]);

    /// <summary>The job of a piece as it is stored, to take away: also where no sense can be made of it.</summary>
    private static async Task<IResult> StoredJob(int id, PieceStore pieces, HttpContext context, CancellationToken cancel)
    {
        context.Response.Headers.CacheControl = "no-store";
        return await pieces.JsonOf(id, cancel) is { } json
            ? Results.File(Encoding.UTF8.GetBytes(json), "application/json",
                string.Create(CultureInfo.InvariantCulture, $"piece-{id}.json"))
            : Results.NotFound();
    }

    /// <summary>
    /// What went wrong with a piece, to be passed on: the rules' version, what is told, where it happened, and the job itself.
    /// </summary>
    private static async Task<IResult> Report(int id, PieceStore pieces, WorkshopStore workshops, Today today, Plans plans,
        HttpContext context,
        CancellationToken cancel)
    {
        context.Response.Headers.CacheControl = "no-store";
        if (await pieces.JsonOf(id, cancel) is not { } json)
        {
            return Results.NotFound();
        }

        var (piece, bad) = await pieces.Look(id, cancel);
        var told = bad is not null ? $"{bad.Fault.Pointer}: {bad.Fault.Detail}" : "A plan comes of it.";
        try
        {
            if (piece is not null)
            {
                await plans.Make(piece.Job with { Today = today.Date }, piece.In(await workshops.Current(cancel)), cancel);
            }
        }
        catch (UnplannedException e)
        {
            var cause = e.GetBaseException();
            told = e.Ours ? $"{e.Fault.Detail}\n{cause.GetType().Name}: {cause.Message}\n{cause.StackTrace}" : $"{e.Fault.Pointer}: {e.Fault.Detail}";
        }

        return Results.File(Encoding.UTF8.GetBytes($"Dittany, rules {Plan.Rules}\n\n{told}\n\nThe job as it is stored, with its words:\n{json}\n"), "text/plain; charset=utf-8",
            string.Create(CultureInfo.InvariantCulture, $"piece-{id}-report.txt"));
    }

    private static async Task<IResult> StoredPlan(int id, PieceStore pieces, WorkshopStore workshops, Today today, Plans plans,
        HttpContext context, CancellationToken cancel)
    {
        context.Response.Headers.CacheControl = "no-store";
        var (piece, bad) = await pieces.Look(id, cancel);
        if (piece is null)
        {
            return bad is null
                ? Problems.Of(StatusCodes.Status404NotFound, $"There is no piece {id}.", [])
                : Problems.Of(StatusCodes.Status422UnprocessableEntity, "No plan can be made of this piece as it stands.", [bad.Fault]);
        }

        var workshop = piece.In(await workshops.Current(cancel));
        var job = piece.Job with { Today = today.Date };
        return new PlanResult(plans, job, workshop, await plans.Make(job, workshop, cancel));
    }

    private static async Task<IResult> WithJob(HttpContext context, Today today, Plans plans, LetterShelf shelf, Func<Job, Workshop, Plan,
        IResult> answer)
    {
        var (body, trouble) = await Body.Read(context);
        if (body is null)
        {
            return trouble!;
        }

        var read = JobJson.Read(body, today.Date, Workshop.Default, shelf.Now);
        if (read.Job is null)
        {
            return Problems.Of(StatusCodes.Status400BadRequest, Senseless(read.Faults), read.Faults);
        }

        return answer(read.Job, read.Workshop!, await plans.Make(read.Job, read.Workshop!, context.RequestAborted));
    }

    /// <summary>What is wrong with a job, the first of it in words.</summary>
    private static string Senseless(IReadOnlyList<ValidationError> faults) => faults.Count == 1 ? $"The job makes no sense: {faults[0].Detail}"
        : $"The job makes no sense in {faults.Count} places, the first: {faults[0].Detail}";

    private static IResult List(IEnumerable<JsonObject> rows) =>
        Results.Text(new JsonArray(rows.Select(r => (JsonNode)r).ToArray()).ToJsonString(), "application/json", Encoding.UTF8);

    private static JsonArray Named(IEnumerable<(string Id, string Name)> rows) =>
        new(rows.Select(r => (JsonNode)new JsonObject { ["id"] = r.Id, ["name"] = r.Name }).ToArray());
}
