using BenchmarkDotNet.Attributes;
using Dittany.Core.Geometry;
using Dittany.Core.Jobs;
using Dittany.Core.Motifs;
using Dittany.Core.Planning;

namespace Dittany.Bench;

/// <summary>
/// How a whole plan grows with its stitches: waves one below the other on a tablecloth, a drawing of ours. Near linear is wanted; 20 000
/// stitches under a second and under 300 MB.
/// </summary>
[MemoryDiagnoser]
[ShortRunJob]
public class StitchesBench
{
    /// <summary>A wave is 640 mm wide with a swing of 6 mm every 40 mm: about 300 stitches.</summary>
    private const int OfAWave = 300;

    private Job _job = null!;

    /// <summary>More than one plan may take, so that growth is seen beyond it.</summary>
    private const long Unbounded = long.MaxValue;

    [Params(1000, 5000, 20_000, 50_000)]
    public int Stitches { get; set; }

    [GlobalSetup]
    public void Make()
    {
        var count = Math.Max(1, Stitches / OfAWave);
        var waves = Enumerable.Range(0, count).Select(row => new FigurePart("outline", FigureKind.Line, new Stroke(
            Enumerable.Range(0, 16).Select(i => Swing(40 * i, row * 640.0 / count, i % 2 == 0 ? 6 : -6)).ToArray(), false)));
        _job = new Job(
            "tablecloth", [new MotifElement("waves", "own", WidthMm: 640, Drawing: new OwnDrawing("waves", new Figure(waves.ToArray())))], new DateOnly(2027, 3, 1), Size: "150x220");
        Console.WriteLine($"// {Stitches} asked, {Plan().Elements.Sum(e => e.Parts.Sum(p => p.Stitches.Count))} stitches");
    }

    [Benchmark]
    public Plan Plan() => Planner.Make(_job, Workshop.Default, Dittany.Formats.Alphabets.ShippedAlphabets.Library,
        Unbounded);

    private static Curve Swing(double x, double y, double by) =>
        new(new Pt(x, y), new Pt(x + 13, y + by), new Pt(x + 27, y + by), new Pt(x + 40, y));
}
