namespace Dittany.Core.Telling;

/// <summary>
/// What the maker settled herself: a decision's id to the id of her choice, or to a number written out. A room asks for its decision here;
/// what nobody asked for is set aside by the planner and listed.
/// </summary>
public sealed class Overrules(IReadOnlyDictionary<string, string> choices)
{
    // Elements of a plan ask from several threads at once.
    private readonly System.Collections.Concurrent.ConcurrentDictionary<string, bool> _heard = new(StringComparer.Ordinal);

    /// <summary>Ids whose decision did not come up in this plan, in ordinal order.</summary>
    public IReadOnlyList<string> SetAside => choices.Keys.Where(k => !_heard.ContainsKey(k)).Order(StringComparer.Ordinal).ToArray();

    /// <summary>Her choice for a decision, or null, without it being followed by that.</summary>
    public string? Stated(string decisionId) => choices.GetValueOrDefault(decisionId);

    /// <summary>Her choice for a decision, or null; marks it as heard.</summary>
    public string? For(string decisionId)
    {
        if (!choices.TryGetValue(decisionId, out var choice))
        {
            return null;
        }

        _heard[decisionId] = true;
        return choice;
    }
}
