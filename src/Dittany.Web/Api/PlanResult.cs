using System.Text.Json;
using Dittany.Core.Planning;
using Dittany.Formats.Json;

namespace Dittany.Web.Api;

/// <summary>A plan as JSON, written to whoever asked as it comes: a large one is never whole in the memory.</summary>
internal sealed class PlanResult(Job job, Workshop workshop, Plan plan, bool moves = false) : IResult
{
    public async Task ExecuteAsync(HttpContext httpContext)
    {
        httpContext.Response.ContentType = "application/json";
        await using var writer = new Utf8JsonWriter(httpContext.Response.BodyWriter, JobJson.Writing);
        PlanJson.Write(writer, job, workshop, plan, moves);
        await writer.FlushAsync(httpContext.RequestAborted);
    }
}
