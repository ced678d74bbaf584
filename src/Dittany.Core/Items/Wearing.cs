using Dittany.Core.Telling;

namespace Dittany.Core.Items;

/// <summary>Who wears or uses the item, and what follows for the work.</summary>
public sealed record Worn(string Wearer, bool OnSkin, Decision Decision)
{
    /// <summary>The longest thread that may lie behind, mm, or null where nothing is worn on the skin.</summary>
    public double? MostBehindMm => OnSkin ? Wearing.MostBehindOnSkinMm : null;

    public bool Baby => Wearer == "baby";
}

/// <summary>Wearers and the rules that hang on them.</summary>
public static class Wearing
{
    /// <summary>On skin nothing behind, stitch or jump, is longer than this: a tiny finger or toe is caught in it (common practice; the figure from memory).</summary>
    public const double MostBehindOnSkinMm = 5;

    private static readonly (string Id, string Name, string Because)[] Known =
    [
        ("baby", "A baby, or a child under three", "Soft inside, no knots or long threads behind, nothing sewn on that could come off."),
        ("child", "A child", "It is washed often and pulled about: ends are fastened firmly."),
        ("adult", "An adult", "It is worn and washed as usual."),
        ("nobody", "Nobody wears it", "No skin lies on the back of the work."),
    ];

    public static IReadOnlyList<string> Ids { get; } = Known.Select(k => k.Id).ToArray();

    /// <summary>The wearer as stated, or the form's usual one; on skin where the form is worn on it, or for a baby.</summary>
    public static Worn Settle(Form form, string? stated, string? overruled)
    {
        var hers = stated ?? overruled;
        var taken = Known.First(k => k.Id == (hers ?? form.UsualWearer));
        var own = Known.First(k => k.Id == form.UsualWearer);
        var onSkin = taken.Id == "baby" || (form.Use.NextToSkin && taken.Id != "nobody");
        var because = new List<string> { taken.Because };
        if (onSkin)
        {
            because.Add($"Behind, no thread is longer than {Measures.Say.Length(MostBehindOnSkinMm)}, and a soft cover goes over the back at the end.");
        }

        return new Worn(taken.Id, onSkin, Deciding.Make(
            "item.wearer", Station.Item, "Who wears or uses it", new Choice(own.Id, own.Name), hers is null ? null : new Choice(taken.Id, taken.Name), because,
            ["Another wearer."], Known.Select(k => new Choice(k.Id, k.Name)).ToArray()));
    }
}
