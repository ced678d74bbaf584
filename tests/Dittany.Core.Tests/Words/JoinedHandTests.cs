using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Planning;
using Dittany.Core.Tests.Planning;
using Dittany.Core.Words;

namespace Dittany.Core.Tests.Words;

public class JoinedHandTests
{
    private static readonly IAlphabet Hand = JoinedHand.Alphabet;

    [Theory]
    [MemberData(nameof(UprightHandTests.Repertoire), MemberType = typeof(UprightHandTests))]
    public void Both_other_hands_have_every_letter_of_the_upright_one(string letter)
    {
        if (UprightHand.Alphabet.Find(letter) is not null)
        {
            Assert.NotNull(Hand.Find(letter));
            if (letter is not "_" and not "\"" and not "°" and not "¡" and not "¿" and not "«" and not "»" and not "…" and not "‚")
            {
                Assert.NotNull(PlainCapitals.Alphabet.Find(letter));
            }
        }
    }

    /// <summary>Ampersand, heart and star are characters like any other.</summary>
    [Theory]
    [InlineData("&")]
    [InlineData("♥")]
    [InlineData("★")]
    public void Signs_are_letters_of_all_hands(string sign) =>
        Assert.All(Alphabets.Ours.Where(a => a.Kind == AlphabetKind.Stroke), a => Assert.NotNull(a.Find(sign)));

    /// <summary>
    /// Joins are true for every pair of letters: the running line goes on where the letter before leaves, in its direction, without a
    /// break.
    /// </summary>
    [Fact]
    public void Every_pair_is_joined_without_a_break()
    {
        const string Small = "abcdeghijklmnoprstuvwxyz";
        foreach (var a in Small.Where(c => c is not 'p' and not 'q'))
        {
            foreach (var b in Small.Where(c => c is not 'f'))
            {
                var letters = Setting.Lay(Hand, [$"{a}{b}"], Stands.OnBaseline).Letters;
                Assert.True(letters[1].Joins, $"{a}{b} is not joined");
                var group = Assert.Single(LetterGroup.Of(letters));
                var line = group.Strokes.OrderByDescending(s => s.Curves.Count).First();
                for (var i = 1; i < line.Curves.Count; i++)
                {
                    Assert.True(line.Curves[i - 1].P3.To(line.Curves[i].P0) < 1e-6, $"{a}{b} breaks");
                }

                // The join leaves in the direction the letter had.
                var join = Enumerable.Range(1, line.Curves.Count - 1).First(i => line.Curves[i].P0.To(letters[1].Strokes[0].Start) < 1e-6);
                Assert.True(Pt.TurnRadians(line.Curves[join - 1].Velocity(1), line.Curves[join].Velocity(0)) < 0.02,
                    $"{a}{b} turns where it is joined");
            }
        }
    }

    /// <summary>
    /// From a letter that leaves at the top a pen runs straight into the loop of a tall one: a dip to the line would read as a v between
    /// them (a fact of joined writing).
    /// </summary>
    [Fact]
    public void A_join_from_the_top_into_a_loop_does_not_dip()
    {
        foreach (var pair in "obvwr".SelectMany(a => "bhkl".Select(b => $"{a}{b}")))
        {
            var letters = Setting.Lay(Hand, [pair], Stands.OnBaseline).Letters;
            var join = letters[1].Strokes[0].Curves[0];
            Assert.True(Enumerable.Range(0, 21).All(i => -join.At(i / 20.0).Y > 0.45), $"{pair} dips");
        }
    }

    /// <summary>
    /// As few strokes as a pen makes: a name without dots, bars and lifted letters is a single line (a fact of joined writing: the pen
    /// lifts for i, t, f and p only).
    /// </summary>
    [Theory]
    [InlineData("anna", 1)]
    [InlineData("moon", 1)]
    [InlineData("hannah", 1)]
    [InlineData("emil", 2)]
    [InlineData("lotte", 3)]
    [InlineData("zoë", 3)]
    [InlineData("Lena", 1)]
    [InlineData("Amelie", 4)]
    public void A_name_is_as_few_strokes_as_a_pen_makes(string name, int strokes) =>
        Assert.Equal(strokes, LetterGroup.Of(Setting.Lay(Hand, [name], Stands.OnBaseline).Letters).Sum(g => g.Strokes.Count));

    /// <summary>Stitched, the running line of a name is one part: no thread has to end or jump inside it.</summary>
    [Fact]
    public void A_joined_name_is_one_part()
    {
        var plan = Samples.Plan(Samples.Towel("hannah", w => w with { Alphabet = "joined-hand", CapHeightMm = 20 }));
        Assert.Single(plan.Elements[0].Parts);
        Assert.Equal("hannah", plan.Elements[0].Parts[0].Letter);
        Assert.Equal(0, plan.Elements[0].OverflowsMm);
    }

    /// <summary>
    /// At twenty line widths, twice the draughtsman's rule, no letter of the hand has shut: counters and loops stay open by a line's width.
    /// </summary>
    [Fact]
    public void Loops_stay_open()
    {
        foreach (var letter in "abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789")
        {
            Assert.True(Hand.Measure(Hand.Find(letter.ToString())!).Narrowest >= 100.0 / 20 * 2,
                $"{letter}: {Hand.Measure(Hand.Find(letter.ToString())!).Narrowest}");
        }
    }
}
