using Dittany.Core.Geometry;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Planning;
using Dittany.Core.Tests.Planning;

namespace Dittany.Core.Tests.Materials;

/// <summary>
/// Colours as eyes with two kinds of cones see them, against the model of Machado, Oliveira and Fernandes (2009) and what is known of such
/// eyes.
/// </summary>
public class ColourVisionTests
{
    public static TheoryData<string> Greys() => ["#000000", "#333333", "#777777", "#bbbbbb", "#ffffff"];

    /// <summary>Greys stay greys: each row of the model sums to one.</summary>
    [Theory]
    [MemberData(nameof(Greys))]
    public void Greys_stay_as_they_are(string grey)
    {
        foreach (var eyes in Enum.GetValues<Eyes>())
        {
            var (was, seen) = (Colour.Parse(grey), ColourVision.Seen(Colour.Parse(grey), eyes));
            Assert.InRange(ColourDifference.Ciede2000(was.ToLab(), seen.ToLab()), 0, 0.6);
        }
    }

    /// <summary>
    /// Pure primaries by the published matrices, severity 1, worked by hand: without green cones red is (0.367322, 0.280085, −0.011820) in
    /// linear light, so #a3900 0 within a step of rounding.
    /// </summary>
    [Theory]
    [InlineData("#ff0000", Eyes.WithoutGreen, "#a39000")]
    [InlineData("#ff0000", Eyes.WithoutRed, "#6d5f00")]
    [InlineData("#0000ff", Eyes.WithoutBlue, "#006b95")]
    public void Primaries_come_out_as_published(string colour, Eyes eyes, string seen)
    {
        var (got, wanted) = (ColourVision.Seen(Colour.Parse(colour), eyes), Colour.Parse(seen));
        Assert.InRange(Math.Abs(got.R - wanted.R), 0, 1);
        Assert.InRange(Math.Abs(got.G - wanted.G), 0, 1);
        Assert.InRange(Math.Abs(got.B - wanted.B), 0, 1);
    }

    /// <summary>Red and green of one lightness fall together, blue and yellow stay apart: what red-green blindness is.</summary>
    [Fact]
    public void Red_and_green_fall_together_blue_and_yellow_do_not()
    {
        var (red, green) = (Colour.Parse("#b0682f"), Colour.Parse("#7f7f2f"));
        Assert.True(ColourDifference.Ciede2000(red.ToLab(), green.ToLab()) > 20);
        Assert.True(ColourVision.LeastApart(red, green) < 8);
        Assert.True(ColourVision.LeastApart(Colour.Parse("#4f74b8"), Colour.Parse("#efd955")) > 40);
    }

    /// <summary>Neighbours that only such eyes take for one are told at the colour; blue beside yellow is not.</summary>
    [Fact]
    public void Neighbours_that_look_alike_to_other_eyes_are_told()
    {
        string Told(string petal, string centre) => string.Join(' ', Samples.Make(new Job("tote", [new MotifElement("m", "great-sunflower", HeightMm: 120)
            {
                ByPart = [new("petal", Colour: petal), new("back-petal", Colour: petal), new("centre", Colour: centre),
                    new("outer-centre", Colour: centre)],
            },], Samples.Monday), Workshop.Default).Decision("thread.colour")!.Because);
        Assert.Contains("to eyes that do not tell red from green", Told("#b0682f", "#7f7f2f"), StringComparison.Ordinal);
        Assert.DoesNotContain("to eyes that do not tell red from green", Told("#efd955", "#2f3f6b"), StringComparison.Ordinal);
    }
}
