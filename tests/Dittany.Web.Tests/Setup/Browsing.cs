using AngleSharp.Html.Parser;

namespace Dittany.Web.Tests.Setup;

/// <summary>What a browser does with a form, and waiting for what comes of it.</summary>
internal static class Browsing
{
    internal static async Task<HttpResponseMessage> PostForm(HttpClient browser, string page, string to,
        params (string Name, string Value)[] answers)
    {
        var form = new HtmlParser().ParseDocument(await browser.GetStringAsync(page));
        var fields = answers.Append(("__RequestVerificationToken",
            form.QuerySelector("input[name=__RequestVerificationToken]")!.GetAttribute("value")!)).Select(a =>
            KeyValuePair.Create(a.Item1, a.Item2));
        using var content = new FormUrlEncodedContent(fields);
        return await browser.PostAsync(to, content);
    }

    internal static async Task Until(Func<Task<bool>> condition)
    {
        using var limit = new CancellationTokenSource(TimeSpan.FromSeconds(60));
        using var beat = new PeriodicTimer(TimeSpan.FromMilliseconds(20));
        while (!await condition())
        {
            await beat.WaitForNextTickAsync(limit.Token);
        }
    }
}
