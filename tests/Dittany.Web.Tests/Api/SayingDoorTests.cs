using System.Net;
using System.Text;
using System.Text.Json;
using Dittany.Core.Words;
using Dittany.Formats.Alphabets;
using Dittany.Web.Tests.Setup;

namespace Dittany.Web.Tests.Api;

/// <summary>A saying at the door: its spans, the job that follows, and what is asked.</summary>
public sealed class SayingDoorTests(Site site) : IClassFixture<Site>
{
    private readonly HttpClient _client = site.Start();

    [Fact]
    public async Task A_saying_becomes_spans_and_a_job_that_the_door_takes()
    {
        var said = await Say("""{"said":"Ida and two bees on a tote for Friday","today":"2027-02-01"}""");
        var spans = said.GetProperty("spans").EnumerateArray().Select(s => (s.GetProperty("from").GetInt32(), s.GetProperty("to").GetInt32(), s.GetProperty("text").GetString(), s.GetProperty("label").GetString())).ToArray();
        Assert.Equal([(0, 3, "Ida", "words"), (4, 7, "and", "small"), (8, 11, "two", "count"), (12, 16, "bees", "motif"), (17, 21, "on a", "small"), (22, 26, "tote", "item"), (27, 37, "for Friday", "day")], spans);
        var job = said.GetProperty("job");
        Assert.Equal(("tote", "2027-02-05", "Ida", "bee", 2), (job.GetProperty("item").GetProperty("form").GetString(), job.GetProperty("dueOn").GetString(), job.GetProperty("elements")[0].GetProperty("text").GetString(),
            job.GetProperty("elements")[1].GetProperty("motif").GetString(), job.GetProperty("elements")[1].GetProperty("count").GetInt32()));
        Assert.Equal(0, said.GetProperty("asked").GetArrayLength());
        var plan = await _client.PostAsync("/api/plan", new StringContent(job.GetRawText(), Encoding.UTF8, "application/json"));
        Assert.Equal(HttpStatusCode.OK, plan.StatusCode);
    }

    /// <summary>No job while something is missing; what is missing, and what has no place, is asked with likely answers.</summary>
    [Fact]
    public async Task What_is_missing_is_asked()
    {
        var said = await Say("""{"said":"a sparkly heart"}""");
        Assert.Equal(JsonValueKind.Null, said.GetProperty("job").ValueKind);
        var asked = said.GetProperty("asked").EnumerateArray().ToArray();
        Assert.Equal((2, 9), (asked[0].GetProperty("from").GetInt32(), asked[0].GetProperty("to").GetInt32()));
        Assert.Contains(asked, a => a.GetProperty("question").GetString()!.Contains("What does it go on", StringComparison.Ordinal) && a.GetProperty("answers").GetArrayLength() > 0);
        Assert.Equal("left", (await Say("""{"said":"Ida on a tote, left-handed"}""")).GetProperty("job").GetProperty("habits").GetProperty("hand").GetString());
        Assert.Equal("words", (await Say("""{"said":"daisy on a tote","kept":["words:0:daisy"]}""")).GetProperty("spans")[0].GetProperty("label").GetString());
        Assert.Equal("apron", (await Say("""{"said":"Otto on the pocket","form":"apron"}""")).GetProperty("job").GetProperty("item").GetProperty("form").GetString());
    }

    [Theory]
    [InlineData("""{"said":5}""", "#/said")]
    [InlineData("""{}""", "#/said")]
    [InlineData("""{"said":"a","word":"b"}""", "#/word")]
    [InlineData("""{"said":"a","today":"soon"}""", "#/today")]
    [InlineData("""{"said":"a","form":"wetsuit"}""", "#/form")]
    [InlineData("""{"said":"a","kept":["rose"]}""", "#/kept/0")]
    [InlineData("""[1]""", "#")]
    [InlineData("""{"said":""", "#")]
    public async Task What_makes_no_sense_is_told_by_its_place(string body, string pointer)
    {
        var answer = await _client.PostAsync("/api/saying", new StringContent(body, Encoding.UTF8, "application/json"));
        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        Assert.Contains((await Site.Read(answer)).GetProperty("errors").EnumerateArray(), e => e.GetProperty("pointer").GetString() == pointer);
    }

    [Fact]
    public async Task Empty_and_odd_sayings_are_answered()
    {
        foreach (var said in new[] { "", " ", new string('x', 5000), "<script>", "🐝🐝", "עמה", "家" })
        {
            var answer = await Say(JsonSerializer.Serialize(new { said }));
            Assert.True(answer.GetProperty("asked").GetArrayLength() > 0 || said.Trim().Length == 0, said);
        }

        Assert.Equal(HttpStatusCode.BadRequest, (await _client.PostAsync("/api/saying", new StringContent(JsonSerializer.Serialize(new { said = new string('x', 20_000) }), Encoding.UTF8, "application/json"))).StatusCode);
    }

    /// <summary>Each lettering style that can be said is one that ships.</summary>
    [Fact]
    public void Styles_that_are_said_are_there() => Assert.All(StyleNames.All, s => Assert.NotNull(ShippedAlphabets.Library.Find(s.Id)));

    private async Task<JsonElement> Say(string body)
    {
        var answer = await _client.PostAsync("/api/saying", new StringContent(body, Encoding.UTF8, "application/json"));
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        return await Site.Read(answer);
    }
}
