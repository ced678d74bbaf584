using Dittany.Core.StitchBook;
using Dittany.Core.Stitches.OnLines;
using Dittany.Core.Tests.Planning;

namespace Dittany.Core.Tests.Stitches;

/// <summary>Which way a line is worked is the stitch's own, and a left hand mirrors it.</summary>
public class HeadingTests
{
    /// <summary>Common practice, as handbooks of hand embroidery teach each of them for a right hand.</summary>
    [Theory]
    [InlineData("backstitch", Heading.RightToLeft)]
    [InlineData("running", Heading.RightToLeft)]
    [InlineData("chain", Heading.RightToLeft)]
    [InlineData("coral", Heading.RightToLeft)]
    [InlineData("rope-line", Heading.RightToLeft)]
    [InlineData("couching", Heading.RightToLeft)]
    [InlineData("whipped-backstitch", Heading.RightToLeft)]
    [InlineData("stem", Heading.LeftToRight)]
    [InlineData("outline", Heading.LeftToRight)]
    [InlineData("knotted-stem", Heading.LeftToRight)]
    [InlineData("split", Heading.LeftToRight)]
    [InlineData("blanket", Heading.LeftToRight)]
    public void A_right_hand_works_it_so(string stitch, Heading heading) =>
        Assert.Equal(heading, Assert.IsType<LineStitch>(Book.Find(stitch), exactMatch: false).Heading);

    [Theory]
    [InlineData("chain", "right", "On a level line you work chain stitch from right to left.")]
    [InlineData("stem", "right", "On a level line you work stem stitch from left to right.")]
    [InlineData("stem", "left", "On a level line you work stem stitch from right to left, with your left hand.")]
    public void A_plan_tells_the_way_of_its_stitches(string stitch, string hand, string told)
    {
        var plan = Samples.Make(Samples.On("tote", "Ida", overrules: ("stitch.outline", stitch)), Samples.With(("hand", hand)));
        Assert.Contains(told, plan.Decision("stitch.action")!.Because.Select(b => b.ToString()));
    }
}
