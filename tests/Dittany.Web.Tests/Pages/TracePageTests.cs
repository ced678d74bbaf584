using System.Globalization;
using System.Net;
using AngleSharp.Html.Dom;
using AngleSharp.Html.Parser;
using Dittany.Formats.Pictures;
using Dittany.Web.Tests.Setup;
using SkiaSharp;

namespace Dittany.Web.Tests.Pages;

/// <summary>
/// A drawing traced over a picture, without scripts: every change a revision, everything typed kept, and put on a piece as large as it was
/// traced.
/// </summary>
public sealed class TracePageTests(Site site) : IClassFixture<Site>
{
    private readonly HttpClient _browser = site.Start();

    [Fact]
    public async Task Lines_are_typed_widened_undone_and_put_on_a_piece()
    {
        var begun = await Upload("Wren", "150 mm", MadeUpSketch.Render());
        Assert.Equal("/motifs/trace/1", begun.Headers.Location!.ToString());
        Assert.Contains("Go on with “Wren”", (await Read("/motifs")).Body!.TextContent, StringComparison.Ordinal);

        // A line drawn in one go, as the script sends it; then one more to be typed.
        var page = await Read("/motifs/trace/1");
        Assert.Contains("Nothing is traced yet", page.Body!.TextContent, StringComparison.Ordinal);
        var ring = string.Join(' ', Enumerable.Range(0, 80).Select(i =>
            string.Create(CultureInfo.InvariantCulture,
            $"{60 + (20 * Math.Cos(i * Math.Tau / 80)):0.##},{50 + (20 * Math.Sin(i * Math.Tau / 80)):0.##}")));
        Assert.Equal(HttpStatusCode.Redirect, (await Post("Drawn", page, ("Pen", "petal"), ("Drawn", $"{ring}|90,90"))).StatusCode);
        page = await Read("/motifs/trace/1");
        Assert.Equal(2, page.QuerySelectorAll(".sketch-line").Length);
        Assert.Equal(2, page.QuerySelectorAll("#sketch-frame path[fill=none], #sketch-frame circle").Length);
        Assert.Matches("^2 lines, (49.9|50)", page.QuerySelector("#traced-size")!.TextContent);
        var before = (await Read("/motifs/trace")).QuerySelector(".traced-before a")!;
        Assert.Equal(("/motifs/trace/1", "Wren 2 lines"),
            (before.GetAttribute("href"), string.Join(' ',
            before.TextContent.Split(default(char[]), StringSplitOptions.RemoveEmptyEntries))));

        // What cannot be read is told by its line, the rest stays as typed, and nothing is kept.
        var wrong = await Post("Keep", page, ("Lines[1].Points", "20, 80\nthere"));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, wrong.StatusCode);
        var told = new HtmlParser().ParseDocument(await wrong.Content.ReadAsStringAsync());
        Assert.Contains("Line 2 of the drawing: Line 2: “there”", told.QuerySelector("#trouble")!.TextContent, StringComparison.Ordinal);
        Assert.Equal("20, 80\nthere", told.QuerySelector("textarea[name='Lines[1].Points']")!.TextContent.ReplaceLineEndings("\n"));
        Assert.Equal(HttpStatusCode.Redirect, (await Post("Keep", page, ("Lines[1].Role", "stem"),
            ("Lines[1].Points", "60, 70\n62, 80 corner\n60, 95"))).StatusCode);

        // From a page that shows an older state nothing is stored.
        var late = await Post("Keep", page, ("Name", "Robin"));
        Assert.Equal(HttpStatusCode.Conflict, late.StatusCode);
        Assert.Contains("changed somewhere else", await late.Content.ReadAsStringAsync(), StringComparison.Ordinal);

        page = await Read("/motifs/trace/1");
        Assert.Equal(HttpStatusCode.Redirect, (await Post("Widen", page, ("Width", "30 cm"))).StatusCode);
        Assert.Matches("^2 lines, (79.[89] mm|8 cm|80)", (await Read("/motifs/trace/1")).QuerySelector("#traced-size")!.TextContent);
        await Post("Step&back=true", await Read("/motifs/trace/1"));
        page = await Read("/motifs/trace/1");
        Assert.Matches("^2 lines, (39.9 mm|4 cm|40)", page.QuerySelector("#traced-size")!.TextContent);
        Assert.False(page.QuerySelector("#redo")!.HasAttribute("disabled"));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await Post("Widen", page, ("Width", "wide"))).StatusCode);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await Post("Widen", page, ("Width", "9 m"))).StatusCode);
        Assert.Equal(HttpStatusCode.Redirect, (await Post("TakeOut&line=1", page)).StatusCode);
        Assert.Single((await Read("/motifs/trace/1")).QuerySelectorAll(".sketch-line"));
        await Post("Step&back=true", await Read("/motifs/trace/1"));

        // As large on the piece as on its picture: 20 mm round, and 45 high with its stem.
        var made = await Send("/new", "/new", ("Words", "Mia"), ("Form", "tea-towel"));
        var piece = made.Headers.Location!.ToString().Split('/')[2].Split('?')[0];
        var motif = await Read($"/motifs?Motif=own-1&Piece={piece}");
        Assert.NotNull(motif.QuerySelector("#trace-on"));
        var put = motif.QuerySelectorAll("form").Single(f => f.QuerySelector("#put") is not null).GetAttribute("action")!;
        Assert.Equal(HttpStatusCode.Redirect, (await Send($"/motifs?Motif=own-1&Piece={piece}", put, ("asTraced", "true"))).StatusCode);
        var plan = await Site.Read(await _browser.GetAsync(new Uri($"/api/pieces/{piece}/plan", UriKind.Relative)));
        var drawn = plan.GetProperty("elements")[1];
        Assert.Equal("Wren", drawn.GetProperty("text").GetString());
        Assert.Equal(65, drawn.GetProperty("boxMm").GetProperty("height").GetDouble(), 2.0);
    }

    [Fact]
    public async Task Pictures_that_cannot_be_traced_are_refused_and_what_was_typed_stays()
    {
        foreach (var (bytes, width, told) in new (byte[], string, string)[]
        {
            ([], "150 mm", "No picture was chosen"),
            ("no picture"u8.ToArray(), "150 mm", "no picture we can read"),
            (MadeUpSketch.Render()[..4000], "150 mm", "damaged"),
            (MadeUpSketch.Render(), string.Empty, "left empty"),
            (MadeUpSketch.Render(), "broad", "is not a length"),
            (MadeUpSketch.Render(), "4 mm", "no sheet of paper"),
        })
        {
            var answer = await Upload("Robin & Co", width, bytes);
            Assert.Equal(HttpStatusCode.UnprocessableEntity, answer.StatusCode);
            var page = new HtmlParser().ParseDocument(await answer.Content.ReadAsStringAsync());
            Assert.Contains(told, page.QuerySelector("#trouble")!.TextContent, StringComparison.Ordinal);
            Assert.Equal(("Robin & Co", width), (page.QuerySelector("#name")!.GetAttribute("value"),
                page.QuerySelector("#width")!.GetAttribute("value") ?? string.Empty));
        }

        Assert.Equal(HttpStatusCode.NotFound, (await _browser.GetAsync(new Uri("/motifs/trace/9", UriKind.Relative))).StatusCode);
    }

    /// <summary>The made-up sketch is true to scale: every line it was drawn from lies on dark pixels, and its ground is pale.</summary>
    [Fact]
    public void The_sketch_shows_its_lines_where_they_are()
    {
        using var picture = SKBitmap.Decode(MadeUpSketch.Render());
        double Dark(double x, double y) => 1 - (picture.GetPixel((int)(x * picture.Width / MadeUpSketch.WidthMm),
            (int)(y * picture.Height / MadeUpSketch.HeightMm)).Green / 255.0);
        Assert.All(MadeUpSketch.Lines.Parts.Where(p => p.Kind != Core.Geometry.FigureKind.Dot).SelectMany(p => p.Line), p =>
            Assert.True(Dark(p.X, p.Y) > 0.4));
        Assert.True(Dark(4, 4) < 0.1 && Dark(60, 60) < 0.1);
    }

    private async Task<IHtmlDocument> Read(string path) =>
        new HtmlParser().ParseDocument(await _browser.GetStringAsync(new Uri(path, UriKind.Relative)));

    private static string Token(IHtmlDocument page) => page.QuerySelector("input[name=__RequestVerificationToken]")!.GetAttribute("value")!;

    /// <summary>Sends the page's own form with some of it changed.</summary>
    private async Task<HttpResponseMessage> Post(string handler, IHtmlDocument page, params (string Name, string Value)[] changed)
    {
        var fields = page.QuerySelectorAll("#sketch input, #sketch select, #sketch textarea").Where(e => e.GetAttribute("type")
            is not ("radio" or "checkbox") || e.HasAttribute("checked"))
            .GroupBy(e => e.GetAttribute("name")!, StringComparer.Ordinal)
            .ToDictionary(g => g.Key, g => g.First() is IHtmlSelectElement s ? s.Value : g.First() is IHtmlTextAreaElement t ? t.Value
                : g.First().GetAttribute("value") ?? string.Empty, StringComparer.Ordinal);
        foreach (var (name, value) in changed)
        {
            fields[name] = value;
        }

        using var form = new FormUrlEncodedContent(fields);
        return await _browser.PostAsync(new Uri($"/motifs/trace/1?handler={handler}", UriKind.Relative), form);
    }

    private async Task<HttpResponseMessage> Send(string from, string to, params (string Name, string Value)[] fields)
    {
        using var form = new FormUrlEncodedContent(fields.Select(f =>
            KeyValuePair.Create(f.Name, f.Value)).Prepend(KeyValuePair.Create("__RequestVerificationToken", Token(await Read(from)))));
        return await _browser.PostAsync(new Uri(to, UriKind.Relative), form);
    }

    private async Task<HttpResponseMessage> Upload(string name, string width, byte[] bytes)
    {
        using var form = new MultipartFormDataContent
        {
            { new StringContent(Token(await Read("/motifs/trace"))), "__RequestVerificationToken" }, { new StringContent(name), "Name" },
                { new StringContent(width), "Width" }, { new ByteArrayContent(bytes), "picture", "sketch.jpg" },
        };
        return await _browser.PostAsync(new Uri("/motifs/trace", UriKind.Relative), form);
    }
}
