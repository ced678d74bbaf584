using Dittany.Core.Time;
using FsCheck;
using FsCheck.Fluent;

namespace Dittany.Core.Tests.Time;

public class DiaryTests
{
    private static readonly DateOnly Monday = new(2027, 3, 1);
    private static readonly Evenings Week = new(5, 60);

    /// <summary>Minutes of making, how many days it then hangs, and minutes of finishing.</summary>
    private static Demand Wanted(int id, double making, int days, double finishing, DateOnly? due) =>
        new(id, [new Leg(making, days), new Leg(finishing, 0, LegOf.Finishing)], due);

    /// <summary>
    /// Worked by hand: 90 min wanted Wednesday take Monday and half of Tuesday; the other, wanted later, has the rest of Tuesday and
    /// Wednesday.
    /// </summary>
    [Fact]
    public void What_is_wanted_first_is_worked_first_and_evenings_are_shared()
    {
        var laid = Diary.Lay([Wanted(1, 60, 0, 0, Monday.AddDays(10)), Wanted(2, 90, 0, 0, Monday.AddDays(2))], Week, Monday);
        Assert.Equal([new Stint(Monday, 60), new Stint(Monday.AddDays(1), 30)], laid[1].Stints);
        Assert.Equal([new Stint(Monday.AddDays(1), 30), new Stint(Monday.AddDays(2), 30)], laid[0].Stints);
        Assert.Equal(Monday.AddDays(2), laid[0].ReadyOn);
    }

    /// <summary>While one hangs to dry, another is worked; the finishing comes the day after.</summary>
    [Fact]
    public void What_dries_lets_another_in()
    {
        var laid = Diary.Lay([Wanted(1, 60, 1, 5, Monday.AddDays(3)), Wanted(2, 60, 0, 0, Monday.AddDays(9))], Week, Monday);
        Assert.Equal([new Hanging(Monday, Monday.AddDays(1))], laid[0].Hangs);
        Assert.Equal([new Stint(Monday, 60), new Stint(Monday.AddDays(1), 5, LegOf.Finishing)], laid[0].Stints);
        Assert.Equal([new Stint(Monday.AddDays(1), 55), new Stint(Monday.AddDays(2), 5)], laid[1].Stints);
    }

    /// <summary>One that cannot be in time even alone does not drag the others after it.</summary>
    [Fact]
    public void What_is_hopeless_gives_way()
    {
        var laid = Diary.Lay([Wanted(1, 600, 0, 0, Monday.AddDays(1)), Wanted(2, 60, 0, 0, Monday.AddDays(1))], Week, Monday);
        Assert.True(laid[0].Late);
        Assert.False(laid[1].Late);
    }

    [ManyTimes(100)]
    public Property No_evening_is_given_twice_and_all_work_is_laid() => Prop.ForAll(Demands(), demands =>
    {
        var laid = Diary.Lay(demands, Week, Monday);
        Assert.All(laid.SelectMany(l => l.Stints).GroupBy(s => s.Day), day =>
        {
            Assert.True(day.Sum(s => s.Minutes) <= Week.Minutes + 0.5);
            Assert.True(Timing.Worked(day.Key, Week));
        });
        Assert.All(demands.Zip(laid), pair =>
        {
            var (demand, lain) = pair;
            Assert.Equal(demand.Id, lain.Id);
            Assert.All(Enum.GetValues<LegOf>(), of => Assert.Equal(demand.Legs.Where(l => l.Of == of).Sum(l => l.Minutes),
                lain.Stints.Where(s => s.Of == of).Sum(s => s.Minutes), 0.5));
            Assert.Equal(lain.Stints.Select(s => s.Of).Order(), lain.Stints.Select(s => s.Of));

            // While it hangs nobody works at it.
            Assert.All(lain.Hangs, hangs => Assert.DoesNotContain(lain.Stints, s => s.Day > (hangs.From ?? Monday) && s.Day < hangs.DryOn));
            Assert.Equal(demand.Legs.Count(l => l.Minutes > 0 && l.DryDays > 0), lain.Hangs.Count);
            Assert.True(lain.ReadyOn >= Diary.Alone(demand, Week, Monday).ReadyOn);
        });
    });

    [ManyTimes(60)]
    public Property Longer_evenings_make_nothing_alone_later() => Prop.ForAll(Demands(), demands => Assert.All(demands, d =>
        Assert.True(Diary.Alone(d, Week with { Minutes = 90 }, Monday).ReadyOn <= Diary.Alone(d, Week, Monday).ReadyOn)));

    [Fact]
    public void Tonight_is_one_sentence_that_names_each_piece()
    {
        var work = TimingTests.WorkOf(60, 360, marking: 20, rinsing: 10);
        Laid Of(int id, string name, Done? done, DateOnly due)
        {
            var progress = Left.After(work, done, 4, done is { Runs: > 0 } d ? d.Runs / 4.0 : 0, Monday);
            var demand = Demand.Of(id, work, progress, due);
            return new Laid(name, demand, progress, Diary.Alone(demand, Week, Monday));
        }

        var towel = Of(1, "Herb towel", new Done(true, 4, Monday.AddDays(-1)), Monday.AddDays(2));
        var juniper = Of(2, "Juniper", new Done(true, 3), Monday.AddDays(5));
        Assert.Equal((Stage.ToFinish, 5.0), (towel.Progress.Stage, towel.Progress.LeftMinutes));
        Assert.Equal((Stage.OnTheHoop, 30.0), (juniper.Progress.Stage, juniper.Progress.LeftMinutes));
        var said = Tonight.Tell([towel, juniper], Week, Monday);
        Assert.Equal("Tonight: finish stitching Juniper, 25 min. Herb towel has dried and can be finished.",
            string.Concat(said.Select(s => s.Text)));
        Assert.Equal([2, 1], said.Where(s => s.Piece is not null).Select(s => s.Piece!.Value));
        Assert.Contains("On Monday 8 March: begin", string.Concat(Tonight.Tell(
            [Of(3, "Zoë", null, Monday.AddDays(20)) with { Lain = Diary.Alone(
            Demand.Of(3, work, Left.After(work, null, 4, 0, Monday), null), Week, Monday.AddDays(5)) }], Week,
            Monday.AddDays(5)).Select(s => s.Text)), StringComparison.Ordinal);
        Assert.Contains("no evening to work on", string.Concat(Tonight.Tell(
            [juniper with { Lain = Diary.Alone(juniper.Demand, new Evenings(0, 60), Monday) }], new Evenings(0, 60), Monday).Select(s =>
            s.Text)), StringComparison.Ordinal);
    }

    /// <summary>
    /// Where there is little room two pieces are named and the others counted; where there is room all are, and none twice.
    /// </summary>
    [Fact]
    public void On_a_narrow_screen_the_sentence_is_short()
    {
        var work = TimingTests.WorkOf(8, 0, marking: 0, rinsing: 0);
        var pieces = Enumerable.Range(1, 5).Select(id =>
        {
            var progress = Left.After(work, new Done(true, 1), 4, 0.25, Monday);
            var demand = Demand.Of(id, work, progress, Monday.AddDays(id + 3));
            return new Laid($"Piece {id}", demand, progress, Diary.Alone(demand, Week, Monday));
        }).ToArray();
        var said = Tonight.Tell(pieces, Week, Monday);
        string On(Screen screen) => string.Concat(said.Where(s => s.On == Screen.Any || s.On == screen).Select(s => s.Text));
        Assert.Equal(5, On(Screen.Wide).Split("Piece").Length - 1);
        Assert.Equal(2, On(Screen.Narrow).Split("Piece").Length - 1);
        Assert.EndsWith(", and 3 more.", On(Screen.Narrow), StringComparison.Ordinal);
        Assert.DoesNotContain("more", On(Screen.Wide), StringComparison.Ordinal);
    }

    private static Arbitrary<Demand[]> Demands() => Arb.From(
        from n in Gen.Choose(1, 6)
        from all in (from washing in Gen.Elements(0, 0, 5)
                     from making in Gen.Choose(0, 300)
                     from days in Gen.Elements(0, 1, 1, 2)
                     from finishing in Gen.Choose(0, 20)
                     from due in Gen.Choose(-2, 30)
                     select (washing, making, days, finishing, due)).ListOf(n)
        select all.Select((d, i) => new Demand(
            i + 1, [new Leg(d.washing, 1, LegOf.Washing), new Leg(d.making, d.days), new Leg(d.finishing, 0, LegOf.Finishing)], d.due < 0
                ? null : Monday.AddDays(d.due))).ToArray());
}
