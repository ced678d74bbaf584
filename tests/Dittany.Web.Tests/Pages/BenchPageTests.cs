using System.Net;
using AngleSharp.Dom;
using AngleSharp.Html.Parser;
using Dittany.Web.Tests.Setup;
using static Dittany.Web.Tests.Store.KilledTests;

namespace Dittany.Web.Tests.Pages;

/// <summary>The pages as a browser without scripts sees them.</summary>
public sealed class BenchPageTests : IDisposable
{
    private readonly Site _site = new();
    private readonly HttpClient _browser;

    public BenchPageTests() => _browser = _site.Start();

    public void Dispose() => _site.Dispose();

    [Fact]
    public async Task Three_answers_give_a_bench()
    {
        var bench = await Read(await Make("Zoë"));
        Assert.Contains("Zoë, on a tea towel", bench.QuerySelector("h1")!.TextContent, StringComparison.Ordinal);
        Assert.Equal(10, bench.QuerySelectorAll(".thread li").Length);
        Assert.True(bench.QuerySelectorAll("article.slip").Length >= 20);
        Assert.NotNull(bench.QuerySelector("svg .thread"));
    }

    /// <summary>Each item of the cupboard is on the page with its picture and sizes, and gives a plan.</summary>
    [Theory]
    [InlineData("baby-bodysuit", "68", "baby bodysuit")]
    [InlineData("napkin", "50x50", "napkin")]
    [InlineData("tote", "38x42-lined", "tote")]
    [InlineData("tea-towel", "45x65", "tea towel")]
    public async Task Every_item_can_be_picked_in_its_size(string form, string size, string name)
    {
        var page = await Read("/new");
        Assert.NotNull(page.QuerySelector($"input[name=Form][value={form}]"));
        Assert.NotNull(page.QuerySelector($"select[name='Sizes[{form}]'] option[value='{size}']"));
        var answer = await PostForm(_browser, "/new", "/new", ("Words", "Zoë\nand Jo"), ("Form", form), ($"Sizes[{form}]", size), ("Day", ""), ("Colour", ""));
        var bench = await Read(answer.Headers.Location!.ToString());
        Assert.Contains($"on a {name}", bench.QuerySelector("h1")!.TextContent, StringComparison.Ordinal);
        Assert.Contains("your choice", bench.QuerySelector("#slip-item-size")!.TextContent, StringComparison.Ordinal);
        Assert.Equal("Zoë\nand Jo", bench.QuerySelector("#words")!.TextContent);
        Assert.Contains("2 rows", bench.QuerySelector("#slip-words-rows")!.TextContent, StringComparison.Ordinal);
        Assert.Contains($"Find it on the real {name}", bench.Body!.TextContent, StringComparison.Ordinal);
        Assert.NotNull(bench.QuerySelector("svg .thread"));
    }

    [Fact]
    public async Task What_was_typed_is_kept_when_it_makes_no_sense()
    {
        var answer = await PostForm(_browser, "/new", "/new", ("Words", "日本 & <b>"), ("Form", "tea-towel"), ("Sizes[tea-towel]", "45x65"), ("Day", "someday"), ("Colour", "#27303a"));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, answer.StatusCode);
        var page = new HtmlParser().ParseDocument(await answer.Content.ReadAsStringAsync());
        Assert.Equal("日本 & <b>", page.QuerySelector("#words")!.TextContent);
        Assert.Equal("someday", page.QuerySelector("#day")!.GetAttribute("value"));
        Assert.Equal("45x65", page.QuerySelector("select[name='Sizes[tea-towel]'] option[selected]")!.GetAttribute("value"));
        Assert.Contains("'日'", page.QuerySelector("#words-fault")!.TextContent, StringComparison.Ordinal);
        Assert.Contains("2027-03-14", page.QuerySelector("#day-fault")!.TextContent, StringComparison.Ordinal);
        Assert.Empty(new HtmlParser().ParseDocument(await _browser.GetStringAsync("/")).QuerySelectorAll(".pieces li"));
    }

    [Fact]
    public async Task An_overrule_is_taken_shown_and_undone_without_scripts()
    {
        var path = await Make("Mimi");
        var answer = await PostForm(_browser, path, $"{path}?handler=Change", ("from", "1"), ("member", "overrules/transfer.method"), ("value", "hot-iron"));
        Assert.Equal(HttpStatusCode.Redirect, answer.StatusCode);
        var slip = (await Read(path)).QuerySelector("#slip-transfer-method")!;
        Assert.Contains("your choice", slip.TextContent, StringComparison.Ordinal);
        Assert.Contains("printed mirrored", slip.TextContent, StringComparison.Ordinal);

        await PostForm(_browser, path, $"{path}?handler=Undo");
        Assert.DoesNotContain("your choice", (await Read(path)).QuerySelector("#slip-transfer-method")!.TextContent, StringComparison.Ordinal);
        await PostForm(_browser, path, $"{path}?handler=Redo");
        Assert.Contains("your choice", (await Read(path)).QuerySelector("#slip-transfer-method")!.TextContent, StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_conflict_shows_both_values_and_stores_nothing()
    {
        var path = await Make("Mimi");
        await PostForm(_browser, path, $"{path}?handler=Change", ("from", "1"), ("member", "text"), ("value", "Mimi & Jo"));
        var answer = await PostForm(_browser, path, $"{path}?handler=Change", ("from", "1"), ("member", "text"), ("value", "Mia"));
        Assert.Equal(HttpStatusCode.Conflict, answer.StatusCode);
        var trouble = new HtmlParser().ParseDocument(await answer.Content.ReadAsStringAsync()).QuerySelector(".trouble")!.TextContent;
        Assert.Contains("Mimi & Jo", trouble, StringComparison.Ordinal);
        Assert.Contains("Mia", trouble, StringComparison.Ordinal);
        Assert.Equal("Mimi & Jo", (await Read(path)).QuerySelector("#words")!.TextContent);
    }

    [Fact]
    public async Task Words_that_cannot_be_written_stay_in_the_field()
    {
        var path = await Make("Mimi");
        var answer = await PostForm(_browser, path, $"{path}?handler=Change", ("from", "1"), ("member", "text"), ("value", "Мими"));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, answer.StatusCode);
        var page = new HtmlParser().ParseDocument(await answer.Content.ReadAsStringAsync());
        Assert.Equal("Мими", page.QuerySelector("#words")!.TextContent);
        Assert.NotEmpty(page.QuerySelector(".trouble")!.TextContent);
    }

    [Fact]
    public async Task Nudges_and_sizes_move_the_plan()
    {
        var path = await Make("Mimi");
        await PostForm(_browser, path, $"{path}?handler=Nudge", ("dx", "5"), ("dy", "0"));
        Assert.Contains("5 mm right of the middle line", (await Read(path)).QuerySelector("#slip-space-place")!.TextContent, StringComparison.Ordinal);
        Assert.Contains("5 mm to the right", (await Read(path)).TextContent(), StringComparison.Ordinal);
        var before = (await Read(path)).QuerySelector(".grow-form .told")!.TextContent;
        await PostForm(_browser, path, $"{path}?handler=Grow", ("by", "-1"));
        Assert.NotEqual(before, (await Read(path)).QuerySelector(".grow-form .told")!.TextContent);
    }

    [Fact]
    public async Task A_change_by_htmx_answers_with_the_bench_alone()
    {
        var path = await Make("Mimi");
        var page = await Read(path);
        using var request = new HttpRequestMessage(HttpMethod.Post, $"{path}?handler=Grow")
        {
            Content = new FormUrlEncodedContent(new Dictionary<string, string>(StringComparer.Ordinal)
            {
                ["__RequestVerificationToken"] = page.QuerySelector("input[name=__RequestVerificationToken]")!.GetAttribute("value")!,
                ["by"] = "-1",
            }),
        };
        request.Headers.Add("HX-Request", "true");
        var html = await (await _browser.SendAsync(request)).Content.ReadAsStringAsync();
        Assert.StartsWith("<div id=\"bench\"", html.TrimStart(), StringComparison.Ordinal);
        Assert.DoesNotContain("<html", html, StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_change_without_its_token_is_refused()
    {
        var path = await Make("Mimi");
        using var content = new FormUrlEncodedContent(new Dictionary<string, string>(StringComparer.Ordinal) { ["by"] = "1" });
        Assert.Equal(HttpStatusCode.BadRequest, (await _browser.PostAsync($"{path}?handler=Grow", content)).StatusCode);
    }

    [Fact]
    public async Task Script_in_a_title_is_shown_as_text()
    {
        var path = await Make("Mimi");
        await PostForm(_browser, path, $"{path}?handler=Change", ("from", "1"), ("member", "title"), ("value", "<script>alert(1)</script>"));
        var html = await _browser.GetStringAsync(path);
        Assert.DoesNotContain("<script>alert", html, StringComparison.Ordinal);
        Assert.Equal("<script>alert(1)</script>", (await Read(path)).QuerySelector("h1")!.TextContent);
    }

    [Fact]
    public async Task No_page_has_inline_script_style_or_handlers()
    {
        foreach (var path in new[] { "/", "/new", await Make("Mimi") })
        {
            var page = await Read(path);
            Assert.All(page.Scripts, s => Assert.False(string.IsNullOrEmpty(s.GetAttribute("src"))));
            Assert.Empty(page.QuerySelectorAll("style, [style], [onclick], [onload], [onchange], [oninput]"));
        }
    }

    [Fact]
    public async Task The_template_opens_and_the_plan_is_kept()
    {
        var path = await Make("Mimi");
        var pdf = await _browser.GetAsync($"{path}?handler=Template");
        Assert.Equal("application/pdf", pdf.Content.Headers.ContentType!.MediaType);
        Assert.Equal("%PDF"u8.ToArray(), (await pdf.Content.ReadAsByteArrayAsync())[..4]);
        Assert.Contains("<svg", await _browser.GetStringAsync($"{path}?handler=Template&kind=svg"), StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.OK, (await _browser.GetAsync("/api/pieces/1/plan")).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await _browser.GetAsync("/api/pieces/99/plan")).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await _browser.GetAsync("/bench/99")).StatusCode);
    }

    private async Task<string> Make(string words)
    {
        var answer = await PostForm(_browser, "/new", "/new", ("Words", words), ("Form", "tea-towel"), ("Colour", ""));
        Assert.Equal(HttpStatusCode.Redirect, answer.StatusCode);
        return answer.Headers.Location!.ToString();
    }

    private async Task<AngleSharp.Html.Dom.IHtmlDocument> Read(string path) => new HtmlParser().ParseDocument(await _browser.GetStringAsync(path));
}

internal static class Documents
{
    public static string TextContent(this IDocument page) => page.DocumentElement.TextContent;
}
