using Dittany.Store;

namespace Dittany.Web.Setup;

/// <summary>Hands pictures out under the hash of their bytes: what is under a name never changes.</summary>
public static class Pictures
{
    public static void MapPictures(this WebApplication app) =>
        app.MapGet("/pictures/{id:length(64)}", async (string id, CupboardStore cupboard, HttpContext context, CancellationToken cancel) =>
    {
        if (await cupboard.Picture(id, cancel) is not { } picture)
        {
            return Results.NotFound();
        }

        context.Response.Headers.CacheControl = "private, max-age=31536000, immutable";
        return Results.Bytes(picture.Bytes, picture.ContentType);
    });
}
