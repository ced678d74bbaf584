using System.Collections.Concurrent;
using Dittany.Core.Crafts;
using Dittany.Core.Decisions;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Laws;
using Dittany.Core.Materials;
using Dittany.Core.Operations;
using Dittany.Core.Planning;
using Dittany.Core.Tests.Planning;
using Dittany.Core.Transfer;

namespace Dittany.Core.Tests.Laws;

/// <summary>
/// What every plan keeps, over every form with every cloth, thread, craft and way of marking, one at a time and several at once. That heat
/// sets ink, melts metallic thread (ISO 3758: one dot, 110 °C) and that fresh paint is not washed are facts of the trade.
/// </summary>
[Trait("Lane", "long")]
public class LawTests
{
    private const int Rounds = 1_500;

    /// <summary>
    /// Random jobs: form, cloth, use, thread, crafts of two elements, method, marker, support, press and tools all by chance.
    /// </summary>
    [Fact]
    public void No_plan_breaks_a_law()
    {
        var wrong = new ConcurrentQueue<string>();
        var made = 0;
        Parallel.For(0, Rounds, i =>
        {
            var (job, workshop) = Any(new Random(i));
            if (Samples.Faults(job, workshop).Count > 0)
            {
                return;
            }

            Plan plan;
            try
            {
                plan = Samples.Make(job, workshop);
            }
            catch (UnplannedException)
            {
                return;
            }

            Interlocked.Increment(ref made);
            foreach (var breach in AllLaws.Broken(job, workshop, plan))
            {
                wrong.Enqueue($"{i}, {job.Form} of {plan.Item.Cloth.Kind.Name}: {breach}");
            }
        });
        Assert.True(made > Rounds * 2 / 3, $"only {made} of {Rounds} were made");
        Assert.True(wrong.IsEmpty, $"{wrong.Count}: {string.Join(Environment.NewLine, wrong.Take(12))}");
    }

    private static T Pick<T>(Random random, IReadOnlyList<T> from) => from[random.Next(from.Count)];

    private static (Job Job, Workshop Workshop) Any(Random random)
    {
        var form = Pick(random, Catalogue.Forms);
        string? Craft() => random.Next(3) == 0 ? Pick(random, AllCrafts.Ids) : null;
        string? Thread() => random.Next(3) == 0 ? Pick(random, ThreadKinds.All).Id : null;
        var overrides = OverrideSet.None;
        void Wish(string id, IReadOnlyList<string> of)
        {
            if (random.Next(4) == 0)
            {
                overrides = overrides.With(id, Pick(random, of));
            }
        }

        Wish("transfer.method", Methods.All.Select(m => m.Id).ToArray());
        Wish("transfer.marker", Inks.All.Select(m => m.Id).ToArray());
        Wish("transfer.stabiliser", StabiliserRules.All.Select(s => s.ChoiceId).ToArray());
        Wish("finish.press", Dittany.Core.Finishing.FinishRoom.Presses.Select(p => p.ChoiceId).ToArray());
        var job = new Job(form.Id, [new TextElement("w", "Oda") { Thread = Thread(), Craft = Craft() }, .. random.Next(2) == 0
            ? [new MotifElement("m", "heart", HeightMm: 20) { Thread = Thread(), Craft = Craft() }] : Array.Empty<JobElement>()], Samples.Monday,
            Fabric: random.Next(2) == 0 ? new FabricOverrides(Pick(random, Cloths.All).Id) : null, Overrides: overrides)
        {
            Use = random.Next(3) == 0 ? new StatedUse(Washed: Pick(random, Wearing.Washings).ChoiceId) : null,
        };
        var workshop = random.Next(4) == 0 ? Workshop.Default with { Equipment = Workshop.Default.Equipment.Where(e => e != "iron").ToArray() }
            : Workshop.Default;
        return (job, workshop);
    }

    private static Job Towel(string thread) => new("tea-towel", [new TextElement("w", "Oda") { Thread = thread }], Samples.Monday,
        Fabric: new FabricOverrides("linen"));

    /// <summary>A law that finds nothing on what is wrong would be none: each is asked of a plan that was spoilt by hand.</summary>
    [Fact]
    public void A_law_finds_what_is_spoilt()
    {
        var job = Towel("metallic");
        var plan = Samples.Plan(job);
        Assert.Empty(AllLaws.Broken(job, Workshop.Default, plan));
        var hot = plan with { Work = plan.Work.Select(o => o.Id == "press" ? o with { Iron = new Ironing(IronLimit.ThreeDots, true) } : o).ToArray() };
        Assert.Equal(["one heat", "one heat", "one heat", "in order"], AllLaws.Broken(job, Workshop.Default, hot).Select(b => b.Law));
        var wet = plan with { Work = plan.Work.Select(o => o.Water is null ? o : o with { Water = new Watering(60) }).ToArray() };
        Assert.All(AllLaws.Broken(job, Workshop.Default, wet), b => Assert.Equal("one water", b.Law));
        Assert.NotEmpty(AllLaws.Broken(job, Workshop.Default, wet));
        var paint = new Operation("x/paint", OpKind.Paint, Core.Decisions.Station.Stitches, Place.Table, [], []) { Leaves = [Trace.FreshPaint] };
        Assert.Contains(AllLaws.Broken(job, Workshop.Default, plan with { Work = [paint, .. plan.Work] }), b => b.Law == "in order");
    }

    /// <summary>
    /// The weakest of thread and cloth (10 to 15 degrees of a home iron apart, ISO 3758): metallic and wool with acrylic one dot and no
    /// steam, wool two dots, cotton what the cloth bears; the pre-wash is no hotter than the wash that stays.
    /// </summary>
    [Theory]
    [InlineData("metallic", 110, false, Cleaning.ByHand)]
    [InlineData("wool-blend", 110, false, Cleaning.ByHand)]
    [InlineData("wool", 150, true, Cleaning.ByHand)]
    [InlineData("cotton", 200, true, Cleaning.Machine)]
    public void The_weakest_decides(string thread, int ironC, bool steam, Cleaning clean)
    {
        var plan = Samples.Plan(Towel(thread));
        Assert.Equal((ironC, steam, clean), (plan.Care.IronC, plan.Care.Steam, plan.Care.Clean));
        var press = plan.Work.Single(o => o.Id == "press");
        Assert.Equal(ironC, press.Iron!.MostC);
        Assert.Contains(press.Steps, s => s.Contains($"{ironC} °C", StringComparison.Ordinal));
        Assert.All(plan.Work.Where(o => o.Kind == OpKind.Wash), o => Assert.Equal(clean == Cleaning.ByHand ? 30 : 40, o.Water!.MostC));
    }

    /// <summary>Wool felts where it is rubbed or tumbled (common practice): no step of the plan does what its care forbids.</summary>
    [Theory]
    [InlineData("by-hand")]
    [InlineData("machine")]
    public void No_step_does_what_care_forbids(string filmOut)
    {
        var job = new Job("cushion-cover", [new TextElement("w", "for the cook") { Thread = "wool" }], Samples.Monday);
        var plan = Samples.Make(job, Workshop.Default with { Habits = new Dictionary<string, string>(StringComparer.Ordinal) { ["film-out"] = filmOut } });
        Assert.True(plan.Transfer.Stabiliser.Has("film-on-top"));
        Assert.True(plan.Care is { NoRubbing: true, Flat: true });
        var steps = plan.Work.Where(o => o.At == Core.Decisions.Station.Finish).SelectMany(o => o.Steps).ToArray();
        Assert.DoesNotContain(steps, s => s.Contains("rubbing", StringComparison.Ordinal) || s.Contains("achine", StringComparison.Ordinal)
            || s.Contains("on a line", StringComparison.Ordinal));
        Assert.Equal("by-hand", plan.Decision("finish.removal")!.ChoiceId);
        Assert.Equal(filmOut == "machine", plan.Decision("finish.removal")!.NotFollowed is { Count: 1 });
    }

    /// <summary>The weaker of two in everything, in whatever order they are asked: and of one with itself nothing changes.</summary>
    [Fact]
    public void The_weaker_of_two_does_not_hang_on_their_order()
    {
        var all = ThreadKinds.All.Select(t => Care.Of([t.Care])).Concat([Care.Free]).ToArray();
        Assert.All(all, one => Assert.All(all, other =>
        {
            var (a, b) = (one.And(other), other.And(one));
            Assert.Equal((a.Clean, a.WashC, a.Iron, a.Steam), (b.Clean, b.WashC, b.Iron, b.Steam));
            Assert.Equal(one, one.And(one));
            Assert.True(a.IronC <= one.IronC && a.WashC <= one.WashC && a.Clean >= one.Clean);
        }));
    }
}
