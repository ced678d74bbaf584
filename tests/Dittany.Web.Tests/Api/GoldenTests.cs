using System.Globalization;
using System.Text;
using System.Text.Json;
using Dittany.Core.Jobs;
using Dittany.Core.Planning;
using Dittany.Formats.Json;

namespace Dittany.Web.Tests.Api;

/// <summary>
/// Golden pairs: a job and the plan it gave when it was looked at and found good. Numbers may differ by 0.001; everything else not at all.
/// With DITTANY_GOLDEN set to the folder of the sources the plans are written anew, to be read before they are committed.
/// </summary>
public class GoldenTests
{
    public static TheoryData<string> Pairs() => [.. Directory.GetFiles(Folder, "*.job.json").Select(f =>
        Path.GetFileName(f)[..^".job.json".Length]).Order(StringComparer.Ordinal)];

    private static string Folder => Path.Combine(AppContext.BaseDirectory, "Golden");

    [Theory]
    [MemberData(nameof(Pairs))]
    public void A_golden_job_gives_its_golden_plan(string name)
    {
        var job = JobJson.Read(File.ReadAllBytes(Path.Combine(Folder, $"{name}.job.json")), new DateOnly(2027, 3, 1), Workshop.Default,
            Dittany.Formats.Alphabets.ShippedAlphabets.Library);
        Assert.Empty(job.Faults);
        var written = PlanJson.Write(job.Job!, job.Workshop!,
            Planner.Make(job.Job!, job.Workshop!, Dittany.Formats.Alphabets.ShippedAlphabets.Library));
        if (Environment.GetEnvironmentVariable("DITTANY_GOLDEN") is { Length: > 0 } sources)
        {
            using var read = JsonDocument.Parse(written);
            File.WriteAllText(Path.Combine(sources, $"{name}.plan.json"), Lined(read.RootElement, 0) + "\n");
        }

        using var golden = JsonDocument.Parse(File.ReadAllBytes(Path.Combine(Environment.GetEnvironmentVariable("DITTANY_GOLDEN")
            ?? Folder, $"{name}.plan.json")));
        using var now = JsonDocument.Parse(written);
        Same(golden.RootElement, now.RootElement, "#");
    }

    /// <summary>A job read and written gives the same job again.</summary>
    [Theory]
    [MemberData(nameof(Pairs))]
    public void A_job_reads_back_to_itself(string name)
    {
        var job = JobJson.Read(File.ReadAllBytes(Path.Combine(Folder, $"{name}.job.json")), new DateOnly(2027, 3, 1), Workshop.Default,
            Dittany.Formats.Alphabets.ShippedAlphabets.Library).Job!;
        var once = JobJson.Write(job);
        Assert.Equal(once, JobJson.Write(JobJson.Read(Encoding.UTF8.GetBytes(once), DateOnly.MinValue, Workshop.Default,
            Dittany.Formats.Alphabets.ShippedAlphabets.Library).Job!));
    }

    [Theory]
    [InlineData("tr-TR")]
    [InlineData("de-DE")]
    public void The_same_bytes_in_another_culture(string culture)
    {
        var before = CultureInfo.CurrentCulture;
        var job = new Job("tea-towel", [new TextElement("name", "Iğdır")], new DateOnly(2027, 3, 1));
        var here = PlanJson.Write(job, Workshop.Default, Planner.Make(job, Workshop.Default,
            Dittany.Formats.Alphabets.ShippedAlphabets.Library));
        try
        {
            CultureInfo.CurrentCulture = new CultureInfo(culture);
            Assert.Equal(here, PlanJson.Write(job, Workshop.Default,
                Planner.Make(job, Workshop.Default, Dittany.Formats.Alphabets.ShippedAlphabets.Library)));
        }
        finally
        {
            CultureInfo.CurrentCulture = before;
        }
    }

    /// <summary>JSON to be read and compared by eye: what goes on one line stands on one, a stitch to a line.</summary>
    private static string Lined(JsonElement element, int depth)
    {
        const int Wide = 200;
        var whole = element.GetRawText();
        if (whole.Length <= Wide || element.ValueKind is not (JsonValueKind.Object or JsonValueKind.Array))
        {
            return whole;
        }

        var (inner, outer) = (new string(' ', (depth + 1) * 2), new string(' ', depth * 2));
        return element.ValueKind == JsonValueKind.Object
            ? $"{{\n{string.Join(",\n", element.EnumerateObject().Select(m => $"{inner}{JsonSerializer.Serialize(m.Name)}: {Lined(m.Value, depth + 1)}"))}\n{outer}}}"
            : $"[\n{string.Join(",\n", element.EnumerateArray().Select(e => $"{inner}{Lined(e, depth + 1)}"))}\n{outer}]";
    }

    private static void Same(JsonElement golden, JsonElement now, string at)
    {
        Assert.True(golden.ValueKind == now.ValueKind, $"{at}: {golden} became {now}");
        switch (golden.ValueKind)
        {
            case JsonValueKind.Object:
                Assert.Equal(golden.EnumerateObject().Select(p => p.Name), now.EnumerateObject().Select(p => p.Name));
                foreach (var member in golden.EnumerateObject())
                {
                    Same(member.Value, now.GetProperty(member.Name), $"{at}/{member.Name}");
                }

                break;
            case JsonValueKind.Array:
                Assert.True(golden.GetArrayLength() == now.GetArrayLength(),
                    $"{at}: {golden.GetArrayLength()} became {now.GetArrayLength()}");
                foreach (var (one, two) in golden.EnumerateArray().Zip(now.EnumerateArray()))
                {
                    Same(one, two, $"{at}/…");
                }

                break;
            case JsonValueKind.Number:
                Assert.True(Math.Abs(golden.GetDouble() - now.GetDouble()) <= 0.0011, $"{at}: {golden} became {now}");
                break;
            default:
                Assert.True(golden.ToString() == now.ToString(), $"{at}: {golden} became {now}");
                break;
        }
    }
}
