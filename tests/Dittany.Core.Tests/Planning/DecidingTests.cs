using Dittany.Core.Decisions;
using FsCheck;
using FsCheck.Fluent;

namespace Dittany.Core.Tests.Planning;

/// <summary>Decisions and the tables behind them: what is chosen, offered and ruled out, whoever chose.</summary>
public class DecidingTests
{
    private static readonly Choice[] Four = [new("a", "A first way"), new("b", "A second"), new("c", "A third"), new("d", "A fourth")];

    /// <summary>
    /// The choice that stands is offered nowhere and ruled out nowhere; every other is either offered or ruled out; hers is told with what
    /// ours would have been.
    /// </summary>
    [ManyTimes(200)]
    public Property Whoever_chose_it_is_told_whole() => Prop.ForAll(
        (from own in Gen.Choose(0, 3)
         from hers in Gen.Choose(-1, 3)
         from against in Gen.SubListOf(Four)
         select (own, hers, against)).ToArbitrary(),
        x =>
        {
            var ruledOut = x.against.Where(c => c != Four[x.own]).Select(c =>
                new RuledOut(c.ChoiceId, c.Text, ["It would not do."])).ToArray();
            var d = Deciding.Make("x.y", Station.Words, "Which", Four[x.own], x.hers < 0 ? null : Four[x.hers], ["It is so."], ["Other."],
                Four, ruledOut);
            var stands = x.hers < 0 ? Four[x.own] : Four[x.hers];
            var others = d.Alternatives.Select(a => a.ChoiceId).Concat(d.RuledOut.Select(r => r.ChoiceId)).Order(
                StringComparer.Ordinal).ToArray();
            return (d.ChoiceId == stands.ChoiceId && d.Overruled == x.hers >= 0
                && d.WouldHaveBeen == (x.hers < 0 ? null : Four[x.own].ChoiceId)
                && others.SequenceEqual(Four.Where(c => c != stands).Select(c => c.ChoiceId)) && d.Because[^1] == "It is so."
                && (x.hers < 0) == (d.Because.Count == 1) && (x.hers < 0
                    || d.Because[0].StartsWith("Your choice", StringComparison.Ordinal)))
                .Label(string.Join(' ', d.Because));
        });

    /// <summary>A habit decides until she takes it otherwise for one piece; what the habit would have made of it stays beside it.</summary>
    [Fact]
    public void A_habit_can_be_left_for_one_piece()
    {
        Decision Make(string habit) => Deciding.Make("x.y", Station.Thread, "Which", Four.First(c => c.ChoiceId == habit), null,
            [$"So is {habit}."], []);
        var usual = Deciding.ByHabit(Make, "b", null, Four);
        Assert.Equal(("b", false, null), (usual.ChoiceId, usual.Overruled, usual.WouldHaveBeen));
        Assert.Equal(["a", "c", "d"], usual.Alternatives.Select(a => a.ChoiceId));
        var hers = Deciding.ByHabit(Make, "b", "d", Four);
        Assert.Equal(("d", true, "b"), (hers.ChoiceId, hers.Overruled, hers.WouldHaveBeen));
        Assert.Equal(["Your choice; otherwise: a second.", "So is d."], hers.Because);
        Assert.Equal("Your choice; also the default.", Deciding.ByHabit(Make, "b", "b", Four).Because[0]);
    }

    private sealed record Facts(bool Wet, bool Dark);

    private static readonly Rule<Facts>[] Table =
    [
        new("wet suits b", "b", Verdict.Favours, 3, f => f.Wet, _ => "It is wet.", "from memory"),
        new("dark suits c", "c", Verdict.Favours, 2, f => f.Dark, _ => "It is dark.", "from memory"),
        new("dark is against b", "b", Verdict.Discourages, 2, f => f.Dark, _ => "It shows.", "from memory"),
        new("wet forbids a", "a", Verdict.RulesOut, 0, f => f.Wet, _ => "It would run.", "from memory"),
        new("wet suits a all the same", "a", Verdict.Favours, 9, f => f.Wet, _ => "It is quick.", "from memory"),
    ];

    /// <summary>
    /// The table by hand: weights add up, what is ruled out stands last whatever speaks for it and says only why not, ties go by id.
    /// </summary>
    [Theory]
    [InlineData(false, false, "a b c d", 0)]
    [InlineData(true, false, "b c d a", 3)]
    [InlineData(false, true, "c a d b", 2)]
    [InlineData(true, true, "c b d a", 2)]
    public void Rules_add_up(bool wet, bool dark, string order, int best)
    {
        var judged = RuleTable.Judge(["d", "c", "b", "a"], Table, new Facts(wet, dark));
        Assert.Equal(order.Split(' '), judged.Select(j => j.ChoiceId));
        Assert.Equal(best, judged[0].Rank);
        Assert.Equal(wet, judged[^1] is { RuledOut: true, Because: [var why] } && why == "It would run.");

        // Rules and choices in any order come to the same.
        Assert.Equal(judged.Select(j => (j.ChoiceId, j.Rank)),
            RuleTable.Judge(["a", "b", "c", "d"], Table.Reverse().ToArray(), new Facts(wet, dark)).Select(j => (j.ChoiceId, j.Rank)));
    }

    /// <summary>What nobody asked for is set aside, in one order; asking twice is asking once.</summary>
    [Fact]
    public void What_nobody_asks_for_is_set_aside()
    {
        var overrules = new HeardOverrides(OverrideSet.Of(("z.last", "1"), ("a.first", "2"), ("m.heard", "3")));
        Assert.Equal("3", overrules.For("m.heard"));
        Assert.Equal("3", overrules.For("m.heard"));
        Assert.Null(overrules.For("no.such"));
        Assert.Equal(["a.first", "z.last"], overrules.SetAside);
    }
}
