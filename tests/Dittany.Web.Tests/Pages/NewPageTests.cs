using System.Net;
using AngleSharp.Html.Dom;
using AngleSharp.Html.Parser;
using Dittany.Web.Tests.Setup;
using static Dittany.Web.Tests.Setup.Browsing;

namespace Dittany.Web.Tests.Pages;

/// <summary>Three answers, said in one go or one by one.</summary>
public sealed class NewPageTests(Site site) : IClassFixture<Site>
{
    private HttpClient _browser = site.Start();

    [Fact]
    public async Task One_saying_is_three_answers_and_a_plan()
    {
        using var alone = new Site();
        _browser = alone.Start();
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
        Assert.Contains("sparkly", heard.QuerySelector("#asked")!.TextContent, StringComparison.Ordinal);
        Assert.Equal("sparkly", heard.QuerySelector(".span-unplaced .said-word")!.TextContent);
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

    /// <summary>Under the saying every word is told for what it was taken for, as a list; what else it could be is a button.</summary>
    [Fact]
    public async Task Every_word_carries_what_it_was_taken_for()
    {
        var heard = await Understand(("Said", "Ida and two bees in rust on a linen tote for Friday"));
        Assert.Equal(["words", "count", "motif", "colour", "item", "item", "day"], heard.QuerySelectorAll("#spans .said-label").Select(l => l.TextContent));
        Assert.Equal(["Ida", "and", "two", "bees", "in", "rust", "on a", "linen", "tote", "for Friday"], heard.QuerySelectorAll("#spans > li").Select(l =>
            (l.QuerySelector(".said-word") ?? l).TextContent.Trim()));
        Assert.Null(heard.QuerySelector("#asked"));
        Assert.Contains("words to stitch", heard.QuerySelector(".span-motif button[value^='words:0:bees']")!.TextContent, StringComparison.Ordinal);
    }

    /// <summary>What she settles of a word stays while she types on; an answer is put into the saying.</summary>
    [Fact]
    public async Task A_word_is_settled_by_a_button_and_a_question_by_its_answer()
    {
        var heard = await Understand(("Said", "daisy on a tote"));
        Assert.Equal("daisy", heard.QuerySelector("#motif option[selected]")!.GetAttribute("value"));
        var pin = heard.QuerySelector(".span-motif button[value^='words:']")!.GetAttribute("value")!;
        var settled = await Read("/new?handler=Pin", ("Said", "daisy on a tote"), ("pin", pin));
        Assert.Equal("daisy", Value(settled, "#words"));
        var on = await Understand(("Said", "daisy on a tote for Friday"), ("Pins", Value(settled, "textarea[name=Pins]")));
        Assert.Equal("daisy", Value(on, "#words"));
        Assert.Null(on.QuerySelector("#asked"));
        var answer = heard.QuerySelector("#asked button")!.GetAttribute("value")!;
        var answered = await Read("/new?handler=Answer", ("Said", "daisy on a tote"), ("answer", answer));
        Assert.Equal("a daisy on a tote", answered.QuerySelector("#said")!.GetAttribute("value"));
        Assert.Null(answered.QuerySelector("#asked"));
    }

    /// <summary>A piece is not made while something of its saying has no place, until she has seen that.</summary>
    [Fact]
    public async Task Nothing_of_a_saying_falls_silently()
    {
        var first = await PostForm(_browser, "/new", "/new", ("Said", "Zoë on a sparkly tote"));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, first.StatusCode);
        var page = new HtmlParser().ParseDocument(await first.Content.ReadAsStringAsync());
        Assert.Contains("has no place yet", page.QuerySelector("[role=alert]")!.TextContent, StringComparison.Ordinal);
        var seen = Value(page, "textarea[name=Seen]");
        Assert.Equal(HttpStatusCode.Redirect, (await PostForm(_browser, "/new", "/new", ("Said", "Zoë on a sparkly tote"), ("Seen", seen))).StatusCode);
    }

    /// <summary>A piece is what was said, all of it: elements with their wishes, places, choices, day and whom it is for.</summary>
    [Fact]
    public async Task All_that_was_said_is_in_the_piece()
    {
        var answer = await PostForm(_browser, "/new", "/new",
            ("Said", "Mia on the chest in slab and three red hearts, scattered, on the sleeve of a T-shirt, size XL, in a 5 inch hoop, for Ada by Friday"));
        Assert.Equal(HttpStatusCode.Redirect, answer.StatusCode);
        var job = await Site.Read(await _browser.GetAsync("/pieces/1.json"));
        var (words, hearts) = (job.GetProperty("elements")[0], job.GetProperty("elements")[1]);
        Assert.Equal(("Mia", "slab", "#c23b34", 3, "scatter", "sleeve"), (words.GetProperty("text").GetString(), words.GetProperty("alphabet").GetString(),
            hearts.GetProperty("colour").GetString(), hearts.GetProperty("count").GetInt32(), hearts.GetProperty("arrangement").GetString(), hearts.GetProperty("zone").GetString()));
        Assert.Equal(("left-chest", "127", "xl"), (job.GetProperty("zone").GetString(), job.GetProperty("overrules").GetProperty("hoop.size").GetString(),
            job.GetProperty("item").GetProperty("size").GetString()));
        Assert.Equal("Mia and three hearts, for Ada", job.GetProperty("title").GetString());
    }

    private async Task<IHtmlDocument> Read(string handler, params (string, string)[] answers) =>
        new HtmlParser().ParseDocument(await (await PostForm(_browser, "/new", handler, answers)).Content.ReadAsStringAsync());

    private async Task<IHtmlDocument> Understand(params (string, string)[] answers) =>
        new HtmlParser().ParseDocument(await (await PostForm(_browser, "/new", "/new?handler=Understand",
            answers)).Content.ReadAsStringAsync());

    private static string Value(IHtmlDocument page, string selector) => page.QuerySelector(selector)!.TextContent;
}
