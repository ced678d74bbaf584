using System.Text;
using System.Text.Json.Nodes;
using Dittany.Core.Planning;

namespace Dittany.Web.Api;

/// <summary>Problem details (RFC 9457) with every fault and its pointer.</summary>
public static class Problems
{
    public static IResult Of(int status, string title, IReadOnlyList<JobFault> faults)
    {
        var problem = new JsonObject
        {
            ["type"] = "about:blank",
            ["title"] = title,
            ["status"] = status,
            ["errors"] = new JsonArray(faults.Select(f => (JsonNode)new JsonObject { ["pointer"] = f.Pointer, ["detail"] = f.Detail, ["try"] = f.Try }).ToArray()),
        };
        return Results.Text(problem.ToJsonString(), "application/problem+json", Encoding.UTF8, status);
    }
}
