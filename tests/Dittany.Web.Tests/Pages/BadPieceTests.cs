using System.Net;
using AngleSharp.Html.Dom;
using AngleSharp.Html.Parser;
using Dittany.Core.Jobs;
using Dittany.Store;
using Dittany.Web.Tests.Setup;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;
using static Dittany.Web.Tests.Setup.Browsing;

namespace Dittany.Web.Tests.Pages;

/// <summary>
/// A piece of which no sense can be made stands on every page as one bad piece with its ways out, and no page or other piece is the worse
/// for it.
/// </summary>
public sealed class BadPieceTests : IDisposable
{
    private const string Spoilt = "{\"schema\":\"dittany.job/1\",\"title\":\"Winter "
        + "towel\",\"today\":\"2027-03-01\",\"item\":{\"form\":\"tea-towel\"},\"elements\":[{\"id\":\"name\",\"kind\":\"text\",\"text\":\"Zo\u00AD\"}]}";

    private readonly Site _site = new();
    private readonly HttpClient _browser;

    public BadPieceTests() => _browser = _site.Start();

    public void Dispose() => _site.Dispose();

    [Fact]
    public async Task Every_page_stands()
    {
        await Spoil();
        foreach (var page in new[] { "/", "/habits", "/habits?try=hold", "/workshop", "/set", "/cupboard", "/new", "/letters", "/motifs" })
        {
            Assert.Equal(HttpStatusCode.OK, (await _browser.GetAsync(page)).StatusCode);
        }

        var today = await Read("/");
        Assert.Contains("soft hyphen (U+00AD)", today.QuerySelector(".bad")!.TextContent, StringComparison.Ordinal);
        Assert.Equal("Zoë, on a tea towel", today.QuerySelector(".pieces strong")!.TextContent);
        foreach (var page in new[] { "/sheets/1", "/needle/1", "/try/1", "/log/1" })
        {
            Assert.Equal("/bench/1", (await _browser.GetAsync(page)).Headers.Location?.ToString());
        }

        var door = await _browser.GetAsync("/api/pieces/1/plan");
        Assert.Equal(HttpStatusCode.UnprocessableEntity, door.StatusCode);
        Assert.True(door.Headers.CacheControl!.NoStore);
        Assert.Equal("#/elements/0/text", (await Site.Read(door)).GetProperty("errors")[0].GetProperty("pointer").GetString());
    }

    [Fact]
    public async Task Its_ways_out_are_back_out_and_away()
    {
        await Spoil();
        var bench = await Read("/bench/1");
        Assert.Contains("No plan can be shown of this piece", bench.QuerySelector(".trouble")!.TextContent, StringComparison.Ordinal);
        Assert.Equal(Spoilt, await _browser.GetStringAsync(bench.QuerySelector("a[download]")!.GetAttribute("href")));

        // A change of it is told the same, and stores nothing.
        await PostForm(_browser, "/bench/1", "/bench/1?handler=Nudge", ("dx", "1"), ("dy", "0"));
        Assert.Equal("2", (await Read("/bench/1")).QuerySelector(".bad-piece")!.GetAttribute("data-from"));
        await PostForm(_browser, "/bench/1", "/bench/1?handler=Away");
        Assert.Null((await Read("/")).QuerySelector(".bad"));
        Assert.Contains("Winter towel", (await Read("/")).QuerySelector(".put-away")!.TextContent, StringComparison.Ordinal);
        await PostForm(_browser, "/", "/bench/1?handler=Back");
        Assert.NotNull((await Read("/")).QuerySelector(".bad"));
        Assert.Equal(HttpStatusCode.Redirect, (await PostForm(_browser, "/bench/1", "/bench/1?handler=Undo", ("from", "2"))).StatusCode);
        Assert.Equal("Mimi", (await Read("/bench/1")).QuerySelector("#words")!.TextContent);
    }

    /// <summary>What is more than one plan holds is told where it was asked for, and is nowhere in the way afterwards.</summary>
    [Fact]
    public async Task A_piece_beyond_a_plan_is_told_of()
    {
        await using (var scope = _site.Services.CreateAsyncScope())
        {
            await scope.ServiceProvider.GetRequiredService<PieceStore>().Create(Wild.Scribble(new DateOnly(2027, 3, 1)), "New piece");
        }

        var bench = await Read("/bench/1");
        Assert.Contains("more than one plan can reckon", bench.QuerySelector(".trouble")!.TextContent, StringComparison.Ordinal);
        await Until(async () => (await Read("/")).QuerySelector(".bad") is not null);
        Assert.Equal(HttpStatusCode.BadRequest, (await _browser.GetAsync("/api/pieces/1/plan")).StatusCode);

        // Its other pages lead to where it stands, and what went wrong can be taken along.
        foreach (var page in new[] { "/needle/1", "/sheets/1", "/try/1" })
        {
            var led = await _browser.GetAsync(page);
            Assert.True(led.Headers.Location?.ToString() == "/bench/1", $"{page}: {led.StatusCode} {led.Headers.Location}");
        }

        Assert.Equal(HttpStatusCode.OK, (await _browser.GetAsync("/log/1")).StatusCode);
        var report = await _browser.GetStringAsync(bench.QuerySelector("a[href$='report.txt']")!.GetAttribute("href"));
        Assert.Contains("more than one plan can reckon", report, StringComparison.Ordinal);
        Assert.Contains("\"form\":\"tablecloth\"", report, StringComparison.Ordinal);
    }

    /// <summary>A change of which no plan comes is told and not stored; the piece stands as it was.</summary>
    [Fact]
    public async Task A_change_that_cannot_be_planned_is_not_stored()
    {
        await using var scope = _site.Services.CreateAsyncScope();
        var pieces = scope.ServiceProvider.GetRequiredService<PieceStore>();
        var id = await pieces.Create(new Job("tea-towel", [new TextElement("name", "Ida")], new DateOnly(2027, 3, 1)), "New piece");
        var changed = await pieces.Change(id, 1, new Change("motifs", null, "Put on a scribble", job => job with
        {
            Elements = [.. job.Elements, .. Wild.Scribble(job.Today).Motifs],
        }), Workshop.Default);
        var fault = Assert.Single(changed!.Faults!);
        Assert.EndsWith("Nothing was changed.", fault.Detail, StringComparison.Ordinal);
        Assert.Equal(1, (await pieces.Find(id))!.Head);
        Assert.Null((await Read("/bench/1")).QuerySelector(".trouble"));
    }

    /// <summary>Whatever is larger than may be is told how large it is, and what is the most.</summary>
    [Fact]
    public async Task What_is_too_large_says_how_large()
    {
        var answer = await _browser.PostAsync("/api/plan", Site.Json(new string(' ', 3 << 20)));
        Assert.Equal(HttpStatusCode.RequestEntityTooLarge, answer.StatusCode);
        Assert.Equal("The body has 3 MB, and 1 MB is the most.", (await Site.Read(answer)).GetProperty("title").GetString());
        Assert.Equal("What was sent has 7.3 MB, and 2 MB is the most.", Web.Setup.Limits.Told("What was sent", 7_600_000, 2 << 20));
        Assert.Equal("It has more than 1 MB, which is the most.", Web.Setup.Limits.Told("It", null, 1 << 20));
    }

    [Fact]
    public void A_full_disk_is_known_by_whatever_it_breaks()
    {
        Assert.True(Web.Setup.Limits.DiskFull(new DbUpdateException("no", new Microsoft.Data.Sqlite.SqliteException("full", 13))));
        Assert.True(Web.Setup.Limits.DiskFull(new IOException("No space left on device", 28)));
        Assert.False(Web.Setup.Limits.DiskFull(new IOException("gone", 2)));
        Assert.False(Web.Setup.Limits.DiskFull(null));
        Assert.Equal(507, Web.Api.Problems.StatusOf(new Microsoft.Data.Sqlite.SqliteException("full", 13)));
    }

    [Fact]
    public async Task A_form_sent_twice_makes_one_piece()
    {
        var form = await Read("/new");
        var fields = new Dictionary<string, string>(StringComparer.Ordinal)
        {
            ["__RequestVerificationToken"] = Value(form, "__RequestVerificationToken"),
            ["Once"] = Value(form, "Once"),
            ["Words"] = "Mimi",
            ["Form"] = "tea-towel",
        };
        var answers = await Task.WhenAll(Enumerable.Range(0, 5).Select(async _ =>
        {
            using var content = new FormUrlEncodedContent(fields);
            return (await _browser.PostAsync("/new", content)).Headers.Location!.ToString();
        }));
        Assert.Single(answers.Distinct());
        Assert.Single((await Read("/")).QuerySelectorAll(".pieces li"));

        static string Value(IHtmlDocument page, string name) => page.QuerySelector($"input[name={name}]")!.GetAttribute("value")!;
    }

    [Fact]
    public async Task Of_twenty_nudges_at_once_each_counts_and_a_stale_undo_takes_nothing_back()
    {
        await PostForm(_browser, "/new", "/new", ("Words", "Mimi"), ("Form", "tea-towel"));
        await PostForm(_browser, "/bench/1", "/bench/1?handler=Put", ("from", "1"), ("x", "250"), ("y", "500"), ("within", "0"));
        var answers = await Task.WhenAll(Enumerable.Range(0, 20).Select(_ => Nudged()));
        Assert.All(answers, a => Assert.Equal(HttpStatusCode.Redirect, a.StatusCode));
        var words = (await Read("/bench/1")).QuerySelector(".words")!;
        Assert.Equal("270", words.GetAttribute("data-x"));
        var stale = await PostForm(_browser, "/bench/1", "/bench/1?handler=Undo", ("from", "2"));
        Assert.Equal(HttpStatusCode.Conflict, stale.StatusCode);
        Assert.Contains("Nothing was taken back", await stale.Content.ReadAsStringAsync(), StringComparison.Ordinal);
        Assert.Equal("270", (await Read("/bench/1")).QuerySelector(".words")!.GetAttribute("data-x"));

        // A slow machine may turn one away for want of time: it says when to ask again, and what was turned away did not count.
        async Task<HttpResponseMessage> Nudged()
        {
            HttpResponseMessage answer;
            var since = System.Diagnostics.Stopwatch.StartNew();
            do
            {
                answer = await PostForm(_browser, "/bench/1", "/bench/1?handler=Nudge", ("dx", "1"), ("dy", "0"));
                Assert.True(answer.StatusCode != HttpStatusCode.ServiceUnavailable || answer.Headers.RetryAfter is not null);
            }
            while (answer.StatusCode == HttpStatusCode.ServiceUnavailable && since.Elapsed < TimeSpan.FromSeconds(60));

            return answer;
        }
    }

    [Theory]
    [InlineData("TRACE", "/", HttpStatusCode.MethodNotAllowed)]
    [InlineData("DELETE", "/bench/1", HttpStatusCode.MethodNotAllowed)]
    [InlineData("TRACE", "/api/forms", HttpStatusCode.MethodNotAllowed)]
    [InlineData("GET", "/?handler=", HttpStatusCode.OK)]
    [InlineData("GET", "/set?Form=&Names=Ola", HttpStatusCode.UnprocessableEntity)]
    [InlineData("GET", "/set?Names=%E2%80%8B", HttpStatusCode.UnprocessableEntity)]
    [InlineData("GET", "/set?Names=Ida%0A%D7%A9%D7%9C%D7%95%D7%9D&Form=tote", HttpStatusCode.OK)]
    [InlineData("GET", "/bench/99", HttpStatusCode.NotFound)]
    public async Task What_is_asked_oddly_is_answered(string method, string address, HttpStatusCode status)
    {
        using var ask = new HttpRequestMessage(new HttpMethod(method), address);
        Assert.Equal(status, (await _browser.SendAsync(ask)).StatusCode);
    }

    private async Task Spoil()
    {
        await PostForm(_browser, "/new", "/new", ("Words", "Mimi"), ("Form", "tea-towel"));
        await PostForm(_browser, "/bench/1", "/bench/1?handler=Change", ("from", "1"), ("member", "text"), ("value", "Maja"));
        await PostForm(_browser, "/new", "/new", ("Words", "Zoë"), ("Form", "tea-towel"));
        await using var scope = _site.Services.CreateAsyncScope();
        await scope.ServiceProvider.GetRequiredService<DittanyDb>().Revisions.Where(r => r.PieceId == 1
            && r.Number == 2).ExecuteUpdateAsync(r => r.SetProperty(x => x.JobJson, Spoilt));
    }

    private async Task<IHtmlDocument> Read(string path) => new HtmlParser().ParseDocument(await _browser.GetStringAsync(path));
}
