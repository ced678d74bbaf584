using Dittany.Core.Measures;

namespace Dittany.Core.Decisions;

/// <summary>What a rule says of a choice.</summary>
public enum Verdict
{
    /// <summary>Speaks for it: adds to its rank.</summary>
    Favours,

    /// <summary>Speaks against it without forbidding it.</summary>
    Discourages,

    /// <summary>Forbids it here.</summary>
    RulesOut,
}

/// <summary>
/// One small named rule: about one choice, when it holds, what it says and why. <paramref name="Weight"/> ranks what is left;
/// <paramref name="Source"/>
/// says where the rule comes from: a published source by name, <c>common practice</c>, or <c>from memory</c>.
/// </summary>
public sealed record Rule<TFacts>(string Name, string ChoiceId, Verdict Verdict, int Weight, Func<TFacts, bool> When, Func<TFacts,
    Told> Because, string Source);

/// <summary>What the table made of one choice.</summary>
public sealed record Judged(string ChoiceId, bool RuledOut, int Rank, IReadOnlyList<Told> Because);

/// <summary>Runs tables of rules over facts. No state and no order dependence: ties end in ordinal id.</summary>
public static class RuleTable
{
    /// <summary>Judges every choice; the best first, ruled-out ones last.</summary>
    public static IReadOnlyList<Judged> Judge<TFacts>(IReadOnlyList<string> choiceIds, IReadOnlyList<Rule<TFacts>> rules, TFacts facts)
    {
        return choiceIds.Select(Of)
            .OrderBy(j => j.RuledOut)
            .ThenByDescending(j => j.Rank)
            .ThenBy(j => j.ChoiceId, StringComparer.Ordinal)
            .ToArray();

        Judged Of(string id)
        {
            var said = rules.Where(r => string.Equals(r.ChoiceId, id, StringComparison.Ordinal) && r.When(facts)).ToArray();
            var against = said.Where(r => r.Verdict == Verdict.RulesOut).ToArray();
            var rank = said.Sum(r => r.Verdict switch { Verdict.Favours => r.Weight, Verdict.Discourages => -r.Weight, _ => 0 });
            return new Judged(id, against.Length > 0, rank, (against.Length > 0 ? against : said).Select(r => r.Because(facts)).ToArray());
        }
    }
}
