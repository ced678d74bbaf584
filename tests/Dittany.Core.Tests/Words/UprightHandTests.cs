using System.Text;
using Dittany.Core.Geometry;
using Dittany.Core.Words;
using NetTopologySuite.Geometries;

namespace Dittany.Core.Tests.Words;

public class UprightHandTests
{
    private static readonly IAlphabet Hand = UprightHand.Alphabet;

    /// <summary>Letters of the Unicode blocks Latin-1 Supplement and Latin Extended-A, digits and common punctuation.</summary>
    public static TheoryData<string> Repertoire()
    {
        var data = new TheoryData<string>();
        foreach (var c in Enumerable.Range(0x20, 0x160).Select(i => (char)i).Where(c => char.IsLetter(c) && c
            is not 'ª' and not 'º' and not 'µ'))
        {
            data.Add(c.ToString());
        }

        foreach (var c in "0123456789.,:;!?'\"’‘“”„-–—()/&+=*#%·°¡¿«»…_")
        {
            data.Add(c.ToString());
        }

        // What Latin-writing languages beyond Latin Extended-A want: Romanian, Welsh, and all of Vietnamese (Unicode charts, Latin Extended
        // Additional).
        foreach (var c in "ẞȘșȚțẀẁẂẃẄẅỲỳ".Concat(Enumerable.Range(0x1EA0, 0x1EF9 - 0x1EA0 + 1).Select(i => (char)i)).Concat(
            "ƠơƯư").Distinct())
        {
            data.Add(c.ToString());
        }

        return data;
    }

    [Theory]
    [MemberData(nameof(Repertoire))]
    public void Has_the_letter_with_sound_strokes(string letter)
    {
        if (letter.Normalize(NormalizationForm.FormC) is "ŀ" or "Ŀ")
        {
            // L with a middle dot is written as two letters in today's Catalan.
            return;
        }

        var glyph = Hand.Find(letter);
        Assert.NotNull(glyph);
        Assert.All(glyph.Strokes, stroke =>
        {
            for (var i = 1; i < stroke.Curves.Count; i++)
            {
                Assert.True(stroke.Curves[i - 1].P3.To(stroke.Curves[i].P0) < 0.01, "a stroke is broken");
            }

            Assert.True(Polyline.Length(stroke.Flatten(0.1)) >= 11, "a stroke is too short to stitch");
            Assert.Equal(stroke.Closed, stroke.Start.To(stroke.End) < 1e-9);
        });
    }

    /// <summary>Composed and precomposed spellings are the same letter (Unicode NFC).</summary>
    [Fact]
    public void Composed_and_decomposed_are_one() =>
        Assert.Equal(Rows.Letters("Zoe\u0308"), Rows.Letters("Zoë"));

    [Theory]
    [InlineData("日")]
    [InlineData("ж")]
    [InlineData("😀")]
    [InlineData("x\u0488")]
    public void Names_no_glyph_for_what_it_lacks(string letter) => Assert.Null(Hand.Find(letter));

    /// <summary>
    /// The oracle for counters is the geometry library's buffer: the hole is open just under the measured diameter and gone just over it.
    /// </summary>
    [Theory]
    [InlineData("o")]
    [InlineData("D")]
    [InlineData("a")]
    [InlineData("B")]
    [InlineData("8")]
    [InlineData("R")]
    [InlineData("p")]
    public void Counters_close_where_the_buffer_closes_them(string letter)
    {
        var glyph = Hand.Find(letter)!;
        var narrowest = Hand.Measure(glyph).Counters[0];
        var all = Hand.Measure(glyph).Counters.Count;
        Assert.Equal(all, Holes(glyph, (narrowest / 2) - 0.3));
        Assert.True(Holes(glyph, (narrowest / 2) + 0.3) < all);
    }

    /// <summary>
    /// Nothing in the hand is so narrow that it shuts at a comfortable height, twelve line widths: counters and gaps of 1.8 widths stay
    /// open.
    /// </summary>
    [Fact]
    public void Everything_stays_open_at_a_comfortable_height()
    {
        const double Least = 100.0 / 12 * 1.8;
        foreach (var letter in "ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789&ëÅñÖçł")
        {
            var measures = Hand.Measure(Hand.Find(letter.ToString())!);
            Assert.True(measures.Narrowest >= Least, $"{letter} is only {measures.Narrowest} open");
        }
    }

    private static int Holes(Glyph glyph, double radius)
    {
        var factory = new GeometryFactory();
        var lines = factory.CreateMultiLineString(glyph.Strokes.Select(s =>
            factory.CreateLineString(s.Flatten(0.1).Select(p => new Coordinate(p.X, p.Y)).ToArray())).ToArray());
        var inked = lines.Buffer(radius, 64);
        return Enumerable.Range(0, inked.NumGeometries).Sum(i => ((Polygon)inked.GetGeometryN(i)).NumInteriorRings);
    }
}
