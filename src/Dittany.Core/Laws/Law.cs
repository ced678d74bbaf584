using Dittany.Core.Jobs;
using Dittany.Core.Planning;

namespace Dittany.Core.Laws;

/// <summary>What a law is asked of: a job, the workshop it was planned in, and the plan.</summary>
public sealed record Case(Job Job, Workshop Workshop, Plan Plan)
{
    /// <summary>Each place of the piece with its own plan; the plan itself where there is one.</summary>
    public IEnumerable<Plan> Places => Plan.Places.Count == 0 ? [Plan] : Plan.Places.Where(p => !p.Stands).Select(p => p.Plan);
}

/// <summary>Where a plan breaks a law, and by what.</summary>
public sealed record Breach(string Law, string Where, string What)
{
    public override string ToString() => $"{Law}, at {Where}: {What}";
}

/// <summary>
/// What every plan keeps, whatever was wished: a name, what it says, and where a plan breaks it. Holds nothing that changes.
/// </summary>
public sealed record Law(string Name, string Says, Func<Case, IEnumerable<(string Where, string What)>> Broken);

/// <summary>All laws of a plan.</summary>
public static class AllLaws
{
    public static IReadOnlyList<Law> List { get; } = [OneHeat.Law, OneWater.Law, InOrder.Law];

    /// <summary>Every breach of every law; none where the plan is sound.</summary>
    public static IEnumerable<Breach> Broken(Job job, Workshop workshop, Plan plan)
    {
        var one = new Case(job, workshop, plan);
        return List.SelectMany(law => law.Broken(one).Select(b => new Breach(law.Name, b.Where, b.What)));
    }
}
