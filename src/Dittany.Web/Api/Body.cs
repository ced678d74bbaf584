using Dittany.Core.Jobs;
using Dittany.Web.Setup;

namespace Dittany.Web.Api;

/// <summary>The JSON body of a request at the door, whole, or what is wrong with it.</summary>
internal static class Body
{
    public static async Task<(byte[]? Bytes, IResult? Trouble)> Read(HttpContext context)
    {
        if (!context.Request.HasJsonContentType())
        {
            return (null, Problems.Of(StatusCodes.Status415UnsupportedMediaType, "Only application/json is taken.", []));
        }

        using var body = new MemoryStream();
        try
        {
            if (context.Request.ContentLength > Safety.MostBody)
            {
                return (null, TooLarge(context.Request.ContentLength));
            }

            await context.Request.Body.CopyToAsync(body, context.RequestAborted);
        }
        catch (BadHttpRequestException e) when (e.StatusCode == StatusCodes.Status413PayloadTooLarge)
        {
            return (null, TooLarge(context.Request.ContentLength));
        }
        catch (IOException) when (!context.RequestAborted.IsCancellationRequested)
        {
            return (null, Problems.Of(StatusCodes.Status400BadRequest, "The body breaks off, or is not divided as it says.", []));
        }

        return body.Length > Safety.MostBody ? (null, TooLarge(body.Length)) : (body.ToArray(), null);
    }

    private static IResult TooLarge(long? bytes) => Problems.Of(StatusCodes.Status413PayloadTooLarge,
        Limits.Told("The body", bytes, Safety.MostBody), [new ValidationError("#", Limits.Told("The body", bytes, Safety.MostBody),
            "Draw it with fewer points, or leave parts out.")]);
}
