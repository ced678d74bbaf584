using System.Collections;

namespace Dittany.Core.Decisions;

/// <summary>
/// What the maker settled herself: a decision to the id of her choice, or to a number written out. Each decision once, in the order they
/// were settled. Never changed: what changes it makes another.
/// </summary>
public sealed class OverrideSet : IReadOnlyCollection<(DecisionKey Key, string Choice)>
{
    private readonly Dictionary<DecisionKey, string> _choices;

    private OverrideSet(Dictionary<DecisionKey, string> choices) => _choices = choices;

    public static OverrideSet None { get; } = new([]);

    /// <summary>Of a decision that comes twice the later choice stands.</summary>
    public static OverrideSet Of(params IEnumerable<(DecisionKey Key, string Choice)> choices)
    {
        var all = new Dictionary<DecisionKey, string>();
        foreach (var (key, choice) in choices)
        {
            all[key] = choice;
        }

        return all.Count == 0 ? None : new OverrideSet(all);
    }

    public int Count => _choices.Count;

    /// <summary>Her choice for a decision; null where she made none.</summary>
    public string? this[DecisionKey key] => _choices.GetValueOrDefault(key);

    public OverrideSet With(DecisionKey key, string choice) => Of([.. this, (key, choice)]);

    public OverrideSet Without(params IEnumerable<DecisionKey> keys)
    {
        var gone = keys.ToHashSet();
        return Only(k => !gone.Contains(k));
    }

    public OverrideSet Only(Func<DecisionKey, bool> kept) => Of(this.Where(c => kept(c.Key)));

    /// <summary>The same choices under other keys; one without a key is left out.</summary>
    public OverrideSet Keyed(Func<DecisionKey, DecisionKey?> key) => Of(this.Select(c => (Key: key(c.Key), c.Choice)).Where(c =>
        c.Key is not null)
        .Select(c => (c.Key.GetValueOrDefault(), c.Choice)));

    public IEnumerator<(DecisionKey Key, string Choice)> GetEnumerator() => _choices.Select(c => (c.Key, c.Value)).GetEnumerator();

    IEnumerator IEnumerable.GetEnumerator() => GetEnumerator();
}
