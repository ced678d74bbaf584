using Dittany.Core.Decisions;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Transfer;

namespace Dittany.Core.Planning;

/// <summary>The decisions on size and zone of the item, and what fills shapes.</summary>
internal static class GroundDecisions
{
    public static FormSize Size(Form form, Job job, HeardOverrides overrides, List<Decision> decisions)
    {
        var own = form.Sizes.First(s => s.Id == form.UsualSize);
        var hers = job.Size ?? overrides.For("item.size");
        if (form.Scaled(job.Measures, hers) is { } measured)
        {
            var said = new[] { form.Width, form.Height }.Where(m => job.Measures.Sure().ContainsKey(m.Id)).Select(m =>
                (Told)$"{Say.Lower(m.Name)} {Say.Length(job.Measures.Sure()[m.Id])}").ToArray();
            decisions.Add(Deciding.Make(
                "item.size", Station.Item, "The size", new Choice(own.Id, own.Name), new Choice("measured", Say.Upper(measured.Name)),
                [
                    $"You measured {Say.List(said)}: the drawing is scaled to it, from {form.Sizes.First(s => s.Id == measured.Id).Name}.",
                    "Print the paper cut-out of the design and lay it on before anything is marked: that is the last check.",
                ],
                ["One look at the tape."], form.Sizes.Select(s => new Choice(s.Id, s.Name)).ToArray()));
            return measured;
        }

        // An overrule may name a size of another form: then this form's usual one stands, and is told so.
        var taken = form.Sizes.FirstOrDefault(s => s.Id == hers) ?? own;
        decisions.Add(Deciding.Make(
            "item.size",
            Station.Item,
            "The size",
            new Choice(own.Id, own.Name),
            hers is null ? null : new Choice(taken.Id, taken.Name),
            [
                hers is not null && taken.Id != hers ? (Told)$"{Say.Upper(Say.A(form.Name))} has no size '{hers}': the usual one is taken."
                    : form.Measured is { } how ? (Told)$"It is {how}."
                    : hers is not null ? (Told)$"You said {taken.Name}."
                        : (Told)$"{Say.Upper(taken.Name)} is the usual size of {Say.A(form.Name)}: measure yours.",
            ],
            [$"One look at the tape: {Say.Lower(form.Width.Name)}."],
            form.Sizes.Select(s => new Choice(s.Id, s.Name)).ToArray()));
        return taken;
    }

    /// <summary>The form as it lies before her: not sewn yet it is loose cloth. Only for what is sewn by a pattern.</summary>
    public static Form Sewn(Form form, HeardOverrides overrides, List<Decision> decisions)
    {
        if (!form.ByPattern)
        {
            return form;
        }

        var hers = overrides.For("item.sewn");
        var flat = hers == "not-sewn";
        decisions.Add(Deciding.Make(
            "item.sewn", Station.Item, "Whether it is sewn together", WorkOrders.Sewings[0], hers is null ? null : WorkOrders.Sewings.First(s =>
                s.ChoiceId == hers),
            [flat ? "Not sewn yet it lies flat and single: it is drawn on uncut cloth, worked in any ring or frame, and cut out after."
                : $"{Say.Upper(Say.A(form.Name))} is planned as it is bought, or sewn already."],
            ["Sewing it yourself: what is not sewn yet is stitched flat."], WorkOrders.Sewings));
        return flat ? form with
        {
            Loose = LooseCloth.Pattern,
            Sizes = form.Sizes.Select(s => s with { Lined = false }).ToArray(),
        } : form;
    }

    /// <summary>Which side is seen of something that is turned over, and how it lies to be stitched.</summary>
    public static Decision Fold(Face face) => Deciding.Make(
        "space.fold", Station.Space, "Which side is seen", new Choice("as-worn", "Planned as it is worn, folded over"), null,
        [
            face.Fold.Sure().AsWorn,
            face.Fold.Flat,
            MirrorProof.UpsideDown(MirrorProof.Folding) ? "Laid flat it stands upside down."
                : "Turned over and folded down again it ends the right way up, and is not mirrored.",
        ],
        ["Another part of the item."]);

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
            hers is not null && taken.Id != hers ? [taken.EdgeReason, $"{Say.Upper(Say.A(form.Name))} has no '{hers}'."]
                : [taken.EdgeReason],
            ["How it will hang, be worn or be folded."],
            form.Zones.Select(z => new Choice(z.Id, Say.Upper(z.Name))).ToArray()));
        return taken;
    }
}
