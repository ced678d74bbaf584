namespace Dittany.Core.Items;

/// <summary>The forms a maker may name.</summary>
public static class Catalogue
{
    public static IReadOnlyList<Form> Forms { get; } = [Bodysuit.Form, Napkin.Form, Tote.Form, TeaTowel.Form];

    /// <summary>Forms whose names are settled and that cannot be drawn yet: a job that names one is told so.</summary>
    public static IReadOnlyList<string> NotYetDrawn { get; } =
    [
        "t-shirt-child", "t-shirt-adult", "dress", "denim-jacket", "shirt", "apron", "backpack", "drawstring-bag", "hand-towel", "pillowcase", "cushion-cover",
        "tablecloth", "handkerchief", "quilt-block", "baby-blanket", "christmas-stocking", "toy-face", "cap", "scarf", "felt-ornament", "badge", "pin-cushion-round",
        "hoop-picture", "framed-sampler",
    ];

    public static Form? Find(string id) => Forms.FirstOrDefault(f => string.Equals(f.Id, id, StringComparison.Ordinal));
}
