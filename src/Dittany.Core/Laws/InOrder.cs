using Dittany.Core.Operations;

namespace Dittany.Core.Laws;

/// <summary>Each step stands where it spoils nothing that lies on the cloth by then, or she is told to stop.</summary>
internal static class InOrder
{
    public static Law Law { get; } = new("in order", "No step meets what it would spoil.", Broken);

    private static IEnumerable<(string Where, string What)> Broken(Case one) =>
        one.Plan.Cautions.Any(c => c.Id is "crafts-hurt" or "places-hurt") ? []
            : Conflicts.In(one.Plan.Work).Select(c => (c.By.Id.ToString(), $"{c.Harm.Name}: {c.Harm.Why}"));
}
