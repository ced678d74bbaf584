using System.Text;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Sayings;
using Dittany.Formats.Json;
using Dittany.Web.Setup;

namespace Dittany.Web.Api;

/// <summary>A saying comes in; what each word was taken for, the job it makes, and what is asked go out. Nothing is stored.</summary>
public static class SayingDoor
{
    /// <summary>Sayings are shorter than this, letters.</summary>
    public const int MostLetters = 10_000;

    public static void MapSaying(this IEndpointRouteBuilder api) => api.MapPost("/saying", async (HttpContext context, Today today) =>
    {
        var (body, trouble) = await Body.Read(context);
        if (body is null)
        {
            return trouble!;
        }

        var (saying, faults) = SayingJson.Read(body, today.Date);
        if (saying is null)
        {
            return Problems.Of(StatusCodes.Status400BadRequest, "There is no saying to understand.", faults);
        }

        if (saying.Said.Length > MostLetters)
        {
            return Problems.Of(StatusCodes.Status400BadRequest, "This is no saying.",
                [new ValidationError("#/said", $"It has {saying.Said.Length} letters, and {MostLetters} is the most.", "Say it in a few words.")]);
        }

        if (saying.Form is { } form && Catalogue.Find(form) is null)
        {
            return Problems.Of(StatusCodes.Status400BadRequest, "There is no such item.",
                [new ValidationError("#/form", $"There is no form '{form}'.", "Use an id of /api/forms, or leave it out.")]);
        }

        return Results.Text(SayingJson.Write(SayingParser.Read(saying.Said, saying.Today, saying.Form, saying.Pins), saying.Today), "application/json", Encoding.UTF8);
    });
}
