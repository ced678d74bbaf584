using Dittany.Core.Decisions;
using Dittany.Core.Operations;
using Dittany.Core.Time;
using FsCheck.Fluent;

namespace Dittany.Core.Tests.Time;

public class TimingTests
{
    /// <summary>1 March 2027 is a Monday (proleptic Gregorian calendar).</summary>
    private static readonly DateOnly Monday = new(2027, 3, 1);

    private static Timed Settle(double stitching, double wait, Evenings evenings, DateOnly today, DateOnly? due)
    {
        var work = WorkOf(stitching, wait);
        return Timing.Settle(work, Left.After(work, null, 3, 0, today), evenings, today, due);
    }

    /// <summary>Operations of a piece that is marked, stitched, rinsed, dried for so many minutes and pressed in five.</summary>
    internal static IReadOnlyList<Operation> WorkOf(double stitching, double wait, double marking = 0, double rinsing = 0,
        Wait? afterMarking = null) => Work.Chain(
    [
        new("mark", OpKind.Mark, Station.Transfer, Place.Table, [new("marking", marking)], ["Mark it."], afterMarking),
        new("stitch", OpKind.Stitch, Station.Stitches, Place.Needle, [new("stitching", stitching)], []),
        new("rinse", OpKind.Remove, Station.Finish, Place.Sink, [new("rinsing", rinsing)], ["Rinse it."]),
        .. wait > 0 ? [new Operation("dry", OpKind.Dry, Station.Finish, Place.Line, [], ["Dry it."], new Wait(WaitKind.Drying, wait))]
            : Array.Empty<Operation>(),
        new("press", OpKind.Press, Station.Finish, Place.Iron, [new("pressing", 5)], ["Press it."]),
    ]);

    /// <summary>A print that was ironed on is cold in minutes: it is stitched the same evening. What hangs to dry is not.</summary>
    [Theory]
    [InlineData(WaitKind.Cooling, 0)]
    [InlineData(WaitKind.Soaking, 0)]
    [InlineData(WaitKind.Drying, 1)]
    public void Only_drying_keeps_from_the_same_evening(WaitKind kind, int days)
    {
        var work = WorkOf(30, 0, marking: 10, afterMarking: new Wait(kind, 5));
        var timed = Timing.Settle(work, Left.After(work, null, 3, 0, Monday), new Evenings(5, 60), Monday, null);
        Assert.Equal((Monday.AddDays(days), 5.0), (timed.ReadyOn, timed.WaitMinutes));
    }

    /// <summary>Worked by hand: washed and hung up on Monday, marked and stitched on Tuesday, pressed when that has dried too.</summary>
    [Fact]
    public void What_shrinks_is_washed_first_and_dries_before_anything_is_marked()
    {
        IReadOnlyList<Operation> work = Work.Chain([new("wash", OpKind.Wash, Station.Item, Place.Sink, [new("washing", 5)], ["Wash it."],
            new Wait(WaitKind.Drying, 600)), .. WorkOf(30, 360, marking: 10, rinsing: 10)]);
        var fresh = Left.After(work, null, 3, 0, Monday);
        Assert.Equal(Monday.AddDays(2), Timing.Settle(work, fresh, new Evenings(5, 60), Monday, null).ReadyOn);
        var washed = Left.After(work, new Done(WashedOn: Monday), 3, 0, Monday);
        Assert.Equal((Stage.Washed, 55.0, Monday.AddDays(1)), (washed.Stage, washed.LeftMinutes, washed.DryOn));
        Assert.Equal(Monday.AddDays(2), Timing.Settle(work, washed, new Evenings(5, 60), Monday, null).ReadyOn);
        Assert.Contains("washed and dry", Left.After(work, new Done(WashedOn: Monday), 3, 0, Monday.AddDays(1)).Told,
            StringComparison.Ordinal);
    }

    /// <summary>
    /// Worked by hand: 150 min at 60 an evening are three evenings, Monday to Wednesday; it dries overnight; pressing is Thursday's.
    /// </summary>
    [Fact]
    public void Work_is_laid_over_evenings_and_dries_between()
    {
        var timed = Settle(150, 6 * 60, new Evenings(5, 60), Monday, null);
        Assert.Equal(Monday.AddDays(3), timed.ReadyOn);
        Assert.Equal(155, timed.HandsOnMinutes);
        Assert.Null(timed.StartBy);
    }

    /// <summary>From Friday with five evenings a week the weekend is free.</summary>
    [Fact]
    public void Weekends_are_free_where_five_evenings_are_worked() =>
        Assert.Equal(Monday.AddDays(7), Settle(60, 60, new Evenings(5, 60), Monday.AddDays(4), null).ReadyOn);

    [Fact]
    public void Where_no_evening_is_worked_no_day_is_told()
    {
        var timed = Settle(60, 0, new Evenings(0, 60), Monday, Monday.AddDays(30));
        Assert.Null(timed.ReadyOn);
        Assert.Null(timed.StartBy);
        Assert.Contains("No evening", timed.Decisions[0].Choice, StringComparison.Ordinal);
    }

    /// <summary>What would make it fit is true: with evenings that long it is ready in time.</summary>
    [Fact]
    public void The_longer_evenings_that_would_do_really_do()
    {
        var late = Settle(300, 360, new Evenings(5, 60), Monday, Monday.AddDays(3));
        Assert.Contains("Evenings of 1 h 45 min would do.", late.Decisions[0].WouldChange[0], StringComparison.Ordinal);
        Assert.True(Settle(300, 360, new Evenings(5, 105), Monday, null).ReadyOn <= Monday.AddDays(3));
        Assert.False(Settle(300, 360, new Evenings(5, 90), Monday, null).ReadyOn <= Monday.AddDays(3));
    }

    [ManyTimes(100)]
    public FsCheck.Property Working_every_evening_is_never_slower() => Prop.ForAll(
        FsCheck.Fluent.Arb.From(
            from minutes in Gen.Choose(1, 900)
            from wait in Gen.Choose(0, 3000)
            from day in Gen.Choose(0, 20)
            select (minutes, wait, day)),
        input =>
        {
            DateOnly Ready(int week) => Settle(input.minutes, input.wait, new Evenings(week, 60), Monday.AddDays(input.day),
                null).ReadyOn!.Value;
            var daily = Ready(7);
            Assert.True(daily >= Monday.AddDays(input.day));
            Assert.All(Enumerable.Range(1, 6), week => Assert.True(Ready(week) >= daily));
        });
}
