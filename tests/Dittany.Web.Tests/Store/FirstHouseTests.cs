using System.Net;
using AngleSharp.Html.Parser;
using Dittany.Store;
using Dittany.Web.Tests.Setup;
using Microsoft.Data.Sqlite;
using Microsoft.Extensions.DependencyInjection;

namespace Dittany.Web.Tests.Store;

/// <summary>
/// A store as the first house left it (<c>first-house.sql</c>: its schema and five pieces) opens: what made sense then stands, what was
/// begun goes on with what it was begun with, and what makes no sense any more is shown as what it is, with its JSON to take out.
/// </summary>
public sealed class FirstHouseTests : IDisposable
{
    private readonly Site _site = new();
    private readonly HttpClient _browser;

    public FirstHouseTests()
    {
        using (var connection = new SqliteConnection($"Data Source={Path.Combine(_site.Folder, "dittany.db")};Pooling=False"))
        {
            connection.Open();
            using var command = connection.CreateCommand();
            command.CommandText = "PRAGMA journal_mode = WAL; "
                + File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "Store", "first-house.sql"));
            command.ExecuteNonQuery();
        }

        _browser = _site.Start();
    }

    public void Dispose() => _site.Dispose();

    [Fact]
    public async Task It_opens_with_all_its_pieces()
    {
        var today = new HtmlParser().ParseDocument(await _browser.GetStringAsync("/"));
        var told = today.Body!.TextContent;
        Assert.All(new[] { "Wilma", "Ottokar", "Bea", "Nothing to see", "Piece 4" }, name =>
            Assert.Contains(name, told, StringComparison.Ordinal));
        Assert.Equal(2, today.QuerySelectorAll(".bad").Length);
        foreach (var piece in new[] { 1, 2, 5 })
        {
            Assert.Equal(HttpStatusCode.OK, (await _browser.GetAsync($"/bench/{piece}")).StatusCode);
            Assert.Equal(HttpStatusCode.OK, (await _browser.GetAsync($"/api/pieces/{piece}/plan")).StatusCode);
        }
    }

    /// <summary>What cannot be read comes out as it lies in the store.</summary>
    [Theory]
    [InlineData(3, "u200b")]
    [InlineData(4, "Torn")]
    public async Task What_makes_no_sense_can_be_taken_out(int piece, string holds)
    {
        Assert.Equal(HttpStatusCode.OK, (await _browser.GetAsync($"/bench/{piece}")).StatusCode);
        Assert.Contains(holds, await _browser.GetStringAsync($"/pieces/{piece}.json"), StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await _browser.GetAsync($"/api/pieces/{piece}/plan")).StatusCode);
    }

    [Fact]
    public async Task What_was_begun_goes_on_as_it_was_begun()
    {
        await using var scope = _site.Services.CreateAsyncScope();
        var workshop = await scope.ServiceProvider.GetRequiredService<WorkshopStore>().Current();
        var pieces = scope.ServiceProvider.GetRequiredService<PieceStore>();
        Assert.Equal("chain", (await pieces.Find(2))!.In(workshop).Habit("letter-stitch"));
        Assert.Equal("by-height", (await pieces.Find(1))!.In(workshop).Habit("letter-stitch"));
    }

    /// <summary>
    /// A choice that was named by its place in a list names nothing now: it stays in the job, and the plan says that it has nothing to act
    /// on.
    /// </summary>
    [Fact]
    public async Task A_needle_named_by_its_place_is_set_aside()
    {
        var plan = await Site.Read(await _browser.GetAsync("/api/pieces/5/plan"));
        Assert.Equal("needle.size:2", Assert.Single(plan.GetProperty("setAside").EnumerateArray()).GetString());
    }
}
