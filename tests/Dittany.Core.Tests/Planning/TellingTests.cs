using Dittany.Core.Advising;
using Dittany.Core.Decisions;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Space;
using Dittany.Core.Telling;
using FsCheck;
using FsCheck.Fluent;

namespace Dittany.Core.Tests.Planning;

/// <summary>
/// What the plan says of itself besides its decisions: each stitch, what moved, what is next, the lines to lay words on, and all of it in
/// her units.
/// </summary>
public partial class TellingTests
{
    [ManyTimes(40)]
    public Property Every_stitch_tells_its_own_length_and_thread() => Prop.ForAll(Samples.Any(), input =>
    {
        var plan = Samples.Make(input.Job, input.Workshop);
        for (var row = 0; row < plan.Route.Count; row++)
        {
            var told = StitchTelling.Tell(plan, row).ToString();
            var at = plan.Route[row];
            var stitch = plan.Elements.First(e => e.Id == at.Element).Parts[at.Part].Stitches[at.Stitch];
            Assert.StartsWith($"Stitch {row + 1} of {plan.Route.Count}, in the ", told, StringComparison.Ordinal);
            Assert.Contains($"thread {at.Run}", told, StringComparison.Ordinal);
            if (stitch.Shape == Core.Stitches.Needle.StitchShape.Straight)
            {
                Assert.Contains(Say.Length(Math.Round(stitch.LengthMm, 1)), told, StringComparison.Ordinal);
            }
        }
    });

    /// <summary>
    /// Stitches of an I are full or evened, those of a tight o are shortened for the bend, and their lengths say the same.
    /// </summary>
    [Fact]
    public void Why_a_stitch_is_short_hangs_on_the_line_under_it()
    {
        string[] Told(string text) => Samples.Plan(text, e => e with { CapHeightMm = 12 }) is var plan
            ? Enumerable.Range(0, plan.Route.Count).Select(r => StitchTelling.Tell(plan, r).ToString()).ToArray() : [];
        Assert.All(Told("I"), t => Assert.DoesNotContain("bend", t, StringComparison.Ordinal));
        Assert.Contains(Told("o"), t => t.Contains("for the bend here has a radius of about", StringComparison.Ordinal));
    }

    [Fact]
    public void What_an_overrule_moved_elsewhere_is_listed_and_the_overrule_itself_is_not()
    {
        var (before, after) = (Samples.Plan("Juniper"), Samples.Plan("Juniper", null, ("stitch.outline", "chain")));
        var moved = Moved.Between(before, after);
        Assert.Contains(moved, m => m.Subject == "The work");
        Assert.DoesNotContain(moved, m => m.DecisionId == "stitch.outline");
        Assert.All(moved, m => Assert.NotEqual(m.Was, m.Now));
        Assert.Equal(moved.Select(m => m.Station).Order(), moved.Select(m => m.Station));
        Assert.All(after.Decisions.Where(d => !d.Overruled && before.Decision(d.Id) is { } was && was.Choice != d.Choice), d =>
            Assert.Contains(moved, m => m.DecisionId == d.Id && m.Now == d.Choice));
        Assert.Empty(Moved.Between(before, before));
    }

    [Fact]
    public void What_is_wrong_comes_first_then_the_proof_then_the_print()
    {
        var good = Samples.Plan();
        Assert.Equal(["proof", "work"], Next.Of(good, proofed: false, printed: false).Select(w => w.Kind));
        Assert.Equal(["print", "work"], Next.Of(good, proofed: true, printed: false).Select(w => w.Kind));
        Assert.Equal(["work"], Next.Of(good, proofed: true, printed: true).Select(w => w.Kind));
        var small = Samples.Plan("Hippolyta", e => e with { CapHeightMm = 5 }, ("stitch.outline", "chain"));
        Assert.Equal("concern", Next.Of(small, proofed: true, printed: true)[0].Kind);
        var late = Samples.Plan(Samples.Towel() with { DueOn = Samples.Monday });
        Assert.Equal(("late", Station.Time), (Next.Of(late, proofed: true, printed: true)[0].Kind,
            Next.Of(late, proofed: true, printed: true)[0].Station));
    }

    [Fact]
    public void A_plan_told_in_inches_has_no_centimetre_left_and_its_numbers_unchanged()
    {
        var plan = Samples.Plan(Samples.On("baby-bodysuit", "Little\nPebble"));
        var inches = UnitConversion.In(plan, Units.Inches);
        Assert.Contains(inches.Space.FindIt, s => s.Contains(" in ", StringComparison.Ordinal));
        Assert.All(inches.Decisions.SelectMany(d => d.Because.Append(d.Choice)), s =>
            Assert.DoesNotMatch(@"\d cm\b", s.ToString().Replace("cm body height", string.Empty, StringComparison.Ordinal)));
        Assert.Equal(plan.Elements[0].BoxMm, inches.Elements[0].BoxMm);
        Assert.Equal(plan.Decisions.Select(d => d.ChoiceId), inches.Decisions.Select(d => d.ChoiceId));
        Assert.Contains(inches.TransferSteps, s => s.Do.Contains("check line (100 mm)", StringComparison.Ordinal));
    }

    /// <summary>
    /// Lengths are values in what is told: in inches none of five millimetres or more is left in millimetres or centimetres on any form,
    /// but for names: a hoop by its size, the check line, the line that is tacked for a test.
    /// </summary>
    [Fact]
    public void In_inches_no_length_is_left_that_a_tape_could_tell()
    {
        var left = new SortedSet<string>(StringComparer.Ordinal);
        var jobs = Catalogue.Forms.Select(f => Samples.On(f.Id, "Ida"))
            .Append(Samples.Towel("Hippolyta", w => w with { CapHeightMm = 4 }, ("stitch.outline", "chain")))
            .Append(Samples.On("tote", "A very long wording indeed", w => w with { CapHeightMm = 90 }))
            .Append(new Job("tea-towel", [new MotifElement("sprig", "leaf-sprig", HeightMm: 30),
                new MotifElement("daisy", "daisy", HeightMm: 900)], Samples.Monday))
            .Concat(Core.Crafts.AllCrafts.Ids.SelectMany(c => new[] { 30.0, 120 }.Select(high => new Job("cushion-cover",
                [new TextElement("w", "BOB") { Craft = c }, new MotifElement("m", "fox-face", HeightMm: high) { Craft = c }], Samples.Monday))));
        foreach (var sentence in jobs.SelectMany(j => Sentences.Of(UnitConversion.In(Samples.Plan(j), Units.Inches), Units.Inches)))
        {
            foreach (System.Text.RegularExpressions.Match found in Metric().Matches(sentence))
            {
                var mm = double.Parse(found.Groups["number"].Value,
                    System.Globalization.CultureInfo.InvariantCulture) * (found.Groups["unit"].Value == "cm" ? 10 : 1);
                if (mm >= Tape.InchesFromMm && !(sentence.Contains(" hoop (", StringComparison.Ordinal)
                    || sentence.Contains(" frame (", StringComparison.Ordinal)
                    || sentence.Contains("check line", StringComparison.OrdinalIgnoreCase)
                    || sentence.Contains("100 mm line", StringComparison.Ordinal)))
                {
                    left.Add(sentence);
                }
            }
        }

        Assert.True(left.Count == 0, string.Join('\n', left));
    }

    /// <summary>
    /// The lines to lay words on are the item's own: the fold of a towel is half its width, and no line lies outside the field.
    /// </summary>
    [Fact]
    public void Words_snap_to_the_items_own_lines()
    {
        var plan = Samples.Plan();
        var fold = plan.Space.Snaps.First(s => s.Axis == SnapAxis.Across);
        Assert.Equal(("centre-fold", 250.0), (fold.Id, fold.AtMm));
        var usual = plan.Space.Snaps.First(s => s.Id == "usual-height");
        Assert.Equal(plan.Elements[0].CentreMm.Y, usual.AtMm, 0.01);
        Assert.Equal(new Core.Geometry.Pt(250, usual.AtMm),
            Snaps.Apply(plan.Space.Snaps, new Core.Geometry.Pt(251.5, usual.AtMm - 1.5), 2));
        Assert.Equal(new Core.Geometry.Pt(254, usual.AtMm - 5),
            Snaps.Apply(plan.Space.Snaps.Take(2).Where(s => s.Id is "centre-fold").ToArray(), new Core.Geometry.Pt(254, usual.AtMm - 5),
            2));
    }

    /// <summary>As low as stitches may go really is: there it fits, a millimetre lower it does not.</summary>
    [Theory]
    [InlineData("tea-towel", "lowest", 1)]
    [InlineData("tea-towel", "highest", -1)]
    [InlineData("baby-bodysuit", "highest", -1)]
    [InlineData("tote", "lowest", 1)]
    public void The_last_free_height_is_the_last(string form, string id, int way)
    {
        var job = Samples.On(form, "Mimi", e => e with { CapHeightMm = 12 });
        var plan = Samples.Plan(job);
        var snap = plan.Space.Snaps.First(s => s.Id == id);
        double Overflow(double y) => Samples.Plan(job with
        {
            Elements = [job.Elements[0]
            with { CentreMm = new Core.Geometry.Pt(plan.Elements[0].CentreMm.X, y) }]
        }).Elements[0].OverflowsMm;
        Assert.Equal(0, Overflow(snap.AtMm - (0.1 * way)));
        Assert.True(Overflow(snap.AtMm + (1.0 * way)) > 0);
    }

    /// <summary>
    /// What is stitched is a quotation: a length in it is nobody's measure, and stays as it was written whatever she measures in.
    /// </summary>
    [Theory]
    [InlineData("Run 100 m", "tote")]
    [InlineData("5 cm is all", "cushion-cover")]
    [InlineData("Swim 50 m\nRun 100 m", "tea-towel")]
    public void Words_that_speak_of_lengths_stay_as_they_are(string words, string form)
    {
        var plan = Samples.Plan(Samples.On(form, words));
        var one = words.ReplaceLineEndings(" ");
        var sentences = Sentences.Of(plan).Where(s => s.Contains(one, StringComparison.Ordinal)).ToArray();
        Assert.NotEmpty(sentences);
        foreach (var units in new[] { Units.Centimetres, Units.Inches })
        {
            var told = Sentences.Of(UnitConversion.In(plan, units)).ToArray();
            Assert.Equal(sentences.Length, told.Count(s => s.Contains(one, StringComparison.Ordinal)));
            Assert.DoesNotContain(told, s => s.Contains("3937", StringComparison.Ordinal) || s.Contains("1968", StringComparison.Ordinal)
                || s.Contains("2 in is all", StringComparison.Ordinal));
        }

        Assert.Contains(Sentences.Of(UnitConversion.In(plan, Units.Inches)), s => s.Contains(" in ", StringComparison.Ordinal)
            || s.EndsWith(" in.", StringComparison.Ordinal));
    }

    [System.Text.RegularExpressions.GeneratedRegex(@"(?<number>\d+(\.\d+)?) (?<unit>mm|cm)\b",
        System.Text.RegularExpressions.RegexOptions.ExplicitCapture, 1000)]
    private static partial System.Text.RegularExpressions.Regex Metric();

    /// <summary>A length that goes from word to word says so: “e swee” is read, “eswee” is not.</summary>
    [Fact]
    public void A_length_keeps_the_blank_between_words()
    {
        var plan = Samples.Plan(new Job("hoop-picture", [new TextElement("name", "Home sweet home")], Samples.Monday));
        var told = string.Join(' ', RunTelling.Of(plan).Select(r => r.Letters));
        Assert.Equal("Homesweethome", told.Replace(" ", string.Empty, StringComparison.Ordinal));
        Assert.Contains(RunTelling.Of(plan), r => r.Letters.Contains(' ', StringComparison.Ordinal));
        Assert.All(RunTelling.Of(plan), r => Assert.DoesNotContain("es", r.Letters, StringComparison.Ordinal));
    }
}
