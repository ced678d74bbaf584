using System.Net;
using AngleSharp.Html.Parser;
using Dittany.Force;

namespace Dittany.Web.Tests.Setup;

/// <summary>
/// The real program on a machine of another country: German writes a point for thousands and a comma for decimals, Turkish has two letters
/// i. What browsers send is the same everywhere (HTML Living Standard, floating-point numbers), and so is what is made of it.
/// </summary>
public sealed class CultureTests
{
    [Theory]
    [InlineData("de_DE.UTF-8")]
    [InlineData("tr_TR.UTF-8")]
    public async Task Pages_read_and_write_numbers_alike_everywhere(string culture)
    {
        using var program = new Attacked(Directory.CreateTempSubdirectory("dittany-culture-").FullName);
        program.Begin(("LC_ALL", culture), ("LANG", culture), ("TZ", "Pacific/Kiritimati"), ("DITTANY_WARM_UP", "no"));
        Assert.True(await program.Up());
        using var client = Sending.ClientOf(program.Url);
        var token = await Sending.Token(client, "/new");
        var bench = await Posted("/new", ("Words", "Iris"), ("Form", "tea-towel"), ("Day", "14.3."));
        await Posted($"{bench}?handler=Put", ("from", "1"), ("x", "250.5"), ("y", "500.25"), ("within", "0"));
        await Posted($"/motifs?handler=Put&piece={bench.Split('/')[^1]}&motif=leaf-sprig&lean=12.5", []);
        var written = await client.GetStringAsync(new Uri($"/pieces/{bench.Split('/')[^1]}.json", UriKind.Relative));
        Assert.Contains("250.5", written, StringComparison.Ordinal);
        Assert.Contains("500.25", written, StringComparison.Ordinal);
        Assert.Contains("12.5", written, StringComparison.Ordinal);
        var page = new HtmlParser().ParseDocument(await client.GetStringAsync(new Uri(bench, UriKind.Relative)));
        Assert.Equal("250.5", page.QuerySelector(".words")!.GetAttribute("data-x"));
        Assert.All(page.QuerySelectorAll("path[d]"), p =>
            Assert.DoesNotContain(",", p.GetAttribute("d")!.Replace(", ", " ", StringComparison.Ordinal), StringComparison.Ordinal));

        // The plan made there, in another language and time zone, is the same to the byte.
        var job = new Core.Jobs.Job("tea-towel", [new Core.Jobs.TextElement("name", "Iğdır & Jo")], new DateOnly(2027, 3, 1),
            DueOn: new DateOnly(2027, 3, 20));
        using var body = Site.Json(Formats.Json.JobJson.Write(job));
        using var theirs = await client.PostAsync(new Uri("/api/plan", UriKind.Relative), body);
        var shop = Core.Jobs.Workshop.Default;
        Assert.Equal(Formats.Json.PlanJson.Write(job, shop,
            Core.Planning.Planner.Make(job, shop, Formats.Alphabets.ShippedAlphabets.Library)),
            await theirs.Content.ReadAsByteArrayAsync());

        async Task<string> Posted(string address, params (string, string)[] fields)
        {
            using var answer = await client.SendAsync(Sending.Post(address, [("__RequestVerificationToken", token), .. fields]));
            Assert.Equal(HttpStatusCode.Redirect, answer.StatusCode);
            return answer.Headers.Location!.ToString();
        }
    }
}
