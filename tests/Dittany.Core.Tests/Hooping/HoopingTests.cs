using Dittany.Core.Geometry;
using Dittany.Core.Hooping;
using FsCheck.Fluent;

namespace Dittany.Core.Tests.Hooping;

public class HoopingTests
{
    /// <summary>
    /// Never fewer than the bound, never more than one too many against every way to divide the units (exhaustive up to six units).
    /// </summary>
    [ManyTimes(60)]
    public FsCheck.Property Greedy_stays_near_the_exact_minimum() => Prop.ForAll(
        FsCheck.Fluent.Arb.From(
            from count in Gen.Choose(1, 6)
            from xs in Gen.Choose(0, 220).ListOf(6)
            from ys in Gen.Choose(0, 90).ListOf(6)
            select (count, xs, ys)),
        input =>
        {
            var units = Enumerable.Range(0, input.count).Select(i => UnitAt(input.xs[i], input.ys[i])).ToArray();
            var placed = Core.Hooping.Hooping.Place(units, true, 102, null)!;
            var least = Enumerable.Range(1, units.Length).First(n =>
                Divisions(units.Length, n).Any(d => d.All(g =>
                Core.Hooping.Hooping.CentreFor(g.Select(u => units[u]).ToArray(), true, 102, null) is not null)));
            Assert.InRange(placed.Count, least, least + 1);
            Assert.True(Core.Hooping.Hooping.LowerBound(units, true, 102) <= least);
            Assert.Equal(Enumerable.Range(0, units.Length), placed.SelectMany(p => p.Units).Order());
        });

    [Fact]
    public void A_unit_larger_than_the_ring_has_no_place() =>
        Assert.Null(Core.Hooping.Hooping.Place([new Unit("W", [new Pt(0, 0), new Pt(90, 0)], 0.4)], true, 102, null));

    /// <summary>The smallest circle round a right triangle has its hypotenuse as diameter (Thales).</summary>
    [Fact]
    public void Smallest_circle_of_a_right_triangle()
    {
        var circle = Circle.Round([new Pt(0, 0), new Pt(30, 0), new Pt(0, 40)]);
        Assert.Equal(25, circle.RadiusMm, 9);
        Assert.Equal(15, circle.Centre.X, 9);
        Assert.Equal(20, circle.Centre.Y, 9);
    }

    /// <summary>A ring keeps five millimetres from a bulky hem: the centre stays a ring's radius and that away.</summary>
    [Fact]
    public void The_ring_keeps_off_the_hem()
    {
        var outline = new Pt[] { new(0, 0), new(500, 0), new(500, 700), new(0, 700) };
        var hem = new Pt[] { new(0, 690), new(500, 690), new(500, 700), new(0, 700) };
        var centres = Core.Hooping.Hooping.Clampable(Core.Hooping.Hooping.Ringable(outline, [new RingFree(hem, 5)]), 102);
        Assert.Equal(690 - 5 - Core.Materials.Hoops.RingRadiusMm(102), centres.Box.Greatest.Y, 3);
    }

    /// <summary>Where the ring must keep to odd-shaped cloth, the centre found is as good as any on a grid of half a millimetre.</summary>
    [ManyTimes(40)]
    public FsCheck.Property No_better_centre_on_a_grid() => Prop.ForAll(
        FsCheck.Fluent.Arb.From(
            from x in Gen.Choose(-30, 130)
            from y in Gen.Choose(-30, 90)
            from w in Gen.Choose(5, 70)
            from notch in Gen.Choose(10, 90)
            select (x, y, w, notch)),
        input =>
        {
            var cloth = Region.Of([new Pt(0, 0), new Pt(100, 0), new Pt(100, 70), new Pt(0, 70)]).Without(
                Region.Of([new Pt(input.notch, 70), new Pt(input.notch + 8, 70), new Pt(input.notch + 4, 20)]));
            var unit = new Unit("u", [new Pt(input.x, input.y), new Pt(input.x + input.w, input.y),
                new Pt(input.x + input.w, input.y + 12), new Pt(input.x, input.y + 12)], 0.4);
            var found = Core.Hooping.Hooping.CentreFor([unit], true, 102, cloth);
            double Far(Pt c) => unit.Points.Max(p => p.To(c));
            var best = Enumerable.Range(0, 201).SelectMany(i =>
                Enumerable.Range(0, 141).Select(j => new Pt(i / 2.0, j / 2.0))).Where(cloth.Holds).Min(Far);
            var reach = Core.Materials.Hoops.UsableRadiusMm(102) - 0.405;
            Assert.True(found is null ? best > reach - 0.01 : Far(found.Value) <= best + 0.01 && cloth.OutsideBy(found.Value) < 1e-6,
                $"{found} of {best}");
        });

    /// <summary>
    /// Against every way to divide up to five letters on cloth with a seam: never fewer than can be, at most one too many, and the bound is
    /// true.
    /// </summary>
    [ManyTimes(40)]
    public FsCheck.Property Greedy_stays_near_the_exact_minimum_on_seamed_cloth() => Prop.ForAll(
        FsCheck.Fluent.Arb.From(
            from count in Gen.Choose(1, 5)
            from xs in Gen.Choose(0, 200).ListOf(5)
            from y in Gen.Choose(70, 100)
            select (count, xs, y)),
        input =>
        {
            var outline = new Pt[] { new(-80, 0), new(300, 0), new(300, 260), new(-80, 260) };
            var hem = new RingFree([new(-80, 0), new(300, 0), new(300, 15), new(-80, 15)], 5);
            var centres = Core.Hooping.Hooping.Clampable(Core.Hooping.Hooping.Ringable(outline, [hem]), 102);
            var units = Enumerable.Range(0, input.count).Select(i => UnitAt(input.xs[i], input.y)).ToArray();
            var placed = Core.Hooping.Hooping.Place(units, true, 102, centres)!;
            var least = Enumerable.Range(1, units.Length).First(n =>
                Divisions(units.Length, n).Any(d => d.All(g =>
                Core.Hooping.Hooping.CentreFor(g.Select(u => units[u]).ToArray(), true, 102, centres) is not null)));
            Assert.InRange(placed.Count, least, least + 1);
            Assert.True(Core.Hooping.Hooping.LowerBound(units, true, 102) <= least);
            Assert.All(placed, p => Assert.True(centres.OutsideBy(p.CentreMm) < 0.002));
        });

    private static Unit UnitAt(double x, double y) =>
        new("o", [new Pt(x, y), new Pt(x + 12, y), new Pt(x + 12, y + 15), new Pt(x, y + 15)], 0.4);

    internal static IEnumerable<List<List<int>>> Divisions(int items, int groups)
    {
        if (items == 0)
        {
            return groups == 0 ? [[]] : [];
        }

        return Divisions(items - 1, groups).SelectMany(d =>
            Enumerable.Range(0, d.Count).Select(g => d.Select((old, i) => i == g ? [.. old, items - 1] : old).ToList()))
            .Concat(groups > 0 ? Divisions(items - 1, groups - 1).Select(d => d.Append([items - 1]).ToList()) : []);
    }
}
