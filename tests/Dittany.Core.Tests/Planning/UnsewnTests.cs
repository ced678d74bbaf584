using Dittany.Core.Decisions;
using Dittany.Core.Hooping;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Planning;
using Dittany.Core.Route;
using Dittany.Core.Words;

namespace Dittany.Core.Tests.Planning;

/// <summary>What is not sewn together yet is stitched flat and cut out after (common practice); inside a neck the back is seen.</summary>
public class UnsewnTests
{
    private static readonly DateOnly Monday = new(2027, 3, 1);

    private static Plan Of(string form, bool sewn, string? zone = null) => Planner.Make(
        new Job(form, [new TextElement("name", "Ida")], Monday, Zone: zone,
            Overrides: sewn ? null : OverrideSet.Of(("item.sewn", "not-sewn"))),
        Workshop.Default, Library.Ours);

    public static TheoryData<string> ByPattern() => [.. Catalogue.Forms.Where(f => f.ByPattern).Select(f => f.Id)];

    [Theory]
    [MemberData(nameof(ByPattern))]
    public void What_is_not_sewn_yet_is_cut_drawn_stitched_flat_and_cut_out(string form)
    {
        var (sewn, flat) = (Of(form, true), Of(form, false));
        Assert.DoesNotContain(sewn.Work, o => o.Id == "make-up");
        Assert.Equal("make-up", flat.Work[^1].Id);
        var ids = flat.Work.Select(o => o.Id).ToList();
        Assert.True(ids.IndexOf("cut") < ids.IndexOf("stitch") || ids.IndexOf("cut") == 0);
        Assert.Equal(School.Hoop, flat.Hooping.School);
        Assert.False(flat.Item.Cloth.Lined);

        // Nothing is turned, slipped into a tube or found by a seam that is not there.
        var told = flat.Decisions.SelectMany(d => d.Because.Prepend(d.Choice)).Concat(flat.Space.Finding.Select(s => s.Text))
            .Concat(flat.Work.SelectMany(o => o.Steps)).Select(t => t.ToString()).ToArray();
        Assert.DoesNotContain(told, t => t.Contains("inside out", StringComparison.Ordinal) || t.Contains("It goes in by", StringComparison.Ordinal)
            || t.Contains("front layer only", StringComparison.Ordinal) || t.Contains("stuffed", StringComparison.Ordinal)
            || t.Contains("side seam ", StringComparison.Ordinal) && !t.Contains("side seam line", StringComparison.Ordinal));
        Assert.All(flat.Elements, e => Assert.Equal(sewn.Elements[0].CapHeightMm, e.CapHeightMm, 6));
    }

    /// <summary>What is bought is asked no such question.</summary>
    [Fact]
    public void Only_what_is_sewn_by_a_pattern_is_asked()
    {
        Assert.Null(Of("scarf", true).Decision("item.sewn"));
        Assert.Contains(Of("scarf", false).SetAside, s => s.Contains("item.sewn", StringComparison.Ordinal));
    }

    [Theory]
    [InlineData("t-shirt-adult")]
    [InlineData("t-shirt-child")]
    public void Inside_a_neck_the_back_is_seen(string form)
    {
        var plan = Of(form, true, "inside-neck");
        var caution = Assert.Single(plan.Cautions, c => c.Id == "the-back-is-seen");
        Assert.Contains(plan.Work, o => o.Cautions?.Contains(caution.Id) == true);
        Assert.All(plan.Route.Where(r => r.FloatKind == FloatKind.Straight), r =>
            Assert.InRange(r.FloatMm, 0, FloatRules.BackSeenMm + 1e-9));
        Assert.DoesNotContain(Of(form, true).Cautions, c => c.Id == "the-back-is-seen");
    }
}
