using Dittany.Core.Geometry;
using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Route;
using Dittany.Core.Tests.Planning;
using Dittany.Core.Threads;

namespace Dittany.Core.Tests.Route;

/// <summary>
/// Threads begun and cut on whole jobs of many kinds, beside what cannot be undercut: of each thread as many as its stitches fill, and one
/// at least for every stretch that no lawful way behind leads to (common practice: a hand uses its needleful up, and an end costs minutes).
/// </summary>
public class ThreadEconomyTests
{
    private static readonly Dictionary<string, Job> Kinds = new(StringComparer.Ordinal)
    {
        ["name, upright hand"] = Samples.On("baby-bodysuit", "Zoë"),
        ["two rows, upright hand"] = Samples.On("baby-bodysuit", "Little\nPebble"),
        ["name, joined hand"] = Samples.On("tea-towel", "Henrietta", w => w with { Alphabet = "joined-hand" }),
        ["name, plain capitals"] = Samples.On("tote", "WILHELMINE", w => w with { Alphabet = "plain-capitals", CapHeightMm = 25 }),
        ["long wording"] = Samples.On("tea-towel", "Bread and butter", w => w with { CapHeightMm = 18 }),
        ["monogram"] = Samples.On("napkin", "MB", w => w with { CapHeightMm = 22 }),
        ["sprig"] = Motif("leaf-sprig", 70),
        ["sprig of fifteen leaves"] = Motif("olive-branch", 90),
        ["daisy"] = Motif("daisy", 60),
        ["ring of daisies"] = new Job("tea-towel", [new MotifElement("ring", "daisy", HeightMm: 120, Arrangement: "ring", Count: 8,
                Colour: "#8f3a67")], Samples.Monday),
        ["flowers in a row"] = new Job("cushion-cover", [new MotifElement("row", "flower-stem", HeightMm: 60, Arrangement: "row", Count: 3)], Samples.Monday),
        ["block with three motifs"] = new Job("quilt-block", [new MotifElement("a", "daisy", HeightMm: 50, CentreMm: new Pt(70, 70)),
            new MotifElement("b", "leaf-sprig", HeightMm: 60, CentreMm: new Pt(180, 80)),
            new MotifElement("c", "heart", HeightMm: 40, CentreMm: new Pt(120, 190))], Samples.Monday),
    };

    public static TheoryData<string> All() => [.. Kinds.Keys];

    [Theory]
    [MemberData(nameof(All))]
    public void Few_more_threads_than_must_be(string kind)
    {
        var plan = Samples.Make(Kinds[kind], Workshop.Default);
        var ends = plan.Threads.Sum(t => t.Runs);
        var least = plan.Threads.Sum(t => Least(plan, t));
        Assert.True(ends <= Math.Ceiling(least * 1.2), $"{kind}: {ends} threads where {least} must be");
        var parts = plan.Elements.ToDictionary(e => e.Id, e => e.Parts, StringComparer.Ordinal);
        var used = plan.Route.Sum(r => Routing.Use(parts[r.Element][r.Part].Stitches[r.Stitch], r.BackMm,
            plan.Item.Cloth.ThicknessMm)) * Cutting.TakeUp;
        var cut = plan.Threads.Sum(t => t.Cuts * t.CutMm);
        Assert.True(used <= 2000 || cut <= 2 * used, $"{kind}: {cut} mm cut for {used} mm used");
    }

    /// <summary>
    /// In the order of work: lines that a lawful way leads to from where the needle may be after the line before, whichever ways both are
    /// worked, are one stretch, and each stretch takes as many threads as its stitches fill; one that begins where nothing is stitched yet
    /// holds less by what its first tail is longer.
    /// </summary>
    private static int Least(Plan plan, ThreadNeed need)
    {
        var parts = plan.Elements.ToDictionary(e => e.Id, e => e.Parts, StringComparer.Ordinal);
        var thickness = plan.Item.Cloth.ThicknessMm;
        var hop = plan.Route.Where(r => r.FloatKind == FloatKind.Straight).Select(r => r.FloatMm).DefaultIfEmpty(5).Max();
        var (stretches, under) = (new List<double>(), new List<Core.Stitches.Needle.Stitch>());
        var left = new Dictionary<int, Pt[]>();
        foreach (var line in plan.Route.GroupBy(r => (r.Hoop, r.Element, r.Part)))
        {
            var part = parts[line.Key.Element][line.Key.Part];
            if (part.Thread == need.Thread)
            {
                var piece = new Piece(string.Empty, 0, 0, string.Empty, line.Key.Hoop, part.Stitches,
                    Core.StitchBook.Book.Find(part.Stitch)!.Reverses);
                if (!Reaches(left.GetValueOrDefault(line.Key.Hoop) ?? [], Ways.For(piece).Select(w => w.Start(piece)).ToArray()))
                {
                    stretches.Add(line.First().Fresh ? CuttingRoom.Starts[0].TailMm - CuttingRoom.Under.TailMm : 0);
                }

                stretches[^1] += line.Sum(r => Routing.Use(part.Stitches[r.Stitch], r.BackMm, thickness)) * Cutting.TakeUp;
                left[line.Key.Hoop] = Ways.For(piece).Select(w => w.End(piece)).ToArray();
            }

            under.AddRange(part.Stitches);
        }

        return stretches.Sum(s => (int)Math.Ceiling(s / (need.CutMm - CuttingRoom.Under.TailMm - CuttingRoom.Finishes[0].TailMm)));

        bool Reaches(Pt[] from, Pt[] to)
        {
            if (from.Length == 0)
            {
                return false;
            }

            return from.Any(a => to.Any(b => a.To(b) <= hop) || Carry.Shortest(a, to,
                under.Select(s => (s.FromMm, s.ToMm)).ToArray(), hop, Routing.MostCarriedMm).Any(w => w
                is not null));
        }
    }

    private static Job Motif(string id, double high) =>
        new("tea-towel", [new MotifElement("motif", id, HeightMm: high)], Samples.Monday);
}
