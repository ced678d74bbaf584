using System.Net;
using AngleSharp.Dom;
using AngleSharp.Html.Parser;
using Dittany.Core.Jobs;
using Dittany.Core.Planning;
using Dittany.Web.Tests.Setup;
using Microsoft.Extensions.DependencyInjection;
using static Dittany.Web.Tests.Setup.Browsing;

namespace Dittany.Web.Tests.Pages;

/// <summary>The pages as a browser without scripts sees them.</summary>
public sealed class BenchPageTests(Site site) : IClassFixture<Site>
{
    private Site _site = site;
    private HttpClient _browser = site.Start();

    /// <summary>A change in her own words is one step, told, and taken back; what has no meaning changes nothing and says so.</summary>
    [Fact]
    public async Task A_change_that_is_said_is_done_told_and_undone()
    {
        await Make("Mimi");
        var answer = await PostForm(_browser, "/bench/1", "/bench/1?handler=Say", ("from", "1"), ("said", "in sparkly red, a bit bigger"));
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        var page = new HtmlParser().ParseDocument(await answer.Content.ReadAsStringAsync());
        Assert.Contains("poppy red", page.QuerySelector("#said-did")!.TextContent, StringComparison.Ordinal);
        Assert.Contains("sparkly", page.QuerySelector(".said-asked")!.TextContent, StringComparison.Ordinal);
        async Task<string?> Colour() => (await Site.Read(await _browser.GetAsync("/pieces/1.json"))).GetProperty("elements")[0].TryGetProperty("colour", out var c) ? c.GetString() : null;
        Assert.Equal("#c23b34", await Colour());
        var none = await PostForm(_browser, "/bench/1", "/bench/1?handler=Say", ("from", "2"), ("said", "hocus pocus"));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, none.StatusCode);
        Assert.Equal("#c23b34", await Colour());
        await PostForm(_browser, "/bench/1", "/bench/1?handler=Undo", ("from", "2"));
        Assert.Null(await Colour());
    }

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
        var answer = await PostForm(_browser, "/new", "/new", ("Words", "Zoë\nand Jo"), ("Form", form), ($"Sizes[{form}]", size),
            ("Day", ""), ("Colour", ""));
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
        using var alone = new Site();
        _browser = alone.Start();
        var answer = await PostForm(_browser, "/new", "/new", ("Words", "日本 & <b>"), ("Form", "tea-towel"), ("Sizes[tea-towel]", "45x65"),
            ("Day", "someday"), ("Colour", "#27303a"));
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
        var answer = await PostForm(_browser, path, $"{path}?handler=Change", ("from", "1"), ("member", "overrules/transfer.method"),
            ("value", "hot-iron"));
        Assert.Equal(HttpStatusCode.Redirect, answer.StatusCode);
        var slip = (await Read(path)).QuerySelector("#slip-transfer-method")!;
        Assert.Contains("your choice", slip.TextContent, StringComparison.Ordinal);
        Assert.Contains("printed mirrored", slip.TextContent, StringComparison.Ordinal);

        await PostForm(_browser, path, $"{path}?handler=Undo", ("from", "2"));
        Assert.DoesNotContain("your choice", (await Read(path)).QuerySelector("#slip-transfer-method")!.TextContent,
            StringComparison.Ordinal);
        await PostForm(_browser, path, $"{path}?handler=Redo", ("from", "1"));
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
        var answer = await PostForm(_browser, path, $"{path}?handler=Change", ("from", "1"), ("member", "text"), ("value", "美美"));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, answer.StatusCode);
        var page = new HtmlParser().ParseDocument(await answer.Content.ReadAsStringAsync());
        Assert.Equal("美美", page.QuerySelector("#words")!.TextContent);
        Assert.NotEmpty(page.QuerySelector(".trouble")!.TextContent);
    }

    [Fact]
    public async Task Nudges_and_sizes_move_the_plan()
    {
        var path = await Make("Mimi");
        await PostForm(_browser, path, $"{path}?handler=Nudge", ("dx", "5"), ("dy", "0"));
        Assert.Contains("5 mm right of the middle line", (await Read(path)).QuerySelector("#slip-space-place")!.TextContent,
            StringComparison.Ordinal);
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

    /// <summary>Script in words or title is text on every page, drawing and sheet.</summary>
    [Fact]
    public async Task Script_in_a_name_is_shown_as_text_everywhere()
    {
        using var alone = new Site();
        _browser = alone.Start();
        const string Evil = "<script>alert(1)</script>";
        var path = await Make("B & Jo");
        await PostForm(_browser, path, $"{path}?handler=Change", ("from", "1"), ("member", "title"), ("value", Evil));
        await PostForm(_browser, path, "/sheets/1?handler=Proof", ("words", "B & Jo"), ("who", Evil));
        foreach (var page in new[] { path, $"{path}?Face=order", "/", "/sheets/1", "/sheets/1?kind=placement", "/sheets/1?kind=work",
            "/sheets/1?kind=care", "/sheets/1?kind=tag", "/habits?try=size", "/new?said=" + Uri.EscapeDataString($"{Evil} on a tote") })
        {
            var html = await _browser.GetStringAsync(page);
            Assert.DoesNotContain("<script>alert", html, StringComparison.Ordinal);
            Assert.Contains("alert(1)", html, StringComparison.Ordinal);
        }

        Assert.Equal(Evil, (await Read(path)).QuerySelector("h1")!.TextContent);
    }

    [Fact]
    public async Task No_page_has_inline_script_style_or_handlers()
    {
        foreach (var path in new[] { "/", "/new", "/habits", "/habits?try=hand", "/workshop", await Make("Mimi"), "/sheets/1" })
        {
            var page = await Read(path);
            Assert.All(page.Scripts, s => Assert.False(string.IsNullOrEmpty(s.GetAttribute("src"))));
            Assert.Empty(page.QuerySelectorAll("style, [style], [onclick], [onload], [onchange], [oninput]"));
            Assert.All(page.QuerySelectorAll("form[method=post]"), f =>
                Assert.NotNull(f.QuerySelector("input[name=__RequestVerificationToken]")));
        }
    }

    [Fact]
    public async Task Pieces_that_are_not_there_are_said_not_to_be()
    {
        await Make("Mimi");
        Assert.Equal(HttpStatusCode.OK, (await _browser.GetAsync("/api/pieces/1/plan")).StatusCode);
        Assert.All(["/api/pieces/99/plan", "/bench/99", "/sheets/99"], path =>
            Assert.Equal(HttpStatusCode.NotFound, _browser.GetAsync(path).GetAwaiter().GetResult().StatusCode));
    }

    /// <summary>Laid on the centre fold of a towel 500 mm wide, the words stand at 250 mm, wherever they were.</summary>
    [Fact]
    public async Task Words_are_laid_on_the_items_own_lines_by_button_and_by_a_drop_near_them()
    {
        var path = await Make("Mimi");
        await PostForm(_browser, path, $"{path}?handler=Nudge", ("dx", "17"), ("dy", "-3"));
        await PostForm(_browser, path, $"{path}?handler=Snap", ("line", "centre-fold"));
        Assert.Contains("on the middle line", (await Read(path)).QuerySelector("#slip-space-place")!.TextContent, StringComparison.Ordinal);
        await PostForm(_browser, path, $"{path}?handler=Put", ("x", "251.4"), ("y", "590"), ("within", "2"));
        Assert.Contains("on the middle line", (await Read(path)).QuerySelector("#slip-space-place")!.TextContent, StringComparison.Ordinal);
        await PostForm(_browser, path, $"{path}?handler=Put", ("x", "253"), ("y", "590"), ("within", "2"));
        Assert.Contains("3 mm right of the middle line", (await Read(path)).QuerySelector("#slip-space-place")!.TextContent,
            StringComparison.Ordinal);
    }

    [Fact]
    public async Task What_an_overrule_moved_elsewhere_is_listed_and_one_step_back_is_there()
    {
        var path = await Make("Juniper");
        Assert.Null((await Read(path)).QuerySelector("#moved"));
        await PostForm(_browser, path, $"{path}?handler=Change", ("from", "1"), ("member", "overrules/stitch.outline"), ("value", "chain"));
        var moved = (await Read(path)).QuerySelector("#moved")!;
        Assert.Contains("The work:", moved.TextContent, StringComparison.Ordinal);
        Assert.DoesNotContain("Which stitch writes the lines", moved.TextContent, StringComparison.Ordinal);
        Assert.NotNull(moved.QuerySelector("button[formaction$='handler=Undo']"));
    }

    /// <summary>
    /// Without scripts every face, the slider and every nearness is an address; the slips of all stations stand in the page.
    /// </summary>
    [Fact]
    public async Task Faces_slider_and_nearness_are_addresses()
    {
        var path = await Make("Mimi");
        foreach (var face in new[] { "stitched", "marks", "hoops", "back", "order" })
        {
            var page = await Read($"{path}?Face={face}");
            Assert.Equal(face, page.QuerySelector(".bench-frame")!.GetAttribute("data-face"));
            Assert.Equal(face, page.QuerySelector(".face-link[aria-current]")!.GetAttribute("data-face"));
        }

        var order = await Read($"{path}?Face=order&At=7");
        Assert.Equal(7, order.QuerySelectorAll(".st:not(.yet)").Length);
        Assert.StartsWith("Stitch 7 of", order.QuerySelector("#readout")!.TextContent, StringComparison.Ordinal);
        Assert.Equal(10, order.QuerySelectorAll(".station-slips").Length);
        var near = order.QuerySelector("#nearer")!.GetAttribute("href")!;
        var wide = Width(order);
        Assert.Equal(0.6 * wide, Width(await Read(near)), 1.0);
        Assert.Equal(Width(await Read($"{path}?View=at_nonsense")), wide, 0.01);
        Assert.True(Width(await Read($"{path}?View=at_0_0_0.001")) >= 8);

        static double Width(IDocument page) => double.Parse(page.QuerySelector("svg.drawing")!.GetAttribute("viewBox")!.Split(' ')[2],
            System.Globalization.CultureInfo.InvariantCulture);
    }

    /// <summary>
    /// Every stitch of the route can be pointed at, tells its length and run, and the drawing has both ends of every length on its back.
    /// </summary>
    [Fact]
    public async Task Every_stitch_can_be_pointed_at_and_every_length_begins_and_ends_behind()
    {
        var page = await Read(await Make("Mimi"));
        var plan = await Site.Read(await _browser.GetAsync("/api/pieces/1/plan"));
        var rows = plan.GetProperty("route").GetArrayLength();
        var stitches = page.QuerySelectorAll(".face-order .st");
        Assert.Equal(rows, stitches.Length);
        var told = page.QuerySelector("#tellings")!.TextContent.Split('\n');
        Assert.Equal(Enumerable.Range(0, rows).Select(i => $"{i}"),
            stitches.Select(s => s.GetAttribute("data-i")!).OrderBy(i => int.Parse(i, System.Globalization.CultureInfo.InvariantCulture)));
        Assert.Equal(rows, told.Length);
        Assert.All(told, t => Assert.Matches(@"^Stitch \d+ of \d+, in the .: .*thread \d+", t));
        var runs = plan.GetProperty("threads").EnumerateArray().Sum(t => t.GetProperty("runs").GetInt32());
        Assert.Equal(2 * runs, page.QuerySelectorAll(".face-back .thread-end").Length);
        Assert.All(page.QuerySelectorAll(".obstacle"), o =>
            Assert.Contains("clear of it", o.QuerySelector("title")!.TextContent, StringComparison.Ordinal));
        Assert.All(page.QuerySelectorAll(".obstacle .clear"), c => Assert.StartsWith("M", c.GetAttribute("d"), StringComparison.Ordinal));
    }

    [Fact]
    public async Task How_far_it_is_goes_step_by_step_and_what_is_stitched_stays()
    {
        var path = await Make("Mimi");
        var head = 1;
        async Task<IDocument> Step()
        {
            var page = await Read(path);
            await PostForm(_browser, path, $"{path}?handler=Change", ("from", $"{head++}"), ("member", "done"),
                ("value", page.QuerySelector("#step-on")!.GetAttribute("value")!));
            return await Read(path);
        }

        Assert.Contains("Washed, and dry on", (await Step()).QuerySelector("#how-far")!.TextContent, StringComparison.Ordinal);
        Assert.Contains("The lines are on", (await Step()).QuerySelector("#how-far")!.TextContent, StringComparison.Ordinal);
        var one = await Step();
        Assert.Contains("length 2 of", one.QuerySelector("#how-far")!.TextContent, StringComparison.Ordinal);
        Assert.NotNull(one.QuerySelector(".so-far"));
        var refused = await PostForm(_browser, path, $"{path}?handler=Grow", ("by", "1"));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, refused.StatusCode);
        Assert.Contains("stitched already", new HtmlParser().ParseDocument(await refused.Content.ReadAsStringAsync()).QuerySelector(
            ".trouble")!.TextContent, StringComparison.Ordinal);
    }

    /// <summary>A part is filled in its own stitch, without scripts; what will not do says so; then it is the plan’s again.</summary>
    [Fact]
    public async Task Parts_are_filled_one_by_one()
    {
        var made = await PostForm(_browser, "/new", "/new", ("Motif", "heart"), ("Form", "hoop-picture"), ("Colour", ""));
        var path = made.Headers.Location!.ToString();
        var page = await Read(path);
        Assert.Contains("backstitch", page.QuerySelector("#slip-parts")!.TextContent, StringComparison.Ordinal);
        var element = page.QuerySelector("#slip-parts input[name='element']")!.GetAttribute("value")!;
        Task<HttpResponseMessage> Wish(int from, string stitch, string strands, string colour) => PostForm(_browser, path,
            $"{path}?handler=Part", ("from", $"{from}"), ("element", element), ("role", "outline"), ("stitch", stitch),
            ("strands", strands), ("colour", colour));
        Assert.Equal(HttpStatusCode.Redirect, (await Wish(1, "brick", "3", "")).StatusCode);
        var part = (await Read(path)).QuerySelector("#slip-parts")!;
        Assert.Contains("brick stitch, 3 strands", part.TextContent, StringComparison.Ordinal);
        Assert.Contains("under thread", part.TextContent, StringComparison.Ordinal);
        Assert.Contains("your wish", part.TextContent, StringComparison.Ordinal);
        await Wish(2, "detached-chain", "", "");
        page = await Read(path);
        Assert.Contains("your wish, is not followed", page.QuerySelector("#slip-stitch-fill .not-followed")!.TextContent,
            StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await Wish(3, "knitting", "", "")).StatusCode);
        await Wish(3, "", "", "");
        Assert.DoesNotContain("your wish", (await Read(path)).QuerySelector("#slip-parts")!.TextContent, StringComparison.Ordinal);
    }

    /// <summary>A direction and a row of colours are wished on the bench, told there, and let go of again.</summary>
    [Fact]
    public async Task A_direction_and_colours_are_wished_for_a_part()
    {
        var made = await PostForm(_browser, "/new", "/new", ("Motif", "songbird"), ("Form", "hoop-picture"), ("Colour", ""));
        var path = made.Headers.Location!.ToString();
        var page = await Read(path);
        var element = page.QuerySelector("#slip-parts input[name='element']")!.GetAttribute("value")!;
        Task<HttpResponseMessage> Wish(int from, bool directed, params (string, string)[] more) => PostForm(_browser, path,
            $"{path}?handler=Part", [("from", $"{from}"), ("element", element), ("role", "body"), ("stitch", ""), ("strands", ""),
                ("direction", "40"), ("lies", directed ? "one-way" : string.Empty), .. more]);
        var wished = await Wish(1, true, ("colour", "#4f74b8"), ("colour2", "#8d8bc0"), ("colour3", ""));
        Assert.Equal(HttpStatusCode.Redirect, wished.StatusCode);
        var body = (await Read(path)).QuerySelectorAll("details.part").Single(d =>
            d.QuerySelector("summary")!.TextContent.StartsWith("Body", StringComparison.Ordinal));
        Assert.Contains("cornflower blue and lavender blue", body.TextContent, StringComparison.Ordinal);
        Assert.Equal("40", body.QuerySelector("input[name='direction']")!.GetAttribute("value"));
        Assert.Equal("one-way", body.QuerySelector("select[name='lies'] option[selected]")!.GetAttribute("value"));
        await Wish(2, false, ("colour", ""));
        Assert.DoesNotContain("your wish", (await Read(path)).QuerySelector("#slip-parts")!.TextContent, StringComparison.Ordinal);
    }

    /// <summary>
    /// Lines for the direction of stitches are kept and shown where they were typed; what cannot be read is told, and stays as typed.
    /// </summary>
    [Fact]
    public async Task Lines_for_a_direction_are_kept_or_told()
    {
        var made = await PostForm(_browser, "/new", "/new", ("Motif", "heart"), ("Form", "hoop-picture"), ("Colour", ""));
        var path = made.Headers.Location!.ToString();
        var page = await Read(path);
        var element = page.QuerySelector("#slip-parts input[name='element']")!.GetAttribute("value")!;
        Task<HttpResponseMessage> Draw(int from, string lines) => PostForm(_browser, path, $"{path}?handler=Part", ("from", $"{from}"),
            ("element", element), ("role", "outline"), ("stitch", "long-and-short"), ("strands", ""), ("lies", "lines"), ("lines", lines));
        var start = page.QuerySelector(".draw-line")!.GetAttribute("data-start")!;
        Assert.Equal(HttpStatusCode.Redirect, (await Draw(1, start)).StatusCode);
        var drawn = await Read(path);
        Assert.Equal(start, drawn.QuerySelector("textarea[name='lines']")!.TextContent.Trim());
        Assert.Equal(2, drawn.QuerySelectorAll(".lie-dot").Length);
        Assert.Equal("lines", drawn.QuerySelector("select[name='lies'] option[selected]")!.GetAttribute("value"));
        foreach (var (typed, told) in new[] { ("12 40; 30", "“30” is no place"), ("12 40", "has two or more"), ("a b; 1 2", "“a b” is no place") })
        {
            var wrong = await Draw(2, typed);
            Assert.Equal(HttpStatusCode.UnprocessableEntity, wrong.StatusCode);
            var body = new AngleSharp.Html.Parser.HtmlParser().ParseDocument(await wrong.Content.ReadAsStringAsync());
            Assert.Contains(told, body.QuerySelector(".trouble")!.TextContent, StringComparison.Ordinal);
            Assert.Equal(typed, body.QuerySelector("textarea[name='lines']")!.TextContent.Trim());
        }

        Assert.Equal(HttpStatusCode.Redirect, (await Draw(2, string.Empty)).StatusCode);
        Assert.Empty((await Read(path)).QuerySelectorAll(".lie-dot"));
    }

    /// <summary>One letter is made otherwise and again as the others; a word is varied as a whole.</summary>
    [Fact]
    public async Task Letters_are_made_otherwise_one_by_one()
    {
        var path = await Make("Marlene");
        var which = (await Read(path)).QuerySelectorAll("#letter-which option").Select(o => o.GetAttribute("value")!).ToArray();
        Assert.Equal(7, which.Length);
        await PostForm(_browser, path, $"{path}?handler=Letter", ("from", "1"), ("letter", which[0]), ("stitch", "chain"), ("strands", "2"),
            ("colour", "#d4657f"));
        var page = await Read(path);
        Assert.Contains("“M”: chain stitch, 2 strands, rose", page.QuerySelector("#slip-letters")!.TextContent, StringComparison.Ordinal);
        Assert.Contains("Single letters as you wished", page.QuerySelector("#slip-stitch-letters")!.TextContent, StringComparison.Ordinal);
        await PostForm(_browser, path, $"{path}?handler=Letter", ("from", "2"), ("letter", which[0]));
        Assert.Null((await Read(path)).QuerySelector("#slip-letters .wished"));
        await PostForm(_browser, path, $"{path}?handler=Change&member=overrules/stitch.letters", ("from", "3"), ("value", "varied"));
        Assert.Contains("A texture of its own", (await Read(path)).QuerySelector("#slip-stitch-letters")!.TextContent,
            StringComparison.Ordinal);
    }

    /// <summary>Where there are words and a motif, either is put in front.</summary>
    [Fact]
    public async Task What_lies_over_what_is_chosen()
    {
        using var alone = new Site();
        _site = alone;
        _browser = alone.Start();
        var job = new Job("cushion-cover", [new TextElement("w", "Ida"), new MotifElement("m", "fox-face")], new DateOnly(2027, 3, 1));
        using (var scope = _site.Services.CreateScope())
        {
            await scope.ServiceProvider.GetRequiredService<Dittany.Store.PieceStore>().Create(job, "New piece");
        }

        const string path = "/bench/1";
        var slip = (await Read(path)).QuerySelector("#slip-layers")!;
        Assert.Contains("over the motifs", slip.TextContent, StringComparison.Ordinal);
        await PostForm(_browser, path, $"{path}?handler=Layer", ("from", "1"), ("element", "m"), ("layer", "1"));
        Assert.NotNull((await Read(path)).QuerySelector("#layer-1 option[value='1'][selected]"));
    }

    private async Task<string> Make(string words)
    {
        var answer = await PostForm(_browser, "/new", "/new", ("Words", words), ("Form", "tea-towel"), ("Colour", ""));
        Assert.Equal(HttpStatusCode.Redirect, answer.StatusCode);
        return answer.Headers.Location!.ToString();
    }

    private async Task<AngleSharp.Html.Dom.IHtmlDocument> Read(string path) =>
        new HtmlParser().ParseDocument(await _browser.GetStringAsync(path));
}

internal static class Documents
{
    public static string TextContent(this IDocument page) => page.DocumentElement.TextContent;
}
