using System.Net;
using System.Text.RegularExpressions;
using AngleSharp.Html.Dom;
using AngleSharp.Html.Parser;
using Dittany.Web.Tests.Setup;
using UglyToad.PdfPig;
using UglyToad.PdfPig.Core;
using static Dittany.Web.Tests.Setup.Browsing;

namespace Dittany.Web.Tests.Pages;

/// <summary>From the proof to the paper, and from the check line back.</summary>
public sealed class SheetsPageTests : IDisposable
{
    private readonly Site _site = new();
    private readonly HttpClient _browser;

    public SheetsPageTests() => _browser = _site.Start();

    public void Dispose() => _site.Dispose();

    /// <summary>A look at an address stores nothing, whoever made the browser look: a sheet goes out only from its own page.</summary>
    [Fact]
    public async Task Looking_prints_nothing()
    {
        await Make("Zoë");
        await PostForm(_browser, "/sheets/1", "/sheets/1?handler=Proof", ("words", "Zoë"), ("who", "Ada"));
        foreach (var method in new[] { HttpMethod.Get, HttpMethod.Head })
        {
            using var look = new HttpRequestMessage(method, "/sheets/1?handler=Pdf&kind=work");
            var answer = await _browser.SendAsync(look);
            Assert.Equal("text/html", answer.Content.Headers.ContentType!.MediaType);
        }

        using var bare = new FormUrlEncodedContent([]);
        Assert.Equal(HttpStatusCode.BadRequest, (await _browser.PostAsync("/sheets/1?handler=Pdf&kind=work", bare)).StatusCode);
        Assert.DoesNotContain("Sheet 1", await _browser.GetStringAsync("/sheets/1"), StringComparison.Ordinal);
    }

    [Fact]
    public async Task Nothing_is_printed_before_the_words_are_read_back()
    {
        await Make("Zoë & Jo");
        var page = await Read("/sheets/1");
        Assert.Equal(["capital Z", "o", "e with two dots", "space", "and sign", "space", "capital J", "o"],
            page.QuerySelectorAll(".letters .aloud").Select(a => a.TextContent));
        Assert.Empty(page.QuerySelectorAll(".leaf, #pdf"));
        Assert.Equal(HttpStatusCode.Conflict, (await PostForm(_browser, "/sheets/1", "/sheets/1?handler=Pdf&kind=template")).StatusCode);
        Assert.Equal(HttpStatusCode.Conflict, (await PostForm(_browser, "/sheets/1", "/sheets/1?handler=Print&kind=template")).StatusCode);
        Assert.False(Directory.Exists(Path.Combine(_site.Folder, "printed")));
    }

    /// <summary>
    /// A yes holds for the very words that were read; were they changed meanwhile, the new ones are shown and nothing is kept.
    /// </summary>
    [Fact]
    public async Task A_proof_is_of_what_was_read_and_ends_with_another_word()
    {
        await Make("Zoe");
        Assert.Equal(HttpStatusCode.Conflict, (await PostForm(_browser, "/sheets/1", "/sheets/1?handler=Proof", ("words", "Zoë"),
            ("who", "Ada"))).StatusCode);
        await Proof("Zoe");
        Assert.NotEmpty((await Read("/sheets/1")).QuerySelectorAll(".leaf"));
        Assert.Contains("Ada", (await Read("/bench/1")).QuerySelector("#station-words")!.TextContent, StringComparison.Ordinal);
        await PostForm(_browser, "/bench/1", "/bench/1?handler=Change", ("from", "1"), ("member", "text"), ("value", "Zoë"));
        Assert.Empty((await Read("/sheets/1")).QuerySelectorAll(".leaf"));
        Assert.Contains("Read the words back", (await Read("/bench/1")).QuerySelector("#next")!.TextContent, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("template", "Check line: 100 mm")]
    [InlineData("placement", "Check that it is level")]
    [InlineData("work", "Length 1:")]
    [InlineData("care", "Stitched by hand on")]
    [InlineData("tag", "stitched by hand on")]
    public async Task Every_sheet_is_seen_before_it_is_printed_and_says_the_same_on_paper(string kind, string says)
    {
        await Make("Zoë");
        await Proof("Zoë");
        var seen = (await Read($"/sheets/1?kind={kind}")).QuerySelectorAll(".leaf text").Select(t => t.TextContent).ToArray();
        Assert.Contains(seen, t => t.Contains(says, StringComparison.Ordinal));
        using var pdf = PdfDocument.Open(await Printed($"/sheets/1?handler=Pdf&kind={kind}"));
        var paper = Close(string.Concat(pdf.GetPages().Select(p => p.Text)));
        Assert.All(seen, t => Assert.Contains(Close(t), paper, StringComparison.Ordinal));
    }

    /// <summary>
    /// Every decision the work sheet tells is the plan's own, told as the bench tells it; and all steps of removal and finishing are there,
    /// whatever page they fall on.
    /// </summary>
    [Fact]
    public async Task The_work_sheet_tells_the_plans_own_story()
    {
        await Make("Bread & Salt");
        await Proof("Bread & Salt");
        var plan = await Site.Read(await _browser.GetAsync("/api/pieces/1/plan"));
        using var pdf = PdfDocument.Open(await Printed("/sheets/1?handler=Pdf&kind=work"));
        var paper = Close(string.Concat(pdf.GetPages().SelectMany(p => p.Text)));
        foreach (var step in plan.GetProperty("finish").EnumerateArray().Concat(
            plan.GetProperty("transfer").GetProperty("removal").EnumerateArray()))
        {
            Assert.Contains(Close(step.GetString()!), paper, StringComparison.Ordinal);
        }

        foreach (var id in new[] { "stitch.outline", "transfer.method", "hoop.size", "thread.start" })
        {
            var choice = plan.GetProperty("decisions").EnumerateArray().First(d =>
                d.GetProperty("id").GetString() == id).GetProperty("choice").GetString()!;
            Assert.Contains(Close(choice), paper, StringComparison.Ordinal);
        }

        var runs = plan.GetProperty("threads").EnumerateArray().Sum(t => t.GetProperty("runs").GetInt32());
        Assert.All(Enumerable.Range(1, runs), n => Assert.Contains($"Length{n}:", paper, StringComparison.Ordinal));
        Assert.DoesNotContain($"Length{runs + 1}:", paper, StringComparison.Ordinal);
    }

    /// <summary>
    /// The stand-in printer is made to print 97 mm for 100. The check line on its paper, read back from the file in points of 1/72 in (ISO
    /// 32000), measures 97; told so, the sheet is void, and the next one from the same printer measures 100.
    /// </summary>
    [Fact]
    public async Task A_printer_that_prints_too_small_is_found_out_and_made_up_for()
    {
        await Make("Zoë");
        await Proof("Zoë");
        await PostForm(_browser, "/sheets/1", "/sheets/1?handler=StandIn", ("percent", "97"));
        await PostForm(_browser, "/sheets/1", "/sheets/1?handler=Print&kind=template");
        Assert.Equal(97, CheckLineOn("sheet-1-template.pdf"), 0.1);

        var told = await PostForm(_browser, "/sheets/1", "/sheets/1?handler=Measure&sheet=1", ("measured", "9,7 cm"));
        var page = await Read(told.Headers.Location!.ToString());
        Assert.Contains("3 % too small", page.QuerySelector(".told-back")!.TextContent, StringComparison.Ordinal);
        Assert.Contains("Void", page.QuerySelector(".printed .void")!.TextContent, StringComparison.Ordinal);
        Assert.Contains("Print the template", (await Read("/bench/1")).QuerySelector("#next")!.TextContent, StringComparison.Ordinal);

        await PostForm(_browser, "/sheets/1", "/sheets/1?handler=Print&kind=template");
        Assert.Equal(100, CheckLineOn("sheet-2-template.pdf"), 0.1);
        await PostForm(_browser, "/sheets/1", "/sheets/1?handler=Measure&sheet=2", ("measured", "100"));
        Assert.Equal(["Check line 100 mm: true."], (await Read("/sheets/1")).QuerySelectorAll(".printed li:not(.void) .quiet").Select(p =>
            p.TextContent));
        Assert.DoesNotContain("Print the template", (await Read("/bench/1")).QuerySelector("#next")!.TextContent, StringComparison.Ordinal);

        // Another printer is not corrected for this one's fault.
        using var own = PdfDocument.Open(await Printed("/sheets/1?handler=Pdf&kind=template&printer=My%20printer"));
        Assert.Equal(100, CheckLineOf(own), 0.1);
    }

    /// <summary>
    /// A sheet stays true over days, evenings and steps of the work, and no longer than the words and the way they are made.
    /// </summary>
    [Fact]
    public void A_sheet_is_of_what_is_put_on_the_cloth()
    {
        var job = new Core.Jobs.Job("tea-towel", [new Core.Jobs.TextElement("name", "Zoë")], new DateOnly(2027, 3, 1));
        var workshop = Core.Jobs.Workshop.Default;
        string Hash(Core.Jobs.Job j, Core.Jobs.Workshop w) => Formats.Json.PlanJson.SheetHash(j, w);
        var same = Hash(job, workshop);
        Assert.Equal(same, Hash(job with
        {
            Today = job.Today.AddDays(3),
            DueOn = job.Today.AddDays(9),
            Done = new Core.Time.Done(true, 2)
        }, workshop with { EveningsPerWeek = 2, HourlyRate = 10 }));
        Assert.NotEqual(same, Hash(job with { Elements = [job.Wordings[0] with { Text = "Zoe" }] }, workshop));
        Assert.NotEqual(same, Hash(job, workshop with { Paper = "letter" }));
        Assert.NotEqual(same, Hash(job, workshop with { Habits = new Dictionary<string, string> { ["hand"] = "left" } }));
    }

    [Theory]
    [InlineData("")]
    [InlineData("a hand")]
    [InlineData("9.7")]
    [InlineData("500")]
    [InlineData("-97")]
    public async Task What_no_check_line_measures_is_told_and_kept(string measured)
    {
        await Make("Zoë");
        await Proof("Zoë");
        await Printed("/sheets/1?handler=Pdf&kind=template");
        var answer = await PostForm(_browser, "/sheets/1", "/sheets/1?handler=Measure&sheet=1", ("measured", measured));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, answer.StatusCode);
        var page = new HtmlParser().ParseDocument(await answer.Content.ReadAsStringAsync());
        Assert.Contains("99.5 mm", page.QuerySelector(".trouble")!.TextContent, StringComparison.Ordinal);
        Assert.Equal(measured, page.QuerySelector("#measured-1")!.GetAttribute("value") ?? string.Empty);
        Assert.Empty(page.QuerySelectorAll(".void"));
    }

    [Fact]
    public async Task In_inches_everything_on_bench_and_sheets_is_in_inches()
    {
        await Make("Zoë");
        await Proof("Zoë");
        await PostForm(_browser, "/workshop", "/workshop", Shop(("units", "inches")));
        Assert.Contains("2 3/4 in", (await Read("/bench/1")).QuerySelector("#slip-space-place")!.TextContent, StringComparison.Ordinal);
        Assert.Equal("in", (await Read("/bench/1")).QuerySelector("svg .tape text:last-of-type")!.TextContent);
        Assert.Contains("2 3/4 in up", string.Concat((await Read("/sheets/1?kind=placement")).QuerySelectorAll(".leaf text").Select(t =>
            t.TextContent + " ")), StringComparison.Ordinal);
        Assert.Contains("100 mm", string.Concat((await Read("/sheets/1?kind=template")).QuerySelectorAll(".leaf text").Select(t =>
            t.TextContent)), StringComparison.Ordinal);
    }

    internal static (string, string)[] Shop(params (string Name, string Value)[] otherwise)
    {
        (string Name, string Value)[] usual =
        [
            ("from", "0"), ("equipment", "window"), ("equipment", "ink-jet"), ("equipment", "iron"), ("hoops", "4"), ("hoops", "5"),
                ("hoops", "6"), ("hoops", "7"), ("otherHoops", ""), ("skill", "practised"),
            ("eveningsPerWeek", "5"), ("minutesPerEvening", "60"), ("hourlyRate", "0"), ("paper", "a4"), ("units", "centimetres"),
                ("hand", "right"),
        ];
        return usual.Where(u => otherwise.All(o => o.Name != u.Name)).Concat(otherwise).ToArray();
    }

    private double CheckLineOn(string file)
    {
        using var pdf = PdfDocument.Open(Path.Combine(_site.Folder, "printed", file));
        return CheckLineOf(pdf);
    }

    /// <summary>
    /// The one solid level line that is within a fifth of 100 mm long; the words' own lines and the dashed ones are shorter or longer.
    /// </summary>
    private static double CheckLineOf(PdfDocument pdf)
    {
        var foot = pdf.GetPage(1).Height * 0.15;
        return pdf.GetPage(1).Paths.SelectMany(p => p).SelectMany(s => s.Commands).OfType<PdfSubpath.Line>()
            .Where(l => Math.Abs(l.From.Y - l.To.Y) < 0.01 && l.From.Y < foot)
            .Select(l => Math.Abs(l.From.X - l.To.X) / 72 * 25.4)
            .Single(mm => mm is > 80 and < 120);
    }

    private static string Close(string text) => Regex.Replace(text, @"\s", string.Empty, RegexOptions.None, TimeSpan.FromSeconds(1));

    private Task<HttpResponseMessage> Make(string words) => PostForm(_browser, "/new", "/new", ("Words", words), ("Form", "tea-towel"));

    private Task<HttpResponseMessage> Proof(string words) =>
        PostForm(_browser, "/sheets/1", "/sheets/1?handler=Proof", ("words", words), ("who", "Ada"));

    private async Task<IHtmlDocument> Read(string path) => new HtmlParser().ParseDocument(await _browser.GetStringAsync(path));

    private async Task<byte[]> Printed(string address)
    {
        var answer = await PostForm(_browser, "/sheets/1", address);
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        return await answer.Content.ReadAsByteArrayAsync();
    }
}
