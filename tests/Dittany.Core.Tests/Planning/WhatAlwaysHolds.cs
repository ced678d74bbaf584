using Dittany.Core.Geometry;
using Dittany.Core.Hooping;
using Dittany.Core.Planning;
using Dittany.Core.Route;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Threads;
using Dittany.Core.Transfer;
using FsCheck.Fluent;
using FsCheck.Xunit;

namespace Dittany.Core.Tests.Planning;

/// <summary>What holds for every plan, over random jobs.</summary>
public class WhatAlwaysHolds
{
    private const double GridMm = 0.003;

    [Property(MaxTest = 120)]
    public FsCheck.Property Stitches_follow_their_lines() => Prop.ForAll(Jobs.Any(), input =>
    {
        var plan = Planner.Make(input.Job, input.Workshop);
        foreach (var element in plan.Elements)
        {
            foreach (var part in element.Parts)
            {
                var turning = element.Concerns.Any(c => c.What == "turning" && c.Letter == part.Letter);
                Follows(part, turning);
            }
        }
    });

    [Property(MaxTest = 120)]
    public FsCheck.Property Every_stitch_lies_in_the_field_or_a_concern_says_by_how_much() => Prop.ForAll(Jobs.Any(), input =>
    {
        var plan = Planner.Make(input.Job, input.Workshop);
        var field = FieldOf(plan);
        foreach (var element in plan.Elements)
        {
            var room = field.Offset(-element.LineWidthMm / 2);
            var outside = element.Parts.SelectMany(p => p.Stitches).SelectMany(s => new[] { s.FromMm, s.ToMm }).Select(room.OutsideBy).DefaultIfEmpty(0).Max();
            var told = element.Concerns.FirstOrDefault(c => c.What == "overflows")?.ByMm ?? 0;
            Assert.True(outside <= told + GridMm, $"outside by {outside}, told {told}");
            Assert.Equal(told > 0, element.OverflowsMm > 0);
        }
    });

    [Property(MaxTest = 120)]
    public FsCheck.Property The_route_holds_every_stitch_once_and_its_floats_keep_the_rule() => Prop.ForAll(Jobs.Any(), input =>
    {
        var plan = Planner.Make(input.Job, input.Workshop);
        var all = plan.Elements.SelectMany(e => e.Parts.SelectMany((p, i) => p.Stitches.Select((_, s) => (e.Id, i, s)))).ToHashSet();
        Assert.Equal(all.Count, plan.Route.Count);
        Assert.True(all.SetEquals(plan.Route.Select(r => (r.Element, r.Part, r.Stitch))));
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
                continue;
            }

            Assert.Equal(StitchOf(plan, plan.Route[i - 1]).ToMm.To(stitch.FromMm), row.FloatMm, 3);
            if (row.FloatKind == FloatKind.Straight)
            {
                Assert.True(row.FloatMm <= Routing.StraightNotCaughtMm + 0.001);
            }
            else
            {
                Assert.InRange(row.BackMm, row.FloatMm - 0.001, Routing.MostCarriedMm);
            }
        }
    });

    [Property(MaxTest = 120)]
    public FsCheck.Property Hoopings_cover_every_stitch() => Prop.ForAll(Jobs.Any(), input =>
    {
        var plan = Planner.Make(input.Job, input.Workshop);
        Assert.Equal(plan.Hooping.School == School.InHand, plan.Hooping.Hoops.Count == 0);
        Assert.True(plan.Hooping.Hoops.Count >= plan.Hooping.LowerBound);
        foreach (var row in plan.Route.Where(_ => plan.Hooping.School != School.InHand))
        {
            var hoop = plan.Hooping.Hoops.Single(h => h.Order == row.Hoop);
            var stitch = StitchOf(plan, row);
            var half = plan.Elements[0].LineWidthMm / 2;
            foreach (var p in new[] { stitch.FromMm, stitch.ToMm })
            {
                var far = hoop.Round ? p.To(hoop.CentreMm) : Math.Max(Math.Abs(p.X - hoop.CentreMm.X), Math.Abs(p.Y - hoop.CentreMm.Y));
                Assert.True(far + half <= hoop.UsableRadiusMm + GridMm, $"{far} + {half} > {hoop.UsableRadiusMm}");
            }
        }
    });

    [Property(MaxTest = 80)]
    public FsCheck.Property Threads_are_the_sum_of_their_stitches() => Prop.ForAll(Jobs.Any(), input =>
    {
        var plan = Planner.Make(input.Job, input.Workshop);
        var need = Assert.Single(plan.Threads);
        var front = plan.Elements.SelectMany(e => e.Parts).SelectMany(p => p.Stitches).Sum(s => s.LengthMm);
        Assert.InRange(need.FrontMm, front - 0.01, front + 0.01);
        Assert.InRange(need.BackMm, plan.Route.Sum(r => r.BackMm) - 0.01, plan.Route.Sum(r => r.BackMm) + 0.01);
        Assert.Equal(plan.Route.Max(r => r.Run), need.Runs);
        var start = ThreadRoom.Starts.Single(s => s.ChoiceId == plan.Decision("thread.start")!.ChoiceId).TailMm;
        var finish = ThreadRoom.Finishes.Single(s => s.ChoiceId == plan.Decision("thread.finish")!.ChoiceId).TailMm;
        var length = ((need.FrontMm + need.BackMm + (2 * plan.Item.Cloth.ThicknessMm * plan.Route.Count)) * Cutting.TakeUp) + (need.Runs * (start + finish));
        Assert.InRange(need.LengthMm, length - 0.06, length + 0.06);

        // No run takes more than it was cut for, so none runs dry.
        foreach (var run in plan.Route.GroupBy(r => r.Run))
        {
            var used = run.Sum(r => (StitchOf(plan, r).LengthMm + r.BackMm + (2 * plan.Item.Cloth.ThicknessMm)) * Cutting.TakeUp);
            Assert.True(used <= Math.Max(50, need.CutMm - start - finish) + 0.01, $"run {run.Key} takes {used}");
        }
    });

    [Property(MaxTest = 60)]
    public FsCheck.Property Remedies_are_true() => Prop.ForAll(Jobs.Any(), input =>
    {
        var plan = Planner.Make(input.Job, input.Workshop);
        var asked = input.Job.Elements[0];
        foreach (var concern in plan.Elements[0].Concerns)
        {
            foreach (var remedy in concern.Remedies)
            {
                var taken = asked with
                {
                    CapHeightMm = remedy.CapHeightMm ?? asked.CapHeightMm,
                    Strands = remedy.Strands ?? asked.Strands,
                    Colour = remedy.Colour ?? asked.Colour,
                };
                var cured = Planner.Make(input.Job with { Elements = [taken] }, input.Workshop);
                Assert.DoesNotContain(cured.Elements[0].Concerns, c => c.What == concern.What && c.Letter == concern.Letter);
            }
        }
    });

    [Property(MaxTest = 60)]
    public FsCheck.Property The_largest_fits_and_a_hair_more_does_not() => Prop.ForAll(Jobs.Any(), input =>
    {
        var plan = Planner.Make(input.Job, input.Workshop);
        var (asked, planned) = (input.Job.Elements[0], plan.Elements[0]);
        var largest = planned.LargestCapHeightMm;
        if (largest is < 2.1 or > 295)
        {
            return;
        }

        var strands = planned.Parts[0].Strands;
        PlannedElement At(double cap) => Planner.Make(input.Job with { Elements = [asked with { CapHeightMm = cap, Strands = strands }] }, input.Workshop).Elements[0];
        Assert.Equal(0, At(0.995 * largest).OverflowsMm);
        Assert.True(At(1.01 * largest).OverflowsMm > 0);
    });

    [Property(MaxTest = 60)]
    public FsCheck.Property Mirroring_is_what_the_proof_composes_and_rankings_agree() => Prop.ForAll(Jobs.Any(), input =>
    {
        var plan = Planner.Make(input.Job, input.Workshop);
        var chain = Methods.ChainWith(plan.Transfer.Method, plan.Transfer.Marker.Id);
        Assert.Equal(chain.Count == 0 ? null : MirrorProof.PrintMirrored(chain), plan.Transfer.PrintMirrored);
        Assert.Equal(Methods.All.Count, plan.Transfer.Ranking.Count);
        Assert.Equal(plan.Transfer.Method.Id, Assert.Single(plan.Transfer.Ranking, r => r.Verdict == "chosen").Method);
        Assert.All(plan.Decisions, d => Assert.NotEmpty(d.Because));
        Assert.Equal(plan.Decisions.Count, plan.Decisions.Select(d => d.Id).Distinct(StringComparer.Ordinal).Count());
    });

    private static void Follows(Part part, bool turning)
    {
        var spec = StitchSpec.For(new Pair(Book.Find(part.Stitch)!, part.Strands), LengthSchool.Graded);
        var line = part.Closed ? part.LineMm.Append(part.LineMm[0]).ToArray() : part.LineMm.ToArray();
        Assert.Equal(line[0], part.Stitches[0].ToMm);
        Assert.Equal(line[^1], part.Stitches[^1].FromMm);
        for (var i = 1; i < part.Stitches.Count; i++)
        {
            Assert.Equal(part.Stitches[i - 1].FromMm, part.Stitches[i].ToMm);
        }

        foreach (var p in line)
        {
            var off = part.Stitches.Min(s => Polyline.ToSegment(p, s.FromMm, s.ToMm));
            Assert.True(turning || off <= spec.SagittaMm + GridMm, $"{part.Letter}: the line is {off} from its stitches, {spec.SagittaMm} allowed");
        }

        var holes = part.Stitches.Select(s => s.FromMm).Append(part.Stitches[0].ToMm).ToArray();
        foreach (var hole in holes)
        {
            Assert.True(Polyline.ToLine(hole, line) <= 0.02, $"{part.Letter}: a hole stands beside the line");
        }

        for (var i = 1; i + 1 < line.Length; i++)
        {
            if (Pt.TurnRadians(line[i] - line[i - 1], line[i + 1] - line[i]) > StitchSpec.CornerRadians)
            {
                Assert.Contains(holes, h => h.To(line[i]) < GridMm);
            }
        }

        Assert.All(part.Stitches, s => Assert.True(s.LengthMm <= (1.05 * spec.WishedMm) + GridMm, $"{part.Letter}: a stitch of {s.LengthMm}"));

        // Shorter than the shortest only where the whole stretch between corners is.
        foreach (var s in part.Stitches.Where(s => s.LengthMm < spec.ShortestMm - GridMm))
        {
            var alone = IsStop(line, s.FromMm) && IsStop(line, s.ToMm);
            Assert.True(alone || turning, $"{part.Letter}: a stub of {s.LengthMm}");
        }
    }

    private static bool IsStop(Pt[] line, Pt hole)
    {
        if (hole == line[0] || hole == line[^1])
        {
            return true;
        }

        for (var i = 1; i + 1 < line.Length; i++)
        {
            if (line[i].To(hole) < GridMm && Pt.TurnRadians(line[i] - line[i - 1], line[i + 1] - line[i]) > StitchSpec.CornerRadians * 0.95)
            {
                return true;
            }
        }

        return false;
    }

    private static Region FieldOf(Plan plan)
    {
        var field = Region.Empty;
        foreach (var ring in plan.Space.FieldMm)
        {
            field = Region.Of(ring);
        }

        return field;
    }

    private static Stitch StitchOf(Plan plan, RouteRow row) => plan.Elements.Single(e => e.Id == row.Element).Parts[row.Part].Stitches[row.Stitch];
}
