using Dittany.Core.Decisions;

namespace Dittany.Core.Jobs;

/// <summary>
/// One element of a job looked at as if it stood first and alone, so that members and choices of the first are its own; and put back where
/// it stood. A member of an element is named <c>elements/ribbon/capHeightMm</c>.
/// </summary>
internal static class ElementFocus
{
    private const string Prefix = "elements/";

    /// <summary>A member of one element as its id and the member; null for any other.</summary>
    public static (string Id, string Member)? Read(string member) => member.StartsWith(Prefix, StringComparison.Ordinal)
        && member.IndexOf('/', Prefix.Length) is > 0 and var at ? (member[Prefix.Length..at], member[(at + 1)..]) : null;

    /// <summary>The member of an element as a change names it: plain where the element is the first of its job.</summary>
    public static string Member(Job job, string id, string member) => IsFirst(job, id) ? member : $"{Prefix}{id}/{member}";

    /// <summary>The job of that element alone; null where there is none.</summary>
    public static Job? On(Job job, string id)
    {
        return job.Find(id) is not { } element ? null : IsFirst(job, id) ? job : job with
        {
            Elements = [element],
            Overrides = job.Overrides.Keyed(k => k.Element == id ? k with { Element = null } : (DecisionKey?)null),
        };
    }

    /// <summary>The job with that element as it was changed alone.</summary>
    public static Job Back(Job job, string id, Job changed)
    {
        if (IsFirst(job, id))
        {
            return changed;
        }

        return job.With(id, _ => changed.Elements[0]) with
        {
            Overrides = OverrideSet.Of([.. job.Overrides.Only(k => k.Element != id), .. changed.Overrides.Keyed(k =>
                k with { Element = id })]),
        };
    }

    private static bool IsFirst(Job job, string id) => job.Elements[0].Id == id;
}
