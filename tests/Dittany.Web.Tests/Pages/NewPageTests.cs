using System.Net;
using AngleSharp.Html.Dom;
using AngleSharp.Html.Parser;
using Dittany.Web.Tests.Setup;
using static Dittany.Web.Tests.Setup.Browsing;

namespace Dittany.Web.Tests.Pages;

/// <summary>Three answers, said in one go or one by one.</summary>
public sealed class NewPageTests : IDisposable
{
    private readonly Site _site = new();
    private readonly HttpClient _browser;

    public NewPageTests() => _browser = _site.Start();

    public void Dispose() => _site.Dispose();

    [Fact]
    public async Task One_saying_is_three_answers_and_a_plan()
    {
        var answer = await PostForm(_browser, "/new", "/new", ("Said", "Zoë on a blue bodysuit, size 68, for Sunday week"));
        Assert.Equal(HttpStatusCode.Redirect, answer.StatusCode);
        var plan = await Site.Read(await _browser.GetAsync("/api/pieces/1/plan"));
        Assert.Equal(("baby-bodysuit", "68"), (plan.GetProperty("item").GetProperty("form").GetString(),
            plan.GetProperty("item").GetProperty("size").GetString()));
        Assert.Equal("#b9ccd4", plan.GetProperty("item").GetProperty("fabric").GetProperty("colour").GetString());
        var bench = new HtmlParser().ParseDocument(await _browser.GetStringAsync(answer.Headers.Location!));
        Assert.Contains("for Sunday 14 March", bench.QuerySelector(".piece-title")!.TextContent, StringComparison.Ordinal);
        Assert.Equal("Zoë", bench.QuerySelector("#words")!.TextContent);
    }

    /// <summary>What she gives by itself stands against what she said; what she did not touch follows the saying.</summary>
    [Fact]
    public async Task Answers_follow_the_saying_until_they_are_given_by_themselves()
    {
        var heard = await Understand(("Said", "Zoë on a napkin for tomorrow"));
        Assert.Equal(("Zoë", "Zoë", "napkin"), (Value(heard, "#words"), Value(heard, "textarea[name=HeardWords]"),
            heard.QuerySelector("input[name=Form][checked]")!.GetAttribute("value")));
        var on = await Understand(
            ("Said", "Zoë and Jo on a tote"), ("Words", "Zoë"), ("HeardWords", "Zoë"), ("Form", "napkin"), ("HeardForm", "napkin"),
                ("Day", "14 March"), ("HeardDay", ""));
        Assert.Equal(("Zoë and Jo", "tote"), (Value(on, "#words"), on.QuerySelector("input[name=Form][checked]")!.GetAttribute("value")));
        Assert.Equal("14 March", on.QuerySelector("#day")!.GetAttribute("value"));
        var hers = await Understand(("Said", "Zoë on a tote"), ("Words", "Zoe"), ("HeardWords", "Zoë"), ("Form", "napkin"),
            ("HeardForm", "tote"));
        Assert.Equal(("Zoe", "napkin"), (Value(hers, "#words"), hers.QuerySelector("input[name=Form][checked]")!.GetAttribute("value")));
    }

    [Fact]
    public async Task A_glimpse_shows_the_plan_and_stores_nothing()
    {
        var heard = await Understand(("Said", "Kräuter on a dark tea towel for Friday"));
        var glimpse = heard.QuerySelector("#glimpse")!;
        Assert.NotNull(glimpse.QuerySelector("svg .thread"));
        Assert.Contains("Capitals of", glimpse.TextContent, StringComparison.Ordinal);
        Assert.Contains("Ready on", glimpse.TextContent, StringComparison.Ordinal);
        Assert.Empty(new HtmlParser().ParseDocument(await _browser.GetStringAsync("/")).QuerySelectorAll(".pieces li"));
    }

    [Fact]
    public async Task What_is_not_understood_is_told_and_what_was_typed_stays()
    {
        var heard = await Understand(("Said", "Zoë on a sparkly tote for Ada"));
        Assert.Contains("sparkly", heard.QuerySelector("#not-understood")!.TextContent, StringComparison.Ordinal);
        var answer = await PostForm(_browser, "/new", "/new", ("Said", "家 on a tote for Sunday"), ("Day", "someday"));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, answer.StatusCode);
        var page = new HtmlParser().ParseDocument(await answer.Content.ReadAsStringAsync());
        Assert.Equal("家 on a tote for Sunday", page.QuerySelector("#said")!.GetAttribute("value"));
        Assert.Equal("someday", page.QuerySelector("#day")!.GetAttribute("value"));
        Assert.Contains("'家'", page.QuerySelector("#words-fault")!.TextContent, StringComparison.Ordinal);
        Assert.Contains("Sunday week", page.QuerySelector("#day-fault")!.TextContent, StringComparison.Ordinal);
        var nothing = await PostForm(_browser, "/new", "/new", ("Said", "Zoë"));
        Assert.Contains("Nothing to put it on", new HtmlParser().ParseDocument(await nothing.Content.ReadAsStringAsync()).QuerySelector(
            "#item-fault")!.TextContent, StringComparison.Ordinal);
    }

    private async Task<IHtmlDocument> Understand(params (string, string)[] answers) =>
        new HtmlParser().ParseDocument(await (await PostForm(_browser, "/new", "/new?handler=Understand",
            answers)).Content.ReadAsStringAsync());

    private static string Value(IHtmlDocument page, string selector) => page.QuerySelector(selector)!.TextContent;
}
