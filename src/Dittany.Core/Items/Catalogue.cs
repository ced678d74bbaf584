namespace Dittany.Core.Items;

/// <summary>The forms a maker may name.</summary>
public static class Catalogue
{
    public static IReadOnlyList<Form> Forms { get; } =
    [
        Bodysuit.Form, TShirt.Child, TShirt.Adult, Dress.Form, DenimJacket.Form, Shirt.Form, Cap.Form, Scarf.Form,
        Backpack.Form, Tote.Form, DrawstringBag.Form,
        Napkin.Form, TeaTowel.Form, Tablecloth.Form,
        Apron.Form, HandTowel.Form, Pillowcase.Form, CushionCover.Form,
        BabyBlanket.Form, ToyFace.Form,
        Handkerchief.Form, QuiltBlock.Form, ChristmasStocking.Form, Rounds.Ornament, Rounds.Badge, Rounds.PinCushion, Rounds.HoopPicture,
            FramedSampler.Form,
    ];

    /// <summary>What the shelves of the cupboard are called.</summary>
    public static string NameOf(Shelf shelf) => shelf switch
    {
        Shelf.Own => "Your own",
        Shelf.Wear => "To wear",
        Shelf.Carry => "To carry",
        Shelf.Table => "For the table",
        Shelf.House => "About the house",
        Shelf.Child => "For a child",
        _ => "Keepsakes",
    };

    public static Form? Find(string id) => Forms.FirstOrDefault(f => string.Equals(f.Id, id, StringComparison.Ordinal));
}
