using BenchmarkDotNet.Attributes;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Planning;
using Dittany.Core.Words;
using Dittany.Formats.Json;
using Dittany.Formats.Sheets;
using Dittany.Formats.Template;

namespace Dittany.Bench;

/// <summary>
/// A plan of a twelve-letter name on each item, warm, with its baseline beside it: the same text shaped and laid out alone. Reach: under 15
/// ms.
/// </summary>
[MemoryDiagnoser]
[ShortRunJob]
public class PlanBench
{
    private Job _job = null!;
    private Plan _plan = null!;

    [Params("tea-towel", "baby-bodysuit", "napkin", "tote")]
    public string Form { get; set; } = null!;

    [GlobalSetup]
    public void Warm()
    {
        _job = new Job(Form, [new TextElement("name", "Maximilianus")], new DateOnly(2027, 3, 1));
        _plan = Planner.Make(_job, Workshop.Default, Dittany.Formats.Alphabets.ShippedAlphabets.Library);
    }

    [Benchmark(Baseline = true)]
    public Setting Shaping_alone() => Setting.Lay(UprightHand.Alphabet, ["Maximilianus"], Stands.OnBaseline);

    [Benchmark]
    public Plan Plan_of_twelve_letters() => Planner.Make(_job, Workshop.Default, Dittany.Formats.Alphabets.ShippedAlphabets.Library);

    [Benchmark]
    public byte[] Plan_json() => PlanJson.Write(_job, Workshop.Default, _plan);

    [Benchmark]
    public byte[] Template_pdf() => LeafPdf.Write(TemplateLeaves.Of(TemplateSheet.Of(_plan, Papers.A4)));
}
