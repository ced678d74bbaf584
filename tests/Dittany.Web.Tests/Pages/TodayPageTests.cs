using System.Net;
using AngleSharp.Html.Dom;
using AngleSharp.Html.Parser;
using Dittany.Web.Setup;
using Dittany.Web.Tests.Setup;
using static Dittany.Web.Tests.Setup.Browsing;

namespace Dittany.Web.Tests.Pages;

/// <summary>Today, the habits and the workshop: what the days hold, and what changes them.</summary>
public sealed class TodayPageTests(Site site) : IClassFixture<Site>
{
    private HttpClient _browser = site.Start();

    [Fact]
    public async Task Today_shows_every_piece_on_the_tape_with_its_flag_and_says_what_to_do()
    {
        using var alone = new Site();
        _browser = alone.Start();
        Assert.Contains("Nothing is planned yet", (await Read("/")).QuerySelector("h1")!.TextContent, StringComparison.Ordinal);
        await Make("Zoë", "in 10 days");
        await Make("Jo", "");
        var page = await Read("/");
        Assert.Matches("^(Tonight|No evening at the needle today)", page.QuerySelector("h1")!.TextContent);
        Assert.Equal(["/bench/1", "/bench/2"], page.QuerySelectorAll("svg.days a").Select(a =>
            a.GetAttribute("href")!).Order(StringComparer.Ordinal));
        Assert.Single(page.QuerySelectorAll("svg.days text"), t => t.TextContent == "given");
        Assert.Empty(page.QuerySelectorAll(".late"));
        Assert.Equal(2, page.QuerySelectorAll(".pieces li").Length);
    }

    /// <summary>A way that is taken does what it says: the piece is no longer late.</summary>
    [Theory]
    [InlineData(0)]
    [InlineData(1)]
    [InlineData(2)]
    public async Task A_late_piece_has_ways_to_make_it_fit_and_each_does(int nth)
    {
        await Make("Fridolin Mooshammer", "in 2 days");
        // Ways are tried out beside the page: it says so until they are there.
        var page = await Read("/");
        for (var looked = 0; looked < 20 && page.QuerySelector(".slow") is not null; looked++)
        {
            page = await Read("/");
        }

        var late = page.QuerySelector(".late")!;
        Assert.Contains("ways to make it fit:", late.TextContent, StringComparison.Ordinal);
        var ways = late.QuerySelectorAll("button");
        Assert.Equal(3, ways.Length);
        var answer = await PostForm(_browser, "/", late.QuerySelector("form")!.GetAttribute("action")!,
            ("kind", ways[nth].GetAttribute("value")!));
        Assert.Equal(HttpStatusCode.Redirect, answer.StatusCode);
        Assert.Empty((await Read("/")).QuerySelectorAll(".late"));
        Assert.Equal(HttpStatusCode.Conflict, (await PostForm(_browser, "/", "/?handler=Fit&piece=1", ("kind", "later"))).StatusCode);
    }

    [Fact]
    public async Task A_step_said_on_today_is_kept_and_a_stale_one_is_not()
    {
        await Make("Zoë", "");
        await PostForm(_browser, "/bench/1", "/bench/1?handler=Change", ("from", "1"), ("member", "done"), ("value", "marked"));
        var form = (await Read("/")).QuerySelector(".pieces form")!;
        Assert.Equal(HttpStatusCode.Redirect, (await PostForm(_browser, "/", form.GetAttribute("action")!, ("done", "runs=1"))).StatusCode);
        Assert.Contains("on the hoop", (await Read("/")).QuerySelector(".pieces li")!.TextContent, StringComparison.Ordinal);
        var stale = await PostForm(_browser, "/", form.GetAttribute("action")!, ("done", "finished"));
        Assert.Equal(HttpStatusCode.Conflict, stale.StatusCode);
    }

    /// <summary>A habit that there is not is refused, whatever was chosen for it: nothing too.</summary>
    [Theory]
    [InlineData("mood", "")]
    [InlineData("mood", "good")]
    [InlineData("", "")]
    public async Task A_habit_that_there_is_not_is_refused(string habit, string choice) => Assert.Equal(HttpStatusCode.UnprocessableEntity,
        (await PostForm(_browser, "/habits", "/habits", ("from", "0"), ("habit", habit), ("choice", choice))).StatusCode);

    /// <summary>A habit kept is told with what it did to her pieces, and what another would do is told before.</summary>
    [Fact]
    public async Task A_habit_says_what_it_changes_before_and_after()
    {
        using var alone = new Site();
        _browser = alone.Start();
        await Make("Zoë", "");
        var tried = (await Read("/habits?try=letter-stitch")).QuerySelector("#habit-letter-stitch .tried")!;
        Assert.Contains("Chain stitch: bold", tried.TextContent, StringComparison.Ordinal);
        Assert.Contains("1 piece comes out otherwise", tried.TextContent, StringComparison.Ordinal);
        var kept = await PostForm(_browser, "/habits", "/habits", ("from", "0"), ("habit", "letter-stitch"), ("choice", "chain"));
        Assert.Contains("→ chain stitch", new HtmlParser().ParseDocument(await kept.Content.ReadAsStringAsync()).QuerySelector(
            "#kept")!.TextContent, StringComparison.Ordinal);
        Assert.Contains("Chain stitch", (await Read("/bench/1")).QuerySelector("#slip-stitch-outline h3")!.TextContent,
            StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.Conflict, (await PostForm(_browser, "/habits", "/habits", ("from", "0"), ("habit", "letter-stitch"),
            ("choice", "split"))).StatusCode);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await PostForm(_browser, "/habits", "/habits", ("from", "1"), ("habit", "hand"),
            ("choice", "third"))).StatusCode);
        await PostForm(_browser, "/habits", "/habits?handler=Undo");
        Assert.DoesNotContain("Chain", (await Read("/bench/1")).QuerySelector("#slip-stitch-outline h3")!.TextContent,
            StringComparison.Ordinal);
    }

    /// <summary>Every habit stands on the page once, with all its choices and what it changes.</summary>
    [Fact]
    public async Task Every_habit_has_its_place()
    {
        var page = await Read("/habits");
        Assert.Equal(Core.Jobs.Habits.All.Select(h => $"habit-{h.Id}").Order(StringComparer.Ordinal),
            page.QuerySelectorAll("form.habit").Select(f => f.Id!).Order(StringComparer.Ordinal));
        Assert.All(Core.Jobs.Habits.All, h => Assert.Equal(h.Choices.Count,
            page.QuerySelectorAll($"#habit-{h.Id} input[type=radio]").Length));
    }

    [Fact]
    public async Task The_workshop_keeps_what_makes_sense_and_gives_back_what_does_not()
    {
        using var alone = new Site();
        _browser = alone.Start();
        await Make("Zoë", "");
        var kept = await PostForm(_browser, "/workshop", "/workshop",
            SheetsPageTests.Shop(("minutesPerEvening", "10"), ("hourlyRate", "12,5"), ("otherHoops", "165")));
        Assert.Contains("1 piece comes out otherwise", new HtmlParser().ParseDocument(await kept.Content.ReadAsStringAsync()).QuerySelector(
            "#kept")!.TextContent, StringComparison.Ordinal);
        var page = await Read("/workshop");
        Assert.Equal(("10", "12.5", "165"), (Value(page, "#minutes"), Value(page, "#rate"), Value(page, "#other-hoops")));
        Assert.NotNull((await Read("/bench/1")).QuerySelector("#slip-time-price"));

        var wrong = await PostForm(_browser, "/workshop", "/workshop",
            SheetsPageTests.Shop(("from", "1"), ("eveningsPerWeek", "nine"), ("otherHoops", "big 900"), ("hourlyRate", "-3")));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, wrong.StatusCode);
        var told = new HtmlParser().ParseDocument(await wrong.Content.ReadAsStringAsync());
        Assert.Equal(("nine", "-3"), (Value(told, "#evenings"), Value(told, "#rate")));
        Assert.Contains("big", Value(told, "#other-hoops"), StringComparison.Ordinal);
        Assert.Contains("0 to 7", told.QuerySelector(".trouble")!.TextContent, StringComparison.Ordinal);

        var conflict = await PostForm(_browser, "/workshop", "/workshop", SheetsPageTests.Shop(("minutesPerEvening", "90")));
        Assert.Equal(HttpStatusCode.Conflict, conflict.StatusCode);
        Assert.Equal("10", Value(await Read("/workshop"), "#minutes"));
    }

    /// <summary>
    /// The demonstration has all it should: items, long and short, accents, rows, dark cloth, overrules, what does not fit, what does not
    /// read, what is late, half stitched.
    /// </summary>
    [Fact]
    public void The_demonstration_has_one_of_everything()
    {
        var today = new DateOnly(2027, 3, 1);
        var pieces = Demo.Pieces(today).Select(p => (p.Job,
            Plan: Core.Planning.Planner.Make(p.Job, Core.Jobs.Workshop.Default,
            Dittany.Formats.Alphabets.ShippedAlphabets.Library))).ToArray();
        Assert.True(pieces.Length >= 10);
        Assert.True(pieces.Select(p => p.Job.Form).Distinct().Count() >= 6);
        Assert.Contains(pieces, p => p.Plan.Space.Face.Fold is not null);
        Assert.True(pieces.Select(p => p.Plan.Item.Cloth.Kind.Id).Distinct().Count() >= 4);
        Assert.Contains(pieces, p => p.Plan.Item.Cloth.Dark);
        Assert.Contains(pieces, p => p.Plan.Elements[0].Rows.Count == 2);
        Assert.Contains(pieces, p => p.Plan.Proof.Any(l => l.Aloud.Contains("with", StringComparison.Ordinal)));
        Assert.Contains(pieces, p => p.Plan.Elements[0].OverflowsMm > 0);
        Assert.Contains(pieces, p => !p.Plan.Elements[0].Reads);
        Assert.Contains(pieces, p => p.Plan.Decision("time.ready")!.ChoiceId == "late");
        Assert.Contains(pieces, p => p.Plan.Time.Progress.Stage == Core.Time.Stage.OnTheHoop);
        Assert.Contains(pieces, p => p.Job.Overrides is { Count: > 0 });
    }

    private static string? Value(IHtmlDocument page, string selector) => page.QuerySelector(selector)!.GetAttribute("value");

    private Task<HttpResponseMessage> Make(string words, string day) =>
        PostForm(_browser, "/new", "/new", ("Words", words), ("Form", "tea-towel"), ("Day", day));

    private async Task<IHtmlDocument> Read(string path) => new HtmlParser().ParseDocument(await _browser.GetStringAsync(path));
}
