namespace Dittany.Core.Planning;

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
            Overrules = job.Overrules?.Where(o => o.Key.EndsWith($":{id}", StringComparison.Ordinal)).ToDictionary(o =>
                o.Key.Split(':')[0], o => o.Value, StringComparer.Ordinal),
        };
    }

    /// <summary>The job with that element as it was changed alone.</summary>
    public static Job Back(Job job, string id, Job changed)
    {
        if (IsFirst(job, id))
        {
            return changed;
        }

        var choices = (job.Overrules ?? new Dictionary<string, string>(StringComparer.Ordinal)).Where(o => !o.Key.EndsWith($":{id}",
            StringComparison.Ordinal)).Concat((changed.Overrules ?? new Dictionary<string, string>(StringComparer.Ordinal)).Select(o =>
                KeyValuePair.Create($"{o.Key}:{id}", o.Value))).ToDictionary(o => o.Key, o => o.Value, StringComparer.Ordinal);
        return job.With(id, _ => changed.Elements[0]) with
        {
            Overrules = choices.Count == 0 ? job.Overrules is null ? null : choices : choices,
        };
    }

    private static bool IsFirst(Job job, string id) => job.Elements[0].Id == id;
}
