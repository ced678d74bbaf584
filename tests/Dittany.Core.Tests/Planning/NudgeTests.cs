using Dittany.Core.Geometry;
using Dittany.Core.Hooping;
using Dittany.Core.Jobs;
using Dittany.Core.Planning;
using Dittany.Core.Words;

namespace Dittany.Core.Tests.Planning;

/// <summary>Where a ring does not go on by a strand or two, a few millimetres are offered before the hand or a strip of scrap.</summary>
public class NudgeTests
{
    private static Job At(string form, double xMm, double yMm) => new(form,
        [new TextElement("name", "Ann", CapHeightMm: 8, CentreMm: new Pt(xMm, yMm))], new DateOnly(2027, 3, 1));

    private static Plan Make(Job job) => Planner.Make(job, Workshop.Default, Library.Ours);

    private static bool OnScrap(Plan plan) => plan.Cautions.Any(c => c.Id == "hoop.hem");

    [Theory]
    [InlineData("tote", 190, 420 - 25)]
    [InlineData("tote", 190, 420 - 20)]
    [InlineData("t-shirt-adult", 0, 660 - 45)]
    [InlineData("napkin", 225, 450 - 35)]
    [InlineData("tea-towel", 250, 700 - 30)]
    [InlineData("handkerchief", 200, 400 - 30)]
    public void A_few_millimetres_are_offered_and_do_what_they_say(string form, double xMm, double yMm)
    {
        var job = At(form, xMm, yMm);
        var plan = Make(job);
        Assert.True(plan.Hooping.School == School.InHand || OnScrap(plan));
        var offer = Assert.Single(plan.Decisions.First(d => d.Id == "hoop.school").Offers!);
        Assert.StartsWith("Move the words", offer.Text.ToString(), StringComparison.Ordinal);
        var moved = Changes.Apply(job, new Change(offer.Member, offer.Value, string.Empty)).Job!;
        Assert.InRange(moved.Elements[0].CentreMm!.Value.To(new Pt(xMm, yMm)), 0.5, 10.5);
        var then = Make(moved);
        Assert.Equal(School.Hoop, then.Hooping.School);
        Assert.False(OnScrap(then));
        Assert.All(then.Decisions, d => Assert.Null(d.Offers));
    }

    /// <summary>What is further off is another place, and where a ring goes on nothing is offered.</summary>
    [Theory]
    [InlineData("tote", 190, 420 - 10)]
    [InlineData("tote", 190, 200)]
    public void Nothing_is_offered_where_it_would_not_help(string form, double xMm, double yMm) =>
        Assert.All(Make(At(form, xMm, yMm)).Decisions, d => Assert.Null(d.Offers));

    [Fact]
    public void Whoever_works_in_the_hand_is_offered_no_ring()
    {
        var habits = new Dictionary<string, string>(StringComparer.Ordinal) { ["hold"] = "in-hand" };
        var plan = Planner.Make(At("tote", 190, 395), Workshop.Default with { Habits = habits }, Library.Ours);
        Assert.All(plan.Decisions, d => Assert.Null(d.Offers));
    }
}
