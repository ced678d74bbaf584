using Dittany.Core.Geometry;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Tests.StitchBook;

/// <summary>The stitch book: every stitch can be learnt from its needle's way, by either hand, and is found by what is needed.</summary>
public class LessonTests
{
    public static TheoryData<string> All() => [.. Book.All.Select(s => s.Id)];

    /// <summary>No two stitches share an id: a plan, a page and a wish mean the same by it.</summary>
    [Fact]
    public void Every_stitch_has_an_id_of_its_own() =>
        Assert.Equal(Book.All.Count, Book.All.Select(s => s.Id).Distinct(StringComparer.Ordinal).Count());

    [Theory]
    [MemberData(nameof(All))]
    public void Every_stitch_has_a_lesson(string id)
    {
        var lesson = Lesson.Of(Book.Find(id)!)!;
        Assert.NotEmpty(lesson.Steps);
        Assert.StartsWith("Come up at 1", lesson.Steps[0].Text, StringComparison.Ordinal);
        Assert.All(lesson.Steps, s => Assert.EndsWith(".", s.Text, StringComparison.Ordinal));
        Assert.Equal(Enumerable.Range(1, lesson.Holes.Count), lesson.Holes.Select(h => h.Number));
        Assert.True(lesson.ThreadMm > 0 && lesson.Seconds > 0);

        // Each step stands for one move of the plan's own needle, at its own place.
        Assert.All(lesson.Steps, s => Assert.Equal(lesson.Sewn[s.Stitch].Moves()[s.Move].At, s.AtMm));
        Assert.Equal(lesson.Sewn[0].Moves().Length, lesson.Steps.Count(s => s.Stitch == 0));
    }

    /// <summary>A left hand works the mirror image: every place mirrored, right and left changed over, and not a word else.</summary>
    [Theory]
    [MemberData(nameof(All))]
    public void A_left_hand_is_the_mirror_image(string id)
    {
        var (right, left) = (Lesson.Of(Book.Find(id)!)!, Lesson.Of(Book.Find(id)!, leftHanded: true)!);
        var (a, b) = (right.Sewn.Moves.ToArray(), left.Sewn.Moves.ToArray());
        Assert.Equal(a.Length, b.Length);
        Assert.All(a.Zip(b), m =>
        {
            Assert.Equal((m.First.Kind, -m.First.At.X, m.First.At.Y, -m.First.Side, m.First.Turns),
                (m.Second.Kind, m.Second.At.X, m.Second.At.Y, m.Second.Side, m.Second.Turns));
        });
        Assert.Equal(right.Steps.Select(s => Swapped(s.Text)), left.Steps.Select(s => s.Text));
        Assert.Equal(right.ThreadMm, left.ThreadMm, 6);

        static string Swapped(string text) => text.Replace("right", "§", StringComparison.Ordinal).Replace("left", "right", StringComparison.Ordinal)
            .Replace("§", "left", StringComparison.Ordinal);
    }

    /// <summary>
    /// Thread by closed form: backstitch lies once on the face and twice behind, so a centimetre takes 30 mm; running with gaps of two
    /// thirds takes its face and its back, 10 mm; satin closes a square centimetre with 100 mm² over its width, once in front and once
    /// behind.
    /// </summary>
    [Theory]
    [InlineData("backstitch", 27, 32)]
    [InlineData("running", 9.5, 10.5)]
    public void Thread_for_a_centimetre(string id, double least, double most) =>
        Assert.InRange(Lesson.Of(Book.Find(id)!)!.ThreadMm, least, most);

    [Fact]
    public void Thread_for_a_square_centimetre_of_satin()
    {
        var lesson = Lesson.Of(Book.Find("satin")!)!;
        Assert.InRange(lesson.ThreadMm, 2 * 100 / lesson.Sewn.BundleMm * 0.75, 2 * 100 / lesson.Sewn.BundleMm * 1.2);
    }

    /// <summary>
    /// Chain: a link is there and back on the face and once behind, so a centimetre takes about 30 mm and a little for its width.
    /// </summary>
    [Fact]
    public void Thread_for_a_centimetre_of_chain() => Assert.InRange(Lesson.Of(Book.Find("chain")!)!.ThreadMm, 26, 38);

    /// <summary>A plain sentence is taken apart into what it asks for.</summary>
    [Fact]
    public void A_sentence_is_a_wish()
    {
        var wanted = Finding.Read("a line on jersey under 12 mm that is soft");
        Assert.Equal((Makes.Line, Feel.Flat, true, 12.0, null as string),
            (wanted.What, wanted.Feel, wanted.Knit, wanted.CapMm, wanted.Words));
        var found = Finding.In(wanted).Select(s => s.Id).ToArray();
        Assert.Contains("split", found);
        Assert.DoesNotContain("backstitch", found);
        Assert.DoesNotContain("chain", found);
        Assert.Equal(["couching"], Finding.In(Finding.Read("couching")).Where(s => Finding.What(s) == Makes.Line).Select(s => s.Id));
        Assert.Empty(Finding.In(Finding.Read("a stitch for nothing at all, zzz")));
        Assert.Equal(Book.All.Count, Finding.In(Finding.Read("")).Count);
    }

    /// <summary>Whatever is found is so: it makes what is wanted, writes at the height, feels so and gives on a knit.</summary>
    [Fact]
    public void What_is_found_is_what_was_wanted()
    {
        foreach (var what in Enum.GetValues<Makes>())
        {
            foreach (var feel in Enum.GetValues<Feel>())
            {
                foreach (var cap in new[] { 5.0, 12, 30 })
                {
                    Assert.All(Finding.In(new Wanted(What: what, Feel: feel, Knit: true, CapMm: cap)), s =>
                        Assert.True(Finding.What(s) == what
                        && s.Info.Trait.Feel == feel && s.Info.Trait.Gives && (what != Makes.Line || Finding.LeastMm(s) <= cap)));
                }
            }
        }
    }

    /// <summary>Traits are named for stitches that there are.</summary>
    [Fact]
    public void Stitches_that_give_are_those_that_knits_take() => Assert.All(Recommender.Knit.SelectMany(r => r.Stitches).Where(s => s != "backstitch"),
        s => Assert.True(Book.Find(s)!.Info.Trait.Gives, s));
}
