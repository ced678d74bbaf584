using Dittany.Core.Measures;

namespace Dittany.Core.Tests.Measures;

public class TapeTests
{
    /// <summary>The inch is 25.4 mm (international yard and pound agreement, 1959); a tape is divided into sixteenths.</summary>
    [Theory]
    [InlineData(25.4, "1")]
    [InlineData(12.7, "1/2")]
    [InlineData(60.325, "2 3/8")]
    [InlineData(304.8, "12")]
    [InlineData(1.5875, "1/16")]
    [InlineData(52.3875, "2 1/16")]
    [InlineData(-19.05, "−3/4")]
    public void Inches_are_told_with_a_fraction_in_its_lowest_terms(double mm, string told) => Assert.Equal(told, Tape.Inches(mm));

    /// <summary>Read back by hand, what is told is never further off than half a mark of the tape.</summary>
    [Fact]
    public void A_length_in_inches_is_right_to_half_a_sixteenth()
    {
        for (var mm = 5.0; mm < 800; mm += 0.37)
        {
            var parts = Tape.Inches(mm).Split(' ');
            var inches = parts.Sum(p => p.Split('/') is [var over, var under]
                ? double.Parse(over, System.Globalization.CultureInfo.InvariantCulture) / double.Parse(under,
                System.Globalization.CultureInfo.InvariantCulture) : double.Parse(p, System.Globalization.CultureInfo.InvariantCulture));
            Assert.InRange((inches * 25.4) - mm, -0.794, 0.794);
        }
    }

    /// <summary>A length written down by hand, the way it is read off.</summary>
    [Theory]
    [InlineData("97", 97.0)]
    [InlineData("97 mm", 97.0)]
    [InlineData("9,7 cm", 97.0)]
    [InlineData("3 13/16 in", 96.8375)]
    [InlineData("3/4\"", 19.05)]
    [InlineData("0.1 m", 100.0)]
    [InlineData("4 in", 101.6)]
    [InlineData("", null)]
    [InlineData("mm", null)]
    [InlineData("-97", null)]
    [InlineData("1/0 in", null)]
    [InlineData("9 7", null)]
    [InlineData("a hand", null)]
    public void A_written_length_is_read(string written, double? mm)
    {
        var read = Tape.Read(written);
        Assert.Equal(mm is null, read is null);
        Assert.Equal(mm ?? 0, read ?? 0, 6);
    }

    [Fact]
    public void What_is_told_in_inches_is_read_back_to_half_a_sixteenth()
    {
        for (var mm = 6.0; mm < 400; mm += 3.3)
        {
            Assert.InRange(Tape.Read(Tape.Length(mm, Units.Inches))!.Value - mm, -0.794, 0.794);
            Assert.Equal(mm, Tape.Read(Tape.Length(mm, Units.Centimetres))!.Value, 0.51);
        }
    }
}
