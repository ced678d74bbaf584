using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Tests.Planning;
using Dittany.Core.Words;

namespace Dittany.Core.Tests.Words;

public class ArrangementTests
{
    private static readonly IAlphabet Hand = UprightHand.Alphabet;

    public static TheoryData<string, string> Ways() => new()
    {
        { "arc", "outside" }, { "arc", "inside" }, { "ring", "outside" }, { "ring", "inside" }, { "slope", "outside" },
            { "corner", "outside" }, { "edge", "outside" }, { "spaced", "outside" }, { "monogram", "outside" },
    };

    /// <summary>The rule for every arrangement: at 0.995 of the largest told nothing overflows, at 1.01 of it something does.</summary>
    [Theory]
    [MemberData(nameof(Ways))]
    public void The_largest_told_is_the_largest(string way, string reading)
    {
        foreach (var (form, text) in new[] { ("tea-towel", "Anna"), ("napkin", "Ida"), ("apron", "Zoë Lind") })
        {
            var words = way == "monogram" ? "ABC" : text;
            Job With(double? cap) => new(form, [new TextElement("w", words, Arrangement: way, Reading: reading is "inside" ? reading
                : null, Rows: 1, CapHeightMm: cap, Stitch: "backstitch", Strands: 1)], Samples.Monday);
            var largest = Samples.Plan(With(null)).Elements[0].LargestCapHeightMm;
            Assert.True(largest > 4, $"{form} {way} holds only {largest}");
            Assert.Equal(0, Samples.Plan(With(largest * 0.995)).Elements[0].OverflowsMm);
            Assert.True(Samples.Plan(With(Math.Min(300, largest * 1.01))).Elements[0].OverflowsMm > 0,
                $"{form} {way} is larger than {largest}");
        }
    }

    /// <summary>
    /// Letters on a ring stand on its circle, evenly turned: each base line touches the circle of the stated radius, and each letter's
    /// upright points from the centre.
    /// </summary>
    [Fact]
    public void Round_a_ring_letters_stand_on_the_circle()
    {
        const double Radius = 40;
        const double Cap = 8;
        var setting = Settings.Lay(Hand, ["HHHHHHHH"], Stands.OnMiddle, new Arrangement(WordWay.Ring, RadiusMm: Radius)).At(Cap, false);
        foreach (var letter in setting.Letters)
        {
            // The feet of an H: the ends of its two uprights. Half its width off the middle they stand a hair outside the circle.
            var feet = letter.Strokes.Take(2).Select(s => (s.End * Cap).Length).ToArray();
            var half = 31.0 / 100 * Cap;
            Assert.All(feet, f => Assert.Equal(Math.Sqrt((Radius * Radius) + (half * half)), f, 6));
        }
    }

    /// <summary>
    /// A ring that the words nearly fill is closed: the way from the last letter to the first is that of a word space, as between words.
    /// </summary>
    [Fact]
    public void A_ring_of_many_letters_closes()
    {
        var setting = Settings.Lay(Hand, ["with love from all of us"], Stands.OnMiddle, new Arrangement(WordWay.Ring)).At(10, false);
        var angles = setting.Letters.Select(l => Math.Atan2(Middle(l).X, -Middle(l).Y)).ToArray();
        var gap = Math.Tau - (angles[^1] - angles[0]);
        var largest = angles.Zip(angles.Skip(1), (a, b) => b - a).Max();
        Assert.InRange(gap, largest * 0.6, largest * 1.5);

        static Pt Middle(SetLetter l) => l.Lines.SelectMany(x => x).Aggregate((a, b) => a + b) * (1.0 / l.Lines.Sum(x => x.Count));
    }

    /// <summary>
    /// On a tight bend feet or heads lean together: no two letters come nearer than they would on a straight line, or than the least gap of
    /// straight spacing.
    /// </summary>
    [Theory]
    [InlineData(false)]
    [InlineData(true)]
    public void Nothing_touches_inside_a_tight_arc(bool inside)
    {
        var straight = Setting.Lay(Hand, ["Mummelwald"], Stands.OnMiddle).Letters;
        var bent = Settings.Lay(Hand, ["Mummelwald"], Stands.OnMiddle, new Arrangement(WordWay.Arc, inside, RadiusMm: 25)).At(10,
            false).Letters;
        for (var i = 1; i < bent.Count; i++)
        {
            var between = bent[i - 1].Lines.Min(a => bent[i].Lines.Min(b => Polyline.Between(a, b)));
            Assert.True(between >= Math.Min(straight[i].GapBefore, 0.185) * 0.95, $"{bent[i].Letter} comes to {between}");
        }
    }

    /// <summary>
    /// Words along an edge keep their distance from it: every foot of every letter lies as far from it as the base line does, within what a
    /// turned letter's width bends away.
    /// </summary>
    [Fact]
    public void Along_an_edge_the_distance_is_kept()
    {
        var arc = Enumerable.Range(0, 91).Select(i => new Pt(-100 * Math.Cos(Math.PI * i / 90),
            -100 * Math.Sin(Math.PI * i / 90))).ToArray();
        var path = Core.Space.EdgePath.Beside(arc, new Pt(0, -80), 20);
        Assert.All(path, p => Assert.InRange(p.Length, 79.8, 80.2));
        Assert.Contains(path, p => p.To(new Pt(0, -80)) < 1.5);
        Assert.True(path.Count > 50);
    }

    /// <summary>A ring too small for its words says the least radius that does, and that radius is true.</summary>
    [Fact]
    public void A_ring_too_small_says_the_least_radius()
    {
        Job With(double radius) => new("quilt-block", [new TextElement("w", "Happily ever after", Arrangement: "ring", RadiusMm: radius,
            CapHeightMm: 12)], Samples.Monday);
        var concern = Assert.Single(Samples.Plan(With(15)).Elements[0].Concerns, c => c.What == "overflows");
        var least = concern.Remedies.Single(r => r.RadiusMm is not null).RadiusMm!.Value;
        Assert.Contains(Core.Measures.Say.Length(least), concern.Text, StringComparison.Ordinal);
        Assert.DoesNotContain(Samples.Plan(With(least)).Elements[0].Concerns, c => c.What == "overflows");
        Assert.Contains(Samples.Plan(With(least - 1.5)).Elements[0].Concerns, c => c.What == "overflows");
    }

    /// <summary>The middle initial of three is the largest and stands in the middle of its neighbours' height.</summary>
    [Fact]
    public void A_monogram_has_its_largest_letter_in_the_middle()
    {
        var letters = Settings.Lay(Hand, ["HHH"], Stands.OnMiddle, new Arrangement(WordWay.Monogram)).At(10, false).Letters;
        double High(SetLetter l) => l.Lines.SelectMany(p => p).Max(p => p.Y) - l.Lines.SelectMany(p => p).Min(p => p.Y);
        double Mid(SetLetter l) => (l.Lines.SelectMany(p => p).Max(p => p.Y) + l.Lines.SelectMany(p => p).Min(p => p.Y)) / 2;
        Assert.Equal(Arrangement.MiddleInitial, High(letters[1]) / High(letters[0]), 6);
        Assert.Equal(Mid(letters[0]), Mid(letters[1]), 6);
    }

    /// <summary>A frame goes round its words: nothing of them touches it, at any size.</summary>
    [Theory]
    [InlineData("round-frame", "Zoë")]
    [InlineData("oval-frame", "Benedict")]
    [InlineData("diamond-frame", "AB")]
    [InlineData("wreath", "Mila & Jonas")]
    [InlineData("heart", "Ida")]
    public void A_frame_stands_clear_of_its_words(string motif, string text)
    {
        var drawn = Core.Motifs.MotifLibrary.Find(motif)!;
        var setting = Settings.Lay(Hand, [text], Stands.OnMiddle, null,
            new Ornament(motif, OrnamentPlace.Around, (w, h) => drawn.DrawAround(w, h))).At(10, false);
        var near = setting.Letters.SelectMany(l => l.Lines).Min(a => setting.Ornaments.Min(o => Polyline.Between(a, o.Line)));
        Assert.True(near > 0.15, $"{motif} comes to {near} of the capitals");
    }

    [Theory]
    [InlineData(OrnamentPlace.Before)]
    [InlineData(OrnamentPlace.After)]
    [InlineData(OrnamentPlace.Above)]
    [InlineData(OrnamentPlace.Below)]
    [InlineData(OrnamentPlace.Between)]
    [InlineData(OrnamentPlace.Dot)]
    public void A_motif_keeps_clear_of_the_words_it_goes_with(OrnamentPlace place)
    {
        var heart = Core.Motifs.MotifLibrary.Find("heart")!;
        foreach (var text in new[] { "Emil Finn", "Ida Jill" })
        {
            var setting = Settings.Lay(Hand, [text], Stands.OnMiddle, null,
                new Ornament("heart", place, (w, h) => heart.DrawWithin(w, h))).At(10, false);
            Assert.NotEmpty(setting.Ornaments);
            var near = setting.Letters.SelectMany(l => l.Lines).Min(a => setting.Ornaments.Min(o => Polyline.Between(a, o.Line)));
            Assert.True(near > 0.05, $"{place} comes to {near} of the capitals");
        }
    }
}
