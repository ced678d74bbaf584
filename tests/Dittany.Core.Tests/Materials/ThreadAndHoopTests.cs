using Dittany.Core.Materials;
using Dittany.Core.StitchBook;

namespace Dittany.Core.Tests.Materials;

/// <summary>Facts of the trade: common practice or from memory, as the tables say.</summary>
public class ThreadAndHoopTests
{
    /// <summary>Bundle widths lie about 0.40·n^0.6 wide and never under the tight twist, √n strands (from memory).</summary>
    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(3)]
    [InlineData(4)]
    [InlineData(5)]
    [InlineData(6)]
    public void Bundle_widths_follow_the_power_and_stay_above_the_twist(int strands)
    {
        Assert.InRange(Bundle.WidthMm(strands), (0.40 * Math.Pow(strands, 0.6)) - 0.02, (0.40 * Math.Pow(strands, 0.6)) + 0.02);
        Assert.True(Bundle.WidthMm(strands) >= 0.40 * Math.Sqrt(strands) - 1e-9);
    }

    /// <summary>3 + 3 makes two bundles of a length, 4 + 2 only one (common practice).</summary>
    [Fact]
    public void A_length_splits_into_whole_bundles() =>
        Assert.Equal([6, 3, 2, 1, 1, 1], Enumerable.Range(1, 6).Select(Bundle.PerLength));

    /// <summary>A four-inch hoop leaves 38.5 mm from its middle: opening 97 mm, 10 mm rim.</summary>
    [Fact]
    public void Usable_radius_of_a_four_inch_hoop() => Assert.Equal(38.5, Hoops.UsableRadiusMm(102), 6);

    /// <summary>
    /// ISO 3098: the line of draughtsman's lettering is 1/10 of the capital (type B), 1/14 (type A). Comfortable thread writing lies
    /// between, the least is near 1/9.
    /// </summary>
    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(3)]
    [InlineData(4)]
    [InlineData(6)]
    public void Line_to_height_stands_beside_iso_3098(int strands)
    {
        var width = Book.Find("backstitch")!.LineWidthMm(strands);
        Assert.InRange(Book.Find("backstitch")!.ComfortableCapMm(strands) / width, Book.Iso3098TypeB, 14);
        Assert.InRange(Book.Find("backstitch")!.LeastCapMm(strands) / width, 8.6, 10.1);
    }

    /// <summary>Crewel 7 or 8 with three strands on woven cloth; six on canvas take a chenille 22 (common practice).</summary>
    [Theory]
    [InlineData(3, "half-linen", "crewel-7")]
    [InlineData(1, "lawn", "crewel-10")]
    [InlineData(2, "linen", "crewel-8")]
    [InlineData(6, "canvas", "chenille-22")]
    [InlineData(6, "denim", "crewel-3")]
    public void Needle_by_strands_and_cloth(int strands, string cloth, string needle) =>
        Assert.Equal(needle, Needles.For(strands, ClothOf(cloth)).Id);

    /// <summary>One strand of crewel wool of 0.75 mm wants a crewel 3 or 4 (common practice); a thin blend a finer one.</summary>
    [Theory]
    [InlineData("wool", "linen", "crewel-4")]
    [InlineData("wool", "lawn", "crewel-4")]
    [InlineData("wool", "denim", "crewel-3")]
    [InlineData("wool-blend", "linen", "crewel-7")]
    public void Wool_takes_a_needle_with_room_for_its_hairs(string thread, string cloth, string needle) =>
        Assert.Equal(needle, Needles.For(new ThreadSize(ThreadKinds.Find(thread)!, 1), ClothOf(cloth)).Id);

    /// <summary>ISO 216: A4 is 210 × 297 mm, and its sides stand as 1 to √2.</summary>
    [Fact]
    public void Paper_is_as_the_standard_says()
    {
        Assert.Equal((210, 297), (Papers.A4.WidthMm, Papers.A4.HeightMm));
        Assert.Equal(Math.Sqrt(2), Papers.A4.HeightMm / Papers.A4.WidthMm, 2);
        Assert.Equal(8.5 * 25.4, Papers.Letter.WidthMm, 9);
        Assert.Equal(11 * 25.4, Papers.Letter.HeightMm, 9);
    }

    internal static Cloth ClothOf(string kind, string colour = "#f1ede2", bool busy = false)
    {
        var k = Cloths.Find(kind)!;
        var c = Colour.Parse(colour);
        var light = Cloths.LightThrough(k, c);
        return new Cloth(k, c, k.StretchPercent, Cloths.OpacityOf(light), light, k.ThicknessMm, k.Pile, k.MaxIron, k.Washable, busy, false);
    }
}
