using System.Globalization;
using Dittany.Core.Decisions;
using Dittany.Core.Finishing;
using Dittany.Core.Hooping;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Space;
using Dittany.Core.StitchBook;
using Dittany.Core.Threads;
using Dittany.Core.Transfer;
using Dittany.Core.Words;

namespace Dittany.Core.Jobs;

/// <summary>
/// Where a job states what a decision settles: <paramref name="Member"/> as a change names it, <paramref name="Pointer"/> as the job writes
/// it, under its root or under its element; and whether it is stated there.
/// </summary>
public sealed record StatedBy(string Member, string Pointer, Func<Job, bool>? InJob = null, Func<TextElement, bool>? InWords = null,
    Func<MotifElement, bool>? InMotif = null);

/// <summary>
/// One decision that plans hold: what it is called, at which station, how a choice of it is written (what is wrong with another, or null;
/// no check where it cannot be overruled), and which members of the job state it.
/// </summary>
public sealed record DecisionRow(string Id, Station At, Func<string, Library, (string Detail, string Try)?>? Check = null,
    params IReadOnlyList<StatedBy> Stated);

/// <summary>
/// All decisions there are, in one list; nobody keeps a second. An overrule is refused only if it is unknown or cannot be drawn; harm is
/// told in the plan.
/// </summary>
public static class DecisionRegistry
{
    /// <summary>A decision as it is named to a maker where nothing else is known of it: hoop size.</summary>
    public static string Spoken(string id) => DecisionKey.Parse(id).Id.Replace('.', ' ').Replace('-', ' ');

    public static IReadOnlyList<DecisionRow> All { get; } =
    [
        new("fabric.kind", Station.Item, Any(OneOf(() => Cloths.All.Select(c => c.Id))),
            Of("fabric.kind", "item/fabric/kind", j => j.Fabric?.Kind is not null)),
        new("item.size", Station.Item, Any(OneOf(() => Catalogue.Forms.SelectMany(f => f.Sizes).Select(s =>
            s.Id).Distinct(StringComparer.Ordinal))), Of("size", "item/size", j => j.Size is not null)),
        new("item.sewn", Station.Item, Any(OneOf(() => WorkOrders.Sewings.Select(c => c.ChoiceId)))),
        new("item.wearer", Station.Item, Any(OneOf(() => Wearing.Ids)), Of("wearer", "item/wearer", j => j.Wearer is not null)),
        new("item.skin", Station.Item, Any(OneOf(() => Wearing.Skins.Select(c => c.ChoiceId))),
            Of("nextToSkin", "item/nextToSkin", j => j.Use?.NextToSkin is not null)),
        new("item.washing", Station.Item, Any(OneOf(() => Wearing.Washings.Select(c => c.ChoiceId))),
            Of("washed", "item/washed", j => j.Use?.Washed is not null)),
        new("item.lasting", Station.Item, Any(OneOf(() => Wearing.Lastings.Select(c => c.ChoiceId))),
            Of("lasts", "item/lasts", j => j.Use?.Lasts is not null)),
        new("space.zone", Station.Space, Any(OneOf(() => Catalogue.Forms.SelectMany(f => f.Zones).Select(z =>
            z.Id).Distinct(StringComparer.Ordinal))), Of("zone", "zone", j => j.Zone is not null)),
        new("space.place", Station.Space, Any(OneOf(() => Placement.Choices.Select(c => c.ChoiceId))),
            OfBoth("centreMm", w => w.CentreMm is not null, m => m.CentreMm is not null)),
        new("words.alphabet", Station.Words, (value, library) => OneOf(() => library.Alphabets.Select(a => a.Id))(value),
            OfWords("alphabet", w => w.Alphabet is not null)),
        new("words.size", Station.Words, (value, _) => value is "comfortable" or "largest" or "smallest" ? null
            : Number(value, Lettering.LeastCapMm, Fit.MostCapMm, false, "comfortable, largest, smallest, or a height of 2 to 300"),
            OfWords("capHeightMm", w => w.CapHeightMm is not null)),
        new("words.arrangement", Station.Words, Any(OneOf(() => WordWays.Choices.Select(c => c.ChoiceId))),
            OfWords("arrangement", w => w.Arrangement is not null)),
        new("words.reading", Station.Words, Any(OneOf(() => WordWays.Readings.Select(c => c.ChoiceId))),
            OfWords("reading", w => w.Reading is not null)),
        new("words.motif", Station.Words, Any(OneOf(() => Motifs.MotifLibrary.Ids.Append("none"))),
            OfWords("motif", w => w.Motif is not null)),
        new("words.motif-place", Station.Words, Any(OneOf(() => WordWays.Places)),
            OfWords("motifPlace", w => w.MotifPlace is not null)),
        new("motif.arrangement", Station.Words, Any(OneOf(() => Motifs.Arranging.Ids)),
            OfMotif("arrangement", m => m.Arrangement is not null)),
        new("motif.size", Station.Words, (value, _) => Number(value, 2, 600, false, "a height of 2 to 600 mm"),
            OfMotif("heightMm", m => m.HeightMm is not null), OfMotif("widthMm", m => m.WidthMm is not null)),
        new("words.rows", Station.Words, (value, _) => Number(value, 1, JobLimits.MostRows, true, "1 to 6"),
            OfWords("rows", w => w.Rows is not null)),
        new("craft", Station.Words, Any(OneOf(() => Crafts.AllCrafts.Ids)),
            OfBoth("craft", w => w.Craft is not null, m => m.Craft is not null)),
        new("stitch.outline", Station.Stitches, Any(OneOf(() => Book.Lines.Select(s => s.Id))),
            OfBoth("stitch", w => w.Stitch is not null, m => m.Stitch is not null)),
        new("stitch.length", Station.Stitches, Any(OneOf(() => Habits.Find("stitch-length").Sure().Choices.Select(c => c.ChoiceId)))),
        new("stitch.dots", Station.Stitches, Any(OneOf(() => ["knot", "straight"]))),
        new("stitch.action", Station.Stitches, Any(OneOf(() => ["skim", "stab"]))),
        new("stitch.letters", Station.Stitches, Any(OneOf(() => LetterTextures.Choices.Select(c => c.ChoiceId)))),
        new("stitch.fill", Station.Stitches, Any(OneOf(() => FillWays.Choices.Select(c => c.ChoiceId).Concat(
            Book.NotYetDrawn)))),
        new(DecisionKey.ThreadKind, Station.Thread, Any(OneOf(() => ThreadKinds.All.Select(k => k.Id))),
            OfBoth("thread", w => w.Thread is not null, m => m.Thread is not null)),
        new("thread.strands", Station.Thread, Any(OneOf(() => Bundle.Plies.Select(p => p.ToString(CultureInfo.InvariantCulture)))),
            OfBoth("strands", w => w.Strands is not null, m => m.Strands is not null)),
        new("thread.colour", Station.Thread, (value, library) => Colour.TryParse(value, out _) || Palette.Colours.Any(c => c.Id == value)
            ? null : ($"'{value}' is not a colour.", "Write it like #4f7358."),
            OfBoth("colour", w => w.Colour is not null, m => m.Colour is not null)),
        new("thread.cut-length", Station.Thread, (value, _) =>
            Number(value, CuttingRoom.LeastCutMm, CuttingRoom.MostCutMm, false, "a length of 250 to 1000 mm")),
        new("thread.start", Station.Thread, Any(OneOf(() => CuttingRoom.Starts.Select(s => s.ChoiceId)))),
        new("thread.finish", Station.Thread, Any(OneOf(() => CuttingRoom.Finishes.Select(s => s.ChoiceId)))),
        new("needle.size", Station.Thread, Any(OneOf(() => Needles.All.Select(n => n.Id)))),
        new("transfer.method", Station.Transfer, Any(OneOf(() => Methods.All.Select(m => m.Id)))),
        new("transfer.marker", Station.Transfer, Any(OneOf(() => Inks.All.Select(i => i.Id)))),
        new("transfer.stabiliser", Station.Transfer, (value, _) => StabiliserRules.IsKnown(value) ? null
            : ($"'{value}' is no stabiliser.", $"Use {ValueChecks.Either(StabiliserRules.All.Select(s => s.ChoiceId))}, joined by +.")),
        new("hoop.school", Station.Hoop, Any(OneOf(() => Holding.Choices.Select(c => c.ChoiceId)))),
        new("hoop.size", Station.Hoop, (value, _) => Number(value, 50, 400, false, "a nominal size of 50 to 400 mm")),
        new("hoop.tension", Station.Hoop, Any(OneOf(() => ["drum-tight", "slack"]))),
        new("hoop.layers", Station.Hoop, Any(OneOf(() => Holding.Layers.Select(c => c.ChoiceId)))),
        new("order.layers", Station.Order, Any(OneOf(() => WorkOrders.Layers.Select(c => c.ChoiceId)))),
        new("order.parts", Station.Order, Any(OneOf(() => ["writing-order", "last-letter-first"]))),
        new("finish.removal", Station.Finish, Any(OneOf(() => FinishRoom.FilmOuts.Select(c => c.ChoiceId)))),
        new("finish.press", Station.Finish, Any(OneOf(() => FinishRoom.Presses.Select(p => p.ChoiceId)))),

        // Told, and not to be overruled: what follows from the others.
        new("item.cloth-cut", Station.Item),
        new("item.small-parts", Station.Item),
        new("space.fold", Station.Space),
        new("order.places", Station.Order),
        new("time.ready", Station.Time),
        new("time.price", Station.Time),
    ];

    /// <summary>Decisions that may be overruled, in ordinal order.</summary>
    public static IReadOnlyList<string> Ids { get; } = All.Where(r => r.Check is not null).Select(r =>
        r.Id).Order(StringComparer.Ordinal).ToArray();

    /// <summary>
    /// The row of a decision; of one of a further element, thread or place (<c>words.size:second@sleeve</c>) that of its kind. Null where
    /// there is none.
    /// </summary>
    public static DecisionRow? Find(DecisionKey key) => Rows.GetValueOrDefault(key.Id);

    /// <summary>Whether each element has its own decision of that kind; <c>thread.colour</c> has, <c>hoop.size</c> has not.</summary>
    public static bool IsOfElement(DecisionKey key) => Find(key) is { } row && (row.Stated.Any(s => s.InWords is not null
        || s.InMotif is not null)
        || row.Id is "stitch.length" or "stitch.dots" or "stitch.letters" or "stitch.fill");

    /// <summary>What is wrong with an overrule, or null.</summary>
    public static (string Detail, string Try)? Check(string decision, string value, Library library) =>
        Rows.GetValueOrDefault(decision)?.Check is { } check
        ? check(value, library)
        : ($"There is no decision '{decision}' to overrule.", $"Use {ValueChecks.Either(Ids)}.");

    /// <summary>
    /// The pointer of what states a decision in a job already, or null. <paramref name="element"/> is the id of an element that is not the
    /// first, or null.
    /// </summary>
    public static string? Pointer(Job job, string decision, string? element)
    {
        foreach (var stated in Rows.GetValueOrDefault(decision)?.Stated ?? [])
        {
            if (element is null && stated.InJob?.Invoke(job) == true)
            {
                return $"#/{stated.Pointer}";
            }

            for (var i = 0; i < job.Elements.Count; i++)
            {
                if (Mine(i, job.Elements[i].Id) && (job.Elements[i] switch
                {
                    TextElement words => stated.InWords?.Invoke(words),
                    MotifElement motif => stated.InMotif?.Invoke(motif),
                    _ => null,
                }) == true)
                {
                    return $"#/elements/{i}/{stated.Pointer}";
                }
            }
        }

        return null;

        bool Mine(int index, string id) => element is null ? index == 0 : index > 0 && id == element;
    }

    private static readonly Dictionary<string, DecisionRow> Rows = All.ToDictionary(r => r.Id, StringComparer.Ordinal);

    private static StatedBy Of(string member, string pointer, Func<Job, bool> stated) => new(member, pointer, InJob: stated);

    private static StatedBy OfWords(string member, Func<TextElement, bool> stated) => new(member, member, InWords: stated);

    private static StatedBy OfMotif(string member, Func<MotifElement, bool> stated) => new(member, member, InMotif: stated);

    private static StatedBy OfBoth(string member, Func<TextElement, bool> words, Func<MotifElement, bool> motif) =>
        new(member, member, InWords: words, InMotif: motif);

    private static Func<string, Library, (string, string)?> Any(Func<string, (string, string)?> check) => (value, _) => check(value);

    private static Func<string, (string, string)?> OneOf(Func<IEnumerable<string>> ids) =>
        value => ids().Contains(value, StringComparer.Ordinal) ? null
            : ($"'{value}' cannot be chosen here.", $"Use {ValueChecks.Either(ids())}.");

    private static (string, string)? Number(string value, double least, double most, bool whole, string told) =>
        double.TryParse(value, NumberStyles.Float, CultureInfo.InvariantCulture, out var number) && number >= least && number <= most
            && (!whole || number == Math.Floor(number))
            ? null
            : ($"'{value}' cannot be chosen here.", $"Use {told}.");
}
