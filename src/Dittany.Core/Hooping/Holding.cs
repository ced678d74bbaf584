using System.Globalization;
using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Telling;

namespace Dittany.Core.Hooping;

/// <summary>What the room needs to know. <paramref name="HersSchool"/> and <paramref name="HersSizeMm"/> are overrules or null.</summary>
public sealed record HoldingQuestion(
    IReadOnlyList<Unit> Units,
    IReadOnlyList<Pt> Outline,
    IReadOnlyList<IReadOnlyList<Pt>> Bulky,
    Cloth Cloth,
    IReadOnlyList<double> HoopsMm,
    School Habit,
    string? HersSchool,
    double? HersSizeMm);

/// <summary>How the cloth is held, and in which placings.</summary>
public sealed record Held(School School, IReadOnlyList<HoopPlacing> Placings, int LowerBound, IReadOnlyList<Decision> Decisions, IReadOnlyList<Caution> Cautions);

/// <summary>Hoop, frame or hand, and which hoop how often.</summary>
public static class Holding
{
    private static readonly (School School, Choice Choice)[] Schools =
    [
        (School.Hoop, new Choice("hoop", "In a hoop")),
        (School.Frame, new Choice("frame", "In a square snap frame")),
        (School.InHand, new Choice("in-hand", "In the hand")),
    ];

    public static IReadOnlyList<Choice> Choices { get; } = Schools.Select(s => s.Choice).ToArray();

    /// <summary>Rules on how cloth may be held.</summary>
    public static IReadOnlyList<Rule<Cloth>> Rules { get; } =
    [
        new("no ring on velvet", "hoop", Verdict.RulesOut, 0, c => c.Kind.Id == "velvet", _ => "A ring crushes velvet for good.", "common practice"),
        new("no ring on deep pile", "hoop", Verdict.RulesOut, 0, c => c.Pile == Pile.Deep && c.Kind.Id != "velvet", _ => "A ring crushes deep pile: hoop a backing and tack the item on, or work in the hand.", "common practice"),
        new("no frame on velvet", "frame", Verdict.RulesOut, 0, c => c.Kind.Id == "velvet", _ => "A clamp crushes velvet for good.", "common practice"),
    ];

    public static School SchoolOf(string choiceId) => Schools.First(s => s.Choice.ChoiceId == choiceId).School;

    public static Held Settle(HoldingQuestion q)
    {
        var judged = RuleTable.Judge(Choices.Select(c => c.ChoiceId).ToArray(), Rules, q.Cloth);
        var ruledOut = judged.Where(j => j.RuledOut).Select(j => new RuledOut(j.ChoiceId, TextOf(j.ChoiceId), j.Because)).ToList();
        var own = ruledOut.Any(r => r.ChoiceId == IdOf(q.Habit)) ? School.InHand : q.Habit;
        var because = new List<string>();
        var cautions = new List<Caution>();
        var school = q.HersSchool is null ? own : SchoolOf(q.HersSchool);
        foreach (var harm in ruledOut.Where(r => r.ChoiceId == IdOf(school)))
        {
            cautions.Add(new Caution(CautionKind.Item, Severity.Stop, $"{harm.Text}: {harm.Because[0]}"));
        }

        IReadOnlyList<HoopPlacing> placings = [];
        var lowerBound = 0;
        Decision? size = null;
        if (school != School.InHand && q.Units.Count > 0)
        {
            var sizes = school == School.Frame ? [Hoops.UsualFrameMm] : q.HoopsMm.Count > 0 ? q.HoopsMm : Hoops.UsualMm;
            var covers = sizes.Order().Select(mm => (HoopMm: mm, Cover: Cover(q, school == School.Hoop, mm))).ToArray();
            var best = covers.Where(c => c.Cover is { OffCloth: false }).OrderBy(c => c.Cover!.Placings.Count).ThenBy(c => c.HoopMm).FirstOrDefault();
            if (best.Cover is null)
            {
                best = covers.Where(c => c.Cover is not null).OrderBy(c => c.Cover!.Placings.Count).ThenBy(c => c.HoopMm).FirstOrDefault();
            }

            var taken = q.HersSizeMm is { } hers ? (HoopMm: hers, Cover: Cover(q, school == School.Hoop, hers)) : best;
            if (taken.Cover is { } cover)
            {
                (placings, lowerBound) = (cover.Placings, cover.LowerBound);
                size = SizeDecision(school, best.Cover is null ? taken.HoopMm : best.HoopMm, q.HersSizeMm, taken.HoopMm, cover, covers);
                if (cover.OffCloth)
                {
                    cautions.Add(new Caution(CautionKind.Item, Severity.Caution, "The ring reaches over the hem: tack a strip of scrap cloth to the edge and hoop that, so that the ring never sits on a bulky seam."));
                }
            }
            else
            {
                because.Add(q.HersSizeMm is { } wanted
                    ? $"No letter may be cut by the ring, and {Say.Length(wanted)} is too small for the largest: so it is worked in the hand."
                    : "No hoop at hand takes the largest letter whole: so it is worked in the hand.");
                school = School.InHand;
            }
        }

        because.Insert(0, school switch
        {
            School.Hoop => $"A hoop stiffens the cloth and keeps the stitches even; {Say.Count(placings.Count, "placing")} will do.",
            School.Frame => $"A snap frame does not bunch the cloth and lets the tension be changed; {Say.Count(placings.Count, "placing")} will do.",
            _ => "In the hand the cloth is free: draw the thread gently, and lay the work flat after every few stitches.",
        });
        if (school != School.InHand)
        {
            because.Add(q.Cloth.Kind.Knit
                ? "Do not stretch it: a tacked 100 mm line must still measure 99 to 101 mm in the hoop."
                : "Tighten it like a drum, one layer only, and take it off every evening.");
        }

        var asked = q.HersSchool is null ? null : new Choice(IdOf(school), TextOf(IdOf(school)));
        var decision = Deciding.Make(
            "hoop.school",
            Station.Hoop,
            "How the cloth is held",
            new Choice(IdOf(own == School.InHand || q.HersSchool is not null ? own : school), TextOf(IdOf(own == School.InHand || q.HersSchool is not null ? own : school))),
            asked,
            because,
            ["The habit of how you hold your work, or a larger hoop."],
            Choices,
            ruledOut);
        size ??= Deciding.Make(
            "hoop.size", Station.Hoop, "Which hoop", new Choice("none", "No hoop"), null, ["It is worked in the hand."], ["Holding it in a hoop or a frame."]);
        return new Held(school, placings, lowerBound, [decision, size], cautions);
    }

    /// <summary>A cover by one size: on clampable cloth if it can be, else with the ring off the cloth, else none.</summary>
    public static Cover? Cover(HoldingQuestion q, bool round, double hoopMm)
    {
        var bound = Hooping.LowerBound(q.Units, round, hoopMm);
        if (Hooping.Place(q.Units, round, hoopMm, Hooping.Clampable(q.Outline, q.Bulky, hoopMm)) is { } on)
        {
            return new Cover(on, bound, false);
        }

        return Hooping.Place(q.Units, round, hoopMm, null) is { } off ? new Cover(off, bound, true) : null;
    }

    private static Decision SizeDecision(School school, double own, double? hers, double taken, Cover cover, IReadOnlyList<(double HoopMm, Cover? Cover)> covers)
    {
        var usable = cover.Placings[0].UsableRadiusMm;
        var because = new List<string>
        {
            school == School.Hoop
                ? $"Inside the ring {Say.Length(usable)} from the middle can be used, and the words go in with {Say.Count(cover.Placings.Count, "placing")}."
                : $"Inside the frame {Say.Length(usable)} from the middle to each side can be used; {Say.Count(cover.Placings.Count, "placing")} will do.",
            cover.Placings.Count == cover.LowerBound ? "Fewer cannot be." : $"Fewer than {Say.Count(cover.LowerBound, "placing")} cannot be.",
        };
        if (taken > Hoops.MostInHandMm && school == School.Hoop)
        {
            because.Add("Over six inches a hoop wants a stand.");
        }

        return Deciding.Make(
            "hoop.size",
            Station.Hoop,
            school == School.Hoop ? "Which hoop" : "Which frame",
            Name(school, own),
            hers is null ? null : Name(school, taken),
            because,
            ["Larger or smaller lettering, or another hoop in your stash."],
            covers.Where(c => c.Cover is { OffCloth: false }).Select(c => Name(school, c.HoopMm)).ToArray(),
            covers.Where(c => c.Cover is null or { OffCloth: true }).Select(c => new RuledOut(
                Name(school, c.HoopMm).ChoiceId,
                Name(school, c.HoopMm).Text,
                [c.Cover is null ? "The largest letter does not go into it whole." : "Its ring would sit on a hem or off the cloth."])).ToArray());
    }

    private static Choice Name(School school, double mm) => new(
        mm.ToString(CultureInfo.InvariantCulture),
        school == School.Hoop ? $"A {Hoops.Inches(mm)} in hoop ({Say.Length(mm)})" : $"An {Hoops.Inches(mm)} in snap frame ({Say.Length(mm)})");

    private static string IdOf(School school) => Schools.First(s => s.School == school).Choice.ChoiceId;

    private static string TextOf(string id) => Choices.First(c => c.ChoiceId == id).Text;
}
