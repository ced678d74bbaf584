using System.Globalization;
using System.Text.RegularExpressions;
using Dittany.Core.Geometry;
using Dittany.Formats.Drawings;

namespace Dittany.Web.Tests.Pictures;

/// <summary>Paths written by steps lead through the same points (SVG 1.1, path data: lower case is relative).</summary>
public sealed partial class SvgStepsTests
{
    [Theory]
    [InlineData(0.05, 0.005001)]
    [InlineData(1, 0.05001)]
    public void Steps_lead_through_the_points(double px, double within)
    {
        var chance = new Random(11);
        var points = Enumerable.Range(0, 400).Select(i => new Pt((i * 0.83) - 120 + chance.NextDouble(), 40 * Math.Sin(i))).ToArray();
        var (at, read) = (default(Pt), new List<Pt>());
        foreach (Match move in Move().Matches(Svg.Steps(points, px)))
        {
            var step = new Pt(Number(move.Groups["x"].Value), Number(move.Groups["y"].Value));
            at = move.Groups["how"].Value == "M" ? step : at + step;
            read.Add(at);
        }

        Assert.Equal(points.Length, read.Count);
        Assert.All(points.Zip(read), p => Assert.True(Math.Abs(p.First.X - p.Second.X) <= within
            && Math.Abs(p.First.Y - p.Second.Y) <= within, $"{p.First} became {p.Second}"));
        Assert.True(Svg.Steps(points, px).Length < Svg.Path(points).Length);

        static double Number(string said) => double.Parse(said, CultureInfo.InvariantCulture);
    }

    [GeneratedRegex(@"(?<how>[Ml])(?<x>-?[0-9]*\.?[0-9]*) ?(?<y>-?[0-9]*\.?[0-9]*)", RegexOptions.ExplicitCapture, 1000)]
    private static partial Regex Move();
}
