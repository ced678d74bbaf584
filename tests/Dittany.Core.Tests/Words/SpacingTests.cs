using Dittany.Core.Items;
using Dittany.Core.StitchBook;
using Dittany.Core.Tests.Planning;
using Dittany.Core.Words;

namespace Dittany.Core.Tests.Words;

public class SpacingTests
{
    private static readonly IAlphabet Hand = UprightHand.Alphabet;

    /// <summary>
    /// From its least height on, clear cloth between uprights is two lines wide, between rounds 1.2 lines (from memory), for every stitch
    /// and bundle.
    /// </summary>
    [Theory]
    [InlineData("HH", 2.0)]
    [InlineData("nn", 2.0)]
    [InlineData("il", 2.0)]
    [InlineData("oo", 1.2)]
    [InlineData("OC", 1.2)]
    public void Gaps_between_uprights_and_rounds(string pair, double lines)
    {
        foreach (var stitch in Book.Lines)
        {
            foreach (var strands in new[] { 1, 2, 3, 4 })
            {
                var width = stitch.LineWidthMm(strands);
                foreach (var cap in new[] { stitch.ComfortableCapMm(strands), stitch.ComfortableCapMm(strands) * 1.5 })
                {
                    var setting = Settings.Lay(Hand, [pair], Stands.OnBaseline).At(cap, width);
                    var open = (setting.Letters[1].GapBefore * cap) - width;
                    Assert.True(open >= (lines * width) - 0.02, $"{stitch.Id} {strands} at {cap}: {open / width} lines");
                }
            }
        }
    }

    /// <summary>Under 10 mm capitals letters stand 6 % of their height further apart; words 0.6, rows 1.7 of it (from memory).</summary>
    [Fact]
    public void Small_letters_stand_wider()
    {
        var settings = Settings.Lay(Hand, ["HHH"], Stands.OnBaseline);
        Assert.Same(settings.Wide, settings.At(9.9, 0.4));
        Assert.Same(settings.Usual, settings.At(10, 0.4));
        Assert.Equal(2 * 0.06, settings.Wide.Width - settings.Usual.Width, 6);
        Assert.Contains("6 %", string.Join(' ', Samples.Plan(Samples.On("napkin", "Ada", w => w with { CapHeightMm = 8 })).Decision(
            "words.size")!.Because), StringComparison.Ordinal);
    }

    /// <summary>Open pairs are drawn together, upright pairs are left, and ink never comes nearer than a sixth of the capital.</summary>
    [Theory]
    [InlineData("AV", true)]
    [InlineData("To", true)]
    [InlineData("LT", true)]
    [InlineData("HI", false)]
    [InlineData("nn", false)]
    public void White_between_letters_is_made_even(string pair, bool closer)
    {
        var letters = Rows.Letters(pair).Select(l => Hand.Find(l)!).ToArray();
        var beside = Hand.Beside(letters[0], letters[1]);
        Assert.Equal(closer, beside.Kern < -1);
        Assert.True(beside.Gap >= 16, $"the ink comes within {beside.Gap}");
        Assert.True(beside.WideGap > beside.Gap);
    }

    /// <summary>No two letters of the hand touch at usual spacing, at a comfortable height.</summary>
    [Fact]
    public void No_neighbours_touch_at_a_comfortable_height()
    {
        var letters = "ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789&".Select(c => Hand.Find(c.ToString())!).ToArray();
        foreach (var left in letters)
        {
            foreach (var right in letters)
            {
                // Twelve lines a capital: a gap of 1.6 lines clear is 21.7 units at wide spacing, and more than a thread always.
                Assert.True(Hand.Beside(left, right).WideGap >= 15, $"{left.Letter}{right.Letter}: {Hand.Beside(left, right).WideGap}");
            }
        }
    }

    /// <summary>Read back aloud: capitals, accents and signs by name (Unicode names of the marks, in words a maker uses).</summary>
    [Fact]
    public void The_proof_is_read_aloud()
    {
        var proof = Samples.Plan(Samples.Towel("Zoë & Łucja\nş")).Proof.Select(p => p.Aloud);
        Assert.Equal(["capital Z", "o", "e with two dots", "space", "and sign", "space", "capital L with a stroke", "u", "c", "j", "a",
            "new row", "s with a cedilla"], proof);
    }

    /// <summary>
    /// A wording too wide for one row at its usual height is broken, one that is not stays whole, and a stated number is kept.
    /// </summary>
    [Fact]
    public void Rows_are_taken_where_they_help()
    {
        Assert.Equal(["Fridolin", "Mooshammer"], Samples.Plan(Samples.On("baby-bodysuit", "Fridolin Mooshammer")).Elements[0].Rows);
        Assert.Single(Samples.Plan(Samples.On("tote", "Bread & Salt")).Elements[0].Rows);
        Assert.Single(Samples.Plan(Samples.On("baby-bodysuit", "Fridolin Mooshammer", w => w with { Rows = 1 })).Elements[0].Rows);
        Assert.Equal(2, Samples.Plan(Samples.On("tote", "Bread & Salt", overrules: ("words.rows", "2"))).Elements[0].Rows.Count);
    }

    /// <summary>More rows than there are words cannot be made, and that is told; nothing is hyphenated.</summary>
    [Fact]
    public void Rows_that_cannot_be_made_are_told()
    {
        var decision = Samples.Plan(Samples.On("tote", "Salt", overrules: ("words.rows", "3"))).Decision("words.rows")!;
        Assert.Equal("1", decision.ChoiceId);
        Assert.Contains(decision.Because, b => b.Contains("cannot be broken", StringComparison.Ordinal));
    }

    /// <summary>Too heavy a stitch is cured by a narrower one, and the cure is true.</summary>
    [Fact]
    public void A_stitch_too_heavy_is_cured_by_another()
    {
        var plan = Samples.Plan(Samples.Towel("Mimi", w => w with { CapHeightMm = 10, Stitch = "chain", Strands = 3 }));
        var concern = plan.Elements[0].Concerns.Single(c => c.What == "too-heavy");
        var stitch = concern.Remedies.Single(r => r.Stitch is not null).Stitch!;
        Assert.DoesNotContain(Samples.Plan(Samples.Towel("Mimi", w => w
            with
        { CapHeightMm = 10, Stitch = stitch, Strands = 3 })).Elements[0].Concerns, c => c.What == "too-heavy");
        Assert.Contains(concern.Remedies, r => r.CapHeightMm == 17);
    }
}
