using Dittany.Core.Geometry;
using Dittany.Core.Words;

namespace Dittany.Core.Tests.Words;

/// <summary>Whether the strokes of an alphabet want a line, an outline or a fill, from their width along the middle line.</summary>
public class StrokeCoverTests
{
    /// <summary>A bar of 8 and a wedge from 4 to 12, by their plain geometry.</summary>
    [Fact]
    public void Widths_are_those_of_the_shape()
    {
        var bar = StrokeWidths.Of(CentreLine.Of([[new(0, 0), new(100, 0), new(100, 8), new(0, 8)]], yUp: false))!;
        Assert.Equal(8, bar.Thin, 0.3);
        Assert.Equal(8, bar.Thick, 0.3);
        var wedge = StrokeWidths.Of(CentreLine.Of([[new(0, -2), new(100, -6), new(100, 6), new(0, 2)]], yUp: false))!;
        Assert.InRange(wedge.Thin, 4, 5.6);
        Assert.InRange(wedge.Thick, 10.4, 12);
        Assert.Null(StrokeWidths.Of([]));
    }

    /// <summary>By hand, for three strands of backstitch (0.77 mm) on plain cloth (0.62 mm must stay open).</summary>
    [Theory]
    [InlineData(8, 12, 8, StrokeWant.Line)]
    [InlineData(8, 12, 18, StrokeWant.Outline)]
    [InlineData(8, 12, 25, StrokeWant.Fill)]
    [InlineData(5, 12, 15, StrokeWant.Between)]
    [InlineData(20, 22, 9, StrokeWant.Outline)]
    public void What_strokes_want_follows_from_their_width(double thin, double thick, double cap, StrokeWant want) =>
        Assert.Equal(want, StrokeCover.Of(new StrokeWidths(thin, thick), cap, 0.77, 0.62));

    /// <summary>Larger letters never go back from a fill to a line, whatever the letters.</summary>
    [Fact]
    public void It_goes_one_way_with_the_height()
    {
        StrokeWant[] order = [StrokeWant.Line, StrokeWant.Between, StrokeWant.Outline, StrokeWant.Fill];
        foreach (var widths in new[] { new StrokeWidths(3, 5), new StrokeWidths(6, 16), new StrokeWidths(14, 15) })
        {
            var wants = Enumerable.Range(4, 200).Select(cap => Array.IndexOf(order, StrokeCover.Of(widths, cap, 0.77, 0.62))).ToArray();
            Assert.Equal(wants.Order(), wants);
        }
    }
}
