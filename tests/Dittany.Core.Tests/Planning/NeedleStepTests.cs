using Dittany.Core.Advising;
using Dittany.Core.Decisions;
using Dittany.Core.Jobs;
using Dittany.Core.Operations;
using Dittany.Core.Planning;
using Dittany.Core.Telling;
using Dittany.Core.Time;

namespace Dittany.Core.Tests.Planning;

/// <summary>The work one step at a time.</summary>
public class NeedleStepTests
{
    private static readonly Workshop Plain = Workshop.Default;

    public static TheoryData<string> Forms() => ["tea-towel", "baby-bodysuit", "tote", "denim-jacket", "hoop-picture"];

    /// <summary>
    /// Every operation is a step and stitching is its lengths; the minutes are those of the plan, and going through all steps ends the
    /// piece: after each the plan with what is then done is at the next.
    /// </summary>
    [Theory]
    [MemberData(nameof(Forms))]
    public void Steps_lead_from_the_first_to_the_end(string form)
    {
        var job = new Job(form, [new TextElement("name", "Ida Mae")], Samples.Monday);
        var plan = Samples.Make(job, Plain);
        var steps = NeedleSteps.Of(plan, Samples.Monday);
        Assert.Equal(plan.Work.Count - 1 + plan.Threads.Sum(t => t.Runs), steps.Count);
        Assert.Equal(steps.Select(s => s.Id).Distinct(StringComparer.Ordinal).Count(), steps.Count);
        Assert.Equal(plan.Time.HandsOnMinutes, steps.Sum(s => s.Minutes), 0.5 * steps.Count);
        Assert.All(steps, s => Assert.NotEmpty(s.Do));

        var (logged, done) = (new HashSet<string>(StringComparer.Ordinal), (Done?)null);
        for (var i = 0; i < steps.Count; i++)
        {
            var now = Samples.Make(job with { Done = done, Today = Samples.Monday.AddDays(9) }, Plain);
            Assert.Equal(i, NeedleSteps.At(NeedleSteps.Of(now, Samples.Monday), now.Time.Progress, logged));
            logged.Add(steps[i].Id);
            done = steps[i].DoneBy is { } by ? Changes.Apply(job, new Change("done", by, "on")).Job!.Done : done;
        }

        Assert.True(done!.Finished);
    }

    /// <summary>Each length says its thread, and only where it is cut its length; hoops are moved where the ring is.</summary>
    [Fact]
    public void A_length_says_how_it_begins_and_ends()
    {
        var plan = Samples.Make(Samples.Towel() with { Elements = [new TextElement("name", "Hippolyta", CapHeightMm: 40)] }, Plain);
        var lengths = NeedleSteps.Of(plan, Samples.Monday).Where(s => s.Length is not null).ToArray();
        Assert.True(lengths.Length > 2);
        Assert.All(lengths, s => Assert.Equal(s.Length!.Cut, s.Do.Any(d => d.ToString().StartsWith("Cut ", StringComparison.Ordinal))));
        Assert.All(lengths, s => Assert.Contains(s.Do, d => d.ToString().StartsWith("Begin", StringComparison.Ordinal)));
        Assert.Contains(lengths[^1].Do, d => d.ToString().StartsWith("End: ", StringComparison.Ordinal));
        Assert.Contains(lengths, s => s.Hints.Count > 0);
        Assert.Equal(plan.Hooping.Hoops.Count - 1, lengths.Count(s => s.Do.Any(d => d.ToString().StartsWith("Move the ring", StringComparison.Ordinal))));
        Assert.True(plan.Hooping.Hoops.Count > 1);
        Assert.DoesNotContain(lengths[0].Do, d => d.ToString().StartsWith("Move the ring", StringComparison.Ordinal));
    }

    /// <summary>An evening ends where a letter or part is whole, within its minutes, and holds at least one step; drying ends it.</summary>
    [Theory]
    [InlineData(20)]
    [InlineData(45)]
    [InlineData(90)]
    public void An_evening_ends_at_a_whole_part(double minutes)
    {
        var plan = Samples.Make(Samples.Towel() with { Elements = [new TextElement("name", "Hippolyta", CapHeightMm: 40)] }, Plain);
        var steps = NeedleSteps.Of(plan, Samples.Monday);
        for (var from = 0; from < steps.Count;)
        {
            var to = NeedleSteps.Tonight(steps, from, minutes);
            Assert.True(to > from);
            Assert.True(to == from + 1 || steps.Skip(from).Take(to - from).Sum(s => s.Minutes) <= minutes + 1e-9);
            Assert.True(steps[to - 1].Whole || to == from + 1);
            Assert.DoesNotContain(steps.Skip(from).Take(to - from - 1), s => s.Wait is { Days: > 0 });
            from = to;
        }
    }

    /// <summary>
    /// Stitches done of a length that is begun: they are in the cloth and frozen, take their minutes off what is left, are written and read
    /// back, and the length says where to go on.
    /// </summary>
    [Fact]
    public void A_length_may_be_begun()
    {
        var job = Samples.Towel() with { Elements = [new TextElement("name", "Hippolyta", CapHeightMm: 40)] };
        var (before, begun) = (job with { Done = new Done(true, 1) }, Changes.Apply(job, new Change("done", "runs=1+5", "on")).Job!);
        Assert.Equal(new Done(true, 1, Stitches: 5), begun.Done);
        Assert.Equal("runs=1+5", Changes.WriteDone(begun.Done!));
        var (at, plan) = (Samples.Make(before, Plain), Samples.Make(begun, Plain));
        Assert.Equal((Stage.OnTheHoop, 1, 5), (plan.Time.Progress.Stage, plan.Time.Progress.RunsDone, plan.Time.Progress.Stitches));
        Assert.True(plan.Time.Progress.LeftMinutes < at.Time.Progress.LeftMinutes);
        var (whole, rest) = (NeedleSteps.Of(at, Samples.Monday).Single(s => s.Id == "length-2"), NeedleSteps.Of(plan, Samples.Monday).Single(s => s.Id == "length-2"));
        Assert.Equal(whole.Minutes * (whole.Length!.Stitches - 5) / whole.Length.Stitches, rest.Minutes, 0);
        Assert.Contains(rest.Do, d => d.ToString().Contains($"stitches of {rest.Length!.Stitches} are done", StringComparison.Ordinal));
        var steps = NeedleSteps.Of(plan, Samples.Monday);
        Assert.Equal("length-2", steps[NeedleSteps.At(steps, plan.Time.Progress, new HashSet<string>())].Id);

        // A first length that is begun holds the work where it is; before the first stitch nothing does.
        var first = job with { Done = new Done(true, 0, Stitches: 3) };
        var other = first with { Elements = [new TextElement("name", "Hippolyta", CapHeightMm: 30)] };
        Assert.NotNull(CompletedWorkGuard.Fault(first, Samples.Make(first, Plain), other, Samples.Make(other, Plain)));
        Assert.Null(CompletedWorkGuard.Fault(first, Samples.Make(first, Plain), first with { Title = "Hers" }, Samples.Make(first with { Title = "Hers" }, Plain)));
        Assert.False(CompletedWorkGuard.Matters(job, other));
    }

    /// <summary>Eyes and hands rest before a length that would go past twenty-five minutes at the needle since they last did.</summary>
    [Fact]
    public void Eyes_and_hands_rest()
    {
        var steps = NeedleSteps.Of(Samples.Make(Samples.Towel() with { Elements = [new TextElement("name", "Hippolyta", CapHeightMm: 40)] }, Plain), Samples.Monday);
        Assert.Contains(steps, s => s.AfterBreak);
        var sat = 0.0;
        foreach (var step in steps)
        {
            Assert.Equal(step.Length is not null && sat >= NeedleSteps.BreakMinutes, step.AfterBreak);
            sat = (step.AfterBreak || step.Length is null ? 0 : sat) + (step.Length is null ? 0 : step.Minutes);
        }
    }

    /// <summary>Folded double, half a length is worked with: what is left on the needle is never more than that.</summary>
    [Theory]
    [InlineData("single", "450")]
    [InlineData("doubled", "450")]
    [InlineData("single", "forearm")]
    public void What_is_left_is_what_is_worked_with(string use, string cut)
    {
        var workshop = Plain with { Habits = new Dictionary<string, string>(StringComparer.Ordinal) { ["strand-use"] = use, ["cut-length"] = cut } };
        var plan = Samples.Make(Samples.Towel() with { Elements = [new TextElement("name", "Hippolyta", CapHeightMm: 40)] }, workshop);
        var lengths = NeedleSteps.Of(plan, Samples.Monday).Where(s => s.Thread is not null).ToArray();
        Assert.NotEmpty(lengths);
        Assert.All(lengths, s => Assert.InRange(s.Thread!.Value.UsedMm + s.Thread.Value.LeftMm, 200, 450));
    }

    /// <summary>Chalk that is good for four hours does not outlast evenings: what is stitched tonight is drawn tonight.</summary>
    [Fact]
    public void Marks_are_drawn_for_tonight_where_they_do_not_last()
    {
        var job = new Job("tote", [new TextElement("name", "Hippolyta", CapHeightMm: 40)], Samples.Monday, Fabric: new Dittany.Core.Items.FabricOverrides(null, "#27303a"),
            Overrides: OverrideSet.Of(("transfer.method", "prick-and-pounce"), ("transfer.marker", "chalk")));
        var evenings = new Evenings(3, 30);
        var plan = Samples.Make(job, Plain);
        if (plan.Transfer.Marker.Id != "chalk")
        {
            plan = plan with { Transfer = plan.Transfer with { Marker = Dittany.Core.Materials.Inks.Find("chalk")!, Method = Dittany.Core.Transfer.Methods.All.First(m => Dittany.Core.Transfer.MarkerRules.OnCloth(m)) } };
        }

        var steps = NeedleSteps.Of(plan, Samples.Monday);
        var at = steps.ToList().FindIndex(s => s.Length is not null);
        var portion = Portion.Of(plan, steps, at, evenings);
        Assert.Contains("A chalk pencil lasts about 4 h", portion.Marks!.ToString(), StringComparison.Ordinal);
        Assert.Contains("draw only what you stitch tonight", portion.Marks.ToString(), StringComparison.Ordinal);
        Assert.Equal(portion.To, NeedleSteps.Tonight(steps, at, 30));

        // One that stays, and an evening that holds all of it, say nothing.
        var stays = plan with { Transfer = plan.Transfer with { Marker = Dittany.Core.Materials.Inks.Find("water-erasable")! } };
        Assert.Null(Portion.Of(stays, steps, at, evenings).Marks);
        Assert.Null(Portion.Of(plan, steps, steps.Count - 1, evenings).Marks);
    }

    /// <summary>
    /// Every mishap says what to do in order, what never, and what it costs; unpicking costs half of what stitching took.
    /// </summary>
    [Fact]
    public void Mishaps_say_what_helps()
    {
        Assert.Equal(12, Mishaps.All.Count);
        Assert.All(Mishaps.All, m => Assert.InRange(m.Now.Count, 2, 4));
        Assert.All(Mishaps.All, m => Assert.True(m.Minutes > 0 || m.Lengths));

        // Said of what the piece is: no letters where there are none, no pins in a coating, no iron where none is used.
        string Said(Plan plan) => string.Join(' ', Mishaps.For(plan).SelectMany(m =>
            m.Now.Append(m.Never).Append(m.Name).Append(m.Changes)));
        var motif = Said(Samples.Make(new Job("tea-towel", [new MotifElement("m", "daisy")], Samples.Monday), Plain));
        Assert.DoesNotContain("letter", motif, StringComparison.OrdinalIgnoreCase);
        Assert.DoesNotContain("words", motif, StringComparison.OrdinalIgnoreCase);
        Assert.DoesNotContain("pinned", Said(Samples.Make(new Job("backpack", [new TextElement("w", "Io")], Samples.Monday), Plain)), StringComparison.Ordinal);
        Assert.DoesNotContain('{', Said(Samples.Make(Samples.Towel(), Plain)));
        Assert.DoesNotContain('{', motif);
        var runs = RunTelling.Of(Samples.Make(Samples.Towel(), Plain));
        Assert.Equal(Math.Round(runs[0].Minutes / 2, 1), Mishaps.UnpickMinutes(runs, 1, 1));
    }

    /// <summary>Kinds of work that are learnt are those there are.</summary>
    [Fact]
    public void Every_kind_of_work_is_learnt()
    {
        var kinds = NeedleSteps.Of(Samples.Make(Samples.Towel(), Plain), Samples.Monday).Select(s => s.Kind).ToArray();
        Assert.All(kinds, k => Assert.Contains(k, PaceNames.Kinds));
        Assert.Equal(Enum.GetValues<OpKind>().Length + 1, PaceNames.Kinds.Count);
    }
}
