using Dittany.Core.Decisions;
using Dittany.Core.Measures;

namespace Dittany.Core.Items;

/// <summary>What the maker stated of wearer and use; null where she left it to the form.</summary>
public sealed record StatedUse(string? Wearer = null, bool? NextToSkin = null, string? Washed = null, string? Lasts = null);

/// <summary>
/// Who wears or uses the item and how, and what follows for the work. <paramref name="Washed"/> is often, sometimes, by-hand or never;
/// <paramref name="Lasts"/> is day, years or keepsake.
/// </summary>
public sealed record Worn(string Wearer, bool OnSkin, string Washed, string Lasts, IReadOnlyList<Decision> Decisions)
{
    /// <summary>The longest thread that may lie behind, mm, or null where nothing is worn on the skin.</summary>
    public double? MostBehindMm => OnSkin ? Wearing.MostBehindOnSkinMm : null;

    public bool Baby => Wearer == "baby";

    /// <summary>Whether ends must hold for good: many washes, rough hands, or a long life.</summary>
    public bool Firm => Lasts != "day" && (Washed == "often" || Wearer is "baby" or "child" || Lasts == "keepsake");

    /// <summary>Why ends must be firm, as it stands after “and”.</summary>
    public string FirmBecause => Wearer is "baby" or "child" ? "children pull at it" : Washed == "often" ? "it is washed often"
        : "it is meant to be kept";
}

/// <summary>Wearers, uses, and the rules that hang on them.</summary>
public static class Wearing
{
    /// <summary>
    /// On skin nothing behind, stitch or jump, is longer than this: a tiny finger or toe is caught in it (common practice; the figure from
    /// memory).
    /// </summary>
    public const double MostBehindOnSkinMm = 5;

    private static readonly (string Id, string Name, string Because)[] Known =
    [
        ("baby", "A baby, or a child under three", "Soft inside, no knots or long threads behind, nothing sewn on that could come off."),
        ("child", "A child", "It is washed often and pulled about."),
        ("adult", "An adult", "It is worn and washed as usual."),
        ("nobody", "Nobody wears it", "It is used and looked at, not worn."),
    ];

    /// <summary>How often it is washed.</summary>
    public static IReadOnlyList<Choice> Washings { get; } =
        [new("often", "Washed often, in the machine"), new("sometimes", "Washed now and then"), new("by-hand", "Washed by hand only"),
            new("never", "Never washed")];

    /// <summary>How long it should last.</summary>
    public static IReadOnlyList<Choice> Lastings { get; } =
        [new("day", "For the day itself"), new("years", "For years of use"), new("keepsake", "To be kept for good")];

    public static IReadOnlyList<string> Ids { get; } = Known.Select(k => k.Id).ToArray();

    private static readonly Choice OnSkinChoice = new("next-to-skin", "Worn next to the skin");
    private static readonly Choice OffSkinChoice = new("not-on-skin", "Not on the skin");

    public static IReadOnlyList<Choice> Skins { get; } = [OnSkinChoice, OffSkinChoice];

    /// <summary>
    /// Wearer and use as stated or overruled, or the form's usual ones. On skin where the form is worn on it, or for a baby;
    /// <paramref name="hers"/> gives her overrule of a decision, or null. Cloth that is not washable is never washed; how often what is
    /// washed, and how long it lasts, where she does not say, is from memory.
    /// </summary>
    public static Worn Settle(Form form, StatedUse stated, bool washable, bool hidden, Func<string, string?> hers)
    {
        var hersWearer = stated.Wearer ?? hers("item.wearer");
        var taken = Known.First(k => k.Id == (hersWearer ?? form.UsualWearer));
        var own = Known.First(k => k.Id == form.UsualWearer);

        // What counts is what the back of the work touches: inside a closed thing, or turned outward, it touches no skin.
        var usuallyOn = !hidden && ((taken.Id == "baby" && !form.Use.MadeUp) || (form.Use.NextToSkin && taken.Id != "nobody"));
        var hersSkin = stated.NextToSkin is { } said ? (said ? OnSkinChoice : OffSkinChoice).ChoiceId : hers("item.skin");
        var onSkin = hersSkin is null ? usuallyOn : hersSkin == OnSkinChoice.ChoiceId;
        Told[] skin = onSkin
            ? [$"Behind, no thread is longer than {Say.Length(MostBehindOnSkinMm)}, and a soft cover goes over the back at the end."]
            : [usuallyOn ? "You say it is not worn on the skin: threads behind may be as long as elsewhere." : hidden
                ? "It lies inside, and what is behind it shows outside: keep the back as neat as the face."
                : "No skin lies on the back of the work."];

        var ownWashed = !washable ? "never" : form.Loose is { } loose && ClothAllowance.Washed(loose) is { } made ? made : form.Use.Handled || taken.Id is "baby" or "child" ? "often" : form.Keepsake ? "by-hand"
            : "sometimes";
        var hersWashed = stated.Washed ?? hers("item.washing");
        var washed = hersWashed ?? ownWashed;
        var ownLasts = form.Keepsake ? "keepsake" : "years";
        var hersLasts = stated.Lasts ?? hers("item.lasting");
        var lasts = hersLasts ?? ownLasts;
        var worn = new Worn(taken.Id, onSkin, washed, lasts, []);
        return worn with
        {
            Decisions =
            [
                Deciding.Make(
                    "item.wearer", Station.Item, "Who wears or uses it", new Choice(own.Id, own.Name), hersWearer is null ? null
                        : new Choice(taken.Id, taken.Name), [taken.Because],
                    ["Another wearer."], Known.Select(k => new Choice(k.Id, k.Name)).ToArray()),
                Deciding.Make(
                    "item.skin", Station.Item, "Whether it is worn on the skin", usuallyOn ? OnSkinChoice : OffSkinChoice, hersSkin is null
                        ? null : onSkin ? OnSkinChoice : OffSkinChoice, skin,
                    ["Who wears it, and what is worn under it."], Skins),
                Deciding.Make(
                    "item.washing", Station.Item, "How it is washed", Of(Washings, ownWashed), hersWashed is null ? null
                        : Of(Washings, washed),
                    [
                        washed == "never" ? washable ? "Nothing is washed out of it later: what holds dry will do."
                            : "The cloth is not washed." : washed == "by-hand" ? "By hand, thread and cloth last longest."
                            : washed == "often" ? "What is washed often must hold, and colours must be fast." : "Colours must be fast.",
                        ((Told)(worn.Firm ? $"Ends must be firm: {worn.FirmBecause}." : "Ends need be no firmer than usual.")).OfThread(),
                    ],
                    ["How it will be used."], Washings),
                Deciding.Make(
                    "item.lasting", Station.Item, "How long it should last", Of(Lastings, ownLasts), hersLasts is null ? null
                        : Of(Lastings, lasts),
                    [lasts switch { "day" => "For one day the quickest honest way will do.", "keepsake" =>
                        "What is kept for good is finished for good: no glue, no knots that bulge.", _ =>
                        "It is finished as things in use are: with nothing that comes off." }],
                    ["How it will be used."], Lastings),
                Deciding.Make(
                    "item.small-parts", Station.Item, "What may be sewn on", taken.Id == "baby"
                        ? new Choice("nothing", "Nothing that could come off") : new Choice("firmly", "What is sewn on is sewn on firmly"),
                        null,
                    [
                        taken.Id == "baby"
                            ? (Told)($"Under three years nothing that could come off: what goes into a cylinder "
                                + $"{Say.Length(Materials.SmallParts.AcrossMm)} across can be choked on.")
                            : taken.Id == "child" ? "A child pulls at it: what is sewn on is held by knots of its own, piece by piece."
                                : "No small child uses it.",
                    ],
                    ["Who wears it."]),
            ],
        };

        static Choice Of(IReadOnlyList<Choice> all, string id) => all.First(c => c.ChoiceId == id);
    }
}
