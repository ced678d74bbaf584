using Dittany.Core.Decisions;
using Dittany.Core.Items;
using Dittany.Core.Threads;

namespace Dittany.Core.Tests.Threads;

/// <summary>
/// How threads are cut, begun and ended, over every habit, use and number of strands: what each school takes of a length, and what is never
/// left on skin.
/// </summary>
public class CuttingTests
{
    private static readonly string[] Washings = ["never", "by-hand", "sometimes", "often"];

    private static IEnumerable<CuttingQuestion> All() =>
        from cut in CuttingRoom.Cuts
        from start in CuttingRoom.Starts
        from finish in CuttingRoom.Finishes
        from use in CuttingRoom.Uses
        from strands in new[] { 1, 2, 3, 4, 6 }
        from washed in Washings
        from skin in new[] { false, true }
        select new CuttingQuestion(cut.ChoiceId, start.ChoiceId, finish.ChoiceId, use.ChoiceId, "halves", [strands],
            new Worn(skin ? "baby" : "nobody", skin, washed, "years", []), null, null, null);

    /// <summary>
    /// What a run can stitch is what is worked with less both tails; folded double, half of what is cut is worked with, and only an even
    /// number of strands can be folded.
    /// </summary>
    [Fact]
    public void A_length_is_used_up_whole()
    {
        foreach (var q in All())
        {
            var cutting = CuttingRoom.Settle(q);
            var folded = (q.HabitUse == "doubled" || q.HabitCut == "forearm") && q.Strands.Single() % 2 == 0;
            Assert.Equal(folded, cutting.Doubled);
            Assert.Equal(cutting.CutMm / (folded ? 2 : 1), cutting.WorkingMm);
            Assert.Equal(cutting.WorkingMm, Math.Max(cutting.FreshRunMm + cutting.Start.TailMm + cutting.Finish.TailMm, cutting.WorkingMm),
                9);
            Assert.Equal(cutting.WorkingMm, Math.Max(cutting.RunMm + cutting.Later.TailMm + cutting.Finish.TailMm, cutting.WorkingMm), 9);
            Assert.False(cutting.Later.Lump);
            Assert.True(cutting.Later.TailMm <= CuttingRoom.Under.TailMm);
            Assert.True(cutting.FreshRunMm >= 50);

            // Twice the forearm, folded, comes to 40 to 48 cm in use (common practice).
            if (q.HabitCut == "forearm")
            {
                Assert.InRange(cutting.WorkingMm, 400, 480);
            }
        }
    }

    /// <summary>
    /// Nothing that leaves a lump is begun or ended with on skin, no bow where it is washed, no loop on a single thread: the habit gives
    /// way, and why is told.
    /// </summary>
    [Fact]
    public void Habits_give_way_to_skin_and_wash()
    {
        foreach (var q in All())
        {
            var cutting = CuttingRoom.Settle(q);
            Assert.False(q.Worn.OnSkin && (cutting.Start.Lump || cutting.Finish.Lump));
            Assert.False(q.Worn.Washed != "never" && cutting.Finish.ChoiceId == "bow");
            Assert.False(!cutting.Doubled && cutting.Start.ChoiceId == "loop");
            Assert.Empty(cutting.Cautions);
            foreach (var (decision, habit) in new[] { ("thread.start", q.HabitStart), ("thread.finish", q.HabitFinish) })
            {
                var told = cutting.Decisions.Single(d => d.Id == decision);
                Assert.Equal(told.ChoiceId != habit, told.NotFollowed?.Any(b => b.Contains("your habit, is not followed", StringComparison.Ordinal)) == true);
                Assert.Equal(told.ChoiceId != habit, told.RuledOut.Any(r => r.ChoiceId == habit));
                Assert.DoesNotContain(told.Alternatives, a => told.RuledOut.Any(r => r.ChoiceId == a.ChoiceId));
            }
        }
    }

    /// <summary>
    /// What is woven in runs 2 to 3 cm under stitches and is trimmed, a later length begins with 3 cm under them, and an away-knot stands
    /// 10 to 12 cm off (common practice).
    /// </summary>
    [Fact]
    public void Tails_are_as_long_as_the_trade_leaves_them()
    {
        Assert.All(CuttingRoom.Finishes.Where(f => f.ChoiceId.Contains("weave", StringComparison.Ordinal)), f =>
            Assert.InRange(f.TailMm, 20, 30));
        Assert.Equal(30, CuttingRoom.Under.TailMm);
        Assert.InRange(CuttingRoom.Starts.Single(s => s.ChoiceId == "away-knot").TailMm, 100, 120);
        Assert.All(CuttingRoom.Starts.Concat(CuttingRoom.Finishes), e => Assert.False(string.IsNullOrEmpty(e.Source)));
    }

    /// <summary>Coated cloth keeps every needle hole (common practice): no away-knot there.</summary>
    [Fact]
    public void Coated_cloth_takes_no_away_knot()
    {
        var q = new CuttingQuestion("450", "away-knot", "weave", "single", "halves", [3], new Worn("nobody", false, "never", "years", []),
            null, null, null, Coated: true);
        var start = CuttingRoom.Settle(q).Decisions.Single(d => d.Id == "thread.start");
        Assert.Equal("trapped-tail", start.ChoiceId);
        Assert.Contains(start.RuledOut, r => r.ChoiceId == "away-knot"
            && r.Because[0].Contains("every needle hole", StringComparison.Ordinal));
    }

    /// <summary>
    /// How strands come apart (common practice): six part into three and three, one alone is drawn out, six are used as they come; and an
    /// odd number that cannot be folded offers the even ones beside it.
    /// </summary>
    [Theory]
    [InlineData(3, "three and three", "drawn out of")]
    [InlineData(1, "single strand straight up", "between the fingers")]
    [InlineData(2, "one at a time", "between the fingers")]
    public void Strands_come_apart_by_their_number(int strands, string told, string untold)
    {
        var q = new CuttingQuestion("450", "away-knot", "weave", "doubled", "halves", [strands],
            new Worn("nobody", false, "never", "years", []), null, null, null);
        var because = string.Join(' ', CuttingRoom.Settle(q).Decisions[0].Because);
        Assert.Contains(told, because, StringComparison.Ordinal);
        Assert.DoesNotContain(untold, because, StringComparison.Ordinal);
        var unfolded = string.Join(' ', CuttingRoom.Settle(q).Decisions[0].NotFollowed ?? []);
        Assert.Equal(strands % 2 == 1, unfolded.Contains(strands == 1 ? "Take 2 instead" : "Take 2 or 4 instead", StringComparison.Ordinal));
        Assert.DoesNotContain("Part the end", string.Join(' ', CuttingRoom.Settle(q with { Threads = [6] }).Decisions[0].Because),
            StringComparison.Ordinal);
    }

    /// <summary>What she overrules is done, told with its harm, and stopped where it would lie on skin.</summary>
    [Theory]
    [InlineData(true, "knot", "weave", Severity.Stop)]
    [InlineData(false, "loop", "weave", Severity.Caution)]
    [InlineData(false, "away-knot", "bow", Severity.Caution)]
    [InlineData(false, "away-knot", "weave", null)]
    public void What_she_overrules_is_done_and_told(bool skin, string start, string finish, Severity? told)
    {
        var q = new CuttingQuestion("450", "away-knot", "weave", "single", "halves", [3],
            new Worn(skin ? "baby" : "nobody", skin, "often", "years", []), 700, start, finish);
        var cutting = CuttingRoom.Settle(q);
        Assert.Equal((700, start, finish), (cutting.CutMm, cutting.Start.ChoiceId, cutting.Finish.ChoiceId));
        Assert.Equal(told, cutting.Cautions.Count == 0 ? null : cutting.Cautions.Max(c => c.Severity));
        Assert.All(cutting.Decisions, d => Assert.True(d.Overruled));
        Assert.Equal("450", cutting.Decisions[0].WouldHaveBeen);
    }

    /// <summary>Thread needed grows with every stitch, tail and layer of cloth, and is nothing where nothing is stitched.</summary>
    [ManyTimes(100)]
    public void More_work_wants_more_thread(byte stitches, byte runs, byte thickness)
    {
        var cutting = CuttingRoom.Settle(All().First(q => q.HabitCut == "450" && q.HabitUse == "single"));
        ThreadNeed Of(int n, int r, double t) => ThreadRoom.Sum(new(3, "#000000"), Enumerable.Repeat((2.5, 5.0, 2), n).ToArray(),
            r, Math.Min(r, 1), r, cutting, t, "crewel-7");
        var (n, r, t) = ((int)stitches, runs % 40, thickness / 50.0);
        var need = Of(n, r, t);
        Assert.True(Of(n + 1, r, t).LengthMm > need.LengthMm);
        Assert.True(Of(n, r + 1, t).LengthMm > need.LengthMm && Of(n, r + 1, t).Skeins >= need.Skeins);
        Assert.True(Of(n, r, t + 0.2).LengthMm >= need.LengthMm);
        Assert.Equal(0, Of(0, 0, t).LengthMm);
        Assert.Equal(0, Of(0, 0, t).Skeins);
    }
}
