using Dittany.Core.Decisions;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Planning;
using Dittany.Core.Words;
using FsCheck;
using FsCheck.Fluent;

namespace Dittany.Core.Tests.Planning;

/// <summary>Made-up jobs for tests, and random ones for what always holds.</summary>
public static class Samples
{
    public static readonly DateOnly Monday = new(2027, 3, 1);

    public static Job Towel(string text = "Juniper", Func<TextElement, TextElement>? with = null,
        params (string Id, string Choice)[] overrules) => new(
        "tea-towel",
        [(with ?? (w => w))(new TextElement("name", text))],
        Monday,
        Overrides: OverrideSet.Of(overrules.Select(o => ((DecisionKey)o.Id, o.Choice))));

    /// <summary>A job with more elements behind its own.</summary>
    public static Job With(Job job, params JobElement[] more) => job with { Elements = [.. job.Elements, .. more] };

    public static Plan Plan(Job job) => Make(job, Workshop.Default);

    /// <summary>The plan of a job by our own hands alone, whatever else is loaded.</summary>
    public static Plan Make(Job job, Workshop workshop, long most = Core.Measures.Budget.OfAPlan, CancellationToken stop = default) =>
        Planner.Make(job, workshop, Library.Ours, most, stop);

    public static IReadOnlyList<ValidationError> Faults(Job job, Workshop workshop) => JobCheck.Faults(job, workshop, Library.Ours);

    public static Plan Plan(string text = "Juniper", Func<TextElement, TextElement>? with = null,
        params (string Id, string Choice)[] overrules) =>
        Plan(Towel(text, with, overrules));

    private static readonly string[] Words = ["Zoë", "Bread & Salt", "o", "I", "Łucja", "ÅNGSTRÖM", "gjpqy", "Mimi\nand Jo", "a.b:c!",
        "8 3 6", "Wwvxkz", "Ñandú", "Şule Çağ", "Kräuter", "Tea, 4 o'clock", "ŒUVRE", "ģirts"];

    /// <summary>A job on any form, with the usual words.</summary>
    public static Job On(string form, string text = "Juniper", Func<TextElement, TextElement>? with = null,
        params (string Id, string Choice)[] overrules) =>
        Towel(text, with, overrules) with { Form = form };

    /// <summary>A workshop of one habit.</summary>
    public static Workshop With(params (string Id, string Choice)[] habits) =>
        Workshop.Default with { Habits = habits.ToDictionary(h => h.Id, h => h.Choice, StringComparer.Ordinal) };

    /// <summary>
    /// Random jobs whose words are arranged and go with a motif, on a few forms of every shape; one row, for rings and edges.
    /// </summary>
    public static Arbitrary<(Job Job, Workshop Workshop)> Arranged() => Arb.From(
        from any in Any().Generator
        from form in Gen.Elements("tea-towel", "napkin", "baby-bodysuit", "quilt-block", "christmas-stocking", "tote", "pin-cushion-round")
        from way in Gen.Elements<string?>(null, "arc", "ring", "slope", "corner", "edge", "spaced", "monogram")
        from reading in Gen.Elements<string?>(null, "outside", "inside")
        from motif in Gen.Elements<(string Id, string Place)?>(null, null, ("heart", "after"), ("round-frame", "around"),
            ("star", "above"), ("leaf-sprig", "before"), ("heart", "dot"), ("star", "between"))
        from own in Gen.Elements<MotifElement?>(null, null, new MotifElement("m", "daisy"), new MotifElement("m", "bird", HeightMm: 40),
            new MotifElement("m", "star", Arrangement: "ring", Count: 5))
        select (
            new Job(
                form,
                [any.Job.Wordings[0] with { Text = any.Job.Wordings[0].Text.ReplaceLineEndings(" "), Rows = null, CentreMm = null,
                    Arrangement = way, Reading = reading, Motif = motif?.Id, MotifPlace = motif?.Place }, .. own is null
                        ? Array.Empty<JobElement>() : [own]],
                Monday, Fabric: any.Job.Fabric, Wearer: any.Job.Wearer),
            any.Workshop));

    /// <summary>Random jobs: all items, sizes, zones and cloths, odd facts, words, heights, strands, stitches, places and habits.</summary>
    public static Arbitrary<(Job Job, Workshop Workshop)> Any() => Arb.From(
        from text in Gen.Elements(Words)
        from form in Gen.Elements<Form>(Catalogue.Forms)
        from size in Gen.Elements<FormSize>(form.Sizes)
        from zone in Gen.Elements<(string Id, string Name)>(form.Zones)
        from cap in Gen.Elements<double?>(null, null, 4, 6.5, 9, 12, 15, 22, 40)
        from strands in Gen.Elements<int?>(null, null, null, 1, 2, 3, 4, 6)
        from stitch in Gen.Elements<string?>([null, null, .. Core.StitchBook.Book.Lines.Select(s => s.Id)])
        from rows in Gen.Elements<int?>(null, null, 1)
        from cloth in Gen.Elements<string?>([null, null, .. Core.Materials.Cloths.All.Select(c => c.Id)])
        from colour in Gen.Elements("#f1ede2", "#20242c", "#8fa58a")
        from facts in Facts()
        from wearer in Gen.Elements<string?>(null, null, "baby", "child", "nobody")
        from nudge in Gen.Elements<(double X, double Y)?>(null, null, (17, -9), (-60, 25))
        from habits in Gen.Elements<Habit>(Habits.All).Two()
        from choices in Gen.Choose(0, 6).Two()
        from hoops in Gen.Elements<double[]>([102, 127, 152, 178], [102, 127, 152, 178], [76], [])
        from hand in Gen.Elements<string?>(null, null, "joined-hand", "plain-capitals")
        let centre = nudge is { } n ? At(form, size, zone.Id, n) : (Core.Geometry.Pt?)null
        select (
            new Job(
                form.Id,
                [new TextElement("name", text, Stitch: stitch, CapHeightMm: cap, Strands: strands,
                    Rows: text.Contains('\n', StringComparison.Ordinal) ? null : rows, CentreMm: centre, Alphabet: hand)],
                Monday,
                Size: size.Id,
                Zone: zone.Id,
                Wearer: wearer,
                Fabric: facts with { Kind = cloth, Colour = colour }),
            Workshop.Default with
            {
                HoopsMm = hoops,
                Habits = new[] { (Habit: habits.Item1, At: choices.Item1), (Habit: habits.Item2, At: choices.Item2) }
                    .DistinctBy(h => h.Habit.Id).ToDictionary(h => h.Habit.Id, h => h.Habit.Choices[h.At % h.Habit.Choices.Count].ChoiceId,
                        StringComparer.Ordinal),
            }));

    private static Gen<FabricOverrides> Facts() => Gen.Elements(
        new FabricOverrides(),
        new FabricOverrides(),
        new FabricOverrides(Busy: true),
        new FabricOverrides(Lined: true),
        new FabricOverrides(Opacity: Core.Materials.Opacity.Sheer),
        new FabricOverrides(Opacity: Core.Materials.Opacity.Sheer, Lined: true),
        new FabricOverrides(StretchPercent: 0),
        new FabricOverrides(StretchPercent: 60),
        new FabricOverrides(Pile: Core.Materials.Pile.Deep),
        new FabricOverrides(Washable: false),
        new FabricOverrides(MaxIron: Core.Materials.IronLimit.None));

    private static Core.Geometry.Pt At(Form form, FormSize size, string zone, (double X, double Y) nudge) =>
        form.At(size, zone).Zones.First(z => z.Id == zone).Usual.AnchorMm + new Core.Geometry.Pt(nudge.X, nudge.Y);
}
