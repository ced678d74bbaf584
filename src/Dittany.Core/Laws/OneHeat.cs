using Dittany.Core.Materials;
using Dittany.Core.Operations;

namespace Dittany.Core.Laws;

/// <summary>
/// No iron is hotter than the least that cloth, thread and what else lies there bear, nor gives steam where one of them forbids it; where
/// there is no iron none is used.
/// </summary>
internal static class OneHeat
{
    public static Law Law { get; } = new("one heat", "No iron is hotter than the least that is there bears.", Broken);

    private static IEnumerable<(string Where, string What)> Broken(Case one)
    {
        var cloth = one.Plan.Item.Cloth;
        var threads = one.Plan.Elements.SelectMany(e => e.Parts).Select(p => p.Thread.Kind).Distinct().ToArray();
        var stitched = false;
        // What is pressed once for several places is told by what all of them bear.
        if (one.Plan.Places.Count == 0 && one.Plan.Work.FirstOrDefault(o => o.Id.Name == "press") is { } done
            && one.Plan.Decisions.FirstOrDefault(d => d.Id == "finish.press") is { } press
            && press.ChoiceId != (done.Iron is not { } by ? "no-press" : by.Steam ? "face-down-steam" : "face-down-dry"))
        {
            yield return (press.Id, $"\"{press.Choice}\", and what is done is another thing");
        }

        foreach (var operation in one.Plan.Work)
        {
            stitched |= operation.Kind == OpKind.Stitch;
            if (operation.Iron is not { } iron)
            {
                continue;
            }

            var where = operation.Id.ToString();
            var bears = Care.Of([new CareLimit("cloth", string.Empty, Iron: cloth.MaxIron), .. stitched ? threads.Select(t => t.Care) : []]);
            if (iron.AtMost > bears.Iron && !Warned(one, operation))
            {
                yield return (where, $"an iron of {iron.MostC} °C on what bears {bears.IronC} °C");
            }

            if (iron.Steam && !bears.Steam)
            {
                yield return (where, "steam on what bears none");
            }

            if (!one.Workshop.Equipment.Contains("iron", StringComparer.Ordinal) && !Warned(one, operation))
            {
                yield return (where, "an iron where there is none");
            }
        }

        if (one.Plan.Care.IronC > Care.Of([new CareLimit("cloth", string.Empty, Iron: cloth.MaxIron), .. threads.Select(t => t.Care)]).IronC)
        {
            yield return ("care", $"{one.Plan.Care.IronC} °C for good, and less was borne when it was made");
        }
    }

    /// <summary>Whether she chose it against the plan, and was told to stop.</summary>
    private static bool Warned(Case one, Operation operation) =>
        one.Plan.Cautions.Any(c => c.Severity == Decisions.Severity.Stop && (c.Id == "crafts-hurt" || c.At == operation.At || c.At == Decisions.Station.Transfer));
}
