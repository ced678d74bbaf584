using Dittany.Core.Decisions;
using Dittany.Core.Materials;
using Dittany.Core.Measures;

namespace Dittany.Core.Finishing;

/// <summary>
/// How a piece is washed is settled with its item, before thread and crafts are known; where what is on it bears less, the choice gives way
/// here, and says to what.
/// </summary>
public static class WashedAsBorne
{
    private const string Key = "item.washing";

    /// <summary>Its washing as care allows it; <paramref name="washings"/> are what there is to choose from.</summary>
    public static Decision Of(Decision washing, Finished finished, IReadOnlyList<Choice> washings)
    {
        if (washing.Id != Key || Bears(finished.Care, washing.ChoiceId))
        {
            return washing;
        }

        var borne = washings.First(w => w.ChoiceId == (finished.Care.Washed ? "by-hand" : "never"));
        var what = finished.Gentlest.Count > 0 ? Say.List(finished.Gentlest) : "what is on it";
        Told because = finished.Care.Washed ? $"In the machine it would not last: {what} {Is(finished)} washed by hand only."
            : $"It is not washed: {what} {(finished.Gentlest.Count > 1 ? "bear" : "bears")} no water.";
        return washing with
        {
            Choice = borne.Text,
            ChoiceId = borne.ChoiceId,
            Because = [because, .. washing.Overruled ? [] : washing.Because.Skip(1)],
            Alternatives = [.. washing.Alternatives.Where(a => a.ChoiceId != borne.ChoiceId)],
            Overruled = false,
            WouldHaveBeen = null,
            NotFollowed = washing.Overruled ? [$"\"{washing.Choice}\" is not followed: {Say.Lower(because)} Another thread, cloth or craft would let it be."]
                : washing.NotFollowed,
            UnfollowedWish = washing.Overruled,
        };
    }

    /// <summary>Whether a thing that is looked after like this may be washed so; now and then may be by hand.</summary>
    internal static bool Bears(Care care, string washing) => washing switch
    {
        "never" => true,
        "often" => care.Clean == Cleaning.Machine,
        _ => care.Washed,
    };

    private static string Is(Finished finished) => finished.Gentlest.Count > 1 ? "are" : "is";
}
