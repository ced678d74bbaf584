using System.Text.Json;
using System.Text.Json.Serialization;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Planning;

namespace Dittany.Core.Tests.Planning;

/// <summary>Every school really changes the plan, and the slip that tells of it says so.</summary>
[Trait("Lane", "long")]
public class HabitTests
{
    /// <summary>
    /// For each habit a job on which its choices matter: capitals large enough for every stitch, a knit, a lining, a dark cloth, even
    /// strands.
    /// </summary>
    private static readonly Dictionary<string, Job> Scenes = new(StringComparer.Ordinal)
    {
        ["size"] = Samples.Towel("Seas"),
        ["letter-stitch"] = Samples.Towel("Seas", w => w with { CapHeightMm = 22 }),
        ["split-strands"] = Samples.Towel("Seas", w => w with { CapHeightMm = 15, Stitch = "split" }),
        ["chain-strands"] = Samples.Towel("HILT", w => w with { CapHeightMm = 30, Stitch = "chain" }),
        ["stitch-size"] = Samples.Towel("HILT", w => w with { CapHeightMm = 40, Stitch = "backstitch" }),
        ["stem-side"] = Samples.Towel("Seas", w => w with { CapHeightMm = 15, Stitch = "stem" }),
        ["whip-side"] = Samples.Towel("Oo", w => w with { CapHeightMm = 20, Stitch = "whipped-backstitch" }),
        ["dots"] = Samples.Towel("iris", w => w with { CapHeightMm = 11, Strands = 2, Stitch = "backstitch" }),
        ["knot-wraps"] = Samples.Towel("iris", w => w with { CapHeightMm = 25, Strands = 2 }),
        ["knot-hole"] = Samples.Towel("iris", w => w with { CapHeightMm = 20 }),
        ["needle-action"] = Samples.On("baby-bodysuit"),
        ["hand"] = Samples.Towel(overrules: [("transfer.method", "cut-out"), ("transfer.marker", "chalk")]),
        ["jumps"] = Samples.On("baby-bodysuit", "Wilhelmina", w => w with { CapHeightMm = 15, Stitch = "split" }),
        ["marker"] = Samples.On("napkin"),
        ["tension"] = Samples.Towel(),
        ["layers"] = Samples.On("tote") with { Size = "38x42-lined" },
        ["strand-use"] = Samples.Towel(with: w => w with { Strands = 2 }),
        ["start"] = Samples.Towel(with: w => w with { Strands = 2 }),
        ["fill"] = Flowers,
        ["lying"] = new("tea-towel", [new MotifElement("m", "striped-bee", HeightMm: 50)], Samples.Monday),
        ["evenness"] = Flowers,
        ["motif-first"] = Flowers,
        ["motif-rounds"] = Flowers,
        ["needles-threaded"] = new("tea-towel", [new MotifElement("row", "flower-stem", HeightMm: 60, Arrangement: "row", Count: 2),
            new MotifElement("bee", "striped-bee", HeightMm: 40), new MotifElement("bird", "songbird", HeightMm: 60)], Samples.Monday),
        ["cut-length"] = Samples.Towel(with: w => w with { Strands = 2 }),
    };

    private static Job Flowers => new("tea-towel", [new MotifElement("row", "flower-stem", HeightMm: 60, Arrangement: "row", Count: 2)], Samples.Monday);

    public static TheoryData<string> All() => [.. Habits.All.Select(h => h.Id)];

    [Theory]
    [MemberData(nameof(All))]
    public void Every_choice_of_a_habit_makes_another_plan(string id)
    {
        var habit = Habits.Find(id)!;
        var job = Scenes.TryGetValue(id, out var scene) ? scene : Samples.Towel("Seas", w => w with { CapHeightMm = 11 });

        // A folded start wants a folded thread, tension wants both kinds of cloth and dots both heights to tell three schools apart.
        (string, string)[] beside = id == "start" ? [("strand-use", "doubled")] : [];
        Job[] jobs = id switch
        {
            "tension" => [job, Samples.On("baby-bodysuit")],
            "fill" => [job, Scenes["lying"]],
            "dots" => [job, Samples.Towel("iris", w => w with { CapHeightMm = 20, Strands = 2, Stitch = "backstitch" })],
            _ => [job],
        };
        var plans = habit.Choices.Select(c => jobs.Select(j => Told(j, [.. beside, (id, c.ChoiceId)])).ToArray()).ToArray();
        Assert.Equal(habit.Choices.Count, plans.Select(p =>
            string.Join('|', p.Select(x => x.Body))).Distinct(StringComparer.Ordinal).Count());
        Assert.All(plans.SelectMany(p => p), p => Assert.NotNull(p.Plan.Decision(habit.ToldAt)));
        Assert.Contains(habit.Default, habit.Choices.Select(c => c.ChoiceId));
    }

    private static readonly JsonSerializerOptions Whole = new()
    {
        NumberHandling = JsonNumberHandling.AllowNamedFloatingPointLiterals,
        Converters = { new Words() }
    };

    /// <summary>What is told is written as it reads.</summary>
    private sealed class Words : JsonConverter<Core.Measures.Told>
    {
        public override Core.Measures.Told Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
            throw new NotSupportedException();

        public override void Write(Utf8JsonWriter writer, Core.Measures.Told value, JsonSerializerOptions options) =>
            writer.WriteStringValue(value.ToString());
    }

    /// <summary>The plan with everything in it, written out.</summary>
    private static (Plan Plan, string Body) Told(Job job, (string, string)[] habits)
    {
        var plan = Samples.Make(job, Samples.With(habits));
        return (plan, JsonSerializer.Serialize(plan, Whole));
    }

    /// <summary>Split by halves wants an even number (a school of the trade); any number will do otherwise.</summary>
    [Theory]
    [InlineData("any", 3)]
    [InlineData("even", 4)]
    public void Split_strands_by_school(string school, int strands) =>
        Assert.Equal(strands, Samples.Make(Scenes["split-strands"], Samples.With(("split-strands", school))).Threads[0].Strands);

    /// <summary>Chain: four in general and six on dark, busy cloth, or two and three (two schools of the trade).</summary>
    [Theory]
    [InlineData("two-or-three", "#f1ede2", false, 3)]
    [InlineData("four", "#f1ede2", false, 4)]
    [InlineData("four", "#20242c", true, 6)]
    public void Chain_strands_by_school(string school, string colour, bool busy, int strands)
    {
        var job = Scenes["chain-strands"] with { Fabric = new FabricOverrides(Colour: colour, Busy: busy) };
        Assert.Equal(strands, Samples.Make(job, Samples.With(("chain-strands", school))).Threads[0].Strands);
    }

    /// <summary>Twice the forearm folded double leaves 40 to 48 cm in use (common practice), and half the strands are cut.</summary>
    [Fact]
    public void Twice_the_forearm_is_folded()
    {
        var plan = Samples.Make(Samples.Towel(with: w => w with { Strands = 2 }), Samples.With(("cut-length", "forearm"), ("start", "loop")));
        Assert.InRange(plan.Threads[0].CutMm / 2, 400, 480);
        Assert.Equal("loop", plan.Decision("thread.start")!.ChoiceId);
        Assert.Contains("1 strand of", string.Join(' ', plan.Decision("thread.cut-length")!.Because), StringComparison.Ordinal);
    }

    /// <summary>A loop start wants a fold there is none of with three strands: another start is taken, and it says why.</summary>
    [Fact]
    public void A_habit_that_cannot_be_followed_is_told()
    {
        var job = Samples.Towel(with: w => w with { Strands = 3 });
        var plan = Samples.Make(job, Samples.With(("start", "loop"), ("strand-use", "doubled")));
        var start = plan.Decision("thread.start")!;
        Assert.Equal("away-knot", start.ChoiceId);
        var told = Assert.Single(start.NotFollowed!);
        Assert.Contains("folded", told, StringComparison.Ordinal);
        Assert.Contains(told.ToString(), plan.SetAside);
        Assert.Empty(plan.Idle);

        // A habit she never settled is none that could be set aside.
        Assert.Empty(Samples.Make(job, Workshop.Default).NotFollowed);
    }

    /// <summary>
    /// On a baby's skin no knot is left at the back, whatever the habit (common practice); an overrule that does is carried out with a
    /// stop.
    /// </summary>
    [Fact]
    public void No_lump_on_skin()
    {
        var plan = Samples.Make(Samples.On("baby-bodysuit"), Samples.With(("finish", "knot"), ("start", "knot")));
        Assert.Equal("weave", plan.Decision("thread.finish")!.ChoiceId);
        Assert.Equal("away-knot", plan.Decision("thread.start")!.ChoiceId);
        var stopped = Samples.Make(Samples.On("baby-bodysuit", overrules: ("thread.finish", "knot")), Workshop.Default);
        Assert.Equal("knot", stopped.Decision("thread.finish")!.ChoiceId);
        Assert.Contains(stopped.Cautions, c => c.Severity == Decisions.Severity.Stop && c.Text.Contains("lump", StringComparison.Ordinal));
    }

    /// <summary>A left hand on chalk works the last letter first (from memory), and only on a line that wipes.</summary>
    [Fact]
    public void A_left_hand_works_backwards_on_chalk_alone()
    {
        Assert.Equal("last-letter-first", Samples.Make(Scenes["hand"], Samples.With(("hand", "left"))).Decision("order.parts")!.ChoiceId);
        Assert.Equal("writing-order", Samples.Make(Samples.Towel(), Samples.With(("hand", "left"))).Decision("order.parts")!.ChoiceId);
    }
}
