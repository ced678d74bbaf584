using System.Diagnostics;
using System.Globalization;
using System.Xml.Linq;
using Dittany.Core.Decisions;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Planning;
using Dittany.Core.Telling;
using Dittany.Formats.Sheets;
using Dittany.Formats.Template;
using SkiaSharp;
using UglyToad.PdfPig;
using UglyToad.PdfPig.Core;

namespace Dittany.Web.Tests.Template;

public class TemplateTests
{
    private static readonly DateOnly Monday = new(2027, 3, 1);

    /// <summary>
    /// What the dashed line is laid on: a crease of the item, or the middle of the words where the place is found from the edges. The dot
    /// of the i is on the paper too.
    /// </summary>
    [Theory]
    [InlineData("baby-bodysuit", "the fold from neck to crotch")]
    [InlineData("napkin", "the middle of the words")]
    [InlineData("tote", "the centre fold")]
    [InlineData("tea-towel", "the centre fold")]
    public void Every_item_has_its_centre_line_and_its_dots(string form, string line)
    {
        var job = new Job(form, [new TextElement("name", "iris", CapHeightMm: 14)], Monday);
        var plan = Planner.Make(job, Workshop.Default, Dittany.Formats.Alphabets.ShippedAlphabets.Library);
        var sheet = TemplateSheet.Of(plan, Papers.A4);
        Assert.Equal(line, sheet.CentreWords);
        Assert.Equal(sheet.WidthMm / 2, sheet.CentreXMm, 0);
        Assert.Equal(2, plan.Elements[0].Parts.Count(p => p.Role == "dot"));
        Assert.All(sheet.Lines, l => Assert.True(l.PointsMm.Count >= 2));
        using var pdf = PdfDocument.Open(LeafPdf.Write(TemplateLeaves.Of(sheet)));
        Assert.Contains($"Dashed: {line}", pdf.GetPage(1).Text, StringComparison.Ordinal);
    }

    /// <summary>
    /// Paper shapes go round at 1:1: a disc for each flower, as wide in the file as it is in the plan, and what is larger than a leaf on
    /// several with crosses to join them.
    /// </summary>
    [Fact]
    public void Paper_shapes_are_as_large_in_the_file_as_in_the_plan()
    {
        var plan = Planner.Make(new Job("cushion-cover", [new MotifElement("m", "daisy", Arrangement: "ring", Count: 6, HeightMm: 150)], Monday), Workshop.Default,
            Dittany.Formats.Alphabets.ShippedAlphabets.Library);
        var shapes = PaperShapes.Of(plan);
        using var pdf = PdfDocument.Open(LeafPdf.Write(PieceSheets.Of("shapes", plan, Papers.A4, string.Empty)));
        var wide = pdf.GetPages().SelectMany(p => p.Paths).SelectMany(p => p).Select(s =>
            s.GetBoundingRectangle()).OfType<PdfRectangle>().Where(b => Math.Abs(b.Width - b.Height) < 0.1).Select(b =>
            b.Width / 72 * 25.4).ToArray();
        Assert.All(shapes, s => Assert.Contains(wide, w => Math.Abs(w - (s.WidthMm * Math.Cos(Math.PI / 48))) < 0.1));
        Assert.Contains("Check line: 100 mm", pdf.GetPage(1).Text, StringComparison.Ordinal);
        Assert.Contains("Daisy 6", pdf.GetPage(1).Text, StringComparison.Ordinal);

        var tree = Planner.Make(new Job("tablecloth", [new MotifElement("m", "pine-tree", HeightMm: 300)], Monday),
            Workshop.Default, Dittany.Formats.Alphabets.ShippedAlphabets.Library);
        Assert.True(PieceSheets.Of("shapes", tree, Papers.A4, string.Empty).Count > 1);
    }

    /// <summary>The check line is read back from the file: a PDF point is 1/72 in (ISO 32000), an inch 25.4 mm.</summary>
    [Theory]
    [InlineData("a4", null)]
    [InlineData("letter", null)]
    [InlineData("a4", 120.0)]
    public void The_check_line_measures_100_mm_in_the_file(string paper, double? cap)
    {
        using var pdf = PdfDocument.Open(LeafPdf.Write(TemplateLeaves.Of(SheetOf(paper, cap))));
        foreach (var page in pdf.GetPages())
        {
            var lines = page.Paths.SelectMany(p => p).SelectMany(s => s.Commands).OfType<PdfSubpath.Line>()
                .Where(l => Math.Abs(l.From.Y - l.To.Y) < 0.01)
                .Select(l => Math.Abs(l.From.X - l.To.X) / 72 * 25.4)
                .ToArray();
            Assert.Contains(lines, length => Math.Abs(length - 100) <= 0.1);
            Assert.Contains("Check line: 100 mm", page.Text, StringComparison.Ordinal);
        }
    }

    /// <summary>
    /// The same from pixels: another program draws the page at 600 dots an inch, and the longest unbroken dark row is counted.
    /// </summary>
    [Theory]
    [InlineData("a4")]
    [InlineData("letter")]
    public void The_check_line_measures_100_mm_in_pixels(string paper)
    {
        const int Dpi = 600;
        static string Dots(double mm) => ((int)(mm / 25.4 * Dpi)).ToString(CultureInfo.InvariantCulture);
        var folder = Directory.CreateTempSubdirectory("dittany-pdf-").FullName;
        var file = Path.Combine(folder, "template.pdf");
        File.WriteAllBytes(file, LeafPdf.Write(TemplateLeaves.Of(SheetOf(paper, null))));
        var draw = new ProcessStartInfo("pdftoppm", [
            "-r", Dots(25.4), "-png", "-x", "0", "-y", Dots(Papers.Find(paper)!.HeightMm - 46), "-W", Dots(Papers.Find(paper)!.WidthMm),
                "-H", Dots(34), "-singlefile", file, Path.Combine(folder, "page")])
        { UseShellExecute = false };
        using (var program = Process.Start(draw)!)
        {
            program.WaitForExit();
            Assert.Equal(0, program.ExitCode);
        }

        using var page = SKBitmap.Decode(Path.Combine(folder, "page.png"));
        var longest = 0;
        for (var y = 0; y < page.Height; y++)
        {
            var run = 0;
            for (var x = 0; x < page.Width; x++)
            {
                run = page.GetPixel(x, y).Red < 128 ? run + 1 : 0;
                longest = Math.Max(longest, run);
            }
        }

        Assert.InRange(longest * 25.4 / Dpi, 99.9, 100.1);
    }

    /// <summary>The SVG's unit is the millimetre: its size in mm is its size in units, and its check line is 100 of them.</summary>
    [Fact]
    public void The_svg_is_in_millimetres()
    {
        var svg = XDocument.Parse(TemplateSvg.Write(SheetOf("a4", null)));
        var line = svg.Descendants().Single(e => e.Attribute("class")?.Value == "check-line");
        Assert.Equal(100, N(line, "x2") - N(line, "x1"), 6);
        var box = svg.Root!.Attribute("viewBox")!.Value.Split(' ');
        Assert.Equal($"{box[2]}mm", svg.Root.Attribute("width")!.Value);
        Assert.Equal($"{box[3]}mm", svg.Root.Attribute("height")!.Value);
    }

    /// <summary>Mirrored exactly when the proof says so, saying so in words: every point changes sides about the middle.</summary>
    [Fact]
    public void A_hot_iron_sheet_is_mirrored_and_says_so()
    {
        var plain = SheetOf("a4", null);
        var turned = SheetOf("a4", null, ("transfer.method", "hot-iron"));
        Assert.False(plain.Mirrored);
        Assert.True(turned.Mirrored);
        Assert.Contains("MIRRORED", turned.MirrorWords, StringComparison.Ordinal);
        Assert.Contains("Not mirrored", plain.MirrorWords, StringComparison.Ordinal);
        for (var i = 0; i < plain.Lines.Count; i++)
        {
            for (var k = 0; k < plain.Lines[i].PointsMm.Count; k++)
            {
                Assert.Equal(plain.WidthMm - plain.Lines[i].PointsMm[k].X, turned.Lines[i].PointsMm[k].X, 6);
                Assert.Equal(plain.Lines[i].PointsMm[k].Y, turned.Lines[i].PointsMm[k].Y, 6);
            }
        }

        using var pdf = PdfDocument.Open(LeafPdf.Write(TemplateLeaves.Of(turned)));
        Assert.Contains("MIRRORED", pdf.GetPage(1).Text, StringComparison.Ordinal);
    }

    /// <summary>The lines on paper are as wide as the words on the towel.</summary>
    [Fact]
    public void The_words_are_one_to_one()
    {
        var job = JobOf(null);
        var plan = Planner.Make(job, Workshop.Default, Dittany.Formats.Alphabets.ShippedAlphabets.Library);
        var element = plan.Elements[0];
        using var pdf = PdfDocument.Open(LeafPdf.Write(TemplateLeaves.Of(TemplateSheet.Of(plan, Papers.A4))));
        var page = pdf.GetPage(1);
        Assert.Equal(plan.Elements.SelectMany(e => e.Parts).Count(), TemplateSheet.Of(plan, Papers.A4).Lines.Count);
        var xs = page.Paths.SelectMany(p => p).Where(s => s.Commands.OfType<PdfSubpath.Line>().Count() > 12).SelectMany(s =>
            s.Commands.OfType<PdfSubpath.Line>()).SelectMany(l => new[] { l.From.X, l.To.X }).ToArray();
        var round = element.Parts.Where(p => p.LineMm.Count > 14).SelectMany(p => p.LineMm).Select(p => p.X).ToArray();
        Assert.InRange((xs.Max() - xs.Min()) / 72 * 25.4, round.Max() - round.Min() - 0.1, round.Max() - round.Min() + 0.1);
    }

    /// <summary>
    /// A design larger than a page is tiled: the tiles cover it, neighbours share their overlap, the plan counts the same sheets.
    /// </summary>
    [Fact]
    public void A_large_design_is_tiled_with_overlap()
    {
        var plan = Planner.Make(JobOf(120), Workshop.Default, Dittany.Formats.Alphabets.ShippedAlphabets.Library);
        var sheet = TemplateSheet.Of(plan, Papers.A4);
        Assert.True(sheet.Tiles.Count > 1);
        Assert.Equal(plan.Transfer.Sheets, sheet.Tiles.Count);
        using var pdf = PdfDocument.Open(LeafPdf.Write(TemplateLeaves.Of(sheet)));
        Assert.Equal(sheet.Tiles.Count, pdf.NumberOfPages);
        foreach (var p in sheet.Lines.SelectMany(l => l.PointsMm))
        {
            Assert.Contains(sheet.Tiles, t => p.X >= t.XMm && p.X <= t.XMm + t.WidthMm && p.Y >= t.YMm && p.Y <= t.YMm + t.HeightMm);
        }

        var (left, right) = (sheet.Tiles.First(t => t.Column == 0), sheet.Tiles.First(t => t.Column == 1));
        Assert.True(left.XMm + left.WidthMm - right.XMm >= Core.Transfer.Sheet.OverlapMm - 1e-6);
    }

    [Fact]
    public void Script_in_the_words_is_text()
    {
        var job = JobOf(null) with { Title = "<script>alert(1)</script>\"'&" };
        var svg = TemplateSvg.Write(TemplateSheet.Of(Planner.Make(job, Workshop.Default,
            Dittany.Formats.Alphabets.ShippedAlphabets.Library), Papers.A4));
        Assert.DoesNotContain("<script", svg, StringComparison.OrdinalIgnoreCase);
        Assert.Equal("<script>alert(1)</script>\"'&", XDocument.Parse(svg).Root!.Elements().First(e => e.Name.LocalName == "title").Value);
    }

    private static double N(XElement e, string name) =>
        double.Parse(e.Attribute(name)!.Value, System.Globalization.CultureInfo.InvariantCulture);

    private static Job JobOf(double? cap, params (string Id, string Choice)[] overrules) => new(
        "tea-towel", [new TextElement("name", "Bread & Salt", CapHeightMm: cap)], Monday,
            Overrides: OverrideSet.Of(overrules.Select(o => ((DecisionKey)o.Id, o.Choice))));

    private static TemplateSheet SheetOf(string paper, double? cap, params (string Id, string Choice)[] overrules) =>
        TemplateSheet.Of(Planner.Make(JobOf(cap, overrules), Workshop.Default, Dittany.Formats.Alphabets.ShippedAlphabets.Library),
            Papers.Find(paper)!);
}
