using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Transfer;

namespace Dittany.Core.Finishing;

/// <summary>
/// What the room needs to know of the work, by ids and inks only. Habits are choice ids; hers are overrules or null.
/// <paramref name="MadeUpForGood"/>: it is framed, stuffed or stretched when it is done, and no iron comes to it again.
/// </summary>
public sealed record FinishQuestion(
    Cloth Cloth, Ink Marker, string MethodId, StabiliserSet Stabiliser, bool Tacked, bool MarksCloth, bool Hooped, bool ThreadMayBleed,
        bool OnSkin, string Washed, bool Iron, string StartId, string FilmOutHabit, string? HersFilmOut,
    string TailHabit, string PressHabit, string? HersPress, bool Stuffed = false, bool MadeUpForGood = false)
{
    /// <summary>Kinds of thread the piece is stitched in.</summary>
    public IReadOnlyCollection<ThreadKind> Threads { get; init; } = [];

    /// <summary>What bears less on it than thread does: what other crafts leave there.</summary>
    public IReadOnlyList<CareLimit> OfCrafts { get; init; } = [];

    /// <summary>What cloth, use, thread and crafts bear.</summary>
    public Care Bears => Care.Of(CareRules.Of(this));

    /// <summary>Whether film goes out in the machine.</summary>
    public bool ByMachine => Has("film-on-top") && (HersFilmOut ?? FilmOutHabit) == "machine" && Bears.Clean == Cleaning.Machine;

    public bool Has(string stabiliser) => Stabiliser.Has(stabiliser);

    /// <summary>Whether anything is taken out with water.</summary>
    public bool Wet => Has("film-on-top") || Has("stick-on-sheet")
        || (MarksCloth && Marker.GoesBy is GoesBy.ColdWater or GoesBy.AirOrWater);
}

/// <summary>How something comes out: while all is dry, with water, once it has dried again, or with heat, which comes last.</summary>
public enum Removing
{
    Dry,
    WithWater,
    OnceDry,
    WithHeat,
}

/// <summary>
/// What comes out, in the order that works: threads, then plain cold water, then warm, then soap, then the iron. Soap, heat or sun can set
/// what cold water takes.
/// </summary>
public static class RemovalRules
{
    /// <summary>A stick-on sheet lets go soonest in water of this, °C (from memory).</summary>
    private const int SheetC = 40;

    private const int WarmC = 30;

    private const int ColdC = 20;

    /// <summary>The warmest water anything is taken out with, °C.</summary>
    public static int WarmestC(FinishQuestion q) => q.Has("stick-on-sheet") ? Math.Clamp(q.Bears.WashC, WarmC, SheetC)
        : q.Has("film-on-top") ? WarmC : ColdC;

    private static readonly (string Name, Removing How, Func<FinishQuestion, bool> When, Told Do, string Source)[] Rules =
    [
        ("away-knots", Removing.Dry, q => q.StartId == "away-knot",
            "Cut the away-knots flush, take their tails to the back and weave them in.", "common practice"),
        ("tacking", Removing.Dry, q => q.Tacked || q.MethodId is "tissue" or "tacked-from-back", "Take the tacking out.",
            "common practice"),
        ("tear-away", Removing.Dry, q => q.Has("tear-away-behind"), "Tear the backing away, holding the stitches with a thumb.",
            "common practice"),
        ("film trimmed", Removing.Dry, q => q.Has("film-on-top"), $"Trim the spare film to {Say.Length(5)}: mind the cloth.",
            "from memory"),
        ("cold water", Removing.WithWater, q => q.MarksCloth && q.Marker.GoesBy is GoesBy.ColdWater or GoesBy.AirOrWater,
            "Lay it in plain cold water, up to 20 °C, right under, for 15 minutes, until no line shows; repeat if one does. Never dab, no "
                + "soap yet.", "common practice"),
        ("look again", Removing.WithWater, q => q.MarksCloth && q.Marker.GoesBy is GoesBy.ColdWater or GoesBy.AirOrWater,
            "Let it dry and look at it in daylight: a line that comes back gets another cold bath.", "common practice"),
        ("film by machine", Removing.WithWater, q => q.ByMachine,
            "Machine-wash it in a bag at 30 °C, without softener; wash again if it dries stiff.", "common practice"),
        ("film by hand, from what is not rubbed", Removing.WithWater, q => q.Has("film-on-top") && !q.ByMachine && q.Bears.NoRubbing,
            "Water of 30 °C, 15 minutes, three changes, moving it gently, until it is no longer slippery.", "from memory"),
        ("film by hand", Removing.WithWater, q => q.Has("film-on-top") && !q.ByMachine && !q.Bears.NoRubbing,
            "Water of 30 °C, 10 minutes, three changes, rubbing gently, until it is no longer slippery.", "from memory"),
        ("sheet on a coating", Removing.WithWater, q => q.Has("stick-on-sheet") && q.Cloth.Coated,
            "Sponge the sheet away with lukewarm water until nothing is slippery, and wipe it dry: it is not soaked.", "common practice"),
        ("sheet", Removing.WithWater, q => q.Has("stick-on-sheet") && !q.Cloth.Coated && q.Bears.WashC >= SheetC,
            "Water of 35 to 40 °C, soak 20 minutes and rub; do it twice, and again if it dries stiff.", "from memory"),
        ("sheet on what bears less", Removing.WithWater, q => q.Has("stick-on-sheet") && !q.Cloth.Coated && q.Bears.WashC < SheetC,
            "Water of 30 °C, soak 40 minutes, moving it gently; do it three times, and again if it dries stiff.", "from memory"),
        ("backing trimmed", Removing.OnceDry, q => q.Has("cut-away-behind") || q.Has("fusible-knit-behind"),
            $"Trim the backing to {Say.Length(10)} round the stitches, corners rounded: mind the cloth.", "from memory"),
        ("chalk", Removing.OnceDry, q => q.MarksCloth && q.Marker.GoesBy == GoesBy.Brushing, "Brush the chalk out.", "common practice"),
        ("white pencil", Removing.OnceDry, q => q.MarksCloth && q.Marker.GoesBy == GoesBy.BrushingOrWater,
            "Brush the white line out, and dab off what is left with a damp cloth.", "from memory"),
        ("carbon", Removing.WithWater, q => q.MethodId == "carbon" && q.Cloth.Washable,
            "Wash what is left of the carbon out, cool, before any iron: heat may set it.", "common practice"),
        ("heat", Removing.WithHeat, q => q.MarksCloth && q.Marker.GoesBy == GoesBy.Heat,
            "The iron takes the pen line out, and only now; look again after a night in the cold.", "common practice"),
    ];

    /// <summary>What comes out in this way, in order.</summary>
    public static IReadOnlyList<Told> For(FinishQuestion q, Removing how) =>
        Rules.Where(r => r.How == how && r.When(q)).Select(r => r.Do).ToArray();
}
