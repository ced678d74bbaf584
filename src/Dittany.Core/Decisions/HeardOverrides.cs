namespace Dittany.Core.Decisions;

/// <summary>
/// The maker's own choices while a plan is made. A room asks for its decision here; what nobody asked for is set aside by the planner and
/// listed.
/// </summary>
public sealed class HeardOverrides(OverrideSet choices)
{
    // Elements of a plan ask from several threads at once.
    private readonly System.Collections.Concurrent.ConcurrentDictionary<DecisionKey, bool> _heard = new();

    /// <summary>Decisions that did not come up in this plan, in ordinal order.</summary>
    public IReadOnlyList<string> SetAside => choices.Where(c => !_heard.ContainsKey(c.Key)).Select(c => c.Key.ToString())
        .Order(StringComparer.Ordinal).ToArray();

    /// <summary>Her choice for a decision, or null, without it being followed by that.</summary>
    public string? Stated(DecisionKey decision) => choices[decision];

    /// <summary>Her choice for a decision, or null; marks it as heard.</summary>
    public string? For(DecisionKey decision)
    {
        if (choices[decision] is not { } choice)
        {
            return null;
        }

        _heard[decision] = true;
        return choice;
    }
}
