using Dittany.Core.Geometry;
using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Motifs;
using Dittany.Core.Planning;

namespace Dittany.Core.Telling;

/// <summary>
/// One motif of a plan that stands several times: what it is called, how many there are, and how they are set out by eye.
/// </summary>
public sealed record SetOutTold(string Element, string One, int Copies, bool InRow, Loosely? Asked);

/// <summary>Repeated motifs set out by eye on a job.</summary>
public static class SettingOut
{
    /// <summary>The motifs of a job that stand several times in its plan.</summary>
    public static IReadOnlyList<SetOutTold> Of(Plan plan, Job job) =>
        job.Motifs.Select(m => (Asked: m, Planned: plan.Elements.FirstOrDefault(e =>
        e.Id == m.Id))).Where(m => m.Planned is not null).Select(m => new SetOutTold(m.Asked.Id, m.Planned.Sure().One,
            m.Planned.Parts.Where(p => p.Copy >= 0).Select(p => p.Copy).Distinct().Count(), m.Planned.Arrangement == "row", m.Asked.Loosely))
        .Where(m => m.Copies > 1).ToArray();

    /// <summary>The job with a motif set out so; null keeps its copies in step.</summary>
    public static Job With(Job job, string element, Loosely? how) =>
        job.With(element, e => e is MotifElement motif ? motif with { Loosely = how } : e);

    /// <summary>
    /// The job with one copy pushed by so many mm on the item, from where it stands in the plan: kept in shares of one motif, so that it
    /// goes along when the whole is made larger or turned.
    /// </summary>
    public static Job Push(Job job, Plan plan, string element, int copy, Pt byMm)
    {
        if (job.Find(element) is not MotifElement asked
            || plan.Elements.FirstOrDefault(e => e.Id == element) is not { CopyMm: > 0 } planned)
        {
            return job;
        }

        var turned = -(asked.TurnDegrees ?? 0) * Math.PI / 180;
        var by = new Pt((byMm.X * Math.Cos(turned)) - (byMm.Y * Math.Sin(turned)), (byMm.X * Math.Sin(turned))
            + (byMm.Y * Math.Cos(turned)))
            * (1 / planned.CopyMm);
        var how = asked.Loosely ?? new Loosely(Alike: true);
        var was = how.Pushed.LastOrDefault(p => p.Copy == copy)?.By ?? default;
        var now = new Pt(Math.Round(was.X + by.X, 4), Math.Round(was.Y + by.Y, 4));
        return With(job, element, how with { Pushed = [.. how.Pushed.Where(p => p.Copy != copy), new Pushed(copy, now)] });
    }

    /// <summary>The job with nothing of a motif pushed any more.</summary>
    public static Job Even(Job job, string element) => (job.Find(element) as MotifElement)?.Loosely is { } how
        ? With(job, element, how with { Pushed = [] }) : job;
}
