using Dittany.Core.Items;
using Dittany.Core.Tests.Planning;
using Dittany.Core.Transfer;

namespace Dittany.Core.Tests.Items;

/// <summary>Sizes against what is published, and forms scaled to a number of hers.</summary>
public class SizeTests
{
    /// <summary>
    /// EN 13402-3, men: chest girths of the letter codes in cm. A T-shirt's flat chest is half of the middle of its span and its ease.
    /// </summary>
    [Theory]
    [InlineData("xs", 78, 86)]
    [InlineData("s", 86, 94)]
    [InlineData("m", 94, 102)]
    [InlineData("l", 102, 110)]
    [InlineData("xl", 110, 118)]
    [InlineData("xxl", 118, 129)]
    public void Letter_codes_are_those_of_the_standard(string id, int from, int to)
    {
        var size = TShirt.Adult.Sizes.Single(s => s.Id == id);
        Assert.Contains($"chest {from} to {to} cm", size.Name, StringComparison.Ordinal);
        Assert.Equal((((from + to) * 5) + TShirt.EaseMm) / 2, size.WidthMm);
        Assert.InRange((size.WidthMm * 2) - ((from + to) * 5), 80, 120);
    }

    /// <summary>EN 13402-3, women: bust girths of the letter codes in cm.</summary>
    [Theory]
    [InlineData("women-xs", 74, 82)]
    [InlineData("women-s", 82, 90)]
    [InlineData("women-m", 90, 98)]
    [InlineData("women-l", 98, 107)]
    [InlineData("women-xl", 107, 119)]
    public void Womens_codes_are_those_of_the_standard(string id, int from, int to) =>
        Assert.Contains($"bust {from} to {to} cm", TShirt.Adult.Sizes.Single(s => s.Id == id).Name, StringComparison.Ordinal);

    /// <summary>
    /// ISO 216: A3 297 × 420, A4 210 × 297, A5 148 × 210 mm. An inch is 25.4 mm, so 8 × 10 in is 203.2 × 254; a 10 in quilt block is cut
    /// 266.7 mm with its quarter inches.
    /// </summary>
    [Theory]
    [InlineData("framed-sampler", "a3", 297, 420)]
    [InlineData("framed-sampler", "a4", 210, 297)]
    [InlineData("framed-sampler", "a5", 148, 210)]
    [InlineData("framed-sampler", "8x10in", 203.2, 254)]
    [InlineData("quilt-block", "10in", 266.7, 266.7)]
    [InlineData("hoop-picture", "6in", 152.4, 152.4)]
    public void Paper_and_inches_are_as_published(string form, string size, double width, double height)
    {
        var s = Catalogue.Find(form)!.Sizes.Single(z => z.Id == size);
        Assert.Equal(width, s.WidthMm, 6);
        Assert.Equal(height, s.HeightMm, 6);
    }

    /// <summary>Babies and children by body height in cm, in steps of six (EN 13402-3), larger children in larger clothes.</summary>
    [Theory]
    [InlineData("baby-bodysuit")]
    [InlineData("t-shirt-child")]
    public void Children_go_by_body_height(string form)
    {
        var heights = Catalogue.Find(form)!.Sizes.Select(s =>
            (Height: int.Parse(s.Id, System.Globalization.CultureInfo.InvariantCulture), s.WidthMm, s.HeightMm)).ToArray();
        Assert.All(heights.Zip(heights.Skip(1)), p => Assert.True(p.First.Height < p.Second.Height && p.First.WidthMm < p.Second.WidthMm
            && p.First.HeightMm < p.Second.HeightMm && (p.Second.Height - p.First.Height) % 6 == 0));
    }

    /// <summary>One number scales everything across; the other follows in proportion; both are taken as they are.</summary>
    [Fact]
    public void One_number_scales_a_form_to_hers()
    {
        var one = TShirt.Adult.Scaled(new Dictionary<string, double>(StringComparer.Ordinal) { ["chest"] = 510 }, null)!;
        Assert.Equal(510, one.WidthMm);
        var near = TShirt.Adult.Sizes.Single(s => s.Id == one.Id);
        Assert.Equal(near.HeightMm / near.WidthMm, one.HeightMm / one.WidthMm, 9);
        Assert.True(TShirt.Adult.Sizes.Min(s => Math.Abs(s.WidthMm - 510)) >= Math.Abs(near.WidthMm - 510));
        var both = TeaTowel.Form.Scaled(new Dictionary<string, double>(StringComparer.Ordinal) { ["width"] = 480, ["height"] = 690 },
            null)!;
        Assert.Equal((480, 690), (both.WidthMm, both.HeightMm));
        Assert.Null(TeaTowel.Form.Scaled(null, null));

        var plan = Samples.Plan(Samples.On("t-shirt-adult") with
        {
            MeasuredMm = new Dictionary<string,
            double>(StringComparer.Ordinal)
            { ["chest"] = 510 }
        });
        Assert.Equal(510, plan.Space.Landmarks.Single(l => l.Id == "hem-stitching") is var hem ? hem.To.X - hem.From.X : 0, 6);
        Assert.Contains("510 mm", string.Join(' ', plan.Decision("item.size")!.Because), StringComparison.Ordinal);
        Assert.True(plan.Decision("item.size")!.Overruled);
    }

    /// <summary>
    /// Loose cloth: two inches (50 mm) round what is hooped or framed, 35 mm beyond a gathered round and 15 more
    /// to hold it by, trimmed last (common practice); in whole
    /// fives, never less.
    /// </summary>
    [Theory]
    [InlineData("framed-sampler", "a4", 310, 400)]
    [InlineData("hoop-picture", "6in", 255, 255)]
    [InlineData("pin-cushion-round", "80", 180, 180)]
    [InlineData("quilt-block", "6in", 280, 280)]
    public void Loose_cloth_is_cut_larger(string form, string size, double width, double height)
    {
        var plan = Samples.Plan(Samples.On(form) with { Size = size });
        Assert.Contains($"{width} mm × {height} mm", plan.Decision("item.cloth-cut")!.Choice, StringComparison.Ordinal);
        Assert.Null(Samples.Plan(Samples.On("tea-towel")).Decision("item.cloth-cut"));
    }

    /// <summary>
    /// Words under the fold of a cuff or collar: the proof says unmirrored and the right way up, whatever the method; folded once without
    /// turning it over they would be neither.
    /// </summary>
    [Fact]
    public void What_is_folded_over_reads_right_when_worn()
    {
        foreach (var (form, zone) in new[] { ("christmas-stocking", "cuff"), ("shirt", "collar-point"), ("denim-jacket", "collar-point") })
        {
            var plan = Samples.Plan(Samples.On(form, "M") with { Zone = zone });
            Assert.NotNull(plan.Space.Face.Fold);
            Assert.Contains("not mirrored", string.Join(' ', plan.Decision("space.fold")!.Because), StringComparison.Ordinal);
            foreach (var method in Methods.All.Where(m => m.Chain.Count > 0))
            {
                var folded = Samples.Plan(Samples.On(form, "M", overrules: ("transfer.method", method.Id)) with { Zone = zone });
                Assert.Equal(MirrorProof.PrintMirrored(Methods.ChainWith(method, folded.Transfer.Marker.Id)),
                    folded.Transfer.PrintMirrored);
                Assert.True(MirrorProof.ReadsRight(folded.Transfer.Chain, folded.Transfer.PrintMirrored == true));
                Assert.False(MirrorProof.UpsideDown(folded.Transfer.Chain));
            }
        }

        Assert.True(MirrorProof.UpsideDown([Handling.FoldOver]));
        Assert.True(MirrorProof.PrintMirrored([Handling.PrintOrDraw, Handling.FoldOver]));
        Assert.Null(Samples.Plan(Samples.On("tea-towel")).Decision("space.fold"));
    }
}
