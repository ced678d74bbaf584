using System.Globalization;
using System.Net;
using AngleSharp.Html.Dom;
using AngleSharp.Html.Parser;
using Dittany.Core.Advising;
using Dittany.Core.Jobs;
using Dittany.Core.Time;
using Dittany.Formats.Pictures;
using Dittany.Store;
using Dittany.Web.Tests.Setup;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;
using static Dittany.Web.Tests.Setup.Browsing;

namespace Dittany.Web.Tests.Pages;

/// <summary>At the needle: one step at a time, the log that falls out of it, and what it teaches.</summary>
public sealed class NeedlePageTests(Site site) : IClassFixture<Site>
{
    private Site _site = site;
    private HttpClient _browser = site.Start();

    private async Task<IHtmlDocument> Read(string address) => new HtmlParser().ParseDocument(await _browser.GetStringAsync(address));

    private async Task<(string Piece, string Page)> Made(string words = "Ida")
    {
        var made = await PostForm(_browser, "/new", "/new", ("Words", words), ("Form", "tea-towel"));
        var id = made.Headers.Location!.ToString().Split('/')[^1];
        return (id, $"/needle/{id}");
    }

    private static string Step(IHtmlDocument page) => page.QuerySelectorAll(".needle-step").Single(s => !s.HasAttribute("hidden")).GetAttribute("data-id")!;

    private async Task<HttpResponseMessage> Done(string page, string step, string minutes, string once, params (string, string)[] more) =>
        await PostForm(_browser, page, $"{page}?handler=Done", [("step", step), ("minutes", minutes), ("once", once), .. more]);

    /// <summary>Going through all steps by the form alone, without scripts, finishes the piece, and every step is in its log.</summary>
    [Fact]
    public async Task A_piece_is_worked_step_by_step()
    {
        var (id, page) = await Made();
        var steps = (await Read(page)).QuerySelectorAll("#needle-map li").Length;
        for (var i = 0; i < steps; i++)
        {
            var now = await Read(page);
            Assert.Equal(i.ToString(CultureInfo.InvariantCulture), now.QuerySelector("#needle")!.GetAttribute("data-at"));
            Assert.Equal(HttpStatusCode.Redirect, (await Done(page, Step(now), "4", $"mark-{i}")).StatusCode);
        }

        Assert.NotNull((await Read(page)).QuerySelector("#needle-end"));
        var log = await Read($"/log/{id}");
        Assert.Equal(steps, log.QuerySelectorAll(".log-entries > li").Length);
        Assert.NotEmpty(log.QuerySelectorAll("#by-kind tbody tr"));
        Assert.Contains("from one piece of yours", log.Body!.TextContent, StringComparison.Ordinal);

        using var scope = _site.Services.CreateScope();
        var piece = await scope.ServiceProvider.GetRequiredService<PieceStore>().Find(int.Parse(id, CultureInfo.InvariantCulture));
        Assert.True(piece!.Job.Done!.Finished);
        Assert.True((await scope.ServiceProvider.GetRequiredService<WorkshopStore>().Current()).Paces.ContainsKey("stitching"));
    }

    /// <summary>What is sent twice, late and out of turn is kept once and never moves the piece back.</summary>
    [Fact]
    public async Task A_step_sent_twice_or_late_is_taken_once()
    {
        var (id, page) = await Made();
        var ids = (await Read(page)).QuerySelectorAll(".needle-step").Select(s => s.GetAttribute("data-id")!).ToArray();
        foreach (var step in ids.TakeWhile(s => s != "length-2"))
        {
            await Done(page, step, "2", $"m-{step}", ("quiet", "true"));
        }

        var far = (await Read(page)).QuerySelector("#needle")!.GetAttribute("data-at");
        Assert.Equal(HttpStatusCode.OK, (await Done(page, ids[0], "2", $"m-{ids[0]}", ("quiet", "true"))).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await Done(page, "length-1", "2", "m-length-1", ("quiet", "true"))).StatusCode);
        Assert.Equal(far, (await Read(page)).QuerySelector("#needle")!.GetAttribute("data-at"));
        Assert.Equal(ids.TakeWhile(s => s != "length-2").Count(), (await Read($"/log/{id}")).QuerySelectorAll(".log-entries > li").Length);
    }

    /// <summary>900 minutes, less than nothing and no number are asked about with what was typed; said again they are kept.</summary>
    [Theory]
    [InlineData("900", "15 h in one step")]
    [InlineData("-3", "turned back")]
    [InlineData("soon", "as a number")]
    public async Task What_is_hard_to_believe_is_asked_about(string minutes, string says)
    {
        var (id, page) = await Made();
        var first = Step(await Read(page));
        var asked = await Done(page, first, minutes, "once-1");
        Assert.Equal(HttpStatusCode.UnprocessableEntity, asked.StatusCode);
        var again = new HtmlParser().ParseDocument(await asked.Content.ReadAsStringAsync());
        Assert.Contains(says, again.QuerySelector("#needle-said")!.TextContent, StringComparison.Ordinal);
        Assert.Equal(minutes, again.QuerySelector(".needle-step:not([hidden]) input[name=minutes]")!.GetAttribute("value"));
        Assert.Empty((await Read($"/log/{id}")).QuerySelectorAll(".log-entries > li"));
        var sure = await Done(page, first, minutes, "once-1", ("sure", "true"));
        Assert.Equal(minutes == "900" ? HttpStatusCode.Redirect : HttpStatusCode.UnprocessableEntity, sure.StatusCode);
    }

    /// <summary>She is at another length; lengths are unpicked: what is done follows.</summary>
    [Fact]
    public async Task She_says_where_she_is_and_what_is_unpicked()
    {
        var (id, page) = await Made("Hippolyta");
        await PostForm(_browser, page, $"{page}?handler=Here", ("run", "3"));
        Assert.Equal(2, (await Runs(id)).Runs);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await PostForm(_browser, page, $"{page}?handler=Unpick", ("lengths", "5"))).StatusCode);
        await PostForm(_browser, page, $"{page}?handler=Unpick", ("lengths", "1"), ("seen", "2"));
        Assert.Equal(1, (await Runs(id)).Runs);
        Assert.Equal("length-2", Step(await Read(page)));

        // Sent twice it is unpicked once; what was seen and is no longer so is asked about.
        await PostForm(_browser, page, $"{page}?handler=Unpick", ("lengths", "1"), ("seen", "2"));
        Assert.Equal(1, (await Runs(id)).Runs);
        await PostForm(_browser, page, $"{page}?handler=Unpick", ("lengths", "3"), ("seen", "3"));
        Assert.Equal(1, (await Runs(id)).Runs);

        // What the address says is not what the page says.
        Assert.DoesNotContain("Pay at the door", await _browser.GetStringAsync($"{page}?said=Pay%20at%20the%20door"), StringComparison.Ordinal);

        async Task<Done> Runs(string of)
        {
            using var scope = _site.Services.CreateScope();
            var pieces = scope.ServiceProvider.GetRequiredService<PieceStore>();
            return (await pieces.Find(int.Parse(of, CultureInfo.InvariantCulture)))!.Job.Done!;
        }
    }

    /// <summary>
    /// A tap on a stitch says that she is there, to the stitch; beside every stitch, and a number the length has not, it says what would
    /// do.
    /// </summary>
    [Fact]
    public async Task A_tap_on_a_stitch_says_where_she_is()
    {
        var (id, page) = await Made("Hippolyta");
        var drawn = await _browser.GetStringAsync($"{page}?handler=Whole");
        Assert.StartsWith("<svg", drawn, StringComparison.Ordinal);
        Core.Planning.Plan plan;
        using (var scope = _site.Services.CreateScope())
        {
            var of = scope.ServiceProvider;
            var piece = await of.GetRequiredService<PieceStore>().Find(int.Parse(id, CultureInfo.InvariantCulture));
            plan = (await of.GetRequiredService<Web.Setup.PlanService>()
                .Plan(piece!, await of.GetRequiredService<WorkshopStore>().Current(), default)).Plan;
        }

        // The middle of a stitch of the second length, by the frame of the drawing.
        var row = plan.Route.TakeWhile(r => r.Run == 1).Count() + 9;
        var stitch = plan.Elements[0].Parts[plan.Route[row].Part].Stitches[plan.Route[row].Stitch];
        var svg = new HtmlParser().ParseDocument(drawn).QuerySelector("svg")!;
        var box = $"{svg.GetAttribute("viewBox")} {svg.GetAttribute("width")}".Split(' ').Select(n => double.Parse(n, CultureInfo.InvariantCulture)).ToArray();
        string Px(double mm, double from) => ((mm - from) * box[4] / box[2]).ToString("0.##", CultureInfo.InvariantCulture);
        await PostForm(_browser, page, $"{page}?handler=Tap", ("at.x", Px((stitch.FromMm.X + stitch.ToMm.X) / 2, box[0])), ("at.y", Px((stitch.FromMm.Y + stitch.ToMm.Y) / 2, box[1])));
        var done = await Done(id);
        Assert.Equal(1, done.Runs);
        var found = plan.Route[plan.Route.TakeWhile(r => r.Run == 1).Count() + done.Stitches] is var at
            ? plan.Elements[0].Parts[at.Part].Stitches[at.Stitch] : default;
        Assert.InRange(Core.Geometry.Polyline.ToSegment((stitch.FromMm + stitch.ToMm) * 0.5, found!.FromMm, found.ToMm), 0, 0.2);
        var read = await Read(page);
        Assert.Equal("length-2", Step(read));
        Assert.Contains("are done, go on at the next", read.QuerySelector(".needle-step:not([hidden]) .needle-do")!.TextContent, StringComparison.Ordinal);

        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await PostForm(_browser, page, $"{page}?handler=Tap", ("at.x", "-90"), ("at.y", "-90"))).StatusCode);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await PostForm(_browser, page, $"{page}?handler=Tap", ("at.x", "far"))).StatusCode);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await PostForm(_browser, page, $"{page}?handler=Here", ("run", "2"), ("stitch", "9999"))).StatusCode);
        Assert.Equal(done, await Done(id));
        await PostForm(_browser, page, $"{page}?handler=Here", ("run", "2"), ("stitch", "6"));
        Assert.Equal((1, 5), ((await Done(id)).Runs, (await Done(id)).Stitches));

        async Task<Done> Done(string of)
        {
            using var scope = _site.Services.CreateScope();
            return (await scope.ServiceProvider.GetRequiredService<PieceStore>()
                .Find(int.Parse(of, CultureInfo.InvariantCulture)))!.Job.Done!;
        }
    }

    /// <summary>
    /// What is left of a thread is measured against what was reckoned; what cannot be read as a length is kept in her words.
    /// </summary>
    [Fact]
    public async Task What_is_left_of_a_thread_is_learnt()
    {
        var (id, page) = await Made("Hippolyta");
        var first = (await Read(page)).QuerySelectorAll(".needle-step").First(s => s.QuerySelector("input[name=left]") is not null).GetAttribute("data-id")!;
        await Done(page, first, "12", "left-1", ("left", "3 cm"), ("note", "by lamplight"));
        await Done(page, "wash", "12", "left-2", ("left", "a good bit"));
        using var scope = _site.Services.CreateScope();
        var rows = await scope.ServiceProvider.GetRequiredService<LogStore>().All(int.Parse(id, CultureInfo.InvariantCulture));
        Assert.Equal((30.0, "by lamplight"), (rows[0].LeftMm!.Value, rows[0].Note));
        Assert.True(rows[0] is { RealMm: > 0, PlannedMm: > 0, Stitch: not null, Item: "tea-towel" });
        Assert.Equal("left over: a good bit", rows[1].Note);
        await scope.ServiceProvider.GetRequiredService<LogStore>().Learn(scope.ServiceProvider.GetRequiredService<WorkshopStore>());
        Assert.True((await scope.ServiceProvider.GetRequiredService<WorkshopStore>()
            .Current()).Paces.ContainsKey(PaceNames.ThreadUse));
        Assert.Contains("thread than is usually reckoned", (await Read("/log")).Body!.TextContent, StringComparison.Ordinal);
    }

    /// <summary>
    /// A picture of the piece goes into the book with its day and a word, and is found by the word; taken out it is gone from the book; a
    /// file that is no picture says so and keeps the word.
    /// </summary>
    [Fact]
    public async Task A_picture_goes_into_the_book()
    {
        using var alone = new Site();
        _browser = alone.Start();
        var (id, _) = await Made("Ida");
        await Made("Zoë");
        var log = $"/log/{id}";
        var bad = await PostPicture(log, "not a picture"u8.ToArray(), "for the market");
        Assert.Equal(HttpStatusCode.UnprocessableEntity, bad.StatusCode);
        Assert.Equal("for the market", new HtmlParser().ParseDocument(await bad.Content.ReadAsStringAsync()).QuerySelector("#picture-note")!.GetAttribute("value"));
        Assert.Equal(HttpStatusCode.Redirect, (await PostPicture(log, Png(), "for the market")).StatusCode);
        Assert.Single((await Read(log)).QuerySelectorAll(".piece-pictures img"));
        var found = await Read("/book?Asked=the%20market%20towel");
        Assert.Contains("One piece answers that", found.QuerySelector("#found-told")!.TextContent, StringComparison.Ordinal);
        Assert.Contains("/pictures/", Assert.Single(found.QuerySelectorAll(".book-pieces li > a")).QuerySelector("img")!.GetAttribute("src"), StringComparison.Ordinal);
        Assert.Equal(2, (await Read("/book")).QuerySelectorAll(".book-pieces > li").Length);
        Assert.Contains("No piece of yours", (await Read("/book?Asked=zeppelin")).QuerySelector("#found-told")!.TextContent, StringComparison.Ordinal);
        var entry = (await Read(log)).QuerySelector(".piece-pictures form")!.GetAttribute("action")!;
        await PostForm(_browser, log, entry, ("back", "true"));
        Assert.Empty((await Read(log)).QuerySelectorAll(".piece-pictures img"));

        // What is put away is in the book still.
        await PostForm(_browser, $"/bench/{id}", $"/bench/{id}?handler=Away");
        Assert.Equal(2, (await Read("/book")).QuerySelectorAll(".book-pieces > li").Length);

        async Task<HttpResponseMessage> PostPicture(string page, byte[] bytes, string note)
        {
            using var form = new MultipartFormDataContent { { new StringContent(note), "note" }, { new ByteArrayContent(bytes), "picture", "towel.png" } };
            form.Add(new StringContent((await Read(page)).QuerySelector("input[name=__RequestVerificationToken]")!.GetAttribute("value")!), "__RequestVerificationToken");
            return await _browser.PostAsync($"{page}?handler=Picture", form);
        }

        static byte[] Png() => new MadeUpCamera().Take(MadeUpCamera.All[0].Id)!;
    }

    /// <summary>The page stays small, draws the lengths ahead in itself, and tells all twelve mishaps.</summary>
    [Fact]
    public async Task The_page_is_small_and_whole()
    {
        var (_, page) = await Made("Maximiliana Theodora");
        var text = await _browser.GetStringAsync(page);
        Assert.True(text.Length < 150_000, $"{text.Length}");
        var read = new HtmlParser().ParseDocument(text);
        Assert.NotEmpty(read.QuerySelectorAll("svg.length-drawn"));
        Assert.Equal(Mishaps.All.Count, read.QuerySelectorAll(".mishap").Length);
        Assert.StartsWith("<svg xmlns", await _browser.GetStringAsync($"{page}?handler=Length&run=2"), StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.NotFound, (await _browser.GetAsync("/needle/99")).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await _browser.GetAsync($"{page}?handler=Length&run=999")).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await _browser.GetAsync("/log/99")).StatusCode);
    }

    /// <summary>Time is put down by hand, corrected and taken back; the former entries stay in the store.</summary>
    [Fact]
    public async Task An_entry_is_corrected_and_taken_back()
    {
        using var alone = new Site();
        _site = alone;
        _browser = alone.Start();
        var (id, _) = await Made();
        var log = $"/log/{id}";
        await PostForm(_browser, log, $"{log}?handler=Keep", ("step", "length-1"), ("minutes", "12"), ("note", "by daylight"));
        Assert.Contains("12 min", (await Read(log)).QuerySelector(".log-entries")!.TextContent, StringComparison.Ordinal);
        await PostForm(_browser, log, $"{log}?handler=Keep&entry=1", ("minutes", "21"), ("note", "by daylight"));
        var told = (await Read(log)).QuerySelector(".log-entries")!.TextContent;
        Assert.Contains("21 min", told, StringComparison.Ordinal);
        Assert.Contains("by daylight", told, StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await PostForm(_browser, log, $"{log}?handler=Keep&entry=2", ("minutes", "much"))).StatusCode);
        await PostForm(_browser, log, $"{log}?handler=Keep&entry=2", ("back", "true"));
        Assert.Null((await Read(log)).QuerySelector(".log-entries"));
        using var scope = _site.Services.CreateScope();
        Assert.Equal(3, await scope.ServiceProvider.GetRequiredService<DittanyDb>().Log.CountAsync());
        Assert.Empty((await scope.ServiceProvider.GetRequiredService<WorkshopStore>().Current()).Paces);
    }

    /// <summary>
    /// Finished stitches are looked for in a straightened photograph; where there is none, and where nothing is seen, it says so.
    /// </summary>
    [Fact]
    public async Task A_photograph_is_measured_or_says_why_not()
    {
        var (id, _) = await Made();
        var page = $"/log/{id}/photograph";
        Assert.Contains("There is none yet", await _browser.GetStringAsync(page), StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.NotFound, (await _browser.GetAsync($"{page}?Photo=9")).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await _browser.GetAsync("/log/99/photograph")).StatusCode);

        var taken = await PostForm(_browser, "/cupboard/photograph", "/cupboard/photograph?handler=MadeUp", ("scene",
            MadeUpCamera.All[0].Id));
        var photo = taken.Headers.Location!.ToString().Split('/')[^1];
        var corners = MadeUpCamera.CornersOf(MadeUpCamera.All[0]);
        await PostForm(_browser, $"/cupboard/photograph/{photo}", $"/cupboard/photograph/{photo}", [("Reference",
            MadeUpCamera.All[0].Reference.Id), .. corners.SelectMany(c => new[]
            {
                ("X", c.X.ToString(CultureInfo.InvariantCulture)), ("Y", c.Y.ToString(CultureInfo.InvariantCulture)),
            })]);
        await Until(async () => (await Read(page)).QuerySelector($"a[href$='Photo={photo}']") is not null);
        var told = await Read($"{page}?Photo={photo}");
        Assert.True(told.QuerySelector("#cannot") is not null || told.QuerySelectorAll("#report li").Length > 2);
        Assert.NotNull(told.QuerySelector("img[src^='/pictures/']"));
    }

    /// <summary>Said to be of another skill, she is learnt anew: what was logged before was another hand's.</summary>
    [Fact]
    public async Task Another_skill_is_learnt_anew()
    {
        var (id, _) = await Made();
        var log = $"/log/{id}";
        await PostForm(_browser, log, $"{log}?handler=Keep", ("step", "length-1"), ("minutes", "30"));
        using (var scope = _site.Services.CreateScope())
        {
            var workshops = scope.ServiceProvider.GetRequiredService<WorkshopStore>();
            Assert.NotEmpty((await workshops.Current()).Paces);
            await workshops.Change(await workshops.Head(), [("skill", "expert")], "Expert");
        }

        await PostForm(_browser, log, $"{log}?handler=Keep", ("step", "hoop"), ("minutes", "4"));
        using var after = _site.Services.CreateScope();
        var paces = (await after.ServiceProvider.GetRequiredService<WorkshopStore>().Current()).Paces;
        Assert.True(paces.ContainsKey("hoop"));
        Assert.False(paces.ContainsKey("stitching"));
    }
}
