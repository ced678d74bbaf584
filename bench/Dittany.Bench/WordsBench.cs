using BenchmarkDotNet.Attributes;
using Dittany.Core.Advising;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Motifs;
using Dittany.Core.Planning;
using Dittany.Core.Words;
using Dittany.Formats.Alphabets;

namespace Dittany.Bench;

/// <summary>Words and motifs: fitting with legibility in every arrangement, centre lines at first use and kept, sets of names.</summary>
[ShortRunJob]
[MemoryDiagnoser]
public class WordsBench
{
    private const string Twenty = "Wilhelmina Rosamunde";

    private static readonly string[] Names = Enumerable.Range(0, 200).Select(i =>
        $"{(char)('A' + (i % 26))}{"nnelieroswitha"[..(2 + (i % 11))]}{(char)('a' + (i / 26))}").ToArray();

    private IReadOnlyList<IReadOnlyList<Pt>> _outline = [];

    [GlobalSetup]
    public void Setup()
    {
        var font = ShippedAlphabets.All[0];
        _outline = font.Find("g")!.Strokes.Select(s => s.Flatten(0.25)).ToArray();
        Fit("straight");
    }

    /// <summary>Fit with legibility of twenty letters: size, stitch and strands settled, no stitch placed. Reach 10 ms.</summary>
    [Benchmark]
    [Arguments("straight")]
    [Arguments("arc")]
    [Arguments("ring")]
    [Arguments("slope")]
    [Arguments("edge")]
    public double Fit(string arrangement) => SetRule.Of(new Job("quilt-block",
        [new TextElement("w", Twenty, Arrangement: arrangement, Rows: 1)], new DateOnly(2027, 3, 1)), [Twenty], Workshop.Default,
        ShippedAlphabets.Library).CapMm;

    /// <summary>Along an edge that bends, laid out anew at every height that is tried. Reach 10 ms.</summary>
    [Benchmark]
    [Arguments("baby-bodysuit")]
    [Arguments("t-shirt-adult")]
    public double Fit_along_a_neckline(string form) =>
        SetRule.Of(new Job(form, [new TextElement("w", Twenty, Arrangement: "edge", Rows: 1)], new DateOnly(2027, 3, 1)), [Twenty],
        Workshop.Default, ShippedAlphabets.Library).CapMm;

    /// <summary>The same letters laid out alone: the baseline.</summary>
    [Benchmark(Baseline = true)]
    public double Laid_out_alone() => Setting.Lay(UprightHand.Alphabet, [Twenty], Stands.OnMiddle).Width;

    /// <summary>A serif g, at first use. Reach 50 ms.</summary>
    [Benchmark]
    public int Centre_line_at_first_use() => CentreLine.Of(_outline, yUp: true).Count;

    [Benchmark]
    public double Centre_line_kept() => ShippedAlphabets.Library.Find("sturdy-serif-line")!.Find("g")!.Advance;

    /// <summary>Reach 1.5 s.</summary>
    [Benchmark]
    public double Two_hundred_names() => SetRule.Of(new Job("christmas-stocking", [new TextElement("w", "x")], new DateOnly(2027, 3, 1)),
        Names, Workshop.Default, ShippedAlphabets.Library).CapMm;

    [Benchmark]
    public int Ring_of_daisies_planned() => Planner.Make(new Job("cushion-cover", [new MotifElement("m", "daisy", Arrangement: "ring", Count: 7, Middle: true)], new DateOnly(2027, 3, 1)), Workshop.Default,
        ShippedAlphabets.Library).Route.Count;

    [Benchmark]
    public int All_motifs_drawn() => MotifLibrary.All.Sum(m => m.Draw().Parts.Count);
}
