using System.Globalization;
using Dittany.Core.Advising;
using Dittany.Core.Geometry;
using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Motifs;
using Dittany.Core.Planning;
using Dittany.Core.Words;

namespace Dittany.Core.Tests.Planning;

/// <summary>
/// No job within the limits takes for ever, none is answered with a number that is none, and what is more than a plan holds ends as a
/// sentence.
/// </summary>
[Trait("Lane", "long")]
public sealed class BoundsTests
{
    private static Figure Scribble(int curves)
    {
        var random = new Random(curves);
        Pt Next() => new(random.Next(0, 600) / 10.0, random.Next(0, 600) / 10.0);
        var (at, all) = (Next(), new List<Curve>());
        for (var i = 0; i < curves; i++)
        {
            var to = Next();
            all.Add(new Curve(at, Next(), Next(), to));
            at = to;
        }

        return new Figure([new FigurePart("stem", FigureKind.Line, new Stroke(all, false))]);
    }

    private static Job Drawn(Figure figure, int? count = null, double? high = null) => new(
        "tote", [new MotifElement("own", "own", HeightMm: high, Arrangement: count is null ? null : "scatter",
            Count: count, Drawing: new OwnDrawing("scribble", figure))], Samples.Monday);

    /// <summary>
    /// The budget is spent in counts, so the same job ends at the same place on every machine: a scribble three times as long takes about
    /// three times the steps, not nine.
    /// </summary>
    [Fact]
    public void Reckoning_grows_with_what_is_drawn()
    {
        var (small, large) = (Steps(Drawn(Scribble(100))), Steps(Drawn(Scribble(300))));
        Assert.InRange((double)large / small, 2.0, 4.5);
    }

    /// <summary>Steps a plan takes, found by halving to five in a hundred.</summary>
    private static long Steps(Job job)
    {
        var (low, high) = (0L, Budget.OfAPlan);
        while (high - low > high / 20)
        {
            var middle = (low + high) / 2;
            if (Fits(job, middle))
            {
                high = middle;
            }
            else
            {
                low = middle;
            }
        }

        return high;
    }

    private static bool Fits(Job job, long most)
    {
        try
        {
            return Samples.Make(job, Workshop.Default, most).Route.Count > 0;
        }
        catch (UnplannedException)
        {
            return false;
        }
    }

    [Fact]
    public void A_plan_over_its_budget_ends_as_a_sentence()
    {
        var fault = Assert.Throws<UnplannedException>(() => Samples.Make(Drawn(Scribble(300)), Workshop.Default, 100_000)).Fault;
        Assert.Equal("#/elements", fault.Pointer);
        Assert.Contains("more than one plan can reckon", fault.Detail, StringComparison.Ordinal);
        Assert.NotEmpty(fault.Try);
    }

    [Fact]
    public void A_plan_stops_when_it_is_no_longer_wanted()
    {
        using var stop = new CancellationTokenSource();
        stop.Cancel();
        Assert.Throws<OperationCanceledException>(() => Samples.Make(Drawn(Scribble(60)), Workshop.Default, stop: stop.Token));
    }

    /// <summary>Copies are counted before anything is laid out: sixty motifs of sixty copies would be half a million stitches.</summary>
    [Fact]
    public void Stitches_of_motifs_are_in_the_limit()
    {
        var daisies = Enumerable.Range(0, 60).Select(i =>
            new MotifElement($"m{i.ToString(CultureInfo.InvariantCulture)}", "daisy", HeightMm: 300, Arrangement: "scatter",
            Count: 60)).ToArray();
        var fault = Assert.Single(Samples.Faults(new Job("tablecloth", [.. daisies], Samples.Monday), Workshop.Default));
        Assert.Contains("200000 is the most", fault.Detail, StringComparison.Ordinal);
        Assert.Empty(Samples.Faults(new Job("tablecloth", [.. daisies[..1]], Samples.Monday), Workshop.Default));
    }

    /// <summary>
    /// What is reckoned beforehand is near what comes out, and never so much more that a job is refused that could be planned.
    /// </summary>
    [Theory]
    [InlineData("daisy", "scatter", 12)]
    [InlineData("daisy", "ring", 8)]
    [InlineData("wheat-ear", "row", 5)]
    [InlineData("leaf-sprig", "one", 1)]
    [InlineData("heart", "border", 20)]
    public void Stitches_are_told_beforehand(string motif, string arrangement, int count)
    {
        var job = new Job("tablecloth", [new MotifElement("m", motif, HeightMm: 200, Arrangement: arrangement,
            Count: count)], Samples.Monday);
        var made = Samples.Make(job, Workshop.Default).Route.Count;
        Assert.InRange(JobCheck.StitchesOf(job), made * 0.35, made * 1.25);
    }

    [Fact]
    public void Marks_heaped_on_a_letter_are_refused_by_name()
    {
        var heaped = $"a{new string('\u0301', 900)}";
        var fault = Assert.Single(Samples.Faults(Samples.Towel(heaped), Workshop.Default));
        Assert.Equal("#/elements/0/text", fault.Pointer);
        Assert.Contains("carries 899 marks, and 8 is the most", fault.Detail, StringComparison.Ordinal);
        Assert.Empty(Samples.Faults(Samples.Towel("Nguyễn"), Workshop.Default));
    }

    [Theory]
    [InlineData("\u200b", "zero width space (U+200B)")]
    [InlineData("Zoë\n\u00ad", "soft hyphen (U+00AD)")]
    [InlineData("Zoë \ufeff", "zero width no-break space (U+FEFF)")]
    [InlineData("\u2800", "blank of Braille (U+2800)")]
    [InlineData("\u3164", "Hangul filler (U+3164)")]
    public void Words_without_ink_are_refused_by_name(string words, string name) =>
        Assert.Contains(Samples.Faults(Samples.Towel(words), Workshop.Default), f => f.Pointer == "#/elements/0/text"
            && f.Detail.Contains(name, StringComparison.Ordinal));

    [Theory]
    [InlineData("\u2007")]
    [InlineData("\u2007\n\u3000")]
    public void Spaces_of_any_kind_are_no_words(string words) =>
        Assert.Contains(Samples.Faults(Samples.Towel(words), Workshop.Default), f => f.Detail == "There are no letters in the words.");

    [Fact]
    public void A_space_of_any_kind_is_a_space() =>
        Assert.Equal(Samples.Plan(Samples.Towel("Zoë Max")).Elements[0].BoxMm, Samples.Plan(Samples.Towel("Zoë\u2002Max")).Elements[0].BoxMm);

    /// <summary>A zone that its edges eat up is a concern with its measure, and every number of the plan is one.</summary>
    [Theory]
    [InlineData(100, 30)]
    [InlineData(100, 16.2)]
    public void A_zone_without_room_is_a_concern(double allowance, double side)
    {
        var ring = new[] { new Pt(20, 20), new Pt(20 + side, 20), new Pt(20 + side, 20 + side), new Pt(20, 20 + side) };
        var own = new Core.Items.OwnForm(
            "own-1", "Small thing", "rectangle", new Dictionary<string, double>(StringComparer.Ordinal),
            [new Core.Items.OwnFace("front", "front", [new Pt(0, 0), new Pt(90, 0), new Pt(90, 90), new Pt(0, 90)],
                [new Core.Items.OwnZone("middle", "middle", ring, Math.Min(allowance, side / 2))], [], null)],
            "linen", "#f1ede2", "adult", new Core.Items.FormUse(false, false, false, false));
        foreach (var job in new[] { new Job("own-1", [new TextElement("name", "Ida")], Samples.Monday, Own: own),
            new Job("own-1", [new MotifElement("m", "heart")], Samples.Monday, Own: own) })
        {
            var plan = Samples.Plan(job);
            var concern = Assert.Single(plan.Elements[0].Concerns, c => c.What == "overflows");
            Assert.Contains("no room at all", concern.Text, StringComparison.Ordinal);
            Assert.True(plan.Elements[0].OverflowsMm > 0 && double.IsFinite(plan.Elements[0].OverflowsMm));
        }
    }

    /// <summary>On a grid an opening comes out as the geometry library finds it, to the width of the grid.</summary>
    [Fact]
    public void Openings_of_a_thicket_agree_with_exact_ones()
    {
        // Bars across a square: openings of 30, 20 and 40 hundredths, and a square of 100 round them.
        NetTopologySuite.Geometries.Coordinate[] Line(double x0, double y0, double x1, double y1) => [new(x0, y0), new(x1, y1)];
        var lines = new[] { Line(0, 0, 100, 0), Line(100, 0, 100, 100), Line(100, 100, 0, 100), Line(0, 100, 0, 0), Line(0, 30, 100, 30),
            Line(0, 50, 100, 50), Line(60, 50, 60, 100) };
        var openings = OpeningGrid.Openings(lines).Order().ToArray();
        Assert.Equal(4, openings.Length);
        foreach (var (found, wanted) in openings.Zip(new[] { 20.0, 30, 40, 50 }))
        {
            Assert.InRange(found, wanted - (2 * OpeningGrid.WithinUnits), wanted + (2 * OpeningGrid.WithinUnits));
        }

        Assert.False(OpeningGrid.Is(lines));
        Assert.True(OpeningGrid.Is(Scribble(300).Parts.Select(p =>
            p.Stroke.Flatten(0.2).Select(q => new NetTopologySuite.Geometries.Coordinate(q.X, q.Y)).ToArray()).ToArray()));
    }

    /// <summary>What the index says lies near is what looking at every line says.</summary>
    [Fact]
    public void Lines_near_a_point_are_those_that_are()
    {
        var random = new Random(7);
        var lines = Enumerable.Range(0, 60).Select(_ => (IReadOnlyList<Pt>)Enumerable.Range(0, random.Next(1, 40)).Select(_ =>
            new Pt(random.NextDouble() * 50, random.NextDouble() * 50)).ToArray()).ToArray();
        var near = new NearLines(lines);
        for (var i = 0; i < 300; i++)
        {
            var (p, mm, but) = (new Pt(random.NextDouble() * 60, random.NextDouble() * 60), random.NextDouble() * 4, random.Next(60));
            Assert.Equal(Enumerable.Range(0, lines.Length).Where(k => k != but && Polyline.ToLine(p, lines[k]) <= mm),
                near.Within(p, mm, but));
            Assert.Equal(Enumerable.Range(0, lines.Length).Any(k => k != but && Polyline.ToLine(p, lines[k]) < mm),
                near.Nearer(p, mm, but));
        }
    }

    [Theory]
    [InlineData("１０", "10")]
    [InlineData("٣,٥ cm", "3,5 cm")]
    [InlineData("१४ ／ २", "14 / 2")]
    [InlineData("३ Zoë", "3 Zoë")]
    public void Digits_of_every_script_are_read(string written, string plain) => Assert.Equal(plain, Digits.Plain(written));

    [Fact]
    public void Measures_and_days_take_digits_of_every_script()
    {
        Assert.Equal(100, Tape.Read("１０", Units.Centimetres));
        Assert.Equal(97, Tape.Read("٩٧ mm"));
        Assert.Equal(new DateOnly(2027, 3, 14), Core.Time.SaidDay.Read("１４ March", Samples.Monday));
        Assert.Equal(Samples.Monday.AddDays(3), Core.Time.SaidDay.Read("in ٣ days", Samples.Monday));
    }

    /// <summary>The least height at which something is cured is found in a few tries, where it stays cured.</summary>
    [Theory]
    [InlineData(10, 11)]
    [InlineData(10, 37)]
    [InlineData(10, 50)]
    public void The_least_height_that_cures_is_found_in_few_tries(double from, double least)
    {
        var tries = 0;
        Assert.Equal(least, LeastHeight.Cured(from, cap =>
        {
            tries++;
            return cap >= least;
        }));
        Assert.InRange(tries, 1, 14);
        Assert.Null(LeastHeight.Cured(from, _ => false));
    }
}
