using System.Globalization;
using Dittany.Core.Planning;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.Filters;

namespace Dittany.Web.Setup;

/// <summary>
/// A page of a piece of which no plan comes leads to its bench, where it stands as what it is with its ways out. Not for what is sent: a
/// change that cannot be made is told where it was made.
/// </summary>
public sealed class TroubledPieces : IExceptionFilter
{
    private const string Bench = "/Bench/Index";

    public void OnException(ExceptionContext context)
    {
        var values = context.RouteData.Values;
        if (context.Exception is UnplannedException && HttpMethods.IsGet(context.HttpContext.Request.Method)
            && values["page"] is not Bench && int.TryParse(values["id"]?.ToString(), NumberStyles.None, CultureInfo.InvariantCulture, out var id))
        {
            context.Result = new RedirectResult(string.Create(CultureInfo.InvariantCulture, $"/bench/{id}"));
            context.ExceptionHandled = true;
        }
    }
}
