using Dittany.Core.Materials;
using Dittany.Core.Operations;

namespace Dittany.Core.Laws;

/// <summary>
/// What may not be soaked is soaked in no step; water is no warmer than what lies in it bears; and what is washed beforehand is washed as
/// it will be for good.
/// </summary>
internal static class OneWater
{
    public static Law Law { get; } = new("one water", "No water comes to what bears none, and none is warmer than care allows for good.", Broken);

    /// <summary>Film and sheets come out in water as warm as a hand bears, whatever the label says of washing in a machine.</summary>
    private const int LukewarmC = 30;

    private static IEnumerable<(string Where, string What)> Broken(Case one)
    {
        var (plan, care) = (one.Plan, one.Plan.Care);
        var told = plan.Cautions.Any(c => c.Severity == Decisions.Severity.Stop && c.Id is "finish.water" or "crafts-hurt");
        foreach (var washing in plan.Decisions.Where(d => d.Id == "item.washing" && !Finishing.WashedAsBorne.Bears(care, d.ChoiceId)))
        {
            yield return (washing.Id, $"\"{washing.Choice}\", and its care is another: {care.Clean}");
        }

        foreach (var operation in plan.Work)
        {
            if (operation.Water is not { } water)
            {
                continue;
            }

            var where = operation.Id.ToString();
            if (care.Clean == Cleaning.Cleaner && !told)
            {
                yield return (where, "water on what is never washed");
            }

            if (operation.Kind == OpKind.Wash ? care.Washed && water.MostC > care.WashC : water.MostC > Math.Max(LukewarmC, care.WashC))
            {
                yield return (where, $"water of {water.MostC} °C, and for good {care.WashC} °C");
            }

            if (operation.Kind == OpKind.Wash && plan.Item.Cloth.WashC < water.MostC)
            {
                yield return (where, $"a wash of {water.MostC} °C on cloth that bears {plan.Item.Cloth.WashC} °C");
            }
        }
    }
}
