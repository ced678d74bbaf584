using System.Net;
using AngleSharp.Html.Dom;
using AngleSharp.Html.Parser;
using Dittany.Web.Tests.Setup;
using static Dittany.Web.Tests.Setup.Browsing;

namespace Dittany.Web.Tests.Pages;

/// <summary>The threads in the cupboard: measured, taken from a table, looked for.</summary>
public sealed class ThreadPageTests(Site site) : IClassFixture<Site>
{
    private HttpClient _browser = site.Start();

    /// <summary>A measurement is kept, told with what it changes, used by the next plan and forgotten again.</summary>
    [Fact]
    public async Task A_thread_is_measured()
    {
        using var alone = new Site();
        _browser = alone.Start();
        await PostForm(_browser, "/new", "/new", ("Said", "Iris on a tote"), ("Words", "Iris"), ("Form", "tote"));
        var before = (await Read("/bench/1?Station=thread")).QuerySelector(".stations, #stations, body")!.TextContent;
        var kept = await Page(await PostForm(_browser, "/cupboard/threads", "/cupboard/threads?handler=Wraps", ("from", "0"), ("kind", "cotton"), ("ply", "3"),
            ("wraps", "9,5")));
        Assert.Contains("1.05 mm wide as you wrap it", kept.QuerySelector("#kept")!.TextContent, StringComparison.Ordinal);
        Assert.Contains("Stranded cotton: one lies 0.5", kept.QuerySelector("#measured-threads")!.TextContent, StringComparison.Ordinal);
        Assert.NotEqual(before, (await Read("/bench/1?Station=thread")).QuerySelector("body")!.TextContent);
        var ten = await Page(await PostForm(_browser, "/cupboard/threads", "/cupboard/threads?handler=Ten", ("from", "1"), ("before", "30 cm"), ("left", "18 cm"),
            ("cloth", "canvas")));
        Assert.Contains("% more than the bare way", ten.QuerySelector("#kept")!.TextContent, StringComparison.Ordinal);
        var usual = await Page(await PostForm(_browser, "/cupboard/threads", "/cupboard/threads?handler=Usual", ("from", "2")));
        Assert.Null(usual.QuerySelector("#measured-threads"));
    }

    /// <summary>What cannot be is told beside its field, with what was typed kept.</summary>
    [Theory]
    [InlineData("Wraps", "#wraps-wrong", "kind=pearl-8&ply=3&wraps=12", "as it comes")]
    [InlineData("Wraps", "#wraps-wrong", "kind=cotton&ply=1&wraps=many", "such as 13")]
    [InlineData("Wraps", "#wraps-wrong", "kind=cotton&ply=1&wraps=3", "out of reach")]
    [InlineData("Ten", "#ten-wrong", "before=30 cm&left=31 cm&cloth=canvas", "less than it was before")]
    [InlineData("Ten", "#ten-wrong", "before=30 cm&left=29 cm&cloth=canvas", "count the stitches")]
    [InlineData("Ten", "#ten-wrong", "before=30 cm&left=18 cm&cloth=fog", "Choose the cloth")]
    [InlineData("Table", "#pasted-wrong", "pasted=", "no table yet")]
    public async Task What_cannot_be_is_told_and_kept(string handler, string where, string fields, string told)
    {
        var sent = fields.Split('&').Select(f => (f.Split('=')[0], f.Split('=')[1])).Append(("from", "0")).ToArray();
        var answer = await PostForm(_browser, "/cupboard/threads", $"/cupboard/threads?handler={handler}", sent);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, answer.StatusCode);
        var page = await Page(answer);
        Assert.Contains(told, page.QuerySelector(where)!.TextContent, StringComparison.Ordinal);
        foreach (var (name, value) in sent.Where(s => s.Item1 is "wraps" or "before" or "left"))
        {
            Assert.Equal(value, ((IHtmlInputElement)page.QuerySelector($"#{name}")!).Value);
        }
    }

    /// <summary>A table with wrong rows keeps nothing until she says so; then the good rows, told on the bench as her nearest.</summary>
    [Fact]
    public async Task Good_rows_are_kept_on_request()
    {
        using var alone = new Site();
        _browser = alone.Start();
        var answer = await PostForm(_browser, "/cupboard/threads", "/cupboard/threads?handler=Table", ("from", "0"),
            ("pasted", "plum, #8f3a67\nsky, blueish\nhay, #e0c070, wool"));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, answer.StatusCode);
        var page = await Page(answer);
        Assert.Contains("Row 2, column 2", page.QuerySelector("#table-trouble")!.TextContent, StringComparison.Ordinal);
        Assert.Contains("plum, #8f3a67", page.QuerySelector("#pasted")!.TextContent, StringComparison.Ordinal);
        Assert.Null((await Read("/cupboard/threads")).QuerySelector("#hers"));
        var good = ((IHtmlInputElement)page.QuerySelector("input[name=good]")!).Value;
        var kept = await Page(await PostForm(_browser, "/cupboard/threads", "/cupboard/threads?handler=Good", ("from", "0"), ("good", good)));
        Assert.Equal(2, kept.QuerySelectorAll("#hers li").Length);
        await PostForm(_browser, "/new", "/new", ("Said", "Iris on a tote"), ("Words", "Iris"), ("Form", "tote"));
        Assert.Contains("“plum”", (await Read("/bench/1?Station=thread")).Body!.TextContent, StringComparison.Ordinal);
        var near = await Read("/cupboard/threads?Like=%238f3a67");
        Assert.Contains("plum", near.QuerySelector("#nearest")!.TextContent, StringComparison.Ordinal);
        Assert.Contains("is no colour of the chart", (await Read("/cupboard/threads?Like=nothing")).QuerySelector("#nearest")!.TextContent, StringComparison.Ordinal);
        var gone = await Page(await PostForm(_browser, "/cupboard/threads", "/cupboard/threads?handler=Forget", ("from", "1")));
        Assert.Null(gone.QuerySelector("#hers"));
    }

    /// <summary>
    /// A letter on the edge is tried on a scrap; what came of it is kept, shown with the measurements, and not asked again.
    /// </summary>
    [Fact]
    public async Task A_trial_is_kept()
    {
        await PostForm(_browser, "/new", "/new", ("Said", "Beatrice on a tea towel"), ("Words", "Beatrice"), ("Form", "tea-towel"));
        var from = 1;
        foreach (var (member, value) in new[] { ("stitch", "backstitch"), ("strands", "2"), ("capHeightMm", "8") })
        {
            await PostForm(_browser, "/bench/1", $"/bench/1?handler=Change&member={member}", ("from", $"{from++}"), ("value", value));
        }

        for (var high = 8; (await Read("/bench/1?Station=words")).QuerySelector("#try-first") is null && high > 3; high--)
        {
            await PostForm(_browser, "/bench/1", "/bench/1?handler=Change&member=capHeightMm", ("from", $"{from++}"), ("value", $"{high - 0.5:0.0}".Replace(',', '.')));
        }

        Assert.NotNull((await Read("/bench/1?Station=words")).QuerySelector("#try-first"));
        var tried = await PostForm(_browser, "/bench/1?Station=words", "/bench/1?handler=Trial", ("from", $"{from}"), ("open", "true"), ("Station", "words"));
        Assert.Equal(HttpStatusCode.Redirect, tried.StatusCode);
        Assert.Null((await Read("/bench/1?Station=words")).QuerySelector("#try-first"));
        Assert.Contains("Tried on", (await Read("/cupboard/threads")).QuerySelector("#measured-threads")!.TextContent, StringComparison.Ordinal);
    }

    private async Task<IHtmlDocument> Read(string address) => new HtmlParser().ParseDocument(await _browser.GetStringAsync(address));

    private static async Task<IHtmlDocument> Page(HttpResponseMessage answer) =>
        new HtmlParser().ParseDocument(await answer.Content.ReadAsStringAsync());
}
