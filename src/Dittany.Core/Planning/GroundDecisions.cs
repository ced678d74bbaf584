using Dittany.Core.Items;
using Dittany.Core.Measures;
using Dittany.Core.Telling;

namespace Dittany.Core.Planning;

/// <summary>The decisions on size and zone of the item, and what fills shapes.</summary>
internal static class GroundDecisions
{
    public static FormSize Size(Form form, string? hers, bool stated, List<Decision> decisions)
    {
        var own = form.Sizes.First(s => s.Id == form.UsualSize);

        // An overrule may name a size of another form: then this form's usual one stands, and is told so.
        var taken = form.Sizes.FirstOrDefault(s => s.Id == hers) ?? own;
        decisions.Add(Deciding.Make(
            "item.size",
            Station.Item,
            "The size",
            new Choice(own.Id, own.Name),
            hers is null ? null : new Choice(taken.Id, taken.Name),
            [
                hers is not null && taken.Id != hers ? $"A {form.Name} has no size '{hers}': the usual one is taken."
                    : stated || hers is not null ? $"You said {taken.Name}." : $"{Say.Upper(taken.Name)} is the usual size of a {form.Name}: measure yours.",
            ],
            ["One look at the tape."],
            form.Sizes.Select(s => new Choice(s.Id, s.Name)).ToArray()));
        return taken;
    }

    public static Zone Zone(Form form, Drawn drawn, string? hers, List<Decision> decisions)
    {
        var own = drawn.Zones[0];
        var taken = drawn.Zones.FirstOrDefault(z => z.Id == hers) ?? own;
        decisions.Add(Deciding.Make(
            "space.zone",
            Station.Space,
            "Which part of it",
            new Choice(own.Id, Say.Upper(own.Name)),
            hers is null ? null : new Choice(taken.Id, Say.Upper(taken.Name)),
            hers is not null && taken.Id != hers ? [taken.EdgeReason, $"A {form.Name} has no '{hers}'."] : [taken.EdgeReason],
            ["How it will hang, be worn or be folded."],
            form.Zones.Select(z => new Choice(z.Id, Say.Upper(z.Name))).ToArray()));
        return taken;
    }

    public static Decision Fill() => Deciding.Make(
        "stitch.fill",
        Station.Stitches,
        "What fills the shapes",
        new Choice("none", "Nothing to fill"),
        null,
        ["This hand is all lines: there is no shape to fill."],
        ["Letters with weight, or a motif."]);
}
