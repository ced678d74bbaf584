using Dittany.Core.Decisions;

namespace Dittany.Core.Jobs;

/// <summary>
/// The choices of the first element of a job are named without it. Where another comes to stand first, because the first is taken away or
/// something is put before it, each keeps its own choices: what was chosen for one is never handed to the next.
/// </summary>
internal static class FirstElement
{
    /// <summary>
    /// A changed job in which every choice still belongs to the element it was made for, and those of one that is gone are gone.
    /// </summary>
    public static Job Kept(Job before, Job after)
    {
        var now = after.Overrides;
        if (now.Count == 0 || Places.Of(before).Count > 1 || Places.Of(after).Count > 1)
        {
            return after;
        }

        var (was, stands) = (FirstOf(before), FirstOf(after));
        var there = Ids(after).ToHashSet(StringComparer.Ordinal);
        if (was == stands && now.All(o => o.Key.Element is not { } of || there.Contains(of) || !DecisionRegistry.IsOfElement(o.Key)))
        {
            return after;
        }

        var kept = new List<(DecisionKey Key, string Choice)>();
        foreach (var (key, value) in now)
        {
            var own = DecisionRegistry.IsOfElement(key);
            var stood = before.Overrides[key] == value;
            var of = key.Element ?? (own && stood ? was : stands);
            if (!own || of is null)
            {
                kept.Add((key, value));
            }
            else if (there.Contains(of))
            {
                kept.Add((key with { Element = of == stands ? null : of }, value));
            }
        }

        return after with { Overrides = OverrideSet.Of(kept) };
    }

    private static IEnumerable<string> Ids(Job job) => job.Elements.Select(e => e.Id);

    private static string? FirstOf(Job job) => Ids(job).FirstOrDefault();
}
