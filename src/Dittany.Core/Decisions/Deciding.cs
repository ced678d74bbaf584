using Dittany.Core.Measures;

namespace Dittany.Core.Decisions;

/// <summary>Makes decision records, so that overruling is told the same way everywhere.</summary>
public static class Deciding
{
    /// <summary>
    /// A decision among named choices. <paramref name="own"/> is what the rules would take; <paramref name="hers"/> what the maker took
    /// instead, or null. The reasons are those of the choice that stands; her choice is never listed among what is ruled out or offered.
    /// </summary>
    public static Decision Make(
        DecisionKey key,
        Station station,
        string subject,
        Choice own,
        Choice? hers,
        IReadOnlyList<Told> because,
        IReadOnlyList<Told> wouldChange,
        IReadOnlyList<Choice>? others = null,
        IReadOnlyList<RuledOut>? ruledOut = null)
    {
        var stands = hers ?? own;
        var left = (others ?? []).Append(own)
            .Where(c => !string.Equals(c.ChoiceId, stands.ChoiceId, StringComparison.Ordinal))
            .DistinctBy(c => c.ChoiceId, StringComparer.Ordinal)
            .ToArray();
        var reasons = hers is null
            ? because
            : [YourChoice(string.Equals(hers.ChoiceId, own.ChoiceId, StringComparison.Ordinal), own.Text), .. because];
        return new Decision(
            key,
            station,
            subject,
            stands.Text,
            stands.ChoiceId,
            reasons,
            wouldChange,
            left.Where(c => (ruledOut ?? []).All(r => !string.Equals(r.ChoiceId, c.ChoiceId, StringComparison.Ordinal))).ToArray(),
            (ruledOut ?? []).Where(r => !string.Equals(r.ChoiceId, stands.ChoiceId, StringComparison.Ordinal)).ToArray(),
            hers is not null,
            hers is null ? null : own.ChoiceId);
    }

    /// <summary>
    /// A decision that follows a habit, and may be taken otherwise for one piece: <paramref name="make"/> tells it for a habit's choice;
    /// <paramref name="hers"/> is her overrule or null. What the habit would have made of it is kept beside it.
    /// </summary>
    public static Decision ByHabit(Func<string, Decision> make, string habit, string? hers, IReadOnlyList<Choice> choices)
    {
        var own = make(habit);
        var taken = hers is null ? own : make(hers);
        var others = choices.Append(new Choice(own.ChoiceId, own.Choice)).Where(c => c.ChoiceId != taken.ChoiceId).DistinctBy(c =>
            c.ChoiceId, StringComparer.Ordinal).ToArray();
        return hers is null
            ? own with { Alternatives = others }
            : taken with
            {
                Alternatives = others,
                Overruled = true,
                WouldHaveBeen = own.ChoiceId,
                Because = [YourChoice(own.ChoiceId == taken.ChoiceId, own.Choice), .. taken.Because],
            };
    }

    private static Told YourChoice(bool ours, Told otherwise) => ours ? "Your choice; also the default."
        : (Told)$"Your choice; otherwise: {Say.Lower(otherwise)}.";
}
