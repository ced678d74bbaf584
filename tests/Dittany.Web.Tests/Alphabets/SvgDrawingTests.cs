using System.Text;
using Dittany.Core.Geometry;
using Dittany.Core.Motifs;
using Dittany.Formats.Drawings;

namespace Dittany.Web.Tests.Alphabets;

/// <summary>Drawings as SVG, in and out. What numbers should come out is worked out by hand from SVG 1.1 and CSS Values and Units.</summary>
public class SvgDrawingTests
{
    private static ReadDrawing Read(string svg) => SvgDrawing.Read(Encoding.UTF8.GetBytes(svg));

    private static string Svg(string inside, string attributes = "width=\"100mm\" viewBox=\"0 0 100 100\"") => $"<svg xmlns=\"http://www.w3.org/2000/svg\" {attributes}>{inside}</svg>";

    /// <summary>Strokes become lines, fills shapes, tiny circles dots.</summary>
    [Fact]
    public void Paint_says_what_a_part_is()
    {
        var figure = Read(Svg("<path d='M0 0L50 0' stroke='#000' fill='none'/><rect x='10' y='20' width='30' height='20'/><circle cx='60' cy='60' r='0.8'/><circle cx='60' cy='30' r='10'/>")).Figure!;
        Assert.Equal([FigureKind.Line, FigureKind.Shape, FigureKind.Dot, FigureKind.Shape], figure.Parts.Select(p => p.Kind));
    }

    /// <summary>Units and view box: a box of 50 shown 100 mm wide doubles everything; without any size a unit is a pixel, 25.4/96 mm; an inch is 25.4 mm.</summary>
    [Theory]
    [InlineData("width=\"100mm\" viewBox=\"0 0 50 50\"", 40.0)]
    [InlineData("width=\"10cm\" height=\"10cm\" viewBox=\"0 0 100 100\"", 20.0)]
    [InlineData("width=\"1in\" viewBox=\"0 0 20 20\"", 25.4)]
    [InlineData("", 20 * 25.4 / 96)]
    [InlineData("width=\"300pt\" viewBox=\"0 0 100 100\"", 20 * 300 * 25.4 / 72 / 100)]
    public void Lengths_are_millimetres(string attributes, double widthMm) =>
        Assert.Equal(widthMm, Read(Svg("<path d='M0 0H20V20' stroke='#000' fill='none'/>", attributes)).Figure!.Width, 3);

    /// <summary>Transforms compose from the outside in: moved by (10, 0) in a group that is doubled and turned a quarter, a point at (5, 0) lands at (0, 30).</summary>
    [Fact]
    public void Transforms_compose()
    {
        var figure = Read(Svg("<line x1='0' y1='0' x2='1' y2='0' stroke='#000'/><g transform='rotate(90) scale(2)'><path transform='translate(10 0)' d='M0 0L5 0' stroke='#000' fill='none'/></g>")).Figure!;
        var (a, b) = (figure.Parts[0], figure.Parts[1]);
        var from = a.Stroke.Start;
        Assert.InRange((b.Stroke.End - from).X, -1e-3, 1e-3);
        Assert.Equal(30, (b.Stroke.End - from).Y, 3);
        Assert.Equal(20, (b.Stroke.Start - from).Y, 3);
    }

    /// <summary>An arc of a path is that circle: every point of a quarter lies at its radius.</summary>
    [Fact]
    public void Arcs_are_round()
    {
        var figure = Read(Svg("<path d='M20 0A20 20 0 0 1 0 20' stroke='#000' fill='none'/><circle cx='0' cy='0' r='20' fill='#000'/>")).Figure!;
        var centre = figure.Parts[1].Line.SkipLast(1).Aggregate((a, b) => a + b) * (1.0 / (figure.Parts[1].Line.Count - 1));
        Assert.All(figure.Parts[0].Line, p => Assert.InRange(p.To(centre), 19.9, 20.1));
    }

    /// <summary>What is not used is told by name.</summary>
    [Fact]
    public void What_is_left_out_is_told()
    {
        var read = Read(Svg("<defs><linearGradient id='g'/></defs><text>Zoë</text><image href='http://elsewhere.example/a.png'/><use href='#x'/><style>a{}</style><script>alert(1)</script><path d='M0 0L9 9' stroke='#000'/>"));
        Assert.Equal(["a picture", "a repeated part", "a script", "a style sheet", "definitions", "letters"], read.NotUsed);
        Assert.NotNull(read.Figure);
    }

    public static TheoryData<string, string> Hostile() => new()
    {
        { "<!DOCTYPE svg [<!ENTITY a \"aaaa\"><!ENTITY b \"&a;&a;&a;\">]><svg xmlns='http://www.w3.org/2000/svg'><text>&b;</text></svg>", "document type" },
        { "<svg xmlns='http://www.w3.org/2000/svg'><path d='M0 0", "no sound SVG" },
        { "not at all", "no sound SVG" },
        { "<html/>", "no SVG" },
        { Svg(string.Concat(Enumerable.Repeat("<g>", 60)) + "<path d='M0 0L1 1' stroke='#000'/>" + string.Concat(Enumerable.Repeat("</g>", 60))), "nested deeper" },
        { Svg("<path stroke='#000' fill='none' d='M0 0" + string.Concat(Enumerable.Range(0, 30_000).Select(i => $"L{i % 97} {i % 89}")) + "'/>"), "far more than a needle makes" },
        { Svg("<text>only words</text>"), "only letters" },
        { Svg("<path d='M5 5L5 5' stroke='#000'/>"), "empty" },
        { Svg("<path d='M0 0L1e30 1e30' stroke='#000'/>"), "nothing in the drawing" },
        { Svg(string.Empty), "empty" },
    };

    [Theory]
    [MemberData(nameof(Hostile))]
    public void What_is_hostile_or_broken_is_refused_in_a_sentence(string svg, string told)
    {
        var read = Read(svg);
        Assert.Null(read.Figure);
        Assert.Contains(told, read.Fault, StringComparison.Ordinal);
    }

    [Fact]
    public void Too_large_a_file_is_refused() => Assert.Contains("MB", SvgDrawing.Read(new byte[SvgDrawing.MostBytes + 1]).Fault, StringComparison.Ordinal);

    /// <summary>Written and read back it is the same drawing: roles, kinds and lines, within a hundredth of a millimetre.</summary>
    [Fact]
    public void Every_motif_reads_back_as_it_was_written()
    {
        foreach (var motif in MotifLibrary.All)
        {
            var drawn = motif.DrawWithin(60, 1000).Centred();
            var back = Read(SvgDrawing.Write(drawn, motif.Name, 60)).Figure!;
            var shift = drawn.Box.Least - back.Box.Least;
            Assert.Equal(drawn.Parts.Select(p => (p.Kind, p.Kind == FigureKind.Dot ? "dot" : p.Role)), back.Parts.Select(p => (p.Kind, p.Role)));
            Assert.All(drawn.Parts.Zip(back.Parts), p => Assert.InRange(p.First.Middle.To(p.Second.Middle + shift), 0, 0.8));
            Assert.All(drawn.Parts.Zip(back.Parts).Where(p => p.First.Kind != FigureKind.Dot), p => Assert.InRange((p.First.Stroke.Curves[0].P3 - p.First.Stroke.Start).To(p.Second.Stroke.Curves[0].P3 - p.Second.Stroke.Start), 0, 0.01));
        }
    }
}
