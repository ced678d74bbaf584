using Dittany.Core.Items;
using Dittany.Core.Measures;

namespace Dittany.Core.Operations;

/// <summary>Which side of a layer looks up.</summary>
public enum Up
{
    /// <summary>It has no sides.</summary>
    Either,

    Right,

    Wrong,

    /// <summary>The side of a paper or a film that sticks, shines or carries ink.</summary>
    Sticky,

    /// <summary>That side looks down.</summary>
    StickyDown,
}

/// <summary>One layer as it lies, seen from the side. The cloth that is worked on is <paramref name="TheCloth"/>.</summary>
public sealed record SideLayer(string What, Up Up = Up.Either, bool TheCloth = false);

/// <summary>
/// How the layers lie at an operation, from top to bottom, and what comes to them from above and from below: an iron, a needle, a spray.
/// </summary>
public sealed record SideView(string Operation, string Called, string? Above, IReadOnlyList<SideLayer> Layers, string? Below = null);

/// <summary>What side views are drawn from: the item, what stabilises it, and how it is marked and pressed.</summary>
public sealed record SideFacts(bool TwoLayers, IReadOnlyList<string> Stabilisers, string MethodId, LooseCloth? Loose);

/// <summary>Which layers lie over which at each operation that has more than one (common practice).</summary>
public static class SideViews
{
    private static readonly SideLayer Cloth = new("the cloth", Up.Right, TheCloth: true);

    private static readonly SideLayer Turned = new("the cloth", Up.Wrong, TheCloth: true);

    private static readonly (Func<Operation, SideFacts, bool> When, Func<Operation, SideFacts, SideView> View)[] Table =
    [
        ((o, _) => o.Kind == OpKind.Paint, (o, f) => new(o.Id.ToString(), "Spraying", "the spray, straight from above",
            [new("paper all round"), new("the stencil", Up.StickyDown), Cloth, new("card"), .. Other(f), new("the table")])),
        ((o, _) => o.Kind == OpKind.Tint, (o, f) => new(o.Id.ToString(), "Tinting", "the pencil",
            [Cloth, new("coated paper", Up.Sticky), .. Other(f), new("a hard table")])),
        ((o, _) => o.Kind == OpKind.Felt, (o, f) => new(o.Id.ToString(), "Felting", "the barbed needle, straight down and straight up",
            [new("wool"), Cloth, new("the sponge"), .. Other(f), new("the table")])),
        ((o, _) => o.Id.Name == "lay" && o.Iron is not null, (o, f) => new(o.Id.ToString(), "Fusing the pieces", "the iron",
            [new("a damp cloth"), new("felt", Up.Right), new("web"), Cloth, .. Other(f), new("the ironing board")])),
        ((o, _) => o.Id.Name == "paint-set", (o, f) => new(o.Id.ToString(), "Setting the paint", "a dry iron, kept moving",
            [Turned, new("a clean cloth"), new("the ironing board")])),
        ((o, _) => o.Id.Name == "fuse", (o, f) => new(o.Id.ToString(), "Fusing the backing", "the iron",
            [new("soft knit backing", Up.StickyDown), Turned, new("the ironing board")])),
        ((o, _) => o.Id.Name == "iron-on", (o, f) => new(o.Id.ToString(), "Ironing the drawing on", "the iron, pressed and lifted",
            [f.MethodId == "coated-paper" ? new("coated paper", Up.StickyDown) : new("the transfer, ink down", Up.StickyDown), Cloth,
                new("the ironing board")])),
        ((o, f) => o.Kind == OpKind.Stitch && f.Stabilisers.Count > 0, (o, f) => new(o.Id.ToString(), "Stitching",
            "the needle goes down", [.. Over(f), Cloth, .. Behind(f)], "the thread begins and ends here")),
        ((o, _) => o.Id.Name == "press" && o.Iron is not null, (o, f) => new(o.Id.ToString(), "Pressing", "the iron",
            [Turned, new("a folded towel"), new("the ironing board")])),
        ((o, f) => o.Id.Name == "make-up" && f.Loose == LooseCloth.Badge, (o, f) => new(o.Id.ToString(), "Sewing the badge", "the needle, on the drawn line",
            [Turned, new("the second layer", Up.Right)])),
        ((o, f) => o.Id.Name == "make-up" && f.Loose == LooseCloth.Framed, (o, f) => new(o.Id.ToString(), "Mounting", "the glass, if there is one",
            [Cloth, new("thin wadding"), new("the board"), new("cloth turned over, laced"), new("a card")])),
        ((o, f) => o.Id.Name == "make-up" && f.Loose == LooseCloth.Hooped, (o, f) => new(o.Id.ToString(), "Backing the hoop", null,
            [Cloth, new("the ring"), new("cloth gathered behind"), new("a card or felt")])),
    ];

    /// <summary>The side views of a piece in the order of its work; none where nothing lies over anything.</summary>
    public static IReadOnlyList<SideView> Of(IReadOnlyList<Operation> work, SideFacts facts) => work.SelectMany(o =>
        Table.Where(t => t.When(o, facts)).Take(1).Select(t => t.View(o, facts))).DistinctBy(v => (v.Called, string.Join('|', v.Layers)))
        .ToArray();

    /// <summary>A view in one sentence, from top to bottom, for whoever does not see it.</summary>
    public static string Tell(SideView view) => $"{view.Called}, from top to bottom: {Say.List(view.Layers.Select(Told).ToArray())}"
        + $"{(view.Above is { } above ? $"; from above comes {above}" : string.Empty)}.";

    /// <summary>A layer with the side that looks up.</summary>
    public static string Told(SideLayer layer) => layer.Up switch
    {
        Up.Right => $"{layer.What}, right side up",
        Up.Wrong => $"{layer.What}, wrong side up",
        Up.Sticky => $"{layer.What}, coated side up",
        Up.StickyDown when layer.What.Contains("down", StringComparison.Ordinal) => layer.What,
        Up.StickyDown => $"{layer.What}, sticky side down",
        _ => layer.What,
    };

    private static SideLayer[] Other(SideFacts facts) => facts.TwoLayers ? [new("the item's other layer")] : [];

    private static SideLayer[] Over(SideFacts facts) =>
    [
        .. facts.Stabilisers.Contains("film-on-top", StringComparer.Ordinal) ? [new SideLayer("water-soluble film")] : Array.Empty<SideLayer>(),
        .. facts.Stabilisers.Contains("stick-on-sheet", StringComparer.Ordinal) ? [new SideLayer("the stick-on sheet", Up.StickyDown)]
            : Array.Empty<SideLayer>(),
    ];

    private static SideLayer[] Behind(SideFacts facts) => facts.Stabilisers.Where(s => s.EndsWith("-behind", StringComparison.Ordinal))
        .Select(s => s == "coated-paper-behind" ? new SideLayer("coated paper", Up.Sticky)
            : new SideLayer(s.Replace("-behind", string.Empty, StringComparison.Ordinal) switch
            {
                "fusible-knit" => "soft knit backing, fused",
                "cut-away" => "soft cut-away",
                "tear-away" => "tear-away",
                var other => other,
            })).ToArray();
}
