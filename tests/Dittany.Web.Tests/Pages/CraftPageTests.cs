using System.Globalization;
using System.Net;
using System.Net.Http.Json;
using System.Text.Json;
using System.Xml.Linq;
using AngleSharp.Html.Dom;
using AngleSharp.Html.Parser;
using Dittany.Web.Tests.Api;
using Dittany.Web.Tests.Setup;
using static Dittany.Web.Tests.Setup.Browsing;

namespace Dittany.Web.Tests.Pages;

/// <summary>Painted, felted and tinted pieces on every page, sheet and at the door.</summary>
public sealed class CraftPageTests : IDisposable
{
    private readonly Site _site = new();
    private readonly HttpClient _browser;

    public CraftPageTests() => _browser = _site.Start();

    public void Dispose() => _site.Dispose();

    [Theory]
    [InlineData("a songbird painted on a tote", "paint")]
    [InlineData("a songbird felted on a tote", "felt")]
    [InlineData("a songbird tinted with pencil on a cushion cover", "tint")]
    [InlineData("a songbird in felt on a cushion cover", "applique")]
    [InlineData("a songbird in beads on a cushion cover", "beads")]
    public async Task A_piece_in_another_craft_is_shown_everywhere(string said, string craft)
    {
        var made = await PostForm(_browser, "/new", "/new", ("Said", said), ("Motif", "songbird"), ("Form", said.Contains("tote", StringComparison.Ordinal) ? "tote"
            : "cushion-cover"));
        Assert.Equal(HttpStatusCode.Redirect, made.StatusCode);
        foreach (var (face, station) in new[] { ("stitched", "words"), ("marks", "transfer"), ("hoops", "stitches"), ("back", "order"), ("order", "order"),
            ("metre", "finish") })
        {
            var page = await Read($"/bench/1?Face={face}&Station={station}");
            Assert.NotNull(page.QuerySelector($"#drawing path.made.{craft}"));
        }

        var bench = await Read("/bench/1?Station=stitches");
        Assert.Equal(craft is "tint" or "applique", bench.QuerySelector("#order-at") is not null);
        Assert.Equal(craft is "tint" or "applique" ? 6 : 3, bench.QuerySelectorAll(".face-link").Length);
        Assert.Equal(craft != "tint", bench.QuerySelector("#slip-made") is not null);
        foreach (var kind in new[] { "template", "stencil", "pieces", "cut-out", "shapes", "placement", "work", "layers", "care", "tag" })
        {
            var sheet = await Read($"/sheets/1?kind={kind}");
            Assert.NotEmpty(sheet.QuerySelectorAll(".leaf"));
        }

        var kinds = (await Read("/sheets/1")).QuerySelectorAll(".sheet-kinds a").Select(a => a.GetAttribute("href")!).ToArray();
        Assert.Equal(craft == "paint", kinds.Any(k => k.EndsWith("=stencil", StringComparison.Ordinal)));
        Assert.Equal(craft == "applique", kinds.Any(k => k.EndsWith("=pieces", StringComparison.Ordinal)));
        Assert.Equal(craft is "tint" or "applique", kinds.Any(k => k.EndsWith("=tag", StringComparison.Ordinal)));
        Assert.Contains("Songbird", await _browser.GetStringAsync("/"), StringComparison.Ordinal);

        // What it is made in is changed on the bench, and taken back.
        var thread = await PostForm(_browser, "/bench/1", "/bench/1?handler=Change&member=craft", ("from", "1"), ("value", ""));
        Assert.Equal(HttpStatusCode.Redirect, thread.StatusCode);
        Assert.Null((await Read("/bench/1")).QuerySelector("#drawing path.made"));
    }

    /// <summary>A painted piece is prepared, made and left to dry, and finished by its own button.</summary>
    [Fact]
    public async Task A_painted_piece_is_worked_to_its_end()
    {
        await PostForm(_browser, "/new", "/new", ("Said", "a heart painted on a tote"), ("Motif", "heart"), ("Form", "tote"));
        var said = new List<string>();
        for (var i = 1; i < 8; i++)
        {
            var page = await Read("/bench/1?Station=stitches");
            if (page.QuerySelector("#step-on") is not { } step)
            {
                break;
            }

            said.Add(step.TextContent);
            var moved = await PostForm(_browser, "/bench/1", "/bench/1?handler=Change&member=done", ("from", i.ToString(CultureInfo.InvariantCulture)),
                ("value", step.GetAttribute("value")!));
            Assert.Equal(HttpStatusCode.Redirect, moved.StatusCode);
        }

        Assert.Equal(["Washed and hung up today", "It is prepared: cut, laid, drawn", "It is made, and left to dry today", "It is finished"], said);
    }

    /// <summary>
    /// At the door: parts with shapes, bridges and amounts after the schema; the stencil as SVG at 1:1 in millimetres, every opening a
    /// path; a colour there is none of is told.
    /// </summary>
    [Fact]
    public async Task The_door_hands_out_stencils()
    {
        object Job(string craft) => new
        {
            item = new { form = "tote" },
            elements = new object[] { new { kind = "text", text = "BOB", capHeightMm = 60, craft } },
        };
        var answer = await _browser.PostAsJsonAsync("/api/plan", Job("paint"));
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        var plan = await answer.Content.ReadFromJsonAsync<JsonElement>();
        SchemaCheck.Holds(await _browser.GetFromJsonAsync<JsonElement>("/api/schemas/plan"), plan, "#");
        var part = Assert.Single(plan.GetProperty("craftParts").EnumerateArray().ToArray());
        Assert.Equal(5, part.GetProperty("islands").GetInt32());
        Assert.Equal("ml", part.GetProperty("amount").GetProperty("unit").GetString());
        Assert.Equal("paint", plan.GetProperty("elements")[0].GetProperty("craft").GetString());

        var svg = XDocument.Parse(await (await _browser.PostAsJsonAsync("/api/stencil.svg", Job("paint"))).Content.ReadAsStringAsync());
        Assert.EndsWith("mm", svg.Root!.Attribute("width")!.Value, StringComparison.Ordinal);
        var rings = part.GetProperty("shapeMm").GetArrayLength();
        Assert.Equal(rings + 4, svg.Descendants().Count(e => e.Name.LocalName == "path" && e.Attribute("class")?.Value == "mark"));
        var pdf = await _browser.PostAsJsonAsync("/api/stencil.pdf", Job("paint"));
        Assert.Equal("application/pdf", pdf.Content.Headers.ContentType!.MediaType);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await _browser.PostAsJsonAsync("/api/stencil.svg?colour=2", Job("paint"))).StatusCode);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await _browser.PostAsJsonAsync("/api/stencil.pdf", Job("stitch"))).StatusCode);
        var unknown = await _browser.PostAsJsonAsync("/api/plan", Job("glitter"));
        Assert.Equal(HttpStatusCode.BadRequest, unknown.StatusCode);
        Assert.Contains("/elements/0/craft", await unknown.Content.ReadAsStringAsync(), StringComparison.Ordinal);
    }

    private async Task<IHtmlDocument> Read(string path) => new HtmlParser().ParseDocument(await _browser.GetStringAsync(path));
}
