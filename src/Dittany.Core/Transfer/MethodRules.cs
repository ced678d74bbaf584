using Dittany.Core.Decisions;
using Dittany.Core.Materials;
using Dittany.Core.Measures;

namespace Dittany.Core.Transfer;

/// <summary>
/// What the choice of method, marker and stabiliser hinges on. <paramref name="MadeUp"/>: the item is closed, so that no light gets behind;
/// <paramref name="LineWidthMm"/> the narrowest stitched line; <paramref name="PalestThreadL"/> the lightness of the palest thread; habits
/// are choice ids.
/// </summary>
public sealed record TransferFacts(
    Cloth Cloth, IReadOnlyCollection<string> Equipment, double SmallestCapMm, double StitchingHours, bool MadeUp = false,
        double LineWidthMm = 0.77, double PalestThreadL = 40,
    bool Hooped = true, string DrawHabit = "transferred", string MarkerHabit = "erasable", string HoldFilmHabit = "pin-and-tack",
        bool Folded = false)
{
    /// <summary>What is transferred, as it is called.</summary>
    public Called Called { get; init; } = Called.Words;

    /// <summary>Whether it is stuffed already: nothing gets behind it, and it is neither soaked nor pressed.</summary>
    public bool Stuffed { get; init; }

    /// <summary>Whether something is painted beside it, which is not wetted for days.</summary>
    public bool Painted { get; init; }

    /// <summary>Whether it is kept for good.</summary>
    public bool Keepsake { get; init; }

    /// <summary>Light a light box needs, and a window, in percent (from memory).</summary>
    public const double LightBoxPercent = 10;

    public const double WindowPercent = 15;

    /// <summary>Light at which lines show through with no light behind (from memory).</summary>
    public const double ThinPercent = 30;

    public bool Has(string tool) => Equipment.Contains(tool, StringComparer.Ordinal);

    public bool LightBoxServes => Has("light-box") && Cloth.LightPercent >= LightBoxPercent;

    public bool WindowServes => Has("window") && Cloth.LightPercent >= WindowPercent;

    public bool Printer => Has("ink-jet") || Has("laser");

    public bool Soakable => Cloth.Washable && Cloth.Kind.Soakable && !Stuffed && !Painted;

    /// <summary>What must not be soaked, as it stands in a sentence.</summary>
    public string Dry => Stuffed ? "what is stuffed" : Cloth.Washable && Cloth.Kind.Soakable ? "fresh paint" : Cloth.Kind.Name;
}

/// <summary>Named rules over facts that rank the methods and rule them out.</summary>
public static class MethodRules
{
    private const string Practice = "common practice";
    private const string Memory = "from memory";

    /// <summary>What a habit of drawing freehand weighs: more than any other reason.</summary>
    private const int Habit = 120;

    public static IReadOnlyList<Rule<TransferFacts>> All { get; } =
    [
        .. LightRules("light-trace"),
        .. DrawnOnCloth("light-trace"),
        For("light-trace", "plain tracing is simplest", 60, f => f.LightBoxServes || f.WindowServes, f =>
            $"{Say.Number(f.Cloth.LightPercent)} % of the light comes through: the lines can be seen and traced straight onto the cloth.",
            Memory),

        .. DrawnOnCloth("thin-cloth-trace"),
        Out("thin-cloth-trace", "only thin cloth shows a design without light", f => f.Cloth.LightPercent < TransferFacts.ThinPercent, f =>
            $"Only {Say.Number(f.Cloth.LightPercent)} % of the light comes through, and without a light "
                + $"{Say.Number(TransferFacts.ThinPercent)} % are wanted.", Memory),
        Out("thin-cloth-trace", "a lining is between", f => f.Cloth.Lined, _ => "A lining lies between the design and the cloth.",
            Practice),
        For("thin-cloth-trace", "thin cloth", 62, f => f.Cloth.LightPercent >= TransferFacts.ThinPercent, _ =>
            "The cloth is so thin that the lines show with no light behind.", Practice),

        .. WashedOut("film-traced", "Film"),
        For("film-traced", "film works on any washable cloth", 45, _ => true, _ =>
            "The film carries the line, reads the right way round and is gone after the wash.", Practice),
        For("film-traced", "film for dark, busy or stretchy cloth", 25, f => f.Cloth.Dark || f.Cloth.Busy || f.Cloth.Stretchy, _ =>
            "On dark, busy or stretchy cloth the line stays clear.", Practice),
        For("film-traced", "film over pile", 20, f => f.Cloth.Pile != Pile.None, _ => "It keeps the stitches from sinking into the pile.",
            Practice),

        .. WashedOut("stick-on-sheet", "The sheet"),
        Out("stick-on-sheet", "a sheet is printed", f => !f.Printer, _ => "There is no printer for the sheet.", Practice),
        For("stick-on-sheet", "no tracing at all", 42, _ => true, _ => "It is printed and stuck on: nothing to trace.", Practice),
        For("stick-on-sheet", "sheet on dark or stretchy cloth", 22, f => f.Cloth.Dark || f.Cloth.Busy || f.Cloth.Stretchy, _ =>
            "It shows on dark or busy cloth and steadies what stretches.", Practice),
        Against("stick-on-sheet", "glue in thick cloth", 30, f => f.Cloth.Weight == ClothWeight.Heavy, _ =>
            "In thick cloth its glue gums the needle.", Practice),
        Against("stick-on-sheet", "pile lifts it", 25, f => f.Cloth.Pile != Pile.None, _ =>
            "It does not hold on pile and lifts at every move of the hoop.", Memory),

        Out("hot-iron", "the iron's heat", f => f.Cloth.MaxIron != IronLimit.ThreeDots, _ =>
            "It needs the cotton setting (three dots, 200 °C), and this cloth does not bear it.", "ISO 3758"),
        Out("hot-iron", "an iron", f => !f.Has("iron"), _ => "There is no iron.", Practice),
        Out("hot-iron", "dark cloth", f => f.Cloth.Dark, _ => "Its line does not show on dark cloth.", Practice),
        Out("hot-iron", "busy cloth", f => f.Cloth.Busy, _ => "A busy print hides its line.", Practice),
        Out("hot-iron", "deep pile", f => f.Cloth.Pile == Pile.Deep, _ => "Deep pile takes no drawn line.", Practice),
        For("hot-iron", "quick", 35, _ => true, _ => "It is quick and the line stays as long as the work lasts.", Practice),
        Against("hot-iron", "cannot be undone", 15, _ => true, _ => "It cannot be undone: it wants a washed cloth and a test on a scrap.",
            Practice),
        Against("hot-iron", "stretch", 15, f => f.Cloth.Stretchy, _ => "On stretchy cloth the line breaks as the cloth gives.", Memory),

        Out("coated-paper", "ink-jet only", f => !f.Has("ink-jet"), _ => "It needs an ink-jet printer, never a laser: the coating melts.",
            Practice),
        Out("coated-paper", "an iron that the cloth bears", f => !f.Has("iron") || f.Cloth.MaxIron is IronLimit.None or IronLimit.OneDot,
            _ => "It is ironed on behind, and the cloth or the workshop has no iron for it.", Practice),
        Out("coated-paper", "pile", f => f.Cloth.Pile != Pile.None, _ => "It does not stick to pile.", Memory),
        .. LightRules("coated-paper"),
        .. DrawnOnCloth("coated-paper"),
        For("coated-paper", "steadies thin cloth", 40, f => f.LightBoxServes || f.WindowServes, _ =>
            "It steadies the cloth while the line is traced.", Practice),

        .. DrawnOnCloth("cut-out"),
        Out("cut-out", "small letters", f => f.SmallestCapMm < 40, f =>
            (Told)$"{Say.Upper(f.Called.OfHeight(f.SmallestCapMm))} are too small to cut out and draw round.", Memory),
        Out("hot-iron", "coating", f => f.Cloth.Coated, _ => "A coating melts under the iron.", Practice),
        For("cut-out", "where no light helps", 30, _ => true, _ => "It works on thick and dark things.", Practice),

        Out("carbon", "pile", f => f.Cloth.Pile != Pile.None, _ => "Its line is lost in pile.", Practice),
        Out("carbon", "stretch", f => f.Cloth.Stretchy, _ => "Its line breaks on cloth that stretches.", Practice),
        Against("carbon", "busy cloth", 20, f => f.Cloth.Busy, _ => "Its fine line is hard to see on a busy print.", Memory),
        For("carbon", "flat cloth", 25, _ => true, _ => "It marks flat, firm cloth of any colour.", Practice),
        Against("carbon", "heat may set it", 10, _ => true, _ => "Heat may set the carbon: test it on a scrap.", Practice),

        Out("prick-and-pounce", "small letters", f => f.SmallestCapMm < 20, f =>
            (Told)$"{Say.Upper(f.Called.OfHeight(f.SmallestCapMm))} are too small for pricked dots.", Memory),
        Out("prick-and-pounce", "pile", f => f.Cloth.Pile != Pile.None, _ => "The powder is lost in pile.", Practice),
        Against("prick-and-pounce", "stretch", 15, f => f.Cloth.Stretchy, _ => "Stretchy cloth shifts under the pounce.", Memory),
        For("prick-and-pounce", "dark cloth", 28, f => f.Cloth.Dark, _ => "Chalk powder shows on dark cloth.", Practice),
        For("prick-and-pounce", "old and reliable", 18, _ => true, _ => "It works where no light comes through.", Practice),

        Out("tissue", "small letters", f => f.SmallestCapMm < 10, f =>
            (Told)$"Torn from {f.Called.OfHeight(f.SmallestCapMm)}, the tissue pulls the stitches.", Practice),
        Against("tissue", "tearing pulls a knit", 20, f => f.Cloth.Kind.Knit, _ => "Torn away, it pulls a knit out of shape.", Memory),
        For("tissue", "nothing wet, nothing hot", 30, _ => true, _ => "It needs neither water nor heat.", Practice),
        For("tissue", "cloth that bears neither", 20, f => !f.Soakable, _ => "That suits a cloth that must not be soaked.", Practice),

        Out("tacked-from-back", "small letters", f => f.SmallestCapMm < 30, f =>
            (Told)$"{Say.Upper(f.Called.OfHeight(f.SmallestCapMm))} are too small to be tacked.", Memory),
        Out("tacked-from-back", "a lining is between", f => f.Cloth.Lined, _ => "A lining covers the wrong side.", Practice),
        For("tacked-from-back", "keeps the face clean", 15, _ => true, _ => "No marker touches the face.", Practice),

        .. Stitched(["film-traced", "tissue", "tacked-from-back"]),
        .. OpenBehind(["light-trace", "thin-cloth-trace", "coated-paper", "tacked-from-back", "hot-iron", "tissue"]),
        For("stick-on-sheet", "no pin on a coating", 20, f => f.Cloth.Coated, _ => "It holds without a pin or a tacking stitch.", Practice),

        .. DrawnOnCloth("freehand"),
        For("freehand", "nothing to print", 5, _ => true, _ => "Nothing to print and nothing to cut.", Practice),
        For("freehand", "her habit", Habit, f => f.DrawHabit == "freehand", _ => "It is your habit to draw freehand.", Practice),
        For("freehand", "a stuffed thing", 40, f => f.Stuffed, _ => "On a stuffed thing a few marks by eye are all that holds.", Practice),
        Against("freehand", "letters want a guide", 30, f => f.DrawHabit != "freehand" && !f.Stuffed, f =>
            (Told)$"{Say.Upper(f.Called.Parts)} drawn by eye come out uneven.", Practice),
    ];

    /// <summary>What needs light from behind.</summary>
    private static Rule<TransferFacts>[] LightRules(string id) =>
    [
        Out(id, "light must come through", f => !f.LightBoxServes && !f.WindowServes, NoLight, Memory),
        Out(id, "a made-up bag", f => f.MadeUp, _ => "It is made up: no light gets behind one layer alone.", Practice),
        Out(id, "a lining", f => f.Cloth.Lined, _ => "A lining lies between the light and the cloth.", Practice),
    ];

    /// <summary>What draws a line straight onto the cloth.</summary>
    private static Rule<TransferFacts>[] DrawnOnCloth(string id) =>
    [
        Out(id, "pile takes no line", f => f.Cloth.Pile == Pile.Deep, _ => "Deep pile takes no drawn line.", Practice),
        Out(id, "a busy print hides the line", f => f.Cloth.Busy && id is not "cut-out", _ => "A busy print hides the line.", Practice),
        Against(id, "stretch shifts under the pen", 30, f => f.Cloth.Stretchy, _ => "Stretchy cloth shifts under the pen.", Practice),
    ];

    /// <summary>What is pinned and tacked to the cloth.</summary>
    private static IEnumerable<Rule<TransferFacts>> Stitched(IEnumerable<string> ids) => ids.Select(id => Out(
        id, "every hole stays in a coating", f => f.Cloth.Coated, _ =>
            "It is pinned and tacked on, and coated cloth keeps every needle hole.", Practice));

    /// <summary>What lies or is pressed behind the cloth.</summary>
    private static IEnumerable<Rule<TransferFacts>> OpenBehind(IEnumerable<string> ids) => ids.Select(id => Out(
        id, "nothing gets behind what is stuffed", f => f.Stuffed, _ =>
            "It is stuffed: nothing gets behind it, and it is neither soaked nor pressed.", Practice));

    private static Rule<TransferFacts>[] WashedOut(string id, string what) =>
    [
        Out(id, "washed out, and the cloth must not be washed", f => !f.Cloth.Washable, f =>
            $"{what} is washed out, and this {f.Cloth.Kind.Name} must not be washed.", Practice),
        Out(id, "soaked out, and the cloth must not be soaked", f => f.Cloth.Washable && !f.Soakable, f =>
            $"{what} is soaked out, and {f.Dry} must not be soaked.", Practice),
    ];

    private static Told NoLight(TransferFacts f) => f.Has("light-box")
        ? $"Only {Say.Number(f.Cloth.LightPercent)} % of the light comes through, and a light box needs "
            + $"{Say.Number(TransferFacts.LightBoxPercent)} %."
        : f.Has("window")
            ? $"Only {Say.Number(f.Cloth.LightPercent)} % of the light comes through, and a window needs "
                + $"{Say.Number(TransferFacts.WindowPercent)} %; a light box would do with {Say.Number(TransferFacts.LightBoxPercent)} %."
            : "There is neither a light box nor a window to trace over.";

    private static Rule<TransferFacts> Out(string id, string name, Func<TransferFacts, bool> when, Func<TransferFacts, Told> because,
        string source) =>
        new(name, id, Verdict.RulesOut, 0, when, because, source);

    private static Rule<TransferFacts> For(string id, string name, int weight, Func<TransferFacts, bool> when, Func<TransferFacts,
        Told> because, string source) =>
        new(name, id, Verdict.Favours, weight, when, because, source);

    private static Rule<TransferFacts> Against(string id, string name, int weight, Func<TransferFacts, bool> when, Func<TransferFacts,
        Told> because, string source) =>
        new(name, id, Verdict.Discourages, weight, when, because, source);
}
