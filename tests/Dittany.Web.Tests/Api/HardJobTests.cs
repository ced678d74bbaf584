using System.Text.Json;
using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Formats.Alphabets;
using Dittany.Formats.Json;

namespace Dittany.Web.Tests.Api;

/// <summary>
/// Jobs that once ran away, answered with a crash, or took minutes: each is a plan within its budget, or is refused in a sentence. A plan
/// that does not end is stopped after a minute and fails here.
/// </summary>
public sealed class HardJobTests
{
    private static readonly TimeSpan Longest = TimeSpan.FromMinutes(1);

    private static ReadJob Read(string name) => JobJson.Read(File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, "Hard", $"{name}.json")),
        new DateOnly(2027, 3, 1), Workshop.Default, ShippedAlphabets.Library);

    private static Plan Made(ReadJob job)
    {
        using var stop = new CancellationTokenSource(Longest);
        return Planner.Make(job.Job!, job.Workshop!, ShippedAlphabets.Library, stop.Token);
    }

    [Theory]
    [InlineData("two-colours-of-one-name")]
    [InlineData("line-without-length")]
    [InlineData("wool-in-stem-on-lawn")]
    [InlineData("tiny-letters")]
    [InlineData("scribbled-shape-400")]
    [InlineData("scribbled-shape-1000")]
    public void A_hard_job_has_a_plan_that_can_be_told(string name)
    {
        var job = Read(name);
        Assert.Empty(job.Faults);
        var plan = Made(job);
        Assert.InRange(plan.Steps, 1, Budget.OfAPlan);
        Assert.Empty(plan.Troubles);
        Assert.NotEmpty(plan.Route);
        using var told = JsonDocument.Parse(PlanJson.Write(job.Job!, job.Workshop!, plan));
        Assert.Equal(plan.Elements.Count, told.RootElement.GetProperty("elements").GetArrayLength());
    }

    [Theory]
    [InlineData("sprayed-badge")]
    [InlineData("scribble-beside-words")]
    [InlineData("balloon-of-eyelets")]
    [InlineData("long-words-in-outline")]
    public void What_is_more_than_a_plan_holds_is_refused_or_planned_within_its_budget(string name)
    {
        var job = Read(name);
        try
        {
            Assert.InRange(Made(job).Steps, 1, Budget.OfAPlan);
        }
        catch (UnplannedException e)
        {
            Assert.False(e.Ours);
            Assert.NotEmpty(e.Fault.Try);
        }
    }

    /// <summary>Seventy letters through a stencil are a plan, and take less than half of what a plan may.</summary>
    [Fact]
    public void Seventy_sprayed_letters_are_a_plan()
    {
        var words = "Bread and salt and a merry heart\nbe with you all the days of our long life";
        Assert.InRange(words.Count(char.IsLetter), 55, 75);
        var plan = Planner.Make(new Job("tote", [new TextElement("name", words) { Craft = "paint" }], new DateOnly(2027, 3, 1)), Workshop.Default,
            ShippedAlphabets.Library);
        Assert.NotEmpty(plan.CraftParts);
        Assert.InRange(plan.Steps, 1, (long)(0.8 * Budget.OfAPlan));
    }

    /// <summary>Colours that go by one name are still two threads.</summary>
    [Fact]
    public void Two_colours_of_one_name_are_two_threads()
    {
        var plan = Made(Read("two-colours-of-one-name"));
        Assert.True(plan.Threads.Select(t => t.Colour).Distinct().Count() > 1);
        Assert.Equal(plan.Threads.Count, plan.Threads.Select(t => t.Thread.Id).Distinct().Count());
    }
}
