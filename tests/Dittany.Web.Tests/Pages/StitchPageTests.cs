using System.Globalization;
using System.Net;
using System.Net.Http.Json;
using System.Text.Json;
using System.Xml.Linq;
using AngleSharp.Html.Dom;
using AngleSharp.Html.Parser;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches.Needle;
using Dittany.Web.Drawings;
using Dittany.Web.Tests.Setup;
using static Dittany.Web.Tests.Setup.Browsing;

namespace Dittany.Web.Tests.Pages;

/// <summary>The stitch book and the trying out of words: found, learnt, laid beside each other, taken.</summary>
public sealed class StitchPageTests(Site site) : IClassFixture<Site>
{
    private HttpClient _browser = site.Start();

    /// <summary>Every stitch has its page with steps, its moving picture under 30 KB, its two sides, and a strip to practise on.</summary>
    [Fact]
    public async Task Every_stitch_can_be_learnt()
    {
        foreach (var id in Book.All.Select(s => s.Id))
        {
            var page = await Read($"/stitches/{id}?Hand=left");
            Assert.True(page.QuerySelectorAll("#steps li").Length >= 3, id);
            foreach (var picture in new[] { $"/stitches/{id}.svg", $"/stitches/{id}.svg?back=true", $"/stitches/{id}/moving.svg",
                $"/stitches/{id}.svg?stitch=0&move=1" })
            {
                var svg = await _browser.GetStringAsync(picture);
                Assert.True(svg.Length < 30_000, $"{picture}: {svg.Length}");
                Assert.Equal("svg", XDocument.Parse(svg).Root!.Name.LocalName);
                Assert.DoesNotContain("style=", svg, StringComparison.Ordinal);
            }

            var strip = await _browser.GetAsync($"/stitches/{id}.pdf");
            Assert.Equal("application/pdf", strip.Content.Headers.ContentType!.MediaType);
        }
    }

    /// <summary>
    /// The last frame of a drawing is the stitch as it is planned: every move of the needle on the face lies on its thread.
    /// </summary>
    [Fact]
    public void The_last_frame_is_the_stitch_as_planned()
    {
        foreach (var stitch in Book.All)
        {
            var lesson = Lesson.Of(stitch)!;
            var face = LessonDrawing.Face(lesson.Sewn).SelectMany(w => w).ToArray();
            foreach (var sewn in lesson.Sewn.Where(s => s.Shape == StitchShape.Straight && s.Side == 0 && s.LengthMm > 0.01))
            {
                Assert.Contains(face, p => p.To(sewn.FromMm) < 0.01);
                Assert.Contains(face, p => p.To(sewn.ToMm) < 0.01);
            }
        }
    }

    [Theory]
    [InlineData("/stitches/none-such")]
    [InlineData("/stitches/none-such.svg")]
    [InlineData("/stitches/none-such/moving.svg")]
    [InlineData("/stitches/stem.svg?stitch=9999&move=0")]
    [InlineData("/stitches/satin/letters.svg")]
    [InlineData("/stitches/stem/fails.svg")]
    [InlineData("/stitches/stem/at/9.svg")]
    [InlineData("/stitches/none-such/at/8.svg")]
    [InlineData("/stitches/none-such.pdf")]
    [InlineData("/stitches/stem?Piece=99")]
    [InlineData("/try/99")]
    public async Task What_is_not_there_is_said(string address) =>
        Assert.Equal(HttpStatusCode.NotFound, (await _browser.GetAsync(address)).StatusCode);

    /// <summary>A sentence finds what is needed, and says by what it looked; what nothing suits says what to leave out.</summary>
    [Fact]
    public async Task A_stitch_is_found_by_a_sentence()
    {
        var found = await Read("/stitches?Find=" + Uri.EscapeDataString("a line on jersey under 12 mm that is soft"));
        var ids = found.QuerySelectorAll(".stitch-shelf a").Select(a => a.GetAttribute("href")!).ToArray();
        Assert.Contains("/stitches/split", ids);
        Assert.DoesNotContain("/stitches/backstitch", ids);
        Assert.Contains("Looked for: lines, flat, on a knit and capitals of 12 mm", found.Body!.TextContent, StringComparison.Ordinal);
        Assert.Contains("Leave one wish out", (await Read("/stitches?Find=zzzz")).Body!.TextContent, StringComparison.Ordinal);
        Assert.Equal(Book.All.Count, (await Read("/stitches")).QuerySelectorAll(".stitch-shelf li").Length);
    }

    /// <summary>From the bench to the book and back with the stitch taken.</summary>
    [Fact]
    public async Task A_stitch_is_taken_from_its_page()
    {
        using var alone = new Site();
        _browser = alone.Start();
        await PostForm(_browser, "/new", "/new", ("Words", "Oda"), ("Form", "tote"));
        var bench = await Read("/bench/1?Station=stitches");
        Assert.NotNull(bench.QuerySelector("#to-try"));
        Assert.Contains("/stitches/", bench.QuerySelector(".to-book")!.GetAttribute("href"), StringComparison.Ordinal);
        var taken = await PostForm(_browser, "/stitches/coral?Piece=1", "/stitches/coral?handler=Take&Piece=1");
        Assert.Equal("/bench/1?Station=stitches", taken.Headers.Location!.OriginalString);
        Assert.Contains("Coral stitch", (await Read("/bench/1?Station=stitches")).QuerySelector("#slip-stitch-outline h3")!.TextContent,
            StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.Redirect, (await PostForm(_browser, "/bench/1", "/bench/1?handler=Undo", ("from", "2"))).StatusCode);
    }

    /// <summary>Her words in thirty ways at the most, a few at a time; two beside each other; one taken, and told on the bench.</summary>
    [Fact]
    public async Task Words_are_tried_in_every_stitch()
    {
        using var alone = new Site();
        _browser = alone.Start();
        await PostForm(_browser, "/new", "/new", ("Words", "Charlotte"), ("Form", "tote"));
        var page = await Read("/try/1");
        var ids = page.QuerySelectorAll("#makes > li[id]").Select(l => l.Id!).ToList();
        for (var from = ids.Count; page.QuerySelector(".more-makes") is not null && from < 60; from = ids.Count)
        {
            page = new HtmlParser().ParseDocument($"<ul>{await _browser.GetStringAsync(
                $"/try/1?handler=More&From={from.ToString(CultureInfo.InvariantCulture)}")}</ul>");
            ids.AddRange(page.QuerySelectorAll("li[id]").Select(l => l.Id!));
        }

        Assert.InRange(ids.Count, 20, 32);
        Assert.Equal(ids.Count, ids.Distinct(StringComparer.Ordinal).Count());
        var (one, other) = (ids[0]["make-".Length..], ids[^1]["make-".Length..]);
        var both = await Read($"/try/1?A={one}&B={other}");
        Assert.Equal(2, both.QuerySelectorAll("#beside article svg").Length);
        Assert.Contains("%PDF", (await _browser.GetStringAsync("/try/1?handler=Paper"))[..8], StringComparison.Ordinal);
        var taken = await PostForm(_browser, "/try/1", "/try/1?handler=Take", ("make", other));
        Assert.Equal(HttpStatusCode.Redirect, taken.StatusCode);
        var name = both.QuerySelectorAll("#beside article h3")[1].TextContent.Split(',')[0];
        Assert.Contains(name, (await Read("/bench/1?Station=stitches")).QuerySelector("#slip-stitch-outline h3")!.TextContent,
            StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.NotFound, (await PostForm(_browser, "/try/1", "/try/1?handler=Take", ("make", "zigzag-9"))).StatusCode);
    }

    /// <summary>A stitch says which threads do not do it, and one that every thread does says nothing (common practice).</summary>
    [Theory]
    [InlineData("split", "Not in pearl cotton 5, pearl cotton 8, pearl cotton 12, metallic thread, sewing thread and strong thread")]
    [InlineData("chain", "Not in metallic thread")]
    [InlineData("backstitch", null)]
    public async Task A_stitch_says_which_threads_do_not_do_it(string stitch, string? told)
    {
        var said = new HtmlParser().ParseDocument(await _browser.GetStringAsync($"/stitches/{stitch}")).QuerySelector(".not-in")?.TextContent;
        Assert.Equal(told is null, said is null);
        Assert.StartsWith(told ?? string.Empty, said ?? string.Empty, StringComparison.Ordinal);
    }


    /// <summary>What was tried is what the plan gives when it is taken: the same minutes and the same thread.</summary>
    [Fact]
    public async Task What_was_tried_is_what_is_planned()
    {
        using var alone = new Site();
        _browser = alone.Start();
        await PostForm(_browser, "/new", "/new", ("Words", "Ola"), ("Form", "napkin"));
        var page = await Read("/try/1");
        var shown = page.QuerySelector("#makes > li[id]")!;
        await PostForm(_browser, "/try/1", "/try/1?handler=Take", ("make", shown.Id!["make-".Length..]));
        var again = (await Read("/try/1")).QuerySelector($"#{shown.Id}")!;
        Assert.Equal(shown.QuerySelector("p")!.TextContent, again.QuerySelector("p")!.TextContent);
    }

    /// <summary>On the bench a whipped or laced line is offered a second colour; a plain one is not.</summary>
    [Fact]
    public async Task A_second_colour_is_chosen_on_the_bench()
    {
        await PostForm(_browser, "/new", "/new", ("Words", "Oda"), ("Form", "tote"));
        Assert.Null((await Read("/bench/1?Station=stitches")).QuerySelector("#second-thread"));
        await PostForm(_browser, "/stitches/laced-backstitch?Piece=1", "/stitches/laced-backstitch?handler=Take&Piece=1");
        Assert.NotNull((await Read("/bench/1?Station=stitches")).QuerySelector("#second-thread"));
        var taken = await PostForm(_browser, "/bench/1", "/bench/1?handler=Change&member=secondColour", ("from", "2"), ("value", "sunflower"));
        Assert.Equal(HttpStatusCode.Redirect, taken.StatusCode);
        Assert.Contains("sunflower yellow: a thread of its own", (await Read("/bench/1?Station=thread")).Body!.TextContent,
            StringComparison.Ordinal);
    }

    /// <summary>A piece of motifs alone has nothing to try, and says where it is changed.</summary>
    [Fact]
    public async Task Motifs_are_not_tried()
    {
        await PostForm(_browser, "/new", "/new", ("Said", "a heart on a tote"), ("Motif", "heart"), ("Form", "tote"));
        Assert.Contains("this piece has none", (await Read("/try/1")).Body!.TextContent, StringComparison.Ordinal);
    }

    /// <summary>A second thread of its own colour at the door: parts in both, threads in both; where nothing is laced it is said.</summary>
    [Fact]
    public async Task A_second_colour_goes_round_the_first()
    {
        async Task<JsonElement> Plan(string stitch) => await (await _browser.PostAsJsonAsync("/api/plan", new
        {
            item = new { form = "tote" },
            elements = new[] { new { kind = "text", text = "Oda", stitch, colour = "#23628f", secondColour = "#c8454f" } },
        })).Content.ReadFromJsonAsync<JsonElement>();
        var whipped = await Plan("whipped-running");
        Assert.Equal(["#23628f", "#c8454f"], whipped.GetProperty("threads").EnumerateArray().Select(t => t.GetProperty("colour").GetString()!)
            .Distinct().Order(StringComparer.Ordinal));
        Assert.Empty(whipped.GetProperty("setAside").EnumerateArray());
        var plain = await Plan("backstitch");
        Assert.Contains("Take a whipped or a laced stitch", plain.GetProperty("setAside").EnumerateArray().First().GetString(),
            StringComparison.Ordinal);
    }

    private async Task<IHtmlDocument> Read(string address) =>
        await new HtmlParser().ParseDocumentAsync(await _browser.GetStringAsync(address));

    /// <summary>All stitches stand beside each other at true size: a leaf of 24 mm is drawn 24 mm high and its rim round it.</summary>
    [Fact]
    public async Task Stitches_stand_beside_each_other_at_true_size()
    {
        var page = await _browser.GetStringAsync("/stitches/heights");
        foreach (var stitch in Book.All.Where(s => Finding.What(s) != Makes.Point))
        {
            Assert.Contains($"/stitches/{stitch.Id}/at/40.svg", page, StringComparison.Ordinal);
        }

        var svg = System.Xml.Linq.XDocument.Parse(await _browser.GetStringAsync("/stitches/satin/at/24.svg")).Root!;
        var view = svg.Attribute("viewBox")!.Value.Split(' ').Select(n => double.Parse(n, CultureInfo.InvariantCulture)).ToArray();
        Assert.Equal(96 / 25.4, double.Parse(svg.Attribute("height")!.Value, CultureInfo.InvariantCulture) / view[3], 1);
        Assert.InRange(view[3], 26, 34);
        var satin = await _browser.GetStringAsync("/stitches/satin");
        Assert.Contains("/stitches/satin/fails.svg", satin, StringComparison.Ordinal);
        Assert.Contains("Its stitches would be up to 32.7", satin, StringComparison.Ordinal);
        Assert.StartsWith("<svg", await _browser.GetStringAsync("/stitches/satin/fails.svg"), StringComparison.Ordinal);
    }
}
