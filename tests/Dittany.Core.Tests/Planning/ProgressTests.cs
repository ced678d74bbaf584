using Dittany.Core.Advising;
using Dittany.Core.Jobs;
using Dittany.Core.Planning;
using Dittany.Core.Time;
using Dittany.Core.Words;

namespace Dittany.Core.Tests.Planning;

/// <summary>What is done of a piece stays done, and the rest of the plan reckons with it.</summary>
public class ProgressTests
{
    [Fact]
    public void What_is_left_shrinks_with_every_length_and_the_whole_stays()
    {
        var job = Samples.Towel("Bread & Salt");
        var fresh = Samples.Plan(job);
        var runs = fresh.Threads.Sum(t => t.Runs);
        var left = Enumerable.Range(0, runs + 1).Select(n => Samples.Plan(job with { Done = new Done(true, n) })).ToArray();
        Assert.True(left.Zip(left.Skip(1)).All(p => p.Second.Time.Progress.LeftMinutes < p.First.Time.Progress.LeftMinutes));
        Assert.All(left, p => Assert.Equal(fresh.Time.HandsOnMinutes, p.Time.HandsOnMinutes));
        Assert.Equal(fresh.Time.HandsOnMinutes, fresh.Time.Progress.LeftMinutes);
        Assert.Equal(Stage.Stitched, left[^1].Time.Progress.Stage);
        Assert.Equal((Stage.Marked, Stage.OnTheHoop), (left[0].Time.Progress.Stage, left[1].Time.Progress.Stage));
        Assert.True(left[^1].Time.ReadyOn <= fresh.Time.ReadyOn);
    }

    [Fact]
    public void Hung_up_today_it_dries_and_then_only_the_iron_is_left()
    {
        var job = Samples.Towel() with { Done = new Done(true, 99, Samples.Monday) };
        Assert.Equal(Stage.Drying, Samples.Plan(job).Time.Progress.Stage);
        Assert.Contains("Tuesday 2 March", Samples.Plan(job).Time.Progress.Told, StringComparison.Ordinal);
        var next = Samples.Plan(job with { Today = Samples.Monday.AddDays(1) }).Time.Progress;
        Assert.Equal((Stage.ToFinish, 5.0), (next.Stage, next.LeftMinutes));
        Assert.Equal(Stage.Finished, Samples.Plan(job with { Done = new Done(Finished: true) }).Time.Progress.Stage);
        Assert.Empty(Next.Of(Samples.Plan(job with { Done = new Done(Finished: true) }), proofed: true, printed: true));
    }

    /// <summary>A change that would move a stitch already in the cloth is refused; one that leaves them where they are is not.</summary>
    [Theory]
    [InlineData("text", "Junipers", true)]
    [InlineData("capHeightMm", "17", true)]
    [InlineData("centreMm", "251,600", true)]
    [InlineData("overrules/stitch.outline", "chain", true)]
    [InlineData("colour", "#2f3f6b", true)]
    [InlineData("title", "Another title", false)]
    [InlineData("dueOn", "2027-05-01", false)]
    [InlineData("overrules/finish.press", "no-press", false)]
    [InlineData("done", null, false)]
    public void Stitched_stitches_do_not_move(string member, string? value, bool refused)
    {
        var job = Samples.Towel() with { Done = new Done(true, 2) };
        var changed = Changes.Apply(job, new Change(member, value, string.Empty)).Job!;
        var fault = CompletedWorkGuard.Fault(job, Samples.Plan(job), changed, Samples.Plan(changed));
        Assert.Equal(refused, fault is not null);
        if (refused)
        {
            Assert.Contains("2 lengths of thread are stitched already", fault!.Detail, StringComparison.Ordinal);
        }
    }

    /// <summary>What was given last week and is finished is not late today.</summary>
    [Fact]
    public void A_finished_piece_is_never_late()
    {
        var job = Samples.Towel() with { DueOn = Samples.Monday.AddDays(-7), Done = new Done(Finished: true) };
        var plan = Samples.Plan(job);
        Assert.Equal("finished", plan.Decision("time.ready")!.ChoiceId);
        Assert.False(MakeItFit.Lay([new OpenPiece(1, job, plan)], new Evenings(5, 60), Samples.Monday)[0].Late);
    }

    /// <summary>Pressing the next step again and again ends with a finished piece, in the order the work is done.</summary>
    [Fact]
    public void Step_after_step_a_piece_comes_to_its_end()
    {
        var (job, stages) = (Samples.Towel(), new List<Stage>());
        for (var n = 0; n < 100 && StepOn.After(Samples.Plan(job), Samples.Monday) is { } step; n++)
        {
            job = Changes.Apply(job, new Change("done", step.Done, step.Text)).Job!;
            stages.Add(Samples.Plan(job).Time.Progress.Stage);
        }

        Assert.Equal(Stage.Finished, stages[^1]);
        Assert.Equal(stages.Order(), stages);
        Assert.Equal([Stage.Washed, Stage.Marked, Stage.OnTheHoop, Stage.Stitched, Stage.Drying, Stage.Finished], stages.Distinct());
    }

    [Theory]
    [InlineData("marked")]
    [InlineData("runs=3")]
    [InlineData("rinsed=2027-03-01")]
    [InlineData("washed=2027-02-27")]
    [InlineData("finished")]
    public void How_far_it_is_is_written_as_it_is_read(string said) =>
        Assert.Equal(said, Changes.Read(Changes.Apply(Samples.Towel(), new Change("done", said, string.Empty)).Job!, "done"));

    [Theory]
    [InlineData("half")]
    [InlineData("runs=-1")]
    [InlineData("rinsed=someday")]
    public void What_does_not_say_how_far_is_told(string said) =>
        Assert.Equal("#/done", Changes.Apply(Samples.Towel(), new Change("done", said, string.Empty)).Fault!.Pointer);

    /// <summary>A motif has no letters to make smaller: it is quicker with its outlines alone, and nothing is said of letters.</summary>
    [Fact]
    public void A_late_motif_may_be_left_unfilled()
    {
        var job = new Job("cushion-cover", [new MotifElement("m", "fox-face")], Samples.Monday, DueOn: Samples.Monday.AddDays(6));
        var ways = MakeItFit.Ways([new OpenPiece(1, job, Samples.Plan(job))], 1, Workshop.Default, Samples.Monday, Library.Ours);
        Assert.Contains(ways, w => w.Changes.Contains(("overrules/stitch.fill", "none")));
        Assert.DoesNotContain(ways, w => w.Text.Contains("letter", StringComparison.Ordinal) || w.Kind == "fewer-letters");
    }

    /// <summary>Every way that is told is tried out: taking it, the late piece is in time, and none other became late.</summary>
    [Theory]
    [InlineData("Fridolin Mooshammer", 1)]
    [InlineData("Fridolin Mooshammer", 0)]
    [InlineData("Bread & Salt", 2)]
    [InlineData("Zoë", 0)]
    public void Ways_to_make_it_fit_are_true(string words, int days)
    {
        var late = new OpenPiece(1, Samples.Towel(words) with { DueOn = Samples.Monday.AddDays(days) }, null!);
        var other = new OpenPiece(2, Samples.On("napkin", "Odalys") with { DueOn = Samples.Monday.AddDays(12) }, null!);
        OpenPiece[] pieces = [late with { Plan = Samples.Plan(late.Job) }, other with { Plan = Samples.Plan(other.Job) }];
        var ways = MakeItFit.Ways(pieces, 1, Workshop.Default, Samples.Monday, Library.Ours);
        Assert.InRange(ways.Count, 1, 3);
        Assert.Equal("later", ways[^1].Kind);
        Assert.Equal(ways.Count, ways.Select(w => w.Text).Distinct().Count());
        foreach (var way in ways)
        {
            var (job, workshop) = (pieces[0].Job, Workshop.Default);
            foreach (var (member, value) in way.Changes)
            {
                if (way.OfWorkshop)
                {
                    workshop = WorkshopChanges.Apply(workshop, member, value).Workshop!;
                }
                else
                {
                    job = Changes.Apply(job, new Change(member, value, string.Empty)).Job!;
                }
            }

            var laid = MakeItFit.Lay([new OpenPiece(1, job, Samples.Make(job, workshop)), pieces[1]],
                new Evenings(workshop.EveningsPerWeek, workshop.MinutesPerEvening), Samples.Monday);
            Assert.All(laid, l => Assert.False(l.Late, way.Text));
        }
    }

    /// <summary>Alone on the calendar a piece is ready on the day its own plan tells.</summary>
    [Fact]
    public void The_calendar_and_the_plan_tell_the_same_day()
    {
        foreach (var form in Core.Items.Catalogue.Forms)
        {
            var job = Samples.On(form.Id, "Bread & Salt");
            var plan = Samples.Plan(job);
            Assert.Equal(plan.Time.ReadyOn, MakeItFit.Lay([new OpenPiece(7, job, plan)], new Evenings(5, 60), Samples.Monday)[0].ReadyOn);
        }
    }

    /// <summary>The day of its first wash stays known whatever is done afterwards, and goes when all is taken back.</summary>
    [Fact]
    public void The_day_of_the_first_wash_stays_known()
    {
        var job = Samples.Towel();
        foreach (var done in new[] { "washed=2027-03-02", "marked", "runs=2", "rinsed=2027-03-09", "finished" })
        {
            job = Changes.Apply(job, new Change("done", done, done)).Job!;
            Assert.Equal(new DateOnly(2027, 3, 2), job.Done!.WashedOn);
        }

        Assert.Null(Changes.Apply(job, new Change("done", null, "all taken back")).Job!.Done);
    }
}
