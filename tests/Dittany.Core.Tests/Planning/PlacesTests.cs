using Dittany.Core.Decisions;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Operations;
using Dittany.Core.Planning;
using Dittany.Core.Telling;
using Dittany.Core.Time;
using FsCheck.Fluent;

namespace Dittany.Core.Tests.Planning;

/// <summary>
/// Several places on one piece: each planned for itself, all of it one order of work; what stands is added to and not moved.
/// </summary>
public class PlacesTests
{
    private static readonly Job Shirt = new("t-shirt-child",
        [new TextElement("name", "Mia"), new TextElement("secret", "Mum") { Zone = "inside-neck" }, new MotifElement("flower", "daisy", HeightMm: 26) { Zone = "sleeve" }], Samples.Monday,
        Overrides: OverrideSet.Of(("fabric.kind", "cotton-jersey"), ("words.size", "12"), ("stitch.outline@sleeve", "backstitch")));

    private static Job With(Job job, params (string Id, string Choice)[] choices) => job with
    {
        Overrides = OverrideSet.Of([.. job.Overrides, .. choices.Select(c => ((DecisionKey)c.Id, c.Choice))]),
    };

    private static string Told(Job job) => System.Text.Json.JsonSerializer.Serialize(new
    {
        job.Form,
        job.Zone,
        job.Standing,
        Words = job.Wordings.Select(e => (e.Id, e.Text, e.Zone).ToString()),
        Motifs = job.Motifs.Select(m => (m.Id, m.Motif, m.Zone).ToString()),
        Choices = job.Overrides.Select(o => $"{o.Key}={o.Choice}").Order(StringComparer.Ordinal),
    });

    private static List<string> StitchesOf(Plan plan) => plan.Elements.SelectMany(e => e.Parts.SelectMany(p => p.Stitches.Select(s =>
        $"{e.Id} {s.FromMm.X:0.###} {s.FromMm.Y:0.###} {s.ToMm.X:0.###} {s.ToMm.Y:0.###}"))).ToList();

    /// <summary>
    /// Taken apart and put together again a job is what it was, whichever place is taken out; choices go where they belong.
    /// </summary>
    [Fact]
    public void Places_are_taken_apart_and_put_together_again()
    {
        var stood = Places.Add(Places.Stand(Shirt), "sleeve", "Ida", null);
        foreach (var job in new[] { Shirt, Samples.Towel(), stood, With(Shirt, ("space.zone", "centre-chest")), Shirt with { Zone = "back" } })
        {
            Assert.All(Places.Of(job), place => Assert.Equal(Told(job), Told(Places.Put(job, place, place.Job))));
        }

        var places = Places.Of(Shirt);
        Assert.Equal(["left-chest", "inside-neck", "sleeve"], places.Select(p => p.Key));
        Assert.Equal("backstitch", places[2].Job.Overrides["stitch.outline"]);
        Assert.DoesNotContain("words.size", places[1].Job.Overrides.Select(o => o.Key.ToString()));
        Assert.All(places, p => Assert.Equal("cotton-jersey", p.Job.Overrides["fabric.kind"]));
    }

    /// <summary>
    /// A place on a face of its own is stitched as if the others were not there; what is washed, rinsed and pressed is done once, and
    /// thread,
    /// minutes and lengths are those of all.
    /// </summary>
    [Fact]
    public void Each_place_is_its_own_and_all_are_one_work()
    {
        var plan = Samples.Plan(Shirt);
        Assert.Equal("Mia, Mum and a daisy, on a child's T-shirt", plan.Title);
        Assert.Equal(3, plan.Places.Count);
        Assert.Equal(plan.Places.Select(p => p.Plan.Space.Zone), plan.Places.Select(p => p.Zone));
        Assert.Equal("sleeve", plan.At("sleeve").Space.Face.Id);
        Assert.All(Places.Of(Shirt), p => Assert.Equal(StitchesOf(Samples.Plan(p.Job)), StitchesOf(plan.At(p.Key))));

        Assert.Single(plan.Work, o => o.Kind == OpKind.Wash);
        Assert.Single(plan.Work, o => o.Id == "rinse");
        Assert.Single(plan.Work, o => o.Kind == OpKind.Press);
        Assert.Equal(3, plan.Work.Count(o => o.Kind == OpKind.Stitch));
        Assert.Equal(plan.Work.Count, plan.Work.Select(o => o.Id).Distinct().Count());
        Assert.Equal(plan.Work.Skip(1).Select((o, i) => plan.Work[i].Id), plan.Work.Skip(1).Select(o => o.After!.Single()));
        Assert.Empty(Conflicts.In(plan.Work));
        Assert.True(plan.Time.HandsOnMinutes < plan.Places.Sum(p => p.Plan.Time.HandsOnMinutes) - 10);
        Assert.True(plan.Time.HandsOnMinutes > plan.Places.Max(p => p.Plan.Time.HandsOnMinutes));

        // Each stitch once, lengths counted through without a gap, thread the sum of all.
        Assert.Equal(plan.Elements.Sum(e => e.Parts.Sum(p => p.Stitches.Count)), plan.Route.Select(r => (r.Element, r.Part, r.Stitch))
            .Distinct().Count());
        Assert.Equal(Enumerable.Range(1, plan.Route[^1].Run), plan.Route.Select(r => r.Run).Distinct());
        Assert.Equal(plan.Places.Sum(p => p.Plan.Threads.Sum(t => t.LengthMm)), plan.Threads.Sum(t => t.LengthMm), 3);
        Assert.Equal(plan.Route[^1].Run, plan.Threads.Sum(t => t.Runs));
        Assert.Equal(plan.Threads.Count, plan.Threads.Select(t => (t.Thread, t.Needle)).Distinct().Count());

        // Every step at the needle once, in the order of the lengths.
        var steps = NeedleSteps.Of(plan, Samples.Monday);
        Assert.Equal(Enumerable.Range(1, plan.Route[^1].Run), steps.Where(s => s.Length is not null).Select(s => s.Length!.Run));
        Assert.Equal(steps.Count, steps.Select(s => s.Id).Distinct(StringComparer.Ordinal).Count());
    }

    /// <summary>
    /// Heat sets a mark that only water takes out: a place that is ironed on comes before one that is drawn in such a pen is marked. Where
    /// each would harm the other, that is said.
    /// </summary>
    [Fact]
    public void No_place_spoils_the_marks_of_another()
    {
        var towel = new Job("tea-towel", [new TextElement("name", "Ida"), new MotifElement("leaf", "leaf-sprig", HeightMm: 40) { Zone = "middle" }], Samples.Monday, Fabric: new FabricOverrides("linen"));
        Assert.NotEqual("middle", Places.UsualZone(towel));
        var plan = Samples.Plan(With(towel, ("transfer.method", "light-trace"), ("transfer.marker", "water-erasable"), ("transfer.method@middle", "hot-iron")));
        var at = plan.Work.Select((o, i) => (o, i)).Where(o => o.o.Kind == OpKind.Mark)
            .ToDictionary(o => o.o.Id, o => o.i);
        Assert.True(at["iron-on@middle"] < at["mark"]);
        Assert.Empty(Conflicts.In(plan.Work));
        Assert.Contains(plan.Decision("order.places")!.Because, b => b.Contains("heat sets a mark", StringComparison.Ordinal));
        Assert.Equal(["name", "leaf"], plan.Route.Select(r => r.Element).Distinct());
        Assert.DoesNotContain(plan.Cautions, c => c.Id == "places-hurt");
    }

    /// <summary>A place that is added later moves no stitch; what stands is left its room, and no ring lies on its knots.</summary>
    [Fact]
    public void What_is_added_moves_nothing()
    {
        var name = Shirt with { Elements = [Shirt.Elements[0]], Overrides = OverrideSet.None, Done = new Done(true, 1) };
        var was = Samples.Plan(name);
        var more = Places.Add(name, "sleeve", null, new MotifElement(string.Empty, "daisy"));
        var now = Samples.Plan(more);
        Assert.Null(CompletedWorkGuard.Fault(name, was, more, now));
        Assert.Equal(StitchesOf(was), StitchesOf(now.At("left-chest")));
        Assert.Equal((Stage.OnTheHoop, 1), (now.Time.Progress.Stage, now.Time.Progress.RunsDone));
        Assert.Equal(1, now.At("left-chest").Time.Progress.RunsDone);
        Assert.Equal(0, now.At("sleeve").Time.Progress.RunsDone);

        // Finished, and grown at the same zone: it stands, and what is new keeps off it.
        var done = name with { Done = new Done(true, 99, Finished: true) };
        var grown = Places.Add(Places.Stand(done), "left-chest", "Ida", null);
        Assert.Empty(Samples.Faults(grown, Workshop.Default));
        var plan = Samples.Plan(grown);
        Assert.Equal(["left-chest.1", "left-chest"], plan.Places.Select(p => p.Key));
        Assert.Equal(StitchesOf(was), StitchesOf(plan.At("left-chest.1")));
        Assert.Equal(["words-1"], plan.Elements.Select(e => e.Id));
        Assert.Equal(Stage.Planned, plan.Time.Progress.Stage);
        Assert.Equal(plan.At("left-chest").Work.Count(o => o.Kind == OpKind.Stitch), plan.Work.Count(o => o.Kind == OpKind.Stitch));
        var there = was.Elements[0].Parts.SelectMany(p => p.LineMm).ToArray();
        var room = plan.At("left-chest").Elements[0].Parts.SelectMany(p => p.LineMm).ToArray();
        Assert.True(plan.Elements[0].OverflowsMm <= 0, string.Join(' ', plan.Elements[0].Concerns.Select(c => c.Text)));
        Assert.True(room.Min(p => there.Min(q => p.To(q))) >= 4, "what is new runs into what stands");
        Assert.NotNull(CompletedWorkGuard.Fault(grown, plan, With(grown, ("words.size@left-chest.1", "9")), Samples.Plan(With(grown, ("words.size@left-chest.1", "9")))));
    }

    /// <summary>Knots that stand up keep rings off; flat stitches let a ring lie on them.</summary>
    [Fact]
    public void No_ring_lies_on_knots_that_stand()
    {
        var knots = new Job("tote", [new MotifElement("flower", "daisy", HeightMm: 40) { ByPart = [new PartAsked("centre", null, "french-knot")] }], Samples.Monday,
            Overrides: OverrideSet.Of(("stitch.fill", "french-knot")));
        var grown = Places.Add(Places.Stand(knots), "lower", "Ida", null);
        var plan = Samples.Plan(grown);
        var obstacle = Assert.Single(plan.At("lower").Space.Obstacles, o => o.Kind is ObstacleKind.Knotted or ObstacleKind.Stitched);
        Assert.Equal(ObstacleKind.Knotted, obstacle.Kind);
        foreach (var hoop in plan.At("lower").Hooping.Hoops)
        {
            var away = obstacle.Ring.Select(p => p.To(hoop.CentreMm)).ToArray();
            Assert.True(away.Min() > hoop.HoopMm / 2 || away.Max() < hoop.HoopMm / 2, $"{away.Min()} to {away.Max()} under a ring of {hoop.HoopMm}");
        }
    }

    /// <summary>What makes no sense is named where it stands, with what would do.</summary>
    [Theory]
    [InlineData("knee", null, "#/elements/1/zone", "has no zone 'knee'")]
    [InlineData("sleeve", "hoop.size@back", "#/overrules/hoop.size@back", "Nothing of this piece lies at 'back'")]
    [InlineData("sleeve", "fabric.kind@sleeve", "#/overrules/fabric.kind@sleeve", "belongs to the whole piece")]
    [InlineData("sleeve", "hoop.sise@sleeve", "#/overrules/hoop.sise@sleeve", "There is no decision")]
    public void What_makes_no_sense_is_told(string zone, string? overrule, string pointer, string told)
    {
        var job = new Job("t-shirt-child", [new TextElement("name", "Mia"), new MotifElement("flower", "daisy") { Zone = zone }], Samples.Monday);
        job = overrule is null ? job : With(job, (overrule, "102"));
        var fault = Assert.Single(Samples.Faults(job, Workshop.Default));
        Assert.Equal(pointer, fault.Pointer);
        Assert.Contains(told, fault.Detail, StringComparison.Ordinal);
        Assert.NotEmpty(fault.Try);
    }

    /// <summary>What stands without being there, twice over, or wholly.</summary>
    [Theory]
    [InlineData("nobody", "There is no element 'nobody'")]
    [InlineData("name name", "stands there twice over")]
    [InlineData("name flower", "nothing is left to plan")]
    public void What_cannot_stand_is_told(string ids, string told)
    {
        var job = new Job("t-shirt-child", [new TextElement("name", "Mia"), new MotifElement("flower", "daisy")], Samples.Monday)
            with
        { Standing = [ids.Split(' ')] };
        Assert.Contains(told, Assert.Single(Samples.Faults(job, Workshop.Default)).Detail, StringComparison.Ordinal);
    }

    /// <summary>A settled place is named by the element where it is stated twice.</summary>
    [Fact]
    public void A_choice_stated_twice_points_into_the_whole_job()
    {
        var job = With(Shirt.With(Shirt.Motifs[0].Id, e => e with { Stitch = "stem" }));
        var fault = Assert.Single(Samples.Faults(job, Workshop.Default));
        Assert.Equal("#/overrules/stitch.outline@sleeve", fault.Pointer);
        Assert.Contains("#/elements/2/stitch", fault.Detail, StringComparison.Ordinal);
    }

    /// <summary>
    /// Changes of one place leave the others alone; the main one taken away hands its part to the next; a place moved onto another is
    /// refused.
    /// </summary>
    [Fact]
    public void One_place_is_changed_alone()
    {
        var (job, fault) = Changes.Apply(Shirt, new Change("@sleeve/overrules/hoop.school", "in-hand", "in the hand"));
        Assert.Null(fault);
        Assert.Equal("in-hand", job!.Overrides["hoop.school@sleeve"]);
        Assert.Equal("in-hand", Changes.Read(job, "@sleeve/overrules/hoop.school"));
        (job, _) = Changes.Apply(job!, new Change("@inside-neck/text", "Dad", "words"));
        Assert.Equal("Dad", job!.Wordings[1].Text);
        (job, _) = Changes.Apply(job!, new Change("@sleeve/fabric.colour", "#ffffff", "white"));
        Assert.Equal("#ffffff", job!.Fabric!.Colour);

        Assert.Null(Changes.Apply(job!, new Change("@sleeve/overrules/space.zone", "inside-neck", "there")).Job);
        (var moved, fault) = Changes.Apply(job!, new Change("@sleeve/overrules/space.zone", "back", "there"));
        Assert.Null(fault);
        Assert.Equal("back", moved!.Motifs[0].Zone);
        Assert.Equal("in-hand", moved.Overrides["hoop.school@back"]);

        (var less, fault) = Changes.Apply(job!, new Change("places", "inside-neck sleeve", "away"));
        Assert.Null(fault);
        Assert.Equal(["inside-neck", "sleeve"], Places.Of(less!).Select(p => p.Key));
        Assert.Equal("inside-neck", less!.Zone);
        Assert.Equal("cotton-jersey", less.Overrides["fabric.kind"]);
        Assert.DoesNotContain("words.size", less.Overrides.Select(o => o.Key.ToString()));
        Assert.Empty(Samples.Faults(less, Workshop.Default));
        Assert.NotNull(Changes.Apply(job!, new Change("places", "", "away")).Fault);
    }

    /// <summary>
    /// Whatever the item, the cloth and the habits: with something more at each other zone every place keeps to its own room and off what
    /// is
    /// stitched before it, the work is in an order that harms none of them or says so, and what is done of it is counted through all.
    /// </summary>
    [ManyTimes(14)]
    public FsCheck.Property Places_go_together() => Prop.ForAll(Samples.Any(), input =>
    {
        var (job, workshop) = input;
        var zones = job.FormUsed!.Zones.Where(z => z.Id != Places.UsualZone(job)).Take(2).ToArray();
        foreach (var zone in zones)
        {
            job = Places.Add(job, zone.Id, null, new MotifElement(string.Empty, "heart", HeightMm: 14));
        }

        var plan = Samples.Make(job, workshop);
        Assert.Equal(zones.Length == 0 ? 0 : zones.Length + 1, plan.Places.Count);
        Assert.Equal(Conflicts.In(plan.Work).Count > 0, plan.Cautions.Any(c => c.Id is "places-hurt" or "crafts-hurt"));
        Assert.Equal(plan.Elements.Sum(e => e.Parts.Sum(q => q.Stitches.Count)), plan.Route.Count);
        foreach (var place in plan.Places)
        {
            var field = place.Plan.Space.FieldMm;
            Assert.All(place.Plan.Space.Obstacles.Where(o => o.Kind is ObstacleKind.Stitched or ObstacleKind.Knotted), o =>
                Assert.DoesNotContain(o.Ring, p => field.Any(ring => Region.Of(ring).Offset(-0.01).Holds(p)) && !field.Skip(1)
                    .Any(hole => Region.Of(hole).Holds(p))));
            var half = Samples.Make(job with { Done = new Done(true, place.RunsBefore) }, workshop);
            Assert.All(half.Places, p => Assert.Equal(p.RunsBefore < place.RunsBefore ? p.Plan.Threads.Sum(n => n.Runs) : 0,
                p.Plan.Time.Progress.RunsDone));
        }
    });
}
