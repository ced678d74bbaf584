using System.Text;
using System.Text.Json;
using Dittany.Core.Crafts;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Motifs;
using Dittany.Core.Planning;
using Dittany.Core.StitchBook;
using Dittany.Formats.Alphabets;
using Dittany.Formats.Json;

namespace Dittany.Web.Tests.Api;

/// <summary>
/// The published schemas against the door, by a validator that is not ours, over random jobs: what the door takes the schema of jobs takes,
/// and what comes out holds the schema of plans. What the schema refuses the door refuses too.
/// </summary>
public sealed class SchemaTests
{
    private const int Many = 60;

    private static readonly Json.Schema.JsonSchema Jobs = SchemaCheck.Of(SchemaJson.Job());
    private static readonly Json.Schema.JsonSchema Plans = SchemaCheck.Of(SchemaJson.Plan());

    [Fact]
    public void Whatever_the_door_takes_and_gives_holds_its_schema()
    {
        var random = new Random(20270301);
        var (taken, wrong) = (0, new List<string>());
        for (var i = 0; i < Many; i++)
        {
            var job = Any(random, i);
            var json = JobJson.Write(job);
            var read = JobJson.Read(Encoding.UTF8.GetBytes(json), job.Today, Workshop.Default, ShippedAlphabets.Library);
            var faults = SchemaCheck.Faults(Jobs, JsonDocument.Parse(json).RootElement);
            if (read.Job is null)
            {
                continue;
            }

            taken++;
            wrong.AddRange(faults.Select(f => $"job {i} {f}"));
            var plan = Planner.Make(read.Job, read.Workshop!, ShippedAlphabets.Library);
            wrong.AddRange(SchemaCheck.Faults(Plans, JsonDocument.Parse(PlanJson.Write(read.Job, read.Workshop!, plan, moves: i % 4 == 0))
                .RootElement)
                .Select(f => $"plan {i} {f}"));
        }

        Assert.Empty(wrong);
        Assert.InRange(taken, Many / 2, Many);
    }

    /// <summary>What the schema refuses the door refuses: bad jobs, each with one thing wrong.</summary>
    [Theory]
    [InlineData("""{"item":{"form":"tote"},"elements":[]}""")]
    [InlineData("""{"item":{"form":"tote"}}""")]
    [InlineData("""{"elements":[{"kind":"text","text":"Ida"}]}""")]
    [InlineData("""{"item":{"form":"tote"},"elements":[{"kind":"text","text":"Ida","capHeightMm":1}]}""")]
    [InlineData("""{"item":{"form":"tote"},"elements":[{"kind":"text","text":"Ida","colour":7}]}""")]
    [InlineData("""{"item":{"form":"tote"},"elements":[{"kind":"text","text":"Ida","sparkle":true}]}""")]
    [InlineData("""{"item":{"form":"tote"},"elements":[{"kind":"song","text":"Ida"}]}""")]
    [InlineData("""{"item":{"form":"tote","fabric":{"kind":"moonstuff"}},"elements":[{"kind":"text","text":"Ida"}]}""")]
    [InlineData("""{"item":{"form":"tote"},"elements":[{"kind":"text","text":"Ida"}],"overrules":{"no.such":"thing"}}""")]
    [InlineData("""{"item":{"form":"tote"},"elements":[{"kind":"text","text":"Ida"}],"dueOn":"soon"}""")]
    [InlineData("""{"item":{"form":"tote"},"elements":[{"kind":"text","text":"Ida"}],"habits":{"hold":"with-teeth"}}""")]
    [InlineData("""{"item":{"form":"tote"},"elements":[{"kind":"motif","motif":"daisy","count":99}]}""")]
    public void What_the_schema_refuses_the_door_refuses(string job)
    {
        Assert.NotEmpty(SchemaCheck.Faults(Jobs, JsonDocument.Parse(job).RootElement));
        Assert.NotEmpty(JobJson.Read(Encoding.UTF8.GetBytes(job), new DateOnly(2027, 3, 1), Workshop.Default, ShippedAlphabets.Library)
            .Faults);
    }

    /// <summary>A choice of one place of several is marked with it, and the schema knows how.</summary>
    [Fact]
    public void Choices_of_a_place_hold()
    {
        var job = """
            {"item":{"form":"t-shirt-adult"},"elements":[{"kind":"text","text":"Mia","zone":"left-chest"},{"kind":"motif","motif":"daisy","zone":"sleeve"}],
            "overrules":{"hoop.school@sleeve":"in-hand"}}
            """;
        Assert.Empty(SchemaCheck.Faults(Jobs, JsonDocument.Parse(job).RootElement));
        Assert.Empty(JobJson.Read(Encoding.UTF8.GetBytes(job), new DateOnly(2027, 3, 1), Workshop.Default, ShippedAlphabets.Library)
            .Faults);
    }

    private static Job Any(Random random, int i)
    {
        T Pick<T>(IReadOnlyList<T> among) => among[random.Next(among.Count)];
        T? Maybe<T>(T value) => random.Next(3) == 0 ? value : default;
        var form = Pick(Catalogue.Forms);
        var words = new TextElement("name", Pick(["Zoë", "Bread & Salt", "Mimi\nand Jo", "MÆ"]), Maybe(Pick(ShippedAlphabets.Library.Alphabets).Id),
            CapHeightMm: Maybe<double?>(random.Next(3, 40)), Stitch: Maybe(Pick(Book.Lines.ToArray()).Id))
        {
            Thread = Maybe(Pick(ThreadKinds.All).Id),
            Craft = Maybe(Pick(AllCrafts.Ids)),
        };
        var motif = new MotifElement("sprig", Pick(MotifLibrary.Ids.ToArray()), HeightMm: random.Next(8, 50), Arrangement: Maybe(Pick(Arranging.Ids)))
        {
            Craft = Maybe(Pick(AllCrafts.Ids)),
            Layer = Maybe<int?>(random.Next(3)),
        };
        return new Job(form.Id, [.. i % 3 == 1 ? Array.Empty<JobElement>() : [words], .. i % 3 == 0 ? Array.Empty<JobElement>() : [motif]],
            new DateOnly(2027, 3, 1), Fabric: new FabricOverrides(Kind: Maybe(Pick(Cloths.All)
            .Id)),
            Wearer: Maybe(Pick(["baby", "child", "adult"])));
    }
}
