using Dittany.Core.Geometry;
using Dittany.Core.Route;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Tests.Stitches;

/// <summary>Thread by the geometry of each stitch against closed forms and against the trade's own figures.</summary>
public class ClosedFormTests
{
    private const double LineMm = 3000;

    /// <summary>
    /// At no cloth thickness (geometry of the stitch): running 1 × the line, backstitch 3 ×; stem, outline and split with half overlap 3 ×;
    /// chain 3 × and a loop's width for each link.
    /// </summary>
    [Theory]
    [InlineData("backstitch", 3.0)]
    [InlineData("stem", 3.0)]
    [InlineData("running", 1.0)]
    [InlineData("outline", 3.0)]
    [InlineData("split", 3.0)]
    [InlineData("chain", 3.385)]
    public void Thread_over_line_without_thickness(string stitch, double times) => Assert.Equal(times, Over(stitch, 0), 2);

    /// <summary>
    /// Metres of bundle a metre of line in cloth of 0.5 mm, no tails (from memory): running 1.2, backstitch 3.4, with whipping 1.4 more,
    /// stem, outline and split 3.5, chain 3.7.
    /// </summary>
    [Theory]
    [InlineData("backstitch", 3.4)]
    [InlineData("running", 1.2)]
    [InlineData("whipped-backstitch", 4.8)]
    [InlineData("stem", 3.5)]
    [InlineData("outline", 3.5)]
    [InlineData("split", 3.5)]
    [InlineData("chain", 3.7)]
    public void Thread_over_line_in_usual_cloth(string stitch, double times) => Assert.Equal(times, Over(stitch, 0.5), 0.05);

    /// <summary>A wrap runs round the bundle like the thread of a screw: √(pitch² + (π · width)²).</summary>
    [Fact]
    public void A_wrap_is_a_helix()
    {
        var wraps = Place("whipped-backstitch", 100).Stitches.Where(s => s.Shape == StitchShape.Whip).ToArray();
        Assert.Equal(41, wraps.Length);
        Assert.Equal(Math.Sqrt((2.5 * 2.5) + Math.Pow(Math.PI * 0.77, 2)), wraps[10].ThreadMm, 2);
    }

    private static double Over(string stitch, double thicknessMm)
    {
        var placed = Place(stitch, LineMm);
        var rows = Routing.Order([new Piece("line", 0, 0, "thread", 1, placed.Stitches)],
            new RouteRules(10, false, 1e9, 1e9, thicknessMm, 1, 0)).Rows;
        return rows.Sum(r => Routing.Use(placed.Stitches[r.Stitch], r.BackMm, thicknessMm)) / LineMm;
    }

    private static Placed Place(string stitch, double length) =>
        Strokes.Sewn(Strokes.Line(length), StitchSpec.For(new Pair(Book.Find(stitch)!, 3), new StitchSchools())
            with
        { WishedMm = Book.Find(stitch)!.Info.UsualLengthMm })!;
}
