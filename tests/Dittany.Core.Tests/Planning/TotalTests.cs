using System.Collections.Concurrent;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Laws;
using Dittany.Core.Materials;
using Dittany.Core.Planning;
using Dittany.Core.StitchBook;
using Dittany.Core.Words;

namespace Dittany.Core.Tests.Planning;

/// <summary>
/// A plan is total: whatever cloth, thread, stitch and motif come together, and however small the letters are, a plan comes of it in which
/// everything is told, and nothing that was tried out for it failed by a fault of ours.
/// </summary>
[Trait("Lane", "long")]
public sealed class TotalTests
{
    /// <summary>
    /// One of each kind of motif: a line, an outline, shapes over each other with a line and a point on them; as plain as can be, so that
    /// thousands
    /// of them are soon made. Every rule of cloth, thread and stitch is asked all the same.
    /// </summary>
    private static readonly (string Kind, Figure Figure)[] Kinds =
    [
        ("line", new Figure([Line("stem", new(0, 0), new(9, 4))])),
        ("outline", new Figure([Square("outline", 0, 6)])),
        ("layers", new Figure([Square("petal", 0, 6), Square("centre", 1, 3) with { Layer = 1 }, Line("vein", new(0, 0), new(6, 0)),
            FigurePart.Dot("dot", new Pt(2, 2))])),
    ];

    private static FigurePart Line(string role, Pt a, Pt b) => new(role, FigureKind.Line, new Stroke([Curve.Line(a, b)], false));

    private static FigurePart Square(string role, double at, double side) => new(role, FigureKind.Shape,
        Stroke.Ring([new(at, at), new(at + side, at), new(at + side, at + side), new(at, at + side)]));

    private const double HighMm = 9;

    [Fact]
    public void Every_cloth_thread_stitch_and_kind_of_motif_has_a_plan()
    {
        var jobs = from cloth in Cloths.All
                   from thread in ThreadKinds.All
                   from stitch in Book.Lines.Select(s => (string?)s.Id).Append(null)
                   from kind in Kinds
                   select new Job("tea-towel", [new MotifElement("m", "own", HeightMm: HighMm, Stitch: stitch,
                           Drawing: new OwnDrawing(kind.Kind, kind.Figure)) { Thread = thread.Id }], Samples.Monday,
                               Fabric: new FabricOverrides(Kind: cloth.Id));
        All(jobs.Where(j => Samples.Faults(j, Workshop.Default).Count == 0).ToArray(), 15_000);
    }

    /// <summary>Small and cramped letters in each of our hands and every stitch: few have room for two holes.</summary>
    [Fact]
    public void The_smallest_letters_have_a_plan_in_every_stitch()
    {
        var jobs = from hand in Library.Ours.Alphabets
                   from stitch in Book.Lines.Select(s => (string?)s.Id).Append(null)
                   from cap in new[] { 2.0, 3, 4.5 }
                   from words in new[] { "Zoë", "i.8&", "Mimi & Łucja" }
                   where words.All(l => l == ' ' || hand.Has(l.ToString()))
                   select Samples.Towel(words, w => w with { Alphabet = hand.Id, Stitch = stitch, CapHeightMm = cap });
        All(jobs.ToArray(), 700);
    }

    private static void All(IReadOnlyList<Job> jobs, int atLeast)
    {
        Assert.InRange(jobs.Count, atLeast, int.MaxValue);
        var wrong = new ConcurrentQueue<string>();
        Parallel.ForEach(jobs, job =>
        {
            try
            {
                var plan = Samples.Plan(job);
                foreach (var trouble in plan.Troubles.Concat(Untold(plan)).Concat(AllLaws.Broken(job, Workshop.Default, plan).Select(b =>
                    b.ToString())).Take(1))
                {
                    wrong.Enqueue($"{Named(job)}: {trouble}");
                }
            }
            catch (Exception e)
            {
                wrong.Enqueue($"{Named(job)}: {e}");
            }
        });
        Assert.True(wrong.IsEmpty, $"{wrong.Count} of {jobs.Count}: {wrong.FirstOrDefault()}");
    }

    private static string Named(Job job) => job.Motifs.Select(m =>
        $"{m.Drawing?.Name} in {m.Stitch ?? "what suits it"}, {m.Thread}, on {job.Fabric?.Kind}").Concat(job.Wordings.Select(e =>
        $"{e.Text} in {e.Alphabet}, {e.Stitch}, {e.CapHeightMm}")).First();

    /// <summary>Sentences that are none.</summary>
    private static IEnumerable<string> Untold(Plan plan)
    {
        foreach (var decision in plan.Decisions)
        {
            var said = decision.Because.Concat(decision.WouldChange).Concat(decision.NotFollowed ?? []).Append(decision.Choice)
                .Concat(decision.Alternatives.Select(a => a.Text)).Concat(decision.RuledOut.SelectMany(r => r.Because.Append(r.Text)));
            if (said.Any(s => string.IsNullOrWhiteSpace(s?.ToString())))
            {
                yield return $"{decision.Id} is not told";
            }
        }

        foreach (var (work, step) in plan.Work.SelectMany(w => w.Steps.Select(s => (w, s))))
        {
            if (string.IsNullOrWhiteSpace(step?.ToString()))
            {
                yield return $"{work.Id} has a step that is not told";
            }
        }
    }
}
