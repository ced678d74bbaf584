using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;

namespace Dittany.Core.Tests.StitchBook;

/// <summary>All stitches at four heights, and where fills fail.</summary>
public class StitchSamplesTests
{
    public static TheoryData<string> Stitches() => [.. Book.All.Where(s => Finding.What(s) != Makes.Point).Select(s => s.Id)];

    /// <summary>
    /// Each is shown at all four heights: a line closes up below its least height and at no other, a fill tells what its own judgement
    /// says.
    /// </summary>
    [Theory]
    [MemberData(nameof(Stitches))]
    public void Every_stitch_is_shown_at_four_heights(string id)
    {
        var stitch = Book.Find(id)!;
        var samples = StitchSamples.Of(stitch);
        Assert.Equal([8, 14, 24, 40], samples.Select(s => s.HeightMm));
        foreach (var sample in samples)
        {
            if (Finding.What(stitch) == Makes.Line)
            {
                Assert.Equal(sample.HeightMm < stitch.LeastCapMm(sample.Strands), sample.Fails);
                continue;
            }

            var (low, high) = (sample.Sewn!.LineMm.Min(p => p.Y), sample.Sewn.LineMm.Max(p => p.Y));
            Assert.Equal(sample.HeightMm, high - low, 1);
            Assert.True(sample.Fails || sample.Sewn.Sewn.Count > 0);
            Assert.Equal(sample.Fails, sample.Why is not null);
        }
    }

    /// <summary>
    /// Where a fill fails it is drawn on a shape that its own judgement refuses, with why and what would do. Satin fails on what is broad
    /// (common practice); long and short, brick and seeds on nothing but a sliver.
    /// </summary>
    [Fact]
    public void A_fill_fails_where_its_judgement_says_so()
    {
        foreach (var fill in Book.Fills)
        {
            var failing = StitchSamples.Failing(fill);
            Assert.NotNull(failing);
            Assert.True(failing.Value.Sample.Fails);
            Assert.False(string.IsNullOrEmpty(failing.Value.Cure));
        }

        double High(string id) => StitchSamples.Failing(Book.Find(id)!)!.Value.Sample.Sewn!.LineMm.Max(p => p.Y);
        Assert.Equal(26, High("satin"), 1);
        Assert.Equal(1.1, High("brick"), 1);
        Assert.Null(StitchSamples.Failing(Book.Find("stem")!));
    }
}
