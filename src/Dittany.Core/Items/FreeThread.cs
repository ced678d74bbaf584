namespace Dittany.Core.Items;

/// <summary>How far thread may lie free on the face of an item, by wear: what is longer is caught.</summary>
public static class FreeThread
{
    /// <summary>
    /// The longest thread that may lie free on the face, by wear, mm: baby 4, worn 5, washed often 7, washed now and then 8, on a wall 12
    /// (from memory). The first that holds.
    /// </summary>
    private static readonly (Func<Worn, bool> When, double MostMm, string Why, string Source)[] Free =
    [
        (w => w.Baby, 4, "a baby's fingers", "from memory"),
        (w => w.OnSkin || w.Wearer is "child" or "adult", 5, "it is worn", "from memory"),
        (w => w.Washed == "often", 7, "it is washed often", "from memory"),
        (w => w.Washed != "never", 8, "it is handled and washed now and then", "from memory"),
        (_ => true, 12, "it is looked at and never washed", "from memory"),
    ];

    /// <summary>How far threads may lie free on this, mm.</summary>
    public static double MostMm(Worn worn) => Free.First(f => f.When(worn)).MostMm;

    /// <summary>Why no further.</summary>
    public static string Why(Worn worn) => Free.First(f => f.When(worn)).Why;
}
