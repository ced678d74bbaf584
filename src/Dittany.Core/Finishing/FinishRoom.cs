using Dittany.Core.Effort;
using Dittany.Core.Materials;
using Dittany.Core.Telling;

namespace Dittany.Core.Finishing;

/// <summary>What the room needs to know of the transfer, by ids and inks only.</summary>
public sealed record FinishQuestion(Cloth Cloth, Ink Marker, string MethodId, string Stabiliser, bool Hooped, bool ThreadMayBleed, string HabitPress, string? HersPress);

/// <summary>How it is finished and looked after.</summary>
public sealed record Finished(
    IReadOnlyList<string> Removal,
    IReadOnlyList<string> Finish,
    IReadOnlyList<string> Care,
    double DryMinutes,
    IReadOnlyList<StepMinutes> Before,
    IReadOnlyList<StepMinutes> After,
    IReadOnlyList<Decision> Decisions,
    IReadOnlyList<Caution> Cautions);

/// <summary>Marks and stabiliser out in the order that works, pressing, care.</summary>
public static class FinishRoom
{
    public static IReadOnlyList<Choice> Presses { get; } =
    [
        new("face-down-steam", "Press face down on a towel, with steam"),
        new("face-down-dry", "Press face down on a towel, dry"),
        new("no-press", "Do not press"),
    ];

    /// <summary>Line drying in hours (from memory): linen and woven 6, jersey 10, terry and fleece 24.</summary>
    public static double DryHours(Cloth cloth) => cloth.Pile != Pile.None ? 24 : cloth.Kind.Knit ? 10 : 6;

    public static Finished Settle(FinishQuestion q)
    {
        var film = q.Stabiliser.Contains("film-on-top", StringComparison.Ordinal);
        var sheet = q.Stabiliser.Contains("stick-on-sheet", StringComparison.Ordinal);
        var onCloth = q.MethodId is not ("film-traced" or "stick-on-sheet" or "tissue");
        var removal = new List<string>();
        var cautions = new List<Caution>();

        // Cold water before warm, soap after that, heat last: heat, soap or sun can set a water-erasable ink.
        if (q.MethodId is "film-traced" or "tacked-from-back")
        {
            removal.Add("Take the tacking out.");
        }

        if (onCloth && q.Marker.GoesBy is GoesBy.ColdWater or GoesBy.AirOrWater)
        {
            removal.Add("Lay it in plain cold water, up to 20 °C, right under, for 15 minutes, until no line shows; repeat if one does. Never dab, no soap yet.");
            removal.Add("Let it dry and look at it in daylight: a line that comes back gets another cold bath.");
        }

        if (film)
        {
            removal.Add("Trim the spare film to 5 mm, not the cloth.");
            removal.Add("Water of 30 °C, 10 minutes, three changes, rubbing gently, until it is no longer slippery.");
        }

        if (sheet)
        {
            removal.Add("Water of 35 to 40 °C, soak 20 minutes and rub; do it twice, and again if it dries stiff.");
        }

        if (q.Stabiliser.Contains("tear-away-behind", StringComparison.Ordinal))
        {
            removal.Add("Tear the backing away, holding the stitches with a thumb.");
        }

        if (q.Stabiliser.Contains("cut-away-behind", StringComparison.Ordinal))
        {
            removal.Add("Trim the backing to 10 mm round the stitches.");
        }

        if (onCloth && q.Marker.GoesBy == GoesBy.Brushing)
        {
            removal.Add("Brush the chalk out.");
        }

        if (onCloth && q.Marker.GoesBy == GoesBy.Heat)
        {
            removal.Add("The iron takes the pen line out; look again after a night in the cold.");
        }

        if (removal.Count == 0)
        {
            removal.Add("Nothing to take out: the line stays under the thread.");
        }

        var wet = film || sheet || (onCloth && q.Marker.GoesBy is GoesBy.ColdWater or GoesBy.AirOrWater);
        if (wet && !q.Cloth.Washable)
        {
            cautions.Add(new Caution(CautionKind.Item, Severity.Stop, "What marks or holds this work is washed out, and the cloth must not be washed."));
        }

        var usual = q.Cloth.MaxIron == IronLimit.None || q.Cloth.Pile == Pile.Deep ? "no-press" : q.HabitPress;
        var press = q.HersPress ?? usual;
        if (press != "no-press" && q.Cloth.MaxIron == IronLimit.None)
        {
            cautions.Add(new Caution(CautionKind.Item, Severity.Stop, "This cloth takes no iron at all."));
        }

        var finish = new List<string>();
        if (wet)
        {
            finish.Add("Roll it in a towel, do not wring, and dry it flat or on a line out of the sun.");
        }

        finish.Add(press switch
        {
            "face-down-steam" => $"Press face down on a folded towel, with steam, {Setting(q.Cloth)}: the stitches sink in and are not flattened.",
            "face-down-dry" => $"Press face down on a folded towel, no steam, {Setting(q.Cloth)}.",
            _ => "Do not press; smooth it with a damp hand and let it hang.",
        });
        if (q.Hooped)
        {
            finish.Add("The ring of the hoop presses out now, and not before every mark and all film is gone.");
        }

        var decision = Deciding.Make(
            "finish.press",
            Station.Finish,
            "How it is pressed",
            Presses.First(p => p.ChoiceId == usual),
            q.HersPress is null ? null : Presses.First(p => p.ChoiceId == press),
            [
                press == "no-press"
                    ? q.Cloth.MaxIron == IronLimit.None ? "The cloth takes no iron." : "Without the iron nothing is flattened."
                    : "From behind, on something soft, the stitches keep their roundness.",
                "Water first, the iron last: heat can set what water would have taken.",
            ],
            ["A cloth that bears less heat, or your habit of pressing."],
            Presses);
        var before = wet ? new List<StepMinutes> { new("rinsing out", 10) } : [];
        if (q.MethodId == "film-traced")
        {
            before.Insert(0, new("untacking and trimming", 4));
        }

        return new Finished(
            removal, finish, Care(q), wet ? DryHours(q.Cloth) * 60 : 0, before,
            press == "no-press" ? [] : [new StepMinutes("pressing", 5)], [decision], cautions);
    }

    /// <summary>The care card follows the weakest of cloth and thread.</summary>
    private static List<string> Care(FinishQuestion q)
    {
        var care = new List<string>
        {
            !q.Cloth.Washable ? "Do not wash; have it cleaned."
                : q.ThreadMayBleed ? "Wash at 30 °C with like colours the first three times."
                : "Wash at 40 °C, inside out or in a bag.",
        };
        if (q.Cloth.Washable)
        {
            care.Add("No bleach, no tumble drying on hot.");
        }

        care.Add(q.Cloth.MaxIron == IronLimit.None ? "Do not iron." : $"Iron from behind, {Setting(q.Cloth)}.");
        return care;
    }

    private static string Setting(Cloth cloth) => cloth.MaxIron switch
    {
        IronLimit.ThreeDots => "up to three dots (200 °C)",
        IronLimit.TwoDots => "up to two dots (150 °C)",
        IronLimit.OneDot => "one dot (110 °C)",
        _ => "cold",
    };
}
