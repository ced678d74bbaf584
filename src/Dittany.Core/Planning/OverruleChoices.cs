using System.Globalization;
using Dittany.Core.Finishing;
using Dittany.Core.Hooping;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Space;
using Dittany.Core.StitchBook;
using Dittany.Core.Threads;
using Dittany.Core.Transfer;
using Dittany.Core.Words;

namespace Dittany.Core.Planning;

/// <summary>
/// What may stand for each decision in a job's overrules. An overrule is refused only if it is unknown or cannot be drawn; harm is told in the plan.
/// </summary>
public static class OverruleChoices
{
    private const string OfAlphabet = "words.alphabet";

    private static readonly Dictionary<string, Func<string, (string Detail, string Try)?>> Checks = new(StringComparer.Ordinal)
    {
        ["fabric.kind"] = OneOf(() => Cloths.All.Select(c => c.Id)),
        ["item.size"] = OneOf(() => Catalogue.Forms.SelectMany(f => f.Sizes).Select(s => s.Id).Distinct(StringComparer.Ordinal)),
        ["item.wearer"] = OneOf(() => Wearing.Ids),
        ["item.skin"] = OneOf(() => Wearing.Skins.Select(c => c.ChoiceId)),
        ["item.washing"] = OneOf(() => Wearing.Washings.Select(c => c.ChoiceId)),
        ["item.lasting"] = OneOf(() => Wearing.Lastings.Select(c => c.ChoiceId)),
        ["space.zone"] = OneOf(() => Catalogue.Forms.SelectMany(f => f.Zones).Select(z => z.Id).Distinct(StringComparer.Ordinal)),
        ["space.place"] = OneOf(() => Placement.Choices.Select(c => c.ChoiceId)),
        [OfAlphabet] = _ => null,
        ["words.size"] = value => value is "comfortable" or "largest" or "smallest" ? null : Number(value, Lettering.LeastCapMm, Fit.MostCapMm, false, "comfortable, largest, smallest, or a height of 2 to 300"),
        ["words.arrangement"] = OneOf(() => WordsArranged.Choices.Select(c => c.ChoiceId)),
        ["words.reading"] = OneOf(() => WordsArranged.Readings.Select(c => c.ChoiceId)),
        ["words.motif"] = OneOf(() => Motifs.MotifLibrary.Ids.Append("none")),
        ["words.motif-place"] = OneOf(() => WordsArranged.Places),
        ["motif.arrangement"] = OneOf(() => Motifs.Arranging.Ids),
        ["motif.size"] = value => Number(value, 2, 600, false, "a height of 2 to 600 mm"),
        ["words.rows"] = value => Number(value, 1, JobCheck.MostRows, true, "1 to 6"),
        ["stitch.outline"] = OneOf(() => Book.Lines.Select(s => s.Id)),
        ["stitch.length"] = OneOf(() => Habits.Find("stitch-length")!.Choices.Select(c => c.ChoiceId)),
        ["stitch.dots"] = OneOf(() => ["knot", "straight"]),
        ["stitch.action"] = OneOf(() => ["skim", "stab"]),
        ["stitch.fill"] = OneOf(() => Book.NotYetDrawn.Append("none")),
        ["thread.strands"] = value => Number(value, 1, Bundle.Most, true, "1 to 6"),
        ["thread.colour"] = value => Colour.TryParse(value, out _) || Palette.Colours.Any(c => c.Id == value) ? null : ($"'{value}' is not a colour.", "Write it like #4f7358."),
        ["thread.cut-length"] = value => Number(value, CuttingRoom.LeastCutMm, CuttingRoom.MostCutMm, false, "a length of 250 to 1000 mm"),
        ["thread.start"] = OneOf(() => CuttingRoom.Starts.Select(s => s.ChoiceId)),
        ["thread.finish"] = OneOf(() => CuttingRoom.Finishes.Select(s => s.ChoiceId)),
        ["needle.size"] = OneOf(() => Needles.All.Select(n => n.Id)),
        ["transfer.method"] = OneOf(() => Methods.All.Select(m => m.Id)),
        ["transfer.marker"] = OneOf(() => Inks.All.Select(i => i.Id)),
        ["transfer.stabiliser"] = value => StabiliserRules.IsKnown(value) ? null : ($"'{value}' is no stabiliser.", $"Use {JobCheck.Either(StabiliserRules.All.Select(s => s.ChoiceId))}, joined by +."),
        ["hoop.school"] = OneOf(() => Holding.Choices.Select(c => c.ChoiceId)),
        ["hoop.size"] = value => Number(value, 50, 400, false, "a nominal size of 50 to 400 mm"),
        ["hoop.tension"] = OneOf(() => ["drum-tight", "slack"]),
        ["hoop.layers"] = OneOf(() => Holding.Layers.Select(c => c.ChoiceId)),
        ["order.parts"] = OneOf(() => ["writing-order", "last-letter-first"]),
        ["finish.removal"] = OneOf(() => FinishRoom.FilmOuts.Select(c => c.ChoiceId)),
        ["finish.press"] = OneOf(() => FinishRoom.Presses.Select(p => p.ChoiceId)),
    };

    /// <summary>Decisions that may be overruled, in ordinal order.</summary>
    public static IReadOnlyList<string> Ids { get; } = Checks.Keys.Order(StringComparer.Ordinal).ToArray();

    /// <summary>What is wrong with an overrule, or null.</summary>
    public static (string Detail, string Try)? Check(string decision, string value, Library library) =>
        decision == OfAlphabet ? OneOf(() => library.Alphabets.Select(a => a.Id))(value)
        : Checks.TryGetValue(decision, out var check)
            ? check(value)
            : ($"There is no decision '{decision}' to overrule.", $"Use {JobCheck.Either(Ids)}.");

    private static Func<string, (string, string)?> OneOf(Func<IEnumerable<string>> ids) =>
        value => ids().Contains(value, StringComparer.Ordinal) ? null : ($"'{value}' cannot be chosen here.", $"Use {JobCheck.Either(ids())}.");

    private static (string, string)? Number(string value, double least, double most, bool whole, string told) =>
        double.TryParse(value, NumberStyles.Float, CultureInfo.InvariantCulture, out var number) && number >= least && number <= most && (!whole || number == Math.Floor(number))
            ? null
            : ($"'{value}' cannot be chosen here.", $"Use {told}.");
}
