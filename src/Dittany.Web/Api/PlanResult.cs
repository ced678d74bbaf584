using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Telling;
using Dittany.Formats.Json;
using Dittany.Web.Setup;

namespace Dittany.Web.Api;

/// <summary>
/// A plan as JSON; many who ask for the same at once are given what was written for one of them. <c>?moves=1</c> adds the needle's moves:
/// they make it several times as long. <c>?language=de</c> tells its sentences in that language, in the units of the workshop.
/// </summary>
internal sealed class PlanResult(Plans plans, Job job, Workshop workshop, Plan plan) : IResult
{
    public async Task ExecuteAsync(HttpContext httpContext)
    {
        var (moves, said) = (httpContext.Request.Query["moves"] == "1", httpContext.Request.Query["language"].ToString());
        var language = Language.Known.FirstOrDefault(l => l.Id == said);
        if (language is null && said is not ("" or English))
        {
            await Problems.Of(StatusCodes.Status400BadRequest, $"There is no language '{said}' here.", [new ValidationError("?language",
                $"'{said}' is no language sentences are told in.", $"Name one of {English}, {string.Join(", ", Language.Known.Select(l => l.Id))}.")])
                .ExecuteAsync(httpContext);
            return;
        }

        var key = $"{PlanJson.InputHash(job, workshop)}{(moves ? "/moves" : string.Empty)}/{language?.Id}";
        var written = await plans.Written(key, () => PlanJson.Write(job, workshop,
            language is null ? plan : UnitConversion.In(plan, workshop.Units, language), moves: moves), httpContext.RequestAborted);
        httpContext.Response.Headers.ContentLanguage = language?.Id ?? English;
        httpContext.Response.ContentType = "application/json";
        httpContext.Response.ContentLength = written.Length;
        await httpContext.Response.Body.WriteAsync(written, httpContext.RequestAborted);
    }

    private const string English = "en";
}
