using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Space;
using Dittany.Core.Tests.Planning;

namespace Dittany.Core.Tests.Space;

public class SpaceTests
{
    private static readonly Drawn Towel = TeaTowel.Form.At("50x70");

    /// <summary>
    /// By hand: a third of the cloth less 20 mm is 146.67 mm wide; the field ends 10 mm above the band, whose top lies 50 mm from the edge.
    /// </summary>
    [Fact]
    public void The_field_of_a_towel_is_a_third_less_twenty()
    {
        var (least, greatest) = Field.Of(Towel, Towel.Zones[0]).Box;
        Assert.Equal((500 / 3.0) - 20, greatest.X - least.X, 6);
        Assert.Equal(640, greatest.Y, 6);
        Assert.Equal(250, (least.X + greatest.X) / 2, 6);
    }

    /// <summary>An obstacle in the zone is cut out with its clearance: area by hand, round corners included.</summary>
    [Fact]
    public void An_obstacle_is_cut_out_with_its_clearance()
    {
        var zone = Towel.Zones[0] with { Ring = [new(0, 0), new(100, 0), new(100, 100), new(0, 100)], EdgeAllowanceMm = 0 };
        var print = new Obstacle("dot", "dot", ObstacleKind.Print, [new(40, 40), new(60, 40), new(60, 60), new(40, 60)]);
        var field = Field.Of(new Drawn(new Face("front", "front", "corner"), zone.Ring, [zone], [print], [], []), zone);
        Assert.Equal(10_000 - (400 + (4 * 20 * 5) + (Math.PI * 25)), field.AreaMm2, 0);
        Assert.False(field.Holds(new Pt(38, 50)));
        Assert.True(field.Holds(new Pt(34, 50)));
        Assert.Equal(2, field.Rings.Count);
    }

    /// <summary>The base stands 70 mm above the hem's stitching (from memory), on the fold.</summary>
    [Fact]
    public void The_usual_place_of_a_towel()
    {
        var plan = Samples.Plan();
        Assert.Equal(new Pt(250, 700 - TeaTowel.HemMm - 70), plan.Elements[0].BaselineMm);
        Assert.Equal("base-above-hem", plan.Decision("space.place")!.ChoiceId);
    }

    [Fact]
    public void Several_wordings_stand_below_each_other()
    {
        var plan = Planning.Samples.Make(
            Samples.Towel() with { Elements = [new TextElement("one", "Bread"), new TextElement("two", "Salt"), new TextElement("three", "Thyme")] },
                Core.Jobs.Workshop.Default);
        Assert.True(plan.Elements[0].BoxMm.Y + plan.Elements[0].BoxMm.Height < plan.Elements[1].BoxMm.Y);
        Assert.True(plan.Elements[1].BoxMm.Y + plan.Elements[1].BoxMm.Height < plan.Elements[2].BoxMm.Y);
        Assert.NotNull(plan.Decision("words.size:two"));
        Assert.All(plan.Elements, e => Assert.Equal(0, e.OverflowsMm));
    }
}
