namespace Dittany.Core.Planning;

/// <summary>
/// The choices of the first element of a job are named without it. Where another comes to stand first, because the first is taken away or
/// something is put before it, each keeps its own choices: what was chosen for one is never handed to the next.
/// </summary>
internal static class FirstElement
{
    private const char OfElement = ':';

    /// <summary>
    /// A changed job in which every choice still belongs to the element it was made for, and those of one that is gone are gone.
    /// </summary>
    public static Job Kept(Job before, Job after)
    {
        if (after.Overrules is not { Count: > 0 } now || Places.Of(before).Count > 1 || Places.Of(after).Count > 1)
        {
            return after;
        }

        var (was, stands) = (FirstOf(before), FirstOf(after));
        var there = Ids(after).ToHashSet(StringComparer.Ordinal);
        if (was == stands && now.Keys.All(k => Of(k) is not { } of || there.Contains(of) || !DecisionBook.IsOfElement(k)))
        {
            return after;
        }

        var kept = new Dictionary<string, string>(StringComparer.Ordinal);
        foreach (var (key, value) in now)
        {
            var own = DecisionBook.IsOfElement(key);
            var stood = before.Overrules?.GetValueOrDefault(key) == value;
            var of = Of(key) ?? (own && stood ? was : stands);
            if (!own || of is null)
            {
                kept[key] = value;
            }
            else if (there.Contains(of))
            {
                var plain = key.Split(OfElement)[0];
                kept[of == stands ? plain : $"{plain}{OfElement}{of}"] = value;
            }
        }

        return after with { Overrules = kept };
    }

    private static string? Of(string key) => key.Split(OfElement, 2) is [_, var of] ? of : null;

    private static IEnumerable<string> Ids(Job job) => job.Elements.Select(e => e.Id);

    private static string? FirstOf(Job job) => Ids(job).FirstOrDefault();
}
