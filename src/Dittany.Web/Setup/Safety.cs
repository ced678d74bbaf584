using System.Net;

namespace Dittany.Web.Setup;

/// <summary>Where the application listens and what every answer carries.</summary>
public static class Safety
{
    /// <summary>Nothing from elsewhere, nothing inline, no frames.</summary>
    public const string ContentSecurityPolicy =
        "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self'; font-src 'self'; connect-src 'self'; " +
        "base-uri 'none'; form-action 'self'; frame-ancestors 'none'; object-src 'none'";

    /// <summary>Limit of a request's body in bytes.</summary>
    public const long MostBody = 1024 * 1024;

    /// <summary>Names the application answers to.</summary>
    public static IReadOnlyList<string> Hosts { get; } = ["localhost", "127.0.0.1", "[::1]"];

    /// <summary>Why an address in DITTANY_BIND is refused, or null where it is this machine's own.</summary>
    public static string? Refusal(string? bind)
    {
        if (string.IsNullOrWhiteSpace(bind) || bind == "localhost"
            || (IPAddress.TryParse(bind, out var address) && IPAddress.IsLoopback(address)))
        {
            return null;
        }

        return $"DITTANY_BIND is '{bind}', and Dittany listens on this machine only (127.0.0.1): it has no passphrase and no encryption "
            + $"yet, so anyone on the network could read and change your work. Unset DITTANY_BIND and start again.";
    }

    /// <summary>Adds the headers of every answer, errors included.</summary>
    public static IApplicationBuilder UseSafeHeaders(this IApplicationBuilder app) => app.Use((context, next) =>
    {
        var headers = context.Response.Headers;
        headers.ContentSecurityPolicy = ContentSecurityPolicy;
        headers.XContentTypeOptions = "nosniff";
        headers["Referrer-Policy"] = "no-referrer";
        headers["Cross-Origin-Opener-Policy"] = "same-origin";
        headers["Cross-Origin-Resource-Policy"] = "same-origin";
        return next(context);
    });

    /// <summary>Only looking and sending: what is asked any other way is refused before it reaches a page.</summary>
    public static IApplicationBuilder UseUsualMethods(this IApplicationBuilder app) => app.Use((context, next) =>
    {
        if (HttpMethods.IsGet(context.Request.Method) || HttpMethods.IsHead(context.Request.Method)
            || HttpMethods.IsPost(context.Request.Method))
        {
            return next(context);
        }

        context.Response.StatusCode = StatusCodes.Status405MethodNotAllowed;
        context.Response.Headers.Allow = "GET, HEAD, POST";
        return Task.CompletedTask;
    });
}
