using Dittany.Core.Geometry;
using Dittany.Core.Motifs;

namespace Dittany.Core.Tests.Motifs;

/// <summary>Drawings traced over a picture: what a hand draws in one go, points and corners, what is written and read back.</summary>
public class TracingTests
{
    private static readonly Tracing Empty = new("wren", "p", 150, 100, []);

    /// <summary>
    /// A circle drawn by a hand that shakes by 0.1 mm: closed, of a fraction of its points, and nowhere further from the true circle than
    /// what may be left out, the shake and the bulge between two points (the sagitta) allow.
    /// </summary>
    [Theory]
    [InlineData(30)]
    [InlineData(12)]
    [InlineData(5)]
    public void A_circle_drawn_in_one_go_is_one_smooth_closed_line(double radius)
    {
        var random = new System.Random(5);
        double Shake() => (random.NextDouble() - 0.5) * 0.2;
        var centre = new Pt(70, 50);
        var drawn = Enumerable.Range(0, 200).Select(i => centre
            + new Pt((radius * Math.Cos(Math.Tau * i / 200)) + Shake(), (radius * Math.Sin(Math.Tau * i / 200)) + Shake())).ToArray();
        var line = Empty.Drawn("petal", drawn);
        Assert.True(line.Closed);
        Assert.InRange(line.Points.Count, 5, 60);
        Assert.DoesNotContain(line.Points, p => p.Corner);
        var part = (Empty with { Lines = [line] }).Draw().Parts.Single();
        Assert.True(part.Stroke.Closed);
        Assert.All(part.Stroke.Flatten(0.01), p => Assert.InRange(p.To(centre), radius - 0.85, radius + 0.85));
        Assert.Equal(Math.Tau * radius, Polyline.Length([.. part.Stroke.Flatten(0.01), part.Stroke.Start]), radius * 0.12);
    }

    /// <summary>A zigzag keeps its corners, an open bend has none, and what leaves the picture is held at its edge.</summary>
    [Fact]
    public void Corners_stay_and_the_edge_holds()
    {
        Pt[] Straight(Pt a, Pt b) => [.. Enumerable.Range(0, 20).Select(i => Pt.Lerp(a, b, i / 20.0))];
        var zigzag = Empty.Drawn("stem", [.. Straight(new(10, 80), new(40, 20)), .. Straight(new(40, 20), new(70, 80)),
            .. Straight(new(70, 80), new(100, 20)), new(100, 20)]);
        Assert.Equal(4, zigzag.Points.Count);
        Assert.Equal([false, true, true, false], zigzag.Points.Select(p => p.Corner));
        var part = (Empty with { Lines = [zigzag] }).Draw().Parts.Single();
        Assert.All(part.Stroke.Curves, c => Assert.True(c.IsStraight));

        var bend = Empty.Drawn("stem", [.. Enumerable.Range(0, 40).Select(i => new Pt(10 + (3 * i), 50 + (20 * Math.Sin(i / 8.0))))]);
        Assert.False(bend.Closed);
        Assert.DoesNotContain(bend.Points, p => p.Corner);
        var beyond = Empty.Drawn("stem", [new(-20, 50), new(60, 50), new(60, 140)]);
        Assert.Empty((Empty with { Lines = [beyond] }).Faults());
        Assert.Equal(new Pt(60, 100), beyond.Points[^1].At);
    }

    /// <summary>
    /// Whatever points there are: the line passes each of them, and stays within a third of the way between two of them, so that no loop
    /// comes from uneven spacing.
    /// </summary>
    [ManyTimes(200)]
    public void A_smooth_line_passes_every_point_and_makes_no_loops(byte[] seed, bool closed)
    {
        var random = new System.Random(seed.Aggregate(7, (a, b) => unchecked((a * 31) + b)));
        var points = Enumerable.Range(0, 3 + (seed.Length % 12)).Select(_ =>
            new Pt(random.NextDouble() * 100, random.NextDouble() * 100)).ToArray();
        var corners = Enumerable.Range(0, points.Length).Where(_ => random.Next(4) == 0).ToHashSet();
        var stroke = SmoothLine.Through(points, closed, corners);
        Assert.Equal(closed ? points.Length : points.Length - 1, stroke.Curves.Count);
        for (var i = 0; i < stroke.Curves.Count; i++)
        {
            var c = stroke.Curves[i];
            Assert.Equal(points[i], c.P0);
            Assert.Equal(points[(i + 1) % points.Length], c.P3);
            Assert.True(Enumerable.Range(0, 21).Max(k => Polyline.ToLine(c.At(k / 20.0), [c.P0, c.P3])) <= c.P0.To(c.P3) / 3 + 1e-9);
        }
    }

    [ManyTimes(100)]
    public void What_is_written_reads_back(int[] xs, bool[] corners)
    {
        var points = xs.Take(50).Select((x, i) => new TracedPoint(new Pt(x % 10_000 / 100.0, i * 1.25), i < corners.Length
            && corners[i])).ToArray();
        Assert.Equal(points, TracedText.Read(TracedText.Write(points)).Points);
    }

    [Theory]
    [InlineData("10, 20\nhere", "Line 2")]
    [InlineData("10", "Line 1")]
    [InlineData("1, 2 korner", "Line 1")]
    [InlineData("NaN, 2", "Line 1")]
    public void What_is_no_point_is_told_by_its_line(string text, string told)
    {
        var (points, fault) = TracedText.Read(text);
        Assert.Empty(points);
        Assert.StartsWith(told, fault, StringComparison.Ordinal);
    }

    [Fact]
    public void Faults_name_what_is_wrong_and_what_would_do()
    {
        var line = new TracedLine("petal", false, [new(new Pt(10, 10)), new(new Pt(20, 10))]);
        Assert.Equal("name", Assert.Single((Empty with { Name = string.Empty }).Faults()).Member);
        Assert.Equal("width", Assert.Single((Empty with { PictureWidthMm = double.NaN }).Faults()).Member);
        Assert.Equal("lines", Assert.Single((Empty with
        {
            Lines = Enumerable.Repeat(line, Tracing.MostLines
            + 1).ToArray()
        }).Faults()).Member);
        Assert.Contains("petunia", Assert.Single((Empty with { Lines = [line with { Role = "petunia" }] }).Faults()).Detail,
            StringComparison.Ordinal);
        Assert.Contains("210, 10", Assert.Single((Empty with { Lines = [line with { Points = [new(new Pt(210, 10))] }] }).Faults()).Detail,
            StringComparison.Ordinal);

        // Twice as wide is twice as large, and nothing else.
        var wide = (Empty with { Lines = [line] }).Widened(300);
        Assert.Equal((300, 200, new Pt(40, 20)), (wide.PictureWidthMm, wide.PictureHeightMm, wide.Lines[0].Points[1].At));
    }
}
