using Dittany.Core.Decisions;
using Dittany.Core.Materials;
using Dittany.Core.Measures;

namespace Dittany.Core.Transfer;

/// <summary>What supports the cloth: named rules that each add one stabiliser, and what speaks against one.</summary>
public static class StabiliserRules
{
    public static IReadOnlyList<Choice> All { get; } =
    [
        new("none", "Nothing behind or on top"),
        new("film-on-top", "Water-soluble film on top"),
        new("stick-on-sheet", "A stick-on wash-away sheet on top"),
        new("fusible-knit-behind", "A soft fusible knit behind"),
        new("cut-away-behind", "A soft cut-away behind"),
        new("tear-away-behind", "A tear-away behind"),
        new("coated-paper-behind", "Plastic-coated paper behind"),
        new("wadding-behind", "Wadding behind"),
    ];

    /// <summary>Rules in the order in which they speak. What goes on top is named first.</summary>
    private static readonly (string Name, string Adds, bool OnTop, Func<TransferFacts, Method, bool> When, Func<TransferFacts, Method,
        Told> Because, string Source)[] Adding =
    [
        ("film over pile", "film-on-top", true, (f, m) => f.Cloth.Pile != Pile.None && m.Stabiliser != "film-on-top"
            && m.Stabiliser != "stick-on-sheet" && f.Soakable,
            (_, _) => "Film on top keeps the stitches out of the pile; it is gone after the wash.", "common practice"),
        ("support for a knit, fused", "fusible-knit-behind", false, (f, _) => f.Cloth.Kind.Knit && f.Has("iron")
            && f.Cloth.MaxIron is IronLimit.TwoDots or IronLimit.ThreeDots,
            (f, _) => $"The cloth stretches {Say.Number(f.Cloth.StretchPercent)} % and needs support that stays: a soft knit, fused "
                + $"before marking.", "common practice"),
        ("support for a knit that bears little heat", "cut-away-behind", false, (f, _) => f.Cloth.Kind.Knit
            && f.Cloth.MaxIron is IronLimit.None or IronLimit.OneDot,
            (f, _) => $"The cloth stretches {Say.Number(f.Cloth.StretchPercent)} % and needs support that stays; it bears no fusing, so a "
                + $"soft cut-away is tacked on before marking.", "common practice"),
        ("support for a knit where there is no iron", "cut-away-behind", false, (f, _) => f.Cloth.Kind.Knit && !f.Has("iron")
            && f.Cloth.MaxIron is IronLimit.TwoDots or IronLimit.ThreeDots,
            (f, _) => $"The cloth stretches {Say.Number(f.Cloth.StretchPercent)} % and needs support that stays; there is no iron to fuse "
                + $"one on, so a soft cut-away is tacked on before marking.", "common practice"),
        ("support for woven cloth that gives", "cut-away-behind", false, (f, _) => !f.Cloth.Kind.Knit && f.Cloth.Stretchy,
            (f, _) => $"Woven or not, it gives {Say.Number(f.Cloth.StretchPercent)} %: a soft cut-away keeps the {f.Called.Parts} in "
                + $"shape.", "from memory"),
        ("backing under pile", "tear-away-behind", false, (f, m) => f.Cloth.Pile != Pile.None && !f.Cloth.Kind.Knit && !f.Cloth.Stretchy
            && f.Soakable,
            (_, _) => "Under film a backing carries the stitches, so that the loops do not.", "common practice"),
    ];

    private static readonly (string Name, string Id, Func<TransferFacts, bool> When, Told Because, string Source)[] Harming =
    [
        ("tear-away on a knit", "tear-away-behind", f => f.Cloth.Kind.Knit, "Tear-away pulls a knit out of shape when it is torn out.",
            "common practice"),
        ("fusing without heat", "fusible-knit-behind", f => f.Cloth.MaxIron is IronLimit.None or IronLimit.OneDot,
            "It is fused with an iron of two dots, and this cloth does not bear it.", "ISO 3758"),
        ("fusing without an iron", "fusible-knit-behind", f => !f.Has("iron"), "It is fused on, and there is no iron.", "common practice"),
        ("film on what must not be soaked", "film-on-top", f => !f.Soakable, "Film is soaked out, and nothing may be soaked here.",
            "common practice"),
        ("sheet on what must not be soaked", "stick-on-sheet", f => !f.Soakable,
            "The sheet is soaked out, and nothing may be soaked here.", "common practice"),
        ("coated paper on pile", "coated-paper-behind", f => f.Cloth.Pile != Pile.None, "It does not stick to pile.", "from memory"),
        ("wadding in something worn", "wadding-behind", f => !f.MadeUp && f.Cloth.Kind.Knit,
            "Wadding is for framed work: here it would lump in the wash.", "common practice"),
        ("a knit without support", "none", f => f.Cloth.Kind.Knit, "A knit without support puckers round the stitches.", "common practice"),
    ];

    /// <summary>Whether an id names stabilisers, alone or joined by +.</summary>
    public static bool IsKnown(string id) => id.Split('+') is var parts && parts.All(part => All.Any(s => s.ChoiceId == part))
        && parts.Distinct(StringComparer.Ordinal).Count() == parts.Length && (parts.Length == 1 || !parts.Contains("none"));

    public static (StabiliserSet Chosen, Decision Decision) Settle(TransferFacts facts, Method method, string? hers, List<Caution> cautions)
    {
        var parts = new List<string>();
        var because = new List<Told>();
        if (method.Stabiliser != "none")
        {
            parts.Add(method.Stabiliser);
            because.Add($"The method brings it along: {Say.Lower(method.Name)}.");
        }

        foreach (var rule in Adding.Where(r => !facts.Stuffed && r.When(facts, method) && !parts.Contains(r.Adds)))
        {
            parts.Insert(rule.OnTop ? 0 : parts.Count, rule.Adds);
            because.Add(rule.Because(facts, method));
        }

        if (parts.Count == 0)
        {
            because.Add(facts.Stuffed ? "The stuffing carries the stitches, and nothing gets behind them."
                : "The cloth is firm and flat: it needs no other support.");
        }

        var own = new StabiliserSet(parts);
        var chosen = hers is null ? own : StabiliserSet.Parse(hers);
        cautions.AddRange(Harming.Where(h => hers is not null && chosen.Has(h.Id) && h.When(facts)).Select(h =>
            new Caution("transfer.stabiliser", CautionKind.Item, Severity.Stop, h.Because)));
        if (hers is not null && method.Stabiliser != "none" && !chosen.Has(method.Stabiliser))
        {
            cautions.Add(new Caution("transfer.stabiliser", CautionKind.Item, Severity.Stop,
                $"{method.Name} needs {Say.Lower(Named(method.Stabiliser))}: without it there is no line to follow."));
        }

        var ruledOut = Harming.Where(h => h.When(facts) && !chosen.Has(h.Id) && h.Id != own.ToString()).GroupBy(h => h.Id)
            .Select(g => new RuledOut(g.Key, Named(g.Key), g.Select(h => h.Because).ToArray())).ToArray();
        return (chosen, Deciding.Make(
            "transfer.stabiliser", Station.Transfer, "What supports the cloth", new Choice(own.ToString(), Named(own.ToString())), hers is null ? null
                : new Choice(hers, Named(hers)), because,
            ["Another method, or a cloth that stretches more or less."], All.ToArray(), ruledOut));
    }

    public static string Named(string id) => string.Join(", and ", id.Split('+').Select((part, i) =>
    {
        var text = All.First(s => s.ChoiceId == part).Text;
        return i == 0 ? text : Say.Lower(text);
    }));
}
