using Dittany.Core.Decisions;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Jobs;

namespace Dittany.Core.Tests.Planning;

/// <summary>
/// Elements that run into each other are told of, with a place beside; each remedy does what it says, to the element it is for.
/// </summary>
public class CollidingTests
{
    private static readonly Pt Point = new(190, 210);

    private static Job Heap => new("tote", [new TextElement("ida", "Ida", CentreMm: Point, CapHeightMm: 20),
        new TextElement("max", "Max", CentreMm: Point, CapHeightMm: 20), new MotifElement("flower", "daisy", HeightMm: 40, CentreMm: Point)], Samples.Monday);

    /// <summary>Three elements on one point: two of them are told of, and moved as is offered none runs into another.</summary>
    [Fact]
    public void All_on_one_point_is_told_and_cured()
    {
        var job = Heap;
        var plan = Samples.Plan(job);
        Assert.Equal(["max", "flower"], plan.Elements.Where(e => e.Concerns.Any(c => c.What == "runs-into")).Select(e => e.Id));
        foreach (var id in new[] { "max", "flower" })
        {
            var element = Samples.Plan(job).Elements.Single(e => e.Id == id);
            var concern = element.Concerns.Single(c => c.What == "runs-into");
            Assert.NotEmpty(concern.Remedies);
            foreach (var remedy in concern.Remedies)
            {
                var at = remedy.CentreMm!.Value;
                var (changed, fault) = Changes.Apply(job, new Change(Changes.MemberOf(job, id, "centreMm"),
                    FormattableString.Invariant($"{at.X},{at.Y}"), "moved"));
                Assert.Null(fault);
                Assert.DoesNotContain(Samples.Plan(changed!).Elements.Single(e => e.Id == id).Concerns, c => c.What == "runs-into");
            }

            var first = concern.Remedies[0].CentreMm!.Value;
            job = Changes.Apply(job, new Change(Changes.MemberOf(job, id, "centreMm"), FormattableString.Invariant($"{first.X},{first.Y}"), "moved")).Job!;
        }

        Assert.DoesNotContain(Samples.Plan(job).Elements.SelectMany(e => e.Concerns), c => c.What == "runs-into");
    }

    /// <summary>What lies so on purpose is left alone: a layer given, words in a ring, words on a filled motif.</summary>
    [Fact]
    public void What_is_meant_is_not_told()
    {
        Job[] meant =
        [
            Heap with { Elements = [Heap.Elements[0], Heap.Motifs[0] with { Layer = -1 }] },
            Heap with { Elements = [Heap.Elements[0], new MotifElement("ring", "daisy", Arrangement: "ring", Count: 9, HeightMm: 180, CentreMm: Point)] },
            new("tote", [new TextElement("a", "Ida"), new TextElement("b", "Max")], Samples.Monday),
        ];
        Assert.All(meant, job => Assert.DoesNotContain(Samples.Plan(job).Elements.SelectMany(e => e.Concerns), c => c.What == "runs-into"));
    }

    /// <summary>A change of one element leaves the others alone, its choices too.</summary>
    [Fact]
    public void A_further_element_is_changed_alone()
    {
        var job = Heap with
        {
            Overrides = OverrideSet.Of(("words.size:max", "9"), ("hoop.school", "in-hand")),
            Elements = [Heap.Wordings[0], Heap.Wordings[1] with { CapHeightMm = null }, Heap.Motifs[0]]
        };
        var member = Changes.MemberOf(job, "max", "capHeightMm");
        Assert.Equal("capHeightMm", Changes.MemberOf(job, "ida", "capHeightMm"));
        var (changed, fault) = Changes.Apply(job, new Change(member, "14", "higher"));
        Assert.Null(fault);
        Assert.Equal((20.0, 14.0), (changed!.Wordings[0].CapHeightMm, changed.Wordings[1].CapHeightMm));
        Assert.Equal("14", Changes.Read(changed, member));
        Assert.DoesNotContain("words.size:max", changed.Overrides.Select(o => o.Key.ToString()));
        Assert.Equal("in-hand", changed.Overrides["hoop.school"]);
        Assert.NotNull(Changes.Apply(job, new Change("elements/nobody/colour", "#ffffff", "white")).Fault);
        Assert.Equal("26", Changes.Read(Changes.Apply(job, new Change("elements/flower/heightMm", "26", "lower")).Job!, "elements/flower/heightMm"));
    }
}
