using BenchmarkDotNet.Attributes;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Planning;
using Dittany.Core.Space;
using Dittany.Core.Words;
using Dittany.Formats.Json;
using Dittany.Formats.Template;

namespace Dittany.Bench;

/// <summary>
/// A plan of a twelve-letter name, warm, with its baselines beside it: the same text shaped and laid out alone, the same field offset alone. Reach: under 15 ms.
/// </summary>
[MemoryDiagnoser]
[ShortRunJob]
public class PlanBench
{
    private readonly Job _job = new("tea-towel", [new WordingAsked("name", "Maximilianus")], new DateOnly(2027, 3, 1));
    private Plan _plan = null!;
    private Drawn _towel = null!;

    [GlobalSetup]
    public void Warm()
    {
        _plan = Planner.Make(_job, Workshop.Default);
        _towel = TeaTowel.Form.At("50x70");
    }

    [Benchmark(Baseline = true)]
    public Setting Shaping_alone() => Setting.Lay(UprightHand.Alphabet, ["Maximilianus"], Stands.OnBaseline);

    [Benchmark]
    public Region Field_alone() => Field.Of(_towel, _towel.Zones[0]);

    [Benchmark]
    public Plan Plan_of_twelve_letters() => Planner.Make(_job, Workshop.Default);

    [Benchmark]
    public byte[] Plan_json() => PlanJson.Write(_job, Workshop.Default, _plan);

    [Benchmark]
    public byte[] Template_pdf() => TemplatePdf.Write(TemplateSheet.Of(_plan, Papers.A4));
}
