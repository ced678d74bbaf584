using System.Globalization;
using Dittany.Core.Advising;
using Dittany.Core.Decisions;
using Dittany.Core.Geometry;
using Dittany.Core.Hooping;
using Dittany.Core.Jobs;
using Dittany.Core.Measures;

namespace Dittany.Core.Planning;

/// <summary>Changes that would let a wish be followed. What is offered was tried out: the plan was made with it.</summary>
internal static class Offering
{
    private const string School = "hoop.school";

    /// <summary>The decisions on holding, with a nudge where one lets a ring go on.</summary>
    public static IEnumerable<Decision> Nudged(Held held, IReadOnlyList<PlannedElement> elements) =>
        held.Nudge is { } nudge && elements.Count == 1
            ? held.Decisions.Select(d => d.Id == School ? d with { Offers = [Offer(nudge, elements[0])] } : d)
            : held.Decisions;

    /// <summary>The plan with those offers only that do what they say and spoil nothing else.</summary>
    public static Plan Tried(Plan plan, Job job, Func<Job, Plan> make) => plan.Decisions.All(d => d.Offers is null) ? plan : plan with
    {
        Decisions = plan.Decisions.Select(d => d.Offers is { } offers ? d with
        {
            Offers = offers.Where(o => Helps(o, d, plan, job, make)).ToArray() is { Length: > 0 } good ? good : null,
        } : d).ToArray(),
    };

    /// <summary>Whether a ring goes on with it, on cloth alone, and nothing has a concern that had none before.</summary>
    private static bool Helps(Offer offer, Decision decision, Plan plan, Job job, Func<Job, Plan> make)
    {
        if (Changes.Apply(job, new Change(offer.Member, offer.Value, string.Empty)).Job is not { } changed)
        {
            return false;
        }

        return Budget.Works(() =>
        {
            var then = make(changed);
            return then.Decisions.First(d => d.Id == decision.Id) is { Offers: null } now
                && now.ChoiceId != "in-hand" && Concerns(then) <= Concerns(plan);
        });

        static int Concerns(Plan p) => p.Elements.Sum(e => e.Concerns.Count);
    }

    private static Offer Offer(Nudge nudge, PlannedElement element)
    {
        var to = element.CentreMm + nudge.ByMm;
        return new Offer(
            $"Move {(element.IsMotif ? "it" : "the words")} {Way(nudge.ByMm)}: then a ring goes on",
            "centreMm", string.Create(CultureInfo.InvariantCulture, $"{Rounding.ToGrid(to.X):R},{Rounding.ToGrid(to.Y):R}"));
    }

    private static Told Way(Pt by)
    {
        var down = (Told)$"{Say.Length(Math.Abs(by.Y))} {(by.Y < 0 ? "up" : "down")}";
        var aside = (Told)$"{Say.Length(Math.Abs(by.X))} to the {(by.X < 0 ? "left" : "right")}";
        return by.X == 0 ? down : by.Y == 0 ? aside : (Told)$"{down} and {aside}";
    }
}
