using Dittany.Core.Measures;

namespace Dittany.Core.Tests.Measures;

public class SayTests
{
    [Theory]
    [InlineData(14, "14 mm")]
    [InlineData(0.77, "0.77 mm")]
    [InlineData(0.775, "0.78 mm")]
    [InlineData(146.667, "146.5 mm")]
    [InlineData(1570, "1.57 m")]
    [InlineData(-2.5, "-2.5 mm")]
    public void Lengths(double mm, string said) => Assert.Equal(said, Say.Length(mm));

    [Theory]
    [InlineData(50.4, "50 min")]
    [InlineData(60, "1 h")]
    [InlineData(107, "1 h 45 min")]
    [InlineData(118.5, "2 h")]
    [InlineData(360, "6 h")]
    public void Minutes(double minutes, string said) => Assert.Equal(said, Say.Minutes(minutes));

    /// <summary>What is called by whose it is takes no article.</summary>
    [Theory]
    [InlineData("tote", "a tote", "the tote")]
    [InlineData("apron", "an apron", "the apron")]
    [InlineData("T-shirt", "a T-shirt", "the T-shirt")]
    [InlineData("Ida’s pinafore", "Ida’s pinafore", "Ida’s pinafore")]
    [InlineData("James's bag", "James's bag", "James's bag")]
    [InlineData("My Christmas stocking", "My Christmas stocking", "My Christmas stocking")]
    [InlineData("mystery bag", "a mystery bag", "the mystery bag")]
    [InlineData("my", "a my", "the my")]
    public void Things_have_their_article(string thing, string a, string the) => Assert.Equal((a, the), (Say.A(thing), Say.The(thing)));

    /// <summary>What must not be told as more than it is, is rounded down to what is told.</summary>
    [Theory]
    [InlineData(37.28, "37.2 mm")]
    [InlineData(37.3, "37.3 mm")]
    [InlineData(100.3, "100 mm")]
    [InlineData(198.7, "198.5 mm")]
    public void A_most_is_never_told_as_more(double mm, string said) => Assert.Equal(said, Say.AtMost(mm).ToString());

    [Fact]
    public void Lists_and_counts()
    {
        Assert.Equal("a, b and c", Say.List(new[] { "a", "b", "c" }));
        Assert.Equal("a", Say.List(new[] { "a" }));
        Assert.Equal(string.Empty, Say.List(Array.Empty<string>()));
        Assert.Equal("1 skein", Say.Count(1, "skein"));
        Assert.Equal("2 placings", Say.Count(2, "placing"));
        Assert.Equal("Sunday 14 March", Say.Day(new DateOnly(2027, 3, 14)));
    }
}
