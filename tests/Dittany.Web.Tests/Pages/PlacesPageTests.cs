using System.Globalization;
using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using AngleSharp.Html.Dom;
using AngleSharp.Html.Parser;
using Dittany.Core.Decisions;
using Dittany.Core.Jobs;
using Dittany.Store;
using Dittany.Web.Tests.Setup;
using Microsoft.Extensions.DependencyInjection;
using static Dittany.Web.Tests.Setup.Browsing;

namespace Dittany.Web.Tests.Pages;

/// <summary>A piece with several places, on its bench, on paper, at the needle and at the door.</summary>
public sealed class PlacesPageTests(Site site) : IClassFixture<Site>
{
    private readonly Site _site = site;
    private readonly HttpClient _browser = site.Start();

    private async Task<IHtmlDocument> Read(string address) => new HtmlParser().ParseDocument(await _browser.GetStringAsync(address));

    private async Task<Job> Job(string id)
    {
        using var scope = _site.Services.CreateScope();
        return (await scope.ServiceProvider.GetRequiredService<PieceStore>().Find(int.Parse(id, CultureInfo.InvariantCulture)))!.Job;
    }

    private async Task<string> Made(string form = "t-shirt-child")
    {
        var made = await PostForm(_browser, "/new", "/new", ("Words", "Mia"), ("Form", form));
        return made.Headers.Location!.ToString().Split('/')[^1];
    }

    private async Task<HttpResponseMessage> Post(string id, string handler, params (string, string)[] fields)
    {
        var from = (await Read($"/bench/{id}")).GetElementById("bench")!.GetAttribute("data-from")!;
        return await PostForm(_browser, $"/bench/{id}", $"/bench/{id}?handler={handler}", [("from", from), .. fields]);
    }

    /// <summary>
    /// Something is put at another place, each place is looked at and changed by itself, and one is taken away again; nothing else moves.
    /// </summary>
    [Fact]
    public async Task A_place_is_added_changed_and_taken_away()
    {
        var id = await Made();
        Assert.Null((await Read($"/bench/{id}")).QuerySelector("nav.at-places"));
        var nothing = await Post(id, "Add", ("zone", "sleeve"), ("words", " "));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, nothing.StatusCode);
        Assert.Contains("Write words, or choose a motif", await nothing.Content.ReadAsStringAsync(), StringComparison.Ordinal);
        var added = await Post(id, "Add", ("zone", "sleeve"), ("motif", "daisy"));
        Assert.Contains("place=sleeve", added.Headers.Location!.ToString(), StringComparison.Ordinal);

        var sleeve = await Read($"/bench/{id}?Place=sleeve&Station=space");
        var tabs = sleeve.QuerySelectorAll("nav.at-places a");
        Assert.Equal(2, tabs.Length);
        Assert.Contains("Sleeve", tabs.Single(a => a.GetAttribute("aria-current") == "page").TextContent, StringComparison.Ordinal);
        Assert.Contains("sleeve", string.Join(' ', sleeve.QuerySelectorAll("#station-space .steps li").Select(l => l.TextContent)), StringComparison.Ordinal);
        Assert.DoesNotContain(sleeve.QuerySelectorAll("#elsewhere-zone option"), o => o.GetAttribute("value") is "sleeve" or "left-chest");

        // A choice, a nudge and a size of this place alone.
        await Post(id, "Change", ("Place", "sleeve"), ("member", "overrules/hoop.school"), ("value", "in-hand"));
        await Post(id, "Grow", ("Place", "sleeve"), ("by", "-4"));
        await Post(id, "Nudge", ("Place", "sleeve"), ("dx", "2"), ("dy", "0"));
        var job = await Job(id);
        Assert.Equal("in-hand", job.Overrides["hoop.school@sleeve"]);
        Assert.NotNull(job.Motifs[0].HeightMm);
        Assert.NotNull(job.Motifs[0].CentreMm);
        Assert.Null(job.Wordings[0].CapHeightMm);
        Assert.Null(job.Elements[0].CentreMm);
        Assert.Equal("sleeve", job.Motifs[0].Zone);

        var gone = await Post(id, "Change", ("Place", "sleeve"), ("member", "places"), ("value", "left-chest"));
        Assert.Equal(HttpStatusCode.Redirect, gone.StatusCode);
        job = await Job(id);
        Assert.Empty(job.Motifs);
        Assert.DoesNotContain("hoop.school@sleeve", job.Overrides.Select(o => o.Key.ToString()));
    }

    /// <summary>
    /// Every place has its own template, card and cut-out; the work sheet goes through them in one order; at the needle all lengths follow
    /// each other; another way is laid beside one place.
    /// </summary>
    [Fact]
    public async Task Sheets_needle_and_comparing_know_the_places()
    {
        var id = await Made();
        await Post(id, "Add", ("zone", "sleeve"), ("motif", "daisy"));
        await PostForm(_browser, $"/sheets/{id}", $"/sheets/{id}?handler=Proof", ("words", "Mia"), ("who", "Me"));
        foreach (var (kind, each) in new[] { ("template", true), ("placement", true), ("cut-out", true), ("shapes", true), ("work", false) })
        {
            var leaves = (await Read($"/sheets/{id}?kind={kind}")).QuerySelectorAll("svg title").Select(t => t.TextContent).ToArray();
            Assert.Equal(each, leaves.Any(t => t.Contains("left chest", StringComparison.Ordinal)));
            Assert.Equal(each, leaves.Any(t => t.Contains("sleeve", StringComparison.Ordinal)));
        }

        var work = (await Read($"/sheets/{id}?kind=work")).Body!.TextContent;
        Assert.Contains("Left chest: mark it", work, StringComparison.Ordinal);
        Assert.Contains("Sleeve, above the hem: stitch it", work, StringComparison.Ordinal);
        var needle = (await Read($"/needle/{id}")).Body!.TextContent;
        var lengths = int.Parse(System.Text.RegularExpressions.Regex.Match(needle, @"Length 1 of (?<n>\d+)", default, TimeSpan.FromSeconds(1)).Groups["n"].Value, CultureInfo.InvariantCulture);
        await Post(id, "Change", ("member", "done"), ("value", $"runs={lengths - 1}"));
        Assert.Equal(HttpStatusCode.OK, (await _browser.GetAsync($"/needle/{id}?handler=Whole")).StatusCode);
        Assert.Contains($"Length {lengths} of {lengths}", (await Read($"/needle/{id}")).Body!.TextContent, StringComparison.Ordinal);

        var compare = await Read($"/compare/{id}?Decision=transfer.method&Choice=freehand&Place=sleeve");
        Assert.Contains("Place=sleeve", compare.QuerySelector("form[action*='handler=Take']")!.GetAttribute("action"), StringComparison.Ordinal);
    }

    /// <summary>What is finished stands when something is added, and a change that would move it is refused.</summary>
    [Fact]
    public async Task A_finished_piece_grows()
    {
        var id = await Made();
        await Post(id, "Change", ("member", "done"), ("value", "finished"));
        var bench = await Read($"/bench/{id}?Station=finish");
        Assert.Contains(bench.QuerySelectorAll("#elsewhere-zone option"), o => o.GetAttribute("value") == "left-chest");
        await Post(id, "Add", ("zone", "left-chest"), ("words", "Ida"));
        var job = await Job(id);
        Assert.Equal(["name"], Assert.Single(job.Standing));
        Assert.Null(job.Done);
        Assert.Contains(job.Wordings, e => e.Text == "Ida");
        var grown = await Read($"/bench/{id}?Place=left-chest.1");
        Assert.Contains("stands already", grown.QuerySelector("nav.at-places")!.TextContent, StringComparison.Ordinal);
        var moved = await Post(id, "Change", ("Place", "left-chest.1"), ("member", "text"), ("value", "Maya"));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, moved.StatusCode);
        Assert.Contains("stands on the piece since long", await moved.Content.ReadAsStringAsync(), StringComparison.Ordinal);
    }

    /// <summary>
    /// At the door elements name their zone; a sheet is asked for by its place, and without one it is told which there are.
    /// </summary>
    [Fact]
    public async Task The_door_takes_zones()
    {
        var body = new JsonObject
        {
            ["item"] = new JsonObject { ["form"] = "t-shirt-child" },
            ["elements"] = new JsonArray(
                new JsonObject { ["id"] = "name", ["kind"] = "text", ["text"] = "Mia" },
                new JsonObject { ["id"] = "flower", ["kind"] = "motif", ["motif"] = "daisy", ["zone"] = "sleeve" }),
            ["overrules"] = new JsonObject { ["hoop.school@sleeve"] = "in-hand" },
        };
        var plan = (await (await _browser.PostAsJsonAsync("/api/plan", body)).Content.ReadFromJsonAsync<JsonObject>())!;
        Assert.Equal(["left-chest", "sleeve"], plan["places"]!.AsArray().Select(p => p!["key"]!.GetValue<string>()));
        Assert.Contains(plan["decisions"]!.AsArray(), d => d!["id"]!.GetValue<string>() == "hoop.school@sleeve" && d["choiceId"]!.GetValue<string>() == "in-hand");
        var round = (await (await _browser.PostAsJsonAsync("/api/plan", body)).Content.ReadAsStringAsync())!;
        Assert.Equal(plan["inputHash"]!.GetValue<string>(), JsonNode.Parse(round)!["inputHash"]!.GetValue<string>());

        foreach (var (address, status) in new[]
        {
            ("/api/template.svg", HttpStatusCode.UnprocessableEntity), ("/api/template.pdf?place=knee", HttpStatusCode.UnprocessableEntity),
            ("/api/template.svg?place=sleeve", HttpStatusCode.OK), ("/api/template.pdf?place=left-chest", HttpStatusCode.OK),
        })
        {
            var answer = await _browser.PostAsJsonAsync(address, body);
            Assert.Equal(status, answer.StatusCode);
            if (status != HttpStatusCode.OK)
            {
                Assert.Contains("?place=sleeve", await answer.Content.ReadAsStringAsync(), StringComparison.Ordinal);
            }
        }

        body["elements"]![1]!["zone"] = "knee";
        var wrong = await _browser.PostAsJsonAsync("/api/plan", body);
        Assert.Equal(HttpStatusCode.BadRequest, wrong.StatusCode);
        Assert.Contains("#/elements/1/zone", await wrong.Content.ReadAsStringAsync(), StringComparison.Ordinal);
    }

    /// <summary>
    /// Repeated motifs are set out by eye and pushed one by one; put back they stand evenly, and in step again nothing is left of it.
    /// </summary>
    [Fact]
    public async Task Copies_are_set_out_by_eye()
    {
        var id = await Made();
        await Post(id, "Add", ("zone", "back"), ("motif", "daisy"));
        await Post(id, "Change", ("Place", "back"), ("member", "arrangement"), ("value", "row"));
        var bench = await Read($"/bench/{id}?Place=back&Station=space");
        Assert.Equal(3, bench.QuerySelectorAll("#push-0 option").Length);
        Assert.Equal(3, bench.QuerySelectorAll("#drawing .paper").Length);
        await Post(id, "SetOut", ("Place", "back"), ("element", "motif-1"), ("sway", "18"), ("uneven", "25"), ("alike", "false"), ("gapAfter", "1"), ("gap", "200"));
        await Post(id, "Push", ("Place", "back"), ("element", "motif-1"), ("copy", "1"), ("dx", "3"), ("dy", "-2"));
        var how = (await Job(id)).Motifs[0].Loosely!;
        Assert.Equal((18.0, 25.0, false, 1, 200.0), (how.SwayPercent, how.UnevenPercent, how.Alike, how.GapAfter, how.GapPercent));
        Assert.Equal(1, Assert.Single(how.Pushed).Copy);
        Assert.Contains("pushed", (await Read($"/bench/{id}?Place=back&Station=space")).QuerySelector("#push-0")!.TextContent, StringComparison.Ordinal);
        await Post(id, "SetOut", ("Place", "back"), ("element", "motif-1"), ("how", "even"));
        Assert.Empty((await Job(id)).Motifs[0].Loosely!.Pushed);
        await Post(id, "SetOut", ("Place", "back"), ("element", "motif-1"), ("how", "in-step"));
        Assert.Null((await Job(id)).Motifs[0].Loosely);
    }

    /// <summary>One of several elements is put elsewhere by itself, and a remedy goes to the element it is for.</summary>
    [Fact]
    public async Task A_further_element_is_moved_and_cured_by_itself()
    {
        var id = await Made("tea-towel");
        await PostForm(_browser, $"/motifs?Piece={id}&Motif=daisy", $"/motifs?handler=Put&Piece={id}&Motif=daisy");
        await Post(id, "Change", ("member", "capHeightMm"), ("value", "16"));
        await Post(id, "Change", ("member", "elements/motif-1/heightMm"), ("value", "24"));
        await Post(id, "Put", ("element", "motif-1"), ("x", "250"), ("y", "600"), ("within", "0"));
        await Post(id, "Put", ("element", "name"), ("x", "250"), ("y", "600"), ("within", "0"));
        var job = await Job(id);
        Assert.Equal(job.Elements[0].CentreMm, job.Motifs[0].CentreMm);
        var bench = await Read($"/bench/{id}?Station=space");
        var cure = bench.QuerySelectorAll("#station-space .slip.warn button").First(b => b.TextContent.StartsWith("move it", StringComparison.Ordinal));
        var member = Uri.UnescapeDataString(cure.GetAttribute("formaction")!.Split("member=")[1]);
        Assert.Equal("elements/motif-1/centreMm", member);
        await Post(id, "Change", ("member", member), ("value", cure.GetAttribute("value")!));
        Assert.Equal(job.Elements[0].CentreMm, (await Job(id)).Elements[0].CentreMm);
        Assert.NotEqual(job.Motifs[0].CentreMm, (await Job(id)).Motifs[0].CentreMm);
        Assert.DoesNotContain("into", (await Read($"/bench/{id}?Station=space")).QuerySelector("#station-space")!.TextContent, StringComparison.Ordinal);
    }
}
