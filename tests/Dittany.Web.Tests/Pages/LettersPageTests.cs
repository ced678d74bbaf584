using System.Net;
using AngleSharp.Html.Dom;
using AngleSharp.Html.Parser;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Formats.Alphabets;
using Dittany.Web.Tests.Setup;
using Microsoft.Extensions.DependencyInjection;

namespace Dittany.Web.Tests.Pages;

/// <summary>Letters, motifs and sets without scripts: looked at, brought in, taken for a piece.</summary>
public sealed class LettersPageTests(Site site) : IClassFixture<Site>
{
    private readonly Site _site = site;
    private readonly HttpClient _browser = site.Start();

    [Fact]
    public async Task Every_alphabet_shows_the_words_of_the_piece_and_is_taken_by_a_click()
    {
        var piece = await Piece("Zoë");
        var page = await Read($"/letters?Piece={piece}");
        Assert.True(page.QuerySelectorAll(".specimens li").Length >= 3 + (2 * 8));
        foreach (var picture in page.QuerySelectorAll("img.specimen").Where((_, i) => i % 4 == 0))
        {
            var svg = await _browser.GetAsync(new Uri(picture.GetAttribute("src")!, UriKind.Relative));
            Assert.Equal("image/svg+xml", svg.Content.Headers.ContentType!.MediaType);
            Assert.Contains("<path", await svg.Content.ReadAsStringAsync(), StringComparison.Ordinal);
        }

        var taken = await Post(page, $"/letters?handler=Take&Piece={piece}", ("alphabet", "joined-hand"));
        Assert.Equal($"/bench/{piece}?Station=words", taken.Headers.Location!.ToString());
        var bench = await Read($"/bench/{piece}?Station=words");
        Assert.Contains("Joined hand", bench.QuerySelector("#slip-words-alphabet")!.TextContent, StringComparison.Ordinal);
        Assert.Contains("your choice", bench.QuerySelector("#slip-words-alphabet")!.TextContent, StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_font_of_her_own_is_kept_and_written_with()
    {
        using var stream = typeof(ShippedAlphabets).Assembly.GetManifestResourceStream("Alphabets/slab")!;
        using var copy = new MemoryStream();
        await stream.CopyToAsync(copy);

        // Another font by one byte that no table holds.
        byte[] font = [.. copy.ToArray(), 7];
        var page = await Read("/letters");
        var kept = await Send(page, "/letters?handler=Bring&Piece=", "font", "my-own_font.ttf", font);
        var shown = new HtmlParser().ParseDocument(await kept.Content.ReadAsStringAsync());
        Assert.NotNull(shown.QuerySelector("#kept"));
        var yours = shown.QuerySelectorAll("section[aria-label=Yours] h3").Select(h => h.TextContent).ToArray();
        Assert.Equal(["my-own font", "my-own font, centre line"], yours);
        var id = _site.Services.GetRequiredService<Dittany.Store.LetterShelf>().Now.Alphabets.First(a => a.Name == "my-own font").Id;
        using var job = Site.Json($$"""{"item":{"form":"tea-towel"},"elements":[{"kind":"text","text":"Max","alphabet":"{{id}}"}]}""");
        Assert.Equal(HttpStatusCode.OK, (await _browser.PostAsync("/api/plan", job)).StatusCode);
        foreach (var (bytes, told) in new[] { ("no font"u8.ToArray(), "no font"), (font[..600], "outside the file"),
            ([], "hardly any bytes") })
        {
            var refused = await Send(await Read("/letters"), "/letters?handler=Bring&Piece=", "font", "x.ttf", bytes);
            Assert.Equal(HttpStatusCode.UnprocessableEntity, refused.StatusCode);
            Assert.Contains(told, await refused.Content.ReadAsStringAsync(), StringComparison.Ordinal);
        }
    }

    /// <summary>A browser that leaves during an upload condemns no font, and twelve uploads of one font at once are one font.</summary>
    [Fact]
    public async Task A_font_is_condemned_only_where_it_ends_the_program()
    {
        using var stream = typeof(FontFile).Assembly.GetManifestResourceStream("Alphabets/slab")!;
        using var copy = new MemoryStream();
        await stream.CopyToAsync(copy);
        byte[] font = [.. copy.ToArray(), 9];
        await using (var scope = _site.Services.CreateAsyncScope())
        {
            using var left = new CancellationTokenSource();
            var adding = scope.ServiceProvider.GetRequiredService<Dittany.Store.LetterStore>().AddFont(font, "left.ttf", left.Token);
            await left.CancelAsync();
            var (id, fault) = await adding;
            Assert.NotNull(id);
            Assert.Null(fault);
        }

        await using (var scope = _site.Services.CreateAsyncScope())
        {
            Assert.DoesNotContain(scope.ServiceProvider.GetRequiredService<Dittany.Store.DittanyDb>().Fonts, f => f.Opening);
        }

        byte[] other = [.. copy.ToArray(), 11];
        var page = await Read("/letters");
        var answers = await Task.WhenAll(Enumerable.Range(0, 12).Select(_ =>
            Send(page, "/letters?handler=Bring&Piece=", "font", "twelve.ttf", other)));
        Assert.All(answers, a => Assert.Equal(HttpStatusCode.OK, a.StatusCode));
        Assert.Single(_site.Services.GetRequiredService<Dittany.Store.LetterShelf>().Now.Alphabets, a => a.Name == "twelve");
    }

    /// <summary>
    /// What is promised is taken: a file larger than the usual megabyte comes through, and one beyond its own limit is told so in a
    /// sentence.
    /// </summary>
    [Theory]
    [InlineData("/letters", "font", "x.ttf", 3, "no font")]
    [InlineData("/letters", "font", "x.ttf", 9, "and 8 is the most")]
    [InlineData("/motifs", "drawing", "x.svg", 3, "and 2 is the most")]
    public async Task Sizes_that_are_promised_are_taken(string address, string field, string name, int megabytes, string told)
    {
        var answer = await Send(await Read(address), $"{address}?handler=Bring&Piece=", field, name, new byte[(megabytes << 20) - 4096]);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, answer.StatusCode);
        Assert.Contains(told, await answer.Content.ReadAsStringAsync(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_motif_is_varied_put_on_a_piece_and_taken_away_again()
    {
        var piece = await Piece("Mia");
        var page = await Read($"/motifs?Piece={piece}");
        Assert.True(page.QuerySelectorAll(".motif-shelf li").Length >= 36);
        page = await Read($"/motifs?Motif=daisy&Piece={piece}&Parts=9&Arrangement=ring&Count=5");
        var put = page.QuerySelectorAll("form").Single(f => f.QuerySelector("#put") is not null).GetAttribute("action")!;
        Assert.Equal(HttpStatusCode.Redirect, (await Post(page, put)).StatusCode);
        var bench = await Read($"/bench/{piece}?Station=words");
        Assert.Contains("5 daisies", bench.QuerySelector("#slip-motif-arrangement\\:motif-1")!.TextContent, StringComparison.Ordinal);
        var away = bench.QuerySelectorAll("#slip-hands button").Single();
        var answer = await Post(bench, away.GetAttribute("formaction")!,
            ("from", bench.QuerySelector("#bench")!.GetAttribute("data-from")!), ("value", string.Empty));
        Assert.True(answer.StatusCode is HttpStatusCode.Redirect or HttpStatusCode.OK);
        Assert.Null((await Read($"/bench/{piece}?Station=words")).QuerySelector("#slip-motif-arrangement\\:motif-1"));

        // With the words it grows with them.
        await Post(page, put, ("with", "after"));
        Assert.Contains("daisy", (await Read($"/bench/{piece}?Station=words")).QuerySelector("#slip-words-motif")!.TextContent,
            StringComparison.OrdinalIgnoreCase);
    }

    [Fact]
    public async Task A_drawing_of_her_own_comes_in_with_a_report_and_goes_out_again()
    {
        var piece = await Piece("Mia");
        var page = await Read($"/motifs?Piece={piece}");
        var svg = ("<svg xmlns='http://www.w3.org/2000/svg' width='50mm' viewBox='0 0 50 50'><path d='M5 45C20 20 30 20 45 45' fill='none' "u8
            + "stroke='#000'/><circle cx='25' cy='12' r='8'/><text>x</text></svg>"u8).ToArray();
        var kept = new HtmlParser().ParseDocument(await (await Send(page, $"/motifs?handler=Bring&Piece={piece}", "drawing",
            "Hill_and_sun.svg", svg)).Content.ReadAsStringAsync());
        Assert.Contains("Not used of the file: letters.", kept.QuerySelector("#kept")!.TextContent, StringComparison.Ordinal);
        var put = kept.QuerySelectorAll("form").Single(f => f.QuerySelector("#put") is not null).GetAttribute("action")!;
        Assert.Equal(HttpStatusCode.Redirect, (await Post(kept, put)).StatusCode);
        Assert.Contains("Hill and sun", (await Read($"/bench/{piece}?Station=words")).QuerySelector("#slip-hands")!.TextContent,
            StringComparison.Ordinal);
        var out_ = await _browser.GetAsync(new Uri("/motifs/own-1.svg?take=true", UriKind.Relative));
        Assert.Equal(2, Formats.Drawings.SvgDrawing.Read(await out_.Content.ReadAsByteArrayAsync()).Figure!.Parts.Count);
        var refused = await Send(page, $"/motifs?handler=Bring&Piece={piece}", "drawing", "x.svg", "<!DOCTYPE svg><svg/>"u8.ToArray());
        Assert.Equal(HttpStatusCode.UnprocessableEntity, refused.StatusCode);
        Assert.Contains("document type", await refused.Content.ReadAsStringAsync(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_motif_alone_is_a_piece_with_sheets_and_no_words_to_read_back()
    {
        var page = await Read("/new");
        var made = await Post(page, "/new", ("Words", string.Empty), ("Motif", "bird"), ("Form", "tote"));
        Assert.Equal(HttpStatusCode.Redirect, made.StatusCode);
        var bench = await Read(made.Headers.Location!.ToString());
        Assert.Null(bench.QuerySelector("#words"));
        Assert.Contains("Height", bench.QuerySelector(".grow-form")!.TextContent, StringComparison.Ordinal);
        var sheets = await Read(made.Headers.Location!.ToString().Replace("bench", "sheets", StringComparison.Ordinal) + "?kind=cut-out");
        Assert.Null(sheets.QuerySelector("#proofed"));
        Assert.NotNull(sheets.QuerySelector(".leaf"));
    }

    [Fact]
    public async Task A_set_is_sized_together_and_made()
    {
        var page = await Read("/set?Names=Ida%0AMaximilian%0AZo%C3%AB&Form=christmas-stocking");
        Assert.Contains("Maximilian", page.QuerySelector("#governs h3")!.TextContent, StringComparison.Ordinal);
        Assert.Equal(3, page.QuerySelectorAll(".set-names li").Length);
        var made = await Post(page, "/set", ("Names", "Ida\nMaximilian\nZoë"), ("Form", "christmas-stocking"));
        Assert.Equal(HttpStatusCode.Redirect, made.StatusCode);
        Assert.Contains("Maximilian", (await Read("/")).Body!.TextContent, StringComparison.Ordinal);
        var faulty = await _browser.GetAsync(new Uri("/set?Names=Ida%0A%E6%97%A5&Form=christmas-stocking", UriKind.Relative));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, faulty.StatusCode);
        Assert.Contains("日", new HtmlParser().ParseDocument(await faulty.Content.ReadAsStringAsync()).QuerySelector(
            "#trouble")!.TextContent, StringComparison.Ordinal);
    }

    private async Task<int> Piece(string words)
    {
        var made = await Post(await Read("/new"), "/new", ("Words", words), ("Form", "tea-towel"));
        return int.Parse(made.Headers.Location!.ToString().Split('/')[2].Split('?')[0], System.Globalization.CultureInfo.InvariantCulture);
    }

    private async Task<IHtmlDocument> Read(string path) =>
        new HtmlParser().ParseDocument(await _browser.GetStringAsync(new Uri(path, UriKind.RelativeOrAbsolute)));

    private static string Token(IHtmlDocument page) => page.QuerySelector("input[name=__RequestVerificationToken]")!.GetAttribute("value")!;

    private async Task<HttpResponseMessage> Post(IHtmlDocument page, string to, params (string Name, string Value)[] fields)
    {
        using var form = new FormUrlEncodedContent(fields.Select(f =>
            KeyValuePair.Create(f.Name, f.Value)).Prepend(KeyValuePair.Create("__RequestVerificationToken", Token(page))));
        return await _browser.PostAsync(new Uri(to, UriKind.Relative), form);
    }

    private async Task<HttpResponseMessage> Send(IHtmlDocument page, string to, string field, string name, byte[] bytes)
    {
        using var form = new MultipartFormDataContent { { new StringContent(Token(page)), "__RequestVerificationToken" },
            { new ByteArrayContent(bytes), field, name } };
        return await _browser.PostAsync(new Uri(to, UriKind.Relative), form);
    }

    /// <summary>
    /// A hand is shown as it would be stitched: on the piece's cloth, in its thread, as high as asked, a millimetre as wide as a screen's
    /// own (96 px to the inch, CSS Values and Units 3).
    /// </summary>
    [Fact]
    public async Task Hands_are_shown_stitched_on_the_piece()
    {
        await using (var scope = _site.Services.CreateAsyncScope())
        {
            await scope.ServiceProvider.GetRequiredService<Dittany.Store.PieceStore>().Create(
                new Job("tea-towel", [new TextElement("name", "Mimi")], new DateOnly(2027, 3, 1),
                    Fabric: new FabricOverrides(Colour: "#20242c")), "New piece");
        }

        const int on = 1;
        var small = await _browser.GetStringAsync($"/letters/upright-hand.svg?text=Mimi&piece={on}&cap=10");
        var large = await _browser.GetStringAsync($"/letters/upright-hand.svg?text=Mimi&piece={on}&cap=20");
        Assert.Contains("#20242c", small, StringComparison.Ordinal);
        Assert.Contains("class=\"thread\"", small, StringComparison.Ordinal);
        Assert.InRange(Height(large) - Height(small), 0.9 * 10 * 96 / 25.4, 1.6 * 10 * 96 / 25.4);
        Assert.DoesNotContain("#20242c", await _browser.GetStringAsync("/letters/upright-hand.svg?text=Mimi"), StringComparison.Ordinal);

        static double Height(string svg) => double.Parse(System.Xml.Linq.XDocument.Parse(svg).Root!.Attribute("height")!.Value,
            System.Globalization.CultureInfo.InvariantCulture);
    }
}
