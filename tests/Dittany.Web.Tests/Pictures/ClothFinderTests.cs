using System.Net;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Planning;
using Dittany.Formats.Pictures;
using Dittany.Store;
using Dittany.Web.Tests.Setup;
using Microsoft.Extensions.DependencyInjection;
using SkiaSharp;
using static Dittany.Web.Tests.Setup.Browsing;

namespace Dittany.Web.Tests.Pictures;

/// <summary>Cloth read from a photograph of it, and the plan and the drawing that go by it.</summary>
public class ClothFinderTests
{
    /// <summary>A picture of one colour with so many squares of another, as PNG.</summary>
    private static byte[] Squares(SKColor ground, SKColor print, double share)
    {
        using var bitmap = new SKBitmap(600, 400);
        using var canvas = new SKCanvas(bitmap);
        canvas.Clear(ground);
        using var paint = new SKPaint { Color = print, IsAntialias = false };
        var side = (float)(100 * Math.Sqrt(share));
        for (var x = 0; x < 600; x += 100)
        {
            for (var y = 0; y < 400; y += 100)
            {
                canvas.DrawRect(x + 10, y + 10, side, side, paint);
            }
        }

        return bitmap.Encode(SKEncodedImageFormat.Png, 100).ToArray();
    }

    /// <summary>
    /// Plain cloth is its colour and not busy; half and half it is the mean of the light of both (sRGB, IEC 61966-2-1) and as dark and as
    /// light as they are; a few specks are no print.
    /// </summary>
    [Fact]
    public void Colour_and_print_are_read()
    {
        var (indigo, cream) = (new SKColor(38, 44, 70), new SKColor(226, 214, 190));
        var plain = ClothFinder.Of(Squares(indigo, indigo, 0), 300)!;
        Assert.Equal((38, 44, 70, false), (plain.Colour.R, plain.Colour.G, plain.Colour.B, plain.Busy));
        Assert.Equal(200, plain.HighMm);

        var half = ClothFinder.Of(Squares(indigo, cream, 0.5), 300)!;
        Assert.True(half.Busy);
        Assert.Equal(new Colour(38, 44, 70).ToLab().L, half.DarkL, 0);
        Assert.Equal(new Colour(226, 214, 190).ToLab().L, half.LightL, 0);
        Assert.InRange(half.Colour.R, 160, 172);

        var specks = ClothFinder.Of(Squares(indigo, cream, 0.01), 300)!;
        Assert.False(specks.Busy);
        Assert.Null(ClothFinder.Of([1, 2, 3], 300));
    }

    /// <summary>
    /// Which threads show goes by all of a print: dark and light parts leave none, and it is said; on a dark print a light thread reads.
    /// </summary>
    [Fact]
    public void Threads_show_by_all_of_the_print()
    {
        Plan On(double dark, double light) => Planner.Make(new Job("tote", [new TextElement("name", "Otto")], new DateOnly(2027, 3, 1),
            Fabric: new Core.Items.FabricOverrides(Colour: "#514d56", Busy: true) { Print = new ClothPrint("x", 150, 100, dark, light) }), Workshop.Default,
            Core.Words.Library.Ours);
        var night = On(15, 40);
        Assert.DoesNotContain(night.Elements[0].Concerns, c => c.What == "does-not-show");
        Assert.Contains(night.Decision("thread.colour")!.Because, b => b.Contains("lighter than all of your print", StringComparison.Ordinal));
        var both = On(5, 97);
        var concern = both.Elements[0].Concerns.Single(c => c.What == "does-not-show");
        Assert.Contains("as light as parts of your print", concern.Text, StringComparison.Ordinal);
        Assert.Empty(concern.Remedies);
    }

    /// <summary>
    /// A photograph is taken in for a piece: its print lies under the drawing in its true size, colour and busyness are hers, and it can be
    /// taken off again; what cannot be read is told, with what was typed.
    /// </summary>
    [Fact]
    public async Task A_photograph_goes_under_the_drawing()
    {
        using var site = new Site();
        using var browser = site.Start();
        var made = await PostForm(browser, "/new", "/new", ("Words", "Otto"), ("Form", "tote"));
        var id = made.Headers.Location!.ToString().Split('/')[^1];
        var address = $"/cupboard/print/{id}";
        async Task<HttpResponseMessage> Send(string wide, byte[]? picture)
        {
            var page = new AngleSharp.Html.Parser.HtmlParser().ParseDocument(await browser.GetStringAsync(address));
            using var form = new MultipartFormDataContent { { new StringContent(page.QuerySelector("input[name=__RequestVerificationToken]")!.GetAttribute("value")!), "__RequestVerificationToken" }, { new StringContent(wide), "wide" } };
            if (picture is not null)
            {
                form.Add(new ByteArrayContent(picture), "picture", "cloth.png");
            }

            return await browser.PostAsync(address, form);
        }

        var cloth = Squares(new SKColor(38, 44, 70), new SKColor(150, 60, 70), 0.3);
        var unread = await Send("a hand", cloth);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, unread.StatusCode);
        Assert.Contains("value=\"a hand\"", await unread.Content.ReadAsStringAsync(), StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await Send("15 cm", null)).StatusCode);
        Assert.Equal(HttpStatusCode.Redirect, (await Send("15 cm", cloth)).StatusCode);
        var bench = await browser.GetStringAsync($"/bench/{id}");
        Assert.Contains("<pattern id=\"own-print\" width=\"150\" height=\"100\"", bench, StringComparison.Ordinal);
        var picture = System.Text.RegularExpressions.Regex.Match(bench, "/pictures/[0-9a-f]{64}", default, TimeSpan.FromSeconds(1)).Value;
        Assert.Equal(HttpStatusCode.OK, (await browser.GetAsync(picture)).StatusCode);
        await PostForm(browser, address, $"{address}?handler=Away");
        using var scope = site.Services.CreateScope();
        var job = (await scope.ServiceProvider.GetRequiredService<PieceStore>()
            .Find(int.Parse(id, System.Globalization.CultureInfo.InvariantCulture)))!.Job;
        Assert.Null(job.Fabric!.Print);
        Assert.NotNull(job.Fabric.Colour);
        Assert.Equal(HttpStatusCode.NotFound, (await browser.GetAsync("/cupboard/print/999")).StatusCode);
    }
}
