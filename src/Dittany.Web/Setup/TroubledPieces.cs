using System.Globalization;
using Dittany.Core.Planning;
using Dittany.Store;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.Filters;

namespace Dittany.Web.Setup;

/// <summary>
/// A page of a piece of which no plan comes, or no sense can be made, leads to its bench, where it stands as what it is with its ways out.
/// Not for what is sent: a change that cannot be made is told where it was made.
/// </summary>
public sealed class TroubledPieces : IExceptionFilter, IAsyncResultFilter
{
    private const string Bench = "/Bench/Index";

    public void OnException(ExceptionContext context)
    {
        if (context.Exception is UnplannedException && PieceOf(context) is { } id)
        {
            (context.Result, context.ExceptionHandled) = (ToBench(id), true);
        }
    }

    public async Task OnResultExecutionAsync(ResultExecutingContext context, ResultExecutionDelegate next)
    {
        var pieces = context.HttpContext.RequestServices.GetRequiredService<PieceStore>();
        if (context.Result is NotFoundResult && PieceOf(context) is { } id
            && (await pieces.Look(id, context.HttpContext.RequestAborted)).Bad is not null)
        {
            context.Result = ToBench(id);
        }

        await next();
    }

    /// <summary>The piece that is looked at elsewhere than on its bench; null for every other request.</summary>
    private static int? PieceOf(FilterContext context) => HttpMethods.IsGet(context.HttpContext.Request.Method)
        && context.RouteData.Values["page"] is not Bench
        && int.TryParse(context.RouteData.Values["id"]?.ToString(), NumberStyles.None, CultureInfo.InvariantCulture, out var id) ? id : null;

    private static RedirectResult ToBench(int id) => new(string.Create(CultureInfo.InvariantCulture, $"/bench/{id}"));
}
