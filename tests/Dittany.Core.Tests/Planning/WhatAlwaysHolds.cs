using Dittany.Core.Geometry;
using Dittany.Core.Hooping;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Planning;
using Dittany.Core.Route;
using Dittany.Core.Space;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Stitches.Needle;
using Dittany.Core.Threads;
using Dittany.Core.Transfer;
using FsCheck.Fluent;

namespace Dittany.Core.Tests.Planning;

/// <summary>What holds for every plan, over random jobs.</summary>
[Trait("Lane", "long")]
public class WhatAlwaysHolds
{
    private const double GridMm = 0.003;

    [ManyTimes(70)]
    public FsCheck.Property Stitches_follow_their_lines() => Prop.ForAll(Samples.Any(), input =>
    {
        var plan = Samples.Make(input.Job, input.Workshop);
        foreach (var element in plan.Elements)
        {
            foreach (var part in element.Parts)
            {
                var turning = element.Concerns.Any(c => c.What == "turning" && c.Letter == part.Letter);
                LineCheck.Follows(part, input.Workshop, OnSkin(plan), turning);
            }
        }
    });

    [ManyTimes(70)]
    public FsCheck.Property Every_stitch_lies_in_the_field_or_a_concern_says_by_how_much() => Prop.ForAll(Samples.Any(), input =>
    {
        var plan = Samples.Make(input.Job, input.Workshop);
        var field = FieldOf(plan);
        foreach (var element in plan.Elements)
        {
            var outside = element.Parts.GroupBy(p => p.LineWidthMm).Select(g =>
            {
                var room = field.Offset(-g.Key / 2);
                return g.SelectMany(Reached).Select(room.OutsideBy).DefaultIfEmpty(0).Max();
            }).DefaultIfEmpty(0).Max();
            var told = element.Concerns.FirstOrDefault(c => c.What == "overflows")?.ByMm ?? 0;
            Assert.True(outside <= told + GridMm || double.IsInfinity(outside), $"outside by {outside}, told {told}");
            Assert.Equal(told > 0, element.OverflowsMm > 0);
        }
    });

    [ManyTimes(70)]
    public FsCheck.Property The_route_holds_every_stitch_once_and_its_floats_keep_the_rule() => Prop.ForAll(Samples.Any(), input =>
    {
        var plan = Samples.Make(input.Job, input.Workshop);
        var all = plan.Elements.SelectMany(e => e.Parts.SelectMany((p, i) => p.Stitches.Select((_, s) => (e.Id, i, s)))).ToHashSet();
        Assert.Equal(all.Count, plan.Route.Count);
        Assert.True(all.SetEquals(plan.Route.Select(r => (r.Element, r.Part, r.Stitch))));

        // Ten millimetres in general, five on skin and on what is handled and washed (common practice).
        var limit = input.Workshop.Habit("jumps") == "by-use" && (OnSkin(plan) || Catalogue.Find(plan.Item.Form)!.Use.Handled) ? 5 : 10;
        for (var i = 0; i < plan.Route.Count; i++)
        {
            var row = plan.Route[i];
            var stitch = StitchOf(plan, row);
            if (i == 0 || row.FloatKind == FloatKind.NewThread)
            {
                Assert.Equal(FloatKind.NewThread, row.FloatKind);
                Assert.Equal(0, row.FloatMm);
                Assert.Equal(i == 0 ? 1 : plan.Route[i - 1].Run + 1, row.Run);
                continue;
            }

            Assert.Equal(plan.Route[i - 1].Run, row.Run);
            if (row.FloatKind == FloatKind.None)
            {
                Assert.Equal(plan.Route[i - 1].Part, row.Part);
                Assert.Equal(0, row.FloatMm);
                Assert.True(!OnSkin(plan) || row.BackMm <= 5 + GridMm, $"{row.BackMm} behind, on skin");
                continue;
            }

            var straight = StitchOf(plan, plan.Route[i - 1]).DownMm.To(stitch.FromMm);
            Assert.InRange(row.FloatMm, straight - 0.001, straight + 0.001);
            if (row.FloatKind == FloatKind.Straight)
            {
                Assert.True(row.FloatMm <= limit + 0.001, $"a float of {row.FloatMm}, {limit} allowed");
            }
            else
            {
                Assert.InRange(row.BackMm, row.FloatMm - 0.001, Routing.MostCarriedMm);
            }
        }
    });

    [ManyTimes(70)]
    public FsCheck.Property Hoopings_cover_every_stitch() => Prop.ForAll(Samples.Any(), input =>
    {
        var plan = Samples.Make(input.Job, input.Workshop);
        Assert.Equal(plan.Hooping.School == School.InHand, plan.Hooping.Hoops.Count == 0);
        Assert.True(plan.Hooping.Hoops.Count >= plan.Hooping.LowerBound);
        foreach (var row in plan.Route.Where(_ => plan.Hooping.School != School.InHand))
        {
            var hoop = plan.Hooping.Hoops.Single(h => h.Order == row.Hoop);
            var stitch = StitchOf(plan, row);
            var half = plan.Elements.Single(e => e.Id == row.Element).Parts[row.Part].LineWidthMm / 2;
            foreach (var p in new[] { stitch.FromMm, stitch.ToMm })
            {
                var far = hoop.Round ? p.To(hoop.CentreMm) : Math.Max(Math.Abs(p.X - hoop.CentreMm.X), Math.Abs(p.Y - hoop.CentreMm.Y));
                Assert.True(far + half <= hoop.UsableRadiusMm + GridMm, $"{far} + {half} > {hoop.UsableRadiusMm}");
            }
        }
    });

    [ManyTimes(80)]
    public FsCheck.Property Threads_are_the_sum_of_their_stitches() => Prop.ForAll(Samples.Any(), input =>
    {
        var plan = Samples.Make(input.Job, input.Workshop);
        var need = Assert.Single(plan.Threads);
        var front = plan.Elements.SelectMany(e => e.Parts).SelectMany(p => p.Stitches).Sum(s => s.ThreadMm);
        var thickness = ThicknessOf(plan, input.Workshop);
        Assert.InRange(need.FrontMm, front - 0.01, front + 0.01);
        Assert.InRange(need.BackMm, plan.Route.Sum(r => r.BackMm) - 0.01, plan.Route.Sum(r => r.BackMm) + 0.01);
        Assert.Equal(plan.Route.Max(r => r.Run), need.Runs);
        var start = CuttingRoom.Starts.Single(s => s.ChoiceId == plan.Decision("thread.start")!.ChoiceId).TailMm;
        var finish = CuttingRoom.Finishes.Single(s => s.ChoiceId == plan.Decision("thread.finish")!.ChoiceId).TailMm;
        var later = start > CuttingRoom.Under.TailMm || CuttingRoom.Starts.Single(s =>
            s.ChoiceId == plan.Decision("thread.start")!.ChoiceId).Lump ? CuttingRoom.Under.TailMm : start;
        Assert.Equal(plan.Route.Count(r => r.Fresh), need.FreshRuns);
        var length = ((need.FrontMm + need.BackMm + (thickness * plan.Route.Sum(r => StitchOf(plan, r).Passes))) * Cutting.TakeUp)
            + (need.Runs * finish) + (need.FreshRuns * start) + ((need.Runs - need.FreshRuns) * later);
        Assert.InRange(need.LengthMm, length - 0.06, length + 0.06);

        // Folded double, half the cut is worked with.
        var doubled = need.Strands % 2 == 0 && (input.Workshop.Habit("strand-use") == "doubled"
            || input.Workshop.Habit("cut-length") == "forearm");

        // No run takes more than it was cut for, so none runs dry.
        foreach (var run in plan.Route.GroupBy(r => r.Run))
        {
            var used = run.Sum(r => Routing.Use(StitchOf(plan, r), r.BackMm, thickness) * Cutting.TakeUp);
            Assert.True(used <= Math.Max(50, (doubled ? need.CutMm / 2 : need.CutMm) - (run.First().Fresh ? start : later) - finish)
                + 0.01, $"run {run.Key} takes {used}");
        }
    });

    /// <summary>The ends of stitches; where thread stands beside its line, within the line's width, the line.</summary>
    private static IEnumerable<Pt> Reached(Part part) => Book.Find(part.Stitch) is { Beside: true } ? part.LineMm
        : part.Stitches.SelectMany(s => new[] { s.FromMm, s.ToMm });

    [ManyTimes(40)]
    public FsCheck.Property Remedies_are_true() => Prop.ForAll(Samples.Any(), input => RemediesHold(input.Job, input.Workshop));

    /// <summary>
    /// Arranged words, with motifs and beside them: in the field or said by how much not, every stitch once in the route, remedies true.
    /// </summary>
    [ManyTimes(25)]
    public FsCheck.Property Arranged_words_and_motifs_keep_all_of_it() => Prop.ForAll(Samples.Arranged(), input =>
    {
        var plan = Samples.Make(input.Job, input.Workshop);
        var field = FieldOf(plan);
        Assert.Equal(plan.Elements.Sum(e => e.Parts.Sum(p => p.Stitches.Count)), plan.Route.Count);
        foreach (var element in plan.Elements)
        {
            var outside = element.Parts.SelectMany(p => Reached(p).Select(at => field.Offset(-p.LineWidthMm / 2).OutsideBy(at)))
                .DefaultIfEmpty(0).Max();
            Assert.True(outside < 0.01 || element.Concerns.Any(c => c.What == "overflows"
                && (c.ByMm is not { } by || by >= outside - 0.01)), $"{element.Text}: {outside}");
        }

        RemediesHold(input.Job, input.Workshop);
    });

    private static void RemediesHold(Job job, Workshop workshop)
    {
        var plan = Samples.Make(job, workshop);
        var asked = job.Wordings[0];
        foreach (var concern in plan.Elements[0].Concerns)
        {
            foreach (var remedy in concern.Remedies)
            {
                var taken = asked with
                {
                    CapHeightMm = remedy.CapHeightMm ?? asked.CapHeightMm,
                    Strands = remedy.Strands ?? asked.Strands,
                    Colour = remedy.Colour ?? asked.Colour,
                    Stitch = remedy.Stitch ?? asked.Stitch,
                    Rows = remedy.Rows ?? asked.Rows,
                    Alphabet = remedy.Alphabet ?? asked.Alphabet,
                    RadiusMm = remedy.RadiusMm ?? asked.RadiusMm,
                };
                var cured = Samples.Make(job with { Elements = [taken] }, workshop);
                Assert.False(cured.Elements[0].Concerns.Any(c => c.What == concern.What && c.Letter == concern.Letter),
                    $"{asked}: {concern.Text} was not cured by {remedy}: "
                        + $"{string.Join(' ', cured.Elements[0].Concerns.Select(c => c.Text))}");
            }
        }
    }

    [ManyTimes(40)]
    public FsCheck.Property The_largest_fits_and_a_hair_more_does_not() =>
        Prop.ForAll(Samples.Any(), input => LargestHolds(input.Job, input.Workshop));

    /// <summary>Round rings, on arcs, along edges and with motifs too, exactly or found by search: within half a percent.</summary>
    [ManyTimes(30)]
    public FsCheck.Property The_largest_of_arranged_words_fits_and_a_hair_more_does_not() =>
        Prop.ForAll(Samples.Arranged(), input => LargestHolds(input.Job.With(e => e is MotifElement ? null : e), input.Workshop));

    private static void LargestHolds(Job job, Workshop workshop)
    {
        var plan = Samples.Make(job, workshop);
        var (asked, planned) = (job.Wordings[0], plan.Elements[0]);
        var largest = planned.LargestCapHeightMm;
        if (largest is < 2.1 or > 295)
        {
            return;
        }

        var line = planned.Parts.First(p => p.Role == "letter");
        var (strands, stitch) = (line.Strands, line.Stitch);
        PlannedElement At(double cap) => Samples.Make(job with
        {
            Elements = [asked
            with { CapHeightMm = cap, Strands = strands, Stitch = stitch, Rows = asked.Text.Contains('\n', StringComparison.Ordinal) ? null
            : planned.Rows.Count }]
        }, workshop).Elements[0];
        Assert.True(At(0.995 * largest).OverflowsMm == 0,
            $"{asked}: {planned.Rows.Count} rows of {largest} with {strands} of {stitch}, and {At(0.995 * largest).OverflowsMm} out at "
                + $"0.995 of it");
        Assert.True(At(1.01 * largest).OverflowsMm > 0, $"{asked}: a hair over {largest} still fits");
    }

    [ManyTimes(40)]
    public FsCheck.Property Mirroring_is_what_the_proof_composes_and_rankings_agree() => Prop.ForAll(Samples.Any(), input =>
    {
        var plan = Samples.Make(input.Job, input.Workshop);
        var chain = Methods.ChainWith(plan.Transfer.Method, plan.Transfer.Marker.Id);
        Assert.Equal(chain.Count == 0 ? null : MirrorProof.PrintMirrored(chain), plan.Transfer.PrintMirrored);
        Assert.Equal(Methods.All.Count, plan.Transfer.Ranking.Count);
        Assert.Equal(plan.Transfer.Method.Id, Assert.Single(plan.Transfer.Ranking, r => r.Verdict == "chosen").Method);
        Assert.All(plan.Decisions, d => Assert.NotEmpty(d.Because));
        Assert.All(plan.Decisions, d => Assert.Equal(d.Station, DecisionRegistry.Find(d.Id)!.At));
        Assert.Equal(plan.Decisions.Count, plan.Decisions.Select(d => d.Id).Distinct(StringComparer.Ordinal).Count());
    });

    private static Region FieldOf(Plan plan)
    {
        var drawn = Catalogue.Find(plan.Item.Form)!.At(plan.Item.Size, plan.Space.Zone);
        return Field.Of(drawn, drawn.Zones.First(z => z.Id == plan.Space.Zone));
    }

    /// <summary>What the back of the work touches: no skin inside a closed thing, and none where the work lies inside.</summary>
    private static bool OnSkin(Plan plan)
    {
        var form = Catalogue.Find(plan.Item.Form)!;
        var hidden = form.At(plan.Item.Size, plan.Space.Zone).Zones.Single(z => z.Id == plan.Space.Zone).Hidden;
        return !hidden && ((plan.Item.Wearer == "baby" && !form.Use.MadeUp) || (plan.Item.Wearer != "nobody" && form.Use.NextToSkin));
    }

    private static double ThicknessOf(Plan plan, Workshop workshop) =>
        plan.Item.Cloth.ThicknessMm + (plan.Item.Cloth.Lined && workshop.Habit("layers") == "through-both" ? 0.25 : 0);

    private static Stitch StitchOf(Plan plan, RouteRow row) =>
        plan.Elements.Single(e => e.Id == row.Element).Parts[row.Part].Stitches[row.Stitch];
}
