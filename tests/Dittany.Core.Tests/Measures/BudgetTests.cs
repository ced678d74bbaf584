using Dittany.Core.Geometry;
using Dittany.Core.Measures;

namespace Dittany.Core.Tests.Measures;

/// <summary>A budget holds whatever is reckoned within it, geometry too; what is only tried out is never worth the plan.</summary>
public sealed class BudgetTests
{
    private static Region Star(int points, double at) => Region.Of(Enumerable.Range(0, points).Select(i =>
        new Pt(at + ((i % 2 == 0 ? 30 : 12) * Math.Cos(2 * Math.PI * i / points)), (i % 2 == 0 ? 30
            : 12) * Math.Sin(2 * Math.PI * i / points))).ToArray());

    [Fact]
    public void Every_call_of_the_geometry_is_spent_before_it_is_made()
    {
        Func<Region, Region, object?>[] calls =
        [
            (a, _) => a.Offset(1), (a, _) => a.OffsetCoarsely(-1), (a, b) => a.With(b), (a, b) => a.Without(b), (a, b) => a.Within(b),
            (a, b) => a.Without([b, b]), (a, b) => Region.All([a, b]), (a, b) => a.To(b), (a, b) => a.NearestTo(b), (a, _) =>
                a.Coarser(0.1),
            (a, _) => a.Filled(), (a, _) => a.Roomiest(2), (a, _) => Region.Along(a.Rings, 1), (a, _) => Region.Sound(a.Rings[0]),
            (a, _) => Region.Roughly(a.Rings[0], 0.1), (a, _) => Region.CrossingOf(a.Rings[0]), (a, _) => a.OutsideBy(new Pt(500, 500)),
            (a, _) => a.Nearest(new Pt(500, 500)), (a, b) => Polyline.Between(a.Rings[0], b.Rings[0]), (a, _) => a.Mapped(p => p * 2),
        ];
        var (one, other) = (Star(400, 0), Star(400, 20));
        Assert.All(calls, call => Assert.Throws<OverBudgetException>(() => new Budget(50).Within(() => call(one, other))));

        // Outside a plan nothing is counted.
        Assert.All(calls, call => call(one, other));
    }

    /// <summary>A jagged edge is dearer than a smooth one of as many points: its offsets cross each other.</summary>
    [Fact]
    public void A_jagged_edge_is_dearer_than_a_smooth_one()
    {
        static long Cost(Region area)
        {
            var budget = new Budget(long.MaxValue / 2);
            budget.Within(() => area.Offset(1));
            return (long.MaxValue / 2) - budget.Left;
        }

        var smooth = Region.Of(Enumerable.Range(0, 400).Select(i => new Pt(30 * Math.Cos(Math.PI * i / 200),
            30 * Math.Sin(Math.PI * i / 200)))
            .ToArray());
        Assert.True(Cost(Star(400, 0)) > 5 * Cost(smooth));
        Assert.InRange(Cost(smooth), 400, 400 * 200);
    }

    [Fact]
    public void What_is_tried_out_and_fails_is_no_way_and_is_kept_for_the_log()
    {
        var budget = new Budget(1_000_000);
        Assert.Equal("otherwise", budget.Within(() => Budget.Tried<string>(() => throw new InvalidOperationException("broken"), "otherwise")));
        Assert.Contains("broken", Assert.Single(budget.Troubles), StringComparison.Ordinal);
        Assert.True(budget.Within(() => Budget.Works(() => true)));
    }

    /// <summary>Trying out spends of the whole, and takes no more of it than its share: what is left is enough to end with.</summary>
    [Fact]
    public void What_is_tried_out_never_uses_up_the_plan()
    {
        var budget = new Budget(1_000_000);
        budget.Within(() =>
        {
            Assert.False(Budget.Works(() =>
            {
                while (true)
                {
                    Budget.Current.Spend(1000);
                }
            }));
            Assert.Empty(budget.Troubles);
            Assert.InRange(budget.Left, 700_000, 760_000);

            // Whoever holds the budget itself spends of the share too while something is tried out.
            Assert.False(Budget.Works(() =>
            {
                while (true)
                {
                    budget.Spend(1000);
                }
            }));
            Assert.InRange(budget.Left, 500_000, 600_000);
            return true;
        });
        Assert.Throws<OverBudgetException>(() => budget.Spend(1_000_000));
    }

    [Fact]
    public void What_is_no_longer_wanted_stops_also_while_it_is_tried_out()
    {
        using var stop = new CancellationTokenSource();
        var budget = new Budget(long.MaxValue / 2, stop.Token);
        stop.Cancel();
        Assert.Throws<OperationCanceledException>(() => budget.Within(() => Budget.Works(() =>
        {
            Budget.Current.Spend(100_000);
            return true;
        })));
    }

    /// <summary>What is kept for all is made by whoever is still wanted, and counted to nobody.</summary>
    [Fact]
    public async Task What_is_kept_is_made_by_the_next_where_the_first_is_no_longer_wanted()
    {
        var kept = new Kept<string, string>(10);
        using var stop = new CancellationTokenSource();
        var (begun, go) = (new TaskCompletionSource(), new TaskCompletionSource());
        var first = Task.Run(() => new Budget(1_000_000, stop.Token).Within(() => kept.Of("a", _ =>
        {
            begun.SetResult();
            go.Task.Wait();
            Budget.Current.Spend(100_000);
            return "first";
        })));
        await begun.Task;
        var budget = new Budget(1_000);
        var second = Task.Run(() => budget.Within(() => kept.Of("a", _ =>
        {
            Budget.Current.Spend(100_000);
            return "second";
        })));
        await stop.CancelAsync();
        go.SetResult();
        await Assert.ThrowsAnyAsync<OperationCanceledException>(() => first);
        Assert.Equal("second", await second);
        Assert.Equal(1_000, budget.Left);
    }
}
