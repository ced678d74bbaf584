using System.Net;
using System.Net.Http.Headers;
using AngleSharp.Html.Dom;
using AngleSharp.Html.Parser;
using Dittany.Formats.Pictures;
using Dittany.Web.Tests.Setup;
using static Dittany.Web.Tests.Setup.Browsing;

namespace Dittany.Web.Tests.Pages;

/// <summary>The cupboard without scripts: searching, scaling, copying, measuring, files in and out, photographs.</summary>
public sealed class CupboardPageTests(Site site) : IClassFixture<Site>
{
    private readonly HttpClient _browser = site.Start();

    [Theory]
    [InlineData("collar", "Shirt", "Apron")]
    [InlineData("table", "Napkin", "Dress")]
    [InlineData("rucksack", "Backpack", "Tote")]
    [InlineData("terry", "Hand towel", "Napkin")]
    public async Task The_cupboard_is_searched(string words, string there, string notThere)
    {
        var page = await Read($"/cupboard?Q={words}");
        var names = page.QuerySelectorAll(".on-shelf strong").Select(e => e.TextContent).ToArray();
        Assert.Contains(there, names);
        Assert.DoesNotContain(notThere, names);
        Assert.Contains("Measure yours", (await Read("/cupboard?Q=zeppelin")).QuerySelector("#shelves")!.TextContent,
            StringComparison.Ordinal);
    }

    [Fact]
    public async Task Every_form_has_its_page_and_every_face()
    {
        foreach (var form in Core.Items.Catalogue.Forms)
        {
            foreach (var face in form.Build(form.Sizes[0]))
            {
                var page = await Read($"/cupboard/form/{form.Id}?face={face.Face.Id}&size={form.Sizes[0].Id}");
                Assert.NotNull(page.QuerySelector(".face-drawing"));
                Assert.Equal(face.Zones.Count, page.QuerySelectorAll(".face-drawing .zone").Length);
            }
        }

        Assert.Equal(HttpStatusCode.NotFound, (await _browser.GetAsync("/cupboard/form/hammock")).StatusCode);
    }

    /// <summary>Impossible numbers are told at their answer, and what was typed is kept.</summary>
    [Theory]
    [InlineData("Width=9", "Width", "out of reach")]
    [InlineData("Width=broad", "Width", "not a length")]
    [InlineData("Width=70&Height=30", "Height", "no shape")]
    public async Task Impossible_numbers_are_told(string query, string name, string said)
    {
        var answer = await _browser.GetAsync($"/cupboard/form/t-shirt-adult?{query}");
        Assert.Equal(HttpStatusCode.UnprocessableEntity, answer.StatusCode);
        var page = new HtmlParser().ParseDocument(await answer.Content.ReadAsStringAsync());
        Assert.Contains(said, page.QuerySelector(".trouble")!.TextContent, StringComparison.Ordinal);
        Assert.Equal("true", page.QuerySelector($"input[name={name}]")!.GetAttribute("aria-invalid"));
        Assert.NotEmpty(page.QuerySelector($"input[name={name}]")!.GetAttribute("value")!);
    }

    /// <summary>
    /// A form is copied, changed, taken out as a file, brought in again, put away, and stands in the piece that was begun on it as it was
    /// then.
    /// </summary>
    [Fact]
    public async Task An_own_form_from_copy_to_file()
    {
        var copied = await PostForm(_browser, "/cupboard/form/tote", "/cupboard/form/tote?handler=Copy&size=38x42");
        Assert.Equal(HttpStatusCode.Redirect, copied.StatusCode);
        var path = copied.Headers.Location!.ToString().Split('?')[0];
        var page = await Read(path);
        var made = await PostForm(_browser, "/new", "/new", ("Words", "Mimi"), ("Form", "own-my-tote"), ("Colour", ""));
        Assert.Equal(HttpStatusCode.Redirect, made.StatusCode);

        var fields = Fields(page, ("Name", "The <b>bag</b>"), ("Colour", "#27303a"));
        var kept = await PostForm(_browser, path, path, fields);
        Assert.Equal(HttpStatusCode.Redirect, kept.StatusCode);
        Assert.Contains("&lt;b&gt;bag", await _browser.GetStringAsync(path), StringComparison.Ordinal);

        // The same page once more: it was changed in the meantime, and nothing is lost.
        var late = await PostForm(_browser, path, path, Fields(page, ("Name", "Late")));
        Assert.Equal(HttpStatusCode.Conflict, late.StatusCode);
        Assert.Contains("value=\"Late\"", await late.Content.ReadAsStringAsync(), StringComparison.Ordinal);

        var plan = await Site.Read(await _browser.GetAsync("/api/pieces/1/plan"));
        Assert.NotEqual("#27303a", plan.GetProperty("item").GetProperty("fabric").GetProperty("colour").GetString());

        var file = await _browser.GetAsync($"{path}?handler=File");
        Assert.Equal("application/json", file.Content.Headers.ContentType!.MediaType);
        var json = await file.Content.ReadAsStringAsync();
        var brought = await PostForm(_browser, "/cupboard", "/cupboard?handler=Import", ("Json", json));
        Assert.Equal(HttpStatusCode.Redirect, brought.StatusCode);
        Assert.NotEqual(path, brought.Headers.Location!.ToString());
        var refused = await PostForm(_browser, "/cupboard", "/cupboard?handler=Import",
            ("Json", json.Replace("\"zones\"", "\"zoned\"", StringComparison.Ordinal)));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, refused.StatusCode);
        Assert.Contains("zoned", new HtmlParser().ParseDocument(await refused.Content.ReadAsStringAsync()).QuerySelector(
            "#json")!.TextContent, StringComparison.Ordinal);

        await PostForm(_browser, path, $"{path}?handler=Archive&away=true");
        Assert.DoesNotContain((await Read("/cupboard")).QuerySelectorAll(".on-shelf a"), a => a.GetAttribute("href") == path);
        Assert.Contains((await Read("/cupboard?Away=true")).QuerySelectorAll(".on-shelf a"), a => a.GetAttribute("href") == path);
    }

    /// <summary>
    /// A thing with a front gets a back, seen from behind; what is typed is kept when another side is looked at, or told of and kept where
    /// it cannot be; a side is folded over, taken out, and brought back by undo.
    /// </summary>
    [Fact]
    public async Task An_own_form_has_sides()
    {
        var made = await PostForm(_browser, "/cupboard/measure", "/cupboard/measure?Shape=trapezoid", ("Numbers[top]", "20"),
            ("Numbers[bottom]", "40"), ("Numbers[height]", "30"), ("Numbers[hem]", "1"), ("Name", "Pinny"));
        var path = made.Headers.Location!.ToString();
        var more = await PostForm(_browser, path, $"{path}?handler=MoreSide", Fields(await Read(path), ("SideName", "Chest side")));
        Assert.Equal($"{path}?face=back", more.Headers.Location!.ToString());
        var back = await Read($"{path}?face=back");
        Assert.Equal(["Chest side", "Back"], back.QuerySelectorAll(
            ".faces-nav button[aria-current], .faces-nav button[formaction*=Side][formaction*=to]").Select(b =>
            b.TextContent.Trim()).Distinct());
        Assert.Equal("Back", back.QuerySelector(".faces-nav [aria-current=true]")!.TextContent.Trim());

        // What cannot be on this side is told here, typed things stay, and the other side is not gone to.
        var wrong = await PostForm(_browser, path, $"{path}?handler=Side&to=front",
            Fields(back, ("Outline", "0,0\n100,100\n100,0\n0,100")));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, wrong.StatusCode);
        var told = new HtmlParser().ParseDocument(await wrong.Content.ReadAsStringAsync());
        Assert.Contains("crosses itself", told.QuerySelector(".trouble")!.TextContent, StringComparison.Ordinal);
        Assert.Equal("true", told.QuerySelector("textarea[name=Outline]")!.GetAttribute("aria-invalid"));
        Assert.Equal("Back", told.QuerySelector(".faces-nav [aria-current=true]")!.TextContent.Trim());

        var kept = await PostForm(_browser, path, $"{path}?handler=Side&to=front",
            Fields(back, ("Folded", "bottom"), ("Zones[0].Name", "turned-up hem")));
        Assert.Equal($"{path}?face=front", kept.Headers.Location!.ToString());
        back = await Read($"{path}?face=back");
        Assert.Contains("fold at the lower edge", back.QuerySelector(".folded")!.TextContent, StringComparison.Ordinal);
        Assert.Equal("turned-up hem", back.QuerySelector("input[name='Zones[0].Name']")!.GetAttribute("value"));
        Assert.Null((await Read(path)).QuerySelector(".folded"));

        // Looking at another side and changing nothing is no revision: undo still takes back the fold.
        await PostForm(_browser, path, $"{path}?handler=Side&to=back", Fields(await Read(path)));
        await PostForm(_browser, path, $"{path}?handler=Undo", ("Face", "back"));
        Assert.Null((await Read($"{path}?face=back")).QuerySelector(".folded"));
        await PostForm(_browser, path, $"{path}?handler=Redo", ("Face", "back"));
        Assert.NotNull((await Read($"{path}?face=back")).QuerySelector(".folded"));

        // A piece goes on the back, and is planned as it is folded.
        var piece = await PostForm(_browser, "/new", "/new", ("Words", "Ola"), ("Form", "own-pinny"), ("Colour", ""));
        Assert.Equal(HttpStatusCode.Redirect, piece.StatusCode);
        var taken = await PostForm(_browser, path, $"{path}?handler=LessSide", Fields(await Read($"{path}?face=back")));
        Assert.Equal(path, taken.Headers.Location!.ToString());
        Assert.Empty((await Read(path)).QuerySelectorAll("#less-side"));

        // The page of a side that is gone keeps nothing over another side.
        var gone = await PostForm(_browser, path, path, Fields(back, ("Zones[0].Name", "lost")));
        Assert.Equal(HttpStatusCode.Conflict, gone.StatusCode);
        var page = new HtmlParser().ParseDocument(await gone.Content.ReadAsStringAsync());
        Assert.Contains("taken out somewhere else", page.QuerySelector(".trouble")!.TextContent, StringComparison.Ordinal);
        Assert.Equal("lost", page.QuerySelector("input[name='Zones[0].Name']")!.GetAttribute("value"));
        Assert.DoesNotContain("lost", await _browser.GetStringAsync(path), StringComparison.Ordinal);
    }

    /// <summary>A photograph becomes one more side of a thing she has, with its own picture.</summary>
    [Fact]
    public async Task A_photograph_is_one_more_side()
    {
        var made = await PostForm(_browser, "/cupboard/measure", "/cupboard/measure?Shape=rectangle", ("Numbers[width]", "30"),
            ("Numbers[height]", "36"), ("Name", "Bag"));
        var path = made.Headers.Location!.ToString();
        Assert.Contains("one more side of Bag", (await Read("/cupboard/photograph?For=own-bag")).QuerySelector(".page")!.TextContent,
            StringComparison.Ordinal);
        var scene = MadeUpCamera.All.Single(s => s.Id == "bag-card");
        var taken = (await PostForm(_browser, "/cupboard/photograph", "/cupboard/photograph?For=own-bag&handler=MadeUp",
            ("scene", scene.Id))).Headers.Location!.ToString();
        var corners = MadeUpCamera.CornersOf(scene).SelectMany(c =>
            new[] { ("X", c.X.ToString(System.Globalization.CultureInfo.InvariantCulture)),
            ("Y", c.Y.ToString(System.Globalization.CultureInfo.InvariantCulture)) });
        await PostForm(_browser, taken, taken, [("Reference", "id-1"), .. corners]);
        await Until(async () => (await Read(taken)).QuerySelector("#trace") is not null);
        var traced = await PostForm(_browser, taken, $"{taken}?handler=Trace");
        Assert.Equal($"{path}?face=back", traced.Headers.Location!.ToString());
        var back = await Read($"{path}?face=back");
        Assert.NotNull(back.QuerySelector("#trace-frame image"));
        Assert.Null((await Read(path)).QuerySelector("#trace-frame image"));
    }

    /// <summary>
    /// Zones outside, outlines that cross, words for numbers: told at their place, all typed kept, the drawing that of before.
    /// </summary>
    [Theory]
    [InlineData("Outline", "0,0\n100,100\n100,0\n0,100", "crosses itself")]
    [InlineData("Outline", "0,0\nwide,100\n100,0", "is no number")]
    [InlineData("Zones[0].Points", "400 400 10 10", "outside the item")]
    [InlineData("Zones[0].Edge", "much", "no number of mm")]
    [InlineData("Opening", "narrow", "not a length")]
    [InlineData("Name", "", "no name")]
    public async Task What_cannot_be_is_told_and_kept(string field, string value, string said)
    {
        var made = await PostForm(_browser, "/cupboard/measure", "/cupboard/measure?Shape=rectangle", ("Numbers[width]", "30"),
            ("Numbers[height]", "20"), ("Name", "Cloth"));
        var path = made.Headers.Location!.ToString();
        var answer = await PostForm(_browser, path, path, Fields(await Read(path), (field, value)));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, answer.StatusCode);
        var page = new HtmlParser().ParseDocument(await answer.Content.ReadAsStringAsync());
        Assert.Contains(said, page.QuerySelector(".trouble")!.TextContent, StringComparison.Ordinal);
        var typed = page.QuerySelectorAll("input, textarea").First(e => e.GetAttribute("name") == field);
        Assert.Equal(value, (typed is IHtmlTextAreaElement area ? area.TextContent : typed.GetAttribute("value")
            ?? string.Empty).ReplaceLineEndings("\n"));
        Assert.NotNull(page.QuerySelector(".face-drawing"));
    }

    /// <summary>Pictures that are none, broken or too large are told of; four corners in a line too; nothing is lost.</summary>
    [Fact]
    public async Task Photographs_that_cannot_be_are_told()
    {
        async Task<HttpResponseMessage> Send(byte[] bytes)
        {
            var page = await Read("/cupboard/photograph");
            using var form = new MultipartFormDataContent
            {
                { new StringContent(page.QuerySelector("input[name=__RequestVerificationToken]")!.GetAttribute("value")!),
                    "__RequestVerificationToken" },
            };
            var file = new ByteArrayContent(bytes);
            file.Headers.ContentType = new MediaTypeHeaderValue("image/jpeg");
            form.Add(file, "picture", "photo.jpg");
            return await _browser.PostAsync("/cupboard/photograph", form);
        }

        foreach (var (bytes, said) in new (byte[], string)[] { ("nothing of a picture"u8.ToArray(), "no picture"), ([], "No picture"),
            (new byte[PictureFile.MostBytes + 10], "25 MB") })
        {
            var answer = await Send(bytes);
            Assert.Equal(HttpStatusCode.UnprocessableEntity, answer.StatusCode);
            Assert.Contains(said, await answer.Content.ReadAsStringAsync(), StringComparison.Ordinal);
        }

        var taken = await Send(MadeUpCamera.Render(MadeUpCamera.All.Single(s => s.Id == "bag-far")));
        Assert.Equal(HttpStatusCode.Redirect, taken.StatusCode);
        var path = taken.Headers.Location!.ToString();
        var line = await PostForm(_browser, path, path, ("Reference", "id-1"), ("X", "10"), ("Y", "10"), ("X", "20"), ("Y", "20"),
            ("X", "30"), ("Y", "30"), ("X", "40"), ("Y", "40"));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, line.StatusCode);
        var told = new HtmlParser().ParseDocument(await line.Content.ReadAsStringAsync());
        Assert.Contains("do not go round a card", told.QuerySelector(".trouble")!.TextContent, StringComparison.Ordinal);
        Assert.Equal(["10", "20", "30", "40"], told.QuerySelectorAll("input[name=X]").Select(e => e.GetAttribute("value")));
        var picture = await _browser.GetAsync(told.QuerySelector("#photo")!.GetAttribute("src"));
        Assert.Equal("image/jpeg", picture.Content.Headers.ContentType!.MediaType);
        Assert.Equal(HttpStatusCode.NotFound, (await _browser.GetAsync($"/pictures/{new string('0', 64)}")).StatusCode);
    }

    [Fact]
    public async Task Which_cloth_it_is_can_be_found_by_hand()
    {
        var page = await Read("/cupboard/cloth?A[water]=bead");
        Assert.Equal("Coated canvas", page.QuerySelector(".guesses strong")!.TextContent);
        Assert.Contains("support", (await Read("/cupboard/cloth?A[stretch]=much")).QuerySelector(".guesses")!.TextContent,
            StringComparison.Ordinal);
    }

    private async Task<IHtmlDocument> Read(string path) => new HtmlParser().ParseDocument(await _browser.GetStringAsync(path));

    /// <summary>All the page's fields as a browser would send them, some of them changed.</summary>
    private static (string, string)[] Fields(IHtmlDocument page, params (string Name, string Value)[] changed)
    {
        var fields = new List<(string, string)>();
        foreach (var e in page.QuerySelectorAll("#own-form input, #own-form textarea, #own-form select"))
        {
            var name = e.GetAttribute("name");
            if (name is null or "__RequestVerificationToken" || (e is IHtmlInputElement { Type: "checkbox" or "radio" } box
                && !box.IsChecked))
            {
                continue;
            }

            var value = e switch
            {
                IHtmlTextAreaElement area => area.TextContent,
                IHtmlSelectElement select => select.Value,
                _ =>
                e.GetAttribute("value") ?? string.Empty
            };
            fields.Add((name, changed.FirstOrDefault(c => c.Name == name).Value ?? value!));
        }

        return [.. fields];
    }
}
