using Dittany.Core.Geometry;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Tests.Materials;
using Dittany.Core.Tests.Planning;
using Dittany.Core.Words;
using NetTopologySuite.Geometries;

namespace Dittany.Core.Tests.Words;

public class LegibilityTests
{
    /// <summary>At least max(0.6 mm, 0.8 line widths) stay open; 1.0 mm on knit and waffle, 1.5 mm on pile (from memory).</summary>
    [Theory]
    [InlineData("half-linen", 0.4, 0.6)]
    [InlineData("half-linen", 1.17, 0.936)]
    [InlineData("cotton-jersey", 0.77, 1.0)]
    [InlineData("waffle", 0.4, 1.0)]
    [InlineData("terry", 0.77, 1.5)]
    public void The_least_opening_by_cloth(string cloth, double width, double opening) =>
        Assert.Equal(opening, Legibility.LeastOpening(width, ThreadAndHoopTests.ClothOf(cloth)), 6);

    /// <summary>
    /// The oracle is the geometry library: the letter is drawn at its height, widened to half the line and half the opening that must stay;
    /// its counter is then open exactly where the closed form says that it does not close up, a hair apart that a hand gives.
    /// </summary>
    [Theory]
    [InlineData("o")]
    [InlineData("a")]
    [InlineData("B")]
    [InlineData("8")]
    public void Closing_up_agrees_with_widened_letters(string letter)
    {
        var hand = UprightHand.Alphabet;
        var cloth = ThreadAndHoopTests.ClothOf("half-linen");
        var pair = new Pair(Book.Find("backstitch")!, 3);
        var setting = Setting.Lay(hand, [letter], Core.Items.Stands.OnBaseline);
        var glyph = hand.Find(letter)!;
        var counter = hand.Measure(glyph).Counters[0];
        var opening = Legibility.LeastOpening(pair.LineWidthMm, cloth) - Legibility.HairMm;
        var critical = (opening + pair.LineWidthMm) * 100 / counter;
        foreach (var cap in new[] { critical * 0.97, critical * 1.03 })
        {
            var told = Legibility.Faults(setting, hand, pair, cloth, cap).Any(f => f.What == "closes-up");
            Assert.Equal(told, Holes(glyph, cap, (pair.LineWidthMm + opening) / 2) < Holes(glyph, cap, 0.05));
        }
    }

    [Fact]
    public void Heavy_thread_in_small_capitals_is_told_with_a_height_and_fewer_strands()
    {
        var concern = Samples.Plan("Mimi", w => w with { CapHeightMm = 5, Strands = 6, Stitch = "backstitch" }).Elements[0].Concerns.Single(
            c => c.What == "too-heavy");

        // Six strands of backstitch write cleanly from 11 mm, and at 5 mm a single strand does (from memory).
        Assert.Equal(11, concern.Remedies.Single(r => r.CapHeightMm is not null).CapHeightMm);
        Assert.Equal(1, concern.Remedies.Single(r => r.Strands is not null).Strands);
        Assert.Equal(6, concern.ByMm!.Value, 6);
    }

    /// <summary>Capitals alone read at 0.8 of the least height (from memory).</summary>
    [Fact]
    public void Capitals_alone_may_be_lower()
    {
        Assert.DoesNotContain(Samples.Plan("MIMI", w => w with { CapHeightMm = 6, Strands = 3, Stitch = "backstitch" }).Elements[0].Concerns,
            c => c.What == "too-heavy");
        Assert.Contains(Samples.Plan("Mimi", w => w with { CapHeightMm = 6, Strands = 3, Stitch = "backstitch" }).Elements[0].Concerns, c =>
            c.What == "too-heavy");
    }

    /// <summary>Under a lightness difference of 15 words vanish, from 30 on they read (from memory).</summary>
    [Theory]
    [InlineData("#f1ede2", "#eae4d4", true)]
    [InlineData("#f1ede2", "#c9c2b0", false)]
    [InlineData("#f1ede2", "#4f7358", false)]
    [InlineData("#27303a", "#1d1c1a", true)]
    public void Thread_that_vanishes_is_told(string cloth, string thread, bool vanishes)
    {
        var concern = Legibility.Showing(Core.Materials.Colour.Parse(thread), ThreadAndHoopTests.ClothOf("half-linen", cloth));
        Assert.Equal(vanishes, concern is not null);
        Assert.All(concern?.Remedies ?? [], r => Assert.True(Core.Materials.ColourDifference.Lightness(
            Core.Materials.Colour.Parse(r.Colour!), Core.Materials.Colour.Parse(cloth)) >= 30));
    }

    [Theory]
    [InlineData("Mimi and Jo", 2, "Mimi|and Jo")]
    [InlineData("a bb ccc dddd", 2, "a bb|ccc dddd")]
    [InlineData("one two three", 3, "one|two|three")]
    [InlineData("one\ntwo", null, "one|two")]
    [InlineData("Bread and Salt", 2, "Bread|and Salt")]
    [InlineData("Anna de la Cruz", 2, "Anna|de la Cruz")]
    [InlineData("J. R. Fenwick", 2, "J. R.|Fenwick")]
    [InlineData("welcome to the world little one", 3, "welcome|to the world|little one")]
    public void Rows_are_broken_where_sense_allows(string text, int? rows, string broken) =>
        Assert.Equal(broken, string.Join('|', Rows.Break(text, rows)!));

    /// <summary>What is centred is the x-height band, descenders not counted; rows stand 1.7 capitals apart (from memory).</summary>
    [Fact]
    public void Rows_are_centred_on_their_band()
    {
        var plan = Samples.Plan("gy\ngy", w => w with { CapHeightMm = 20, CentreMm = new Pt(250, 560) });
        Assert.Equal(new Pt(250, 560), plan.Elements[0].CentreMm);
        Assert.Equal(560 + ((34 + 12) / 2.0), plan.Elements[0].BaselineMm.Y, 3);
    }

    private static int Holes(Glyph glyph, double cap, double by)
    {
        var factory = new GeometryFactory();
        var lines = factory.CreateMultiLineString(glyph.Lines.Select(l =>
            factory.CreateLineString(l.Select(p => new Coordinate(p.X * cap / 100, p.Y * cap / 100)).ToArray())).ToArray());
        var inked = lines.Buffer(by, 48);
        return Enumerable.Range(0, inked.NumGeometries).Sum(i => ((Polygon)inked.GetGeometryN(i)).NumInteriorRings);
    }
}
