using Dittany.Core.Decisions;
using Dittany.Core.Materials;
using Dittany.Core.Measures;

namespace Dittany.Core.Items;

/// <summary>What the maker stated of the cloth; null where she left it to the form's usual cloth.</summary>
public sealed record FabricOverrides(
    string? Kind = null,
    string? Colour = null,
    double? StretchPercent = null,
    Opacity? Opacity = null,
    double? ThicknessMm = null,
    Pile? Pile = null,
    IronLimit? MaxIron = null,
    bool? Washable = null,
    bool? Busy = null,
    bool? Lined = null,
    bool? Prewashed = null,
    bool? Coated = null,
    int? WashC = null,
    string? Fibre = null)
{
    /// <summary>The very cloth, photographed; null where it was not.</summary>
    public ClothPrint? Print { get; init; }
}

/// <summary>The cloth settled, with its decision and what seems odd about the facts stated.</summary>
public sealed record SettledFabric(Cloth Cloth, IReadOnlyList<Decision> Decisions, IReadOnlyList<Caution> Cautions);

/// <summary>Settles the facts of the cloth: the form's usual cloth gives all of them, a stated fact replaces its own.</summary>
public static class Fabric
{
    /// <summary>Settles every fact. <paramref name="hers"/> is her overrule of <c>fabric.kind</c>, a known kind, or null.</summary>
    public static SettledFabric Settle(Form form, FormSize size, FabricOverrides stated, string? hers)
    {
        var usual = Cloths.Find(stated.Kind ?? form.UsualCloth).Sure();
        var kind = Cloths.Find(hers ?? usual.Id).Sure();
        var colour = Colour.Parse(stated.Colour ?? form.UsualColour);
        var light = stated.Opacity is { } opacity ? Cloths.LightOf(opacity) : Cloths.LightThrough(kind, colour);
        var lined = stated.Lined ?? size.Lined;
        if (lined && stated.Opacity is null)
        {
            // A lining behind halves what comes through (from memory).
            light /= 2;
        }

        var cloth = new Cloth(
            kind,
            colour,
            stated.StretchPercent ?? kind.StretchPercent,
            stated.Opacity ?? Cloths.OpacityOf(light),
            Math.Round(light, 1, MidpointRounding.AwayFromZero),
            stated.ThicknessMm ?? kind.ThicknessMm,
            stated.Pile ?? kind.Pile,
            stated.MaxIron ?? kind.MaxIron,
            stated.Washable ?? kind.Washable,
            stated.Busy ?? false,
            lined,
            stated.Prewashed ?? false,
            stated.Coated,
            stated.WashC,
            stated.Fibre)
        {
            Print = stated.Print,
        };

        var because = new List<Told>
        {
            stated.Kind is null
                ? (Told)($"{Say.Upper(Say.A(form.Name))} is usually {usual.Name}: {Say.Length(cloth.ThicknessMm)} thick, with "
                    + $"{Say.Number(cloth.StretchPercent)} % stretch.")
                : (Told)$"You said {usual.Name}: {Say.Length(cloth.ThicknessMm)} thick, with {Say.Number(cloth.StretchPercent)} % stretch.",
            $"In this colour {Say.Number(cloth.LightPercent)} % of the light comes through.",
        };
        because.Add(cloth.MaxIron == IronLimit.None ? "It bears no iron at all."
            : $"Its iron goes to "
                + $"{Cloths.NameOf(cloth.MaxIron)}{(cloth.WashC > 0 ? $", its wash to {cloth.WashC} °C" : ", and it is not washed")}.");
        if (cloth.Coated)
        {
            because.Add("It is coated: every needle hole stays, and lets water in.");
        }

        if (cloth.ShrinkPercent >= 3)
        {
            because.Add($"New, it shrinks about {Say.Number(kind.ShrinkPercent)} % in the first wash.");
        }

        var decision = Deciding.Make(
            "fabric.kind",
            Station.Item,
            "The cloth",
            new Choice(usual.Id, Say.Upper(usual.Name)),
            hers is null ? null : new Choice(kind.Id, Say.Upper(kind.Name)),
            because,
            ["Another cloth, or any one fact of it: stretch, colour, thickness, pile, iron, wash."],
            Cloths.All.Select(c => new Choice(c.Id, Say.Upper(c.Name))).ToArray());
        return new SettledFabric(cloth, [decision], Doubts(cloth, kind).ToArray());
    }

    /// <summary>Facts that seldom go together are said, and the plan goes on with what was stated.</summary>
    private static IEnumerable<Caution> Doubts(Cloth cloth, ClothKind kind)
    {
        if (cloth.Opacity == Opacity.Sheer && cloth.Lined)
        {
            yield return Doubt("You say the cloth is sheer and lined: a lining usually stops the light. Hold it to a window once more.");
        }

        if (kind.Knit && cloth.StretchPercent < 5)
        {
            yield return Doubt($"You say this {kind.Name} does not stretch: a knit nearly always does. Pull it across the ribs once more.");
        }

        if (!kind.Knit && cloth.StretchPercent > 30)
        {
            yield return Doubt(
                $"You say this {kind.Name} stretches {Say.Number(cloth.StretchPercent)} %: much for a woven cloth. Is it a knit?");
        }

        if (cloth.Opacity == Opacity.Sheer && kind.LightWhitePercent <= 5)
        {
            yield return Doubt($"You say the cloth is sheer, and {kind.Name} hardly ever is. The plan goes by what you said.");
        }

        static Caution Doubt(string text) => new("fabric.kind", CautionKind.Item, Severity.Note, text);
    }
}
