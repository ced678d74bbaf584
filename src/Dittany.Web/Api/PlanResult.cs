using Dittany.Core.Jobs;
using Dittany.Core.Planning;
using Dittany.Formats.Json;
using Dittany.Web.Setup;

namespace Dittany.Web.Api;

/// <summary>A plan as JSON; many who ask for the same at once are given what was written for one of them.</summary>
internal sealed class PlanResult(Plans plans, Job job, Workshop workshop, Plan plan, bool moves = false) : IResult
{
    public async Task ExecuteAsync(HttpContext httpContext)
    {
        var key = $"{PlanJson.InputHash(job, workshop)}{(moves ? "/moves" : string.Empty)}";
        var written = await plans.Written(key, () => PlanJson.Write(job, workshop, plan, moves: moves), httpContext.RequestAborted);
        httpContext.Response.ContentType = "application/json";
        httpContext.Response.ContentLength = written.Length;
        await httpContext.Response.Body.WriteAsync(written, httpContext.RequestAborted);
    }
}
