using System.Globalization;
using System.Net;
using AngleSharp.Html.Dom;
using AngleSharp.Html.Parser;
using Dittany.Core.Decisions;
using Dittany.Core.Jobs;
using Dittany.Store;
using Dittany.Web.Tests.Setup;
using Microsoft.Extensions.DependencyInjection;
using static Dittany.Web.Tests.Setup.Browsing;

namespace Dittany.Web.Tests.Pages;

/// <summary>Two ways of one piece beside each other, and what would let in what is ruled out.</summary>
public sealed class ComparePageTests(Site site) : IClassFixture<Site>
{
    private readonly Site _site = site;
    private readonly HttpClient _browser = site.Start();

    private async Task<IHtmlDocument> Read(string address) => new HtmlParser().ParseDocument(await _browser.GetStringAsync(address));

    private async Task<string> Made(string form)
    {
        var made = await PostForm(_browser, "/new", "/new", ("Words", "Ida"), ("Form", form));
        return made.Headers.Location!.ToString().Split('/')[^1];
    }

    private async Task<Job> Job(string id)
    {
        using var scope = _site.Services.CreateScope();
        return (await scope.ServiceProvider.GetRequiredService<PieceStore>().Find(int.Parse(id, CultureInfo.InvariantCulture)))!.Job;
    }

    /// <summary>
    /// From a slip the other way is laid beside what is planned, line by line, and looking changes nothing; taken, it is planned.
    /// </summary>
    [Fact]
    public async Task Another_way_is_laid_beside_it_and_taken()
    {
        var id = await Made("tea-towel");
        var before = await Job(id);
        var bench = await Read($"/bench/{id}?Station=hoop");
        var link = bench.QuerySelectorAll("a[href^='/compare/']").Select(a => a.GetAttribute("href")!).First(h => h.Contains("hoop.school", StringComparison.Ordinal)
            && h.Contains("in-hand", StringComparison.Ordinal));
        var page = await Read(link);
        Assert.True(page.QuerySelectorAll("#compared tbody tr").Length >= 7);
        Assert.Contains("in the hand", page.QuerySelector("#compared")!.TextContent, StringComparison.Ordinal);
        Assert.Equal(2, page.QuerySelectorAll(".two-pictures svg").Length);
        Assert.Equal(before.Overrides.Count, (await Job(id)).Overrides.Count);
        var taken = await PostForm(_browser, link, $"{link}&handler=Take", ("from", "1"));
        Assert.Equal(HttpStatusCode.Redirect, taken.StatusCode);
        Assert.Equal("in-hand", (await Job(id)).Overrides["hoop.school"]);
        Assert.Equal(HttpStatusCode.NotFound, (await _browser.GetAsync($"/compare/{id}?Decision=hoop.school&Choice=zeppelin")).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await _browser.GetAsync($"/compare/{id}?Decision=no.such&Choice=hoop")).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await _browser.GetAsync("/compare/99?Decision=hoop.school&Choice=hoop")).StatusCode);
    }

    /// <summary>Of something ruled out it is told why not and what would let it in; said to be so, it is ruled out no more.</summary>
    [Fact]
    public async Task What_is_ruled_out_says_what_would_let_it_in()
    {
        var id = await Made("backpack");
        var link = $"/compare/{id}?Decision=hoop.school&Choice=hoop";
        IHtmlDocument? page = null;
        await Until(async () => (page = await Read(link)).QuerySelector("#lets-in li form") is not null);
        Assert.Contains("A ring cracks a coating", page!.QuerySelector("#lets-in")!.TextContent, StringComparison.Ordinal);
        var form = page.QuerySelector("#lets-in li form")!;
        var (member, value) = (form.QuerySelector("input[name=member]")!.GetAttribute("value")!, form.QuerySelector("button")!.GetAttribute("value")!);
        await PostForm(_browser, link, $"{link}&handler=Fact", ("from", "1"), ("member", member), ("value", value));
        var bench = await Read($"/bench/{id}?Station=hoop");
        Assert.DoesNotContain(bench.QuerySelectorAll("#slip-hoop-school details li"), li => li.TextContent.Contains("A ring cracks a coating", StringComparison.Ordinal));
    }

    /// <summary>Where two facts together let it in, both are said with one button, and are one change.</summary>
    [Fact]
    public async Task Two_facts_are_taken_together()
    {
        var id = await Made("backpack");
        var address = $"/compare/{id}?Decision=transfer.method&Choice=tacked-from-back";
        var page = await Read(address);
        for (var tries = 0; tries < 60 && page.QuerySelector("#lets-in [role=status]") is not null; tries++)
        {
            page = await Read(address);
        }

        var form = page.QuerySelector("#lets-in form.in-line")!;
        Assert.Contains(", and ", form.ParentElement!.TextContent, StringComparison.Ordinal);
        var fields = form.QuerySelectorAll("input, button").Where(f => f.GetAttribute("name") is "member" or "value" or "andMember" or "andValue")
            .Select(f => (f.GetAttribute("name")!, f.GetAttribute("value")!)).ToArray();
        Assert.Equal(4, fields.Length);
        var taken = await PostForm(_browser, address, $"{address}&handler=Fact", [("from", "1"), .. fields]);
        Assert.Equal(HttpStatusCode.Redirect, taken.StatusCode);
        var fabric = (await Job(id)).Fabric!;
        Assert.Equal((false, false), (fabric.Lined, fabric.Coated));
    }
}
