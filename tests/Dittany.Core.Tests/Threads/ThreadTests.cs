using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Tests.Planning;
using Dittany.Core.Threads;

namespace Dittany.Core.Tests.Threads;

public class ThreadTests
{
    private static readonly Worn Nobody = Wearing.Settle(TeaTowel.Form, new StatedUse(null), true, false, _ => null);
    private static readonly Cutting Usual = Cut();

    private static Cutting Cut(string cut = "450", string start = "away-knot", string use = "single", int strands = 3, Worn? worn = null) =>
        CuttingRoom.Settle(new CuttingQuestion(cut, start, "weave", use, "halves", [strands], worn ?? Nobody, null, null, null));

    /// <summary>
    /// 45 cm less an away tail of 12 and a finish of 3 leaves 30 cm to stitch; a later length, that begins with 3 under stitches, 39
    /// (common practice).
    /// </summary>
    [Fact]
    public void Forty_five_leaves_thirty_at_first_and_thirty_nine_later() => Assert.Equal((300, 390), (Usual.FreshRunMm, Usual.RunMm));

    /// <summary>
    /// Skeins by hand: 3 strands make two bundles of a cut, so 17 runs are 9 cuts, 4.05 m: one skein; 4 strands waste two, so 17 runs are
    /// 17 cuts, 7.65 m, within 15 % of empty: two.
    /// </summary>
    [Theory]
    [InlineData(3, 17, 1)]
    [InlineData(4, 17, 2)]
    [InlineData(1, 60, 1)]
    [InlineData(6, 18, 2)]
    [InlineData(3, 0, 0)]
    public void Skeins_follow_from_cuts_and_splitting(int strands, int runs, int skeins) =>
        Assert.Equal(skeins, ThreadRoom.Sum(new(strands, "#000000"), [], runs, Math.Min(1, runs), runs, Usual, 0.5,
            "crewel-7").Skeins);

    /// <summary>
    /// By hand: 10 stitches of 2.5 mm with 5 mm behind in cloth of 0.5 mm: (25 + 50 + 10) × 1.1, the away-knot and the end of the first
    /// run, the beginning under stitches and the end of the second.
    /// </summary>
    [Fact]
    public void A_sum_by_hand()
    {
        var need = ThreadRoom.Sum(new(3, "#000000"), Enumerable.Repeat((2.5, 5.0, 2), 10).ToArray(), 2, 1, 2, Usual, 0.5,
            "crewel-7");
        Assert.Equal((25, 50), (need.FrontMm, need.BackMm));
        Assert.Equal((85 * 1.1) + 120 + 30 + 30 + 30, need.LengthMm, 1);
    }

    [Fact]
    public void Two_thicknesses_are_two_rows_with_a_needle_each()
    {
        var plan = Planning.Samples.Make(
            Samples.Towel() with
            {
                Elements = [new TextElement("one", "Bread", Strands: 3, Stitch: "backstitch"),
                new TextElement("two", "Salt", Strands: 1, Stitch: "backstitch")]
            }, Core.Jobs.Workshop.Default);
        Assert.Equal([3, 1], plan.Threads.Select(t => t.Strands));
        Assert.Equal(["crewel-7", "crewel-9"], plan.Threads.Select(t => t.Needle));
        Assert.Equal(plan.Route.Max(r => r.Run), plan.Threads.Sum(t => t.Runs));
    }

    [Theory]
    [InlineData("#c23b34", true)]
    [InlineData("#1b2050", true)]
    [InlineData("#f7f4ec", false)]
    [InlineData("#dddd88", false)]
    public void Reds_and_darks_may_run(string hex, bool runs) => Assert.Equal(runs, Palette.MayBleed(hex));

    /// <summary>
    /// Twelve strands are six folded: each cut is twice as long and takes all six of the skein, so 8 runs of 45 cm are 8 cuts of 90 cm, 7.2
    /// m, and what would be left is under 15 %: two skeins.
    /// </summary>
    [Fact]
    public void More_than_six_strands_are_folded()
    {
        var need = ThreadRoom.Sum(new(12, "#000000"), [], 8, 1, 8, Usual, 0.5, "chenille-22");
        Assert.Equal((2 * Usual.CutMm, 2), (need.CutMm, need.Skeins));
        Assert.Equal([1, 2, 3, 4, 5, 6, 8, 10, 12], Bundle.Plies);
        Assert.True(need.Thread.Folded && !new Core.Materials.Thread(6, "#000000").Folded);
    }

    /// <summary>
    /// A thread of twelve strands plans like any other: a large eye, its own cut, and it says that it is folded; seven strands are refused,
    /// and what would do is named.
    /// </summary>
    [Fact]
    public void A_folded_thread_plans_and_says_so()
    {
        var plan = Samples.Plan(Samples.On("tote", "M", w => w with { Strands = 12, Stitch = "stem", CapHeightMm = 60 }));
        Assert.Equal(("chenille-22", 12), (plan.Threads[0].Needle, plan.Threads[0].Strands));
        Assert.Contains("12 strands are half as many folded double", string.Join(' ', plan.Decision("thread.cut-length")!.Because),
            StringComparison.Ordinal);
        Assert.All(plan.Elements[0].Concerns.SelectMany(c => c.Remedies).Select(r => r.Strands).OfType<int>(), n =>
            Assert.Contains(n, Bundle.Plies));
        Assert.Contains("8, 10 or 12", Samples.Faults(Samples.On("tote", "M", w => w with { Strands = 7 }),
            Core.Jobs.Workshop.Default).Single().Try, StringComparison.Ordinal);
    }
}
