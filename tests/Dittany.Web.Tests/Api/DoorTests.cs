using System.Net;
using System.Text;
using System.Text.Json;
using Dittany.Web.Tests.Setup;

namespace Dittany.Web.Tests.Api;

public sealed class DoorTests(Site site) : IClassFixture<Site>
{
    private const string Zoe = """{"schema":"dittany.job/1","today":"2027-03-01","item":{"form":"tea-towel"},"elements":[{"kind":"text","text":"Zoë"}]}""";
    private readonly HttpClient _door = site.Start();

    [Fact]
    public async Task A_job_comes_in_and_its_plan_goes_out()
    {
        var plan = await Post(Zoe);
        Assert.Equal("dittany.plan/1", plan.GetProperty("schema").GetString());
        Assert.Equal("2027-03-01", plan.GetProperty("today").GetString());
        var element = plan.GetProperty("elements")[0];
        Assert.Equal("Zoë", element.GetProperty("text").GetString());
        Assert.True(element.GetProperty("legibility").GetProperty("reads").GetBoolean());
        var stitches = element.GetProperty("parts").EnumerateArray().Sum(p => p.GetProperty("stitches").GetArrayLength());
        Assert.Equal(stitches, plan.GetProperty("route").GetArrayLength());
    }

    /// <summary>
    /// The needle's way comes where it is asked for: as many ways as stitches, each begun where the stitch comes up, and nothing else
    /// changes.
    /// </summary>
    [Fact]
    public async Task The_needles_moves_are_told_on_asking()
    {
        using var body = Site.Json("""{"item":{"form":"tote"},"today":"2027-03-01","elements":[{"kind":"text","text":"Oda","stitch":"whipped-backstitch"}]}""");
        using var with = JsonDocument.Parse(await (await _door.PostAsync(new Uri("/api/plan?moves=1", UriKind.Relative), body)).Content.ReadAsStringAsync());
        using var again = Site.Json("""{"item":{"form":"tote"},"today":"2027-03-01","elements":[{"kind":"text","text":"Oda","stitch":"whipped-backstitch"}]}""");
        using var without = JsonDocument.Parse(await (await _door.PostAsync(new Uri("/api/plan", UriKind.Relative), again)).Content.ReadAsStringAsync());
        var kinds = new HashSet<string>();
        foreach (var (part, plain) in Parts(with).Zip(Parts(without)))
        {
            Assert.False(plain.TryGetProperty("moves", out _));
            var (moves, stitches) = (part.GetProperty("moves").EnumerateArray().ToArray(), part.GetProperty("stitches").EnumerateArray().ToArray());
            Assert.Equal(stitches.Length, moves.Length);
            Assert.Equal(stitches[0].GetProperty("fromMm").ToString(), moves[0][0].GetProperty("atMm").ToString());
            kinds.UnionWith(moves.SelectMany(m => m.EnumerateArray()).Select(m => m.GetProperty("move").GetString()!));
        }

        Assert.Superset(new HashSet<string> { "up", "down", "under" }, kinds);

        static IEnumerable<JsonElement> Parts(JsonDocument plan) => plan.RootElement.GetProperty("elements")[0].GetProperty("parts").EnumerateArray();
    }


    /// <summary>
    /// A drawing's part is all of SVG's path data (SVG 2, 9.3): relative steps, arcs, bends of one handle, and several rings, of which the
    /// inner ones are holes. A ring of 20 mm with a hole of 10 mm leaves three quarters of its disc to be filled, and no stitch in the
    /// hole.
    /// </summary>
    [Fact]
    public async Task A_part_of_a_drawing_may_have_holes()
    {
        const string Ring = "m10,0 a10 10 0 1 1 -20,0 a10 10 0 1 1 20,0z M5 0A5 5 0 1 0-5 0A5,5,0,1,0,5,0Z";
        var plan = await Post($$"""{"item":{"form":"tote"},"today":"2027-03-01","elements":[{"kind":"motif","heightMm":20,"drawing":{"name":"ring","parts":[{"role":"petal","kind":"shape","path":"{{Ring}}"}]},"stitch":"brick"}]}""");
        var element = plan.GetProperty("elements")[0];
        var part = Assert.Single(element.GetProperty("parts").EnumerateArray(), p => p.TryGetProperty("areaMm2", out _));
        Assert.Equal("brick", part.GetProperty("stitch").GetString());
        Assert.Equal(Math.PI * (100 - 25), part.GetProperty("areaMm2").GetDouble(), 1.5);
        var points = part.GetProperty("stitches").EnumerateArray().SelectMany(s => new[] { s.GetProperty("fromMm"), s.GetProperty("toMm") })
            .Select(p => (X: p[0].GetDouble(), Y: p[1].GetDouble())).ToArray();
        var (x, y) = ((points.Min(p => p.X) + points.Max(p => p.X)) / 2, (points.Min(p => p.Y) + points.Max(p => p.Y)) / 2);
        Assert.All(points, p => Assert.InRange(Math.Sqrt(((p.X - x) * (p.X - x)) + ((p.Y - y) * (p.Y - y))), 4.4, 10.6));
    }

    /// <summary>
    /// A tangle with a second ring beside it is told as what it is: that it crosses itself too often. To put it in order first would take
    /// seconds, and the job would be turned away as more than can be read.
    /// </summary>
    [Fact]
    public async Task A_tangle_is_turned_away_without_being_put_in_order()
    {
        var random = new Random(7);
        int Next() => random.Next(600);
        var path = string.Concat(Enumerable.Range(0, 300).Select(_ =>
            string.Create(System.Globalization.CultureInfo.InvariantCulture, $"C{Next()} {Next()} {Next()} {Next()} {Next()} {Next()}")));
        using var body = Site.Json("""{"item":{"form":"tote"},"today":"2027-03-01","elements":[{"kind":"motif","heightMm":29,"drawing":{"name":"tangle","parts":[{"role":"stem","kind":"shape","path":"M0 0TANGLEZ M700 0H800V100Z"}]}}]}""".Replace("TANGLE", path, StringComparison.Ordinal));
        var answer = await _door.PostAsync(new Uri("/api/plan", UriKind.Relative), body);
        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        var fault = (await Site.Read(answer)).GetProperty("errors")[0];
        Assert.Contains("crosses itself in more than 200 places", fault.GetProperty("detail").GetString(), StringComparison.Ordinal);
    }

    /// <summary>
    /// What an element is stitched in may be a stitch that fills: its areas are filled so, as if it had been chosen, and its lines stay.
    /// Where
    /// another fill is chosen beside it, it is asked which.
    /// </summary>
    [Fact]
    public async Task An_elements_stitch_may_be_a_fill()
    {
        const string Flower = """{"item":{"form":"tote"},"today":"2027-03-01","elements":[{"kind":"motif","motif":"sunflower","heightMm":60,"stitch":"long-and-short"}]OVERRULES}""";
        var plan = await Post(Flower.Replace("OVERRULES", string.Empty, StringComparison.Ordinal));
        var decision = plan.GetProperty("decisions").EnumerateArray().Single(d => d.GetProperty("id").GetString() == "stitch.fill");
        Assert.Equal("long-and-short", decision.GetProperty("choiceId").GetString());
        Assert.Contains(plan.GetProperty("elements")[0].GetProperty("parts").EnumerateArray(), p => p.GetProperty("stitch").GetString() == "long-and-short");
        var same = await Post(Flower.Replace("OVERRULES", ",\"overrules\":{\"stitch.fill\":\"long-and-short\"}", StringComparison.Ordinal));
        Assert.Equal(plan.GetProperty("route").GetArrayLength(), same.GetProperty("route").GetArrayLength());

        using var twice = Site.Json(Flower.Replace("OVERRULES", ",\"overrules\":{\"stitch.fill\":\"satin\"}", StringComparison.Ordinal));
        var answer = await _door.PostAsync(new Uri("/api/plan", UriKind.Relative), twice);
        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        var problem = await Site.Read(answer);
        Assert.Equal("#/elements/0/stitch", problem.GetProperty("errors")[0].GetProperty("pointer").GetString());
        Assert.Contains("said twice over", problem.GetProperty("title").GetString(), StringComparison.Ordinal);
    }

    /// <summary>
    /// How far a piece is comes in with the job and goes out with its plan; what is left shrinks, the whole stays. Her units change nothing
    /// at the door: it speaks millimetres.
    /// </summary>
    [Fact]
    public async Task What_is_done_is_reckoned_with()
    {
        var (fresh, begun) = (await Post(Zoe), await Post(Zoe.Replace("\"item\"",
            "\"done\":{\"marked\":true,\"runs\":1},\"workshop\":{\"units\":\"inches\"},\"item\"", StringComparison.Ordinal)));
        Assert.Equal(("planned", "on-the-hoop"), (fresh.GetProperty("time").GetProperty("stage").GetString(),
            begun.GetProperty("time").GetProperty("stage").GetString()));
        Assert.True(begun.GetProperty("time").GetProperty("leftMinutes").GetDouble() < fresh.GetProperty("time").GetProperty(
            "leftMinutes").GetDouble());
        Assert.Equal(fresh.GetProperty("time").GetProperty("handsOnMinutes").GetDouble(),
            begun.GetProperty("time").GetProperty("handsOnMinutes").GetDouble());
        Assert.Equal(fresh.GetProperty("space").GetRawText(), begun.GetProperty("space").GetRawText());
        Assert.Contains("mm", begun.GetProperty("space").GetProperty("findIt")[1].GetString(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task The_same_input_gives_the_same_bytes()
    {
        var one = await (await _door.PostAsync("/api/plan", Site.Json(Zoe))).Content.ReadAsByteArrayAsync();
        var two = await (await _door.PostAsync("/api/plan", Site.Json(Zoe))).Content.ReadAsByteArrayAsync();
        Assert.Equal(one, two);
    }

    [Fact]
    public async Task Today_is_filled_in_where_it_is_left_out()
    {
        var plan = await Post(Zoe.Replace("\"today\":\"2027-03-01\",", string.Empty, StringComparison.Ordinal));
        Assert.Equal(Site.Day, plan.GetProperty("today").GetString());
    }

    [Theory]
    [InlineData("nonsense", "#")]
    [InlineData("[]", "#")]
    [InlineData("{}", "#/item")]
    [InlineData("""{"item":{"form":"tea-towel"}}""", "#/elements")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"text","text":"a","sise":3}]}""", "#/elements/0/sise")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"text","text":"a","text":"b"}]}""", "#/elements/0/text")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"text","text":"a","capHeightMm":"12"}]}""", "#/elements/0/capHeightMm")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"text","text":"a","capHeightMm":1e999}]}""", "#/elements/0/capHeightMm")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"text","text":"a","capHeightMm":301}]}""", "#/elements/0/capHeightMm")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"text","text":"a","strands":2.5}]}""", "#/elements/0/strands")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"text","text":"a\ud800"}]}""", "#/elements/0/text")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"text","text":"a\u202eb"}]}""", "#/elements/0/text")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"text","text":"a\u0007"}]}""", "#/elements/0/text")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"motif","motif":"dragon"}]}""", "#/elements/0/motif")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"motif","motif":"bird","heightMm":0}]}""", "#/elements/0/heightMm")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"motif","motif":"bird"},{"kind":"text","text":"a","arrangement":"loop"}]}""", "#/elements/1/arrangement")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"motif","drawing":{"name":"x","parts":[{"path":"M 0 0 K 1 1 2 2"}]}}]}""", "#/elements/0/drawing/parts/0/path")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"motif","drawing":{"name":"x","parts":[{"path":"M 0 0 L nan 3"}]}}]}""", "#/elements/0/drawing/parts/0/path")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"motif","drawing":{"name":"x","parts":[{"path":"M 0 0"}]}}]}""", "#/elements/0/drawing/parts/0/path")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"motif","drawing":{"name":"x","parts":[{"path":"M 0 0 L 1e9 3"}]}}]}""", "#/elements/0/drawing/parts/0/path")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"motif","motif":"bird","parts":[{"stitch":"satin"}]}]}""", "#/elements/0/parts/0/role")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"motif","motif":"bird","parts":[{"role":"wing","stitch":"knitting"}]}]}""", "#/elements/0/parts/0/stitch")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"motif","motif":"bird","parts":[{"role":"wing","strands":7}]}]}""", "#/elements/0/parts/0/strands")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"motif","motif":"bird","parts":[{"role":"wing","slant":7}]}]}""", "#/elements/0/parts/0/slant")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"text","text":"a","parts":5}]}""", "#/elements/0/parts")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"text","text":"ab","letters":[{"index":2}]}]}""", "#/elements/0/letters/0/index")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"text","text":"ab","letters":[{"stitch":"chain"}]}]}""", "#/elements/0/letters/0/index")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"text","text":"ab","letters":[{"index":0,"stitch":"knitting"}]}]}""", "#/elements/0/letters/0/stitch")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"text","text":"ab","layer":200}]}""", "#/elements/0/layer")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"motif","motif":"bird","parts":[{"role":"leaf","colours":["rose",5]}]}]}""", "#/elements/0/parts/0/colours/1")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"motif","motif":"bird","parts":[{"role":"leaf","colours":["rose"]}]}]}""", "#/elements/0/parts/0/colours")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"motif","motif":"bird","letters":[{"index":0}]}]}""", "#/elements/0/letters")]
    [InlineData("""{"item":{"form":"hammock"},"elements":[{"kind":"text","text":"a"}]}""", "#/item/form")]
    [InlineData("""{"item":{"form":"tea-towel","fabric":{"opacity":"foggy"}},"elements":[{"kind":"text","text":"a"}]}""", "#/item/fabric/opacity")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"text","text":"a"}],"overrules":{"hoop.size":true}}""", "#/overrules/hoop.size")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"text","text":"a"}],"habits":{"hold":"tongs"}}""", "#/habits/hold")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"text","text":"a"}],"habits":{"mood":"good"}}""", "#/habits/mood")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"text","text":"a"}],"stash":{"hoopsMm":[3]}}""", "#/stash/hoopsMm/0")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"text","text":"a","thread":"silk"}]}""", "#/elements/0/thread")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"text","text":"a","thread":"pearl-8","strands":3}]}""", "#/elements/0/strands")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"text","text":"a","thread":"pearl-8","stitch":"split"}]}""", "#/elements/0/stitch")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"motif","motif":"bird","parts":[{"role":"wing","thread":"string"}]}]}""", "#/elements/0/parts/0/thread")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"text","text":"a"}],"stash":{"threads":[{"name":"moss","colour":"green"}]}}""", "#/stash/threads/0/colour")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"text","text":"a"}],"workshop":{"threadWidthsMm":{"wool":40}}}""", "#/workshop/threadWidthsMm/wool")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"text","text":"a"}],"workshop":{"takeUp":9}}""", "#/workshop/takeUp")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"text","text":"a"}],"workshop":{"trials":{"fog":1}}}""", "#/workshop/trials/fog")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"text","text":"a"}],"dueOn":"soon"}""", "#/dueOn")]
    [InlineData("""{"schema":"dittany.job/2","item":{"form":"tea-towel"},"elements":[{"kind":"text","text":"a"}]}""", "#/schema")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"text","text":"Z"}],"done":{"runs":-1}}""", "#/done/runs")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"text","text":"Z"}],"done":{"rinsedOn":"soon"}}""", "#/done/rinsedOn")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"text","text":"Z"}],"done":{"half":true}}""", "#/done/half")]
    [InlineData("""{"item":{"form":"tea-towel"},"elements":[{"kind":"text","text":"Z"}],"workshop":{"units":"cubits"}}""", "#/workshop/units")]
    [InlineData("""{"item":{"form":"tea-towel","measuredMm":{"sleeve":500}},"elements":[{"kind":"text","text":"a"}]}""", "#/item/measuredMm/sleeve")]
    [InlineData("""{"item":{"form":"tea-towel","measuredMm":{"width":"wide"}},"elements":[{"kind":"text","text":"a"}]}""", "#/item/measuredMm/width")]
    [InlineData("""{"item":{"form":"tea-towel","washed":"daily"},"elements":[{"kind":"text","text":"a"}]}""", "#/item/washed")]
    [InlineData("""{"item":{"form":"mine","own":{"id":"mine","name":"m","outlineMm":[[0,0],[100,100],[100,0],[0,100]],"zones":[{"name":"z","ringMm":[[10,10],[20,10],[20,20]]}]}},"elements":[{"kind":"text","text":"a"}]}""", "#/item/own/outlineMm")]
    [InlineData("""{"item":{"form":"mine","own":{"id":"mine","name":"m","outlineMm":[[0,0],[100,0],[100,100]],"zones":[{"name":"z","ringMm":[[10,10],[20,"x"],[20,20]]}]}},"elements":[{"kind":"text","text":"a"}]}""", "#/item/own/zones/0/ringMm/1/1")]
    [InlineData("""{"item":{"form":"tea-towel","own":{"id":"mine","name":"m","outlineMm":[[0,0],[100,0],[100,100],[0,100]],"zones":[{"name":"z","ringMm":[[10,10],[20,10],[20,20]]}]}},"elements":[{"kind":"text","text":"a"}]}""", "#/item/form")]
    public async Task Senseless_jobs_are_problems_with_a_pointer(string json, string pointer)
    {
        var answer = await _door.PostAsync("/api/plan", Site.Json(json));
        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        Assert.Equal("application/problem+json", answer.Content.Headers.ContentType!.MediaType);
        var errors = (await Site.Read(answer)).GetProperty("errors").EnumerateArray().ToArray();
        var error = Assert.Single(errors, e => e.GetProperty("pointer").GetString() == pointer);
        Assert.NotEmpty(error.GetProperty("detail").GetString()!);
        Assert.NotEmpty(error.GetProperty("try").GetString()!);
    }

    [Fact]
    public async Task All_faults_come_at_once()
    {
        var answer = await _door.PostAsync("/api/plan", Site.Json("""{"item":{"form":"tea-towel","size":"9"},"zone":5,"colour":"red","elements":[{"kind":"text","text":"日","strands":9}]}"""));
        var pointers = (await Site.Read(answer)).GetProperty("errors").EnumerateArray().Select(e =>
            e.GetProperty("pointer").GetString()).ToArray();
        Assert.Equal(["#/colour", "#/elements/0/strands", "#/elements/0/text", "#/item/size", "#/zone"],
            pointers.Order(StringComparer.Ordinal));
    }

    [Fact]
    public async Task Only_json_of_bounded_size_and_depth_is_taken()
    {
        Assert.Equal(HttpStatusCode.UnsupportedMediaType,
            (await _door.PostAsync("/api/plan", new StringContent(Zoe, Encoding.UTF8, "text/plain"))).StatusCode);
        Assert.Equal(HttpStatusCode.RequestEntityTooLarge,
            (await _door.PostAsync("/api/plan", Site.Json(new string(' ', 1024 * 1024 + 1)))).StatusCode);
        var deep = string.Concat(Enumerable.Repeat("[", 17)) + string.Concat(Enumerable.Repeat("]", 17));
        Assert.Contains("deeper than 16", await (await _door.PostAsync("/api/plan", Site.Json(deep))).Content.ReadAsStringAsync(),
            StringComparison.Ordinal);
    }

    [Fact]
    public async Task What_does_not_fit_is_a_plan_with_a_concern()
    {
        var plan = await Post(Zoe.Replace("\"text\":\"Zoë\"", "\"text\":\"Zoë\",\"capHeightMm\":90", StringComparison.Ordinal));
        Assert.Equal("overflows", plan.GetProperty("elements")[0].GetProperty("concerns")[0].GetProperty("what").GetString());
    }

    [Fact]
    public async Task Overrules_may_be_numbers()
    {
        var plan = await Post(Zoe[..^1] + ",\"overrules\":{\"thread.cut-length\":600,\"hoop.size\":127,\"stitch.fill\":\"satin\"}}");
        Assert.Equal(600, plan.GetProperty("threads")[0].GetProperty("cutMm").GetDouble());
        Assert.Equal(127, plan.GetProperty("hooping").GetProperty("hoops")[0].GetProperty("hoopMm").GetDouble());
        Assert.Equal("stitch.fill", plan.GetProperty("setAside")[0].GetString());
    }

    [Fact]
    public async Task Workshop_and_habits_come_from_the_body()
    {
        var plan = await Post(Zoe[..^1]
            + ",\"workshop\":{\"skill\":\"learner\",\"equipment\":[\"light-box\",\"laser\"]},\"habits\":{\"hold\":\"in-hand\"},\"stash\":{\"hoopsMm\":[102]}}");
        Assert.Equal("light-trace", plan.GetProperty("transfer").GetProperty("method").GetString());
        Assert.Equal("in-hand", plan.GetProperty("hooping").GetProperty("school").GetString());

        double Minutes(JsonElement p) => p.GetProperty("time").GetProperty("byStep").EnumerateArray().Single(b =>
            b.GetProperty("step").GetString() == "stitching").GetProperty("minutes").GetDouble();

        // A learner takes 2.5 skilled paces, a practised hand 1.5; in the hand one scoops, which takes 0.85 of it (from memory).
        Assert.Equal(2.5 / 1.5 * 0.85, Minutes(plan) / Minutes(await Post(Zoe)), 1);
    }

    [Theory]
    [InlineData("forms", "tea-towel")]
    [InlineData("alphabets", "upright-hand")]
    [InlineData("stitches", "backstitch")]
    [InlineData("transfers", "hot-iron")]
    [InlineData("habits", "stitch-length")]
    [InlineData("threads", "pearl-8")]
    public async Task Lists_tell_what_may_be_named(string list, string id)
    {
        var rows = await Site.Read(await _door.GetAsync($"/api/{list}"));
        Assert.Contains(rows.EnumerateArray(), r => r.GetProperty("id").GetString() == id && r.GetProperty("name").GetString()!.Length > 0);
    }

    [Fact]
    public async Task At_least_thirty_six_motifs_may_be_named() =>
        Assert.True((await Site.Read(await _door.GetAsync("/api/motifs"))).GetArrayLength() >= 36);

    /// <summary>Every member the plan schema requires is in a real plan, all the way down, and of the type it says.</summary>
    [Fact]
    public async Task A_plan_keeps_its_schema()
    {
        var schema = await Site.Read(await _door.GetAsync("/api/schemas/plan"));
        SchemaCheck.Holds(schema, await Post(Zoe), "#");
        var job = await Site.Read(await _door.GetAsync("/api/schemas/job"));
        using var zoe = JsonDocument.Parse(Zoe);
        SchemaCheck.Holds(job, zoe.RootElement, "#");
    }

    /// <summary>
    /// Forms as they are taken out, with all their sides, are what their schema says, alone and within a job, and a job with one is
    /// planned.
    /// </summary>
    [Fact]
    public async Task Forms_are_what_their_schema_says()
    {
        var form = await Site.Read(await _door.GetAsync("/api/schemas/form"));
        var job = await Site.Read(await _door.GetAsync("/api/schemas/job"));
        foreach (var of in Core.Items.Catalogue.Forms)
        {
            var copy = Core.Items.OwnForm.CopyOf(of, of.Sizes[0], "own-copy", $"My {of.Name}");
            copy = copy.With(copy.First with
            {
                Folded = Core.Items.FoldSide.Bottom,
                WithinMm = 1.5,
                Picture = new Core.Items.Picture(new string('b', 64), 0, 0, 10, 10)
            });
            var json = Formats.Json.FormJson.Write(copy);
            SchemaCheck.Holds(form, JsonDocument.Parse(json).RootElement, of.Id);
            var zone = copy.Faces[^1].Zones[0].Id;
            var asked = $$"""{"schema":"dittany.job/1","today":"2027-03-01","item":{"form":"own-copy","own":{{json}}},"zone":"{{zone}}","elements":[{"kind":"text","text":"Io"}]}""";
            SchemaCheck.Holds(job, JsonDocument.Parse(asked).RootElement, of.Id);
            Assert.Equal(copy.Faces[^1].Id, (await Post(asked)).GetProperty("space").GetProperty("face").GetString());
        }
    }

    /// <summary>The same plan in German: its numbers, ids and stitches are the same, and what it tells is told with them.</summary>
    [Fact]
    public async Task A_plan_is_told_in_another_language_on_asking()
    {
        using var asked = Site.Json(Zoe);
        using var answer = await _door.PostAsync(new Uri("/api/plan?language=de", UriKind.Relative), asked);
        Assert.Equal(["de"], answer.Content.Headers.ContentLanguage);
        var (german, english) = (await Site.Read(answer), await Post(Zoe));
        Assert.Contains(Decided(german), d => d.GetProperty("subject").GetString() == "Der Stoff");
        Assert.Contains(Decided(german), d => d.GetProperty("choice").GetString() == "Großbuchstaben von 25 mm");
        Assert.Equal(Decided(english).Select(d => d.GetProperty("id").GetString()), Decided(german).Select(d => d.GetProperty("id").GetString()));
        Assert.Equal(english.GetProperty("route").GetRawText(), german.GetProperty("route").GetRawText());
        Assert.Equal(english.GetProperty("elements")[0].GetProperty("parts").GetRawText(), german.GetProperty("elements")[0].GetProperty("parts").GetRawText());

        using var again = Site.Json(Zoe);
        using var refused = await _door.PostAsync(new Uri("/api/plan?language=xx", UriKind.Relative), again);
        Assert.Equal(HttpStatusCode.BadRequest, refused.StatusCode);
        Assert.Contains("?language", await refused.Content.ReadAsStringAsync(), StringComparison.Ordinal);
    }

    private static JsonElement[] Decided(JsonElement plan) => plan.GetProperty("decisions").EnumerateArray().ToArray();

    [Fact]
    public async Task Every_answer_carries_the_policy()
    {
        foreach (var path in new[] { "/", "/new", "/api/forms", "/nothing-here", "/css/dittany.css" })
        {
            var answer = await _door.GetAsync(path);
            var policy = Assert.Single(answer.Headers.GetValues("Content-Security-Policy"));
            Assert.Contains("default-src 'none'", policy, StringComparison.Ordinal);
            Assert.DoesNotContain("unsafe", policy, StringComparison.Ordinal);
        }
    }

    [Theory]
    [InlineData("GET", "/api/plan", HttpStatusCode.MethodNotAllowed)]
    [InlineData("GET", "/api/nothing", HttpStatusCode.NotFound)]
    [InlineData("POST", "/api/forms", HttpStatusCode.MethodNotAllowed)]
    public async Task Wrong_knocks_are_problems_too(string method, string path, HttpStatusCode status)
    {
        using var request = new HttpRequestMessage(new HttpMethod(method), path);
        var answer = await _door.SendAsync(request);
        Assert.Equal(status, answer.StatusCode);
        Assert.Equal("application/problem+json", answer.Content.Headers.ContentType!.MediaType);
    }

    [Fact]
    public async Task Another_host_name_is_refused()
    {
        using var request = new HttpRequestMessage(HttpMethod.Get, "/");
        request.Headers.Host = "evil.example";
        Assert.Equal(HttpStatusCode.BadRequest, (await _door.SendAsync(request)).StatusCode);
    }

    private async Task<JsonElement> Post(string json)
    {
        var answer = await _door.PostAsync("/api/plan", Site.Json(json));
        Assert.True(answer.IsSuccessStatusCode, await answer.Content.ReadAsStringAsync());
        return await Site.Read(answer);
    }
}
