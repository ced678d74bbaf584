using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Telling;

namespace Dittany.Core.Transfer;

/// <summary>What the choice of a method hinges on.</summary>
public sealed record TransferFacts(Cloth Cloth, IReadOnlyCollection<string> Equipment, double SmallestCapMm, double StitchingHours)
{
    /// <summary>Light a light box needs, and a window, in percent (from memory).</summary>
    public const double LightBoxPercent = 10;

    public const double WindowPercent = 15;

    public bool Has(string tool) => Equipment.Contains(tool, StringComparer.Ordinal);

    public bool LightBoxServes => Has("light-box") && Cloth.LightPercent >= LightBoxPercent;

    public bool WindowServes => Has("window") && Cloth.LightPercent >= WindowPercent;

    public bool Printer => Has("ink-jet") || Has("laser");
}

/// <summary>Named rules over facts that rank the methods and rule them out.</summary>
public static class MethodRules
{
    private const string Practice = "common practice";
    private const string Memory = "from memory";

    public static IReadOnlyList<Rule<TransferFacts>> All { get; } =
    [
        .. LightRules("light-trace"),
        For("light-trace", "plain tracing is simplest", 60, f => f.LightBoxServes || f.WindowServes, f => $"{Say.Number(f.Cloth.LightPercent)} % of the light comes through: the lines can be seen and traced straight onto the cloth.", Memory),
        .. LightRules("thin-cloth-trace"),
        Out("thin-cloth-trace", "only thin cloth shows a design without light", f => f.Cloth.LightPercent < 30, f => $"Only {Say.Number(f.Cloth.LightPercent)} % of the light comes through: without a light the lines cannot be seen.", Memory),
        For("thin-cloth-trace", "thin cloth", 62, f => f.Cloth.LightPercent >= 30, _ => "The cloth is so thin that the lines show with no light behind.", Practice),

        Out("film-traced", "film must be washed out", f => !f.Cloth.Washable || !f.Cloth.Kind.Soakable, f => $"Film is washed out, and {f.Cloth.Kind.Name} must not be soaked.", Practice),
        For("film-traced", "film works on any washable cloth", 45, _ => true, _ => "The film carries the line, reads the right way round and is gone after the wash.", Practice),
        For("film-traced", "film for dark, busy or stretchy cloth", 25, f => f.Cloth.Dark || f.Cloth.Busy || f.Cloth.Stretchy, _ => "On dark, busy or stretchy cloth the line stays clear.", Practice),
        For("film-traced", "film over pile", 20, f => f.Cloth.Pile != Pile.None, _ => "It keeps the stitches from sinking into the pile.", Practice),

        Out("stick-on-sheet", "a sheet must be washed out", f => !f.Cloth.Washable || !f.Cloth.Kind.Soakable, f => $"The sheet is washed out, and {f.Cloth.Kind.Name} must not be soaked.", Practice),
        Out("stick-on-sheet", "a sheet is printed", f => !f.Printer, _ => "There is no printer for the sheet.", Practice),
        For("stick-on-sheet", "no tracing at all", 42, _ => true, _ => "It is printed and stuck on: nothing to trace.", Practice),
        For("stick-on-sheet", "sheet on dark or stretchy cloth", 22, f => f.Cloth.Dark || f.Cloth.Busy || f.Cloth.Stretchy, _ => "It shows on dark or busy cloth and steadies what stretches.", Practice),
        Against("stick-on-sheet", "glue in thick cloth", 30, f => f.Cloth.Weight == ClothWeight.Heavy, _ => "In thick cloth its glue gums the needle.", Practice),

        Out("hot-iron", "the iron's heat", f => f.Cloth.MaxIron != IronLimit.ThreeDots, _ => "It needs the cotton setting (three dots, 200 °C), and this cloth does not bear it.", "ISO 3758"),
        Out("hot-iron", "an iron", f => !f.Has("iron"), _ => "There is no iron.", Practice),
        Out("hot-iron", "dark cloth", f => f.Cloth.Dark || f.Cloth.Busy, _ => "Its line does not show on dark or busy cloth.", Practice),
        For("hot-iron", "quick", 35, _ => true, _ => "It is quick and the line stays as long as the work lasts.", Practice),
        Against("hot-iron", "cannot be undone", 15, _ => true, _ => "It cannot be undone: it wants a washed cloth and a test on a scrap.", Practice),

        Out("coated-paper", "ink-jet only", f => !f.Has("ink-jet"), _ => "It needs an ink-jet printer, never a laser: the coating melts.", Practice),
        Out("coated-paper", "an iron that the cloth bears", f => !f.Has("iron") || f.Cloth.MaxIron is IronLimit.None or IronLimit.OneDot, _ => "It is ironed on behind, and the cloth or the workshop has no iron for it.", Practice),
        .. LightRules("coated-paper"),
        Out("coated-paper", "pile", f => f.Cloth.Pile != Pile.None, _ => "It does not stick to pile.", Memory),
        For("coated-paper", "steadies thin cloth", 40, f => f.LightBoxServes || f.WindowServes, _ => "It steadies the cloth while the line is traced.", Practice),

        Out("cut-out", "small letters", f => f.SmallestCapMm < 40, f => $"Capitals of {Say.Length(f.SmallestCapMm)} are too small to cut out and draw round.", Memory),
        For("cut-out", "where no light helps", 30, _ => true, _ => "It works on thick and dark things.", Practice),
        Out("carbon", "pile or stretch", f => f.Cloth.Pile != Pile.None || f.Cloth.Stretchy, _ => "The line breaks on pile and on stretchy cloth.", Practice),
        For("carbon", "flat cloth", 25, _ => true, _ => "It marks flat, firm cloth of any colour.", Practice),
        Against("carbon", "heat may set it", 10, _ => true, _ => "Heat may set the carbon: test it on a scrap.", Practice),
        Out("prick-and-pounce", "small letters", f => f.SmallestCapMm < 20, f => $"Capitals of {Say.Length(f.SmallestCapMm)} are too small for pricked dots.", Memory),
        Out("prick-and-pounce", "pile", f => f.Cloth.Pile != Pile.None, _ => "The powder is lost in pile.", Practice),
        For("prick-and-pounce", "dark cloth", 28, f => f.Cloth.Dark, _ => "Chalk powder shows on dark cloth.", Practice),
        For("prick-and-pounce", "old and reliable", 18, _ => true, _ => "It works where no light comes through.", Practice),
        Out("tissue", "small letters", f => f.SmallestCapMm < 10, f => $"Torn from capitals of {Say.Length(f.SmallestCapMm)}, the tissue pulls the stitches.", Practice),
        For("tissue", "nothing wet, nothing hot", 30, _ => true, _ => "It needs neither water nor heat.", Practice),
        For("tissue", "cloth that bears neither", 20, f => !f.Cloth.Washable, _ => "That suits a cloth that must not be soaked.", Practice),
        Out("tacked-from-back", "small letters", f => f.SmallestCapMm < 30, f => $"Capitals of {Say.Length(f.SmallestCapMm)} are too small to be tacked.", Memory),
        For("tacked-from-back", "keeps the face clean", 15, _ => true, _ => "No marker touches the face.", Practice),
        For("freehand", "nothing to print", 5, _ => true, _ => "Nothing to print and nothing to cut.", Practice),
        Against("freehand", "letters want a guide", 30, _ => true, _ => "Letters drawn by eye come out uneven.", Practice),
        Out("freehand", "deep pile takes no line", f => f.Cloth.Pile == Pile.Deep, _ => "Deep pile takes no drawn line.", Practice),
    ];

    private static Rule<TransferFacts>[] LightRules(string id) =>
    [
        Out(id, "light must come through", f => !f.LightBoxServes && !f.WindowServes, f => NoLight(f), Memory),
        Out(id, "pile takes no line", f => f.Cloth.Pile == Pile.Deep, _ => "Deep pile takes no drawn line.", Practice),
        Against(id, "stretch shifts under the pen", 30, f => f.Cloth.Stretchy, _ => "Stretchy cloth shifts under the pen.", Practice),
        Out(id, "a busy print hides the line", f => f.Cloth.Busy, _ => "A busy print hides the line.", Practice),
    ];

    private static string NoLight(TransferFacts f) => f.Has("light-box")
        ? $"Only {Say.Number(f.Cloth.LightPercent)} % of the light comes through, and a light box needs {Say.Number(TransferFacts.LightBoxPercent)} %."
        : f.Has("window")
            ? $"Only {Say.Number(f.Cloth.LightPercent)} % of the light comes through, and a window needs {Say.Number(TransferFacts.WindowPercent)} %; a light box would do with {Say.Number(TransferFacts.LightBoxPercent)} %."
            : "There is neither a light box nor a window to trace over.";

    private static Rule<TransferFacts> Out(string id, string name, Func<TransferFacts, bool> when, Func<TransferFacts, string> because, string source) =>
        new(name, id, Verdict.RulesOut, 0, when, because, source);

    private static Rule<TransferFacts> For(string id, string name, int weight, Func<TransferFacts, bool> when, Func<TransferFacts, string> because, string source) =>
        new(name, id, Verdict.Favours, weight, when, because, source);

    private static Rule<TransferFacts> Against(string id, string name, int weight, Func<TransferFacts, bool> when, Func<TransferFacts, string> because, string source) =>
        new(name, id, Verdict.Discourages, weight, when, because, source);
}
