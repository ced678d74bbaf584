using System.Numerics;
using System.Text;
using Dittany.Core.Geometry;
using Dittany.Core.Motifs;
using Dittany.Formats.Drawings;

namespace Dittany.Web.Tests.Alphabets;

/// <summary>
/// Drawings as SVG, in and out. What numbers should come out is worked out by hand from SVG 1.1 and CSS Values and Units.
/// </summary>
public class SvgDrawingTests
{
    private static ReadDrawing Read(string svg) => SvgDrawing.Read(Encoding.UTF8.GetBytes(svg));

    private static string Svg(string inside, string attributes = "width=\"100mm\" viewBox=\"0 0 100 100\"") =>
        $"<svg xmlns=\"http://www.w3.org/2000/svg\" {attributes}>{inside}</svg>";

    /// <summary>Strokes become lines, fills shapes, tiny circles dots.</summary>
    [Fact]
    public void Paint_says_what_a_part_is()
    {
        var figure = Read(Svg(
            "<path d='M0 0L50 0' stroke='#000' fill='none'/><rect x='10' y='20' width='30' height='20'/><circle cx='60' cy='60' "
                + "r='0.8'/><circle cx='60' cy='30' r='10'/>")).Figure!;
        Assert.Equal([FigureKind.Line, FigureKind.Shape, FigureKind.Dot, FigureKind.Shape], figure.Parts.Select(p => p.Kind));
    }

    /// <summary>
    /// The rings of one filled path are read by its fill rule (SVG 2, 13.4.2): by even and odd the inner of two is a hole whichever way it
    /// runs, otherwise only where it runs the other way round; a third within it is a shape again. Written and read back it stays so.
    /// </summary>
    [Theory]
    [InlineData("M0 0H40V40H0ZM10 10H30V30H10Z", "evenodd", new[] { 1 })]
    [InlineData("M0 0H40V40H0ZM10 10V30H30V10Z", "nonzero", new[] { 1 })]
    [InlineData("M0 0H40V40H0ZM10 10H30V30H10Z", "nonzero", new[] { 0, 0 })]
    [InlineData("M15 15H25V25H15ZM0 0H40V40H0ZM10 10H30V30H10Z", "evenodd", new[] { 0, 1 })]
    [InlineData("M0 0H40V40H0ZM5 5H15V15H5ZM25 25H35V35H25Z", "evenodd", new[] { 2 })]
    [InlineData("M0 0H10V10H0ZM20 0H30V10H20Z", "evenodd", new[] { 0, 0 })]
    public void Rings_within_rings_are_holes(string data, string rule, int[] holes)
    {
        var figure = Read(Svg($"<path d='{data}' fill-rule='{rule}'/>")).Figure!;
        Assert.Equal(holes, figure.Parts.Select(p => p.Holes.Count));
        var again = Read(SvgDrawing.Write(figure, "rings", figure.Width)).Figure!;
        Assert.Equal(holes, again.Parts.Select(p => p.Holes.Count));
        Assert.Equal(figure.Parts.Sum(p => p.Covers().AreaMm2), again.Parts.Sum(p => p.Covers().AreaMm2), 1);
        Assert.Equal(holes, OwnFigure.Of(figure).Figure.Map(q => q * 3).Parts.Select(p => p.Holes.Count));
    }

    /// <summary>
    /// Units and view box: a box of 50 shown 100 mm wide doubles everything; without any size a unit is a pixel, 25.4/96 mm; an inch is
    /// 25.4 mm.
    /// </summary>
    [Theory]
    [InlineData("width=\"100mm\" viewBox=\"0 0 50 50\"", 40.0)]
    [InlineData("width=\"10cm\" height=\"10cm\" viewBox=\"0 0 100 100\"", 20.0)]
    [InlineData("width=\"1in\" viewBox=\"0 0 20 20\"", 25.4)]
    [InlineData("", 20 * 25.4 / 96)]
    [InlineData("width=\"300pt\" viewBox=\"0 0 100 100\"", 20 * 300 * 25.4 / 72 / 100)]
    public void Lengths_are_millimetres(string attributes, double widthMm) =>
        Assert.Equal(widthMm, Read(Svg("<path d='M0 0H20V20' stroke='#000' fill='none'/>", attributes)).Figure!.Width, 3);

    /// <summary>
    /// Transforms compose from the outside in: moved by (10, 0) in a group that is doubled and turned a quarter, a point at (5, 0) lands at
    /// (0, 30).
    /// </summary>
    [Fact]
    public void Transforms_compose()
    {
        var figure = Read(Svg(
            "<line x1='0' y1='0' x2='1' y2='0' stroke='#000'/><g transform='rotate(90) scale(2)'><path transform='translate(10 0)' d='M0 "
                + "0L5 0' stroke='#000' fill='none'/></g>")).Figure!;
        var (a, b) = (figure.Parts[0], figure.Parts[1]);
        var from = a.Stroke.Start;
        Assert.InRange((b.Stroke.End - from).X, -1e-3, 1e-3);
        Assert.Equal(30, (b.Stroke.End - from).Y, 3);
        Assert.Equal(20, (b.Stroke.Start - from).Y, 3);
    }

    /// <summary>
    /// Chains of transforms against System.Numerics, whose matrices are another's work: a point taken through them from the inside out
    /// lands where the drawing puts it.
    /// </summary>
    [Fact]
    public void Any_chain_of_transforms_is_the_product_of_its_matrices()
    {
        var random = new Random(11);
        for (var round = 0; round < 120; round++)
        {
            var (text, product) = (new StringBuilder(), Matrix3x2.Identity);
            for (var i = 0; i < 1 + (round % 4); i++)
            {
                float R(double from, double to) => (float)Math.Round(from + (random.NextDouble() * (to - from)), 3);
                var (a, b, c) = (R(-40, 40), R(-20, 20), R(-20, 20));
                var (s, t) = (R(0.4, 2), R(-1.5, -0.3));
                var (call, matrix) = random.Next(6) switch
                {
                    0 => ($"translate({N(a)} {N(b)})", Matrix3x2.CreateTranslation(a, b)),
                    1 => ($"scale({N(s)},{N(t)})", Matrix3x2.CreateScale(s, t)),
                    2 => ($"rotate({N(a)})", Matrix3x2.CreateRotation(a * MathF.PI / 180)),
                    3 => ($"rotate({N(a)} {N(b)} {N(c)})", Matrix3x2.CreateRotation(a * MathF.PI / 180, new Vector2(b, c))),
                    4 => ($"skewX({N(a)})", Matrix3x2.CreateSkew(a * MathF.PI / 180, 0)),
                    _ => ($"matrix({N(s)} 0.2 -0.3 {N(t)} {N(a)} {N(b)})", new Matrix3x2(s, 0.2f, -0.3f, t, a, b)),
                };
                text.Append(call).Append(i % 2 == 0 ? " " : ", ");
                product = matrix * product;
            }

            var figure = Read(Svg(
                $"<line x1='0' y1='0' x2='0' y2='1000' stroke='#000'/><g transform='{text}'><path d='M3 7L19-4' stroke='#000' "
                    + $"fill='none'/></g>")).Figure!;
            var origin = figure.Parts[0].Stroke.Start;
            foreach (var (from, at) in new[] { (new Vector2(3, 7), figure.Parts[1].Stroke.Start),
                (new Vector2(19, -4), figure.Parts[1].Stroke.End) })
            {
                var wanted = Vector2.Transform(from, product);
                Assert.True((at - origin).To(new Pt(wanted.X, wanted.Y)) < 0.02, $"{text}: {at - origin} and not {wanted}");
            }
        }

        static string N(float v) => v.ToString(System.Globalization.CultureInfo.InvariantCulture);
    }

    /// <summary>
    /// Numbers may stand with nothing between them (SVG 1.1, 4.2 and 9.7.1): a pentagon is a pentagon however it is written.
    /// </summary>
    [Theory]
    [InlineData("0,0 40,0 50,30 20,45 -10,30")]
    [InlineData("0 0 40 0 50 30 20 45-10 30")]
    [InlineData("0 0,4e1 0 5E+1 30 20 45 -1e1,30")]
    [InlineData("  0.0,.0\n40.,0 50 30\t20 45-10,+30 ")]
    public void Points_are_read_however_they_are_written(string points)
    {
        var figure = Read(Svg($"<polygon points='{points}'/>")).Figure!;
        Assert.Equal((60, 45, 5), (Math.Round(figure.Width, 3), Math.Round(figure.Height, 3), figure.Parts.Single().Stroke.Curves.Count));
    }

    /// <summary>What is hidden is no part of the drawing, and what cannot be read is told and not guessed.</summary>
    [Theory]
    [InlineData("<g style='display:none'><path d='M0 0L90 90' stroke='#000'/></g>", "something hidden")]
    [InlineData("<path visibility='hidden' d='M0 0L90 90' stroke='#000'/>", "something hidden")]
    [InlineData("<polyline points='0 0 10 10 here' stroke='#000'/>", "points that cannot be read")]
    [InlineData("<g transform='rotate(45deg)'><path d='M0 0L5 0' stroke='#000' fill='none'/></g>", "a transformation that cannot be read")]
    [InlineData("<path style='transform:scale(3)' d='M0 0L5 0' stroke='#000' fill='none'/>", "a transformation that cannot be read")]
    public void What_cannot_be_seen_or_read_is_told(string part, string told)
    {
        var read = Read(Svg($"<path d='M0 0L20 0' stroke='#000' fill='none'/>{part}"));
        Assert.Equal([told], read.NotUsed);
        Assert.Equal(20, read.Figure!.Width, 3);
    }

    /// <summary>
    /// A drawing in the drawing stands at its own place, its view box laid into its own size, in the middle of it (SVG 1.1, 7.8: xMidYMid
    /// meet).
    /// </summary>
    [Fact]
    public void A_drawing_within_has_its_own_frame()
    {
        var figure = Read(Svg(
            "<line x1='0' y1='0' x2='0' y2='90' stroke='#000'/><svg x='10' y='20' width='40' height='20' viewBox='100 100 10 10'><path "
                + "d='M100 100H110V110' stroke='#000' fill='none'/></svg>")).Figure!;
        var (origin, inner) = (figure.Parts[0].Stroke.Start, figure.Parts[1].Stroke);
        Assert.Equal((20, 20), (Math.Round((inner.Start - origin).X, 3), Math.Round((inner.Start - origin).Y, 3)));
        Assert.Equal((40, 40), (Math.Round((inner.End - origin).X, 3), Math.Round((inner.End - origin).Y, 3)));
    }

    /// <summary>
    /// Rounded corners are quarter circles: a square of 40 with corners of 10 has the area of the square less what four corners lack.
    /// </summary>
    [Fact]
    public void Rounded_corners_are_round()
    {
        var part = Read(Svg("<rect x='5' y='5' width='40' height='40' rx='10'/>")).Figure!.Parts.Single();
        Assert.Equal(1600 - (100 * (4 - Math.PI)), Region.AreaOf(part.Stroke.Flatten(0.002)), 0.2);
        Assert.Equal(1256.6, Region.AreaOf(Read(Svg(
            "<circle cx='50' cy='50' r='20'/><path d='M0 0H1000' stroke='#000' fill='none'/>")).Figure!.Parts[0].Stroke.Flatten(0.002)),
            0.2);
    }

    /// <summary>Files broken by chance, from a fixed seed: refused in a sentence or read, never thrown at her.</summary>
    [Fact]
    public void Damaged_drawings_never_throw()
    {
        var good = Svg(
            "<g transform='translate(3 4) rotate(20)'><path d='M0 0C10 10 20 10 30 0S50-10 60 0' stroke='#000' fill='none'/><rect x='5' "
                + "y='5' width='9' height='9' rx='2'/><polygon points='1 1 9 1 5 8'/></g>");
        var random = new Random(3);
        var read = 0;
        for (var i = 0; i < 600; i++)
        {
            var letters = good.ToCharArray();
            for (var n = 0; n < 1 + (i % 5); n++)
            {
                letters[random.Next(letters.Length)] = (char)random.Next(32, 126);
            }

            var drawing = Read(new string(letters));
            Assert.True(drawing.Figure is null == drawing.Fault is { Length: > 10 });
            read += drawing.Figure is null ? 0 : 1;
        }

        Assert.InRange(read, 50, 590);
    }

    /// <summary>An arc of a path is that circle: every point of a quarter lies at its radius.</summary>
    [Fact]
    public void Arcs_are_round()
    {
        var figure = Read(Svg(
            "<path d='M20 0A20 20 0 0 1 0 20' stroke='#000' fill='none'/><circle cx='0' cy='0' r='20' fill='#000'/>")).Figure!;
        var centre = figure.Parts[1].Line.SkipLast(1).Aggregate((a, b) => a + b) * (1.0 / (figure.Parts[1].Line.Count - 1));
        Assert.All(figure.Parts[0].Line, p => Assert.InRange(p.To(centre), 19.9, 20.1));
    }

    /// <summary>What is not used is told by name.</summary>
    [Fact]
    public void What_is_left_out_is_told()
    {
        var read = Read(Svg(
            "<defs><linearGradient id='g'/></defs><text>Zoë</text><image href='http://elsewhere.example/a.png'/><use "
                + "href='#x'/><style>a{}</style><script>alert(1)</script><path d='M0 0L9 9' stroke='#000'/>"));
        Assert.Equal(["a picture", "a repeated part", "a script", "a style sheet", "definitions", "letters"], read.NotUsed);
        Assert.NotNull(read.Figure);
    }

    public static TheoryData<string, string> Hostile() => new()
    {
        { "<!DOCTYPE svg [<!ENTITY a \"aaaa\"><!ENTITY b \"&a;&a;&a;\">]><svg xmlns='http://www.w3.org/2000/svg'><text>&b;</text></svg>",
            "document type" },
        { "<svg xmlns='http://www.w3.org/2000/svg'><path d='M0 0", "no sound SVG" },
        { "not at all", "no sound SVG" },
        { "<html/>", "no SVG" },
        { Svg(string.Concat(Enumerable.Repeat("<g>", 60)) + "<path d='M0 0L1 1' stroke='#000'/>"
            + string.Concat(Enumerable.Repeat("</g>", 60))), "nested deeper" },
        { Svg("<path stroke='#000' fill='none' d='M0 0" + string.Concat(Enumerable.Range(0, 30_000).Select(i => $"L{i % 97} {i % 89}"))
            + "'/>"), "far more than a needle makes" },
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
    public void Too_large_a_file_is_refused() => Assert.Contains("MB", SvgDrawing.Read(new byte[SvgDrawing.MostBytes + 1]).Fault,
        StringComparison.Ordinal);

    /// <summary>Written and read back it is the same drawing: roles, layers, kinds and lines, within a hundredth of a millimetre.</summary>
    [Fact]
    public void Every_motif_reads_back_as_it_was_written()
    {
        foreach (var motif in MotifLibrary.All)
        {
            var drawn = motif.DrawWithin(60, 1000).Centred();
            var back = Read(SvgDrawing.Write(drawn, motif.Name, 60)).Figure!;
            var shift = drawn.Box.Least - back.Box.Least;
            Assert.Equal(drawn.Parts.Select(p => (p.Kind, p.Kind == FigureKind.Dot ? "dot" : p.Role, p.Layer)),
                back.Parts.Select(p => (p.Kind, p.Role, p.Layer)));
            Assert.All(drawn.Parts.Zip(back.Parts), p => Assert.InRange(p.First.Middle.To(p.Second.Middle + shift), 0, 0.8));
            Assert.All(drawn.Parts.Zip(back.Parts).Where(p => p.First.Kind != FigureKind.Dot), p =>
                Assert.InRange((p.First.Stroke.Curves[0].P3 - p.First.Stroke.Start).To(
                p.Second.Stroke.Curves[0].P3 - p.Second.Stroke.Start), 0, 0.01));
        }
    }
}
